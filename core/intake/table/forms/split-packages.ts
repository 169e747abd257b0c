import { mapCells, type GridRow, type RowsInColumns } from '../grid';
import { isPackageName } from '../headings';
import { labelled, readNumberCell } from '../numbers';

/** Of so many filled cells each has as many parts as packages are named. */
const MOST_CELLS = 0.8;
/** Words before the packages in a heading: `Pin No. (SO/QFN)`. */
const LEAD = /^\W*(?:(?:pin|ball|terminal|pad|lead|contact)s?\b)?\W*(?:(?:no|nos|number|numbers)\b\.?|#)?\W*/i;
/** A maker's own code for a package, `D` or `RGT16`. */
const CODE = /^[A-Z]{1,5}\d{0,3}$/;
const APART = /\s*\/\s*/;
/** `1 (2)`: the number in the second package, which the heading names in brackets, `DIP (LCC)`. */
const IN_BRACKETS = /^(\S+)\s*[([](\S+)[)\]]$/;

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
  /** The part of a cell for each package, in their order; undefined where the cell counts in all. */
  partsOf: (cell: string) => string[] | undefined;
}

const byStroke = (cell: string): string[] => cell.trim().split(APART);
const byLines = (cell: string): string[] => cell.trim().split(/\s*\n\s*/);
const byBrackets = (cell: string): string[] => IN_BRACKETS.exec(cell.trim())?.slice(1) ?? [cell];

const isIn = (cell: string, by: (cell: string) => string[], count: number): boolean =>
  by(cell).length === count && by(cell).every(isNumbers);
const mostlyIn = (cells: readonly string[], by: (cell: string) => string[], count: number): boolean =>
  cells.length > 0 && cells.filter((c) => isIn(c, by, count)).length >= MOST_CELLS * cells.length;
/** A cell that is not in as many parts counts in all. */
const partsBy = (by: (cell: string) => string[], count: number) => (cell: string) => (by(cell).length === count ? by(cell) : undefined);

/** The packages that a heading names, where it names more than one and the cells go with it. */
function packagesOf(heading: string, at: number, rows: readonly GridRow[], isOneOfMany: boolean): Packages | undefined {
  const cells = rows.map((r) => r.cells[at]?.trim() ?? '').filter((c) => c !== '');
  const labels = labelsOf(cells);
  if (labels) return { names: labels, partsOf: (cell) => labels.map((label) => labelled(cell)?.get(label) ?? '') };
  const stacked = heading
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '');
  if (stacked.length > 1 && stacked.every(isPackageName) && mostlyIn(cells, byLines, stacked.length))
    return { names: stacked, partsOf: partsBy(byLines, stacked.length) };
  const said = heading.replace(/\s+/g, ' ').trim();
  if (!/[/,;([]|\band\b/.test(said)) return undefined;
  const names = said
    .replace(LEAD, '')
    .replace(/[)\]]+\W*$/, '')
    .split(/\s*[/,;([]\s*|\s+and\s+/)
    .map((name) => name.replace(/[(\])[]/g, '').trim())
    .filter((name) => name !== '');
  if (names.length < 2 || names.length > 4 || new Set(names).size < names.length) return undefined;
  const areKnown = names.every(isPackageName);
  const areCodesAlone = names.every((name) => CODE.test(name));
  const apart = [byStroke, byBrackets].find((by) => mostlyIn(cells, by, names.length));
  if (apart && (areKnown || areCodesAlone)) return { names, partsOf: partsBy(apart, names.length) };
  // Codes that share a column are packages beside other packages only: alone they can be anything.
  const areCodes = isOneOfMany && areCodesAlone && !names.includes('NO');
  return (areKnown || areCodes) && !cells.some((c) => isIn(c, byStroke, names.length)) ? { names, partsOf: () => undefined } : undefined;
}

/** The packages that the cells themselves name, the same in most of them; undefined where they name none. */
function labelsOf(cells: readonly string[]): string[] | undefined {
  const counts = new Map<string, number>();
  const read = cells.flatMap((cell) => labelled(cell) ?? []);
  for (const parts of read) for (const label of parts.keys()) counts.set(label, (counts.get(label) ?? 0) + 1);
  return read.length >= MOST_CELLS * cells.length && counts.size > 1 && counts.size <= 4 ? [...counts.keys()] : undefined;
}

const isNumbers = (text: string): boolean => readNumberCell(text).kind !== 'unread';

/** A package's part of a cell; a cell that is not in parts counts in all. */
const partOf = (cell: string, part: number, { partsOf }: Packages): string => partsOf(cell)?.[part] ?? cell;
