import { headingWorth, isHeading, isOfPackage, isPackageName, packageIn, roleOfHeading } from '../table/headings';
import { segmentFrom, segmentsOf, type Line, type Segment } from './lines';
import { OFF } from './starts';
import type { Word } from './words';

/** One heading and where it stands, in points. */
interface Head {
  text: string;
  x0: number;
  x1: number;
}

/** Headings from left to right, and what they are worth as those of a pin table. */
export interface Heads {
  heads: Head[];
  worth: number;
  /** How many columns have a role that no other has and that is not in doubt: of two readings of a heading the surer counts. */
  sure: number;
  /** How many headings have a bracket that is not closed, or end with a dash. */
  unclosed: number;
}

/** True where one stands over the other, by more than a hair. */
export const areOver = (a: Span, b: Span): boolean => Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0) > 0.5;
type Span = Pick<Head, 'x0' | 'x1'>;

/** `(20)`: how many terminals a package has, behind its name or below it. */
export const isCount = (text: string): boolean => /^\(\d{1,3}\)$/.test(text);

/** How wide a gap usually parts two headings, in font sizes. */
export const USUAL_GAP = 0.55;

/** How far, in points, a heading may stand from the left end of its cells. */
export const EXACT = 2;

/** How many headings each half has of a line that holds the same ones twice; undefined where it holds them once. */
export function halfOfTwice(heads: readonly { text: string }[]): number | undefined {
  const count = heads.length / 2;
  const isTwice = count >= 2 && Number.isInteger(count) && heads.slice(count).every((h, i) => h.text === heads[i]!.text);
  return isTwice ? count : undefined;
}

/** A line of headings parted where cells begin. */
export function partedOver(line: Line, starts: readonly number[]): Segment[] {
  const { words, size } = line;
  const isParted = (i: number) => i === 0 || words[i]!.x0 - words[i - 1]!.x1 > USUAL_GAP * size;
  const begins = new Set(words.flatMap((_, i) => (isParted(i) ? [i] : [])));
  const isWhole = segmentsOf(line, USUAL_GAP).flatMap((s) => s.words.map(() => roleOfHeading(s.text) !== undefined));
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
export function readHeads(group: readonly Line[], gap: number, blank: number): Heads {
  const isOneOfMany = group.length > 1;
  const lines = partedByOthers(group.map((l) => segmentsOf(l, gap, blank)));
  return weighed(trim(stack(numbersApart(lines.map((l) => apart(l, isOneOfMany))))));
}

/** `QFN32 reset)` under `Pin name (function after`: what begins below a heading of another line is of that heading. */
function partedByOthers(lines: Segment[][]): Segment[][] {
  if (lines.length < 2) return lines;
  return lines.map((line, i) => {
    const starts = lines.flatMap((other, k) => (k === i ? [] : other.map((s) => s.x0)));
    // The count behind a package's name is of that, whatever stands over it.
    const isParted = (w: Word) => !isCount(w.text) && starts.some((x) => Math.abs(x - w.x0) < EXACT);
    return line.flatMap(({ words }) => partedAt(words, (k) => isParted(words[k]!)));
  });
}

/** Words as segments, parted before those of which it is said. */
function partedAt(words: readonly Word[], isFirst: (i: number) => boolean): Segment[] {
  const from = [...words.keys()].filter((i) => i === 0 || isFirst(i));
  return from.map((first, k) => segmentFrom(words.slice(first, from[k + 1])));
}

export const roleOf = (text: string) => roleOfHeading(text) ?? (isOfPackage(text) ? 'number' : undefined);

export function weighed(heads: Head[]): Heads {
  const texts = heads.map((h) => h.text);
  return {
    heads,
    // `PIN A1, A2,`: a list of terminals below a heading belongs to the first row. Words before a semicolon are of a sentence.
    worth: texts.some((t) => /;$/.test(t) || (/\b[A-Z]{0,2}\d+,/.test(t) && !packageIn(t))) ? 0 : headingWorth(texts),
    sure: new Set(texts.map(roleOf).filter((role) => role !== undefined && role !== 'ambiguous')).size,
    unclosed: texts.filter((t) => /\([^)]*$|[A-Z]-$/.test(t)).length,
  };
}

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

/** What a narrow column leaves of a package's name in the first line. */
const UPPER_HALF = /^[A-Z]{2,6}-$/;

/** Over numbers, names, or both. */
const TERMINALS = /^(pin|ball|terminal|lead|contact)s?$/i;

/** Columns whose heading may begin with `Pin`. */
const PAIRED: ReadonlySet<ReturnType<typeof roleOfHeading>> = new Set(['name', 'type', 'description']);

/** `PIN NAME` is one heading where another stands over the numbers, and else two that were set tightly. */
function numbersApart(lines: Segment[][]): Segment[][] {
  const isNumbers = ({ text }: Segment) =>
    roleOfHeading(text) === 'number' || packageIn(text) !== undefined || TERMINALS.test(text) || UPPER_HALF.test(text);
  if (lines.some((l) => l.some(isNumbers))) return lines;
  return lines.map((line) =>
    line.flatMap((s) => {
      const [first, second, ...more] = s.words;
      const role = roleOfHeading(s.text);
      const isPair = first && second && more.length === 0 && line.length > 1 && PAIRED.has(role);
      const isRest = isPair && (roleOfHeading(second.text) === role || (role === 'name' && /^signals?$/i.test(second.text)));
      if (!isRest || roleOfHeading(first.text) !== 'ambiguous') return [s];
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
  const isUpperHalf = words.every((w) => UPPER_HALF.test(w.text));
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
export function stack(lines: Segment[][]): Head[] {
  const heads: Head[] = lines.at(-1)!.map(({ text, x0, x1 }) => ({ text, x0, x1 }));
  const uppers = lines.slice(0, -1).reverse();
  for (const [i, upper] of uppers.entries()) {
    // A whole line of headings: one of them that nobody knows is a heading too.
    const isLine = headingWorth(upper.map((s) => s.text)) >= 2 || upper.filter((s) => isSure(s.text)).length > 1;
    for (const seg of upper) {
      const under = heads.filter((h) => areOver(h, seg));
      // What stands over no column is a heading only if it says so: captions stand there too.
      if (
        under.length === 0 &&
        (isLine || isHeading(seg.text) || goesOnFrom(seg, uppers.slice(i + 1, i + 2).flat())) &&
        !isOverPair(seg, heads)
      )
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

/** `output` under `Input/`, where the two lines of it stand over those of its neighbours. */
export const goesOnFrom = (lower: Segment, above: readonly Segment[]): boolean =>
  lower.text.length < LONGEST_HEAD &&
  above.some((s) => {
    if (!areOver(s, lower) || s.text.length + lower.text.length > LONGEST_HEAD) return false;
    const text = over(s.text, lower.text);
    return isHeading(text) || UNREAD.test(text);
  });
/** No heading is longer, and prose need not be looked at. */
const LONGEST_HEAD = 60;

/** `Pin` in the middle over `No.` and `Name`, where it stands over the gap between them. */
function isOverPair({ text, x0, x1 }: Segment, heads: readonly Head[]): boolean {
  if (!TERMINALS.test(text)) return false;
  const before = heads.filter((h) => h.x1 <= x0).sort((a, b) => b.x1 - a.x1)[0];
  const behind = heads.filter((h) => h.x0 >= x1).sort((a, b) => a.x0 - b.x0)[0];
  const roles = [before, behind].map((h) => h && roleOf(h.text));
  return roles.includes('number') && roles.every((role) => role === 'number' || role === 'name');
}

/** A heading's upper line and its lower one; `SOT-` over `23-5` is one word. */
export const over = (upper: string, lower: string): string =>
  /[A-Z\d]-$/.test(upper) || /^-\d/.test(lower) ? `${upper}${lower}` : `${upper} ${lower}`;

/** Takes prose of a neighbouring column away from the ends. */
function trim(heads: Head[]): Head[] {
  let [from, to] = [0, heads.length];
  while (from < to && heads[from]!.text.length > 34) from++;
  while (to > from && heads[to - 1]!.text.length > 34) to--;
  return heads.slice(from, to);
}
