import { anyNumber, groupBy, carriesPower, compareNatural, compareTerminals, goesOut, type HouseRules, type Pin, stemOf } from '../part';
import { firstName } from '../intake/table/names';
import { findPairs, pairNames } from '../intake/understand/pairs';
import { countedLines, countStems, interfaceOf, stemsOf } from '../intake/understand/signals';

/** Pins that belong together in a drawing, in their drawn order. */
export interface PinGroup {
  title: string;
  pins: Pin[];
  power: boolean;
}

/**
 * Groups from what is known, the surest first: the heading the pin stood under, its rail's kind, the stem it shares
 * with others. What is left goes by direction. Groups stand in the order of their first pin.
 */
export function groupPins(pins: readonly Pin[], order: HouseRules['order'] = 'natural'): PinGroup[] {
  const nameOf = pairNames(findPairs(pins));
  const stems = countStems(pins.map(nameOf));
  return [...groupBy(pins, (pin) => titleOf(pin, nameOf(pin), stems))].map(([title, members]) => ({
    title,
    pins: inOrder(members, order),
    power: members.every((p) => carriesPower(p.type)),
  }));
}

/** The pins of a group as the house rules have them follow each other. */
function inOrder(pins: readonly Pin[], order: HouseRules['order']): Pin[] {
  if (order === 'datasheet') return [...pins];
  if (order === 'number') return [...pins].sort((a, b) => compareTerminals(anyNumber(a), anyNumber(b)));
  const natural = inDrawnOrder(pins);
  return order === 'bank' ? natural.sort((a, b) => compareNatural(a.rail ?? '', b.rail ?? '')) : natural;
}

function titleOf(pin: Pin, name: string, stems: ReadonlyMap<string, number>): string {
  if (pin.group) return pin.group;
  if (carriesPower(pin.type)) return 'Supplies';
  if (pin.type === 'no-connect' || pin.type === 'reserved') return 'Not used';
  const stem = stemsOf(name).find((s) => (stems.get(s) ?? 0) >= 3);
  if (stem) return stem;
  return interfaceOf(pin) ?? byDirection(pin);
}

const byDirection = ({ type }: Pin): string => (type === 'input' ? 'Inputs' : goesOut(type) ? 'Outputs' : 'Signals');

/** The cut nearest to `at` that leaves no pair in two. */
export function cutBetweenPairs(pins: readonly Pin[], at: number): number {
  const partner = new Map(findPairs(pins).flatMap(([p, n]) => [[p, n] as const, [n, p] as const]));
  const cuts = (i: number) => i > 0 && i < pins.length && partner.get(pins[i - 1]!) === pins[i];
  return cuts(at) ? at + (at + 1 < pins.length ? 1 : -1) : at;
}

/** The cut nearest to `at`, within a fifth of all, that leaves buses whole; else the nearest that leaves no pair in two. */
export function cutBetweenStems(pins: readonly Pin[], at: number): number {
  const reach = Math.floor(pins.length / 5);
  for (let off = 0; off <= reach; off++)
    for (const cut of [at - off, at + off])
      if (cut > 0 && cut < pins.length && stemOf(firstName(pins[cut - 1]!.name)) !== stemOf(firstName(pins[cut]!.name))) return cut;
  return cutBetweenPairs(pins, at);
}

/** The letters that a name shares with its bus: DIN of DIN, D of D7, AIN of AIN2+. */
const letters = (name: string): string => name.replace(/[\d+\-−]+.*$/, '');

/** What stands before the last letters of names that are a bus by these, from A on, by name: Q of the outputs QA to QD of a counter. */
function letteredStems(pins: readonly Pin[]): Map<string, string> {
  const words = new Map(pins.map((p) => [p.name, (p.description ?? '').toLowerCase()]));
  const byStem = groupBy(
    [...words.keys()].filter((name) => /^(?:[A-Z_]{0,6}[A-H]|[a-h])$/.test(name)),
    (name) => (/^[a-h]$/.test(name) ? 'a' : name.slice(0, -1)),
  );
  const isBus = (own: readonly string[]) => {
    const letters = own.map((name) => name.at(-1)!.toUpperCase()).sort();
    // `Select A`, `Select B`: their words are the same but for the letter.
    const said = new Set(own.map((name) => words.get(name)!.replace(new RegExp(`\\b${name.at(-1)!.toLowerCase()}\\b`), '')));
    const areAlike = said.size === 1 && !said.has('');
    // Single letters are a bus where they are many, as the segments of a display are, or where their words say so.
    return letters.length >= (own[0]!.length === 1 && !areAlike ? 5 : 3) && letters.every((letter, i) => letter.charCodeAt(0) === 65 + i);
  };
  return new Map([...byStem].flatMap(([stem, own]) => (isBus(own) ? own.map((name) => [name, stem] as const) : [])));
}

/** What pins are called on a bus that they are of beside their own work, `IO1` of `DO/IO1`, by name, where their own names are no bus. */
function asideNames(pins: readonly Pin[]): Map<string, string> {
  const said = pins.flatMap((p) => {
    const [own = '', ...others] = p.name.split('/');
    // What is counted by its own name is of a port.
    if (/\d$/.test(own)) return [];
    return [...others, ...(p.alternates ?? [])].flatMap((as) => (/^[A-Z]{1,4}\d$/.test(as) ? [{ name: p.name, as }] : []));
  });
  const isBus = (of: typeof said) => new Set(of.map((s) => letters(s.name))).size > 2;
  return new Map([...groupBy(said, (s) => letters(s.as)).values()].filter(isBus).flatMap((of) => of.map((s) => [s.name, s.as] as const)));
}

/** The halves of each pair beside each other with the positive one first, where the first of them stood; others stay. */
export function inPairs(pins: readonly Pin[]): Pin[] {
  const pairOf = new Map(findPairs(pins).flatMap((pair) => pair.map((half) => [half, pair] as const)));
  return [...new Set(pins.flatMap((p) => pairOf.get(p) ?? [p]))];
}

/**
 * Buses in natural order, the halves of a pair beside each other with the positive one first; names of different stems
 * stay in the order of the source, in which an interface reads best.
 */
export function inDrawnOrder(pins: readonly Pin[]): Pin[] {
  // By name, since a half may have several pins.
  const called = (p: Pin) => (p.activeLow ? `${p.name} low` : p.name);
  const partner = new Map(findPairs(pins).map(([p, n]) => [called(n), p.name]));
  const lettered = letteredStems(pins);
  const aside = asideNames(pins);
  const lines = countedLines(pins.map((p) => p.name));
  const key = (p: Pin) => lines.get(p.name) ?? partner.get(called(p)) ?? aside.get(p.name) ?? p.name;
  const stemOfKey = (p: Pin) => lettered.get(p.name) ?? (lines.has(p.name) ? 'lines of counted ports' : letters(key(p)));
  const half = (p: Pin) => (partner.has(called(p)) ? 1 : 0);
  const first = new Map<string, number>();
  pins.forEach((p, i) => first.has(stemOfKey(p)) || first.set(stemOfKey(p), i));
  const stem = (p: Pin) => first.get(stemOfKey(p))!;
  return pins
    .map((pin, i) => ({ pin, i }))
    .sort((a, b) => stem(a.pin) - stem(b.pin) || compareNatural(key(a.pin), key(b.pin)) || half(a.pin) - half(b.pin) || a.i - b.i)
    .map(({ pin }) => pin);
}
