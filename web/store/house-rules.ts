import { DEFAULT_RULES, houseRulesSchema, type HouseRules } from '../../core/part';
import { db } from './db';

/** The house rules as stored; the defaults where there are none or they no longer fit. */
export async function loadRules(): Promise<HouseRules> {
  const stored = await db.settings.get('rules');
  const parsed = houseRulesSchema.safeParse(stored?.value ?? {});
  return parsed.success ? parsed.data : DEFAULT_RULES;
}

export const keepRules = async (rules: HouseRules): Promise<void> => void (await db.settings.put({ key: 'rules', value: rules }));
