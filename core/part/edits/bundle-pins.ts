import { bundleOf } from '../bundle';
import { EditError, plural, type EditRule } from './edit-rule';
import { removePins } from './remove-pins';

/** Makes one drawn pin of several, holding all their pads: five VSS terminals as one. The first keeps its place. */
export interface BundlePins {
  kind: 'bundlePins';
  pins: string[];
  /** They are the bits of a bus, the first one the name's first: D7 to D0 as D[7:0]. */
  bus?: { name: string };
}

export const bundlePins: EditRule<BundlePins> = {
  apply(part, { pins, bus }) {
    const members = bus ? pins.flatMap((id) => part.pins.find((p) => p.id === id) ?? []) : part.pins.filter((p) => pins.includes(p.id));
    const [first, ...rest] = members;
    if (!first || rest.length === 0) throw new EditError('a bundle needs at least two pins');
    const merged = bundleOf(first, members, bus);
    const without = removePins.apply(part, { kind: 'removePins', pins: rest.map((p) => p.id) });
    return { ...without, pins: without.pins.map((p) => (p.id === first.id ? merged : p)) };
  },
  describe: ({ pins }) => `bundle ${plural(pins.length, 'pin')}`,
};
