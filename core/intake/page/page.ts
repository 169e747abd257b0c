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
  /** True where the file is damaged there, so that nothing of the page could be read. */
  isDamaged?: true;
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
  /** Which of the document's faces it is set in, by any name that only tells them apart: a title in bold has another than the rows. */
  face?: string;
}

/** A ruled line along an axis, `x1 <= x2` and `y1 <= y2`; one of the two pairs is equal. */
export interface Rule {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}

/** Farther from a page's corner, or larger, than any paper is, in points: the largest that a page can be is 14,400. */
const FARTHEST = 100_000;
const isPlace = (...of: readonly number[]): boolean => of.every((v) => Math.abs(v) < FARTHEST);

/** A page without what cannot be seen on it: text without a size, and whatever lies nowhere near the paper or is no number. */
export function onPaper(page: DocumentPage): DocumentPage {
  const isSeen = (r: Run) => r.size > 0 && isPlace(r.x, r.y, r.width, r.size);
  const runs = page.runs.every(isSeen) ? page.runs : page.runs.filter(isSeen);
  return { ...page, runs, ...(page.rules ? { rules: page.rules.filter((r) => isPlace(r.x1, r.y1, r.x2, r.y2)) } : {}) };
}
