import type { Side } from '../drawing';
import type { Part } from '../part';
import { EditError, plural, replaceById, type EditRule } from './edit-rule';
import { markPlaced } from './mark-placed';

export interface PortMove {
  port: string;
  side: Side;
  at: number;
  /** It only makes room for another: no place that a person chose. */
  pushed?: true;
}

/** Moves ports along or across sides. `at` is in grid steps from the drawing's centre. */
export interface MovePorts {
  kind: 'movePorts';
  drawing: string;
  moves: PortMove[];
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
    const chosen = following ? [] : moves.filter((m) => !m.pushed);
    const placed = pinsAt(part, drawing, new Set(chosen.map((m) => m.port)));
    return { ...part, drawings, pins: markPlaced(part.pins, placed, 'place') };
  },
  describe: ({ moves }) => `move ${plural(moves.length, 'pin')}`,
};

/** The pins that units draw at some ports of their drawing. */
function pinsAt(part: Part, drawing: string, ports: ReadonlySet<string>): Set<string> {
  const own = part.units.filter((u) => u.drawing === drawing);
  return new Set(own.flatMap((u) => Object.entries(u.binding).flatMap(([port, pin]) => (ports.has(port) ? [pin] : []))));
}
