import { headingWorth } from '../table/headings';
import type { PageRowAt } from './block';
import { columnAt, cutLine } from './cells';
import { headerAt, type PageHeader } from './headers';
import type { Line } from './lines';
import type { Lattice } from './ruled';

/** How many lines such a heading has at most, and how far above the table it may stand, in font sizes. */
const MOST_LINES = 3;
const NEAR = 2.2;
/** How far, in points, a heading may reach over the lines below it. */
const SLACK = 3;

/** The heading of a ruled table that stands on a band without lines right above it, as a row of its columns. */
export function headingAbove({ xs, ys }: Lattice, rows: readonly PageRowAt[], lines: readonly Line[]): PageRowAt[] {
  if (rows.slice(0, 2).some((r) => headingWorth(r.cells) >= 2)) return [];
  // The lines below a heading help to part it.
  const under = lines.findIndex((l) => l.base > ys[0]! + SLACK);
  const last = lines[under - 1];
  if (!last || ys[0]! - last.base > NEAR * last.size) return [];
  for (let at = Math.max(0, under - MOST_LINES); at < under; at++) {
    const header = headerAt(lines, at);
    if (header === undefined || at + header.depth !== under || !standsOver(header, xs)) continue;
    const words = lines.slice(at, under).flatMap((l) => l.words);
    const { cells, boxes } = cutLine({ ...last, words }, xs);
    return [{ cells, boxes, crossed: false, apart: false }];
  }
  return [];
}

/** Each heading within a column of its own, over nearly all of the columns. */
function standsOver({ heads }: PageHeader, xs: readonly number[]): boolean {
  const over = heads.map((h) => columnAt((h.x0 + h.x1) / 2, xs));
  const fits = (h: PageHeader['heads'][number], c: number) => h.x0 > xs[c]! - SLACK && h.x1 < xs[c + 1]! + SLACK;
  return new Set(over).size === heads.length && heads.length >= 0.7 * (xs.length - 1) && heads.every((h, i) => fits(h, over[i]!));
}
