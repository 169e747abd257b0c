import { applyEdit, freshId, type Edit, type Part, type Pin, type Source } from '../part';
import { pinsMet } from './compare/match-terminals';
import { packageFor } from './package-of';
import type { Proposal, Terminal } from './proposal';

/**
 * The edit that makes a proposal the part's pinout. A pin that was there already (see `meetPins`) keeps its id, its place and
 * whatever a person set by hand; the rest of it follows the source.
 */
export function takeProposal(part: Part, proposal: Proposal, source?: Source): Edit {
  const packages = proposal.packages.map(({ name }, i) => packageFor(part, name, i));
  const idOf = new Map(packages.map((p, i) => [proposal.packages[i]!.name, p.id]));
  const known = pinsMet(part, proposal);
  const taken = new Set(part.pins.map((p) => p.id));
  const used = new Set<string>();
  const pins = proposal.terminals.map((terminal) => {
    const pads = Object.fromEntries(Object.entries(terminal.numbers).map(([name, number]) => [idOf.get(name)!, [number]]));
    const met = known.get(terminal);
    const before = met && !used.has(met.id) ? met : undefined;
    const id = before?.id ?? freshId('p', taken);
    taken.add(id);
    used.add(id);
    return pinOf(terminal, id, pads, before, source);
  });
  return { kind: 'takePinout', pins, packages, ...(source ? { source } : {}) };
}

/** What a part would lose by taking a proposal: pins that it has not, and bundles, whose terminals become pins of their own. */
export function lostByTaking(part: Part, proposal: Proposal): { gone: Pin[]; bundles: Pin[] } {
  const kept = new Set(applyEdit(part, takeProposal(part, proposal)).pins.map((p) => p.id));
  const isBundle = (pin: Pin) => Object.values(pin.pads).some((pads) => pads.length > 1);
  return { gone: part.pins.filter((p) => !kept.has(p.id)), bundles: part.pins.filter((p) => kept.has(p.id) && isBundle(p)) };
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
