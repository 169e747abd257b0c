import { carriesPower, ok, problem, refuse, type Problem, type Result } from '../../part';
import { checkCompleteness } from '../understand/completeness';
import { readLegend } from '../understand/legend';
import { findPairs } from '../understand/pairs';
import type { Proposal, TableView, Terminal, TextOptions } from '../proposal';
import { findTable, type FoundTable } from '../table/find-table';
import type { Grid } from '../table/grid';
import { packageIn } from '../table/headings';
import { MOST_TERMINALS, readRows } from '../table/rows';
import { cleanText } from './clean';
import { alignedGrid, toGrid } from './layout';

/**
 * Reads a pin table from text: comma, semicolon or tab separated, between bars, or aligned with blanks.
 * Refuses what is no text, is too large, or holds no pin table; what is wrong in single rows is a problem of the proposal.
 */
export function readText(text: string, options: TextOptions = {}): Result<Proposal> {
  const clean = cleanText(text, options.file);
  if (!clean.ok) return clean;
  const { lines, problems } = clean.value;
  // A comma in every description can look like a delimiter: where the cells give no table, the blanks may.
  const found = tableIn(toGrid(lines, problems, options.file)) ?? tableIn(alignedGrid(lines));
  if (!found) return refuse(problem('table-none', {}, { file: options.file }));
  return understand(found.grid, found.table, lines, problems, options);
}

function tableIn(grid: Grid): { grid: Grid; table: FoundTable } | undefined {
  const table = findTable(grid);
  return table && { grid, table };
}

function understand(grid: Grid, table: FoundTable, lines: string[], problems: Problem[], options: TextOptions): Result<Proposal> {
  const columns = table.columns.map((c, i) => ({ ...c, role: options.roles?.[i] ?? c.role }));
  // A person who takes the last name or number column away is told what is missing, and nothing is read into the rest.
  if (!['name', 'number'].every((role) => columns.some((c) => c.role === role)))
    return refuse(problem('table-none', {}, { file: options.file }));
  const around = table.around.map((r) => lines[r.line - 1] ?? r.cells.join(' '));
  const titled = around
    .slice(0, 12)
    .concat(around.slice(-4))
    .map(packageIn)
    .find((p) => p !== undefined && p.name.length > 2);
  const numberColumns = columns.filter((c) => c.role === 'number');
  if (numberColumns.length === 1 && numberColumns[0]!.packageName === '') numberColumns[0]!.packageName = titled?.name ?? '';
  numberColumns.forEach((c, i) => {
    if (numberColumns.length > 1 && c.packageName === '') c.packageName = c.heading || `package ${i + 1}`;
  });
  const taken = new Set<number>();
  const context = { columns, legend: readLegend(around), marks: footnoteMarks(lines), file: options.file, problems };
  const terminals = readRows(table.rows, context, taken);
  if (terminals.length > MOST_TERMINALS) return refuse(problem('table-large', { limit: MOST_TERMINALS }, { file: options.file }));
  if (terminals.length === 0) return refuse(problem('table-none', {}, { file: options.file }));
  const names = [...new Set(numberColumns.map((c) => c.packageName))];
  const packages = names
    .map((name) => ({ name, pinCount: terminals.filter((t) => t.numbers[name] !== undefined).length }))
    .filter((p) => p.pinCount > 0);
  const chosen = choosePackage(
    packages.map((p) => p.name),
    options.package,
  );
  if (chosen === undefined)
    return refuse(
      problem(
        'package-unknown',
        { name: options.package!, known: names.map((n) => n || 'one unnamed package').join(', ') },
        { file: options.file },
      ),
    );
  const proposal: Proposal = {
    packages,
    package: chosen,
    terminals,
    pairs: [],
    problems,
    table: viewOf(table, columns, taken, grid),
  };
  proposal.pairs = pairNumbers(terminals, chosen);
  problems.push(...checkCompleteness(proposal, countDeclared(around)).map((p) => ({ ...p, at: { file: options.file, ...p.at } })));
  return ok(proposal);
}

/** The asked package by its name, written with or without dashes and blanks; the first where none is asked. */
function choosePackage(names: string[], asked: string | undefined): string | undefined {
  if (asked === undefined) return names[0];
  const plain = (s: string) => s.toLowerCase().replace(/[^a-z0-9]/g, '');
  const swapped = (s: string) => plain(s).replace(/^(\d+)([a-z]+)$/, '$2$1');
  const match = names.find((n) => plain(n) === plain(asked) || swapped(n) === swapped(asked));
  // A table that names no package can be any; the name asked for is not contradicted.
  return match ?? (names.length === 1 && names[0] === '' ? '' : undefined);
}

const countDeclared = (around: string[]): number | undefined => {
  const match = /\b(\d{1,4})[- ](?:pin|lead|ball|terminal)s?\b/i.exec(around.slice(0, 12).join('\n'));
  return match ? Number(match[1]) : undefined;
};

/** The marks that footnote lines start with. */
function footnoteMarks(lines: readonly string[]): Set<string> {
  const marks = new Set<string>();
  for (const line of lines) {
    const match = /^[\s"|,;]*(?:\((\d)\)|\[(\d)\]|(\d)\)|(\*))\s*\S/.exec(line) ?? /^\s*notes?:?\s*\(?(\d)[).:]/i.exec(line);
    const mark = match?.slice(1).find((m) => m !== undefined);
    if (mark) marks.add(mark);
  }
  return marks;
}

function pairNumbers(terminals: Terminal[], packageName: string): [string, string][] {
  const number = new Map(terminals.filter((t) => !carriesPower(t.type)).map((t) => [t.name, t.numbers[packageName]]));
  return findPairs([...number.keys()]).flatMap(([p, n]): [string, string][] => {
    const [a, b] = [number.get(p), number.get(n)];
    return a !== undefined && b !== undefined ? [[a, b]] : [];
  });
}

function viewOf(table: FoundTable, columns: TableView['columns'], taken: ReadonlySet<number>, grid: Grid): TableView {
  const rows = table.rows.map((r) => ({ line: r.line, cells: r.cells.map((c) => c.trim()), taken: taken.has(r.line) }));
  const header = grid.rows.find((r) => r.line === table.headerLine);
  return { columns, rows: header ? rows.filter((r) => r.line !== header.line) : rows };
}
