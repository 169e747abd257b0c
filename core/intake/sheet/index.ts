import { problem, refuse, ok, type Problem, type Result } from '../../part';
import type { Proposal, ReadOptions, TableChoice } from '../proposal';
import { readBallMap } from '../table/ball-map';
import { findTable, scoreOf, type FoundTable } from '../table/find-table';
import { filled, isBlank, type Grid, type GridRow } from '../table/grid';
import { forEach, joinTables } from '../table/join-tables';
import { understandTable } from '../table/understand';
import { unfold } from '../table/unfold';
import { legendLine } from '../understand/legend';
import { cellRef, type Sheet } from './sheet';

export { cellRef, type Sheet } from './sheet';

/** More cells than this on one sheet are data and no pinout. */
const MOST_CELLS = 400_000;

interface Found {
  sheet: Sheet;
  grid: Grid;
  table: FoundTable;
  score: number;
}

/**
 * Reads a pin table from the sheets of a workbook: from the sheet that is asked for, or from the one that has the best
 * table together with those that go on with it or list other packages. Merged cells count in each row they cover.
 */
export function readSheets(sheets: readonly Sheet[], options: ReadOptions = {}): Result<Proposal> {
  const { file } = options;
  const own = options.sheet === undefined ? sheets : sheets.filter((s) => s.name.toLowerCase() === options.sheet!.toLowerCase());
  if (own.length === 0)
    return refuse(problem('sheet-none', { name: options.sheet!, known: sheets.map((s) => s.name).join(', ') }, { file }));
  const large = own.find((s) => s.cells.length > MOST_CELLS);
  if (large) return refuse(problem('sheet-large', { name: large.name, limit: MOST_CELLS }, { file }));
  const grids = own.map((sheet, i) => ({ sheet, grid: gridOf(sheet, i * 2_000_000) }));
  const found = grids.flatMap(({ sheet, grid }): Found[] => {
    const unfolded = unfold(grid);
    const table = findTable(unfolded);
    return table ? [{ sheet, grid: unfolded, table, score: scoreOf(table) }] : [];
  });
  const problems: Problem[] = [];
  if (found.length === 0) {
    for (const { sheet, grid } of grids) {
      const map = readBallMap(grid, problems, options, [sheet.name, ...grid.rows.slice(0, 8).map((r) => filled(r).join(' '))]);
      if (map) return map;
    }
    return refuse(problem('table-none', {}, { file }));
  }
  const best = [...found].sort((a, b) => b.score - a.score)[0]!;
  const chosen = options.tables
    ? found.filter((_, i) => options.tables!.includes(i))
    : found.filter((f) => f === best || key(f) === key(best));
  const legend = grids.flatMap(({ grid }) => grid.rows.flatMap((r) => [...legendLine(filled(r)), filled(r).join('   ')]));
  const read = chosen.map(({ sheet, table }) => {
    const around = table.around.filter((r) => !isBlank(r)).map((r) => filled(r).join(' '));
    return understandTable(
      table,
      { titles: [sheet.name, ...around.slice(0, 10), ...around.slice(-3)], legend, notes: around },
      [],
      forEach(options, chosen.length),
    );
  });
  const refused = read.find((r) => !r.ok);
  const joined = joinTables(
    read.flatMap((r) => (r.ok ? [r.value] : [])),
    options,
  );
  if (!joined) return refused ?? refuse(problem('table-none', {}, { file }));
  const choices = found.map((f): TableChoice => ({
    title: f.sheet.name,
    sheet: f.sheet.name,
    rows: f.table.rows.length,
    taken: chosen.includes(f),
  }));
  const first = grids[0]!.grid.rows.find((r) => !isBlank(r));
  return joined.ok ? ok({ ...joined.value, tables: choices, title: first ? filled(first).join(' ') : '' }) : joined;
}

const key = (f: Found): string =>
  f.table.columns
    .map((c) => c.role)
    .sort()
    .join('|');

/** A sheet as a grid. `from` keeps the rows of several sheets apart. */
function gridOf(sheet: Sheet, from: number): Grid {
  const height = sheet.cells.reduce((n, c) => Math.max(n, c.row + 1), 0);
  const width = sheet.cells.reduce((n, c) => Math.max(n, c.col + 1), 0);
  const rows: GridRow[] = Array.from({ length: Math.min(height, 60_000) }, (_, row) => ({
    line: from + row + 1,
    cells: new Array<string>(width).fill(''),
    place: { sheet: sheet.name, refs: Array.from({ length: width }, (_x, col) => cellRef(row, col)) },
  }));
  for (const c of sheet.cells) if (rows[c.row]) rows[c.row]!.cells[c.col] = c.text;
  for (const m of sheet.merges)
    for (let r = m.row + 1; r < Math.min(m.row + m.rows, rows.length); r++) {
      const row = rows[r]!;
      row.same ??= new Array<boolean>(width).fill(false);
      for (let c = m.col; c < m.col + m.cols && c < width; c++) row.same[c] = true;
    }
  return { layout: 'cells', rows };
}
