import { unite, type Box } from '../table/box';
import { sectionsOf } from './anchors';
import { alignOf, followed, ruledBands, spacedBands, type Align } from './bands';
import { filledIn, type CellLine, type PageRow } from './cells';
import { labelColumn, labelled, labelsIn } from './labels';
import { looksLikeNumbers } from '../table/numbers';
import { usualGap } from './lines';
import { NAME } from './titles';

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
  return withWholeLists(partedRows(lines, layout), layout.keys);
}

function partedRows(lines: readonly CellLine[], layout: Layout): PageRow[] {
  const { groups = [] } = layout;
  if (groups.length === 0) return bandsOf(lines, layout);
  const { anchors } = sectionsOf(lines, layout);
  const column = labelColumn(lines, groups, anchors);
  if (column === undefined) return bandsOf(lines, layout);
  const others = lines.flatMap((l): CellLine[] => {
    const cells = l.cells.map((c, k) => (k === column ? '' : c));
    return cells.every((c) => c === '') ? [] : [{ ...l, cells, boxes: l.boxes.map((b, k) => (k === column ? undefined : b)) }];
  });
  const rows = bandsOf(others, layout);
  const labels = labelsIn(lines, column, anchors);
  // Where labels do not come out even, their rows are those that they stand beside, or not.
  const isUneven = (row: PageRow): PageRow => ({ ...row, isUneven: true });
  return labelled(rows, labels, column, lines[0]!.size, true) ?? bandsOf(lines, layout).map(isUneven);
}

/** `A1, A2,` above `A3 | GND`: a list of numbers that is left open goes on in the next row, and so does all of its row. */
function withWholeLists(rows: readonly PageRow[], keys: readonly number[]): PageRow[] {
  const whole: PageRow[] = [];
  for (const row of rows) {
    const last = whole.at(-1);
    if (last && keys.some((k) => goesOnIn(last, row, k)) && !areBothFull(last, row, keys))
      whole[whole.length - 1] = { ...last, ...merge([last, row]) };
    else whole.push(row);
  }
  return whole;
}

function goesOnIn(above: PageRow, below: PageRow, k: number): boolean {
  const [list, more] = [above.cells[k]!, withoutNotes(below.cells[k]!)];
  const [from, to] = [above.boxes[k], below.boxes[k]];
  if (!from || !to || !list.endsWith(',')) return false;
  const line = to[3] / more.split('\n').length;
  return to[1] - from[1] - from[3] < line && looksLikeNumbers(list.slice(0, -1)) && looksLikeNumbers(more.replace(/,$/, ''));
}

/** `14⁽¹⁾`: a number, and the mark of a note. */
const withoutNotes = (text: string): string => text.replace(/[⁰¹²³⁴-⁹⁽⁾]+$/, '');

/** A row with all that the one above it has, three cells and more beside its numbers, is one of its own. */
function areBothFull(a: PageRow, b: PageRow, keys: readonly number[]): boolean {
  const filledAt = a.cells.flatMap((c, k) => (c !== '' && !keys.includes(k) ? [k] : []));
  return filledAt.length > 2 && filledAt.every((k) => b.cells[k] !== '');
}

function bandsOf(lines: readonly CellLine[], layout: Layout): PageRow[] {
  if (lines.length === 0) return [];
  const { anchors, titles, sections } = sectionsOf(lines, layout);
  const parted = ruledBands(lines, anchors, layout.rules ?? []) ?? spacedBands(lines, anchors, titles);
  const evenly = () => {
    const align = layout.align ?? alignOf(sections, anchors);
    return sections.flatMap((s) => (titles.has(s[0]!) ? [s] : followed(s, anchors, align)));
  };
  const bands = parted ?? evenly();
  const pitch = usualGap(lines);
  return bands.flatMap((band): PageRow[] => {
    const first = lines.indexOf(band[0]!);
    const apart = first > 0 && band[0]!.base - lines[first - 1]!.base > 2.1 * pitch;
    const row = merge(band);
    if (titles.has(band[0]!)) return [{ ...overColumns(row, band[0]!.text), apart }];
    const isAlone = band.length === 1 && !anchors.has(band[0]!);
    const isOwn = parted !== undefined && isAlone;
    const isTitle = isAlone && (band[0]!.cells[0] !== '' || (isOwn && isCapital(band[0]!.whole)));
    const whole = isTitle ? band[0]!.whole : undefined;
    // One word over the edge of two columns is a title as well.
    const lone = row.cells.filter((c) => c !== '');
    if (isAlone && row.crossed && lone.length === 1 && /^[A-Z][^.;,]{2,40}$/.test(lone[0]!))
      return [{ ...overColumns(row, lone[0]!), apart }];
    if (whole !== undefined && whole.length <= 60) return [{ ...overColumns(row, whole), apart }];
    const isHeading = isOwn && (isRuledOff(lines, first, layout.rules ?? []) || !isOfText(lines, first, bands));
    return [{ ...(isHeading ? asHeading(row) : row), apart }];
  });
}

/** Set in capitals, as titles of groups are. */
const isCapital = (text = ''): boolean => /[A-Z]{3}/.test(text) && !/[a-z]/.test(text);

/**
 * A line of a text that goes on above or below it: it begins with a small letter, or where a line of several words right beside it
 * does, or one alone that begins with a small letter.
 */
function isOfText(lines: readonly CellLine[], at: number, bands: readonly CellLine[][]): boolean {
  const line = lines[at]!;
  if (/^[a-z]/.test(line.text)) return true;
  const k = line.cells.findIndex((c) => c !== '');
  const near = Math.min(1.35 * line.size, gapOfLines(bands, k) + SAME);
  return [lines[at - 1], lines[at + 1]].some(
    (l) =>
      l !== undefined &&
      Math.abs(l.base - line.base) < near &&
      (l.cells[k]!.split(' ').length > 2 || (filledIn(l) === 1 && /^[a-z]/.test(l.cells[k]!))) &&
      Math.abs((l.boxes[k]?.[0] ?? 0) - line.x0) < 1.5,
  );
}

/** Heights nearer than this are one, in points. */
const SAME = 0.4;

/** How far apart lines of one cell of a column stand at the most. */
function gapOfLines(bands: readonly CellLine[][], column: number): number {
  const own = bands.map((band) => band.filter((l) => l.cells[column] !== ''));
  const gaps = own.flatMap((cell) => cell.slice(1).map((line, i) => line.base - cell[i]!.base));
  return gaps.length === 0 ? Infinity : gaps.reduce((most, gap) => Math.max(most, gap), 0);
}

/** A line with a ruled one above it and another below, and no text between them. */
function isRuledOff(lines: readonly CellLine[], at: number, rules: readonly number[]): boolean {
  const { base, size } = lines[at]!;
  const [above, below] = [lines[at - 1]?.base ?? base - 2 * size, lines[at + 1]?.base ?? base + 2 * size];
  return rules.some((y) => y > above && y < base - 0.3 * size) && rules.some((y) => y > base && y < below);
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
    /[.;:,]$/.test(row.cells[at]!) ||
    looksLikeNumbers(withoutNotes(row.cells[at]!)) ||
    NAME.test(row.cells[at]!)
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

/** How the cells of a table stand whose lines are not looked over for their numbers yet. */
export function alignIn(lines: readonly CellLine[], keys: readonly number[]): Align {
  const { anchors, sections } = sectionsOf(lines, { keys });
  return alignOf(sections, anchors);
}

function merge(band: readonly Pick<CellLine, 'cells' | 'boxes' | 'crossed'>[]): Omit<PageRow, 'apart'> {
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
