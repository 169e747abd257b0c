import type { Part } from './part';
import { padsIn, type Pin } from './pin';

/** The pins that stand on each pad of a package, by pad number, in the order of the pins. */
export function padOwners(part: Pick<Part, 'pins'>, packageId: string | undefined): Map<string, Pin[]> {
  const owners = new Map<string, Pin[]>();
  for (const pin of part.pins)
    for (const pad of padsIn(pin, packageId)) {
      const own = owners.get(pad);
      if (own) own.push(pin);
      else owners.set(pad, [pin]);
    }
  return owners;
}
