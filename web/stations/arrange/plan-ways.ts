import { STRATEGIES, type Strategy } from '../../../core/arrange';

/** Planning as it is, or from nothing, also where pins were placed by hand. */
export type PlanWay = Strategy | 'afresh' | 'restyle';

export const WAY_WORDS: Record<PlanWay, string> = {
  function: 'by function',
  bank: 'by group or bank',
  side: 'by package side',
  one: 'all in one unit',
  afresh: 'afresh, also what was placed by hand',
  restyle: 'units as they are, by the house rules',
};

export const PLAN_WAYS: readonly PlanWay[] = [...STRATEGIES, 'afresh', 'restyle'];
