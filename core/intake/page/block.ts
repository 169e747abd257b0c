import type { Box } from '../table/box';
import type { PageRow } from './cells';

/** A table's worth of rows on one page, before it is known what they mean. */
export interface Block {
  page: number;
  box: Box;
  /** Where the columns part, from the table's left edge to its right one. */
  edges: number[];
  rows: PageRowAt[];
  /** Text above the block, nearest first. */
  captions: string[];
  /** True where the block goes on with the one before it. */
  goesOn?: boolean;
}

export interface PageRowAt extends PageRow {
  same?: boolean[];
}
