import { provenPart } from '../../../core/test/samples';
import { isFar } from './gestures/gesture';
import { layoutUnits, targetAt } from './layout';
import { inView } from './view';

const units = layoutUnits(provenPart());
const [first] = units;
const body = first!.drawing.body;
const atStep = (dx: number, dy: number) => targetAt(units, first!.x + dx * 100, first!.y - dy * 100);

it('lays all units out on the grid, apart from each other', () => {
  expect(units).toHaveLength(3);
  for (const u of units) expect([u.x % 100, u.y % 100]).toEqual([0, 0]);
  units.forEach((a, i) =>
    units
      .slice(i + 1)
      .forEach((b) =>
        expect(Math.abs(a.x - b.x) >= a.halfWidth + b.halfWidth || Math.abs(a.y - b.y) >= a.halfHeight + b.halfHeight).toBe(true),
      ),
  );
});

it.each<[string, number, number, string, number]>([
  ['the left flank', -body.width / 2 - 1, 1.2, 'left', 1],
  ['the right flank', body.width / 2 + 1, -0.7, 'right', -1],
  ['inside, nearer to the left', -1, 0, 'left', 0],
  ['over the body', 1.1, body.height / 2 + 1, 'top', 1],
  ['under the body', 0, -body.height / 2 - 1, 'base', 0],
])('a pin dropped at %s lands there', (_where, dx, dy, side, at) =>
  expect(atStep(dx, dy)).toMatchObject({ side, at: at === 0 ? expect.any(Number) : at, unit: first }),
);

it('a pin dropped far from every unit lands nowhere', () => expect(targetAt(units, -90_000, -90_000)).toBeUndefined());

it('draws only the units in view', () => {
  const scale = 0.2;
  const view = { x: -(first!.x * scale) + 50, y: -(first!.y * scale) + 50, scale };
  expect(inView(units, view, 100, 100).map((u) => u.unit.id)).toContain(first!.unit.id);
  expect(inView(units, { x: 1e6, y: 1e6, scale }, 100, 100)).toEqual([]);
});

it('takes a click with an unsteady hand for a click', () =>
  expect([isFar({ x: 0, y: 0 }, 2, 2), isFar({ x: 0, y: 0 }, 5, 0)]).toEqual([false, true]));
