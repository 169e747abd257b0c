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

/** The rest of a group's label that has no room in one line, `port` below `Serial`, `2` below `Port`, beside the next row. */
const REST = /^(?:[a-z][a-z ]*(?: I\/Os?)?|\d{1,2}|I\/Os?)$/;
/** `Power and`: more has to follow. */
const OPEN = /(?:[&/,–-]|\b(?:and|or|of|for|to|with))$/;

/** Rows with such labels put together in the first row of their group. */
export function withWholeGroups(rows: readonly GridRow[], at: number): readonly GridRow[] {
  const cells = rows.map((row) => row.cells[at]?.trim() ?? '');
  const isRest: boolean[] = [];
  cells.forEach((own, i) => {
    const before = cells[i - 1] ?? '';
    isRest.push(own !== '' && (isRest[i - 1] || /^[A-Z][A-Za-z]+/.test(before)) && (REST.test(own) || OPEN.test(before)));
  });
  if (!isRest.includes(true)) return rows;
  const whole = [...cells];
  for (let i = cells.length - 1; i > 0; i--) if (isRest[i]) whole[i - 1] += ` ${whole[i]!}`;
  return rows.map((row, i) => {
    const text = isRest[i] ? '' : whole[i]!;
    return text === cells[i] ? row : { ...row, cells: row.cells.with(at, text) };
  });
}
