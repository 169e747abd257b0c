/** A row of a source as cells, before anything is understood. `line` counts from 1. */
export interface GridRow {
  line: number;
  cells: string[];
  /** For aligned text: the column where each cell starts. */
  starts?: number[];
}

/** How a source separates its cells. */
export type Layout = 'comma' | 'semicolon' | 'tab' | 'pipe' | 'aligned';

export interface Grid {
  layout: Layout;
  rows: GridRow[];
}

export const isBlank = (row: GridRow): boolean => row.cells.every((c) => c.trim() === '');
export const filled = (row: GridRow): string[] => row.cells.map((c) => c.trim()).filter((c) => c !== '');
