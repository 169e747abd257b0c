import { looksLikeNumbers, readNumberCell } from '../table/numbers';
import { unite, type Box } from '../table/box';
import { linesOf, textOf, type Line } from './lines';
import { boxOf, type Word } from './words';

/** A text line cut into a table's columns. */
export interface CellLine {
  base: number;
  size: number;
  cells: string[];
  boxes: (Box | undefined)[];
  crossed: boolean;
  /** The face of all words of a cell; undefined where they have several, or none is known. */
  faces: (string | undefined)[];
  text: string;
  x0: number;
  x1: number;
  /** No gap is wider than a blank. */
  isOne: boolean;
  /** The line's text where it runs over columns without a gap, as the heading of a group does. */
  whole?: string;
}

/** A row of a table on a page; cells that had several lines hold line breaks. `apart` where a wide gap stands above it. */
export interface PageRow {
  cells: string[];
  boxes: (Box | undefined)[];
  crossed: boolean;
  apart: boolean;
  /** Labels beside several rows do not tell which of them are theirs. */
  isUneven?: true;
}

/** Cuts a line at column edges. A word belongs where its middle is, and numbers of one list where the list's is. */
export function cutLine(line: Line, edges: readonly number[]): CellLine {
  const count = edges.length - 1;
  const words: Word[][] = Array.from({ length: count }, () => []);
  let crossed = false;
  const columns = line.words.map((w) => columnAt((w.x0 + w.x1) / 2, edges));
  keepListsWhole(line, columns, edges);
  for (const [i, word] of line.words.entries()) {
    words[columns[i]!]!.push(word);
    const slack = word.estimated ? 0.6 * word.size : 1.5;
    const over = (edge: number) => word.x0 < edge - slack && word.x1 > edge + slack;
    if (edges.slice(1, -1).some(over)) crossed = true;
  }
  if (holdsRowBeside(words[count - 1]!, edges[count - 1]!)) crossed = true;
  const [text, isOne] = [textOf(line), hasNoGap(line)];
  return {
    base: line.base,
    size: line.size,
    cells: words.map((w) => w.map((x) => x.text).join(' ')),
    boxes: words.map((w) => unite(w.map(boxOf))),
    crossed,
    faces: words.map(faceOf),
    text,
    x0: line.words[0]?.x0 ?? 0,
    x1: line.words.at(-1)?.x1 ?? 0,
    isOne,
    ...(isOne && words.filter((w) => w.length > 0).length > 1 ? { whole: text } : {}),
  };
}

/** Wider white than this parts two tables, in font sizes, and wider than the other the cells of one. */
const [BESIDE, WITHIN] = [3, 0.9];

/** True where the last cell has a row of another table in it: a number and more behind wide white, as in a second column of the page. */
function holdsRowBeside(words: readonly Word[], left: number): boolean {
  const gapTo = (i: number) => words[i]!.x0 - (words[i - 1]?.x1 ?? left);
  const at = words.findIndex((w, i) => gapTo(i) > BESIDE * w.size);
  if (at < 0) return false;
  const starts = words.flatMap((w, i) => (i === at || (i > at && gapTo(i) > WITHIN * w.size) ? [i] : []));
  return starts.length > 1 && starts.some((i) => looksLikeNumbers(words[i]!.text));
}

function faceOf([first, ...more]: readonly Word[]): string | undefined {
  return first !== undefined && more.every((w) => w.face === first.face) ? first.face : undefined;
}

/** `C6, C5, C4, C3,` with no more than a blank between its numbers stands in one column, even where it is wider than the others there. */
function keepListsWhole({ words, size }: Line, columns: number[], edges: readonly number[]): void {
  const goesOn = (i: number) =>
    words[i]!.text.endsWith(',') &&
    words[i + 1] !== undefined &&
    words[i + 1]!.x0 - words[i]!.x1 < 0.5 * size &&
    [words[i]!, words[i + 1]!].every((w) => looksLikeNumbers(w.text.replace(/,$/, '')));
  for (let from = 0; from < words.length; from++) {
    let to = from;
    while (goesOn(to)) to++;
    if (columns[from] !== columns[to]) columns.fill(columnAt((words[from]!.x0 + words[to]!.x1) / 2, edges), from, to + 1);
    from = to;
  }
}

function hasNoGap({ words, size }: Line): boolean {
  const blank = words[0]?.mono ? 0.8 : 0.5;
  return words.every((w, i) => i === 0 || w.x0 - words[i - 1]!.x1 < blank * size);
}

export function columnAt(x: number, edges: readonly number[]): number {
  let at = 0;
  while (at < edges.length - 2 && x >= edges[at + 1]!) at++;
  return at;
}

export const cellLines = (words: readonly Word[], edges: readonly number[]): CellLine[] => linesOf(words).map((l) => cutLine(l, edges));

/** How many of a line's or a row's cells hold a text. */
export const filledIn = ({ cells }: { cells: readonly string[] }): number => cells.filter((c) => c !== '').length;

const isDash = (text: string): boolean => readNumberCell(text).kind === 'none' && text !== '';

/** Ends a cell whose list of numbers goes on in the next line. */
export const OPEN = /[,;&/–-]$|\s(?:to|and)$/;

/** Columns that hold terminal numbers in most of their lines; in fewer of them where the heading says so (`said`). */
export function keyColumns(lines: readonly { cells: string[] }[], columns: number, said: readonly number[] = []): number[] {
  return Array.from({ length: columns }, (_, i) => i).filter((i) => {
    const texts = lines.flatMap((l) => (l.cells[i] ? l.cells[i].split('\n') : []));
    const bare = texts.map((t) => t.replace(OPEN, '').trim());
    const numbers = bare.filter((t) => looksLikeNumbers(t)).length;
    const others = bare.filter((t) => isDash(t) || t === '' || /^EP$/i.test(t)).length;
    const least = said.includes(i) && numbers > 2 ? 0.4 : 0.6;
    return numbers >= 1 && numbers >= 0.35 * texts.length && numbers + others >= least * texts.length;
  });
}
