import type { Edit, Part } from '../part';

/** How a package's pads and the pins' numbers meet. */
export interface PadMeeting {
  /** Pads with a pin, by pad number. */
  joined: Map<string, string[]>;
  padsWithoutPin: string[];
  /** Numbers that pins have and the land has not, with the pins that have them. */
  numbersWithoutPad: { pin: string; number: string }[];
}

/** Compares a land's pads with the numbers that pins have in that package. Mechanical pads need no pin. */
export function meetPads(part: Pick<Part, 'pins' | 'packages'>, packageId: string): PadMeeting {
  const pads = part.packages.find((p) => p.id === packageId)?.land.pads ?? [];
  const known = new Set(pads.map((p) => p.number));
  const joined = new Map<string, string[]>();
  const numbersWithoutPad: PadMeeting['numbersWithoutPad'] = [];
  for (const pin of part.pins)
    for (const number of pin.pads[packageId] ?? []) {
      if (known.has(number)) joined.set(number, [...(joined.get(number) ?? []), pin.id]);
      else numbersWithoutPad.push({ pin: pin.id, number });
    }
  const padsWithoutPin = [...new Set(pads.filter((p) => !p.mechanical && !joined.has(p.number)).map((p) => p.number))];
  return { joined, padsWithoutPin, numbersWithoutPad };
}

/**
 * Joins what numbers alone do not: the exposed pad, which a pinout calls EP and a land numbers after its last lead.
 * Gives nothing where it would have to guess.
 */
export function joinExposedPad(part: Part, packageId: string): Edit | undefined {
  const { padsWithoutPin, numbersWithoutPad } = meetPads(part, packageId);
  const lone = numbersWithoutPad.length === 1 && padsWithoutPin.length === 1 ? numbersWithoutPad[0] : undefined;
  if (!lone || lone.number !== 'EP') return undefined;
  const pin = part.pins.find((p) => p.id === lone.pin)!;
  const pads = pin.pads[packageId]!.map((n) => (n === 'EP' ? padsWithoutPin[0]! : n));
  return { kind: 'joinPads', package: packageId, joins: [{ pin: pin.id, pads }] };
}
