import { isFlank, type Side } from '../../part';
import type { BodyDef, ShapePort } from './body-shape';
import type { Primitive } from '../picture';

const PASSIVES = 'IEC 60617-4; IEEE 315 clause 2';
export const ENDS: ShapePort[] = [
  { role: '1', side: 'left', at: 0, repeats: true },
  { role: '2', side: 'right', at: 0, repeats: true },
];
export const leads = (inset: number) => (side: Side) => (isFlank(side) ? inset : 0);

/** Two ends, the body between them; `inset` is how long the leads are inside the frame. */
export const twoEnds = (
  title: string,
  letters: string,
  words: RegExp,
  inset: number,
  picture: Primitive[],
  more: Partial<BodyDef> = {},
): BodyDef => ({
  title,
  standard: PASSIVES,
  letters,
  width: 4,
  height: 2,
  ports: ENDS,
  words,
  needsWords: true,
  draw: () => picture,
  edge: leads(inset),
  ...more,
});

/** What is around a part and joined to none of it: a case, a core. */
export const around = (w: number, h: number): Primitive => ({
  kind: 'polyline',
  points: [
    [-w, h],
    [w, h],
    [w, -h],
    [-w, -h],
    [-w, h],
  ],
  weight: 'pin',
});
