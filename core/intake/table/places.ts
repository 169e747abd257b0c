import type { Origin } from '../../part';
import type { Column } from '../proposal';
import { tenths, unite, type Box } from './box';
import type { GridRow } from './grid';

/** A problem's place: a line where the source has lines, or else its page, or its cell. */
export const whereOf = (row: GridRow): { line?: number; page?: number; cell?: string } => {
  const ref = row.place?.refs?.find((r) => r !== undefined);
  if (row.place?.page !== undefined) return { page: row.place.page };
  return ref === undefined ? { line: row.line } : { cell: ref };
};

const FIELDS = ['number', 'name', 'type', 'description', 'group'] as const;

/** Where the terminals of an entry stand: that of its first row, with the cells of those that go on with it. */
export function originOf(rows: readonly GridRow[], line: number, columns: readonly Column[], packages: readonly string[]): Origin {
  const [first, ...more] = rows;
  if (!first?.place) return { line };
  const at: Partial<Record<(typeof FIELDS)[number], number>> = {};
  for (const field of FIELDS) {
    const isOwn = (c: Column) => c.role === field && (field !== 'number' || packages.includes(c.packageName));
    const index = columns.findIndex(isOwn);
    if (index >= 0) at[field] = index;
  }
  return placeOf(first, at, more);
}

/** The origin of a row's terminals: its line, or its page and boxes, or its sheet and cells; `at` gives the columns. */
export function placeOf(row: GridRow, at: Partial<Record<(typeof FIELDS)[number], number>>, more: readonly GridRow[] = []): Origin {
  const { place } = row;
  if (!place) return { line: row.line };
  const parts = Object.entries(at);
  if (place.refs) {
    const cells = Object.fromEntries(parts.flatMap(([field, i]) => (place.refs![i] ? [[field, place.refs![i]!]] : [])));
    const cell = cells['name'] ?? cells['number'];
    return {
      ...(place.sheet ? { sheet: place.sheet } : {}),
      ...(cell ? { cell } : {}),
      ...(Object.keys(cells).length > 0 ? { cells } : {}),
    };
  }
  const boxOf = (i: number) =>
    unite([row, ...more].flatMap((r): Box[] => (r.place?.page === place.page && r.place?.boxes?.[i] ? [r.place.boxes[i]] : [])));
  const cells = Object.fromEntries(parts.flatMap(([field, i]) => (boxOf(i) ? [[field, tenths(boxOf(i)!)]] : [])));
  const box = unite(Object.values(cells));
  return { page: place.page!, ...(box ? { box: tenths(box) } : {}), ...(Object.keys(cells).length > 1 ? { cells } : {}) };
}
