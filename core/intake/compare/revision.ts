import type { Edit, Part, Pin, Source } from '../../part';
import { freshId } from '../../part';
import type { Proposal, Terminal } from '../proposal';
import { packageOf, pinOf } from '../take';

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
}

interface Match {
  pin?: Pin;
  terminal?: Terminal;
  number: string;
  before: string;
}

/**
 * What a newly read revision changes in a part, pin by pin. A pin is the same where number and name are; else where its
 * name stands once in both, it has moved; else where its number is the same, it was renamed; else where type and description
 * are the same and stand once, it has moved and was renamed.
 */
export function revisionOf(part: Part, proposal: Proposal): RevisionChange[] {
  return matches(part, proposal).flatMap(changesOf);
}

function matches(part: Part, proposal: Proposal): Match[] {
  const pkg = packageOf(part, proposal.package);
  const numberOf = (pin: Pin) => (pin.pads[pkg.id] ?? []).join(', ');
  const terminals = proposal.terminals.filter((t) => t.numbers[proposal.package] !== undefined);
  const pairs = new Map<Terminal, Pin>();
  const left = new Set(part.pins.filter((p) => (p.pads[pkg.id]?.length ?? 0) > 0));
  const join = (same: (t: Terminal, p: Pin) => boolean) => {
    for (const t of terminals) {
      if (pairs.has(t)) continue;
      const found = [...left].find((p) => same(t, p));
      if (!found) continue;
      pairs.set(t, found);
      left.delete(found);
    }
  };
  const at = (t: Terminal, p: Pin) => p.pads[pkg.id]!.includes(t.numbers[proposal.package]!);
  const single = (names: string[]) => new Set(names.filter((n, _, all) => all.indexOf(n) === all.lastIndexOf(n)));
  const names = single(terminals.map((t) => t.name));
  const known = single([...left].map((p) => p.name));
  join((t, p) => p.name === t.name && at(t, p));
  join((t, p) => p.name === t.name && names.has(t.name) && known.has(t.name));
  join(at);
  // Moved and renamed at once: what it does stands once among those that are left on both sides.
  const said = single(terminals.filter((t) => !pairs.has(t)).map((t) => `${t.type} ${t.description ?? ''}`));
  const knownAs = single([...left].map((p) => `${p.type} ${p.description ?? ''}`));
  const does = (x: { type: string; description?: string | undefined }) => `${x.type} ${x.description}`;
  join((t, p) => t.description !== undefined && does(t) === does(p) && said.has(does(t)) && knownAs.has(does(p)));
  return [
    ...terminals.map((terminal): Match => {
      const pin = pairs.get(terminal);
      return { terminal, number: terminal.numbers[proposal.package]!, before: pin ? numberOf(pin) : '', ...(pin ? { pin } : {}) };
    }),
    ...[...left].map((pin): Match => ({ pin, number: numberOf(pin), before: numberOf(pin) })),
  ];
}

const level = (low: boolean | undefined): string => (low ? 'active low' : 'active high');

function changesOf({ pin, terminal, number, before }: Match): RevisionChange[] {
  if (!pin) return [{ id: `added ${number}`, kind: 'added', number, name: terminal!.name, from: '', to: terminal!.name, byHand: false }];
  if (!terminal)
    return [{ id: `removed ${pin.id}`, kind: 'removed', number, name: pin.name, from: pin.name, to: '', byHand: false, pin: pin.id }];
  const hand = (field: NonNullable<Pin['byHand']>[number]) => pin.byHand?.includes(field) ?? false;
  const change = (kind: RevisionChange['kind'], from: string, to: string, byHand: boolean): RevisionChange[] =>
    from === to ? [] : [{ id: `${kind} ${pin.id}`, kind, number, name: pin.name, from, to, byHand, pin: pin.id }];
  const isThere = before.split(', ').includes(number);
  return [
    ...(isThere ? [] : change('moved', before, number, hand('number'))),
    ...change('renamed', pin.name, terminal.name, hand('name')),
    ...change('retyped', pin.type, terminal.type, hand('type')),
    ...change('level', level(pin.activeLow), level(terminal.activeLow), hand('activeLow')),
    ...change('described', pin.description ?? '', terminal.description ?? '', hand('description')),
  ];
}

/** The edit that takes the chosen changes. All else of a pin stays: its id, its place, its group, what was set by hand. */
export function reviseEdit(part: Part, proposal: Proposal, chosen: ReadonlySet<string>, source?: Source): Edit {
  const pkg = packageOf(part, proposal.package);
  const taken = new Set(part.pins.map((p) => p.id));
  const pins: Pin[] = [];
  const seen = new Set<string>();
  for (const match of matches(part, proposal)) {
    const { pin, terminal, number } = match;
    if (pin) seen.add(pin.id);
    const changes = changesOf(match).filter((c) => chosen.has(c.id));
    if (!pin) {
      if (changes.length === 0) continue;
      const id = freshId('p', taken);
      taken.add(id);
      pins.push(pinOf(terminal!, id, { [pkg.id]: [number] }, undefined, source));
    } else if (!terminal) {
      if (changes.length === 0) pins.push(pin);
    } else pins.push(changes.reduce((p, c) => applyChange(p, c, terminal, pkg.id, source), pin));
  }
  const others = part.pins.filter((p) => !seen.has(p.id));
  return { kind: 'takePinout', pins: [...pins, ...others], packages: [pkg], ...(source ? { source } : {}) };
}

function applyChange(pin: Pin, change: RevisionChange, terminal: Terminal, packageId: string, source: Source | undefined): Pin {
  const origin = terminal.origin ? { ...(source ? { source: source.digest } : {}), ...terminal.origin } : pin.origin;
  const next: Pin = { ...pin, ...(origin ? { origin } : {}) };
  switch (change.kind) {
    case 'moved':
      return { ...next, pads: { ...pin.pads, [packageId]: [change.number] } };
    case 'renamed':
      return { ...next, name: terminal.name, doubts: doubtsOf(pin, terminal, 'name') };
    case 'retyped':
      return {
        ...next,
        type: terminal.type,
        because: { ...pin.because, type: terminal.because['type'] ?? 'the new revision' },
        doubts: doubtsOf(pin, terminal, 'type'),
      };
    case 'level': {
      const { activeLow: _old, ...rest } = next;
      return { ...rest, ...(terminal.activeLow ? { activeLow: true } : {}), doubts: doubtsOf(pin, terminal, 'activeLow') };
    }
    case 'described': {
      const { description: _old, ...rest } = next;
      return { ...rest, ...(terminal.description ? { description: terminal.description } : {}) };
    }
    default:
      return next;
  }
}

/** The new revision's doubts on a field in place of the old ones. */
const doubtsOf = (pin: Pin, terminal: Terminal, field: Pin['doubts'][number]['field']): Pin['doubts'] => [
  ...pin.doubts.filter((d) => d.field !== field),
  ...terminal.doubts.filter((d) => d.field === field),
];
