import type { TrialRecord } from '../model';
import { plural, replaceById, type EditRule } from './edit-rule';

/** Keeps with a model what its trial gave, in place of what an earlier one gave. */
export interface RecordTrial {
  kind: 'recordTrial';
  model: string;
  trials: TrialRecord[];
}

export const recordTrial: EditRule<RecordTrial> = {
  apply: (part, { model, trials }) => ({ ...part, models: replaceById(part.models, [model], (m) => ({ ...m, trials })) }),
  describe: ({ trials }) => `keep ${plural(trials.length, 'trial')}`,
};
