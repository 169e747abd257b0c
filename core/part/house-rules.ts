import { z } from 'zod';
import { SIDES } from './drawing';
import { parseJson, shapeProblems } from './parse';
import { ok, refuse, type Result } from './problem';
import { sortedRecord } from './sorted-record';

export const SEVERITIES = ['error', 'warning', 'note'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** The roles that house rules give a side to. */
export const SIDE_ROLES = ['input', 'output', 'bidirectional', 'control', 'passive', 'supply', 'ground', 'other'] as const;
export type SideRole = (typeof SIDE_ROLES)[number];

const side = z.enum(SIDES);

/** Where shared supplies of equal channels stand: in a unit of their own, in each channel, in the first, or as signals do. */
export const SUPPLY_PLACES = ['own', 'each', 'first', 'signals'] as const;
export const PIN_ORDERS = ['natural', 'number', 'datasheet', 'bank'] as const;
export const WIDTH_RULES = ['names', 'third', 'same'] as const;
/** What a planned unit is drawn as: always a block, or the body shape that its pins call for; of the gates and resistors the distinctive outline (IEEE 91a, IEEE 315) or the rectangular one (IEC 60617). */
export const BODY_STYLES = ['blocks', 'distinctive', 'rectangular'] as const;
export const TEXT_PLACES = ['above', 'below', 'split'] as const;

/** How a house wants its symbols. Lengths are in grid steps, except `stepMm`, the physical size of one step. */
export const houseRulesSchema = z.preprocess(
  fromOlder,
  z.object({
    name: z.string().default('Highline house rules'),
    stepMm: z.number().positive().max(10).default(2.54),
    pinLength: z.number().int().min(1).max(10).default(2),
    pitch: z.number().int().min(1).max(4).default(1),
    groupGap: z.number().int().min(0).max(4).default(1),
    /** The most pins that read well in one unit; only what belongs together may be more, up to the height. */
    maxPinsPerUnit: z.number().int().min(2).max(400).default(56),
    /** The tallest body, from the sheet that it must fit. */
    maxHeight: z.number().int().min(8).max(400).default(56),
    supplies: z.enum(SUPPLY_PLACES).default('own'),
    /** The order of the pins of a group. */
    order: z.enum(PIN_ORDERS).default('natural'),
    names: z.enum(['inside', 'over']).default('inside'),
    /** Bodies as wide as names and title need, at least a third of their height, or all units of a part the same. */
    width: z.enum(WIDTH_RULES).default('names'),
    minWidth: z.number().int().min(2).max(100).default(4),
    minHeight: z.number().int().min(2).max(100).default(4),
    bodies: z.enum(BODY_STYLES).default('distinctive'),
    /** The strip with the unit's title in the body. */
    strip: z.boolean().default(true),
    /** Reference and value both above the body, both below, or one above and one below. */
    texts: z.enum(TEXT_PLACES).default('above'),
    sides: z
      .object({
        input: side.default('left'),
        output: side.default('right'),
        bidirectional: side.default('right'),
        control: side.default('left'),
        passive: side.default('left'),
        supply: side.default('left'),
        ground: side.default('left'),
        other: side.default('right'),
      })
      .prefault({}),
    required: z.array(z.string()).default(['description', 'maker', 'reference', 'category']),
    /** Severity by rule id; `off` leaves a rule out. */
    severities: sortedRecord(z.enum([...SEVERITIES, 'off'])).default({}),
  }),
);

/** Earlier files said whether supplies stand apart as yes or no. */
function fromOlder(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || !('suppliesApart' in value) || 'supplies' in value) return value;
  const { suppliesApart, ...rest } = value;
  return { ...rest, supplies: suppliesApart === false ? 'signals' : 'own' };
}

export type HouseRules = z.infer<typeof houseRulesSchema>;

export const DEFAULT_RULES: HouseRules = houseRulesSchema.parse({});

/** Three houses' ways to begin with; what a house changes of them is its own. */
export const RULE_PRESETS: { name: string; says: string; rules: HouseRules }[] = [
  {
    name: 'Highline house rules',
    says: 'One step of 2.54 mm between pins, names inside, supplies in a unit of their own.',
    rules: DEFAULT_RULES,
  },
  {
    name: 'Wide sheet',
    says: 'Two steps of 1.27 mm between pins, long pins, supplies on top and grounds at the base.',
    rules: houseRulesSchema.parse({
      name: 'Wide sheet',
      stepMm: 1.27,
      pitch: 2,
      pinLength: 4,
      groupGap: 2,
      maxPinsPerUnit: 48,
      maxHeight: 110,
      width: 'same',
      minWidth: 12,
      sides: { supply: 'top', ground: 'base' },
    }),
  },
  {
    name: 'Standard module',
    says: 'The 2.5 mm module of IEC 60617, outlines without a title, pins by number, texts above and below.',
    rules: houseRulesSchema.parse({
      name: 'Standard module',
      stepMm: 2.5,
      order: 'number',
      bodies: 'rectangular',
      strip: false,
      texts: 'split',
      supplies: 'first',
      sides: { bidirectional: 'right', supply: 'top', ground: 'base' },
    }),
  },
];

/** Reads house rules from a JSON file's text; what it does not say stays as the default has it. */
export function safeParseRules(text: string, file?: string): Result<HouseRules> {
  const json = parseJson(text, file);
  if (!json.ok) return json;
  const parsed = houseRulesSchema.safeParse(json.value);
  return parsed.success ? ok(parsed.data) : refuse(...shapeProblems(parsed.error, 'rules-shape', file));
}
