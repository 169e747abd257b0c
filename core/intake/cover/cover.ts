import type { Box } from '../table/box';

/** A stretch of text on a page: its font size, left and right end and baseline, all in points. */
export interface CoverText {
  text: string;
  size: number;
  x0: number;
  x1: number;
  base: number;
  page?: number;
  box?: Box;
}

/** What a document says of its part, with the place where it does. */
export interface Said {
  value: string;
  page?: number;
  box?: Box;
}

/** The particulars of a part as its document prints them. */
export interface Cover {
  number?: Said;
  /** Other numbers that the title names: of a family that the document is of. */
  others?: string[];
  description?: Said;
  maker?: Said;
  revision?: Said;
  orderCodes: Said[];
}

export const saidAt = (value: string, { page, box }: { page?: number | undefined; box?: Box | undefined }): Said => ({
  value,
  ...(page === undefined ? {} : { page }),
  ...(box === undefined ? {} : { box }),
});
