import { nameOnDrawing, type Drawing, type HouseRules, type Label, type Pin, type Port, type Side } from '../part';
import { insideWidth, NAME_INSET, NAME_SIZE, STEP, textWidth } from '../shapes';
import { marksOf, rowsOf, sideBlocks, type Fixed } from './place';
import type { PinGroup } from './groups';

export interface DrawnUnit {
  drawing: Drawing;
  /** Pin by port id, in the ports' order. */
  pins: { port: string; pin: Pin }[];
}

/** A strip for the title needs one step; pins start one step below it. */
const STRIP = 1;

/**
 * Draws a unit: pins on sides, a body just wide enough for the names and even in both directions, so that its centre
 * is on the grid. `widest` gives the longest name that a port's role has in other units bound to the same drawing.
 */
export function drawPins(
  id: string,
  groups: readonly PinGroup[],
  title: string,
  rules: HouseRules,
  fixed: Fixed = new Map(),
  widest?: (pin: Pin) => Pin[],
): DrawnUnit {
  const blocks = sideBlocks(withoutFixed(groups, fixed), rules);
  const held = groups.flatMap((g) => g.pins).flatMap((pin) => (fixed.has(pin.id) ? [{ pin, ...fixed.get(pin.id)! }] : []));
  const height = bodyHeight(blocks, held, rules);
  const placed = [
    ...held,
    ...(['left', 'right', 'top', 'base'] as const).flatMap((side) => along(side, blocks[side], height, held, rules)),
  ];
  const body = { shape: 'block' as const, width: bodyWidth(placed, title, widest), height, strip: STRIP };
  const ports = placed.map(({ pin, side, at }, i): Port => {
    const marks = marksOf(pin);
    return { id: `t${i + 1}`, side, at, length: rules.pinLength, ...(marks.length > 0 ? { marks } : {}) };
  });
  return {
    drawing: {
      id,
      body,
      ports,
      strokes: [],
      labels: labelsFor(body.width, body.height, placed.some((p) => p.side === 'top') ? rules.pinLength + 1 : 0),
    },
    pins: placed.map(({ pin }, i) => ({ port: `t${i + 1}`, pin })),
  };
}

const withoutFixed = (groups: readonly PinGroup[], fixed: Fixed): PinGroup[] =>
  groups.map((g) => ({ ...g, pins: g.pins.filter((p) => !fixed.has(p.id)) })).filter((g) => g.pins.length > 0);

type Held = { pin: Pin; side: Side; at: number };

/** Even, with a step of room above the first and below the last pin, and wide enough for what a person placed. */
function bodyHeight(blocks: Record<Side, Pin[][]>, held: Held[], rules: HouseRules): number {
  const upright = held.filter((h) => h.side === 'left' || h.side === 'right');
  const extra = (side: Side) => upright.filter((h) => h.side === side).length * rules.pitch;
  const rows = Math.max(rowsOf(blocks.left, rules) + extra('left'), rowsOf(blocks.right, rules) + extra('right'), 1);
  const reach = Math.max(0, ...upright.map((h) => Math.max((h.at + STRIP + 1) * 2, (-h.at + 1) * 2)));
  const uprightNames = [...blocks.top, ...blocks.base].flat().map((p) => nameSpace(p));
  const need = Math.max(rows + STRIP + 1, reach, uprightNames.length > 0 ? Math.ceil(Math.max(...uprightNames) / STEP) * 2 + 2 : 0, 4);
  return need + (need % 2);
}

/** Places blocks along a side from its first place on, leaving out places that are held. */
function along(side: Side, blocks: readonly Pin[][], height: number, held: Held[], rules: HouseRules): Held[] {
  const taken = new Set(held.filter((h) => h.side === side).map((h) => h.at));
  const flat = side === 'left' || side === 'right';
  const rows = rowsOf(blocks, rules);
  let at = flat ? height / 2 - STRIP - 1 : -Math.floor(rows / 2);
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

function bodyWidth(placed: Held[], title: string, widest?: (pin: Pin) => Pin[]): number {
  const longest = (side: Side) =>
    Math.max(
      0,
      ...placed
        .filter((p) => p.side === side)
        .flatMap((p) => [p.pin, ...(widest?.(p.pin) ?? [])])
        .map(nameSpace),
    );
  const names = longest('left') + longest('right') + STEP;
  const upright = Math.max(0, ...placed.filter((p) => p.side === 'top' || p.side === 'base').map((p) => Math.abs(p.at) + 1));
  const need = Math.max(Math.ceil(names / STEP), Math.ceil((textWidth(title, NAME_SIZE) + 60) / STEP), upright * 2, 4);
  return need + (need % 2);
}

/** Reference above the body at the left, value above it at the right; or below, where names are too long for both. */
export function labelsFor(width: number, height: number, clear = 0): Label[] {
  const y = (height / 2 + clear) * STEP + 50;
  const half = (width / 2) * STEP;
  const value: Label =
    width >= 8
      ? { kind: 'value', x: half, y, anchor: 'end', size: 60 }
      : { kind: 'value', x: -half, y: -(height / 2) * STEP - 50, anchor: 'start', size: 60 };
  return [{ kind: 'reference', x: -half, y, anchor: 'start', size: 64 }, value];
}
