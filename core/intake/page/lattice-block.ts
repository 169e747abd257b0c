import { looksLikeNumbers } from '../table/numbers';
import { LEAD, labelOfBand, overBand } from './band-labels';
import type { PageRowAt } from './block';
import { linesOf, textOf } from './lines';
import { unite, type Box } from '../table/box';
import { cellLines, columnAt, filledIn, keyColumns, type CellLine } from './cells';
import { rowsFrom } from './rows';
import type { Cell, Lattice } from './ruled';
import { cellStarts, partedWhereTouched } from './starts';
import { CENTRED, isTitle } from './titles';
import { boxOf, turnedIn, type Word } from './words';

/** The rows of a ruled table: its cells are given, only cells that hold several rows are taken apart. */
export function latticeRows(lattice: Lattice, words: readonly Word[]): PageRowAt[] {
  const { xs, ys, cells } = lattice;
  const own = words.filter((w) => within(w, xs, ys));
  const isOver = (w: Word) => xs.some((x) => w.x0 < x && w.x1 > x + w.size / 4);
  // Most tables have neither cells that touch nor titles to be told by their places.
  const starts = once(() => cellStarts(linesOf(own)));
  const inside = own.flatMap((w) => (isOver(w) ? partedWhereTouched(w, starts()) : [w]));
  const columns = xs.length - 1;
  const cellAt = new Map<number, Cell>();
  for (const cell of cells)
    for (let r = cell.row; r < cell.row + cell.rows; r++)
      for (let c = cell.col; c < cell.col + cell.cols; c++) cellAt.set(r * columns + c, cell);
  const wordsIn = new Map<Cell, Word[]>();
  let crossing = new Set<Cell>();
  for (const word of inside) {
    const row = columnAt(word.sideways ? (word.top + word.base) / 2 : word.base - 0.3 * word.size, ys);
    const col = columnAt((word.x0 + word.x1) / 2, xs);
    const cell = cellAt.get(row * columns + col)!;
    wordsIn.set(cell, [...(wordsIn.get(cell) ?? []), word]);
    const slack = word.estimated ? 0.6 * word.size : 2;
    if (word.x1 > xs[cell.col + cell.cols]! + slack || word.x0 < xs[cell.col]! - slack) crossing = crossing.add(cell);
  }
  const texts = new Map(cells.map((c) => [c, textOfCell(wordsIn.get(c) ?? [])]));
  const rows: PageRowAt[] = [];
  const keysOfAll = once(() => keyColumns(cellLines(inside, xs), columns));
  for (let row = 0; row < ys.length - 1; row++) {
    const own = Array.from({ length: columns }, (_, c) => cellAt.get(row * columns + c)!);
    const apart = splitBand(own, row, lattice, wordsIn, keysOfAll);
    if (apart) {
      rows.push(...apart);
      continue;
    }
    const whole = headingOver(own, wordsIn) ?? centredTitle(own, lattice, wordsIn, starts);
    if (whole) {
      rows.push({
        cells: own.map((_, i) => (i === 0 ? whole.text : '')),
        boxes: own.map((_, i) => (i === 0 ? whole.box : undefined)),
        crossed: false,
        apart: false,
      });
      continue;
    }
    const filled = own.map((cell, c) => (cell.col === c ? texts.get(cell)! : { text: '' }));
    rows.push({
      cells: filled.map((f) => f.text),
      boxes: filled.map((f) => ('box' in f ? f.box : undefined)),
      crossed: own.some((c) => crossing.has(c)),
      apart: false,
      same: own.map((cell) => cell.row < row),
    });
  }
  return rows.filter((r) => r.cells.some((c) => c !== ''));
}

/** What is made at the first asking, and kept. */
function once<T>(make: () => T): () => T {
  let made: T | undefined;
  return () => (made ??= make());
}

/** A heading that runs over the columns' lines as if they were not there: words without a gap, and no number among them. */
function headingOver(own: readonly Cell[], wordsIn: ReadonlyMap<Cell, Word[]>): { text: string; box: Box | undefined } | undefined {
  const cells = [...new Set(own)].filter((c) => c.rows === 1 && (wordsIn.get(c)?.length ?? 0) > 0);
  if (cells.length < 2 || own.some((c) => c.rows > 1)) return undefined;
  const words = cells.flatMap((c) => wordsIn.get(c)!);
  const [line, ...more] = linesOf(words);
  if (!line || more.length > 0 || line.words.length !== words.length || line.words.length > 8) return undefined;
  const flows = line.words.every((w, i) => i === 0 || w.x0 - line.words[i - 1]!.x1 < (w.mono ? 0.75 : 0.45) * line.size);
  if (!flows || line.words.some((w) => looksLikeNumbers(w.text))) return undefined;
  return { text: textOf(line), box: unite(words.map(boxOf)) };
}

/** Places nearer than this are one, in points. */
const SAME = 3;

/** A lone title in the very middle of a table whose lines run through its row, and not where the cells of its column stand. */
function centredTitle(
  own: readonly Cell[],
  { xs }: Lattice,
  wordsIn: ReadonlyMap<Cell, Word[]>,
  starts: () => readonly number[],
): { text: string; box: Box | undefined } | undefined {
  const cells = [...new Set(own)].filter((c) => (wordsIn.get(c)?.length ?? 0) > 0);
  const [cell] = cells;
  if (cells.length !== 1 || cell === undefined || cell.rows > 1 || cell.cols === xs.length - 1) return undefined;
  const [line, ...more] = linesOf(wordsIn.get(cell)!);
  if (!line || more.length > 0 || !isTitle(textOf(line))) return undefined;
  const [begin, end] = [line.words[0]!.x0, line.words.at(-1)!.x1];
  const isAt = (from: number, to: number) => Math.abs((begin + end - from - to) / 2) < CENTRED * (xs.at(-1)! - xs[0]!);
  const [left, right] = [xs[cell.col]!, xs[cell.col + cell.cols]!];
  // In the middle of its column too it is a title where the other cells there begin at one place.
  const begins = starts().filter((x) => x > left && x < right);
  const isCell = begins.length === 0 ? isAt(left, right) : begins.some((x) => Math.abs(begin - x) < SAME);
  if (!isAt(xs[0]!, xs.at(-1)!) || isCell) return undefined;
  return { text: textOf(line), box: unite(line.words.map(boxOf)) };
}

const within = (w: Word, xs: readonly number[], ys: readonly number[]): boolean => {
  const x = (w.x0 + w.x1) / 2;
  const y = w.sideways ? (w.top + w.base) / 2 : w.base - 0.3 * w.size;
  return x > xs[0]! - 1 && x < xs.at(-1)! + 1 && y > ys[0]! - 1 && y < ys.at(-1)! + 1;
};

function textOfCell(words: readonly Word[]): { text: string; box?: Box } {
  const box = unite(words.map(boxOf));
  const sideways = turnedIn(words);
  const lines = linesOf(words).map(textOf);
  return { text: [...sideways.map((w) => w.text), ...lines].join('\n'), ...(box ? { box } : {}) };
}

/**
 * A band between two ruled lines that holds several rows: there are at least two numbers under each other, and each has
 * other cells beside it on its own line. Undefined where the band is one row.
 */
function splitBand(
  own: readonly Cell[],
  row: number,
  { xs, ys }: Lattice,
  wordsIn: ReadonlyMap<Cell, Word[]>,
  keysOfAll: () => readonly number[],
): PageRowAt[] | undefined {
  if (own.some((c) => c.rows > 1 || c.row !== row || c.cols > 1)) return undefined;
  const words = own.flatMap((c) => wordsIn.get(c) ?? []).filter((w) => !w.sideways);
  if (words.length < 4) return undefined;
  const lines = cellLines(words, xs);
  if (lines.length < 2) return undefined;
  const found = keyColumns(lines, xs.length - 1);
  // Two rows alone do not show which column has the numbers.
  const keys = found.length === 0 ? keysOfAll() : found;
  // `13,` over `14`: the list goes on, and no other row begins; nor does it with a number alone right under or over another.
  const isOpenAbove = (i: number, k: number) => /[,;&]$/.test(lines.slice(0, i).findLast((l) => l.cells[k] !== '')?.cells[k] ?? '');
  const anchors = lines.filter((l, i) => keys.some((k) => isRow(l, k) && !isOpenAbove(i, k)));
  const isNear = (l: CellLine, other: CellLine | undefined) => other !== undefined && Math.abs(other.base - l.base) < LEAD * l.size;
  const isOfList = (l: CellLine, i: number) => filledIn(l) === 1 && (isNear(l, lines[i - 1]) || isNear(l, lines[i + 1]));
  const numbered = lines.filter((l, i) => keys.some((k) => looksLikeNumbers(l.cells[k]!) && !isOpenAbove(i, k)) && !isOfList(l, i));
  const tall = ys[row + 1]! - ys[row]!;
  if (anchors.length < 2 || anchors.length < numbered.length || tall < 1.5 * lines[0]!.size) return undefined;
  const labels = own.flatMap((cell, k) =>
    keys.includes(k) ? [] : (labelOfBand(wordsIn.get(cell) ?? [], [ys[row]!, ys[row + 1]!], anchors.length, k) ?? []),
  );
  const held = new Set(labels.flatMap((l) => l.words));
  const others = words.filter((w) => !held.has(w));
  const rest = held.size === 0 ? lines : cellLines(others, xs);
  return labels.reduce(overBand, rowsFrom(rest, { keys }));
}

/** A number with a name beside it; names such as A0 and NO1 read as balls too. */
const isRow = (l: CellLine, k: number): boolean =>
  looksLikeNumbers(l.cells[k]!) && l.cells.some((c, i) => i !== k && c !== '' && isToken(c));

const isToken = (text: string): boolean => /^\S{1,40}$/.test(text) || /^[A-Z][^\s.]{0,9}( \(?[A-Z][^\s.]{0,9}){1,2}$/.test(text);
