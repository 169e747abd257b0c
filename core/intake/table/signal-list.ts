import type { Column } from '../proposal';
import { filled, mapCells, type Grid, type GridRow, type RowsInColumns } from './grid';
import { roleOfHeading } from './headings';
import { expandNames } from './names';
import { looksLikeNumbers } from './numbers';

/** What a list of signals says of a name: its type code, where it has a column of them, and its words. */
export interface Told {
  code?: string;
  description: string;
}

/** By the name without case and blanks. */
export type SignalList = Map<string, Told>;

export const signalKey = (name: string): string => name.toLowerCase().replace(/\s+/g, '');

/**
 * Reads the lists of signals in grids: rows under a heading with a name and a type or a description, and no column of
 * numbers. Beside a ball map such a list is where the types stand. What stands first of a name counts.
 */
export function readSignalLists(grids: readonly Grid[]): SignalList {
  const into: SignalList = new Map();
  for (const grid of grids) readGrid(grid, into);
  return into;
}

/** Numbers and names with what a list says of the names in columns behind: words, and types where it has codes or they are asked for. */
export function withTold(
  { columns, rows }: RowsInColumns,
  told: readonly (Told | undefined)[],
  hasTypes = told.some((t) => t?.code !== undefined),
): RowsInColumns {
  const column = (role: 'type' | 'description', heading: string): Column => ({ role, heading, packageName: '' });
  const behind = [...(hasTypes ? [column('type', 'Type')] : []), column('description', 'Description')];
  return {
    columns: [...columns, ...behind],
    rows: rows.map((row, i) => ({
      ...mapCells(row, (of) => [...of, ...behind.map(() => undefined as never)]),
      cells: [...row.cells, ...(hasTypes ? [told[i]?.code ?? ''] : []), told[i]?.description ?? ''],
    })),
  };
}

function readGrid(grid: Grid, into: SignalList): void {
  let columns: Columns | undefined;
  for (const row of grid.rows) {
    const heads = headsOf(row);
    if (heads !== undefined) columns = heads === 'other' ? undefined : heads;
    // Cells that stand apart by white only are sure where all of them are there.
    else if (columns && (grid.layout !== 'aligned' || row.cells.length === columns.of)) take(row, columns, into);
  }
}

/** Where the columns stand, -1 for one that is not there, and how many there are. */
interface Columns {
  name: number;
  type: number;
  description: number;
  of: number;
}

function headsOf(row: GridRow): Columns | 'other' | undefined {
  if (filled(row).length < 2 || row.cells.some((c) => c.length > 60 || looksLikeNumbers(c))) return undefined;
  const roles = row.cells.map((c) => roleOfHeading(c));
  const named = roles.indexOf('name');
  const name = named >= 0 ? named : roles.indexOf('ambiguous');
  const type = roles.indexOf('type');
  // `Pin name | Function`: beside a name the function is said in words.
  const saidAt = roles.findIndex((r, i) => r === 'ambiguous' && i !== name && /function/i.test(row.cells[i]!));
  const description = roles.includes('description') ? roles.indexOf('description') : saidAt;
  if (name < 0 || (type < 0 && description < 0)) return undefined;
  return roles.includes('number') ? 'other' : { name, type, description, of: row.cells.length };
}

function take(row: GridRow, columns: Columns, into: SignalList): void {
  const cell = (i: number) => (i < 0 ? '' : (row.cells[i]?.replace(/\s+/g, ' ').trim() ?? ''));
  const name = cell(columns.name);
  if (name === '' || name.length > 60 || (cell(columns.type) === '' && cell(columns.description) === '')) return;
  for (const one of new Set([name, ...expandNames(name, 0)]))
    if (!into.has(signalKey(one)))
      into.set(signalKey(one), { ...(columns.type < 0 ? {} : { code: cell(columns.type) }), description: cell(columns.description) });
}
