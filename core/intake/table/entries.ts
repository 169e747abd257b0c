import { problem, type Problem } from '../../part';
import type { Column } from '../proposal';
import { typeInOneLine } from '../understand/type-codes';
import { brokenName, joinName, roomForNames, stackedNames, withWholeList } from './broken-names';
import { filled, type GridRow } from './grid';
import { isBankHeading, isHeading } from './headings';
import { withoutNumber } from './group-titles';
import { standsOnce, withWholeGroups } from './groups';
import { isNote } from './notes';
import { readCountedCell, type NumberCell } from './numbers';
import { addNumbers, areNumbersAhead, goesOnWithNumbers, putBefore } from './open-lists';
import { whereOf } from './places';

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
  /** Gets the rows that go on with the one above. */
  continued?: Set<number>;
}

/** Where each role stands, so that rows need not search for it. -1 where no column has it. */
interface RoleIndex {
  numbers: number[];
  descriptions: number[];
  /** `AF0` to `AF7`: each has functions of its own. */
  alternates: number[];
  at: Record<Exclude<Column['role'], 'number'>, number>;
  /** A column beside the types that tells how outputs drive; -1 where there is none. */
  drive: number;
}

/** What stands over how a terminal's output drives. */
const DRIVE = /^(output |i\/?o |pin )?(buffer|structure|driver?|stage|drive)( type| stage| structure)?$/i;
/** How an output drives that does not drive both ways. */
const DRIVES_ONE_WAY = /^(od|oc|open[- ]?drain|open[- ]?collector|ts|3s|(tri|three|3)-?state)$/i;

function indexRoles(columns: readonly Column[]): RoleIndex {
  const all = (role: Column['role']) => columns.flatMap((c, i) => (c.role === role ? [i] : []));
  const first = (role: Column['role']) => columns.findIndex((c) => c.role === role);
  const [name, type, description, group] = [first('name'), first('type'), first('description'), first('group')];
  const [alternates, rail, activeLow, ignore] = [first('alternates'), first('rail'), first('activeLow'), first('ignore')];
  return {
    numbers: all('number'),
    descriptions: all('description'),
    alternates: all('alternates'),
    at: { name, type, description, group, alternates, rail, activeLow, ignore },
    drive: columns.findIndex((c) => c.role === 'ignore' && DRIVE.test(c.heading)),
  };
}

/** A row as read: what each column held, its group, the lines it stands on. */
export interface Entry {
  line: number;
  rows: GridRow[];
  crossed: boolean;
  group: string | undefined;
  numbers: { packageName: string; text: string; cell: NumberCell }[];
  name: string;
  /** The two parts of a name whose line may have ended within a word. */
  broken: [string, string] | undefined;
  /** The name without what a row below, that has a name alone, was taken to add to it though no sign tells. */
  shortName?: string;
  /** Only numbers stand in its row: all else is that of the row above. */
  onlyNumbers?: true;
  /** The lines of a name's cell that are names each; the first counts. */
  stacked: string[] | undefined;
  type: string | undefined;
  description: string;
  alternates: string;
  rail: string;
  activeLow: string;
}

/** First pass: group headings, repeated headers and continuation lines are told apart from rows. */
export function gather(given: readonly GridRow[], context: Context, taken: Set<number>): Entry[] {
  const entries: Entry[] = [];
  let group: string | undefined;
  let title: string | undefined;
  let above: GridRow | undefined;
  let ahead: GridRow | undefined;
  const index = indexRoles(context.columns);
  // What stands below a table says nothing of its groups.
  const isOnceOver = standsOnce(
    given.filter((r) => index.numbers.some((i) => (r.cells[i] ?? '') !== '')),
    index.at.group,
  );
  const rows = isOnceOver ? withWholeGroups(given, index.at.group) : given;
  // A dash is a level where others have a plus, and else no word.
  const hasSigns = index.at.activeLow >= 0 && rows.some((r) => r.cells[index.at.activeLow]?.trim() === '+');
  const room = roomForNames(rows, index.at.name);
  const titles = columnOfTitles(rows, index);
  const isOfBanks = index.at.group >= 0 && isBankHeading(context.columns[index.at.group]!.heading);
  for (const own of rows) {
    if (context.without?.has(own.line)) continue;
    const goesOn = above !== undefined && sharesNumbers(own, above, index);
    const row = goesOn ? own : withWholeList(withShared(own, above), index.numbers);
    const read =
      goesOn || isUnderWords(row, entries.at(-1), index)
        ? 'continuation'
        : context.including?.has(row.line)
          ? 'row'
          : kindOf(row, context.columns, index);
    const isRest = (read === 'heading' || read === 'odd') && isRestOfName(row, index, entries.at(-1));
    const isTitle = read === 'continuation' && !goesOn && isTitleAt(row, index, titles, entries.at(-1));
    const kind = isRest ? 'continuation' : isTitle ? 'heading' : read;
    if (ahead && kind !== 'row') ahead = void skipped(ahead, NO_NUMBER, context);
    if (kind === 'heading') {
      title = group = cleanHeading(filled(row)[0]!);
      context.headings?.add(row.line);
    } else if (goesOn && entries.length > 0 && isShared(row, above!, index.at.name)) addFunction(entries.at(-1)!, row, index);
    else if (kind === 'continuation') continueRow(entries.at(-1), row, context);
    else if (kind === 'row') {
      const entry = entryOf(row, context.columns, index, group, room);
      if (ahead) ahead = void putBefore(entry, ahead, index.numbers);
      if (!hasSigns && NONE.test(entry.activeLow)) entry.activeLow = '';
      if (isOnceOver) group = entry.group;
      if (isOfBanks && title !== undefined) entry.group = title;
      const before = entries.at(-1);
      if (before && entry.name === '' && filled(row).length === index.numbers.length)
        Object.assign(entry, { onlyNumbers: true, name: before.name, type: before.type, description: before.description });
      entries.push(entry);
      taken.add(row.line);
    } else if (kind === 'odd' && goesOnWithNumbers(entries.at(-1), row, index.numbers)) addNumbers(entries.at(-1)!, row, index.numbers);
    else if (kind === 'odd' && areNumbersAhead(row, index.numbers)) ahead = row;
    else if (kind === 'odd') skipped(row, NO_NUMBER, context);
    if (!goesOn) above = row;
  }
  if (ahead) skipped(ahead, NO_NUMBER, context);
  for (const { rows: own } of entries) for (const { line } of own.slice(1)) context.continued?.add(line);
  return entries;
}

/** A text alone in the line below a row, straight under its description: `0 = off)` is no note there, however it begins. */
function isUnderWords(row: GridRow, entry: Entry | undefined, { at }: RoleIndex): boolean {
  const above = entry?.rows.at(-1);
  if (!above?.starts || row.starts?.length !== 1 || row.starts[0]! < 4 || row.line !== above.line + 1) return false;
  return !!row.cells[at.description]?.trim() && above.starts.at(-1) === row.starts[0] && !/^(\(\d+\)|notes?\b)/i.test(filled(row)[0]!);
}

/** The lower line of a heading of two, `number` under `Pin`, is no group. */
const OF_HEADING = /^(?:number|name|no\.?|type|description|function)$/;

/** Begins as a title and does not end as a sentence. */
const AS_TITLE = /^(?:\d{1,2}[.)] )?[A-Z](?:[^.;]|\.(?=\d)){1,58}$/;

/** Where the only cell of a row stands, if that is the column of names, or of descriptions where no line of them can be a row by itself. */
function aloneIn(row: GridRow, { at }: RoleIndex): 'name' | 'description' | undefined {
  if (filled(row).length !== 1) return undefined;
  if (at.name > 0 && row.cells[at.name]?.trim()) return 'name';
  const isOfLines = row.starts !== undefined || row.place?.boxes !== undefined;
  return !isOfLines && AS_TITLE.test(inWords(row.cells[at.description])) ? 'description' : undefined;
}

/** The column in which a cell alone stands before the first row, and others before other rows: they are the titles of groups. */
function columnOfTitles(rows: readonly GridRow[], index: RoleIndex): 'name' | 'description' | undefined {
  const first = rows.findIndex((row) => index.numbers.some((i) => readCountedCell(row.cells[i]?.trim() ?? '').kind === 'list'));
  const column = first > 0 ? aloneIn(rows[first - 1]!, index) : undefined;
  return column !== undefined && rows.slice(first).some((row) => aloneIn(row, index) === column) ? column : undefined;
}

/** Ends a name that goes on in the next row, or begins what goes on with it. */
const [GOES_ON, WENT_ON] = [/[/,(_–-]$|\w to$/, /^[/,()_–-]/];

/** `DB0` below `DB7 to`, or `REFOUT` below `REFIN/` with more words beside it: a name alone goes on there. */
function isRestOfName(row: GridRow, { numbers, at }: RoleIndex, above: Entry | undefined): boolean {
  const name = row.cells[at.name]?.trim() ?? '';
  const isAlone = numbers.every((i) => (row.cells[i] ?? '').trim() === '') && (row.cells[at.type] ?? '').trim() === '';
  return above !== undefined && isAlone && /^[A-Z][A-Z0-9_#+-]*$/.test(name) && /[/,_–-]$|\w to$/.test(above.name);
}
/** `Serial port (SPI)`: words, as no name has them. */
const IN_SEVERAL_WORDS = /^(?:\d{1,2}[.)] )?[A-Z]\S* .*\b[a-z]{3,}/;

/** Whether a cell alone is the title of the rows below, and not the rest of the name or the description above. */
function isTitleAt(row: GridRow, index: RoleIndex, titles: 'name' | 'description' | undefined, above: Entry | undefined): boolean {
  const column = aloneIn(row, index);
  if (column === undefined) return false;
  const text = inWords(row.cells[index.at[column]]);
  if (above !== undefined && (GOES_ON.test(above[column]) || WENT_ON.test(text))) return false;
  if (column === titles) return true;
  return column === 'name' && IN_SEVERAL_WORDS.test(text) && !/[a-z]{3}/.test(above?.name ?? '');
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

const NO_NUMBER = 'it has no number that could be read';
const PLAIN_NUMBER = /^(?:\d{1,4}|[A-Z]{1,2}\d{1,2})$/;
const PLAIN_NAME = /^[A-Z][A-Z0-9_]*\d[A-Z0-9_]*$|^V[A-Z]{2,}$/;

/** `(1) P = power, G = ground`: the note below a table that says what its codes are. */
const isLegend = ([mark = '', text = '', ...others]: readonly string[]): boolean =>
  /^\(?\d\)$/.test(mark) && others.length === 0 && /^[A-Z/]{1,4} ?= ?\w.*[,;] ?[A-Z/]{1,4} ?= ?\w/.test(text);

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
  if (cells.length === 0 || isLegend(cells) || cells.every((c) => LEFT_OUT.test(c))) return 'note';
  const at = (role: keyof RoleIndex['at']) => row.cells[index.at[role]]?.trim() ?? '';
  const numberCells = index.numbers.map((i) => row.cells[i]?.trim() ?? '');
  const read = numberCells.map(readCountedCell);
  const numbered = read.some((r, i) => r.kind === 'list' || (r.kind === 'pad' && numberCells[i] !== ''));
  if (cells.length === 1) {
    if (isNote(cells[0]!)) return 'note';
    const title = OF_HEADING.test(cells[0]!) ? 'header' : 'heading';
    if (numberCells.length === 1 && numbered && at('name') === '' && !/^(ep|pad|thermal|exposed)/i.test(cells[0]!))
      return /\d/.test(cells[0]!) ? 'odd' : title;
    // The rest of a type that a page's end parted.
    if (at('type') === cells[0] && index.at.type > 0 && /^[a-z(/]/.test(cells[0]!)) return 'continuation';
    if (row.starts) return at('description') !== '' && (row.starts[0] ?? 0) > 4 ? 'continuation' : title;
    return at('description') === cells[0] || (at('name') === cells[0] && index.at.name > 0) ? 'continuation' : title;
  }
  if (cells.every(isHeading)) return 'header';
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

/** Rows that are left out. */
const LEFT_OUT = /^(?:\.{2,}|…|⋮|:)$/;

/** The dash of a terminal that belongs to no bank, or has no level. */
const NONE = /^(?:[-–—]+|N\/?A)$/i;

const cleanHeading = (text: string): string =>
  withoutNumber(text.replace(/\s+/g, ' ').replace(/^[#*=\s]+/, ''))
    .replace(/[:–—-]+\s*$/, '')
    .replace(/^[-–—=#*\s]+|[=#*\s]+$/g, '')
    .trim();

function entryOf(
  row: GridRow,
  columns: readonly Column[],
  { numbers, descriptions, alternates, at, drive }: RoleIndex,
  group: string | undefined,
  room: number,
): Entry {
  const cell = (i: number) => (i < 0 ? '' : (row.cells[i]?.trim() ?? ''));
  const wordsAt = (i: number) => inWords(unbroken(row.cells[i] ?? ''));
  const [name, meaning] = withoutMeaning(cell(at.name).replace(BEFORE_WORDS, ''));
  const read = numbers.map((i) => ({ packageName: columns[i]!.packageName, text: cell(i), cell: readCountedCell(cell(i)) }));
  const isSingle = read.every(({ cell: of }) => of.kind !== 'list' || of.numbers.length === 1);
  const stacked = isSingle ? stackedNames(name) : undefined;
  const [head, rest] = (stacked ? undefined : brokenName(name, room)) ?? ['', ''];
  const own = descriptions.length === 1 ? [wordsAt(descriptions[0]!)] : descriptions.map(wordsAt).filter((t) => t !== '');
  const said = meaning === '' ? own : [meaning, ...own.filter((t) => t !== '')];
  // What has no port is called by its only function: VDD under `Power`.
  const others = alternates.map(cell).filter((text) => text !== '' && !NONE.test(text));
  const isNamedBelow = name === '' && alternates.length > 1 && others.length === 1 && !/[\s,/]/.test(others[0]!);
  return {
    line: row.line,
    rows: [row],
    crossed: row.crossed ?? false,
    group: NONE.test(cell(at.group)) ? undefined : inWords(cell(at.group)) || group,
    numbers: read,
    name: isNamedBelow ? others[0]! : stacked ? stacked[0]! : rest === '' ? joinName(name) : head + rest,
    broken: rest === '' ? undefined : [head, rest],
    stacked,
    type: at.type < 0 ? undefined : withDrive(inWords(typeInOneLine(cell(at.type))), cell(drive)),
    description: said.length < 2 ? (said[0] ?? '') : said.join('. ').replace(/\.\. /g, '. '),
    alternates: [...(stacked?.slice(1) ?? []), ...(isNamedBelow ? [] : others)].join(', '),
    rail: inWords(cell(at.rail)),
    activeLow: inWords(cell(at.activeLow)),
  };
}

/** `O` with `OD` in the column of buffers is `O (OD)`. */
const withDrive = (type: string, drive: string): string => (type !== '' && DRIVES_ONE_WAY.test(drive) ? `${type} (${drive})` : type);

/** What stands between a name and what is said of it, and belongs to neither: `VIN:`. */
const BEFORE_WORDS = /\s*[:;]$/;

/** What a name means, in brackets behind it, in words or in another script: `TXD (transmit data)`, `VM(电源)`. */
function withoutMeaning(name: string): [name: string, meaning: string] {
  if (name.length > 120 || !name.endsWith(')')) return [name, ''];
  const [, bare, meaning = ''] = /^(\S+?)\s*\(([^()]*)\)$/.exec(name) ?? [];
  if (bare === undefined || !(IN_OTHER_SCRIPT.test(meaning) || (IN_CAPITALS.test(bare) && IN_WORDS.test(meaning)))) return [name, ''];
  return [bare, inWords(meaning)];
}

const IN_OTHER_SCRIPT = /[\u3040-\u30ff\u3400-\u9fff\uac00-\ud7af]/;
const IN_CAPITALS = /^[~/]?[A-Z][A-Z0-9_+\-−#*/]*$/;
/** Two words at least, small letters in one of them, or a plain word: `DI (IO0)` has another name there, `PA0 (note)` a remark. */
const IN_WORDS =
  /^(?=.*[a-z]{3})(?!.*\bnotes?\b)[\w.,:;/+−-]+(\s+[\w.,:;/+−-]+)+$|^(ground|supply|power|input|output|clock|reset|enable|data)$/;

/** Words that keep their hyphen where a line is broken behind it: `open-` over `drain`. */
const COMPOUND =
  /^([a-z]|pull|open|three|tri|low|high|non|half|full|real|on|off|multi|self|chip|power|push|active|write|read|single|two|one|four|soft|slow|fast|start|shut|stand|general|line|side|built|sign|over|under|cross|level|edge|ground|supply|charge|data|clock|fail|first|second|third|zero|user|time|wake)$/i;

/** A text without the hyphens that its lines were broken with. */
const unbroken = (text: string): string =>
  !text.includes('\n')
    ? text
    : text.replace(/([A-Za-z]+)-\n([a-z])/g, (_, before: string, after: string) =>
        COMPOUND.test(before) ? `${before}-${after}` : `${before}${after}`,
      );

export const inWords = (text: string | undefined): string =>
  text === undefined || text === '' ? '' : /\s\s|[\n\t]/.test(text) ? text.replace(/\s+/g, ' ').trim() : text.trim();

/** Lines that only go on with the row above: more description, or more numbers of a list that ended in a comma. */
function continueRow(entry: Entry | undefined, row: GridRow, context: Context): void {
  if (!entry) return skipped(row, 'it stands before the first row', context);
  entry.rows.push(row);
  context.columns.forEach((column, i) => {
    const text = inWords(row.cells[i]);
    if (text === '') return;
    if (column.role === 'description') entry.description = `${entry.description} ${text}`.trim();
    else if (column.role === 'name') {
      if (filled(row).length === 1 && !GOES_ON.test(entry.name) && !WENT_ON.test(text)) entry.shortName ??= entry.name;
      entry.name = joinName(
        /[/–-]$/.test(entry.name) && !text.startsWith('/')
          ? `${entry.name}${text}`
          : `${entry.name}${text.startsWith('/') ? '' : ' '}${text}`,
      );
    } else if (column.role === 'alternates') entry.alternates = `${entry.alternates}, ${text}`;
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

/** Whether a row without a number is the pad under the package, by its name or by what its words begin with. */
export const isPadUnder = (name: string, description: string): boolean =>
  /exposed|thermal|paddle|\bppad\b|^(e-?|power)?pad$|^ep$/i.test(name) || EXPOSED_PAD.test(description);
const EXPOSED_PAD = /^\W*(the\s)?(exposed|thermal|power|ground|die)(\s\w+)?\s(pad|paddle)\b/i;
