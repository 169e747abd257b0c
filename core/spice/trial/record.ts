import { boundLabel, pinsOnNode, type Edit, type Model, type Part, type TrialRecord } from '../../part';
import { sha256 } from '../../release/digest';
import { setupsOf } from './of-part';
import type { Trial } from './run';
import type { Setup } from './setup';

/** The digest of the text that was asked for last; see `modelsOf`. */
let last = { source: '', digest: sha256('') };
const sourceDigest = (source: string): string => (last = last.source === source ? last : { source, digest: sha256(source) }).digest;

/**
 * The digest of what a trial depends on: the model's text, its parameters, and, for the unit, which pins with which
 * names and types are on which node. Another join, or another name, is another trial.
 */
export function joinDigest(part: Part, model: Model, unitId: string): string {
  const byId = new Map(part.pins.map((p) => [p.id, p]));
  const ties = Object.entries(model.ties[unitId] ?? {}).map(([node, tie]) => [
    node,
    'to' in tie ? [tie.to] : pinsOnNode(tie).map((id) => [byId.get(id)?.name, byId.get(id)?.type]),
  ]);
  return sha256(JSON.stringify([sourceDigest(model.source), model.chosen, model.params ?? {}, ties.sort()])).slice(0, 16);
}

/** Units of a model that have a pin on a node, with their labels: what a trial has to cover. */
export const joinedUnits = (part: Part, model: Model): { id: string; label: string }[] =>
  Object.entries(model.ties)
    .filter(([, ties]) => Object.values(ties).some((tie) => pinsOnNode(tie).length > 0))
    .map(([id]) => ({ id, label: boundLabel(part, id) }));

/** The edit that keeps what the trials of a model gave. */
export function recordEdit(part: Part, model: Model, trials: readonly Trial[]): Edit {
  const units = joinedUnits(part, model);
  return {
    kind: 'recordTrial',
    model: model.id,
    trials: trials.flatMap((t): TrialRecord[] => {
      const unit = units.find((u) => u.label === (t.unit ?? ''));
      if (!unit || (t.modelId !== undefined && t.modelId !== model.id)) return [];
      return [{ unit: unit.label, bench: t.name, verdict: t.verdict, reason: t.reason, digest: joinDigest(part, model, unit.id) }];
    }),
  };
}

export type TrialState = 'missing' | 'older' | 'fail' | 'inconclusive' | 'pass';

/** Where a unit's trial stands: the worst of its benches, `older` where the join has changed since. */
export function trialState(part: Part, model: Model, unit: { id: string; label: string }): TrialState {
  const records = (model.trials ?? []).filter((t) => t.unit === unit.label);
  if (records.length === 0) return 'missing';
  if (records.some((t) => t.digest !== joinDigest(part, model, unit.id))) return 'older';
  return records.find((t) => t.verdict === 'fail')?.verdict ?? records.find((t) => t.verdict !== 'pass')?.verdict ?? 'pass';
}

/** What a trial of a part would run, and what the part keeps of the last one. */
export interface Standing {
  setups: Setup[];
  kept: { model: string; unit: string; state: TrialState; records: TrialRecord[] }[];
  /** Tells one join from another: what was tried counts as long as it stays. */
  digest: string;
}

export function trialStanding(part: Part): Standing {
  const units = part.models.flatMap((model) => joinedUnits(part, model).map((unit) => ({ model, unit })));
  return {
    setups: setupsOf(part).filter((s) => s.joins.some((j) => j.pins.length > 0)),
    kept: units.map(({ model, unit }) => ({
      model: model.chosen,
      unit: unit.label,
      state: trialState(part, model, unit),
      records: (model.trials ?? []).filter((t) => t.unit === unit.label),
    })),
    digest: units.map(({ model, unit }) => joinDigest(part, model, unit.id)).join(' '),
  };
}

/** The edit that exchanges two pins, by their names, on the nodes of one unit: the re-join that a failed trial found. */
export function rejoinEdit(part: Part, model: Model, label: string, [a, b]: readonly [string, string]): Edit | undefined {
  const unit = joinedUnits(part, model).find((u) => u.label === label)?.id;
  const ties = unit === undefined ? [] : Object.entries(model.ties[unit] ?? {});
  const nameOf = (id: string | undefined) => part.pins.find((p) => p.id === id)?.name;
  const first = ties.find(([, tie]) => nameOf(pinsOnNode(tie)[0]) === a);
  const second = ties.find(([, tie]) => nameOf(pinsOnNode(tie)[0]) === b);
  if (unit === undefined || !first || !second) return undefined;
  const exchanged = [
    { unit, node: first[0], tie: second[1] },
    { unit, node: second[0], tie: first[1] },
  ];
  return { kind: 'tieNodes', model: model.id, ties: exchanged };
}
