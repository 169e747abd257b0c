import { anyNumber, carriesPower, groupBy, type Pin, type Side } from '../part';
import type { PinGroup } from './groups';

/** A ground or a rail of one of two sides by its name: GND1, VCC2, VDDA, GND_ISO, VISO. */
const OF_SIDE = /^(?:P|S)?(?:GND|VSS|VCC|VDD|COM|V)_?(1|2|A|B|I|O|ISO|LOGIC|BUS|PRI|SEC)$|^(?:GISO|VISO|ISOGND)$/i;
/** That the sides are apart: words of an isolator, or of its sides. */
const APART = /\bisolat|\bgalvanic|\bside [12AB]\b|\b(logic|bus|primary|secondary|input|output|low-voltage|high-voltage)[- ]side\b/i;
/** Pins that an isolator has at least. */
const LEAST = 8;

/**
 * The sides of a package that an isolator's pins are on, where its two sides are apart: numbers in two rows, each with a ground
 * of its own, and words of an isolation. Such a part is read as its package is: what is on one side of the barrier stands on one
 * side of the drawing. By pin id; nothing for any other part.
 */
function domainsOf(pins: readonly Pin[]): [string, Side][] {
  const numbers = pins.map((p) => Number(anyNumber(p)));
  const most = numbers.length;
  if (most < LEAST || most % 2 === 1 || new Set(numbers).size !== most || numbers.some((n) => !(n >= 1 && n <= most))) return [];
  const sideOf = new Map(pins.map((p, i): [string, Side] => [p.id, numbers[i]! <= most / 2 ? 'left' : 'right']));
  const power = (side: Side) => pins.filter((p) => carriesPower(p.type) && sideOf.get(p.id) === side);
  const [left, right] = [power('left'), power('right')];
  const namesOf = (side: readonly Pin[]) => new Set(side.map((p) => p.name));
  const hasOwn = (side: readonly Pin[]) => side.some((p) => p.type === 'ground' && OF_SIDE.test(p.name)) && side.some((p) => p.type !== 'ground'); // prettier-ignore
  const areApart = hasOwn(left) && hasOwn(right) && ![...namesOf(left)].some((name) => namesOf(right).has(name));
  return areApart && pins.some((p) => APART.test(p.description ?? '')) ? [...sideOf] : [];
}

/** The side that a name's last character tells: A and 1 are the one side of a translator, B and 2 the other. */
const SIDE_OF: Readonly<Record<string, Side>> = { A: 'left', B: 'right', '1': 'left', '2': 'right' };

/**
 * The sides of what translates between two rails, `VREF1` and `VREF2`, each line of which is on both: `SCL1` stands across from
 * `SCL2`, each rail with its own. By pin id; nothing for any other part.
 */
function translated(pins: readonly Pin[]): [string, Side][] {
  const rails = pins.filter((p) => p.type === 'supply-in');
  const lines = pins.filter((p) => p.type === 'bidirectional');
  const ends = (of: readonly Pin[]) => of.map((p) => p.name.at(-1)).sort();
  const areBoth = (of: readonly Pin[]) => ['AB', '12'].includes(ends(of).join(''));
  const inTwos = (of: readonly Pin[]) => [...groupBy(of, (p) => p.name.slice(0, -1)).values()].every(areBoth);
  const isOne = rails.length === 2 && lines.length >= 4 && inTwos(rails) && inTwos(lines);
  return isOne ? [...rails, ...lines].map((p) => [p.id, SIDE_OF[p.name.at(-1)!]!]) : [];
}

/** What a switch chooses for: the end that the others share. */
const COMMON = /\bcommon\b|\bantenna\b/i;
/** A line of the bus that controls a switch, and none that it passes on. */
const OF_CONTROL = /^(SDA|SDIO)\d?$/i;

/**
 * The sides of a multiplexer: the ends that are common stand across from those that they choose from. By pin id; nothing for a
 * part that has other lines that go both ways.
 */
function multiplexed(pins: readonly Pin[]): [string, Side][] {
  const lines = pins.filter((p) => p.type === 'bidirectional' && !OF_CONTROL.test(p.name));
  const isCommon = ({ description, name }: Pin) => COMMON.test(description ?? '') || /^((RFC|COM)\d?|[DZ])$/i.test(name);
  const commons = lines.filter(isCommon);
  const others = lines.filter((p) => !isCommon(p));
  // `X0` to `X7`, `RF1` and `RF2`: counted, each like another.
  const areThrows = others.every((p) => /\d[A-D]?$/.test(p.name)) && others.length >= 2 * commons.length;
  return commons.length > 0 && others.length > 1 && areThrows ? lines.map((p) => [p.id, isCommon(p) ? 'left' : 'right']) : [];
}

/** What drives a coupler, and what it drives. */
const [LIGHT, DRIVEN] = [/\b(anode|cathode)\b/i, /\b(main terminal|drain|source|collector|emitter|output|load|contact)\b/i];

/** The sides of a coupler that no shape draws: the diode that gives light stands across from what it turns on. By pin id. */
function coupled(pins: readonly Pin[]): [string, Side][] {
  const ends = pins.filter((p) => p.type !== 'no-connect');
  const light = ends.filter((p) => LIGHT.test(p.description ?? p.name));
  const driven = ends.filter((p) => !light.includes(p) && DRIVEN.test(p.description ?? ''));
  const isWhole = light.length > 1 && driven.length > 1 && light.length + driven.length === ends.length;
  const areBoth = light.some((p) => /anode/i.test(p.description ?? '')) && light.some((p) => /cathode/i.test(p.description ?? ''));
  return isWhole && areBoth && ends.every((p) => p.type === 'passive') ? ends.map((p) => [p.id, light.includes(p) ? 'left' : 'right']) : [];
}

/** The side that words name, of a part that stands between two: the chip's or the line's of a transformer. */
const SAID: readonly [RegExp, Side][] = [
  [/\b(chip|phy|host|primary|controller)[- ]side\b/i, 'left'],
  [/\b(line|cable|media|secondary)\b(?! (driver|receiver))/i, 'right'],
];

/** The sides of ends that words name, where both are named and every end is of one; nothing for a part with anything else. By pin id. */
function said(pins: readonly Pin[]): [string, Side][] {
  const ends = pins.filter((p) => p.type !== 'no-connect');
  if (ends.some((p) => carriesPower(p.type))) return [];
  const sides = ends.map((p): [string, Side | undefined] => [p.id, SAID.find(([words]) => words.test(p.description ?? ''))?.[1]]);
  const named = sides.filter((s): s is [string, Side] => s[1] !== undefined);
  const areMost = named.length > 0.6 * ends.length && new Set(named.map(([, side]) => side)).size === 2;
  return areMost ? sides.map(([id, side]) => [id, side ?? 'left']) : [];
}

/** The two ends of what has nothing else but its case on ground, a crystal or a filter, stand across from each other. By pin id. */
function twoEnds(pins: readonly Pin[]): [string, Side][] {
  const ends = pins.filter((p) => p.type !== 'no-connect' && p.type !== 'ground');
  return ends.length === 2 && ends.every((p) => p.type === 'passive') ? [[ends[0]!.id, 'left'], [ends[1]!.id, 'right']] : []; // prettier-ignore
}

/** The sides of ports that go through, from A to B, by pin id: 1A and 2A stand across from 1B and 2B. */
function portsAB(groups: readonly PinGroup[]): [string, Side][] {
  const ports = groups.filter((g) => /^\d?[AB]$/.test(g.title) && g.pins.every((p) => p.type === 'bidirectional'));
  const sizes = (letter: string) => ports.filter((g) => g.title.endsWith(letter)).map((g) => `${g.title.slice(0, -1)} ${g.pins.length}`);
  const [a, b] = [sizes('A').sort().join(), sizes('B').sort().join()];
  // A switch has one end on one side.
  const isSwitch = ports.length === 2 && ports.some((g) => g.pins.length === 1);
  return a === b || isSwitch
    ? ports.flatMap((g) => g.pins.map((p): [string, Side] => [p.id, g.title.endsWith('A') ? 'left' : 'right']))
    : [];
}

/**
 * The sides that ports, rails and ends have by what the part is, by pin id, an isolator's before all; what is not there stands as
 * its role has it.
 */
export function sidesByKind(groups: readonly PinGroup[]): ReadonlyMap<string, Side> {
  const pins = groups.flatMap((g) => g.pins);
  return new Map([
    ...twoEnds(pins),
    ...said(pins),
    ...coupled(pins),
    ...multiplexed(pins),
    ...portsAB(groups),
    ...translated(pins),
    ...domainsOf(pins),
  ]);
}
