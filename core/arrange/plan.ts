import { carriesPower, type HouseRules, type Pin, nameOnDrawing } from '../part';
import { findChannels, type Channels } from './channels';
import { cutBetweenPairs, groupPins, type PinGroup } from './groups';

/** A unit to be drawn: groups of pins, or one of several equal channels. */
export type PlannedUnit = { title: string; groups: PinGroup[] };

export interface UnitPlan {
  channels?: { titles: string[]; channels: Channels };
  units: PlannedUnit[];
}

/** Plans the units of a part: equal channels first, then supplies apart, then as few units as hold the groups. */
export function planUnits(pins: readonly Pin[], rules: HouseRules): UnitPlan {
  const channels = pins.length > 4 || pins.length === 4 ? findChannels(pins) : undefined;
  if (channels) {
    const inChannel = new Set(channels.members.flatMap((m) => [...m.values()]));
    const rest = pins.filter((p) => !inChannel.has(p));
    const titles = channels.indices.map((i) => `Channel ${i}`);
    return { channels: { titles, channels }, units: rest.length === 0 ? [] : planRest(rest, rules, true) };
  }
  return { units: planRest(pins, rules, pins.length > rules.maxPinsPerUnit) };
}

function planRest(pins: readonly Pin[], rules: HouseRules, several: boolean): PlannedUnit[] {
  const apart = several && rules.suppliesApart;
  const live = pins.some((p) => !carriesPower(p.type) && !isIdle(p));
  // A few pins without a function are no reason for a unit of their own: they stand with the supplies.
  const aside = (p: Pin) => carriesPower(p.type) || (isIdle(p) && !live);
  const power = apart ? pins.filter(aside) : [];
  const signals = apart ? pins.filter((p) => !aside(p)) : pins;
  return [...pack(groupPins(signals), rules.maxPinsPerUnit), ...packPower(power, rules.maxPinsPerUnit)];
}

const isIdle = (p: Pin): boolean => p.type === 'no-connect' || p.type === 'reserved';

/** Fills as few units as hold all groups, in order and about evenly; a group larger than a unit is split. */
function pack(groups: PinGroup[], most: number): PlannedUnit[] {
  const pieces = groups.flatMap((g) => splitGroup(g, most));
  const total = sizeOf(pieces);
  const share = Math.ceil(total / Math.max(1, Math.ceil(total / most)));
  const units: PinGroup[][] = [];
  for (const piece of pieces) {
    const last = units.at(-1);
    const size = last ? sizeOf(last) : 0;
    if (last && size + piece.pins.length <= most && size + piece.pins.length / 2 <= share) last.push(piece);
    else units.push([piece]);
  }
  return units.map((groupsOfUnit) => ({ title: titleOf(groupsOfUnit), groups: groupsOfUnit }));
}

const sizeOf = (groups: PinGroup[]): number => groups.reduce((n, g) => n + g.pins.length, 0);

function splitGroup(group: PinGroup, most: number): PinGroup[] {
  const count = Math.ceil(group.pins.length / most);
  if (count <= 1) return [group];
  const cuts = Array.from({ length: count + 1 }, (_, i) => cutBetweenPairs(group.pins, Math.round((i * group.pins.length) / count)));
  return Array.from({ length: count }, (_, i) => ({
    ...group,
    title: `${group.title}, part ${i + 1}`,
    pins: group.pins.slice(cuts[i], cuts[i + 1]),
  }));
}

/** The names of the largest groups, in their order. */
function titleOf(groups: PinGroup[]): string {
  const largest = [...groups].sort((a, b) => b.pins.length - a.pins.length).slice(0, 2);
  const named = groups.filter((g) => largest.includes(g)).map((g) => g.title);
  return groups.length > 2 ? `${named.join(', ')} and more` : named.join(', ');
}

/** Supplies and grounds: one unit while they fit, then rails in one unit and grounds split evenly. */
function packPower(power: readonly Pin[], most: number): PlannedUnit[] {
  if (power.length === 0) return [];
  const idle = power.filter(isIdle);
  const supplies = railGroups(power.filter((p) => p.type !== 'ground' && !isIdle(p)));
  const grounds = railGroups(power.filter((p) => p.type === 'ground'));
  const room = most * 2; // a supply unit has both sides and short names
  if (power.length <= room)
    return [
      {
        title: 'Supplies',
        groups: [...supplies, ...grounds, ...(idle.length > 0 ? [{ title: 'Not used', pins: idle, power: false }] : [])],
      },
    ];
  const split = (groups: PinGroup[], title: string) =>
    pack(groups, room).map((u, i, all) => ({ ...u, title: all.length > 1 ? `${title} ${i + 1}` : title }));
  return [...split(supplies, 'Supplies'), ...split(grounds, 'Grounds')];
}

/** One group per rail, named by it. */
function railGroups(pins: readonly Pin[]): PinGroup[] {
  const rails = new Map<string, Pin[]>();
  for (const pin of pins) rails.set(nameOnDrawing(pin), [...(rails.get(nameOnDrawing(pin)) ?? []), pin]);
  return [...rails].map(([title, members]) => ({ title, pins: members, power: true }));
}
