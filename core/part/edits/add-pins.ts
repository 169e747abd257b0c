import type { Pin } from '../pin';
import { EditError, plural, type EditRule } from './edit-rule';

/** Adds pins, after the named one or at the end of the ledger. */
export interface AddPins {
  kind: 'addPins';
  pins: Pin[];
  after?: string;
}

export const addPins: EditRule<AddPins> = {
  apply(part, { pins, after }) {
    const taken = new Set(part.pins.map((p) => p.id));
    if (pins.some((p) => taken.has(p.id))) throw new EditError('a pin with this id is there already');
    const at = after === undefined ? part.pins.length : part.pins.findIndex((p) => p.id === after) + 1;
    return { ...part, pins: [...part.pins.slice(0, at), ...pins, ...part.pins.slice(at)] };
  },
  describe: ({ pins }) => `add ${plural(pins.length, 'pin')}`,
};
