import { looksLikeNumbers } from '../table/numbers';
import { groupBy } from '../../part';
import { filledIn, OPEN, type CellLine } from './cells';
import { isTitle } from './titles';

/** How cells with fewer lines than others of their row stand beside them. */
export type Align = 'top' | 'middle' | 'bottom';

/** Lines above a first number tell that cells are centred; where too few lines follow for that, they stand on the last line. */
export function alignOf(sections: readonly CellLine[][], anchors: ReadonlySet<CellLine>): Align {
  const own = sections.filter((s) => s.some((l) => anchors.has(l)));
  if (!own.some((s) => hasAbove(s, anchors))) return 'top';
  const isOnLast = own.every((s) => anchors.has(s.at(-1)!)) && !own.every((s) => centredRows(s, anchors).isWhole);
  return isOnLast ? 'bottom' : 'middle';
}

/** Rows between ruled lines, where the lines part most anchors from the next. */
export function ruledBands(lines: readonly CellLine[], anchors: ReadonlySet<CellLine>, rules: readonly number[]): CellLine[][] | undefined {
  if (rules.length === 0) return undefined;
  const bandOf = (l: CellLine) => rules.filter((y) => y < l.base - 0.3 * l.size).length;
  const bands = [...groupBy(lines, bandOf)].sort(([a], [b]) => a - b).map(([, band]) => ({ band, count: countIn(band, anchors) }));
  const numbered = bands.filter(({ count }) => count > 0);
  const single = numbered.filter(({ count }) => count === 1);
  if (numbered.length < 2 || single.length < 0.8 * numbered.length) return undefined;
  const areNames = hasTitlesOver([...anchors]);
  return bands.flatMap(({ band, count }) => {
    const [first, ...more] = band;
    if (count > 1) return followed(band, anchors, alignOf([band], anchors));
    const isOver = more[0] !== undefined && anchors.has(more[0]) && isTitleOf(first!, more[0], areNames);
    return isOver ? [[first!], more] : [band];
  });
}

/** A word with small letters, `Control`, as hardly a name is. */
const IN_WORDS = /^[A-Z][a-z]{2,}/;

/** True where the first column holds names in capitals, so that a word there is none of them. */
const hasTitlesOver = (anchors: readonly CellLine[]): boolean =>
  anchors.filter((l) => IN_WORDS.test(l.cells[0]!)).length <= 0.1 * anchors.length;

/** Farther above its row than lines of one cell stand, in font sizes. */
const ABOVE = 1.6;

/** The title of a group that no line parts from its first row: what the row has in that column stands under it. */
const isTitleOf = (line: CellLine, next: CellLine, areNames: boolean): boolean =>
  IN_WORDS.test(line.text) &&
  filledIn(line) === 1 &&
  line.cells[0] !== '' &&
  next.cells[0] !== '' &&
  (areNames || next.base - line.base > ABOVE * line.size);

const countIn = (band: readonly CellLine[], anchors: ReadonlySet<CellLine>): number => band.filter((l) => anchors.has(l)).length;

/** How much wider the gap between rows is than any within them; and the least, where every line then is of a row and many rows have several. */
const [WIDER, A_LITTLE_WIDER] = [1.15, 1.05];

/**
 * Rows parted by wider gaps. Which gaps are wide shows where the sizes of gaps jump; a jump counts when each group of
 * near lines that it gives has one anchor at most and no anchor is left out.
 */
export function spacedBands(
  lines: readonly CellLine[],
  anchors: ReadonlySet<CellLine>,
  titles: ReadonlySet<CellLine>,
): CellLine[][] | undefined {
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
    const counts = bands.map((band) => countIn(band, anchors));
    const several = bands.filter((band) => band.length > 1);
    if (!counts.every((n) => n <= 1) || several.length === 0) return [];
    // Text of an inner column that belongs to no row: its gap is one of lines and not of rows.
    const isOver = (l: CellLine) => titles.has(l) || (l.isOne && filledIn(l) > 1);
    const isOpen = (l: CellLine) => !isOver(l) && (l.cells[0] === '' || looksLikeNumbers(l.cells[0]!));
    const left = bands.filter((band, i) => counts[i] === 0 && band.every(isOpen));
    // Numbers that would be left over otherwise.
    const isListed = several.some((band) => band.some((l) => !anchors.has(l) && looksLikeNumbers(l.text)));
    const areCentred = several.every((band) => isAboutAnchor(band, anchors));
    // Where each number has the middle of its lines, words by themselves that are as far from all others are a title.
    const orphans = left.filter((band) => !(areCentred && band.length === 1 && isTitle(band[0]!.text))).length;
    const isSure = ratio >= WIDER || (orphans === 0 && (isListed || several.length > 2 || areCentred));
    return isSure ? [{ bands, orphans }] : [];
  });
  return parted.reduce<(typeof parted)[number] | undefined>((a, b) => (a && a.orphans <= b.orphans ? a : b), undefined)?.bands;
}

/** A number beside the middle of the lines of its row, as far from the first as from the last: what is near it is its own. */
function isAboutAnchor(band: readonly CellLine[], anchors: ReadonlySet<CellLine>): boolean {
  const [first, anchor, last] = [band[0]!, band.find((l) => anchors.has(l)), band.at(-1)!];
  return anchor !== undefined && anchor !== first && Math.abs(first.base + last.base - 2 * anchor.base) < 0.15 * anchor.size;
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
export function followed(lines: readonly CellLine[], anchors: ReadonlySet<CellLine>, align: Align): CellLine[][] {
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

/** True where lines of inner columns stand above the first number: cells are centred, or on their row's last line. */
function hasAbove(lines: readonly CellLine[], anchors: ReadonlySet<CellLine>): boolean {
  const first = lines.findIndex((l) => anchors.has(l));
  // A group's title over the first row runs over the columns' edges.
  const before = lines.slice(0, Math.max(0, first)).filter((l) => !l.crossed);
  return before.length > 0 && before.every((l) => l.cells[0] === '' && filledIn(l) <= 2);
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
