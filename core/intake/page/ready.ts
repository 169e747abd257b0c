import type { Box } from '../table/box';
import { looksLikeNumbers } from '../table/numbers';
import type { Block } from './block';
import { captionsAbove } from './borderless';
import { withoutFurniture } from './furniture';
import { headingAbove } from './heading-above';
import { latticeRows } from './lattice-block';
import { linesOf, type Line } from './lines';
import type { DocumentPage } from './page';
import { latticesOf, type Lattice } from './ruled';
import { upright } from './upright';
import { wordsAndRules, type Word } from './words';

/** A page made ready: upright, with its words, lines and lattices. `to` and `back` map boxes from and to the displayed page. */
export interface Ready {
  page: DocumentPage;
  to: (box: Box) => Box;
  back: (box: Box) => Box;
  words: Word[];
  lines: Line[];
  lattices: Lattice[];
  /** The ruled tables. */
  blocks: Block[];
  rules: NonNullable<DocumentPage['rules']>;
}

/**
 * The pages that can hold a table (their rules were fetched), those beside them, where legends and notes stand, and the
 * first, which names the part. In a long document the others only cost time.
 */
export function worthReading(pages: readonly DocumentPage[]): readonly DocumentPage[] {
  const ruled = pages.filter((p) => p.rules !== undefined).map((p) => p.number);
  if (ruled.length === 0) return pages.slice(0, 1);
  const near = new Set(ruled.flatMap((n) => [n - 1, n, n + 1]));
  return pages.filter((p, i) => i === 0 || near.has(p.number));
}

/** Makes pages ready together: running heads show by standing on several. */
export function prepare(pages: readonly DocumentPage[]): Ready[] {
  const first = pages.map((given) => {
    const { page, to, back } = upright(given);
    const { words, rules } = wordsAndRules(page);
    return { page, to, back, words, lines: linesOf(words), lattices: latticesOf(rules), rules };
  });
  const kept = withoutFurniture(first);
  return first.map((ready, i) => {
    const lines = kept[i]!;
    const isWhole = lines.length === ready.lines.length;
    const words = isWhole ? ready.words : lines.flatMap((l) => l.words).concat(ready.words.filter((w) => w.sideways));
    const own = { ...ready, lines, words };
    return { ...own, blocks: ruledBlocks(own) };
  });
}

export const inBox = (w: Word, [x, y, width, height]: Box): boolean => {
  const middle = (w.x0 + w.x1) / 2;
  return middle >= x - 1 && middle <= x + width + 1 && w.base - 0.3 * w.size >= y - 1 && w.base - 0.3 * w.size <= y + height + 1;
};

/** The ruled tables of a page as blocks. */
export function ruledBlocks(r: Omit<Ready, 'blocks'>): Block[] {
  return r.lattices.flatMap((lattice): Block[] => {
    const inside = latticeRows(lattice, r.words);
    if (inside.length === 0 || (inside.length === 1 && !inside[0]!.cells.some(looksLikeNumbers))) return [];
    const rows = [...headingAbove(lattice, inside, r.lines), ...inside];
    const [x, y] = [lattice.xs[0]!, Math.min(lattice.ys[0]!, ...rows[0]!.boxes.flatMap((b) => (b ? [b[1]] : [])))];
    const box: Box = [x, y, lattice.xs.at(-1)! - x, lattice.ys.at(-1)! - y];
    const above = r.lines.filter((l) => l.base < y + 2);
    return [{ page: r.page.number, box, edges: lattice.xs, rows, captions: captionsAbove(above, above.length) }];
  });
}
