import type { Rule } from './page';

/** A grid of ruled lines. `xs` and `ys` are its lines in points; `cells` tells which cells each slot belongs to. */
export interface Lattice {
  xs: number[];
  ys: number[];
  cells: Cell[];
}

/** A cell from column `col` and row `row` on, over `cols` columns and `rows` rows. */
export interface Cell {
  col: number;
  row: number;
  cols: number;
  rows: number;
}

/** Lines nearer than this are one, in points: double lines, and both edges of a thin box. */
const SAME = 2.2;
/** How far lines may miss each other and still meet. */
const MEET = 3;
const MOST_SLOTS = 30_000;

const isAcross = (r: Rule): boolean => r.y1 === r.y2 && r.x2 > r.x1;

/** Finds the lattices on a page: lines that meet, with at least two columns and two rows. */
export function latticesOf(rules: readonly Rule[]): Lattice[] {
  const across = join(rules.filter(isAcross), 'x');
  const down = join(
    rules.filter((r) => !isAcross(r)),
    'y',
  );
  const lattices = components(across, down)
    .flatMap(({ h, v }) => {
      const lattice = latticeOf(h, v);
      return lattice ? [lattice] : [];
    })
    .sort((a, b) => a.ys[0]! - b.ys[0]! || a.xs[0]! - b.xs[0]!);
  return lattices.reduce<Lattice[]>((out, lattice) => {
    const above = out.at(-1);
    if (above && isUnder(lattice, above)) out[out.length - 1] = stacked(above, lattice);
    else out.push(lattice);
    return out;
  }, []);
}

/** The height of a row that holds a title alone, in points. */
const TITLE = 24;

/** The same columns right below: the row between, a group's title, has no lines at its sides. */
function isUnder(lattice: Lattice, above: Lattice): boolean {
  const gap = lattice.ys[0]! - above.ys.at(-1)!;
  return gap > 0 && gap < TITLE && lattice.xs.length === above.xs.length && lattice.xs.every((x, i) => Math.abs(x - above.xs[i]!) < SAME);
}

/** Two lattices as one, with a row between that is one cell. */
function stacked(above: Lattice, { xs, ys, cells }: Lattice): Lattice {
  const between = { col: 0, row: above.ys.length - 1, cols: xs.length - 1, rows: 1 };
  const below = cells.map((c) => ({ ...c, row: c.row + above.ys.length }));
  return { xs: above.xs, ys: [...above.ys, ...ys], cells: [...above.cells, between, ...below] };
}

/** Joins pieces of one line: cell borders drawn one by one, dashes. */
function join(rules: readonly Rule[], along: 'x' | 'y'): Rule[] {
  const [from, to, at] = along === 'x' ? (['x1', 'x2', 'y1'] as const) : (['y1', 'y2', 'x1'] as const);
  const lanes: Rule[][] = [];
  for (const r of [...rules].sort((a, b) => a[at] - b[at])) {
    const lane = lanes.at(-1);
    if (lane && r[at] - lane.at(-1)![at] < 1) lane.push(r);
    else lanes.push([r]);
  }
  return lanes.flatMap((lane) => {
    const out: Rule[] = [];
    for (const r of lane.sort((a, b) => a[from] - b[from])) {
      const last = out.at(-1);
      if (last && r[from] - last[to] < 4) last[to] = Math.max(last[to], r[to]);
      else out.push({ ...r });
    }
    return out;
  });
}

function components(h: readonly Rule[], v: readonly Rule[]): { h: Rule[]; v: Rule[] }[] {
  const owner = [...h, ...v].map((_, i) => i);
  const root = (i: number): number => {
    let at = i;
    while (owner[at] !== at) at = owner[at] = owner[owner[at]!]!;
    return at;
  };
  h.forEach((a, i) =>
    v.forEach((b, k) => {
      if (b.x1 >= a.x1 - MEET && b.x1 <= a.x2 + MEET && a.y1 >= b.y1 - MEET && a.y1 <= b.y2 + MEET) owner[root(i)] = root(h.length + k);
    }),
  );
  const groups = new Map<number, { h: Rule[]; v: Rule[] }>();
  const groupOf = (i: number) => groups.get(root(i)) ?? groups.set(root(i), { h: [], v: [] }).get(root(i))!;
  h.forEach((r, i) => groupOf(i).h.push(r));
  v.forEach((r, i) => groupOf(h.length + i).v.push(r));
  return [...groups.values()].filter((g) => g.h.length >= 2 && g.v.length >= 1);
}

/** Distinct places, the middle of those that are one. */
function places(values: readonly number[]): number[] {
  const out: number[][] = [];
  for (const v of [...values].sort((a, b) => a - b)) {
    const last = out.at(-1);
    if (last && v - last[0]! < SAME) last.push(v);
    else out.push([v]);
  }
  return out.map((group) => group.reduce((a, b) => a + b, 0) / group.length);
}

function latticeOf(h: readonly Rule[], v: readonly Rule[]): Lattice | undefined {
  const left = Math.min(...h.map((r) => r.x1));
  const right = Math.max(...h.map((r) => r.x2));
  const top = Math.min(...h.map((r) => r.y1), ...v.map((r) => r.y1));
  const bottom = Math.max(...h.map((r) => r.y1), ...v.map((r) => r.y2));
  const xs = places([left, right, ...v.map((r) => r.x1)]);
  const ys = places([top, bottom, ...h.map((r) => r.y1)]);
  // One row can be all that is left of a table on its last page.
  if (xs.length < 3 || ys.length < 2 || (ys.length < 3 && xs.length < 4) || xs.length * ys.length > MOST_SLOTS) return undefined;
  const closedRight = (row: number, col: number) => {
    const y = (ys[row]! + ys[row + 1]!) / 2;
    return v.some((r) => Math.abs(r.x1 - xs[col + 1]!) < SAME && r.y1 <= y && r.y2 >= y);
  };
  const closedBelow = (row: number, col: number) => {
    const x = (xs[col]! + xs[col + 1]!) / 2;
    return h.some((r) => Math.abs(r.y1 - ys[row + 1]!) < SAME && r.x1 <= x && r.x2 >= x);
  };
  return { xs, ys, cells: cellsOf(xs.length - 1, ys.length - 1, closedRight, closedBelow) };
}

type Closed = (row: number, col: number) => boolean;

function cellsOf(cols: number, rows: number, closedRight: Closed, closedBelow: Closed): Cell[] {
  const taken = new Uint8Array(cols * rows);
  const cells: Cell[] = [];
  for (let row = 0; row < rows; row++)
    for (let col = 0; col < cols; col++) {
      if (taken[row * cols + col]) continue;
      let wide = 1;
      while (col + wide < cols && !taken[row * cols + col + wide] && !closedRight(row, col + wide - 1)) wide++;
      let high = 1;
      const open = (r: number) => Array.from({ length: wide }, (_, i) => !closedBelow(r, col + i)).every(Boolean);
      while (row + high < rows && open(row + high - 1)) high++;
      for (let r = row; r < row + high; r++) for (let c = col; c < col + wide; c++) taken[r * cols + c] = 1;
      cells.push({ col, row, cols: wide, rows: high });
    }
  return cells;
}
