import { z } from 'zod';
import { drawingSchema } from './drawing';
import { packageSchema } from './land';
import { modelSchema } from './model';
import { pinSchema } from './pin';
import { sortedRecord } from './sorted-record';

/** The version of the part's shape; each older one has a migration in `migrations/`. */
export const SCHEMA_VERSION = 1;

export const fieldSchema = z.object({ name: z.string().min(1), value: z.string(), drawn: z.boolean().optional() });

/** A unit: one drawing, bound to pins of the part. `binding` is pin id by port id. */
export const unitSchema = z.object({
  id: z.string().min(1),
  label: z.string().regex(/^[A-Z]{1,3}$/, 'expected one to three capital letters'),
  title: z.string(),
  drawing: z.string(),
  binding: sortedRecord(z.string()),
});
export type Unit = z.infer<typeof unitSchema>;

/** External parts that pins require, as a tiny network: a bypass capacitor, a termination. */
export const companionSchema = z.object({
  id: z.string().min(1),
  reason: z.string(),
  pins: z.array(z.string()),
  elements: z.array(z.object({ kind: z.string(), value: z.string(), from: z.string(), to: z.string() })),
});

/** What goes in the bill of materials and not in the drawing. */
export const accessorySchema = z.object({
  id: z.string().min(1),
  name: z.string(),
  quantity: z.number().int().positive(),
});

/** Names one finding, says why it may stand, and is bound to a digest of what it waives. */
export const waiverSchema = z.object({
  finding: z.string(),
  rule: z.string(),
  reason: z.string().min(1),
  digest: z.string(),
});
export type Waiver = z.infer<typeof waiverSchema>;

export const sourceSchema = z.object({ digest: z.string(), name: z.string(), kind: z.string() });
export type Source = z.infer<typeof sourceSchema>;

const working = z.object({
  schema: z.literal(SCHEMA_VERSION),
  name: z.string().min(1),
  baseName: z.string().optional(),
  maker: z.string().default(''),
  orderCodes: z.array(z.string()).default([]),
  houseNumber: z.string().optional(),
  description: z.string().default(''),
  keywords: z.array(z.string()).default([]),
  category: z.string().default(''),
  reference: z.string().default(''),
  datasheet: z.object({ title: z.string(), revision: z.string().optional(), source: z.string().optional() }).optional(),
  fields: z.array(fieldSchema).default([]),
  sources: z.array(sourceSchema).default([]),
  pins: z.array(pinSchema).default([]),
  units: z.array(unitSchema).default([]),
  drawings: z.array(drawingSchema).default([]),
  packages: z.array(packageSchema).default([]),
  models: z.array(modelSchema).default([]),
  companions: z.array(companionSchema).default([]),
  accessories: z.array(accessorySchema).default([]),
  waivers: z.array(waiverSchema).default([]),
});

/** A part without its releases: what a release freezes and what its digest is taken of. */
export const frozenPartSchema = working;
export type FrozenPart = z.infer<typeof frozenPartSchema>;

/** An immutable release. `date` is an ISO 8601 calendar date; `digest` is SHA-256 of the frozen part's canonical form. */
export const releaseSchema = z.object({
  version: z.string(),
  note: z.string(),
  date: z.string(),
  digest: z.string(),
  frozen: frozenPartSchema,
});
export type Release = z.infer<typeof releaseSchema>;

export const partSchema = working.extend({ releases: z.array(releaseSchema).default([]) });
export type Part = z.infer<typeof partSchema>;

/** A part with a name and nothing else yet. */
export const emptyPart = (name: string): Part => partSchema.parse({ schema: SCHEMA_VERSION, name });
