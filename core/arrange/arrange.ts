import {
  DEFAULT_RULES,
  freshId,
  nameOnDrawing,
  unitLabel,
  type Drawing,
  type Edit,
  type HouseRules,
  type Part,
  type Pin,
  type Unit,
} from '../part';
import { drawPins, type DrawnUnit } from './draw';
import { groupPins, type PinGroup } from './groups';
import { planUnits } from './plan';

/**
 * The edit that plans and draws all units of a part anew. Pins that no package bonds out are drawn too: another package
 * may. Same part and rules, same edit.
 */
export function arrangePart(part: Part, rules: HouseRules): Edit & { kind: 'takeArrangement' } {
  const plan = planUnits(part.pins, rules);
  const units: Unit[] = [];
  const drawings: Drawing[] = [];
  const label = () => unitLabel(units.length);
  const add = (title: string, drawing: Drawing, binding: Record<string, string>) =>
    units.push({ id: `u${units.length + 1}`, label: label(), title, drawing: drawing.id, binding });
  if (plan.channels) {
    const { titles, channels } = plan.channels;
    const drawn = drawChannel(`d1`, channels.members, titles, rules);
    drawings.push(drawn.drawing);
    channels.members.forEach((member, i) => add(titles[i]!, drawn.drawing, bindChannel(drawn, channels.members[0]!, member)));
  }
  for (const { title, groups } of plan.units) {
    const single = plan.units.length === 1 && !plan.channels;
    const shown = single ? shortTitle(part) : title;
    const drawn = drawPins(`d${drawings.length + 1}`, groups, shown, rules);
    drawings.push(drawn.drawing);
    add(shown, drawn.drawing, Object.fromEntries(drawn.pins.map(({ port, pin }) => [port, pin.id])));
  }
  return { kind: 'takeArrangement', units, drawings };
}

const shortTitle = (part: Part): string => (part.description && part.description.length <= 28 ? part.description : part.name);

/** One drawing for all channels: pins of the first channel, as wide as the longest name in any. */
function drawChannel(id: string, members: Map<string, Pin>[], titles: string[], rules: HouseRules): DrawnUnit {
  const first = members[0]!;
  const roleOfPin = new Map([...first].map(([role, pin]) => [pin.id, role]));
  const group: PinGroup = { title: titles[0]!, pins: [...first.values()], power: false };
  const longestTitle = titles.reduce((a, b) => (b.length > a.length ? b : a), '');
  return drawPins(id, [group], longestTitle, rules, new Map(), (pin) => members.map((m) => m.get(roleOfPin.get(pin.id)!)!));
}

function bindChannel(drawn: DrawnUnit, first: Map<string, Pin>, member: Map<string, Pin>): Record<string, string> {
  const roleOfPin = new Map([...first].map(([role, pin]) => [pin.id, role]));
  return Object.fromEntries(drawn.pins.map(({ port, pin }) => [port, member.get(roleOfPin.get(pin.id)!)!.id]));
}

/**
 * The edit that draws one unit's pins anew, as a proposal to look at. Pins that a person placed stay where they are,
 * and so does the drawing's id; other units bound to the drawing follow it.
 */
export function tidyUnit(part: Part, unitId: string, rules: HouseRules): Edit & { kind: 'takeArrangement' } {
  const unit = part.units.find((u) => u.id === unitId)!;
  const drawing = part.drawings.find((d) => d.id === unit.drawing)!;
  const byId = new Map(part.pins.map((p) => [p.id, p]));
  const pins = Object.values(unit.binding).flatMap((id) => byId.get(id) ?? []);
  const ordered = part.pins.filter((p) => pins.includes(p));
  const portOf = new Map(Object.entries(unit.binding).map(([port, pin]) => [pin, drawing.ports.find((p) => p.id === port)!]));
  const fixed = new Map(
    ordered.filter((p) => p.byHand?.includes('place')).map((p) => [p.id, { side: portOf.get(p.id)!.side, at: portOf.get(p.id)!.at }]),
  );
  const sharers = part.units.filter((u) => u.drawing === drawing.id && u.id !== unitId);
  const also = (pin: Pin) => sharers.flatMap((u) => byId.get(u.binding[portOf.get(pin.id)!.id] ?? '') ?? []);
  const drawn = drawPins(drawing.id, groupPins(ordered), unit.title, rules, fixed, also);
  // Ports keep their ids, so that every binding to this drawing stays true.
  const ports = drawn.drawing.ports.map((port, i) => ({ ...port, id: portOf.get(drawn.pins[i]!.pin.id)!.id }));
  const next: Drawing = {
    ...drawn.drawing,
    ports: sortLike(
      ports,
      drawing.ports.map((p) => p.id),
    ),
    strokes: drawing.strokes,
  };
  return {
    kind: 'takeArrangement',
    units: part.units,
    drawings: part.drawings.map((d) => (d.id === drawing.id ? next : d)),
  };
}

function sortLike<T extends { id: string }>(list: T[], order: string[]): T[] {
  const rank = new Map(order.map((id, i) => [id, i]));
  return [...list].sort((a, b) => rank.get(a.id)! - rank.get(b.id)!);
}

/** What an arrangement would change, for its preview: pins that change their unit, side or place, by name. */
export function placesChanged(before: Part, after: Part): string[] {
  const was = places(before);
  const is = places(after);
  return after.pins.filter((p) => was.get(p.id) !== is.get(p.id)).map(nameOnDrawing);
}

/** Where each pin is drawn, as text that differs when the place does. */
function places(part: Part): Map<string, string> {
  const drawings = new Map(part.drawings.map((d) => [d.id, d]));
  const out = new Map<string, string>();
  for (const unit of part.units)
    for (const port of drawings.get(unit.drawing)?.ports ?? []) {
      const pin = unit.binding[port.id];
      if (pin) out.set(pin, `${out.get(pin) ?? ''} ${unit.label} ${port.side} ${port.at}`);
    }
  return out;
}

/** The edit that adds an empty unit, for pins to be moved into. */
export function addUnit(part: Part, title: string): Edit & { kind: 'takeArrangement' } {
  const id = freshId('u', new Set(part.units.map((u) => u.id)));
  const drawing: Drawing = {
    ...drawPins(freshId('d', new Set(part.drawings.map((d) => d.id))), [], title, DEFAULT_RULES).drawing,
  };
  const used = new Set(part.units.map((u) => u.label));
  let n = 0;
  while (used.has(unitLabel(n))) n++;
  return {
    kind: 'takeArrangement',
    units: [...part.units, { id, label: unitLabel(n), title, drawing: drawing.id, binding: {} }],
    drawings: [...part.drawings, drawing],
  };
}
