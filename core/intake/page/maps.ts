import { ok, type Problem, type Result } from '../../part';
import type { Proposal, ReadOptions } from '../proposal';
import { readBallMaps, type BesideMap, type MapSource } from '../table/ball-map';
import { unite, withRoom } from '../table/box';
import { areEdge, hasBallMap } from '../table/find-map';
import type { Grid, GridRow } from '../table/grid';
import { readSignalLists } from '../table/signal-list';
import { alignedRow } from '../text/aligned';
import { readLegend } from '../understand/legend';
import type { Block } from './block';
import { gridOf, type Chain } from './chains';
import { headerAt } from './headers';
import { linesOf, spacedText, textOf, type Line } from './lines';
import type { Ready } from './ready';
import { legendLines } from './surroundings';
import { boxOf, type Word } from './words';

/** Reads the ball maps of a document, ruled or not; undefined where it has none. */
export function readMaps(ready: readonly Ready[], problems: Problem[], options: ReadOptions): Result<Proposal> | undefined {
  const own = ready.filter((r) => options.page === undefined || r.page.number === options.page);
  const backOf = new Map(own.map((r) => [r.page.number, r.back]));
  const ruled = goingOn(own.flatMap((r) => r.blocks)).map((chain, i): MapSource => {
    const grid = gridOf(chain, i * LINES_OF_GRID + 1, (page, box) => backOf.get(page)!(box));
    return { grid, titles: chain[0]!.captions };
  });
  const isRuled = ruled.some((s) => hasBallMap(s.grid));
  const sources = isRuled ? ruled : plainMaps(own);
  const read = readBallMaps(sources, problems, options, besideMap(ready));
  return read && withAreas(read, sources.find((s) => hasBallMap(s.grid))?.titles[0]);
}

/** Lines are counted through the document, so that each row of a map has its own. */
const LINES_OF_GRID = 10_000;

/** The map as the one table of the document, with the place that its cells take on each page. */
function withAreas(read: Result<Proposal>, title = 'Ball map'): Result<Proposal> {
  if (!read.ok || !read.value.table) return read;
  const { rows } = read.value.table;
  const pages = [...new Set(rows.flatMap((r) => r.place?.page ?? []))];
  const areas = pages.flatMap((page) => {
    const of = rows.filter((r) => r.place?.page === page);
    const box = unite(of.flatMap((r) => (r.place?.boxes ?? []).flatMap((b) => (b ? [b] : []))));
    return box ? [{ page, box: withRoom(box), columns: [] }] : [];
  });
  return ok({ ...read.value, tables: [{ title, page: pages[0]!, rows: rows.filter((r) => !r.heading).length, taken: true, areas }] });
}

/** The lists of signals in a document's tables, and what it says of type codes. */
export function besideMap(ready: readonly Ready[]): BesideMap {
  const ruled = goingOn(ready.flatMap((r) => r.blocks)).map((blocks) => gridOf(blocks, 1, (_page, box) => box));
  // Without ruled lines the white between cells parts them, and headings by their words where they stand close.
  const rowAt = ({ lines }: Ready, at: number) => {
    const header = headerAt(lines, at);
    return header?.depth === 1 ? { line: at + 1, cells: header.heads.map((h) => h.text) } : alignedRow(spacedText(lines[at]!), at + 1);
  };
  const plain = ready.map((r): Grid => ({ layout: 'aligned', rows: r.lines.map((_, i) => rowAt(r, i)) }));
  return {
    signals: readSignalLists([...ruled, ...plain]),
    legend: readLegend(legendLines(ready)),
  };
}

/** Lists of names go on over a page break in columns that are as wide, with no heading again and no numbers to tell. */
function goingOn(blocks: readonly Block[]): Chain[] {
  const chains: Chain[] = [];
  for (const block of blocks) {
    const last = chains.at(-1)?.at(-1);
    const isAsWide = last?.edges.length === block.edges.length && last.edges.every((e, i) => Math.abs(e - block.edges[i]!) < 6);
    if (last?.page === block.page - 1 && isAsWide) chains.at(-1)!.push(block);
    else chains.push([block]);
  }
  return chains;
}

/** Ball maps without ruled lines: columns are taken from where their figures stand; one may go on on the next page. */
function plainMaps(ready: readonly Ready[]): MapSource[] {
  const sources: MapSource[] = [];
  let open: { page: number; head: Line; grid: Grid } | undefined;
  for (const r of ready) {
    const heads = r.lines.filter(isHead);
    const top = r.lines.filter((l) => l.base < (heads[0]?.base ?? Infinity));
    if (open?.page === r.page.number - 1) open.grid.rows.push(...rowsUnder(r, open.head, top, open.grid.rows.at(-1)!.line + 1));
    heads.forEach((head, i) => {
      const below = r.lines.filter((l) => l.base > head.base && l.base < (heads[i + 1]?.base ?? Infinity));
      const lines = sideOf(below, head).length > 0 ? below : i === 0 ? top : [];
      const from = sources.length * LINES_OF_GRID + 1;
      const rows = rowsUnder(r, head, lines, from + 1);
      if (rows.length === 0) return;
      const grid: Grid = { layout: 'cells', rows: [{ line: from, cells: ['', ...head.words.map((w) => w.text)] }, ...rows] };
      sources.push({ grid, titles: r.lines.slice(0, 14).map(textOf) });
      open = { page: r.page.number, head, grid };
    });
    if (open && open.page < r.page.number) open = undefined;
  }
  return sources;
}

/** The labels of an edge, and nothing beside them. */
const isHead = ({ words }: Line): boolean =>
  [FIGURES, LETTERS].some((form) => words.every((w) => form.test(w.text))) && areEdge(words.map((w) => w.text));

const FIGURES = /^\d{1,2}$/;
const LETTERS = /^[A-Y]{1,2}$/;

const middle = (w: Word): number => (w.x0 + w.x1) / 2;

/** The lines that begin with a label of the other edge before the first column. */
const sideOf = (lines: readonly Line[], { words: [first] }: Line): Line[] => {
  const form = FIGURES.test(first!.text) ? LETTERS : FIGURES;
  return lines.filter((l) => l.words[0] && form.test(l.words[0].text) && l.words[0].x1 < first!.x0);
};

/** The rows of a map that stand beside its labels, under the columns of its head. */
function rowsUnder(r: Ready, head: Line, lines: readonly Line[], from: number): GridRow[] {
  const centres = head.words.map(middle);
  const pitch = Math.min(...centres.slice(1).map((c, i) => c - centres[i]!));
  /** The column whose figure a word stands under, by its middle or its start. */
  const offset = (w: Word, k: number) => Math.min(Math.abs(middle(w) - centres[k]!), Math.abs(w.x0 - head.words[k]!.x0));
  const columnOf = (w: Word) => centres.reduce((best, _, k) => (offset(w, k) < offset(w, best) ? k : best), 0);
  const sides = sideOf(lines, head);
  return sides.map((side, i) => {
    const [before, after] = [sides[i - 1], sides[i + 1]];
    const top = before ? (before.base + side.base) / 2 : side.base - (after ? (after.base - side.base) / 2 : 10);
    const bottom = after ? (after.base + side.base) / 2 : side.base + (before ? (side.base - before.base) / 2 : 10);
    const own = lines.filter((l) => l.base > top && l.base <= bottom).map((l) => l.words.filter((w) => w !== side.words[0]));
    // A label behind the last column is the row's own again.
    const words = own.flatMap((line) => line.filter((w) => !(w.text === side.words[0]!.text && w.x0 > centres.at(-1)! + pitch / 2)));
    const columns = centres.map((_, k) => words.filter((w) => columnOf(w) === k));
    const boxes = columns.map((c) => {
      const b = unite(c.map(boxOf));
      return b && r.back(b);
    });
    return {
      line: from + i,
      cells: [side.words[0]!.text, ...columns.map((c) => linesOf(c).map(textOf).join('\n'))],
      place: { page: r.page.number, boxes: [undefined, ...boxes] },
      // A word that stands under no figure may be of the column beside.
      crossed: words.some((w) => offset(w, columnOf(w)) > 0.35 * pitch),
    };
  });
}
