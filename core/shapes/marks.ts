import type { Mark, Side } from '../part';
import { MARK_WIDTH, type Primitive } from './picture';

/**
 * Qualifying symbols of IEC 60617-12 / IEEE 91. Each is drawn for a pin at the left side with the body's edge at x = 0
 * and the inside at positive x, then turned to its side. `outside` marks stand on the pin's line and shorten it.
 */
interface MarkShape {
  /** Name and number of the symbol in IEC 60617-12. */
  standard: string;
  place: 'outside' | 'inside';
  /** `dx` is where an inside mark starts, after the ones before it. */
  draw(dx: number): Primitive[];
}

const line = (points: [number, number][]): Primitive => ({ kind: 'polyline', points, weight: 'mark' });
const closed = (points: [number, number][]): Primitive => ({ kind: 'polygon', points, weight: 'mark' });

export const MARK_SHAPES: Record<Mark, MarkShape> = {
  negation: {
    standard: 'logic negation, 12-07-01',
    place: 'outside',
    draw: () => [{ kind: 'circle', x: -20, y: 0, r: 20, weight: 'mark' }],
  },
  polarity: {
    standard: 'polarity indicator, 12-07-03',
    place: 'outside',
    draw: () => [
      line([
        [-45, 0],
        [0, 32],
        [0, 0],
      ]),
    ],
  },
  clock: {
    standard: 'dynamic input, 12-07-07',
    place: 'inside',
    draw: () => [
      line([
        [0, 28],
        [42, 0],
        [0, -28],
      ]),
    ],
  },
  'open-drain': {
    standard: 'open-circuit output, L-type, 12-09-05',
    place: 'inside',
    draw: (dx) => [
      closed([
        [dx + 12, 2],
        [dx + 32, 22],
        [dx + 52, 2],
        [dx + 32, -18],
      ]),
      line([
        [dx + 12, -24],
        [dx + 52, -24],
      ]),
    ],
  },
  'open-source': {
    standard: 'open-circuit output, H-type, 12-09-04',
    place: 'inside',
    draw: (dx) => [
      closed([
        [dx + 12, -2],
        [dx + 32, 18],
        [dx + 52, -2],
        [dx + 32, -22],
      ]),
      line([
        [dx + 12, 24],
        [dx + 52, 24],
      ]),
    ],
  },
  'three-state': {
    standard: 'three-state output, 12-09-08',
    place: 'inside',
    draw: (dx) => [
      closed([
        [dx + 12, 18],
        [dx + 52, 18],
        [dx + 32, -20],
      ]),
    ],
  },
  hysteresis: {
    standard: 'bi-threshold input, 12-09-02',
    place: 'inside',
    draw: (dx) => [
      line([
        [dx + 8, -18],
        [dx + 38, -18],
        [dx + 38, 18],
      ]),
      line([
        [dx + 26, -18],
        [dx + 26, 18],
        [dx + 56, 18],
      ]),
    ],
  },
};

/** Room that marks outside the body take from the pin's line, in hundredths of a step. */
export const outsideWidth = (marks: readonly Mark[]): number => (marks.includes('negation') ? 40 : marks.includes('polarity') ? 45 : 0);

/** Room that marks inside the body take before the name, in hundredths of a step. */
export const insideWidth = (marks: readonly Mark[]): number => marks.filter((m) => MARK_SHAPES[m].place === 'inside').length * MARK_WIDTH;

/** The marks of a pin, turned to its side, with the pin meeting the body at (x, y). */
export function drawMarks(marks: readonly Mark[], side: Side, x: number, y: number): Primitive[] {
  let dx = 0;
  return marks.flatMap((mark) => {
    const shape = MARK_SHAPES[mark];
    const drawn = shape.draw(dx);
    if (shape.place === 'inside') dx += MARK_WIDTH;
    return drawn.map((p) => turn(p, side, x, y));
  });
}

/** Sides turn about the pin; on the right the shape is mirrored, so that an L-type bar stays below. */
const TURNS: Record<Side, (p: [number, number]) => [number, number]> = {
  left: ([x, y]) => [x, y],
  right: ([x, y]) => [-x, y],
  top: ([x, y]) => [y, -x],
  base: ([x, y]) => [y, x],
};

function turn(p: Primitive, side: Side, x: number, y: number): Primitive {
  const at = (point: [number, number]): [number, number] => {
    const [a, b] = TURNS[side](point);
    return [x + a, y + b];
  };
  if (p.kind === 'polyline' || p.kind === 'polygon') return { ...p, points: p.points.map(at) };
  if (p.kind === 'circle') {
    const [cx, cy] = at([p.x, p.y]);
    return { ...p, x: cx, y: cy };
  }
  return p;
}
