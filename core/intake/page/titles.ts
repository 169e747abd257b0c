import type { Box } from '../table/box';
import { filledIn, type CellLine } from './cells';
import { areInOneRow } from './lines';

/** Begins like a title, counted or not, and does not end like a sentence: `2. Inputs, 0 V to 2.5 V:`. */
const TITLE = /^(?:\d{1,2}(?:\.\d{1,2}){0,2}[.)] )?[A-Z](?:[^.;,:]|[.,](?=\d)|, (?=\d)){2,47}:?$/;
/** A word of a name, which is no title: `GPIO_1`, `D7`. */
export const NAME = /^[A-Z0-9_/[\]:–-]*[\d_][A-Z0-9_/[\]:–-]*$/;
/** Words that stand in a column of numbers. */
const PAD = /\b(?:pad|paddle|exposed|thermal|none)\b/i;
/** Places nearer than this are one, in points; and how far a text may stand from where its column's cells do. */
const [SAME, NEAR] = [1.5, 2.5];
/** How far a centred title may stand from the table's middle, as a share of its width. */
export const CENTRED = 0.015;
/** So many of a column's cells tell how it is aligned, and as many nearly of those that the best way has. */
const [ENOUGH, NEARLY] = [0.4, 0.9];

/**
 * The lines that hold the title of a group and nothing else, by their places: words over a column of numbers, or a lone text
 * that stands neither where its column's cells begin nor where they end or have their middle, but in the table's middle, or
 * with others of its kind about one middle. `width` is what lines are ruled over, where there are any.
 */
export function titlesIn(
  lines: readonly CellLine[],
  keys: readonly number[],
  anchors: readonly boolean[],
  width?: readonly [left: number, right: number],
): ReadonlySet<number> {
  const rows = lines.filter((l) => filledIn(l) > 1 && !l.isOne);
  if (rows.length < 2) return new Set();
  const last = anchors.lastIndexOf(true);
  // Behind the last number only one that stands as the others do is a title: its rows follow on the next page.
  // A line that stands less than its height from a number is of that row, whose cells are centred.
  const isInRow = (i: number) => [i - 1, i + 1].some((k) => anchors[k] === true && areInOneRow(lines[k]!, lines[i]!));
  const isFree = lines.map((l, i) => !anchors[i] && l.isOne && isTitle(l.text) && !isInRow(i));
  if (!isFree.includes(true)) return new Set();
  const places = lines[0]!.cells.map((_, i) => placesOf(rows.flatMap((l) => (l.boxes[i] ? [l.boxes[i]] : []))));
  const fits = (l: CellLine) => {
    const at = l.cells.findIndex((c) => c !== '');
    const near = (x: number, known: number | undefined) => known !== undefined && Math.abs(x - known) < NEAR;
    const own = places[at]!;
    // Of a column with a cell or two nothing is known; a text in the very middle of ruled lines is no part of it.
    if (!own) return width === undefined;
    return near(l.x0, own.start) || (l.whole === undefined && (near((l.x0 + l.x1) / 2, own.middle) || near(l.x1, own.end)));
  };
  const [left, right] = width ?? [Math.min(...rows.map((l) => l.x0)), Math.max(...lines.map((l) => l.x1))];
  const strays = lines.flatMap((l, i) => (isFree[i] && !fits(l) ? [i] : []));
  const middleOf = (i: number) => (lines[i]!.x0 + lines[i]!.x1) / 2;
  const widthOf = (i: number) => lines[i]!.x1 - lines[i]!.x0;
  // Texts of one width begin at one place too, as cells do; but none begins beyond where all of them end.
  const farthest = Math.max(...rows.map((l) => l.x1));
  const isBeyond = (i: number) => lines[i]!.x0 > farthest;
  // Nothing else stands astray, and under each of them is a row: no lines of a list.
  const areAllOver = strays.every((i) => anchors[i + 1] === true);
  const isAmongOthers = (i: number) =>
    strays.some(
      (k) =>
        k < last &&
        k !== i &&
        Math.abs(middleOf(k) - middleOf(i)) < SAME &&
        (Math.abs(widthOf(k) - widthOf(i)) > 4 * SAME || (isBeyond(i) && isBeyond(k)) || areAllOver),
    );
  const isCentred = (i: number) => Math.abs(middleOf(i) - (left + right) / 2) < CENTRED * (right - left);
  const isAt = (i: number, k: number) => lines[i]!.cells[k] !== '' && (k === 0 || !PAD.test(lines[i]!.text));
  const overNumbers = (i: number) => isFree[i] === true && keys.some((k) => isAt(i, k)) && /[a-z]{2}|[A-Z]{4}/.test(lines[i]!.text);
  const isAmongTitles = (i: number) => isFree[i] === true && (strays.includes(i) || lines[i]!.whole !== undefined) && isAmongOthers(i);
  const isSetApart = (i: number) =>
    isFree[i] === true && i < last && isOfOwnFace(lines, i, anchors) && (anchors[i + 1] === true || strays.includes(i));
  // Over rows of a line each, the first of which begins anew in the column where it stands, it is no line of that row.
  const areSingle = lines.every((_, i) => anchors[i] === true || isFree[i] === true);
  const isFirst = (i: number) => i === 0 && isFree[0] === true && areSingle && anchors[1] === true && beginsAnew(lines[1]!, lines[0]!);
  return new Set(
    lines.flatMap((_, i) =>
      isAmongTitles(i) || isFirst(i) || isSetApart(i) || (i < last && (overNumbers(i) || (strays.includes(i) && isCentred(i)))) ? [i] : [],
    ),
  );
}

/** What stands in a row where the words above it do begins with a capital or a figure of its own. */
const beginsAnew = (row: CellLine, above: CellLine): boolean =>
  above.cells.every((c, k) => c === '' || /^[A-Z\d]/.test(row.cells[k] ?? '')) && above.cells[0] === '';

/** So many cells tell the face of a column. */
const TELL = 3;

/** True for a line in a face, bold for the most part, that no cell of a row has in the columns where it stands. */
function isOfOwnFace(lines: readonly CellLine[], at: number, anchors: readonly boolean[]): boolean {
  const { cells, faces } = lines[at]!;
  const columns = cells.flatMap((c, k) => (c === '' ? [] : [k]));
  const face = faces[columns[0]!];
  if (face === undefined || columns.some((k) => faces[k] !== face)) return false;
  return columns.every((k) => {
    const own = lines.flatMap((l, i) => (anchors[i] === true && l.cells[k] !== '' ? [l.faces[k]] : []));
    return own.length >= TELL && !own.includes(face) && !own.includes(undefined);
  });
}

/** Few words that begin like a title, do not end like a sentence, and are no name. */
export const isTitle = (text: string): boolean => TITLE.test(text) && !NAME.test(text) && text.split(' ').length <= 7;

interface Places {
  start: number | undefined;
  middle: number | undefined;
  end: number | undefined;
}

/** Where a column's cells begin, have their middle or end, by what most of them agree in; undefined of too few cells. */
function placesOf(boxes: readonly Box[]): Places | undefined {
  if (boxes.length < 3) return undefined;
  const most = (of: (box: Box) => number): { at: number; count: number } => {
    const places = boxes.map(of).sort((a, b) => a - b);
    let best = { at: places[0]!, count: 0 };
    let [from, to] = [0, 0];
    for (const at of places) {
      while (at - places[from]! >= SAME) from++;
      while (to < places.length && places[to]! - at < SAME) to++;
      if (to - from > best.count) best = { at, count: to - from };
    }
    return best;
  };
  const [start, middle, end] = [most(([x]) => x), most(([x, , width]) => x + width / 2), most(([x, , width]) => x + width)];
  const best = Math.max(start.count, middle.count, end.count);
  const told = ({ at, count }: { at: number; count: number }) =>
    count >= ENOUGH * boxes.length && count >= NEARLY * best ? at : undefined;
  return { start: told(start), middle: told(middle), end: told(end) };
}
