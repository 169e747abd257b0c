import {
  DEFAULT_RULES,
  freshId,
  nameOnDrawing,
  throughPins,
  unitLabel,
  type Drawing,
  type Edit,
  type HouseRules,
  type Part,
  type Pin,
  type Unit,
} from '../part';
import { arrangeAs, keepPlaced } from './draft-units';
import { drawPins, type DrawnUnit } from './draw';
import { inPairs, type PinGroup } from './groups';
import { drawnAsShapes } from './take-shape';
import { shortTitle } from './titles';
import { sameWidth } from './tidy';
import { planUnits, type Strategy, type UnitPlan } from './plan';

/** The units and drawings of a plan, as they are made one after the other. */
interface Making {
  units: Unit[];
  drawings: Drawing[];
}

/**
 * The edit that plans and draws all units of a part anew. Pins that a person placed or put in a unit stay there. Pins that
 * no package bonds out are drawn too: another package may. Same part and rules, same edit.
 */
export function arrangePart(part: Part, rules: HouseRules, strategy: Strategy = 'function'): Edit & { kind: 'takeArrangement' } {
  const kept = part.units.length > 0 && part.pins.some((p) => p.byHand?.some((f) => f === 'place' || f === 'unit'));
  const plan = planUnits(part.pins, rules, strategy);
  if (kept) return arrangeAs(part, keepPlaced(part, plan), rules);
  const made: Making = { units: [], drawings: [] };
  if (plan.channels) addChannels(made, plan.channels, rules);
  for (const { title, groups } of plan.units) {
    const single = plan.units.length === 1 && !plan.channels;
    addUnitOf(made, single ? (shortTitle(part.description) ?? part.name) : title, groups, rules);
  }
  const drawn = drawnAsShapes(part, sameWidth(made, rules), rules);
  return { kind: 'takeArrangement', ...drawn, ...(plan.shared.length > 0 ? { shared: plan.shared } : {}) };
}

function addUnitOf(made: Making, title: string, groups: readonly PinGroup[], rules: HouseRules): void {
  const drawn = drawPins(`d${made.drawings.length + 1}`, groups, title, rules);
  made.drawings.push(drawn.drawing);
  bind(made, title, drawn.drawing, Object.fromEntries(drawn.pins.map(({ port, pin }) => [port, pin.id])));
}

const bind = ({ units }: Making, title: string, drawing: Drawing, binding: Record<string, string>) =>
  units.push({ id: `u${units.length + 1}`, label: unitLabel(units.length), title, drawing: drawing.id, binding });

/** One drawing for all channels; the first has one of its own where only that carries the supplies. */
function addChannels(made: Making, { titles, channels, supplies, supplied }: NonNullable<UnitPlan['channels']>, rules: HouseRules): void {
  const { members } = channels;
  const draw = (of: Map<string, Pin>[], power: readonly Pin[]) => {
    const drawn = drawChannel(`d${made.drawings.length + 1}`, of, titles, rules, power);
    made.drawings.push(drawn.drawing);
    return drawn;
  };
  const all = draw(members, supplied === 'none' ? [] : supplies);
  const others = supplied === 'first' ? draw(members, []) : all;
  members.forEach((member, i) => {
    const drawn = i === 0 ? all : others;
    bind(made, titles[i]!, drawn.drawing, bindChannel(drawn, members[0]!, member));
  });
}

/** Pins of the first channel, as wide as the longest name in any; supplies are the same pins in all. */
function drawChannel(id: string, members: Map<string, Pin>[], titles: string[], rules: HouseRules, supplies: readonly Pin[]): DrawnUnit {
  const first = members[0]!;
  const roleOfPin = new Map([...first].map(([role, pin]) => [pin.id, role]));
  const own = [...first.values()];
  const through = throughPins(own);
  const group = (title: string, pins: Pin[]): PinGroup => ({ title, pins, power: false });
  const groups = [group(titles[0]!, inPairs(own.filter((p) => !through?.flat().includes(p))))];
  // The sides of a switch stand across from each other, as ports A and B do.
  if (through) groups.unshift(group('A', through[0]), group('B', through[1]));
  if (supplies.length > 0) groups.push({ title: 'Supplies', pins: [...supplies], power: true });
  const longestTitle = titles.reduce((a, b) => (b.length > a.length ? b : a), '');
  const alike = (pin: Pin) => (roleOfPin.has(pin.id) ? members.map((m) => m.get(roleOfPin.get(pin.id)!)!) : []);
  return drawPins(id, groups, longestTitle, rules, new Map(), alike);
}

function bindChannel(drawn: DrawnUnit, first: Map<string, Pin>, member: Map<string, Pin>): Record<string, string> {
  const roleOfPin = new Map([...first].map(([role, pin]) => [pin.id, role]));
  const own = (pin: Pin) => member.get(roleOfPin.get(pin.id) ?? '') ?? pin;
  return Object.fromEntries(drawn.pins.map(({ port, pin }) => [port, own(pin).id]));
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
