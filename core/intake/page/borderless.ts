import { groupBy } from '../../part';
import { packageIn, roleOfHeading } from '../table/headings';
import { looksLikeTerminal } from '../table/numbers';
import { unite, type Box } from '../table/box';
import { alignIn, rowsFrom, type Layout } from './rows';
import type { Align } from './bands';
import { besideEachOther, halvesAt } from './beside';
import type { Block, PageRowAt } from './block';
import { cutLine, filledIn, keyColumns, type CellLine } from './cells';
import type { Chain } from './chains';
import { edgesUnder } from './columns';
import { headerAt, type PageHeader } from './headers';
import { segmentFrom, segmentsOf, textOf, type Line } from './lines';
import type { Rule } from './page';
import type { Region } from './regions';
import { settled } from './starts';
import { endOf, flowsOver, hasRowSoon, headingAt, isOver, isRestOfReference, isTitleOver } from './table-end';
import { boxOf } from './words';

/** A table that was not over where its region ended, so that the next region may go on with it. */
export interface OpenTable {
  header: PageHeader;
  /** The columns' edges; undefined where the region ended with the heading. */
  edges: number[] | undefined;
  /** The page and the left edge of its region. */
  page: number;
  left: number;
  keys: number[];
  /** How its cells stand: lines may be above a row's number. */
  align: Align;
  /** The font size of its body, in points. */
  size: number;
  /** The ruled table that it is the rest of. */
  of?: Chain;
  /** The table of the same heading left of it, and where they part. */
  beside?: { table: OpenTable; gutter: number };
}

/** Finds tables by their headings in a region's lines, and the rows that go on with a table of the region before. */
export function blocksIn(
  region: Region,
  rules: readonly Rule[],
  open: OpenTable | undefined,
): { blocks: Block[]; open: OpenTable | undefined } {
  const blocks: Block[] = [];
  const { lines } = region;
  let at = 0;
  let current: OpenTable | undefined;
  const read = (header: PageHeader, first: number) => {
    const beside = besideEachOther(region, header, at, first);
    if (beside) {
      // A half's few last rows on the next page are told by what its heading stood over before.
      const before = open && isSame({ ...header, heads: header.heads.slice(0, header.heads.length / 2) }, open.header) ? open : undefined;
      const halves = beside.halves.map((half) => blocksIn(half, rules, before));
      blocks.push(...halves.flatMap((h) => h.blocks));
      const [table, second] = halves.map((h) => h.open);
      const stays = beside.end === lines.length && second ? second : undefined;
      current = stays && table ? { ...stays, beside: { table, gutter: beside.halves[1]!.left } } : stays;
      at = beside.end;
      return;
    }
    const { block, end, stays } = tableUnder(region, rules, header, at, first, open);
    if (block) blocks.push(block);
    current = stays;
    at = end;
  };
  const both = open?.beside && !headerAt(lines, 0) ? goOnBeside(region, rules, open) : undefined;
  if (both) {
    blocks.push(...both.blocks);
    current = both.open;
    at = both.end;
  } else if (open?.edges) {
    const { edges, end } = continuation(lines, { ...open, edges: open.edges }, region.left);
    // Its last column is as wide as what stands here.
    edges[edges.length - 1] = Math.max(edges.at(-1)!, region.right);
    if (end > 0) {
      const layout = { keys: open.keys, groups: groupsIn(open.header), align: open.align };
      blocks.push(blockOf(region, lines.slice(0, end), edges, undefined, rules, layout));
      at = end;
      if (end === lines.length) current = { ...open, edges, page: region.page, left: region.left };
    }
  } else if (open && lines.length > 0 && !headerAt(lines, 0)) read(moved(open.header, region.left - open.left), 0);
  while (at < lines.length) {
    const header = repeated(lines, at, open?.header) ?? headerAt(lines, at);
    if (header) read(header, at + header.depth);
    else at++;
  }
  // Text beside a table on its own page does not end it: it may go on on the next page.
  const isBeside = open?.page === region.page && blocks.length === 0;
  return { blocks, open: current ?? (isBeside ? open : undefined) };
}

/** A heading as it would stand over the next text column: its table begins there. */
const moved = (header: PageHeader, by: number): PageHeader => ({
  ...header,
  heads: header.heads.map((h) => ({ ...h, x0: h.x0 + by, x1: h.x1 + by })),
});

/** The heading of the table before, word for word: it is parted as there, however few rows stand under it here. */
function repeated(lines: readonly Line[], at: number, before: PageHeader | undefined): PageHeader | undefined {
  const { words } = lines[at]!;
  if (before?.depth !== 1 || before.heads.map((h) => h.text).join(' ') !== textOf(lines[at]!)) return undefined;
  const counts = before.heads.map((h) => h.text.split(' ').length);
  // A heading that is empty, or a word with a blank in it.
  if (counts.reduce((a, b) => a + b, 0) !== words.length) return undefined;
  let from = 0;
  const heads = before.heads.map((_, i) => {
    const head = segmentFrom(words.slice(from, from + counts[i]!));
    from += head.words.length;
    return head;
  });
  return { ...before, at, heads };
}

/** Two tables beside each other that both go on; undefined where either does not. */
function goOnBeside(
  region: Region,
  rules: readonly Rule[],
  open: OpenTable,
): { blocks: Block[]; open: OpenTable | undefined; end: number } | undefined {
  const { beside, ...own } = open;
  const { table, gutter } = beside!;
  const [left, right] = halvesAt(region, gutter);
  const [first, second] = [blocksIn(left, rules, table), blocksIn(right, rules, own)];
  const blocks = [first, second].flatMap((h) => h.blocks.slice(0, 1).filter((b) => b.goesOn));
  if (blocks.length < 2) return undefined;
  const bottom = Math.max(...blocks.map(({ box }) => box[1] + box[3]));
  const end = region.lines.findIndex((l) => l.base > bottom + 1);
  if (end >= 0) return { blocks, end, open: undefined };
  const stays = second.open && first.open ? { ...second.open, beside: { table: first.open, gutter } } : undefined;
  return { blocks, end: region.lines.length, open: stays };
}

/** The table under a heading whose body begins at line `first`, the line after it, and what the next region may go on with. */
function tableUnder(
  region: Region,
  rules: readonly Rule[],
  found: PageHeader,
  at: number,
  first: number,
  before: OpenTable | undefined,
): { block?: Block; end: number; stays: OpenTable | undefined } {
  const { lines } = region;
  const end = endOf(lines, first, found, region);
  const body = settled(lines.slice(first, end));
  const { left, right } = sideways(region, found, lines.slice(at, end));
  const size = lines[first]?.size ?? lines[at]?.size ?? 9;
  const open = { header: found, page: region.page, left: region.left, size, align: 'top' as Align };
  if (first >= lines.length) return { end: first, stays: { ...open, edges: undefined, keys: [] } };
  const { header, edges, cut } = withoutEmpty(found, body, left, right);
  const own = keysOf(header, cut, edges.length - 1);
  // A row or two under the heading of the table before show no column of numbers by themselves.
  const goesOn = before !== undefined && before.keys.length > 0 && isSame(header, before.header);
  const keys = own.length === 0 && goesOn ? before.keys : own;
  const prose = body.findIndex((l, i) => flowsOver(l, edges, keys) && !isTitleOver(body, i));
  if (prose >= 0) body.splice(prose);
  if (keys.length === 0 || body.length === 0) return { end: Math.max(first, at + 1), stays: undefined };
  return {
    block: {
      ...blockOf(region, body, edges, header, rules, { keys, groups: groupsIn(header) }, lines.slice(at, first)),
      captions: captionsAbove(lines, at),
    },
    end: prose >= 0 ? first + prose : end,
    stays: end >= lines.length && prose < 0 ? { ...open, header, edges, keys, align: alignIn(cut, keys) } : undefined,
  };
}

/** A heading whose words were set so wide that they read as two, `PIN   NO.`, is one where nothing stands under one of them. */
function withoutEmpty(
  header: PageHeader,
  body: readonly Line[],
  left: number,
  right: number,
): { header: PageHeader; edges: number[]; cut: CellLine[] } {
  const edges = edgesUnder(header, body, left, right);
  const cut = body.map((l) => cutLine(l, edges));
  const second = header.heads.findIndex((h, i) => {
    const before = header.heads[i - 1];
    const isEmpty = (k: number) => cut.every((l) => l.cells[k] === '' || l.crossed);
    return before && roleOfHeading(`${before.text} ${h.text}`) !== undefined && (isEmpty(i) || isEmpty(i - 1));
  });
  if (second < 0) return { header, edges, cut };
  const [first, next] = [header.heads[second - 1]!, header.heads[second]!];
  const one = { text: `${first.text} ${next.text}`, x0: first.x0, x1: next.x1 };
  return withoutEmpty({ ...header, heads: header.heads.toSpliced(second - 1, 2, one) }, body, left, right);
}

const isSame = (a: PageHeader, b: PageHeader): boolean =>
  a.heads.length === b.heads.length && a.heads.every((h, i) => h.text === b.heads[i]!.text);

/** A table is as wide as its region, unless text that is none of it stands beside its heading. */
function sideways(region: Region, header: PageHeader, lines: readonly Line[]): { left: number; right: number } {
  const [first, last] = [header.heads[0]!, header.heads.at(-1)!];
  const heading = lines.slice(0, header.depth).flatMap((l) => segmentsOf(l));
  const before = heading.filter((s) => s.x1 < first.x0 - 2).map((s) => s.x1);
  const after = heading.filter((s) => s.x0 > last.x1 + 2).map((s) => s.x0);
  return {
    left: before.length > 0 ? Math.max(...before) + 2 : region.left,
    right: after.length > 0 ? Math.min(...after) - 2 : region.right,
  };
}

function keysOf(header: PageHeader, cells: readonly CellLine[], columns: number): number[] {
  const said = header.heads.flatMap((h, i) => (roleOfHeading(h.text) === 'number' || packageIn(h.text) ? [i] : []));
  const keys = keyColumns(cells, columns, said);
  const both = keys.filter((k) => said.includes(k) || roleOfHeading(header.heads[k]?.text ?? '') === 'ambiguous');
  return both.length > 0 ? both : keys;
}

export const captionsAbove = (lines: readonly Line[], at: number): string[] =>
  lines
    .slice(Math.max(0, at - 6), at)
    .reverse()
    .map(textOf);

/**
 * How many of a region's first lines go on with a table: rows with a number where numbers stood, and lines between them.
 * On the next page the columns stand where they stood; in the next text column, as far from its edge as before.
 */
function continuation(
  lines: readonly Line[],
  open: OpenTable & { edges: number[] },
  left: number,
): { edges: number[]; end: number; rows: number; crossed: number } {
  const moved = left - open.left;
  const tried = (shift: number) => {
    const edges = open.edges.map((e) => e + shift);
    return { edges, ...goesOn(lines, edges, open) };
  };
  type Try = ReturnType<typeof tried>;
  const better = (a: Try, b: Try) => (b.rows > a.rows || (b.rows === a.rows && b.crossed < a.crossed) ? b : a);
  // Mostly both are the same place, which is tried once.
  const best = [...new Set([0, moved])].map(tried).reduce(better);
  const isClean = ({ rows, crossed, end }: Try) => rows > 0 && crossed <= MOST_CROSSED * end;
  if (moved === 0 || isClean(best)) return best;
  // Centred cells reach less or more far to the edge of their column: where text runs over the edges, they stand near by.
  const near = NEAR_BY.map((by) => tried(moved + by));
  return (best.rows > 0 ? near : near.filter((t) => isClean(t) && t.rows >= FEWEST_ROWS)).reduce(better, best);
}

/** So many rows at least tell a table where its columns would not stand. */
const FEWEST_ROWS = 3;

const MOST_CROSSED = 0.1;
/** Points from the place where the columns would stand. */
const NEAR_BY = [-32, -24, -16, -12, -8, -4, 4, 8, 12, 16, 24, 32];

/** How many lines of a centred row may stand above its number. */
const TALL = 12;

function goesOn(
  lines: readonly Line[],
  edges: readonly number[],
  { keys, size }: OpenTable,
): { end: number; rows: number; crossed: number } {
  const none = { end: 0, rows: 0, crossed: 0 };
  const isPad = (cells: string[]) =>
    keys.some((k) => /^[-–—]$/.test(cells[k] ?? '')) && /\b(pad|paddle|slug)\b|^\W*(exposed|thermal)\b/i.test(cells.join(' '));
  const isRow = ({ cells }: CellLine) => (keys.some((k) => looksLikeTerminal(cells[k] ?? '')) || isPad(cells)) && filledIn({ cells }) > 1;
  const isHeading = (at: number) => headingAt(lines, at, edges) !== undefined && !isRow(cutLine(lines[at]!, edges));
  if (isHeading(0) || isHeading(1)) return none;
  let [end, rows, crossed] = [0, 0, 0];
  for (let at = 0; at < lines.length; at++) {
    const line = lines[at]!;
    if ((!isRestOfReference(lines, at) && isOver(line, textOf(line), size, edges[1]!)) || isHeading(at)) break;
    if (at > 0 && line.base - lines[at - 1]!.base > 4.5 * line.size && !hasRowSoon(lines, at)) break;
    const cut = cutLine(line, edges);
    if (isRow(cut)) rows++;
    else if (rows === 0 && (at > TALL || (at > 3 && crossed > 0.4 * at))) return none;
    if (cut.crossed) crossed++;
    end = at + 1;
  }
  return rows >= 1 ? { end, rows, crossed } : none;
}

/** `wentOn` where the block goes on with one before: how its cells stand. */
function blockOf(
  region: Region,
  body: readonly Line[],
  edges: number[],
  header: PageHeader | undefined,
  rules: readonly Rule[],
  layout: Layout,
  headLines: readonly Line[] = [],
): Block {
  const own = body.map((l) => cutLine(within(l, edges), edges)).filter((l) => l.cells.some((c) => c !== ''));
  const rows: PageRowAt[] = rowsFrom(own, { ...layout, ...ruledOver(rules, edges, own) });
  const boxes = [...headLines, ...body].flatMap((l) => within(l, edges).words.map(boxOf)) as Box[];
  if (header)
    rows.unshift({ cells: header.heads.map((h) => h.text), boxes: header.heads.map(() => undefined), crossed: false, apart: false });
  return {
    page: region.page,
    box: unite(boxes) ?? [0, 0, 0, 0],
    edges,
    rows,
    captions: [],
    ...(layout.align === undefined ? {} : { goesOn: true }),
  };
}

/** The columns whose texts may stand once for several rows. */
const groupsIn = ({ heads }: PageHeader): number[] => heads.flatMap((h, i) => (roleOfHeading(h.text) === 'group' ? [i] : []));

const within = (line: Line, edges: readonly number[]): Line => ({
  ...line,
  words: line.words.filter((w) => (w.x0 + w.x1) / 2 > edges[0]! - 2 && (w.x0 + w.x1) / 2 < edges.at(-1)! + 2),
});

/** Heights of lines that are ruled over most of the table's width, and from where to where those run that part its lines. */
function ruledOver(rules: readonly Rule[], edges: readonly number[], lines: readonly CellLine[]): Pick<Layout, 'rules' | 'width'> {
  const [left, right] = [edges[0]!, edges.at(-1)!];
  const lengthOf = (r: Rule) => Math.min(r.x2, right) - Math.max(r.x1, left);
  const byHeight = groupBy(rules, (r) => (r.y1 === r.y2 && lengthOf(r) > 0 ? Math.round(r.y1) : undefined));
  const wide = [...byHeight].filter(([, of]) => of.reduce((sum, r) => sum + lengthOf(r), 0) > 0.55 * (right - left));
  const heights = wide.map(([y]) => y).sort((a, b) => a - b);
  const [top, bottom] = [(lines[0]?.base ?? 0) - 2 * (lines[0]?.size ?? 9), lines.at(-1)?.base ?? 0];
  const own = wide.filter(([y]) => y > top && y < bottom).flatMap(([, of]) => of);
  return { rules: heights, ...(own.length > 0 ? { width: [Math.min(...own.map((r) => r.x1)), Math.max(...own.map((r) => r.x2))] } : {}) };
}
