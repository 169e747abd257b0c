import { groupBy, type Land, type Pad, type Part } from '../part';
import { meetPads } from './join-by-number';

/** What a land would change if it took the place of a package's own. Pads are told by their numbers. */
export interface LandChange {
  /** Numbers that only the new land has, and that only the present one has. */
  added: string[];
  removed: string[];
  /** Numbers whose pads stand elsewhere by more than {@link SAME_MM}, and those that only have another size or shape. */
  moved: string[];
  resized: string[];
  /** Of the new land: pads that would have no pin, and numbers of pins that would have no pad. */
  padsWithoutPin: string[];
  numbersWithoutPad: string[];
}

type PadsByNumber = Map<string, Pad[]>;

/** Two places no farther apart than this are one, in mm: files give their numbers in mil or inches too. */
const SAME_MM = 0.005;

const isApart = (a: number | undefined, b: number | undefined): boolean => Math.abs((a ?? 0) - (b ?? 0)) > SAME_MM;

/** Compares a land with the one that a package has; a package that the part does not have yet has no pads. */
export function landChange(part: Pick<Part, 'pins' | 'packages'>, packageId: string, land: Land): LandChange {
  const own = part.packages.find((p) => p.id === packageId);
  // Pads that are one net share a number.
  const [before, after] = [own?.land.pads ?? [], land.pads].map((pads) => groupBy(pads, (p) => p.number)) as [PadsByNumber, PadsByNumber];
  const both = [...after.keys()].filter((n) => before.has(n));
  const differ = (n: string, by: (a: Pad, b: Pad) => boolean): boolean => {
    const [a, b] = [before.get(n)!, after.get(n)!];
    return a.length !== b.length || a.some((pad, i) => by(pad, b[i]!));
  };
  const moved = both.filter((n) => differ(n, (a, b) => isApart(a.x, b.x) || isApart(a.y, b.y)));
  const isResized = (a: Pad, b: Pad) =>
    a.shape !== b.shape || (['w', 'h', 'drill', 'slot'] as const).some((key) => isApart(a[key], b[key]));
  const tried = { id: packageId, name: packageId, ...own, land };
  const met = meetPads({ pins: part.pins, packages: [tried] }, packageId);
  return {
    added: [...after.keys()].filter((n) => !before.has(n)),
    removed: [...before.keys()].filter((n) => !after.has(n)),
    moved,
    resized: both.filter((n) => !moved.includes(n) && differ(n, isResized)),
    padsWithoutPin: met.padsWithoutPin,
    numbersWithoutPad: met.numbersWithoutPad.map((l) => l.number),
  };
}
