import type { Part, Release } from '../part';

const SHAPE = /^\d{1,4}\.\d{1,4}(\.\d{1,4})?$/;

export const isVersion = (text: string): boolean => SHAPE.test(text);

const numbers = (version: string): number[] => [...version.split('.').map(Number), 0].slice(0, 3);

export function compareVersions(a: string, b: string): number {
  const [x, y] = [numbers(a), numbers(b)];
  return x[0]! - y[0]! || x[1]! - y[1]! || x[2]! - y[2]!;
}

export const latestRelease = (part: Part): Release | undefined =>
  [...part.releases].sort((a, b) => compareVersions(b.version, a.version))[0];

/**
 * The next version: a changed pin number, name or type, or another connect point, raises the first figure, because
 * boards drawn with the old symbol break; all else raises the second.
 */
export function suggestVersion(part: Part): string {
  const last = latestRelease(part);
  if (!last) return '1.0';
  const [major = 1, minor = 0] = numbers(last.version);
  return breaks(last.frozen, part) ? `${major + 1}.0` : `${major}.${minor + 1}`;
}

type Shape = Pick<Part, 'pins' | 'units' | 'drawings'>;

/** True where a schematic or a board made with the old state would come out differently with the new one. */
const breaks = (before: Shape, after: Shape): boolean => wiring(before) !== wiring(after);

function wiring({ pins, units, drawings }: Shape): string {
  const terminals = pins.map((p) => [p.name, p.type, Object.entries(p.pads).sort()]).sort();
  const points = units.map((u) => [
    u.label,
    drawings
      .find((d) => d.id === u.drawing)
      ?.ports.map((p) => [u.binding[p.id] ?? '', p.side, p.at, p.length])
      .sort(),
  ]);
  return JSON.stringify([terminals, points]);
}
