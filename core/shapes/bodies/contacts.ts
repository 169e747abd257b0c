import type { BodyDef, Frame, ShapePort } from './body-shape';
import { box, path, ring, thin } from './pen';
import { leads, twoEnds } from './two-ends';
import type { Primitive } from '../picture';

const RELAYS = 'IEC 60617-7; IEEE 315 clause 4.30';
const COIL: ShapePort[] = [
  { role: 'coil1', side: 'top', at: -2 },
  { role: 'coil2', side: 'base', at: -2 },
];

/** A relay's coil at the left, and the dashed line by which it moves the contact. */
const coilOf = (h: number): Primitive[] => [
  thin([-200, h], [-200, 60]),
  box(-290, 60, -110, -60),
  thin([-200, -60], [-200, -h]),
  {
    kind: 'polyline',
    points: [
      [-110, 0],
      [150, 0],
    ],
    weight: 'rule',
  },
];

/** What opens, closes or is plugged. */
export const CONTACT_SHAPES = {
  coil: twoEnds('Relay coil', 'K', /relay|contactor/i, 100, [box(-100, 60, 100, -60)], {
    standard: RELAYS,
    ports: [
      { role: 'coil1', side: 'left', at: 0 },
      { role: 'coil2', side: 'right', at: 0 },
    ],
  }),
  switch: twoEnds(
    'Switch',
    'S',
    /\bswitch\b|push-?button|relay|contact\b/i,
    100,
    [ring(-88, 0, 12), ring(88, 0, 12), path([-78, 6], [80, 76])],
    {
      standard: 'IEC 60617-7; IEEE 315 clause 4',
    },
  ),
  changeover: {
    title: 'Changeover switch',
    standard: 'IEC 60617-7; IEEE 315 clause 4',
    letters: 'S',
    width: 4,
    height: 4,
    ports: [
      { role: 'common', side: 'left', at: 0 },
      { role: 'normally open', side: 'right', at: 1 },
      { role: 'normally closed', side: 'right', at: -1 },
    ],
    words: /change-?over|\b[sd1-4]pdt\b|\bthrow\b|two-way switch|relay|micro-?switch|\bcontact\b/i,
    needsWords: true,
    draw: () => [ring(-88, 0, 12), ring(88, 100, 12), ring(88, -100, 12), path([-78, -6], [84, -84])],
    edge: leads(100),
  },
  relay: {
    title: 'Relay',
    standard: RELAYS,
    letters: 'K',
    width: 8,
    height: 6,
    ports: [...COIL, { role: 'contact1', side: 'top', at: 2 }, { role: 'contact2', side: 'base', at: 2 }],
    words: /relay/i,
    needsWords: true,
    draw: ({ h }) => [...coilOf(h), thin([200, h], [200, 80]), path([200, -80], [130, 90]), thin([200, -80], [200, -h])],
  },
  'relay-changeover': {
    title: 'Changeover relay',
    standard: RELAYS,
    letters: 'K',
    width: 8,
    height: 6,
    ports: [
      ...COIL,
      { role: 'common', side: 'base', at: 2 },
      { role: 'normally closed', side: 'top', at: 1 },
      { role: 'normally open', side: 'top', at: 3 },
    ],
    words: /relay/i,
    needsWords: true,
    draw: ({ h }) => [
      ...coilOf(h),
      thin([100, h], [100, 80]),
      thin([300, h], [300, 80]),
      path([200, -80], [106, 90]),
      thin([200, -80], [200, -h]),
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
