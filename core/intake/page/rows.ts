import { looksLikeNumbers, readNumberCell } from '../table/numbers';
import { unite, type Box } from '../table/box';
import { linesOf, textOf, usualGap, type Line } from './lines';
import { labelColumn, labelled, labelsIn } from './labels';
import { titlesIn } from './titles';
import { boxOf, type Word } from './words';

/** A text line cut into a table's columns. */
export interface CellLine {
  base: number;
  size: number;
  cells: string[];
  boxes: (Box | undefined)[];
  crossed: boolean;
  text: string;
  x0: number;
  x1: number;
  /** No gap is wider than a blank. */
  isOne: boolean;
  /** The line's text where it runs over columns without a gap, as the heading of a group does. */
  whole?: string;
}

/** A row of a table on a page; cells that had several lines hold line breaks. `apart` where a wide gap stands above it. */
export interface PageRow {
  cells: string[];
  boxes: (Box | undefined)[];
  crossed: boolean;
  apart: boolean;
}

/** Cuts a line at column edges. A word belongs where its middle is. */
export function cutLine(line: Line, edges: readonly number[]): CellLine {
  const count = edges.length - 1;
  const words: Word[][] = Array.from({ length: count }, () => []);
  let crossed = false;
  for (const word of line.words) {
    const at = columnAt((word.x0 + word.x1) / 2, edges);
    words[at]!.push(word);
    const slack = word.estimated ? 0.6 * word.size : 1.5;
    const over = (edge: number) => word.x0 < edge - slack && word.x1 > edge + slack;
    if (edges.slice(1, -1).some(over)) crossed = true;
  }
  const [text, isOne] = [textOf(line), hasNoGap(line)];
  return {
    base: line.base,
    size: line.size,
    cells: words.map((w) => w.map((x) => x.text).join(' ')),
    boxes: words.map((w) => unite(w.map(boxOf))),
    crossed,
    text,
    x0: line.words[0]?.x0 ?? 0,
    x1: line.words.at(-1)?.x1 ?? 0,
    isOne,
    ...(isOne && words.filter((w) => w.length > 0).length > 1 ? { whole: text } : {}),
  };
}

function hasNoGap({ words, size }: Line): boolean {
  const blank = words[0]?.mono ? 0.8 : 0.5;
  return words.every((w, i) => i === 0 || w.x0 - words[i - 1]!.x1 < blank * size);
}

export function columnAt(x: number, edges: readonly number[]): number {
  let at = 0;
  while (at < edges.length - 2 && x >= edges[at + 1]!) at++;
  return at;
}

export const cellLines = (words: readonly Word[], edges: readonly number[]): CellLine[] => linesOf(words).map((l) => cutLine(l, edges));

const isDash = (text: string): boolean => readNumberCell(text).kind === 'none' && text !== '';
const OPEN = /[,;&/–-]$|\s(?:to|and)$/;

/** Columns that hold terminal numbers in most of their lines; in fewer of them where the heading says so (`said`). */
export function keyColumns(lines: readonly { cells: string[] }[], columns: number, said: readonly number[] = []): number[] {
  return Array.from({ length: columns }, (_, i) => i).filter((i) => {
    const texts = lines.flatMap((l) => (l.cells[i] ? l.cells[i].split('\n') : []));
    const bare = texts.map((t) => t.replace(OPEN, '').trim());
    const numbers = bare.filter((t) => looksLikeNumbers(t)).length;
    const others = bare.filter((t) => isDash(t) || t === '' || /^EP$/i.test(t)).length;
    const least = said.includes(i) && numbers > 2 ? 0.4 : 0.6;
    return numbers >= 1 && numbers >= 0.35 * texts.length && numbers + others >= least * texts.length;
  });
}

/** What is known of a table before its lines are put together to rows. */
export interface Layout {
  /** The columns that hold numbers. */
  keys: readonly number[];
  /** Columns whose texts may stand once for several rows. */
  groups?: readonly number[];
  /** The heights of lines ruled between rows. */
  rules?: readonly number[];
  /** The left and right end of the lines ruled over the table. */
  width?: [left: number, right: number] | undefined;
  /** Where a table goes on: how its cells stand. */
  align?: Align | undefined;
}

/**
 * Puts text lines together to rows. A row has one line with a number, its anchor, and lines that go on with its cells.
 *
 * Ruled lines between rows tell best. Where row gaps are wider than line gaps, the gaps tell. Where all lines are evenly
 * spaced, lines follow the anchor above them, unless lines stand before the first anchor: then cells are centred, and each
 * anchor has as many lines above as below, or they stand on the row's last line, which is the anchor. Where a table goes on,
 * that is known: the rest of the row before may be above the first anchor.
 */
export function rowsFrom(lines: readonly CellLine[], layout: Layout): PageRow[] {
  const { anchors } = sectionsOf(lines, layout);
  const column = labelColumn(lines, layout.groups ?? [], anchors);
  if (column === undefined) return bandsOf(lines, layout);
  const others = lines.flatMap((l): CellLine[] => {
    const cells = l.cells.map((c, k) => (k === column ? '' : c));
    return cells.every((c) => c === '') ? [] : [{ ...l, cells, boxes: l.boxes.map((b, k) => (k === column ? undefined : b)) }];
  });
  const rows = bandsOf(others, layout);
  return labelled(rows, labelsIn(lines, column, anchors), column, lines[0]!.size) ?? bandsOf(lines, layout);
}

function bandsOf(lines: readonly CellLine[], layout: Layout): PageRow[] {
  if (lines.length === 0) return [];
  const { anchors, titles, sections } = sectionsOf(lines, layout);
  const { rules = [], align = alignOf(sections, anchors) } = layout;
  const parted = ruledBands(lines, anchors, rules) ?? spacedBands(lines, anchors, titles);
  const bands = parted ?? sections.flatMap((s) => (titles.has(s[0]!) ? [s] : followed(s, anchors, align)));
  const pitch = usualGap(lines);
  return bands.flatMap((band): PageRow[] => {
    const first = lines.indexOf(band[0]!);
    const gap = first > 0 ? band[0]!.base - lines[first - 1]!.base : 0;
    const row = merge(band);
    if (titles.has(band[0]!)) return [{ ...overColumns(row, band[0]!.text), apart: gap > 2.1 * pitch }];
    const isAlone = band.length === 1 && !anchors.has(band[0]!);
    const isOwn = parted !== undefined && isAlone;
    const isTitle = isAlone && (band[0]!.cells[0] !== '' || (isOwn && isCapital(band[0]!.whole)));
    const whole = isTitle ? band[0]!.whole : undefined;
    // One word over the edge of two columns is a title as well.
    const lone = row.cells.filter((c) => c !== '');
    if (isAlone && row.crossed && lone.length === 1 && /^[A-Z][^.;,]{2,40}$/.test(lone[0]!))
      return [{ ...overColumns(row, lone[0]!), apart: gap > 2.1 * pitch }];
    if (whole !== undefined && whole.length <= 60) return [{ ...overColumns(row, whole), apart: gap > 2.1 * pitch }];
    return [{ ...(isOwn && !isOfText(lines, first) ? asHeading(row) : row), apart: gap > 2.1 * pitch }];
  });
}

/** How cells with fewer lines than others of their row stand beside them. */
export type Align = 'top' | 'middle' | 'bottom';

/** Lines with a number, those that are the title of a group, and the stretches between these; a title is a stretch of its own. */
function sectionsOf(
  lines: readonly CellLine[],
  { keys, width }: Layout,
): { anchors: ReadonlySet<CellLine>; titles: ReadonlySet<CellLine>; sections: CellLine[][] } {
  const isAnchored = withoutListed(
    lines,
    lines.map((_, i) => isAnchor(lines, i, keys)),
    keys,
  );
  const places = titlesIn(lines, keys, isAnchored, width);
  const sections: CellLine[][] = [];
  lines.forEach((line, i) => {
    if (i === 0 || places.has(i) || places.has(i - 1)) sections.push([line]);
    else sections.at(-1)!.push(line);
  });
  return {
    anchors: new Set(lines.filter((_, i) => isAnchored[i])),
    titles: new Set(lines.filter((_, i) => places.has(i))),
    sections,
  };
}

/**
 * Numbers under each other beside the lines of one description, `17` next to `point for all`, are a list of one row: what every
 * row has on its own line, its name and type, they have not.
 */
function withoutListed(lines: readonly CellLine[], isAnchored: boolean[], keys: readonly number[]): boolean[] {
  const rows = lines.filter((_, i) => isAnchored[i]);
  if (rows.length < 4) return isAnchored;
  const lengthIn = (k: number) => rows.reduce((sum, l) => sum + l.cells[k]!.length, 0);
  const full = lines[0]!.cells
    .flatMap((_, k) => (!keys.includes(k) && rows.filter((l) => l.cells[k] !== '').length >= 0.7 * rows.length ? [k] : []))
    .sort((a, b) => lengthIn(a) - lengthIn(b))
    .slice(0, -1);
  if (full.length === 0) return isAnchored;
  const isListed = (l: CellLine, i: number) => i > 0 && l.base - lines[i - 1]!.base < 1.6 * l.size && full.every((k) => l.cells[k] === '');
  return isAnchored.map((is, i) => is && !isListed(lines[i]!, i));
}

/** Lines above a first number tell that cells are centred; where too few lines follow for that, they stand on the last line. */
function alignOf(sections: readonly CellLine[][], anchors: ReadonlySet<CellLine>): Align {
  const own = sections.filter((s) => s.some((l) => anchors.has(l)));
  if (!own.some((s) => hasAbove(s, anchors))) return 'top';
  const isOnLast = own.every((s) => anchors.has(s.at(-1)!)) && !own.every((s) => centredRows(s, anchors).isWhole);
  return isOnLast ? 'bottom' : 'middle';
}

/** Set in capitals, as titles of groups are. */
const isCapital = (text = ''): boolean => /[A-Z]{3}/.test(text) && !/[a-z]/.test(text);

/** A line of a text that goes on above or below it: it begins with a small letter, or where a line of several words right beside it does. */
function isOfText(lines: readonly CellLine[], at: number): boolean {
  const line = lines[at]!;
  if (/^[a-z]/.test(line.text)) return true;
  const k = line.cells.findIndex((c) => c !== '');
  return [lines[at - 1], lines[at + 1]].some(
    (l) =>
      l !== undefined &&
      Math.abs(l.base - line.base) < 1.35 * line.size &&
      l.cells[k]!.split(' ').length > 2 &&
      Math.abs((l.boxes[k]?.[0] ?? 0) - line.x0) < 1.5,
  );
}

/** A lone text in a row of its own is a group's heading wherever it stands: centred ones are over an inner column. */
function asHeading(row: Omit<PageRow, 'apart'>): Omit<PageRow, 'apart'> {
  const filledAt = row.cells.flatMap((c, i) => (c === '' ? [] : [i]));
  const [at] = filledAt;
  if (
    filledAt.length !== 1 ||
    at === undefined ||
    at === 0 ||
    row.cells[at]!.length > 48 ||
    /[.;:,]$|^[A-Z0-9_/[\]:–-]*[\d_][A-Z0-9_/[\]:–-]*$/.test(row.cells[at]!)
  )
    return row;
  const first = <T>(list: readonly T[], none: T): T[] => list.map((_, i) => (i === 0 ? list[at]! : none));
  return { ...row, cells: first(row.cells, ''), boxes: first<Box | undefined>(row.boxes, undefined), crossed: false };
}

/** A heading that is wider than its column, put together again in the first one. */
const overColumns = (row: Omit<PageRow, 'apart'>, text: string): Omit<PageRow, 'apart'> => ({
  cells: row.cells.map((_, i) => (i === 0 ? text : '')),
  boxes: row.boxes.map((_, i) => (i === 0 ? unite(row.boxes.flatMap((b) => (b ? [b] : []))) : undefined)),
  crossed: false,
});

function isAnchor(lines: readonly CellLine[], at: number, keys: readonly number[]): boolean {
  const line = lines[at]!;
  const cells = keys.map((k) => line.cells[k] ?? '');
  // `Side 1` over the columns of names and numbers is a heading: its words stand as near as words do.
  if (line.whole !== undefined && line.cells.length > 2 && line.cells.filter((c) => c !== '').length === 2) return false;
  const numbered = cells.some((c) => ['list', 'pad'].includes(readNumberCell(c.replace(OPEN, '')).kind) && c !== '');
  if (!numbered) return false;
  const before = lines[at - 1];
  if (!before) return true;
  const isTight = line.base - before.base < 1.6 * line.size;
  // `1, 5,` over `9, 12`: the list of the row above goes on, though lines of other cells may stand between.
  for (const k of keys) {
    if ((line.cells[k] ?? '') === '') continue;
    const above = lines
      .slice(Math.max(0, at - 3), at)
      .reverse()
      .find((l) => l.cells[k] !== '');
    const isNear = above !== undefined && line.base - above.base < 1.7 * line.size;
    const isOpen = isNear && OPEN.test(above.cells[k]!) && readNumberCell(above.cells[k]!).kind !== 'none';
    // `Power and` over it is a title.
    if (isOpen && !/^[A-Za-z]{3}/.test(above.cells[k]!)) return false;
  }
  const others = line.cells.filter((c, i) => c !== '' && !keys.includes(i));
  // The first of numbers under each other, whose row has its name beside a later one.
  const next = lines[at + 1];
  const below = next === undefined ? Infinity : next.base - line.base;
  const isListed = below > 0.8 * line.size && below < Math.min(1.6 * line.size, 0.8 * (line.base - before.base));
  return others.length > 0 || !(isTight || isListed);
}

/** Rows between ruled lines, where the lines part most anchors from the next. */
function ruledBands(lines: readonly CellLine[], anchors: ReadonlySet<CellLine>, rules: readonly number[]): CellLine[][] | undefined {
  if (rules.length === 0) return undefined;
  const bandOf = (l: CellLine) => rules.filter((y) => y < l.base - 0.3 * l.size).length;
  const bands = new Map<number, CellLine[]>();
  const counts = new Map<number, number>();
  lines.forEach((l) => {
    bands.set(bandOf(l), [...(bands.get(bandOf(l)) ?? []), l]);
    if (anchors.has(l)) counts.set(bandOf(l), (counts.get(bandOf(l)) ?? 0) + 1);
  });
  const single = [...counts.values()].filter((n) => n === 1).length;
  if (counts.size < 2 || single < 0.8 * counts.size) return undefined;
  return [...bands.entries()]
    .sort((a, b) => a[0] - b[0])
    .flatMap(([key, band]) => ((counts.get(key) ?? 0) <= 1 ? [band] : followed(band, anchors, alignOf([band], anchors))));
}

/** How much wider the gap between rows is than any within them; and the least, where every line then is of a row and many rows have several. */
const [WIDER, A_LITTLE_WIDER] = [1.15, 1.05];

/**
 * Rows parted by wider gaps. Which gaps are wide shows where the sizes of gaps jump; a jump counts when each group of
 * near lines that it gives has one anchor at most and no anchor is left out.
 */
function spacedBands(lines: readonly CellLine[], anchors: ReadonlySet<CellLine>, titles: ReadonlySet<CellLine>): CellLine[][] | undefined {
  const gaps = lines.slice(1).map((l, i) => l.base - lines[i]!.base);
  if (anchors.size === lines.length || gaps.length < 2) return undefined;
  const sizes = [...new Set(gaps.map((g) => Math.round(g * 4) / 4))].sort((a, b) => a - b);
  const jumps = sizes
    .slice(1)
    .map((size, i) => ({ ratio: size / Math.max(0.5, sizes[i]!), at: (size + sizes[i]!) / 2 }))
    .filter((jump) => jump.ratio >= A_LITTLE_WIDER)
    .sort((a, b) => b.ratio - a.ratio);
  const parted = jumps.flatMap(({ at, ratio }) => {
    const bands = cutAt(lines, gaps, at, titles);
    const counts = bands.map((band) => band.filter((l) => anchors.has(l)).length);
    if (!counts.every((n) => n <= 1) || !bands.some((band) => band.length > 1)) return [];
    // Text of an inner column that belongs to no row: its gap is one of lines and not of rows.
    const isOpen = (l: CellLine) => !titles.has(l) && (l.cells[0] === '' || looksLikeNumbers(l.cells[0]!));
    const orphans = bands.filter((band, i) => counts[i] === 0 && band.every(isOpen)).length;
    const several = bands.filter((band) => band.length > 1);
    // Numbers that would be left over otherwise.
    const isListed = several.some((band) => band.some((l) => !anchors.has(l) && looksLikeNumbers(l.text)));
    const isSure = ratio >= WIDER || (orphans === 0 && (isListed || several.length > 2));
    return isSure ? [{ bands, orphans }] : [];
  });
  return parted.reduce<(typeof parted)[number] | undefined>((a, b) => (a && a.orphans <= b.orphans ? a : b), undefined)?.bands;
}

function cutAt(lines: readonly CellLine[], gaps: readonly number[], least: number, titles: ReadonlySet<CellLine>): CellLine[][] {
  const bands: CellLine[][] = [[lines[0]!]];
  lines.slice(1).forEach((line, i) => {
    const isCut = gaps[i]! > least || titles.has(line) || titles.has(lines[i]!);
    if (isCut) bands.push([line]);
    else bands.at(-1)!.push(line);
  });
  return bands;
}

/** Evenly spaced lines. Lines that stand alone and full (headings of groups) stay rows of their own. */
function followed(lines: readonly CellLine[], anchors: ReadonlySet<CellLine>, align: Align): CellLine[][] {
  if (align === 'middle') return centredRows(lines, anchors).rows;
  if (align === 'bottom') return rowsOnLast(lines, anchors);
  const rows: CellLine[][] = [];
  const room = roomInFirst(lines);
  lines.forEach((line) => {
    const last = rows.at(-1);
    const above = last?.at(-1);
    if (last === undefined || above === undefined) {
      rows.push([line]);
      return;
    }
    const filled = line.cells.flatMap((c, k) => (c === '' ? [] : [k]));
    // What stands in the first column alone may be a heading; what stands further in goes on with its row.
    const goesOn = !anchors.has(line) && line.base - above.base < 2 * line.size && continues(line, filled, last);
    // A name that was broken, or the title of a group: what it has of a name's characters tells, and a plain word nothing.
    const isEither = !goesOn && filled.join() === '0' && hadNoRoom(above, line, room);
    if (goesOn || (isEither && /[/_\d+()[\]]/.test(line.cells[0]!))) last.push(line);
    else {
      if (isEither) last[last.length - 1] = { ...above, crossed: true };
      rows.push([line]);
    }
  });
  return rows;
}

/** Points that the first column has for a line: up to the blank before the second one's texts, and as many as its longest line needs. */
function roomInFirst(lines: readonly CellLine[]): number {
  const leftOf = (at: number) => Math.min(...lines.flatMap((l) => l.boxes[at]?.[0] ?? []));
  const longest = Math.max(...lines.map((l) => (l.crossed ? 0 : (l.boxes[0]?.[2] ?? 0))));
  return Math.max(longest, leftOf(1) - leftOf(0) - 1.5 * lines[0]!.size);
}

/** A line under a name that is one word, and one that the name's own line, right above, had no room for. */
function hadNoRoom(above: CellLine, line: CellLine, room: number): boolean {
  const [first, next] = [above.boxes[0], line.boxes[0]];
  if (!first || !next || /\s/.test(line.cells[0]!) || line.base - above.base > 1.6 * line.size) return false;
  return next[2] <= room && first[2] + next[2] + 0.2 * line.size > room;
}

/** True where lines of inner columns stand above the first number, at line `first`: cells are centred. */
function hasAbove(lines: readonly CellLine[], anchors: ReadonlySet<CellLine>): boolean {
  const first = lines.findIndex((l) => anchors.has(l));
  // A group's title over the first row runs over the columns' edges.
  const before = lines.slice(0, Math.max(0, first)).filter((l) => !l.crossed);
  return before.length > 0 && before.every((l) => l.cells[0] === '' && l.cells.filter((c) => c !== '').length <= 2);
}

/** The same for lines that are not looked over for their numbers yet. */
export function alignIn(lines: readonly CellLine[], keys: readonly number[]): Align {
  const { anchors, titles, sections } = sectionsOf(lines, { keys });
  return alignOf(
    sections.filter((s) => !titles.has(s[0]!)),
    anchors,
  );
}

function continues(line: CellLine, filled: readonly number[], row: readonly CellLine[]): boolean {
  if (line.crossed) return false;
  const first = filled[0] ?? 0;
  const above =
    row
      .map((l) => l.cells[first] ?? '')
      .filter((c) => c !== '')
      .at(-1) ?? '';
  const text = line.cells[first] ?? '';
  // `DOUT-` over a title of two words ends in a sign; a word that is broken goes on with one.
  const isSigned = first === 0 && filled.length === 1 && /\w[–-]$/.test(above) && /\s/.test(text);
  if ((OPEN.test(above) && !isSigned) || /_$/.test(above) || /^[/_,)]/.test(text)) return true;
  if (filled.length === 1 && first === 0) return false;
  return first >= 1;
}

/** Each anchor has as many lines above it as below it; `isWhole` where that comes out even. */
function centredRows(lines: readonly CellLine[], anchors: ReadonlySet<CellLine>): { rows: CellLine[][]; isWhole: boolean } {
  const rows: CellLine[][] = [];
  let pending: CellLine[] = [];
  let owed = 0;
  let isWhole = true;
  for (const line of lines) {
    if (anchors.has(line)) {
      isWhole &&= owed === 0;
      rows.push([...pending, line]);
      owed = pending.length;
      pending = [];
    } else if (owed > 0) {
      rows.at(-1)!.push(line);
      owed--;
    } else pending.push(line);
  }
  return { rows: [...rows, ...pending.map((l) => [l])], isWhole: isWhole && owed === 0 };
}

/** Each anchor ends its row. */
function rowsOnLast(lines: readonly CellLine[], anchors: ReadonlySet<CellLine>): CellLine[][] {
  const rows: CellLine[][] = [[]];
  for (const line of lines) {
    rows.at(-1)!.push(line);
    if (anchors.has(line)) rows.push([]);
  }
  return rows.filter((row) => row.length > 0);
}

function merge(band: readonly CellLine[]): Omit<PageRow, 'apart'> {
  const count = band[0]!.cells.length;
  const columns = Array.from({ length: count }, (_, i) => i);
  return {
    cells: columns.map((i) =>
      band
        .map((l) => l.cells[i]!)
        .filter((c) => c !== '')
        .join('\n'),
    ),
    boxes: columns.map((i) => unite(band.flatMap((l) => (l.boxes[i] ? [l.boxes[i]] : [])))),
    crossed: band.some((l) => l.crossed),
  };
}
