import { terminalsAt } from './bundle';
import type { Part } from './part';
import type { Pin } from './pin';

/** The terminals that stand on each pad of a package, by pad number, in the order of the pins; each has its pin's id. */
export function padOwners(part: Pick<Part, 'pins'>, packageId: string | undefined): Map<string, Pin[]> {
  const owners = new Map<string, Pin[]>();
  if (packageId === undefined) return owners;
  for (const { pad, terminal } of terminalsAt(part.pins, packageId)) {
    const own = owners.get(pad);
    if (own) own.push(terminal);
    else owners.set(pad, [terminal]);
  }
  return owners;
}
