import { memo, type ReactNode } from 'react';
import { padsIn, type Pin } from '../../../core/part';
import { drawBody, drawLabels, drawStrokes, type Labelled } from '../../../core/shapes';
import { Primitives } from '../../ui/primitives';
import type { PlacedUnit } from './layout';
import { PortView } from './port-view';
import type { View } from './view';

export interface Joins {
  packageId: string | undefined;
  pads: ReadonlySet<string>;
  nodes: ReadonlyMap<string, string>;
  findings: ReadonlyMap<string, number>;
}

interface Props extends PlacedUnit {
  texts: Labelled;
  pins: ReadonlyMap<string, Pin>;
  joins: Joins;
  small: boolean;
}

/** How far labels stand out of the unit's own room, in hundredths of a step. */
const BEYOND = 400;

/**
 * The drawing of a unit for a view, of the unit's own size: the pointer is looked for in no unit but those under it. It begins at
 * a whole pixel, so that its lines fall on the same pixels as those of the units beside it.
 */
export function UnitFrame({ placed, view, children }: { placed: PlacedUnit; view: View; children: ReactNode }) {
  const { x, y, scale } = view;
  const [w, h] = [placed.halfWidth + BEYOND, placed.halfHeight + BEYOND];
  const [left, top] = [Math.floor(x + (placed.x - w) * scale), Math.floor(y + (placed.y - h) * scale)];
  const style = { left, top, width: Math.ceil(2 * w * scale) + 1, height: Math.ceil(2 * h * scale) + 1 };
  return (
    <svg style={style} className="drawing absolute overflow-visible">
      <g transform={`translate(${x - left} ${y - top}) scale(${scale})`} className="pointer-events-auto">
        {children}
      </g>
    </svg>
  );
}

/** A unit on the stage. It is drawn again only when something of its own changes. */
export const UnitView = memo(function UnitView(props: Props) {
  const { texts, unit, drawing, x, y, halfWidth, halfHeight, pins, joins, small } = props;
  const still = [...drawBody(drawing, unit.title), ...drawStrokes(drawing), ...drawLabels(texts, unit, drawing)];
  return (
    <g transform={`translate(${x} ${y})`}>
      <Ground halfWidth={halfWidth} halfHeight={halfHeight} />
      <g data-unit={unit.id}>
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
              padJoined={pin !== undefined && joins.pads.has(pin.id)}
              nodeJoined={pin !== undefined && joins.nodes.has(pin.id)}
              bad={pin !== undefined && (joins.findings.get(pin.id) ?? 0) > 0}
              small={small}
            />
          );
        })}
      </g>
    </g>
  );
});

/**
 * An area that takes the pointer under everything that the unit draws. The stage takes touch and wheel for itself, so the
 * browser keeps an area for every shape of it that no area before it covers, and adds thousands of them up at each change.
 */
function Ground({ halfWidth, halfHeight }: { halfWidth: number; halfHeight: number }) {
  const [w, h] = [halfWidth + BEYOND, halfHeight + BEYOND];
  return <rect x={-w} y={-h} width={2 * w} height={2 * h} fill="transparent" />;
}
