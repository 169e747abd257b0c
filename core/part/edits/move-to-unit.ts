import type { Port, Side } from '../drawing';
import { freshId } from '../fresh-id';
import type { Part } from '../part';
import { EditError, plural, type EditRule } from './edit-rule';
import { markPlaced } from './mark-placed';
import { ownDrawing, unplace } from './unplace';

/** Draws pins in a unit, taking them out of the units they stood in, and marks them as put there by hand. */
export interface MoveToUnit {
  kind: 'moveToUnit';
  unit: string;
  /** `at` is in grid steps from the drawing's centre. */
  places: { pin: string; side: Side; at: number }[];
  /** The places are a person's choice too, and not only the unit. */
  chosen?: boolean;
  /** Length of new ports, in grid steps. */
  length: number;
}

export const moveToUnit: EditRule<MoveToUnit> = {
  apply(part, { unit: unitId, places, chosen, length }) {
    if (!part.units.some((u) => u.id === unitId)) throw new EditError(`there is no unit ${unitId}`);
    const moved = new Set(places.map((p) => p.pin));
    const drawn = places.reduce((p, spot) => addPort(p, unitId, spot, length), ownDrawing(unplace(part, moved), unitId));
    return { ...drawn, pins: chosen ? markPlaced(part.pins, moved, 'unit', 'place') : markPlaced(part.pins, moved, 'unit') };
  },
  describe: ({ places }) => `draw ${plural(places.length, 'pin')} in a unit`,
};

function addPort(part: Part, unitId: string, spot: MoveToUnit['places'][number], length: number): Part {
  const unit = part.units.find((u) => u.id === unitId)!;
  const drawing = part.drawings.find((d) => d.id === unit.drawing)!;
  const port: Port = {
    id: freshId('t', new Set(drawing.ports.map((p) => p.id))),
    side: spot.side,
    at: spot.at,
    length: drawing.ports[0]?.length ?? length,
  };
  return {
    ...part,
    drawings: part.drawings.map((d) => (d === drawing ? { ...d, ports: [...d.ports, port] } : d)),
    units: part.units.map((u) => (u === unit ? { ...u, binding: { ...u.binding, [port.id]: spot.pin } } : u)),
  };
}
