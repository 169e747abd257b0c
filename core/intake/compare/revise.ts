import { freshId, rebundled, renumbered, withoutGone, type Edit, type Part, type Pin, type Source } from '../../part';
import type { Proposal, Terminal } from '../proposal';
import { pinOf } from '../take';
import { comparedPackages, meetPins, type InPackage, type Met } from './match-terminals';
import { changesOf, differingIn, metOnce, type RevisionChange } from './revision';

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
  const met = metOnce(by);
  const memberOf = placesOfMembers(pin, by);
  const renumber = (p: Pin, { pkg, met: seats, gained }: InPackage): Pin => {
    const now = [...seats, ...gained];
    return renumbered(
      p,
      pkg.id,
      now.map((m) => m.number),
      new Map(now.map((m) => [m.number, memberOf.get(m.said) ?? -1])),
    );
  };
  const placed = by.reduce((p, inPackage) => (moved.has(inPackage.pkg.id) ? renumber(p, inPackage) : p), pin);
  const start = moved.size > 0 && !pin.members && met[0] ? withOrigin(placed, met[0].said, source) : withoutGone(placed, pin);
  const now = (m: Met) => ({ packageId: m.packageId, pad: moved.has(m.packageId) ? m.number : m.pad });
  return changes.reduce((p, { kind, pad, package: packageId }) => {
    if (kind === 'moved') return p;
    const differing = differingIn(kind, met).filter((m) => pad === undefined || (m.pad === pad && m.packageId === packageId));
    if (!pin.members) return withChange(p, kind, differing[0]!.said, source);
    return rebundled(
      p,
      differing.map((m) => ({ ...now(m), to: (terminal) => withChange(terminal, kind, m.said, source) })),
    );
  }, start);
}

/** Which of a bundle's terminals each terminal of the new revision is, by its place among them, as any package shows it. */
function placesOfMembers(pin: Pin, by: readonly InPackage[]): Map<Terminal, number> {
  const places = new Map<Terminal, number>();
  for (const { pkg, met } of by)
    for (const { pad, said } of met) {
      const at = pin.members?.findIndex((m) => m.pads[pkg.id]?.includes(pad)) ?? -1;
      if (at >= 0) places.set(said, at);
    }
  return places;
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
