import type { Column } from '../proposal';
import { fitToColumns, splitWords } from '../text/aligned';
import type { FoundTable, Scored } from './found-table';
import { filled, isBlank, mapCells, padded, type Grid, type GridRow } from './grid';
import { groupOfTitle } from './group-titles';
import { headingWorth, isHeading, isOfPackage, isOverNumbers, isRowOfContacts, packageIn, roleOfHeading } from './headings';
import { labelled, looksCounted, looksLikeNumbers, readCountedCell } from './numbers';
import { areNumbersUnder, bothOf, joinAlignedCodes, joinCodes } from './package-codes';
import { rolesOf } from './roles';
import { ballsOfHalves } from './forms/row-and-column';
import { splitNumbers } from './forms/split-names';
import { turned } from './forms/transposed';
import { joinVersions } from './versions';
import { withoutHeader } from './without-header';

interface Header {
  at: number;
  /** How many rows the heading has. */
  depth: number;
  cells: string[];
  starts?: number[];
  /** Aligned columns one space apart. */
  tight?: boolean;
  /** What stands over headings that are alike, `Single` and `Dual` over `Pin` and `Pin`: the packages, or the parts, whose numbers they are. */
  over?: readonly (string | undefined)[];
}

/**
 * Finds the pin tables among titles, decoy tables, legends and footnotes, and says what each column is; the best one first,
 * and none where there is none.
 */
export function findTables(grid: Grid): Scored[] {
  const upright = turned(grid);
  const turnedTables = upright ? findUpright(upright) : [];
  const tables = findUpright(grid);
  if ((turnedTables[0]?.score ?? 0) > (tables[0]?.score ?? 0)) return turnedTables;
  if (tables.length > 0) return tables;
  const table = withoutHeader(grid);
  return table ? [{ table, score: scoreOf(table) }] : [];
}

/** More tables than this of other columns each are no pinout. */
const MOST_TABLES = 24;

/** The tables whose terminals stand under each other, below a heading. */
function findUpright(grid: Grid): Scored[] {
  const headers = findHeaders(grid);
  let open = headers.map((header, i) => {
    const table = under(grid, header, headers[i + 1]?.at);
    return { table, header, score: scoreOf(table) };
  });
  const found: Scored[] = [];
  const taken = new Set<number>();
  while (found.length < MOST_TABLES) {
    const best = open.reduce<(typeof open)[number] | undefined>((a, b) => (b.score > (a?.score ?? 0) ? b : a), undefined);
    if (!best) break;
    // A header that is repeated on each page continues the same table.
    const key = keyOf(best.table);
    const parts = open.map((o) => (keyOf(o.table) === key ? o.table.rows : inOtherOrder(best.table, o)));
    const rows = [
      ...firstTitle(grid, open[parts.findIndex((part) => part !== undefined)]!.header, parts),
      ...parts.flatMap((part) => part ?? []),
    ];
    for (const row of rows) taken.add(row.line);
    for (const { header } of open.filter((_, i) => parts[i] !== undefined))
      for (const row of grid.rows.slice(header.at, header.at + header.depth)) taken.add(row.line);
    const table = { ...best.table, rows };
    found.push({ table, score: rows.length === best.table.rows.length ? best.score : scoreOf(table) });
    open = open.filter((_, i) => parts[i] === undefined);
  }
  const around = grid.rows.filter((r) => !taken.has(r.line));
  return found.map((f) => ({ ...f, table: { ...f.table, around } }));
}

/**
 * Where each part of a table has its heading again under the title of its group, the title of the first part, which stands
 * over the table. Those of the others are the last rows of the part before.
 */
function firstTitle(grid: Grid, { at }: Header, parts: readonly (readonly GridRow[] | undefined)[]): GridRow[] {
  const isTitle = (row: GridRow | undefined) => row !== undefined && filled(row).length === 1 && groupOfTitle(filled(row)[0]) !== undefined;
  const own = parts.filter((part) => part !== undefined && part.length > 0);
  const above = grid.rows.slice(Math.max(0, at - 2), at).findLast((row) => !isBlank(row));
  const areTitled = own.length > 1 && own.slice(0, -1).every((part) => isTitle(part!.at(-1)));
  return areTitled && isTitle(above) ? [{ ...above!, cells: padded(above!.cells, grid.rows[at]!.cells.length) }] : [];
}

/** What tells that two headings are one: a page's number beside them does not. */
export const keyOf = (t: FoundTable): string => JSON.stringify(t.columns.map((c) => c.heading.toLowerCase().replace(/\bpage \d{1,4}\b/, '').replace(/\s+/g, ' '))); // prettier-ignore

/**
 * The rows of a second list, of the supplies say, whose columns stand in another order, in that of the best; undefined where
 * its columns are others, or it has the same terminals again.
 */
function inOtherOrder(best: FoundTable, { table: other, score }: Scored): GridRow[] | undefined {
  const order = score === 0 || other.columns.length !== best.columns.length ? undefined : orderOf(best, other);
  if (!order) return undefined;
  const rows = other.rows.map((r) => mapCells(r, (of) => order.map((i) => of[i]!)));
  const numberOf = (r: GridRow) => r.cells[best.columns.findIndex((c) => c.role === 'number')]?.trim();
  const known = new Set(best.rows.map(numberOf));
  return rows.some((r) => numberOf(r) !== '' && known.has(numberOf(r))) ? undefined : rows;
}

/** Where each column of the best table stands in the other, by its role and package; undefined where they are others. */
function orderOf(best: FoundTable, other: FoundTable): number[] | undefined {
  const nameOf = (c: Column) => (c.role === 'ignore' ? c.heading.toLowerCase() : `${c.role} ${c.packageName}`);
  const order = best.columns.map((c) => other.columns.findIndex((o) => nameOf(o) === nameOf(c)));
  return order.includes(-1) || new Set(order).size < order.length ? undefined : order;
}

function findHeaders(grid: Grid): Header[] {
  const headers: Header[] = [];
  for (let i = 0; i < grid.rows.length; i++) {
    const header = headerAt(grid, i);
    if (!header || (headers.length > 0 && areWords(header, headers[0]!))) continue;
    headers.push(header);
    i += header.depth - 1;
  }
  return headers;
}

/** The rest of a row, `port` under `Serial` and `function.` behind it, in which two words could be headings. */
const areWords = ({ cells }: Header, first: Header): boolean =>
  headingWorth(cells) < headingWorth(first.cells) && cells.every((c) => !/^[^a-z]/.test(c)) && first.cells.some((c) => /^[A-Z]/.test(c));

/** A package's name that its narrow column broke: `SOT-` over `23-5`. */
const unbroken = (row: GridRow): GridRow =>
  row.cells.some((c) => BROKEN.test(c)) ? { ...row, cells: row.cells.map((c) => c.replace(BROKEN, '-')) } : row;
const BROKEN = /(?<=[A-Z\d])(?:-\n|\n-)(?=\d)/;

/** A cell of figures alone stands in no heading. */
const FIGURES = /^\d+[.)]?$/;

function headerAt(grid: Grid, at: number): Header | undefined {
  const header = headingAt(grid, at);
  return header && withNamesOver(grid.rows[at - 1], withCount(grid, byRows(grid, header)));
}

/** `No. Terminal`, two headings one blank apart over cells that stand further apart: each has its own column. */
function byRows(grid: Grid, header: Header): Header {
  const { cells, starts } = header;
  if (grid.layout !== 'aligned' || !starts || header.tight || !cells.some((c) => c.includes(' '))) return header;
  const rows = grid.rows.slice(header.at + header.depth, header.at + header.depth + 8).filter((r) => filled(r).length > 1);
  const parts = cells.flatMap((cell, i) => {
    const at = [...cell.matchAll(/ /g)]
      .map((m) => m.index + 1)
      .find((k) => {
        const isBoth = roleOfHeading(cell.slice(0, k - 1)) !== undefined && roleOfHeading(cell.slice(k)) !== undefined;
        return isBoth && rows.length > 1 && rows.every((r) => r.starts?.includes(starts[i]! + k) && r.starts.includes(starts[i]!));
      });
    const whole = [{ cell, start: starts[i]! }];
    return at === undefined
      ? whole
      : [
          { cell: cell.slice(0, at - 1), start: starts[i]! },
          { cell: cell.slice(at), start: starts[i]! + at },
        ];
  });
  return { ...header, cells: parts.map((p) => p.cell), starts: parts.map((p) => p.start) };
}

/** With what stands over each of the headings that are alike, in their order and over nothing else. */
function withNamesOver(above: GridRow | undefined, header: Header): Header {
  const { cells } = header;
  if (!above || isBlank(above) || !areAlike(cells)) return header;
  const names = above.cells.filter((text) => text.trim() !== '');
  const isOver = (i: number) => header.starts !== undefined || (above.cells[i]?.trim() ?? '') !== '';
  const at = cells.flatMap((c, i) => (isOverNumbers(c) && isOver(i) ? [i] : []));
  if (names.length !== at.length || new Set(names).size < names.length || names.some((n) => n.length > 24)) return header;
  return { ...header, over: cells.map((_, i) => names[at.indexOf(i)]?.trim()) };
}

/** Under `Row A` and `Row B` alone the numbers of the contacts have no heading: those that stand left of both have a column of their own. */
function withCount(grid: Grid, header: Header): Header {
  const [first] = header.starts ?? [];
  if (grid.layout !== 'aligned' || first === undefined || !header.cells.every(isRowOfContacts)) return header;
  const rows = grid.rows.slice(header.at + header.depth, header.at + header.depth + 4).filter((r) => !isBlank(r));
  const isLeft = ({ starts = [], cells }: GridRow) => starts[0]! < first - 1 && /^\d{1,3}$/.test(cells[0] ?? '');
  return rows.length > 1 && rows.every(isLeft) ? { ...header, cells: ['', ...header.cells], starts: [rows[0]!.starts![0]!, ...header.starts!] } : header; // prettier-ignore
}

function headingAt(grid: Grid, at: number): Header | undefined {
  const given = grid.rows[at]!;
  if (given.cells.some((c) => FIGURES.test(c))) return undefined;
  const row = unbroken(given);
  const next = grid.rows[at + 1];
  const coded = next && ofCodes(grid, row, unbroken(next), at);
  if (coded) return coded;
  const single = asHeader(grid, row, at);
  if (single) {
    const hints = grid.rows.slice(at + 1, at + 3).findIndex(areHints);
    if (hints >= 0) return { ...single, depth: hints + 2 };
  }
  if (next && isHeadingRow(row) && !isBlank(next)) {
    const joined = joinHeads(grid, row, next);
    // A title over a heading that is whole by itself is none of it.
    const below = asHeader(grid, next, at + 1);
    if (joined && below && headingWorth(below.cells) >= headingWorth(joined.cells)) return single;
    const isBetter = joined && headingWorth(joined.cells) > (single ? headingWorth(single.cells) : 0);
    // `DIP` and `SOP` under two that are alike.
    const arePackages = joined && filled(next).length > 1 && filled(next).every(isOfPackage) && areAlike(row.cells);
    if (joined && (isBetter || arePackages) && !next.cells.some(isNumber)) return { ...joined, at, depth: 2 };
  }
  return single;
}

/** A heading of two rows or three, the lowest of which has the codes of packages over their numbers. */
function ofCodes(grid: Grid, row: GridRow, next: GridRow, at: number): Header | undefined {
  const below = grid.rows.slice(at + 2, at + 26);
  if (grid.layout !== 'aligned') {
    const asOne = (cells: string[] | undefined, depth: number) => (cells && headingWorth(cells) > 0 ? { at, depth, cells } : undefined);
    const third = isHeadingRow(row) && isHeadingRow(next) ? below[0] : undefined;
    return (
      asOne(joinCodes(row, next, below), 2) ??
      asOne(joinVersions(row, next), 2) ??
      (third && asOne(joinCodes({ ...row, cells: bothOf(row, next) }, third, below.slice(1)), 3))
    );
  }
  const joined = joinAlignedCodes(row, next);
  if (!joined || headingWorth(joined.cells) === 0) return undefined;
  const rows = below.filter((r) => filled(r).length > 1).map((r) => fitToColumns(r, joined.starts));
  const areNumbers = areNumbersUnder(joined.cells.flatMap((c, i) => (row.cells.includes(c) ? [] : [rows.map((r) => r[i] ?? '')])));
  return areNumbers ? { at, depth: 2, ...joined } : undefined;
}

/** `Pin | Pin | Name`: two headings over numbers that are the same. */
const areAlike = (cells: readonly string[]): boolean => {
  const over = cells.filter(isOverNumbers);
  return over.length > 1 && new Set(over.map((c) => c.trim().toLowerCase())).size === 1;
};

/** `(number) | (text)`: what is to be filled in below a heading. */
const areHints = (row: GridRow): boolean =>
  filled(row).length > 1 && filled(row).every((c) => /^\([^()]{1,24}\)$/.test(c) && packageIn(c.slice(1, -1)) === undefined);

/** A number, and no heading that looks like one: `AF1`. */
const isNumber = (cell: string): boolean => looksCounted(cell) && !isHeading(cell);

/** The upper of two heading rows is headings only: short, and at least one that says something of a column. */
const isHeadingRow = (row: GridRow): boolean =>
  filled(row).length > 0 && filled(row).every((c) => c.length <= 24 && !isNumber(c)) && filled(row).some(isHeading);

function asHeader(grid: Grid, row: GridRow, at: number): Header | undefined {
  if (headingWorth(row.cells) >= 2) return { at, depth: 1, cells: row.cells, ...(row.starts ? { starts: row.starts } : {}) };
  if (grid.layout !== 'aligned' || row.cells.length > 2) return undefined;
  const words = row.cells.join(' ').split(/\s+/);
  if (words.length >= 2 && words.length <= 6 && headingWorth(words) === words.length) return { at, depth: 1, cells: words, tight: true };
  return undefined;
}

/**
 * `PIN | I/O` over `NAME | NO. |`, between bars: a heading over several has fewer cells above than there are below, where it stands in
 * the place of those that follow each other; a blank is under each of the others.
 */
function spreadOver(upper: readonly string[], lower: readonly string[]): readonly string[] {
  if (upper.length >= lower.length || upper.some((c) => c.trim() === '')) return upper;
  const begins = lower.map((c, i) => i === 0 || c.trim() === '' || lower[i - 1]!.trim() === '');
  if (begins.filter(Boolean).length !== upper.length) return upper;
  let at = 0;
  return begins.map((isFirst) => (isFirst ? upper[at++]! : ''));
}

/** Joins two heading rows: `Pin` over `No.`, or one wide heading over several packages. */
function joinHeads(grid: Grid, upper: GridRow, lower: GridRow): Omit<Header, 'at' | 'depth'> | undefined {
  const wide = grid.layout === 'aligned' && upper.starts && lower.starts;
  if (!wide) {
    const count = Math.max(upper.cells.length, lower.cells.length);
    const tops = grid.layout === 'pipe' ? spreadOver(upper.cells, lower.cells) : upper.cells;
    let last = '';
    const cells = Array.from({ length: count }, (_, i) => {
      const top = tops[i]?.trim() ?? '';
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
    if (rows.length > 0 && isOtherHeading(row)) break;
    const fitted = fit(grid, header, row);
    const goesOn = () =>
      continues(fitted, header.cells.length, nextFilled(grid, first + i + 1)) || isWithinPages(grid, rows, first + i, until);
    if (blanks > 0 && rows.length > 0 && !goesOn()) break;
    blanks = 0;
    rows.push(fitted);
  }
  // What stands around it is told when all parts of the table are together.
  const whole = ballsOfHalves(header.cells, rows);
  const columns = rolesOf(whole.cells, whole.rows).map((c, i) => {
    const over = header.over?.[i];
    return over !== undefined && c.role === 'number' ? { ...c, heading: `${over} ${c.heading}`, packageName: over } : c;
  });
  return { columns, rows: whole.rows, around: [], headerLine: grid.rows[header.at]!.line };
}

/** Headings of other tables than lists of terminals: ratings, registers, order codes, revisions, legends. */
const OF_OTHERS =
  /^(?:parameters?|conditions?|test conditions?|min\.?|max\.?|typ\.?|units?|order(?:ing)? (?:code|number)|quantity|access|reset(?: value)?|address|rev(?:ision|\.)?|date|changes?|meaning|code)$/i;

/** A row of headings below a table, at least two of them such as no list of terminals has: another table begins. */
function isOtherHeading(row: GridRow): boolean {
  const cells = filled(row);
  return cells.length > 1 && cells.filter((c) => OF_OTHERS.test(c)).length > 1 && cells.every((c) => c.length <= 24 && !isNumber(c));
}

/** After a blank line a table goes on only with a row that has a number in it, or with a heading over such a row. */
function continues(row: GridRow, columns: number, below: GridRow | undefined): boolean {
  const hasNumber = (r: GridRow) => r.cells.some((c) => looksCounted(c));
  if (hasNumber(row) || (filled(row).length > 1 && row.cells.some((c) => c !== '' && readCountedCell(c).kind === 'pad'))) return true;
  // An exposed pad without a number, or a row that is as full as the others.
  if (filled(row).length > 2 && filled(row).some((c) => /^(exposed|thermal|power|die)[\s-]*(pad|paddle)/i.test(c))) return true;
  const [only, ...others] = filled(row);
  const isHeading = only !== undefined && others.length === 0 && columns > 1 && only.length < 50 && !/[.;]$|=/.test(only);
  return isHeading && below !== undefined && hasNumber(below);
}

/**
 * On a page what stands apart can be a line of a tall cell, or the title of a group: full rows that have a number where the
 * rows above have theirs follow soon.
 */
function isWithinPages(grid: Grid, above: readonly GridRow[], from: number, until: number): boolean {
  if (grid.rows[from]?.place?.boxes === undefined || filled(grid.rows[from]).length > 1) return false;
  const isNumbered = (r: GridRow, k: number) => looksLikeNumbers(r.cells[k] ?? '');
  const at = grid.rows[from]!.cells.findIndex((_, k) => above.filter((r) => isNumbered(r, k)).length * 2 > above.length);
  return at >= 0 && grid.rows.slice(from, Math.min(until, from + 5)).some((r) => isNumbered(r, at) && filled(r).length > 2);
}

/** The next row with a text, but for the heading that a page begins with again. */
const nextFilled = (grid: Grid, from: number): GridRow | undefined =>
  grid.rows.slice(from, from + 4).find((r) => !isBlank(r) && !filled(r).every(isHeading));

function fit(grid: Grid, header: Header, row: GridRow): GridRow {
  // Cells of sheets, pages and delimited text are whole already.
  const isTrim = grid.layout !== 'aligned' && grid.layout !== 'cells';
  const isWhole =
    row.starts === undefined && row.cells.length === header.cells.length && (isTrim || row.cells.every((c) => c === c.trim()));
  if (isWhole && !header.tight) return row;
  if (header.tight) {
    const cells = row.cells.length >= header.cells.length ? row.cells : splitWords(row.cells.join(' '), header.cells.length);
    return { ...row, cells: padded(cells, header.cells.length) };
  }
  if (grid.layout !== 'aligned' || !header.starts) return { ...row, cells: padded(row.cells, header.cells.length) };
  return { ...row, cells: fitToColumns(row, header.starts) };
}

/** How good a pin table this is: rows with both a number and a name. */
export function scoreOf(table: FoundTable): number {
  const { columns, rows } = splitNumbers(table);
  const numbers = columns.flatMap((c, i) => (c.role === 'number' ? [i] : []));
  const name = columns.findIndex((c) => c.role === 'name');
  if (numbers.length === 0 || name < 0) return 0;
  const isNumber = (cell: string) => cell !== '' && (['list', 'pad'].includes(readCountedCell(cell).kind) || labelled(cell) !== undefined);
  const good = rows.filter((r) => (r.cells[name] ?? '') !== '' && numbers.some((i) => isNumber(r.cells[i] ?? ''))).length;
  return good * (0.5 + good / Math.max(1, rows.length));
}
