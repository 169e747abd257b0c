import { carriesPower, ok, problem, refuse, type Problem, type Result } from '../../part';
import type { Column, Proposal, ReadOptions, TableView, Terminal } from '../proposal';
import { checkCompleteness } from '../understand/completeness';
import { readLegend } from '../understand/legend';
import { recogniseInterfaces } from '../understand/interfaces';
import { recogniseLeads } from '../understand/leads';
import { doubtFloating, doubtPlainOutputs } from '../understand/output-enable';
import { doubtOfAnother } from '../understand/others';
import { doubtSecondCode, doubtUnlikeSiblings, suggestBySiblings } from '../understand/siblings';
import { agreeInPairs, findPairs } from '../understand/pairs';
import { recogniseSignals } from '../understand/signals';
import { headingInEnglish } from '../understand/other-languages';
import { suggestByFewWords } from '../understand/terse';
import { doubtContacts, doubtRailOut, doubtUnfed } from '../understand/unsaid';
import { toldInWords } from '../understand/told-in-words';
import { evidenceOfCode } from '../understand/type-codes';
import type { FoundTable } from './found-table';
import { packageNamed } from './headings';
import type { GridRow, RowsInColumns } from './grid';
import { signalKey, withTold, type SignalList } from './signal-list';
import { MOST_TERMINALS, readRows } from './rows';
import { splitChannels, splitContacts } from './forms/split-channels';
import { splitNames, splitNumbers } from './forms/split-names';
import { splitPackages } from './forms/split-packages';
import { readTicks } from './forms/ticks';
import { doubtVersions } from './versions';
import { columnProblems, FEW_ROWS } from './column-problems';

/** What a document says around a table, by what it can tell. */
export interface Surroundings {
  /** Captions and titles, the nearest first: they can name the package. */
  titles: readonly string[];
  /** Lines that can explain type codes. */
  legend: readonly string[];
  /** Lines that can be footnotes. */
  notes: readonly string[];
  /** What lists without numbers say of names, for tables that say nothing themselves; asked only then. */
  signals?: () => SignalList;
}

/** Reads a table that was found to a proposal. Refused where a column or the package that is asked for is not there. */
export function understandTable(table: FoundTable, around: Surroundings, problems: Problem[], options: ReadOptions): Result<Proposal> {
  const columns = table.columns.map((c, i) => ({ ...c, role: options.roles?.[i] ?? c.role }));
  const whole = splitContacts(splitChannels(splitNumbers({ columns, rows: table.rows })));
  // A person who takes the last name or number column away is told what is missing, and nothing is read into the rest.
  if (!['name', 'number'].every((role) => whole.columns.some((c) => c.role === role)))
    return refuse(problem('table-none', {}, { file: options.file }));
  namePackages(whole.columns, around.titles);
  const legend = new Map([...lettersUnder(columns, whole.rows), ...readLegend(around.legend)]);
  if (!options.roles) dropOtherTypes(columns, table, legend);
  const split = withSignals(splitPackages(splitNames(readTicks(whole))), around.signals);
  const taken = new Set<number>();
  const context = {
    columns: split.columns,
    legend,
    marks: footnoteMarks(around.notes),
    file: options.file,
    problems,
    without: new Set(options.without),
    including: new Set(options.including),
    headings: new Set<number>(),
    continued: new Set<number>(),
  };
  const terminals = readRows(split.rows, context, taken);
  if (terminals.length > MOST_TERMINALS) return refuse(problem('table-large', { limit: MOST_TERMINALS }, { file: options.file }));
  if (terminals.length === 0) return refuse(problem('table-none', {}, { file: options.file }));
  problems.push(...columnProblems(columns, table, terminals, options), ...toldInWords(terminals, around.notes, options.file));
  const names = [...new Set(split.columns.filter((c) => c.role === 'number').map((c) => c.packageName))];
  const view = { columns, rows: viewRows(table, taken, context) };
  doubtVersions(terminals, columns, table.rows);
  doubtFloating(terminals);
  doubtUnlikeSiblings(terminals);
  doubtSecondCode(terminals);
  doubtPlainOutputs(terminals, around.titles);
  doubtOfAnother(terminals, around.titles);
  suggestByFewWords(terminals);
  suggestBySiblings(terminals);
  return propose(terminals, names, { problems, declared: countDeclared(around.titles), table: view }, options);
}

/** What the letters are under `E/A` and `E/S`, or beside such a cell, ins and outs in German, French and Spanish. */
function lettersUnder(columns: readonly Column[], rows: readonly GridRow[]): [string, string][] {
  const at = columns.findIndex((c) => c.role === 'type');
  const said = at < 0 ? [] : [columns[at]!.heading, ...new Set(rows.map((r) => r.cells[at] ?? ''))];
  const outs = new Set(said.flatMap((text) => /^\s*E\s*\/\s*([AS])\s*$/i.exec(text)?.[1]?.toUpperCase() ?? []));
  // Under `Beschreibung`, E and A alone as well.
  if (
    outs.size === 0 &&
    said.includes('E') &&
    said.includes('A') &&
    !said.includes('S') &&
    columns.some((c) => headingInEnglish(c.heading) !== undefined)
  )
    outs.add('A');
  const [out] = outs;
  // Beside I and O, E and A are other codes.
  if (out === undefined || outs.size > 1 || said.slice(1).some((text) => /^\s*[IO]\s*$/.test(text))) return [];
  return [['E', 'input'], [out, 'output'], [`E/${out}`, 'input/output']]; // prettier-ignore
}

const MOST_TOLD = 0.6;

/** A table of numbers and names alone, with what a list of the names says of them in columns behind; others as they are. */
function withSignals({ columns, rows }: RowsInColumns, signals: Surroundings['signals']): RowsInColumns {
  const name = columns.findIndex((c) => c.role === 'name');
  if (!signals || name < 0 || columns.some((c) => c.role === 'type' || c.role === 'description')) return { columns, rows };
  const list = signals();
  const told = rows.map((r) => list.get(signalKey(r.cells[name] ?? '')));
  // A few names that are told of somewhere are no list of these.
  if (told.filter((t) => t !== undefined).length < MOST_TOLD * rows.length) return { columns, rows };
  return withTold({ columns, rows }, told, true);
}

/** A column called a type of which hardly a cell says a type, `HR` and `CONFIG` of a bank, tells something else. */
function dropOtherTypes(columns: Column[], table: FoundTable, legend: ReadonlyMap<string, string>): void {
  const at = columns.findIndex((c) => c.role === 'type');
  // What stands under `Direction` tells one, whether it is understood or not.
  if (at < 0 || /\bdir(ection)?\b/i.test(columns[at]!.heading)) return;
  const counts = new Map<string, number>();
  for (const { cells } of table.rows) counts.set(cells[at] ?? '', (counts.get(cells[at] ?? '') ?? 0) + 1);
  let [filled, telling] = [0, 0];
  for (const [cell, count] of counts) {
    if (!/[A-Za-z]/.test(cell) || /^\s*n\.?\/?a\.?\s*$/i.test(cell)) continue;
    filled += count;
    if (evidenceOfCode(cell, legend).length > 0) telling += count;
  }
  if (filled >= FEW_ROWS && telling < 0.1 * filled) columns[at]!.role = 'ignore';
}

interface Understood {
  problems: Problem[];
  /** How many terminals the text around says there are. */
  declared?: number | undefined;
  table?: TableView;
  pairs?: [string, string][];
  title?: string;
}

/** Makes a proposal of terminals: the packages with their counts, the one in view, pairs, and what is incomplete. */
export function propose(terminals: Terminal[], names: readonly string[], known: Understood, options: ReadOptions): Result<Proposal> {
  recogniseLeads(terminals);
  recogniseInterfaces(terminals);
  const pairs = findPairs(terminals.filter((t) => !carriesPower(t.type)));
  agreeInPairs(pairs);
  doubtUnfed(terminals);
  doubtRailOut(terminals);
  doubtContacts(terminals);
  recogniseSignals(terminals, pairs);
  const counts = new Map<string, number>();
  for (const t of terminals) for (const name in t.numbers) counts.set(name, (counts.get(name) ?? 0) + 1);
  const packages = names.flatMap((name) => (counts.has(name) ? [{ name, pinCount: counts.get(name)! }] : []));
  const chosen = choosePackage(
    packages.map((p) => p.name),
    options.package,
  );
  if (chosen === undefined) {
    const all = names.map((n) => n || 'one unnamed package').join(', ');
    return refuse(problem('package-unknown', { name: options.package!, known: all }, { file: options.file }));
  }
  const { problems } = known;
  const proposal: Proposal = {
    packages,
    package: chosen,
    terminals,
    pairs: [],
    problems,
    ...(known.table ? { table: known.table } : {}),
    ...(known.title ? { title: known.title } : {}),
  };
  proposal.pairs = known.pairs ?? pairNumbers(pairs, chosen);
  problems.push(...checkCompleteness(proposal, known.declared).map((p) => ({ ...p, at: { file: options.file, ...p.at } })));
  return ok(proposal);
}

/** A single number column counts in the package that the titles name; of several, each has a name. */
function namePackages(columns: Column[], titles: readonly string[]): void {
  const numbers = columns.filter((c) => c.role === 'number');
  if (numbers.length === 1 && numbers[0]!.packageName === '') numbers[0]!.packageName = packageNamed(titles);
  numbers.forEach((c, i) => {
    if (numbers.length > 1 && c.packageName === '') c.packageName = c.heading.replace(/\s+/g, ' ') || `package ${i + 1}`;
  });
  // Of two that are called the same neither may take the other's place.
  const names = numbers.map((c) => c.packageName);
  const twice = new Set(names.filter((name, i) => names.indexOf(name) < i));
  columns.forEach((c, i) => {
    if (c.role === 'number' && twice.has(c.packageName)) c.packageName = `${c.packageName} (column ${i + 1})`;
  });
}

/** The asked package by its name, written with or without dashes and blanks; the first where none is asked. */
function choosePackage(names: string[], asked: string | undefined): string | undefined {
  if (asked === undefined) return names[0];
  const plain = (s: string) => s.toLowerCase().replace(/[^a-z0-9]/g, '');
  const swapped = (s: string) => plain(s).replace(/^(\d+)(?:pin|ball|lead)?([a-z]+)$/, '$2$1');
  const match = names.find((n) => plain(n) === plain(asked) || swapped(n) === swapped(asked));
  // A table that names no package can be any; the name asked for is not contradicted.
  return match ?? (names.length === 1 && names[0] === '' ? '' : undefined);
}

const countDeclared = (titles: readonly string[]): number | undefined => {
  // `2 Pin description` counts chapters, and `June 2025 Pin 7 renamed` is a date.
  const counted =
    /\b(\d{1,4})[- ](?:pin|lead|ball|terminal)s?\b(?!\s+(?:descr|func|config|list|assign|defin|name|num|map|out|diag)|\s+\d)/i;
  const match = counted.exec(titles.slice(0, 12).join('\n'));
  return match ? Number(match[1]) : undefined;
};

const MAY_BE_NOTE = /^[\s"|,;]*(?:[([*]|\d\)|notes?)/i;

/** The marks that footnote lines start with. */
function footnoteMarks(lines: readonly string[]): Set<string> {
  const marks = new Set<string>();
  for (const line of lines) {
    if (!MAY_BE_NOTE.test(line)) continue;
    const match = /^[\s"|,;]*(?:\((\d)\)|\[(\d)\]|(\d)\)|(\*))\s*\S/.exec(line) ?? /^\s*notes?:?\s*\(?(?:(\d)[).:]|(\*))/i.exec(line);
    const mark = match?.slice(1).find((m) => m !== undefined);
    if (mark) marks.add(mark);
  }
  return marks;
}

function pairNumbers(pairs: readonly [Terminal, Terminal][], packageName: string): [string, string][] {
  return pairs.flatMap(([p, n]): [string, string][] => {
    const [a, b] = [p.numbers[packageName], n.numbers[packageName]];
    return a !== undefined && b !== undefined ? [[a, b]] : [];
  });
}

const viewRows = (
  table: FoundTable,
  taken: ReadonlySet<number>,
  { headings, continued }: { headings: ReadonlySet<number>; continued: ReadonlySet<number> },
): TableView['rows'] =>
  table.rows
    .filter((r) => r.line !== table.headerLine)
    .map((r) => {
      const isTrim = r.cells.every((c) => c === c.trim());
      const row: TableView['rows'][number] = {
        line: r.line,
        cells: isTrim ? r.cells : r.cells.map((c) => c.trim()),
        taken: taken.has(r.line),
      };
      if (headings.has(r.line)) row.heading = true;
      if (continued.has(r.line)) row.goesOn = true;
      if (r.place) row.place = r.place;
      return row;
    });
