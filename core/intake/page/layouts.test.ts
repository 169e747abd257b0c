import fc from 'fast-check';
import { readPages, terminalsIn } from '..';
import type { DocumentPage, Rule, Run } from './page';
import { across, down, text } from './page.samples';

/**
 * Pages as datasheets are set, put together at random: columns in several orders under usual headings, ruled or not, cells
 * at the top, in the middle or on the last line, lists of numbers, titles of groups at the left or in the middle, prose and
 * another table above, notes or another table below, over
 * several pages with the heading repeated or not. Each terminal is read, or something says that it may be missing or wrong.
 */
type Column = 'number' | 'name' | 'type' | 'description';
type Row = Record<Column, string> | { group: string };

const KINDS: [type: string, names: string[], said: string[]][] = [
  ['P', ['VDD', 'VCC', 'AVDD'], ['Supply voltage', 'Supply of the digital pins, to be bypassed with 100 nF close to the pin']],
  ['G', ['GND', 'VSS', 'PGND'], ['Ground', 'Ground of the analog part']],
  ['I', ['CLK', 'EN', 'RESET_N', 'SDI', 'CS', 'MODE', 'TRIG'], ['Input of the clock', 'Enable input; high turns the part on', 'Mode select input. Tie to ground or to the supply; the level is read at the rising edge of the reset and kept until the next one']], // prettier-ignore
  [
    'O',
    ['INT', 'SDO', 'CLKOUT', 'STAT'],
    ['Output of the interrupt', 'Status output, high when the conversion is done and the result can be read'],
  ],
  ['I/O', ['SDA', 'GPIO0', 'PA1', 'PB3/ADC3', 'D0'], ['General-purpose I/O', 'Bidirectional data line of the bus']],
  ['NC', ['NC'], ['Not connected']],
];
const HEADS: Record<Column, string[]> = {
  number: ['Pin', 'Pin No.', 'No.', 'Pin\nNo.', 'Terminal\nNo.'],
  name: ['Name', 'Pin Name', 'Symbol', 'Signal', 'Pin\nName'],
  type: ['Type', 'I/O', 'Pin\nType'],
  description: ['Description', 'Function', 'Pin Description'],
};
const ORDERS: Column[][] = [
  ['number', 'name', 'type', 'description'],
  ['name', 'number', 'type', 'description'],
  ['number', 'name', 'description'],
];
const PROSE = ['All voltages are given against ground unless it is said otherwise.', 'Keep the loop of the supply short and wide.'];
const RATINGS = [['Symbol', 'Parameter', 'Min', 'Max', 'Unit'], ['VDD', 'Supply', '1.7', '3.6', 'V'], ['TA', 'Ambient', '-40', '85', '°C']]; // prettier-ignore
const OTHER = [['Revision history'], ['Revision', 'Date', 'Description'], ['A', 'March 2025', 'First issue'], ['B', 'June 2025', 'Pin 7 renamed']]; // prettier-ignore
/** Where a page's text begins and ends, in points. */
const [TOP, BOTTOM] = [60, 790];

const layout = fc.record({
  columns: fc.constantFrom(...ORDERS),
  rules: fc.constantFrom('all', 'rows', 'head', 'none' as const),
  align: fc.constantFrom('top', 'middle', 'bottom' as const),
  isTitleCentred: fc.boolean(),
  hasOtherBelow: fc.boolean(),
  size: fc.constantFrom(7.5, 8, 9, 10),
  lead: fc.constantFrom(1.1, 1.2, 1.35),
  pad: fc.constantFrom(2, 3.5, 5),
  width: fc.constantFrom(400, 480, 495),
  left: fc.constantFrom(50, 57, 90),
  repeats: fc.boolean(),
  hasRatings: fc.boolean(),
  hasGroups: fc.boolean(),
  hasLists: fc.boolean(),
  hasFurniture: fc.boolean(),
  hasNote: fc.boolean(),
  isBalls: fc.boolean(),
  pins: fc.array(fc.tuple(fc.nat(KINDS.length - 1), fc.nat(20), fc.nat(20)), { minLength: 5, maxLength: 60 }),
  heads: fc.tuple(fc.nat(9), fc.nat(9), fc.nat(9), fc.nat(9)),
});
type Layout = typeof layout extends fc.Arbitrary<infer T> ? T : never;

function rowsOf({ pins, isBalls, hasLists, hasGroups }: Layout): Row[] {
  const seen = new Map<string, number>();
  const rows: Row[] = [];
  let next = 1;
  const number = () => (isBalls ? `${'ABCDEFGHJKLMNPR'[Math.floor((next - 1) / 8)]}${((next++ - 1) % 8) + 1}` : String(next++));
  for (const [kind, which, words] of pins) {
    const [type, names, said] = KINDS[kind]!;
    const base = names[which % names.length]!;
    const count = seen.get(base) ?? 0;
    seen.set(base, count + 1);
    const many = hasLists && (type === 'P' || type === 'G') ? 1 + (words % 3) : 1;
    const name = count === 0 || /^(P|G|NC)$/.test(type) ? base : `${base.split('/')[0]}_${count}`;
    rows.push({ number: Array.from({ length: many }, number).join(', '), name, type, description: said[words % said.length]! });
  }
  if (hasGroups) rows.splice(0, 0, { group: 'Power supply' });
  if (hasGroups) rows.splice(Math.floor(rows.length / 2), 0, { group: 'Digital interface' });
  return rows;
}

const ADVANCE = 0.5;
const wrap = (cell: string, width: number, size: number): string[] =>
  cell.split('\n').flatMap((part) => {
    const most = Math.max(3, Math.floor(width / (size * ADVANCE)));
    const lines = [''];
    for (const word of part.split(' ')) {
      const line = lines.at(-1)!;
      if (line !== '' && line.length + 1 + word.length > most) lines.push(word);
      else lines[lines.length - 1] = line === '' ? word : `${line} ${word}`;
    }
    return lines;
  });

function print(l: Layout, rows: readonly Row[]): DocumentPage[] {
  const { columns, size, pad, rules } = l;
  const share = { number: 1.1, name: 1.6, type: 0.8, description: 4 };
  const sum = columns.reduce((s, c) => s + share[c], 0);
  const xs = columns.reduce<number[]>((at, c) => [...at, at.at(-1)! + (l.width * share[c]) / sum], [l.left]);
  const lead = size * l.lead;
  const pages: DocumentPage[] = [];
  let [runs, lines, y, top]: [Run[], Rule[], number, number] = [[], [], TOP, TOP];
  const line = (at: number) => lines.push(across(xs[0]!, xs.at(-1)!, at));
  const startPage = () => {
    [runs, lines, y] = [[], [], TOP];
    if (l.hasFurniture)
      runs.push(text(50, 30, 'TF7777 sonde interface', 8), text(50, 815, 'Rev. B', 8), text(540, 815, String(pages.length + 1), 8));
  };
  const endPage = () => pages.push({ number: pages.length + 1, width: 595, height: 842, runs, rules: lines });
  const cellsOf = (texts: string[]) => texts.map((t, i) => wrap(t, xs[i + 1]! - xs[i]! - 2 * pad, size));
  const put = (cells: string[][], height: number, align: Layout['align']) =>
    cells.forEach((cell, i) => {
      const room = height - 2 * pad - cell.length * lead;
      const off = { top: 0, middle: room / 2, bottom: room }[align];
      cell.forEach((t, k) => runs.push(text(xs[i]! + pad, y + pad + off + size * 0.8 + k * lead, t, size)));
    });
  const heightOf = (cells: string[][]) => Math.max(...cells.map((c) => c.length)) * lead + 2 * pad;
  const head = () => {
    const cells = cellsOf(columns.map((c, i) => HEADS[c][l.heads[i]! % HEADS[c].length]!));
    const height = heightOf(cells);
    top = y;
    if (rules !== 'none') for (const at of [y, y + height]) line(at);
    put(cells, height, 'top');
    y += height;
  };
  const close = () => {
    if (rules === 'all') for (const x of xs) lines.push(down(x, top, y));
    if (rules !== 'none') line(y);
  };
  const turn = () => {
    close();
    endPage();
    startPage();
    top = y;
    if (l.repeats) head();
    else if (rules === 'all') line(y);
  };
  startPage();
  for (const p of PROSE) runs.push(text(50, (y += 11), p));
  for (const r of l.hasRatings ? RATINGS : []) {
    y += 12;
    r.forEach((t, i) => runs.push(text(50 + i * 80, y, t, 8)));
  }
  runs.push(text(50, (y += 30), 'Table 3. Pin functions', 11));
  y += 20;
  head();
  for (const row of rows) {
    const cells = 'group' in row ? [] : cellsOf(columns.map((c) => row[c]));
    const height = 'group' in row ? lead + 2 * pad : heightOf(cells);
    if (y + height + ('group' in row ? 40 : 0) > BOTTOM) turn();
    const groupAt = (title: string) => (l.isTitleCentred ? (xs[0]! + xs.at(-1)! - title.length * size * ADVANCE) / 2 : xs[0]! + pad);
    if ('group' in row) runs.push(text(groupAt(row.group), y + pad + size * 0.8, row.group, size));
    else put(cells, height, l.align);
    y += height;
    if (rules === 'all' || rules === 'rows') line(y);
  }
  close();
  for (const [k, r] of (l.hasOtherBelow && y < BOTTOM - 80 ? OTHER : []).entries())
    r.forEach((t, i) => runs.push(text(50 + i * 120, y + 30 + k * 14, t, size)));
  if (l.hasNote && !l.hasOtherBelow && y < BOTTOM - 30)
    runs.push(text(50, y + 14, '(1) I = input, O = output, I/O = bidirectional, P = power, G = ground', 7));
  endPage();
  return pages;
}

it('property: however a table is set, no terminal is missed, invented or misread without a word', () => {
  let [right, all] = [0, 0];
  fc.assert(
    fc.property(layout, (l) => {
      const rows = rowsOf(l);
      const wanted = rows.flatMap((r) => ('group' in r ? [] : r.number.split(', ').map((n) => `${n} ${r.name}`)));
      const result = readPages(print(l, rows));
      all += wanted.length;
      if (!result.ok) return;
      const { problems, package: packageName } = result.value;
      const read = terminalsIn(result.value).map((t) => ({ is: `${t.numbers[packageName]} ${t.name}`, doubts: t.doubts.length }));
      right += read.filter((t) => wanted.includes(t.is)).length;
      if (problems.length > 0) return;
      expect(read.filter((t) => t.doubts === 0 && !wanted.includes(t.is)).map((t) => t.is)).toEqual([]);
      const numbers = new Set(read.map((t) => t.is.split(' ')[0]));
      expect(wanted.filter((w) => !numbers.has(w.split(' ')[0]))).toEqual([]);
    }),
    { numRuns: 120, seed: 1128 },
  );
  expect(right / all).toBeGreaterThan(0.995);
});
