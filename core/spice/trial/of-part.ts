import { boundLabel, firstPadOrId, pinsOnNode, type Model, type Part } from '../../part';
import { chosenModel } from '../part-models';
import type { Setup, TrialPin } from './setup';

/** The joined units of a part's models as trials take them; models whose source no longer has the chosen one give none. */
export function setupsOf(part: Part, only?: string): Setup[] {
  const byId = new Map(part.pins.map((p) => [p.id, p]));
  const packageId = part.packages[0]?.id;
  const pinOf = (id: string): TrialPin[] => {
    const pin = byId.get(id);
    return pin ? [{ number: firstPadOrId(pin, packageId), name: pin.name, type: pin.type }] : [];
  };
  return part.models
    .filter((m) => only === undefined || m.chosen.toLowerCase() === only.toLowerCase())
    .flatMap((model: Model) => {
      const chosen = chosenModel(model);
      if (!chosen) return [];
      return Object.entries(model.ties).map(([unitId, ties]): Setup => ({
        unit: boundLabel(part, unitId) || null,
        modelId: model.id,
        device: chosen.device,
        model: chosen,
        source: model.source,
        params: model.params ?? {},
        joins: chosen.nodes.map(({ name, otherwise }) => {
          const tie = ties[name];
          return {
            ...(tie === undefined && otherwise !== undefined ? { otherwise } : {}),
            node: name,
            pins: pinsOnNode(tie).flatMap(pinOf),
            to: tie && 'to' in tie && tie.to === 'ground' ? 'ground' : 'open',
          };
        }),
      }));
    });
}
