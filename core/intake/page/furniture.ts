import type { DocumentPage } from './page';
import { headingWorth } from '../table/headings';
import { segmentsOf, textOf, usualGap, type Line } from './lines';
import type { Lattice } from './ruled';

/** The strips at a page's top and bottom where running heads stand, as a share of its height. */
const STRIP = 0.11;

/** What only a foot says, so that it need not stand on another page. */
const FOOT = /^(?:rev(?:ision)?\b\.? ?[A-Z\d.]{1,4}\b|page \d+|copyright\b|©|www\.)/i;

/** A page of fewer lines has no usual gap between them. */
const FEW = 8;

const shape = (line: Line): string => textOf(line).replace(/\d+/g, '#').replace(/\s+/g, ' ');

interface PageLines {
  page: DocumentPage;
  lines: Line[];
  lattices: readonly Lattice[];
}

/**
 * Takes running heads and feet away: the outermost lines of a page that stand, but for their figures, at the same height
 * on another page too, and apart from what follows. Lines of a ruled table are none, and neither are lines as near to
 * their neighbours as the rows of a table.
 */
export function withoutFurniture(pages: readonly PageLines[]): Line[][] {
  const seen = new Map<string, Set<number>>();
  const keyOf = (line: Line) => `${shape(line)} ${Math.round(line.base / 4)}`;
  for (const { page, lines } of pages)
    for (const line of lines) if (inStrip(line, page)) seen.set(keyOf(line), (seen.get(keyOf(line)) ?? new Set()).add(page.number));
  const repeats = (line: Line) => (seen.get(keyOf(line))?.size ?? 0) > 1 || FOOT.test(textOf(line));
  return pages.map((own) => {
    const { lines } = own;
    // A page with a row or two has no usual gap: its lines are as far apart as print of their size may be.
    const pitch = Math.min(usualGap(fullLines(lines)), 2.6 * Math.max(0, ...lines.map((l) => l.size)));
    let [from, to] = [0, lines.length];
    // Nor can it say what is apart: what stands on every page alike needs less white there.
    const white = lines.length < FEW ? 1.4 : 1.7;
    const isApart = (a: Line | undefined, b: Line | undefined) => !a || !b || Math.abs(b.base - a.base) > white * pitch;
    const block = (at: number, step: 1 | -1) => {
      // A running head can have two lines; what counts is that white stands after the last of them.
      let end = at;
      while (lines[end] && isFurniture(lines[end]!, own) && repeats(lines[end]!)) {
        if (isApart(lines[end], lines[end + step]) || isOfOtherPrint(lines[end]!, lines[end + step])) return end + step;
        end += step;
        if (Math.abs(end - at) > 3) return at;
      }
      return at;
    };
    for (let next = block(from, 1); next !== from; next = block(from, 1)) from = next;
    for (let next = block(to - 1, -1); next !== to - 1; next = block(to - 1, -1)) to = next + 1;
    return from > 0 || to < lines.length ? lines.slice(from, Math.max(from, to)) : lines;
  });
}

/** Print of another size than the next line, and no headings: a running head stands near a table of wide rows. */
const isOfOtherPrint = (line: Line, next: Line | undefined): boolean =>
  next !== undefined && Math.abs(line.size - next.size) > 0.08 * next.size && headingWorth(segmentsOf(line).map((s) => s.text)) === 0;

/** Lines without those that stand beside others at half a line's height, as cells do that are centred each by itself. */
const fullLines = (lines: readonly Line[]): Line[] => {
  const out: Line[] = [];
  for (const line of lines) if (out.length === 0 || line.base - out.at(-1)!.base > 0.9 * line.size) out.push(line);
  return out;
};

const inStrip = (line: Line, page: DocumentPage): boolean => line.base < STRIP * page.height || line.base > (1 - STRIP) * page.height;

/** So many headings of a pin table, which stand over each of its pages, are no running head. */
const HEADINGS = 3;

const isFurniture = (line: Line, { page, lattices }: PageLines): boolean =>
  inStrip(line, page) &&
  headingWorth(segmentsOf(line).map((s) => s.text)) < HEADINGS &&
  !lattices.some(
    (l) => line.base > l.ys[0]! && line.base < l.ys.at(-1)! && line.words.some((w) => w.x0 > l.xs[0]! - 2 && w.x1 < l.xs.at(-1)! + 2),
  );
