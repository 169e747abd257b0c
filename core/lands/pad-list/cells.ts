import { alignedGrid, fitToColumns, toGrid } from '../../intake';
import type { Problem } from '../../part';
import { columnsOf, missingColumn, MOST_COLUMNS } from './columns';

/** A line of a pad list as cells; `line` counts from 1. */
export interface Line {
  cells: string[];
  line: number;
}

/** `// from the drawing`, `sep=;`: no row. */
const REMARK = /^\s*(?:\/\/|sep=.?\s*$)/;
/** Whatever a minus is set with. */
const MINUS = /[−‒–](?=\s?[.\d])/g;

/** Lines as cells, and whether commas part them. */
export interface Cells {
  rows: Line[];
  isCommas: boolean;
}

/**
 * The lines of a list as cells, in the ways they can be parted, likeliest first: by commas, semicolons, tabs or bars, by
 * runs of blanks, at each blank. Lines that only remark are left out, and so is what is empty.
 */
export function* waysOfCells(given: readonly string[], problems: Problem[], file: string | undefined): Generator<Cells> {
  const lines = given.map((l) => withoutRemark(l).replace(MINUS, '-'));
  const grid = toGrid(lines, problems, file);
  if (grid.layout !== 'aligned') yield filled(grid.rows, grid.layout === 'comma');
  const { rows } = grid.layout === 'aligned' ? grid : alignedGrid(lines);
  const widest = rows.reduce((most, r) => (r.cells.length > most.cells.length ? r : most));
  if (widest.cells.length <= MOST_COLUMNS)
    yield filled(rows.map((r) => ({ line: r.line, cells: r.line < widest.line ? r.cells : fitToColumns(r, widest.starts!) })));
  yield filled(lines.map((text, i) => ({ line: i + 1, cells: text.trim().split(/\s+/) })));
}

/** A `#` begins a remark, unless what follows it is the heading, or it is itself the first of the headings. */
function withoutRemark(line: string): string {
  if (!/^\s*#/.test(line)) return REMARK.test(line) ? '' : line;
  const rest = line.replace('#', ' ');
  return isHeading(rest) ? rest : isHeading(line) ? line : '';
}

const isHeading = (line: string): boolean => {
  const sign = [/[,;\t|]/, /\s{2,}/, /\s+/].find((s) => s.test(line.trim()));
  return sign !== undefined && missingColumn(columnsOf(line.trim().split(sign), () => [])) === undefined;
};

const filled = (rows: readonly Line[], isCommas = false): Cells => ({
  rows: rows.map(({ cells, line }) => ({ line, cells: cells.map((c) => c.trim()) })).filter((r) => r.cells.some((c) => c !== '')),
  isCommas,
});
