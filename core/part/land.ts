import { z } from 'zod';
import { sortedRecord } from './sorted-record';

const mm = z.number().finite();

/** One pad: centre and size in mm, y upwards, seen from the top; `drill` is the hole's diameter in mm. */
export const padSchema = z.object({
  number: z.string(),
  x: mm,
  y: mm,
  w: mm.positive(),
  h: mm.positive(),
  shape: z.enum(['rect', 'roundrect', 'oval', 'circle']),
  drill: mm.positive().optional(),
  /** The hole's length in mm where it is a slot, along the pad's longer side; `drill` is then its width. */
  slot: mm.positive().optional(),
  /** A pad that holds the part and carries no signal; it needs no pin. */
  mechanical: z.boolean().optional(),
});
export type Pad = z.infer<typeof padSchema>;

/** The pads' geometry, with the body's outline (mm), so that a person can compare it with the datasheet's drawing. */
export const landSchema = z.object({
  family: z.string().optional(),
  body: z.object({ w: mm.positive(), h: mm.positive() }).optional(),
  courtyard: z.object({ w: mm.positive(), h: mm.positive() }).optional(),
  heightMm: mm.positive().optional(),
  firstPad: z.object({ x: mm, y: mm }).optional(),
  pads: z.array(padSchema),
});
export type Land = z.infer<typeof landSchema>;

export const packageSchema = z.object({
  id: z.string().min(1),
  name: z.string(),
  land: landSchema,
  /** By pad number, the digest of what stood there when a person read it back against the datasheet's drawing. */
  readBack: sortedRecord(z.string()).optional(),
});
export type Package = z.infer<typeof packageSchema>;

/** What a package is called of which no source says a name. */
export const UNNAMED_PACKAGE = 'package';
