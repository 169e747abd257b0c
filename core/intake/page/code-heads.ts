import { headsOnlyOther, roleOfHeading } from '../table/headings';
import { areNumbersUnder, arePackageCodes, headingOfCode, isOverPackages, mayBePackage } from '../table/package-codes';
import { stack, weighed, type Heads } from './heads';
import { segmentFrom, segmentsOf, type Line, type Segment } from './lines';

/** How many lines such a heading has at most: those of its columns can stand between the two others. */
export const MOST_CODED = 3;

/** How far, in font sizes, numbers reach beyond the heading over them. */
const BEYOND = 1;

/** What can stand over the numbers of several packages. */
const OVER = /^(pins?|balls?|terminals?|leads?|packages?|contacts?|nos?\.?|[A-Z]{0,5}(?:QFP|QFN|BGA|CSP|SOP|SOIC|SON|DFN|LGA|DIP))$/i;

/**
 * A heading whose last line has the codes of packages, `PW`, `RGE`, side by side under `Pin no.`, where numbers stand below
 * each; undefined for any other lines.
 */
export function headsOfCodes(group: readonly Line[], below: readonly Line[]): Heads | undefined {
  const uppers = group.slice(0, -1);
  if (!uppers.some((l) => l.words.some((w) => OVER.test(w.text)))) return undefined;
  const lower = segmentsOf(group.at(-1)!).flatMap(codesApart);
  const at = lower.flatMap((s, i) => (mayBePackage(s.text) ? [i] : []));
  const [first, last] = [at[0]!, at.at(-1)!];
  if (at.length < 2 || last - first >= at.length || lower.some((s, i) => !at.includes(i) && roleOfHeading(s.text) === undefined))
    return undefined;
  // `PIN` stands in the middle over the numbers, or over them and the names beside them.
  const names = [lower[first - 1], lower[last + 1]].filter((s) => s !== undefined && roleOfHeading(s.text) === 'name');
  const [left, right] = [Math.min(...[lower[first]!, ...names].map((s) => s!.x0)), Math.max(...[lower[last]!, ...names].map((s) => s!.x1))];
  const isOver = (s: Segment) => isOverPackages(s.text) && s.x0 < right && s.x1 > left;
  const tops = uppers.map((l) => segmentsOf(l));
  const over = tops.flat().findLast(isOver);
  const codes = at.map((i) => lower[i]!.text);
  if (!over || !arePackageCodes(codes, over.text) || !areNumbersUnder(at.map((i) => cellsUnder(lower[i]!, below)))) return undefined;
  const lines = [
    ...tops.map((l) => l.filter((s) => !isOver(s))),
    lower.map((s, i) => (at.includes(i) ? { ...s, text: headingOfCode(over.text, s.text) } : s)),
  ];
  const heads = stack(lines);
  return headsOnlyOther(heads.map((h) => h.text)) ? undefined : weighed(heads);
}

/** `PW RGE`, codes of two narrow columns with hardly a gap between them. */
const codesApart = (segment: Segment): Segment[] =>
  segment.words.length > 1 && segment.words.every((w) => mayBePackage(w.text)) ? segment.words.map((w) => segmentFrom([w])) : [segment];

/** What stands under a heading in the lines that are rows. */
function cellsUnder({ x0, x1 }: Segment, below: readonly Line[]): string[] {
  return below
    .map((line) => ({ size: line.size, segments: segmentsOf(line) }))
    .filter(({ segments }) => segments.length > 2)
    .map(({ size, segments }) => segments.find((s) => s.x0 < x1 + BEYOND * size && s.x1 > x0 - BEYOND * size)?.text ?? '');
}
