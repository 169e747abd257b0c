import type { Drawing } from '../drawing';
import { freshId } from '../fresh-id';
import { pinsOnNode, type NodeTie } from '../model';
import type { Part, Unit } from '../part';

/** The drawings with a copy in place of the unit's own, where other units are bound to the same drawing. */
export function ownDrawing(part: Part, unitId: string): Part {
  const unit = part.units.find((u) => u.id === unitId);
  const drawing = part.drawings.find((d) => d.id === unit?.drawing);
  const sharers = part.units.filter((u) => u.drawing === unit?.drawing);
  if (!unit || !drawing || sharers.length < 2) return part;
  const copy: Drawing = { ...drawing, id: freshId('d', new Set(part.drawings.map((d) => d.id))) };
  return {
    ...part,
    drawings: [...part.drawings, copy],
    units: part.units.map((u) => (u.id === unitId ? { ...u, drawing: copy.id } : u)),
  };
}

/** Takes pins out of units, with the ports that only they were bound to. Units that stay empty stay. */
export function unplace(part: Part, pinIds: ReadonlySet<string>, only?: string): Part {
  const touched = part.units.filter(
    (u) => (only === undefined || u.id === only) && Object.values(u.binding).some((pin) => pinIds.has(pin)),
  );
  if (touched.length === 0) return part;
  const apart = touched.reduce((p, unit) => ownDrawing(p, unit.id), part);
  const ids = new Set(touched.map((u) => u.id));
  const gone = new Map<string, Set<string>>();
  const units = apart.units.map((unit): Unit => {
    if (!ids.has(unit.id)) return unit;
    const entries = Object.entries(unit.binding);
    gone.set(unit.drawing, new Set(entries.filter(([, pin]) => pinIds.has(pin)).map(([port]) => port)));
    return { ...unit, binding: Object.fromEntries(entries.filter(([, pin]) => !pinIds.has(pin))) };
  });
  const drawings = apart.drawings.map((d) => (gone.has(d.id) ? { ...d, ports: d.ports.filter((p) => !gone.get(d.id)!.has(p.id)) } : d));
  return { ...apart, units, drawings };
}

/** Takes pins that are no longer there off their nodes; another pin of the same signal then stands for the node. */
export function dropTies(part: Part, pinIds: ReadonlySet<string>): Part['models'] {
  const left = (tie: NodeTie): NodeTie | undefined => {
    if (!('pin' in tie)) return tie;
    const [pin, ...also] = pinsOnNode(tie).filter((id) => !pinIds.has(id));
    return pin === undefined ? undefined : also.length > 0 ? { pin, also } : { pin };
  };
  return part.models.map((model) => ({
    ...model,
    ties: mapValues(model.ties, (ties) =>
      Object.fromEntries(Object.entries(ties).flatMap(([node, tie]) => (left(tie) ? [[node, left(tie)!]] : []))),
    ),
  }));
}

const mapValues = <A, B>(record: Record<string, A>, change: (value: A) => B): Record<string, B> =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [key, change(value)]));
