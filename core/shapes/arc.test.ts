import fc from 'fast-check';
import { arcPoints } from './arc';

type Point = [number, number];
const ends = (list: Point[]) => [list[0]!, list.at(-1)!].map(([x, y]) => [Math.round(x) + 0, Math.round(y) + 0]);
const nearest = (list: Point[], [x, y]: Point) => Math.min(...list.map(([px, py]) => Math.hypot(px - x, py - y)));

it.each<[string, Point[]]>([
  [
    'over the top',
    [
      [-100, 0],
      [0, 100],
      [100, 0],
    ],
  ],
  [
    'under the base',
    [
      [-100, 0],
      [0, -100],
      [100, 0],
    ],
  ],
  [
    'three quarters round',
    [
      [100, 0],
      [0, 100],
      [0, -100],
    ],
  ],
])('runs %s, from the first point through the second to the third', (_how, points) => {
  const arc = arcPoints(points);
  expect(ends(arc)).toEqual([points[0], points[2]]);
  expect(nearest(arc, points[1]!)).toBeLessThan(15);
  for (const [x, y] of arc) expect(Math.hypot(x, y)).toBeCloseTo(100, 6);
});

it('leaves points on a line, and too few, as they are', () => {
  expect(
    arcPoints([
      [0, 0],
      [1, 1],
      [2, 2],
    ]),
  ).toEqual([
    [0, 0],
    [1, 1],
    [2, 2],
  ]);
  expect(
    arcPoints([
      [0, 0],
      [1, 1],
    ]),
  ).toEqual([
    [0, 0],
    [1, 1],
  ]);
});

it('property: begins and ends where it should, at one distance from its centre', () => {
  const point = fc.tuple(fc.integer({ min: -1000, max: 1000 }), fc.integer({ min: -1000, max: 1000 }));
  fc.assert(
    fc.property(point, point, point, (a, b, c) => {
      const area = Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (c[0] - a[0]) * (b[1] - a[1]));
      fc.pre(area > 1000);
      const arc = arcPoints([a, b, c]);
      expect(Math.hypot(arc[0]![0] - a[0], arc[0]![1] - a[1])).toBeLessThan(0.01);
      expect(Math.hypot(arc.at(-1)![0] - c[0], arc.at(-1)![1] - c[1])).toBeLessThan(0.01);
    }),
  );
});
