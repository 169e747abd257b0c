import { useEffect, useState } from 'react';
import type { Model, Part } from '../../../core/part';
import type { SpiceModel, TieProposal } from '../../../core/spice';
import { core } from '../../workers/core';

/** What the matcher proposes for a model, worked out in the worker. What it said of the part before stands until it answers anew. */
export function useProposal(part: Part, model: Model | undefined): TieProposal | undefined {
  const [answer, setAnswer] = useState<{ model: string; chosen: string; proposal: TieProposal | undefined } | null>(null);
  useEffect(() => {
    if (model === undefined) return;
    let stale = false;
    void core.proposeTies(part, model).then((proposal) => !stale && setAnswer({ model: model.id, chosen: model.chosen, proposal }));
    return () => {
      stale = true;
    };
  }, [part, model]);
  return answer !== null && answer.model === model?.id && answer.chosen === model.chosen ? answer.proposal : undefined;
}

/** The chosen model of a SPICE source, read in the worker. */
export function useChosenModel(of: Model | undefined): SpiceModel | undefined {
  const { source, chosen } = of ?? {};
  const [read, setRead] = useState<{ source: string; chosen: string; model: SpiceModel | undefined } | null>(null);
  useEffect(() => {
    if (source === undefined || chosen === undefined) return;
    let stale = false;
    void core.chosenModel({ source, chosen }).then((model) => !stale && setRead({ source, chosen, model }));
    return () => {
      stale = true;
    };
  }, [source, chosen]);
  return read !== null && read.source === source && read.chosen === chosen ? read.model : undefined;
}
