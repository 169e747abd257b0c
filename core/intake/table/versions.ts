import type { Column, ColumnRole, Terminal } from '../proposal';
import { cellAt, type GridRow } from './grid';
import { roleOfHeading } from './headings';

/** What stands over the names that terminals have in one version of a part, `B version`, `-A`, `TF1001B`. */
const OF_VERSION = /\b(?:versions?|variants?)\b|(?:^|\()-[A-Z\d]{1,3}\)?$|(?:^|\(|\s)[A-Z]{1,5}\d{3,6}[A-Z\d-]{0,8}\)?$/i;

/** The least share of the rows in which the versions agree: they are one part. */
const SAME = 0.4;

/** A name as tables have it. */
const isName = (cell: string): boolean => /^[+\-−~/]?[A-Za-z][\w+\-−/#.~]{0,23}$/.test(cell);

/** Where the names of the versions of a part stand, of two or more, that have most names in common; else nothing. */
export function versionsIn(headings: readonly string[], rows: readonly GridRow[]): number[] {
  const over = headings.flatMap((h, i) => (OF_VERSION.test(h.trim()) ? [i] : []));
  const [first, ...others] = over.filter((i) => rows.filter((r) => isName(cellAt(r, i))).length >= 0.6 * rows.length);
  const areSame = (i: number) => rows.filter((r) => cellAt(r, i) === cellAt(r, first!)).length;
  const own = others.filter((i) => areSame(i) >= SAME * rows.length && areSame(i) < rows.length);
  return first === undefined || own.length === 0 ? [] : [first, ...own];
}

/** The roles of the columns with the names of versions: the first has the names, the others have other names. */
export function withVersions(versions: readonly number[], roles: readonly ColumnRole[]): ColumnRole[] {
  const isFree =
    versions.every((i) => ['name', 'alternates', 'ignore'].includes(roles[i]!)) &&
    roles.every((r, i) => r !== 'name' || versions.includes(i));
  return roles.map((role, i) => (!isFree || !versions.includes(i) ? role : i === versions[0] ? 'name' : 'alternates'));
}

/** Asks for the name of each terminal that is called otherwise in another version of the part. */
export function doubtVersions(terminals: readonly Terminal[], columns: readonly Column[], rows: readonly GridRow[]): void {
  const headings = columns.map((c) => c.heading);
  const at = versionsIn(headings, rows);
  if (at.length === 0 || columns[at[0]!]!.role !== 'name') return;
  const byLine = new Map(rows.map((r) => [r.line, r]));
  for (const t of terminals) {
    const row = t.row === undefined ? undefined : byLine.get(t.row);
    const names = row ? [...new Set(at.map((i) => cellAt(row, i)).filter((c) => c !== ''))] : [];
    if (!row || names.length < 2) continue;
    const said = at.map((i) => `“${cellAt(row, i)}” under ${headings[i]!}`).join(', ');
    t.doubts = [...t.doubts, { field: 'name', reason: `It is ${said}.`, candidates: names }];
  }
}

/** How long a name of a version is at most. */
const LONGEST = 16;

/** Two rows of headings, the lower of which has nothing but versions of the part under a merged `Pin name`, as one: `Pin name (TF1001B)`. */
export function joinVersions(upper: GridRow, lower: GridRow): string[] | undefined {
  const at = lower.cells.flatMap((c, i) => (c.trim() === '' ? [] : [i]));
  const [first = 0] = at;
  const over = cellAt(upper, first);
  const areUnder = at.every((i, k) => i === first + k && (k === 0 || cellAt(upper, i) === ''));
  if (at.length < 2 || !areUnder || roleOfHeading(over) !== 'name') return undefined;
  const isVersion = (name: string) => name.length <= LONGEST && roleOfHeading(name) === undefined && OF_VERSION.test(name);
  if (!at.every((i) => isVersion(cellAt(lower, i)))) return undefined;
  return upper.cells.map((c, i) => (at.includes(i) ? `${over} (${cellAt(lower, i)})` : c));
}
