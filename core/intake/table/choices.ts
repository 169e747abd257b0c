import { ok, problem, refuse, type Result } from '../../part';
import type { Proposal, ReadOptions, TableChoice } from '../proposal';
import type { Scored } from './found-table';
import { goesWith, LEAST_SCORE, leftBeside } from './goes-with';
import { keyOf, scoreOf } from './find-table';
import { filled, isBlank, type GridRow } from './grid';
import { asSet, readTables } from './join-tables';
import { withoutElse } from './of-something-else';

/** A table that a person can take or leave. */
export interface Offered extends Scored {
  sheet?: { name: string };
  /** What the source calls it. */
  caption?: string | undefined;
}

/**
 * Reads those of the tables in `found` that a person took, or the best one with those that go with it (`alsoWith`: or for which
 * that says so), and offers all of them. What is left beside the best is a problem where nobody chose.
 */
export function readOffered<T extends Offered>(
  given: readonly T[],
  aroundOf: Parameters<typeof readTables<T>>[1],
  options: ReadOptions,
  alsoWith: (found: T, best: T) => boolean = () => false,
): Result<Proposal> {
  const { file } = options;
  const found = withRolesOfBest(given);
  const titles = found.map((f) => titleOf(f, found));
  const all = withoutElse(found, (f, i) => [titles[i] ?? '', f.sheet?.name ?? ''], options);
  if (all.length === 0) return refuse(problem('table-none', {}, { file }));
  const best = [...all].sort((a, b) => b.score - a.score)[0]!;
  const isOfBest = goesWith(best);
  const chosen = takenOf(all, options, (f) => isOfBest(f) || (f.score >= LEAST_SCORE && alsoWith(f, best)));
  const title = (f: T) => titles[found.indexOf(f)];
  const read = readTables(chosen, aroundOf, options, (f) => all.indexOf(f), title) ?? refuse(problem('table-none', {}, { file }));
  if (!read.ok) return read;
  const problems = [...read.value.problems, ...leftBeside(best, options.tables ? [] : all, chosen, file)];
  return ok({ ...read.value, problems, tables: choicesOf(all, titles, chosen, options) });
}

/**
 * Tables with the headings of a better one have its columns: of a list of one row, `AD11 to AD0`, its cells alone tell too little
 * of what they are.
 */
function withRolesOfBest<T extends Offered>(found: readonly T[]): T[] {
  const best = new Map<string, T>();
  for (const f of found) if (f.score > (best.get(keyOf(f.table))?.score ?? 0)) best.set(keyOf(f.table), f);
  return found.map((f) => {
    const other = best.get(keyOf(f.table));
    if (other === undefined || other === f || f.table.columns.every((c, i) => c.role === other.table.columns[i]!.role)) return f;
    const table = { ...f.table, columns: other.table.columns };
    return { ...f, table, score: scoreOf(table) };
  });
}

/**
 * The tables of a text or of sheets that a person can take or leave, in the order of `all`. A table is called by the line
 * that stands right over its heading, by its sheet where that has no other, or by its headings; its caption goes before these.
 */
function choicesOf<T extends Offered>(
  all: readonly T[],
  titles: readonly (string | undefined)[],
  chosen: readonly T[],
  options: ReadOptions,
): TableChoice[] {
  const first = chosen[0]?.table.columns ?? [];
  return all.map((found, index) => {
    const { columns, rows } = found.table;
    const alone = all.some((f) => f !== found && f.sheet === found.sheet) ? undefined : found.sheet?.name;
    return {
      title: titles[index] ?? alone ?? columns.flatMap((c) => c.heading || []).join(', '),
      ...(found.sheet ? { sheet: found.sheet.name } : {}),
      rows: rows.length,
      taken: chosen.includes(found),
      columns: asSet(options, columns, first, index),
    };
  });
}

/** What a table is called by the source, or by the line over its heading. */
const titleOf = (found: Offered, all: readonly Offered[]): string | undefined =>
  found.caption ??
  captionOf(
    found,
    all.filter((f) => f.sheet === found.sheet),
  );

/** Lines up to this far over a heading are its caption; there may be a blank one between. */
const NEAR = 2;

/** The one text on the next line over a heading that has any, whether it stands alone there or was taken for a last group of the table before. */
function captionOf({ table: { around, headerLine = 0 } }: Scored, beside: readonly Scored[]): string | undefined {
  const isAbove = ({ line }: GridRow) => line < headerLine && line >= headerLine - NEAR;
  const above = [around, ...beside.map((f) => f.table.rows)].flatMap((rows) => rows.filter((row) => isAbove(row) && !isBlank(row)));
  const nearest = above.reduce<GridRow | undefined>((a, b) => (a && a.line > b.line ? a : b), undefined);
  const [only, ...others] = nearest ? filled(nearest) : [];
  return only !== undefined && others.length === 0 && only.length <= 80 ? only.replace(/[:\s]+$/, '') : undefined;
}

/** The tables that a person took, or those that are taken by themselves. */
export const takenOf = <T>(all: readonly T[], { tables }: ReadOptions, byItself: (found: T) => boolean): T[] =>
  all.filter((found, i) => tables?.includes(i) ?? byItself(found));

/** Tables in the order of the source. */
export const inOrder = <T extends Scored>(found: readonly T[]): T[] => [...found].sort((a, b) => lineOf(a) - lineOf(b));

const lineOf = ({ table }: Scored): number => table.headerLine ?? table.rows[0]?.line ?? 0;
