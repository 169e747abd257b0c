import { packageIn, roleOfHeading } from '../table/headings';
import { looksLikeNumbers } from '../table/numbers';
import { linesOf, segmentsOf, type Line } from './lines';
import type { Word } from './words';

/** How far from the turned words the line of the other headings may stand, in font sizes. */
const REACH = 4;

/**
 * The words of a page without ruled lines, headings that are set sideways brought upright onto the line of the other
 * headings, in the middle of their column. Other sideways text (a margin's note, a drawing's label) is left out.
 */
export function standing(words: readonly Word[]): Word[] {
  const upright = words.filter((w) => !w.sideways);
  const turned = words.filter((w) => w.sideways);
  if (!turned.some(isHead)) return upright;
  const lines = linesOf(upright);
  const rows: Word[][] = [];
  for (const word of [...turned].sort((a, b) => a.base - b.base)) {
    const row = rows.find((r) => r.some((w) => w.top < word.base && w.base > word.top));
    if (row) row.push(word);
    else rows.push([word]);
  }
  return [...upright, ...rows.filter((r) => r.some(isHead)).flatMap((row) => broughtUpright(row, lines))];
}

const isHead = (w: Word): boolean => roleOfHeading(w.text) !== undefined || packageIn(w.text) !== undefined;

function broughtUpright(row: readonly Word[], lines: readonly Line[]): Word[] {
  const [top, bottom] = [Math.min(...row.map((w) => w.top)), Math.max(...row.map((w) => w.base))];
  const heads = (l: Line) => segmentsOf(l).filter((s) => roleOfHeading(s.text) !== undefined).length;
  const near = lines.filter((l) => l.base > top - REACH * l.size && l.base < bottom + l.size && heads(l) > 0);
  // The lowest line with the most headings: what stands above it is stacked over it.
  const line = near.reduce<Line | undefined>((best, l) => (!best || heads(l) >= heads(best) ? l : best), undefined);
  // Alone left of all headings, and below them, stands the title of a group of rows.
  const left = Math.min(...near.map((l) => l.words[0]!.x0));
  if (line && row.length === 1 && row[0]!.x1 < left && bottom > line.base + line.size) return [];
  // A heading that is repeated on each page was taken away with the running heads: its packages alone would be a table of their own.
  if (!line && (isAmongRows(row, lines) || !row.some((w) => ['name', 'ambiguous'].includes(roleOfHeading(w.text) ?? '')))) return [];
  return row.map((w) => {
    const size = line?.size ?? w.size;
    const middle = (w.x0 + w.x1) / 2;
    // Under a heading over all of them they are a line of their own.
    const base = line === undefined ? bottom : line.base < top ? line.base + 1.1 * size : line.base;
    return { text: w.text, x0: middle - size / 4, x1: middle + size / 4, base, size, top: base - size * 0.78 };
  });
}

/** A single word with the rows of a table right above it heads nothing. */
const isAmongRows = ([word, ...more]: readonly Word[], lines: readonly Line[]): boolean =>
  more.length === 0 &&
  lines.some((l) => l.base < word!.top && l.base > word!.top - REACH * l.size && l.words.some((w) => looksLikeNumbers(w.text)));
