/** More pads than any land has: a list that names more is refused. */
export const MOST_PADS = 60_000;
/** Farther from the origin, or larger, than anything on a board, in mm. */
export const FARTHEST_MM = 2000;
