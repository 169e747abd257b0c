import type { Side } from '../../part';
import type { BodyDef, Frame, ShapePort } from './body-shape';
import { arrow, joint, path, thin } from './pen';
import type { Primitive } from '../picture';

const SEMICONDUCTORS = 'IEC 60617-5; IEEE 315 clause 8.6';
const size = { letters: 'Q', width: 4, height: 4 } as const;
const upright = (control: string, upper: string, lower: string, at = 0): ShapePort[] => [
  { role: control, side: 'left', at },
  { role: upper, side: 'top', at: 1, repeats: true },
  { role: lower, side: 'base', at: 1, repeats: true },
];
/** What the driver of a fast transistor returns to. */
const KELVIN: ShapePort = { role: 'kelvin', side: 'base', at: 2, optional: true };

const isKelvin = ({ side, at }: { side: Side; at: number }): boolean => side === KELVIN.side && at === KELVIN.at;

/** Pins of one electrode beside each other are joined at the frame's edge. */
function joined(side: Side, frame: Frame, ports: readonly { side: Side; at: number }[]): Primitive[] {
  const places = ports.filter((p) => p.side === side && !isKelvin(p)).map((p) => p.at * 100);
  return places.length > 1 ? [joint(side, frame, places)] : [];
}

/** Base or gate at the left, the main path at the right from top to base. */
const bipolar = (isN: boolean): Primitive[] => [
  thin([-200, 0], [-40, 0]),
  path([-40, 95], [-40, -95]),
  thin([-40, 40], [100, 120], [100, 200]),
  ...(isN ? arrow([-40, -40], [100, -120]) : [thin([100, -120], [20, -74]), ...arrow([100, -120], [-18, -53])]),
  thin([100, -120], [100, -200]),
];

const channel = (isN: boolean): Primitive[] => [
  thin([-200, -100], [-75, -100]),
  path([-75, 100], [-75, -100]),
  path([-30, 115], [-30, 65]),
  path([-30, 25], [-30, -25]),
  path([-30, -65], [-30, -115]),
  thin([-30, 90], [100, 90], [100, 200]),
  thin([-30, -90], [100, -90], [100, -200]),
  thin([100, 0], [100, -90]),
  ...(isN ? arrow([100, 0], [-28, 0]) : arrow([-30, 0], [96, 0])),
];

const junction = (isN: boolean): Primitive[] => [
  path([-30, 130], [-30, -130]),
  thin([-30, 80], [100, 80], [100, 200]),
  thin([-30, -100], [100, -100], [100, -200]),
  ...(isN ? arrow([-200, -100], [-32, -100]) : [...arrow([-30, -100], [-110, -100]), thin([-110, -100], [-200, -100])]),
];

const transistor = (title: string, words: RegExp, ports: ShapePort[], picture: Primitive[]): BodyDef => ({
  ...size,
  title,
  standard: SEMICONDUCTORS,
  ports,
  words,
  draw: ({ w, h }, drawn) => [
    ...picture,
    ...(w > 200 ? [thin([-w, ports[0]!.at * 100], [-200, ports[0]!.at * 100])] : []),
    ...joined('top', { w, h }, drawn),
    ...joined('base', { w, h }, drawn),
    ...(drawn.some(isKelvin) ? [thin([KELVIN.at * 100, -h], [KELVIN.at * 100, -150], [100, -150])] : []),
  ],
});

export const TRANSISTORS = {
  npn: transistor('NPN transistor', /\bnpn\b/i, upright('base', 'collector', 'emitter'), bipolar(true)),
  pnp: transistor('PNP transistor', /\bpnp\b/i, upright('base', 'collector', 'emitter'), bipolar(false)),
  nmos: transistor(
    'N-channel MOSFET',
    /\bn-?ch(annel)?\b.*mos|\bnmos|\bn-?ch(annel)?\b/i,
    [...upright('gate', 'drain', 'source', -1), KELVIN],
    channel(true),
  ),
  pmos: transistor(
    'P-channel MOSFET',
    /\bp-?ch(annel)?\b.*mos|\bpmos|\bp-?ch(annel)?\b/i,
    [...upright('gate', 'drain', 'source', -1), KELVIN],
    channel(false),
  ),
  njf: {
    ...transistor('N-channel JFET', /\bn-?ch(annel)?\b.*\bjfet|\bjfet\b.*\bn-?ch/i, upright('gate', 'drain', 'source', -1), junction(true)),
    needsWords: true,
  },
  pjf: {
    ...transistor(
      'P-channel JFET',
      /\bp-?ch(annel)?\b.*\bjfet|\bjfet\b.*\bp-?ch/i,
      upright('gate', 'drain', 'source', -1),
      junction(false),
    ),
    needsWords: true,
  },
  igbt: transistor(
    'IGBT',
    /\bigbt\b/i,
    [...upright('gate', 'collector', 'emitter', -1), KELVIN],
    [
      thin([-200, -100], [-80, -100]),
      path([-80, 90], [-80, -100]),
      path([-40, 95], [-40, -95]),
      thin([-40, 40], [100, 120], [100, 200]),
      ...arrow([-40, -40], [100, -120]),
      thin([100, -120], [100, -200]),
    ],
  ),
} satisfies Record<string, BodyDef>;
