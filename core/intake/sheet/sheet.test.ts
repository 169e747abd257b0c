import fc from 'fast-check';
import { good, refused } from '../../test/samples';
import { cellRef, readSheets, terminalsIn, type ReadOptions, type Sheet } from '..';

/** A sheet of rows; `merges` as first row, first column, rows, columns. */
const sheet = (name: string, rows: string[][], merges: [number, number, number, number][] = []): Sheet => ({
  name,
  cells: rows.flatMap((r, row) => r.flatMap((text, col) => (text === '' ? [] : [{ row, col, text }]))),
  merges: merges.map(([row, col, high, wide]) => ({ row, col, rows: high, cols: wide })),
});
const HEAD = ['Pin', 'Name', 'Type', 'Description'];
const BODY = [
  ['1', 'VDD', 'P', 'Supply'],
  ['2', 'CLK', 'I', 'Clock input'],
  ['3', 'VSS', 'G', 'Ground'],
];
const read = (sheets: Sheet[], options: ReadOptions = {}) => good(readSheets(sheets, options));
const list = (sheets: Sheet[], options: ReadOptions = {}) =>
  terminalsIn(read(sheets, options)).map((t) => `${t.numbers[read(sheets, options).package]} ${t.name}`);

it.each<[number, number, string]>([
  [0, 0, 'A1'],
  [6, 1, 'B7'],
  [9, 25, 'Z10'],
  [0, 26, 'AA1'],
  [0, 701, 'ZZ1'],
  [0, 702, 'AAA1'],
])('row %i, column %i is %s', (row, col, ref) => expect(cellRef(row, col)).toBe(ref));

it('finds the table on any sheet, wherever its heading stands', () => {
  const cover = sheet('Cover', [['Parts list'], [], ['Pins', '33']]);
  const limits = sheet('Limits', [
    ['Symbol', 'Parameter', 'Min', 'Max'],
    ['VDD', 'Supply', '1', '2'],
  ]);
  const pins = sheet('Pins', [[], ['', 'TF1 converter'], [], ['', ...HEAD], ...BODY.map((r) => ['', ...r])]);
  expect(list([cover, limits, pins])).toEqual(['1 VDD', '2 CLK', '3 VSS']);
});
it('reads a second list under the first whose columns stand in another order, and not the same terminals again', () => {
  const more = [['4', 'EN', 'I', 'Enable input'], ['5', 'FLT', 'OD', 'Fault output']]; // prettier-ignore
  const turned = (rows: string[][]) => [['Name', 'Pin', 'Description', 'Type'], ...rows.map(([n, name, type, text]) => [name!, n!, text!, type!])]; // prettier-ignore
  const pins = read([sheet('Pins', [HEAD, ...BODY, [], ['Control pins'], ...turned(more)])]);
  expect(pins.terminals.map((t) => `${t.numbers['']} ${t.name} ${t.type}`).slice(-2)).toEqual(['4 EN input', '5 FLT open-drain']);
  expect(pins.terminals.at(-1)!.origin?.cell).toBe('A9');
  expect(list([sheet('Pins', [HEAD, ...BODY, [], ...turned(BODY)])])).toHaveLength(3);
});
it('leaves a sheet of the same headings that is of something else', () => {
  const heads = ['No.', 'Name', 'Description'];
  const pins = sheet('Pinout', [heads, ...BODY.map(([number, name, , text]) => [number!, name!, text!])]);
  const codes = sheet('Error codes', [heads, ...['OC', 'OT', 'UV', 'OV'].map((name, i) => [String(i + 4), name, 'fault'])]);
  expect(list([codes, pins])).toEqual(['1 VDD', '2 CLK', '3 VSS']);
  expect(read([codes, pins]).tables!.map((t) => t.taken)).toEqual([false, true]);
  expect(readSheets([codes]).ok).toBe(false);
});
it('takes sheets that are called by packages for those, though their numbers have nothing in common', () => {
  const balls = BODY.map(([, ...rest], i) => [`A${i + 1}`, ...rest]);
  const both = read([sheet('TSSOP-3', [HEAD, ...BODY]), sheet('BGA-3', [HEAD, ...balls])]);
  expect(both.terminals.map((t) => t.numbers)).toEqual([1, 2, 3].map((n) => ({ 'TSSOP-3': String(n), 'BGA-3': `A${n}` })));
});
it('keeps the exposed pad of a list without headings', () =>
  expect(list([sheet('Pins', [...BODY, ['4', 'Q', 'O', 'Output'], ['EP', 'EP', 'G', 'Ground']])])).toContain('EP EP'));
it('joins a name whose line ended within a word, and asks', () => {
  const [, broken] = read([sheet('Pins', [HEAD, BODY[0]!, ['2', 'VREF_SAM\nP', 'I', 'Sampled reference'], BODY[2]!])]).terminals;
  expect(broken).toMatchObject({ name: 'VREF_SAMP', doubts: [{ field: 'name', reason: 'Its lines break between “VREF_SAM” and “P”.' }] });
});
it('takes the end of a list of numbers out of the name that it ran into, and asks where a dash stands behind a name', () => {
  const body = [['A1, A3,', 'A5 VSS', 'G', 'Ground'], ['A2', 'CLK –', 'I', 'Clock input'], ['A4', 'Q', 'O', 'Output']]; // prettier-ignore
  expect(list([sheet('Pins', [HEAD, ...body])])).toEqual(['A1 VSS', 'A3 VSS', 'A5 VSS', 'A2 CLK –', 'A4 Q']);
  // A hostile name takes no time.
  expect(list([sheet('Pins', [HEAD, ['1,', '1'.repeat(400), 'I', 'Input'], ...BODY])])).toHaveLength(4);
  expect(read([sheet('Pins', [HEAD, ...body])]).terminals.find((t) => t.name === 'CLK –')!.doubts[0]!.reason).toMatch(/next column/);
});
it('gives each terminal its sheet and the address of each cell', () =>
  expect(read([sheet('Pins', [HEAD, ...BODY])]).terminals[1]!.origin).toEqual({
    sheet: 'Pins',
    cell: 'B3',
    cells: { number: 'A3', name: 'B3', type: 'C3', description: 'D3' },
  }));
it('reads merged headings over packages', () => {
  const rows = [
    ['Name', 'Pin number', '', 'Type'],
    ['', 'LQFP-48', 'QFN-32', ''],
    ['A', '1', '2', 'I'],
    ['B', '2', '-', 'O'],
  ];
  expect(
    read([
      sheet('S', rows, [
        [0, 0, 2, 1],
        [0, 1, 1, 2],
        [0, 3, 2, 1],
      ]),
    ]).packages,
  ).toEqual([
    { name: 'LQFP-48', pinCount: 2 },
    { name: 'QFN-32', pinCount: 1 },
  ]);
});
it('counts a merged group in each row it covers', () => {
  const rows = [
    ['Group', ...HEAD],
    ['Power', ...BODY[0]!],
    ['', ...BODY[2]!],
    ['Clock', ...BODY[1]!],
  ];
  expect(read([sheet('S', rows, [[1, 0, 2, 1]])]).terminals.map((t) => t.group)).toEqual(['Power', 'Power', 'Clock']);
});
it('counts a merged name in each row it covers', () =>
  expect(
    list([sheet('S', [HEAD, ['1', 'VSS', 'G', 'Ground'], ['2', '', 'G', 'Ground'], ['3', 'CLK', 'I', 'Clock']], [[1, 1, 2, 1]])]),
  ).toEqual(['1 VSS', '2 VSS', '3 CLK']));
it('takes sheets of one package each as the packages of one pinout', () => {
  const big = sheet('LQFP-48', [HEAD, ...BODY]);
  const small = sheet('QFN-32', [HEAD, ['1', 'CLK', 'I', 'Clock input'], ['2', 'VDD', 'P', 'Supply']]);
  const p = read([big, small]);
  expect(p.packages.map((x) => x.name)).toEqual(['LQFP-48', 'QFN-32']);
  expect(p.terminals.find((t) => t.name === 'CLK')!.numbers).toEqual({ 'LQFP-48': '2', 'QFN-32': '1' });
  expect(list([big, small], { package: 'QFN32' })).toEqual(['2 VDD', '1 CLK']);
  expect(read([big, small], { package: 'QFN32' }).packages).toHaveLength(2);
});
it('puts a table that goes on on the next sheet together', () =>
  expect(list([sheet('A', [HEAD, ...BODY]), sheet('B', [HEAD, ['4', 'D', 'I', 'Data']])])).toEqual(['1 VDD', '2 CLK', '3 VSS', '4 D']));
it('doubts a name that a second list says otherwise', () => {
  const other = sheet('By name', [HEAD, ['1', 'VDD', 'P', 'Supply'], ['2', 'SCK', 'I', 'Clock input'], ['3', 'VSS', 'G', 'Ground']]);
  expect(read([sheet('By number', [HEAD, ...BODY]), other]).terminals[1]!.doubts).toEqual([
    { field: 'name', reason: 'Another table of the document says “SCK”.', candidates: ['CLK', 'SCK'] },
  ]);
});
it('says of a table that is neither more of the pinout nor a second list of it', () => {
  const other = sheet('More', [
    HEAD,
    ['3', 'D0', 'I', 'Data'],
    ['4', 'D1', 'I', 'Data'],
    ['5', 'D2', 'I', 'Data'],
    ['6', 'D3', 'I', 'Data'],
  ]);
  const { terminals, problems } = read([sheet('By number', [HEAD, ...BODY]), other]);
  expect(terminals.map((t) => t.name)).toEqual(['VDD', 'CLK', 'VSS']);
  expect(problems.map((p) => [p.code, p.params['again'], p.params['terminals']])).toEqual([['table-overlaps', 1, 4]]);
});
it('reads the sheet that is asked for', () => {
  const sheets = [sheet('One', [HEAD, ...BODY]), sheet('Two', [HEAD, ['9', 'X', 'I', 'y']])];
  expect(list(sheets, { sheet: 'two' })).toEqual(['9 X']);
  expect(refused(readSheets(sheets, { sheet: 'Three', file: 'b.xlsx' }))[0]).toBe('b.xlsx: There is no sheet "Three"; it has One, Two.');
});
it('reads a ball map where there is no list', () => {
  const map = sheet('BGA-9', [
    ['', '1', '2', '3'],
    ['A', 'VDD', 'CLK', 'D0'],
    ['B', 'D1', 'VSS', 'D2'],
    ['C', 'D3', 'NC', 'RESET_N'],
  ]);
  expect(list([map])).toEqual(['A1 VDD', 'A2 CLK', 'A3 D0', 'B1 D1', 'B2 VSS', 'B3 D2', 'C1 D3', 'C2 NC', 'C3 RESET_N']);
});
it('reads a ball map of names that look like balls themselves', () => {
  const map = sheet('Ballmap', [
    ['', '1', '2', '3'],
    ['A', 'VSS', 'D0', 'D1'],
    ['B', 'VDD', 'CLK', 'VSS'],
    ['C', 'D2', 'D3', 'NC'],
  ]);
  expect(list([map])).toEqual(['A1 VSS', 'A2 D0', 'A3 D1', 'B1 VDD', 'B2 CLK', 'B3 VSS', 'C1 D2', 'C2 D3', 'C3 NC']);
});
it('reads a table set in two halves', () =>
  expect(
    list([
      sheet('S', [
        ['Pin', 'Name', '', 'Pin', 'Name'],
        ['1', 'A', '', '3', 'C'],
        ['2', 'B', '', '4', 'D'],
      ]),
    ]),
  ).toEqual(['1 A', '2 B', '3 C', '4 D']));
it('explains codes by a sheet of its own', () => {
  const legend = sheet('Codes', [
    ['Code', 'Meaning'],
    ['K', 'Open-drain output'],
    ['L', 'Logic input'],
  ]);
  expect(read([legend, sheet('S', [HEAD, ['1', 'FOO', 'K', 'First'], ['2', 'BAR', 'L', 'Second']])]).terminals.map((t) => t.type)).toEqual([
    'open-drain',
    'input',
  ]);
});
it('is not slowed down by a cell far out', () => {
  const far = { row: 1_000_000, col: 16_000, text: 'x' };
  const s = sheet('S', [HEAD, ...BODY]);
  expect(list([{ ...s, cells: [...s.cells, far], merges: [{ row: 0, col: 20, rows: 1_000_000, cols: 16_000 }] }])).toEqual([
    '1 VDD',
    '2 CLK',
    '3 VSS',
  ]);
});
it('takes the title next to a table for its group, whatever stands above', () => {
  const of = (name: string, title: string[][], rows: string[][]) => sheet(name, [...title, HEAD, ...rows]);
  const power = of(
    'A',
    [['P = power, I = input'], ['Power']],
    [
      ['1', 'VDD', 'P', 'Supply'],
      ['2', 'VSS', 'G', 'Ground'],
    ],
  );
  const clocks = of(
    'B',
    [['Clocks']],
    [
      ['3', 'CLK', 'I', 'Clock input'],
      ['4', 'XIN', 'I', 'Crystal'],
    ],
  );
  expect(terminalsIn(read([power, clocks])).map((t) => t.group)).toEqual(['Power', 'Power', 'Clocks', 'Clocks']);
});

it.each([
  ['Parameter', 'Pin', 'Conditions', 'Min', 'Max', 'Unit'],
  ['Order code', 'Package', 'Pins', 'Quantity'],
  ['Rev.', 'Date', 'Changes'],
  ['Code', 'Meaning'],
])('ends the list above a table of %s', (...heading) => {
  const other = [['Something else'], heading, heading.map((_, i) => (i === 1 ? '4' : 'VDD'))];
  expect(list([sheet('S', [HEAD, ...BODY, ...other])])).toEqual(['1 VDD', '2 CLK', '3 VSS']);
});

it('refuses a book without a pin table', () => expect(refused(readSheets([sheet('S', [['a', 'b']])]))[0]).toMatch(/No pin table/));
it('property: any cells are read or refused', () => {
  const cell = fc.record({
    row: fc.nat(12),
    col: fc.nat(6),
    text: fc.constantFrom('Pin', 'Name', 'Type', '1', '2', 'A1', 'VDD', '-', 'Group', '  ', 'x'.repeat(300)),
  });
  const merge = fc.record({ row: fc.nat(14), col: fc.nat(8), rows: fc.nat(40), cols: fc.nat(40) });
  fc.assert(
    fc.property(fc.array(cell, { maxLength: 60 }), fc.array(merge, { maxLength: 4 }), (cells, merges) => {
      const result = readSheets([{ name: 'S', cells, merges }]);
      expect(result.ok || result.problems.length > 0).toBe(true);
    }),
  );
});
