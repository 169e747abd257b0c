/** Grids that symbols are drawn on, in mm. */
const USUAL = [2.54, 1.27, 2.5, 5.08];
/** A symbol is hardly larger than so many steps. */
const LARGEST = 800;

/**
 * The length of a grid step in a file's units: the wanted step or a usual one where all connect points stand on it, else
 * the greatest step that they all stand on, else the wanted one, and what is off it has to be moved.
 */
export function gridOf(points: readonly (readonly [number, number])[], unitMm: number | undefined, stepMm: number): number {
  const values = points.flat().map(Math.abs);
  const fits = (step: number) => step > 0 && values.every((v) => Math.abs(v / step - Math.round(v / step)) < 1e-6);
  if (unitMm !== undefined) {
    const known = [stepMm, ...USUAL].map((mm) => mm / unitMm).find(fits);
    if (known !== undefined) return known;
  }
  const common = values.filter((v) => v > 0).reduce((a, b) => divisor(a, b), 0);
  if (common > 0 && Math.max(...values) / common <= LARGEST && (unitMm === undefined || common * unitMm >= 0.6)) return common;
  if (unitMm !== undefined) return stepMm / unitMm;
  return pitchOf(points) ?? 1;
}

function divisor(a: number, b: number): number {
  let [x, y] = [Math.round(a), Math.round(b)];
  while (y > 0) [x, y] = [y, x % y];
  return x;
}

/** The least distance between two connect points on a line. */
function pitchOf(points: readonly (readonly [number, number])[]): number | undefined {
  const along = (axis: 0 | 1) => {
    const sorted = [...new Set(points.map((p) => p[axis]))].sort((a, b) => a - b);
    return sorted.slice(1).map((v, i) => v - sorted[i]!);
  };
  const least = Math.min(...along(0), ...along(1));
  return Number.isFinite(least) && least > 0 ? least : undefined;
}
