import { plural, type EditRule } from './edit-rule';
import { dropTies, unplace } from './unplace';

/** Removes pins with all that hung on them: their ports, their bindings and their node ties. */
export interface RemovePins {
  kind: 'removePins';
  pins: string[];
}

export const removePins: EditRule<RemovePins> = {
  apply(part, { pins }) {
    const gone = new Set(pins);
    const placed = unplace(part, gone);
    return { ...placed, pins: part.pins.filter((p) => !gone.has(p.id)), models: dropTies(placed, gone) };
  },
  describe: ({ pins }) => `remove ${plural(pins.length, 'pin')}`,
};
