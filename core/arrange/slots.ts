import { isFlank, type Drawing, type Part, type PortMove, type Side } from '../part';

/**
 * Work by hand on a drawing, as pure questions: where is there room, where does a port land. All places are in grid
 * steps along a side, y upwards on left and right, x on top and base.
 */

/** The places of a side that its body has, from the first (top or left) on. */
export function slotsOf(drawing: Drawing, side: Side): number[] {
  const flat = isFlank(side);
  const { width, height, strip } = drawing.body;
  const first = flat ? height / 2 - strip - 1 : -width / 2 + 1;
  const last = flat ? -height / 2 + 1 : width / 2 - 1;
  const step = flat ? -1 : 1;
  return Array.from({ length: Math.max(0, Math.abs(last - first) + 1) }, (_, i) => first + i * step);
}

export const takenOn = (drawing: Drawing, side: Side, except: ReadonlySet<string> = new Set()): Set<number> =>
  new Set(drawing.ports.filter((p) => p.side === side && !except.has(p.id)).map((p) => p.at));

/** The first free places on a side, or places beyond its end where the body must grow. */
export function freeSlots(drawing: Drawing, side: Side, count: number, except?: ReadonlySet<string>): number[] {
  const taken = takenOn(drawing, side, except);
  const slots = slotsOf(drawing, side);
  const free = slots.filter((s) => !taken.has(s));
  const step = isFlank(side) ? -1 : 1;
  let beyond = slots.at(-1) ?? 0;
  while (free.length < count) {
    beyond += step;
    if (!taken.has(beyond)) free.push(beyond);
  }
  return free.slice(0, count);
}

export type Move = PortMove;

/** Sends ports to a side, at the height they had where there is room, else at the first free place. */
export function sendToSide(drawing: Drawing, ports: readonly string[], side: Side): Move[] {
  const moving = drawing.ports.filter((p) => ports.includes(p.id));
  const except = new Set(ports);
  const taken = takenOn(drawing, side, except);
  const slots = new Set(slotsOf(drawing, side));
  return moving.map((port) => {
    const same = port.side === side || (isFlank(port.side) && isFlank(side));
    let at = same && slots.has(port.at) && !taken.has(port.at) ? port.at : undefined;
    at ??= freeSlots(
      {
        ...drawing,
        ports: [
          ...drawing.ports.filter((p) => !except.has(p.id)),
          ...[...taken].map((t, i) => ({ id: `taken${i}`, side, at: t, length: 0 })),
        ],
      },
      side,
      1,
    )[0]!;
    taken.add(at);
    return { port: port.id, side, at };
  });
}

/**
 * Moves ports one place along their side; the port that stands in the way changes places with them, so that an order is
 * set by pressing one key. `by` is 1 (up, or right) or -1. Empty where the body's end is reached.
 */
export function nudge(drawing: Drawing, ports: readonly string[], by: 1 | -1): Move[] {
  const moving = drawing.ports.filter((p) => ports.includes(p.id));
  const ids = new Set(ports);
  const moves: Move[] = moving.map((p) => ({ port: p.id, side: p.side, at: p.at + by }));
  const limits = new Map<Side, Set<number>>();
  for (const m of moves) {
    if (!limits.has(m.side)) limits.set(m.side, new Set(slotsOf(drawing, m.side)));
    if (!limits.get(m.side)!.has(m.at)) return [];
  }
  // Whoever is pushed goes to the far end of the moving block on the same side.
  for (const side of new Set(moving.map((p) => p.side))) {
    const block = moving.filter((p) => p.side === side).map((p) => p.at);
    const target = new Set(block.map((at) => at + by));
    for (const other of drawing.ports.filter((p) => p.side === side && !ids.has(p.id) && target.has(p.at))) {
      let at = other.at;
      while (target.has(at)) at -= by;
      moves.push({ port: other.id, side, at, pushed: true });
      target.add(at);
    }
  }
  return moves;
}

/** Puts ports in the given order onto the places that they have together, per side. */
export function reorder(drawing: Drawing, ordered: readonly string[]): Move[] {
  const bySide = new Map<Side, string[]>();
  for (const id of ordered) {
    const port = drawing.ports.find((p) => p.id === id);
    if (port) bySide.set(port.side, [...(bySide.get(port.side) ?? []), id]);
  }
  return [...bySide].flatMap(([side, ids]) => {
    const places = drawing.ports
      .filter((p) => ids.includes(p.id))
      .map((p) => p.at)
      .sort((a, b) => (isFlank(side) ? b - a : a - b));
    return ids.map((port, i) => ({ port, side, at: places[i]! }));
  });
}

/** The smallest even height that has room for every place in use, so that moved pins never leave the body. */
export function heightFor(drawing: Drawing, moves: readonly Move[] = []): number {
  const moved = new Map(moves.map((m) => [m.port, m]));
  const ats = drawing.ports
    .map((p) => moved.get(p.id) ?? p)
    .filter((p) => isFlank(p.side))
    .map((p) => p.at);
  const reach = Math.max(0, ...ats.map((at) => Math.max((at + drawing.body.strip + 1) * 2, (1 - at) * 2)));
  return Math.max(drawing.body.height, reach + (reach % 2));
}

/** The units that a pin is drawn in. */
export const unitsWithPin = (part: Part, pinId: string) => part.units.filter((u) => Object.values(u.binding).includes(pinId));
