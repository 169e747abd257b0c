import type { Package } from '../land';
import type { Part, Source } from '../part';
import type { Pin } from '../pin';
import { plural, putById, type EditRule } from './edit-rule';
import { dropTies, unplace } from './unplace';

/** Makes a read pinout the part's own. Pins that are no longer in it go, with all that hung on them. */
export interface TakePinout {
  kind: 'takePinout';
  pins: Pin[];
  packages: Package[];
  source?: Source;
  datasheet?: NonNullable<Part['datasheet']>;
}

export const takePinout: EditRule<TakePinout> = {
  apply(part, { pins, packages, source, datasheet }) {
    const kept = new Set(pins.map((p) => p.id));
    const gone = new Set(part.pins.filter((p) => !kept.has(p.id)).map((p) => p.id));
    const placed = unplace(part, gone);
    return {
      ...placed,
      pins,
      packages: packages.reduce((list, p) => putById(list, p), placed.packages),
      models: gone.size > 0 ? dropTies(placed, gone) : placed.models,
      sources: source ? [...part.sources.filter((s) => s.digest !== source.digest), source] : part.sources,
      ...(datasheet && !part.datasheet ? { datasheet } : {}),
    };
  },
  describe: ({ pins }) => `take ${plural(pins.length, 'pin')}`,
};
