import type { Run } from './page';
import { across, down, list, page, read, table, text } from './page.samples';

/** The pages of typesetters that leave no white: headings on bands, cells that touch, titles without a line of their own. */
const ROWS = [
  ['1', 'VDD', 'P', 'Supply'],
  ['2', 'EN', 'I', 'Enable'],
  ['3', 'OUT', 'O', 'Output'],
  ['4', 'GND', 'G', 'Ground'],
];
const NAMES = ['1 VDD', '2 EN', '3 OUT', '4 GND'];

/** A row of which one run of text goes over the columns from `from` on; its characters are as wide as those of others. */
const over = (y: number, from: number, words: string): Run => text(from, y, words);

it('reads a ruled table whose heading stands on a band without lines', () => {
  const body = table(ROWS, { rules: 'all', y: 118 });
  const heads = ['Pin', 'Name', 'Type', 'Function'].map((h, i) => text([53, 103, 183, 233][i]!, 111, h));
  expect(list([page([...heads, ...body.runs], body.rules)])).toEqual(NAMES);
});

it('takes both halves of such a table', () => {
  const x = [50, 90, 150, 250, 290, 350];
  const rows = ROWS.slice(0, 2).map((r, i) => [...r.slice(0, 3), ...ROWS[i + 2]!.slice(0, 3)]);
  const body = table(rows, { x, rules: 'all', y: 118, right: 420 });
  const heads = ['Pin', 'Name', 'Type', 'Pin', 'Name', 'Type'].map((h, i) => text(x[i]! + 3, 111, h));
  expect(list([page([...heads, ...body.runs], body.rules)])).toEqual(NAMES);
});

it('is not misled by a title above a ruled table', () => {
  const body = table([['Pin', 'Name', 'Type', 'Function'], ...ROWS], { rules: 'all', y: 118 });
  expect(list([page([text(53, 111, 'Pin functions'), ...body.runs], body.rules)])).toEqual(NAMES);
});

describe('cells that touch', () => {
  const x = [50, 110, 150, 480];
  const given = (last: Run[]) => {
    const rows = ROWS.map(([n, name, type, said]) => [name!, type!, `${said!} of the part`, n!]);
    const t = table([['Name', 'Type', 'Description', 'Pin'], ...rows], { x });
    return list([page([...t.runs, ...last])]);
  };
  const cells = (y: number, name: string, type: string) => [text(53, y, name), text(113, y, type)];

  it('parts a number from a description that fills its column', () => {
    const said = 'Feedback of the regulator, to be tied to the divider at the far end.';
    // The run ends where the figure does.
    const run = { ...over(201, 153, `${said}5`), width: 483 + 0.55 * 9 - 153 };
    expect(given([...cells(201, 'FB', 'I'), run])).toEqual([...NAMES, '5 FB']);
  });

  it('leaves a figure alone that does not stand where numbers do', () => {
    const run = { ...over(201, 153, 'Feedback to gpio5'), width: 90 };
    expect(given([...cells(201, 'FB', 'I'), run, text(483, 201, '5')])).toEqual([...NAMES, '5 FB']);
  });
});

it.each<[string, string]>([
  ['beyond the text', 'Supply|Signals'],
  ['in capitals', 'SUPPLY|SIGNALS'],
])('takes centred titles of groups %s', (_, titles) => {
  const [first, second] = titles.split('|') as [string, string];
  const t = table([['Pin', 'Name', 'Type', 'Function'], [''], ...ROWS.slice(0, 2), [''], ...ROWS.slice(2)]);
  const centred = (title: string, y: number) => text(330 - (title.length * 9) / 4, y, title);
  const p = read([page([...t.runs, centred(first, 129), centred(second, 183)])]);
  expect(p.terminals.map((q) => q.group)).toEqual([first, first, second, second]);
});

it('takes a title that no line parts from its first row', () => {
  const rows = [
    ['Name', 'Type', 'Pin'],
    ['Supply\nVDD', '\nP', '\n1'],
    ['GND', 'G', '2'],
    ['Signals\nEN', '\nI', '\n3'],
    ['OUT', 'O', '4'],
  ];
  const t = table(rows, { x: [50, 130, 200], rules: 'rows', right: 300 });
  const p = read([page(t.runs, t.rules)]);
  expect(p.terminals.map((q) => [q.name, q.group])).toEqual([['VDD', 'Supply'], ['GND', 'Supply'], ['EN', 'Signals'], ['OUT', 'Signals']]); // prettier-ignore
});

it('goes on through a row that is full to its edges', () => {
  const t = table([['Pin', 'Name', 'Type', 'Function'], ...ROWS]);
  const row = [text(53, 201, '5'), text(103, 201, 'LONGNAME_OUT17'), text(183, 201, 'Digital in'), text(233, 201, 'Reads the state of the whole part, and clears it.')]; // prettier-ignore
  const last = [text(53, 219, '6'), text(103, 219, 'NC'), text(183, 219, 'NC'), text(233, 219, 'Open')];
  expect(list([page([...t.runs, ...row, ...last])])).toEqual([...NAMES, '5 LONGNAME_OUT17', '6 NC']);
});

it('tells of balls that stand behind the end of their table', () => {
  const rows = ['A1', 'A2', 'B1', 'B2'].map((n, i) => [n, ...ROWS[i]!.slice(1)]);
  const t = table([['Ball', 'Name', 'Type', 'Function'], ...rows]);
  const prose = 'The balls of the second group are for tests in the factory only and stay open on all boards that are sold.';
  const behind = ['C1', 'C2'].flatMap((n, i) => [text(53, 260 + 18 * i, n), text(103, 260 + 18 * i, `TEST${i}`)]);
  const p = read([page([...t.runs, text(50, 225, prose), ...behind])]);
  expect(p.problems.map((q) => q.code)).toContain('rows-left');
});

it('tells of a row behind the end of a table whose numbers stand last', () => {
  const x = [50, 130, 180, 400];
  const t = table([['Name', 'Type', 'Function', 'Pin'], ...ROWS.map(([n, name, type, said]) => [name!, type!, said!, n!])], { x });
  const prose = 'All of the pins above are told from the top of the part, with its mark at the upper left of the drawing.';
  const p = read([page([...t.runs, text(50, 225, prose), text(53, 300, 'RSTN'), text(133, 300, 'I'), text(403, 300, '5')])]);
  expect(p.problems.map((q) => q.code)).toContain('rows-left');
});

it('takes the end of a description for no heading', () => {
  const rows = [
    ...ROWS,
    ['5', 'SQ', 'I', 'Keeps the level as long as this is low and\nactive. Tie to the pin name to enable.'],
    ['6', 'NC', 'NC', 'Open'],
  ];
  expect(list([page(table([['Pin', 'Name', 'Type', 'Function'], ...rows]).runs)])).toEqual([...NAMES, '5 SQ', '6 NC']);
});

it('reads a box that lines close on all sides', () => {
  const t = table(ROWS, { rules: 'none', y: 118 });
  const box = [across(50, 540, 118), across(50, 540, 190), down(50, 118, 190), down(540, 118, 190)];
  const heads = ['Pin', 'Name', 'Type', 'Function'].map((h, i) => text([53, 103, 183, 233][i]!, 111, h));
  expect(list([page([...heads, ...t.runs], box)])).toEqual(NAMES);
});
