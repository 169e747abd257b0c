import type { BodyDef } from './body-shape';
import { arc, arrow, box, path, sign, thin } from './pen';
import { around, ENDS, leads, twoEnds } from './two-ends';
import type { Primitive } from '../picture';

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
    ports: [...ENDS, { role: 'wiper', side: 'top', at: 0 }],
  }),
  thermistor: twoEnds('Thermistor', 'RT', /thermistor|\bntc\b|\bptc\b/i, 90, [
    slab,
    thin([-110, -85], [-70, -85], [90, 85]),
    sign(120, -70, 't°', 50),
  ]),
  varistor: twoEnds('Varistor', 'RV', /varistor|surge absorber/i, 90, [
    slab,
    thin([-110, -85], [-70, -85], [90, 85]),
    sign(120, -70, 'U', 50),
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
    /inductor|choke|coil|bead/i,
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
      { role: 's tap', side: 'right', at: 0, optional: true },
      { role: 'p tap', side: 'left', at: 0, optional: true },
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
  choke: {
    title: 'Coupled windings',
    standard: 'IEC 60617-4; IEEE 315 clause 6.2',
    letters: 'L',
    width: 6,
    height: 4,
    ports: [
      { role: '1', side: 'left', at: 1 },
      { role: '2', side: 'left', at: -1 },
      { role: '3', side: 'right', at: -1 },
      { role: '4', side: 'right', at: 1 },
    ],
    words: /common[- ]mode|coupled|choke|line filter/i,
    needsWords: true,
    draw: () => [
      ...winding(4, (t, out) => [t * 160, 100 + out * 44]),
      ...winding(4, (t, out) => [t * 160, -100 - out * 44]),
      path([-160, 50], [160, 50]),
      path([-160, -50], [160, -50]),
    ],
    edge: leads(140),
  },
  crystal: twoEnds('Crystal', 'Y', /crystal|resonator/i, 120, [], {
    // The pads of its case.
    ports: [...ENDS, { role: 'ground', side: 'base', at: -1, optional: true }, { role: 'ground', side: 'base', at: 1, optional: true }],
    draw: ({ h }, ports) => [
      path([-80, 70], [-80, -70]),
      path([80, 70], [80, -70]),
      box(-45, 80, 45, -80),
      ...(ports.some((p) => p.side === 'base') ? [around(150, h)] : []),
    ],
  }),
  fuse: twoEnds('Fuse', 'F', /\bfuse\b/i, 90, [slab, thin([-110, 0], [110, 0])], { standard: 'IEC 60617-7; IEEE 315 clause 9.1' }),
  battery: twoEnds(
    'Battery',
    'BT',
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
} satisfies Record<string, BodyDef>;
