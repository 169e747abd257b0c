import type { HouseRules, Part, Port, Unit } from '../part';
import { chosenModel, type SpiceModel } from '../spice';
import type { Facts } from './rule';

/** Models are read again only when their source or choice changes: reading megabytes on each edit would be felt. */
const modelCache = new WeakMap<Part['models'][number], SpiceModel | null>();

export function factsOf(part: Part, rules: HouseRules): Facts {
  const placesOf = new Map<string, { unit: Unit; port: Port }[]>();
  const drawings = new Map(part.drawings.map((d) => [d.id, new Map(d.ports.map((p) => [p.id, p]))]));
  for (const unit of part.units)
    for (const [portId, pinId] of Object.entries(unit.binding)) {
      const port = drawings.get(unit.drawing)?.get(portId);
      if (port) placesOf.set(pinId, [...(placesOf.get(pinId) ?? []), { unit, port }]);
    }
  const chosen = new Map<string, SpiceModel>();
  for (const model of part.models) {
    if (!modelCache.has(model)) modelCache.set(model, chosenModel(model) ?? null);
    const found = modelCache.get(model);
    if (found) chosen.set(model.id, found);
  }
  return { part, rules, pinById: new Map(part.pins.map((p) => [p.id, p])), placesOf, chosen };
}
