import { useCallback, useState } from 'react';
import type { Pad } from '../../../core/part';

type Size = { w: number; h: number };

/** How the package is looked at: from the top or the bottom, in quarter turns, and how close. The land itself stays as it is. */
export function useLandView() {
  const [isBottom, setBottom] = useState(false);
  const [quarters, setQuarters] = useState(0);
  const [zoom, setZoom] = useState(1);
  const turned = useCallback((pad: Pad): Pad => turnPad(pad, isBottom, quarters), [isBottom, quarters]);
  return {
    isBottom,
    zoom,
    turned,
    size: ({ w, h }: Size): Size => (quarters % 2 === 0 ? { w, h } : { w: h, h: w }),
    flip: () => setBottom((b) => !b),
    turn: () => setQuarters((q) => (q + 1) % 4),
    by: (factor: number) => setZoom((z) => Math.min(12, Math.max(1, z * factor))),
  };
}

/** A pad as it is seen: mirrored for the bottom, then turned clockwise by quarters. */
export function turnPad(pad: Pad, isBottom: boolean, quarters: number): Pad {
  let { x, y, w, h } = pad;
  if (isBottom) x = -x;
  for (let i = 0; i < quarters; i++) [x, y, w, h] = [y, -x, h, w];
  return { ...pad, x: x + 0, y: y + 0, w, h };
}
