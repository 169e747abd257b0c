import type { Stroke } from '../../../core/part';

/** Tools for free artwork, in the order of the bar. */
export const TOOLS = ['select', 'line', 'polyline', 'polygon', 'rectangle', 'circle', 'arc', 'text'] as const;
export type Tool = (typeof TOOLS)[number];

/** How a line goes from one point to the next: straight, by a right angle, or by half of one. */
export const BENDS = ['free', 'square', 'slanted'] as const;
export type Bend = (typeof BENDS)[number];

type Point = [number, number];

/** The most points that a tool takes before it is done by itself. */
export const MOST_POINTS: Record<Tool, number> = {
  select: 0,
  line: 2,
  polyline: Infinity,
  polygon: Infinity,
  rectangle: 2,
  circle: 2,
  arc: 3,
  text: 1,
};

/** A point on tenths of a grid step, in hundredths. */
export const snapped = (x: number, y: number): Point => [Math.round(x / 10) * 10 + 0, Math.round(y / 10) * 10 + 0];

/** The points that lead to the next one: with a bend, the corner comes before it. */
export function bent(from: Point | undefined, to: Point, bend: Bend): Point[] {
  if (!from || bend === 'free') return [to];
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  if (dx === 0 || dy === 0 || Math.abs(dx) === Math.abs(dy)) return [to];
  if (bend === 'square') return [[to[0], from[1]], to];
  const run = Math.min(Math.abs(dx), Math.abs(dy));
  const corner: Point = [to[0] - Math.sign(dx) * run, to[1] - Math.sign(dy) * run];
  return [corner, to];
}

/** The tools whose lines can bend; the corners of a rectangle and the points of an arc are what was clicked. */
export const canBend = (tool: Tool): boolean => tool === 'line' || tool === 'polyline' || tool === 'polygon';

/** The stroke that a tool makes of its points; undefined while they are too few. A sketch shows what is there so far. */
export function finished(tool: Tool, points: readonly Point[], sketch = false): Stroke | undefined {
  const list = points.filter((p, i) => i === 0 || p[0] !== points[i - 1]![0] || p[1] !== points[i - 1]![1]);
  const [a, b, c] = list;
  if (!a || tool === 'select') return undefined;
  if (tool === 'text') return { kind: 'text', points: [a], text: 'Text', size: 64 };
  if (!b) return undefined;
  switch (tool) {
    case 'circle':
      return { kind: 'circle', points: [a], radius: Math.max(10, Math.round(Math.hypot(b[0] - a[0], b[1] - a[1]) / 10) * 10) };
    case 'rectangle':
      return a[0] === b[0] || a[1] === b[1] ? undefined : { kind: 'rectangle', points: [a, b] };
    case 'arc':
      return c ? { kind: 'arc', points: [a, b, c] } : sketch ? { kind: 'line', points: [a, b] } : undefined;
    case 'polygon':
      return list.length > 2 ? { kind: 'polygon', points: list } : sketch ? { kind: 'line', points: [a, b] } : undefined;
    default:
      return list.length === 2 ? { kind: 'line', points: [a, b] } : { kind: 'polyline', points: list };
  }
}

/** A stroke's points as typed: `0,0 1.5,-0.2`, in steps. */
export const pointsText = (stroke: Stroke): string => stroke.points.map(([x, y]) => `${x / 100},${y / 100}`).join(' ');

/** Points from what was typed, on tenths of a step; undefined where it is none. */
export function readPoints(text: string): Point[] | undefined {
  const points = text
    .trim()
    .split(/[\s;]+/)
    .map((pair) => /^(-?\d+(?:\.\d+)?),(-?\d+(?:\.\d+)?)$/.exec(pair.replace('−', '-')));
  if (points.length === 0 || points.some((p) => !p)) return undefined;
  const read = points.map((p) => snapped(Number(p![1]) * 100, Number(p![2]) * 100));
  return read.some(([x, y]) => Math.abs(x) > 50_000 || Math.abs(y) > 50_000) ? undefined : read;
}
