import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState, type PointerEvent, type ReactNode } from 'react';
import type { Box, Hit } from '../../../core/intake';
import { useCommands } from '../../commands/registry';
import type { SourceInfo, SourceSession } from '../../workers/source-session';
import { PageBar } from './page-bar';

export interface PagePlace {
  page: number;
  box: Box;
  /** How often it was asked for: the view goes there anew. */
  times?: number;
}

interface Props {
  session: SourceSession;
  info: SourceInfo;
  /** What lies over a page: boxes at `scale` pixels a point. */
  overlay: (page: number, scale: number) => ReactNode;
  /** The place to show; a new one is scrolled to. */
  focus?: PagePlace | undefined;
  /** A place that is looked at closely: the page is zoomed in so that it can be read. */
  near?: boolean;
  /** A card stands under the place, and is to be in view with it. */
  card?: boolean;
  /** Called with the box that a person drew; drawing is on while this is set. */
  onRegion?: ((place: PagePlace) => void) | undefined;
  onPage?: (page: number) => void;
  /** Pages that are worth looking at, with what they are. */
  offered?: { what: string; pages: readonly number[] } | undefined;
}

const GAP = 14;
const MARGIN = 28;
/** Width of the card that asks about a cell, in pixels. */
export const CARD = 440;

/** Where the card under a cell begins, in pixels of its page: with the cell, as far as the page has room. */
export const cardLeft = (x: number, scale: number, pageWidth = 595): number =>
  Math.max(4, Math.min(x * scale, pageWidth * scale - CARD - 4));

/** Pixels a point at which small print can be read. */
const READABLE = 1.35;

/** A document's pages under each other, drawn as they come into view, with what is known of them laid over. */
export function PageView({ session, info, overlay, focus, near, card, onRegion, onPage, offered }: Props) {
  const scroller = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(0);
  const [zoom, setZoom] = useState(1);
  const [hit, setHit] = useState<Hit>();
  const first = info.pages[0] ?? { width: 595, height: 842 };
  const fit = Math.max(0.3, (width - 2 * MARGIN) / first.width);
  const scale = fit * zoom;
  const list = useVirtualizer({
    count: width > 0 ? info.pages.length : 0,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => info.pages[i]!.height * scale + GAP,
    overscan: 1,
  });
  useLayoutEffect(() => {
    const el = scroller.current!;
    const watch = new ResizeObserver(() => setWidth(el.clientWidth));
    watch.observe(el);
    return () => watch.disconnect();
  }, []);
  useEffect(() => list.measure(), [list, scale]);

  const [page, x, y, w, h] = focus ? [focus.page, ...focus.box] : [];
  useEffect(() => {
    if (page === undefined || width === 0) return;
    if (near && scale < READABLE) return setZoom(Math.min(3, READABLE / fit));
    const el = scroller.current!;
    const top = info.pages.slice(0, page - 1).reduce((sum, p) => sum + p.height * scale + GAP, 0);
    const [from, to] = [top + y! * scale, top + (y! + h!) * scale];
    const room = card ? 230 : 60;
    if (from < el.scrollTop + 50 || to > el.scrollTop + el.clientHeight - room)
      el.scrollTop = Math.max(0, (from + to) / 2 - el.clientHeight * 0.38);
    const left = MARGIN + x! * scale;
    const right = card ? MARGIN + cardLeft(x!, scale, info.pages[page - 1]?.width) + CARD + 8 : MARGIN + (x! + w!) * scale;
    if (left < el.scrollLeft || right > el.scrollLeft + el.clientWidth)
      el.scrollLeft = Math.max(0, Math.min(left - 8, Math.max(right - el.clientWidth, left - el.clientWidth / 3)));
  }, [page, x, y, w, h, focus?.times, near, card, width, scale, fit, info.pages]);

  useEffect(() => {
    if (!hit || width === 0) return;
    const top = info.pages.slice(0, hit.page - 1).reduce((sum, p) => sum + p.height * scale + GAP, 0);
    const within = hit.box ? Math.max(0, hit.box[1] * scale - scroller.current!.clientHeight * 0.38) : 0;
    scroller.current!.scrollTop = top + within;
    // Only a new place is gone to, not one whose page was zoomed since.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [hit, width > 0]);

  const items = list.getVirtualItems();
  // The page that takes the middle of the stage is the one that is looked at.
  const shown = items.find((i) => i.end > (list.scrollOffset ?? 0) + (list.scrollRect?.height ?? 240) / 2)?.index;
  useEffect(() => {
    if (shown !== undefined) onPage?.(shown + 1);
  }, [shown, onPage]);

  const by = (factor: number) => setZoom((z) => Math.min(4, Math.max(0.4, z * factor)));
  useCommands([
    { id: 'page-larger', title: 'Show the page larger', key: '+', group: 'Page', run: () => by(1.2) },
    { id: 'page-smaller', title: 'Show the page smaller', key: '-', group: 'Page', run: () => by(1 / 1.2) },
    { id: 'page-fit', title: 'Fit the page to the stage', key: '=', group: 'Page', run: () => setZoom(1) },
  ]);
  const pageInView = (shown ?? 0) + 1;
  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <PageBar session={session} page={pageInView} of={info.pages.length} offered={offered} onGo={setHit} onZoom={by} />
      <div ref={scroller} role="region" aria-label="Pages" tabIndex={0} className="min-h-0 flex-1 overflow-auto bg-sunken">
        <div className="relative" style={{ height: list.getTotalSize(), width: Math.max(width, first.width * scale + 2 * MARGIN) }}>
          {items.map((item) => {
            const size = info.pages[item.index]!;
            return (
              <div key={item.key} className="absolute left-0" style={{ transform: `translateY(${item.start}px)`, marginLeft: MARGIN }}>
                <div
                  className="relative box-content border border-line bg-white shadow-card"
                  style={{ width: size.width * scale, height: size.height * scale }}
                >
                  <PagePicture session={session} page={item.index + 1} scale={scale} />
                  {overlay(item.index + 1, scale)}
                  {hit?.box && hit.page === item.index + 1 ? (
                    <Boxed box={hit.box} scale={scale} grow={3} className="pointer-events-none z-20 rounded-sm ring-3 ring-halo" />
                  ) : null}
                  {onRegion ? <RegionPen scale={scale} onBox={(box) => onRegion({ page: item.index + 1, box })} /> : null}
                </div>
              </div>
            );
          })}
        </div>
      </div>
    </div>
  );
}

/** A page's picture. While a new size is drawn the old one is stretched. */
function PagePicture({ session, page, scale }: { session: SourceSession; page: number; scale: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    let stale = false;
    const timer = setTimeout(() => {
      void session.draw(page, Math.min(6, scale * Math.min(2, window.devicePixelRatio || 1))).then((drawn) => {
        if (!drawn) return;
        const el = canvas.current;
        if (stale || !el) return drawn.bitmap.close();
        [el.width, el.height] = [drawn.bitmap.width, drawn.bitmap.height];
        el.getContext('bitmaprenderer')!.transferFromImageBitmap(drawn.bitmap);
        el.dataset['drawn'] = 'true';
      });
    }, 30);
    return () => {
      stale = true;
      clearTimeout(timer);
    };
  }, [session, page, scale]);
  return <canvas ref={canvas} role="img" aria-label={`Page ${page}`} className="absolute inset-0 h-full w-full" />;
}

/** Drawing a box around a table: from press to release. */
function RegionPen({ scale, onBox }: { scale: number; onBox: (box: Box) => void }) {
  const [drag, setDrag] = useState<{ x0: number; y0: number; x1: number; y1: number }>();
  const at = (e: PointerEvent<HTMLDivElement>) => {
    const area = e.currentTarget.getBoundingClientRect();
    return { x: (e.clientX - area.left) / scale, y: (e.clientY - area.top) / scale };
  };
  const box: Box | undefined = drag && [
    Math.min(drag.x0, drag.x1),
    Math.min(drag.y0, drag.y1),
    Math.abs(drag.x1 - drag.x0),
    Math.abs(drag.y1 - drag.y0),
  ];
  return (
    <div
      data-testid="region-pen"
      className="absolute inset-0 z-20 cursor-crosshair touch-none"
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        const { x, y } = at(e);
        setDrag({ x0: x, y0: y, x1: x, y1: y });
      }}
      onPointerMove={(e) => {
        const { x, y } = at(e);
        setDrag((d) => d && { ...d, x1: x, y1: y });
      }}
      onPointerCancel={() => setDrag(undefined)}
      onPointerUp={() => {
        setDrag(undefined);
        if (box && box[2] > 20 && box[3] > 20) onBox(box);
      }}
    >
      {box ? <Boxed box={box} scale={scale} className="border-2 border-dashed border-green bg-green/10" /> : null}
    </div>
  );
}

/** Something laid over a box of the page. */
export function Boxed({
  box,
  scale,
  className = '',
  children,
  grow = 0,
}: {
  box: Box;
  scale: number;
  className?: string;
  children?: ReactNode;
  grow?: number;
}) {
  const [x, y, w, h] = box;
  return (
    <div
      className={`absolute ${className}`}
      style={{ left: x * scale - grow, top: y * scale - grow, width: w * scale + 2 * grow, height: h * scale + 2 * grow }}
    >
      {children}
    </div>
  );
}
