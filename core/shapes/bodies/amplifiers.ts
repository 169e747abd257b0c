import { isFlank, type Side } from '../../part';
import type { BodyDef, Frame, ShapePort } from './body-shape';
import { INVERTER } from './gates';
import { closed, path, sign } from './pen';

/** How far below the frame's upper edge (or above the lower) the flank of the triangle lies. */
const flank = (side: Side, at: number, { w, h }: Frame): number => (isFlank(side) ? 0 : (h * (at + w)) / (2 * w));
const triangle = ({ w, h }: Frame) => closed([-w, h], [w, 0], [-w, -h]);

const INPUTS: ShapePort[] = [
  { role: 'in-', side: 'left', at: 1 },
  { role: 'in+', side: 'left', at: -1 },
  { role: 'output', side: 'right', at: 0 },
  { role: 'supply+', side: 'top', at: 0, optional: true },
  { role: 'supply-', side: 'base', at: 0, optional: true },
];
const signs = ({ w }: Frame, ports: readonly { side: Side; at: number }[]) => {
  const left = ports.filter((p) => p.side === 'left').map((p) => p.at);
  const [upper, lower] = [Math.max(1, ...left), Math.min(-1, ...left)];
  return [sign(-w + 46, upper * 100, '−'), sign(-w + 46, lower * 100, '+')];
};

export const AMPLIFIERS = {
  amplifier: {
    title: 'Amplifier',
    standard: 'IEC 60617-13, operational amplifier; IEEE 315 clause 6',
    letters: 'U',
    active: true,
    width: 6,
    height: 6,
    ports: INPUTS,
    words: /amplifier|op-?amp|follower/i,
    draw: (frame, ports) => [triangle(frame), ...signs(frame, ports)],
    edge: flank,
  },
  comparator: {
    title: 'Comparator',
    standard: 'IEC 60617-13, comparator; IEEE 315 clause 6',
    letters: 'U',
    active: true,
    width: 6,
    height: 6,
    ports: INPUTS,
    words: /comparator/i,
    draw: (frame, ports) => [triangle(frame), ...signs(frame, ports), path([-20, -34], [24, -34], [24, 34], [68, 34])],
    edge: flank,
  },
  buffer: {
    title: 'Buffer',
    standard: 'IEEE 91a, distinctive shape; IEEE 315 clause 6',
    letters: 'U',
    active: true,
    width: 4,
    height: 4,
    ports: [
      { role: 'input', side: 'left', at: 0 },
      { role: 'output', side: 'right', at: 0 },
      { role: 'supply+', side: 'top', at: 0, optional: true },
      { role: 'ground', side: 'base', at: 0, optional: true },
    ],
    words: /buffer|receiver|inverter|driver|schmitt/i,
    inverted: INVERTER,
    draw: (frame) => [triangle(frame)],
    edge: flank,
  },
} satisfies Record<string, BodyDef>;
