import { roleOfHeading } from '../table/headings';
import { looksLikeNumbers } from '../table/numbers';
import { headerAt } from './headers';
import { halfOfTwice, roleOf } from './heads';
import type { DocumentPage } from './page';
import { linesOf, segmentsOf, type Line } from './lines';
import { looksLikeName, type Word } from './words';

/** A stretch of a page that is read from top to bottom: the whole page, or one of its two text columns. */
export interface Region {
  page: number;
  left: number;
  right: number;
  lines: Line[];
}

/** The regions of a page in reading order. */
export function regionsOf(page: DocumentPage, lines: readonly Line[]): Region[] {
  const words = lines.flatMap((l) => l.words);
  if (words.length === 0) return [];
  const gutter = gutterOf(page, lines);
  const isWhole = gutter === undefined || (!gutter.isSure && hasHeadingOver(lines, gutter.at)) || cutsHalf(lines, gutter.at);
  const parts = isWhole ? [[...lines]] : gutter.halves;
  return parts.map((part) => ({ page: page.number, ...spanOf(part.flatMap((l) => l.words)), lines: part }));
}

/** The lines left of a gutter and those right of it. */
type Halves = [left: Line[], right: Line[]];

function halvesOf(lines: readonly Line[], gutter: number): Halves {
  const words = lines.flatMap((l) => l.words);
  const isLeft = (w: Word) => (w.x0 + w.x1) / 2 < gutter;
  return [linesOf(words.filter(isLeft)), linesOf(words.filter((w) => !isLeft(w)))];
}

/** How far from each other in points lines of one text column begin at most. */
const FLUSH = 1.5;

/**
 * The two text columns of a page too short for its prose to show them: several lines of the right one begin at one place,
 * and no line runs over it. For paragraphs only, since the columns of a table do the same.
 */
export function shortColumns(region: Region, pageWidth: number): Region[] {
  const segments = region.lines.flatMap((l) => segmentsOf(l, 0.9));
  const middle = segments.filter((s) => s.x0 > 0.36 * pageWidth && s.x0 < 0.64 * pageWidth).map((s) => s.x0);
  const at = middle.find((x) => middle.filter((other) => Math.abs(other - x) < FLUSH).length >= 4);
  if (at === undefined || segments.some((s) => s.x0 < at - FLUSH && s.x1 > at - 2 * FLUSH)) return [region];
  return halvesOf(region.lines, at - FLUSH).map((lines) => ({ page: region.page, ...spanOf(lines.flatMap((l) => l.words)), lines }));
}

/** Over numbers, where a name stands beside it. */
const NUMBERS = /^(pin|terminal|ball|lead|contact)s?$/i;

/** True where the heading of one table, no two columns of it alike, stands on both sides: its long cells only look like prose. */
const hasHeadingOver = (lines: readonly Line[], gutter: number): boolean =>
  lines.some((_, i) => {
    const header = headerAt(lines, i);
    if (header === undefined || header.heads.length < 3 || header.heads[0]!.x1 >= gutter || header.heads.at(-1)!.x0 <= gutter) return false;
    if (header.sure >= 3 && header.sure === header.heads.length) return true;
    // Headings that can mean two things, `Signal` and `Function`: the numbers stand on the left, and none on the right.
    const roles = header.heads.map((h) => (NUMBERS.test(h.text) ? 'number' : roleOfHeading(h.text)));
    const right = header.heads.flatMap((h, k) => (h.x0 > gutter ? [roles[k]] : []));
    const isOne = new Set(header.heads.map((h) => h.text.toLowerCase())).size === header.heads.length;
    const known = roles.filter((r) => r !== undefined).length;
    return (
      isOne &&
      known >= 3 &&
      known >= roles.length - 1 &&
      roles.includes('number') &&
      !right.includes('number') &&
      right.at(-1) !== undefined
    );
  });

/** True where a heading stands twice in a line and the gutter is not between the two: it is white within the columns of one. */
const cutsHalf = (lines: readonly Line[], gutter: number): boolean =>
  lines.some((_, i) => {
    const heads = headerAt(lines, i)?.heads ?? [];
    const count = halfOfTwice(heads);
    return count !== undefined && (gutter < heads[count - 1]!.x1 || gutter > heads[count]!.x0);
  });

const spanOf = (words: readonly Word[]) => ({
  left: Math.min(...words.map((w) => w.x0)) - 4,
  right: Math.max(...words.map((w) => w.x1)) + 4,
});

/** How wide the white between two text columns is at least, in points. */
const WIDE = 9;
const LEAST_LINES = 8;

/**
 * The middle of the white between two text columns. Both sides must have lines that fill their side, as prose does;
 * the columns of one table do not.
 * `isSure` where a table on one side shows that it is none of what stands on the other.
 */
function gutterOf(page: DocumentPage, lines: readonly Line[]): { at: number; isSure: boolean; halves: Halves } | undefined {
  if (lines.length < LEAST_LINES) return undefined;
  const { left, right } = spanOf(lines.flatMap((l) => l.words));
  const middle = (left + right) / 2;
  let best: { x: number; crossing: number } | undefined;
  for (let x = page.width * 0.36; x <= page.width * 0.64; x += 2) {
    const crossing = lines.filter((l) => segmentsOf(l, 0.9).some((s) => s.x0 < x + WIDE / 2 && s.x1 > x - WIDE / 2)).length;
    const isNearer = best?.crossing === crossing && Math.abs(x - middle) < Math.abs(best.x - middle);
    if (!best || crossing < best.crossing || isNearer) best = { x, crossing };
  }
  if (!best || best.crossing > 0.25 * lines.length) return undefined;
  const at = best.x;
  const isClear = best.crossing <= 0.03 * lines.length;
  const beside = lines.filter((l) => !segmentsOf(l, 0.9).some((s) => s.x0 < at + WIDE / 2 && s.x1 > at - WIDE / 2));
  const full = (from: number, to: number) =>
    beside.filter((l) => {
      const own = l.words.filter((w) => w.x0 >= from && w.x1 <= to);
      if (own.length < 4) return false;
      const gaps = own.slice(1).map((w, i) => w.x0 - own[i]!.x1);
      return own.at(-1)!.x1 - own[0]!.x0 > 0.62 * (to - from) && Math.max(...gaps) < 1.2 * l.size;
    }).length;
  const sides = [full(left, best.x), full(best.x, right)];
  const tall = (from: number, to: number) => lines.filter((l) => l.words.some((w) => w.x0 >= from && w.x1 <= to)).length >= LEAST_LINES;
  const areTall = tall(left, at) && tall(at, right);
  const isProse = areTall && Math.max(...sides) >= 6 && Math.min(...sides) >= 3;
  if (!isClear && !isProse) return undefined;
  const halves = halvesOf(lines, at);
  const isSure = isClear && (hasTableBeside(lines, at) || goesOnBeside(halves));
  return isSure || isProse || (areTall && hasRowsBeside(halves)) ? { at, isSure, halves } : undefined;
}

/** What stands on one line, in points: the rows of one table do over all of its columns, those of two beside each other do not. */
const LEVEL = 0.7;

/** The heading of a whole table on the right with nothing beside it: what stands left of the lines under it is none of the table. */
function hasTableBeside(lines: readonly Line[], gutter: number): boolean {
  return lines.some((line, i) => {
    if (line.words[0]!.x0 < gutter) return false;
    const header = headerAt(lines, i);
    if (header === undefined || header.worth < 3 || header.heads[0]!.x0 < gutter) return false;
    const below = lines.slice(i + 1).map((l) => l.words.filter((w) => (w.x0 + w.x1) / 2 >= gutter));
    return below.filter((own) => own.slice(0, 2).some((w) => looksLikeNumbers(w.text))).length >= 3;
  });
}

/** A table on the left that ends with its heading, or with a row whose number the rows on the right count on from. */
function goesOnBeside([left, right]: Halves): boolean {
  const rows = rowsIn(right);
  const first = rows[0]?.words.find((w) => looksLikeNumbers(w.text))?.text;
  if (rows.length < 3 || first === undefined) return false;
  const at = left.findIndex((_, i) => (headerAt(left, i)?.worth ?? 0) >= 3);
  // A row's cells may go on below its number.
  const last = left.slice(-3).flatMap((l) => l.words.slice(0, 2).map((w) => w.text));
  return at >= 0 && (at === left.length - 1 || last.includes(String(Number(first) - 1)));
}

/** Lines that begin with a number, or with a name and its number. */
const rowsIn = (lines: readonly Line[]): Line[] =>
  lines.filter(
    ({ words: [first, second] }) =>
      second !== undefined && (looksLikeNumbers(first!.text) || (looksLikeName(first!.text) && looksLikeNumbers(second.text))),
  );

/** Rows of a table on the right, each with its number, or a whole table, on lines of their own. */
function hasRowsBeside([left, right]: Halves): boolean {
  const rows = rowsIn(right);
  const isLevel = (l: Line) => left.some((other) => Math.abs(other.base - l.base) < LEVEL);
  const areApart = (own: readonly Line[]) => own.filter(isLevel).length < 0.5 * own.length;
  // A whole table on the right has its heading there, over numbers too.
  const isOverNumbers = ({ text }: { text: string }) => NUMBERS.test(text) || roleOf(text) === 'number';
  const hasHeading = () =>
    right.some((_, i) => {
      const header = headerAt(right, i);
      return header !== undefined && header.sure >= 3 && header.heads.some(isOverNumbers);
    });
  return (rows.length >= 3 && rows.length > 0.2 * right.length && areApart(rows)) || (areApart(right) && hasHeading());
}
