import { hasBallMap } from './find-map';
import { findTables } from './find-table';
import type { Scored } from './found-table';
import type { Grid } from './grid';
import { unfold } from './forms/unfold';

/**
 * The pin tables of a grid, halves put under each other, the best one first. A table without headings in what is a ball map
 * is none: D0 and D1 in the cells look like numbers of balls.
 */
export function findLists(grid: Grid): Scored[] {
  const tables = findTables(unfold(grid));
  return tables[0]?.table.headerLine === undefined && hasBallMap(grid) ? [] : tables;
}
