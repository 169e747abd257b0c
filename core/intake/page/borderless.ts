import { headsOnlyOther, headsOtherTable, packageIn, roleOfHeading } from '../table/headings';
import { isMarkedNote, isNote } from '../table/notes';
import { looksLikeNumbers, looksLikeTerminal } from '../table/numbers';
import { unite, type Box } from '../table/box';
import type { Block, PageRowAt } from './block';
import type { Chain } from './chains';
import { edgesUnder } from './columns';
import { headerAt, type PageHeader } from './headers';
import { linesOf, segmentFrom, segmentsOf, textOf, type Line } from './lines';
import type { Rule } from './page';
import type { Region } from './regions';
import { alignIn, cutLine, keyColumns, rowsFrom, type Align, type CellLine, type Layout } from './rows';
import { settled } from './starts';
import { boxOf, isLongName, type Word } from './words';

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
      blocks.push(blockOf(region, lines.slice(0, end), edges, undefined, rules, open.keys, open.align));
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
  let from = 0;
  const heads = before.heads.map(({ text }) => {
    const head = segmentFrom(words.slice(from, from + text.split(' ').length));
    from += head.words.length;
    return head;
  });
  return { ...before, at, heads };
}

/** Two tables of the same headings beside each other, each with rows of its own: a region for each. */
function besideEachOther(region: Region, header: PageHeader, at: number, first: number): { halves: Region[]; end: number } | undefined {
  const { heads } = header;
  const count = heads.length / 2;
  if (count < 2 || heads.some((h, i) => i < count && h.text !== heads[i + count]?.text)) return undefined;
  const { lines } = region;
  const end = endOf(lines, first, header, region);
  const body = settled(lines.slice(first, end));
  const edges = edgesUnder(header, body, region.left, region.right);
  if (shareLines(body, edges, count)) return undefined;
  const gutter = edges[count]!;
  return { end, halves: partedAt({ ...region, lines: lines.slice(at, end) }, gutter) };
}

/** A region left and right of a place, each with lines of its own. */
function partedAt(region: Region, gutter: number): [Region, Region] {
  const words = region.lines.flatMap((l) => l.words);
  const isLeft = (w: Word) => (w.x0 + w.x1) / 2 < gutter;
  return [
    { ...region, right: gutter, lines: linesOf(words.filter(isLeft)) },
    { ...region, left: gutter, lines: linesOf(words.filter((w) => !isLeft(w))) },
  ];
}

/** Two tables beside each other that both go on; undefined where either does not. */
function goOnBeside(
  region: Region,
  rules: readonly Rule[],
  open: OpenTable,
): { blocks: Block[]; open: OpenTable | undefined; end: number } | undefined {
  const { beside, ...own } = open;
  const { table, gutter } = beside!;
  const [left, right] = partedAt(region, gutter);
  const [first, second] = [blocksIn(left, rules, table), blocksIn(right, rules, own)];
  const blocks = [first, second].flatMap((h) => h.blocks.slice(0, 1).filter((b) => b.goesOn));
  if (blocks.length < 2) return undefined;
  const bottom = Math.max(...blocks.map(({ box }) => box[1] + box[3]));
  const end = region.lines.findIndex((l) => l.base > bottom + 1);
  if (end >= 0) return { blocks, end, open: undefined };
  const stays = second.open && first.open ? { ...second.open, beside: { table: first.open, gutter } } : undefined;
  return { blocks, end: region.lines.length, open: stays };
}

/** True where the rows of the second half stand on the lines of the first: one table, set in two stretches. */
function shareLines(body: readonly Line[], edges: readonly number[], count: number): boolean {
  const cut = body.map((l) => cutLine(l, edges).cells);
  const keys = keyColumns(
    cut.map((cells) => ({ cells })),
    edges.length - 1,
  );
  const has = (cells: string[], isOf: (key: number) => boolean) => keys.some((k) => isOf(k) && looksLikeNumbers(cells[k]!));
  const second = cut.filter((cells) => has(cells, (k) => k >= count));
  return second.filter((cells) => has(cells, (k) => k < count)).length >= 0.7 * second.length;
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
      ...blockOf(region, body, edges, header, rules, keys, undefined, lines.slice(at, first)),
      captions: captionsAbove(lines, at),
    },
    end: prose >= 0 ? first + prose : end,
    stays: end >= lines.length && prose < 0 ? { ...open, header, edges, keys, align: alignIn(cut, keys) } : undefined,
  };
}

/** A heading whose words were set so wide that they read as two, `PIN   NO.`, is one where nothing stands under the second. */
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
    return before && roleOfHeading(`${before.text} ${h.text}`) !== undefined && cut.every((l) => l.cells[i] === '' || l.crossed);
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

/** Where a table's lines end: at a note, at prose, at another heading or caption, or at a wide gap that no row follows. */
function endOf(lines: readonly Line[], from: number, header: PageHeader, region: Region): number {
  const bodySize = lines[from]?.size ?? 9;
  const starts = header.heads.map((h) => h.x0);
  let widest = 0;
  for (let at = from; at < lines.length; at++) {
    const line = lines[at]!;
    const text = textOf(line);
    const gap = at > 0 ? line.base - lines[at - 1]!.base : 0;
    if (isOver(line, text, bodySize, header.heads[1]?.x0 ?? region.right)) return at;
    // The title of another table stands over its heading.
    if (at > from && segmentsOf(line).length === 1 && lines[at + 1] && headsOther(lines[at + 1]!)) return at;
    if (isProse(line, region) && !isInColumn(line, lines.slice(from, at), header) && !isTitleOver(lines, at) && !isInRow(lines, at))
      return at;
    const next = headingAt(lines, at, starts);
    // Behind a wide gap two words over columns are enough for another table.
    const isApart = at > from && widest > 0 && gap > 1.8 * widest;
    if (next && next.worth >= (isApart ? 2 : Math.min(3, header.worth))) return at;
    const limit = Math.max(3.6 * bodySize, 2.2 * widest);
    if (at > from && gap > limit && !hasRowSoon(lines, at)) return at;
    if (at > from && gap < 6 * bodySize) widest = Math.max(widest, gap);
  }
  return lines.length;
}

/** Another heading at a line; words within one column of the table, `Supply of the digital pins, to`, are none. */
function headingAt(lines: readonly Line[], at: number, columns: readonly number[]): PageHeader | undefined {
  const next = headerAt(lines, at);
  // A heading begins where its table does.
  if (next && columns.length > 2 && next.heads[0]!.x0 > columns[1]! + 2) return undefined;
  const isWithin = (from: number, k: number) => next!.heads.every((h) => h.x0 > from - 3 && h.x1 < (columns[k + 1] ?? Infinity));
  return next && columns.length > 2 && columns.some(isWithin) ? undefined : next;
}

/** A caption, a larger title, a note (it begins before the second column, `second`), or the heading of a table that is no pinout. */
const isOver = (line: Line, text: string, bodySize: number, second: number): boolean =>
  /^(table|figure|fig\.)\s*\d/i.test(text) ||
  line.size > 1.3 * bodySize ||
  (OTHER_SECTION.test(text) && line.words.length < 7 && line.words[0]!.x0 < second) ||
  (isNoteLine(line, text) && line.words[0]!.x0 < second && !isNumberedRow(line)) ||
  (line.words[0]!.x0 < second && headsOther(line));

/** The titles of what stands beside pin tables, and over no group of pins. */
const OTHER_SECTION =
  /^(?:\d+(?:\.\d+)*\s+)?(?:(?:function(?:al)?|truth|state|logic) table|absolute maximum ratings?|recommended (?:operating|external)|electrical (?:characteristics|specifications)|ordering information|revision history|register map|package (?:outline|dimensions)|typical (?:application|characteristics))\b/i;

/** The heading of a table that is no pinout. A terminal's number stands in none. */
const headsOther = (line: Line): boolean =>
  !line.words.slice(0, 3).some((w) => looksLikeNumbers(w.text)) &&
  (headsOtherTable(segmentsOf(line).map((s) => s.text)) ||
    headsOnlyOther(segmentsOf(line).map((s) => s.text)) ||
    // Set tightly, such a heading is one run of words; single words of it stand in descriptions too.
    headsOtherTable(
      line.words.map((w) => w.text),
      Math.max(3, 0.6 * line.words.length),
    ));

/** A marked note, or a sentence; a row has white between its cells and is none, whatever its description ends with. */
const isNoteLine = (line: Line, text: string): boolean =>
  (text.length > 24 || line.words.length > 3) && (isMarkedNote(text) || (isNote(text) && segmentsOf(line).length === 1));

/** Full lines of words without a wide gap, ending like a sentence or going on for long. */
function isProse(line: Line, region: Region): boolean {
  const segments = segmentsOf(line, 0.8);
  const [only] = segments;
  if (segments.length > 1 || !only || line.words.length < 7 || isNumberedRow(line)) return false;
  return only.x0 < region.left + 0.12 * (region.right - region.left) && only.x1 - only.x0 > 0.42 * (region.right - region.left);
}

/** `5 VLOGIC Digital supply. Its range is`, with hardly a gap between its cells: a number, and a name in capitals. */
const isNumberedRow = ({ words: [first, second] }: Line): boolean =>
  first !== undefined && second !== undefined && looksLikeNumbers(first.text) && isLongName(second.text);

/** A long title of a group, `BIDIRECTIONAL CONTROL BUS – I2C COMPATIBLE`: no sentence, and a row right under it. */
function isTitleOver(lines: readonly Line[], at: number): boolean {
  const text = textOf(lines[at]!);
  if (text.length > 64 || !/^[A-Z].*[^.,:;]$/.test(text)) return false;
  // Rows may stand apart, as far as the title does from the one above it.
  const apart = at > 0 ? lines[at]!.base - lines[at - 1]!.base : 0;
  const most = (size: number) => Math.min(4 * size, Math.max(2.4 * size, 1.4 * apart));
  // Of a row whose cells are centred a line of words comes first.
  const below = lines.slice(at + 1, at + 4).filter((l, i) => l.base - lines[at + i]!.base < most(l.size));
  return below.some((l) => {
    const segments = segmentsOf(l);
    return isNamedNumber(l) || (segments.length >= 3 && segments.some((s) => looksLikeNumbers(s.text)));
  });
}

/** A line of a cell that stands less than a line's height from its row's number: the row has centred cells. */
const isInRow = (lines: readonly Line[], at: number): boolean =>
  [lines[at - 1], lines[at + 1]].some((l) => l !== undefined && Math.abs(l.base - lines[at]!.base) < 0.8 * l.size && isNamedNumber(l));

/** A number and a name, and nothing else. */
const isNamedNumber = (line: Line): boolean => {
  const segments = segmentsOf(line);
  return segments.length === 2 && segments.some((s) => isLongName(s.text)) && segments.some((s) => looksLikeNumbers(s.text));
};

/** A line that begins where an inner column's heading or cells begin goes on with that column, however long it is. */
function isInColumn(line: Line, above: readonly Line[], header: PageHeader): boolean {
  const at = line.words[0]!.x0;
  const isNear = (x: number) => Math.abs(x - at) < 2;
  return (
    header.heads.slice(1).some((h) => isNear(h.x0)) ||
    above.some((l) =>
      segmentsOf(l)
        .slice(1)
        .some((s) => isNear(s.x0)),
    )
  );
}

/** Prose runs over the edges of columns as if they were not there; a row of cells leaves white at them. */
function flowsOver(line: Line, edges: readonly number[], keys: readonly number[]): boolean {
  if (line.words.length < 6 || isNumberedRow(line)) return false;
  const cut = cutLine(line, edges);
  if (keys.some((k) => looksLikeNumbers(cut.cells[k]!))) return false;
  const passed = edges.slice(1, -1).flatMap((edge) => {
    const before = line.words.filter((w) => (w.x0 + w.x1) / 2 < edge).at(-1);
    const after = line.words.find((w) => (w.x0 + w.x1) / 2 >= edge);
    return before && after ? [after.x0 - before.x1 < 0.5 * line.size] : [];
  });
  return passed.length >= 2 && passed.filter(Boolean).length >= 0.7 * passed.length;
}

const hasRowSoon = (lines: readonly Line[], at: number): boolean =>
  lines.slice(at, at + 2).some((l) => {
    const segments = segmentsOf(l);
    return segments.length >= 2 && segments.some((s) => looksLikeNumbers(s.text)) && l.words.length > 1;
  });

/**
 * How many of a region's first lines go on with a table: rows with a number where numbers stood, and lines between them.
 * On the next page the columns stand where they stood; in the next text column, as far from its edge as before.
 */
function continuation(
  lines: readonly Line[],
  open: OpenTable & { edges: number[] },
  left: number,
): { edges: number[]; end: number; rows: number; crossed: number } {
  // Mostly both are the same place, which is tried once.
  const tries = [...new Set([0, left - open.left])].map((shift) => {
    const edges = open.edges.map((e) => e + shift);
    return { edges, ...goesOn(lines, edges, open) };
  });
  return tries.reduce((a, b) => (b.rows > a.rows || (b.rows === a.rows && b.crossed < a.crossed) ? b : a));
}

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
  const isRow = ({ cells }: CellLine) =>
    (keys.some((k) => looksLikeTerminal(cells[k] ?? '')) || isPad(cells)) && cells.filter((c) => c !== '').length > 1;
  const isHeading = (at: number) => headingAt(lines, at, edges) !== undefined && !isRow(cutLine(lines[at]!, edges));
  if (isHeading(0) || isHeading(1)) return none;
  let [end, rows, crossed] = [0, 0, 0];
  for (let at = 0; at < lines.length; at++) {
    const line = lines[at]!;
    if (isOver(line, textOf(line), size, edges[1]!) || isHeading(at)) break;
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
  keys: readonly number[],
  wentOn: Align | undefined,
  headLines: readonly Line[] = [],
): Block {
  const own = body.map((l) => cutLine(within(l, edges), edges)).filter((l) => l.cells.some((c) => c !== ''));
  const groups = header?.heads.flatMap((h, i) => (roleOfHeading(h.text) === 'group' ? [i] : [])) ?? [];
  const rows: PageRowAt[] = rowsFrom(own, { keys, groups, ...ruledOver(rules, edges, own), align: wentOn });
  const boxes = [...headLines, ...body].flatMap((l) => within(l, edges).words.map(boxOf)) as Box[];
  if (header)
    rows.unshift({ cells: header.heads.map((h) => h.text), boxes: header.heads.map(() => undefined), crossed: false, apart: false });
  return {
    page: region.page,
    box: unite(boxes) ?? [0, 0, 0, 0],
    edges,
    rows,
    captions: [],
    ...(wentOn === undefined ? {} : { goesOn: true }),
  };
}

const within = (line: Line, edges: readonly number[]): Line => ({
  ...line,
  words: line.words.filter((w) => (w.x0 + w.x1) / 2 > edges[0]! - 2 && (w.x0 + w.x1) / 2 < edges.at(-1)! + 2),
});

/** Heights of lines that are ruled over most of the table's width, and from where to where those run that part its lines. */
function ruledOver(rules: readonly Rule[], edges: readonly number[], lines: readonly CellLine[]): Pick<Layout, 'rules' | 'width'> {
  const [left, right] = [edges[0]!, edges.at(-1)!];
  const byHeight = new Map<number, Rule[]>();
  for (const r of rules) {
    if (r.y1 !== r.y2 || Math.min(r.x2, right) <= Math.max(r.x1, left)) continue;
    byHeight.set(Math.round(r.y1), [...(byHeight.get(Math.round(r.y1)) ?? []), r]);
  }
  const lengthOf = (r: Rule) => Math.min(r.x2, right) - Math.max(r.x1, left);
  const wide = [...byHeight].filter(([, of]) => of.reduce((sum, r) => sum + lengthOf(r), 0) > 0.55 * (right - left));
  const heights = wide.map(([y]) => y).sort((a, b) => a - b);
  const [top, bottom] = [(lines[0]?.base ?? 0) - 2 * (lines[0]?.size ?? 9), lines.at(-1)?.base ?? 0];
  const own = wide.filter(([y]) => y > top && y < bottom).flatMap(([, of]) => of);
  return { rules: heights, ...(own.length > 0 ? { width: [Math.min(...own.map((r) => r.x1)), Math.max(...own.map((r) => r.x2))] } : {}) };
}
