import { problem, refuse, ok, type Result } from '../../part';
import type { Proposal, ReadOptions } from '../proposal';
import { readBallMaps } from '../table/ball-map';
import { inOrder, readOffered, type Offered } from '../table/choices';
import { findLists } from '../table/find-list';
import { filled, isBlank, type Grid, type GridRow } from '../table/grid';
import { readSignalLists } from '../table/signal-list';
import { narrow } from '../text/narrow';
import { legendLine, readLegend } from '../understand/legend';
import { cellRef, type Sheet } from './sheet';

export { cellRef, type Sheet } from './sheet';

/** More cells than this on one sheet are data and no pinout. */
const MOST_CELLS = 400_000;

interface Found extends Offered {
  sheet: Sheet;
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
  const found = grids.flatMap(({ sheet, grid }): Found[] => inOrder(findLists(grid)).map((f) => ({ sheet, ...f })));
  const legend = grids.flatMap(({ grid }) => grid.rows.flatMap((r) => [...legendLine(filled(r)), filled(r).join('   ')]));
  if (found.length === 0) {
    const beside = { signals: readSignalLists(grids.map((g) => g.grid)), legend: readLegend(legend) };
    const maps = grids.map(({ sheet, grid }) => ({
      grid,
      titles: [sheet.name, ...grid.rows.slice(0, 8).map((r) => filled(r).join(' '))],
    }));
    const map = readBallMaps(maps, [], options, beside);
    if (map) return map;
    return refuse(problem('table-none', {}, { file }));
  }
  const aroundOf = ({ sheet, table }: Found) => {
    const around = table.around.filter((r) => !isBlank(r)).map((r) => filled(r).join(' '));
    const signals = () => readSignalLists(grids.map((g) => g.grid));
    return { titles: [sheet.name, ...around.slice(0, 10), ...around.slice(-3)], legend, notes: around, signals };
  };
  const read = readOffered(found, aroundOf, options, (f, best) => key(f) === key(best));
  const first = grids[0]!.grid.rows.find((r) => !isBlank(r));
  return read.ok ? ok({ ...read.value, title: first ? filled(first).join(' ') : '' }) : read;
}

const key = (f: Found): string =>
  f.table.columns
    .map((c) => c.role)
    .sort()
    .join('|');

/**
 * A sheet as a grid of the rows and columns that hold anything; one blank row stands for any number of empty ones, so that
 * a cell far out costs nothing. `from` keeps the rows of several sheets apart; rows keep their numbers on the sheet.
 */
function gridOf(sheet: Sheet, from: number): Grid {
  const cols = [...new Set(sheet.cells.map((c) => c.col))].sort((a, b) => a - b);
  const used = [...new Set(sheet.cells.map((c) => c.row))].sort((a, b) => a - b);
  const colAt = new Map(cols.map((col, i) => [col, i]));
  const rows: GridRow[] = [];
  const rowAt = new Map<number, GridRow>();
  const add = (row: number) => {
    const made: GridRow = {
      line: from + row + 1,
      cells: new Array<string>(cols.length).fill(''),
      place: { sheet: sheet.name, refs: cols.map((col) => cellRef(row, col)) },
    };
    rows.push(made);
    rowAt.set(row, made);
  };
  used.forEach((row, i) => {
    if (row - (used[i - 1] ?? -1) > 1) add(row - 1);
    add(row);
  });
  for (const c of sheet.cells) rowAt.get(c.row)!.cells[colAt.get(c.col)!] = narrow(c.text);
  for (const m of sheet.merges)
    for (const [r, row] of rowAt) {
      if (r <= m.row || r >= m.row + m.rows) continue;
      row.same ??= new Array<boolean>(cols.length).fill(false);
      for (const [col, at] of colAt) if (col >= m.col && col < m.col + m.cols) row.same[at] = true;
    }
  return { layout: 'cells', rows };
}
