import { z } from 'zod';

export const SIDES = ['left', 'right', 'top', 'base'] as const;
export type Side = (typeof SIDES)[number];

/** Qualifying symbols of IEC 60617-12 / IEEE 91 that can stand at or inside a pin. */
export const MARKS = ['negation', 'polarity', 'clock', 'open-drain', 'open-source', 'three-state', 'hysteresis'] as const;
export type Mark = (typeof MARKS)[number];

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
});
export type Port = z.infer<typeof portSchema>;

/** Artwork, in hundredths of a grid step, y upwards. */
export const strokeSchema = z.object({
  kind: z.enum(['polyline', 'polygon', 'circle', 'arc']),
  points: z.array(z.tuple([z.number().int(), z.number().int()])).min(1),
  /** Radius of a circle; an arc runs through its three points. */
  radius: z.number().int().positive().optional(),
  filled: z.boolean().optional(),
});

/** A text place, in hundredths of a grid step. `reference` shows the letters, `?` and the unit's label. */
export const labelSchema = z.object({
  kind: z.enum(['reference', 'value', 'field']),
  field: z.string().optional(),
  x: z.number().int(),
  y: z.number().int(),
  anchor: z.enum(['start', 'middle', 'end']).default('start'),
  size: z.number().int().min(20).max(400).default(64),
});
export type Label = z.infer<typeof labelSchema>;

/** The body's frame in whole, even grid steps, centred on the origin. `strip` is the title strip's height. */
export const bodySchema = z.object({
  shape: z.enum(['block', 'none']),
  width: z.number().int().min(2).max(400).multipleOf(2),
  height: z.number().int().min(2).max(2000).multipleOf(2),
  strip: z.number().int().min(0).max(4),
});
export type Body = z.infer<typeof bodySchema>;

export const drawingSchema = z.object({
  id: z.string().min(1),
  body: bodySchema,
  ports: z.array(portSchema),
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
