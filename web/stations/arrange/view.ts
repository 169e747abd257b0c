import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { STAGE_AT } from '../../ui/stage-at';
import type { PlacedUnit } from './layout';

export interface View {
  /** Pixels of the sheet's origin, and pixels a hundredth of a step. */
  x: number;
  y: number;
  scale: number;
}

const LIMITS = { min: 0.012, max: 1.2 };
/** The scale that the status line calls 100 %. */
const WHOLE = 0.2;

/** How far the layer of dots begins outside of the stage, in pixels: as far as they are ever apart, so that it can be moved by that. */
export const DOTS_BEYOND = 120;

/** The width in pixels that a card takes at the right of the stage. */
export const CARD = 300;

export interface ViewControl {
  /** The view as it was last settled; what stands in it is drawn. */
  settled: View;
  live: RefObject<View>;
  /** Holds a layer, which was drawn for a view, where the view is now, until the function that it gives is called. */
  hold: (layer: HTMLElement, drawn: View) => () => void;
  panBy: (dx: number, dy: number) => void;
  zoomBy: (factor: number, cx?: number, cy?: number) => void;
  /** Brings units into view, left of the pixels that a card takes. */
  show: (units: readonly { x: number; y: number; halfWidth: number; halfHeight: number }[], card?: number) => void;
  toSheet: (clientX: number, clientY: number) => { x: number; y: number };
  /** Says in the status line where the pointer is on the sheet, and the zoom; from then on the zoom is kept up to date. */
  tell: (clientX: number, clientY: number) => void;
  /** The pointer is elsewhere: the status line says nothing of the sheet. */
  tellNothing: () => void;
}

/**
 * Pan and zoom without React in the way: while a person moves the sheet, its layers are moved by the browser's compositor; what
 * has come into view is drawn, and drawn sharp, when the hand rests. `bar` stands over the frame's upper edge.
 */
export function useView(
  frame: RefObject<HTMLDivElement | null>,
  dots: RefObject<HTMLDivElement | null>,
  bar: RefObject<HTMLDivElement | null>,
): ViewControl {
  const live = useRef<View>({ x: 40, y: 40, scale: WHOLE });
  const [settled, setSettled] = useState<View>(live.current);
  const layers = useRef(new Map<HTMLElement, View>());
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const pointer = useRef<[number, number]>(undefined);

  const toSheet = useCallback(
    (clientX: number, clientY: number) => {
      const box = frame.current!.getBoundingClientRect();
      const { x, y, scale } = live.current;
      return { x: (clientX - box.left - x) / scale, y: (clientY - box.top - y) / scale };
    },
    [frame],
  );

  const tell = useCallback(
    (clientX: number, clientY: number) => {
      pointer.current = [clientX, clientY];
      // Written past React: the position changes with every pixel and nothing else depends on it.
      const note = document.getElementById(STAGE_AT);
      if (!note) return;
      const at = toSheet(clientX, clientY);
      const zoom = Math.round((live.current.scale / WHOLE) * 100);
      // Of one width, so that what stands beside it stays where it is.
      const wide = (n: number) => String(Math.round(n)).padStart(4);
      note.textContent = `x ${wide(at.x / 100)}  y ${wide(-at.y / 100)} steps  zoom ${wide(zoom)}%`;
    },
    [toSheet],
  );

  const tellNothing = useCallback(() => {
    pointer.current = undefined;
    document.getElementById(STAGE_AT)?.replaceChildren();
  }, []);
  useEffect(() => tellNothing, [tellNothing]);

  const hold = useCallback((layer: HTMLElement, drawn: View) => {
    layers.current.set(layer, drawn);
    put(layer, drawn, live.current);
    return () => void layers.current.delete(layer);
  }, []);

  const apply = useCallback(() => {
    const { x, y, scale } = live.current;
    for (const [layer, drawn] of layers.current) put(layer, drawn, live.current);
    const step = scale * 100;
    const apart = step >= 9 ? step : step * 5;
    // Set on the dots themselves: a custom property would be handed down, and the style of everything drawn worked out anew.
    dots.current?.style.setProperty('background-size', `${apart}px ${apart}px`);
    const from = (n: number) => (((n + DOTS_BEYOND - apart / 2) % apart) + apart) % apart;
    dots.current?.style.setProperty('transform', `translate(${from(x)}px, ${from(y)}px)`);
    clearTimeout(timer.current);
    timer.current = setTimeout(() => {
      // Only now: what it says changes with every pixel, and nobody reads it on the way.
      if (pointer.current) tell(...pointer.current);
      setSettled({ ...live.current });
    }, 110);
  }, [dots, tell]);

  const panBy = useCallback(
    (dx: number, dy: number) => {
      live.current = { ...live.current, x: live.current.x + dx, y: live.current.y + dy };
      apply();
    },
    [apply],
  );

  const zoomBy = useCallback(
    (factor: number, cx?: number, cy?: number) => {
      const box = frame.current?.getBoundingClientRect();
      // A part without units has no stage yet.
      if (!box) return;
      const [px, py] = [(cx ?? box.left + box.width / 2) - box.left, (cy ?? box.top + box.height / 2) - box.top];
      const { x, y, scale } = live.current;
      const next = Math.min(LIMITS.max, Math.max(LIMITS.min, scale * factor));
      live.current = { scale: next, x: px - ((px - x) / scale) * next, y: py - ((py - y) / scale) * next };
      apply();
    },
    [apply, frame],
  );

  const show = useCallback<ViewControl['show']>(
    (units, card = 0) => {
      const box = frame.current?.getBoundingClientRect();
      // Behind the board or the preview the stage has no size.
      if (!box || box.width === 0) return;
      // The grid is there before the first unit is.
      if (units.length === 0) return apply();
      const left = Math.min(...units.map((u) => u.x - u.halfWidth)) - 100;
      const right = Math.max(...units.map((u) => u.x + u.halfWidth)) + 100;
      const top = Math.min(...units.map((u) => u.y - u.halfHeight)) - 100;
      const base = Math.max(...units.map((u) => u.y + u.halfHeight)) + 100;
      // The bar of units above and a card at the right keep their room.
      const room = { top: (bar.current?.offsetHeight ?? 80) + 8, base: 28 };
      const height = box.height - room.top - room.base;
      const fit = (width: number) => Math.min(0.28, width / (right - left), height / (base - top));
      // Where it costs no size, a card that opens later finds its room free as well.
      const width = box.width - (fit(box.width - CARD) === fit(box.width) ? CARD : card);
      const scale = fit(width);
      live.current = {
        scale,
        x: (width - (left + right) * scale) / 2,
        y: room.top + (height - (top + base) * scale) / 2,
      };
      apply();
    },
    [apply, bar, frame],
  );

  useEffect(() => {
    const el = frame.current;
    if (!el) return;
    const onWheel = (e: WheelEvent) => {
      e.preventDefault();
      if (e.ctrlKey || e.metaKey) zoomBy(Math.exp(-e.deltaY * 0.0022), e.clientX, e.clientY);
      else panBy(-(e.shiftKey ? e.deltaY : e.deltaX), e.shiftKey ? 0 : -e.deltaY);
    };
    el.addEventListener('wheel', onWheel, { passive: false });
    return () => el.removeEventListener('wheel', onWheel);
  }, [frame, panBy, zoomBy]);

  return { settled, live, hold, panBy, zoomBy, show, toSheet, tell, tellNothing };
}

/** Moves a layer from where it was drawn to where the view is now. */
function put(layer: HTMLElement, from: View, to: View): void {
  const k = to.scale / from.scale;
  // Never `none`: with a transform that comes or goes, the browser lays out every text of the layer again.
  layer.style.setProperty('transform', `translate(${to.x - from.x * k}px, ${to.y - from.y * k}px) scale(${k})`);
}

/** The units that stand in view or so near that they come into it while the sheet is moved. */
export function inView(units: readonly PlacedUnit[], view: View, width: number, height: number): PlacedUnit[] {
  const margin = (Math.max(width, height) * 0.4) / view.scale;
  const [left, top] = [-view.x / view.scale - margin, -view.y / view.scale - margin];
  const [right, base] = [left + width / view.scale + 2 * margin, top + height / view.scale + 2 * margin];
  return units.filter(
    (u) => u.x + u.halfWidth > left && u.x - u.halfWidth < right && u.y + u.halfHeight > top && u.y - u.halfHeight < base,
  );
}
