import type { GridRow } from '../table/grid';
import { tenths, unite, type Box } from '../table/box';
import type { FoundTable } from '../table/found-table';
import type { ReadOptions, TableChoice } from '../proposal';
import { textOf, usualGap, type Line } from './lines';
import type { Ready } from './ready';
import { regionsOf, shortColumns, type Region } from './regions';
import { boxOf, type Word } from './words';

/**
 * Terminals that a datasheet describes in paragraphs and lists in no table:
 *
 * ```
 * VIN (Pin 1): Input supply. Bypass it to ground …
 * GND (Pins 2, 5, Exposed Pad Pin 9): Ground. …
 * SW (Pin 3/Pin 4): Switch node …                       with two packages, named in the heading: (DFN/MSOP)
 * Pin 4 (EN): Enable input …                            or the other way round
 * ```
 *
 * A paragraph begins with the name and, in brackets, the numbers; it goes on to the next such beginning, to a wide gap
 * or to a larger heading, also over the end of a text column. The paragraphs are given as a table of three columns or
 * more, so that from there on they are read as any other.
 */
export interface Described {
  table: FoundTable;
  choice: TableChoice;
}

const KIND = String.raw`(?:pins?|leads?|balls?|terminals?)`;
const NUMBERS = String.raw`(?:n\.?/?a\.?\s*/\s*)?(?:exposed\s+pad\s*[,;/]?\s*)?${KIND}\b[^()]{0,90}|exposed\s+pad`;
const START = new RegExp(String.raw`^(\S(?:.{0,40}?\S)?)\s*\(\s*(${NUMBERS})\s*\)\s*(?:[:.–—-]+\s*(.*)|)$`, 'i');
const OPENS = new RegExp(String.raw`^\S.{0,40}\(\s*(?:exposed\s+pad\s*)?${KIND}\b[^()]*$`, 'i');
/** The other way round; a sentence may begin so, and then has no colon or dash behind the brackets. */
const TURNED = new RegExp(
  String.raw`^(${KIND}\s+(?:nos?\.?\s*)?[A-Z]{0,2}\d[^()]{0,40}?)\s*\(\s*([^()]{1,40}?)\s*\)\s*[:–—-]+\s*(.*)$`,
  'i',
);
/** Fewer paragraphs than this are remarks on single terminals. */
const LEAST = 3;

interface Entry {
  name: string;
  /** The numbers in each package. */
  numbers: string[];
  description: string;
  page: number;
  /** The text column that it begins in, counted over all pages. */
  column: number;
  boxes: (Box | undefined)[];
  all: Box;
}

/** True for a page's text that has such paragraphs. */
export const hasDescribed = (text: string): boolean =>
  [
    String.raw`\(\s*(?:exposed\s+pad\s*)?${KIND}\s+[A-Z]{0,2}\d`,
    String.raw`${KIND}\s+[A-Z]{0,2}\d[^()]{0,40}\([^()]{1,40}\)\s*[:–—-]`,
  ].some((begins) => (text.match(new RegExp(begins, 'gi')) ?? []).length >= LEAST);

/** The terminals that are described in paragraphs; undefined where there are none. */
export function describedTable(ready: readonly Ready[], options: ReadOptions): Described | undefined {
  const entries: Entry[] = [];
  let column = 0;
  let packages: string[] = [];
  for (const r of ready) {
    if (options.page !== undefined && r.page.number !== options.page) continue;
    const regions = regionsOf(r.page, r.lines);
    for (const region of regions.length === 1 ? shortColumns(regions[0]!, r.page.width) : regions) {
      packages = packages.length > 0 ? packages : packagesNamed(region);
      readRegion(region, column++, r.back, entries);
    }
  }
  if (entries.length < LEAST) return undefined;
  const width = Math.max(...entries.map((e) => e.numbers.length));
  const names = packages.length === width ? packages : Array.from({ length: width }, (_, i) => (width === 1 ? '' : `package ${i + 1}`));
  const columns: FoundTable['columns'] = [
    ...names.map((packageName) => ({ role: 'number' as const, heading: packageName || 'Pin', packageName })),
    { role: 'name', heading: 'Name', packageName: '' },
    { role: 'description', heading: 'Description', packageName: '' },
  ];
  const rows = entries.map((e, i): GridRow => ({
    line: i + 1,
    // One number for all packages stands once.
    cells: [...names.map((_, k) => e.numbers[k] ?? e.numbers[0]!), e.name, e.description],
    place: { page: e.page, boxes: [...names.map(() => e.boxes[0]), e.boxes[1], e.boxes[2]] },
  }));
  // A text column has an outline of its own: what stands beside it is not read.
  const areas = [...new Set(entries.map((e) => e.column))].map((own) => {
    const inside = entries.filter((e) => e.column === own);
    return { page: inside[0]!.page, box: tenths(unite(inside.map((e) => e.all))!), columns: [] };
  });
  return {
    table: { columns, rows, around: [], headerLine: undefined },
    choice: { title: 'Described in paragraphs', page: entries[0]!.page, rows: rows.length, taken: true, columns, areas },
  };
}

/** `PIN FUNCTIONS (DFN/MSOP)`: the packages in the order in which their numbers stand. */
function packagesNamed(region: Region): string[] {
  for (const line of region.lines) {
    const named = /^pin (?:functions?|descriptions?)\b.*\(([A-Z][\w-]*(?:\s*\/\s*[A-Z][\w-]*)+)\)\s*$/i.exec(textOf(line))?.[1];
    if (named) return named.split('/').map((n) => n.trim());
  }
  return [];
}

function readRegion(region: Region, column: number, back: Ready['back'], entries: Entry[]): void {
  const { lines } = region;
  const pitch = usualGap(lines);
  let isOpen = entries.length > 0 && !/[.:]$/.test(entries.at(-1)!.description);
  for (let at = 0; at < lines.length; at++) {
    const line = lines[at]!;
    // The brackets can run on to the next line.
    const isCut = OPENS.test(textOf(line)) && lines[at + 1] !== undefined;
    const words = isCut ? [...line.words, ...lines[at + 1]!.words] : line.words;
    const begun = entryOf(words, region.page, column, back);
    if (begun) {
      entries.push(begun);
      isOpen = true;
      if (isCut) at++;
      continue;
    }
    const above = lines[at - 1];
    const isApart = above !== undefined && line.base - above.base > 1.9 * Math.max(pitch, 1.15 * line.size);
    if (isApart || (above && line.size > 1.25 * above.size)) isOpen = false;
    const last = entries.at(-1);
    if (isOpen && last) goOn(last, line, back);
  }
}

function entryOf(words: readonly Word[], page: number, column: number, back: Ready['back']): Entry | undefined {
  const text = words.map((w) => w.text).join(' ');
  const [, number = '', called = '', said = ''] = TURNED.exec(text) ?? [];
  const isTurned = number !== '';
  const [, name = '', inside = '', rest = ''] = isTurned ? ['', called, number, said] : (START.exec(text) ?? []);
  const isName = /[A-Z0-9]/.test(name) && name.split(/\s+/).length <= 4 && !/[.;:]$/.test(name);
  if (name === '' || !isName) return undefined;
  const open = words.findIndex((w) => w.text.includes('('));
  const close = words.findIndex((w, i) => i >= open && w.text.includes(')'));
  const boxOfAll = (list: readonly Word[]) => {
    const box = unite(list.map(boxOf));
    return box && tenths(back(box));
  };
  const before = words.slice(0, words[open]!.text.startsWith('(') ? open : open + 1);
  const bracketed = words.slice(open, close + 1);
  const [numberWords, nameWords] = isTurned ? [before, bracketed] : [bracketed, before];
  return {
    name,
    numbers: numbersOf(inside),
    description: rest,
    page,
    column,
    boxes: [boxOfAll(numberWords), boxOfAll(nameWords), boxOfAll(words.slice(close + 1))],
    all: boxOfAll(words)!,
  };
}

/** `Pins 2, 5, Exposed Pad Pin 9` is 2, 5, 9; `Pin 3/Pin 4` is 3 in one package and 4 in the other. */
function numbersOf(inside: string): string[] {
  const plain = (text: string): string => {
    const numbers = text.replace(new RegExp(String.raw`\b${KIND}\b|\bexposed\s+pad\b|\bnos?\.?(?=\s|$)|#`, 'gi'), ' ');
    const list = numbers
      .replace(/\band\b|&/gi, ',')
      .replace(/\s+/g, ' ')
      .trim();
    const tidy = list.replace(/^[,;\s]+|[,;\s]+$/g, '').replace(/\s*[,;]\s*(?:[,;]\s*)*/g, ', ');
    return tidy === '' ? 'EP' : /^n\.?\/?a\.?$/i.test(tidy) ? '–' : tidy;
  };
  const parts = /n\/a/i.test(inside) ? inside.split(/\/(?!a)/i) : inside.split('/');
  return parts.map(plain);
}

function goOn(entry: Entry, line: Line, back: Ready['back']): void {
  const text = textOf(line);
  const isBroken = /[a-z]-$/.test(entry.description) && /^[a-z]/.test(text);
  entry.description = isBroken ? entry.description.slice(0, -1) + text : `${entry.description} ${text}`.trim();
  const own = tenths(back(unite(line.words.map(boxOf))!));
  // A box is on one page: what goes on in the next column or page is not in it.
  const isNear = own[1] >= entry.all[1] && own[0] < entry.all[0] + entry.all[2] + 40;
  if (!isNear) return;
  entry.boxes[2] = tenths(unite([...(entry.boxes[2] ? [entry.boxes[2]] : []), own])!);
  entry.all = tenths(unite([entry.all, own])!);
}
