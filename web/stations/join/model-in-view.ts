import type { Model, Part } from '../../../core/part';
import type { SpiceModel, TieProposal } from '../../../core/spice';
import { core } from '../../workers/core';
import { useAnswer } from '../../workers/use-answer';

/** What the matcher proposes for a model. What it said of the part before stands, what it said of another model does not. */
export function useProposal(part: Part, model: Model | undefined): TieProposal | undefined {
  const answer = useAnswer(
    async () => model && { of: model.id, chosen: model.chosen, proposal: await core.proposeTies(part, model) },
    [part, model],
  );
  return answer && answer.of === model?.id && answer.chosen === model.chosen ? answer.proposal : undefined;
}

/** The chosen model of a SPICE source. */
export function useChosenModel(of: Model | undefined): SpiceModel | undefined {
  const { source, chosen } = of ?? {};
  const answer = useAnswer(
    async () =>
      source === undefined || chosen === undefined ? undefined : { source, chosen, model: await core.chosenModel({ source, chosen }) },
    [source, chosen],
  );
  return answer && answer.source === source && answer.chosen === chosen ? answer.model : undefined;
}
