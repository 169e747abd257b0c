import { compareTerminals, type Land, type Pad } from '../part';
import { courtyardOf } from './generate';
import { roundMm } from './round-mm';

/** The land with other pads: courtyard and first-pad mark follow them, sizes and places are rounded to 0.1 µm. */
export function withPads(land: Land, pads: readonly Pad[]): Land {
  const rounded = pads.map((p) => ({ ...p, x: roundMm(p.x), y: roundMm(p.y), w: roundMm(p.w), h: roundMm(p.h) }));
  const first = [...rounded].filter((p) => !p.mechanical).sort((a, b) => compareTerminals(a.number, b.number))[0];
  const { firstPad: _before, courtyard: _old, ...rest } = land;
  return {
    ...rest,
    ...(rounded.length > 0 ? { courtyard: courtyardOf(rounded, land.body ?? { w: 0, h: 0 }) } : {}),
    ...(first ? { firstPad: { x: first.x, y: first.y } } : {}),
    pads: rounded,
  };
}

export const changePads = (land: Land, indices: readonly number[], set: Partial<Pad>): Land =>
  withPads(
    land,
    land.pads.map((p, i) => (indices.includes(i) ? { ...p, ...set } : p)),
  );

export const removePads = (land: Land, indices: readonly number[]): Land =>
  withPads(
    land,
    land.pads.filter((_, i) => !indices.includes(i)),
  );

/** The number after a pad's: 8 → 9, A3 → A4, MP1 → MP2; a number without digits gets one. */
export const nextNumber = (number: string, by = 1): string => {
  const match = /^(.*?)(\d+)$/.exec(number);
  return match ? `${match[1]}${Number(match[2]) + by}` : `${number}${by}`;
};

export interface Repeat {
  /** How many copies, besides the pad itself. */
  count: number;
  /** From one copy to the next, in mm. */
  dx: number;
  dy: number;
  /** From one number to the next. */
  step: number;
}

/** Copies pads in a row, each with the next number. */
export function repeatPads(land: Land, indices: readonly number[], { count, dx, dy, step }: Repeat): Land {
  const chosen = indices.flatMap((i) => land.pads[i] ?? []);
  const copies = Array.from({ length: count }, (_, k) =>
    chosen.map((p): Pad => ({ ...p, x: p.x + dx * (k + 1), y: p.y + dy * (k + 1), number: nextNumber(p.number, step * (k + 1)) })),
  );
  return withPads(land, [...land.pads, ...copies.flat()]);
}

/**
 * Copies pads to the other side of an axis through the origin. The copies go on counting from the highest number, and
 * backwards through the chosen ones, as pads around a package are counted.
 */
export function mirrorPads(land: Land, indices: readonly number[], axis: 'x' | 'y'): Land {
  const chosen = indices.flatMap((i) => land.pads[i] ?? []);
  const highest = Math.max(0, ...land.pads.map((p) => Number(p.number)).filter((n) => Number.isInteger(n)));
  const copies = [...chosen].reverse().map((p, k): Pad => ({
    ...p,
    x: axis === 'x' ? -p.x : p.x,
    y: axis === 'y' ? -p.y : p.y,
    number: String(highest + k + 1),
  }));
  return withPads(land, [...land.pads, ...copies]);
}
