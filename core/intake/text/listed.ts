import { mapCells, type Grid, type GridRow } from '../table/grid';
import { headingWorth } from '../table/headings';
import { looksLikeTerminal, readNumberCell } from '../table/numbers';
import { isTypeCode, isTypePhrase } from '../understand/type-codes';
import { withoutMarks } from './markup';

const NUMBERS = String.raw`(\d{1,4}|[A-Z]{1,2}\d{1,2}|EP)`;
/** What a part is mounted by. */
const MOUNTS = '(tab|case|mounting base|flange|shell|shield)';
/** `Tab - connected to pin 2`, `Case is pin 3`: it has the name of one of the leads. */
const MOUNT = new RegExp(
  String.raw`^${MOUNTS}\s*(?:[-–—:=]+\s*)?(?:is |are |internally |electrically )*(?:(?:connected|joined|tied|common|same)\s+(?:to|with|as)\s+)?(?:the )?(?:pin|lead|terminal)\s*#?(\d{1,2})\W*$`,
  'i',
);
/** `Tab: Drain`: its own name, as the leads have theirs. */
const MOUNT_NAMED = new RegExp(String.raw`^${MOUNTS}\s*[:=]\s*([\w+#/-]{1,24})$`, 'i');
const WORD = String.raw`(?:pin|ball|terminal|lead|contact|pad)s?\s*(?:no\.?|#)?\s*`;
/** `Pin 5 (VOUT): regulator output`. */
const IN_BRACKETS = new RegExp(String.raw`^(?:${WORD})?${NUMBERS}\s*\(\s*([^()]+?)\s*\)\s*[:=–—-]*\s*(.*)$`, 'i');
/** `VOUT (Pin 5): regulator output`. */
const BEHIND_NAME = new RegExp(String.raw`^([^\s()](?:[^()]{0,30}[^\s()])?)\s*\(\s*${WORD}([^()]{1,60}?)\s*\)\s*[:=–—.-]*\s*(.*)$`, 'i');
/** `Pin 1: VIN - power input`, `1. VCC, supply`, `A1 = GND`. */
const BEHIND_SIGN = new RegExp(
  String.raw`^(?:${WORD}${NUMBERS}\s*(?:=|[:.=)–—-]*(?=\s))|${NUMBERS}\s*(?:=(?=\s*\S)|[:.=)–—-]+(?=\s)))\s*(\S+?)(?:[:,]?\s+[-–—=:]*\s*(.*)|\s*\((.*)\))?$`,
  'i',
);

const LIST = String.raw`[A-Z]{0,2}\d{1,4}(?:\s*(?:,|&|and|to|[-–])\s*[A-Z]{0,2}\d{1,4})+`;
/** `Pins 1, 8: VDD, supply`. */
const BEHIND_LIST = new RegExp(String.raw`^(?:${WORD})?(${LIST})\s*[:=]\s*(\S+?)(?:[:,]?\s+[-–—=:]*\s*(.*))?$`, 'i');
/** `Pins 4 and 6 are not connected`. */
const IDLE = new RegExp(
  String.raw`^(?:${WORD})?(${LIST}|\d{1,3})(?:\s+(?:is|are)\s+|\s*[:=]\s*(?!n\.?c\.?\b))((?:not (?:connected|used)|unused|unconnected|no connects?|n\.?c\.?|left open)\b.*)$`,
  'i',
);
/** `2 - +5 V`, `7..14 - D0..D7`: one or two words behind a dash, and nothing else. */
const BEHIND_DASH = /^(\d{1,3}(?:\s*(?:\.\.|,|to)\s*\d{1,3})*)\s+[-–—]\s+([A-Z0-9+~/-][\w+.#/~-]*(?: [\w+.#/~-]{1,12})?)$/;
/** `Exposed pad - ground`: the pad below, and what is said of it. */
const PAD = /^((?:exposed|thermal|power|center|centre|die) (?:pad|paddle)|e?pad|EP)\s*(?:[:=–—-]+|\s{2,})\s*(\S.*)$/i;
/** Numbers, names and words of a list that has no heading of its own, under one. */
export function gridOfList(given: readonly GridRow[]): Grid {
  const areTurned =
    given.length > 2 && given.filter((r) => SIGN.test(r.cells[2] ?? '') && /[a-z]{2}/.test(r.cells[1]!)).length >= TURNED * given.length;
  const rows = areTurned
    ? given.map((r) => (SIGN.test(r.cells[2] ?? '') ? mapCells(r, ([n, words, sign]) => [n!, sign!, words!]) : r))
    : given;
  const parts = rows.map((row) => WITH_TYPE.exec(row.cells[2] ?? ''));
  const isTyped = parts.filter((m) => m !== null && (isTypeCode(m[1]!) || isTypePhrase(m[1]!))).length >= MOSTLY * rows.length;
  if (!isTyped) return { layout: 'cells', rows: [{ line: 0, cells: ['Pin', 'Name', 'Description'] }, ...rows] };
  const typed = rows.map((row, i) => ({ ...row, cells: [row.cells[0]!, row.cells[1]!, ...(parts[i]?.slice(1) ?? ['', row.cells[2]!])] }));
  return { layout: 'cells', rows: [{ line: 0, cells: ['Pin', 'Name', 'Type', 'Description'] }, ...typed] };
}

/** `Pin 1 - Chip Enable (CE)`: in so many lines the sign behind the words is the name. */
const TURNED = 0.9;
const SIGN = /^(?=\S*[A-Z]{2}|[A-Z]\d)[A-Z0-9+\-/#_]{2,12}$/;

/** `(in) -- sampling clock`: the type before the words. */
const WITH_TYPE = /^\(([^()]{1,20})\)\s*[-–—:]*\s*(.*)$/;

/** `HD[0:7]    I/O   Host data (pins 10, 11)`: what stands in columns before the numbers is a name, its type and its words. */
function inColumns(text: string, name: string): [name: string, more: string] {
  const [, own = name, type = '', words = ''] = IN_COLUMNS.exec(text.slice(0, text.lastIndexOf('('))) ?? [];
  return name.startsWith(own) && isTypeCode(type) ? [own, `(${type}) ${words}`.trim()] : [name, ''];
}
const IN_COLUMNS = /^\s*(\S+)\s{2,}(\S{1,8})(?:\s+(\S.*?))?\s*$/;

/** What a remark in a program's list begins with: `1: "VDD",  # supply`, and the dots that lead to words. */
const REMARK = /^(?:[#;]|\/\/|--|\.{2,})\s*/;

/** The least share of the lines that must be entries: numbered prose has such lines too. */
const MOSTLY = 0.7;

/** The name of a part of a file of settings, `[PINS]`. */
const SECTION = /^\s*\[[^\]]{1,40}\]\s*$/;

/** True where nearly every line begins with the word for a terminal and its number. */
export const isListOfPins = (lines: readonly string[]): boolean => {
  const filled = lines.filter((l) => l.trim() !== '' && !SECTION.test(l));
  return filled.length > 1 && filled.filter((l) => PIN_FIRST.test(l)).length >= 0.9 * filled.length;
};
const PIN_FIRST =
  /^\s*(?:[-*•]\s+)?(?:(?:[A-Z]{1,2}\d{1,3}\s+)?(?:pin|ball|terminal|lead|contact|pad)\s{0,4}#?[A-Z]{0,2}\d{1,4}\s*(?:[:=]|-?->|→)|[A-Z]{0,2}\d{1,4}\s*=\s*[^\s=]|\d{1,3}(?:\s*(?:\.\.|,)\s*\d{1,3})?\s+[-–—]\s+\S)/i;

/** A pinout that is written as a list, a line for each terminal; undefined where the text is none. */
export function listedGrid(lines: readonly string[]): Grid | undefined {
  const rows: GridRow[] = [];
  const others: GridRow[] = [];
  let filled = 0;
  lines.forEach((text, i) => {
    const plain = plainNumber(withoutMarks(text.replace(/^\s*(?:[-*•]\s+)?/, '').trim()));
    // A closing bracket is no line of a list.
    if (!/\w/.test(plain)) return;
    filled++;
    const several = entriesIn(plain);
    const cells = several ? undefined : entryIn(plain, text, rows);
    const last = rows.at(-1);
    if (several) rows.push(...several.map((of) => ({ line: i + 1, cells: of })));
    else if (cells) rows.push({ line: i + 1, cells });
    else if (last && GOES_ON.test(text) && !IS_PLACE.test(plain) && lines[i - 1]?.trim()) {
      last.cells[2] = `${last.cells[2] ?? ''} ${plain}`.trim();
      filled--;
    } else others.push({ line: i + 1, cells: [plain] });
  });
  const isNamed = rows.filter((r) => /[A-Z]/.test(r.cells[1]!)).length >= MOSTLY * rows.length;
  if (rows.length < 2 || rows.length < MOSTLY * filled || !isNamed) return undefined;
  const inWords = areInWords(rows);
  const whole = rows.map((row) => (inWords || /^[a-z]{3,}$/.test(row.cells[1]!) ? inOneName(row, lines[row.line - 1]!) : row));
  return withOthers(gridOfList(whole), others);
}

/** `<1> VCC`, `[1] VCC` and `1-VCC` with the sign that other lists have. */
const plainNumber = (text: string): string =>
  text.replace(
    /^(?:<(\d{1,4})>\s+|\[(\d{1,4})\]\s+|(\d{1,3})-(?=[A-Z]{2}))/,
    (_, a?: string, b?: string, c?: string) => `${a ?? b ?? c}: `,
  );

/** A line that goes on with the words above: set in, or in small letters. */
const GOES_ON = /^\s+\S|^[a-z(]/;
/** A line that begins with a place of a terminal is no rest of the words above. */
const IS_PLACE = /^(?:the )?(?:pins?|balls?|pads?|exposed|thermal|tab|case|shell|shield|EP)\b/i;
/** The title of a group in a list of pins, a line by itself. */
const TITLE = /^[A-Z][A-Za-z /&-]{2,30}:?$/;
/** A line that speaks of terminals. */
const OF_TERMINALS = /\b(?:pins?|balls?|pads?|paddle|tab|case|shell|shield|contacts?|terminals?|leads?|EP)\b|^\W*[A-Z]{0,2}\d/i;
const NOTE = /^\W*(?:notes?|see|table|figure|remarks?)\b|^\W*\d\)|^[*†]/i;

/** The same with the titles over its entries, and with lines between them that speak of terminals and were not understood: they are told. */
export function withOthers(grid: Grid, others: readonly GridRow[]): Grid {
  const taken = new Set(grid.rows.map((r) => r.line));
  const first = grid.rows[1]?.line ?? 0;
  const titles = others.filter((o) => TITLE.test(o.cells[0]!) && taken.has(o.line + 1));
  const unread = others.filter((o) => o.line > first && OF_TERMINALS.test(o.cells[0]!) && !NOTE.test(o.cells[0]!) && !titles.includes(o));
  // Their last word stands apart from the others, so that no part of them is taken for a number.
  const told = unread.flatMap(({ line, cells: [text = ''] }): GridRow[] => {
    const at = text.lastIndexOf(' ');
    return at < 0 ? [] : [{ line, cells: [text.slice(0, at), text.slice(at + 1), ''] }];
  });
  const rows = [...grid.rows, ...(titles.length > 1 ? titles : []), ...told].sort((a, b) => a.line - b.line);
  return { ...grid, rows };
}

/** `IN+ (Pin 3), IN- (Pin 2): Differential inputs.`: several terminals, of all of which the words are told; undefined for any other line. */
function entriesIn(plain: string): string[][] | undefined {
  const parts = plain.length > LONGEST_LINE ? [] : plain.split(BETWEEN_NAMED);
  if (parts.length < 2) return undefined;
  const named = parts.map((part) => BEHIND_NAME.exec(part));
  const words = named.at(-1)?.[3] ?? '';
  const areAll = named.every((m, i) => m && readNumberCell(m[2]!).kind === 'list' && (m[3] === '' || i === named.length - 1));
  return areAll ? named.map((m) => [m![2]!, m![1]!, words]) : undefined;
}
const BETWEEN_NAMED = /(?<=\))(?:, and |, |,| and | & )(?=[^\s()]{1,20} ?\( ?(?:pin|ball|terminal|lead)s?\b)/i;
/** A longer line says more than names. */
const LONGEST_LINE = 1000;

/** Number, name and words of a line that is an entry; undefined for any other. */
function entryIn(plain: string, text: string, rows: readonly GridRow[]): string[] | undefined {
  const [, place, own] = MOUNT_NAMED.exec(plain) ?? [];
  if (place && own) return [place, own, ''];
  const [, pad, of] = PAD.exec(plain) ?? [];
  if (pad && of) return /^[A-Z][A-Z0-9_]*$/.test(of) ? ['EP', of, pad] : ['EP', pad, of];
  const [, mount, lead] = MOUNT.exec(plain) ?? [];
  const likeIt = rows.find((r) => r.cells[0] === lead)?.cells[1];
  if (mount && likeIt !== undefined) return [mount, likeIt, plain];
  const named = BEHIND_NAME.exec(plain);
  if (named && readNumberCell(named[2]!).kind === 'list') {
    const [name, more] = inColumns(text, named[1]!);
    return [named[2]!, name, [more, named[3]!].filter((t) => t !== '').join(' ')];
  }
  const [, idle, what] = IDLE.exec(plain) ?? [];
  if (idle && what && readNumberCell(idle).kind === 'list') return [idle, 'NC', what];
  const [, numbers, called, meant = ''] = BEHIND_LIST.exec(plain) ?? [];
  if (numbers && called && readNumberCell(numbers).kind === 'list') return [numbers, called.replace(/[:,;]$/, ''), meant];
  const [, dashed, short] = BEHIND_DASH.exec(plain) ?? [];
  if (dashed && short && readNumberCell(dashed).kind === 'list') return [dashed, short, ''];
  const bracketed = IN_BRACKETS.exec(plain);
  if (bracketed) return bracketed.slice(1, 4);
  const [, a, b, name, ...said] = BEHIND_SIGN.exec(plain) ?? [];
  const number = a ?? b;
  if (!number || !name || name.length > 40) return undefined;
  // Behind a bare number only what is written as a name counts, but for `5 = Shield` and columns: steps of instructions are numbered too.
  if (a === undefined && /[a-z]{3}/.test(name) && !/^\w+\s*=/.test(plain) && !/^\S+\s+\S+\s{2,}\S/.test(plain)) return undefined;
  const words = (said.find((s) => s) ?? '').replace(/^\((.*)\)$/, '$1');
  return [number, name.replace(/[:,;]$/, '').replace(/^(["'])(.+)\1$/, '$2'), words.replace(REMARK, '')];
}

/** `Pin 1: Red video`: so many of the names have a word in small letters that what they are called are the words behind them too. */
const areInWords = (rows: readonly GridRow[]): boolean =>
  rows.filter((r) => /^[A-Z][a-z]{2,}$/.test(r.cells[1]!) && IN_FEW_WORDS.test(r.cells[2]!)).length > 0.3 * rows.length;

/** One to three words, and a remark in brackets. */
const IN_FEW_WORDS = /^([\w+-]+(?: [\w+-]+){0,2})\s*(?:\(([^()]*)\))?$/;

/** The words straight behind a name are of it; those behind a sign or in brackets say what it is. */
function inOneName(row: GridRow, text: string): GridRow {
  const [number, name, words] = row.cells as [string, string, string];
  const [, more, remark = ''] = IN_FEW_WORDS.exec(words) ?? [];
  return more !== undefined && text.includes(`${name} ${more}`) ? { ...row, cells: [number, `${name} ${more}`, remark] } : row;
}

/** The lines that hold anything, without the blanks around it. */
export const filledLines = (lines: readonly string[]): { text: string; line: number }[] =>
  lines.flatMap((text, i) => (text.trim() === '' ? [] : [{ text: text.trim(), line: i + 1 }]));

/** Fewer terminals than this are no stack of cells. */
const LEAST = 2;

/**
 * A table that was copied cell by cell, each on a line of its own as some viewers give it: first the headings, then the
 * cells of each row in their order. Undefined where the lines do not come out even, or a row has no number.
 */
export function stackedGrid(lines: readonly string[]): Grid | undefined {
  const filled = filledLines(lines);
  for (let width = 2; width <= 6; width++) {
    const heads = filled.slice(0, width).map((f) => f.text);
    if (filled.length < width * (LEAST + 1) || filled.length % width !== 0 || headingWorth(heads) < 2) continue;
    const rows = Array.from({ length: filled.length / width }, (_, r) => filled.slice(r * width, (r + 1) * width));
    const at = heads.findIndex((_, i) => rows.slice(1).every((row) => looksLikeTerminal(row[i]!.text)));
    if (at >= 0) return { layout: 'cells', rows: rows.map((row) => ({ line: row[0]!.line, cells: row.map((c) => c.text) })) };
  }
  return undefined;
}
