import { terminalsIn } from '..';
import type { DocumentPage, Run } from './page';
import { page, read, table, text } from './page.samples';

const ROWS = [
  ['1', 'VDD', 'P', 'Supply voltage'],
  ['2', 'CLK', 'I', 'Clock input'],
  ['3', 'OUT', 'O', 'Output of the device'],
  ['4', 'GND', 'G', 'Ground'],
];
const X = [53, 103, 183, 233];
const rowsOf = (...pages: DocumentPage[]) => {
  const p = read(pages);
  return terminalsIn(p).map((t) => `${t.numbers[p.package]} ${t.name} ${t.type}`);
};
const ALL = ['1 VDD supply-in', '2 CLK input', '3 OUT output', '4 GND ground'];
const body = table(ROWS, { y: 150 });
/** Headings at heights of their own: text, column, baseline. */
const heads = (...list: [value: string, column: number, y: number][]): Run[] =>
  list.map(([value, column, y]) => text(X[column]!, y, value));

describe('a heading without ruled lines', () => {
  it.each<[string, Run[]]>([
    [
      'on three heights, each cell centred by itself',
      heads(
        ['Pin', 0, 130],
        ['Pin', 1, 130],
        ['Pin', 2, 130],
        ['Description', 3, 135],
        ['Number', 0, 140],
        ['Name', 1, 140],
        ['Type', 2, 140],
      ),
    ],
    [
      'on two lines far apart, each with columns that the other lacks',
      heads(['PIN', 0, 115], ['TYPE', 2, 115], ['DESCRIPTION', 3, 115], ['NO.', 0, 137], ['NAME', 1, 137]),
    ],
    [
      'under a caption that begins like a column',
      [text(53, 112, 'Pin description'), ...heads(['Pin', 0, 137], ['Name', 1, 137], ['Type', 2, 137], ['Description', 3, 137])],
    ],
    [
      'with a remark in brackets over three lines',
      heads(['Pin', 0, 134], ['Pin name', 1, 122], ['(after', 1, 133], ['reset)', 1, 144], ['Type', 2, 134], ['Description', 3, 134]),
    ],
  ])('%s is understood', (_, runs) => expect(rowsOf(page([...runs, ...body.runs]))).toEqual(ALL));

  it.each<[string, Run[], number[]]>([
    [
      'names beside a number',
      [text(53, 130, 'No.'), text(72, 130, 'Name'), text(183, 130, 'Type'), text(233, 130, 'Description')],
      [53, 75, 183, 233],
    ],
    [
      'between the halves of another',
      [text(53, 124, 'Pin'), text(77, 130, 'Name Type Description'), text(53, 136, 'No.')],
      [53, 80, 102, 133],
    ],
  ])('set tightly, %s, is parted', (_, heading, x) => expect(rowsOf(page([...heading, ...table(ROWS, { y: 150, x }).runs]))).toEqual(ALL));
  it.each<[string, Run[]]>([
    ['with words far apart and nothing under the second', heads(['PIN', 0, 140], ['NAME', 1, 140], ['TYPE', 2, 140], ['DESCRIPTION', 3, 140]).concat(text(80, 140, 'NO.'))],
    ['over three lines, the first words of which stand over the end of another', [...heads(['Pin', 0, 140], ['name', 1, 140], ['type', 2, 140], ['Description', 3, 140]), text(103, 130, 'Pin'), text(183, 130, 'Pin')]],
  ])('%s is whole', (_, runs) => expect(rowsOf(page([...runs, ...body.runs]))).toEqual(ALL)); // prettier-ignore
  it('whose packages touch, and whose names begin under another line, is parted', () => {
    const top = [text(112, 130, 'Pin name (after'), text(200, 130, 'Pin')];
    const low = [text(53, 140, 'LQFP48QFN32'), text(112, 140, 'reset)'), text(200, 140, 'type'), text(250, 140, 'Remarks')];
    const rows = [['1', '1', 'VDD', 'P', 'Supply'], ['2', '–', 'CLK', 'I', 'Clock input'], ['3', '2', 'OUT', 'O', 'Output']]; // prettier-ignore
    const p = read([page([...top, ...low, ...table(rows, { y: 150, x: [56, 86, 109, 197, 247] }).runs])]);
    expect(p.packages).toEqual([
      { name: 'LQFP48', pinCount: 3 },
      { name: 'QFN32', pinCount: 2 },
    ]);
  });
  it('of a package that is broken at its hyphen is one name', () => {
    const top = [text(103, 124, 'DFN-'), text(153, 124, 'SOT-'), text(53, 130, 'Name'), text(203, 130, 'Description')];
    const rows = [['IN', '6', '1', 'Input supply'], ['OUT', '1', '5', 'Regulated output voltage'], ['GND', '2', '2', 'Ground']]; // prettier-ignore
    const p = read([page([...top, text(103, 136, '6'), text(153, 136, '23-5'), ...table(rows, { y: 150, x: [50, 100, 150, 200] }).runs])]);
    expect(p.packages.map((q) => q.name)).toEqual(['DFN-6', 'SOT-23-5']);
  });
  it('is told from its title by a gap, not by the words of the title', () => {
    const runs = [
      text(53, 118, 'QFN-4 package, top view'),
      ...heads(['#', 0, 140], ['Name', 1, 140], ['Pin type', 2, 140], ['Function', 3, 140]),
    ];
    expect(rowsOf(page([...runs, ...body.runs]))).toEqual(ALL);
  });
  it('set so tightly that numbers and names share one run is taken apart', () => {
    const runs = [text(90, 140, 'PIN'), text(106, 140, 'NAME'), ...heads(['TYPE', 2, 140], ['DESCRIPTION', 3, 140])];
    const rows = ROWS.flatMap((r, i) => r.map((c, k) => text([92, 107, 183, 233][k]!, 160 + i * 18, c)));
    expect(rowsOf(page([...runs, ...rows]))).toEqual(ALL);
  });
  it('whose packages stand sideways over their numbers is understood', () => {
    const turned = (value: string, x: number): Run => ({ text: value, x, y: 140, width: 30, size: 9, turns: 3 });
    const runs = [turned('LQFP48', 60), turned('LQFP64', 90), text(123, 138, 'Pin name'), text(200, 138, 'Type')];
    const rows = [
      ['1', '1', 'VDD', 'P'],
      ['–', '2', 'CLK', 'I'],
      ['2', '3', 'OUT', 'O'],
    ].flatMap((r, i) => r.map((c, k) => text([55, 85, 123, 200][k]!, 160 + i * 18, c)));
    expect(read([page([...runs, ...rows])]).packages).toEqual([
      { name: 'LQFP48', pinCount: 2 },
      { name: 'LQFP64', pinCount: 3 },
    ]);
  });
});

describe('a table that goes on', () => {
  const head = heads(['Pin', 0, 140], ['Name', 1, 140], ['Type', 2, 140], ['Description', 3, 140]);
  it.each<[string, string[], string]>([
    ['with its last row', ['5', 'EN', 'I', 'Enable input'], '5 EN input'],
    ['with its exposed pad', ['EP', 'GND', 'G', 'Ground'], 'EP GND ground'],
  ])('%s alone on the next page is read whole', (_, row, last) => {
    const next = table([row], { y: 40 });
    expect(rowsOf(page([...head, ...body.runs]), page(next.runs, [], 2))).toEqual([...ALL, last]);
  });
  it('has the rest of its last row on the next page', () => {
    const long = table([['Pin', 'Name', 'Type', 'Description'], ['1', 'VDD', 'P', 'Supply voltage\nof the core'], ['2', 'CLK', 'I', 'Clock']], { y: 700, pitch: 11 }); // prettier-ignore
    const rest = table([['', '', '', 'input of the part'], ...ROWS.slice(2)], { y: 60, pitch: 11 });
    const p = read([page(long.runs), page(rest.runs, [], 2)]);
    expect(terminalsIn(p).map((t) => t.description)).toEqual([
      'Supply voltage of the core',
      'Clock input of the part',
      'Output of the device',
      'Ground',
    ]);
  });
  it('in the other text column is one with it', () => {
    const head = ['Pin', 'Name', 'Type', 'Description'];
    const many = Array.from({ length: 20 }, (_, i) => [String(i + 1), `GP${i}`, 'I/O', 'Port']);
    const left = table([head, ...many.slice(0, 10)], { y: 300, x: [50, 80, 130, 165] });
    const right = table(many.slice(10), { y: 57, x: [310, 340, 390, 425] });
    const prose = Array.from({ length: 12 }, (_, i) => text(53, 80 + i * 15, `Line ${i} tells of the part`));
    expect(rowsOf(page([...prose, ...left.runs, ...right.runs]))).toHaveLength(20);
  });
  it('ruled between its columns only is read on where the next page has no line across', () => {
    const all = table([['Pin', 'Name', 'Type', 'Description'], ...ROWS], { y: 700, rules: 'all', pitch: 14 });
    const more = Array.from({ length: 5 }, (_, i) => [String(i + 5), `GP${i}`, 'I/O', 'Port']);
    expect(rowsOf(page(all.runs, all.rules), page(table(more, { y: 60 }).runs, [], 2))).toHaveLength(9);
  });
  it('and that the reader does not follow is said', () => {
    const start = table([['Pin', 'Name', 'Type', 'Description'], ...ROWS], { y: 100 });
    const note = text(50, 230, 'Note: the voltages of all pins are told against ground.');
    const p = read([page([...start.runs, note, text(53, 500, '5'), text(103, 500, 'RSTN')])]);
    expect(p.problems.map((q) => q.code)).toContain('rows-left');
  });
  it('keeps its columns where the next page begins further right', () => {
    const long = text(20, 60, 'The device is meant for instruments that run for years.');
    const next = table([['5', 'EN', 'I', 'Enable input']], { y: 40 });
    expect(rowsOf(page([long, ...head, ...body.runs]), page(next.runs, [], 2)).at(-1)).toBe('5 EN input');
  });
  it('whose heading is the last line of a page is read on the next', () => {
    const next = table(ROWS, { y: 40 });
    expect(rowsOf(page(head), page(next.runs, [], 2))).toEqual(ALL);
  });
  it('with one ruled row left has that row', () => {
    const first = table([['Pin', 'Name', 'Type', 'Description'], ...ROWS], { rules: 'all' });
    const rest = table([['5', 'EN', 'I', 'Enable input']], { rules: 'all', y: 40 });
    expect(rowsOf(page(first.runs, first.rules), page(rest.runs, rest.rules, 2))).toEqual([...ALL, '5 EN input']);
  });
});

describe('typewritten pages', () => {
  const mono = (x: number, y: number, value: string): Run => ({ ...text(x, y, value), width: value.length * 9 * 0.6 });
  const line = (y: number, cells: string[]) => cells.map((c, i) => mono(X[i]!, y, c));
  it.each<[string, string[]]>([
    ['two words in a heading', ['Pin #', 'Pin name', 'Pin type', 'Description']],
    ['one word in a heading', ['Pin', 'Name', 'Type', 'Description']],
  ])('with %s are read', (_, cells) =>
    expect(rowsOf(page([line(140, cells), ...ROWS.map((r, i) => line(160 + i * 18, r))].flat()))).toEqual(ALL),
  );
  it('have headings of groups that end in a figure', () => {
    const runs = [
      line(140, ['Pin', 'Name', 'Type', 'Description']),
      [mono(53, 160, 'Side'), mono(53 + 5 * 5.4, 160, '1')],
      ...ROWS.map((r, i) => line(178 + i * 18, r)),
    ];
    expect(new Set(read([page(runs.flat())]).terminals.map((t) => t.group))).toEqual(new Set(['Side 1']));
  });
});
