/** Which row of a list each slot holds: a row that leaves the view is written anew for one that comes into it. */
export type Slots = ReadonlyMap<number, number>;

/** Rows that are written anew in one frame: as many as a frame of 8 ms has room for on a slow machine. */
const A_FRAME = 4;

/**
 * The slots one frame on: the rows wanted that have none are given theirs, nearest to the row in focus first, as many as one
 * frame has room for. A slot that waits keeps its old row, which stands out of view.
 * @param count slots there are; rows wanted at once must not be more.
 */
export function fillSlots(held: Slots, wanted: readonly number[], count: number, focus: number): { slots: Slots; done: boolean } {
  const due = wanted.filter((row) => held.get(row % count) !== row);
  if (due.length === 0) return { slots: held, done: true };
  due.sort((a, b) => Math.abs(a - focus) - Math.abs(b - focus));
  const now = held.size === 0 ? due : due.slice(0, A_FRAME);
  return { slots: new Map([...held, ...now.map((row) => [row % count, row] as const)]), done: now.length === due.length };
}
