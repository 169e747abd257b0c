import { headsOnlyOther, headsOtherTable } from '../table/headings';
import { isMarkedNote, isNote } from '../table/notes';
import { looksLikeNumbers } from '../table/numbers';
import { cutLine } from './cells';
import { headerAt, type PageHeader } from './headers';
import { areInOneRow, segmentsOf, textOf, type Line } from './lines';
import type { Region } from './regions';
import { cellStarts, OFF } from './starts';
import { isLongName, type Word } from './words';

/** Where a table's lines end: at a note, at prose, at another heading or caption, or at a wide gap that no row follows. */
export function endOf(lines: readonly Line[], from: number, header: PageHeader, region: Region): number {
  const bodySize = lines[from]?.size ?? 9;
  const starts = header.heads.map((h) => h.x0);
  let widest = 0;
  for (let at = from; at < lines.length; at++) {
    const line = lines[at]!;
    const text = textOf(line);
    const gap = at > 0 ? line.base - lines[at - 1]!.base : 0;
    const above = () => lines.slice(from, at);
    const isRest = isRestOfReference(lines, at, from);
    const ends = (second: number) => !isRest && isOver(line, text, bodySize, second);
    if (at > from && isMarkOfNote(lines, at)) return at;
    // Under a centred heading cells begin left of it.
    if (ends(header.heads[1]?.x0 ?? region.right) && !isFullRow(line, above()) && (!isInColumn(line, above(), header) || ends(0)))
      return at;
    // The title of another table stands over its heading, and is no number of a list.
    if (at > from && isLone(line, text) && lines[at + 1] && headsOther(lines[at + 1]!)) return at;
    const isText = isProse(line, region) && !isTitleOver(lines, at) && !isInRow(lines, at);
    if (isText && !isInColumn(line, above(), header) && !isFullRow(line, above())) return at;
    const next = headingAt(lines, at, starts);
    // Behind a wide gap two words over columns are enough for another table.
    const isApart = at > from && widest > 0 && gap > 1.8 * widest;
    if (next && next.worth >= (isApart ? 2 : Math.min(3, header.worth))) return at;
    const limit = Math.max(3.6 * bodySize, 2.2 * widest);
    if (at > from && gap > limit && !hasRowSoon(lines, at)) return at;
    if (at > from && gap < 6 * bodySize) widest = Math.max(widest, gap);
  }
  return lines.length;
}

const isLone = (line: Line, text: string): boolean => segmentsOf(line).length === 1 && !looksLikeNumbers(text);

/**
 * `Table 7` where one of the two lines above, of those from `from` on, ends with `See` and stands over it: the words of a cell go on.
 * Between them the cells of its row can stand.
 */
export function isRestOfReference(lines: readonly Line[], at: number, from = 0): boolean {
  const { words, base, size } = lines[at]!;
  const [first] = words;
  if (!/^(?:table|figure|fig\.?)$/i.test(first!.text)) return false;
  return lines
    .slice(Math.max(from, at - 2), at)
    .some(
      (l) =>
        /\b(?:see|in|to|of|from|and|or|per|with|also|by)$/i.test(textOf(l)) &&
        base - l.base < 2 * size &&
        first!.x0 > l.words[0]!.x0 - 2 &&
        l.words.at(-1)!.x1 > first!.x0,
    );
}

/** Another heading at a line; words within one column of the table, `Supply of the digital pins, to`, are none. */
export function headingAt(lines: readonly Line[], at: number, columns: readonly number[]): PageHeader | undefined {
  const next = headerAt(lines, at);
  // A heading begins where its table does.
  if (next && columns.length > 2 && next.heads[0]!.x0 > columns[1]! + 2) return undefined;
  const isWithin = (from: number, k: number) => next!.heads.every((h) => h.x0 > from - 3 && h.x1 < (columns[k + 1] ?? Infinity));
  return next && columns.length > 2 && columns.some(isWithin) ? undefined : next;
}

/** A caption, a larger title, a note (it begins before the second column, `second`), or the heading of a table that is no pinout. */
export const isOver = (line: Line, text: string, bodySize: number, second: number): boolean =>
  /^(table|figure|fig\.)\s*\d/i.test(text) ||
  line.size > 1.3 * bodySize ||
  (OTHER_SECTION.test(text) && line.words.length < 7 && line.words[0]!.x0 < second) ||
  (isNoteLine(line, text) && line.words[0]!.x0 < second && !isNumberedRow(line) && !isMarkedRow(line)) ||
  (line.words[0]!.x0 < second && headsOther(line));

/** The titles of what stands beside pin tables, and over no group of pins; and what stands over a legend. */
const OTHER_SECTION =
  /^(?:\d+(?:\.\d+)*\s+)?(?:(?:function(?:al)?|truth|state|logic) table|absolute maximum ratings?|recommended (?:operating|external)|electrical (?:characteristics|specifications)|ordering information|revision history|register map|package (?:outline|dimensions)|typical (?:application|characteristics)|(?:code|letter|abbreviation|abbr\.?|acronym) (?:meaning|explanation|description|definition)|(?:symbol|type) (?:meaning|explanation))\b/i;

/** The heading of a table that is no pinout. A terminal's number stands in none. */
function headsOther(line: Line): boolean {
  const words = line.words.map((w) => w.text);
  if (words.slice(0, 3).some(looksLikeNumbers)) return false;
  const cells = segmentsOf(line).map((s) => s.text);
  // Set tightly, such a heading is one run of words; single words of it stand in descriptions too.
  return headsOtherTable(cells) || headsOnlyOther(cells) || headsOtherTable(words, Math.max(3, 0.6 * words.length));
}

/** A marked note, or a sentence; a row has white between its cells and is none, whatever its description ends with. */
const isNoteLine = (line: Line, text: string): boolean =>
  (text.length > 24 || line.words.length > 3) &&
  !isComparison(line, text) &&
  (isMarkedNote(text) || (isNote(text) && segmentsOf(line).length === 1));

/** `A=B_IN  3  I`: a name with a sign of equality in it, and its number. */
const isComparison = (line: Line, text: string): boolean =>
  /^\w{1,2}=\w/.test(text) &&
  segmentsOf(line)
    .slice(1)
    .some((s) => looksLikeNumbers(s.text));

/** `(1)` set small and high before the words of a note under the table. */
function isMarkOfNote(lines: readonly Line[], at: number): boolean {
  const [{ words, base }, next] = [lines[at]!, lines[at + 1]];
  const [mark] = words;
  if (words.length > 1 || !next || !/^(?:\(\w\)|\[\d\]|[*†‡])$/.test(mark!.text) || mark!.size > 0.9 * next.size) return false;
  const [first, ...more] = next.words;
  const isBeside = next.base - base < 0.7 * next.size && first!.x0 > mark!.x1 - 1 && first!.x0 < mark!.x1 + next.size;
  return isBeside && more.length > 1 && segmentsOf(next).length === 1 && !next.words.some((w) => looksLikeNumbers(w.text));
}

/** Full lines of words without a wide gap, ending like a sentence or going on for long. */
function isProse(line: Line, region: Region): boolean {
  const segments = segmentsOf(line, 0.8);
  const [only] = segments;
  if (segments.length > 1 || !only || line.words.length < 7 || isNumberedRow(line)) return false;
  return only.x0 < region.left + 0.12 * (region.right - region.left) && only.x1 - only.x0 > 0.42 * (region.right - region.left);
}

/** `5 VLOGIC Digital supply. Its range is`, with hardly a gap between its cells: a number and a name in capitals, either of them first. */
const isNumberedRow = ({ words: [first, second] }: Line): boolean =>
  first !== undefined &&
  second !== undefined &&
  ((looksLikeNumbers(first.text) && isLongName(second.text)) || (isLongName(first.text) && looksLikeNumbers(second.text)));

/** `(2) | 8 | Output`: the mark of a note that had no room beside its name, and the row's other cells. */
const isMarkedRow = (line: Line): boolean => {
  const [mark, ...others] = segmentsOf(line);
  return /^(?:\(\d\)|\[\d\]|[¹²³⁰-⁹⁽⁾*†‡]+)$/.test(mark!.text) && others.length > 1 && others.some((s) => looksLikeNumbers(s.text));
};

/** A long title of a group, `BIDIRECTIONAL CONTROL BUS – I2C COMPATIBLE`: no sentence, and a row right under it. */
export function isTitleOver(lines: readonly Line[], at: number): boolean {
  const text = textOf(lines[at]!);
  if (text.length > 64 || !/^[A-Z].*[^.,:;]$/.test(text)) return false;
  // Rows may stand apart, as far as the title does from the one above it.
  const apart = at > 0 ? lines[at]!.base - lines[at - 1]!.base : 0;
  const most = (size: number) => Math.min(4 * size, Math.max(2.4 * size, 1.4 * apart));
  // Of a row whose cells are centred a line of words comes first.
  const below = lines.slice(at + 1, at + 4).filter((l, i) => l.base - lines[at + i]!.base < most(l.size));
  return below.some((l) => {
    const segments = segmentsOf(l);
    return isNamedNumber(l) || (segments.length >= 3 && segments.some((s) => looksLikeNumbers(s.text)));
  });
}

/** A line of a cell that stands less than a line's height from its row's number: the row has centred cells. */
const isInRow = (lines: readonly Line[], at: number): boolean =>
  [lines[at - 1], lines[at + 1]].some((l) => l !== undefined && areInOneRow(lines[at]!, l) && isNamedNumber(l));

/** A number and a name, and nothing else. */
const isNamedNumber = (line: Line): boolean => {
  const segments = segmentsOf(line);
  return segments.length === 2 && segments.some((s) => isLongName(s.text)) && segments.some((s) => looksLikeNumbers(s.text));
};

/** A line that begins where an inner column's heading or cells begin goes on with that column, however long it is. */
function isInColumn(line: Line, above: readonly Line[], header: PageHeader): boolean {
  const at = line.words[0]!.x0;
  const isNear = (x: number) => Math.abs(x - at) < 2;
  return (
    header.heads.slice(1).some((h) => isNear(h.x0)) ||
    above.some((l) =>
      segmentsOf(l)
        .slice(1)
        .some((s) => isNear(s.x0)),
    )
  );
}

/** A row whose cells are full to their edges: a number of it stands where those above begin, and another word where other cells do. */
function isFullRow({ words }: Line, above: readonly Line[]): boolean {
  const numbers = words.filter((w) => looksLikeNumbers(w.text));
  if (numbers.length === 0) return false;
  const isAt = (w: Word, x: number) => Math.abs(w.x0 - x) < (w.estimated && !w.first ? OFF * w.size : 2);
  const known = above.flatMap((l) => l.words.filter((w) => !w.estimated && looksLikeNumbers(w.text)));
  const number = numbers.find((w) => known.filter((k) => isAt(w, k.x0)).length >= 3);
  return number !== undefined && cellStarts(above).some((x) => !isAt(number, x) && words.some((w) => w !== words[0] && isAt(w, x)));
}

/** Prose runs over the edges of columns as if they were not there; a row of cells leaves white at them. */
export function flowsOver(line: Line, edges: readonly number[], keys: readonly number[]): boolean {
  if (line.words.length < 6 || isNumberedRow(line)) return false;
  const cut = cutLine(line, edges);
  if (keys.some((k) => looksLikeNumbers(cut.cells[k]!))) return false;
  const passed = edges.slice(1, -1).flatMap((edge) => {
    const before = line.words.filter((w) => (w.x0 + w.x1) / 2 < edge).at(-1);
    const after = line.words.find((w) => (w.x0 + w.x1) / 2 >= edge);
    return before && after ? [after.x0 - before.x1 < 0.5 * line.size] : [];
  });
  return passed.length >= 2 && passed.filter(Boolean).length >= 0.7 * passed.length;
}

export const hasRowSoon = (lines: readonly Line[], at: number): boolean =>
  lines.slice(at, at + 2).some((l) => {
    const segments = segmentsOf(l);
    return segments.length >= 2 && segments.some((s) => looksLikeNumbers(s.text)) && l.words.length > 1;
  });
