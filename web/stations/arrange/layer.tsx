import { useLayoutEffect, useRef, type ReactNode } from 'react';
import type { View, ViewControl } from './view';

interface Props {
  hold: ViewControl['hold'];
  /** The view that it is drawn for. */
  drawn: View;
  children: ReactNode;
}

/** A layer of the sheet, of no size of its own: the view moves it to where it is now, until it is drawn for that. */
export function Layer({ hold, drawn, children }: Props) {
  const layer = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => hold(layer.current!, drawn), [hold, drawn]);
  return (
    <div ref={layer} className="pointer-events-none absolute top-0 left-0 origin-top-left will-change-transform">
      {children}
    </div>
  );
}

/** A layer of drawings in the sheet's own units, hundredths of a step, that has no place of its own. */
export function DrawingLayer({ hold, drawn, children }: Props) {
  return (
    <Layer hold={hold} drawn={drawn}>
      <svg className="absolute h-px w-px overflow-visible">
        <g className="drawing" transform={`translate(${drawn.x} ${drawn.y}) scale(${drawn.scale})`}>
          {children}
        </g>
      </svg>
    </Layer>
  );
}
