import type { BodyDef, ShapePort } from './body-shape';
import { box, closed, path, ring, sign, thin } from './pen';
import { twoEnds } from './two-ends';

/** Both ends at the left, where sound goes to or comes from the right. */
const LEFT_ENDS: ShapePort[] = [
  { role: '1', side: 'left', at: 1 },
  { role: '2', side: 'left', at: -1 },
];

/** What turns electricity into light, motion or sound or back, and where it is measured. */
export const LOAD_SHAPES = {
  lamp: twoEnds('Lamp', 'DS', /\blamp\b|\bbulb\b/i, 120, [ring(0, 0, 80), path([-56, 56], [56, -56]), path([-56, -56], [56, 56])], {
    standard: 'IEC 60617-8',
  }),
  motor: twoEnds('Motor', 'B', /\bmotor\b/i, 100, [ring(0, 0, 100), sign(0, 0, 'M', 90)], { standard: 'IEC 60617-6', height: 4 }),
  loudspeaker: twoEnds(
    'Loudspeaker',
    'LS',
    /speaker|buzzer|sounder/i,
    140,
    [box(-60, 130, 0, -130), closed([0, 60], [90, 160], [90, -160], [0, -60])],
    {
      standard: 'IEC 60617-9',
      height: 4,
      ports: LEFT_ENDS,
    },
  ),
  microphone: twoEnds('Microphone', 'MK', /microphone/i, 130, [ring(0, 0, 122), path([122, 122], [122, -122])], {
    standard: 'IEC 60617-9',
    height: 4,
    ports: LEFT_ENDS,
  }),
  'test-point': {
    title: 'Test point',
    standard: 'IEC 60617-2',
    letters: 'TP',
    width: 2,
    height: 2,
    ports: [{ role: '1', side: 'base', at: 0 }],
    words: /test[- ]?(point|pad|probe)/i,
    needsWords: true,
    draw: ({ h }) => [ring(0, h - 40, 40), thin([0, -h], [0, h - 80])],
  },
} satisfies Record<string, BodyDef>;
