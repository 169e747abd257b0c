import { cleanText } from '../../intake';
import { ok, problem, refuse, type Pad, type Problem, type Result } from '../../part';
import { MOST_PADS } from '../limits';
import { cellIn, isRemark, padOf } from './pad';
import { tableIn } from './table';

/** The pads of a list, by the package that its rows name; undefined where it has no column for that. */
export interface PadList {
  package: string | undefined;
  pads: Pad[];
}

/**
 * Reads pads from a list with the columns number, place, size, shape, drill, rotation and package in any order and by any
 * usual name; its cells parted by commas (RFC 4180), semicolons, tabs, bars or blanks. A place is a centre (two columns or
 * one) or edges. Lengths are mm, or as the heading (`x_mil`), a row below it, a line above it (`units: mil`) or the cell
 * (`10mil`) says; quarter turns exchange width and height. Gives mm, y upwards. Refuses a list with any cell that is no
 * length, or a pad turned otherwise; a line that is no pad is left out and said.
 */
export function readPadLists(text: string, file?: string): Result<{ lists: PadList[]; problems: Problem[] }> {
  const clean = cleanText(text, file);
  if (!clean.ok) return clean;
  const problems = [...clean.value.problems];
  const table = tableIn(clean.value.lines, problems, file);
  if (!table) return refuse(problem('input-empty', {}, { file }));
  if ('missing' in table) return refuse(problem('land-column', { what: table.missing }, { file, line: table.line }));
  if (table.rows.length > MOST_PADS) return refuse(problem('table-large', { limit: MOST_PADS }, { file }));
  const wrong: Problem[] = [];
  const lists = new Map<string | undefined, Pad[]>();
  let name: string | undefined;
  for (const { cells, line } of table.rows) {
    const cell = cellIn(cells, table.columns);
    if (isRemark(cell)) {
      problems.push(problem('row-skipped', { text: cells.join(' ').trim(), why: 'it has no place' }, { file, line }));
      continue;
    }
    // Cells of rows that follow can be merged with the first.
    name = cell('package') || name;
    const pads = lists.get(name) ?? [];
    lists.set(name, pads);
    pads.push(padOf(cell, table, { file, line }, wrong));
  }
  if (wrong.length > 0) return refuse(...wrong.slice(0, 20));
  if (lists.size === 0) return refuse(problem('input-empty', {}, { file }));
  if (!table.isUnitNamed) problems.push(...unlikelySizes([...lists.values()].flat(), file));
  return ok({ lists: [...lists].map(([of, pads]) => ({ package: of, pads })), problems });
}

/** All pads of a list, whatever package its rows name. */
export function readPadsCsv(text: string, file?: string): Result<Pad[]> {
  const read = readPadLists(text, file);
  return read.ok ? ok(read.value.lists.flatMap((l) => l.pads)) : read;
}

/** A land whose smallest pad is larger than this is one of mils that nothing says, and one whose pads are all smaller than that of inches. */
const LARGE_MM = 5;
const SMALL_MM = 0.15;

function unlikelySizes(pads: readonly Pad[], file: string | undefined): Problem[] {
  const least = Math.min(...pads.map((p) => Math.min(p.w, p.h)));
  const isUnlikely = least >= LARGE_MM || pads.every((p) => Math.max(p.w, p.h) < SMALL_MM);
  return isUnlikely ? [problem('land-unit', { least }, { file })] : [];
}
