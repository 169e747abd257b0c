import { memo } from 'react';
import { inwardOf, isFlank } from '../../../core/part';
import { onSheet, type PlacedUnit } from './layout';

/** How far the round end of a halo stands out of its line, in hundredths of a step. */
const ROUND = 35;

interface Props {
  units: readonly PlacedUnit[];
  /** Ids of the selected pins. */
  selected: ReadonlySet<string>;
}

/** Halos around the lines of all selected pins, from their connect points to the bodies: one figure, whatever their number. */
export const Halos = memo(function Halos({ units, selected }: Props) {
  if (selected.size === 0) return null;
  return <path className="halo" d={units.flatMap((unit) => halosOf(unit, selected)).join('')} />;
});

function halosOf(placed: PlacedUnit, selected: ReadonlySet<string>): string[] {
  const { unit, drawing } = placed;
  return drawing.ports.flatMap((port) => {
    if (!selected.has(unit.binding[port.id] ?? '')) return [];
    const to = (port.length * 100 - ROUND) * inwardOf(port.side);
    const { x, y } = onSheet(placed, port);
    return `M${x} ${y}${isFlank(port.side) ? 'h' : 'v'}${to}`;
  });
}
