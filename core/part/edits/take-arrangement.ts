import type { Drawing } from '../drawing';
import type { Unit } from '../part';
import { plural, type EditRule } from './edit-rule';

/** Makes planned units and their drawings the part's own, all of them at once. */
export interface TakeArrangement {
  kind: 'takeArrangement';
  units: Unit[];
  drawings: Drawing[];
  /** Pins that the plan draws in several units. */
  shared?: string[];
}

export const takeArrangement: EditRule<TakeArrangement> = {
  apply(part, { units, drawings, shared = [] }) {
    const toShare = new Set(shared);
    const pins = toShare.size === 0 ? part.pins : part.pins.map((p) => (toShare.has(p.id) ? { ...p, shared: true } : p));
    return { ...part, pins, units, drawings };
  },
  describe: ({ units }) => `arrange ${plural(units.length, 'unit')}`,
};
