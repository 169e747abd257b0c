import type { Doubt } from '../../part';
import type { Column, RowPlace } from '../proposal';

/**
 * A row of a source as cells, before anything is understood. `line` counts from 1 and names the row: the line of a text,
 * the row of a sheet, or, on pages, a count over all rows. Cells may hold line breaks.
 */
export interface GridRow {
  line: number;
  cells: string[];
  /** For aligned text: the column where each cell starts. */
  starts?: number[];
  /** Where the row stands, for sources that have more than lines. */
  place?: RowPlace;
  /** Cells that go on from the row above: one cell over several rows. */
  same?: boolean[];
  /** Some text ran over a column's edge, so that its cell is not sure. */
  crossed?: boolean;
  /** What a person has to be asked of the row's terminals. */
  doubt?: Doubt;
}

/** The rows of a table under columns whose roles are known. */
export interface RowsInColumns {
  columns: Column[];
  rows: readonly GridRow[];
}

/** How a source separates its cells. */
export type Layout = 'comma' | 'semicolon' | 'tab' | 'pipe' | 'aligned' | 'cells';

export interface Grid {
  layout: Layout;
  rows: GridRow[];
}

export const isBlank = (row: GridRow): boolean => row.cells.every((c) => c.trim() === '');
/** The text of a cell without the blanks around it; empty where the row has none there. */
export const cellAt = (row: GridRow, at: number): string => row.cells[at]?.trim() ?? '';
export const filled = (row: GridRow): string[] => row.cells.map((c) => c.trim()).filter((c) => c !== '');

/** A row with another choice of its cells: what stands beside them, their places and columns, is chosen alike. */
export const mapCells = (row: GridRow, map: <T>(of: readonly T[]) => T[]): GridRow => ({
  ...row,
  cells: map(row.cells),
  ...(row.starts ? { starts: map(row.starts) } : {}),
  ...(row.same ? { same: map(row.same) } : {}),
  ...(row.place
    ? {
        place: {
          ...row.place,
          ...(row.place.boxes ? { boxes: map(row.place.boxes) } : {}),
          ...(row.place.refs ? { refs: map(row.place.refs) } : {}),
        },
      }
    : {}),
});

/** Cells under the columns; what stands beyond the last column is joined to it, never dropped. */
export function padded(cells: readonly string[], count: number): string[] {
  const out = Array.from({ length: count }, (_, i) => cells[i]?.trim() ?? '');
  const rest = cells.slice(count).filter((c) => c.trim() !== '');
  if (rest.length > 0) out[count - 1] = [out[count - 1], ...rest].filter((c) => c !== '').join(', ');
  return out;
}
