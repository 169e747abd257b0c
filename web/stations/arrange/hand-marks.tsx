import { useImperativeHandle, useRef, type Ref } from 'react';
import type { View } from './view';

/** A rectangle on the sheet, in hundredths of a step, y downwards. */
export interface Band {
  x1: number;
  y1: number;
  x2: number;
  y2: number;
}

/** Shows what the hand is at, past React: nothing else depends on it until the hand lets go. */
export interface HandMarks {
  /** A band over an area: the box around pins, or where an edge or a text would be. */
  band: (area: Band) => void;
  /** Where what is dragged will land, with what it is and where it goes. */
  landing: (x: number, y: number, says: string) => void;
  clear: () => void;
}

const MARK = 'pointer-events-none invisible absolute will-change-transform';

/**
 * The marks are layers that the browser's compositor moves: the sheet is neither laid out nor painted while a hand is on its way
 * over it. A layer that is stretched is painted anew with each step; so a band is what two layers of the size of the stage have
 * in common, of which one begins where the band does and the other, within it, ends where the band ends. It has no line around
 * it: the first layer's would go on to the ends of the stage.
 */
export function HandMarks({ ref, view, stage }: { ref: Ref<HandMarks>; view: View; stage: { width: number; height: number } }) {
  const band = useRef<HTMLDivElement>(null);
  const bandEnd = useRef<HTMLDivElement>(null);
  const landing = useRef<HTMLDivElement>(null);
  const words = useRef<HTMLSpanElement>(null);
  const { width, height } = stage;
  useImperativeHandle(ref, () => {
    const put = (mark: HTMLDivElement | null, x: number, y: number) => {
      mark?.style.setProperty('transform', `translate(${x}px, ${y}px)`);
      mark?.style.setProperty('visibility', 'visible');
    };
    const within = (at: number, size: number) => Math.min(Math.max(at, 0), size);
    const across = (x: number) => within(view.x + x * view.scale, width);
    const down = (y: number) => within(view.y + y * view.scale, height);
    return {
      band: ({ x1, y1, x2, y2 }) => {
        const [left, top] = [across(Math.min(x1, x2)), down(Math.min(y1, y2))];
        put(band.current, left, top);
        put(bandEnd.current, across(Math.max(x1, x2)) - left - width, down(Math.max(y1, y2)) - top - height);
      },
      landing: (x, y, says) => {
        // Only where it says another thing: text is laid out anew.
        if (words.current && words.current.textContent !== says) words.current.textContent = says;
        put(landing.current, view.x + x * view.scale, view.y + y * view.scale);
      },
      clear: () => {
        for (const mark of [band.current, bandEnd.current, landing.current]) mark?.style.setProperty('visibility', 'hidden');
      },
    };
  }, [view, width, height]);
  return (
    <div className="absolute top-0 left-0 contain-strict" style={stage}>
      <div ref={band} className={`${MARK} top-0 left-0 overflow-clip`} style={stage}>
        <div ref={bandEnd} className={`${MARK} inset-0 bg-halo/30`} />
      </div>
      {/* Of no size of its own, so that its words lay out nothing else anew. */}
      <div ref={landing} className={`${MARK} top-0 left-0 h-0 w-0 contain-layout contain-size`}>
        <div className="absolute -top-2.5 -left-2.5 h-5 w-5 rounded-full border-2 border-green bg-halo/70" />
        <span ref={words} className="absolute bottom-4 -translate-x-1/2 rounded-sm bg-surface px-1.5 font-bold whitespace-nowrap" />
      </div>
    </div>
  );
}
