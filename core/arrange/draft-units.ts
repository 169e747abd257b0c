import { freshId, unitLabel, type Drawing, type Edit, type HouseRules, type Part, type Pin, type Unit } from '../part';
import { drawPins } from './draw';
import { groupPins } from './groups';
import type { Fixed } from './place';
import type { UnitPlan } from './plan';

/** A unit as a person or a plan wants it: the pins it has, and the unit that it goes on from. */
export interface UnitDraft {
  /** The unit that it is, with its label; without it the unit is new. */
  id?: string;
  title: string;
  pins: string[];
}

/**
 * The edit that makes a part's units as drafted. A unit whose pins stay the same keeps its drawing as it is, and one of a shape
 * that only loses pins keeps that; any other is drawn anew, with pins that were placed by hand at their places. Drafts without
 * pins are left out.
 */
export function arrangeAs(part: Part, drafts: readonly UnitDraft[], rules: HouseRules): Edit & { kind: 'takeArrangement' } {
  const old = new Map(part.units.map((u) => [u.id, u]));
  const oldDrawings = new Map(part.drawings.map((d) => [d.id, d]));
  const [unitIds, drawingIds] = [new Set(part.units.map((u) => u.id)), new Set(part.drawings.map((d) => d.id))];
  const labels = new Set(drafts.flatMap((d) => (d.id && old.has(d.id) ? [old.get(d.id)!.label] : [])));
  const drawings = new Map<string, Drawing>();
  const units = drafts.flatMap((draft): Unit[] => {
    const was = draft.id === undefined ? undefined : old.get(draft.id);
    const wanted = new Set(draft.pins);
    const members = part.pins.filter((p) => wanted.has(p.id));
    if (members.length === 0) return [];
    if (was && isSame(was, draft.pins)) {
      drawings.set(was.drawing, oldDrawings.get(was.drawing)!);
      return [{ ...was, title: draft.title }];
    }
    const id = was?.id ?? take(freshId('u', unitIds), unitIds);
    const drawingId = take(freshId('d', drawingIds), drawingIds);
    const drawing = was && oldDrawings.get(was.drawing);
    if (drawing && drawing.body.shape !== 'block' && hasAll(was, draft.pins)) {
      const binding = Object.fromEntries(Object.entries(was.binding).filter(([, pin]) => wanted.has(pin)));
      drawings.set(drawingId, { ...drawing, id: drawingId, ports: drawing.ports.filter((p) => p.id in binding) });
      return [{ ...was, title: draft.title, drawing: drawingId, binding }];
    }
    const drawn = drawPins(
      drawingId,
      groupPins(members, rules.order),
      draft.title,
      rules,
      was ? placedIn(was, oldDrawings, members) : new Map(),
    );
    drawings.set(drawingId, drawn.drawing);
    const binding = Object.fromEntries(drawn.pins.map(({ port, pin }) => [port, pin.id]));
    return [{ id, label: was?.label ?? take(freshLabel(labels), labels), title: draft.title, drawing: drawingId, binding }];
  });
  return { kind: 'takeArrangement', units, drawings: [...drawings.values()] };
}

function take(id: string, taken: Set<string>): string {
  taken.add(id);
  return id;
}

function freshLabel(taken: ReadonlySet<string>): string {
  let n = 0;
  while (taken.has(unitLabel(n))) n++;
  return unitLabel(n);
}

/** Whether a unit has all of some pins. */
function hasAll(unit: Unit, pins: readonly string[]): boolean {
  const bound = new Set(Object.values(unit.binding));
  return pins.every((p) => bound.has(p));
}

const isSame = (unit: Unit, pins: readonly string[]): boolean =>
  hasAll(unit, pins) && new Set(Object.values(unit.binding)).size === new Set(pins).size;

/** The places in a unit that a person chose. */
function placedIn(unit: Unit, drawings: ReadonlyMap<string, Drawing>, members: readonly Pin[]): Fixed {
  const byHand = new Set(members.filter((p) => p.byHand?.includes('place')).map((p) => p.id));
  const ports = new Map(drawings.get(unit.drawing)?.ports.map((p) => [p.id, p]));
  return new Map(
    Object.entries(unit.binding).flatMap(([port, pin]) => {
      const at = ports.get(port);
      return at && byHand.has(pin) ? [[pin, { side: at.side, at: at.at }] as const] : [];
    }),
  );
}

/** A part's units as drafts, to be changed. */
export const draftsOf = (part: Part): UnitDraft[] =>
  part.units.map((u) => ({ id: u.id, title: u.title, pins: [...new Set(Object.values(u.binding))] }));

/**
 * A plan as drafts in which pins that a person put in a unit stay in it: the planned unit that shares most pins with a unit
 * goes on from it.
 */
export function keepPlaced(part: Part, plan: UnitPlan): UnitDraft[] {
  const planned = [
    ...(plan.channels?.channels.members.map((m, i) => ({ title: plan.channels!.titles[i]!, pins: [...m.values()] })) ?? []),
    ...(plan.channels && plan.channels.supplies.length > 0 ? [{ title: 'Supplies', pins: plan.channels.supplies }] : []),
    ...plan.units.map((u) => ({ title: u.title, pins: u.groups.flatMap((g) => g.pins) })),
  ].map(({ title, pins }) => ({ title, pins: pins.map((p) => p.id) }));
  const home = homesByHand(part);
  const free: UnitDraft[] = planned.map((u) => ({ title: u.title, pins: u.pins.filter((p) => !home.has(p)) }));
  const unitOf = new Map(part.units.flatMap((u) => Object.values(u.binding).map((p) => [p, u.id] as const)));
  const kept = new Set(home.values());
  for (const unit of part.units.filter((u) => kept.has(u.id))) {
    const own = part.pins.filter((p) => home.get(p.id) === unit.id).map((p) => p.id);
    const shared = (d: UnitDraft) => d.pins.filter((p) => unitOf.get(p) === unit.id).length;
    const best = free.filter((d) => d.id === undefined && shared(d) > 0).sort((a, b) => shared(b) - shared(a))[0];
    if (best) Object.assign(best, { id: unit.id, title: unit.title, pins: [...best.pins, ...own] });
    else free.push({ id: unit.id, title: unit.title, pins: own });
  }
  const inOrder = new Map(part.pins.map((p, i) => [p.id, i]));
  return free.map((d) => ({ ...d, pins: [...d.pins].sort((a, b) => inOrder.get(a)! - inOrder.get(b)!) }));
}

/** The unit of each pin that a person placed, or put there. */
function homesByHand(part: Part): Map<string, string> {
  const byHand = new Set(part.pins.filter((p) => p.byHand?.some((f) => f === 'place' || f === 'unit')).map((p) => p.id));
  return new Map(part.units.flatMap((u) => Object.values(u.binding).flatMap((p) => (byHand.has(p) ? [[p, u.id] as const] : []))));
}
