import type { Drawing, Edit, HouseRules, Label, Part, Pin } from '../part';
import { drawPins } from './draw';
import { groupPins } from './groups';

/** All bodies as wide as the widest, where the house wants them so; texts at their right edge go along. */
export function sameWidth<T extends { drawings: Drawing[] }>(made: T, rules: HouseRules): T {
  if (rules.width !== 'same') return made;
  const width = Math.max(...made.drawings.map((d) => d.body.width));
  const widen = (d: Drawing): Drawing => {
    const more = (width - d.body.width) * 50;
    const labels = d.labels.map((l) => ({ ...l, x: l.x < 0 ? l.x - more : l.x + more }));
    return d.body.shape === 'block' ? { ...d, body: { ...d.body, width }, labels } : d;
  };
  return { ...made, drawings: made.drawings.map(widen) };
}

/**
 * The edit that draws one unit's pins anew, as a proposal to look at. Pins that a person placed stay where they are,
 * and so does the drawing's id; other units bound to the drawing follow it.
 */
export function tidyUnit(part: Part, unitId: string, rules: HouseRules): Edit & { kind: 'takeArrangement' } {
  const unit = part.units.find((u) => u.id === unitId)!;
  const drawing = part.drawings.find((d) => d.id === unit.drawing)!;
  // A shape and free artwork say themselves where their pins are.
  if (drawing.body.shape !== 'block') return { kind: 'takeArrangement', units: part.units, drawings: part.drawings };
  const byId = new Map(part.pins.map((p) => [p.id, p]));
  const pins = Object.values(unit.binding).flatMap((id) => byId.get(id) ?? []);
  const ordered = part.pins.filter((p) => pins.includes(p));
  const portOf = new Map(Object.entries(unit.binding).map(([port, pin]) => [pin, drawing.ports.find((p) => p.id === port)!]));
  const fixed = new Map(
    ordered.filter((p) => p.byHand?.includes('place')).map((p) => [p.id, { side: portOf.get(p.id)!.side, at: portOf.get(p.id)!.at }]),
  );
  const sharers = part.units.filter((u) => u.drawing === drawing.id && u.id !== unitId);
  const also = (pin: Pin) => sharers.flatMap((u) => byId.get(u.binding[portOf.get(pin.id)!.id] ?? '') ?? []);
  const drawn = drawPins(drawing.id, groupPins(ordered, rules.order), unit.title, rules, fixed, also);
  // Ports keep their ids, so that every binding to this drawing stays true.
  const ports = drawn.drawing.ports.map((port, i) => {
    const { id, hide, turned } = portOf.get(drawn.pins[i]!.pin.id)!;
    return { ...port, id, ...(hide ? { hide } : {}), ...(turned ? { turned } : {}) };
  });
  const next: Drawing = {
    ...drawn.drawing,
    ports: sortLike(
      ports,
      drawing.ports.map((p) => p.id),
    ),
    ...(drawing.hide ? { hide: drawing.hide } : {}),
    strokes: drawing.strokes,
    labels: [...drawn.drawing.labels.map((l) => keepShown(l, drawing)), ...drawing.labels.filter((l) => l.kind === 'field')],
  };
  return {
    kind: 'takeArrangement',
    units: part.units,
    drawings: part.drawings.map((d) => (d.id === drawing.id ? next : d)),
  };
}

/** A text that a person hid stays hidden. */
const keepShown = (label: Label, { labels }: Drawing): Label =>
  labels.some((l) => l.kind === label.kind && l.hidden) ? { ...label, hidden: true } : label;

/** The edit that draws all units by the house rules as they are now; who stands in which unit stays, and what was placed by hand. */
export function restylePart(part: Part, rules: HouseRules): Edit & { kind: 'takeArrangement' } {
  const firsts = part.units.filter((u, i) => part.units.findIndex((v) => v.drawing === u.drawing) === i);
  const drawings = firsts.reduce((drawn, unit) => tidyUnit({ ...part, drawings: drawn }, unit.id, rules).drawings, part.drawings);
  return { kind: 'takeArrangement', units: part.units, ...sameWidth({ drawings }, rules) };
}

function sortLike<T extends { id: string }>(list: T[], order: string[]): T[] {
  const rank = new Map(order.map((id, i) => [id, i]));
  return [...list].sort((a, b) => rank.get(a.id)! - rank.get(b.id)!);
}
