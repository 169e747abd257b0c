import { looksLikeNumbers } from '../table/numbers';
import { cutLine, keyColumns, type CellLine } from './cells';
import { edgesUnder } from './columns';
import type { PageHeader } from './headers';
import { halfOfTwice } from './heads';
import { linesOf, type Line } from './lines';
import type { Region } from './regions';
import { settled } from './starts';
import { endOf } from './table-end';
import type { Word } from './words';

/** Two tables of the same headings beside each other, each with rows of its own: a region for each. */
export function besideEachOther(
  region: Region,
  header: PageHeader,
  at: number,
  first: number,
): { halves: Region[]; end: number } | undefined {
  const { heads } = header;
  const count = halfOfTwice(heads);
  if (count === undefined) return undefined;
  const { lines } = region;
  const end = endOf(lines, first, header, region);
  const body = settled(lines.slice(first, end));
  const edges = edgesUnder(header, body, region.left, region.right);
  if (shareLines(body, edges, count)) return undefined;
  return { end, halves: halvesAt({ ...region, lines: lines.slice(at, end) }, edges[count]!) };
}

/** A region left and right of a place, each with lines of its own. */
export function halvesAt(region: Region, gutter: number): [Region, Region] {
  const words = region.lines.flatMap((l) => l.words);
  const isLeft = (w: Word) => (w.x0 + w.x1) / 2 < gutter;
  return [
    { ...region, right: gutter, lines: linesOf(words.filter(isLeft)) },
    { ...region, left: gutter, lines: linesOf(words.filter((w) => !isLeft(w))) },
  ];
}

/** True where the rows of the second half stand on the lines of the first: one table, set in two stretches. */
function shareLines(body: readonly Line[], edges: readonly number[], count: number): boolean {
  const cut = body.map((l) => cutLine(l, edges));
  const keys = keyColumns(cut, edges.length - 1);
  const has = ({ cells }: CellLine, isOf: (key: number) => boolean) => keys.some((k) => isOf(k) && looksLikeNumbers(cells[k]!));
  const second = cut.filter((l) => has(l, (k) => k >= count));
  return second.filter((l) => has(l, (k) => k < count)).length >= 0.7 * second.length;
}
