/**
 * The assignment of rows to columns with the greatest sum of scores, each column used once at most (the Hungarian
 * method with potentials, O(n²m) for n of the shorter side). Gives the column per row, or -1 where the row's best is no likeness at all.
 */
export function assign(scores: readonly (readonly number[])[]): number[] {
  const rows = scores.length;
  const columns = scores[0]?.length ?? 0;
  if (rows === 0 || columns === 0) return scores.map(() => -1);
  // The method takes the square of the rows times the columns: the shorter side stands as rows.
  if (rows > columns) {
    const turned = assign(scores[0]!.map((_, c) => scores.map((row) => row[c]!)));
    const out = scores.map(() => -1);
    turned.forEach((row, column) => row >= 0 && (out[row] = column));
    return out;
  }
  const n = columns;
  const cost = (r: number, c: number) => 1 - scores[r]![c]!;
  const u = new Float64Array(rows + 1);
  const v = new Float64Array(n + 1);
  const rowOf = new Int32Array(n + 1);
  for (let r = 1; r <= rows; r++) {
    rowOf[0] = r;
    let column = 0;
    const best = new Float64Array(n + 1).fill(Infinity);
    const from = new Int32Array(n + 1);
    const done = new Uint8Array(n + 1);
    do {
      done[column] = 1;
      const row = rowOf[column]!;
      let delta = Infinity;
      let next = 0;
      for (let c = 1; c <= n; c++) {
        if (done[c]) continue;
        const reduced = cost(row - 1, c - 1) - u[row]! - v[c]!;
        if (reduced < best[c]!) [best[c], from[c]] = [reduced, column];
        if (best[c]! < delta) [delta, next] = [best[c]!, c];
      }
      for (let c = 0; c <= n; c++)
        if (done[c]) {
          u[rowOf[c]!]! += delta;
          v[c]! -= delta;
        } else best[c]! -= delta;
      column = next;
    } while (rowOf[column] !== 0);
    do {
      const before = from[column]!;
      rowOf[column] = rowOf[before]!;
      column = before;
    } while (column !== 0);
  }
  const out = scores.map(() => -1);
  for (let c = 1; c <= columns; c++) {
    const row = rowOf[c]! - 1;
    if (row >= 0 && row < rows && scores[row]![c - 1]! > 0) out[row] = c - 1;
  }
  return out;
}
