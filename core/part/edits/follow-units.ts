import { channelKey, channelsInUnits } from '../bound-in';
import { carriesPower } from '../electrical-type';
import { pinsOnNode, WHOLE_PART, type Model } from '../model';
import type { Part, Unit } from '../part';

/**
 * The models of a part whose units are planned anew: what was tied in a unit is tied in the one that holds most of its signals
 * now. What no unit holds keeps its ties under a name that is no unit's, so that it is found and nothing is lost unseen.
 */
export function followUnits(part: Part, units: readonly Unit[]): Part['models'] {
  const models = part.models.map((model) => followed(part, model, units));
  return models.every((m, i) => m === part.models[i]) ? part.models : models;
}

/** Where units hold several channels, ties are those of the channel that has all of their signals. */
function channelsOf(part: Part, units: readonly Unit[], signals: ReadonlyMap<string, readonly string[]>): [string, string][] {
  const { indices = [], members = [] } = channelsInUnits({ pins: part.pins, units: [...units] }) ?? {};
  return [...signals].flatMap(([key, ids]): [string, string][] => {
    const at = members.findIndex((m) => ids.length > 0 && ids.every((id) => [...m.values()].some((p) => p.id === id)));
    return at < 0 ? [] : [[key, channelKey(indices[at]!)]];
  });
}

function followed(part: Part, model: Model, units: readonly Unit[]): Model {
  const keys = Object.keys(model.ties).filter((key) => key !== WHOLE_PART);
  const power = new Set(part.pins.filter((p) => carriesPower(p.type)).map((p) => p.id));
  const signals = new Map(keys.map((key) => [key, Object.values(model.ties[key]!).flatMap(pinsOnNode).filter((id) => !power.has(id))])); // prettier-ignore
  const held = new Map(units.map((u) => [u.id, new Set(Object.values(u.binding))]));
  const matches = keys.flatMap((key) =>
    units.map(({ id }) => ({ key, id, count: signals.get(key)!.filter((pin) => held.get(id)!.has(pin)).length })),
  );
  const to = new Map(channelsOf(part, units, signals));
  const isFree = (key: string, id: string) => !to.has(key) && ![...to.values()].includes(id);
  // The surest first; where several are as sure, the unit that it was.
  for (const { key, id, count } of matches.sort((a, b) => b.count - a.count || Number(b.key === b.id) - Number(a.key === a.id)))
    if (isFree(key, id) && count * 2 > signals.get(key)!.length) to.set(key, id);
  // What no unit holds most of stays where it was, while that has any of it, or nothing but supplies is tied yet.
  for (const { key, id, count } of matches)
    if (key === id && isFree(key, id) && (count > 0 || signals.get(key)!.length === 0)) to.set(key, id);
  const label = (key: string) => part.units.find((u) => u.id === key)?.label ?? key;
  for (const key of keys) if (!to.has(key)) to.set(key, held.has(key) ? `former ${label(key)}` : key);
  if (keys.every((key) => to.get(key) === key)) return model;
  const renamed = <T>(record: Record<string, T>): Record<string, T> =>
    Object.fromEntries(Object.entries(record).map(([key, value]) => [to.get(key) ?? key, value]));
  return { ...model, ties: renamed(model.ties), ...(model.readBack ? { readBack: renamed(model.readBack) } : {}) };
}
