import { problem, type Problem } from '../../part';
import { waysOfCells, type Cells, type Line } from './cells';
import { columnsOf, missingColumn, type Column, type Heading } from './columns';
import { hasUnit, lengthMm, mmPerUnit, shapeIn, unitAlone, unitSaid } from './lengths';
import { cellIn, LENGTHS, type Reading } from './pad';

/** A heading stands within so many rows; a title and a line of units may stand over it. */
const LOOK = 20;

/** The rows of a list under its heading. */
export interface PadTable extends Reading {
  rows: Line[];
  /** Whether anything says what its lengths are in. */
  isUnitNamed: boolean;
}

/** The list in a text, or the line of its heading and the column that is missing there; undefined for a text without any cell. */
export function tableIn(
  lines: readonly string[],
  problems: Problem[],
  file: string | undefined,
): PadTable | { missing: Column; line: number } | undefined {
  const ways = waysOfCells(lines, problems, file);
  const firstWay = ways.next().value!;
  const first = headed(firstWay);
  const others = first.missing ? [...ways] : [];
  const { all, at, missing, isCommas } = others.map(headed).find((h) => h.missing === undefined) ?? first;
  const head = all[at];
  if (!head) return undefined;
  if (missing) {
    const bare = [firstWay, ...others].map(withoutTitles).find(({ rows }) => isBare(rows));
    if (!bare) return { missing, line: head.line };
    const table = bareTable(bare, saidAbove(lines, bare.rows[0]!.line));
    problems.push(problem('land-headless', { unit: table.unit }, { file, line: bare.rows[0]!.line }));
    return table;
  }
  const units = unitsRow(all[at + 1]);
  // A heading can be repeated for each package.
  const rows = all.slice(at + (units ? 2 : 1)).filter((r) => r.cells.join('\t') !== head.cells.join('\t'));
  const columns = columnsAt(all, at).map((c, i) => c && { ...c, perUnit: c.perUnit ?? mmPerUnit(units?.[i] ?? '') });
  const said = saidAbove(lines, head.line);
  return {
    rows,
    columns,
    perUnit: mmPerUnit(said ?? 'mm')!,
    isDecimalComma: !isCommas || hasDecimalComma(rows, columns),
    isUnitNamed:
      said !== undefined ||
      columns.some((c) => c?.perUnit !== undefined || c?.column === 'unit') ||
      rows.some((r) => r.cells.some(hasUnit)),
  };
}

/** The columns of a list without a heading, the last of them if it has one more. */
const BARE: Column[] = ['number', 'x', 'y', 'w', 'h', 'shape'];

/**
 * Whether rows without a heading can be nothing but numbers, places and sizes: each pad has a number and a place of its own,
 * and most of them share a size, as no places do.
 */
function isBare(rows: readonly Line[]): boolean {
  const width = rows[0]?.cells.length ?? 0;
  if (rows.length < 2 || width < 5 || width > BARE.length || rows.some((r) => r.cells.length !== width)) return false;
  const each = (from: number, to: number) => new Set(rows.map((r) => r.cells.slice(from, to).join(' '))).size;
  const isPad = ({ cells: [number = '', x, y, w, h, shape = 'rect'] }: Line) =>
    /^[A-Z]{0,3}\d{0,4}$/i.test(number) &&
    [x, y].every((text) => lengthMm(text!, 1, false) !== undefined) &&
    [w, h].every((text) => (lengthMm(text!, 1, false) ?? 0) > 0) &&
    shapeIn(shape) !== undefined;
  return rows.every(isPad) && each(0, 1) === rows.length && each(1, 3) === rows.length && each(3, 5) <= rows.length / 2;
}

/** Rows without a title and a line of units that stand over them. */
const withoutTitles = ({ rows, isCommas }: Cells): Cells => ({
  rows: rows.slice(Math.max(0, rows.slice(0, LOOK).findIndex((r) => r.cells.length >= 5))), // prettier-ignore
  isCommas,
});

/** The unit that a line above another says. */
const saidAbove = (lines: readonly string[], line: number): string | undefined =>
  lines.slice(0, line - 1).map(unitSaid).find((u) => u !== undefined); // prettier-ignore

const bareTable = ({ rows, isCommas }: Cells, unit: string | undefined): PadTable & { unit: string } => {
  const columns = BARE.slice(0, rows[0]!.cells.length).map((column) => ({ column, perUnit: undefined }));
  const isDecimalComma = !isCommas || hasDecimalComma(rows, columns);
  const perUnit = mmPerUnit(unit ?? 'mm')!;
  return { rows: [...rows], columns, perUnit, isDecimalComma, isUnitNamed: unit !== undefined, unit: unit ?? 'mm' };
};

/** Cells with the row of their heading, and what it lacks: that of the first row that has all, or else of the first with any. */
function headed({ rows: all, isCommas }: Cells) {
  const rows = all.slice(0, LOOK).map((_, i) => columnsAt(all, i));
  const whole = rows.findIndex((c) => missingColumn(c) === undefined);
  const any = rows.findIndex((c) => c.filter((k) => k !== undefined).length > 1);
  const at = whole >= 0 ? whole : Math.max(0, any);
  return { all, at, missing: missingColumn(rows[at] ?? []), isCommas };
}

const columnsAt = (all: readonly Line[], row: number) => columnsOf(all[row]!.cells, (column) => cellsBelow(all, row, column));

const cellsBelow = (all: readonly Line[], head: number, column: number): string[] =>
  all.slice(head + 1, head + 1 + LOOK).flatMap((r) => r.cells[column] || []);

/** A row of units alone below the heading, by column. */
function unitsRow(row: Line | undefined): (string | undefined)[] | undefined {
  const cells = row?.cells.filter((c) => c !== '') ?? [];
  return cells.length > 0 && cells.every((c) => unitAlone(c) !== undefined) ? row!.cells.map(unitAlone) : undefined;
}

/** Whether a comma is the decimal sign between commas: a quoted `1,27` has it, but not `1,270`, which may be a thousand. */
function hasDecimalComma(rows: readonly Line[], columns: readonly (Heading | undefined)[]): boolean {
  const lengths = rows.flatMap((r) => LENGTHS.map(cellIn(r.cells, columns)));
  return !lengths.some((t) => /\d\.\d/.test(t)) && lengths.some((t) => /(?:^|\D)0,\d|\d,(?:\d{1,2}|\d{4,})(?!\d)/.test(t));
}
