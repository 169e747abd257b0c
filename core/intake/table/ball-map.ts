import { problem, type Problem, type Result } from '../../part';
import type { Proposal, ReadOptions, Terminal } from '../proposal';
import { inferType } from '../understand/infer-type';
import { levelDoubt, readActiveLow } from './active-low';
import type { Grid, GridRow } from './grid';
import { packageNamed } from './headings';
import { alternatesIn, cleanName, markDoubt, findVectors } from './names';
import { readNumberCell } from './numbers';
import { placeOf } from './places';
import { signalKey, type SignalList } from './signal-list';
import { propose } from './understand';

/** What stands beside a ball map: the lists of signals, and what their type codes mean. */
export interface BesideMap {
  signals: SignalList;
  legend: ReadonlyMap<string, string>;
}
const NOTHING: BesideMap = { signals: new Map(), legend: new Map() };

/** A matrix of balls: numbers over its columns, letters beside its rows, names in its cells. */
export interface BallMap {
  /** Cell index by column number as printed. */
  columns: { at: number; number: string }[];
  rows: { row: GridRow; letter: string }[];
}

const LETTERS = /^(?:[A-HJ-NPRT-WY]|A[A-HJ-NPRT-WY]|B[A-HJ-NPRT-WY])$/;
/** Fewer columns or rows than this are a table of something else. */
const LEAST = 3;

/** Finds a ball map in a grid: a row of numbers in sequence with lettered rows under (or over) it. */
export function findBallMap(grid: Grid): BallMap | undefined {
  for (const [at, row] of grid.rows.entries()) {
    const columns = columnNumbers(row);
    if (!columns) continue;
    const below = letteredRows(grid.rows.slice(at + 1), columns);
    const rows = below.length >= LEAST ? below : letteredRows(grid.rows.slice(0, at).reverse(), columns);
    if (rows.length >= LEAST && mostlyNames(rows, columns)) return { columns, rows };
  }
  return undefined;
}

function columnNumbers(row: GridRow): BallMap['columns'] | undefined {
  const columns = row.cells.flatMap((c, at) => (/^\d{1,2}$/.test(c.trim()) ? [{ at, number: c.trim() }] : []));
  if (columns.length < LEAST || columns.length < row.cells.filter((c) => c.trim() !== '').length - 2) return undefined;
  const steps = columns.slice(1).map((c, i) => Number(c.number) - Number(columns[i]!.number));
  return steps.every((s) => s === 1) || steps.every((s) => s === -1) ? columns : undefined;
}

function letteredRows(rows: readonly GridRow[], columns: BallMap['columns']): BallMap['rows'] {
  const found: BallMap['rows'] = [];
  for (const row of rows) {
    const at = row.cells.findIndex((c, i) => LETTERS.test(c.trim()) && !columns.some((col) => col.at === i));
    if (at < 0) {
      if (row.cells.every((c) => c.trim() === '')) continue;
      if (found.length > 0) break;
      continue;
    }
    const letter = row.cells[at]!.trim();
    if (found.some((f) => f.letter === letter)) break;
    found.push({ row, letter });
  }
  return found;
}

/** Names and not measures: most filled cells begin with a letter or a sign of a supply. */
function mostlyNames(rows: BallMap['rows'], columns: BallMap['columns']): boolean {
  const cells = rows.flatMap((r) => columns.map((c) => r.row.cells[c.at]?.trim() ?? '')).filter((c) => c !== '');
  return cells.length >= LEAST * LEAST && cells.filter((c) => /[A-Za-z]/.test(c) && c.length < 40).length >= 0.8 * cells.length;
}

/** Reads a ball map where a grid holds one and no list; undefined where it holds none. */
export function readBallMap(
  grid: Grid,
  problems: Problem[],
  options: ReadOptions,
  titles: readonly string[] = [],
  { signals, legend }: BesideMap = NOTHING,
): Result<Proposal> | undefined {
  const map = findBallMap(grid);
  if (!map) return undefined;
  const left = new Set(options.without);
  const cells = map.rows
    .filter(({ row }) => !left.has(row.line))
    .flatMap(({ row, letter }) => map.columns.map((c) => ({ row, number: `${letter}${c.number}`, at: c.at })));
  const texts = cells.map(({ row, at }) => joinName(row.cells[at] ?? ''));
  const names = new Set(texts);
  const notes = { marks: new Set<string>(), vectors: findVectors(texts) };
  const around = titles.length > 0 ? titles : grid.rows.slice(0, 12).map((r) => r.cells.join(' '));
  const packageName = packageNamed(around);
  const terminals = cells.flatMap(({ row, number, at }, i): Terminal[] => {
    if (readNumberCell(texts[i]!).kind === 'none') return [];
    const { name, overbar, unsure } = cleanName(texts[i]!, notes);
    const told = signals.get(signalKey(name));
    const low = readActiveLow(name, overbar, told?.description ?? '', names);
    const type = inferType(name, told?.code, told?.description ?? '', legend);
    const alternates = alternatesIn(name);
    const doubts = [
      ...(unsure ? [markDoubt(name, unsure)] : []),
      ...(low.unsure ? [levelDoubt(`${low.unsure}.`)] : []),
      ...(row.crossed ? [{ field: 'name' as const, reason: 'Its text runs over the edge of its cell.' }] : []),
      ...(type.doubt ? [type.doubt] : []),
    ];
    return [
      {
        numbers: { [packageName]: number },
        name,
        ...(low.activeLow ? { activeLow: true } : {}),
        type: type.type,
        ...(told?.description ? { description: told.description } : {}),
        ...(alternates.length > 0 ? { alternates } : {}),
        origin: placeOf(row, { name: at }),
        row: row.line,
        because: { type: type.because, ...(low.because ? { activeLow: low.because } : {}) },
        doubts,
      },
    ];
  });
  if (terminals.length === 0) return undefined;
  const view = {
    columns: map.rows[0]!.row.cells.map(() => ({ role: 'ignore' as const, heading: '', packageName: '' })),
    rows: map.rows.map(({ row }) => ({
      line: row.line,
      cells: row.cells,
      taken: !left.has(row.line),
      ...(row.place ? { place: row.place } : {}),
    })),
  };
  const isTold = terminals.every((t) => signals.has(signalKey(t.name)));
  if (!packageName && !isTold) problems.push(problem('map-unnamed', { found: terminals.length }, { file: options.file }));
  return propose(terminals, [packageName], { problems, table: view }, options);
}

/** A name that is broken over lines in its narrow cell is one name. */
const joinName = (text: string): string => text.replace(/\s*\n\s*/g, '').trim();
