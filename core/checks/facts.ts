import { placesOf, type HouseRules, type Part } from '../part';
import { chosenModel, type SpiceModel } from '../spice';
import type { Facts } from './rule';

/** Models are read again only when their source or choice changes: reading megabytes on each edit would be felt. */
const modelCache = new WeakMap<Part['models'][number], SpiceModel | null>();

export function factsOf(part: Part, rules: HouseRules): Facts {
  const chosen = new Map<string, SpiceModel>();
  for (const model of part.models) {
    if (!modelCache.has(model)) modelCache.set(model, chosenModel(model) ?? null);
    const found = modelCache.get(model);
    if (found) chosen.set(model.id, found);
  }
  return { part, rules, pinById: new Map(part.pins.map((p) => [p.id, p])), placesOf: placesOf(part), chosen };
}
