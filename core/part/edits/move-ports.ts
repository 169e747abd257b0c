import type { Side } from '../drawing';
import type { Part } from '../part';
import { EditError, plural, replaceById, type EditRule } from './edit-rule';

/** Moves ports along or across sides. `at` is in grid steps from the drawing's centre. */
export interface MovePorts {
  kind: 'movePorts';
  drawing: string;
  moves: { port: string; side: Side; at: number }[];
  /** The pins only follow something else, such as the body's edge: no place that a person chose. */
  following?: boolean;
}

export const movePorts: EditRule<MovePorts> = {
  apply(part, { drawing, moves, following }) {
    if (moves.some((m) => !Number.isInteger(m.at))) throw new EditError('a port stands on the grid only');
    const byPort = new Map(moves.map((m) => [m.port, m]));
    const drawings = replaceById(part.drawings, [drawing], (d) => ({
      ...d,
      ports: replaceById(d.ports, [...byPort.keys()], (port) => {
        const { side, at } = byPort.get(port.id)!;
        return { ...port, side, at };
      }),
    }));
    return { ...part, drawings, pins: following ? part.pins : markPlaced(part, drawing, byPort) };
  },
  describe: ({ moves }) => `move ${plural(moves.length, 'pin')}`,
};

/** A place set by hand is kept by later planning. Where all of them were before, the pins stay the same list. */
function markPlaced(part: Part, drawing: string, moved: ReadonlyMap<string, unknown>): Part['pins'] {
  const own = part.units.filter((u) => u.drawing === drawing);
  const placed = new Set(own.flatMap((u) => Object.entries(u.binding).flatMap(([port, pin]) => (moved.has(port) ? [pin] : []))));
  const isNew = (p: Part['pins'][number]) => placed.has(p.id) && !p.byHand?.includes('place');
  if (!part.pins.some(isNew)) return part.pins;
  return part.pins.map((p) => (isNew(p) ? { ...p, byHand: [...(p.byHand ?? []), 'place' as const] } : p));
}
