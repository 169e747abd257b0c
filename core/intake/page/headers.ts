import { headingWorth, headsOnlyOther, isHeading, isOfPackage, isPackageName, packageIn, roleOfHeading } from '../table/headings';
import { looksLikeTerminal } from '../table/numbers';
import { segmentFrom, segmentsOf, textOf, type Line, type Segment } from './lines';
import { cellStarts, OFF } from './starts';
import type { Word } from './words';

/** A heading over columns: where each heading starts and ends, and how many lines it takes. */
export interface PageHeader {
  at: number;
  depth: number;
  heads: { text: string; x0: number; x1: number }[];
  worth: number;
  /** How many columns have a role that no other has and that is not in doubt: of two readings of a heading the surer counts. */
  sure: number;
  /** How many headings have a bracket that is not closed, or end with a dash. */
  unclosed: number;
}

type Weight = Pick<PageHeader, 'worth' | 'sure' | 'unclosed'>;

function isMore(a: Weight, b: Weight | undefined): boolean {
  if (!b) return a.worth > 0;
  return a.worth !== b.worth ? a.worth > b.worth : a.sure !== b.sure ? a.sure > b.sure : a.unclosed < b.unclosed;
}

/** How wide a gap parts two headings, in font sizes, with what a typewritten blank adds, and of how many lines: the usual one, then tighter ones. */
const GAPS: [gap: number, blank: number, most: number][] = [
  [0.55, 0.2, 8],
  [0.55, 0, 8],
  [0.36, 0, 1],
  [0.2, 0, 1],
];

/** The heading that starts at a line, if one does. A title above them is none. */
export function headerAt(lines: readonly Line[], at: number): PageHeader | undefined {
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
    if (blank === 0 && gap === GAPS[0]![0] && !isMono) continue;
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

/** How far, in points, a heading may stand from the left end of its cells. */
const EXACT = 2;
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

/** A line of headings parted where cells begin. */
function partedOver(line: Line, starts: readonly number[]): Segment[] {
  const { words, size } = line;
  const isParted = (i: number) => i === 0 || words[i]!.x0 - words[i - 1]!.x1 > GAPS[0]![0] * size;
  const begins = new Set(words.flatMap((_, i) => (isParted(i) ? [i] : [])));
  const isWhole = segmentsOf(line, GAPS[0]![0]).flatMap((s) => s.words.map(() => roleOfHeading(s.text) !== undefined));
  for (const start of starts) {
    const off = words.map((w) => Math.abs(w.x0 - start));
    const nearest = off.indexOf(Math.min(...off));
    // `Pin No.` is one heading, unless cells begin right under its second word.
    const isEstimate = words[nearest]!.estimated && !words[nearest]!.first && !isWhole[nearest];
    if (off[nearest]! < (isEstimate ? OFF * size : EXACT)) begins.add(nearest);
  }
  return partedAt(words, (i) => begins.has(i));
}

/** Lines put over each other and weighed as a heading. */
function readHeads(group: readonly Line[], gap: number, blank: number): Omit<PageHeader, 'at' | 'depth'> {
  const isOneOfMany = group.length > 1;
  const lines = partedByOthers(group.map((l) => segmentsOf(l, gap, blank)));
  return weighed(trim(stack(numbersApart(lines.map((l) => apart(l, isOneOfMany))))));
}

/** `QFN32 reset)` under `Pin name (function after`: what begins below a heading of another line is of that heading. */
function partedByOthers(lines: Segment[][]): Segment[][] {
  if (lines.length < 2) return lines;
  return lines.map((line, i) => {
    const starts = lines.flatMap((other, k) => (k === i ? [] : other.map((s) => s.x0)));
    const isParted = (w: Word) => starts.some((x) => Math.abs(x - w.x0) < EXACT);
    return line.flatMap(({ words }) => partedAt(words, (k) => isParted(words[k]!)));
  });
}

/** Words as segments, parted before those of which it is said. */
function partedAt(words: readonly Word[], isFirst: (i: number) => boolean): Segment[] {
  const from = [...words.keys()].filter((i) => i === 0 || isFirst(i));
  return from.map((first, k) => segmentFrom(words.slice(first, from[k + 1])));
}

const roleOf = (text: string) => roleOfHeading(text) ?? (isOfPackage(text) ? 'number' : undefined);

function weighed(heads: Head[]): Omit<PageHeader, 'at' | 'depth'> {
  const texts = heads.map((h) => h.text);
  return {
    heads,
    // `PIN A1, A2,`: a list of terminals below a heading belongs to the first row.
    worth: texts.some((t) => /\b[A-Z]{0,2}\d+,/.test(t) && !packageIn(t)) ? 0 : headingWorth(texts),
    sure: new Set(texts.map(roleOf).filter((role) => role !== undefined && role !== 'ambiguous')).size,
    unclosed: texts.filter((t) => /\([^)]*$|[A-Z]-$/.test(t)).length,
  };
}

const dropOf = (group: readonly Line[]): number => (group.length > 1 ? group.at(-1)!.base - group.at(-2)!.base : 0);
const isFar = (group: readonly Line[]): boolean => dropOf(group) > NEAREST * group[0]!.size;

/** Whether the last of some lines can belong to the heading that the others are. */
function goesOn(group: readonly Line[]): boolean {
  const [first, last] = [group[0]!, group.at(-1)!];
  if (last.base - first.base > TALLEST * first.size || dropOf(group) > FARTHEST * first.size) return false;
  if (Math.abs(last.size - first.size) > 0.15 * first.size || isRow(last) || isCaption(last)) return false;
  return !isFar(group) || isOnlyHeads(group.at(-2)!);
}

/**
 * A lone text of several words, left of all headings or such that it makes none of what stands over it, is the title of the
 * first group of rows. So is one beside all headings under which no cell begins.
 */
function isGroupTitle(line: Line, above: PageHeader | undefined, below: readonly Line[]): boolean {
  const [only, ...more] = segmentsOf(line);
  if (more.length > 0 || above === undefined) return false;
  if (headsNothing(only!, above, below)) return true;
  if (above.worth < 3 || only!.words.length < 2) return false;
  if (only!.x1 < above.heads[0]!.x0) return true;
  const { text, x0, x1 } = only!;
  const under = above.heads.filter((h) => Math.min(h.x1, x1) - Math.max(h.x0, x0) > 0.5);
  const isNone = (heading: string) => roleOfHeading(heading) === undefined && packageIn(heading) === undefined;
  return /^[A-Z][a-z]/.test(text) && isNone(text) && under.every((h) => isNone(over(h.text, text)));
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

/** A line of the table's body: a number, and beside it what is no heading. */
function isRow(line: Line): boolean {
  const texts = segmentsOf(line).map((s) => s.text);
  const others = texts.filter((t) => !looksLikeTerminal(t));
  return others.length < texts.length && others.some((t) => roleOfHeading(t) === undefined && !packageIn(t));
}

type Head = PageHeader['heads'][number];

/**
 * A lone text is a title as likely as headings, unless it is packages only, or, in a heading of several lines, one of which
 * each part stands over another kind of column: `Mnemonic Description` between `Pin` and `No.`
 */
function apart(segments: Segment[], isOneOfMany: boolean): Segment[] {
  const parts = segments.flatMap(apartByWords);
  if (segments.length > 1 || segments[0]?.words.every((w) => isPackageName(w.text))) return parts;
  const roles = new Set(parts.map((p) => roleOfHeading(p.text)));
  if (parts.every((p) => p.text.endsWith('-'))) return parts;
  const isPlain = parts.length > 1 && roles.size === parts.length && !roles.has(undefined) && !roles.has('ambiguous');
  return isOneOfMany && isPlain ? parts : segments;
}

/** Headings of columns that no field of a pin comes from. */
const UNREAD = /^(i\/?o )?(structure|level|buffer)s?$|^5[- ]?v([- ]tolerant)?$|^reset state$/i;

/** Over numbers, names, or both. */
const TERMINALS = /^(pin|ball|terminal|lead|contact)s?$/i;

/** Columns whose heading may begin with `Pin`. */
const PAIRED: ReadonlySet<ReturnType<typeof roleOfHeading>> = new Set(['name', 'type', 'description']);

/** `PIN NAME` is one heading where another stands over the numbers, and else two that were set tightly. */
function numbersApart(lines: Segment[][]): Segment[][] {
  const isNumbers = ({ text }: Segment) => roleOfHeading(text) === 'number' || packageIn(text) !== undefined || TERMINALS.test(text);
  if (lines.some((l) => l.some(isNumbers))) return lines;
  return lines.map((line) =>
    line.flatMap((s) => {
      const [first, second, ...more] = s.words;
      const role = roleOfHeading(s.text);
      const isPair = first && second && more.length === 0 && line.length > 1 && PAIRED.has(role);
      if (!isPair || roleOfHeading(first.text) !== 'ambiguous' || roleOfHeading(second.text) !== role) return [s];
      return [first, second].map((w) => segmentFrom([w]));
    }),
  );
}

/** How many words the tightest line of headings has, and how many one heading has. */
const [MOST_WORDS, LONGEST] = [16, 4];

/** `No. Module`: the numbers, and beside them a column that says nothing of a pin. */
const NUMBER_AND_OTHER = /^(no\.?|#) [A-Z][a-z]+$/i;

/** Over two columns that stand so near that their headings do. */
const NUMBER_AND_NAME = /^no\.? name$/i;

/**
 * `Type Description`, `LQFP48 LQFP64` set so tightly that no gap is left: several headings, where the whole is none and
 * each part is one. The fewest parts are taken.
 */
function apartByWords(segment: Segment): Segment[] {
  const words = segment.words.flatMap(packagesApart);
  // The upper halves of packages' names, `DFN- SOT-` over `6 23-5`.
  const isUpperHalf = words.every((w) => /^[A-Z]{2,6}-$/.test(w.text));
  if (isUpperHalf || (NUMBER_AND_OTHER.test(segment.text) && roleOfHeading(segment.text) === undefined))
    return words.map((w) => segmentFrom([w]));
  const isHead = (text: string) => !NUMBER_AND_NAME.test(text) && (isHeading(text) || UNREAD.test(text));
  if (words.length < 2 || words.length > MOST_WORDS || (roleOfHeading(segment.text) !== undefined && isHead(segment.text)))
    return [segment];
  // fewest[n]: where the last part of the first n words begins, and how many parts they are.
  const fewest: ({ from: number; parts: number } | undefined)[] = [{ from: 0, parts: 0 }];
  for (let end = 1; end <= words.length; end++)
    for (let from = Math.max(0, end - LONGEST); from < end; from++) {
      const before = fewest[from];
      const text = words
        .slice(from, end)
        .map((w) => w.text)
        .join(' ');
      if (before && isHead(text) && before.parts + 1 < (fewest[end]?.parts ?? Infinity)) fewest[end] = { from, parts: before.parts + 1 };
    }
  const pieces: Segment[] = [];
  for (let end = words.length; end > 0; end = fewest[end]!.from) {
    if (!fewest[end]) return [segment];
    pieces.unshift(segmentFrom(words.slice(fewest[end]!.from, end)));
  }
  return pieces;
}

/** `LQFP48QFN32`, set without any gap over two narrow columns: a word for each. */
function packagesApart(word: Word): Word[] {
  const names = word.text.match(/[A-Z]{2,6}-?\d{1,4}/g) ?? [];
  if (names.length < 2 || names.join('') !== word.text || !names.every(isPackageName)) return [word];
  const width = (word.x1 - word.x0) / word.text.length;
  let at = word.x0;
  return names.map((text) => {
    const x0 = at;
    at += text.length * width;
    return { ...word, text, x0, x1: at };
  });
}

const isSure = (text: string): boolean => ![undefined, 'ambiguous'].includes(roleOfHeading(text));

/** Puts heading lines over each other: a lone heading goes to the column under it, a wide one to all of them. */
function stack(lines: Segment[][]): Head[] {
  const heads: Head[] = lines.at(-1)!.map(({ text, x0, x1 }) => ({ text, x0, x1 }));
  for (const upper of lines.slice(0, -1).reverse()) {
    // A whole line of headings: one of them that nobody knows is a heading too.
    const isLine = headingWorth(upper.map((s) => s.text)) >= 2 || upper.filter((s) => isSure(s.text)).length > 1;
    for (const seg of upper) {
      const under = heads.filter((h) => Math.min(h.x1, seg.x1) - Math.max(h.x0, seg.x0) > 0.5);
      // What stands over no column is a heading only if it says so: captions stand there too.
      if (under.length === 0 && (isLine || isHeading(seg.text)) && !isOverPair(seg, heads))
        heads.push({ text: seg.text, x0: seg.x0, x1: seg.x1 });
      for (const h of under) {
        h.text = under.length > 1 && headingWorth([seg.text, h.text]) >= 2 ? h.text : over(seg.text, h.text);
        if (under.length === 1) {
          h.x0 = Math.min(h.x0, seg.x0);
          h.x1 = Math.max(h.x1, seg.x1);
        }
      }
    }
  }
  return heads.sort((a, b) => a.x0 - b.x0);
}

/** `Pin` in the middle over `No.` and `Name`, where it stands over the gap between them. */
function isOverPair({ text, x0, x1 }: Segment, heads: readonly Head[]): boolean {
  if (!TERMINALS.test(text)) return false;
  const before = heads.filter((h) => h.x1 <= x0).sort((a, b) => b.x1 - a.x1)[0];
  const behind = heads.filter((h) => h.x0 >= x1).sort((a, b) => a.x0 - b.x0)[0];
  const roles = [before, behind].map((h) => h && roleOfHeading(h.text));
  return roles.includes('number') && roles.includes('name');
}

/** A heading's upper line and its lower one; `SOT-` over `23-5` is one word. */
const over = (upper: string, lower: string): string =>
  /[A-Z\d]-$/.test(upper) || /^-\d/.test(lower) ? `${upper}${lower}` : `${upper} ${lower}`;

/** Takes prose of a neighbouring column away from the ends. */
function trim(heads: Head[]): Head[] {
  let [from, to] = [0, heads.length];
  while (from < to && heads[from]!.text.length > 34) from++;
  while (to > from && heads[to - 1]!.text.length > 34) to--;
  return heads.slice(from, to);
}
