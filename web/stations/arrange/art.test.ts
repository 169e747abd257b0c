import { bent, canBend, finished, pointsText, readPoints, snapped, TOOLS, type Bend, type Tool } from './art';

it.each<[number, number, [number, number]]>([
  [14, -16, [10, -20]],
  [-3, 4, [0, 0]],
])('a point at %f, %f stands on tenths', (x, y, at) => expect(snapped(x, y)).toEqual(at));

it.each<[Bend, [number, number], [number, number][]]>([
  ['free', [30, 10], [[30, 10]]],
  [
    'square',
    [30, 10],
    [
      [30, 0],
      [30, 10],
    ],
  ],
  [
    'slanted',
    [30, 10],
    [
      [20, 0],
      [30, 10],
    ],
  ],
  ['square', [30, 0], [[30, 0]]],
  ['slanted', [30, -30], [[30, -30]]],
])('%s to %j', (bend, to, points) => expect(bent([0, 0], to, bend)).toEqual(points));

it('bends lines only', () => expect(TOOLS.filter(canBend)).toEqual(['line', 'polyline', 'polygon']));

it.each<[Tool, [number, number][], unknown]>([
  ['line', [[0, 0]], undefined],
  [
    'line',
    [
      [0, 0],
      [10, 0],
    ],
    {
      kind: 'line',
      points: [
        [0, 0],
        [10, 0],
      ],
    },
  ],
  [
    'polyline',
    [
      [0, 0],
      [0, 0],
      [10, 0],
      [10, 10],
    ],
    {
      kind: 'polyline',
      points: [
        [0, 0],
        [10, 0],
        [10, 10],
      ],
    },
  ],
  [
    'polygon',
    [
      [0, 0],
      [10, 0],
    ],
    undefined,
  ],
  [
    'rectangle',
    [
      [0, 0],
      [0, 10],
    ],
    undefined,
  ],
  [
    'rectangle',
    [
      [0, 0],
      [20, 10],
    ],
    {
      kind: 'rectangle',
      points: [
        [0, 0],
        [20, 10],
      ],
    },
  ],
  [
    'circle',
    [
      [0, 0],
      [30, 40],
    ],
    { kind: 'circle', points: [[0, 0]], radius: 50 },
  ],
  [
    'arc',
    [
      [0, 0],
      [10, 10],
    ],
    undefined,
  ],
  ['text', [[5, 5]], { kind: 'text', points: [[5, 5]], text: 'Text', size: 64 }],
])('%s of %j', (tool, points, stroke) => expect(finished(tool, points)).toEqual(stroke));

it.each<[string, [number, number][] | undefined]>([
  [
    '0,0 1.5,-0.2',
    [
      [0, 0],
      [150, -20],
    ],
  ],
  ['1,2', [[100, 200]]],
  ['1 2', undefined],
  ['', undefined],
  ['9999,0', undefined],
])('“%s” is read as points', (text, points) => {
  expect(readPoints(text)).toEqual(points);
  if (points) expect(readPoints(pointsText({ kind: 'line', points }))).toEqual(points);
});
