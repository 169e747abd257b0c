import { memo } from 'react';
import { padsIn, type Part, type Pin } from '../../../core/part';
import { drawBody, drawLabels, drawStrokes } from '../../../core/shapes';
import { Primitives } from '../../ui/primitives';
import type { PlacedUnit } from './layout';
import { PortView } from './port-view';

export interface Joins {
  packageId: string | undefined;
  pads: ReadonlySet<string>;
  nodes: ReadonlyMap<string, string>;
  findings: ReadonlyMap<string, number>;
}

interface Props {
  part: Part;
  placed: PlacedUnit;
  pins: ReadonlyMap<string, Pin>;
  selected: ReadonlySet<string>;
  joins: Joins;
  small: boolean;
}

export const UnitView = memo(function UnitView({ part, placed, pins, selected, joins, small }: Props) {
  const { unit, drawing, x, y } = placed;
  const still = [...drawBody(drawing, unit.title), ...drawStrokes(drawing), ...drawLabels(part, unit, drawing)];
  return (
    <g transform={`translate(${x} ${y})`} data-unit={unit.id}>
      <Primitives items={small ? still.filter((p) => p.kind !== 'text' || p.role === 'reference' || p.role === 'title') : still} />
      {small ? (
        <text
          x={0}
          y={0}
          textAnchor="middle"
          dominantBaseline="central"
          fontSize={Math.min(drawing.body.width * 45, drawing.body.height * 40)}
          className="value"
          fontWeight={700}
        >
          {unit.label}
        </text>
      ) : null}
      {drawing.ports.map((port) => {
        const pin = pins.get(unit.binding[port.id] ?? '');
        return (
          <PortView
            key={port.id}
            body={drawing.body}
            hide={drawing.hide}
            names={drawing.names}
            port={port}
            pin={pin}
            pads={pin ? padsIn(pin, joins.packageId).join(',') : ''}
            selected={pin !== undefined && selected.has(pin.id)}
            padJoined={pin !== undefined && joins.pads.has(pin.id)}
            nodeJoined={pin !== undefined && joins.nodes.has(pin.id)}
            bad={pin !== undefined && (joins.findings.get(pin.id) ?? 0) > 0}
            small={small}
          />
        );
      })}
    </g>
  );
});
