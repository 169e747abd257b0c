import { groupBy, terminalsAt, type Package, type Part, type Pin } from '../../part';
import { terminalsIn, type Proposal, type Terminal } from '../proposal';
import { packageOf, plainPackage } from '../package-of';
import { standOnce } from './difference';

/** A pad of a pin, what stood there, and the terminal that a new revision has for it. */
export interface Met {
  packageId: string;
  pad: string;
  was: Pin;
  number: string;
  said: Terminal;
}

/** In one package a pin with what was met of it, in the order of its pads, or a terminal that is new. */
interface Match {
  pin?: Pin;
  met: Met[];
  terminal?: { number: string; said: Terminal };
}

/** What a new revision says of a pin in a package that both have. */
export interface InPackage {
  pkg: Package;
  met: Met[];
  /** Terminals that another package shows to be this pin, which had no pad for them here. */
  gained: { number: string; said: Terminal }[];
}

/** A pin in every package that was compared, or a terminal that is in none of them. */
export type Meeting = { pin: Pin; by: InPackage[] } | { pin?: undefined; terminal: Terminal };

/** The packages that a part and a source both have, with the name that the source gives them; first the one in view. */
export function comparedPackages(part: Part, proposal: Proposal): { name: string; pkg: Package }[] {
  const own = (name: string) => part.packages.find((p) => plainPackage(p.name) === plainPackage(name));
  const main = { name: proposal.package, pkg: packageOf(part, proposal) };
  const others = proposal.packages.flatMap(({ name }) => {
    const pkg = name === proposal.package ? undefined : own(name);
    return pkg && pkg.id !== main.pkg.id ? [{ name, pkg }] : [];
  });
  return [main, ...others];
}

/** Numbers of a package as a person reads them: of several packages they say which one they count in. */
export const numbersIn = (packages: readonly unknown[], pkg: Package, numbers: string): string =>
  packages.length > 1 && numbers !== '' ? `${pkg.name} ${numbers}` : numbers;

/** The packages that only the source has: nothing is compared in them. */
export function packagesBeside(part: Part, proposal: Proposal): string[] {
  const compared = new Set(comparedPackages(part, proposal).map((p) => p.name));
  return proposal.packages.flatMap(({ name }) => (compared.has(name) ? [] : [name]));
}

/** Every pin of the compared packages with the terminals that a new revision has for it, in the new one's order. */
export function meetPins(part: Part, proposal: Proposal): Meeting[] {
  const compared = comparedPackages(part, proposal);
  const pinOf = new Map<Terminal, Pin>();
  const match = () =>
    compared.map(({ name, pkg }) => {
      const matches = matchTerminals(part, pkg.id, proposal, name, pinOf);
      for (const { pin, met } of matches) if (pin) for (const { said } of met) pinOf.set(said, pin);
      return { pkg, matches };
    });
  // Twice where there are several, since a later package can show what a terminal of an earlier one is.
  if (compared.length > 1) match();
  const packages = match();
  const meetings: Meeting[] = [];
  const ofPin = new Map<Pin, InPackage[]>();
  const isNew = new Set<Terminal>();
  const inPackage = (pin: Pin, pkg: Package): InPackage => {
    const by = ofPin.get(pin) ?? [];
    if (!ofPin.has(pin)) meetings.push({ pin, by });
    ofPin.set(pin, by);
    const made = by.find((p) => p.pkg === pkg) ?? { pkg, met: [], gained: [] };
    if (!by.includes(made)) by.push(made);
    return made;
  };
  for (const { pkg, matches } of packages)
    for (const { pin, met, terminal } of matches) {
      const known = pin ?? pinOf.get(terminal!.said);
      if (known) {
        const into = inPackage(known, pkg);
        into.met.push(...met);
        if (!pin) into.gained.push(terminal!);
      } else if (!isNew.has(terminal!.said)) {
        isNew.add(terminal!.said);
        meetings.push({ terminal: terminal!.said });
      }
    }
  return meetings;
}

interface Seat {
  pad: string;
  pin: Pin;
  terminal: Pin;
}

/**
 * Finds the terminals of a new revision among those of a part's package, those of bundles one by one. A terminal is the same
 * where number and name are; else where its name stands once in both, it has moved; else where its number is the same, it
 * was renamed; else where type and description are the same and stand once, it has moved and was renamed. What other packages
 * have shown to be a pin is that pin here too, and no other; `known` says it.
 */
function matchTerminals(
  part: Part,
  packageId: string,
  proposal: Proposal,
  packageName: string,
  known: ReadonlyMap<Terminal, Pin>,
): Match[] {
  const terminals = terminalsIn(proposal, packageName).map((said) => ({ number: said.numbers[packageName]!, said }));
  const all: readonly Seat[] = terminalsAt(part.pins, packageId);
  const left = new Set(all);
  const found = new Map<(typeof terminals)[number], Seat>();
  const settled = new Set(known.values());
  const may = (said: Terminal, pin: Pin): boolean =>
    known.has(said) ? known.get(said) === pin : pin.members !== undefined || !settled.has(pin);
  /** Gives each terminal that has none the first seat that is left among those of one key. */
  const join = <K>(
    seats: ReadonlyMap<K, readonly Seat[]>,
    keyOf: (t: (typeof terminals)[number]) => K | undefined,
    is = (_t: (typeof terminals)[number], _s: Seat): boolean => true,
  ) => {
    for (const t of terminals) {
      const key = found.has(t) ? undefined : keyOf(t);
      const seat = key === undefined ? undefined : seats.get(key)?.find((s) => left.has(s) && may(t.said, s.pin) && is(t, s));
      if (!seat) continue;
      found.set(t, seat);
      left.delete(seat);
    }
  };
  const does = (x: { type: string; description?: string | undefined }) => `${x.type} ${x.description ?? ''}`;
  const atPad = groupBy(all, (s) => s.pad);
  const named = groupBy(all, (s) => s.terminal.name);
  const ofPin = groupBy(all, (s) => s.pin.id);
  const doing = groupBy(all, (s) => does(s.terminal));
  const numberOf = (t: { number: string }) => t.number;
  const nameOf = (t: { said: Terminal }) => t.said.name;
  join(atPad, numberOf, (t, s) => s.terminal.name === t.said.name);
  join(named, (t) => (known.has(t.said) ? t.said.name : undefined));
  join(ofPin, (t) => known.get(t.said)?.id, (_, s) => !isOfOne(s.pin)); // prettier-ignore
  const names = bothOnce(
    terminals.map(nameOf),
    [...left].map((s) => s.terminal.name),
  );
  join(named, (t) => (names.has(t.said.name) ? t.said.name : undefined));
  // A pad of a bundle whose terminals are one is another terminal where not all of them are called otherwise.
  const renamed = wholeRenamed(part, packageId, new Map(terminals.map((t) => [t.number, t.said.name])));
  join(atPad, numberOf, (_, s) => !isOfOne(s.pin) || renamed.has(s.pin));
  join(named, nameOf, (_, s) => isOfOne(s.pin));
  const open = terminals.flatMap((t) => (found.has(t) ? [] : does(t.said)));
  const once = bothOnce(
    open,
    [...left].map((s) => does(s.terminal)),
  );
  join(doing, (t) => (t.said.description !== undefined && once.has(does(t.said)) ? does(t.said) : undefined));
  return inOrder(packageId, terminals, found, left);
}

/** A bundle of terminals of one name. */
const isOfOne = (pin: Pin): boolean => pin.members !== undefined && pin.members.every((m) => m.name === undefined);

/** The bundles of one name of which every pad that still stands has one and the same other name. */
function wholeRenamed(part: Part, packageId: string, nameAt: ReadonlyMap<string, string>): Set<Pin> {
  const bundles = part.pins.filter(isOfOne);
  return new Set(bundles.filter((pin) => new Set((pin.pads[packageId] ?? []).flatMap((pad) => nameAt.get(pad) ?? [])).size === 1));
}

/** The pin that each terminal of a source is, where the part has it already. */
export const pinsMet = (part: Part, proposal: Proposal): Map<Terminal, Pin> =>
  new Map(
    part.pins.length === 0
      ? []
      : meetPins(part, proposal).flatMap(({ pin, ...meeting }) =>
          pin && 'by' in meeting ? meeting.by.flatMap((p) => [...p.met, ...p.gained].map(({ said }) => [said, pin] as const)) : [],
        ),
  );

/** What stands once in each of two lists. */
function bothOnce(fresh: readonly string[], old: readonly string[]): Set<string> {
  const there = standOnce(old);
  return new Set([...standOnce(fresh)].filter((text) => there.has(text)));
}

/** In the new revision's order, a pin where the first of its terminals stands; then what it no longer has. */
function inOrder(
  packageId: string,
  terminals: readonly { number: string; said: Terminal }[],
  found: ReadonlyMap<{ number: string; said: Terminal }, Seat>,
  left: ReadonlySet<Seat>,
): Match[] {
  const matches: Match[] = [];
  const ofPin = new Map<Pin, Match>();
  const matchOf = (pin: Pin): Match => {
    const made = ofPin.get(pin) ?? { pin, met: [] };
    if (!ofPin.has(pin)) matches.push(made);
    ofPin.set(pin, made);
    return made;
  };
  for (const terminal of terminals) {
    const seat = found.get(terminal);
    if (seat) matchOf(seat.pin).met.push({ packageId, pad: seat.pad, was: seat.terminal, ...terminal });
    else matches.push({ met: [], terminal });
  }
  for (const { pin } of left) matchOf(pin);
  for (const { pin, met } of matches) {
    const order = pin ? Object.values(pin.pads).flat() : [];
    met.sort((a, b) => order.indexOf(a.pad) - order.indexOf(b.pad));
  }
  return matches;
}
