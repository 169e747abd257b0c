import type { GridRow } from './grid';

/** True where each group stands once, in the first of its rows, and the cells below it are empty. */
export function standsOnce(rows: readonly GridRow[], at: number): boolean {
  if (at < 0) return false;
  const cells = rows.map((r) => r.cells[at]?.trim() ?? '');
  const groups = cells.filter((g) => g !== '');
  // One may stand again where the table goes on on the next page, behind rows without a label.
  let last = '';
  const own = cells.filter((g, i) => {
    const goesOn = g === last && cells[i - 1] === '';
    if (g !== '') last = g;
    return g !== '' && !goesOn;
  });
  return groups.length > 1 && groups.length < 0.7 * rows.length && new Set(own).size >= 0.8 * own.length;
}

/** The rest of a group's label that has no room in one line, `port` below `Serial`, beside the next row. */
const REST = /^[a-z][a-z ]*$/;

/** Rows with such labels put together in the first row of their group. */
export function withWholeGroups(rows: readonly GridRow[], at: number): readonly GridRow[] {
  const cellOf = (row: GridRow | undefined) => row?.cells[at]?.trim() ?? '';
  const isRest = (i: number) => REST.test(cellOf(rows[i])) && /^[A-Z][A-Za-z]+/.test(cellOf(rows[i - 1]));
  if (!rows.some((_, i) => isRest(i))) return rows;
  const put = (row: GridRow, text: string) => ({ ...row, cells: row.cells.map((c, k) => (k === at ? text : c)) });
  return rows.map((row, i) => {
    if (isRest(i)) return put(row, '');
    return isRest(i + 1) ? put(row, `${cellOf(row)} ${cellOf(rows[i + 1])}`) : row;
  });
}
