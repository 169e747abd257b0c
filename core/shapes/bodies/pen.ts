import { isFlank, type Side } from '../../part';
import { arcPoints } from '../arc';
import type { Frame } from './body-shape';
import type { Primitive } from '../picture';

/** Strokes that body shapes are made of; all in hundredths of a step, y upwards. */
export type Point = [number, number];

export const path = (...points: Point[]): Primitive => ({ kind: 'polyline', points, weight: 'body' });
export const closed = (...points: Point[]): Primitive => ({ kind: 'polygon', points, weight: 'body', filled: true });
export const thin = (...points: Point[]): Primitive => ({ kind: 'polyline', points, weight: 'pin' });
export const ring = (x: number, y: number, r: number): Primitive => ({ kind: 'circle', x, y, r, weight: 'body' });
export const box = (left: number, top: number, right: number, base: number): Primitive =>
  closed([left, top], [right, top], [right, base], [left, base]);

/** An arc through three points. */
export const arc = (a: Point, b: Point, c: Point): Primitive => ({ kind: 'polyline', points: arcPoints([a, b, c]), weight: 'body' });

/** The joint of the pins of one end, which stand at places along a side, at the frame's edge. */
export function joint(side: Side, { w, h }: Frame, places: readonly number[]): Primitive {
  const [first, last] = [Math.min(...places), Math.max(...places)];
  const edge = side === 'left' ? -w : side === 'right' ? w : side === 'top' ? h : -h;
  return isFlank(side) ? thin([edge, first], [edge, last]) : thin([first, edge], [last, edge]);
}

export const sign = (x: number, y: number, text: string, size = 64): Primitive => ({
  kind: 'text',
  x,
  y,
  text,
  size,
  anchor: 'middle',
  role: 'mark',
});

/** A line with a filled head at its end. */
export function arrow([x1, y1]: Point, [x2, y2]: Point, head = 34): Primitive[] {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const [bx, by] = [x2 - ux * head, y2 - uy * head];
  const half = head * 0.42;
  return [
    thin([x1, y1], [bx, by]),
    {
      kind: 'polygon',
      points: [
        [x2, y2],
        [bx - uy * half, by + ux * half],
        [bx + uy * half, by - ux * half],
      ],
      weight: 'pin',
      solid: true,
    },
  ];
}
