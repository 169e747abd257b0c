import type { Pin } from '../pin';

/**
 * The pins with the place or the unit of some of them noted as set by hand, which later planning keeps; the same list where
 * all of it was noted before.
 */
export function markPlaced(pins: Pin[], ids: ReadonlySet<string>, ...fields: ('place' | 'unit')[]): Pin[] {
  const isNew = (p: Pin) => ids.has(p.id) && fields.some((f) => !p.byHand?.includes(f));
  if (!pins.some(isNew)) return pins;
  return pins.map((p) => (isNew(p) ? { ...p, byHand: [...new Set([...(p.byHand ?? []), ...fields])] } : p));
}
