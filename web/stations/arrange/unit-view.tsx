import { memo } from 'react';
import { padsIn, type Pin } from '../../../core/part';
import { drawBody, drawLabels, drawStrokes, type Labelled } from '../../../core/shapes';
import { Primitives } from '../../ui/primitives';
import type { PlacedUnit } from './layout';
import { PortView } from './port-view';

export interface Joins {
  packageId: string | undefined;
  pads: ReadonlySet<string>;
  nodes: ReadonlyMap<string, string>;
  findings: ReadonlyMap<string, number>;
}

interface Props extends PlacedUnit {
  texts: Labelled;
  pins: ReadonlyMap<string, Pin>;
  /** Ids of its selected pins, joined by blanks: a text, so that equal ones are equal. */
  chosen: string;
  joins: Joins;
  small: boolean;
}

/** How far labels stand out of the unit's own room, in hundredths of a step. */
const BEYOND = 400;

/** A unit on the stage. It is drawn again only when something of its own changes. */
export const UnitView = memo(function UnitView(props: Props) {
  const { texts, unit, drawing, x, y, halfWidth, halfHeight, pins, chosen, joins, small } = props;
  const selected = new Set(chosen === '' ? [] : chosen.split(' '));
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
              selected={pin !== undefined && selected.has(pin.id)}
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
