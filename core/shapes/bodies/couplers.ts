import type { BodyDef, Frame, ShapePort } from './body-shape';
import { arrow, box, closed, path, thin } from './pen';
import type { Primitive } from '../picture';

const LAMP: ShapePort[] = [
  { role: 'anode', side: 'left', at: 1 },
  { role: 'cathode', side: 'left', at: -1 },
];
const coupler = { standard: 'IEC 60617-5; IEEE 315 clause 8.13', letters: 'U', width: 8, height: 6, box: true, needsWords: true } as const;

/** The body, its lamp at the left and the light. */
const lit = ({ w, h }: Frame): Primitive[] => [
  box(-w, h, w, -h),
  thin([-w, 100], [-230, 100], [-230, 50]),
  closed([-290, 50], [-170, 50], [-230, -40]),
  path([-290, -40], [-170, -40]),
  thin([-230, -40], [-230, -100], [-w, -100]),
  ...arrow([-130, 40], [-30, 40]),
  ...arrow([-130, -20], [-30, -20]),
];

/** What light couples. */
export const COUPLERS = {
  optocoupler: {
    ...coupler,
    title: 'Optocoupler',
    ports: [...LAMP, { role: 'collector', side: 'right', at: 1 }, { role: 'emitter', side: 'right', at: -1 }],
    words: /opto-?coupler|opto-?isolator|photocoupler|\bLED\b.{1,80}\b(photo-?)?transistor\b/i,
    draw: (frame) => [
      ...lit(frame),
      path([80, 90], [80, -90]),
      thin([80, 30], [200, 100], [frame.w, 100]),
      ...arrow([80, -30], [200, -100]),
      thin([200, -100], [frame.w, -100]),
    ],
  },
  'optocoupler-triac': {
    ...coupler,
    title: 'Optocoupler with a triac',
    ports: [...LAMP, { role: 'main 2', side: 'right', at: 1 }, { role: 'main 1', side: 'right', at: -1 }],
    words: /triac/i,
    draw: (frame) => [
      ...lit(frame),
      path([90, 50], [250, 50]),
      path([90, -50], [250, -50]),
      closed([90, 50], [166, 50], [128, -50]),
      closed([174, -50], [250, -50], [212, 50]),
      thin([170, 50], [170, 100], [frame.w, 100]),
      thin([170, -50], [170, -100], [frame.w, -100]),
    ],
  },
  'optocoupler-switch': {
    ...coupler,
    title: 'Solid-state relay',
    ports: [...LAMP, { role: '1', side: 'right', at: 1 }, { role: '2', side: 'right', at: -1 }],
    words: /solid[- ]state relay|photo-?relay|photo-?mos|opto-?mos/i,
    draw: (frame) => [
      ...lit(frame),
      thin([170, 60], [170, 100], [frame.w, 100]),
      path([170, -60], [110, 70]),
      thin([170, -60], [170, -100], [frame.w, -100]),
    ],
  },
} satisfies Record<string, BodyDef>;
