import { sayBound, type Model } from '../part';
import { joinedUnits, trialState } from '../spice';
import type { Facts, RawFinding, Rule } from './rule';

type State = ReturnType<typeof trialState>;

/** A finding for each joined unit whose trial stands as asked; units of one model that all stand so are one finding. */
function unitsThat(state: State, { part, chosen }: Facts, say: (model: Model, where: string) => string): RawFinding[] {
  return part.models
    .filter((model) => chosen.has(model.id))
    .flatMap((model) => {
      const units = joinedUnits(part, model);
      const such = units.filter((u) => trialState(part, model, u) === state);
      if (such.length === 0) return [];
      if (such.length === units.length) return [{ where: { model: model.id }, message: say(model, '') }];
      return such.map((u) => ({ where: { model: model.id, unit: u.id }, message: say(model, ` in ${sayBound(u.label)}`) }));
    });
}

const reasonOf = (model: Model, verdict: 'fail' | 'inconclusive'): string => model.trials?.find((t) => t.verdict === verdict)?.reason ?? '';

export const trialRules: Rule[] = [
  {
    id: 'trial-missing',
    family: 'trials',
    severity: 'error',
    title: 'A joined model has not been tried',
    why: 'A swapped node costs days of wrong simulation; a trial on a small bench finds it in seconds.',
    find: (facts) =>
      unitsThat('missing', facts, (m, where) => `${m.chosen} is joined${where} and has not been tried. Run the trial in Join.`),
  },
  {
    id: 'trial-failed',
    family: 'trials',
    severity: 'error',
    title: 'A trial has failed',
    why: 'As it is joined, the part does not do on the bench what it is.',
    find: (facts) => unitsThat('fail', facts, (m, where) => `The trial of ${m.chosen}${where} failed. ${reasonOf(m, 'fail')}`),
  },
  {
    id: 'trial-older',
    family: 'trials',
    severity: 'error',
    title: 'A trial is older than the join',
    why: 'What passed is not what would be released.',
    find: (facts) => unitsThat('older', facts, (m, where) => `The join of ${m.chosen}${where} has changed since its trial. Run it again.`),
  },
  {
    id: 'trial-inconclusive',
    family: 'trials',
    severity: 'warning',
    title: 'A trial shows nothing',
    why: 'The bench could not tell right from wrong; somebody has to look.',
    find: (facts) =>
      unitsThat('inconclusive', facts, (m, where) => `The trial of ${m.chosen}${where} shows nothing. ${reasonOf(m, 'inconclusive')}`),
  },
];
