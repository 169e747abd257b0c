import { unite, type Box } from '../table/box';
import type { PageRowAt } from './block';
import { OFF } from './labels';
import { linesOf, textOf } from './lines';
import { isTitle } from './titles';
import { boxOf, turnedIn, type Word } from './words';

/** What stands once for all rows between two ruled lines, in the middle of their height. */
export interface BandLabel {
  column: number;
  words: readonly Word[];
  text: string;
  box: Box;
}

/** How far apart the lines of one cell stand at most, in font sizes. */
export const LEAD = 1.45;

/** The words of a column's cell in a band of `rows` rows as a label of them: one that is set sideways, or a line or two. */
export function labelOfBand(
  words: readonly Word[],
  [top, bottom]: readonly [number, number],
  rows: number,
  column: number,
): BandLabel | undefined {
  const turned = turnedIn(words);
  const lines = linesOf(words);
  const box = unite(words.map(boxOf));
  if (!box || (turned.length > 0 && lines.length > 0) || lines.length > 2 || rows <= lines.length) return undefined;
  const { size } = words[0]!;
  const text = turned.length > 0 ? turned.map((w) => w.text).join(' ') : lines.map(textOf).join('\n');
  const isOne = lines.length < 2 || lines[1]!.base - lines[0]!.base < LEAD * size;
  const isMiddle = Math.abs(box[1] + box[3] / 2 - (top + bottom) / 2) < OFF * size;
  return isOne && isMiddle && isTitle(text.replace('\n', ' ')) ? { column, words, text, box } : undefined;
}

/** The rows of a band with a label in each of them. */
export const overBand = (rows: readonly PageRowAt[], { column, text, box }: BandLabel): PageRowAt[] =>
  rows.map((row, i) => ({
    ...row,
    cells: row.cells.with(column, text),
    boxes: row.boxes.with(column, box),
    same: (row.same ?? row.cells.map(() => false)).with(column, i > 0),
  }));
