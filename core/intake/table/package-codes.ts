import { filled, type GridRow } from './grid';
import { isOverNumbers, isPackageName, packageCodes, roleOfHeading } from './headings';
import { looksLikeNumbers } from './numbers';
import { OF_VERSION } from './versions';

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
function codesIn(upper: readonly string[], lower: readonly string[]): number[] {
  let over = '';
  const codes = new Map<string, number[]>();
  for (const [i, given] of lower.entries()) {
    const [top, under] = [upper[i]?.trim() ?? '', given.trim()];
    over = top || over;
    if (under === '' || under === top || roleOfHeading(under) !== undefined) continue;
    codes.set(over, [...(codes.get(over) ?? []), i]);
  }
  const areAll = [...codes].every(([of, at]) => arePackageCodes(at.map((i) => lower[i]!.trim()), of)); // prettier-ignore
  return areAll ? [...codes.values()].flat() : [];
}

/** `PIN` over `NAME`: the cells of two rows, each with what stands over it; where that says something else, what stands below. */
export const bothOf = (upper: GridRow, lower: GridRow): string[] =>
  Array.from({ length: Math.max(upper.cells.length, lower.cells.length) }, (_, i) => {
    const [top, under] = [upper.cells[i]?.trim() ?? '', lower.cells[i]?.trim() ?? ''];
    const both = top === under ? top : `${top} ${under}`.trim();
    const role = roleOfHeading(under);
    return role !== undefined && role !== roleOfHeading(both) ? under : both;
  });

/**
 * Two rows of headings, the lower one with the codes of packages under `Pin no.`, as one: `PIN NO. PW`. Undefined where they
 * are none, or where what stands below the codes is no numbers.
 */
export function joinCodes(upper: GridRow, lower: GridRow, below: readonly GridRow[]): string[] | undefined {
  const codes = codesIn(upper.cells, lower.cells);
  if (codes.length < 2 || upper.cells.filter((c) => c.trim() !== '').length < 2) return undefined;
  const rows = below.filter((r) => filled(r).length > 1).slice(0, ROWS_BELOW);
  if (!areNumbersUnder(codes.map((i) => rows.map((r) => r.cells[i] ?? '')))) return undefined;
  let over = '';
  return bothOf(upper, lower).map((both, i) => {
    over = upper.cells[i]?.trim() || over;
    return codes.includes(i) ? headingOfCode(over, lower.cells[i]!.trim()) : both;
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

/** How long a name of a version is at most. */
const LONGEST_VERSION = 16;

/** Two rows of headings, the lower of which has nothing but versions of the part under a merged `Pin name`, as one: `Pin name (TF1001B)`. */
export function joinVersions(upper: GridRow, lower: GridRow): string[] | undefined {
  const names = lower.cells.flatMap((c, i) => (c.trim() === '' ? [] : [i]));
  const first = names[0];
  const over = first === undefined ? undefined : upper.cells[first]?.trim();
  const areUnder = names.every((i, k) => i === first! + k && (k === 0 || (upper.cells[i] ?? '').trim() === ''));
  if (names.length < 2 || !areUnder || !over || roleOfHeading(over) !== 'name') return undefined;
  if (
    names.some(
      (i) =>
        lower.cells[i]!.length > LONGEST_VERSION ||
        roleOfHeading(lower.cells[i]!) !== undefined ||
        !OF_VERSION.test(lower.cells[i]!.trim()),
    )
  )
    return undefined;
  return upper.cells.map((c, i) => (names.includes(i) ? `${over} (${lower.cells[i]!.trim()})` : c));
}
