import { applyEdit, bundleOf, freshId, groupBy, terminalsOf, type Edit, type Part, type Pin, type Source } from '../part';
import { pinsMet } from './compare/match-terminals';
import { packageFor } from './package-of';
import type { Proposal, Terminal } from './proposal';

/**
 * The edit that makes a proposal the part's pinout. A pin that was there already (see `meetPins`) keeps its id, its place and
 * whatever a person set by hand, a bundle its terminals; the rest of it follows the source.
 */
export function takeProposal(part: Part, proposal: Proposal, source?: Source): Edit {
  const packages = proposal.packages.map(({ name }, i) => packageFor(part, name, i));
  const idOf = new Map(packages.map((p, i) => [proposal.packages[i]!.name, p.id]));
  const known = pinsMet(part, proposal);
  const taken = new Set(part.pins.map((p) => p.id));
  const used = new Set<string>();
  const padsOf = (terminal: Terminal) =>
    Object.fromEntries(Object.entries(terminal.numbers).map(([name, number]) => [idOf.get(name)!, [number]]));
  const bundles = groupBy(proposal.terminals, (t) => (known.get(t)?.members ? known.get(t)!.id : undefined));
  const pins = proposal.terminals.flatMap((terminal) => {
    const met = known.get(terminal);
    const before = met && !used.has(met.id) ? met : undefined;
    const together = met && bundles.get(met.id);
    if (met && !before && together) return [];
    const id = before?.id ?? freshId('p', taken);
    taken.add(id);
    used.add(id);
    const pin = pinOf(terminal, id, padsOf(terminal), before, source);
    if (!before || !together || together.length < 2) return [pin];
    return [bundledAgain(pin, before, together.map((t) => pinOf(t, id, padsOf(t), undefined, source)))]; // prettier-ignore
  });
  return { kind: 'takePinout', pins, packages, ...(source ? { source } : {}) };
}

/** A bundle of the terminals that a source has for it now; those of a bus in the order of its bits. */
function bundledAgain(pin: Pin, before: Pin, terminals: readonly Pin[]): Pin {
  const was = terminalsOf(before);
  const placeOf = (t: Pin) => {
    const at = was.findIndex((w) => w.name === t.name);
    return at < 0 ? was.length : at;
  };
  const ordered = before.bits ? [...terminals].sort((a, b) => placeOf(a) - placeOf(b)) : terminals;
  const made = bundleOf(pin, ordered, before.bits && { name: before.name });
  return before.byHand?.includes('name') ? { ...made, name: before.name } : made;
}

/** The pins that a part would lose by taking a proposal: those that it has not. */
export function lostByTaking(part: Part, proposal: Proposal): Pin[] {
  const kept = new Set(applyEdit(part, takeProposal(part, proposal)).pins.map((p) => p.id));
  return part.pins.filter((p) => !kept.has(p.id));
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
