import { groupBy } from '../../part';
import type { ReadOptions, TableChoice } from '../proposal';
import { hasBallMap } from '../table/find-map';
import { tenths, type Box } from '../table/box';
import { groupOfTitle, isAtEdge } from '../table/group-titles';
import { asSet } from '../table/join-tables';
import { takenOf } from '../table/choices';
import { goesWith } from '../table/goes-with';
import { findTables } from '../table/find-table';
import { withoutElse } from '../table/of-something-else';
import type { Scored } from '../table/found-table';
import type { Block } from './block';
import { blocksIn, type OpenTable } from './borderless';
import { chainsOf, gridOf, titleOver, type Chain } from './chains';
import { linesOf, textOf, type Line } from './lines';
import { inBox, ruledBlocks, type Ready } from './ready';
import { regionsOf } from './regions';
import { withSideLabels } from './side-labels';
import { standing } from './standing';
import type { Word } from './words';

/** A table that was found, with the blocks it stands in. */
export interface Found extends Scored {
  chain: Chain;
  /** To the page as it is displayed. */
  back: (page: number, box: Box) => Box;
}

/** All tables in reading order that have rows with a number and a name. */
export function tablesOf(ready: readonly Ready[], options: ReadOptions): Found[] {
  const blocks = options.region ? regionBlocks(ready, options.region) : ready.flatMap((r) => r.blocks);
  const chains = chainsOf(withTitlesBefore(blocks, ready));
  const ruled = found(chains, ready);
  const isTaken = (page: number, word: Word) => ruled.some((f) => f.chain.some((b) => b.page === page && inBox(word, b.box)));
  const plain: Block[] = [];
  let open: OpenTable | undefined;
  let isLonger = false;
  for (const r of ready) {
    if (r.page.rules === undefined) {
      open = undefined;
      continue;
    }
    const own = options.region && options.region.page !== r.page.number ? [] : r.words;
    const inRegion = options.region ? r.to(options.region.box) : undefined;
    const words = standing(own.filter((w) => !isTaken(r.page.number, w) && (!inRegion || inBox(w, inRegion))));
    for (const region of regionsOf(r.page, linesOf(words))) {
      const read = blocksIn(region, r.rules, open);
      const [first, ...others] = read.blocks;
      if (open?.of && first?.goesOn) {
        open.of.push(first);
        isLonger = true;
        plain.push(...others);
      } else plain.push(...read.blocks);
      open = read.open;
    }
    if (words.length === 0) open = undefined;
    const atEnd = open ? undefined : endsWith(ruled, r);
    if (atEnd) open = openRuled(atEnd, r);
  }
  // Ruled tables that went on are read anew.
  const turned = turnedOn(ready);
  const unruled = chainsOf(withTitlesBefore(plain, ready)).map((chain) => withSideLabels(chain, turned));
  const all = [...(isLonger ? found(chains, ready) : ruled), ...found(unruled, ready, chains.length)];
  const page = options.page;
  const chosen = withoutElse(all, ({ chain }) => chain[0]!.captions, options);
  return inReadingOrder(chosen.filter((f) => page === undefined || f.chain.some((b) => b.page === page)));
}

/** Tables page by page, in each of its text columns from top to bottom; a table over the whole width leaves one column. */
function inReadingOrder(tables: readonly Found[]): Found[] {
  return [...groupBy(tables, (f) => f.chain[0]!.page)]
    .sort(([a], [b]) => a - b)
    .flatMap(([, own]) => {
      let [column, right] = [0, -Infinity];
      const placed = own
        .map((f) => ({ f, box: f.chain[0]!.box }))
        .sort((a, b) => a.box[0] - b.box[0])
        .map(({ f, box }) => {
          if (box[0] >= right) column++;
          right = Math.max(right, box[0] + box[2]);
          return { f, column, top: box[1] };
        });
      return placed.sort((a, b) => a.column - b.column || a.top - b.top).map(({ f }) => f);
    });
}

/** Blocks at the top of a page, or of a text column, with the title that the one before ends with, below all of its tables. */
function withTitlesBefore(blocks: readonly Block[], ready: readonly Ready[]): Block[] {
  return blocks.map((block) => {
    const over = titleOver(block);
    if (block.goesOn || (over !== undefined && !isAtEdge(over)) || blocks.some((b) => isOver(b, block))) return block;
    const [left, top] = block.box;
    const own = lastLine(ready, block.page, (w) => w.x1 <= left);
    const beside = own && own.base > top + block.box[3] / 2 ? own : undefined;
    const page = beside ? block.page : block.page - 1;
    const last = beside ?? endOfPage(blocks, ready, page);
    if (!last || groupOfTitle(textOf(last)) === undefined) return block;
    const isIn = blocks.some((b) => b.page === page && last.words.some((w) => inBox(w, b.box)));
    return isIn ? block : { ...block, captions: [textOf(last)] };
  });
}

/** The last line of a page; a page of two columns ends with the second. */
function endOfPage(blocks: readonly Block[], ready: readonly Ready[], page: number): Line | undefined {
  const own = blocks.filter((b) => b.page === page);
  const second = own.filter((b) => own.some((o) => o.box[0] + o.box[2] < b.box[0]));
  const from = Math.min(...second.map((b) => b.box[0]));
  return lastLine(ready, page, (w) => second.length === 0 || w.x1 > from);
}

/** True for a block above another one in its column. */
const isOver = (a: Block, b: Block): boolean =>
  a.page === b.page && a.box[1] < b.box[1] && a.box[0] < b.box[0] + b.box[2] && a.box[0] + a.box[2] > b.box[0];

/** The last line of a page's text, of such words as `isOf` says. */
function lastLine(ready: readonly Ready[], page: number, isOf: (word: Word) => boolean): Line | undefined {
  const lines = ready.find((r) => r.page.number === page)?.lines ?? [];
  const own = lines.map((line) => ({ ...line, words: line.words.filter(isOf) }));
  return own.findLast((line) => line.words.length > 0 && !isAtEdge(textOf(line)));
}

/** The words of a page that are set sideways, without those that stand at the same place of another page, as notes in a margin do. */
function turnedOn(ready: readonly Ready[]): (page: number) => Word[] {
  const of = new Map(ready.map((r) => [r.page.number, r.words.filter((w) => w.sideways)]));
  const placeOf = (w: Word) => `${w.text} ${Math.round(w.x0)} ${Math.round(w.top)}`;
  const counts = new Map<string, number>();
  for (const place of [...of.values()].flat().map(placeOf)) counts.set(place, (counts.get(place) ?? 0) + 1);
  return (page) => of.get(page)!.filter((w) => counts.get(placeOf(w)) === 1);
}

/** The ruled table that a page ends with: its lines may be missing where it goes on on the next one. */
const endsWith = (ruled: readonly Found[], { page, words }: Ready): Found | undefined =>
  ruled.find(({ chain }) => {
    const last = chain.at(-1)!;
    return last.page === page.number && last.edges.length > 2 && !words.some((w) => w.base - w.size > last.box[1] + last.box[3]);
  });

/** A ruled table as one that the next page may go on with. */
function openRuled({ table, chain }: Found, { words }: Ready): OpenTable {
  const { edges, page, box } = chain.at(-1)!;
  const size = Math.max(...words.filter((w) => inBox(w, box)).map((w) => w.size));
  const heads = table.columns.map((c, i) => ({ text: c.heading, x0: edges[i] ?? box[0], x1: edges[i + 1] ?? box[0] + box[2] }));
  const keys = table.columns.flatMap((c, i) => (c.role === 'number' ? [i] : []));
  const header = { at: 0, depth: 1, heads, worth: heads.length, sure: heads.length, unclosed: 0 };
  return { header, edges: [...edges], page, left: box[0], keys, align: 'top', size, of: chain };
}

function found(chains: readonly Chain[], ready: readonly Ready[], salt = 0): Found[] {
  const backOf = new Map(ready.map((r) => [r.page.number, r.back]));
  return chains.flatMap((chain, i) => {
    const back = (page: number, box: Box) => backOf.get(page)!(box);
    const grid = gridOf(chain, (salt + i) * 100_000 + 1, back);
    const [best] = findTables(grid);
    return !best || hasBallMap(grid) ? [] : [{ ...best, chain, back }];
  });
}

/** In a region that a person drew only its own ruled tables count. */
function regionBlocks(ready: readonly Ready[], region: NonNullable<ReadOptions['region']>): Block[] {
  const r = ready.find((x) => x.page.number === region.page);
  if (!r) return [];
  const box = r.to(region.box);
  const words = r.words.filter((w) => inBox(w, box));
  return ruledBlocks({ ...r, words }).filter((b) => b.rows.length > 1);
}

/** The tables to read: those a person chose, or the best one with the others that go with it. */
export function choose(all: readonly Found[], options: ReadOptions): { chosen: Found[]; choices: TableChoice[] } {
  const best = [...all].sort((a, b) => b.score - a.score)[0]!;
  const chosen = takenOf(all, options, goesWith(best));
  const first = (chosen[0] ?? best).table.columns;
  const choices = all.map((f, index) => ({
    columns: asSet(options, f.table.columns, first, index),
    title: f.chain[0]!.captions.find((c) => /^table/i.test(c)) ?? f.table.columns.map((c) => c.heading).join(', '),
    page: f.chain[0]!.page,
    rows: f.table.rows.length,
    taken: chosen.includes(f),
    areas: f.chain.map((b) => ({
      page: b.page,
      box: tenths(f.back(b.page, b.box)),
      // The terminals of a table that lies on its side stand under no column of theirs.
      columns: (b.edges.length === f.table.columns.length + 1 ? b.edges.slice(1) : []).map((e, k) =>
        tenths(f.back(b.page, [b.edges[k]!, b.box[1], e - b.edges[k]!, b.box[3]])),
      ),
    })),
  }));
  return { chosen, choices };
}
