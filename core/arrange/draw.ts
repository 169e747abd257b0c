import { isFlank, nameOnDrawing, type Drawing, type HouseRules, type Label, type Pin, type Port, type Side } from '../part';
import { insideWidth, NAME_INSET, NAME_SIZE, STEP, textWidth } from '../shapes';
import { legible, marksOf, rowsOf, sideBlocks, type Fixed } from './place';
import type { PinGroup } from './groups';

export interface DrawnUnit {
  drawing: Drawing;
  /** Pin by port id, in the ports' order. */
  pins: { port: string; pin: Pin }[];
}

/** A strip for the title needs one step; pins start one step below it. */
const stripOf = (rules: HouseRules): number => (rules.strip ? 1 : 0);

/**
 * Draws a unit: pins on sides, a body just wide enough for the names and even in both directions, so that its centre
 * is on the grid. `widest` gives the longest name that a port's role has in other units bound to the same drawing.
 */
export function drawPins(
  id: string,
  groups: readonly PinGroup[],
  title: string,
  house: HouseRules,
  fixed: Fixed = new Map(),
  widest?: (pin: Pin) => Pin[],
): DrawnUnit {
  const rules = legible(house);
  const blocks = sideBlocks(withoutFixed(groups, fixed), rules);
  const held = groups.flatMap((g) => g.pins).flatMap((pin) => (fixed.has(pin.id) ? [{ pin, ...fixed.get(pin.id)! }] : []));
  const height = bodyHeight(blocks, held, rules);
  const firstRow = height / 2 - stripOf(rules) - 1 - zonesOf(blocks, held, rules).top;
  const placed = [
    ...held,
    ...(['left', 'right', 'top', 'base'] as const).flatMap((side) => along(side, blocks[side], firstRow, held, rules)),
  ];
  const body = { shape: 'block' as const, width: bodyWidth(placed, title, rules, height, widest), height, strip: stripOf(rules) };
  const length = pinLength(placed, rules, widest);
  const ports = placed.map(({ pin, side, at }, i): Port => {
    const marks = marksOf(pin);
    return { id: `t${i + 1}`, side, at, length, ...(marks.length > 0 ? { marks } : {}) };
  });
  return {
    drawing: {
      id,
      body,
      ports,
      ...(rules.names === 'over' ? { names: 'over' as const } : {}),
      strokes: [],
      labels: labelsFor(body.width, body.height, clearOf(placed, length), rules.texts),
    },
    pins: placed.map(({ pin }, i) => ({ port: `t${i + 1}`, pin })),
  };
}

/** Steps that texts must keep from the body's upper and lower edge, for the pins there. */
const clearOf = (placed: readonly { side: Side }[], length: number) => ({
  top: placed.some((p) => p.side === 'top') ? length + 1 : 0,
  base: placed.some((p) => p.side === 'base') ? length + 1 : 0,
});

/** Names over the lines need lines as long as the longest of them. */
function pinLength(placed: Held[], rules: HouseRules, widest?: (pin: Pin) => Pin[]): number {
  if (rules.names === 'inside') return rules.pinLength;
  const pins = placed.flatMap((p) => [p.pin, ...(widest?.(p.pin) ?? [])]);
  return Math.max(rules.pinLength, ...pins.map((p) => Math.ceil((textWidth(nameOnDrawing(p), NAME_SIZE) + 40) / STEP)));
}

const withoutFixed = (groups: readonly PinGroup[], fixed: Fixed): PinGroup[] =>
  groups.map((g) => ({ ...g, pins: g.pins.filter((p) => !fixed.has(p.id)) })).filter((g) => g.pins.length > 0);

type Held = { pin: Pin; side: Side; at: number };

/** Steps that the names of the top and of the base reach into the body, which flank pins keep clear of. */
function zonesOf(blocks: Record<Side, Pin[][]>, held: readonly Held[], rules: HouseRules): { top: number; base: number } {
  const reach = (side: 'top' | 'base') => {
    const pins = [...blocks[side].flat(), ...held.filter((h) => h.side === side).map((h) => h.pin)];
    return pins.length === 0 || rules.names === 'over' ? 0 : Math.ceil(Math.max(...pins.map(nameSpace)) / STEP);
  };
  return { top: reach('top'), base: reach('base') };
}

/** Even, with a step of room above the first and below the last pin, and wide enough for what a person placed. */
function bodyHeight(blocks: Record<Side, Pin[][]>, held: Held[], rules: HouseRules): number {
  const upright = held.filter((h) => isFlank(h.side));
  const extra = (side: Side) => upright.filter((h) => h.side === side).length * rules.pitch;
  const rows = Math.max(rowsOf(blocks.left, rules) + extra('left'), rowsOf(blocks.right, rules) + extra('right'), 1);
  const reach = Math.max(0, ...upright.map((h) => Math.max((h.at + stripOf(rules) + 1) * 2, (-h.at + 1) * 2)));
  const zones = zonesOf(blocks, held, rules);
  const need = Math.max(rows + stripOf(rules) + 1 + zones.top + zones.base, reach, rules.minHeight);
  return need + (need % 2);
}

/** Places blocks along a side from its first place on, leaving out places that are held. */
function along(side: Side, blocks: readonly Pin[][], firstRow: number, held: Held[], rules: HouseRules): Held[] {
  const taken = new Set(held.filter((h) => h.side === side).map((h) => h.at));
  const flat = isFlank(side);
  const rows = rowsOf(blocks, rules);
  let at = flat ? firstRow : -Math.floor(rows / 2);
  const step = flat ? -1 : 1;
  const out: Held[] = [];
  blocks.forEach((block, b) => {
    if (b > 0) at += step * rules.groupGap;
    for (const pin of block) {
      while (taken.has(at)) at += step * rules.pitch;
      out.push({ pin, side, at });
      at += step * rules.pitch;
    }
  });
  return out;
}

/** Room from the body's edge to the end of a pin's name, in hundredths of a step. */
const nameSpace = (pin: Pin): number => NAME_INSET + insideWidth(marksOf(pin)) + textWidth(nameOnDrawing(pin), NAME_SIZE);

function bodyWidth(placed: Held[], title: string, rules: HouseRules, height: number, widest?: (pin: Pin) => Pin[]): number {
  const longest = (side: Side) =>
    Math.max(
      0,
      ...placed
        .filter((p) => p.side === side)
        .flatMap((p) => [p.pin, ...(widest?.(p.pin) ?? [])])
        .map(nameSpace),
    );
  const names = rules.names === 'over' ? 0 : longest('left') + longest('right') + STEP;
  const upright = Math.max(0, ...placed.filter((p) => !isFlank(p.side)).map((p) => Math.abs(p.at) + 1));
  const strip = rules.strip ? Math.ceil((textWidth(title, NAME_SIZE) + 60) / STEP) : 0;
  const third = rules.width === 'third' ? Math.ceil(height / 3) : 0;
  const need = Math.max(Math.ceil(names / STEP), strip, third, upright * 2, rules.minWidth);
  return need + (need % 2);
}

/**
 * The places of reference and value: above the body at the left and at the right, or both below, or one above and one
 * below; above and below too where the body is too narrow for both in a line. `clear` is the steps that pins take there.
 */
export function labelsFor(
  width: number,
  height: number,
  clear: { top: number; base: number } = { top: 0, base: 0 },
  texts: HouseRules['texts'] = 'above',
): Label[] {
  const half = (width / 2) * STEP;
  const above = (height / 2 + clear.top) * STEP + 50;
  const below = -(height / 2 + clear.base) * STEP - 50;
  const reference = (y: number): Label => ({ kind: 'reference', x: -half, y, anchor: 'start', size: 64 });
  const value = (y: number, x = -half): Label => ({ kind: 'value', x, y, anchor: x > 0 ? 'end' : 'start', size: 60 });
  if (texts === 'below') return [reference(below), value(below - 90)];
  if (texts === 'split' || width < 8) return [reference(above), value(below)];
  return [reference(above), value(above, half)];
}
