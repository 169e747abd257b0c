import type { Port, Side } from '../drawing';
import { freshId } from '../fresh-id';
import type { Part } from '../part';
import { EditError, plural, type EditRule } from './edit-rule';
import { ownDrawing, unplace } from './unplace';

/** Draws pins in a unit, taking them out of the units they stood in. `at` is in grid steps. */
export interface MoveToUnit {
  kind: 'moveToUnit';
  unit: string;
  places: { pin: string; side: Side; at: number }[];
  /** Length of new ports, in grid steps. */
  length: number;
}

export const moveToUnit: EditRule<MoveToUnit> = {
  apply(part, { unit: unitId, places, length }) {
    if (!part.units.some((u) => u.id === unitId)) throw new EditError(`there is no unit ${unitId}`);
    const free = ownDrawing(unplace(part, new Set(places.map((p) => p.pin))), unitId);
    return places.reduce((p, spot) => addPort(p, unitId, spot, length), free);
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
