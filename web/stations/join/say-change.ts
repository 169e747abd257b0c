import type { LandChange } from '../../../core/lands';
import { listed, type Package } from '../../../core/part';

/** So many numbers are named of each kind of change. */
const MOST_SAID = 12;

/** What a land changes, in words; one line says so where there is none. */
export function sayChange(change: LandChange, pkg: Package | undefined): string[] {
  const { added, removed, moved, resized, padsWithoutPin, numbersWithoutPad } = change;
  const hadPads = pkg !== undefined && pkg.land.pads.length > 0;
  const lines = (
    [
      ['New', hadPads ? added : []],
      ['Gone', removed],
      ['Elsewhere', moved],
      ['Of another size or shape', resized],
    ] as const
  ).flatMap(([what, numbers]) => (numbers.length > 0 ? [`${what}: ${listed(numbers, MOST_SAID)}`] : []));
  if (hadPads && lines.length === 0) lines.push(`The pads of ${pkg.name} are the same already.`);
  if (padsWithoutPin.length > 0)
    lines.push(`No pin has the ${padsWithoutPin.length === 1 ? 'number' : 'numbers'} ${listed(padsWithoutPin, MOST_SAID)}.`);
  if (numbersWithoutPad.length > 0) lines.push(`It has no pad for ${listed(numbersWithoutPad, MOST_SAID)}.`);
  return lines.length > 0 ? lines : ['Each pad has its pin by number.'];
}
