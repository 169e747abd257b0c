import { problem, type Doubt, type Origin, type Problem } from '../../part';
import type { Column, Terminal } from '../proposal';
import { inferType } from '../understand/infer-type';
import { inEnglish } from '../understand/other-languages';
import { typeInOneLine } from '../understand/type-codes';
import { levelDoubt, readActiveLow } from './active-low';
import { brokenName, joinName, roomForNames, stackedNames, whole } from './broken-names';
import { filled, type GridRow } from './grid';
import { roleOfHeading, packageIn } from './headings';
import { alternatesIn, cleanName, markDoubt, expandNames, findVectors, listAlternates, type Notes } from './names';
import { isNote } from './notes';
import { readCountedCell, type NumberCell } from './numbers';
import { tenths, unite, type Box } from './box';

export interface Context {
  columns: Column[];
  legend: ReadonlyMap<string, string>;
  marks: ReadonlySet<string>;
  file: string | undefined;
  problems: Problem[];
  /** Rows that a person left out, and rows that they took although they look like none. */
  without?: ReadonlySet<number>;
  including?: ReadonlySet<number>;
  /** Gets the rows that are headings of groups. */
  headings?: Set<number>;
}

/** Where each role stands, so that rows need not search for it. -1 where no column has it. */
interface RoleIndex {
  numbers: number[];
  descriptions: number[];
  at: Record<Exclude<Column['role'], 'number'>, number>;
}

function indexRoles(columns: readonly Column[]): RoleIndex {
  const all = (role: Column['role']) => columns.flatMap((c, i) => (c.role === role ? [i] : []));
  const first = (role: Column['role']) => columns.findIndex((c) => c.role === role);
  const [name, type, description, group] = [first('name'), first('type'), first('description'), first('group')];
  const [alternates, rail, activeLow, ignore] = [first('alternates'), first('rail'), first('activeLow'), first('ignore')];
  return {
    numbers: all('number'),
    descriptions: all('description'),
    at: { name, type, description, group, alternates, rail, activeLow, ignore },
  };
}

/** A row as read: what each column held, its group, the lines it stands on. */
interface Entry {
  line: number;
  rows: GridRow[];
  crossed: boolean;
  group: string | undefined;
  numbers: { packageName: string; text: string; cell: NumberCell }[];
  name: string;
  /** The two parts of a name whose line may have ended within a word. */
  broken: [string, string] | undefined;
  /** The lines of a name's cell that are names each; the first counts. */
  stacked: string[] | undefined;
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
    if (entry.name === '' && addSecondFunction(entry, terminals)) continue;
    for (const terminal of terminalsOf(entry, notes, names, context)) terminals.push(terminal);
    if (terminals.length > MOST_TERMINALS) break;
  }
  return withoutSecondNames(terminals);
}

/** Fewer numbers than this with several names each are slips. */
const OFTEN = 2;

/**
 * Terminals that stand again under the next number with another name, as pins of several functions do in some tables: the
 * first is the terminal, the others are its other names, and it is asked. A number that stands twice once only is a slip.
 */
function withoutSecondNames(terminals: Terminal[]): Terminal[] {
  const isAgain = (t: Terminal, i: number) => {
    const before = terminals[i - 1];
    return before !== undefined && before.name !== t.name && before.row !== t.row && haveSameNumbers(before, t);
  };
  const firsts = new Set(terminals.flatMap((t, i) => (isAgain(t, i) ? [Object.values(t.numbers)[0]] : [])));
  if (firsts.size < OFTEN) return terminals;
  const kept: Terminal[] = [];
  terminals.forEach((t, i) => {
    const owner = kept.at(-1);
    if (!owner || !isAgain(t, i)) return void kept.push(t);
    owner.alternates = [...(owner.alternates ?? []), t.name];
    const names = [owner.name, ...owner.alternates];
    const reason = `${names.join(', ')} stand under one number; the first is taken.`;
    owner.doubts = [...owner.doubts.filter((d) => d.field !== 'name'), { field: 'name', reason, candidates: names }];
  });
  return kept;
}

function haveSameNumbers(a: Terminal, b: Terminal): boolean {
  const packages = Object.keys(a.numbers);
  return packages.length === Object.keys(b.numbers).length && packages.every((name) => a.numbers[name] === b.numbers[name] && a.numbers[name] !== 'EP'); // prettier-ignore
}

/** A function of a terminal told further up: `10 | | I | RxD (P3.0): serial input`, under a port that has 10. */
const SECOND_FUNCTION = /^([A-Za-z][\w/#]{0,15})\s*(?:\([^()]{1,30}\)\s*)?[:–-]/;

/** Adds what a row without a name says to the terminal that has its numbers; false where that is none. */
function addSecondFunction(entry: Entry, terminals: readonly Terminal[]): boolean {
  const [, signal] = SECOND_FUNCTION.exec(entry.description) ?? [];
  const lists = entry.numbers.filter((n) => n.cell.kind === 'list');
  const isOf = (t: Terminal) => lists.every((n) => n.cell.kind === 'list' && n.cell.numbers[0] === t.numbers[n.packageName]);
  const owner = lists.length > 0 && signal !== undefined ? terminals.find(isOf) : undefined;
  if (!owner || !signal) return false;
  owner.alternates = [...(owner.alternates ?? []), signal];
  return true;
}

/** First pass: group headings, repeated headers and continuation lines are told apart from rows. */
function gather(rows: readonly GridRow[], context: Context, taken: Set<number>): Entry[] {
  const entries: Entry[] = [];
  let group: string | undefined;
  let above: GridRow | undefined;
  const index = indexRoles(context.columns);
  // A dash is a level where others have a plus, and else no word.
  const hasSigns = index.at.activeLow >= 0 && rows.some((r) => r.cells[index.at.activeLow]?.trim() === '+');
  const room = roomForNames(rows, index.at.name);
  const isOnceOver = standsOnce(rows, index.at.group);
  for (const given of rows) {
    if (context.without?.has(given.line)) continue;
    const goesOn = above !== undefined && sharesNumbers(given, above, index);
    const row = goesOn ? given : withShared(given, above);
    const kind = goesOn ? 'continuation' : context.including?.has(row.line) ? 'row' : kindOf(row, context.columns, index);
    if (kind === 'heading') {
      group = cleanHeading(filled(row)[0]!);
      context.headings?.add(row.line);
    } else if (goesOn && entries.length > 0 && isShared(row, above!, index.at.name)) addFunction(entries.at(-1)!, row, index);
    else if (kind === 'continuation') continueRow(entries.at(-1), row, context);
    else if (kind === 'row') {
      const entry = entryOf(row, context.columns, index, group, room);
      if (!hasSigns && NONE.test(entry.activeLow)) entry.activeLow = '';
      if (isOnceOver) group = entry.group;
      entries.push(entry);
      taken.add(row.line);
    } else if (kind === 'odd') skipped(row, 'it has no number that could be read', context);
    if (!goesOn) above = row;
  }
  return entries;
}

/** True where each group stands once, in the first of its rows, and the cells below it are empty. */
function standsOnce(rows: readonly GridRow[], at: number): boolean {
  if (at < 0) return false;
  const groups = rows.map((r) => r.cells[at]?.trim() ?? '').filter((g) => g !== '');
  return groups.length > 1 && groups.length < 0.7 * rows.length && new Set(groups).size === groups.length;
}

/** True where a cell goes on from a row above: ruled pages have its text in each row, sheets in the first. */
const isShared = (row: GridRow, above: GridRow, i: number): boolean =>
  row.same?.[i] === true && ((row.cells[i] ?? '') === '' || row.cells[i] === above.cells[i]);

/** True where a cell with the row's number began in the row above: then both are one terminal. */
const sharesNumbers = (row: GridRow, above: GridRow, { numbers }: RoleIndex): boolean =>
  row.same !== undefined && numbers.every((i) => isShared(row, above, i));

/** A cell over several rows counts in each of them. */
function withShared(row: GridRow, above: GridRow | undefined): GridRow {
  if (!above || !row.same?.some(Boolean)) return row;
  const from = (i: number) => row.same![i] && (row.cells[i] ?? '') === '';
  const boxes = row.place?.boxes?.map((b, i) => (from(i) ? above.place?.boxes?.[i] : b));
  return {
    ...row,
    cells: row.cells.map((c, i) => (from(i) ? (above.cells[i] ?? '') : c)),
    ...(row.place ? { place: { ...row.place, ...(boxes ? { boxes } : {}) } } : {}),
  };
}

const PLAIN_NUMBER = /^(?:\d{1,4}|[A-Z]{1,2}\d{1,2})$/;
const PLAIN_NAME = /^[A-Z][A-Z0-9_]*\d[A-Z0-9_]*$|^V[A-Z]{2,}$/;

type RowKind = 'row' | 'heading' | 'continuation' | 'note' | 'header' | 'odd';

function kindOf(row: GridRow, columns: readonly Column[], index: RoleIndex): RowKind {
  // Nearly all rows have a plain number and a name, and then nothing else they could be.
  if (
    index.numbers.length === 1 &&
    PLAIN_NUMBER.test(row.cells[index.numbers[0]!] ?? '') &&
    PLAIN_NAME.test(row.cells[index.at.name] ?? '')
  )
    return 'row';
  const cells = filled(row);
  if (cells.length === 0) return 'note';
  const at = (role: keyof RoleIndex['at']) => row.cells[index.at[role]]?.trim() ?? '';
  const numberCells = index.numbers.map((i) => row.cells[i]?.trim() ?? '');
  const read = numberCells.map(readCountedCell);
  const numbered = read.some((r, i) => r.kind === 'list' || (r.kind === 'pad' && numberCells[i] !== ''));
  if (cells.length === 1) {
    if (isNote(cells[0]!)) return 'note';
    if (numberCells.length === 1 && numbered && at('name') === '' && !/^(ep|pad|thermal|exposed)/i.test(cells[0]!))
      return /\d/.test(cells[0]!) ? 'odd' : 'heading';
    if (row.starts) return at('description') !== '' && (row.starts[0] ?? 0) > 4 ? 'continuation' : 'heading';
    return at('description') === cells[0] || (at('name') === cells[0] && index.at.name > 0) ? 'continuation' : 'heading';
  }
  if (cells.every((c) => roleOfHeading(c) !== undefined || packageIn(c)?.name === c)) return 'header';
  if (numbered) return 'row';
  if (at('name') !== '' && isPadUnder(at('name'), at('description'))) return 'row';
  if (isNote(cells[0]!)) return 'note';
  if (numberCells.every((c) => c === '') && at('name') === '' && at('description') !== '') return 'continuation';
  if (
    index.numbers.some((i) => columns[i]!.packageName !== '') &&
    at('name') !== '' &&
    read.every((r) => r.kind === 'none') &&
    numberCells.some((c) => c !== '')
  )
    return 'note';
  if (numberCells.every((c) => c === '') && at('name') !== '' && at('type') === '' && at('description') === '') return 'continuation';
  return 'odd';
}

/** The dash of a terminal that belongs to no bank, or has no level. */
const NONE = /^[-–—]+$/;

const cleanHeading = (text: string): string =>
  text
    .replace(/[:–—-]+\s*$/, '')
    .replace(/^[-–—=#*\s]+|[=#*\s]+$/g, '')
    .replace(/\s+/g, ' ')
    .trim();

function entryOf(
  row: GridRow,
  columns: readonly Column[],
  { numbers, descriptions, at }: RoleIndex,
  group: string | undefined,
  room: number,
): Entry {
  const cell = (i: number) => (i < 0 ? '' : (row.cells[i]?.trim() ?? ''));
  const wordsAt = (i: number) => inWords(unbroken(row.cells[i] ?? ''));
  const [bare, meaning] = withoutMeaning(cell(at.name));
  const { name, torn } = whole(bare, numbers.length === 1 ? cell(numbers[0]!) : '');
  const read = numbers.map((i) => {
    const text = `${cell(i)}${torn}`;
    return { packageName: columns[i]!.packageName, text, cell: readCountedCell(text) };
  });
  const isSingle = read.every(({ cell: of }) => of.kind !== 'list' || of.numbers.length === 1);
  const stacked = isSingle ? stackedNames(name) : undefined;
  const [head, rest] = (stacked ? undefined : brokenName(name, room)) ?? ['', ''];
  const own = descriptions.length === 1 ? [wordsAt(descriptions[0]!)] : descriptions.map(wordsAt).filter((t) => t !== '');
  const said = meaning === '' ? own : [meaning, ...own.filter((t) => t !== '')];
  return {
    line: row.line,
    rows: [row],
    crossed: row.crossed ?? false,
    group: NONE.test(cell(at.group)) ? undefined : inWords(cell(at.group)) || group,
    numbers: read,
    name: stacked ? stacked[0]! : rest === '' ? joinName(name) : head + rest,
    broken: rest === '' ? undefined : [head, rest],
    stacked,
    type: at.type < 0 ? undefined : inWords(typeInOneLine(cell(at.type))),
    description: said.length < 2 ? (said[0] ?? '') : said.join('. ').replace(/\.\. /g, '. '),
    alternates: [...(stacked?.slice(1) ?? []), ...(cell(at.alternates) === '' ? [] : [cell(at.alternates)])].join(', '),
    rail: inWords(cell(at.rail)),
    activeLow: inWords(cell(at.activeLow)),
  };
}

/** What a name means, in brackets behind it in another script: `VM(电源)`. */
function withoutMeaning(name: string): [name: string, meaning: string] {
  if (name.length > 120 || !name.endsWith(')')) return [name, ''];
  const [, bare, meaning] = /^(\S+?)\s*\(([^()]*[\u3040-\u30ff\u3400-\u9fff\uac00-\ud7af][^()]*)\)$/.exec(name) ?? [];
  return bare === undefined || meaning === undefined ? [name, ''] : [bare, meaning];
}

/** Words that keep their hyphen where a line is broken behind it: `open-` over `drain`. */
const COMPOUND =
  /^(pull|open|three|tri|low|high|non|half|full|real|on|off|multi|self|chip|power|push|active|write|read|single|two|one|four|soft|slow|fast|start|shut|stand|general|line|side|built|sign|over|under|cross|level|edge|ground|supply|charge|data|clock|fail|first|second|third|zero|user|time|wake)$/i;

/** A text without the hyphens that its lines were broken with. */
const unbroken = (text: string): string =>
  !text.includes('\n')
    ? text
    : text.replace(/([A-Za-z]+)-\n([a-z])/g, (_, before: string, after: string) =>
        COMPOUND.test(before) ? `${before}-${after}` : `${before}${after}`,
      );

const inWords = (text: string | undefined): string =>
  text === undefined || text === '' ? '' : /\s\s|[\n\t]/.test(text) ? text.replace(/\s+/g, ' ').trim() : text.trim();

/** Lines that only go on with the row above: more description, or more numbers of a list that ended in a comma. */
function continueRow(entry: Entry | undefined, row: GridRow, context: Context): void {
  if (!entry) return skipped(row, 'it stands before the first row', context);
  entry.rows.push(row);
  context.columns.forEach((column, i) => {
    const text = inWords(row.cells[i]);
    if (text === '') return;
    if (column.role === 'description') entry.description = `${entry.description} ${text}`.trim();
    else if (column.role === 'name')
      entry.name = joinName(
        /[/–-]$/.test(entry.name) && !text.startsWith('/')
          ? `${entry.name}${text}`
          : `${entry.name}${text.startsWith('/') ? '' : ' '}${text}`,
      );
    else if (column.role === 'alternates') entry.alternates = `${entry.alternates}, ${text}`;
    else if (column.role === 'type') entry.type = `${entry.type ?? ''} ${text}`.trim();
  });
}

/** One more function of a terminal, in a row of its own: `ADC0 | A | converter input` under the same number and name. */
function addFunction(entry: Entry, row: GridRow, { at, descriptions }: RoleIndex): void {
  const cell = (i: number) => (row.same?.[i] ? '' : inWords(row.cells[i]));
  const [signal, type] = [cell(at.alternates), inWords(typeInOneLine(cell(at.type)))];
  const isOfName = entry.alternates === '' || entry.alternates === entry.name;
  entry.rows.push(row);
  if (signal !== '') entry.alternates = `${entry.alternates}, ${signal}`;
  // What the printed name says first is what the terminal is.
  if (type !== '' && !isOfName && !entry.type?.split(', ').includes(type)) entry.type = entry.type ? `${entry.type}, ${type}` : type;
  const more = descriptions.map(cell).filter((text) => text !== '');
  if (more.length > 0) entry.description = [entry.description, ...more].filter((text) => text !== '').join('; ');
}

function skipped(row: GridRow, why: string, { problems, file }: Context): void {
  problems.push(problem('row-skipped', { text: filled(row).join(' | '), why }, { file, ...whereOf(row) }));
}

/** Second pass: one entry to its terminals, names to numbers first to first as printed. */
function terminalsOf(entry: Entry, notes: Notes, names: ReadonlySet<string>, context: Context): Terminal[] {
  const [only, ...others] = entry.numbers;
  // Nearly all rows have a plain name and one number, and then there is nothing to take apart.
  if (
    only?.cell.kind === 'list' &&
    only.cell.numbers.length === 1 &&
    others.length === 0 &&
    !entry.crossed &&
    !entry.broken &&
    !entry.stacked &&
    !entry.rows[0]!.doubt &&
    WORD.test(entry.name)
  )
    return [
      terminal(entry, entry.name, false, inWords(entry.description), { [only.packageName]: only.cell.numbers[0]! }, [], names, context),
    ];
  const clean = cleanName(entry.name, notes);
  const description = inWords(entry.description);
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
  if (entry.rows[0]!.doubt) doubts.push(entry.rows[0]!.doubt);
  if (clean.unsure) doubts.push(markDoubt(clean.name, clean.unsure));
  if (clean.name === '' && lists.some((l) => l.numbers.some((n) => n !== 'EP')))
    doubts.push({ field: 'name', reason: 'The name cell is empty.' });
  if (clean.name !== '' && !/[\p{L}\d+−–-]/u.test(clean.name)) doubts.push({ field: 'name', reason: `“${clean.name}” is hardly a name.` });
  // `GPIO0–` over a list of numbers is a range that lost its end; `V–` and `IN1–` alone are names.
  if (/[/,_]$/.test(clean.name) || (most > 1 && /[–-]$/.test(clean.name)))
    doubts.push({ field: 'name', reason: `“${clean.name}” ends as if it went on.` });
  if (clean.partly) doubts.push(levelDoubt('A bar stands over a part of the name.'));
  // The dash of an empty column beside it.
  if (/\s[–—-]$/.test(clean.name)) doubts.push({ field: 'name', reason: `“${clean.name}” may hold a cell of the next column too.` });
  if (entry.stacked) doubts.push({ field: 'name', reason: `${entry.stacked.join(', ')} stand under each other in its cell; the first is taken.`, candidates: [entry.stacked[0]!, entry.stacked.join('/')] }); // prettier-ignore
  if (entry.broken) doubts.push({ field: 'name', reason: `Its lines break between “${entry.broken.join('” and “')}”.` });
  if (entry.crossed) doubts.push({ field: 'name', reason: 'Text runs over the edge of a column in its row.' });
  if (single && most > 1 && /\w\s*[-–—]\s*\w/.test(printed))
    doubts.push({ field: 'name', reason: `“${printed}” stands for ${most} numbers and could be a range.` });
  if (!fits && !single) {
    context.problems.push(
      problem(
        'count-mismatch',
        { name: printed, names: expanded.length, numbers: most },
        { file: context.file, ...whereOf(entry.rows[0]!) },
      ),
    );
    doubts.push({ field: 'name', reason: `${expanded.length} names stand for ${most} numbers.` });
  }
  return Array.from({ length: most }, (_, i) => {
    const name = single ? printed : (expanded[i] ?? printed);
    return terminal(entry, name, clean.overbar, description, pick(lists, i), [...doubts], names, context);
  });
}

const WORD = /^[A-Za-z](?:[A-Za-z0-9_]*[A-Za-z0-9])?$/;

const pick = (lists: { packageName: string; numbers: string[] }[], i: number): Record<string, string> =>
  Object.fromEntries(lists.filter((l) => l.numbers[i] !== undefined).map((l) => [l.packageName, l.numbers[i]!]));

/** Whether a row without a number is the pad under the package, by its name or by what its words begin with. */
const isPadUnder = (name: string, description: string): boolean =>
  /exposed|thermal|paddle|\bppad\b|^e-?pad$|^ep$/i.test(name) || EXPOSED_PAD.test(description);
const EXPOSED_PAD = /^\W*(the )?(exposed|thermal|power)( \w+)? (pad|paddle)\b/i;

function numbersOf(cell: NumberCell, name: string, entry: Entry, context: Context): string[] {
  if (cell.kind === 'list') return cell.numbers;
  if (cell.kind === 'pad') return ['EP'];
  // A dash where the number would be: an exposed pad that the drawing gives no number.
  if (cell.kind === 'none') return entry.numbers.length === 1 && isPadUnder(name, entry.description) ? ['EP'] : [];
  const text = entry.numbers.find((n) => n.cell === cell)?.text ?? '';
  context.problems.push(problem('number-unread', { text }, { file: context.file, ...whereOf(entry.rows[0]!) }));
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
  const said = entry.activeLow === '' ? description : `${description} ${entry.activeLow}`;
  const low = readActiveLow(name, overbar, inEnglish(said), names);
  const type = inferType(name, entry.type, description, context.legend);
  if (low.unsure) doubts.push(levelDoubt(`${low.unsure}.`));
  if (type.doubt) doubts.push(type.doubt);
  const because: Terminal['because'] = { type: type.because };
  if (low.because) because['activeLow'] = low.because;
  // Set one by one: a thousand rows feel the copies that spreading makes.
  const out: Terminal = { numbers, name, type: type.type, because, doubts, confidence: type.confidence, row: entry.line };
  if (low.activeLow || isLow(entry.activeLow)) out.activeLow = true;
  if (description !== '') out.description = description;
  if (entry.group) out.group = entry.group;
  const alternates =
    entry.alternates === '' && !name.includes('/')
      ? []
      : [...alternatesIn(name), ...listAlternates(entry.alternates).filter((a) => a !== name)];
  if (alternates.length > 0) out.alternates = alternates;
  if (entry.rail !== '' && !/^[-–—]$/.test(entry.rail)) out.rail = entry.rail;
  out.origin = originOf(entry, context.columns, Object.keys(numbers));
  return out;
}

const isLow = (level: string): boolean => level !== '' && /^(l|low|active low|-)$/i.test(level);

/** A problem's place: a line where the source has lines, or else its page, or its cell. */
const whereOf = (row: GridRow): { line?: number; page?: number; cell?: string } => {
  const ref = row.place?.refs?.find((r) => r !== undefined);
  if (row.place?.page !== undefined) return { page: row.place.page };
  return ref === undefined ? { line: row.line } : { cell: ref };
};

const FIELDS = ['number', 'name', 'type', 'description', 'group'] as const;

function originOf(entry: Entry, columns: readonly Column[], packages: readonly string[]): Origin {
  if (!entry.rows[0]!.place) return { line: entry.line };
  const at: Partial<Record<(typeof FIELDS)[number], number>> = {};
  for (const field of FIELDS) {
    const isOwn = (c: Column) => c.role === field && (field !== 'number' || packages.includes(c.packageName));
    const index = columns.findIndex(isOwn);
    if (index >= 0) at[field] = index;
  }
  return placeOf(entry.rows[0]!, at, entry.rows.slice(1));
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
