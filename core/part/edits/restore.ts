import type { Part } from '../part';
import type { EditRule } from './edit-rule';

/**
 * Puts whole slices of a part back. It is the inverse of every edit: data is immutable and structurally shared, so
 * keeping the old slices costs nothing and cannot go wrong the way a hand-written inverse can.
 */
export interface Restore {
  kind: 'restore';
  slices: Partial<Part>;
  /** Slices that were not there before. */
  absent: (keyof Part)[];
}

export const restore: EditRule<Restore> = {
  apply(part, { slices, absent }) {
    const next = { ...part, ...slices };
    for (const key of absent) delete (next as Partial<Part>)[key];
    return next;
  },
  describe: () => 'restore',
};
