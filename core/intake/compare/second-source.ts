import { padsIn, problem, terminalAt, type Doubt, type Edit, type Package, type Part, type Pin, type Problem } from '../../part';
import { terminalsIn, type Proposal, type Terminal } from '../proposal';
import { comparedPackages, numbersIn } from './match-terminals';

export interface Comparison {
  /** Adds a doubt to each pin that the two sources disagree on; none where they agree. */
  edit?: Edit;
  agreed: number;
  disagreed: number;
  /** Terminals that only the second source has. */
  problems: Problem[];
}

/**
 * Compares a part with a second source for it. Each disagreement becomes a doubt that shows both; what a source leaves
 * unsaid is none. Names are compared without case, brackets and the signs that some formats cannot write.
 */
export function compareWithSource(part: Part, proposal: Proposal, name: string): Comparison {
  const packages = comparedPackages(part, proposal).map((p) => ({
    ...p,
    there: new Map(terminalsIn(proposal, p.name).map((t) => [t.numbers[p.name]!, t])),
    seen: new Set<string>(),
  }));
  const saidAt = (pkg: Package, number: string) => numbersIn(packages, pkg, number);
  let [agreed, disagreed] = [0, 0];
  const pins = part.pins.map((pin) => {
    const fresh = packages.flatMap(({ pkg, there, seen }) =>
      padsIn(pin, pkg.id).flatMap((number): Doubt[] => {
        const other = there.get(number);
        seen.add(number);
        if (!other) return [{ field: 'number', reason: `${name} has no terminal ${saidAt(pkg, number)}.` }];
        return inBundle(pin, doubtsBetween(terminalAt(pin, pkg.id, number), other, saidAt(pkg, number), name));
      }),
    );
    const known = new Set(pin.doubts.map((d) => `${d.field} ${d.reason}`));
    const doubts = fresh.filter((d) => !known.has(`${d.field} ${d.reason}`));
    if (fresh.length > 0) disagreed++;
    else if (packages.some(({ pkg }) => padsIn(pin, pkg.id).length > 0)) agreed++;
    return doubts.length > 0 ? { ...pin, doubts: [...pin.doubts, ...doubts] } : pin;
  });
  const problems = packages.flatMap(({ pkg, there, seen }) =>
    [...there].flatMap(([number, t]) =>
      seen.has(number) ? [] : [problem('second-only', { source: name, number: saidAt(pkg, number), name: t.name })],
    ),
  );
  const isNew = pins.some((p, i) => p !== part.pins[i]);
  return { agreed, disagreed, problems, ...(isNew ? { edit: { kind: 'takePinout', pins, packages: [] } } : {}) };
}

/** What one terminal of a bundle is said to be is nothing that the whole bundle could take. */
const inBundle = (pin: Pin, doubts: Doubt[]): Doubt[] =>
  pin.members ? doubts.map(({ field, reason }) => ({ field, reason: `${reason} To take that, split ${pin.name} first.` })) : doubts;

function doubtsBetween(pin: Pin, other: Terminal, number: string, source: string): Doubt[] {
  const doubts: Doubt[] = [];
  if (plain(pin.name) !== plain(other.name) && !pin.name.split('/').some((n) => plain(n) === plain(other.name)))
    doubts.push({
      field: 'name',
      reason: `${source} says “${other.name}” at ${number}; the part says “${pin.name}”.`,
      candidates: [pin.name, other.name],
    });
  const unsaid = [pin.type, other.type].includes('unspecified');
  if (pin.type !== other.type && !unsaid)
    doubts.push({
      field: 'type',
      reason: `${source} says ${other.type} (${other.because['type'] ?? 'as read'}); the part says ${pin.type}.`,
      candidates: [pin.type, other.type],
    });
  return doubts;
}

/** `D[3]` is D3, `AIN1_P` is AIN1+: formats without those signs write them so. */
const plain = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[−–]/g, '-')
    .replace(/\+$/, 'p')
    .replace(/-$/, 'n')
    .replace(/[^a-z0-9]/g, '');
