import fc from 'fast-check';
import { sayProblem } from '../../part';
import { good, refused } from '../../test/samples';
import { pagesWorthRuling, readPages, terminalsIn, type ReadOptions } from '..';
import type { Run } from './page';
import { across, down, list, page, read, table, text } from './page.samples';

const HEAD = ['Pin', 'Name', 'Type', 'Description'];
const ROWS = [
  ['1', 'VDD', 'P', 'Supply voltage'],
  ['2', 'CLK', 'I', 'Clock input'],
  ['3', 'OUT', 'O', 'Output of the device'],
  ['4', 'GND', 'G', 'Ground'],
];
const of = (rows: string[][], layout: Parameters<typeof table>[1] = {}) => {
  const { runs, rules } = table(rows, layout);
  return page(runs, rules);
};
const ALL = ['1 VDD', '2 CLK', '3 OUT', '4 GND'];

it('joins a table of supplies without a type column, and no list of test points', () => {
  const supplies = table([['Name', 'Pin', 'Description'], ['VDD', '1', 'Supply'], ['GND', '4', 'Ground']], { y: 60, rules: 'none' }); // prettier-ignore
  const signals = table([['Name', 'Pin', 'I/O', 'Description'], ['CLK', '2', 'I', 'Clock'], ['OUT', '3', 'O', 'Output']], { y: 200, rules: 'none' }); // prettier-ignore
  const points = table([['No.', 'Signal', 'Voltage'], ['1', 'OUT', '3 V'], ['2', 'GND', '0 V']], { y: 400, rules: 'none' }); // prettier-ignore
  const all = page([...supplies.runs, ...signals.runs, ...points.runs], [...supplies.rules, ...signals.rules, ...points.rules]);
  expect(list([all]).toSorted()).toEqual(ALL);
});

it('keeps a sign that another face lends with its word, though it stands a little off the line', () => {
  const { runs } = table([['Pin', 'Name', 'Type', 'Description'], ['1', 'V+', 'P', 'Positive supply'], ['2', 'V', 'P', 'Negative supply'], ['3', 'OUT', 'O', 'Output']]); // prettier-ignore
  const v = runs.find((r) => r.text === 'V')!;
  const names = terminalsIn(read([page([...runs, { ...text(v.x + v.width, v.y + 2.4, '−'), width: 4.9 }])])).map((t) => t.name);
  expect(names).toEqual(['V+', 'V−', 'OUT']);
});

it('finds the page of a table whose headings are one run', () => {
  const tight = page([text(50, 100, 'Pin Pin name Alternate function 1 Alternate function 2 Type')]);
  expect(
    pagesWorthRuling([tight, page([text(50, 100, 'The pin of the type with a name is described in this sentence, and more.')])]),
  ).toEqual([1]);
});

it('keeps the last rows of a page whose cells are centred each by itself', () => {
  const pageOf = (from: number, number: number) => {
    const rows = Array.from({ length: 12 }, (_, i) => from + i);
    const runs = rows.flatMap((n, i) => {
      const y = 560 + i * 20;
      return [
        text(54, y, String(n)),
        text(103, y, `P${n}`),
        text(183, y, 'I/O'),
        text(233, y - 4, `Port ${n}`),
        text(233, y + 5, `Timer ${n}`),
      ];
    });
    return page([...table([HEAD], { y: 520 }).runs, ...runs], [], number);
  };
  expect(list([pageOf(1, 1), pageOf(13, 2)])).toHaveLength(24);
});

describe('tables with other columns', () => {
  const supplies = table([['Name', 'Pin', 'Description'], ['VDD', '1', 'Supply'], ['GND', '4', 'Ground']], { y: 60, rules: 'all' }); // prettier-ignore
  const signals = table([['Name', 'Pin', 'I/O', 'Description'], ['CLK', '2', 'I', 'Clock'], ['OUT', '3', 'O', 'Output']], { y: 200, rules: 'all' }); // prettier-ignore
  const pages = [page([...supplies.runs, ...signals.runs], [...supplies.rules, ...signals.rules])];
  it('stand under one heading, each cell under its role', () => {
    const { columns, rows } = read(pages).table!;
    expect(columns.map((c) => [c.role, c.elsewhere ?? false])).toEqual([['name', false], ['number', false], ['description', false], ['type', true]]); // prettier-ignore
    expect(rows.map((r) => r.cells)).toEqual([
      ['VDD', '1', 'Supply', ''],
      ['GND', '4', 'Ground', ''],
      ['CLK', '2', 'Clock', 'I'],
      ['OUT', '3', 'Output', 'O'],
    ]);
    expect(rows[2]!.place!.boxes!.map((b) => b !== undefined)).toEqual([true, true, true, true]);
  });
  it('have roles of their own', () => {
    const roles = (options: ReadOptions) => read(pages, options).tables!.map((t) => t.columns!.map((c) => c.role).join(' '));
    expect(roles({})).toEqual(['name number description', 'name number type description']);
    expect(roles({ roles: ['name', 'number', 'ignore'] })).toEqual(['name number ignore', 'name number type description']);
    const own = { tableRoles: { 1: ['name', 'number', 'ignore', 'description'] } } as ReadOptions;
    expect(roles(own)).toEqual(['name number description', 'name number ignore description']);
    expect(read(pages, own).terminals.find((t) => t.name === 'CLK')!.because['type']).toMatch(/Clock|CLK/);
  });
});

it('joins no list of figures to one of balls', () => {
  const balls = table([['Ball', 'Signal'], ...['A1', 'A2', 'B1', 'B2'].map((b, i) => [b, `S${i}`])], { y: 60 });
  const points = table([['No.', 'Signal'], ['1', 'TP'], ['2', 'TQ']], { y: 300 }); // prettier-ignore
  const all = page([...balls.runs, ...points.runs], [...balls.rules, ...points.rules]);
  expect(list([all])).toEqual(['A1 S0', 'A2 S1', 'B1 S2', 'B2 S3']);
});

describe.each(['all', 'rows', 'none'] as const)('a table with rules: %s', (rules) => {
  it('is read', () => expect(list([of([HEAD, ...ROWS], { rules })])).toEqual(ALL));
  it('with cells of several lines', () => {
    const rows = [HEAD, ['1', 'VDD', 'P', 'Supply\nvoltage'], ['2, 5,\n7', 'CLK', 'I', 'Clock\ninput'], ['3', 'PA0/\nADC0', 'I/O', 'Port']];
    expect(list([of(rows, { rules })])).toEqual(['1 VDD', '2 CLK', '5 CLK', '7 CLK', '3 PA0/ADC0']);
  });
  it('with headings of groups', () => {
    const rows = [HEAD, ['Supplies and ground', '', '', ''], ROWS[0]!, ROWS[3]!, ['Signals', '', '', ''], ROWS[1]!];
    expect(read([of(rows, { rules })]).terminals.map((t) => t.group)).toEqual(['Supplies and ground', 'Supplies and ground', 'Signals']);
  });
  it('with a heading in two lines', () =>
    expect(list([of([['Pin\nNo.', 'Signal\nname', 'Type', 'Description'], ...ROWS], { rules })])).toEqual(ALL));
  it('with the box of every cell', () => {
    const { origin } = read([of([HEAD, ...ROWS], { rules })]).terminals[1]!;
    expect(origin!.page).toBe(1);
    expect(Object.keys(origin!.cells!)).toEqual(['number', 'name', 'type', 'description']);
    const [x, y, w, h] = origin!.cells!['name'] as [number, number, number, number];
    expect([x, Math.round(w)]).toEqual([103, 14]);
    expect(y).toBeGreaterThan(100);
    expect(h).toBeLessThan(12);
  });
  it('beside its decoys', () => {
    const ratings = table(
      [
        ['Symbol', 'Parameter', 'Min', 'Max'],
        ['VDD', 'Supply', '1', '4'],
        ['VIN', 'Input', '0', '4'],
      ],
      { y: 40, rules, pitch: 16 },
    );
    const pins = table([HEAD, ...ROWS], { y: 160, rules });
    const bits = table(
      [
        ['Bit', 'Name', 'Type', 'Description'],
        ['7', 'GO', 'R/W', 'Go'],
        ['6', 'EN', 'R/W', 'On'],
        ['5', 'A', 'R', 'x'],
        ['4', 'B', 'R', 'x'],
        ['3', 'C', 'R', 'x'],
      ],
      { y: 400, rules },
    );
    expect(list([page([...ratings.runs, ...pins.runs, ...bits.runs], [...ratings.rules, ...pins.rules, ...bits.rules])])).toEqual(ALL);
  });
  it('over two pages, with its heading again and running heads', () => {
    const furniture = (n: number): Run[] => [text(50, 20, 'Tarnfield Devices TF1'), text(500, 820, `page ${n} of 2`)];
    const first = table([HEAD, ...ROWS.slice(0, 2)], { rules });
    const second = table([HEAD, ...ROWS.slice(2)], { rules, y: 60 });
    expect(
      list([page([...furniture(1), ...first.runs], first.rules, 1), page([...furniture(2), ...second.runs], second.rules, 2)]),
    ).toEqual(ALL);
  });
  it('over two pages, without its heading again', () => {
    const first = table([HEAD, ...ROWS.slice(0, 2)], { rules });
    const second = table(ROWS.slice(2), { rules, y: 60 });
    const p = read([page(first.runs, first.rules, 1), page(second.runs, second.rules, 2)]);
    expect(p.terminals.map((t) => [t.name, t.origin!.page])).toEqual([
      ['VDD', 1],
      ['CLK', 1],
      ['OUT', 2],
      ['GND', 2],
    ]);
  });
  it.each([1, 2, 3] as const)('set sideways by %i quarter turns, with boxes on the page as displayed', (turns) => {
    const flat = of([HEAD, ...ROWS], { rules });
    const [w, h] = [842, 842];
    const turn = (x: number, y: number): [number, number] => (turns === 1 ? [w - y, x] : turns === 2 ? [w - x, h - y] : [y, h - x]);
    const runs = flat.runs.map((r): Run => ({ ...r, x: turn(r.x, r.y)[0], y: turn(r.x, r.y)[1], turns }));
    const lines = flat.rules!.map((r) => {
      const [[ax, ay], [bx, by]] = [turn(r.x1, r.y1), turn(r.x2, r.y2)];
      return { x1: Math.min(ax, bx), x2: Math.max(ax, bx), y1: Math.min(ay, by), y2: Math.max(ay, by) };
    });
    const p = read([{ number: 1, width: w, height: h, runs, rules: lines }]);
    expect(p.terminals.map((t) => t.name)).toEqual(['VDD', 'CLK', 'OUT', 'GND']);
    const run = runs.find((r) => r.text === 'CLK')!;
    const [bx, by, bw, bh] = p.terminals[1]!.origin!.cells!['name'] as [number, number, number, number];
    expect(run.x).toBeGreaterThanOrEqual(bx - 0.1);
    expect(run.x).toBeLessThanOrEqual(bx + bw + 0.1);
    expect(run.y).toBeGreaterThanOrEqual(by - 0.1);
    expect(run.y).toBeLessThanOrEqual(by + bh + 0.1);
  });
});

describe('what stands in cells', () => {
  const one = (name: Run[], rules: ReturnType<typeof across>[] = []) => {
    const { runs, rules: lines } = table([HEAD, ['1', '', 'I', 'Chip select input'], ...ROWS.slice(1)]);
    return read([page([...runs, ...name], [...lines, ...rules])]).terminals.find((t) => t.numbers[''] === '1')!;
  };
  const Y = 129;
  it('joins a name that is shown glyph by glyph', () =>
    expect(one([...'RESET'].map((c, i) => text(103 + i * 4.6, Y, c))).name).toBe('RESET'));
  it('takes a line over a name for an overbar', () =>
    expect(one([text(103, Y, 'CS')], [across(103, 112, Y - 8)])).toMatchObject({ name: 'CS', activeLow: true }));
  it('asks where a bar covers a part of the name', () => {
    const t = one([text(103, Y, 'R/W')], [across(112, 116.5, Y - 8)]);
    expect([t.name, t.doubts.map((d) => d.field)]).toEqual(['R/W', expect.arrayContaining(['activeLow'])]);
  });
  it('takes a raised number off behind a lowered letter, both hardly smaller than the name', () =>
    expect(one([text(103, Y, 'IN'), text(112, Y + 4.4, 'A', 7.6), text(117, Y - 1.6, '(1)', 7.6)]).name).toBe('INA'));
  it('takes raised digits off', () => expect(one([text(103, Y, 'EN'), text(112, Y - 3.5, '1', 5.5)]).name).toBe('EN'));
  it('joins lowered letters', () => expect(one([text(103, Y, 'V'), text(107.5, Y + 2, 'DD', 6)]).name).toBe('VDD'));
  it('reads an underscore that is drawn', () =>
    expect(one([text(103, Y, 'SPI'), text(121, Y, 'CLK')], [across(116.7, 121, Y + 0.6)]).name).toBe('SPI_CLK'));
  it('shows text that is drawn twice once', () => expect(one([text(103, Y, 'EN'), text(103.2, Y, 'EN')]).name).toBe('EN'));
  it('doubts text that runs over a column’s edge', () => {
    const rows = [HEAD, ...ROWS, ['5', 'A_NAME_MUCH_TOO_LONG_FOR_ITS_CELL', '', 'Data input']];
    const t = read([of(rows, { rules: 'all' })]).terminals.at(-1)!;
    expect(t.doubts.map((d) => d.reason)).toContain('Text runs over the edge of a column in its row.');
  });
  it('reads rows whose lines stand between those of their long description', () => {
    const head = table([HEAD]);
    const at = (y: number, n: string, name: string, ...said: string[]) => [
      text(53, y, n),
      text(103, y, name),
      text(183, y, 'I'),
      ...said.map((l, i) => text(233, y + 5 * (2 * i - 1), l)),
    ];
    const runs = [
      ...head.runs,
      ...at(145, '1', 'A', 'One line that says much of this input of', 'the part, and one more that ends it here.'),
      ...at(170, '2', 'B', 'See Table 9 for what this input does when', 'nothing is wired to it and it floats.'),
    ];
    expect(read([page([text(50, 80, 'Pin functions', 13), ...runs])]).terminals.map((t) => [t.name, t.description])).toEqual([
      ['A', 'One line that says much of this input of the part, and one more that ends it here.'],
      ['B', 'See Table 9 for what this input does when nothing is wired to it and it floats.'],
    ]);
  });
  it('parts columns that stand as near as words do, by where their cells begin', () => {
    const rows = [['1', 'TXCLKOUT+', 'O, LVDS'], ['2', 'TXCLKOUT-', 'O, LVDS'], ['3', 'R', 'I, CMOS'], ['4', 'VCC', 'P'], ['5', 'GND', 'G']]; // prettier-ignore
    const runs = rows.flatMap(([n, name, type], i) => [
      text(53, 130 + i * 16, n!),
      text(80, 130 + i * 16, name!),
      text(124, 130 + i * 16, type!),
    ]);
    const heads = [text(53, 110, 'Pin'), text(84, 110, 'Name'), text(140, 110, 'I/O, Type')];
    expect(read([page([...heads, ...runs])]).terminals.map((t) => [t.name, t.type])).toEqual([
      ['TXCLKOUT+', 'output'],
      ['TXCLKOUT-', 'output'],
      ['R', 'input'],
      ['VCC', 'supply-in'],
      ['GND', 'ground'],
    ]);
  });
  it('parts a run over two columns where the cells of other rows begin', () => {
    const rows: [string, string, string][] = [['1', 'TRIG', 'Starts the interval'], ['2', 'OUT', 'Driven output'], ['3', 'CTRL', 'Control access'], ['4', 'VCC', 'Supply voltage']]; // prettier-ignore
    const runs = rows.flatMap(([n, name, said], i) => [
      text(53, 130 + i * 16, n),
      text(80, 130 + i * 16, name),
      text(118, 130 + i * 16, said),
    ]);
    const whole = { ...text(80, 194, 'RESET A timing interval ends'), width: 130 };
    const heads = [text(53, 110, 'Pin'), text(84, 110, 'Name'), text(230, 110, 'Purpose')];
    const last = read([page([...heads, ...runs, text(53, 194, '5'), whole])]).terminals.at(-1)!;
    expect([last.name, last.description]).toEqual(['RESET', 'A timing interval ends']);
  });
  it('takes packages by their maker’s codes', () => {
    const rows = [
      ['NAME', 'D', 'RSE', 'I/O'],
      ['A', '1', '3', 'I'],
      ['B', '2', '–', 'O'],
      ['C', '3', '1', 'I'],
      ['E', '4', '2', 'I'],
    ];
    expect(read([of(rows, { rules: 'all' })]).packages).toEqual([
      { name: 'D', pinCount: 4 },
      { name: 'RSE', pinCount: 3 },
    ]);
  });
  it('puts words together that a line’s end broke, and keeps compounds', () => {
    const rows = [HEAD, ['1', 'A', '', 'Output of the inter-\nnal regu-\nlator'], ['2', 'B', '', 'An open-\ndrain output']];
    expect(read([of(rows)]).terminals.map((t) => [t.description, t.type])).toEqual([
      ['Output of the internal regulator', 'supply-out'],
      ['An open-drain output', 'open-drain'],
    ]);
  });
  it('reads centred cells: lines above and below their number', () => {
    const rows = table([HEAD]);
    const at = (y: number, n: string, name: string, ...lines: string[]) => [
      text(53, y, n),
      text(103, y, name),
      text(183, y, 'I'),
      ...lines.map((l, i) => text(233, y + (i - (lines.length - 1) / 2) * 11, l)),
    ];
    const runs = [
      ...rows.runs,
      ...at(150, '1', 'A', 'first line,', 'second line of A,', 'third line'),
      ...at(183, '2', 'B', 'first line,', 'open-drain output,', 'third line'),
    ];
    const [a, b] = read([page(runs)]).terminals;
    expect([a!.description, b!.description]).toEqual([
      'first line, second line of A, third line',
      'first line, open-drain output, third line',
    ]);
  });
});

describe('documents', () => {
  it('finds packages side by side, a dash for what is not bonded out', () => {
    const rows = [
      ['LQFP-48', 'QFN-32', 'Name', 'Type'],
      ['1', '1', 'A', 'I'],
      ['2', '–', 'B', 'O'],
      ['3', '2', 'C', 'I'],
    ];
    const pages = [of(rows, { rules: 'all' })];
    expect(list(pages)).toEqual(['1 A', '2 B', '3 C']);
    expect(list(pages, { package: '32-QFN' })).toEqual(['1 A', '2 C']);
    expect(refused(readPages(pages, { package: 'BGA-9', file: 'a.pdf' }))[0]).toMatch(/^a\.pdf: There is no package "BGA-9"/);
  });
  it('finds packages in tables of their own', () => {
    const first = table([HEAD, ...ROWS], { rules: 'all' });
    const second = table([HEAD, ['2', 'VDD', 'P', 'Supply voltage'], ['1', 'GND', 'G', 'Ground']], { rules: 'all', y: 300 });
    const captions = [text(50, 90, 'Table 1. Pins of the SO-8 package'), text(50, 290, 'Table 2. Pins of the TSSOP-8 package')];
    const p = read([page([...captions, ...first.runs, ...second.runs], [...first.rules, ...second.rules])]);
    expect(p.packages.map((x) => x.name)).toEqual(['SO-8', 'TSSOP-8']);
    expect(p.terminals.find((t) => t.name === 'VDD')!.numbers).toEqual({ 'SO-8': '1', 'TSSOP-8': '2' });
  });
  it('explains codes by its own legend', () => {
    const { runs, rules } = table([HEAD, ['1', 'FOO', 'K', 'First'], ['2', 'BAR', 'L', 'Second']], { rules: 'all' });
    expect(read([page([text(50, 80, 'K = open-drain output, L = logic input'), ...runs], rules)]).terminals.map((t) => t.type)).toEqual([
      'open-drain',
      'input',
    ]);
  });
  it('reads a table set in two halves', () => {
    const rows = [
      ['Pin', 'Name', 'Pin', 'Name'],
      ['1', 'A', '3', 'C'],
      ['2', 'B', '4', 'D'],
    ];
    expect(list([of(rows, { rules: 'all' })])).toEqual(['1 A', '2 B', '3 C', '4 D']);
  });
  it.each(['all', 'none'] as const)('reads a ball map, rules: %s', (rules) => {
    const x = [50, 100, 200, 300];
    const rows = [
      ['', '1', '2', '3'],
      ['A', 'VDD', 'CLK', 'D0'],
      ['B', 'D1', 'VSS', 'D2'],
      ['C', 'D3', 'NC', 'D4'],
    ];
    const { runs, rules: lines } = table(rows, { x, rules, right: 400 });
    const centred = rules === 'all' ? runs : runs.map((r) => (r.x > 90 ? { ...r, x: r.x + 40 - r.width / 2 } : r));
    expect(list([page([text(50, 80, 'Ball map of the BGA-9'), ...centred], lines)])).toEqual([
      'A1 VDD',
      'A2 CLK',
      'A3 D0',
      'B1 D1',
      'B2 VSS',
      'B3 D2',
      'C1 D3',
      'C2 NC',
      'C3 D4',
    ]);
    const [map] = read([page(centred, lines)]).tables!;
    expect([map!.taken, map!.rows, map!.areas![0]!.page]).toEqual([true, 3, 1]);
    expect(list([page(centred, lines)], { without: [read([page(centred, lines)]).table!.rows[1]!.line] })).toHaveLength(6);
  });
  it('names a heading turned sideways', () => {
    const { runs, rules } = table([['', 'Name', 'Type', 'Description'], ...ROWS], { rules: 'all' });
    const turned: Run = { text: 'TSSOP-4', x: 70, y: 117, width: 16, size: 5, turns: 3 };
    expect(read([page([...runs, turned], rules)]).package).toBe('TSSOP-4');
  });
  it('says what it skips, with the page', () => {
    const p = read([of([HEAD, ...ROWS, ['??', 'ODD', 'I', 'Number unread']], { rules: 'all' })], { file: 'a.pdf' });
    expect(p.problems.map(sayProblem)).toEqual([expect.stringMatching(/^a\.pdf, page 1: Row "\?\? \| ODD/)]);
  });
  it('gives the document’s title', () =>
    expect(read([page([text(50, 60, 'TF1 converter', 16), ...table([HEAD, ...ROWS]).runs])]).title).toBe('TF1 converter'));
});

describe('a person’s choices', () => {
  const small = table([HEAD, ...ROWS.slice(0, 2)], { rules: 'all', y: 60 });
  const other = table(
    [
      ['Ball', 'Signal', 'Use'],
      ['A1', 'X', 'some'],
      ['A2', 'Y', 'more'],
      ['A3', 'Z', 'most'],
    ],
    { rules: 'all', y: 300, x: [50, 150, 250] },
  );
  const pages = [page([...small.runs, ...other.runs], [...small.rules, ...other.rules])];
  it('another table', () => {
    expect(read(pages).tables!.map((t) => [t.rows, t.taken])).toEqual([
      [2, false],
      [3, true],
    ]);
    expect(list(pages, { tables: [0] })).toEqual(['1 VDD', '2 CLK']);
  });
  it('a box drawn around a table', () => expect(list(pages, { region: { page: 1, box: [40, 50, 520, 80] } })).toEqual(['1 VDD', '2 CLK']));
  it('a box drawn on a page that stands sideways', () => {
    const [w, h] = [842, 842];
    const turn = (x: number, y: number): [number, number] => [w - y, x];
    const runs = pages[0]!.runs.map((r): Run => ({ ...r, x: turn(r.x, r.y)[0], y: turn(r.x, r.y)[1], turns: 1 }));
    const rules = pages[0]!.rules!.map((r) => ({ x1: w - r.y2, x2: w - r.y1, y1: r.x1, y2: r.x2 }));
    const turned = [{ number: 1, width: w, height: h, runs, rules }];
    expect(list(turned)).toEqual(['A1 X', 'A2 Y', 'A3 Z']);
    expect(list(turned, { region: { page: 1, box: [w - 130, 40, 80, 520] } })).toEqual(['1 VDD', '2 CLK']);
  });
  it('a row left out, and taken again', () => {
    const rows = read(pages, { tables: [0] }).table!.rows;
    expect(list(pages, { tables: [0], without: [rows[0]!.line] })).toEqual(['2 CLK']);
  });
  it('another role for a column', () => {
    const p = read(pages, { tables: [0], roles: ['number', 'name', 'ignore', 'description'] });
    expect(p.terminals[0]!.because['type']).not.toMatch(/type column/);
  });
  it('one page', () => expect(refused(readPages(pages, { page: 7, file: 'a.pdf' }))[0]).toBe('a.pdf: There is no page 7; it has 1.'));
});

describe('what cannot be read', () => {
  it('pages without text', () =>
    expect(refused(readPages([page([])], { file: 'scan.pdf' }))[0]).toMatch(/^scan\.pdf: Its pages are pictures without text/));
  it('text without a table', () =>
    expect(refused(readPages([page([text(50, 50, 'Only some words stand on this page, and no table.')])]))[0]).toMatch(
      /No pin table was found on its 1 page/,
    ));
  it('text of no size, or nowhere near the paper, is none of the table', () => {
    const { runs } = table([['Pin', 'Name', 'Type'], ['1', 'VDD', 'P'], ['2', 'GND', 'G'], ['3', 'OUT', 'O']]); // prettier-ignore
    const unseen = [
      { ...text(100, 100, 'X'), size: 0 },
      { ...text(1e9, 100, '4'), x: NaN },
      text(1e9, 1e12, 'FAR'),
      { ...text(60, 60, 'Y'), size: -4 },
    ];
    expect(list([page([...runs, ...unseen], [across(0, 1e12, 100)])])).toEqual(list([page(runs, [])]));
  });
  it('a page that is damaged is said, whatever the others give', () => {
    const damaged = (number: number) => ({ ...page([], [], number), isDamaged: true as const });
    const { runs } = table([['Pin', 'Name', 'Type'], ['1', 'VDD', 'P'], ['2', 'GND', 'G'], ['3', 'OUT', 'O']]); // prettier-ignore
    const says = /^x\.pdf: Page 2 is damaged: nothing on it could be read/;
    const read = good(readPages([page(runs), damaged(2)], { file: 'x.pdf' }));
    expect([read.terminals.length, sayProblem(read.problems[0]!)]).toEqual([3, expect.stringMatching(says)]);
    const words = page([text(50, 50, 'Only some words stand on this page, and no table.')]);
    expect(refused(readPages([words, damaged(2)], { file: 'x.pdf' }))[1]).toMatch(says);
    expect(refused(readPages([damaged(1), damaged(2)], { file: 'x.pdf' }))).toEqual(['x.pdf: It is damaged or no PDF. Download it again.']);
  });
  it('property: any runs and rules are read or refused', () => {
    // Mostly as on paper, and now and then anything a damaged file can say.
    const number = (min: number, max: number) => fc.oneof({ weight: 12, arbitrary: fc.double({ min, max, noNaN: true }) }, { weight: 1, arbitrary: fc.oneof(fc.double(), fc.constant(0)) }); // prettier-ignore
    const run = fc.record({
      text: fc.constantFrom('Pin', 'Name', 'Type', '1', '2', 'A1', 'VDD', ' ', 'Description of it', '–'),
      x: number(0, 600),
      y: number(0, 800),
      width: number(0, 200),
      size: number(1, 30),
      turns: fc.constantFrom(0 as const, 1 as const, 2 as const, 3 as const),
    });
    const rule = fc
      .tuple(fc.nat(600), fc.nat(600), fc.nat(800), fc.boolean())
      .map(([a, b, y, flat]) => (flat ? across(Math.min(a, b), Math.max(a, b) + 1, y) : down(a, Math.min(b, y), Math.max(b, y) + 1)));
    fc.assert(
      fc.property(fc.array(run, { maxLength: 60 }), fc.array(rule, { maxLength: 30 }), (runs, rules) => {
        const result = readPages([page(runs, rules)]);
        expect(result.ok || result.problems.length > 0).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
  it('property: a printed table is read back', () => {
    const name = fc.stringMatching(/^[A-Z]{2,5}[0-9]?$/).filter((n) => !/^(NC|EP|PAD|DAP|TAB|PIN|NOTE|SEE|NOTES)/.test(n));
    fc.assert(
      fc.property(
        fc.uniqueArray(name, { minLength: 4, maxLength: 24 }),
        fc.constantFrom('all' as const, 'rows' as const, 'none' as const),
        fc.integer({ min: 14, max: 24 }),
        (names, rules, pitch) => {
          const rows = names.map((n, i) => [String(i + 1), n, 'I', i % 3 ? 'Input of the part' : 'Input of the part,\nwith two lines']);
          expect(list([of([HEAD, ...rows], { rules, pitch })])).toEqual(names.map((n, i) => `${i + 1} ${n}`));
        },
      ),
      { numRuns: 60 },
    );
  });
});

it.each<[string, Run[], number[]]>([
  ['headings', table([HEAD]).runs, [1]],
  ['prose', [text(50, 50, 'The device measures what it needs.')], []],
  ['ratings', table([['Parameter', 'Min', 'Max', 'Unit']]).runs, []],
])('rules are fetched for pages with %s: %j', (_what, runs, pages) => expect(pagesWorthRuling([page(runs)])).toEqual(pages));
