import { looksLikeNumbers } from '../table/numbers';
import type { Line } from './lines';
import { widthOf, type Word } from './words';

/** Places are kept in half points. */
export const placeOf = (x: number): number => Math.round(x * 2);
/** Words of one run of text stand where they are estimated to: they are off by a point or so. */
const NEAR = [-3, -2, -1, 0, 1, 2, 3];
/** A gap that could be a blank between words, in font sizes; cells that touch stand nearer. */
export const LEAST_GAP = 0.3;

/**
 * Places where words behind a gap begin in most of the lines: columns so near to each other that a gap alone does not tell
 * them from words.
 */
export function sharedStarts(body: readonly Line[]): ReadonlySet<number> {
  const counts = countStarts(body, (w, before, size) => before === undefined || w.x0 - before.x1 > LEAST_GAP * size);
  const least = Math.max(4, 0.6 * body.length);
  const around = (x: number) => NEAR.map((by) => x + by);
  const shared = [...counts.keys()].filter((x) => around(x).reduce((sum, n) => sum + (counts.get(n) ?? 0), 0) >= least);
  return new Set(shared.flatMap(around));
}

/** How many words begin at each place, of those that count beside the one before them. */
function countStarts(
  body: readonly Line[],
  isCounted: (word: Word, before: Word | undefined, size: number) => boolean,
): Map<number, number> {
  const counts = new Map<number, number>();
  for (const { words, size } of body)
    for (const [i, w] of words.entries())
      if (isCounted(w, words[i - 1], size)) counts.set(placeOf(w.x0), (counts.get(placeOf(w.x0)) ?? 0) + 1);
  return counts;
}

/** How far an estimated place can be off, in font sizes. */
export const OFF = 0.75;

/**
 * Lines in which words of one run that goes over two columns stand where the second column begins: their places are
 * estimates, those of other lines' cells are not.
 */
export function settled(body: readonly Line[]): Line[] {
  const starts = cellStarts(body);
  if (starts.length === 0) return [...body];
  const areApart = areRunsApart(body);
  return body.map((line) => ({
    ...line,
    words: isTitle(line, starts.length, areApart)
      ? line.words
      : line.words.flatMap((w, i) => {
          const [before, behind] = [line.words[i - 1], line.words[i + 1]];
          const parts = partedWhereTouched(w, starts);
          if (parts.length > 1 || !w.estimated || w.first || !before) return parts;
          const start = starts.find((x) => Math.abs(w.x0 - x) < OFF * w.size && before.x0 < x - w.size);
          // The last number of a list belongs to the list, where what stands behind it is nearer to the column's begin.
          const isLast = start !== undefined && before.text.endsWith(',') && looksLikeNumbers(w.text);
          const isOther = isLast && behind?.estimated && Math.abs(behind.x0 - start) < Math.abs(w.x0 - start);
          return [start === undefined || isOther ? w : { ...w, x0: start, x1: w.x1 + start - w.x0 }];
        }),
  }));
}

/** What a cell that is full to its edge ends with, and the number, or the first word of a description, that touches it. */
const TOUCHED = /^(\S*(?:[A-Za-z+#%)_-]|[A-Za-z%)][.;)]))(\d{1,4})$|^(\S*[A-Z0-9#_)+-])([A-Z][a-z]+)$/;
/** How wide a figure is in common text faces, in font sizes. */
const FIGURE = 0.55;

/** `pins.19`: a cell that fills its column touches the next one, which begins where its column's cells do. */
export function partedWhereTouched(w: Word, starts: readonly number[]): Word[] {
  const inside = starts.filter((x) => x > w.x0 + w.size && x < w.x1 - 0.3 * w.size);
  const [, text, number, name, word] = (inside.length > 0 && TOUCHED.exec(w.text)) || [];
  const [left, right] = [text ?? name, number ?? word];
  if (left === undefined || right === undefined) return [w];
  const begin = number === undefined ? w.x0 + (w.x1 - w.x0) * (wide(left) / wide(w.text)) : w.x1 - number.length * FIGURE * w.size;
  const start = inside.find((x) => Math.abs(begin - x) < (number === undefined ? 0.6 : 0.2) * w.size);
  if (start === undefined) return [w];
  return [
    { ...w, text: left, x1: start },
    { ...w, text: right, x0: start },
  ];
}

const wide = (text: string): number => [...text].reduce((sum, c) => sum + widthOf(c), 0);

/**
 * A line in capitals, or one run of words, without a terminal's number: the title of a group, which runs over the columns.
 * `Serial port 1` counts its kind; so does `Power 2` where a row has more cells than two. Where each cell of a row is a run of
 * its own (`areApart`), one run that begins with a word is a title whatever it holds: `Inputs, 0 V to 2.5 V`.
 */
function isTitle({ words }: Line, columns: number, areApart: boolean): boolean {
  if (words.length < 2) return false;
  if (areApart && isOneRun(words) && BEGINS.test(words.map((w) => w.text).join(' '))) return true;
  const isRun = isRunOfWords(words);
  const mayCount = isRun && words.length > (columns > 2 ? 1 : 2);
  if ((mayCount ? words.slice(0, -1) : words).some((w) => looksLikeNumbers(w.text))) return false;
  return words.every((w) => !/[a-z]/.test(w.text)) ? words.some((w) => /[A-Z]{4}/.test(w.text)) : isRun;
}

/** `Serial`, `I/O`, or `2. Serial`; no number of a terminal. */
const BEGINS = /^(?:\d{1,2}(?:\.\d{1,2})*[.)] )?[A-Z](?:[a-z/]|[A-Z/]{2})/;

const isOneRun = (words: readonly Word[]): boolean => words.every((w, i) => i === 0 || (w.estimated && !w.first));

/** True where nearly every line with a terminal's number is set in several runs. */
function areRunsApart(body: readonly Line[]): boolean {
  const rows = body.filter(({ words }) => words.length > 1 && words.some((w) => looksLikeNumbers(w.text)));
  return rows.length > 3 && rows.filter(({ words }) => !isOneRun(words)).length >= 0.7 * rows.length;
}

/** `Power and ground`, set in one go: it begins with a word, and goes on as no sentence does. */
const isRunOfWords = (words: readonly Word[]): boolean =>
  /^[A-Z][a-z]/.test(words[0]!.text) && words.length < 8 && isOneRun(words) && words.slice(1).every((w) => !/[.,;:]$/.test(w.text));

/**
 * Where cells begin in many lines, from left to right: by places that are no estimates, or by a few such lines beside many where
 * a word is estimated to begin there.
 */
export function cellStarts(body: readonly Line[]): number[] {
  const counts = countStarts(body, (w) => !w.estimated || w.first === true);
  const least = Math.max(3, 0.4 * body.length);
  const isNear = (w: Word, x: number) => w.estimated === true && !w.first && Math.abs(w.x0 - x) < OFF * w.size;
  const estimatedAt = (x: number) => body.filter(({ words }) => words.some((w, i) => i > 0 && isNear(w, x))).length;
  return [...counts]
    .filter(([x, count]) => count >= least || (count >= 3 && count >= 0.1 * body.length && count + estimatedAt(x / 2) >= 2 * least))
    .map(([x]) => x / 2)
    .sort((a, b) => a - b);
}
