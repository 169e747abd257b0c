import type { EditRule } from './edit-rule';

/** Removes a unit; its pins are no longer drawn, and its drawing goes when no other unit uses it. */
export interface RemoveUnit {
  kind: 'removeUnit';
  unit: string;
}

export const removeUnit: EditRule<RemoveUnit> = {
  apply(part, { unit }) {
    const units = part.units.filter((u) => u.id !== unit);
    const used = new Set(units.map((u) => u.drawing));
    const models = part.models.map((m) => ({
      ...m,
      ties: Object.fromEntries(Object.entries(m.ties).filter(([id]) => id !== unit)),
    }));
    return { ...part, units, models, drawings: part.drawings.filter((d) => used.has(d.id)) };
  },
  describe: () => 'remove a unit',
};
