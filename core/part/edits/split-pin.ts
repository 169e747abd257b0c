import { freshId } from '../fresh-id';
import type { Pin } from '../pin';
import { EditError, type EditRule } from './edit-rule';

/** Makes one pin per pad of a bundle. The first keeps id and place; the others stand after it, not drawn yet. */
export interface SplitPin {
  kind: 'splitPin';
  pin: string;
}

export const splitPin: EditRule<SplitPin> = {
  apply(part, { pin: id }) {
    const pin = part.pins.find((p) => p.id === id);
    if (!pin) throw new EditError(`there is no pin ${id}`);
    const count = Math.max(1, ...Object.values(pin.pads).map((pads) => pads.length));
    const taken = new Set(part.pins.map((p) => p.id));
    const pieces = Array.from({ length: count }, (_, i): Pin => {
      const pieceId = i === 0 ? id : freshId('p', taken);
      taken.add(pieceId);
      const { bits, ...bare } = pin;
      return { ...bare, id: pieceId, name: bits?.[i] ?? pin.name, pads: padsAt(pin, i) };
    });
    return { ...part, pins: part.pins.flatMap((p) => (p.id === id ? pieces : [p])) };
  },
  describe: () => 'split a bundle',
};

const padsAt = (pin: Pin, index: number): Pin['pads'] =>
  Object.fromEntries(
    Object.entries(pin.pads)
      .filter(([, pads]) => pads[index] !== undefined)
      .map(([pkg, pads]) => [pkg, [pads[index]!]]),
  );
