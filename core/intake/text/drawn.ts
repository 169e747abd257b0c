import type { Grid, GridRow } from '../table/grid';
import { readNumberCell } from '../table/numbers';
import { gridOfList } from './listed';

/** `VDD (1, 8), GND (4, 5)`: a whole pinout in a line. */
const IN_LINE = /([^\s(),;]{1,40})\s*\(([^()]{1,80})\)\s*(?:[,;.]|\band\b|$)\s*/gi;
/**
 * A line of a package drawn with signs, `OUT1 1|    |8 VCC`, its numbers outside or inside of its bars, or of a header with both
 * contacts of each line, `1 VTREF   2 SWDIO` and `VTREF 1 | 2 SWDIO`.
 */
const DRAWN = [
  /^\s*(?<left>\S+)\s+(?<a>\d{1,3})\s*[|+\]].*[|+[]\s*(?<b>\d{1,3})\s+(?<right>\S+)\s*$/,
  /^\s*(?<left>\S+)\s*[-o=]*\s*\|\s*(?<a>\d{1,3})\b.*\b(?<b>\d{1,3})\s*\|\s*[-o=]*\s*(?<right>\S+)\s*$/,
  /^\s*\|?\s*(?<a>\d{1,3})[.:)]?\s+(?<left>\S+)\s{2,}\|?\s*(?<b>\d{1,3})[.:)]?\s+(?<right>\S+)\s*\|?\s*$/,
  /^\s*(?<left>\S+)\s+\(?(?<a>\d{1,3})\)?\s*(?:[|o*·.=[\]-]\s*){1,6}\(?(?<b>\d{1,3})\)?\s+(?<right>\S+)\s*$/,
];

/** More lines than this are no drawing of one package, and longer ones are none of its rows. */
const MOST_LINES = 400;
const LONGEST = 200;

/** A package that is drawn with signs: both leads of each line. */
export function drawnGrid(lines: readonly string[]): Grid | undefined {
  if (lines.length > MOST_LINES) return undefined;
  const rows = lines.flatMap((text, i): GridRow[] => {
    if (text.length > LONGEST || !/\d/.test(text)) return [];
    const { left, a, b, right } = DRAWN.map((form) => form.exec(text)?.groups).find((parts) => parts !== undefined) ?? {};
    return left && a && b && right ? [{ line: i + 1, cells: [a, left, ''] }, { line: i + 1, cells: [b, right, ''] }] : []; // prettier-ignore
  });
  // `(CS) 1 |`: brackets around every name are none of it.
  if (rows.every((r) => /^\([^()]+\)$/.test(r.cells[1]!))) for (const r of rows) r.cells[1] = r.cells[1]!.slice(1, -1);
  const sorted = [...rows].sort((x, y) => Number(x.cells[0]) - Number(y.cells[0]));
  const isWhole = rows.length >= 4 && sorted.every((r, i) => Number(r.cells[0]) === i + 1);
  return isWhole ? gridOfList(sorted) : undefined;
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
