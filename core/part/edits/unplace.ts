import type { Drawing } from '../drawing';
import { freshId } from '../fresh-id';
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
  const drawings = apart.drawings.map((d) =>
    gone.has(d.id) ? { ...d, ports: d.ports.filter((p) => !gone.get(d.id)!.has(p.id)) } : d,
  );
  return { ...apart, units, drawings };
}

/** Drops node ties of pins that are no longer there. */
export function dropTies(part: Part, pinIds: ReadonlySet<string>): Part['models'] {
  return part.models.map((model) => ({
    ...model,
    ties: Object.fromEntries(
      Object.entries(model.ties).map(([unit, ties]) => [
        unit,
        Object.fromEntries(Object.entries(ties).filter(([, tie]) => !('pin' in tie) || !pinIds.has(tie.pin))),
      ]),
    ),
  }));
}
