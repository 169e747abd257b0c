import { freshId, UNNAMED_PACKAGE, type Edit, type Package, type Part, type Pin, type Source } from '../part';
import type { Proposal, Terminal } from './proposal';

/**
 * The edit that makes a proposal the part's pinout. A pin that was there already (same number in a package of the same
 * name) keeps its id, its place and whatever a person set by hand; the rest of it follows the source.
 */
export function takeProposal(part: Part, proposal: Proposal, source?: Source): Edit {
  const packages = proposal.packages.map(({ name }, i) => packageFor(part, name, i));
  const idOf = new Map(packages.map((p, i) => [proposal.packages[i]!.name, p.id]));
  const known = new Map(
    part.pins.flatMap((pin) => Object.entries(pin.pads).flatMap(([pkg, pads]) => pads.map((pad) => [`${pkg} ${pad}`, pin] as const))),
  );
  const taken = new Set(part.pins.map((p) => p.id));
  const used = new Set<string>();
  const pins = proposal.terminals.map((terminal) => {
    const pads = Object.fromEntries(Object.entries(terminal.numbers).map(([name, number]) => [idOf.get(name)!, [number]]));
    const before = Object.entries(pads)
      .map(([pkg, [pad]]) => known.get(`${pkg} ${pad}`))
      .find((p) => p && !used.has(p.id));
    const id = before?.id ?? freshId('p', taken);
    taken.add(id);
    used.add(id);
    return pinOf(terminal, id, pads, before, source);
  });
  return { kind: 'takePinout', pins, packages, ...(source ? { source } : {}) };
}

function packageFor(part: Part, name: string, index: number): Package {
  const there = part.packages.find((p) => p.name === name) ?? (name === '' ? part.packages[index] : undefined);
  const called = name === '' ? UNNAMED_PACKAGE : name;
  return there ?? { id: called, name: called, land: { pads: [] } };
}

/** A package's name without its dashes and blanks. */
export const plainPackage = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]/g, '');

/**
 * The package of a part that a source counts in: by its name, written with or without dashes, or its only one. `proposal`
 * helps where a source names its packages in its own way: then the package with the same numbers is meant.
 */
export function packageOf(part: Part, name: string, proposal?: Proposal): Package {
  const named = part.packages.find((p) => plainPackage(p.name) === plainPackage(name));
  if (named) return named;
  if (proposal) {
    const numbers = new Set(proposal.terminals.map((t) => t.numbers[name]));
    const shared = (p: Package) => part.pins.filter((pin) => pin.pads[p.id]?.some((n) => numbers.has(n))).length;
    const best = [...part.packages].sort((a, b) => shared(b) - shared(a))[0];
    if (best) return best;
  }
  return (part.packages.length === 1 ? part.packages[0] : undefined) ?? packageFor(part, name, 0);
}

export function pinOf(terminal: Terminal, id: string, pads: Pin['pads'], before: Pin | undefined, source: Source | undefined): Pin {
  const { numbers: _numbers, row: _row, origin, ...read } = terminal;
  const pin: Pin = {
    id,
    pads,
    ...read,
    ...(origin ? { origin: { ...(source ? { source: source.digest } : {}), ...origin } } : {}),
  };
  if (!before?.byHand) return before?.shared ? { ...pin, shared: true } : pin;
  const kept = before.byHand.filter((f) => f !== 'number' && f !== 'place');
  const hand = Object.fromEntries(kept.map((field) => [field, before[field as keyof Pin]]).filter(([, v]) => v !== undefined));
  return {
    ...pin,
    ...hand,
    byHand: before.byHand,
    because: { ...pin.because, ...Object.fromEntries(kept.map((f) => [f, before.because?.[f] ?? 'set by hand'])) },
    doubts: pin.doubts.filter((d) => !kept.some((f) => f === d.field)),
  };
}
