import { freshId, rebundled, withPads, type Edit, type Package, type Part, type Pin, type Source } from '../../part';
import type { Proposal, Terminal } from '../proposal';
import { packageOf, pinOf } from '../take';
import { matchTerminals, type Match, type Met } from './match-terminals';

/**
 * One thing that a new revision of the source says otherwise. `id` names it among the others; a change that touches what
 * a person set by hand says so in `byHand` and is not taken unless they ask for it.
 */
export interface RevisionChange {
  id: string;
  kind: 'added' | 'removed' | 'renamed' | 'retyped' | 'moved' | 'level' | 'described';
  /** The number as the new revision has it, or, for a removed pin, as the part has it. */
  number: string;
  name: string;
  from: string;
  to: string;
  byHand: boolean;
  pin?: string;
  /** The pad of a bundle's terminal where only that is said otherwise. */
  pad?: string;
}

/** What a newly read revision changes in a part, pin by pin; of a bundle, terminal by terminal where they are not said alike. */
export function revisionOf(part: Part, proposal: Proposal): RevisionChange[] {
  const pkg = packageOf(part, proposal.package);
  return matchTerminals(part, pkg.id, proposal).flatMap((match) => changesOf(match, pkg));
}

const level = (low: boolean | undefined): string => (low ? 'active low' : 'active high');

function changesOf({ pin, met, lost, terminal }: Match, pkg: Package): RevisionChange[] {
  if (!pin) {
    const { number, name } = { number: terminal!.number, name: terminal!.said.name };
    return [{ id: `added ${number}`, kind: 'added', number, name, from: '', to: name, byHand: false }];
  }
  const own = { name: pin.name, pin: pin.id };
  const pads = pin.pads[pkg.id]!;
  const before = pads.join(', ');
  if (met.length === 0)
    return [{ id: `removed ${pin.id}`, kind: 'removed', number: before, from: pin.name, to: '', byHand: false, ...own }];
  const isBy = (field: NonNullable<Pin['byHand']>[number]) => pin.byHand?.includes(field) ?? false;
  const number = met.map((m) => m.number).join(', ');
  const moved: RevisionChange[] =
    before === number ? [] : [{ id: `moved ${pin.id}`, kind: 'moved', number, from: before, to: number, byHand: isBy('number'), ...own }];
  const fields: [RevisionChange['kind'], NonNullable<Pin['byHand']>[number], (x: Pin | Terminal) => string][] = [
    ['renamed', 'name', (x) => x.name],
    ['retyped', 'type', (x) => x.type],
    ['level', 'activeLow', (x) => level(x.activeLow)],
    ['described', 'description', (x) => x.description ?? ''],
  ];
  return [
    ...moved,
    ...fields.flatMap(([kind, field, said]) => {
      const differing = met.filter((m) => said(m.was) !== said(m.said));
      if (differing.length === 0) return [];
      const [first] = differing;
      const change = (m: Met): RevisionChange => ({
        ...{ id: `${kind} ${pin.id}`, kind, number: m.number, from: said(m.was), to: said(m.said), byHand: isBy(field), ...own },
      });
      // A pin of several pads, none of which can be another than the pin: it follows what is said first.
      if (!pin.members) return [change(first!)];
      const alike = differing.length + lost.length === pads.length && differing.every((m) => said(m.was) === said(first!.was) && said(m.said) === said(first!.said)); // prettier-ignore
      if (alike) return [change(first!)];
      return differing.map((m) => ({ ...change(m), id: `${kind} ${pin.id} ${m.pad}`, name: m.was.name, pad: m.pad }));
    }),
  ];
}

/** The edit that takes the chosen changes. All else of a pin stays: its id, its place, its group, what was set by hand. */
export function reviseEdit(part: Part, proposal: Proposal, chosen: ReadonlySet<string>, source?: Source): Edit {
  const pkg = packageOf(part, proposal.package);
  const taken = new Set(part.pins.map((p) => p.id));
  const pins: Pin[] = [];
  const seen = new Set<string>();
  for (const match of matchTerminals(part, pkg.id, proposal)) {
    const { pin, met, terminal } = match;
    if (pin) seen.add(pin.id);
    const changes = changesOf(match, pkg).filter((c) => chosen.has(c.id));
    if (!pin) {
      if (changes.length === 0) continue;
      const id = freshId('p', taken);
      taken.add(id);
      pins.push(pinOf(terminal!.said, id, { [pkg.id]: [terminal!.number] }, undefined, source));
    } else if (met.length === 0) {
      if (changes.length === 0) pins.push(pin);
    } else pins.push(withChanges(pin, changes, met, pkg.id, source));
  }
  const others = part.pins.filter((p) => !seen.has(p.id));
  return { kind: 'takePinout', pins: [...pins, ...others], packages: [pkg], ...(source ? { source } : {}) };
}

function withChanges(pin: Pin, changes: readonly RevisionChange[], met: readonly Met[], packageId: string, source?: Source): Pin {
  const isMoved = changes.some((c) => c.kind === 'moved');
  const placed = isMoved ? withPads(pin, packageId, new Map(met.map((m) => [m.pad, m.number]))) : pin;
  const start = isMoved && !pin.members ? withOrigin(placed, met[0]!.said, source) : placed;
  return changes.reduce((p, { kind, pad }) => {
    if (kind === 'moved') return p;
    const changed = pad === undefined ? met : met.filter((m) => m.pad === pad);
    const to = (m: Met) => (terminal: Pin) => withChange(terminal, kind, m.said, source);
    if (!pin.members) return to(changed[0]!)(p);
    return rebundled(p, packageId, new Map(changed.map((m) => [isMoved ? m.number : m.pad, to(m)])));
  }, start);
}

const withOrigin = (pin: Pin, { origin }: Terminal, source: Source | undefined): Pin =>
  origin ? { ...pin, origin: { ...(source ? { source: source.digest } : {}), ...origin } } : pin;

/** A terminal with one thing as the new revision says it, and with where it says so. */
function withChange(before: Pin, kind: RevisionChange['kind'], terminal: Terminal, source: Source | undefined): Pin {
  const pin = withOrigin(before, terminal, source);
  switch (kind) {
    case 'renamed':
      return { ...pin, name: terminal.name, doubts: doubtsOf(pin, terminal, 'name') };
    case 'retyped':
      return {
        ...pin,
        type: terminal.type,
        because: { ...pin.because, type: terminal.because['type'] ?? 'the new revision' },
        doubts: doubtsOf(pin, terminal, 'type'),
      };
    case 'level': {
      const { activeLow: _old, ...rest } = pin;
      return { ...rest, ...(terminal.activeLow ? { activeLow: true } : {}), doubts: doubtsOf(pin, terminal, 'activeLow') };
    }
    case 'described': {
      const { description: _old, ...rest } = pin;
      return { ...rest, ...(terminal.description ? { description: terminal.description } : {}) };
    }
    default:
      return pin;
  }
}

/** The new revision's doubts on a field in place of the old ones. */
const doubtsOf = (pin: Pin, terminal: Terminal, field: Pin['doubts'][number]['field']): Pin['doubts'] => [
  ...pin.doubts.filter((d) => d.field !== field),
  ...terminal.doubts.filter((d) => d.field === field),
];
