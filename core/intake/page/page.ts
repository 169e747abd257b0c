/**
 * A page of a document as plain data. All lengths are in points (1/72 inch, ISO 32000-1, 8.3.2.3) on the page as it is
 * displayed: the origin is the upper left corner, x runs right, y runs down.
 */
export interface DocumentPage {
  /** Counts from 1. */
  number: number;
  width: number;
  height: number;
  runs: Run[];
  /** Ruled lines; undefined where they were not fetched. */
  rules?: Rule[];
}

/** Text as it was shown in one go: it starts at `x`, `y` on its baseline and runs `width` points along its direction. */
export interface Run {
  text: string;
  x: number;
  y: number;
  width: number;
  /** Font size in points. */
  size: number;
  /** Quarter turns clockwise that the text's direction is turned by, as displayed. */
  turns: 0 | 1 | 2 | 3;
}

/** A ruled line along an axis, `x1 <= x2` and `y1 <= y2`; one of the two pairs is equal. */
export interface Rule {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}
