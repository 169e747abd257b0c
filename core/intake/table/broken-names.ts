import type { GridRow } from './grid';

/** The end of a list of numbers that ran into the next column, and that column's own text: `A5 AGND`, `8 No connection`, and no `5 V`. */
const SPILT = /^((?:[A-Z]{0,2}\d{1,3}(?:\s*,\s*|\s+))+)(?!(?:[mkµu]?[VAWΩ]|[kMG]?Hz|[nµm]s|[pnµ]F|bits?)\b)([A-Za-z–—-].*)$/s;

/** A row whose list of numbers is put together again where the cell beside it holds its end. */
export function withWholeList(row: GridRow, numbers: readonly number[]): GridRow {
  const [at = -1, ...others] = numbers;
  const list = row.cells[at] ?? '';
  if (others.length > 0 || !/[,;]\s*$/.test(list)) return row;
  const [, spilt, rest] = SPILT.exec(row.cells[at + 1] ?? '') ?? [];
  if (spilt === undefined) return row;
  return { ...row, cells: row.cells.map((c, i) => (i === at ? `${list} ${spilt.trim()}` : i === at + 1 ? rest! : c)) };
}

/** A line that may have ended within a word of a name: `VREF_SAM` over `P`. */
const BROKEN = /^(\S*_\S*[A-Z0-9])\s*\n\s*([A-Z0-9]{1,3})$/;
/** Two lines that may be one word, where the first has no room for more. */
const PARTED = /^([A-Z][A-Z0-9_+/.-]*[A-Z0-9])\s*\n\s*([A-Z0-9][A-Z0-9_+/-]*[#*]?)$/;

/** The two parts of a name whose line may have ended within a word: a short rest, or a first line that fills the column. */
export function brokenName(name: string, room: number): [string, string] | undefined {
  if (!name.includes('\n')) return undefined;
  const [, head = '', rest = ''] = BROKEN.exec(name) ?? PARTED.exec(name) ?? [];
  const short = rest.length <= 3 && BROKEN.test(name);
  // Two characters under a line that had no room for them; letters are not equally wide.
  const isLeft = rest.length <= 2 && head.length + rest.length >= room;
  return rest !== '' && (short || isLeft || (head.length >= room && rest.length < head.length)) ? [head, rest] : undefined;
}

/** Characters that the lines of the names' column have room for, from the longest one of them; only told where a name has two lines. */
export function roomForNames(rows: readonly GridRow[], at: number): number {
  if (at < 0 || !rows.some((r) => r.cells[at]?.includes('\n'))) return Infinity;
  let most = 8;
  for (const { cells } of rows) for (const line of (cells[at] ?? '').split('\n')) most = Math.max(most, line.trim().length);
  // Letters are not equally wide: a line of one less may be as long.
  return most - 1;
}

/** A name broken over lines: after a stroke, an underscore or a dash nothing stands between the parts. */
export const joinName = (text: string): string =>
  /^\S*$/.test(text)
    ? text
    : text
        .replace(/[ \t]+/g, ' ')
        // Where a blank stands before the stroke, one stands behind it too.
        .replace(/[ \t]+\/[ \t]*\n\s*|\s*\n\s*\/[ \t]+/g, ' / ')
        .replace(/\s*([/_]|(?<=[A-Za-z0-9])-)\s*\n\s*/g, '$1')
        .replace(/\s*\n\s*([/_)])/g, '$1')
        .replace(/\s+/g, ' ');

/** A name under which its other functions stand in the same cell, `PA0` over `ADC0` over `T1CH1`; undefined for any other. */
export function stackedNames(name: string): string[] | undefined {
  const lines = name.includes('\n') ? name.split('\n').map((line) => line.trim()) : [];
  const isOne = (line: string) => /^[A-Z][A-Z0-9_]{2,}$/.test(line);
  return lines.length > 1 && lines.every(isOne) && /^[A-Z]{1,5}\d{1,3}$/.test(lines[0]!) ? lines : undefined;
}
