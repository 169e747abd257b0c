import { OWN_FIELDS, padsIn, type Member, type Pin } from './pin';

/** The terminals that a pin was bundled of, each as a pin of its own, with the pads that it has had; the pin itself where it is none. */
export function terminalsOf(pin: Pin): Pin[] {
  return pin.members?.map((member) => asTerminal(pin, member)) ?? [pin];
}

/**
 * A pin as what it is at one of its pads: of a bundle the terminal there, with the name and the place in the datasheet that
 * are its own. What all of a bundle's terminals had in common is the bundle's, so that a change of it holds for each.
 */
export function terminalAt(pin: Pin, packageId: string, pad: string): Pin {
  const member = pin.members?.find((m) => m.pads[packageId]?.includes(pad));
  return member ? asTerminal(pin, member) : pin;
}

function asTerminal(pin: Pin, member: Member): Pin {
  const { bits: _bits, members, ...bare } = pin;
  const own = new Set<string>(members!.flatMap((m) => Object.keys(m)));
  // The other names of a bundle are those of its other terminals.
  if (own.has('name')) own.add('alternates');
  const common = Object.fromEntries(Object.entries(bare).filter(([field]) => !own.has(field)));
  return { ...common, ...member } as Pin;
}

/** Terminals as members of one bundle: of each what they differ in. */
export function membersOf(terminals: readonly Pin[]): Member[] {
  const differ = OWN_FIELDS.filter((field) => new Set(terminals.map((t) => JSON.stringify(t[field]))).size > 1);
  return terminals.map((t) => {
    const own = Object.fromEntries(differ.filter((field) => t[field] !== undefined).map((field) => [field, t[field]]));
    return { ...own, pads: t.pads };
  });
}

/**
 * A bundle with some of its terminals changed, by their pads in a package. What they then have in common is the bundle's; where
 * the bits of a bus are called otherwise, its name is in doubt.
 */
export function rebundled(pin: Pin, packageId: string, changes: ReadonlyMap<string, (terminal: Pin) => Pin>): Pin {
  const changed: Pin[] = [];
  const terminals = terminalsOf(pin).map((terminal) => {
    const pad = terminal.pads[packageId]?.find((p) => changes.has(p));
    if (pad === undefined) return terminal;
    changed.push(changes.get(pad)!(terminal));
    return changed.at(-1)!;
  });
  const [first] = changed;
  if (!first) return pin;
  const members = membersOf(terminals);
  const next: Pin = { ...pin, members, doubts: onceEach(changed.flatMap((t) => t.doubts)) };
  if (first.because) next.because = first.because;
  for (const field of ['name', 'type', 'activeLow', 'description'] as const)
    if (members.every((m) => m[field] === undefined)) Object.assign(next, { [field]: first[field] });
  if (!pin.bits) return next;
  next.bits = terminals.map((t) => t.name);
  if (next.bits.join() !== pin.bits.join())
    next.doubts = [...next.doubts, { field: 'name', reason: `Its bits are called ${next.bits.join(', ')} now.` }];
  return next;
}

const onceEach = (doubts: Pin['doubts']): Pin['doubts'] => [...new Map(doubts.map((d) => [JSON.stringify(d), d])).values()];

/** A pin in other pads of a package, given one by one for those that it has; its terminals go with them. */
export function renumbered(pin: Pin, packageId: string, to: ReadonlyMap<string, string>): Pin {
  const moved = (pads: Pin['pads']): Pin['pads'] => {
    const there = pads[packageId]?.flatMap((pad) => to.get(pad) ?? []) ?? [];
    const { [packageId]: _before, ...others } = pads;
    return there.length > 0 ? { ...others, [packageId]: there } : others;
  };
  return { ...pin, pads: moved(pin.pads), ...(pin.members ? { members: pin.members.map((m) => ({ ...m, pads: moved(m.pads) })) } : {}) };
}

/** Every terminal that pins have in a package, with its pad. */
export const terminalsAt = (pins: readonly Pin[], packageId: string): { pad: string; pin: Pin; terminal: Pin }[] =>
  pins.flatMap((pin) => padsIn(pin, packageId).map((pad) => ({ pad, pin, terminal: terminalAt(pin, packageId, pad) })));
