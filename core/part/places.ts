import type { Port } from './drawing';
import type { Part, Unit } from './part';

/** One place where a pin is drawn. */
export interface PinPlace {
  unit: Unit;
  port: Port;
}

/** Where each pin is drawn, by pin id: the units that bind it, in their order, each with its port. */
export function placesOf(part: Pick<Part, 'units' | 'drawings'>): Map<string, PinPlace[]> {
  const ports = new Map(part.drawings.map((d) => [d.id, new Map(d.ports.map((p) => [p.id, p]))]));
  const places = new Map<string, PinPlace[]>();
  for (const unit of part.units)
    for (const [portId, pin] of Object.entries(unit.binding)) {
      const port = ports.get(unit.drawing)?.get(portId);
      if (port) places.set(pin, [...(places.get(pin) ?? []), { unit, port }]);
    }
  return places;
}
