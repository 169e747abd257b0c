import { isFlank, type Drawing, type Edit, type Part, type Port, type Side } from '../part';
import { freeSlots, heightFor, type Move } from './slots';

/** The direction in which a side is read: downwards, or to the right. */
const forward = (side: Side): 1 | -1 => (isFlank(side) ? -1 : 1);

/** Pins that stand in the way of a dropped block go on to the next places, in their order. */
function pushAway(still: readonly Port[], side: Side, taken: Set<number>): Move[] {
  const step = forward(side);
  const moves: Move[] = [];
  for (const port of still.filter((p) => p.side === side).sort((a, b) => (a.at - b.at) * step)) {
    let at = port.at;
    while (taken.has(at)) at += step;
    taken.add(at);
    if (at !== port.at) moves.push({ port: port.id, side, at, pushed: true });
  }
  return moves;
}

/**
 * Where ports land when `held` is dropped at a place (grid steps): the block keeps its order and, on the same side,
 * its gaps; whoever stands there is pushed on.
 */
export function dropPorts(drawing: Drawing, ports: readonly string[], held: string, side: Side, at: number): Move[] {
  const ids = new Set(ports);
  const lead = drawing.ports.find((p) => p.id === held);
  if (!lead) return [];
  const moving = drawing.ports.filter((p) => ids.has(p.id));
  const sameSide = moving.every((p) => p.side === lead.side);
  const ordered = [...moving].sort((a, b) => (a.at - b.at) * forward(a.side));
  const rank = ordered.indexOf(lead);
  const moves: Move[] = ordered.map((p, i) => ({
    port: p.id,
    side,
    at: sameSide && isFlank(p.side) === isFlank(side) ? at + (p.at - lead.at) : at + (i - rank) * forward(side),
  }));
  const taken = new Set(moves.map((m) => m.at));
  return [
    ...moves,
    ...pushAway(
      drawing.ports.filter((p) => !ids.has(p.id)),
      side,
      taken,
    ),
  ];
}

/** Opens one free place before a port; it and all behind it on the side move on. */
export function openGap(drawing: Drawing, portId: string): Move[] {
  const port = drawing.ports.find((p) => p.id === portId);
  if (!port) return [];
  const step = forward(port.side);
  return drawing.ports
    .filter((p) => p.side === port.side && (p.at - port.at) * step >= 0)
    .map((p) => ({ port: p.id, side: p.side, at: p.at + step }));
}

/** Closes the gaps between ports of one side, from the first of them on. */
export function closeUp(drawing: Drawing, ports: readonly string[]): Move[] {
  const ids = new Set(ports);
  return [...new Set(drawing.ports.filter((p) => ids.has(p.id)).map((p) => p.side))].flatMap((side) => {
    const step = forward(side);
    const own = drawing.ports.filter((p) => ids.has(p.id) && p.side === side).sort((a, b) => (a.at - b.at) * step);
    const still = new Set(drawing.ports.filter((p) => !ids.has(p.id) && p.side === side).map((p) => p.at));
    let at = own[0]!.at;
    return own.map((p) => {
      while (still.has(at)) at += step;
      const move = { port: p.id, side, at };
      at += step;
      return move;
    });
  });
}

/** Moves with the body grown where they reach beyond it, as one step of undo. */
export function moveEdit(drawing: Drawing, moves: readonly Move[], title: string): Edit {
  const height = heightFor(drawing, moves);
  const move: Edit = { kind: 'movePorts', drawing: drawing.id, moves: [...moves] };
  if (height === drawing.body.height) return move;
  return { kind: 'batch', title, edits: [...growBody(drawing, height), move] };
}

/** A body grows at its lower edge: texts above it go up with its upper edge, which the centre makes move. */
function growBody(drawing: Drawing, height: number): Edit[] {
  const rise = ((height - drawing.body.height) / 2) * 100;
  const labels = drawing.labels.map((l) => ({ ...l, y: l.y > 0 ? l.y + rise : l.y - rise }));
  return [{ kind: 'changeDrawing', drawing: drawing.id, body: { height }, labels }];
}

/** Draws pins in another unit from a place on, pushing on whoever stands there. */
export function moveToUnitEdit(
  part: Part,
  pins: readonly string[],
  unitId: string,
  side: Side,
  at: number | undefined,
  length: number,
): Edit {
  const unit = part.units.find((u) => u.id === unitId)!;
  const drawing = part.drawings.find((d) => d.id === unit.drawing)!;
  const own = new Set(
    Object.entries(unit.binding)
      .filter(([, pin]) => pins.includes(pin))
      .map(([port]) => port),
  );
  const still = drawing.ports.filter((p) => !own.has(p.id));
  const free = at === undefined ? freeSlots({ ...drawing, ports: still }, side, pins.length) : pins.map((_, i) => at + i * forward(side));
  const places = pins.map((pin, i) => ({ pin, side, at: free[i]! }));
  const pushed = pushAway(still, side, new Set(free));
  const landed: Port[] = places.map((p, i) => ({ id: `new${i}`, side, at: p.at, length }));
  const height = heightFor({ ...drawing, ports: [...still, ...landed] }, pushed);
  const edits: Edit[] = [
    ...(height > drawing.body.height ? growBody(drawing, height) : []),
    ...(pushed.length > 0 ? [{ kind: 'movePorts' as const, drawing: drawing.id, moves: pushed }] : []),
    { kind: 'moveToUnit', unit: unitId, places, length, ...(at === undefined ? {} : { chosen: true }) },
  ];
  return {
    kind: 'batch',
    title: `move ${pins.length} ${pins.length === 1 ? 'pin' : 'pins'} to unit ${unit.label}`,
    edits,
  };
}
