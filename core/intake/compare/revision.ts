import { padsIn, type Part, type Pin } from '../../part';
import type { Proposal, Terminal } from '../proposal';
import { levelOf } from './difference';
import { comparedPackages, meetPins, numbersIn, type InPackage, type Meeting, type Met } from './match-terminals';

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
  /** The package in which a number is another, or in which that pad is. */
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

export function changesOf(meeting: Meeting, packages: Packages): RevisionChange[] {
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
  return [...by.flatMap((p) => movesIn(pin, p, packages)), ...fieldChanges(pin, metOnce(by))];
}

/** What was met of a pin in any package, each terminal of the new revision once. */
export const metOnce = (by: readonly InPackage[]): Met[] =>
  [
    ...new Map(by.flatMap((p) => p.met).reverse().map((m) => [m.said, m])).values(), // prettier-ignore
  ].reverse();

/** The numbers that a pin has in a package by the new revision. */
const numbersOf = ({ met, gained }: InPackage): string[] => [...met, ...gained].map((m) => m.number);

function movesIn(pin: Pin, inPackage: InPackage, packages: Packages): RevisionChange[] {
  const { pkg } = inPackage;
  const [from, to] = [padsIn(pin, pkg.id).join(', '), numbersOf(inPackage).join(', ')];
  if (from === to) return [];
  const id = pkg === packages[0]!.pkg ? `moved ${pin.id}` : `moved ${pin.id} ${pkg.id}`;
  const said = (numbers: string) => numbersIn(packages, pkg, numbers);
  const byHand = pin.byHand?.includes('number') ?? false;
  const about = { name: pin.name, pin: pin.id, number: to === '' ? from : to, package: pkg.id };
  return [{ id, kind: 'moved', from: said(from), to: said(to), byHand, ...about }];
}

const FIELDS: [RevisionChange['kind'], NonNullable<Pin['byHand']>[number], (x: Pin | Terminal) => string][] = [
  ['renamed', 'name', (x) => x.name],
  ['retyped', 'type', (x) => x.type],
  ['level', 'activeLow', levelOf],
  ['described', 'description', (x) => x.description ?? ''],
];

/** What of a pin's terminals differs in the field that a kind of change is about. */
export const differingIn = (kind: RevisionChange['kind'], met: readonly Met[]): Met[] => {
  const said = FIELDS.find(([of]) => of === kind)![2];
  return met.filter((m) => said(m.was) !== said(m.said));
};

function fieldChanges(pin: Pin, met: readonly Met[]): RevisionChange[] {
  return FIELDS.flatMap(([kind, field, said]) => {
    const [first, ...more] = differingIn(kind, met);
    if (!first) return [];
    const byHand = pin.byHand?.includes(field) ?? false;
    const change = (m: Met): RevisionChange => ({
      ...{ id: `${kind} ${pin.id}`, kind, number: m.number, name: pin.name, from: said(m.was), to: said(m.said), byHand, pin: pin.id },
    });
    // A pin of several pads, none of which can be another than the pin: it follows what is said first.
    if (!pin.members) return [change(first)];
    const isAlike = more.every((m) => said(m.was) === said(first.was) && said(m.said) === said(first.said));
    if (isAlike && 1 + more.length === met.length) return [change(first)];
    return [first, ...more].map((m) => ({
      ...change(m),
      ...{ id: `${kind} ${pin.id} ${m.packageId} ${m.pad}`, name: m.was.name, pad: m.pad, package: m.packageId },
    }));
  });
}
