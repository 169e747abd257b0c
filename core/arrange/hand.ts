import { anyNumber, isFlank, nameOnDrawing, type Drawing, type Edit, type Part, type Pin, type Port, type Side } from '../part';
import { labelsFor } from './draw';
import { reorder, type Move } from './slots';

/**
 * Hand work on many pins at once, as pure questions that give moves or edits. Places are grid steps along a side, y upwards
 * on left and right, x on top and base.
 */
/** In the order in which a side is read: downwards, or to the right. */
const inReading = (ports: readonly Port[]): Port[] => [...ports].sort((a, b) => (isFlank(a.side) ? b.at - a.at : a.at - b.at));
const sidesOf = (ports: readonly Port[]): Port[][] =>
  [...new Set(ports.map((p) => p.side))].map((side) => inReading(ports.filter((p) => p.side === side)));
const chosen = (drawing: Drawing, ids: readonly string[]): Port[] => drawing.ports.filter((p) => ids.includes(p.id));

/** Spreads ports evenly between the first and the last of them on each side, as far as the grid allows. */
export const distribute = (drawing: Drawing, ids: readonly string[]): Move[] =>
  sidesOf(chosen(drawing, ids)).flatMap((ports) => {
    const [first, last] = [ports[0]!, ports.at(-1)!];
    const taken = new Set(drawing.ports.filter((p) => p.side === first.side && !ids.includes(p.id)).map((p) => p.at));
    const used = new Set<number>();
    const step = isFlank(first.side) ? -1 : 1;
    return ports.map((port, i) => {
      const even = ports.length < 2 ? port.at : Math.round(first.at + ((last.at - first.at) * i) / (ports.length - 1));
      let at = even;
      while (taken.has(at) || used.has(at)) at += step;
      used.add(at);
      return { port: port.id, side: port.side, at };
    });
  });

/** Two ports change places, sides included. */
export function swapPorts(drawing: Drawing, ids: readonly string[]): Move[] {
  const [a, b] = chosen(drawing, ids);
  if (!a || !b || ids.length !== 2) return [];
  return [
    { port: a.id, side: b.side, at: b.at },
    { port: b.id, side: a.side, at: a.at },
  ];
}

/** What stands at the left goes to the right at the same height, and the other way; top and base are turned over too. */
export const mirror = (drawing: Drawing): Move[] =>
  drawing.ports.map((p) => ({
    port: p.id,
    side: p.side === 'left' ? 'right' : p.side === 'right' ? 'left' : p.side,
    at: isFlank(p.side) ? p.at : -p.at,
  }));

/** A body shape says itself at which end a pin stands: an amplifier's output is at its tip. Only the others can be mirrored. */
export const canMirror = ({ body }: Drawing): boolean => body.shape === 'block' || body.shape === 'none';

export const SORTS = ['name', 'number', 'type', 'group'] as const;
export type Sort = (typeof SORTS)[number];

/** Sorts ports on the places that they have together, side by side. */
export function sortPorts(
  part: Part,
  drawing: Drawing,
  ids: readonly string[],
  by: Sort,
  compare: (a: string, b: string) => number,
): Move[] {
  const unit = part.units.find((u) => u.drawing === drawing.id);
  const pins = new Map(part.pins.map((p) => [p.id, p]));
  const keyOf = (port: Port): string => {
    const pin = pins.get(unit?.binding[port.id] ?? '');
    return pin ? KEYS[by](pin) : '';
  };
  const sorted = inReading(chosen(drawing, ids)).sort((a, b) => compare(keyOf(a), keyOf(b)));
  return reorder(
    drawing,
    sorted.map((p) => p.id),
  );
}

const KEYS: Record<Sort, (pin: Pin) => string> = {
  name: (p) => nameOnDrawing(p),
  number: anyNumber,
  type: (p) => p.type,
  group: (p) => p.group ?? '',
};

/** How far a body's edge can be pulled in before it would leave a pin behind, as the least size in even steps. */
function leastSize(drawing: Drawing, axis: 'width' | 'height'): number {
  const ats = drawing.ports.filter((p) => isFlank(p.side) === (axis === 'height')).map((p) => p.at);
  const span = ats.length === 0 ? 0 : Math.max(...ats) - Math.min(...ats) + 2 + (axis === 'height' ? drawing.body.strip : 0);
  return Math.max(2, span + (span % 2));
}

/**
 * Moves one edge of a body by grid steps, outwards positive; pairs of steps, since the body stays centred. Pins keep their
 * distance to the other edge, those on the edge go with it. Undefined where nothing would change.
 */
export function resizeEdit(drawing: Drawing, edge: Side, by: number): Edit | undefined {
  const axis = isFlank(edge) ? 'width' : 'height';
  const limit = axis === 'width' ? 400 : 2000;
  const size = Math.min(limit, Math.max(leastSize(drawing, axis), drawing.body[axis] + 2 * Math.round(by / 2)));
  const grown = size - drawing.body[axis];
  if (grown === 0) return undefined;
  // The centre moves by half of what an edge moves, so what stays in place moves against it.
  const shift = (grown / 2) * (edge === 'right' || edge === 'top' ? -1 : 1);
  const moves = drawing.ports
    .filter((p) => isFlank(p.side) === (axis === 'height'))
    .map((p) => ({ port: p.id, side: p.side, at: p.at + shift }));
  const half = (grown / 2) * 100;
  const labels = drawing.labels.map((l) =>
    axis === 'width' ? { ...l, x: l.x + Math.sign(l.x) * half } : { ...l, y: l.y + Math.sign(l.y) * half },
  );
  const edits: Edit[] = [{ kind: 'changeDrawing', drawing: drawing.id, body: { [axis]: size }, labels }];
  if (moves.length > 0) edits.push({ kind: 'movePorts', drawing: drawing.id, moves, following: true });
  return { kind: 'batch', title: 'resize the body', edits };
}

/** Gives a drawing the size and text places of another, as far as its pins allow. */
export function alignEdit(drawing: Drawing, like: Drawing): Edit {
  const width = Math.max(leastSize(drawing, 'width'), like.body.width);
  const reach = Math.max(
    0,
    ...drawing.ports.filter((p) => isFlank(p.side)).map((p) => Math.max((p.at + drawing.body.strip + 1) * 2, (1 - p.at) * 2)),
  );
  const height = Math.max(reach, like.body.height);
  return { kind: 'changeDrawing', drawing: drawing.id, body: { width, height }, labels: labelsFor(width, height) };
}

/** The pins whose names fit a pattern: `*` stands for anything, `?` for one character; a case is not looked at. */
export function pinsNamed(pins: readonly Pin[], pattern: string): Pin[] {
  const words = pattern.trim().split(/\s+/).filter(Boolean);
  const shapes = words.map(
    (w) =>
      new RegExp(
        `^${w
          .replace(/[.+^${}()|[\]\\]/g, '\\$&')
          .replace(/\*/g, '.*')
          .replace(/\?/g, '.')}$`,
        'i',
      ),
  );
  return shapes.length === 0 ? [] : pins.filter((p) => shapes.some((s) => s.test(p.name) || s.test(nameOnDrawing(p))));
}

/** The name that a bus of pins has: `D[7:0]` of D7 to D0; undefined where the names are no run of one stem. */
export function busName(pins: readonly Pin[]): { name: string; pins: Pin[] } | undefined {
  const read = pins.map((pin) => ({ pin, match: /^(.*?)[[(<_]?(\d+)[\])>]?$/.exec(pin.name) }));
  const [first] = read;
  if (pins.length < 2 || !first?.match || read.some((r) => r.match?.[1] !== first.match![1])) return undefined;
  const sorted = read.map((r) => ({ pin: r.pin, bit: Number(r.match![2]) })).sort((a, b) => b.bit - a.bit);
  if (sorted.some((r, i) => i > 0 && sorted[i - 1]!.bit - r.bit !== 1)) return undefined;
  return { name: `${first.match[1]}[${sorted[0]!.bit}:${sorted.at(-1)!.bit}]`, pins: sorted.map((r) => r.pin) };
}
