import { isFlank, type Side } from '../../part';
import type { BodyDef, Frame, ShapePort } from './body-shape';
import { arc, arrow, box, path, ring, sign, thin } from './pen';
import type { Primitive } from '../picture';

const PASSIVES = 'IEC 60617-4; IEEE 315 clause 2';
const ENDS: ShapePort[] = [
  { role: '1', side: 'left', at: 0 },
  { role: '2', side: 'right', at: 0 },
];
const leads = (inset: number) => (side: Side) => (isFlank(side) ? inset : 0);

/** Two ends, the body between them; `inset` is how long the leads are inside the frame. */
const twoEnds = (
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

const slab = box(-110, 40, 110, -40);
const plates = [path([-20, 80], [-20, -80]), path([20, 80], [20, -80])];

/** Half circles along a line: a winding of so many turns, standing or lying. */
const winding = (turns: number, at: (t: number, out: number) => [number, number]): Primitive[] =>
  Array.from({ length: turns }, (_, i) => {
    const [from, to] = [(2 * i) / turns - 1, (2 * (i + 1)) / turns - 1];
    return arc(at(from, 0), at((from + to) / 2, 1), at(to, 0));
  });

export const PASSIVE_SHAPES = {
  resistor: twoEnds('Resistor', 'R', /resistor|shunt/i, 90, [slab]),
  'resistor-zigzag': twoEnds('Resistor, zigzag', 'R', /resistor/i, 80, [
    path([-120, 0], [-100, 50], [-60, -50], [-20, 50], [20, -50], [60, 50], [100, -50], [120, 0]),
  ]),
  potentiometer: twoEnds('Potentiometer', 'R', /potentiometer|trimmer/i, 90, [slab, ...arrow([0, 200], [0, 42])], {
    height: 4,
    ports: [...ENDS, { role: '3', side: 'top', at: 0 }],
  }),
  thermistor: twoEnds('Thermistor', 'R', /thermistor|\bntc\b|\bptc\b/i, 90, [
    slab,
    thin([-110, -85], [-70, -85], [90, 85]),
    sign(120, -70, 't°', 50),
  ]),
  capacitor: twoEnds('Capacitor', 'C', /capacitor/i, 180, plates),
  'capacitor-polar': twoEnds('Polarised capacitor', 'C', /electrolytic|tantalum|polari[sz]ed/i, 180, [...plates, sign(-60, 60, '+', 60)], {
    ports: [
      { role: '+', side: 'left', at: 0 },
      { role: '-', side: 'right', at: 0 },
    ],
  }),
  inductor: twoEnds(
    'Inductor',
    'L',
    /inductor|choke|coil/i,
    80,
    winding(4, (t, out) => [t * 120, out * 34]),
  ),
  transformer: {
    title: 'Transformer',
    standard: 'IEC 60617-6; IEEE 315 clause 6.4',
    letters: 'T',
    width: 6,
    height: 6,
    ports: [
      { role: 'p1', side: 'left', at: 2 },
      { role: 'p2', side: 'left', at: -2 },
      { role: 's1', side: 'right', at: 2 },
      { role: 's2', side: 'right', at: -2 },
    ],
    words: /transformer/i,
    needsWords: true,
    draw: () => [
      ...winding(4, (t, out) => [-100 + out * 46, -t * 200]),
      ...winding(4, (t, out) => [100 - out * 46, -t * 200]),
      path([-14, 190], [-14, -190]),
      path([14, 190], [14, -190]),
    ],
    edge: leads(200),
  },
  crystal: twoEnds('Crystal', 'Y', /crystal|resonator/i, 120, [
    path([-80, 70], [-80, -70]),
    path([80, 70], [80, -70]),
    box(-45, 80, 45, -80),
  ]),
  fuse: twoEnds('Fuse', 'F', /\bfuse\b/i, 90, [slab, thin([-110, 0], [110, 0])], { standard: 'IEC 60617-7; IEEE 315 clause 9.1' }),
  battery: twoEnds(
    'Battery',
    'B',
    /battery|\bcell\b/i,
    180,
    [path([-20, 90], [-20, -90]), path([20, 50], [20, -50]), sign(-70, 60, '+', 60)],
    {
      standard: 'IEC 60617-6; IEEE 315 clause 2.5',
      ports: [
        { role: '+', side: 'left', at: 0 },
        { role: '-', side: 'right', at: 0 },
      ],
    },
  ),
  antenna: {
    title: 'Antenna',
    standard: 'IEC 60617-10; IEEE 315 clause 2.4',
    letters: 'E',
    width: 4,
    height: 4,
    ports: [{ role: '1', side: 'base', at: 0 }],
    words: /antenna|aerial/i,
    needsWords: true,
    draw: ({ h }) => [thin([0, -h], [0, h]), path([-110, h], [0, 20], [110, h])],
  },
  switch: twoEnds('Switch', 'S', /\bswitch\b|push-?button/i, 100, [ring(-88, 0, 12), ring(88, 0, 12), path([-78, 6], [80, 76])], {
    standard: 'IEC 60617-7; IEEE 315 clause 4',
  }),
  changeover: {
    title: 'Changeover switch',
    standard: 'IEC 60617-7; IEEE 315 clause 4',
    letters: 'S',
    width: 4,
    height: 4,
    ports: [
      { role: 'com', side: 'left', at: 0 },
      { role: 'no', side: 'right', at: 1 },
      { role: 'nc', side: 'right', at: -1 },
    ],
    words: /change-?over|\bspdt\b|two-way switch/i,
    needsWords: true,
    draw: () => [ring(-88, 0, 12), ring(88, 100, 12), ring(88, -100, 12), path([-78, -6], [84, -84])],
    edge: leads(100),
  },
  relay: {
    title: 'Relay',
    standard: 'IEC 60617-7; IEEE 315 clause 4.30',
    letters: 'K',
    width: 8,
    height: 6,
    ports: [
      { role: 'coil1', side: 'top', at: -2 },
      { role: 'coil2', side: 'base', at: -2 },
      { role: 'contact1', side: 'top', at: 2 },
      { role: 'contact2', side: 'base', at: 2 },
    ],
    words: /relay/i,
    needsWords: true,
    draw: ({ h }) => [
      thin([-200, h], [-200, 60]),
      box(-290, 60, -110, -60),
      thin([-200, -60], [-200, -h]),
      thin([200, h], [200, 80]),
      path([200, -80], [130, 90]),
      thin([200, -80], [200, -h]),
      {
        kind: 'polyline',
        points: [
          [-110, 0],
          [150, 0],
        ],
        weight: 'rule',
      },
    ],
  },
  contacts: {
    title: 'Connector contacts',
    standard: 'IEC 60617-3; IEEE 315 clause 5',
    letters: 'J',
    width: 6,
    height: 4,
    names: true,
    ports: [],
    words: /connector|header|plug|socket|terminal block/i,
    needsWords: true,
    draw: ({ w, h }: Frame, ports) => [
      box(-w, h, w, -h),
      ...ports.flatMap((p): Primitive[] =>
        p.side === 'left'
          ? [{ kind: 'circle', x: -w + 18, y: p.at * 100, r: 13, weight: 'mark' }]
          : p.side === 'right'
            ? [{ kind: 'circle', x: w - 18, y: p.at * 100, r: 13, weight: 'mark' }]
            : [],
      ),
    ],
  },
} satisfies Record<string, BodyDef>;
