import { ok, problem, type Problem, type Result } from '../../part';
import type { Column, ColumnRole, Proposal, ReadOptions, TableView, Terminal } from '../proposal';
import { settleUndriven } from '../understand/leads';
import type { Box } from './box';
import type { FoundTable } from './found-table';
import { groupByTitles } from './group-titles';
import { propose, understandTable, type Surroundings } from './understand';

/** True for tables with the same columns: what a person says of one holds for the other. */
export const haveSameColumns = (a: readonly Column[], b: readonly Column[]): boolean =>
  a.length === b.length && a.every((c, i) => c.role === b[i]!.role && c.heading.toLowerCase() === b[i]!.heading.toLowerCase());

/** The roles that a person set for a table of those that are read. */
const rolesSet = (
  { roles, tableRoles }: ReadOptions,
  columns: readonly Column[],
  first: readonly Column[],
  index: number,
): ColumnRole[] | undefined => tableRoles?.[index] ?? (haveSameColumns(columns, first) ? roles : undefined);

/** A table's columns with the roles that a person set for them. */
export const asSet = (options: ReadOptions, columns: readonly Column[], first: readonly Column[], index: number): Column[] => {
  const roles = rolesSet(options, columns, first, index);
  return columns.map((c, i) => ({ ...c, role: roles?.[i] ?? c.role }));
};

/**
 * Reads the tables that were chosen and puts them together. What cannot be read is left out where another can; undefined
 * where no table was chosen. `indexOf` is a table's place among all that were found, `titleOf` what stands right over it.
 */
export function readTables<T extends { table: FoundTable }>(
  chosen: readonly T[],
  around: (found: T) => Surroundings,
  options: ReadOptions,
  indexOf: (found: T) => number = () => -1,
  titleOf: (found: T) => string | undefined = () => undefined,
): Result<Proposal> | undefined {
  // With several tables the package that is asked for is chosen when they are together.
  const { package: _asked, ...others } = options;
  const each = chosen.length > 1 ? others : options;
  const read = chosen.map((found) => {
    const roles = rolesSet(options, found.table.columns, chosen[0]!.table.columns, indexOf(found));
    const { roles: _first, ...rest } = each;
    return understandTable(found.table, around(found), [], roles ? { ...rest, roles } : rest);
  });
  const good = read.flatMap((r, i) => (r.ok ? [{ proposal: r.value, title: titleOf(chosen[i]!) }] : []));
  groupByTitles(good);
  const [first, ...rest] = good.map((g) => g.proposal);
  return first ? joinTables(first, rest, options) : read[0];
}

/**
 * Puts the proposals of several tables together. Tables whose numbers are all different are parts of one pinout. Tables
 * of different packages give one pinout with several packages, terminals matched by their names in order. A table that
 * lists the same numbers again is compared, and what differs becomes a doubt that shows both.
 */
export function joinTables(first: Proposal, others: readonly Proposal[], options: ReadOptions): Result<Proposal> {
  let joined = first;
  for (const other of others) {
    const same = other.packages.every((p) => joined.packages.some((q) => q.name === p.name));
    const numbers = new Set(joined.terminals.map((t) => t.numbers[joined.package]));
    const again = other.terminals.filter((t) => numbers.has(t.numbers[other.package]));
    const isOtherPackage = again.length > 0.3 * other.terminals.length || haveSameNames(joined, other);
    if (!same && other.packages.length === 1 && isOtherPackage) joined = withPackage(joined, other);
    else if (again.length <= 0.05 * other.terminals.length)
      joined = {
        ...joined,
        terminals: [...joined.terminals, ...renamed(other, joined)],
        problems: [...joined.problems, ...other.problems],
        table: joinedView(joined, other)!,
      };
    else if (again.length >= 0.8 * Math.min(other.terminals.length, joined.terminals.length)) compare(joined, other);
    else joined = { ...joined, problems: [...joined.problems, leftOut(other, again.length, options)] };
  }
  if (others.length === 0) return ok(first);
  settleUndriven(joined.terminals);
  const names = joined.packages.map((p) => p.name);
  const all = new Set(joined.terminals.flatMap((t) => Object.values(t.numbers)));
  const isSettled = (p: Problem) =>
    ['number-gap', 'rows-first', 'count-package', 'number-twice'].includes(p.code) ||
    (p.code === 'pins-in-words' && all.has(String(p.params['number'])));
  const problems = joined.problems.filter((p) => !isSettled(p));
  for (const t of joined.terminals) t.doubts = t.doubts.filter((d) => !/^Number \S+ stands \d+ times\.$/.test(d.reason));
  return propose(joined.terminals, names, { problems, ...(joined.table ? { table: joined.table } : {}) }, options);
}

/** Neither a part of the pinout nor a second list of it: which of the two is right, a person has to say. */
const leftOut = (table: Proposal, again: number, { file }: ReadOptions): Problem => {
  const { origin } = table.terminals[0]!;
  const known = { table: table.tables?.[0]?.title ?? table.table?.columns.map((c) => c.heading).join(' | ') ?? '', again };
  return problem('table-overlaps', { ...known, terminals: table.terminals.length }, { file, line: origin?.line, page: origin?.page });
};

/** Both tables' rows under one heading: cells go under the column of their role, and what only the second has comes behind. */
function joinedView({ table: a }: Proposal, { table: b }: Proposal): TableView | undefined {
  if (!a || !b) return a;
  const taken = new Set<number>();
  const more: Column[] = [];
  const placeOf = b.columns.map((column) => {
    const same = (c: Column, i: number) => !taken.has(i) && c.role === column.role && c.packageName === column.packageName;
    const at = column.role === 'ignore' ? -1 : [...a.columns, ...more].findIndex(same);
    if (at < 0 && column.role !== 'ignore') more.push({ ...column, elsewhere: true });
    const place = at >= 0 ? at : column.role === 'ignore' ? -1 : a.columns.length + more.length - 1;
    if (place >= 0) taken.add(place);
    return place;
  });
  const width = a.columns.length + more.length;
  const moved = <T>(list: readonly T[], none: T): T[] => {
    const out = Array.from({ length: width }, () => none);
    placeOf.forEach((to, from) => to >= 0 && (out[to] = list[from] ?? none));
    return out;
  };
  const fromB = b.rows.map((row) => ({
    ...row,
    cells: moved(row.cells, ''),
    ...(row.place?.boxes ? { place: { ...row.place, boxes: moved<Box | undefined>(row.place.boxes, undefined) } } : {}),
  }));
  const fromA = more.length === 0 ? a.rows : a.rows.map((row) => ({ ...row, cells: [...row.cells, ...more.map(() => '')] }));
  return { columns: [...a.columns, ...more], rows: [...fromA, ...fromB] };
}

/** Parts of one pinout count in the same package, whatever the part's own caption named. */
function renamed(other: Proposal, joined: Proposal): Terminal[] {
  if (other.packages.length !== 1 || joined.packages.length !== 1) return other.terminals;
  const [from, to] = [other.packages[0]!.name, joined.packages[0]!.name];
  return other.terminals.map((t) => (from === to ? t : { ...t, numbers: { [to]: t.numbers[from]! } }));
}

/** Numbers of a ball grid and of leads have none in common; the names tell that both are one part. */
function haveSameNames({ terminals }: Proposal, other: Proposal): boolean {
  const names = new Set(terminals.map((t) => t.name));
  return other.terminals.filter((t) => names.has(t.name)).length > 0.8 * other.terminals.length;
}

/** The same pinout in one more package: a name's first terminal is its first there, and so on. */
function withPackage(joined: Proposal, other: Proposal): Proposal {
  const waiting = new Map<string, Terminal[]>();
  for (const t of other.terminals) waiting.set(t.name, [...(waiting.get(t.name) ?? []), t]);
  const merged = joined.terminals.map((t) => {
    const [match] = waiting.get(t.name)?.splice(0, 1) ?? [];
    return match ? { ...t, numbers: { ...t.numbers, ...match.numbers } } : t;
  });
  const rest = [...waiting.values()].flat();
  return {
    ...joined,
    packages: [...joined.packages, ...other.packages],
    terminals: [...merged, ...rest],
    problems: [...joined.problems, ...other.problems],
  };
}

/** A second list of the same terminals in one document. */
function compare(joined: Proposal, other: Proposal): void {
  const there = new Map(other.terminals.map((t) => [t.numbers[other.package], t]));
  for (const t of joined.terminals) {
    const twin = there.get(t.numbers[joined.package]);
    if (!twin || twin.name === t.name || t.name.split('/').includes(twin.name) || twin.name.split('/').includes(t.name)) continue;
    if (!t.doubts.some((d) => d.field === 'name'))
      t.doubts.push({ field: 'name', reason: `Another table of the document says “${twin.name}”.`, candidates: [t.name, twin.name] });
  }
}
