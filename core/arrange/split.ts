import { carriesPower, compareTerminals, nameOnDrawing, type HouseRules, type Part } from '../part';
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
  const numberOf = (p: Part['pins'][number]) => Object.values(p.pads)[0]?.[0] ?? '';
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
  const parts = new Map<string, typeof pins>();
  for (const p of pins) parts.set(keyOf(p), [...(parts.get(keyOf(p)) ?? []), p]);
  const sorted = [...parts].map(([title, list]) => [title, list.sort((a, b) => compareTerminals(numberOf(a), numberOf(b)))] as const);
  return sorted.map(([title, list]) => ({ title, pins: list.map((p) => p.id) }));
}

/** Drafts in which the units of the given ids are one, in the place of the first. */
export function mergeUnits(part: Part, ids: readonly string[]): UnitDraft[] {
  const [first, ...rest] = draftsOf(part).filter((d) => ids.includes(d.id!));
  if (!first || rest.length === 0) return draftsOf(part);
  const merged = {
    ...first,
    title: [first, ...rest]
      .map((d) => d.title)
      .join(', ')
      .slice(0, 40),
    pins: [first, ...rest].flatMap((d) => d.pins),
  };
  return draftsOf(part).flatMap((d) => (d.id === first.id ? [merged] : ids.includes(d.id!) ? [] : [d]));
}

/** Drafts in which pins stand in another unit, or, without one, in a new one. */
export function movePins(part: Part, pins: readonly string[], unitId: string | undefined, title = 'New unit'): UnitDraft[] {
  const moving = new Set(pins);
  const drafts = draftsOf(part).map((d) => ({
    ...d,
    pins: d.id === unitId ? [...new Set([...d.pins, ...pins])] : d.pins.filter((p) => !moving.has(p)),
  }));
  return unitId === undefined ? [...drafts, { title, pins: [...pins] }] : drafts;
}
