import { problem, type Problem } from '../../part';
import type { Column, ReadOptions, Terminal } from '../proposal';
import type { FoundTable } from './found-table';
import { looksLikeNumbers } from './numbers';
import { whereOf } from './places';

/** Fewer rows than this can have unlike numbers by chance. */
export const FEW_ROWS = 5;
/** The same of a list without headings, and of terminals in words. */
const FEW_IN_WORDS = 3;
/** So many rows at least are needed to see that two columns are exchanged. */
const MANY_ROWS = 3;

/**
 * What a person has to see of the columns of a table: terminals that were taken for something else or for nothing, names that nothing
 * is made of, and names under the heading of the words. Nothing where a person said what the columns are.
 */
export function columnProblems(
  columns: readonly Column[],
  table: FoundTable,
  terminals: readonly Terminal[],
  options: ReadOptions,
): Problem[] {
  if (options.roles) return [];
  const at = { file: options.file, ...whereOf(table.rows[0]!) };
  const taken = new Set(terminals.flatMap((t) => Object.values(t.numbers)));
  const where = (is: (at: number) => boolean): number[] => columns.flatMap((_, i) => (is(i) ? [i] : []));
  const holdsNumbers = (i: number) => problem('column-numbers', { heading: columns[i]!.heading || `column ${i + 1}` }, at);
  return [
    ...where((i) => isUnreadPackage(columns, i, table)).map(holdsNumbers),
    ...where((i) => isUnreadName(columns[i]!, i, table)).map((i) => problem('column-names', { column: i + 1 }, at)),
    ...where((i) => isUnreadAcross(columns[i]!, i, table, taken)).map(holdsNumbers),
    ...where((i) => isExchanged(columns, i, table)).map((i) => problem('column-exchanged', { heading: columns[i]!.heading }, at)),
  ];
}

/**
 * A column that nothing is said of and that holds unlike terminal numbers in nearly every row is another package's, or
 * the wrong column was taken.
 */
function isUnreadPackage(columns: readonly Column[], i: number, { rows, headerLine }: FoundTable): boolean {
  const { role, heading } = columns[i]!;
  // The places of a die's pads are no numbers of them.
  if (role !== 'ignore' || PLACE.test(heading.trim())) return false;
  const cells = rows.map((r) => r.cells[i]?.trim() ?? '').filter((c) => c !== '');
  const least = headerLine === undefined ? FEW_IN_WORDS : FEW_ROWS;
  if (cells.length < least || cells.length < 0.9 * rows.length || new Set(cells).size < cells.length) return false;
  // A count of the rows themselves says nothing.
  const isCount = cells.every((c, k) => Number(c) === k + 1) && columns.findIndex((c) => c.role === 'number') > i;
  return !isCount && cells.every(looksLikeNumbers);
}

/** `X`, `Y (um)`: where pads are on a die. */
const PLACE = /^[xy](?:[ -]?(?:coord(?:inate)?|pos(?:ition)?|center|centre))?\.?\s*(?:[([][uµμm]?m[\])])?$/i;

/** A terminal's number and a name, with which words begin: `16 OUTA`, `- 8 VCC`. */
const TERMINAL_IN_WORDS = /^[-–—>→|\s]*(\d{1,3}|[A-Z]{1,2}[1-9]\d?)[\s:.=–-]+[A-Z][A-Z0-9_+/#-]+(?:\s|$)/;

/** What stands across from each terminal and was taken for its words, or for nothing: a row of the package that was left out. */
function isUnreadAcross({ role }: Column, i: number, { rows }: FoundTable, taken: ReadonlySet<string>): boolean {
  if (role !== 'ignore' && role !== 'description') return false;
  const found = rows.flatMap((r) => TERMINAL_IN_WORDS.exec(r.cells[i] ?? '')?.[1] ?? []);
  const areMost = found.length >= FEW_IN_WORDS && found.length >= 0.8 * rows.length && new Set(found).size === found.length;
  return areMost && !found.some((n) => taken.has(n));
}

/** Without headings a column of names that nothing is made of can be another row of contacts, or another part. */
function isUnreadName({ role }: Column, i: number, { rows, headerLine }: FoundTable): boolean {
  if (role !== 'ignore' || headerLine !== undefined || rows.length < FEW_ROWS) return false;
  const cells = rows.map((r) => r.cells[i]?.trim() ?? '');
  return cells.every((c) => /^[A-Z0-9_+/#-]{2,}$/.test(c) && /[A-Z]/.test(c)) && new Set(cells).size > 0.6 * cells.length;
}

/** Words under the heading of the names and names under that of the words: the columns are exchanged, or the headings shifted. */
function isExchanged(columns: readonly Column[], words: number, { rows }: FoundTable): boolean {
  const name = columns.findIndex((c) => c.role === 'name');
  if (name < 0 || words !== columns.findIndex((c) => c.role === 'description')) return false;
  const filled = rows.filter((r) => r.cells[name]?.trim() && r.cells[words]?.trim());
  const share = (at: number, like: RegExp) => filled.filter((r) => like.test(r.cells[at]!.trim())).length / filled.length;
  return filled.length >= MANY_ROWS && share(name, /[a-z]{3}/) > 0.6 && share(words, /^[A-Z0-9_+/#-]{2,12}$/) > 0.8;
}
