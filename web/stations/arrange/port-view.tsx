import { memo } from 'react';
import { isFlank, connectPoint, type Body, type Drawing, type Pin, type Port } from '../../../core/part';
import { drawPort } from '../../../core/shapes';
import { Primitives } from '../../ui/primitives';

interface Props {
  body: Body;
  hide: Drawing['hide'];
  names: Drawing['names'];
  port: Port;
  pin: Pin | undefined;
  /** Pad numbers in the package in view, joined by commas: a text, so that equal ones are equal. */
  pads: string;
  selected: boolean;
  padJoined: boolean;
  nodeJoined: boolean;
  bad: boolean;
  /** Too small to read: texts are left out. */
  small: boolean;
}

/** How far beyond its connect point a pin can be grasped, in hundredths of a step. */
const OUTSIDE = 30;
/** Half the width of what is grasped and of a halo, whose round ends stand out by it. */
const ROUND = 35;

/**
 * A pin on the stage, with its kite tip. It is drawn again only when something of its own changes. Its shapes are lines and
 * polygons: places of rectangles and paths are styles to the browser, worked out anew for each that moves.
 */
export const PortView = memo(function PortView({ body, hide, names, port, pin, pads, selected, padJoined, nodeJoined, bad, small }: Props) {
  const items = drawPort({ body, ...(hide ? { hide } : {}), ...(names ? { names } : {}) }, port, pin, pads === '' ? [] : pads.split(','));
  const { x, y } = connectPoint(body, port);
  const flat = isFlank(port.side);
  const [cx, cy] = [x * 100, -y * 100];
  // From a little outside of the connect point to the body, where the pin's line ends.
  const inward = port.side === 'left' || port.side === 'top' ? 1 : -1;
  const [near, far] = [-OUTSIDE * inward, port.length * 100 * inward];
  const [x1, x2] = flat ? [cx + near, cx + far] : [cx, cx];
  const [y1, y2] = flat ? [cy, cy] : [cy + near, cy + far];
  const [dx, dy] = flat ? [0, ROUND] : [ROUND, 0];
  return (
    <g data-port={port.id} data-pin={pin?.id} className="cursor-grab">
      {selected ? <Halo x={cx} y={cy} to={far - ROUND * inward} flat={flat} /> : null}
      <polygon fill="transparent" points={`${x1 - dx},${y1 - dy} ${x2 - dx},${y2 - dy} ${x2 + dx},${y2 + dy} ${x1 + dx},${y1 + dy}`} />
      <Primitives items={small ? items.filter((p) => p.kind !== 'text') : items} />
      <Tip x={cx} y={cy} padJoined={padJoined} nodeJoined={nodeJoined} bad={bad} />
    </g>
  );
});

/** Around a pin's line, from its connect point to the body. */
function Halo({ x, y, to, flat }: { x: number; y: number; to: number; flat: boolean }) {
  return <line className="halo" x1={x} y1={y} x2={flat ? x + to : x} y2={flat ? y : y + to} />;
}

/** The kite at a connect point: left half for pads, right half for the model's node, a thick brick outline for a finding. */
function Tip({ x, y, padJoined, nodeJoined, bad }: { x: number; y: number; padJoined: boolean; nodeJoined: boolean; bad: boolean }) {
  const [w, h] = [22, 28];
  const full = padJoined && nodeJoined;
  return (
    <>
      <polygon
        points={`${x},${y - h} ${x + w},${y} ${x},${y + h} ${x - w},${y}`}
        className={`tip ${bad ? 'tip-bad' : ''} ${full ? 'tip-whole' : ''}`}
      />
      {padJoined !== nodeJoined ? (
        <polygon points={`${x},${y - h} ${padJoined ? x - w : x + w},${y} ${x},${y + h}`} className="tip-half" />
      ) : null}
    </>
  );
}
