import type { Drawing } from '../drawing';
import type { Unit } from '../part';
import { plural, type EditRule } from './edit-rule';
import { followUnits } from './follow-units';
import { markPlaced } from './mark-placed';

/** Makes planned units and their drawings the part's own, all of them at once. */
export interface TakeArrangement {
  kind: 'takeArrangement';
  units: Unit[];
  drawings: Drawing[];
  /** Pins that the plan draws in several units. */
  shared?: string[];
  /** Pins that a person put in their unit, which later planning leaves there. */
  placed?: string[];
}

export const takeArrangement: EditRule<TakeArrangement> = {
  apply(part, { units, drawings, shared = [], placed = [] }) {
    const toShare = new Set(shared);
    const pins = toShare.size === 0 ? part.pins : part.pins.map((pin) => (toShare.has(pin.id) ? { ...pin, shared: true } : pin));
    return { ...part, pins: markPlaced(pins, new Set(placed), 'unit'), units, drawings, models: followUnits(part, units) };
  },
  describe: ({ units }) => `arrange ${plural(units.length, 'unit')}`,
};
