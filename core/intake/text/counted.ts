import type { Grid, GridRow } from '../table/grid';
import { readNumberCell } from '../table/numbers';
import { gridOfList, withOthers } from './listed';
import { withoutMarks } from './markup';

/** What stands around an entry in programs and lists: bullets, brackets, the word of a definition, the part's own letters, a comma. */
const AROUND = /^(?:[-*•]\s+|#\s?define\s+|[A-Z]{1,2}\d{1,3}\s+(?=pin\s)|[([{]\s*)+|[,;\s)\]}]+$/gi;
const NUMBER = String.raw`["']?(?:(?:pin|ball|pad)s?\s*#?\s*)?(\d{1,4}|[A-Z]{1,2}\d{1,2}|EP)["']?`;
const NAME = String.raw`["']?([A-Za-z0-9_+\-−–/#~*.[\]]{1,40})["']?`;
const BETWEEN = String.raw`\s*(?:->|=>|→|[:=,(]|[-–—](?=\s))\s*|\s+`;
const REST = String.raw`[)]*(?:[\s:,;]+(?:[-–—]+(?=\s)|\/[/*]|#+)?\s*(\S.*)?)?`;
const NUMBER_FIRST = new RegExp(`^${NUMBER}(?:${BETWEEN})${NAME}${REST}$`, 'i');
const NAME_FIRST = new RegExp(`^${NAME}(?:${BETWEEN})${NUMBER}${REST}$`, 'i');

/** The title of a part of a list, `[POWER]`. */
const SECTION = /^\s*\[([A-Za-z][^\]]{0,40})\]\s*$/;

/** Fewer entries than this, or longer lines, are no list. */
const LEAST = 4;
const LONGEST = 400;
/** The least share of the lines that are entries, and of the numbers up to the largest that are there. */
const MOSTLY = 0.8;

/**
 * Entries of a number and a name, or a name and a number, in whatever signs they stand: `VDD = 1`, `1 -> VDD`, `"1": "VDD",`.
 * Only where the numbers count through: a list of settings does not. Undefined for other texts.
 */
export function countedGrid(lines: readonly string[]): Grid | undefined {
  if (lines.some((l) => l.length > LONGEST)) return undefined;
  const filled = lines.flatMap((text, i) => {
    const whole = withoutMarks(text.trim());
    const bare = whole.replace(AROUND, '').replace(/\*\/$/, '').trim();
    // A bracket that opens in the words closes in them: `status (low = charging)`.
    const plain = /\([^()]*$/.test(bare) && whole.includes(`${bare})`) ? `${bare})` : bare;
    return /\w/.test(plain) && !SECTION.test(text) ? [{ plain, line: i + 1 }] : [];
  });
  if (filled.length < LEAST) return undefined;
  const read = (form: RegExp, number: number, name: number) =>
    filled.flatMap(({ plain, line }): GridRow[] => {
      const m = form.exec(plain);
      return m ? [{ line, cells: [m[number]!, m[name]!, (m[3] ?? '').trim()] }] : [];
    });
  const isWhole = (rows: GridRow[]) =>
    rows.length >= LEAST && rows.length >= MOSTLY * filled.length && countsThrough(rows) && rows.every((r) => /[A-Za-z]/.test(r.cells[1]!));
  const lists = filled.flatMap(({ plain, line }) => listOf(plain, line));
  const isList = lists.length >= LEAST && lists.length >= MOSTLY * filled.length && isWhole(lists.flatMap(eachOf));
  const single = [read(NUMBER_FIRST, 1, 2), read(NAME_FIRST, 2, 1)].find(isWhole);
  // `VDD = 1, 2` is one entry of two numbers, and none of one with a remark.
  const rows = isList && lists.flatMap(eachOf).length > (single?.length ?? 0) ? lists : single && withoutPrefix(single);
  if (!rows) return undefined;
  const taken = new Set(rows.map((r) => r.line));
  const others = filled.flatMap(({ plain, line }) => (taken.has(line) ? [] : [{ line, cells: [plain] }]));
  return withSections(withOthers(gridOfList(rows), others), lines);
}

/** The same with the titles of its parts. */
function withSections(grid: Grid, lines: readonly string[]): Grid {
  const titles = lines.flatMap((text, i): GridRow[] => {
    const title = SECTION.exec(text)?.[1];
    return title === undefined ? [] : [{ line: i + 1, cells: [title] }];
  });
  return { ...grid, rows: [...grid.rows, ...titles].sort((a, b) => a.line - b.line) };
}

/** `GND pins (3): A1, B2, C3`: a name and all of its numbers. */
const NAME_LIST =
  /^["']?([A-Za-z0-9_+\-/#~*.]{1,40})["']?(?:\s+(?:pins?|balls?|pads?))?(?:\s*\(\d{1,3}\))?\s*[:=]\s*\[?([^:=\]]{1,300})\]?$/i;

function listOf(plain: string, line: number): GridRow[] {
  const [, name = '', numbers = ''] = NAME_LIST.exec(plain) ?? [];
  return name !== '' && readNumberCell(numbers.trim()).kind === 'list' ? [{ line, cells: [numbers.trim(), name, ''] }] : [];
}

/** A row for each number of a list. */
function eachOf(row: GridRow): GridRow[] {
  const read = readNumberCell(row.cells[0]!);
  return read.kind === 'list' ? read.numbers.map((n) => ({ ...row, cells: [n, ...row.cells.slice(1)] })) : [];
}

/** Numbers that are each there once, and hardly one of them missing; of balls, several in each row of the grid. */
export function countsThrough(rows: readonly GridRow[]): boolean {
  const numbers = rows.map((r) => r.cells[0]!).filter((n) => n !== 'EP');
  if (new Set(numbers).size < numbers.length || numbers.some((n) => readNumberCell(n).kind !== 'list')) return false;
  const figures = numbers.filter((n) => /^\d+$/.test(n)).map(Number);
  if (figures.length === numbers.length) return figures.length >= MOSTLY * figures.reduce((a, b) => Math.max(a, b), 0);
  const letters = new Set(numbers.map((n) => n.replace(/\d+$/, '')));
  return figures.length === 0 && letters.size > 1 && numbers.length >= 2 * letters.size;
}

/** A program's names without what it writes before each, `PIN_VDD`. */
function withoutPrefix(rows: GridRow[]): GridRow[] {
  const isOf = rows.every((r) => /^PINS?_./i.test(r.cells[1]!));
  return isOf ? rows.map((r) => ({ ...r, cells: [r.cells[0]!, r.cells[1]!.replace(/^PINS?_/i, ''), r.cells[2]!] })) : rows;
}

/** What a paragraph of a terminal begins with: `Pin 3 - VDD`, `VDD (pin 3)`. */
const ENTRY = /^\s*(?:(?:pin|ball|terminal)s?\s*#?[A-Z]{0,2}\d{1,4}\b|\S{1,30}\s*\((?:pin|ball|terminal)s?\s)/i;

/** A longer paragraph is prose. */
const LONGEST_PARAGRAPH = 4000;

/** Paragraphs whose first lines are entries, `VDD (pin 1)` over its words, each as one line; other texts as they are. */
export function paragraphsAsLines(lines: readonly string[]): readonly string[] {
  const out = lines.map(() => '');
  let at = -1;
  for (const [i, line] of lines.entries()) {
    if (line.trim() === '') at = -1;
    else if (at < 0 || ENTRY.test(line)) out[(at = i)] = line;
    else out[at] += `${/[-:–—]\s*$/.test(lines[i - 1]!) ? ' ' : ': '}${line.trim()}`;
    if (at >= 0 && out[at]!.length > LONGEST_PARAGRAPH) return lines;
  }
  return out;
}
