import type { Doubt } from '../../part';
import { headingWorth } from '../table/headings';
import { looksLikeNumbers } from '../table/numbers';
import type { Grid, GridRow } from '../table/grid';
import { unfold } from '../table/forms/unfold';
import { unite, type Box } from '../table/box';
import { groupOfTitle } from '../table/group-titles';
import type { Block } from './block';

/** Blocks that are one table, page after page. */
export type Chain = Block[];

/**
 * Puts blocks together to tables: a block that was found as a continuation joins the one before it, and so does a ruled
 * block with the same column widths on the next page or in the next text column, unless it has a heading of its own that differs.
 */
export function chainsOf(blocks: readonly Block[]): Chain[] {
  const chains: Chain[] = [];
  for (const block of blocks) {
    const last = chains.at(-1);
    if (last && (block.goesOn || follows(block, last))) last.push(block);
    else chains.push([block]);
  }
  return beside(chains);
}

/**
 * A table that goes on in the next text column does so above its first part, by their heights: what was found before the table
 * that it goes on with is put behind it.
 */
function beside(chains: Chain[]): Chain[] {
  const joined = new Set<Chain>();
  for (const chain of chains) {
    const first = chain[0]!;
    const before = !first.goesOn
      ? chains.find((other) => other !== chain && !joined.has(other) && other.at(-1)!.page === first.page && follows(first, other))
      : undefined;
    if (!before) continue;
    before.push(...chain);
    joined.add(chain);
  }
  return chains.filter((c) => !joined.has(c));
}

function follows(block: Block, chain: Chain): boolean {
  const before = chain.at(-1)!;
  const isNext = block.page === before.page + 1 || (block.page === before.page && block.box[0] > before.box[0] + before.box[2]);
  if (!isNext || block.edges.length !== before.edges.length) return false;
  const heads = headOf(block);
  // The same heading over as many columns goes on, even where the columns became wider, but not under the title of another group.
  if (heads !== undefined) return heads === headOf(chain[0]!) && !isOfOtherGroup(block, chain);
  const shift = block.edges[0]! - before.edges[0]!;
  if (!block.edges.every((e, i) => Math.abs(e - before.edges[i]! - shift) < 6)) return false;
  return block.rows.slice(0, 3).some((r) => r.cells.some((c) => looksLikeNumbers(c)));
}

/** The upper words of a heading in two lines, `Pin Pin` over `name` and `number`. */
const OF_HEADING = /^(?:(?:pin|ball|terminal|lead|signal|no\.?|number|package|i\/o|alternate|other|alt\.)s?\s*)+$/i;

/** The line right over a table, or the caption over that. */
export function titleOver({ captions }: Block): string | undefined {
  const near = captions.slice(0, 3).filter((c) => !OF_HEADING.test(c));
  return near.slice(0, 2).find((c) => /^table\s*\S*\d/i.test(c)) ?? near[0];
}

function isOfOtherGroup(block: Block, chain: Chain): boolean {
  const [own, first] = [groupOfTitle(titleOver(block)), groupOfTitle(titleOver(chain[0]!))];
  return own !== undefined && first !== undefined && own !== first;
}

const headOf = (block: Block): string | undefined => {
  const row = block.rows.slice(0, 2).find((r) => headingWorth(r.cells) >= 2);
  return row?.cells.join('|').toLowerCase().replace(/\s+/g, ' ');
};

/** A chain as a grid of cells. `from` is the number of its first row, so that rows of all chains are told apart. */
export function gridOf(chain: Chain, from: number, back: (page: number, box: Box) => Box): Grid {
  const rows: GridRow[] = [];
  for (const given of chain) {
    const block = given === chain[0] ? given : withoutRest(given, rows.at(-1));
    // A merged cell that goes on over a page break stands empty there, over the first rows.
    const first = given === chain[0] ? -1 : block.rows.findIndex((r) => r.cells.some(looksLikeNumbers));
    for (const [i, row] of block.rows.entries()) {
      const line = from + rows.length;
      const below = i === first ? block.rows[i + 1]?.same : undefined;
      if (row.apart) rows.push({ line, cells: row.cells.map(() => '') });
      rows.push({
        line: from + rows.length,
        cells: row.cells,
        place: { page: block.page, boxes: withEmpty(row.boxes, block.edges).map((b) => b && back(block.page, b)) },
        ...(row.same ? { same: row.same.map((is, k) => is || (row.cells[k] === '' && below?.[k] === true)) } : {}),
        ...(row.crossed ? { crossed: true } : {}),
        ...(row.isUneven ? { doubt: UNEVEN } : {}),
      });
    }
  }
  return unfold({ layout: 'cells', rows });
}

const UNEVEN: Doubt = { field: 'group', reason: 'The labels beside the rows do not tell where each group begins.' };

/** Lists of numbers that a page's end parts: `A1, A8,` and, on the next page, `C1` in a row of its own. */
function withoutRest(block: Block, last: GridRow | undefined): Block {
  const [first, ...rows] = block.rows;
  if (!first || !last || first.cells.length !== last.cells.length) return block;
  const filledAt = first.cells.flatMap((c, i) => (c === '' ? [] : [i]));
  const isRest = filledAt.some((i) => last.cells[i]!.endsWith(',') && looksLikeNumbers(first.cells[i]!));
  if (!isRest || filledAt.length > 2) return block;
  last.cells = last.cells.map((c, i) => (filledAt.includes(i) ? `${c}\n${first.cells[i]!}` : c));
  return { ...block, rows };
}

/** An empty cell has a place too: its column, as high as its row. */
function withEmpty(boxes: readonly (Box | undefined)[], edges: readonly number[]): (Box | undefined)[] {
  const row = unite(boxes.flatMap((b) => (b ? [b] : [])));
  if (!row || edges.length !== boxes.length + 1 || boxes.filter((b) => b !== undefined).length < 2) return [...boxes];
  return boxes.map((b, i) => b ?? [edges[i]! + 2, row[1], Math.max(4, edges[i + 1]! - edges[i]! - 4), row[3]]);
}
