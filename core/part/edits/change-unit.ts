import type { Unit } from '../part';
import { replaceById, type EditRule } from './edit-rule';

/** Renames a unit. */
export interface ChangeUnit {
  kind: 'changeUnit';
  unit: string;
  set: Partial<Pick<Unit, 'label' | 'title'>>;
}

export const changeUnit: EditRule<ChangeUnit> = {
  apply: (part, { unit, set }) => ({ ...part, units: replaceById(part.units, [unit], (u) => ({ ...u, ...set })) }),
  describe: ({ set }) => `change the unit's ${Object.keys(set).join(', ')}`,
};
