import type { Column } from '../proposal';
import type { GridRow } from './grid';

/** A pin table that was found, with what each of its columns is. */
export interface FoundTable {
  columns: Column[];
  /** Body rows under the columns; headings of groups and continuation rows are still in it. */
  rows: GridRow[];
  /** Rows that stand outside: titles, legends, footnotes. */
  around: GridRow[];
  headerLine: number | undefined;
}

/** A table with how good a pin table it is. */
export interface Scored {
  table: FoundTable;
  score: number;
}
