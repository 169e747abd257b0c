import type { Part } from './part';

/**
 * A part of its own that begins as another stands: its pins, drawings, lands, models and sources. What only one part can
 * have stays with the first, its house number and order codes, and so does what a person has vouched for: releases, waivers
 * and read-backs. `taken` are names that the copy may not have.
 */
export function copyOf(part: Part, taken: ReadonlySet<string>): Part {
  // A copy of a copy is one more of the first.
  const first = `${part.name.replace(/ copy(?: \d+)?$/, '')} copy`;
  let name = first;
  for (let n = 2; taken.has(name); n++) name = `${first} ${n}`;
  const { houseNumber: _, ...rest } = part;
  return {
    ...rest,
    name,
    orderCodes: [],
    packages: part.packages.map(withoutReadBack),
    models: part.models.map(withoutReadBack),
    waivers: [],
    releases: [],
  };
}

function withoutReadBack<T extends { readBack?: unknown }>(of: T): T {
  const { readBack: _, ...rest } = of;
  return rest as T;
}
