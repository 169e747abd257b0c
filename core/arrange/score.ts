import { carriesPower, groupBy, nameOnDrawing, type HouseRules, type Part } from '../part';
import { groupPins } from './groups';

/** How well a part's units read, with what is at fault by name. */
export interface PlanScore {
  /** 100 where nothing is at fault. */
  points: number;
  /** Groups that stand in several units, with the units' labels. */
  cut: { group: string; units: string[] }[];
  /** Rails whose pins stand in several units and are not shared. */
  rails: { rail: string; units: string[] }[];
  /** Units that are taller than the house rules allow, in steps. */
  tall: { unit: string; height: number }[];
  /** Units of fewer than three pins beside larger ones; equal channels and supplies of their own are none. */
  lonely: { unit: string; pins: number }[];
}

/** Scores the units of a part as they are, so that a plan's faults are seen while it is changed. */
export function scorePlan(part: Part, rules: HouseRules): PlanScore {
  const unitsOf = new Map<string, string[]>();
  for (const unit of part.units)
    for (const pin of new Set(Object.values(unit.binding))) unitsOf.set(pin, [...(unitsOf.get(pin) ?? []), unit.label]);
  const spread = (pins: readonly { id: string; shared?: boolean | undefined }[]) =>
    [...new Set(pins.filter((p) => !p.shared).flatMap((p) => unitsOf.get(p.id) ?? []))].sort();
  // Equal channels are one drawing: that their inputs stand in each is no cut.
  const drawingOf = new Map(part.units.map((u) => [u.label, u.drawing]));
  const isCut = (units: readonly string[]) => new Set(units.map((u) => drawingOf.get(u))).size > 1;
  const groups = groupPins(part.pins.filter((p) => p.group !== undefined && p.group !== ''));
  const isApart = (title: string) => title === 'Supplies' || title === 'Not used';
  const cut = groups
    .filter((g) => !g.power && !isApart(g.title))
    .map((g) => ({ group: g.title, units: spread(g.pins.filter((p) => p.type !== 'ground' && p.type !== 'supply-in')) }))
    .filter((g) => isCut(g.units));
  const byRail = groupBy(part.pins, (p) => (p.type === 'supply-in' ? nameOnDrawing(p) : undefined));
  const rails = [...byRail].map(([rail, pins]) => ({ rail, units: spread(pins) })).filter((r) => r.units.length > 1);
  const drawings = new Map(part.drawings.map((d) => [d.id, d]));
  const tall = part.units
    .map((u) => ({ unit: u.label, height: drawings.get(u.drawing)?.body.height ?? 0 }))
    .filter((u) => u.height > rules.maxHeight);
  const uses = new Map<string, number>();
  for (const u of part.units) uses.set(u.drawing, (uses.get(u.drawing) ?? 0) + 1);
  const power = part.pins.filter((p) => carriesPower(p.type)).map((p) => p.id);
  const isSupplies = ({ binding }: Part['units'][number]): boolean => {
    const bound = new Set(Object.values(binding));
    return Object.keys(binding).length <= power.length && power.every((id) => bound.has(id));
  };
  const lonely = part.units
    .filter((u) => !isSupplies(u))
    .map((u) => ({ unit: u.label, pins: Object.keys(u.binding).length, alone: uses.get(u.drawing) === 1 }))
    .filter((u) => u.alone && u.pins < 3 && part.units.length > 1)
    .map(({ unit, pins }) => ({ unit, pins }));
  const points = 100 - 12 * cut.length - 8 * rails.length - 10 * tall.length - 5 * lonely.length;
  return { points: Math.max(0, points), cut, rails, tall, lonely };
}
