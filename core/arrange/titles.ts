import { compareNatural, goesOut, type Pin } from '../part';
import type { PinGroup } from './groups';
import { kindOf } from './kinds';

/** The most names in a title. */
const MOST = 3;

/** What one of several equal discrete parts is, by what its leads are called. */
const DISCRETE: readonly [RegExp, string][] = [
  [/\bresistors?\b/i, 'Resistor'],
  [/\bcapacitors?\b/i, 'Capacitor'],
  [/\b(drain|source|gate|collector|emitter|base)\b/i, 'Transistor'],
  [/\b(anode|cathode)\b/i, 'Diode'],
  [/\b(contact|pole|throw)\b/i, 'Contact'],
];

/** What a channel of these pins is called: `Transistor` of a gate, a drain and a source, `Channel` where signals go in and out. */
export function wordOfChannel(pins: readonly Pin[]): string {
  if (pins.some((p) => goesOut(p.type))) return 'Channel';
  return DISCRETE.find(([words]) => pins.every((p) => words.test(p.description ?? '')))?.[1] ?? 'Channel';
}

/** Letters that a title has room for over a body of usual width. */
const LONGEST = 28;

/**
 * What a part is in few words, for the title of its only unit: `Low-power, 24-bit bridge converter with SPI` is a 24-bit
 * bridge converter. Where that is still too long, the last words of it, which name the thing. Undefined where none fit.
 */
export function shortTitle(description: string): string | undefined {
  if (description !== '' && description.length <= LONGEST && !description.includes(',')) return description;
  const what = description
    .split(/ (?:with|for|using|having|featuring|including|in an?|and its) /i)[0]!
    .split(/[,;:] /)
    .map((part) => part.trim())
    .find((part) => /\s/.test(part) && /(?:^|[\s-])(?!bit$)[A-Za-z]{3,}$/i.test(part));
  const words = what?.split(/\s+/) ?? [];
  while (words.length > 1 && words.join(' ').length > LONGEST) words.shift();
  // A single adjective or a hyphen's half says too little.
  if (words.length < 2) return undefined;
  const title = words.join(' ');
  return title.charAt(0).toUpperCase() + title.slice(1);
}

/** Groups that say nothing of what their pins do name no unit that has others. */
const WORDLESS = /^(signals|inputs|outputs|not used)$/i;

/**
 * The title of a unit by its groups: `Ports A to D`, `CAM0 to CAM3`, `Clock and Debug`. Families of one word with a number or
 * letter are put together, three or more of clock, control, debug and configuration are the system. What makes up most of a
 * unit names it alone; of more than three names the largest stand, in their order.
 */
export function titleOf(groups: readonly PinGroup[]): string {
  if (groups.length === 1 && WORDLESS.test(groups[0]!.title) && groups[0]!.pins.every((p) => /\bcoil\b/i.test(p.description ?? '')))
    return 'Coil';
  const telling = groups.filter((g) => !WORDLESS.test(g.title));
  const named = families(telling.length > 0 ? inSystems(telling) : groups);
  const all = named.reduce((n, f) => n + f.pins, 0);
  const most = named.find((f) => f.pins >= 0.85 * all);
  if (most) return most.title;
  if (named.length <= MOST) return inWords(named.map((n) => n.title));
  const largest = [...named].sort((a, b) => b.pins - a.pins).slice(0, MOST - 1);
  return `${named
    .filter((n) => largest.includes(n))
    .map((n) => n.title)
    .join(', ')} and ${named.length - MOST + 1} more`;
}

/** Three or more groups of one thing are called by it. */
function inSystems(groups: readonly PinGroup[]): PinGroup[] {
  const memory = asOne(groups, 'Memory', (g) => /^(Data|Address|Command)$/.test(g.title));
  return asOne(memory, 'System', (g) => kindOf(g) === 'system');
}

function asOne(groups: readonly PinGroup[], title: string, isOf: (group: PinGroup) => boolean): PinGroup[] {
  const of = groups.filter(isOf);
  if (of.length < 3) return [...groups];
  const whole: PinGroup = { title, pins: of.flatMap((g) => g.pins), power: false };
  return groups.flatMap((g) => (g === of[0] ? [whole] : of.includes(g) ? [] : [g]));
}

const inWords = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

type Named = { title: string; pins: number };

function families(groups: readonly PinGroup[]): Named[] {
  const byStem = new Map<string, { stem: string; blank: string; indices: string[]; pins: number }>();
  for (const { title, pins } of groups) {
    const match = /^(.*?[A-Za-z])(\s*)(\d+|(?<=\s)[A-Z])$/.exec(title);
    const [stem, blank, index] = match ? [match[1]!, match[2]!, match[3]!] : [title, '', ''];
    const known = byStem.get(stem + blank) ?? { stem, blank, indices: [], pins: 0 };
    byStem.set(stem + blank, { ...known, indices: [...known.indices, index], pins: known.pins + pins.length });
  }
  return [...byStem.values()].map(({ stem, blank, indices, pins }) => ({ title: familyTitle(stem, blank, indices), pins }));
}

function familyTitle(stem: string, blank: string, given: readonly string[]): string {
  const indices = [...new Set(given)].sort(compareNatural);
  const [first, last] = [indices[0]!, indices.at(-1)!];
  if (indices.length === 1) return `${stem}${blank}${first}`;
  const word = blank === '' ? stem : `${stem}s${blank}`;
  if (isRun(indices)) return blank === '' ? `${stem}${first} to ${stem}${last}` : `${word}${first} to ${last}`;
  return blank === '' ? inWords(indices.map((i) => stem + i)) : `${word}${inWords(indices)}`;
}

const order = (index: string): number => (/^\d+$/.test(index) ? Number(index) : index.charCodeAt(0));
const isRun = (indices: readonly string[]): boolean =>
  indices.length > 2 && indices.every((x, i) => i === 0 || order(x) - order(indices[i - 1]!) === 1);
