/** Which row of a list each slot holds: a row that leaves the view is written anew for one that comes into it. */
export type Slots = ReadonlyMap<number, number>;

/** Rows that are written anew in one frame after something was done on the stage: as many as 8 ms have room for on a slow machine. */
const A_FRAME = 4;
/** As many where a hand scrolls the list itself, and looks at nothing else. */
const BY_HAND = 12;

/**
 * The slots one frame on: the rows wanted that have none are given theirs, nearest to the row in focus first, or to the middle
 * of the view where that is elsewhere, as many as one frame has room for. A slot that waits keeps its old row, out of view.
 * @param count slots there are; rows wanted at once must not be more.
 */
export function fillSlots(held: Slots, wanted: readonly number[], count: number, focus: number): { slots: Slots; done: boolean } {
  const due = wanted.filter((row) => held.get(row % count) !== row);
  if (due.length === 0) return { slots: held, done: true };
  const isBrought = wanted.includes(focus);
  const first = isBrought ? focus : wanted[wanted.length >> 1]!;
  due.sort((a, b) => Math.abs(a - first) - Math.abs(b - first));
  const now = held.size === 0 ? due : due.slice(0, isBrought ? A_FRAME : BY_HAND);
  return { slots: new Map([...held, ...now.map((row) => [row % count, row] as const)]), done: now.length === due.length };
}
