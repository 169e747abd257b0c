import { fitToColumns } from '../../text/aligned';
import { headingWorth, roleOfHeading } from '../headings';
import { isBlank, mapCells, type Grid, type GridRow } from '../grid';

/** How far down the heading of a table may stand that is looked at here. */
const LOOK = 400;

/**
 * A table set in two or more columns side by side, `Pin Name Pin Name`, as one table with its parts under each other.
 * Other grids are given back as they are.
 */
export function unfold(grid: Grid): Grid {
  for (const [at, row] of grid.rows.slice(0, LOOK).entries()) {
    const parts = partsOf(row);
    if (!parts) continue;
    const below = grid.rows.slice(at + 1);
    const stop = endOf(below, Math.min(...parts[1]!));
    const body = stop < 0 ? below : below.slice(0, stop);
    const stacked = parts.flatMap((part, i) =>
      (i === 0 ? [row, ...body] : body).map((r) => slice(r, part, row)).filter((r) => !isBlank(r) || i === 0),
    );
    return { layout: grid.layout, rows: [...grid.rows.slice(0, at), ...stacked, ...(stop < 0 ? [] : below.slice(stop))] };
  }
  return grid;
}

/** Where such a table ends: at two blank rows, or at one below which nothing stands beside the first column any more; -1 for nowhere. */
function endOf(rows: readonly GridRow[], second: number): number {
  const last = rows.findLastIndex((r) => r.cells.slice(second).some((c) => c.trim() !== ''));
  return rows.findIndex((r, i) => isBlank(r) && (i > last || isBlank(rows[i + 1] ?? r)));
}

/** The columns of a part, in the order of those of the first. */
type Part = number[];

function partsOf(row: GridRow): Part[] | undefined {
  if (row.cells.length < 4 || row.cells.some((c) => /^\s*\d[\d\s,.]*$/.test(c))) return undefined;
  const heads = row.cells.map((c) => c.trim().toLowerCase().replace(/\s+/g, ' '));
  const filledAt = heads.flatMap((h, i) => (h === '' ? [] : [i]));
  for (let size = 2; size <= filledAt.length / 2; size++) {
    if (filledAt.length % size !== 0) continue;
    const first = filledAt.slice(0, size).map((i) => heads[i]);
    const others = filledAt.filter((i, k) => !alike(heads[i]!, first[k % size]!));
    // A heading may be cut at the page's edge, or be set in two words once: the others tell.
    const isMostlyAlike = others.length === 0 || (others.length === 1 && size > 2 && filledAt.indexOf(others[0]!) % size > 1);
    if (!isMostlyAlike || headingWorth(filledAt.slice(0, size).map((i) => row.cells[i]!)) < 2) continue;
    const starts = filledAt.filter((_, k) => k % size === 0);
    return starts.map((from, k) => columns(from, starts[k + 1] ?? row.cells.length));
  }
  return mirrored(row);
}

const columns = (from: number, to: number): Part => Array.from({ length: to - from }, (_, i) => from + i);

/** `Signal | Pin | Pin | Signal`: the two rows of a connector, each seen from its side. */
function mirrored({ cells }: GridRow): Part[] | undefined {
  const half = cells.length / 2;
  const heads = cells.map((c) => c.trim().toLowerCase());
  const areAlike = Number.isInteger(half) && heads.every((h, i) => h !== '' && h === heads.at(-1 - i));
  return areAlike && headingWorth(cells.slice(0, half)) > 1 ? [columns(0, half), columns(half, cells.length).reverse()] : undefined;
}

/** `Row A` and `Row B`, `odd` and `even`, head two halves of one list, and so do `name` and `Pin name`. */
const alike = (a: string, b: string): boolean => a === b || withoutSide(a) === withoutSide(b) || areOfOneRole(a, b);
const areOfOneRole = (a: string, b: string): boolean =>
  roleOfHeading(a) === roleOfHeading(b) && !['ambiguous', undefined].includes(roleOfHeading(a));
const withoutSide = (heading: string): string => heading.replace(/(?<=^(?:row|side) )[a-d]$|\b(?:odd|even)\b/, '…');

/** The cells of a part of a row. Those that stand in another order than on the page have places of their own in it. */
function slice(row: GridRow, part: Part, head: GridRow): GridRow {
  const isTurned = part.length > 1 && part[0]! > part[1]!;
  if (!row.starts || !head.starts || !(isTurned || head.cells.length === 2 * part.length))
    return mapCells(row, (of) => part.flatMap((i) => (i < of.length ? [of[i]!] : [])));
  const cells = fitToColumns(row, head.starts);
  return { ...row, cells: part.map((i) => cells[i] ?? ''), starts: part.map((_, k) => k * APART) };
}
/** Wider than any heading. */
const APART = 80;
