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

/** A pin on the stage, with its kite tip. It is drawn again only when something of its own changes. */
export const PortView = memo(function PortView({ body, hide, names, port, pin, pads, selected, padJoined, nodeJoined, bad, small }: Props) {
  const items = drawPort({ body, ...(hide ? { hide } : {}), ...(names ? { names } : {}) }, port, pin, pads === '' ? [] : pads.split(','));
  const { x, y } = connectPoint(body, port);
  const flat = isFlank(port.side);
  const [hx, hy] = flat ? [port.length * 100, 70] : [70, port.length * 100];
  const [cx, cy] = [x * 100, -y * 100];
  const left = port.side === 'left' ? cx - 30 : port.side === 'right' ? cx - hx : cx - hx / 2;
  const top = port.side === 'top' ? cy - 30 : port.side === 'base' ? cy - hy : cy - hy / 2;
  return (
    <g data-port={port.id} data-pin={pin?.id} className="cursor-grab">
      {selected ? <rect className="halo" x={left} y={top} width={flat ? hx + 30 : hx} height={flat ? hy : hy + 30} rx={30} /> : null}
      <rect x={left} y={top} width={flat ? hx + 30 : hx} height={flat ? hy : hy + 30} fill="transparent" />
      <Primitives items={small ? items.filter((p) => p.kind !== 'text') : items} />
      <Tip x={cx} y={cy} padJoined={padJoined} nodeJoined={nodeJoined} bad={bad} />
    </g>
  );
});

/** The kite at a connect point: left half for pads, right half for the model's node, a thick brick outline for a finding. */
function Tip({ x, y, padJoined, nodeJoined, bad }: { x: number; y: number; padJoined: boolean; nodeJoined: boolean; bad: boolean }) {
  const [w, h] = [22, 28];
  const full = padJoined && nodeJoined;
  return (
    <>
      <path d={`M${x} ${y - h}l${w} ${h}l${-w} ${h}l${-w} ${-h}z`} className={`tip ${bad ? 'tip-bad' : ''} ${full ? 'tip-whole' : ''}`} />
      {padJoined !== nodeJoined ? <path d={`M${x} ${y - h}l${padJoined ? -w : w} ${h}L${x} ${y + h}z`} className="tip-half" /> : null}
    </>
  );
}
