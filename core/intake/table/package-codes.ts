import { cellAt, filled, type GridRow } from './grid';
import { isOverNumbers, isPackageName, packageCodes, roleOfHeading } from './headings';
import { looksLikeNumbers } from './numbers';

/** A heading over the numbers of several packages, in the place of `Pin no.` */
const OVER_PACKAGES = /^\W*(?:(?:pin|ball|lead|terminal) )?packages?(?: options?| types?)?\W*$/i;

/** What a heading over numbers begins with. */
const OF_TERMINALS = /^\W*(?:pin|ball|terminal|lead|contact)/i;

/** Fewer rows than this do not tell that a column holds numbers. */
const LEAST_ROWS = 3;

/** `LQFP` over the counts of several. */
const isFamily = (text: string): boolean => isPackageName(text) && !/\d/.test(text);

/** True for what stands over the numbers of one package or several. */
export const isOverPackages = (text: string): boolean => isOverNumbers(text) || OVER_PACKAGES.test(text) || isFamily(text);

/** True for what can stand over the numbers of one package: a code of its maker that is no heading of another kind, or a known name. */
const isPackageCode = (text: string): boolean =>
  (packageCodes(text) !== undefined && roleOfHeading(text) === undefined) || isPackageName(text);

/** `48`, `64`: how many terminals packages of one family have. */
const COUNT = /^\d{1,4}$/;
/** Fewer terminals than this could be numbers of them. */
const LEAST_COUNT = 5;

/** True for what can stand over the numbers of several packages: the codes of their makers, or their counts in rising order. */
export function arePackageCodes(texts: readonly string[], over: string): boolean {
  const areCounts = texts.every((t, i) => COUNT.test(t) && Number(t) >= LEAST_COUNT && Number(t) > Number(texts[i - 1] ?? 0));
  return isOverPackages(over) && (areCounts || texts.every(isPackageCode));
}

/** True for a code or a count alone. */
export const mayBePackage = (text: string): boolean => COUNT.test(text) || isPackageCode(text);

/** The heading of the numbers of one package: what stands over all of them, and its code. */
export const headingOfCode = (over: string, code: string): string =>
  COUNT.test(code)
    ? isFamily(over)
      ? `${over.trim()}${code}`
      : `${code}-pin`
    : isPackageName(code)
      ? code
      : `${roleOfHeading(over) === 'number' && OF_TERMINALS.test(over) ? over.trim() : 'Pin no.'} ${code}`;

/** True where columns hold numbers, and dashes for terminals that a package lacks; each column as its cells. */
export const areNumbersUnder = (columns: readonly (readonly string[])[]): boolean =>
  columns.every((cells) => {
    const numbers = cells.filter(looksLikeNumbers).length;
    const others = cells.filter((c) => !looksLikeNumbers(c) && !/^(?:[-–—]+|n\/?a|EP|pad)?$/i.test(c.trim())).length;
    return cells.length >= LEAST_ROWS && numbers > 0 && others <= 0.2 * cells.length;
  });

/** So many rows below a heading tell what its columns hold. */
const ROWS_BELOW = 12;

/** Where the codes of packages stand in a row below what stands over their numbers; empty where it has none, or something that is neither. */
function codesIn(upper: GridRow, lower: GridRow): number[] {
  let over = '';
  const codes = new Map<string, number[]>();
  for (const i of lower.cells.keys()) {
    const [top, under] = [cellAt(upper, i), cellAt(lower, i)];
    over = top || over;
    if (under === '' || under === top || roleOfHeading(under) !== undefined) continue;
    codes.set(over, [...(codes.get(over) ?? []), i]);
  }
  const areAll = [...codes].every(([of, at]) => {
    const texts = at.map((i) => cellAt(lower, i));
    return arePackageCodes(texts, of);
  });
  return areAll ? [...codes.values()].flat() : [];
}

/** `PIN` over `NAME`: the cells of two rows, each with what stands over it; where that says something else, what stands below. */
export const bothOf = (upper: GridRow, lower: GridRow): string[] =>
  Array.from({ length: Math.max(upper.cells.length, lower.cells.length) }, (_, i) => {
    const [top, under] = [cellAt(upper, i), cellAt(lower, i)];
    const both = top === under ? top : `${top} ${under}`.trim();
    const role = roleOfHeading(under);
    return role !== undefined && role !== roleOfHeading(both) ? under : both;
  });

/**
 * Two rows of headings, the lower one with the codes of packages under `Pin no.`, as one: `PIN NO. PW`. Undefined where they
 * are none, or where what stands below the codes is no numbers.
 */
export function joinCodes(upper: GridRow, lower: GridRow, below: readonly GridRow[]): string[] | undefined {
  const codes = codesIn(upper, lower);
  if (codes.length < 2 || filled(upper).length < 2) return undefined;
  const rows = below.filter((r) => filled(r).length > 1).slice(0, ROWS_BELOW);
  if (!areNumbersUnder(codes.map((i) => rows.map((r) => r.cells[i] ?? '')))) return undefined;
  let over = '';
  return bothOf(upper, lower).map((both, i) => {
    over = cellAt(upper, i) || over;
    return codes.includes(i) ? headingOfCode(over, cellAt(lower, i)) : both;
  });
}

/** The same for columns that stand under each other: what stands over the codes is replaced by them. */
export function joinAlignedCodes(upper: GridRow, lower: GridRow): { cells: string[]; starts: number[] } | undefined {
  const [tops, unders] = [upper.starts ?? [], lower.starts ?? []];
  const endOf = (k: number) => (tops[k] ?? 0) + (upper.cells[k]?.length ?? 0);
  const first = unders[0];
  const at =
    first === undefined
      ? -1
      : tops.findIndex(
          (start, k) =>
            isOverPackages(upper.cells[k]!) && first < endOf(k) && (k === 0 || first > endOf(k - 1)) && start < (unders.at(-1) ?? 0) + 1,
        );
  if (at < 0 || unders.length < 2 || !arePackageCodes(lower.cells, upper.cells[at]!) || unders.at(-1)! >= (tops[at + 1] ?? Infinity))
    return undefined;
  const cells = [...upper.cells];
  const starts = [...tops];
  cells.splice(at, 1, ...lower.cells.map((code) => headingOfCode(upper.cells[at]!, code)));
  starts.splice(at, 1, ...unders);
  return { cells, starts };
}
