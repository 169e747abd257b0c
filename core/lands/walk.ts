import { compareTerminals, groupBy, type Pad } from '../part';

/** A row of a grid has at least so many pads, and there are at least so many rows; less is walked around. */
const GRID = 3;

/**
 * The pads of a land in the order that a person follows with a finger: around the package, counter-clockwise from the
 * first as seen from the top, or row by row on a grid; mechanical pads last. Numbers that stand several times are one.
 */
export function walkPads(pads: readonly Pad[]): string[] {
  const live = pads.filter((p) => !p.mechanical);
  const ordered = isGrid(live) ? byRows(live) : around(live);
  return [...new Set([...ordered, ...pads.filter((p) => p.mechanical)].map((p) => p.number))];
}

/** True where pads stand in several rows of several pads; around a package only the top and the bottom row have many. */
export function isGrid(pads: readonly Pad[]): boolean {
  const rows = [...groupBy(pads, (p) => String(p.y)).values()].filter((row) => row.length >= GRID);
  return rows.length >= GRID;
}

const byRows = (pads: readonly Pad[]): Pad[] => [...pads].sort((a, b) => b.y - a.y || a.x - b.x);

/** By the number where the pads are counted, which is how the drawing is read; the inner ones follow. */
function around(pads: readonly Pad[]): Pad[] {
  const reach = Math.max(0, ...pads.map((p) => Math.hypot(p.x, p.y)));
  const isInner = (p: Pad) => pads.length > 3 && Math.hypot(p.x, p.y) < reach * 0.2;
  const byNumber = (a: Pad, b: Pad) => compareTerminals(a.number, b.number);
  return [...pads.filter((p) => !isInner(p)).sort(byNumber), ...pads.filter(isInner).sort(byNumber)];
}
