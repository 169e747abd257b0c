import { z } from 'zod';

export const SIDES = ['left', 'right', 'top', 'base'] as const;
export type Side = (typeof SIDES)[number];
/** The left and the right side, where pins stand above each other; on the top and the base they stand beside each other. */
export const isFlank = (side: Side): boolean => side === 'left' || side === 'right';
/** Which way a port's line runs from its connect point to the body where y counts downwards: 1 to the right or down, -1 to the left or up. */
export const inwardOf = (side: Side): 1 | -1 => (side === 'left' || side === 'top' ? 1 : -1);

/** Qualifying symbols of IEC 60617-12 / IEEE 91 that can stand at or inside a pin. */
export const MARKS = ['negation', 'polarity', 'clock', 'open-drain', 'open-source', 'three-state', 'hysteresis'] as const;
export type Mark = (typeof MARKS)[number];

/**
 * Bodies other than the block, by what they stand for; `core/shapes/bodies` draws them by IEC 60617 and IEEE 315. `none`
 * is a frame without an outline, for free artwork.
 */
export const BODY_SHAPES = [
  'block',
  'none',
  'amplifier',
  'comparator',
  'buffer',
  'and',
  'or',
  'xor',
  'buffer-block',
  'and-block',
  'or-block',
  'xor-block',
  'npn',
  'pnp',
  'nmos',
  'pmos',
  'njf',
  'pjf',
  'igbt',
  'diode',
  'zener',
  'schottky',
  'suppressor',
  'photodiode',
  'light-diode',
  'thyristor',
  'triac',
  'diodes-cathode',
  'diodes-anode',
  'diodes-series',
  'bridge',
  'resistor',
  'resistor-zigzag',
  'potentiometer',
  'thermistor',
  'varistor',
  'capacitor',
  'capacitor-polar',
  'inductor',
  'choke',
  'transformer',
  'crystal',
  'fuse',
  'switch',
  'changeover',
  'relay',
  'relay-changeover',
  'coil',
  'contacts',
  'optocoupler',
  'optocoupler-triac',
  'optocoupler-switch',
  'regulator',
  'battery',
  'antenna',
  'lamp',
  'motor',
  'loudspeaker',
  'microphone',
  'test-point',
] as const;
export type BodyShape = (typeof BODY_SHAPES)[number];

/**
 * Where a pin is drawn. `at` and `length` are whole grid steps: a connect point off the grid cannot be stored.
 * `at` is y (upwards) on the left and right sides and x on the top and base, from the drawing's centre.
 */
export const portSchema = z.object({
  id: z.string().min(1),
  side: z.enum(SIDES),
  at: z.number().int(),
  length: z.number().int().min(0).max(40),
  marks: z.array(z.enum(MARKS)).optional(),
  hide: z.array(z.enum(['name', 'number'])).optional(),
  /** The name is turned by a quarter against how the side has it. */
  turned: z.boolean().optional(),
});
export type Port = z.infer<typeof portSchema>;

/**
 * Artwork, in hundredths of a grid step, y upwards; drawn by hand it stands on tenths of a step. A line has two points, a
 * rectangle two corners, an arc runs through its three points, a circle stands around its first, a text begins at it.
 */
export const strokeSchema = z.object({
  kind: z.enum(['line', 'polyline', 'polygon', 'rectangle', 'circle', 'arc', 'text']),
  points: z.array(z.tuple([z.number().int(), z.number().int()])).min(1),
  /** Radius of a circle. */
  radius: z.number().int().positive().optional(),
  filled: z.boolean().optional(),
  text: z.string().optional(),
  /** Height of a text's em. */
  size: z.number().int().min(20).max(400).optional(),
});
export type Stroke = z.infer<typeof strokeSchema>;

/** A text place, in hundredths of a grid step. `reference` shows the letters, `?` and the unit's label. */
export const labelSchema = z.object({
  kind: z.enum(['reference', 'value', 'field']),
  field: z.string().optional(),
  x: z.number().int(),
  y: z.number().int(),
  anchor: z.enum(['start', 'middle', 'end']).default('start'),
  size: z.number().int().min(20).max(400).default(64),
  hidden: z.boolean().optional(),
});
export type Label = z.infer<typeof labelSchema>;

/** The body's frame in whole, even grid steps, centred on the origin. `strip` is the title strip's height. */
export const bodySchema = z.object({
  shape: z.enum(BODY_SHAPES),
  width: z.number().int().min(2).max(400).multipleOf(2),
  height: z.number().int().min(2).max(2000).multipleOf(2),
  strip: z.number().int().min(0).max(4),
});
export type Body = z.infer<typeof bodySchema>;

export const drawingSchema = z.object({
  id: z.string().min(1),
  body: bodySchema,
  ports: z.array(portSchema),
  /** What no pin of this drawing shows. */
  hide: z.array(z.enum(['name', 'number'])).optional(),
  /** `over`: names stand over the pins' lines and numbers under them, outside the body. */
  names: z.enum(['inside', 'over']).optional(),
  /** The drawing that it was taken from, by part and unit: those of one family are meant to look alike. */
  family: z.string().optional(),
  strokes: z.array(strokeSchema).default([]),
  labels: z.array(labelSchema).default([]),
});
export type Drawing = z.infer<typeof drawingSchema>;

export interface Point {
  x: number;
  y: number;
}

/** The point where a wire meets a port, in grid steps from the drawing's centre, y upwards. */
export function connectPoint(body: Body, port: Port): Point {
  const x = body.width / 2 + port.length;
  const y = body.height / 2 + port.length;
  switch (port.side) {
    case 'left':
      return { x: -x, y: port.at };
    case 'right':
      return { x, y: port.at };
    case 'top':
      return { x: port.at, y };
    case 'base':
      return { x: port.at, y: -y };
  }
}

/** The point where a port's line meets the body, in grid steps. */
export const bodyPoint = (body: Body, port: Port): Point => connectPoint(body, { ...port, length: 0 });
