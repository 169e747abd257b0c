import type { ElectricalType } from '../../core/part';
import { saysLow } from '../../core/part';

/** The program's sign: a kite on its bridle. */
export function KiteMark({ size = 26 }: { size?: number }) {
  return (
    <svg width={size} height={size} viewBox="0 0 32 32" aria-hidden="true" className="shrink-0">
      <path d="M16 1 29 13 16 31 3 13Z" className="fill-green" />
      <path d="M16 1V31M3 13H29" className="stroke-paper" strokeWidth="1.8" />
    </svg>
  );
}

/** A bow of the tail: two wings at a knot, filled from the left as far as its station is done. */
export function Bow({ done, active }: { done: number; active: boolean }) {
  const size = active ? 1.25 : 1;
  const id = `bow-${Math.round(done * 100)}`;
  return (
    <svg width={30 * size} height={18 * size} viewBox="0 0 30 18" aria-hidden="true">
      <clipPath id={id}>
        <rect x="0" y="0" width={2 + 26 * Math.min(1, done)} height="18" />
      </clipPath>
      <path d="M2 2 15 9 2 16ZM28 2 15 9 28 16Z" className="fill-surface stroke-green" strokeWidth="1.4" strokeLinejoin="round" />
      <path d="M2 2 15 9 2 16ZM28 2 15 9 28 16Z" className="fill-green" clipPath={`url(#${id})`} />
      <circle cx="15" cy="9" r="2.4" className="fill-ink" />
    </svg>
  );
}

/** Small marks of our own for electrical types: where the current of meaning goes. */
const TYPE_PATHS: Record<ElectricalType, string> = {
  input: 'M1 7H10M7 4 10 7 7 10M13 2V12',
  output: 'M1 2V12M4 7H13M10 4 13 7 10 10',
  bidirectional: 'M1 7H13M4 4 1 7 4 10M10 4 13 7 10 10',
  'three-state': 'M1 7H5M5 2V12L13 7ZM3 12H8',
  'open-drain': 'M2 3H8V11M5 11H11M11 3 13 5 11 7 9 5Z',
  'open-source': 'M2 11H8V3M5 3H11M11 7 13 9 11 11 9 9Z',
  passive: 'M1 7H4M4 4H10V10H4ZM10 7H13',
  'supply-in': 'M7 12V4M3 4H11M5 1H9',
  'supply-out': 'M7 13V3M4 6 7 3 10 6M2 1H12',
  ground: 'M7 1V7M2 7H12M4 10H10M6 13H8',
  'no-connect': 'M3 3 11 11M11 3 3 11',
  reserved: 'M3 6H11V13H3ZM5 6V3H9V6',
  unspecified: 'M4 5C4 1 10 1 10 5C10 7 7 7 7 9M7 12V13',
};

export function TypeMark({ type }: { type: ElectricalType }) {
  return (
    <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true" className="inline-block shrink-0 overflow-visible">
      <path d={TYPE_PATHS[type]} fill="none" stroke="currentColor" strokeWidth="1.4" strokeLinecap="round" strokeLinejoin="round" />
    </svg>
  );
}

/** A pin's name with its overbar, in the face that tells 0 from O. */
export function PinName({ name, activeLow }: { name: string; activeLow: boolean }) {
  return (
    <span className="font-mono">
      <span className={activeLow && !saysLow(name) ? 'overline decoration-1' : ''}>{name || '(no name)'}</span>
      {activeLow ? <span className="sr-only"> active low</span> : null}
    </span>
  );
}
