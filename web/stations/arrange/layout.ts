import { connectPoint, isFlank, type Drawing, type Part, type Port, type Side, type Unit } from '../../../core/part';

export interface PlacedUnit {
  unit: Unit;
  drawing: Drawing;
  /** The drawing's centre on the sheet, in hundredths of a step, y downwards. */
  x: number;
  y: number;
  /** Half the room that the unit takes, pins and texts counted. */
  halfWidth: number;
  halfHeight: number;
}

const GAP = 400;

/** Lays units out on one sheet in rows, as near to the shape of a screen as their sizes allow. */
export function layoutUnits(part: Part): PlacedUnit[] {
  const drawings = new Map(part.drawings.map((d) => [d.id, d]));
  const sized = part.units.flatMap((unit) => {
    const drawing = drawings.get(unit.drawing);
    return drawing ? [{ unit, drawing, ...halfSize(drawing) }] : [];
  });
  const area = sized.reduce((a, u) => a + (u.halfWidth * 2 + GAP) * (u.halfHeight * 2 + GAP), 0);
  const limit = Math.max(Math.sqrt(area * 2.7), ...sized.map((u) => u.halfWidth * 2));
  const placed: PlacedUnit[] = [];
  let [x, y, rowHeight] = [0, 0, 0];
  for (const u of sized) {
    const [w, h] = [u.halfWidth * 2, u.halfHeight * 2];
    if (x > 0 && x + w > limit) [x, y, rowHeight] = [0, y + rowHeight + GAP, 0];
    // On the grid, so that connect points of all units stand on the dots of the sheet.
    placed.push({ ...u, x: snap(x + u.halfWidth), y: snap(y + u.halfHeight) });
    x += w + GAP;
    rowHeight = Math.max(rowHeight, h);
  }
  return placed;
}

const snap = (n: number): number => Math.round(n / 100) * 100;

const sizes = new WeakMap<Drawing, { halfWidth: number; halfHeight: number }>();

/** Drawings are never written into, so a drawing's size is worked out once. */
function halfSize(drawing: Drawing): { halfWidth: number; halfHeight: number } {
  const known = sizes.get(drawing) ?? measure(drawing);
  sizes.set(drawing, known);
  return known;
}

function measure({ body, ports }: Drawing): { halfWidth: number; halfHeight: number } {
  let [across, along] = [0, 0];
  for (const { side, length } of ports)
    if (isFlank(side)) across = Math.max(across, length);
    else along = Math.max(along, length);
  return { halfWidth: (body.width / 2 + across + 1) * 100, halfHeight: (body.height / 2 + along + 2) * 100 };
}

/** Where the connect point of a port stands on the sheet, in hundredths of a step, y downwards. */
export function onSheet({ drawing, x, y }: PlacedUnit, port: Port): { x: number; y: number } {
  const point = connectPoint(drawing.body, port);
  return { x: x + point.x * 100, y: y - point.y * 100 };
}

export interface Target {
  unit: PlacedUnit;
  side: Side;
  at: number;
}

/** The unit, side and place (grid steps) that a point of the sheet means for a pin. */
export function targetAt(units: readonly PlacedUnit[], x: number, y: number): Target | undefined {
  const near = units.find((u) => Math.abs(x - u.x) <= u.halfWidth + 150 && Math.abs(y - u.y) <= u.halfHeight + 150);
  if (!near) return undefined;
  const [dx, dy] = [(x - near.x) / 100, -(y - near.y) / 100];
  const { width, height } = near.drawing.body;
  const away: [Side, number][] = [
    ['left', Math.abs(dx + width / 2)],
    ['right', Math.abs(dx - width / 2)],
    ['top', Math.abs(dy - height / 2)],
    ['base', Math.abs(dy + height / 2)],
  ];
  // Top and base are meant only clearly beyond the body; along its flanks a pin stays at the flank.
  const upright = Math.abs(dy) > height / 2 + 0.6 && Math.abs(dx) < width / 2;
  const side = (upright ? away.slice(2) : away.slice(0, 2)).sort((a, b) => a[1] - b[1])[0]![0];
  return { unit: near, side, at: Math.round(upright ? dx : dy) };
}
