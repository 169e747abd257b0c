import { freshId, padsIn, rebundled, renumbered, type Edit, type Part, type Pin, type Source } from '../../part';
import type { Proposal, Terminal } from '../proposal';
import { pinOf } from '../take';
import { comparedPackages, meetPins, type InPackage, type Meeting, type Met } from './match-terminals';

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
  /** The package in which a number is another. */
  package?: string;
}

/**
 * What a newly read revision changes in a part, pin by pin, in every package that both have; of a bundle, terminal by terminal
 * where they are not said alike.
 */
export function revisionOf(part: Part, proposal: Proposal): RevisionChange[] {
  const packages = comparedPackages(part, proposal);
  return meetPins(part, proposal).flatMap((meeting) => changesOf(meeting, packages));
}

type Packages = ReturnType<typeof comparedPackages>;

function changesOf(meeting: Meeting, packages: Packages): RevisionChange[] {
  if (!meeting.pin) {
    const { numbers, name } = meeting.terminal;
    const number = packages.flatMap((p) => numbers[p.name] ?? [])[0]!;
    return [{ id: `added ${number}`, kind: 'added', number, name, from: '', to: name, byHand: false }];
  }
  const { pin, by } = meeting;
  const own = { name: pin.name, pin: pin.id };
  const isElsewhere = Object.keys(pin.pads).some((id) => !by.some(({ pkg }) => pkg.id === id));
  if (by.every((p) => numbersOf(p).length === 0) && !isElsewhere) {
    const number = padsIn(pin, by[0]!.pkg.id).join(', ');
    return [{ id: `removed ${pin.id}`, kind: 'removed', number, from: pin.name, to: '', byHand: false, ...own }];
  }
  const main = by.find((p) => p.met.length > 0);
  return [...by.flatMap((p) => movesIn(pin, p, packages)), ...(main ? fieldChanges(pin, main) : [])];
}

/** The numbers that a pin has in a package by the new revision. */
const numbersOf = ({ met, gained }: InPackage): string[] => [...met.map((m) => m.number), ...gained];

function movesIn(pin: Pin, inPackage: InPackage, packages: Packages): RevisionChange[] {
  const { pkg } = inPackage;
  const [from, to] = [padsIn(pin, pkg.id).join(', '), numbersOf(inPackage).join(', ')];
  if (from === to) return [];
  const id = pkg === packages[0]!.pkg ? `moved ${pin.id}` : `moved ${pin.id} ${pkg.id}`;
  // Of several packages a number says which one it counts in.
  const said = (numbers: string) => (packages.length > 1 && numbers !== '' ? `${pkg.name} ${numbers}` : numbers);
  const byHand = pin.byHand?.includes('number') ?? false;
  const about = { name: pin.name, pin: pin.id, number: to === '' ? from : to, package: pkg.id };
  return [{ id, kind: 'moved', from: said(from), to: said(to), byHand, ...about }];
}

const level = (low: boolean | undefined): string => (low ? 'active low' : 'active high');

const FIELDS: [RevisionChange['kind'], NonNullable<Pin['byHand']>[number], (x: Pin | Terminal) => string][] = [
  ['renamed', 'name', (x) => x.name],
  ['retyped', 'type', (x) => x.type],
  ['level', 'activeLow', (x) => level(x.activeLow)],
  ['described', 'description', (x) => x.description ?? ''],
];

const firstDiffering = (met: readonly Met[], kind: RevisionChange['kind']): Met => {
  const said = FIELDS.find(([of]) => of === kind)![2];
  return met.find((m) => said(m.was) !== said(m.said))!;
};

function fieldChanges(pin: Pin, { pkg, met, lost }: InPackage): RevisionChange[] {
  return FIELDS.flatMap(([kind, field, said]) => {
    const [first, ...more] = met.filter((m) => said(m.was) !== said(m.said));
    if (!first) return [];
    const byHand = pin.byHand?.includes(field) ?? false;
    const change = (m: Met): RevisionChange => ({
      ...{ id: `${kind} ${pin.id}`, kind, number: m.number, name: pin.name, from: said(m.was), to: said(m.said), byHand, pin: pin.id },
    });
    // A pin of several pads, none of which can be another than the pin: it follows what is said first.
    if (!pin.members) return [change(first)];
    const isAlike = more.every((m) => said(m.was) === said(first.was) && said(m.said) === said(first.said));
    if (isAlike && 1 + more.length + lost.length === padsIn(pin, pkg.id).length) return [change(first)];
    return [first, ...more].map((m) => ({ ...change(m), id: `${kind} ${pin.id} ${m.pad}`, name: m.was.name, pad: m.pad }));
  });
}

/** The edit that takes the chosen changes. All else of a pin stays: its id, its place, its group, what was set by hand. */
export function reviseEdit(part: Part, proposal: Proposal, chosen: ReadonlySet<string>, source?: Source): Edit {
  const packages = comparedPackages(part, proposal);
  const taken = new Set(part.pins.map((p) => p.id));
  const pins: Pin[] = [];
  const seen = new Set<string>();
  for (const meeting of meetPins(part, proposal)) {
    const changes = changesOf(meeting, packages).filter((c) => chosen.has(c.id));
    if (meeting.pin) {
      seen.add(meeting.pin.id);
      if (!changes.some((c) => c.kind === 'removed')) pins.push(withChanges(meeting.pin, changes, meeting.by, source));
    } else if (changes.length > 0) {
      const id = freshId('p', taken);
      taken.add(id);
      const pads = packages.flatMap(({ name, pkg }) => {
        const number = meeting.terminal.numbers[name];
        return number === undefined ? [] : [[pkg.id, [number]]];
      });
      pins.push(pinOf(meeting.terminal, id, Object.fromEntries(pads), undefined, source));
    }
  }
  const others = part.pins.filter((p) => !seen.has(p.id));
  return { kind: 'takePinout', pins: [...pins, ...others], packages: packages.map((p) => p.pkg), ...(source ? { source } : {}) };
}

function withChanges(pin: Pin, changes: readonly RevisionChange[], by: readonly InPackage[], source: Source | undefined): Pin {
  const moved = new Set(changes.flatMap((c) => (c.kind === 'moved' ? [c.package!] : [])));
  const main = by.find((p) => p.met.length > 0);
  const first = main?.met[0]?.said;
  const placed = by.reduce((p, inPackage) => (moved.has(inPackage.pkg.id) ? inPackageNow(p, inPackage) : p), pin);
  const start = moved.size > 0 && !pin.members && first ? withOrigin(placed, first, source) : placed;
  if (!main) return start;
  return changes.reduce((p, { kind, pad }) => {
    if (kind === 'moved') return p;
    const changed = pad === undefined ? main.met : main.met.filter((m) => m.pad === pad);
    const to = (m: Met) => (terminal: Pin) => withChange(terminal, kind, m.said, source);
    if (!pin.members) return to(firstDiffering(main.met, kind))(p);
    const isMoved = moved.has(main.pkg.id);
    return rebundled(p, main.pkg.id, new Map(changed.map((m) => [isMoved ? m.number : m.pad, to(m)])));
  }, start);
}

/** A pin with the numbers that it now has in a package. */
function inPackageNow(pin: Pin, { pkg, met, gained }: InPackage): Pin {
  const moved = renumbered(pin, pkg.id, new Map(met.map((m) => [m.pad, m.number])));
  return gained.length === 0 ? moved : { ...moved, pads: { ...moved.pads, [pkg.id]: [...padsIn(moved, pkg.id), ...gained] } };
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
