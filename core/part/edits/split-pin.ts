import { terminalsOf } from '../bundle';
import { freshId } from '../fresh-id';
import type { Pin } from '../pin';
import { EditError, type EditRule } from './edit-rule';

/**
 * Makes the terminals of a bundle pins again, and one pin more of each pad that was put to it since. The first keeps id and
 * place; the others stand after it, not drawn yet.
 */
export interface SplitPin {
  kind: 'splitPin';
  pin: string;
}

export const splitPin: EditRule<SplitPin> = {
  apply(part, { pin: id }) {
    const pin = part.pins.find((p) => p.id === id);
    if (!pin) throw new EditError(`there is no pin ${id}`);
    const taken = new Set(part.pins.map((p) => p.id));
    const pieces = piecesOf(pin).map((piece, i): Pin => {
      const pieceId = i === 0 ? id : freshId('p', taken);
      taken.add(pieceId);
      return { ...piece, id: pieceId };
    });
    return { ...part, pins: part.pins.flatMap((p) => (p.id === id ? pieces : [p])) };
  },
  describe: () => 'split a bundle',
};

function piecesOf(pin: Pin): Pin[] {
  const { bits, members, ...bare } = pin;
  const terminals = members ? terminalsOf(pin) : [];
  const pieces = terminals.map((t): Pin => ({ ...t, pads: padsWhere(t.pads, (pkg, pad) => pin.pads[pkg]?.includes(pad) ?? false) }));
  const known = (pkg: string, pad: string) => terminals.some((t) => t.pads[pkg]?.includes(pad));
  const since = padsWhere(pin.pads, (pkg, pad) => !known(pkg, pad));
  const count = Math.max(members ? 0 : 1, ...Object.values(since).map((pads) => pads.length));
  const more = Array.from({ length: count }, (_, i): Pin => ({
    ...bare,
    name: (members ? undefined : bits?.[i]) ?? pin.name,
    pads: padsAt(since, i),
  }));
  return [...pieces, ...more];
}

const padsWhere = (pads: Pin['pads'], is: (pkg: string, pad: string) => boolean): Pin['pads'] =>
  Object.fromEntries(
    Object.entries(pads)
      .map(([pkg, own]) => [pkg, own.filter((pad) => is(pkg, pad))] as const)
      .filter(([, own]) => own.length > 0),
  );

const padsAt = (pads: Pin['pads'], index: number): Pin['pads'] =>
  Object.fromEntries(
    Object.entries(pads)
      .filter(([, own]) => own[index] !== undefined)
      .map(([pkg, own]) => [pkg, [own[index]!]]),
  );
