import { compareTerminals, groupBy, padsIn, type Edit, type Package, type Part, type Pin } from '../part';
import { meetPads } from './join-by-number';
import { walkPads } from './walk';

/** What an automatic join would do: which pin gets which pads, and what it could not place. */
export interface PadJoin {
  joins: { pin: string; pads: string[] }[];
  /** Sentences on what is left, for the preview. */
  left: string[];
}

export const joinEdit = (packageId: string, { joins }: PadJoin): Edit => ({ kind: 'joinPads', package: packageId, joins });

/** The edit that gives a pin one pad more; what it has that the land has not, such as an EP that now has a number, goes. */
export function addPadEdit(pin: Pin, pkg: Package, pad: string): Edit & { kind: 'joinPads' } {
  const known = new Set(pkg.land.pads.map((p) => p.number));
  const pads = padsIn(pin, pkg.id).filter((n) => known.has(n) && n !== pad);
  return { kind: 'joinPads', package: pkg.id, joins: [{ pin: pin.id, pads: [...pads, pad] }] };
}

/** Pins that have no pad of the package's land yet. */
const loosePins = (part: Part, packageId: string): Pin[] => {
  const known = new Set(part.packages.find((p) => p.id === packageId)?.land.pads.map((p) => p.number));
  return part.pins.filter((p) => !padsIn(p, packageId).some((n) => known.has(n)));
};

/** Gives each pin the pads that it has in another package, where the land has them. */
export function joinByNumber(part: Part, packageId: string, from: string): PadJoin {
  const free = new Set(meetPads(part, packageId).padsWithoutPin);
  const joins = loosePins(part, packageId).flatMap((pin) => {
    const pads = padsIn(pin, from).filter((n) => free.has(n));
    return pads.length > 0 ? [{ pin: pin.id, pads }] : [];
  });
  const taken = new Set(joins.flatMap((j) => j.pads));
  const open = [...free].filter((n) => !taken.has(n));
  return { joins, left: open.length > 0 ? [`Pads without a pin: ${open.slice(0, 12).join(', ')}${open.length > 12 ? ' …' : ''}`] : [] };
}

/** Gives each loose pin the free pads that have its name: lands of transistors and jacks name their pads A, K, G, TIP. */
export function joinByName(part: Part, packageId: string): PadJoin {
  const free = meetPads(part, packageId).padsWithoutPin;
  const joins = loosePins(part, packageId).flatMap((pin) => {
    const pads = free.filter((n) => n.toLowerCase() === pin.name.toLowerCase());
    return pads.length > 0 ? [{ pin: pin.id, pads }] : [];
  });
  return { joins, left: joins.length === 0 ? ['No free pad has the name of a pin.'] : [] };
}

/**
 * Gives loose pins in their order the free pads in the walk around the package, from a start pad onwards or backwards.
 * A wrong order is a wrong board, so that this is always a preview.
 */
export function joinByOrder(part: Part, packageId: string, pins: readonly string[], start: string, direction: 1 | -1): PadJoin {
  const pads = part.packages.find((p) => p.id === packageId)?.land.pads ?? [];
  const walk = walkPads(pads);
  const free = new Set(meetPads(part, packageId).padsWithoutPin);
  const from = Math.max(0, walk.indexOf(start));
  const turn = walk.map((_, i) => walk[(from + direction * i + walk.length * 2) % walk.length]!).filter((n) => free.has(n));
  const joins = pins.slice(0, turn.length).map((pin, i) => ({ pin, pads: [turn[i]!] }));
  const rest = pins.length - joins.length;
  return { joins, left: rest > 0 ? [`${rest} ${rest === 1 ? 'pin finds' : 'pins find'} no free pad.`] : [] };
}

/**
 * A pasted list of two columns, pad and pin name in either order, separated by blanks, tab, comma, semicolon, = or ->.
 * A name that several pins have takes them one after the other; what is in no list stays as it is.
 */
export function joinByList(part: Part, packageId: string, text: string): PadJoin {
  const known = new Set(part.packages.find((p) => p.id === packageId)?.land.pads.map((p) => p.number));
  const plain = (name: string) => name.toLowerCase().replace(/[−–]/g, '-');
  const byName = new Map<string, string[]>();
  for (const p of part.pins) byName.set(plain(p.name), [...(byName.get(plain(p.name)) ?? []), p.id]);
  // PA0 is enough for PA0/ADC0, where no pin is named so and no other begins so.
  for (const [first, same] of groupBy(
    part.pins.filter((p) => p.name.includes('/')),
    (p) => plain(p.name.split('/')[0]!),
  ))
    if (same.length === 1 && first !== '' && !byName.has(first)) byName.set(first, [same[0]!.id]);
  const pads = new Map<string, string[]>();
  const left: string[] = [];
  const seen = new Map<string, number>();
  text.split(/\r\n?|\n/).forEach((line, i) => {
    const cells = line
      .trim()
      .split(/\s*(?:[\t,;]|->|→|=)\s*|\s+/)
      .filter((c) => c !== '');
    if (cells.length === 0) return;
    const [a = '', b = ''] = cells;
    const isPadFirst = known.has(a) && byName.has(plain(b)) ? true : !(known.has(b) || byName.has(plain(a))) || byName.has(plain(b));
    const [pad, name] = isPadFirst ? [a, b] : [b, a];
    const pins = byName.get(plain(name));
    if (cells.length !== 2 || !pins || !known.has(pad))
      return void left.push(`Line ${i + 1}, “${line.trim().slice(0, 40)}”: ${why(cells, pins, known.has(pad))}`);
    const turn = seen.get(plain(name)) ?? 0;
    seen.set(plain(name), turn + 1);
    // One pin of that name takes all of its pads, several take one each.
    const pin = pins[Math.min(turn, pins.length - 1)]!;
    pads.set(pin, [...(pads.get(pin) ?? []), pad]);
  });
  const joins = [...pads].map(([pin, list]) => ({ pin, pads: list.sort(compareTerminals) }));
  return { joins, left };
}

const why = (cells: readonly string[], pins: unknown, hasPad: boolean): string =>
  cells.length !== 2
    ? 'it has not two columns.'
    : !pins && !hasPad
      ? 'no such pad and no such pin.'
      : pins
        ? 'the land has no such pad.'
        : 'no pin has that name.';
