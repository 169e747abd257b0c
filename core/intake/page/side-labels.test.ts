import { terminalsIn } from '..';
import type { Run } from './page';
import { across, down, page, read, table, text } from './page.samples';

/** Titles of groups beside their rows: set sideways, or once for rows that no line parts. */
const ROWS = ['VDD|P', 'GND|G', 'EN|I', 'CLK|I', 'OUT|O', 'ERR|O'].map((r, i) => [String(i + 1), ...r.split('|'), 'Of the part']);
const GROUPS = ['Supply', 'Supply', 'Control', 'Control', 'Signals', 'Signals'];
const HEAD = ['Pin', 'Name', 'Type', 'Description'];

/** Text from the bottom to the top, its middle at a height. */
const turned = (x: number, middle: number, value: string): Run => ({ ...text(x, middle + (value.length * 9) / 4, value), turns: 3 });
const groupsOf = (...pages: Parameters<typeof read>[0]) => terminalsIn(read(pages)).map((t) => t.group);

describe('titles set sideways', () => {
  const t = table([HEAD, ...ROWS], { y: 100 });
  // The rows' baselines stand 18 points apart, from 129 on.
  const beside = (by: number) => ['Supply', 'Control', 'Signals'].map((g, i) => turned(40, 135 + 36 * i + by, g));
  it('left of a table without lines are its groups', () => {
    expect(groupsOf(page([...t.runs, ...beside(0)]))).toEqual(GROUPS);
  });
  it('are asked where they do not come out even', () => {
    const p = read([page([...t.runs, ...beside(0).slice(0, 2)])]);
    expect(p.terminals.every((q) => q.doubts.some((d) => d.field === 'group'))).toBe(true);
  });
  it.each([
    ['alone', 1],
    ['at the same place of each page', 2],
  ])('as a note in the margin, %s, are none', (_, pages) => {
    const notes = ['Preliminary', 'Confidential'].slice(0, pages).map((note, i) => turned(40, 150 + 60 * i, note));
    const more = table([HEAD, ['7', 'NC', 'NC', 'Open'], ['8', 'TEST', 'I', 'Of the part']], { y: 100 });
    const p = read([page([...t.runs, ...notes]), page([...more.runs, ...notes], [], 2)].slice(0, pages));
    expect(p.terminals.flatMap((q) => q.doubts.filter((d) => d.field === 'group'))).toEqual([]);
    expect(p.terminals.map((q) => q.group)).not.toContain('Preliminary');
  });
  it('far from the table are none', () => {
    const p = read([page([...t.runs.map((r) => ({ ...r, x: r.x + 90 })), ...beside(0)])]);
    expect(p.terminals.map((q) => q.group)).not.toContain('Signals');
  });
  it('go on on the next page, where the table has none', () => {
    const more = table([HEAD, ['7', 'NC', 'NC', 'Open'], ['8', 'TEST', 'I', 'Of the part']], { y: 60 });
    expect(groupsOf(page([...t.runs, ...beside(0)]), page(more.runs, [], 2)).slice(0, 6)).toEqual(GROUPS);
  });
  it('of two words that were set one by one are one', () => {
    const words = [turned(40, 216.6, 'Data'), turned(40, 196.4, 'bus')];
    expect(groupsOf(page([...t.runs, beside(0)[0]!, turned(40, 171, 'Reset'), ...words])).slice(4)).toEqual(['Data bus', 'Data bus']);
  });
});

describe('a label between lines that part groups only', () => {
  const x = [50, 130, 180, 240];
  const bands = (labels: string[]) => {
    const t = table([['Group', 'Pin', 'Name', 'Type'], ...ROWS.map((r) => ['', ...r.slice(0, 3)])], { x, y: 100, right: 300 });
    const ys = [100, 118, 154, 190, 226];
    const rules = [...ys.map((y) => across(50, 300, y)), ...[...x, 300].map((at) => down(at, 100, 226))];
    return page([...t.runs, ...labels.map((l, i) => text(53, 138 + 36 * i, l))], rules);
  };
  it('holds for all rows of its band', () => {
    expect(groupsOf(bands(['Supply', 'Control', 'Signals']))).toEqual(GROUPS);
  });
  it('leaves the names of two rows two names', () => {
    const p = read([bands(['Supply', 'Control', 'Signals'])]);
    expect(p.terminals.map((t) => t.name)).toEqual(['VDD', 'GND', 'EN', 'CLK', 'OUT', 'ERR']);
  });
});

it('a title in the middle of a table whose lines run through its row is that of a group', () => {
  const x = [50, 100, 180, 230];
  const t = table([HEAD, [''], ...ROWS.slice(0, 3), [''], ...ROWS.slice(3)], { x, rules: 'all', y: 100 });
  // The table reaches from 50 to 540.
  const titles = ['Supply and enable', 'Signals'].map((title, i) => text(295 - (title.length * 9) / 4, 129 + 72 * i, title));
  // A row without cells has no lines between its columns in the sample; here they run through.
  const lines = [...x, 540].map((at) => down(at, 100, t.end));
  const first = 'Supply and enable';
  expect(groupsOf(page([...t.runs, ...titles], [...t.rules, ...lines]))).toEqual([first, first, first, 'Signals', 'Signals', 'Signals']);
});

it('words under no heading before all columns are groups', () => {
  const rows = ROWS.map((r, i) => [i % 2 === 0 ? GROUPS[i]! : '', ...r.slice(0, 3)]);
  const t = table([['', 'Pin', 'Name', 'Type'], ...rows], { x: [50, 130, 180, 240], rules: 'none', y: 100 });
  const rules = [100, 118, 154, 190, 226].map((y) => across(50, 300, y)).concat([136, 172, 208].map((y) => across(130, 300, y)));
  expect(groupsOf(page(t.runs, [...rules, ...[50, 130, 180, 240, 300].map((x) => down(x, 100, 226))]))).toEqual(GROUPS);
});
