import { isFlank, type Side } from '../../part';
import type { BodyDef, ShapePort } from './body-shape';
import { arrow, box, closed, path, sign, thin } from './pen';
import type { Primitive } from '../picture';

const SEMICONDUCTORS = 'IEC 60617-5; IEEE 315 clause 8.5';
const TWO: ShapePort[] = [
  { role: 'anode', side: 'left', at: 0 },
  { role: 'cathode', side: 'right', at: 0 },
];
const lead = (side: Side): number => (isFlank(side) ? 140 : 0);
const body = closed([-60, 70], [60, 0], [-60, -70]);
const bar = path([60, 70], [60, -70]);

const diode = (title: string, words: RegExp, more: Primitive[], needsWords = true): BodyDef => ({
  title,
  standard: SEMICONDUCTORS,
  letters: 'D',
  width: 4,
  height: 4,
  ports: TWO,
  words,
  ...(needsWords ? { needsWords } : {}),
  draw: () => [body, ...more],
  edge: lead,
});

export const DIODES = {
  diode: diode('Diode', /diode|rectifier/i, [bar], false),
  zener: diode('Zener diode', /zener|reference diode|voltage regulator diode/i, [path([60, -70], [60, 70], [28, 70])]),
  schottky: diode('Schottky diode', /schottky/i, [path([32, 46], [32, 70], [60, 70], [60, -70], [88, -70], [88, -46])]),
  suppressor: {
    ...diode('Transient suppressor', /suppressor|\btvs\b|transient/i, []),
    ports: [
      { role: '1', side: 'left', at: 0 },
      { role: '2', side: 'right', at: 0 },
    ],
    draw: () => [
      closed([-100, 60], [0, 0], [-100, -60]),
      closed([100, 60], [0, 0], [100, -60]),
      path([-26, 70], [0, 70], [0, -70], [26, -70]),
    ],
    edge: (side) => (isFlank(side) ? 100 : 0),
  },
  photodiode: diode('Photodiode', /photodiode|photo-?sensor|sun[- ]sensor/i, [
    bar,
    ...arrow([-80, 180], [-20, 90]),
    ...arrow([-20, 190], [40, 100]),
  ]),
  'light-diode': diode('Light-emitting diode', /\bled\b|light[- ]emitting/i, [
    bar,
    ...arrow([-30, 90], [20, 175]),
    ...arrow([30, 80], [80, 165]),
  ]),
  thyristor: {
    ...diode('Thyristor', /thyristor|\bscr\b/i, [bar, thin([60, 0], [100, -60], [100, -200])]),
    ports: [...TWO, { role: 'gate', side: 'base', at: 1 }],
  },
  bridge: {
    title: 'Bridge rectifier',
    standard: SEMICONDUCTORS,
    letters: 'D',
    width: 6,
    height: 6,
    ports: [
      { role: '~1', side: 'top', at: 0 },
      { role: '~2', side: 'base', at: 0 },
      { role: '+', side: 'right', at: 0 },
      { role: '-', side: 'left', at: 0 },
    ],
    words: /bridge rectifier|rectifier bridge/i,
    needsWords: true,
    draw: ({ w, h }) => [
      closed([-w, 0], [0, h], [w, 0], [0, -h]),
      closed([-70, 55], [40, 0], [-70, -55]),
      path([40, 55], [40, -55]),
      thin([-150, 0], [-70, 0]),
      thin([40, 0], [150, 0]),
    ],
  },
  optocoupler: {
    title: 'Optocoupler',
    standard: 'IEC 60617-5; IEEE 315 clause 8.13',
    letters: 'U',
    width: 8,
    height: 6,
    ports: [
      { role: 'anode', side: 'left', at: 1 },
      { role: 'cathode', side: 'left', at: -1 },
      { role: 'collector', side: 'right', at: 1 },
      { role: 'emitter', side: 'right', at: -1 },
    ],
    words: /opto-?coupler|opto-?isolator|photocoupler/i,
    needsWords: true,
    draw: ({ w, h }) => [
      box(-w, h, w, -h),
      thin([-w, 100], [-230, 100], [-230, 50]),
      closed([-290, 50], [-170, 50], [-230, -40]),
      path([-290, -40], [-170, -40]),
      thin([-230, -40], [-230, -100], [-w, -100]),
      ...arrow([-130, 40], [-30, 40]),
      ...arrow([-130, -20], [-30, -20]),
      path([80, 90], [80, -90]),
      thin([80, 30], [200, 100], [w, 100]),
      ...arrow([80, -30], [200, -100]),
      thin([200, -100], [w, -100]),
    ],
  },
  regulator: {
    title: 'Regulator',
    standard: 'IEC 60617-6, converter as a block',
    letters: 'U',
    width: 8,
    height: 6,
    names: true,
    ports: [
      { role: 'input', side: 'left', at: 1 },
      { role: 'output', side: 'right', at: 1 },
      { role: 'enable', side: 'left', at: -1, optional: true },
      { role: 'bypass', side: 'right', at: -1, optional: true },
      { role: 'feedback', side: 'right', at: 0, optional: true },
      { role: 'ground', side: 'base', at: 0 },
    ],
    words: /regulator|\bldo\b/i,
    needsWords: true,
    draw: ({ w, h }) => [box(-w, h, w, -h), sign(0, h - 50, 'U', 56), thin([-22, h - 88], [22, h - 88])],
  },
} satisfies Record<string, BodyDef>;
