import { problem, type Doubt, type Problem } from '../../part';
import type { Column, Terminal } from '../proposal';
import { inferType } from '../understand/infer-type';
import { readActiveLow } from './active-low';
import { filled, type GridRow } from './grid';
import { roleOfHeading, packageIn } from './headings';
import { alternatesIn, cleanName, expandNames, findVectors, listAlternates, type Notes } from './names';
import { readNumberCell, type NumberCell } from './numbers';

export interface Context {
  columns: Column[];
  legend: ReadonlyMap<string, string>;
  marks: ReadonlySet<string>;
  file: string | undefined;
  problems: Problem[];
}

/** A row as read: what each column held, its group, the lines it stands on. */
interface Entry {
  line: number;
  group: string | undefined;
  numbers: { packageName: string; text: string; cell: NumberCell }[];
  name: string;
  type: string | undefined;
  description: string;
  alternates: string;
  rail: string;
  activeLow: string;
}

/** More terminals than any package has; a table with more has a slip in its ranges, and reading on would only cost time. */
export const MOST_TERMINALS = 60_000;

/** Reads the rows of a pin table to terminals. `taken` gets the lines that became terminals. */
export function readRows(rows: readonly GridRow[], context: Context, taken: Set<number>): Terminal[] {
  const entries = gather(rows, context, taken);
  const names = new Set(entries.map((e) => e.name));
  const notes: Notes = { marks: context.marks, vectors: findVectors(entries.map((e) => e.name)) };
  const terminals: Terminal[] = [];
  for (const entry of entries) {
    for (const terminal of terminalsOf(entry, notes, names, context)) terminals.push(terminal);
    if (terminals.length > MOST_TERMINALS) break;
  }
  return terminals;
}

/** First pass: group headings, repeated headers and continuation lines are told apart from rows. */
function gather(rows: readonly GridRow[], context: Context, taken: Set<number>): Entry[] {
  const entries: Entry[] = [];
  let group: string | undefined;
  for (const row of rows) {
    const kind = kindOf(row, context.columns);
    if (kind === 'heading') group = cleanHeading(filled(row)[0]!);
    else if (kind === 'continuation') continueRow(entries.at(-1), row, context);
    else if (kind === 'row') {
      entries.push(entryOf(row, context.columns, group));
      taken.add(row.line);
    } else if (kind === 'odd') skipped(row, 'it has no number that could be read', context);
  }
  return entries;
}

type RowKind = 'row' | 'heading' | 'continuation' | 'note' | 'header' | 'odd';

function kindOf(row: GridRow, columns: readonly Column[]): RowKind {
  const cells = filled(row);
  if (cells.length === 0) return 'note';
  const at = (role: Column['role']) => row.cells[columns.findIndex((c) => c.role === role)]?.trim() ?? '';
  const numberCells = columns.flatMap((c, i) => (c.role === 'number' ? [row.cells[i]?.trim() ?? ''] : []));
  const read = numberCells.map(readNumberCell);
  const numbered = read.some((r, i) => r.kind === 'list' || (r.kind === 'pad' && numberCells[i] !== ''));
  if (cells.length === 1) {
    if (isNote(cells[0]!)) return 'note';
    if (numberCells.length === 1 && numbered && at('name') === '' && !/^(ep|pad|thermal|exposed)/i.test(cells[0]!))
      return /\d/.test(cells[0]!) ? 'odd' : 'heading';
    if (row.starts) return at('description') !== '' && (row.starts[0] ?? 0) > 4 ? 'continuation' : 'heading';
    return at('description') === cells[0] || (at('name') === cells[0] && columns.findIndex((c) => c.role === 'name') > 0)
      ? 'continuation'
      : 'heading';
  }
  if (cells.filter((c) => roleOfHeading(c) !== undefined || packageIn(c)?.name === c).length === cells.length) return 'header';
  if (numbered) return 'row';
  if (at('name') !== '' && /exposed|thermal|paddle|^e-?pad$|^ep$/i.test(at('name'))) return 'row';
  if (isNote(cells[0]!)) return 'note';
  if (numberCells.every((c) => c === '') && at('name') === '' && at('description') !== '') return 'continuation';
  if (
    columns.some((c) => c.role === 'number' && c.packageName !== '') &&
    at('name') !== '' &&
    read.every((r) => r.kind === 'none') &&
    numberCells.some((c) => c !== '')
  )
    return 'note';
  if (numberCells.every((c) => c === '') && at('name') !== '' && at('type') === '' && at('description') === '') return 'continuation';
  return 'odd';
}

/** A footnote or a remark under the table. */
const isNote = (text: string): boolean =>
  /^(\(\d+\)|\[\d+\]|[¹²³⁰-⁹†‡§*]+\s?\w|\d\)\s|notes?\b|remarks?\b|legend\b|source\b|see\b)/i.test(text) ||
  (text.length > 60 && /[.;]$/.test(text)) ||
  /^\w{1,4}\s*=\s*\w/.test(text);

const cleanHeading = (text: string): string =>
  text
    .replace(/[:–—-]+\s*$/, '')
    .replace(/^[-–—=#*\s]+|[=#*\s]+$/g, '')
    .replace(/\s+/g, ' ')
    .trim();

function entryOf(row: GridRow, columns: readonly Column[], group: string | undefined): Entry {
  const first = (role: Column['role']) => row.cells[columns.findIndex((c) => c.role === role)]?.trim() ?? '';
  const joined = columns.flatMap((c, i) => (c.role === 'description' ? [row.cells[i]?.trim() ?? ''] : [])).filter((t) => t !== '');
  return {
    line: row.line,
    group: first('group') || group,
    numbers: columns.flatMap((c, i) => {
      const text = row.cells[i]?.trim() ?? '';
      return c.role === 'number' ? [{ packageName: c.packageName, text, cell: readNumberCell(text) }] : [];
    }),
    name: first('name'),
    type: columns.some((c) => c.role === 'type') ? first('type') : undefined,
    description: joined.join('. ').replace(/\.\. /g, '. '),
    alternates: first('alternates'),
    rail: first('rail'),
    activeLow: first('activeLow'),
  };
}

/** Lines that only go on with the row above: more description, or more numbers of a list that ended in a comma. */
function continueRow(entry: Entry | undefined, row: GridRow, context: Context): void {
  if (!entry) return skipped(row, 'it stands before the first row', context);
  context.columns.forEach((column, i) => {
    const text = row.cells[i]?.trim() ?? '';
    if (text === '') return;
    if (column.role === 'description') entry.description = `${entry.description} ${text}`.trim();
    else if (column.role === 'name')
      entry.name = /[,/–-]$/.test(entry.name) ? `${entry.name} ${text}` : `${entry.name}${text.startsWith('/') ? '' : ' '}${text}`;
    else if (column.role === 'alternates') entry.alternates = `${entry.alternates}, ${text}`;
    else if (column.role === 'type') entry.type = `${entry.type ?? ''} ${text}`.trim();
  });
}

function skipped(row: GridRow, why: string, { problems, file }: Context): void {
  problems.push(problem('row-skipped', { text: filled(row).join(' | '), why }, { file, line: row.line }));
}

/** Second pass: one entry to its terminals, names to numbers first to first as printed. */
function terminalsOf(entry: Entry, notes: Notes, names: ReadonlySet<string>, context: Context): Terminal[] {
  const clean = cleanName(entry.name, notes);
  const description = entry.description.replace(/\s+/g, ' ').trim();
  const lists = entry.numbers.map((n) => ({
    packageName: n.packageName,
    numbers: numbersOf(n.cell, clean.name, entry, context),
  }));
  const most = Math.max(0, ...lists.map((l) => l.numbers.length));
  if (most === 0) return [];
  const printed = clean.name === '' ? 'EP' : clean.name;
  const expanded = expandNames(printed, most);
  const fits = expanded.length === most;
  const single = expanded.length === 1;
  const doubts: Doubt[] = [];
  if (clean.unsure)
    doubts.push({
      field: 'name',
      reason: `“${clean.unsure}” could carry a footnote mark or an index.`,
      candidates: [clean.name, clean.unsure],
    });
  if (clean.name === '' && lists.some((l) => l.numbers.some((n) => n !== 'EP')))
    doubts.push({ field: 'name', reason: 'The name cell is empty.' });
  if (!fits && !single) {
    context.problems.push(
      problem('count-mismatch', { name: printed, names: expanded.length, numbers: most }, { file: context.file, line: entry.line }),
    );
    doubts.push({ field: 'name', reason: `${expanded.length} names stand for ${most} numbers.` });
  }
  return Array.from({ length: most }, (_, i) => {
    const name = single ? printed : (expanded[i] ?? printed);
    return terminal(entry, name, clean.overbar, description, pick(lists, i), [...doubts], names, context);
  });
}

const pick = (lists: { packageName: string; numbers: string[] }[], i: number): Record<string, string> =>
  Object.fromEntries(lists.filter((l) => l.numbers[i] !== undefined).map((l) => [l.packageName, l.numbers[i]!]));

function numbersOf(cell: NumberCell, name: string, entry: Entry, context: Context): string[] {
  if (cell.kind === 'list') return cell.numbers;
  if (cell.kind === 'pad') return ['EP'];
  // A dash where the number would be: an exposed pad that the drawing gives no number.
  if (cell.kind === 'none') return entry.numbers.length === 1 && /exposed|thermal|paddle|^e-?pad$|^ep$/i.test(name) ? ['EP'] : [];
  const text = entry.numbers.find((n) => n.cell === cell)?.text ?? '';
  context.problems.push(problem('number-unread', { text }, { file: context.file, line: entry.line }));
  return [];
}

function terminal(
  entry: Entry,
  name: string,
  overbar: boolean,
  description: string,
  numbers: Record<string, string>,
  doubts: Doubt[],
  names: ReadonlySet<string>,
  context: Context,
): Terminal {
  const low = readActiveLow(name, overbar, `${description} ${entry.activeLow}`, names);
  const activeLow = low.activeLow || /^(l|low|active low|-)$/i.test(entry.activeLow);
  const type = inferType(name, entry.type, description, context.legend);
  const alternates = [...alternatesIn(name), ...listAlternates(entry.alternates)];
  if (low.unsure) doubts.push({ field: 'activeLow', reason: `${low.unsure}.`, candidates: ['active low', 'active high'] });
  if (type.doubt) doubts.push(type.doubt);
  return {
    numbers,
    name,
    ...(activeLow ? { activeLow } : {}),
    type: type.type,
    ...(description ? { description } : {}),
    ...(entry.group ? { group: entry.group } : {}),
    ...(alternates.length > 0 ? { alternates } : {}),
    ...(entry.rail && !/^[-–—]$/.test(entry.rail) ? { rail: entry.rail } : {}),
    origin: { line: entry.line },
    because: { type: type.because, ...(low.because ? { activeLow: low.because } : {}) },
    doubts,
  };
}
