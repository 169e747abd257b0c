import { headingWorth, headsOnlyOther, isHeading, packageIn, roleOfHeading } from '../table/headings';
import { looksLikeTerminal } from '../table/numbers';
import { headsOfCodes, MOST_CODED } from './code-heads';
import { areOver, EXACT, goesOnFrom, isCount, over, partedOver, readHeads, roleOf, stack, USUAL_GAP, weighed, type Heads } from './heads';
import { segmentsOf, textOf, type Line, type Segment } from './lines';
import { cellStarts } from './starts';

/** A heading over columns: at which line it starts, and how many lines it takes. */
export interface PageHeader extends Heads {
  at: number;
  depth: number;
}

type Weight = Pick<PageHeader, 'worth' | 'sure' | 'unclosed'>;

function isMore(a: Weight, b: Weight | undefined): boolean {
  if (!b) return a.worth > 0;
  return a.worth !== b.worth ? a.worth > b.worth : a.sure !== b.sure ? a.sure > b.sure : a.unclosed < b.unclosed;
}

/** How wide a gap parts two headings, in font sizes, with what a typewritten blank adds, and of how many lines: the usual one, then tighter ones. */
const GAPS: [gap: number, blank: number, most: number][] = [
  [USUAL_GAP, 0.2, 8],
  [USUAL_GAP, 0, 8],
  [0.36, 0, 1],
  [0.2, 0, 1],
];

/** The heading that starts at a line, if one does. A title above them is none. */
export function headerAt(lines: readonly Line[], at: number): PageHeader | undefined {
  const header = withoutCounts(lines, at);
  return header && withCounts(header, lines);
}

/**
 * With the counts of packages below their names, `QFN` over `(20)`, on a line of their own or with the rests of other headings, which
 * can stand on a line between.
 */
function withCounts(header: PageHeader, lines: readonly Line[]): PageHeader {
  const end = header.at + header.depth;
  const headOver = (s: Segment) => header.heads.find((h) => h.x0 < s.x1 && h.x1 > s.x0);
  const own = lines.slice(header.at, end).flatMap((l) => segmentsOf(l));
  const fits = (s: Segment) =>
    isCount(s.text)
      ? PACKAGE_ALONE.test(headOver(s)?.text ?? '')
      : /^[a-z]+$/.test(s.text) && (headOver(s) !== undefined || goesOnFrom(s, own));
  for (const depth of [1, 2]) {
    const segments = lines.slice(end, end + depth).flatMap((l) => segmentsOf(l));
    if (!segments.every(fits)) return header;
    if (!segments.some((s) => isCount(s.text))) continue;
    const heads = header.heads.map((h) => ({
      ...h,
      text: [h.text, ...segments.filter((s) => headOver(s) === h).map((s) => s.text)].join(' '),
    }));
    const others = segments.filter((s) => headOver(s) === undefined).map(({ text, x0, x1 }) => ({ text, x0, x1 }));
    return { ...header, depth: header.depth + depth, heads: [...heads, ...others].sort((x, y) => x.x0 - y.x0) };
  }
  return header;
}

/** A heading that ends with a package's letters. */
const PACKAGE_ALONE = /(?:^|\s)[A-Z]{1,6}$/;

function withoutCounts(lines: readonly Line[], at: number): PageHeader | undefined {
  const best = bestAt(lines, at);
  if (!best || best.depth === 1) return best;
  const below = bestAt(lines, at + 1);
  // A wide heading over all, `Pin number` and `Pin functions`, hides the packages that the lines under it name.
  if (below && below.worth >= best.worth && packagesIn(below) > packagesIn(best)) return undefined;
  return isLower(below, best) || hidesLower(lines, best) ? undefined : best;
}

/** As good a heading of fewer lines, or a better or surer one of as many. */
const isLower = (below: PageHeader | undefined, best: PageHeader): boolean =>
  below !== undefined &&
  // What reaches less far down leaves a line of the heading to the rows.
  below.at + below.depth >= best.at + best.depth &&
  below.worth >= best.worth &&
  below.sure >= best.sure &&
  (below.depth < best.depth || (below.depth === best.depth && below.worth + below.sure > best.worth + best.sure)) &&
  !namesPackages(best, below);

/** `H | L | L`, the last row of the table before, brings no heading of its own: a better one stands below it and a title. */
function hidesLower(lines: readonly Line[], best: PageHeader): boolean {
  if (best.depth < 3 || segmentsOf(lines[best.at]!).some((s) => s.text.length > 2)) return false;
  const lower = Array.from({ length: best.depth - 2 }, (_, i) => bestAt(lines, best.at + 2 + i));
  return lower.some((below) => isLower(below, best));
}

const packagesIn = ({ heads }: PageHeader): number => heads.filter((h) => packageIn(h.text) !== undefined).length;

/** The line above brought what the headings below lack: packages over their numbers, or headings of columns. */
const namesPackages = (best: PageHeader, below: PageHeader): boolean => knownIn(best) > knownIn(below);
const knownIn = ({ heads }: PageHeader): number => heads.filter((h) => roleOf(h.text) !== undefined).length;

/** The last words of a text: small letters, and a full stop that is none of `Pin no.` */
const END_OF_SENTENCE = /^[a-z]\S* \S+ .*(?<!\bn[or])\.$/;

function bestAt(lines: readonly Line[], at: number): PageHeader | undefined {
  if (at >= lines.length) return undefined;
  const first = lines[at]!;
  const hasNumber = isRow(first);
  if (hasNumber && segmentsOf(first).some((s) => s.words.length > 3)) return undefined;
  if (first.words.length > 40 || isCaption(first) || END_OF_SENTENCE.test(textOf(first))) return undefined;
  // A title stands in larger print than what follows it.
  if (lines[at + 1] && first.size > 1.25 * lines[at + 1]!.size) return undefined;
  let best: PageHeader | undefined;
  let isTight = false;
  const isMono = first.words[0]!.mono === true;
  for (const [gap, blank, most] of GAPS) {
    if (blank === 0 && gap === USUAL_GAP && !isMono) continue;
    // `E2 GPIO1 in/out General purpose port` has words of headings, each by itself, and is a row.
    if (most === 1 && hasNumber) continue;
    for (let depth = 1; depth <= most && at + depth <= lines.length; depth++) {
      const group = lines.slice(at, at + depth);
      // A row of the table before brings nothing.
      if (depth > 1 && hasNumber && !segmentsOf(first).some((s) => isHeading(s.text))) break;
      // A title makes no pinout's heading of that of another table.
      if (depth > 1 && headsOnlyOther(segmentsOf(group.at(-1)!, gap).map((s) => s.text))) break;
      if (depth > 1 && (!goesOn(group) || isGroupTitle(group.at(-1)!, best, lines.slice(at + depth, at + depth + ROWS_BELOW)))) break;
      const read = readHeads(group, gap, blank);
      // Lines far apart are one heading only where each brings columns that the other lacks.
      const alone = isFar(group) ? 1 + Math.max(best?.worth ?? 0, headingWorth(segmentsOf(group.at(-1)!, gap).map((s) => s.text))) : 0;
      // Two words near each other are a title more often than two headings.
      const isTitle = blank === 0 && isMono && depth === 1 && segmentsOf(first).length === 1;
      const least = Math.max(most > 1 && !isTitle ? 2 : 3, alone);
      // A typewritten blank parts headings only where that makes more of them plain.
      const isBetter = isMono && blank === 0 && best ? read.sure > best.sure : isMore(read, best) || isRestOf(group, gap, read, best);
      if (read.worth >= least && isBetter) {
        best = { at, depth, ...read };
        isTight = most === 1;
      }
    }
    if (best && !(isMono && blank > 0)) break;
  }
  for (let depth = 2; depth <= MOST_CODED && at + depth < lines.length; depth++) {
    const read = headsOfCodes(lines.slice(at, at + depth), lines.slice(at + depth, at + depth + ROWS_BELOW));
    // Known packages are seen without this, and what is read of them can have more lines.
    const least = (best?.worth ?? 1) + (read?.isKnown ? 1 : 0);
    if (read && read.worth >= least) return { at, depth, ...read };
  }
  const byColumns = isMono ? undefined : readHeadsOver(lines, at);
  // Words parted because they are near to nothing else are no better than that.
  return byColumns && isMore(byColumns, isTight ? undefined : best) ? byColumns : best;
}

/**
 * `functions` right under `Alternate`, or `No.` under `Pin`, which is a heading of the same kind without it: small letters go
 * on, and rows begin with capitals.
 */
const isRestOf = (group: readonly Line[], gap: number, read: Weight, best: PageHeader | undefined): boolean =>
  best?.depth === group.length - 1 &&
  dropOf(group) < TIGHT * group[0]!.size &&
  segmentsOf(group.at(-1)!, gap).every((s) => /^[a-z(]/.test(s.text) || SECOND.test(s.text)) &&
  read.worth === best.worth &&
  read.sure === best.sure;

/** What stands under `Pin`, and names no group. */
const SECOND = /^(?:no\.?|numbers?|names?|types?|#)$/i;

/** How near the lines of one heading stand that is set without more white than text has, in font sizes. */
const TIGHT = 1.45;

/** How many lines below a heading tell where its columns begin. */
const ROWS_BELOW = 10;

/** A heading with hardly a gap between its words, or none that is known: it is parted where the cells below it begin. */
function readHeadsOver(lines: readonly Line[], at: number): PageHeader | undefined {
  const { words } = lines[at]!;
  // Most lines are no headings, and where the cells below them begin need not be known.
  if (words.length < 3 || words.filter((w) => isHeading(w.text)).length < 2) return undefined;
  let best: PageHeader | undefined;
  for (let depth = 1; depth <= MOST_TIGHT && at + depth <= lines.length; depth++) {
    const group = lines.slice(at, at + depth);
    const below = lines.slice(at + depth, at + depth + ROWS_BELOW);
    if (depth > 1 && (!goesOn(group) || isFar(group) || isGroupTitle(group.at(-1)!, best, below))) break;
    const starts = cellStarts(below);
    const parted = group.map((l) => partedOver(l, starts));
    if (parted[0]!.length < 3) continue;
    const read = weighed(depth === 1 ? parted[0]! : stack(parted));
    if (!best || isMore(read, best)) best = { at, depth, ...read };
  }
  return best;
}

/** How many lines a heading has that is parted by the cells below it. */
const MOST_TIGHT = 2;

const dropOf = (group: readonly Line[]): number => (group.length > 1 ? group.at(-1)!.base - group.at(-2)!.base : 0);
const isFar = (group: readonly Line[]): boolean => dropOf(group) > NEAREST * group[0]!.size;

/** Whether the last of some lines can belong to the heading that the others are. */
function goesOn(group: readonly Line[]): boolean {
  const [first, last] = [group[0]!, group.at(-1)!];
  if (last.base - first.base > TALLEST * first.size || dropOf(group) > FARTHEST * first.size) return false;
  if (Math.abs(last.size - first.size) > 0.15 * first.size || isRow(last) || isList(last) || isCaption(last)) return false;
  return !isFar(group) || isOnlyHeads(group.at(-2)!);
}

/**
 * A lone text of several words, left of all headings or such that it makes none of what stands over it, is the title of the
 * first group of rows. So is one beside all headings under which no cell begins.
 */
function isGroupTitle(line: Line, above: PageHeader | undefined, below: readonly Line[]): boolean {
  const [only, ...more] = segmentsOf(line);
  if (more.length > 0 || above === undefined) return false;
  if (headsNothing(only!, above, below) || isKindAlone(only!, above)) return true;
  if (above.worth < 3 || only!.words.length < 2) return false;
  // `Number Symbol` under `PIN`, set tightly.
  if (only!.words.every((w) => isHeading(w.text))) return false;
  if (only!.x1 < above.heads[0]!.x0) return true;
  const { text } = only!;
  const under = above.heads.filter((h) => areOver(h, only!));
  const isNone = (heading: string) => roleOfHeading(heading) === undefined && packageIn(heading) === undefined;
  return /^[A-Z][a-z]/.test(text) && isNone(text) && under.every((h) => isNone(over(h.text, text)));
}

/** Whether two places are one, by how far they are apart in points. */
const areOnePlace = (off: number): boolean => Math.abs(off) < 1.5;

/** `Interface` below a heading that is whole: at the left of the table, or where no head begins, ends or has its middle. */
function isKindAlone({ text, x0, x1 }: Segment, { heads }: PageHeader): boolean {
  const role = roleOfHeading(text);
  if ((role !== 'group' && role !== 'rail') || heads.length < 3 || !heads.every((h) => roleOf(h.text) !== undefined)) return false;
  if (heads.some((h) => roleOf(h.text) === role)) return false;
  const [first, ...others] = heads;
  const isUnder = (h: { x0: number; x1: number }) => [x0 - h.x0, x1 - h.x1, (x0 + x1 - h.x0 - h.x1) / 2].some(areOnePlace);
  return areOnePlace(x0 - first!.x0) || !others.some(isUnder);
}

/** True for a text right of a heading and under none, where the cells of all rows below begin under the headings. */
function headsNothing({ x0, x1 }: Segment, { heads }: PageHeader, below: readonly Line[]): boolean {
  const before = heads.findLast((h) => h.x1 < x0 + EXACT);
  const behind = heads.find((h) => h.x1 >= x0 + EXACT);
  const rows = below.filter(isRow);
  if (!before || (behind && behind.x0 < x1 - EXACT) || rows.length < 2) return false;
  const isUnder = (s: Segment) => s.x0 > before.x1 && s.x0 < (behind?.x0 ?? Infinity) - EXACT;
  return !rows.some((l) => segmentsOf(l).some(isUnder));
}

/** How tall a heading may be, in font sizes. Its cells are centred, each by itself, so that its lines can be many. */
const TALLEST = 5.5;
/** How far the lines of one heading may stand apart, in font sizes: usually, and in cells with much white. */
const [NEAREST, FARTHEST] = [2.1, 3.3];

/** Two headings and more, and nothing else; one alone is a title. */
function isOnlyHeads(line: Line): boolean {
  const segments = segmentsOf(line);
  return segments.length > 1 && segments.every((s) => roleOfHeading(s.text) !== undefined || /^packages?$/i.test(s.text));
}

const isCaption = (line: Line): boolean => /^(table|figure|fig\.?)\s*\d/i.test(textOf(line));

/** Balls alone, or several numbers in one cell: the first line of a row whose cells are centred. `48` and `64` stand over columns too. */
function isList(line: Line): boolean {
  const texts = segmentsOf(line).map((s) => s.text);
  return texts.every(looksLikeTerminal) && texts.some((t) => /^[A-Z]{1,2}\d|\d[\s,]+\d/.test(t));
}

/** A line of the table's body: a number, and beside it what is no heading. */
function isRow(line: Line): boolean {
  const texts = segmentsOf(line).map((s) => s.text);
  const others = texts.filter((t) => !looksLikeTerminal(t));
  return others.length < texts.length && others.some((t) => roleOfHeading(t) === undefined && !packageIn(t));
}
