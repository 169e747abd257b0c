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
  /** Pins that a person put in their unit, which later planning leaves there. */
  placed?: string[];
}

export const takeArrangement: EditRule<TakeArrangement> = {
  apply(part, { units, drawings, shared = [], placed = [] }) {
    const [toShare, byHand] = [new Set(shared), new Set(placed)];
    const pins = part.pins.map((pin) => {
      const held = toShare.has(pin.id) ? { ...pin, shared: true } : pin;
      return byHand.has(pin.id) && !pin.byHand?.includes('unit') ? { ...held, byHand: [...(pin.byHand ?? []), 'unit' as const] } : held;
    });
    return { ...part, pins: toShare.size + byHand.size === 0 ? part.pins : pins, units, drawings };
  },
  describe: ({ units }) => `arrange ${plural(units.length, 'unit')}`,
};
