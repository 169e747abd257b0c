import { startTransition, useEffect, useState } from 'react';
import type { PlacedUnit } from './layout';
import type { View } from './view';

/** The view that each unit is drawn for, by the unit's id. */
export type Settling = ReadonlyMap<string, View>;

/** Pins that one frame has room for; one that was not drawn before counts twice. */
const A_FRAME = 64;

/**
 * What units are drawn for, one frame on towards a view: those nearest to the middle of the stage first, as many as a frame has
 * room for, and one at least. Undefined where all that are wanted are sharp in it, and no others are drawn.
 * @param middle of the stage, in hundredths of a step
 */
export function settleOn(
  drawn: Settling,
  wanted: readonly PlacedUnit[],
  view: View,
  middle: { x: number; y: number },
): Settling | undefined {
  const away = (u: PlacedUnit) => Math.hypot(u.x - middle.x, u.y - middle.y);
  const due = wanted.filter((u) => !isSharp(drawn.get(u.unit.id), view)).sort((a, b) => away(a) - away(b));
  if (due.length === 0 && drawn.size === wanted.length) return undefined;
  const next = new Map(wanted.flatMap(({ unit: { id } }) => (drawn.has(id) ? [[id, drawn.get(id)!] as const] : [])));
  let room = A_FRAME;
  for (const [i, { unit, drawing }] of due.entries()) {
    room -= drawing.ports.length * (drawn.has(unit.id) ? 1 : 2);
    if (room < 0 && i > 0) break;
    next.set(unit.id, view);
  }
  return next;
}

/** Whether what is drawn for a view is sharp in another: where it is only moved, and by whole pixels. */
function isSharp(drawn: View | undefined, view: View): boolean {
  const isWhole = (n: number) => Math.abs(n - Math.round(n)) < 1e-6;
  return drawn?.scale === view.scale && isWhole(view.x - drawn.x) && isWhole(view.y - drawn.y);
}

/** Draws units for a view bit by bit, so that no frame has to lay out and paint all of them. */
export function useSettling(wanted: readonly PlacedUnit[], view: View, stage: { width: number; height: number }): Settling {
  const [drawn, setDrawn] = useState<Settling>(new Map());
  const { width, height } = stage;
  useEffect(() => {
    const middle = { x: (width / 2 - view.x) / view.scale, y: (height / 2 - view.y) / view.scale };
    const next = settleOn(drawn, wanted, view, middle);
    if (!next) return;
    const frame = requestAnimationFrame(() => startTransition(() => setDrawn(next)));
    return () => cancelAnimationFrame(frame);
  }, [drawn, wanted, view, width, height]);
  return drawn;
}
