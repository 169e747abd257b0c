import { z } from 'zod';
import { SIDES } from './drawing';
import { parseJson, shapeProblems } from './parse';
import { ok, refuse, type Result } from './problem';
import { sortedRecord } from './sorted-record';

export const SEVERITIES = ['error', 'warning', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** The roles that house rules give a side to. */
export const SIDE_ROLES = ['input', 'output', 'bidirectional', 'passive', 'supply', 'ground', 'other'] as const;
export type SideRole = (typeof SIDE_ROLES)[number];

const side = z.enum(SIDES);

/** How a house wants its symbols. Lengths are in grid steps, except `stepMm`, the physical size of one step. */
export const houseRulesSchema = z.object({
  name: z.string().default('Highline house rules'),
  stepMm: z.number().positive().max(10).default(2.54),
  pinLength: z.number().int().min(1).max(10).default(2),
  pitch: z.number().int().min(1).max(4).default(1),
  groupGap: z.number().int().min(0).max(4).default(1),
  /** The most pins in one unit; a part with more gets several. */
  maxPinsPerUnit: z.number().int().min(2).max(400).default(56),
  /** Supplies get a unit of their own when a part has several units. */
  suppliesApart: z.boolean().default(true),
  sides: z
    .object({
      input: side.default('left'),
      output: side.default('right'),
      bidirectional: side.default('right'),
      passive: side.default('left'),
      supply: side.default('left'),
      ground: side.default('left'),
      other: side.default('right'),
    })
    .prefault({}),
  required: z.array(z.string()).default(['description', 'maker', 'reference', 'category']),
  /** Severity by rule id; `off` leaves a rule out. */
  severities: sortedRecord(z.enum([...SEVERITIES, 'off'])).default({}),
});
export type HouseRules = z.infer<typeof houseRulesSchema>;

export const DEFAULT_RULES: HouseRules = houseRulesSchema.parse({});

/** Reads house rules from a JSON file's text; what it does not say stays as the default has it. */
export function safeParseRules(text: string, file?: string): Result<HouseRules> {
  const json = parseJson(text, file);
  if (!json.ok) return json;
  const parsed = houseRulesSchema.safeParse(json.value);
  return parsed.success ? ok(parsed.data) : refuse(...shapeProblems(parsed.error, 'rules-shape', file));
}
