import { anyNumber, groupBy, carriesPower, compareTerminals, nameOnDrawing, type Edit, type HouseRules, type Part } from '../part';
import { draftsOf, type UnitDraft } from './draft-units';
import { groupPins } from './groups';
import { titleOf } from './titles';

export const SPLITS = ['group', 'rail', 'prefix', 'side', 'count'] as const;
export type Split = (typeof SPLITS)[number];

/** Drafts in which one unit is split: by its groups, by rail, by the first letters of the names, by side, or in two halves. */
export function splitUnit(part: Part, unitId: string, by: Split, rules: HouseRules): UnitDraft[] {
  return draftsOf(part).flatMap((draft) => {
    if (draft.id !== unitId) return [draft];
    const parts = partsOf(part, draft, by, rules).filter((p) => p.pins.length > 0);
    if (parts.length < 2) return [draft];
    return parts.map((p, i) => (i === 0 ? { ...p, id: unitId } : p));
  });
}

function partsOf(part: Part, draft: UnitDraft, by: Split, rules: HouseRules): UnitDraft[] {
  const own = new Set(draft.pins);
  const pins = part.pins.filter((p) => own.has(p.id));
  if (by === 'count') {
    const groups = groupPins(pins, rules.order);
    const ordered = groups.flatMap((g) => g.pins);
    const half = Math.ceil(ordered.length / 2);
    return [ordered.slice(0, half), ordered.slice(half)].map((list, i) => ({
      title: `${draft.title}, part ${i + 1}`,
      pins: list.map((p) => p.id),
    }));
  }
  if (by === 'group') return groupPins(pins, rules.order).map((g) => ({ title: titleOf([g]), pins: g.pins.map((p) => p.id) }));
  const ports = new Map(
    part.drawings.find((d) => d.id === part.units.find((u) => u.id === draft.id)!.drawing)?.ports.map((p) => [p.id, p.side]),
  );
  const sideOf = new Map(
    Object.entries(part.units.find((u) => u.id === draft.id)!.binding).map(([port, pin]) => [pin, ports.get(port) ?? 'left']),
  );
  const keyOf = (p: Part['pins'][number]): string => {
    if (by === 'rail') return p.rail ?? (carriesPower(p.type) ? nameOnDrawing(p) : 'Signals');
    if (by === 'side') return `${sideOf.get(p.id)} side`;
    return /^[A-Za-z]+/.exec(nameOnDrawing(p))?.[0] ?? nameOnDrawing(p);
  };
  const inOrder = (list: typeof pins) => list.sort((a, b) => compareTerminals(anyNumber(a), anyNumber(b)));
  return [...groupBy(pins, keyOf)].map(([title, list]) => ({ title, pins: inOrder(list).map((p) => p.id) }));
}

const titleFor = (part: Part, pins: readonly string[]): string => {
  const own = new Set(pins);
  return titleOf(groupPins(part.pins.filter((p) => own.has(p.id))));
};

/** A title that only said what stood in the unit says what stands in it now; one that a person gave stays. */
function retitled(part: Part, draft: UnitDraft, before: readonly string[]): UnitDraft {
  const isOurs = draft.title === '' || draft.title === titleFor(part, before);
  return isOurs && draft.pins.length > 0 ? { ...draft, title: titleFor(part, draft.pins) } : draft;
}

/** Drafts in which the units of the given ids are one, in the place of the first. */
export function mergeUnits(part: Part, ids: readonly string[]): UnitDraft[] {
  const drafts = draftsOf(part);
  const [first, ...rest] = drafts.filter((d) => ids.includes(d.id!));
  if (!first || rest.length === 0) return drafts;
  const pins = [first, ...rest].flatMap((d) => d.pins);
  const merged = { ...first, title: titleFor(part, pins), pins };
  return drafts.flatMap((d) => (d.id === first.id ? [merged] : ids.includes(d.id!) ? [] : [d]));
}

/** Drafts in which pins stand in another unit, or, without one, in a new one. Units that they leave empty go. */
export function movePins(part: Part, pins: readonly string[], unitId: string | undefined): UnitDraft[] {
  const moving = new Set(pins);
  const drafts = draftsOf(part).map((d) => {
    const left = d.id === unitId ? [...new Set([...d.pins, ...pins])] : d.pins.filter((p) => !moving.has(p));
    return left.length === d.pins.length ? d : retitled(part, { ...d, pins: left }, d.pins);
  });
  const fresh = unitId === undefined ? [{ title: titleFor(part, pins), pins: [...pins] }] : [];
  return [...drafts, ...fresh].filter((d) => d.pins.length > 0);
}

/** The pins that drafts draw in a unit in which they were not: put there by whoever split, merged or moved, and to be left there. */
export function pinsThatChange(part: Part, drafts: readonly UnitDraft[]): string[] {
  const before = new Map(draftsOf(part).map((d) => [d.id, new Set(d.pins)]));
  return [...new Set(drafts.flatMap((d) => d.pins.filter((p) => !before.get(d.id)?.has(p))))];
}

/** The edit that moves a unit by one place among the others; labels follow the order. */
export function reorderUnit(part: Part, unitId: string, by: 1 | -1): Edit | undefined {
  const from = part.units.findIndex((u) => u.id === unitId);
  const to = from + by;
  if (from < 0 || to < 0 || to >= part.units.length) return undefined;
  const labels = part.units.map((u) => u.label);
  const units = [...part.units];
  units.splice(to, 0, ...units.splice(from, 1));
  return { kind: 'takeArrangement', units: units.map((u, i) => ({ ...u, label: labels[i]! })), drawings: part.drawings };
}
