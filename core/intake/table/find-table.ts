import type { Column, ColumnRole } from '../proposal';
import { fitToColumns, splitWords } from '../text/aligned';
import { isTypeCode, isTypePhrase, typeInOneLine } from '../understand/type-codes';
import { filled, isBlank, mapCells, type Grid, type GridRow } from './grid';
import { headingWorth, headsOtherTable, isOfPackage, packageIn, packageOfHeading, roleOfHeading } from './headings';
import { looksLikeNumbers, readCountedCell, readNumberCell } from './numbers';

export interface FoundTable {
  columns: Column[];
  /** Body rows under the columns; headings of groups and continuation rows are still in it. */
  rows: GridRow[];
  /** Rows that stand outside: titles, legends, footnotes. */
  around: GridRow[];
  headerLine: number | undefined;
}

interface Header {
  at: number;
  /** How many rows the heading has. */
  depth: number;
  cells: string[];
  starts?: number[];
  /** Aligned columns one space apart. */
  tight?: boolean;
}

/** Finds the pin table among titles, decoy tables, legends and footnotes, and says what each column is. */
export function findTable(grid: Grid): FoundTable | undefined {
  const headers = findHeaders(grid);
  const candidates = headers.map((header, i) => under(grid, header, headers[i + 1]?.at));
  const scored = candidates.map((t) => ({ t, score: scoreOf(t) })).sort((a, b) => b.score - a.score);
  const best = scored[0];
  if (best && best.score > 0) {
    // A header that is repeated on each page continues the same table.
    const key = keyOf(best.t);
    const same = candidates.filter((t) => keyOf(t) === key || goesOnInOtherOrder(best.t, t));
    const rows = same.length === 1 ? best.t.rows : same.flatMap((t) => rowsInOrderOf(best.t, t));
    const taken = new Set<number>();
    for (const row of rows) taken.add(row.line);
    for (const h of headers.filter((_, i) => same.includes(candidates[i]!)))
      for (const row of grid.rows.slice(h.at, h.at + h.depth)) taken.add(row.line);
    return { ...best.t, rows, around: grid.rows.filter((r) => !taken.has(r.line)) };
  }
  return withoutHeader(grid);
}

const keyOf = (t: FoundTable): string => t.columns.map((c) => c.heading.toLowerCase().replace(/\s+/g, ' ')).join('|');

/** A second list, of the supplies say, whose columns stand in another order; one of the same terminals again is none. */
function goesOnInOtherOrder(best: FoundTable, other: FoundTable): boolean {
  if (scoreOf(other) === 0 || other.columns.length !== best.columns.length || !orderOf(best, other)) return false;
  const at = best.columns.findIndex((c) => c.role === 'number');
  const known = new Set(best.rows.map((r) => r.cells[at]?.trim()));
  return rowsInOrderOf(best, other).every((r) => r.cells[at]?.trim() === '' || !known.has(r.cells[at]?.trim()));
}

/** Where each column of the best table stands in the other, by its role and package; undefined where they are others. */
function orderOf(best: FoundTable, other: FoundTable): number[] | undefined {
  const nameOf = (c: Column) => (c.role === 'ignore' ? c.heading.toLowerCase() : `${c.role} ${c.packageName}`);
  const order = best.columns.map((c) => other.columns.findIndex((o) => nameOf(o) === nameOf(c)));
  return order.includes(-1) || new Set(order).size < order.length ? undefined : order;
}

function rowsInOrderOf(best: FoundTable, other: FoundTable): GridRow[] {
  const order = other === best || keyOf(other) === keyOf(best) ? undefined : orderOf(best, other);
  return order ? other.rows.map((r) => mapCells(r, (of) => order.map((i) => of[i]!))) : other.rows;
}

function findHeaders(grid: Grid): Header[] {
  const headers: Header[] = [];
  for (let i = 0; i < grid.rows.length; i++) {
    const header = headerAt(grid, i);
    if (!header) continue;
    headers.push(header);
    i += header.depth - 1;
  }
  return headers;
}

/** A cell of figures alone stands in no heading. */
const FIGURES = /^\d+$/;

function headerAt(grid: Grid, at: number): Header | undefined {
  const row = grid.rows[at]!;
  if (row.cells.some((c) => FIGURES.test(c))) return undefined;
  const single = asHeader(grid, row, at);
  const next = grid.rows[at + 1];
  if (next && isHeadingRow(row) && !isBlank(next)) {
    const joined = joinHeads(grid, row, next);
    // A title over a heading that is whole by itself is none of it.
    const below = asHeader(grid, next, at + 1);
    if (joined && below && headingWorth(below.cells) >= headingWorth(joined.cells)) return single;
    if (joined && headingWorth(joined.cells) > (single ? headingWorth(single.cells) : 0) && !next.cells.some((c) => looksLikeNumbers(c)))
      return { ...joined, at, depth: 2 };
  }
  return single;
}

/** The upper of two heading rows is headings only: short, and at least one that says something of a column. */
const isHeadingRow = (row: GridRow): boolean =>
  filled(row).length > 0 &&
  filled(row).every((c) => c.length <= 24 && !looksLikeNumbers(c)) &&
  filled(row).some((c) => roleOfHeading(c) !== undefined || packageIn(c)?.name === c);

function asHeader(grid: Grid, row: GridRow, at: number): Header | undefined {
  if (headingWorth(row.cells) >= 2) return { at, depth: 1, cells: row.cells, ...(row.starts ? { starts: row.starts } : {}) };
  if (grid.layout !== 'aligned' || row.cells.length > 2) return undefined;
  const words = row.cells.join(' ').split(/\s+/);
  if (words.length >= 2 && words.length <= 6 && headingWorth(words) === words.length) return { at, depth: 1, cells: words, tight: true };
  return undefined;
}

/** Joins two heading rows: `Pin` over `No.`, or one wide heading over several packages. */
function joinHeads(grid: Grid, upper: GridRow, lower: GridRow): Omit<Header, 'at' | 'depth'> | undefined {
  const wide = grid.layout === 'aligned' && upper.starts && lower.starts;
  if (!wide) {
    const count = Math.max(upper.cells.length, lower.cells.length);
    let last = '';
    const cells = Array.from({ length: count }, (_, i) => {
      const top = upper.cells[i]?.trim() ?? '';
      const under = lower.cells[i]?.trim() ?? '';
      last = top || last;
      // A merged heading stands in its first cell only; the empty ones beside it belong to it when they have a package under them.
      if (under === '' || under === top) return top;
      if (packageIn(under)) return under;
      const isSpanned = top === '' && roleOfHeading(last) === 'number' && roleOfHeading(under) === undefined;
      return `${isSpanned ? last : top} ${under}`.trim();
    });
    return { cells };
  }
  const [base, other] = lower.cells.length >= upper.cells.length ? [lower, upper] : [upper, lower];
  const cells = base.cells.map((c) => c);
  const starts = [...base.starts!];
  other.cells.forEach((cell, i) => {
    const start = other.starts![i]!;
    const near = starts.findIndex((s) => Math.abs(s - start) <= 3);
    if (near >= 0) {
      if (!packageIn(cells[near]!)) cells[near] = other === upper ? `${cell} ${cells[near]}` : `${cells[near]} ${cell}`;
    } else if (roleOfHeading(cell) !== 'number' && roleOfHeading(cell) !== 'ambiguous') {
      const at = starts.findIndex((s) => s > start);
      cells.splice(at < 0 ? cells.length : at, 0, cell);
      starts.splice(at < 0 ? starts.length : at, 0, start);
    }
  });
  return { cells, starts };
}

/** The rows under a header, up to the next header or to where the table is clearly over. */
function under(grid: Grid, header: Header, until = grid.rows.length): FoundTable {
  const first = header.at + header.depth;
  const rows: GridRow[] = [];
  let blanks = 0;
  for (const [i, row] of grid.rows.slice(first, until).entries()) {
    if (isBlank(row)) {
      blanks++;
      continue;
    }
    const fitted = fit(grid, header, row);
    if (blanks > 0 && rows.length > 0 && !continues(fitted, header.cells.length, nextFilled(grid, first + i + 1))) break;
    blanks = 0;
    rows.push(fitted);
  }
  // What stands around it is told when all parts of the table are together.
  return { columns: rolesOf(header.cells, rows), rows, around: [], headerLine: grid.rows[header.at]!.line };
}

/** After a blank line a table goes on only with a row that has a number in it, or with a heading over such a row. */
function continues(row: GridRow, columns: number, below: GridRow | undefined): boolean {
  const hasNumber = (r: GridRow) => r.cells.some((c) => looksLikeNumbers(c));
  if (hasNumber(row) || (filled(row).length > 1 && row.cells.includes('EP'))) return true;
  // An exposed pad without a number, or a row that is as full as the others.
  if (filled(row).length > 2 && filled(row).some((c) => /^(exposed|thermal|power|die)[\s-]*(pad|paddle)/i.test(c))) return true;
  const [only, ...others] = filled(row);
  const isHeading = only !== undefined && others.length === 0 && columns > 1 && only.length < 50 && !/[.;]$|=/.test(only);
  return isHeading && below !== undefined && hasNumber(below);
}

const nextFilled = (grid: Grid, from: number): GridRow | undefined => grid.rows.slice(from, from + 4).find((r) => !isBlank(r));

function fit(grid: Grid, header: Header, row: GridRow): GridRow {
  // Cells of sheets, pages and delimited text are whole already.
  const isTrim = grid.layout !== 'aligned' && grid.layout !== 'cells';
  const isWhole =
    row.starts === undefined && row.cells.length === header.cells.length && (isTrim || row.cells.every((c) => c === c.trim()));
  if (isWhole && !header.tight) return row;
  if (header.tight) {
    const cells = row.cells.length >= header.cells.length ? row.cells : splitWords(row.cells.join(' '), header.cells.length);
    return { ...row, cells: pad(cells, header.cells.length) };
  }
  if (grid.layout !== 'aligned' || !header.starts) return { ...row, cells: pad(row.cells, header.cells.length) };
  return { ...row, cells: fitToColumns(row, header.starts) };
}

/** Cells under the columns; what stands beyond the last column is joined to it, never dropped. */
function pad(cells: readonly string[], count: number): string[] {
  const out = Array.from({ length: count }, (_, i) => cells[i]?.trim() ?? '');
  const rest = cells.slice(count).filter((c) => c.trim() !== '');
  if (rest.length > 0) out[count - 1] = [out[count - 1], ...rest].filter((c) => c !== '').join(', ');
  return out;
}

/** What a column holds shows in so many of its rows. */
const ENOUGH_ROWS = 120;

/** Some rows of a long table, evenly over all of it. */
const spread = (rows: GridRow[]): GridRow[] => {
  const step = Math.ceil(rows.length / ENOUGH_ROWS);
  return step < 2 ? rows : rows.filter((_, i) => i % step === 0);
};

/** True where more than one cell is filled. */
function hasTwo(row: GridRow): boolean {
  let count = 0;
  for (const cell of row.cells) if (cell.trim() !== '' && ++count > 1) return true;
  return false;
}

/** `Mode 1`, `I2C`: a column for terminals as they are called there. */
const OF_MODE = /\bmode\b|^(spi|i2c|i²c|uart|serial|parallel)\b/i;

/** A name as circuits have it, with nothing in small letters. */
const isCapitals = (text: string): boolean => /^[A-Z0-9_+\-−–/#~*.[\]]+$/.test(text) && /[A-Z]/.test(text);

/** True where a column holds 1, 2, 3 in its rows. */
const countsRows = (rows: readonly GridRow[], i: number): boolean =>
  rows.length > 2 && rows.every((r, k) => r.cells[i]?.trim() === String(k + 1));

/** Settles what each column is: headings first, then the cells where a heading is ambiguous or silent. */
export function rolesOf(headings: readonly string[], rows: readonly GridRow[]): Column[] {
  const roles = headings.map((h) => roleOfHeading(h) ?? (isOfPackage(h) ? 'number' : undefined));
  let known: GridRow[] | undefined;
  const share = (i: number, test: (cell: string) => boolean) => {
    // Headings of groups stand alone in their row and say nothing of the column that they begin in.
    const body = (known ??= spread(rows.filter(hasTwo)));
    const cells = body.map((r) => r.cells[i]?.trim() ?? '').filter((c) => c !== '');
    return cells.length === 0 ? 0 : cells.filter(test).length / cells.length;
  };
  const isNumbers = (i: number) => share(i, (c) => readNumberCell(c).kind !== 'unread') >= 0.7 && share(i, looksLikeNumbers) >= 0.3;
  const settled: (ColumnRole | undefined)[] = roles.map((role, i) => {
    // `U7` in every row is the part on its board.
    if (role === 'number' && rows.length > 2 && roles.includes('ambiguous') && share(i, (c) => c === rows[0]!.cells[i]?.trim()) === 1)
      return 'ignore';
    if (role !== 'ambiguous') return role;
    if (isNumbers(i)) return 'number';
    return undefined;
  });
  // A count of the rows before the balls is no package's number.
  const numbered = settled.flatMap((role, i) => (role === 'number' ? [i] : []));
  for (const i of numbered) {
    const isCount = /^(#|no\.?|nr\.?|item|index|序号)$/i.test(headings[i]!.trim()) && countsRows(rows, i);
    if (isCount && numbered.some((other) => other !== i && !countsRows(rows, other))) settled[i] = 'ignore';
  }
  const has = (role: ColumnRole) => settled.includes(role);
  settled.forEach((role, i) => {
    if (role === undefined && roles[i] === 'ambiguous') settled[i] = has('name') ? 'description' : 'name';
  });
  // `Mode 0 | Mode 1 | Description`: names in capitals are names, whatever is written over them.
  if (!has('name') && has('number')) {
    const names = headings.findIndex(
      (_, i) =>
        roles[i] === undefined && settled[i] === undefined && !isNumbers(i) && share(i, isCapitals) >= 0.8 && share(i, isTypeCode) < 0.5,
    );
    if (names >= 0 && settled.includes('description')) settled[names] = 'name';
  }
  // The same terminals in another mode have other names.
  if (has('name') && !has('alternates')) {
    const other = headings.findIndex(
      (h, i) => settled[i] === undefined && OF_MODE.test(h) && share(i, isCapitals) >= 0.7 && share(i, isTypeCode) < 0.5,
    );
    if (other >= 0) settled[other] = 'alternates';
  }
  // Functions that each stand once for several rows are groups of terminals.
  settled.forEach((role, i) => {
    if (role !== 'description' || has('group') || rows.length < 5 || rows.filter((r) => r.same?.[i]).length < 0.5 * rows.length) return;
    if (share(i, (c) => c.length <= 24 && c.split(/\s+/).length <= 3) === 1) settled[i] = 'group';
  });
  // `Pin | Function | Description`: where nothing is called a name, the function is one.
  if (!has('name')) {
    const functions = settled.map((r, i) => (r === 'description' ? i : -1)).filter((i) => i >= 0);
    const type = settled.indexOf('type');
    if (functions.length > 1) settled[functions[0]!] = 'name';
    else if (type >= 0 && !rows.slice(0, 20).some((r) => isTypeCode(r.cells[type] ?? ''))) settled[type] = 'name';
    else if (functions.length === 1 && share(functions[0]!, (c) => !/\s/.test(c)) > 0.5) settled[functions[0]!] = 'name';
  }
  // Whatever is written over it, the column of single words that are no numbers beside numbers is the name.
  if (!has('name') && has('number')) {
    const names = headings.findIndex(
      (_, i) =>
        settled[i] === undefined &&
        !isNumbers(i) &&
        share(i, (c) => /^\S*[A-Za-z]\S*$/.test(c)) >= 0.8 &&
        share(i, isTypeCode) < 0.5 &&
        new Set(rows.map((r) => r.cells[i])).size > 0.4 * rows.length,
    );
    if (names >= 0) settled[names] = 'name';
  }
  // A `Buffer type` beside a column of codes that is called something else: the codes are the type.
  const typeAt = settled.indexOf('type');
  const areCodes = (c: string) => c.split('\n').every((line) => isTypeCode(line) && /[A-Z]/i.test(line) && !/^n\.?\/?a\.?$/i.test(line));
  if (typeAt >= 0) {
    const own = share(typeAt, areCodes);
    const codes = headings.findIndex(
      (_, i) =>
        i !== typeAt &&
        ['description', 'ignore', undefined].includes(settled[i]) &&
        share(i, areCodes) >= 0.8 &&
        share(i, areCodes) > 1.5 * own,
    );
    if (codes >= 0) [settled[typeAt], settled[codes]] = ['ignore', 'type'];
  }
  // `Function | Description`, where the functions are a few kinds of terminals: they are the type.
  if (!has('type') && settled.filter((r) => r === 'description').length > 1) {
    const isKinds = (i: number) =>
      share(i, (c) => isTypePhrase(typeInOneLine(c))) >= 0.9 &&
      new Set(rows.map((r) => r.cells[i]?.trim().toLowerCase())).size <= Math.max(3, rows.length / 2);
    const kinds = settled.findIndex((r, i) => r === 'description' && isKinds(i));
    if (kinds >= 0) settled[kinds] = 'type';
  }
  // Texts under a heading that nobody knows say what the terminals are all the same.
  if (!has('description')) {
    const texts = settled.findIndex((r, i) => r === undefined && roles[i] === undefined && share(i, (c) => /\S\s+\S+\s+\S/.test(c)) >= 0.6);
    if (texts >= 0) settled[texts] = 'description';
  }
  if (!has('number')) {
    const numbers = headings.findIndex((_, i) => settled[i] === undefined && isNumbers(i));
    if (numbers >= 0) settled[numbers] = 'number';
  }
  // Packages by their maker's code, `D` and `RSE`: columns of numbers that nothing else is said of.
  headings.forEach((h, i) => {
    const code = h.trim().split(/\s+/).pop() ?? '';
    if (settled[i] !== undefined || roles[i] !== undefined || !/^[A-Z]{1,5}\d{0,3}$/.test(code) || !has('number') || !isNumbers(i)) return;
    const cells = rows.map((r) => r.cells[i]?.trim() ?? '').filter((c) => looksLikeNumbers(c));
    if (new Set(cells).size >= 0.9 * cells.length) settled[i] = 'number';
  });
  const names = settled.filter((r) => r === 'name').length;
  let seenName = false;
  return headings.map((heading, i) => {
    let role = settled[i] ?? 'ignore';
    if (role === 'name' && names > 1) {
      // Of two names the second is the function in words, or else another name.
      role = !seenName ? 'name' : share(i, (c) => /\s/.test(c)) > 0.3 ? 'description' : 'alternates';
      seenName = true;
    }
    return { role, heading: heading.trim(), packageName: role === 'number' ? packageOfHeading(heading) : '' };
  });
}

/** How good a pin table this is: rows with both a number and a name. */
export function scoreOf(t: FoundTable): number {
  const numbers = t.columns.map((c, i) => (c.role === 'number' ? i : -1)).filter((i) => i >= 0);
  const name = t.columns.findIndex((c) => c.role === 'name');
  if (numbers.length === 0 || name < 0) return 0;
  const good = t.rows.filter(
    (r) =>
      (r.cells[name] ?? '') !== '' &&
      numbers.some((i) => ['list', 'pad'].includes(readCountedCell(r.cells[i] ?? '').kind) && r.cells[i] !== ''),
  ).length;
  return good * (0.5 + good / Math.max(1, t.rows.length));
}

/** Without headings only a text that is nearly all rows is taken for a table: prose and program text have numbers too. */
const mostly = (body: readonly GridRow[], grid: Grid, share = 0.7): boolean =>
  body.length >= 2 && body.length >= grid.rows.filter((r) => !isBlank(r)).length * share;

/** A block without headings: what the columns hold tells what they are. */
function withoutHeader(grid: Grid): FoundTable | undefined {
  // Headings of limits, registers and orders say that it is no pinout, whatever numbers stand under them.
  const top = grid.rows.filter((r) => !isBlank(r)).slice(0, 3);
  if (top.some((r) => headsOtherTable(filled(r), 1) && !filled(r).some(looksLikeNumbers))) return undefined;
  const counts = grid.rows.filter((r) => filled(r).length > 1).map((r) => r.cells.length);
  const width = Math.max(0, ...counts);
  if (width < 2) return tightWithoutHeader(grid);
  const body = withPadUnder(
    grid,
    grid.rows.filter((r) => r.cells.some((c) => looksLikeNumbers(c)) && filled(r).length > 1),
  );
  if (!mostly(body, grid)) return tightWithoutHeader(grid);
  const rows = body.map((r) => ({ ...r, cells: pad(r.cells, width) }));
  const columns = guessColumns(rows, width);
  if (!columns) return undefined;
  const taken = new Set(rows.map((r) => r.line));
  return { columns, rows, around: grid.rows.filter((r) => !taken.has(r.line)), headerLine: undefined };
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
    grid.rows.filter(
      (r) => wordsOf(r).length > 1 && looksLikeNumbers(wordsOf(r)[at]!) && (/\w/.test(wordsOf(r)[1 - at]!) || wordsOf(r).length === 2),
    );
  // A second word that is a number stands in many texts: there every first word must be a name, and no number come twice.
  const behind = numbered(1).filter((r) => /^[A-Z][A-Z0-9_+/#*-]*$/.test(wordsOf(r)[0]!));
  const isBehind = new Set(behind.map((r) => wordsOf(r)[1])).size === behind.length && mostly(behind, grid, 0.9) && behind.length > 2;
  const body = mostly(numbered(0), grid) ? numbered(0) : isBehind ? behind : [];
  if (!mostly(body, grid)) return undefined;
  const roles = body === behind ? (['name', 'number'] as const) : (['number', 'name'] as const);
  const rows = body.map((r) => ({ line: r.line, cells: pad(splitWords(r.cells.join(' '), 3), 3) }));
  const codes = rows.filter((r) => isTypeCode(r.cells[2]!)).length;
  const columns: Column[] = ([...roles, codes * 2 > rows.length ? 'type' : 'description'] as const).map((role) => ({
    role,
    heading: '',
    packageName: '',
  }));
  const taken = new Set(rows.map((r) => r.line));
  return { columns, rows, around: grid.rows.filter((r) => !taken.has(r.line)), headerLine: undefined };
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
      count: cells.length,
    };
  });
  const number = [...stats].sort((a, b) => b.numbers - a.numbers)[0];
  if (!number || number.numbers < 0.8) return undefined;
  const rest = stats.filter((s) => s !== number && s.count > 0);
  const type = rest.filter((s) => s.codes > 0.7).sort((a, b) => b.codes - a.codes)[0];
  const name = rest.filter((s) => s !== type).sort((a, b) => b.ident - a.ident || a.i - b.i)[0] ?? type;
  if (!name) return undefined;
  const description = rest.filter((s) => s !== type && s !== name).sort((a, b) => b.words - a.words)[0];
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
