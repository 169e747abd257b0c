import { memo, useState } from 'react';
import { inwardOf, isFlank, connectPoint, type Body, type Drawing, type Pin, type Port, type Side } from '../../../core/part';
import { drawPort } from '../../../core/shapes';
import { Primitives } from '../../ui/primitives';

interface Shown {
  hide: Drawing['hide'];
  names: Drawing['names'];
  pin: Pin | undefined;
  /** Pad numbers in the package in view, joined by commas: a text, so that equal ones are equal. */
  pads: string;
  padJoined: boolean;
  nodeJoined: boolean;
  bad: boolean;
  /** Too small to read: texts are left out. */
  small: boolean;
}

/** How far beyond its connect point a pin can be grasped, in hundredths of a step. */
const OUTSIDE = 30;
/** Half the width of what is grasped. */
const BESIDE = 35;

/**
 * A pin on the stage, with its kite tip. A pin that is moved along its side, or with the edge of its body, looks as it did: it
 * is put elsewhere and not drawn again.
 */
export const PortView = memo(function PortView({ body, port, ...shown }: Shown & { body: Body; port: Port }) {
  const { side, at, length, marks, hide, turned } = port;
  const [home, setHome] = useState({ body, side, at, length });
  if (!looksAlike(home, body, port)) setHome({ body, side, at, length });
  const [to, from] = [connectPoint(body, port), connectPoint(home.body, { ...port, at: home.at })];
  const [x, y] = [(to.x - from.x) * 100, (from.y - to.y) * 100];
  return (
    <g
      data-port={port.id}
      data-pin={shown.pin?.id}
      // A transform is one thing more for the browser to keep in order, so that only what was moved has one.
      transform={x === 0 && y === 0 ? undefined : `translate(${x} ${y})`}
      className="cursor-grab"
    >
      <PortFigure {...shown} body={home.body} at={home.at} side={side} length={length} marks={marks} hidden={hide} turned={turned} />
    </g>
  );
});

/** Whether a port looks as where it was drawn: always at a block; at the body of another shape lines are longer or shorter from place to place. */
const looksAlike = (home: { body: Body; side: Side; at: number; length: number }, body: Body, port: Port): boolean =>
  home.side === port.side &&
  home.length === port.length &&
  (home.body === body
    ? body.shape === 'block' || home.at === port.at
    : home.body.shape === 'block' && body.shape === 'block' && home.body.strip === body.strip);

type Figure = Shown & Pick<Port, 'side' | 'at' | 'length' | 'marks' | 'turned'> & { body: Body; hidden: Port['hide'] };

/** Its shapes are lines and polygons: places of rectangles and paths are styles to the browser, worked out anew for each that moves. */
const PortFigure = memo(function PortFigure(figure: Figure) {
  const { body, side, at, length, marks, hidden, turned, hide, names, pin, pads, padJoined, nodeJoined, bad, small } = figure;
  const port: Port = {
    id: '',
    side,
    at,
    length,
    ...(marks ? { marks } : {}),
    ...(hidden ? { hide: hidden } : {}),
    ...(turned ? { turned } : {}),
  };
  const items = drawPort({ body, ...(hide ? { hide } : {}), ...(names ? { names } : {}) }, port, pin, pads === '' ? [] : pads.split(','));
  const { x, y } = connectPoint(body, port);
  const flat = isFlank(side);
  const [cx, cy] = [x * 100, -y * 100];
  // From a little outside of the connect point to the body, where the pin's line ends.
  const inward = inwardOf(side);
  const [near, far] = [-OUTSIDE * inward, length * 100 * inward];
  const [x1, x2] = flat ? [cx + near, cx + far] : [cx, cx];
  const [y1, y2] = flat ? [cy, cy] : [cy + near, cy + far];
  const [dx, dy] = flat ? [0, BESIDE] : [BESIDE, 0];
  return (
    <>
      <polygon fill="transparent" points={`${x1 - dx},${y1 - dy} ${x2 - dx},${y2 - dy} ${x2 + dx},${y2 + dy} ${x1 + dx},${y1 + dy}`} />
      <Primitives items={small ? items.filter((p) => p.kind !== 'text') : items} />
      <Tip x={cx} y={cy} padJoined={padJoined} nodeJoined={nodeJoined} bad={bad} />
    </>
  );
});

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
