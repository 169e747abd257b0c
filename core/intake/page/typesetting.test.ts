import { pagesWorthRuling, readPages, terminalsIn } from '..';
import type { Run } from './page';
import { across, down, list, page, read, table, text } from './page.samples';
import { widthOf, wordsAndRules } from './words';

/** How wide a text is that an office program sets: cells that touch are one run. */
const width = (value: string, size = 9): number => [...value].reduce((sum, c) => sum + widthOf(c) * size, 0);
const run = (x: number, y: number, value: string): Run => ({ ...text(x, y, value), width: width(value) });
/** Rows whose cells are runs of their own at the places of the columns. */
const rowsAt = (places: number[], y: number, pitch: number, rows: string[][]): Run[] =>
  rows.flatMap((cells, r) => cells.flatMap((cell, i) => (cell === '' ? [] : [run(places[i]!, y + r * pitch, cell)])));

describe('cells set so near to each other that they are one run', () => {
  it('parts the heading where the cells below it begin', () => {
    const heading = 'Pin Name Pin Number Function';
    const places = [44, 44 + width('Pin Name '), 44 + width('Pin Name Pin Number ')];
    const rows = [['A0', '1', 'Address input'], ['VCC', '14', 'Power'], ['VSS', '15', 'Ground'], ['WE', '20', 'Write enable'], ['A8', '22', 'Address input']]; // prettier-ignore
    const one = page([run(44, 100, heading), ...rowsAt(places, 126, 26, rows)]);
    expect(pagesWorthRuling([one])).toEqual([1]);
    expect(list([one])).toEqual(['1 A0', '14 VCC', '15 VSS', '20 WE', '22 A8']);
  });
  it('parts it the same way on the next page, however few rows stand there', () => {
    const heading = 'No. Module Name I/O Description';
    const places = ['', 'No. ', 'No. Module ', 'No. Module Name ', 'No. Module Name I/O '].map((t) => 44 + width(t) + 2 * t.length);
    const cells = ['No.', 'Module', 'Name', 'I/O', 'Description'];
    const rows = Array.from({ length: 8 }, (_, i) => [String(i + 1), 'All', `P${i + 1}`, 'I/O', 'Port line']);
    const first = page([...rowsAt(places, 100, 0, [cells]), ...rowsAt(places, 126, 26, rows)]);
    const last = page(
      [
        { ...run(44, 60, heading), width: places[4]! + width('Description') - 44 },
        ...rowsAt(places, 86, 26, [['9', 'All', 'VCC', 'I', 'Supply voltage']]),
      ],
      [],
      2,
    );
    expect(list([first, last]).slice(7)).toEqual(['8 P8', '9 VCC']);
  });
  it('keeps a list of numbers together that reaches up to the next column', () => {
    const [name, number, type, said] = [44, 72, 72 + width('7, 10, 11, 14 '), 72 + width('7, 10, 11, 14 I/O ')];
    const rows = [['A', '12', 'I/O', 'Bus line'], ['B', '13', 'I/O', 'Bus line'], ['D', '6', 'I', 'Driver input'], ['DE', '5', 'I', 'Driver enable'], ['R', '3', 'O', 'Receiver output']]; // prettier-ignore
    const runs = [
      ...rowsAt([name, number, type, said], 100, 0, [['NAME', 'NO.', 'I/O', 'DESCRIPTION']]),
      ...rowsAt([name, number, type, said], 127, 27, rows),
      ...rowsAt([name, number, said], 262, 0, [['NC', '7, 10, 11, 14 -', 'No internal connection']]),
    ];
    expect(list([page(runs)]).slice(5)).toEqual(['7 NC', '10 NC', '11 NC', '14 NC']);
  });
});

describe('titles of groups', () => {
  const HEAD = ['PIN NAME', 'PIN #', 'I/O', 'DESCRIPTION'];
  const SIGNALS = [['DIN', '1', 'I', 'Data input'], ['DOUT-', '2', 'O', 'Data output, inverted']]; // prettier-ignore
  const SUPPLIES = [['VDD', '3', 'P', 'Supply voltage'], ['VSS', '4', 'G', 'Ground']]; // prettier-ignore
  const ALL = ['1 DIN', '2 DOUT-', '3 VDD', '4 VSS'];

  it('stand between open sides of a ruled table', () => {
    const upper = table([HEAD, ...SIGNALS], { rules: 'all' });
    const lower = table(SUPPLIES, { rules: 'all', y: upper.end + 16 });
    const title = text(53, upper.end + 11, 'POWER AND GROUND');
    const terminals = terminalsIn(read([page([...upper.runs, title, ...lower.runs], [...upper.rules, ...lower.rules])]));
    expect(terminals.map((t) => t.description)).toEqual([...SIGNALS, ...SUPPLIES].map((row) => row[3]));
  });
  it('are no part of a name above them that ends with a sign', () =>
    expect(list([page(table([HEAD, ...SIGNALS, ['POWER AND GROUND', '', '', ''], ...SUPPLIES]).runs)])).toEqual(ALL));
});

describe('names in a full first column', () => {
  const rows = (broken: string[]) => [
    ['Label', 'Pin', 'Description'],
    ['RF IN', '2', 'Input of the amplifier'],
    ['Vbias', '3', 'Bias current'],
    [broken[0]!, '7', 'Output and drain supply'],
    [broken[1]!, '', ''],
    ['GND', '8', 'Ground'],
  ];
  const named = (broken: string[]) => terminalsIn(read([page(table(rows(broken), { x: [50, 102, 150], pitch: 11 }).runs)]));

  it('go on with what has the signs of a name', () =>
    expect(named(['RF', 'OUT/VDD']).map((t) => t.name)).toEqual(['RF IN', 'Vbias', 'RF OUT/VDD', 'GND']));
  it('are asked about where a plain word follows', () =>
    expect(named(['OUT_RF', 'CONTROL'])[2]!.doubts.some((d) => d.field === 'name')).toBe(true));
});

it('reads on behind a pin named SOURCE', () => {
  const rows = [['Symbol', 'Pin', 'Description'], ['SENSE', '1', 'sense input'], ['SOURCE', '2', 'source connection of the external switch, sense return'], ['GND', '3', 'ground']]; // prettier-ignore
  expect(list([page(table(rows, { x: [50, 100, 130] }).runs)])).toEqual(['1 SENSE', '2 SOURCE', '3 GND']);
});

it('takes a pad that has a word for its number where rows stand apart', () => {
  const { runs, end } = table(
    [
      ['Name', 'Pin', 'Description'],
      ['VDD', '1', 'Supply'],
      ['OUT', '2', 'Output'],
    ],
    { x: [50, 100, 130] },
  );
  const last = table([['VSS', 'DAP', 'DAP must be grounded.']], { x: [50, 100, 130], y: end + 20.5 });
  expect(list([page([...runs, ...last.runs])])).toEqual(['1 VDD', '2 OUT', 'EP VSS']);
});

it('parts rows by names that read as balls, where upright lines alone part the columns', () => {
  const names = ['A0', 'EN', 'NO1', 'NO2', 'A2', 'A1'];
  const { runs, end } = table([['PIN', 'NAME', 'FUNCTION'], ...names.map((n, i) => [String(i + 1), n, 'Address or switch line'])], { x: [50, 100, 180] }); // prettier-ignore
  const rules = [across(50, 540, 100), across(50, 540, 118), across(50, 540, end), ...[50, 100, 180, 540].map((x) => down(x, 100, end))];
  expect(list([page(runs, rules)])).toEqual(names.map((n, i) => `${i + 1} ${n}`));
});

it('takes a raised figure hardly smaller than its heading for a note', () => {
  const head = text(100, 100, 'I/O');
  const { words } = wordsAndRules(page([head, text(100 + head.width, 95.6, '1', 8.6)]));
  expect(words.map((w) => w.text)).toEqual(['I/O¹']);
});

it('takes Input/Output for a heading over types', () => {
  const rows = [['Pin No.', 'Mnemonic', 'Input/Output', 'Description'], ['3', 'P0', 'I', 'Pixel port'], ['4', 'HSYNC', 'I/O', 'Synchronization']]; // prettier-ignore
  expect(terminalsIn(read([page(table(rows).runs)])).map((t) => t.type)).toEqual(['input', 'bidirectional']);
});

describe('a list that is counted and named as terminals are', () => {
  const rows = [['No.', 'Name', 'Meaning'], ['1', 'OC', 'Overcurrent'], ['2', 'OT', 'Overheating'], ['3', 'UV', 'Undervoltage']]; // prettier-ignore
  const under = (title: string) => page([text(50, 90, title), ...table(rows, { y: 100 }).runs], []);
  it.each(['Error codes', 'Absolute maximum ratings', 'List of figures'])('is none of them under “%s”', (title) =>
    expect(readPages([under(title)]).ok).toBe(false),
  );
  it.each(['Terminals', 'Error codes of the pins', 'Functions'])('may be one under “%s”', (title) =>
    expect(list([under(title)])).toEqual(['1 OC', '2 OT', '3 UV']),
  );
  it('is one where a person drew a box around it', () => {
    const region = { page: 1, box: [40, 80, 520, 120] as [number, number, number, number] };
    expect(list([under('Error codes')], { region })).toHaveLength(3);
  });
});

describe('headings whose letters are set apart', () => {
  const spaced = (x: number, word: string) => [...word].map((letter, i) => text(x + i * 8, 111, letter));
  const rows = table([['1', 'VIN', 'Supply'], ['2', 'GND', 'Ground'], ['3', 'EN', 'Enable']], { x: [50, 110, 200], y: 118 }).runs; // prettier-ignore
  const pages = [page([...spaced(53, 'PIN'), ...spaced(113, 'NAME'), ...spaced(203, 'FUNCTION'), ...rows])];
  it('are words', () => expect(list(pages)).toEqual(['1 VIN', '2 GND', '3 EN']));
  it('make their page worth its rules', () => expect(pagesWorthRuling(pages)).toEqual([1]));
});

describe('two text columns', () => {
  const ROWS = Array.from({ length: 9 }, (_, i) => [String(i + 1), `P${i + 1}`, 'Port line']);
  const prose = (lines: number) => Array.from({ length: lines }, (_, i) => text(45, 66 + i * 13, 'The device is made for small carriers'));
  const right = { x: [320, 350, 400], y: 55, pitch: 13 };

  it('have a heading at the foot of one for the rows of the next', () => {
    const { runs } = table(ROWS, right);
    const heads = table([['Pin', 'Name', 'Description']], { x: [45, 75, 125], y: 55 + 9 * 13 });
    expect(list([page([...prose(8), ...heads.runs, ...runs])])).toHaveLength(9);
  });
  it('have a table in the right one on the same lines as text in the left one', () => {
    const { runs } = table([['Pin', 'Name', 'Description'], ...ROWS], right);
    expect(list([page([...prose(6).slice(1), ...runs])])).toHaveLength(9);
  });
  it('have rows in the right one that count on from the left one', () => {
    const left = table([['Pin', 'Name', 'Description'], ...ROWS.slice(0, 2)], { x: [45, 75, 125], y: 55 + 6 * 13, pitch: 13 });
    const { runs } = table(ROWS.slice(2), right);
    expect(list([page([...prose(6), ...left.runs, ...runs])])).toEqual(ROWS.map(([n, name]) => `${n} ${name}`));
  });
});
