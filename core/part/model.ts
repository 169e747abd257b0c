import { z } from 'zod';
import { sortedRecord } from './sorted-record';

/** What a model's node is tied to: a pin of the unit, or, as the user says, ground, nothing, or a named rail. */
export const nodeTieSchema = z.union([
  /** `also` are further pins that are the same signal, such as the other VSS terminals. */
  z.object({ pin: z.string(), also: z.array(z.string()).optional() }),
  z.object({ to: z.enum(['ground', 'open']) }),
  z.object({ to: z.literal('rail'), rail: z.string().min(1) }),
]);
export type NodeTie = z.infer<typeof nodeTieSchema>;

/** The pins on a node: the one that stands for it first. */
export const pinsOnNode = (tie: NodeTie | undefined): string[] => (tie && 'pin' in tie ? [tie.pin, ...(tie.also ?? [])] : []);

/**
 * What a trial of one joined unit gave: kept with the digest of the join that it was run on, so that it is known to be
 * older than a later join. `unit` is a unit's label, empty where the model covers the whole part.
 */
export const trialRecordSchema = z.object({
  unit: z.string(),
  bench: z.string(),
  verdict: z.enum(['pass', 'fail', 'inconclusive']),
  reason: z.string(),
  digest: z.string(),
});
export type TrialRecord = z.infer<typeof trialRecordSchema>;

/** A SPICE source, the model chosen in it, and, per unit, what each of its nodes is tied to. */
export const modelSchema = z.object({
  id: z.string().min(1),
  fileName: z.string(),
  source: z.string(),
  chosen: z.string(),
  /** Ties by node name, by unit id. A multi-channel model is bound once, under the id `*`. */
  ties: sortedRecord(sortedRecord(nodeTieSchema)),
  /** Parameter values set for this part, as written. */
  params: sortedRecord(z.string()).optional(),
  /** True where the export says in the Berkeley form what the source says in a dialect. */
  berkeley: z.boolean().optional(),
  /** What the last trial gave, one entry for each bench of each unit. */
  trials: z.array(trialRecordSchema).optional(),
  /** By node, by unit id, the digest of what it was tied to when a person read it back against the model's text. */
  readBack: sortedRecord(sortedRecord(z.string())).optional(),
});
export type Model = z.infer<typeof modelSchema>;

/** The key under which a model that covers the whole part keeps its ties. */
export const WHOLE_PART = '*';
