import type { GridRow } from '../table/grid';
import { isTypeCode } from '../understand/type-codes';

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
  const { cells, starts } =
    row.cells.length > 1 ? splitAtHeads(splitAtType(row, heads), heads) : { cells: row.cells, starts: row.starts ?? [] };
  let from = 0;
  cells.forEach((cell, i) => {
    const room = heads.length - (cells.length - i);
    const at = nearest(heads, starts[i] ?? 0, cell.length, from, Math.max(from, room));
    out[at] = out[at] === '' ? cell : `${out[at]} ${cell}`;
    from = Math.min(at + 1, heads.length - 1);
  });
  return out;
}

/**
 * `IO_L2P_0/CLK I/O 0`: a name longer than its column pushed what stands behind it to the right, one blank apart. In a row with
 * too few cells the code of a type past the heading of the next column is a cell by itself.
 */
function splitAtType(row: GridRow, heads: readonly number[]): GridRow {
  if (row.cells.length >= heads.length || !row.starts) return row;
  const found = row.cells.map((cell) => RUN_ON.exec(cell));
  const at = found.findIndex((m) => m !== null);
  const [, name = '', code = '', rest = ''] = found[at] ?? [];
  const start = row.starts[at] ?? 0;
  const from = start + name.length + 1;
  const isPushed = heads.some((head) => head > start + 1 && head < from && from - head <= FURTHEST);
  if (!isPushed || !isTypeCode(code)) return row;
  const behind = rest === '' ? [] : [from + code.length + 1];
  return {
    ...row,
    cells: [...row.cells.slice(0, at), name, code, ...(rest === '' ? [] : [rest]), ...row.cells.slice(at + 1)],
    starts: [...row.starts.slice(0, at), start, from, ...behind, ...row.starts.slice(at + 1)],
  };
}

/** A name as circuits have it, perhaps with another in brackets, a code, and what stands behind it. */
const RUN_ON = /^([A-Z][A-Z0-9_/#+\-.]{5,60}(?: \([A-Z0-9_/]{1,20}\))?) ([A-Z][A-Z/]{0,4})(?: (.{1,200}))?$/;
/** So many letters a code may stand behind its heading. */
const FURTHEST = 16;

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
