import { isFlank, type Side } from '../../part';
import type { BodyDef, ShapePort } from './body-shape';
import { arrow, closed, path, thin } from './pen';
import type { Primitive } from '../picture';

const SEMICONDUCTORS = 'IEC 60617-5; IEEE 315 clause 8.5';
const TWO: ShapePort[] = [
  { role: 'anode', side: 'left', at: 0, repeats: true },
  { role: 'cathode', side: 'right', at: 0, repeats: true },
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

/** One of several diodes that point to the right, its triangle and its bar around a point. */
const oneAt = (x: number, y: number): Primitive[] => [
  closed([x - 50, y + 50], [x + 50, y], [x - 50, y - 50]),
  path([x + 50, y + 50], [x + 50, y - 50]),
];
const pairAt = (x: number): Primitive[] => [...oneAt(x, 100), ...oneAt(x, -100)];
const PAIR = {
  standard: SEMICONDUCTORS,
  letters: 'D',
  width: 6,
  height: 4,
  words: /diode|rectifier|schottky|\bled\b/i,
} as const;

export const DIODES = {
  diode: diode('Diode', /diode|rectifier/i, [bar], false),
  zener: {
    ...diode('Zener diode', /zener|reference diode|voltage regulator diode|shunt (voltage )?(reference|regulator)/i, []),
    // What an adjustable shunt reference holds its voltage by.
    ports: [...TWO, { role: 'reference', side: 'top', at: 0, optional: true }],
    draw: ({ h }, ports) => [
      body,
      path([60, -70], [60, 70], [28, 70]),
      ...(ports.some((p) => p.side === 'top') ? [thin([0, h], [0, 35])] : []),
    ],
  },
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
  triac: {
    ...diode('Triac', /triac/i, []),
    ports: [
      { role: 'main 2', side: 'left', at: 0, repeats: true },
      { role: 'main 1', side: 'right', at: 0, repeats: true },
      { role: 'gate', side: 'base', at: 1 },
    ],
    draw: () => [
      path([-60, 80], [-60, -80]),
      path([60, 80], [60, -80]),
      closed([-60, 80], [60, 42], [-60, 4]),
      closed([60, -4], [-60, -42], [60, -80]),
      thin([60, -20], [100, -60], [100, -200]),
    ],
  },
  'diodes-cathode': {
    ...PAIR,
    title: 'Two diodes, common cathode',
    ports: [
      { role: 'anode', side: 'left', at: 1 },
      { role: 'anode', side: 'left', at: -1 },
      { role: 'cathode', side: 'right', at: 0, repeats: true },
    ],
    draw: ({ w }) => [...pairAt(-50), thin([50 - 60, 100], [120, 100], [120, -100], [50 - 60, -100]), thin([120, 0], [w, 0])],
    edge: (side) => (side === 'left' ? 190 : 0),
  },
  'diodes-anode': {
    ...PAIR,
    title: 'Two diodes, common anode',
    ports: [
      { role: 'anode', side: 'left', at: 0, repeats: true },
      { role: 'cathode', side: 'right', at: 1 },
      { role: 'cathode', side: 'right', at: -1 },
    ],
    draw: ({ w }) => [...pairAt(60), thin([10, 100], [-120, 100], [-120, -100], [10, -100]), thin([-w, 0], [-120, 0])],
    edge: (side) => (side === 'right' ? 190 : 0),
  },
  'diodes-series': {
    ...PAIR,
    title: 'Two diodes in series',
    width: 8,
    ports: [
      { role: 'anode', side: 'left', at: 0 },
      { role: 'cathode', side: 'right', at: 0 },
      { role: 'anode and cathode', side: 'base', at: 0 },
    ],
    draw: ({ h }) => [...oneAt(-150, 0), ...oneAt(150, 0), thin([-100, 0], [100, 0]), thin([0, 0], [0, -h])],
    edge: (side) => (isFlank(side) ? 200 : 0),
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
} satisfies Record<string, BodyDef>;
