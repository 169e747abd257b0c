import {
  anyNumber,
  carriesPower,
  compareTerminals,
  findChannels,
  findComplements,
  groupBy,
  isSignal,
  nameOnDrawing,
  type Channels,
  type HouseRules,
  type Pin,
} from '../part';
import { cutBetweenPairs, groupPins, type PinGroup } from './groups';
import { isIdle, kindOf, ownRails } from './kinds';
import { legible, rowsOf, sideBlocks } from './place';
import { titleOf, wordOfChannel } from './titles';

/**
 * Planning units.
 *
 * What belongs together stays together: a group (an interface, a bus, a bank with the rails that only it has) is never cut
 * unless it alone is taller than a sheet takes. Equal channels are one drawing bound several times. What is left is cut, in
 * the order of the source, into as few units as hold it, where it is cut best: about evenly, and rather between groups of
 * different sorts than between two ports. Rails come in one unit, grounds too; when they are too many, the grounds are
 * split evenly. All of it depends on nothing but pins and rules.
 */
export const STRATEGIES = ['function', 'bank', 'side', 'one'] as const;
/** By function (the usual one), one unit a bank or group, by the package's sides, or all in one unit. */
export type Strategy = (typeof STRATEGIES)[number];

/** A unit to be drawn: groups of pins, or one of several equal channels. */
export type PlannedUnit = { title: string; groups: PinGroup[] };

export interface UnitPlan {
  channels?: {
    titles: string[];
    channels: Channels;
    /** Supplies that are drawn with each channel, or with the first only. */
    supplies: Pin[];
    supplied: 'each' | 'first' | 'none';
  };
  units: PlannedUnit[];
  /** Supplies that stand in several units. */
  shared: string[];
}

/** The most supplies that are drawn with signals where the house rules want them there. */
const FEW_SUPPLIES = 8;

/** So few signals beside channels are no unit of their own: they stand with the supplies. */
const FEW_SIGNALS = 2;
/** The same for what only goes to resistors and capacitors. */
const FEW_PASSIVE = 6;

/** Plans the units of a part: equal channels first, then supplies apart, then as few units as hold the groups. */
export function planUnits(pins: readonly Pin[], rules: HouseRules, strategy: Strategy = 'function'): UnitPlan {
  if (strategy === 'one') return { units: [{ title: '', groups: groupPins(pins, rules.order) }], shared: [] };
  if (strategy === 'side') return { units: bySide(pins, rules), shared: [] };
  const channels = strategy === 'function' && pins.length >= 4 ? findChannels(pins) : undefined;
  if (channels) return planChannels(pins, channels, rules);
  const complements = strategy === 'function' && pins.length >= 4 ? findComplements(pins) : undefined;
  if (complements) return planComplements(pins, complements, rules);
  const all = groupPins(pins, rules.order);
  const several = strategy === 'bank' || pins.length > rules.maxPinsPerUnit || heightOf(all, rules) > rules.maxHeight;
  return { units: planRest(pins, rules, several, strategy), shared: sharedIn(pins, rules, several) };
}

function planChannels(pins: readonly Pin[], channels: Channels, rules: HouseRules): UnitPlan {
  const inChannel = new Set(channels.members.flatMap((m) => [...m.values()]));
  const rest = pins.filter((p) => !inChannel.has(p));
  const power = rest.filter((p) => carriesPower(p.type));
  const word = wordOfChannel([...channels.members[0]!.values()]);
  const titles = channels.indices.map((i) => `${word} ${i}`);
  const wanted = rules.supplies === 'signals' ? 'first' : rules.supplies;
  const supplied = wanted === 'own' || power.length === 0 || power.length > FEW_SUPPLIES ? 'none' : wanted;
  const supplies = supplied === 'none' ? [] : power;
  const left = rest.filter((p) => !supplies.includes(p));
  const signals = left.filter((p) => isSignal(p.type));
  return {
    channels: { titles, channels, supplies, supplied },
    units: left.length === 0 ? [] : planRest(left, rules, !isFewBeside(signals)),
    shared: supplied === 'each' ? supplies.map((p) => p.id) : [],
  };
}

/** The halves of a complementary pair, each with a drawing of its own, and the rest beside them. */
function planComplements(pins: readonly Pin[], halves: NonNullable<ReturnType<typeof findComplements>>, rules: HouseRules): UnitPlan {
  const own = new Set(halves.flatMap((h) => h.pins));
  const rest = pins.filter((p) => !own.has(p));
  const units = halves.map(({ word, pins: half }) => ({ title: word, groups: [{ title: word, pins: half, power: false }] }));
  return { units: [...units, ...(rest.length === 0 ? [] : planRest(rest, rules, false))], shared: [] };
}

const isFewBeside = (signals: readonly Pin[]): boolean =>
  signals.length > 0 && signals.length <= FEW_PASSIVE && (signals.length <= FEW_SIGNALS || signals.every((p) => p.type === 'passive'));

/** Supplies that each unit has, where the rules want it so and they are few. */
function sharedIn(pins: readonly Pin[], rules: HouseRules, several: boolean): string[] {
  const power = pins.filter((p) => carriesPower(p.type));
  return several && rules.supplies === 'each' && power.length <= FEW_SUPPLIES ? power.map((p) => p.id) : [];
}

function planRest(pins: readonly Pin[], rules: HouseRules, several: boolean, strategy: Strategy = 'function'): PlannedUnit[] {
  if (!several) return pack(groupPins(pins, rules.order), rules);
  const live = pins.some((p) => isSignal(p.type));
  const own = ownRails(pins);
  // A few pins without a function are no reason for a unit of their own: they stand with the supplies.
  const aside = (p: Pin) => (carriesPower(p.type) && !own.has(p.id)) || (isIdle(p) && !live);
  const power = rules.supplies === 'signals' ? [] : pins.filter(aside);
  const signals = rules.supplies === 'signals' ? pins : pins.filter((p) => !aside(p));
  const groups = groupPins(signals, rules.order);
  const units = strategy === 'bank' ? apart(groups, rules) : pack(groups, rules);
  const [first, ...others] = units;
  const few = power.filter((p) => carriesPower(p.type)).length <= FEW_SUPPLIES;
  if (!few || !first || rules.supplies === 'own' || rules.supplies === 'signals') return [...units, ...packPower(power, rules)];
  const rails = railGroups(power.filter((p) => carriesPower(p.type)));
  const withRails = (u: PlannedUnit) => ({ ...u, groups: [...u.groups, ...rails] });
  const idle = packPower(power.filter(isIdle), rules);
  return [withRails(first), ...(rules.supplies === 'each' ? others.map(withRails) : others), ...idle];
}

/** One or two signals that the large groups have left over are no unit of their own: they stand in the smallest that has room. */
function withFew(units: PlannedUnit[], rules: HouseRules): PlannedUnit[] {
  const [few, others] = [units.filter(isFew), units.filter((u) => !isFew(u))];
  const extra = few.flatMap((u) => u.groups);
  const room = [...others].sort((a, b) => sizeOf(a.groups) - sizeOf(b.groups)).find((u) => fits([...u.groups, ...extra], rules));
  if (!room || extra.length === 0) return units;
  return others.map((u) => (u === room ? titled([...u.groups, ...extra]) : u));
}

const isFew = ({ groups }: PlannedUnit): boolean => sizeOf(groups) <= FEW_SIGNALS;

/** The rows that a unit of these groups needs, in steps. */
export function heightOf(groups: readonly PinGroup[], house: HouseRules): number {
  const rules = legible(house);
  const sides = sideBlocks(groups, rules);
  return Math.max(rowsOf(sides.left, rules), rowsOf(sides.right, rules)) + (rules.strip ? 2 : 1);
}

const sizeOf = (groups: readonly PinGroup[]): number => groups.reduce((n, g) => n + g.pins.length, 0);

/** Groups that share a unit must read well together; one alone may fill a sheet. */
function fits(groups: readonly PinGroup[], rules: HouseRules, most = rules.maxPinsPerUnit): boolean {
  if (groups.length > 1 && sizeOf(groups) > most) return false;
  // No row holds more than two pins, so small units need not be laid out to know.
  const surely = sizeOf(groups) * legible(rules).pitch + groups.length * (rules.groupGap + 1) + 2 <= rules.maxHeight;
  return surely || heightOf(groups, rules) <= rules.maxHeight;
}

/** Every group in a unit of its own; the small ones together. */
function apart(groups: PinGroup[], rules: HouseRules): PlannedUnit[] {
  const pieces = groups.flatMap((g) => splitGroup(g, rules));
  const large = pieces.filter((g) => g.pins.length >= 6);
  const small = pieces.filter((g) => g.pins.length < 6);
  return [...large.map((g) => titled([g])), ...cutEvenly(small, rules)];
}

function pack(groups: PinGroup[], rules: HouseRules): PlannedUnit[] {
  const pieces = groups.flatMap((g) => splitGroup(g, rules));
  if (fits(pieces, rules)) return pieces.length === 0 ? [] : [titled(pieces)];
  // A bank that is worth a unit has one: its rails make it a thing of its own.
  const banks = pieces.filter((g) => kindOf(g) === 'bank' && g.pins.length >= 0.35 * rules.maxPinsPerUnit);
  const large = pieces.filter((g) => g.pins.length > rules.maxPinsPerUnit && !banks.includes(g));
  const alone = [...banks, ...large];
  const rest = pieces.filter((g) => !alone.includes(g));
  return withFew([...alone.map((g) => titled([g])), ...cutEvenly(rest, rules)], rules);
}

const titled = (groups: PinGroup[]): PlannedUnit => ({ title: titleOf(groups), groups });

/** Groups by their sort, in the order of the first of each. */
function bySort(groups: readonly PinGroup[]): PinGroup[] {
  const sorts = groupBy(groups, (g) => (g.title === 'Not used' ? '~' : kindOf(g)));
  const idle = sorts.get('~') ?? [];
  sorts.delete('~');
  return [...[...sorts.values()].flat(), ...idle];
}

/** Above so many groups the best cuts are not searched for, only found one after the other. */
const MOST_SEARCHED = 120;

/**
 * Cuts a row of groups into the fewest units that hold them, where the cuts cost least: units of unequal size cost their
 * difference squared, a cut between groups of one sort costs a part of a unit.
 */
function cutEvenly(groups: readonly PinGroup[], rules: HouseRules): PlannedUnit[] {
  const row = bySort(groups);
  const n = row.length;
  if (n === 0) return [];
  const ends = greedy(row, rules);
  if (n > MOST_SEARCHED) return between(row, ends);
  const count = ends.length;
  const share = sizeOf(row) / count;
  const kinds = row.map(kindOf);
  // best[k][i]: the least cost of the first i groups in k units.
  const best: { cost: number; from: number }[][] = Array.from({ length: count + 1 }, () => []);
  best[0]![0] = { cost: 0, from: 0 };
  for (let k = 1; k <= count; k++)
    for (let i = k; i <= n; i++) {
      let least = { cost: Infinity, from: -1 };
      for (let from = i - 1; from >= k - 1; from--) {
        const before = best[k - 1]![from];
        const unit = row.slice(from, i);
        if (!fits(unit, rules)) break;
        if (!before || before.cost === Infinity) continue;
        const cut = from > 0 && kinds[from] === kinds[from - 1] ? (0.3 * share) ** 2 : 0;
        const cost = before.cost + (sizeOf(unit) - share) ** 2 + cut;
        if (cost < least.cost) least = { cost, from };
      }
      best[k]![i] = least;
    }
  const found: number[] = [];
  for (let k = count, i = n; k > 0; k--) {
    const { from, cost } = best[k]![i] ?? { from: -1, cost: Infinity };
    if (cost === Infinity) return between(row, ends);
    found.unshift(i);
    i = from;
  }
  return between(row, found);
}

/** Where units end when each is filled before the next is begun. */
function greedy(row: readonly PinGroup[], rules: HouseRules): number[] {
  const ends: number[] = [];
  let from = 0;
  row.forEach((_, i) => {
    if (i > from && !fits(row.slice(from, i + 1), rules)) {
      ends.push(i);
      from = i;
    }
  });
  return [...ends, row.length];
}

const between = (row: readonly PinGroup[], ends: readonly number[]): PlannedUnit[] =>
  ends.map((end, i) => titled(row.slice(ends[i - 1] ?? 0, end)));

/** A group that is taller than a sheet takes, in the fewest about equal parts that are not. */
function splitGroup(group: PinGroup, rules: HouseRules): PinGroup[] {
  for (let count = 1; count <= group.pins.length; count++) {
    const parts = inParts(group, count);
    if (parts.every((p) => fits([p], rules))) return parts;
  }
  return [group];
}

export function inParts(group: PinGroup, count: number): PinGroup[] {
  if (count <= 1) return [group];
  const cuts = Array.from({ length: count + 1 }, (_, i) => cutBetweenPairs(group.pins, Math.round((i * group.pins.length) / count)));
  return Array.from({ length: count }, (_, i) => ({
    ...group,
    title: `${group.title}, part ${i + 1}`,
    pins: group.pins.slice(cuts[i], cuts[i + 1]),
  })).filter((p) => p.pins.length > 0);
}

/** Supplies and grounds: one unit while they fit, then rails in one unit and grounds split evenly. */
function packPower(power: readonly Pin[], rules: HouseRules): PlannedUnit[] {
  if (power.length === 0) return [];
  const idle = power.filter(isIdle);
  const supplies = railGroups(power.filter((p) => p.type !== 'ground' && !isIdle(p)));
  const grounds = railGroups(power.filter((p) => p.type === 'ground'));
  const rest = idle.length > 0 ? [{ title: 'Not used', pins: idle, power: false }] : [];
  // A supply unit is read rail by rail, so it may hold more pins than one of signals.
  const most = rules.maxPinsPerUnit * 2;
  const all = [...supplies, ...grounds, ...rest];
  const named = supplies.length + grounds.length > 0 ? 'Supplies' : 'Not used';
  if (fits(all, rules, most)) return [{ title: named, groups: all }];
  // One ground that is too many for a unit comes in equal parts, so that no unit has three of two hundred.
  const split = (groups: PinGroup[], title: string) => {
    const pieces = groups.flatMap((g) => splitGroup(g, rules));
    const units = between(pieces, greedy(pieces, { ...rules, maxPinsPerUnit: most }));
    return pieces.length === 0 ? [] : units.map((u, i) => ({ ...u, title: units.length > 1 ? `${title} ${i + 1}` : title }));
  };
  return [...split(supplies, 'Supplies'), ...split(grounds, 'Grounds'), ...split(rest, 'Not used')];
}

/** One group per rail, named by it. */
function railGroups(pins: readonly Pin[]): PinGroup[] {
  return [...groupBy(pins, nameOnDrawing)].map(([title, members]) => ({ title, pins: members, power: true }));
}

/** Units by where the pins are on the package: the four sides of numbered leads, or bands of a grid's rows. */
function bySide(pins: readonly Pin[], rules: HouseRules): PlannedUnit[] {
  const ordered = [...pins].sort((a, b) => compareTerminals(anyNumber(a), anyNumber(b)));
  const isGrid = ordered.filter((p) => /^[A-Z]{1,2}\d+$/.test(anyNumber(p))).length > ordered.length / 2;
  const count = Math.max(isGrid || ordered.length > 20 ? 4 : 2, Math.ceil(ordered.length / (rules.maxPinsPerUnit * 1.4)));
  const band = Math.ceil(ordered.length / count);
  return Array.from({ length: count }, (_, i) => ordered.slice(i * band, (i + 1) * band))
    .filter((members) => members.length > 0)
    .map((members) => ({
      title: isGrid
        ? `Rows ${rowOf(members[0]!)} to ${rowOf(members.at(-1)!)}`
        : `Pins ${anyNumber(members[0]!)} to ${anyNumber(members.at(-1)!)}`,
      groups: groupPins(members, 'number'),
    }));
}

const rowOf = (pin: Pin): string => anyNumber(pin).replace(/\d+$/, '');
