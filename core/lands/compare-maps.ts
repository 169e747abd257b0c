import { padsIn, type Part, type Pin } from '../part';

export interface MapRow {
  pin: Pin;
  left: string[];
  right: string[];
  /** `only-left`, `only-right`: not bonded out in the other package. */
  is: 'same' | 'moved' | 'only-left' | 'only-right' | 'nowhere' | 'count';
}

/** What each pin is in two packages, side by side: `count` where it has more pads in one of them. */
export function compareMaps(part: Part, left: string, right: string): MapRow[] {
  return part.pins.map((pin): MapRow => {
    const [a, b] = [padsIn(pin, left), padsIn(pin, right)];
    const isSame = a.length === b.length && a.every((pad) => b.includes(pad));
    const is = isSame
      ? a.length === 0
        ? 'nowhere'
        : 'same'
      : b.length === 0
        ? 'only-left'
        : a.length === 0
          ? 'only-right'
          : a.length === b.length
            ? 'moved'
            : 'count';
    return { pin, left: a, right: b, is };
  });
}
