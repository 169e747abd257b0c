import { gridOf } from './grid';

it.each<[string, [number, number][], number | undefined, number, number]>([
  ['the house’s step where all points stand on it', [[0, 0], [20, 10]], 0.254, 2.54, 10],
  ['a usual step where they stand on that', [[0, 0], [5, 15]], 0.254, 2.54, 5],
  ['the house’s step where none fits, so that points are moved', [[0, 3], [20, 0]], 0.254, 2.54, 10],
  ['the greatest common step where no scale is given', [[0, 0], [30, 60]], undefined, 2.54, 30],
  ['the least distance where the common step would be a hair', [[0, 0], [1000, 0], [1999, 0]], undefined, 2.54, 999],
  ['one unit where there is a single point', [[0, 0]], undefined, 2.54, 1],
])('takes %s', (_what, points, unitMm, stepMm, grid) => expect(gridOf(points, unitMm, stepMm)).toBeCloseTo(grid)); // prettier-ignore
