import type { GridRow } from '../table/grid';

/** Splits a line of space-aligned text at tabs and runs of two or more spaces, keeping where each cell starts. */
export function alignedRow(text: string, line: number): GridRow {
  const cells: string[] = [];
  const starts: number[] = [];
  for (const match of text.replace(/\t/g, '    ').matchAll(/\S+(?: \S+)*/g)) {
    cells.push(match[0]);
    starts.push(match.index);
  }
  return { line, cells, starts };
}

/**
 * Puts the cells of an aligned row under the header's columns. A cell belongs to the column whose heading starts
 * nearest to where it starts; right-aligned numbers and ragged cells move by their neighbours' order.
 */
export function fitToColumns(row: GridRow, heads: readonly number[]): string[] {
  const out: string[] = heads.map(() => '');
  const { cells, starts } = row.cells.length > 1 ? splitAtHeads(row, heads) : { cells: row.cells, starts: row.starts ?? [] };
  let from = 0;
  cells.forEach((cell, i) => {
    const room = heads.length - (cells.length - i);
    const at = nearest(heads, starts[i] ?? 0, cell.length, from, Math.max(from, room));
    out[at] = out[at] === '' ? cell : `${out[at]} ${cell}`;
    from = Math.min(at + 1, heads.length - 1);
  });
  return out;
}

/** Cells one blank apart run together; where a word begins straight under a heading, they are taken apart again. */
function splitAtHeads(row: GridRow, heads: readonly number[]): { cells: string[]; starts: number[] } {
  const cells: string[] = [];
  const starts: number[] = [];
  row.cells.forEach((cell, i) => {
    let from = row.starts?.[i] ?? 0;
    let rest = cell;
    for (const head of heads) {
      const at = head - from;
      if (at <= 1 || at >= rest.length || rest[at - 1] !== ' ' || rest[at] === ' ') continue;
      cells.push(rest.slice(0, at).trimEnd());
      starts.push(from);
      rest = rest.slice(at);
      from = head;
    }
    cells.push(rest);
    starts.push(from);
  });
  return { cells, starts };
}

/** The column from `from` to `to` that the cell's span overlaps or is nearest to; the leftmost of equals. */
function nearest(heads: readonly number[], start: number, length: number, from: number, to: number): number {
  let best = Math.min(from, heads.length - 1);
  let distance = Infinity;
  for (let i = best; i <= Math.min(to, heads.length - 1); i++) {
    const head = heads[i]!;
    const away = start <= head && head < start + length ? (head - start) / 4 : Math.abs(head - start);
    if (away < distance) [best, distance] = [i, away];
  }
  return best;
}

/** Splits a line whose columns stand one space apart: single words first, the rest is the last column. */
export function splitWords(text: string, columns: number): string[] {
  const words = text.trim().split(/\s+/);
  return words.length <= columns ? words : [...words.slice(0, columns - 1), words.slice(columns - 1).join(' ')];
}
