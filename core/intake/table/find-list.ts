import { findBallMap } from './ball-map';
import { findTable } from './find-table';
import type { FoundTable } from './found-table';
import type { Grid } from './grid';
import { unfold } from './forms/unfold';

/**
 * The pin table of a grid, halves put under each other. A table without headings in what is a ball map is none: D0 and D1 in
 * the cells look like numbers of balls.
 */
export function findList(grid: Grid): FoundTable | undefined {
  const table = findTable(unfold(grid));
  return table && table.headerLine === undefined && findBallMap(grid) ? undefined : table;
}
