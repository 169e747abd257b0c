import { carriesPower, problem, type Doubt } from '../../part';
import type { Terminal } from '../proposal';
import { inferType } from '../understand/infer-type';
import { inEnglish } from '../understand/other-languages';
import { levelDoubt, readActiveLow } from './active-low';
import { gather, inWords, isPadUnder, type Context, type Entry } from './entries';
import type { GridRow } from './grid';
import { alternatesIn, cleanName, DASH_BEHIND, markDoubt, expandNames, findVectors, listAlternates, type Notes } from './names';
import type { NumberCell } from './numbers';
import { originOf, whereOf } from './places';
import { addSecondFunction, withoutSecondNames } from './second-names';

/** More terminals than any package has; a table with more has a slip in its ranges, and reading on would only cost time. */
export const MOST_TERMINALS = 60_000;

/** `Supply PA00`: a word with small letters before a name that has none. */
const TITLED = /^[A-Z][a-z]{3,} ([A-Z][A-Z0-9_]*\d[A-Z0-9_+#-]*)$/;

/** So many letters of a description are looked at: some wordings are looked for in the square of the time. */
const MOST_WORDS = 2000;

/** Reads the rows of a pin table to terminals. `taken` gets the lines that became terminals. */
export function readRows(rows: readonly GridRow[], context: Context, taken: Set<number>): Terminal[] {
  const entries = gather(rows, context, taken);
  const names = new Set(entries.map((e) => e.name));
  const haveDashes = [...names].filter((name) => DASH_BEHIND.test(name)).length > 1;
  const notes: Notes = { marks: context.marks, vectors: findVectors(entries.map((e) => e.name)), haveDashes };
  const terminals: Terminal[] = [];
  for (const entry of entries) {
    if (entry.name === '' && addSecondFunction(entry, terminals)) continue;
    for (const terminal of terminalsOf(entry, notes, names, context)) terminals.push(terminal);
    if (terminals.length > MOST_TERMINALS) break;
  }
  return withoutSecondNames(terminals);
}

/** Second pass: one entry to its terminals, names to numbers first to first as printed. */
function terminalsOf(entry: Entry, notes: Notes, names: ReadonlySet<string>, context: Context): Terminal[] {
  const [only, ...others] = entry.numbers;
  // Nearly all rows have a plain name and one number, and then there is nothing to take apart.
  if (
    only?.cell.kind === 'list' &&
    only.cell.numbers.length === 1 &&
    !only.text.endsWith(',') &&
    others.length === 0 &&
    !entry.crossed &&
    !entry.broken &&
    !entry.stacked &&
    !entry.onlyNumbers &&
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
  const all = Math.max(0, ...lists.map((l) => l.numbers.length));
  if (all === 0) return [];
  // Without a name a terminal is called by its number until a person names it; the exposed pad is EP.
  const [numbered = 'EP'] = lists.flatMap((l) => l.numbers);
  const printed = clean.name === '' ? numbered : clean.name;
  // In a list of names each can have a note's mark.
  const listed = all === 1 && OF_WORDS.test(printed) ? [printed] : expandNames(printed, all);
  // `A1–A8` at `a6–a20`: a connector that has each signal at every second contact of a row.
  const areSeconds = listed.length > 2 && listed.length * 2 - 1 === all && !/[,;&/]/.test(entry.numbers[0]!.text);
  if (areSeconds) for (const l of lists) l.numbers = l.numbers.filter((_, i) => i % 2 === 0);
  const most = areSeconds ? listed.length : all;
  const single = listed.length === 1;
  const members = single ? [] : listed.map((name) => cleanName(name, notes));
  const expanded = single ? listed : members.map((m) => m.unsure ?? m.name);
  const fits = expanded.length === most;
  const doubts: Doubt[] = [];
  if (entry.rows[0]!.doubt) doubts.push(entry.rows[0]!.doubt);
  const unsure = fits && !single ? members.find((m) => m.unsure !== undefined)?.unsure : clean.unsure;
  if (unsure !== undefined) doubts.push(markDoubt(clean.name, unsure));
  if (areSeconds) doubts.push({ field: 'number', reason: `${most} names stand for ${all} numbers: every second number is taken.` });
  const mixed = entry.numbers.find((n) => n.cell.kind === 'list' && areOfTwoKinds(n.cell.numbers));
  if (mixed)
    doubts.push({ field: 'number', reason: `“${mixed.text.trim()}” has numbers of two kinds: two packages may stand in one column.` });
  if (entry.onlyNumbers) doubts.push({ field: 'name', reason: 'Only numbers stand in its row: the name above is taken.' });
  if (clean.name === '' && lists.some((l) => l.numbers.some((n) => n !== 'EP')))
    doubts.push({ field: 'name', reason: 'The name cell is empty.' });
  // Beside a plus, a minus and a wave are the terminals of a bridge.
  const isSign = names.has('+') && /^[-−–~≈]$/.test(clean.name);
  if (clean.name !== '' && !isSign && (!/[\p{L}\d+−–-]/u.test(clean.name) || NO_NAME.test(clean.name)))
    doubts.push({ field: 'name', reason: `“${clean.name}” is hardly a name.` });
  // `GPIO0–` over a list of numbers is a range that lost its end; `V–` and `IN1–` alone are names, and so is one beside its plus.
  const isHalfOfPair = names.has(clean.name.replace(/[–-]$/, '+'));
  if (/[/,_]$/.test(clean.name) || (single && most > 1 && /[–-]$/.test(clean.name) && !isHalfOfPair))
    doubts.push({ field: 'name', reason: `“${clean.name}” ends as if it went on.` });
  // `DOUT/DRDY` with a bar over DRDY: of which of them the words are told is not said.
  if (clean.behind && /\blow\b/i.test(description)) doubts.push(levelDoubt('A bar stands over another of its names.'));
  if (clean.partly) doubts.push(levelDoubt('A bar stands over a part of the name.'));
  // The dash of an empty column beside it, or the number where others have the dash.
  const isBeforeRest = /^[a-z]/.test(description) && WITH_WORD.test(clean.name);
  if (isBeforeRest || DASH_BEHIND.test(clean.name) || (notes.haveDashes && /\S \d{1,3}$/.test(clean.name)))
    doubts.push({ field: 'name', reason: `“${clean.name}” may hold a cell of the next column too.` });
  if (entry.stacked) doubts.push({ field: 'name', reason: `${entry.stacked.join(', ')} stand under each other in its cell; the first is taken.`, candidates: [entry.stacked[0]!, entry.stacked.join('/')] }); // prettier-ignore
  if (entry.broken) doubts.push({ field: 'name', reason: `Its lines break between “${entry.broken.join('” and “')}”.` });
  const [, own] = TITLED.exec(clean.name) ?? [];
  if (own !== undefined) doubts.push({ field: 'name', reason: `“${clean.name}” may begin with the title of a group.`, candidates: [own, clean.name] }); // prettier-ignore
  if (entry.shortName !== undefined)
    doubts.push({
      field: 'name',
      reason: 'The next row has a name alone: nothing tells whether it is the rest of this one.',
      candidates: [clean.name, entry.shortName],
    });
  if (single && most === 1 && SEVERAL_ALIKE.test(printed))
    doubts.push({ field: 'number', reason: `“${printed}” could be names of several terminals: there is one number for them.` });
  if (entry.crossed) doubts.push({ field: 'name', reason: 'Text runs over the edge of a column in its row.' });
  const unlike = entry.numbers.map(({ text }) => unlikeOneList(text, entry.name)).find((u) => u !== undefined);
  if (unlike !== undefined) doubts.push({ field: 'name', reason: unlike });
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

/** A plain number and a ball, `1 B1`. */
const areOfTwoKinds = (numbers: readonly string[]): boolean =>
  numbers.length > 1 && numbers.some((n) => /^\d{1,4}$/.test(n)) && numbers.some((n) => /^[A-HJ-NPRT-WY]{1,2}\d{1,2}$/.test(n));

/** Why numbers may not be those of one row: their list is left open at its end, or at the end of a line beside a name of several words. */
function unlikeOneList(text: string, name: string): string | undefined {
  const lines = text.split('\n').map((line) => line.trim());
  if (lines.at(-1)!.endsWith(',')) return 'Its list of numbers ends as if it went on.';
  const closed = lines.findIndex((line, i) => i < lines.length - 1 && !/[,;&–-]$/.test(line));
  if (closed < 0 || !/\s/.test(name) || !lines.some((line) => line.endsWith(','))) return undefined;
  return `Two rows may be one here: the list of numbers ends at “${lines[closed]!}” and goes on.`;
}

/** `GPIO0 General` before `purpose input`: a name with the first words of what is said of it. */
const WITH_WORD = /^[A-Z][A-Z\d_/#-]+ (?!(?:to|and|or|through)\b)[A-Z]?[a-z]{2,}/;

/** `Anode, red`: words, and no two names. */
const OF_WORDS = /^[A-Z][a-z]{2,}(?: [a-z]{2,})*, [a-z]{3,}$/;
/** `D0 D1`: names that differ in their figure. */
const SEVERAL_ALIKE = /^([A-Za-z][A-Za-z_]*)\d{1,3}(?: \1\d{1,3})+$/;
/** The dash of an empty cell, and a resistance. */
const NO_NAME = /^([-–—]|\d[\d.]* ?[kM]?Ω)$/;

const WORD = /^[A-Za-z](?:[A-Za-z0-9_]*[A-Za-z0-9])?$/;

const pick = (lists: { packageName: string; numbers: string[] }[], i: number): Record<string, string> =>
  Object.fromEntries(lists.filter((l) => l.numbers[i] !== undefined).map((l) => [l.packageName, l.numbers[i]!]));

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
  // Whatever stands further behind in a text without end says nothing of the terminal.
  const told = description.slice(0, MOST_WORDS);
  // `Digital input, active low`: the level stands beside the type.
  const level = LOW_TYPE.exec(entry.type ?? '')?.[0] ?? '';
  const said = told + (entry.activeLow && ` ${entry.activeLow}`) + (level && `. ${level}`);
  const low = readActiveLow(name, overbar, inEnglish(said), names);
  const type = inferType(name, entry.type, told === '' && IN_WORDS.test(name) ? name : told, context.legend);
  if (low.unsure) doubts.push(levelDoubt(`${low.unsure}.`));
  if (type.doubt) doubts.push(type.doubt);
  const because: Terminal['because'] = { type: type.because };
  if (low.because) because['activeLow'] = low.because;
  // Set one by one: a thousand rows feel the copies that spreading makes.
  const out: Terminal = { numbers, name, type: type.type, because, doubts, confidence: type.confidence, row: entry.line };
  // The polarity of a supply is no level.
  if (low.activeLow || (isLow(entry.activeLow) && !carriesPower(type.type))) out.activeLow = true;
  if (description !== '') out.description = description;
  if (entry.group) out.group = entry.group;
  const alternates =
    entry.alternates === '' && !name.includes('/')
      ? []
      : [...alternatesIn(name), ...listAlternates(entry.alternates).filter((a) => a !== name)];
  if (alternates.length > 0) out.alternates = alternates;
  if (entry.rail !== '' && !/^[-–—]$/.test(entry.rail)) out.rail = entry.rail;
  out.origin = originOf(entry.rows, entry.line, context.columns, Object.keys(numbers));
  return out;
}

/** `Output` and `Supply voltage` in place of a name say what a description would. */
const IN_WORDS = /^[A-Za-z][a-z]{2,20}(?:[ /-][A-Za-z()+-]{1,20}){0,5}(?: \d)?$/;

const LOW_TYPE = /\b(?:active[- ]low|low[- ]active)\b/i;

const isLow = (level: string): boolean => level !== '' && /^(l|low|lo|active[- ]low|neg(ative)?|inv(erted)?|-)$/i.test(level);
