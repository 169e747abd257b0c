import { carriesPower } from './electrical-type';
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

/** The number that counts equal terminals: VSS_2, VSS7 and VSS[3] are VSS. A number alone is a name. */
const COUNT = /(?<=.)[_-]?(?:\d+|\[\d+\]|\(\d+\)|<\d+>)$/;

/** What a terminal is that others can be too: supplies and grounds are counted, signals of other numbers are others. */
export const netName = ({ name, type }: Pin): string => (carriesPower(type) ? name.replace(COUNT, '') : name);

/** What a bundle is called: what all of its terminals are, else as its first one. */
export function bundleName(terminals: readonly Pin[]): string {
  const [first] = terminals;
  if (!first || terminals.every((t) => t.name === first.name)) return first?.name ?? '';
  return terminals.every((t) => netName(t) === netName(first)) ? netName(first) : first.name;
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
 * A pin that bundles others: all their pads and doubts, and of each terminal what it has otherwise than the others. As a bus
 * they are its bits, the first one the name's first; what else the pin has is that of `base`.
 */
export function bundleOf(base: Pin, pins: readonly Pin[], bus?: { name: string }): Pin {
  const terminals = pins.flatMap(terminalsOf);
  const name = bus?.name ?? bundleName(terminals);
  const pads: Pin['pads'] = {};
  for (const p of pins) for (const [pkg, own] of Object.entries(p.pads)) pads[pkg] = [...new Set([...(pads[pkg] ?? []), ...own])];
  const { alternates: known, bits: _bits, ...bare } = base;
  const alternates = bus ? known : [...new Set([...(known ?? []), ...terminals.map((t) => t.name)])].filter((n) => n !== name);
  return {
    ...bare,
    name,
    pads,
    members: membersOf(terminals),
    doubts: onceEach(pins.flatMap((p) => p.doubts)),
    ...(alternates && alternates.length > 0 ? { alternates } : {}),
    ...(bus ? { bits: terminals.map((t) => t.name) } : {}),
  };
}

/** What becomes of the terminal that a bundle has at a pad of a package. */
export interface TerminalChange {
  packageId: string;
  pad: string;
  to: (terminal: Pin) => Pin;
}

/**
 * A bundle with some of its terminals changed. What they then have in common is the bundle's; where the bits of a bus are called
 * otherwise, its name is in doubt.
 */
export function rebundled(pin: Pin, changes: readonly TerminalChange[]): Pin {
  const { bits: _bits, members: _members, ...bare } = pin;
  const known = terminalsOf(pin);
  const isAt = ({ packageId, pad }: TerminalChange, t: Pin) => t.pads[packageId]?.includes(pad) ?? false;
  // A pad that was put to the bundle by hand is a terminal of its own once something is said of it.
  const since = changes.filter((c) => !known.some((t) => isAt(c, t))).map((c): Pin => ({ ...bare, pads: { [c.packageId]: [c.pad] } }));
  const changed: Pin[] = [];
  const terminals = [...known, ...since].map((terminal) => {
    const change = changes.find((c) => isAt(c, terminal));
    if (change) changed.push(change.to(terminal));
    return change ? changed.at(-1)! : terminal;
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

const hasPads = ({ pads }: Member): boolean => Object.values(pads).some((own) => own.length > 0);

/** A pin with other numbers in a package; `memberOf` says of a bundle's which of its terminals has each, by its place among them. */
export function renumbered(pin: Pin, packageId: string, numbers: readonly string[], memberOf: ReadonlyMap<string, number>): Pin {
  const withNumbers = (pads: Pin['pads'], own: readonly string[]): Pin['pads'] => {
    const { [packageId]: _before, ...others } = pads;
    return own.length > 0 ? { ...others, [packageId]: [...own] } : others;
  };
  if (!pin.members) return { ...pin, pads: withNumbers(pin.pads, numbers) };
  const members = pin.members.map((m, i) => ({
    ...m,
    pads: withNumbers(
      m.pads,
      numbers.filter((n) => memberOf.get(n) === i),
    ),
  }));
  const place = (n: string) => {
    const at = memberOf.get(n) ?? -1;
    return at < 0 ? members.length : at;
  };
  const ordered = [...numbers].sort((a, b) => place(a) - place(b));
  return { ...pin, pads: withNumbers(pin.pads, ordered), members };
}

/** A renumbered bundle without the terminals that have no pad any more and had one before. */
export function withoutGone(pin: Pin, before: Pin): Pin {
  if (!pin.members) return pin;
  const members = pin.members.filter((m, i) => hasPads(m) || !hasPads(before.members![i]!));
  return { ...pin, members, ...(pin.bits ? { bits: members.map((m) => m.name ?? pin.name) } : {}) };
}

/** Every terminal that pins have in a package, with its pad. */
export const terminalsAt = (pins: readonly Pin[], packageId: string): { pad: string; pin: Pin; terminal: Pin }[] =>
  pins.flatMap((pin) => padsIn(pin, packageId).map((pad) => ({ pad, pin, terminal: terminalAt(pin, packageId, pad) })));
