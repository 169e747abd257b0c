import { z } from 'zod';

const mm = z.number().positive().max(300);
const count = z.number().int().min(1).max(3000);
const box = z.object({ w: mm, h: mm });

/**
 * Families of packages, by the dimensions that a datasheet gives, in mm. `span` is between the centres of opposite
 * pads; a pad's `length` runs away from the body, its `width` along the row.
 */
export const familySchema = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('dual'),
    count,
    pitch: mm,
    span: mm,
    length: mm,
    width: mm,
    body: box,
    exposed: box.optional(),
    drill: mm.optional(),
  }),
  z.object({
    kind: z.literal('quad'),
    count,
    pitch: mm,
    span: mm,
    length: mm,
    width: mm,
    body: box,
    exposed: box.optional(),
    round: z.boolean().optional(),
  }),
  z.object({
    kind: z.literal('grid'),
    rows: z.number().int().min(1).max(80),
    columns: z.number().int().min(1).max(80),
    pitch: mm,
    diameter: mm,
    body: box,
    without: z.string().optional(),
  }),
  z.object({ kind: z.literal('inline'), count, pitch: mm, length: mm, width: mm, body: box, drill: mm.optional() }),
  z.object({
    kind: z.literal('outline'),
    leads: z.union([z.literal(3), z.literal(5), z.literal(6)]),
    pitch: mm,
    span: mm,
    length: mm,
    width: mm,
    body: box,
  }),
  z.object({
    kind: z.literal('header'),
    rows: z.number().int().min(1).max(8),
    columns: z.number().int().min(1).max(200),
    pitch: mm,
    diameter: mm,
    drill: mm,
    body: box,
    numbering: z.enum(['zigzag', 'rows', 'around']),
    /** Mechanical pads at both ends, named MP1 and MP2. */
    tabs: z.object({ w: mm, h: mm, distance: mm }).optional(),
  }),
]);
export type Family = z.infer<typeof familySchema>;
