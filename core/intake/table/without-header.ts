import type { Column, ColumnRole } from '../proposal';
import { splitWords } from '../text/aligned';
import { isTypeCode } from '../understand/type-codes';
import type { FoundTable } from './found-table';
import { filled, isBlank, mapCells, padded, type Grid, type GridRow } from './grid';
import { headsOtherTable } from './headings';
import { looksLikeNumbers, readNumberCell } from './numbers';

/** Without headings only a text that is nearly all rows is taken for a table: prose and program text have numbers too. */
const mostly = (body: readonly GridRow[], grid: Grid, share = 0.7): boolean =>
  body.length >= 2 && body.length >= grid.rows.filter((r) => !isBlank(r) && !isTitle(grid, r)).length * share;

/** A cell alone in a sheet or a page's table is the title of rows; in a text it may be prose. */
const isTitle = (grid: Grid, row: GridRow): boolean => grid.layout === 'cells' && filled(row).length === 1;

/**
 * Two lists side by side as one below the other: the two rows of a package. Only where their numbers are all from 1 on, so that a
 * figure in a description makes no second list.
 */
function sideBySide(grid: Grid): Grid {
  const halves = grid.rows.map((row) => {
    const at = row.cells.findIndex((c, i) => i > 1 && /^\d{1,3}$/.test(c.trim()));
    const isBoth = at > 0 && /^\d{1,3}$/.test(row.cells[0]!.trim()) && row.cells.length > at + 1;
    return isBoth ? [mapCells(row, (of) => of.slice(0, at)), mapCells(row, (of) => of.slice(at))] : [];
  });
  const rows = [0, 1].flatMap((side) => halves.flatMap((both) => both[side] ?? []));
  const numbers = rows.map((r) => Number(r.cells[0])).sort((a, b) => a - b);
  if (rows.length < 6 || !numbers.every((n, i) => n === i + 1)) return grid;
  return { layout: 'cells', rows: [...grid.rows.filter((_, i) => halves[i]!.length === 0), ...rows] };
}

/** A block without headings: what the columns hold tells what they are. */
export function withoutHeader(given: Grid): FoundTable | undefined {
  const grid = sideBySide(given);
  // Headings of limits, registers and orders say that it is no pinout, whatever numbers stand under them.
  const top = grid.rows.filter((r) => !isBlank(r)).slice(0, 3);
  if (top.some((r) => headsOtherTable(filled(r), 1) && !filled(r).some(looksLikeNumbers))) return undefined;
  const counts = grid.rows.filter((r) => filled(r).length > 1).map((r) => r.cells.length);
  const width = Math.max(0, ...counts);
  if (width < 2) return tightWithoutHeader(grid);
  const cut = grid.layout === 'aligned' ? { ...grid, rows: grid.rows.map((r) => cutRow(r, width)) } : grid;
  const body = withPadUnder(
    cut,
    cut.rows.filter((r) => r.cells.some((c) => looksLikeNumbers(c)) && filled(r).length > 1),
  );
  if (!mostly(body, grid)) return tightWithoutHeader(grid);
  const rows = withOddRows(cut, body).map((r) => ({ ...r, cells: padded(r.cells, width) }));
  const columns = guessColumns(rows, width);
  if (!columns) return undefined;
  const taken = new Set(rows.map((r) => r.line));
  return { columns, rows, around: grid.rows.filter((r) => !taken.has(r.line)), headerLine: undefined };
}

/** The rows with those of several cells among and straight behind them that have no number: they are told, and not lost. */
function withOddRows(grid: Grid, body: readonly GridRow[]): GridRow[] {
  const [first, last] = [grid.rows.indexOf(body[0]!), grid.rows.indexOf(body.at(-1)!)];
  const own = new Set(body);
  return grid.rows.slice(first, last + 2).filter((r, i) => own.has(r) || (i > 0 && filled(r).length > 1));
}

/** `5 VDD PWR` below rows with more blanks between their cells. */
function cutRow(row: GridRow, width: number): GridRow {
  const [only = '', ...others] = filled(row);
  const words = only.trim().split(/\s+/);
  return others.length === 0 && words.length > 1 && words.length <= width && looksLikeNumbers(words[0]!) ? { line: row.line, cells: words } : row; // prettier-ignore
}

/** The exposed pad has no figure in its number; its row comes last. */
function withPadUnder(grid: Grid, body: GridRow[]): GridRow[] {
  const last = body.at(-1);
  const next = last && grid.rows[grid.rows.indexOf(last) + 1];
  const isPad = next && filled(next).length > 1 && next.cells.some((c) => readNumberCell(c).kind === 'pad');
  return isPad ? [...body, next] : body;
}

/** `1 VDD` or `VDD 1`, one blank apart. */
function tightWithoutHeader(grid: Grid): FoundTable | undefined {
  if (grid.layout !== 'aligned') return undefined;
  const wordsOf = (r: GridRow) => r.cells.join(' ').trim().split(/\s+/);
  const numbered = (at: number) =>
    grid.rows.filter((r) => {
      const words = wordsOf(r);
      return words.length > 1 && looksLikeNumbers(words[at]!) && (words.length === 2 || /\w/.test(words[1 - at]!));
    });
  // A second word that is a number stands in many texts: there every first word must be a name, and no number come twice.
  const behind = numbered(1).filter((r) => /^[A-Z][A-Z0-9_+/#*-]*$/.test(wordsOf(r)[0]!) && !/^\d+$/.test(wordsOf(r)[2] ?? ''));
  const isBehind = new Set(behind.map((r) => wordsOf(r)[1])).size === behind.length && mostly(behind, grid, 0.9) && behind.length > 2;
  // Figures behind `R1` are the nodes of a circuit's element.
  const before = numbered(0).filter((r) => /[^\d.,]/.test(wordsOf(r)[1]!));
  const body = mostly(before, grid) ? before : isBehind ? behind : [];
  if (!mostly(body, grid)) return undefined;
  const read = body === behind ? withRest(body, ['name', 'number']) : (withTypes(body) ?? withRest(body, ['number', 'name']));
  const taken = new Set(body.map((r) => r.line));
  return { ...read, around: grid.rows.filter((r) => !taken.has(r.line)), headerLine: undefined };
}

type Read = Pick<FoundTable, 'columns' | 'rows'>;

const ofRoles = (roles: readonly ColumnRole[]): Column[] => roles.map((role) => ({ role, heading: '', packageName: '' }));

/** The words of rows one blank apart in so many columns, the last of which holds the rest. */
const inColumns = (body: readonly GridRow[], width: number): GridRow[] =>
  body.map((r) => ({ line: r.line, cells: padded(splitWords(r.cells.join(' '), width), width) }));

/** Two columns, and what stands behind them: codes of types, or words. */
function withRest(body: readonly GridRow[], roles: readonly ColumnRole[]): Read {
  const rows = inColumns(body, 3);
  const codes = rows.filter((r) => isTypeCode(r.cells[2]!)).length;
  return { rows, columns: ofRoles([...roles, codes * 2 > rows.length ? 'type' : 'description']) };
}

/** `1 I IN+ Non-inverting input`: a few codes of types between the numbers and the names. */
function withTypes(body: readonly GridRow[]): Read | undefined {
  const rows = inColumns(body, 4);
  const codes = rows.map((r) => r.cells[1]!);
  const areCodes = codes.every(isTypeCode) && new Set(codes).size < codes.length && rows.every((r) => /[A-Za-z]/.test(r.cells[2]!));
  return areCodes ? { rows, columns: ofRoles(['number', 'type', 'name', 'description']) } : undefined;
}

function guessColumns(rows: readonly GridRow[], width: number): Column[] | undefined {
  const stats = Array.from({ length: width }, (_, i) => {
    const cells = rows.map((r) => r.cells[i] ?? '').filter((c) => c !== '');
    const rate = (test: (c: string) => boolean) => cells.filter(test).length / Math.max(1, cells.length);
    const unique = new Set(cells).size / Math.max(1, cells.length);
    return {
      i,
      numbers: rate(looksLikeNumbers) * unique,
      codes: rate(isTypeCode),
      words: rate((c) => /\s/.test(c)),
      // A group over several rows stands once for them, or the same in each.
      ident: rate((c) => /^[^\s]{1,24}$/.test(c) && /[A-Z]/i.test(c)) * (cells.length / Math.max(1, rows.length)) * (0.5 + unique / 2),
      capitals: rate((c) => /^[A-Z0-9_+\-/#]{2,}$/.test(c) && /[A-Z]/.test(c)),
      unique,
      count: cells.length,
    };
  });
  const number = [...stats].sort((a, b) => b.numbers - a.numbers)[0];
  if (!number || number.numbers < 0.8) return undefined;
  const rest = stats.filter((s) => s !== number && s.count > 0);
  // IN, OUT and VSS are codes and names: where nothing else could be a name, and no two are alike, they are names.
  const coded = rest.filter((s) => s.codes > 0.7).sort((a, b) => b.codes - a.codes)[0];
  const isOnlyName = coded !== undefined && rows.length > 2 && coded.unique === 1 && !rest.some((s) => s !== coded && s.capitals > 0.5);
  const type = isOnlyName ? undefined : coded;
  const name = rest.filter((s) => s !== type).sort((a, b) => b.ident - a.ident || a.i - b.i)[0] ?? type;
  if (!name) return undefined;
  // More numbers are of another package, and no words.
  const description = rest.filter((s) => s !== type && s !== name && s.numbers < 0.8).sort((a, b) => b.words - a.words)[0];
  // Words before the names that hold over several rows are those of groups.
  const group = rest.find((s) => ![type, name, description].includes(s) && s.i < name.i && s.count < 0.7 * rows.length && s.codes < 0.5);
  const roles = new Map<unknown, ColumnRole>([
    [description, 'description'],
    [type, 'type'],
    [name, 'name'],
    [number, 'number'],
    [group, 'group'],
  ]);
  return stats.map((s) => ({ role: roles.get(s) ?? 'ignore', heading: '', packageName: '' }));
}
