import type { Pin } from '../pin';
import { plural, replaceById, type EditRule } from './edit-rule';

type Changeable = Partial<Omit<Pin, 'id' | 'pads'>>;

/** Sets fields of pins. What a person sets is marked by hand, and its doubts are settled by it. */
export interface ChangePins {
  kind: 'changePins';
  changes: { id: string; set: Changeable; unset?: (keyof Changeable)[] }[];
  byHand?: boolean;
}

const HAND_FIELDS = ['name', 'type', 'activeLow', 'description', 'group'] as const;

export const changePins: EditRule<ChangePins> = {
  apply(part, { changes, byHand }) {
    const byId = new Map(changes.map((c) => [c.id, c]));
    const pins = replaceById(part.pins, [...byId.keys()], (pin) => {
      const { set, unset = [] } = byId.get(pin.id)!;
      const next: Pin = { ...pin, ...set };
      for (const field of unset) delete next[field];
      return byHand ? markByHand(next, [...Object.keys(set), ...unset]) : next;
    });
    return { ...part, pins };
  },
  describe: ({ changes }) =>
    `change ${[...new Set(changes.flatMap((c) => [...Object.keys(c.set), ...(c.unset ?? [])]))].join(', ')} of ${plural(changes.length, 'pin')}`,
};

function markByHand(pin: Pin, keys: string[]): Pin {
  const touched = HAND_FIELDS.filter((f) => keys.includes(f));
  const because = { ...pin.because };
  for (const field of touched) because[field] = 'set by hand';
  return {
    ...pin,
    ...(touched.length > 0 ? { because } : {}),
    byHand: [...new Set([...(pin.byHand ?? []), ...touched])],
    doubts: pin.doubts.filter((d) => !touched.some((f) => f === d.field)),
  };
}
