import type { Grid, GridRow } from '../table/grid';
import { readNumberCell } from '../table/numbers';
import { isTypeCode } from '../understand/type-codes';
import { countsThrough } from './counted';
import { filledLines, gridOfList, listedGrid } from './listed';
import { fromMarkup } from './markup';

/** `VDD (1, 8), GND (4, 5)`: a whole pinout in a line. */
const BEHIND_NAMES = /(?<name>[^\s(),;]{1,40})\s*\((?<number>[^()]{1,80})\)\s*(?:[,;.]|\band\b|$)\s*/gi;
/** `1=VDD, 2=GND` and `1:VDD 2:GND`. */
const BEFORE_NAMES = /(?:\b(?:pin|p)[ _]?)?(?<number>[A-Z]{0,2}\d{1,4})\s*[=:]\s*(?<name>[^\s,;]{1,40})(?:\s*[,;|]|\s|$)\s*/gi;
/**
 * A line of a package drawn with signs, `OUT1 1|    |8 VCC`, its numbers outside or inside of its bars, or of a header with both
 * contacts of each line, `1 VTREF   2 SWDIO` and `VTREF 1 | 2 SWDIO`.
 */
const DRAWN = [
  /^\s*(?<left>\S+)\s+(?<a>\d{1,3})\s*[|+\]].*[|+[]\s*(?<b>\d{1,3})\s+(?<right>\S+)\s*$/,
  /^\s*(?<left>\S+)\s*[-o=]*\s*\|\s*(?<a>\d{1,3})\b.*\b(?<b>\d{1,3})\s*\|\s*[-o=]*\s*(?<right>\S+)\s*$/,
  /^\s*\|?\s*(?<a>\d{1,3})[.:)]?\s+(?<left>\S+)\s{2,}\|?\s*(?<b>\d{1,3})[.:)]?\s+(?<right>\S+)\s*\|?\s*$/,
  /^\s*(?<left>\S+)\s+\(?(?<a>\d{1,3})\)?\s*(?:[|o*·.=[\]-]\s*){1,6}\(?(?<b>\d{1,3})\)?\s+(?<right>\S+)\s*$/,
];
/** The same without any sign, `VDD 1 8 OUT`: only where the numbers of each line add up to the same. Elements of a circuit look so too. */
const BARE = /^\s*(?<left>\S*[A-Za-z]\S*)\s+(?<a>\d{1,3})\s+(?<b>\d{1,3})\s+(?<right>[A-Za-z~/_+-]\S*)\s*$/;
const FEWEST_BARE = 3;

/** More lines than this are no drawing of one package, and longer ones are none of its rows. */
const MOST_LINES = 400;
const LONGEST = 200;

/** A package that is drawn with signs: both leads of each line. */
export function drawnGrid(given: string[]): Grid | undefined {
  if (given.length > MOST_LINES) return undefined;
  const lines = fromMarkup(given);
  const isAcross = areAcross(lines);
  const rows = lines.flatMap((text, i): GridRow[] => {
    if (text.length > LONGEST || !/\d/.test(text)) return [];
    const { left, a, b, right } = (isAcross ? BARE.exec(text)?.groups : undefined) ?? DRAWN.map((form) => form.exec(text)?.groups).find((parts) => parts !== undefined) ?? {}; // prettier-ignore
    return left && a && b && right ? [{ line: i + 1, cells: [a, left, ''] }, { line: i + 1, cells: [b, right, ''] }] : []; // prettier-ignore
  });
  // `(CS) 1 |`: brackets around every name are none of it.
  if (rows.every((r) => /^\([^()]+\)$/.test(r.cells[1]!))) for (const r of rows) r.cells[1] = r.cells[1]!.slice(1, -1);
  const sorted = [...rows].sort((x, y) => Number(x.cells[0]) - Number(y.cells[0]));
  const isWhole = rows.length >= 4 && sorted.every((r, i) => Number(r.cells[0]) === i + 1);
  return isWhole ? gridOfList(sorted) : undefined;
}

/** True where lines without signs have the leads of two rows that count against each other. */
function areAcross(lines: readonly string[]): boolean {
  const sums = lines.flatMap((text) => {
    const { a, b } = (text.length > LONGEST ? undefined : BARE.exec(text)?.groups) ?? {};
    return a === undefined ? [] : [Number(a) + Number(b)];
  });
  return sums.length >= FEWEST_BARE && new Set(sums).size === 1;
}

/** More lines than this are no pinout in a line. */
const MOST_OF_LINE = 4;

/** A pinout that stands in one line, or a few of them. */
export function lineGrid(lines: readonly string[]): Grid | undefined {
  const filled = filledLines(lines);
  if (filled.length > MOST_OF_LINE || filled.some(({ text }) => text.length > MOST_OF_LINE * LONGEST)) return undefined;
  for (const form of [BEHIND_NAMES, BEFORE_NAMES]) {
    const rows = filled.flatMap(({ text, line }) =>
      [...text.matchAll(form)]
        .map((m) => ({ line, cells: [m.groups!['number']!, m.groups!['name']!, ''] }))
        .filter((row) => readNumberCell(row.cells[0]!).kind === 'list'),
    );
    const isWhole = ({ text }: (typeof filled)[number]) => text.replace(form, '').length <= 0.2 * text.length;
    // A title may stand above.
    const isAll = filled.every((f, i) => isWhole(f) || (i === 0 && filled.length > 1 && !/[=:(]/.test(f.text)));
    const areTerminals = form === BEHIND_NAMES || (countsThrough(rows) && rows.every((r) => /[A-Za-z]/.test(r.cells[1]!)));
    if (rows.length >= 3 && isAll && areTerminals) return gridOfList(rows);
  }
  return semicolonGrid(filled);
}

/** `Pins: 1, 2 = PVIN; 3 = GND; PAD = GND`: the entries of a list one behind the other. */
function semicolonGrid(filled: readonly { text: string; line: number }[]): Grid | undefined {
  const parts = filled.flatMap(({ text, line }) =>
    text
      .replace(/^[A-Za-z .]{2,30}:\s*(?=\S)/, '')
      .split(/;\s*/)
      .map((part) => ({ part, line })),
  );
  const grid = parts.length > 2 ? listedGrid(parts.map(({ part }) => part)) : undefined;
  return grid && { ...grid, rows: grid.rows.map((r) => ({ ...r, line: parts[r.line - 1]?.line ?? 0 })) };
}

/** A number and a name, so often as a line has room: `A1 VDD   A2 GND`, `1 CMD 2 DAT3 3 VSS`; or the name first. */
const SEVERAL = [
  { number: 0, name: 1 },
  { number: 1, name: 0 },
];
const IS_NUMBER = /^[[(]?(?:\d{1,3}|[A-Z]{1,2}[1-9]\d?)[\].:)]?$/;

const lastOfLines = (rows: readonly GridRow[]): GridRow[] => rows.filter((r, i) => rows[i + 1]?.line !== r.line);

/** The cells of a line between commas, or its words, without the word for a terminal before each number. */
function wordsOf(text: string): string[] {
  const plain = text.replace(/\b(?:pin|ball|no\.)\s*(?=[A-Z]{0,2}\d)/gi, '');
  const cells = /\s/.test(plain) ? plain.split(/(?:[,;|]?\s)+\|?\s*/) : plain.split(/[,;]/);
  return cells.filter((w) => w !== '');
}

/**
 * Lines that each hold several terminals and nothing else, words in pairs of a number and a name. Only where each number is there
 * once and hardly one is missing: rows of figures have such pairs too.
 */
export function severalGrid(lines: readonly string[]): Grid | undefined {
  if (lines.length > MOST_LINES) return undefined;
  const filled = filledLines(lines)
    .filter(({ line }) => lines[line - 1]!.length <= LONGEST)
    .map(({ text, line }) => ({ words: wordsOf(text), line }));
  for (const { number, name } of SEVERAL) {
    const isOne = (words: readonly string[]) => IS_NUMBER.test(words[number]!) && /[A-Za-z]/.test(words[name]!);
    const rows = filled.flatMap(({ words, line }): GridRow[] => {
      const pairs = Array.from({ length: Math.floor(words.length / 2) }, (_, i) => words.slice(2 * i, 2 * i + 2));
      return words.length % 2 === 0 && pairs.every(isOne) ? pairs.map((pair) => ({ line, cells: [pair[number]!.replace(/[[\].:()]/g, ''), pair[name]!, ''] })) : []; // prettier-ignore
    });
    const lineCount = new Set(rows.map((r) => r.line)).size;
    const areSeveral = lineCount >= 2 && lineCount >= filled.length - 1 && rows.length > 1.5 * lineCount;
    // A second package and the codes of types are pairs as well.
    const last = lastOfLines(rows).map((r) => r.cells[1]!);
    const areNames = !last.every(isTypeCode) || new Set(last).size === last.length;
    // Whether they count along the lines or down the columns, the figures have one order.
    if (areSeveral && areNames && countsThrough(rows))
      return gridOfList([...rows].sort((a, b) => Number(a.cells[0]) - Number(b.cells[0]) || 0));
  }
  return undefined;
}
