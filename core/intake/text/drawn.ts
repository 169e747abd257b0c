import type { Grid, GridRow } from '../table/grid';
import { readNumberCell } from '../table/numbers';
import { gridOfList } from './listed';

/** `VDD (1, 8), GND (4, 5)`: a whole pinout in a line. */
const IN_LINE = /([^\s(),;]{1,40})\s*\(([^()]{1,80})\)\s*(?:[,;.]|\band\b|$)\s*/gi;
/** `OUT1 1|    |8 VCC`: a package drawn with signs, its numbers outside or inside of its bars. */
const DRAWN = [
  /^\s*(\S+)\s+(\d{1,3})\s*[|+\]].*[|+[]\s*(\d{1,3})\s+(\S+)\s*$/,
  /^\s*(\S+)\s*[-o=]*\s*\|\s*(\d{1,3})\b.*\b(\d{1,3})\s*\|\s*[-o=]*\s*(\S+)\s*$/,
];
/** `1 VTREF   2 SWDIO`, `VTREF 1 | 2 SWDIO`: a header with both contacts of each line. */
const HEADER = [
  [/^\s*\|?\s*(\d{1,3})[.:)]?\s+(\S+)\s{2,}\|?\s*(\d{1,3})[.:)]?\s+(\S+)\s*\|?\s*$/, [1, 2, 3, 4]],
  [/^\s*(\S+)\s+\(?(\d{1,3})\)?\s*(?:[|o*·.=[\]-]\s*){1,6}\(?(\d{1,3})\)?\s+(\S+)\s*$/, [2, 1, 3, 4]],
] as const;

/** More lines than this are no drawing of one package, and longer ones are none of its rows. */
const MOST_LINES = 400;
const LONGEST = 200;

/** A package that is drawn with signs: both leads of each line. */
export function drawnGrid(lines: readonly string[]): Grid | undefined {
  if (lines.length > MOST_LINES) return undefined;
  const rows = lines.flatMap((text, i): GridRow[] => {
    if (text.length > LONGEST || !/\d/.test(text)) return [];
    const drawn = DRAWN.map((form) => form.exec(text)).find((m) => m !== null);
    const [, left, a, b, right] = drawn ?? inHeader(text) ?? [];
    return left && a && b && right ? [{ line: i + 1, cells: [a, left, ''] }, { line: i + 1, cells: [b, right, ''] }] : []; // prettier-ignore
  });
  // `(CS) 1 |`: brackets around every name are none of it.
  if (rows.every((r) => /^\([^()]+\)$/.test(r.cells[1]!))) for (const r of rows) r.cells[1] = r.cells[1]!.slice(1, -1);
  const sorted = [...rows].sort((x, y) => Number(x.cells[0]) - Number(y.cells[0]));
  const isWhole = rows.length >= 4 && sorted.every((r, i) => Number(r.cells[0]) === i + 1);
  return isWhole ? gridOfList(sorted) : undefined;
}

/** A line of a header, as one of a drawing: the left name and number, the right number and name. */
function inHeader(text: string): [string, string, string, string, string] | undefined {
  for (const [form, [a, left, b, right]] of HEADER) {
    const m = form.exec(text);
    if (m) return [text, m[left]!, m[a]!, m[b]!, m[right]!];
  }
  return undefined;
}

/** More lines than this are no pinout in a line. */
const MOST_OF_LINE = 4;

/** A pinout that stands in one line, or a few of them. */
export function lineGrid(lines: readonly string[]): Grid | undefined {
  const filled = lines.flatMap((text, i) => (text.trim() === '' ? [] : [{ text: text.trim(), line: i + 1 }]));
  if (filled.length > MOST_OF_LINE || filled.some(({ text }) => text.length > MOST_OF_LINE * LONGEST)) return undefined;
  const rows = filled.flatMap(({ text, line }) =>
    [...text.matchAll(IN_LINE)]
      .filter((m) => readNumberCell(m[2]!).kind === 'list')
      .map((m): GridRow => ({ line, cells: [m[2]!, m[1]!, ''] })),
  );
  const isAll = filled.every(({ text }) => text.replace(IN_LINE, '').length <= 0.2 * text.length);
  return rows.length >= 3 && isAll ? gridOfList(rows) : undefined;
}
