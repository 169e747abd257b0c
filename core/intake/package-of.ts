import { UNNAMED_PACKAGE, type Package, type Part } from '../part';
import type { Proposal } from './proposal';

/** The package of a part that has a source's name for it, or stands where it does if the source gives none; else a new one. */
export function packageFor(part: Part, name: string, index: number): Package {
  const there = part.packages.find((p) => p.name === name) ?? (name === '' ? part.packages[index] : undefined);
  const called = name === '' ? UNNAMED_PACKAGE : name;
  return there ?? { id: called, name: called, land: { pads: [] } };
}

/** A package's name without its dashes and blanks. */
export const plainPackage = (name: string): string => name.toLowerCase().replace(/[^a-z0-9]/g, '');

/**
 * The package of a part that a source counts in: by its name, written with or without dashes; else, since a source may name its
 * packages in its own way, the one with most of the same numbers.
 */
export function packageOf(part: Part, { package: name, terminals }: Proposal): Package {
  const named = part.packages.find((p) => plainPackage(p.name) === plainPackage(name));
  if (named) return named;
  const numbers = new Set(terminals.map((t) => t.numbers[name]));
  const shared = (p: Package) => part.pins.filter((pin) => pin.pads[p.id]?.some((n) => numbers.has(n))).length;
  return [...part.packages].sort((a, b) => shared(b) - shared(a))[0] ?? packageFor(part, name, 0);
}
