import type { Drawing } from '../../../core/part';
import type { PlacedUnit } from './layout';
import { settleOn, type Settling } from './settling';
import type { View } from './view';

const [before, now]: View[] = [
  { x: 0, y: 0, scale: 0.2 },
  { x: 0, y: 0, scale: 0.1 },
];
/** A unit of so many pins, at a place on the sheet. */
const unit = (id: string, pins: number, x: number): PlacedUnit => ({
  unit: { id, label: id, drawing: id, binding: {} } as PlacedUnit['unit'],
  drawing: { ports: Array.from({ length: pins }, (_, i) => ({ id: `${i}` })) } as Drawing,
  ...{ x, y: 0, halfWidth: 100, halfHeight: 100 },
});
const units = [unit('A', 30, 0), unit('B', 30, 500), unit('C', 30, 1000), unit('D', 200, 1500)];
const all = (view: View): Settling => new Map(units.map((u) => [u.unit.id, view]));
const step = (drawn: Settling, wanted = units, x = 1000) => settleOn(drawn, wanted, now!, { x, y: 0 });
const settled = (drawn: Settling | undefined) => [...(drawn ?? [])].flatMap(([id, view]) => (view === now ? [id] : [])).sort();

it.each<[string, Settling, number, string[]]>([
  ['two small ones that were drawn before, from the middle on', all(before!), 900, ['B', 'C']],
  ['one of those that were not, since each pin counts twice', new Map(), 0, ['A']],
  ['a large one alone', all(before!), 1600, ['D']],
])('a frame draws %s', (_, drawn, x, ids) => expect(settled(step(drawn, units, x))).toEqual(ids));

it('comes to all units, each drawn once, and then rests', () => {
  const frames: string[][] = [];
  let drawn: Settling = all(before!);
  for (let next = step(drawn); next; next = step(drawn)) frames.push(settled((drawn = next)));
  expect(frames.map((f) => f.length)).toEqual([2, 3, 4]);
});

it.each<[string, Partial<View>, boolean]>([
  ['by whole pixels is sharp', { x: 12, y: -7 }, true],
  ['by a part of a pixel is not', { x: 12.5 }, false],
  ['and zoomed is not', { scale: 0.11 }, false],
])('what is moved %s', (_, change, sharp) => expect(step(all({ ...now!, ...change })) === undefined).toBe(sharp));

it('forgets units that are wanted no more', () => {
  const rest = step(all(now!), units.slice(0, 2));
  expect([...(rest ?? [])].map(([id]) => id)).toEqual(['A', 'B']);
});
