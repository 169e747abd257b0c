import { z } from 'zod';
import { electricalTypeSchema } from './electrical-type';
import { sortedRecord } from './sorted-record';

/** Where a cell stands in its source. Lines and pages count from 1; `box` is x, y, width, height on the page. */
const boxSchema = z.tuple([z.number(), z.number(), z.number(), z.number()]);

export const originSchema = z.object({
  source: z.string().optional(),
  page: z.number().int().positive().optional(),
  line: z.number().int().positive().optional(),
  sheet: z.string().optional(),
  cell: z.string().optional(),
  /** x, y, width, height in points on the page as displayed, from its upper left corner. */
  box: boxSchema.optional(),
  /** By field: the cell's box on the page, or its address on the sheet. */
  cells: sortedRecord(z.union([boxSchema, z.string()])).optional(),
});
export type Origin = z.infer<typeof originSchema>;

/** What was concluded about a field and could not be made sure of, with the other values it could have. */
export const doubtSchema = z.object({
  field: z.enum(['number', 'name', 'type', 'activeLow', 'description', 'group']),
  reason: z.string(),
  candidates: z.array(z.string()).optional(),
});
export type Doubt = z.infer<typeof doubtSchema>;

export const BY_HAND = ['number', 'name', 'type', 'activeLow', 'description', 'group', 'place', 'unit'] as const;

/** What a source says of a terminal. */
const saidShape = {
  name: z.string(),
  drawnName: z.string().optional(),
  activeLow: z.boolean().optional(),
  type: electricalTypeSchema,
  description: z.string().optional(),
  alternates: z.array(z.string()).optional(),
};
/** What is of one terminal alone; a bundle keeps it where its terminals differ. */
const ownShape = {
  ...saidShape,
  lengthMm: z.number().nonnegative().optional(),
  delayPs: z.number().nonnegative().optional(),
  origin: originSchema.optional(),
};
export const OWN_FIELDS = Object.keys(ownShape) as (keyof typeof ownShape)[];

/** A terminal of a bundle: its pads by package id, and what it has otherwise than the bundle's other terminals. */
export const memberSchema = z
  .object(ownShape)
  .partial()
  .extend({ pads: sortedRecord(z.array(z.string())) });
export type Member = z.infer<typeof memberSchema>;

/**
 * A logical terminal. Its number is the pads that it has in the package in view, so one symbol serves
 * several packages. `lengthMm` and `delayPs` are the way inside the package.
 */
export const pinSchema = z.object({
  id: z.string().min(1),
  ...saidShape,
  group: z.string().optional(),
  rail: z.string().optional(),
  swapGroup: z.string().optional(),
  /** A shared pin (a supply) may be bound in several units. */
  shared: z.boolean().optional(),
  lengthMm: z.number().nonnegative().optional(),
  delayPs: z.number().nonnegative().optional(),
  /** A bus drawn as one pin: the names of its bits, in the order of its pads. */
  bits: z.array(z.string()).optional(),
  /** The terminals that a bundle, or a bus, was made of. */
  members: z.array(memberSchema).optional(),
  /** Pad numbers by package id. */
  pads: sortedRecord(z.array(z.string())),
  origin: originSchema.optional(),
  /** The words that each conclusion came from, by field. */
  because: sortedRecord(z.string()).optional(),
  /** How sure the type is that was concluded, 0 to 1. */
  confidence: z.number().min(0).max(1).optional(),
  /** Fields that a person set; no automatic work may overwrite them unasked. */
  byHand: z.array(z.enum(BY_HAND)).optional(),
  doubts: z.array(doubtSchema).default([]),
});
export type Pin = z.infer<typeof pinSchema>;

/** The name that a drawing shows: the chosen alternate, or the printed name. */
export const nameOnDrawing = (pin: Pin): string => pin.drawnName ?? pin.name;

/** A pin's first number in whichever package has it; empty where none does. */
export const anyNumber = (pin: Pin): string => Object.values(pin.pads)[0]?.[0] ?? '';

/** The pads of a pin in one package; none where it is not bonded out there. */
export const padsIn = (pin: Pin, packageId: string | undefined): string[] => (packageId === undefined ? [] : (pin.pads[packageId] ?? []));

/** What a pin is told from others by: its first pad in a package, or its own id where it has none there. */
export const firstPadOrId = (pin: Pin, packageId: string | undefined): string => padsIn(pin, packageId)[0] ?? pin.id;
