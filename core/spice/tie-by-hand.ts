import { carriesPower, pinsOfChannel, pinsOnNode, WHOLE_PART, type NodeTie, type Part, type Pin } from '../part';

/**
 * What ties a node to the pin that a person chose for it. Of a supply or a ground that several pins have under one name all
 * that are on no other node go along: they are one signal. `ties` are those of the unit, by node.
 */
export function tieByHand(pins: readonly Pin[], ties: Readonly<Record<string, NodeTie>>, node: string, chosen: Pin): NodeTie {
  if (!carriesPower(chosen.type)) return { pin: chosen.id };
  const elsewhere = new Set(Object.entries(ties).flatMap(([name, tie]) => (name === node ? [] : pinsOnNode(tie))));
  const also = pins.filter((p) => p.id !== chosen.id && p.name === chosen.name && p.type === chosen.type && !elsewhere.has(p.id));
  return also.length > 0 ? { pin: chosen.id, also: also.map((p) => p.id) } : { pin: chosen.id };
}

/** Whether a pin can be on a node: it is connected, and one net. */
export const canBeTied = (pin: Pin): boolean => pin.type !== 'no-connect' && pin.bits === undefined;

/** The pins that a model bound in a unit, in a channel or in the whole part can be tied to. */
export function pinsBound(part: Part, unit: string | undefined): Pin[] {
  if (unit === undefined || unit === WHOLE_PART) return part.pins;
  const ofChannel = pinsOfChannel(part, unit);
  if (ofChannel) return ofChannel;
  const own = new Set(Object.values(part.units.find((u) => u.id === unit)?.binding ?? {}));
  return part.pins.filter((p) => own.has(p.id) || p.type === 'supply-in' || p.type === 'ground');
}
