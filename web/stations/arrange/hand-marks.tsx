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

const MARK = 'pointer-events-none invisible absolute top-0 left-0 origin-top-left contain-layout will-change-transform';
/** Pixels of the band before it is stretched. */
const UNSTRETCHED = 1000;

/**
 * The marks are layers that the browser's compositor moves and stretches: the sheet is neither laid out nor painted while a
 * hand is on its way over it. A band is therefore a plain area, since a line around it would be stretched as well.
 */
export function HandMarks({ ref, view }: { ref: Ref<HandMarks>; view: View }) {
  const band = useRef<HTMLDivElement>(null);
  const landing = useRef<HTMLDivElement>(null);
  const words = useRef<HTMLSpanElement>(null);
  useImperativeHandle(ref, () => {
    const put = (mark: HTMLDivElement | null, transform: string) => {
      mark?.style.setProperty('transform', transform);
      mark?.style.setProperty('visibility', 'visible');
    };
    const place = (x: number, y: number) => `translate(${view.x + x * view.scale}px, ${view.y + y * view.scale}px)`;
    return {
      band: ({ x1, y1, x2, y2 }) => {
        const part = (from: number, to: number) => (Math.abs(to - from) * view.scale) / UNSTRETCHED;
        put(band.current, `${place(Math.min(x1, x2), Math.min(y1, y2))} scale(${part(x1, x2)}, ${part(y1, y2)})`);
      },
      landing: (x, y, says) => {
        // Only where it says another thing: text is laid out anew.
        if (words.current && words.current.textContent !== says) words.current.textContent = says;
        put(landing.current, place(x, y));
      },
      clear: () => {
        for (const mark of [band.current, landing.current]) mark?.style.setProperty('visibility', 'hidden');
      },
    };
  }, [view]);
  return (
    <>
      <div ref={band} className={`${MARK} h-[1000px] w-[1000px] bg-halo/30`} />
      <div ref={landing} className={`${MARK} h-0 w-0`}>
        <div className="absolute -top-2.5 -left-2.5 h-5 w-5 rounded-full border-2 border-green bg-halo/70" />
        <span ref={words} className="absolute bottom-4 -translate-x-1/2 rounded-sm bg-surface px-1.5 font-bold whitespace-nowrap" />
      </div>
    </>
  );
}
