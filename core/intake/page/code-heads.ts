import { headsOnlyOther, isPackageName, roleOfHeading } from '../table/headings';
import { areNumbersUnder, arePackageCodes, headingOfCode, isOverPackages, mayBePackage } from '../table/package-codes';
import { goesOnFrom, stack, weighed, type Heads } from './heads';
import { segmentFrom, segmentsOf, type Line, type Segment } from './lines';
import type { Word } from './words';

/** How many lines such a heading has at most: those of its columns can stand between the two others. */
export const MOST_CODED = 5;

/** A longer text is no heading. */
const LONGEST = 32;

/** How far, in font sizes, numbers reach beyond the heading over them. */
const BEYOND = 0.2;

/** A word of what stands over the numbers of several packages: most lines have none, and need not be parted. */
const OVER = /^(pins?|balls?|terminals?|leads?|packages?|contacts?|nos?\.?|[A-Z]{0,5}(?:QFP|QFN|BGA|CSP|SOP|SOIC|SON|DFN|LGA|DIP))$/i;
/** Each line is asked for by several headings that might begin above it. */
const known = new WeakMap<Line, boolean>();
function mayStandOver(line: Line): boolean {
  let is = known.get(line);
  if (is === undefined) known.set(line, (is = line.words.some((w) => OVER.test(w.text))));
  return is;
}

/**
 * A heading whose last line has the codes of packages, `PW`, `RGE`, side by side under `Pin no.`, where numbers stand below
 * each, and whether all of them are known names; undefined for any other lines.
 */
export function headsOfCodes(group: readonly Line[], below: readonly Line[]): (Heads & { isKnown: boolean }) | undefined {
  const uppers = group.slice(0, -1);
  if (!uppers.some(mayStandOver)) return undefined;
  const tops = uppers.map((l) => segmentsOf(l));
  if (tops.flat().some((s) => s.text.length > LONGEST)) return undefined;
  const lower = segmentsOf(group.at(-1)!).flatMap(codesApart);
  const at = lower.flatMap((s, i) => (mayBePackage(s.text) ? [i] : []));
  const [first, last] = [at[0]!, at.at(-1)!];
  const isHead = (s: Segment) => roleOfHeading(s.text) !== undefined || goesOnFrom(s, tops.flat());
  if (at.length < 2 || last - first >= at.length || lower.some((s, i) => !at.includes(i) && !isHead(s))) return undefined;
  // `PIN` stands in the middle over the numbers, or over them and the names beside them.
  const names = [lower[first - 1], lower[last + 1]].filter((s) => s !== undefined && roleOfHeading(s.text) === 'name');
  const [left, right] = [Math.min(...[lower[first]!, ...names].map((s) => s!.x0)), Math.max(...[lower[last]!, ...names].map((s) => s!.x1))];
  const isOver = (s: Segment) => isOverPackages(s.text) && s.x0 < right && s.x1 > left;
  const over = tops.flat().findLast(isOver);
  const codes = at.map((i) => lower[i]!.text);
  if (!over || !arePackageCodes(codes, over.text) || !areNumbersUnder(at.map((i) => cellsUnder(lower[i]!, below)))) return undefined;
  const lines = [
    ...tops.map((l) => l.filter((s) => !isOver(s))),
    lower.map((s, i) => (at.includes(i) ? { ...s, text: headingOfCode(over.text, s.text) } : s)),
  ];
  const heads = stack(lines);
  return headsOnlyOther(heads.map((h) => h.text)) ? undefined : { ...weighed(heads), isKnown: codes.every(isPackageName) };
}

/** `NAME PW RGE`, headings of narrow columns with hardly a gap between them, codes among them. */
const codesApart = (segment: Segment): Segment[] =>
  segment.words.length > 1 &&
  segment.words.some((w) => mayBePackage(w.text)) &&
  segment.words.every((w) => mayBePackage(w.text) || roleOfHeading(w.text) !== undefined)
    ? segment.words.map((w) => segmentFrom([w]))
    : [segment];

/** What stands under a heading in the lines that are rows. */
function cellsUnder({ x0, x1 }: Segment, below: readonly Line[]): string[] {
  return below
    .filter((line) => segmentsOf(line).length > 2)
    .map(({ size, words }) => {
      const isUnder = (w: Word) => w.x0 < x1 + BEYOND * size && w.x1 > x0 - BEYOND * size;
      return words
        .filter(isUnder)
        .map((w) => w.text)
        .join(' ');
    });
}
