import { mapCells, type GridRow, type RowsInColumns } from './grid';
import { packageIn } from './headings';
import { readNumberCell } from './numbers';

/** Of so many filled cells each has as many parts as packages are named. */
const MOST_CELLS = 0.8;
/** Words before the packages in a heading: `Pin No. (SO/QFN)`. */
const LEAD = /^\W*(?:(?:pin|ball|terminal|pad|lead|contact)s?\b)?\W*(?:(?:no|nos|number|numbers)\b\.?|#)?\W*/i;
/** A maker's own code for a package, `D` or `RGT16`. */
const CODE = /^[A-Z]{1,5}\d{0,3}$/;
const APART = /\s*\/\s*/;

/**
 * Columns of numbers that several packages share: `SO/QFN` over cells such as `1/16` is a column for each of them, and
 * `SO-8, MSOP-8` over plain numbers counts in both. Other tables are given back as they are.
 */
export function splitPackages({ columns, rows }: RowsInColumns): RowsInColumns {
  const isOneOfMany = columns.filter((c) => c.role === 'number').length > 1;
  const parts = columns.map((c, i) => (c.role === 'number' ? packagesOf(c.heading, i, rows, isOneOfMany) : undefined));
  if (parts.every((p) => p === undefined)) return { columns, rows };
  const spread = <T>(of: readonly T[], each: (value: T, part: number, from: Packages) => T = (value) => value): T[] =>
    columns.flatMap((_, i) => parts[i]?.names.map((_name, k) => each(of[i]!, k, parts[i]!)) ?? [of[i]!]);
  return {
    columns: spread(columns, (column, k, { names }) => ({ ...column, packageName: names[k]! })),
    rows: rows.map((row) => ({ ...mapCells(row, (of) => spread(of)), cells: spread(row.cells, partOf) })),
  };
}

interface Packages {
  names: string[];
  /** The cells have a part for each package; else the same numbers count in all. */
  isApart: boolean;
}

/** The packages that a heading names, where it names more than one and the cells go with it. */
function packagesOf(heading: string, at: number, rows: readonly GridRow[], isOneOfMany: boolean): Packages | undefined {
  const said = heading.replace(/\s+/g, ' ').trim();
  if (!/[/,;]|\band\b/.test(said)) return undefined;
  const names = said
    .replace(LEAD, '')
    .replace(/[)\]]+\W*$/, '')
    .split(/\s*[/,;]\s*|\s+and\s+/)
    .map((name) => name.replace(/[(\])[]/g, '').trim())
    .filter((name) => name !== '');
  if (names.length < 2 || names.length > 4 || new Set(names).size < names.length) return undefined;
  const areKnown = names.every((name) => packageIn(name)?.name === name);
  const cells = rows.map((r) => r.cells[at]?.trim() ?? '').filter((c) => c !== '');
  const inParts = cells.filter((c) => c.split(APART).length === names.length && c.split(APART).every(isNumbers));
  const isApart = cells.length > 0 && inParts.length >= MOST_CELLS * cells.length;
  if (isApart && (areKnown || names.every((name) => CODE.test(name)))) return { names, isApart };
  // Codes that share a column are packages beside other packages only: alone they can be anything.
  const areCodes = isOneOfMany && names.every((name) => CODE.test(name) && name !== 'NO');
  return (areKnown || areCodes) && inParts.length === 0 ? { names, isApart: false } : undefined;
}

const isNumbers = (text: string): boolean => readNumberCell(text).kind !== 'unread';

/** A package's part of a cell; a cell that is not in parts counts in all. */
function partOf(cell: string, part: number, { names, isApart }: Packages): string {
  const all = cell.trim().split(APART);
  return isApart && all.length === names.length ? all[part]! : cell;
}
