import type { Column, ReadOptions, TableChoice } from '../proposal';
import type { GridRow } from '../table/grid';
import { tenths, unite, withRoom, type Box } from '../table/box';
import type { FoundTable } from '../table/found-table';
import { signalKey, withTold, type SignalList } from '../table/signal-list';
import { linesOf, segmentsOf, textOf } from './lines';
import { inBox, type Ready } from './ready';
import { boxOf, type Word } from './words';

/** A pinout that is only drawn: its terminals as a table, and the place of the drawing. */
export interface Drawn {
  table: FoundTable;
  choice: TableChoice;
  /** The lines above and below the drawing, the nearest above first: they can name the package. */
  titles: string[];
  /** Packages that are drawn as well and have other leads. */
  others: { page: number; leads: number }[];
}

/** A text of a drawing: a number or a name, with the middle of its box. */
interface Mark {
  text: string;
  box: Box;
  x: number;
  y: number;
  size: number;
}

type Axis = 'x' | 'y';

/** Numbers in sequence along one side of the package. */
interface Side {
  numbers: Mark[];
  axis: Axis;
  pitch: number;
}

/** Fewer leads than this are remarks on a figure. */
const LEAST = 4;
/** A drawing of more leads than this is no picture with names. */
const MOST = 400;
/** How far a name stands from its number at most, in heights of its letters. */
const REACH = 9;
const NUMBER = /^\d{1,3}$/;
const NAME = /^[A-Za-z~/+\-−_][^\s]{0,23}( [A-H])?$|^\d{1,2}[A-Z][A-Z0-9+\-−_]{0,12}$/;

/** True for the texts of a page that can hold such a drawing: figures from 1 on, each by itself. */
export function hasDrawing(texts: readonly string[]): boolean {
  const figures = new Set(texts.flatMap((t) => (t.length < 24 ? t.trim().split(/\s+/) : [])).filter((t) => NUMBER.test(t)));
  return ['1', '2', '3', '4'].every((n) => figures.has(n));
}

/** True where the texts say that they go with one too. */
export const saysDrawing = (texts: readonly string[]): boolean => texts.some((t) => t.length < 80 && DRAWING.test(t)) && hasDrawing(texts);
const DRAWING = /\bpin[- ]?(?:out|config|assign|connect|diagram)|\b(?:connection diagram|top view|terminal assign)/i;

/**
 * Reads the drawing of a package on a page: numbers in sequence along two or four sides, all of 1 to the last there once,
 * and a name beside each. What lists beside it say of the names (`signals`) goes with them. Undefined where a page has none.
 */
export function drawnTable(ready: readonly Ready[], options: ReadOptions, signals: SignalList): Drawn | undefined {
  const drawn = ready.flatMap((r) => {
    const page = r.page.number;
    if ((options.page ?? options.region?.page ?? page) !== page) return [];
    const region = options.region ? r.to(options.region.box) : undefined;
    const marks = marksOf(region ? r.words.filter((w) => inBox(w, region)) : r.words);
    const packages = wholePackages(sidesOf(marks.filter((m) => NUMBER.test(m.text))));
    const named = packages.map((sides) => nameAll(sides, marks)).filter((leads) => leads !== undefined);
    return named.map((leads) => ({ r, marks, leads }));
  });
  const [first, ...more] = drawn;
  if (!first) return undefined;
  const listed = (leads: readonly Lead[]) => leads.map((l) => `${l.number.text} ${l.name.text}`).join('\n');
  const others = more
    .filter(({ leads }) => listed(leads) !== listed(first.leads))
    .map(({ r, leads }) => ({ page: r.page.number, leads: leads.length }));
  return { ...tableOf([...first.leads, ...padUnder(first.leads, first.marks)], first.r, signals), others };
}

/** Names that are set with blanks are one mark; those that stand sideways are words already. */
function marksOf(words: readonly Word[]): Mark[] {
  const mark = (text: string, box: Box, size: number): Mark => ({ text, box, x: box[0] + box[2] / 2, y: box[1] + box[3] / 2, size });
  const flat = linesOf(words).flatMap((line) => segmentsOf(line).flatMap((s) => apart(s.words)));
  return [
    ...flat.map((of) => mark(of.map((w) => w.text).join(' '), unite(of.map(boxOf))!, of[0]!.size)),
    ...words.filter((w) => w.sideways).map((w) => mark(w.text, boxOf(w), w.size)),
  ];
}

/** A number close before or behind its name is a mark of its own. */
function apart(words: readonly Word[]): Word[][] {
  const [first, last] = [words[0]!, words.at(-1)!];
  if (words.every((w) => NUMBER.test(w.text))) return words.map((w) => [w]);
  if (words.length === 2 && NUMBER.test(first.text) !== NUMBER.test(last.text)) return [[first], [last]];
  return [[...words]];
}

/** Numbers that follow each other along a line, evenly spaced. */
function sidesOf(numbers: readonly Mark[]): Side[] {
  if (numbers.length > 4 * MOST) return [];
  const sides: Side[] = [];
  const byNumber = new Map<number, Mark[]>();
  for (const m of numbers) byNumber.set(Number(m.text), [...(byNumber.get(Number(m.text)) ?? []), m]);
  const taken = new Set<Mark>();
  for (const first of [...numbers].sort((a, b) => Number(a.text) - Number(b.text))) {
    if (taken.has(first)) continue;
    const ways = (byNumber.get(Number(first.text) + 1) ?? []).flatMap((second) => sideFrom(first, second, byNumber));
    const best = ways.sort((a, b) => b.numbers.length - a.numbers.length || a.pitch - b.pitch)[0];
    if (!best) continue;
    for (const m of best.numbers) taken.add(m);
    sides.push(best);
  }
  return sides;
}

function sideFrom(first: Mark, second: Mark, byNumber: ReadonlyMap<number, readonly Mark[]>): Side[] {
  const axis = inLine(first, second, 'y') ? 'y' : inLine(first, second, 'x') ? 'x' : undefined;
  const step = axis && second[axis] - first[axis];
  if (axis === undefined || step === undefined || Math.abs(step) < 0.8 * first.size) return [];
  const numbers = [first, second];
  for (;;) {
    const last = numbers.at(-1)!;
    const next = (byNumber.get(Number(last.text) + 1) ?? []).find(
      (m) => inLine(last, m, axis) && Math.abs(m[axis] - last[axis] - step) < 0.2 * Math.abs(step),
    );
    if (!next) break;
    numbers.push(next);
  }
  return [{ numbers, axis, pitch: Math.abs(step) }];
}

/** True where two numbers stand under (`y`) or beside (`x`) each other: 9 over 10 have one end or their middle in line. */
function inLine(a: Mark, b: Mark, axis: Axis): boolean {
  const cross = acrossOf(axis);
  const [from, to] = [edgesOf(a, cross), edgesOf(b, cross)];
  return [from[0] - to[0], from[1] - to[1], a[cross] - b[cross]].some((d) => Math.abs(d) < 0.35 * a.size);
}

const acrossOf = (axis: Axis): Axis => (axis === 'y' ? 'x' : 'y');

/** Where a mark begins and ends along an axis. */
const edgesOf = ({ box }: Mark, axis: Axis): [number, number] => (axis === 'x' ? [box[0], box[0] + box[2]] : [box[1], box[1] + box[3]]);

/** For each package drawn, the sides that together have each of 1 to the last once: two across from each other, or four around. */
function wholePackages(sides: readonly Side[]): Side[][] {
  const taken = new Set<Side>();
  return sides.flatMap((start) => {
    if (start.numbers[0]!.text !== '1') return [];
    const chain = [start];
    let next = start.numbers.length + 1;
    while (chain.length < 4) {
      const side = nextSide(chain.at(-1)!, sides.filter((s) => Number(s.numbers[0]!.text) === next && !taken.has(s))); // prettier-ignore
      if (!side) break;
      chain.push(side);
      next += side.numbers.length;
    }
    const axes = chain.map((s) => s.axis).join('');
    if (next - 1 < LEAST || next - 1 > MOST || !['yy', 'xx', 'yxyx', 'xyxy'].includes(axes) || !isAcross(chain)) return [];
    for (const side of chain) taken.add(side);
    return [chain];
  });
}

/**
 * The side that goes on with another's numbers. Where several packages are drawn, that of the same one: seen from the top
 * numbers run anticlockwise, and of those the nearest.
 */
function nextSide({ numbers }: Side, sides: readonly Side[]): Side | undefined {
  const [begin, end] = [numbers[0]!, numbers.at(-1)!];
  const turn = (s: Side) => (end.x - begin.x) * (s.numbers[0]!.y - end.y) - (end.y - begin.y) * (s.numbers[0]!.x - end.x);
  const away = (s: Side) => Math.hypot(s.numbers[0]!.x - end.x, s.numbers[0]!.y - end.y);
  return [...sides].sort((a, b) => Number(turn(a) > 0) - Number(turn(b) > 0) || away(a) - away(b))[0];
}

/** Numbers go around a package: they run one way on its first side, and back on the side across. */
function isAcross(chain: readonly Side[]): boolean {
  const wayOf = (s: Side) => Math.sign(s.numbers[1]![s.axis] - s.numbers[0]![s.axis]);
  const half = chain.length / 2;
  return chain.slice(0, half).every((s, i) => {
    const other = chain[i + half]!;
    const cross = acrossOf(s.axis);
    return wayOf(s) === -wayOf(other) && Math.abs(s.numbers[0]![cross] - other.numbers[0]![cross]) > s.pitch;
  });
}

interface Lead {
  number: Mark;
  name: Mark;
}

const PAD = /\b(?:exposed|thermal|center|centre|power) (?:pad|paddle)\b|^e-?pad$|^ep$/i;

/** The pad under the package, where the words for it stand in its middle. */
function padUnder(leads: readonly Lead[], marks: readonly Mark[]): Lead[] {
  const [x, y, width, height] = unite(leads.map((l) => l.number.box))!;
  const isLead = (m: Mark) => leads.some((l) => l.name === m);
  const pad = marks.find((m) => PAD.test(m.text) && !isLead(m) && m.x > x && m.x < x + width && m.y > y && m.y < y + height);
  if (!pad) return [];
  return [{ number: { ...pad, text: 'EP' }, name: { ...pad, text: /\b(?:GND|VSS)\b/.exec(pad.text)?.[0] ?? 'EP' } }];
}

/** The name beside each number, all of a side on the same hand of it; undefined where any has none. */
function nameAll(sides: readonly Side[], marks: readonly Mark[]): Lead[] | undefined {
  const numbers = new Set(sides.flatMap((s) => s.numbers));
  const names = marks.filter((m) => !numbers.has(m) && NAME.test(m.text));
  const taken = new Set<Mark>();
  const leads: Lead[] = [];
  for (const side of sides) {
    const on = (hand: number) => side.numbers.map((n) => nearest(n, names, side, hand));
    const [before, after] = [on(-1), on(1)];
    const count = (of: readonly (Mark | undefined)[]) => of.filter((m) => m !== undefined && !taken.has(m)).length;
    // Where both hands have as many, the names stand outside.
    const lead = count(before) - count(after) || -outer(side, sides);
    const own = lead > 0 ? before : after;
    for (const [i, number] of side.numbers.entries()) {
      const name = own[i];
      if (!name || taken.has(name)) return undefined;
      taken.add(name);
      leads.push({ number, name });
    }
  }
  return leads;
}

/** On which hand of a side the outside is. */
function outer(side: Side, sides: readonly Side[]): number {
  const cross = acrossOf(side.axis);
  const middle = sides.flatMap((s) => s.numbers).reduce((sum, m, _, all) => sum + m[cross] / all.length, 0);
  return Math.sign(side.numbers[0]![cross] - middle);
}

function nearest(number: Mark, names: readonly Mark[], { axis, pitch }: Side, hand: number): Mark | undefined {
  const cross = acrossOf(axis);
  const [from, to] = edgesOf(number, cross);
  const away = (m: Mark) => (hand < 0 ? from - edgesOf(m, cross)[1] : edgesOf(m, cross)[0] - to);
  const near = names.filter((m) => {
    const gap = away(m);
    return Math.abs(m[axis] - number[axis]) < 0.45 * pitch && gap > -0.3 * number.size && gap < REACH * m.size;
  });
  return near.sort((a, b) => away(a) - away(b))[0];
}

function tableOf(leads: readonly Lead[], r: Ready, signals: SignalList): Omit<Drawn, 'others'> {
  const column = (role: Column['role'], heading: string): Column => ({ role, heading, packageName: '' });
  const boxed = (m: Mark) => tenths(r.back(m.box));
  const bare = leads.map(({ number, name }, i): GridRow => ({
    line: i + 1,
    cells: [number.text, name.text],
    place: { page: r.page.number, boxes: [boxed(number), boxed(name)] },
  }));
  const { columns, rows } = withTold(
    { columns: [column('number', 'Number'), column('name', 'Name')], rows: bare },
    leads.map((l) => signals.get(signalKey(l.name.text))),
  );
  const box = unite(leads.flatMap((l) => [boxed(l.number), boxed(l.name)]))!;
  const [, top, , height] = unite(leads.flatMap((l) => [l.number.box, l.name.box]))!;
  const above = r.lines.filter((l) => l.base < top).reverse();
  const below = r.lines.filter((l) => l.base - l.size > top + height);
  return {
    titles: [...above, ...below].map(textOf),
    table: { columns, rows: [...rows], around: [], headerLine: undefined },
    choice: { title: 'Drawing of the package', page: r.page.number, rows: rows.length, taken: true, columns, areas: [{ page: r.page.number, box: withRoom(box), columns: [] }] }, // prettier-ignore
  };
}
