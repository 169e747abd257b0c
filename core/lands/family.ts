import { z } from 'zod';

const mm = z.number().positive().max(300);
const count = z.number().int().min(1).max(3000);
const box = z.object({ w: mm, h: mm });
const exposed = box.extend({
  /** Where the datasheet gives it one; else it follows the last lead's. */
  number: z.string().min(1).optional(),
});
/** What every family has: the body, and the height over the board where the datasheet gives it. */
const common = { body: box, heightMm: mm.optional() };
/** Whether a span is between the centres of opposite pads, or from toe to toe over both. */
const spanOver = z.enum(['centres', 'toes']).optional();

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
    spanOver,
    length: mm,
    width: mm,
    ...common,
    exposed: exposed.optional(),
    drill: mm.optional(),
  }),
  z.object({
    kind: z.literal('quad'),
    count,
    pitch: mm,
    span: mm,
    spanOver,
    length: mm,
    width: mm,
    ...common,
    exposed: exposed.optional(),
    round: z.boolean().optional(),
  }),
  z.object({
    kind: z.literal('grid'),
    rows: z.number().int().min(1).max(80),
    columns: z.number().int().min(1).max(80),
    pitch: mm,
    diameter: mm,
    /** Square pads of that size, as land grids have them. */
    square: z.boolean().optional(),
    ...common,
    without: z.string().optional(),
  }),
  z.object({
    kind: z.literal('inline'),
    count,
    pitch: mm,
    length: mm,
    width: mm,
    ...common,
    drill: mm.optional(),
    /** A tab opposite the leads, its centre `distance` from theirs. */
    tab: exposed.extend({ distance: mm }).optional(),
  }),
  z.object({ kind: z.literal('chip'), span: mm, spanOver, length: mm, width: mm, ...common }),
  z.object({
    kind: z.literal('array'),
    rows: z.number().int().min(1).max(80),
    columns: z.number().int().min(1).max(200),
    pitch: mm,
    rowPitch: mm.optional(),
    length: mm,
    width: mm,
    ...common,
    numbering: z.enum(['zigzag', 'rows', 'around']),
  }),
  z.object({
    kind: z.literal('outline'),
    leads: z.union([z.literal(3), z.literal(5), z.literal(6), z.literal(8)]),
    pitch: mm,
    span: mm,
    spanOver,
    length: mm,
    width: mm,
    ...common,
  }),
  z.object({
    kind: z.literal('header'),
    rows: z.number().int().min(1).max(8),
    columns: z.number().int().min(1).max(200),
    pitch: mm,
    diameter: mm,
    drill: mm,
    /** The hole's length where it is a slot, along the rows. */
    slot: mm.optional(),
    ...common,
    numbering: z.enum(['zigzag', 'rows', 'around']),
    /** Mechanical pads at both ends, named MP1 and MP2. */
    tabs: z.object({ w: mm, h: mm, distance: mm }).optional(),
    /** Mounting holes at both ends, named MH1 and MH2: the hole's diameter and the ring's. */
    mounting: z.object({ drill: mm, diameter: mm, distance: mm }).optional(),
  }),
]);
export type Family = z.infer<typeof familySchema>;
