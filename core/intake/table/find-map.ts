import { rowLetters } from '../../part';
import { fitToColumns } from '../text/aligned';
import { filled, type Grid, type GridRow } from './grid';

/** A matrix of balls, or a part of one: figures along one edge, letters along the other, names in its cells. */
export interface BallMap {
  /** Its cells, each with the ball's number as printed along the edges. */
  cells: { row: GridRow; at: number; number: string }[];
  /** The row with the labels over its columns. */
  head: GridRow;
  rows: GridRow[];
  letters: string[];
  figures: string[];
  /** What stands between it and the map before. */
  titles: string[];
}

/** So many rows are looked for by their letters: those of the largest grids end before CA. */
const MOST_ROWS = 60;
const PLACE = new Map(Array.from({ length: MOST_ROWS }, (_, i) => [rowLetters(i), i]));
/** Fewer columns or rows than this are a table of something else. */
const LEAST = 3;
/** So many letters over columns: fewer stand over inputs and outputs as well. */
const LEAST_LETTERS = 4;

/** Where a label of an edge has its place in the sequence; undefined where a text is none. */
type PlaceOf = (text: string) => number | undefined;

const placeOfFigure: PlaceOf = (text) => (/^\d{1,2}$/.test(text) ? Number(text) : undefined);
const placeOfLetter: PlaceOf = (text) => PLACE.get(text);

/** True where labels of an edge follow those of another: `9` to `16` those from `1` to `8`. */
export function followOn(a: readonly string[], b: readonly string[]): boolean {
  const places = (labels: readonly string[]) => labels.map((l) => placeOfFigure(l) ?? placeOfLetter(l) ?? NaN);
  const [first, second] = [places(a), places(b)];
  return Math.min(...second) === Math.max(...first) + 1 || Math.min(...first) === Math.max(...second) + 1;
}

/** True for the labels along an edge of a map: figures or letters in sequence, forwards or backwards. */
export const areEdge = (texts: readonly string[]): boolean =>
  labelsOf(texts, placeOfFigure, LEAST) !== undefined || labelsOf(texts, placeOfLetter, LEAST_LETTERS) !== undefined;

/** True where a grid holds a ball map. */
export const hasBallMap = (grid: Grid): boolean => findBallMaps(grid).length > 0;

/** Finds the ball maps in a grid: rows with letters under (or over) figures in sequence, or rows with figures under letters. */
export function findBallMaps(grid: Grid): BallMap[] {
  const maps = mapsIn(grid);
  return maps.length > 0 || grid.layout !== 'aligned' ? maps : mapsIn(fittedToEdge(grid));
}

function mapsIn(grid: Grid): BallMap[] {
  const upright = mapsAlong(grid, placeOfFigure, placeOfLetter, LEAST);
  return upright.length > 0 ? upright : mapsAlong(grid, placeOfLetter, placeOfFigure, LEAST_LETTERS);
}

/** Text in columns, with each row below the labels of an edge under them: nothing stands over the rows' own labels. */
function fittedToEdge(grid: Grid): Grid {
  let edge: readonly number[] | undefined;
  const rows = grid.rows.map((row) => {
    if (areEdge(row.cells)) {
      edge = row.starts;
      return { ...row, cells: ['', ...row.cells] };
    }
    const first = row.starts?.[0];
    if (!edge || first === undefined || first >= edge[0]!) return row;
    return { ...row, cells: fitToColumns(row, [first, ...edge]) };
  });
  return { ...grid, rows };
}

interface Label {
  at: number;
  label: string;
}

function mapsAlong(grid: Grid, over: PlaceOf, beside: PlaceOf, least: number): BallMap[] {
  const maps: BallMap[] = [];
  let from = 0;
  for (let at = 0; at < grid.rows.length; at++) {
    const columns = labelsOf(grid.rows[at]!.cells, over, least);
    if (!columns) continue;
    const isHead = (row: GridRow) => labelsOf(row.cells, over, least) !== undefined;
    const below = rowsWith(grid.rows, at + 1, 1, grid.rows.length, columns, beside, isHead);
    const rows = below.length >= LEAST ? below : rowsWith(grid.rows, at - 1, -1, from - 1, columns, beside, isHead);
    if (rows.length < LEAST || !mostlyNames(rows, columns)) continue;
    const first = Math.min(at, ...rows.map((r) => r.index));
    maps.push(mapOf(grid.rows[at]!, rows, columns, grid.rows.slice(Math.max(from, first - TITLES), first)));
    at = Math.max(at, ...rows.map((r) => r.index));
    from = at + 1;
  }
  return maps;
}

/** So many rows over a map may hold its title. */
const TITLES = 6;

interface Side extends Label {
  row: GridRow;
  index: number;
}

function mapOf(head: GridRow, rows: readonly Side[], columns: readonly Label[], above: readonly GridRow[]): BallMap {
  const isFigures = /\d/.test(columns[0]!.label);
  const [letters, figures] = isFigures ? [rows, columns] : [columns, rows];
  return {
    cells: rows.flatMap((r) =>
      columns.map((c) => ({ row: r.row, at: c.at, number: isFigures ? `${r.label}${c.label}` : `${c.label}${r.label}` })),
    ),
    head,
    rows: rows.map((r) => r.row),
    letters: letters.map((l) => l.label),
    figures: figures.map((f) => f.label),
    titles: above.map((r) => filled(r).join(' ')).filter((t) => t !== ''),
  };
}

/** The labels over columns: they stand in sequence, forwards or backwards, and hardly anything stands beside them. */
function labelsOf(cells: readonly string[], placeOf: PlaceOf, least: number): Label[] | undefined {
  const labels = cells.flatMap((c, at): (Label & { place: number })[] => {
    const place = placeOf(c.trim());
    return place === undefined ? [] : [{ at, label: c.trim(), place }];
  });
  if (labels.length < least || labels.length < cells.filter((c) => c.trim() !== '').length - 2) return undefined;
  const steps = labels.slice(1).map((c, i) => c.place - labels[i]!.place);
  return steps.every((s) => s === 1) || steps.every((s) => s === -1) ? labels : undefined;
}

/** The rows that a label stands beside, from `start` on in steps, up to the next row of labels over columns. */
function rowsWith(
  rows: readonly GridRow[],
  start: number,
  step: 1 | -1,
  stop: number,
  columns: readonly Label[],
  placeOf: PlaceOf,
  isHead: (row: GridRow) => boolean,
): Side[] {
  const found: Side[] = [];
  const seen = new Set<string>();
  const taken = new Set(columns.map((c) => c.at));
  for (let index = start; index !== stop; index += step) {
    const row = rows[index]!;
    if (isHead(row)) break;
    const at = row.cells.findIndex((c, i) => !taken.has(i) && placeOf(c.trim()) !== undefined);
    if (at < 0) {
      if (found.length > 0 && filled(row).length > 0) break;
      continue;
    }
    const label = row.cells[at]!.trim();
    if (seen.has(label)) break;
    seen.add(label);
    found.push({ row, index, at, label });
  }
  return found;
}

/** What stands where there is no ball. */
const NO_BALL = /^[-–—−·.]*$/;

/** Names and not measures: most filled cells begin with a letter or a sign of a supply. */
function mostlyNames(rows: readonly Side[], columns: readonly Label[]): boolean {
  const cells = rows.flatMap((r) => columns.map((c) => r.row.cells[c.at]?.trim() ?? '')).filter((c) => !NO_BALL.test(c));
  return cells.length >= LEAST * LEAST && cells.filter((c) => /[A-Za-z]/.test(c) && c.length < 40).length >= 0.8 * cells.length;
}
