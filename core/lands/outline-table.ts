/** One dimension of a package's outline, in mm, with the line of the datasheet that gives it. */
export interface Dimension {
  min?: number;
  nom?: number;
  max?: number;
  line: string;
}

/**
 * The letters of a package outline, as JEDEC Publication 95 uses them: A height, b width of a lead or a ball, D and E the
 * package along and across its first row of leads (over the leads where there are any), D1 and E1 its body, D2 and E2 its
 * exposed pad, e the pitch, L the length of a foot, N the count. Older ones have E for the body and H over the leads.
 */
const LETTERS = ['A', 'b', 'D', 'E', 'D1', 'E1', 'D2', 'E2', 'H', 'e', 'L', 'N'] as const;
export type Letter = (typeof LETTERS)[number];
export type Outline = Partial<Record<Letter, Dimension>>;

const MM_PER_INCH = 25.4;
/** Cells of a line stand this many blanks apart, at least. */
const CELLS = / {3,}|\t|\|/;
const VALUE = /^\d*\.?\d+$/;
/** What stands after a value and says no more than its column does. */
const REMARK = /^(?:BSC|REF|TYP|NOM|MAX|MIN|mm)\.?$/i;
const BLANK = /^[-–—]+$/;
const BETWEEN = /^(\d*\.?\d+)\s*(?:to|[-–~])\s*(\d*\.?\d+)$/;
const ABOUT = /^(\d*\.?\d+)\s*(?:±|\+\/-)\s*(\d*\.?\d+)$/;

/** What a table without letters calls a dimension; the first that fits is it. */
const CALLED: readonly [RegExp, Letter][] = [
  [/exposed|thermal pad/i, 'D2'],
  [/\bpitch\b/i, 'e'],
  [/\b(number|count) of (leads|pins|terminals|balls)\b/i, 'N'],
  [/\b(overall|total|package|maximum) height\b|^height\b|seated height/i, 'A'],
  [/\b(lead span|over the leads|tip to tip|overall width)\b/i, 'E'],
  [/\b(body|mou?lded package|package) width\b/i, 'E1'],
  [/\b(body|mou?lded package|package) length\b|\boverall length\b/i, 'D'],
  [/\b(lead|terminal|contact) width\b|\bball (diameter|width)\b/i, 'b'],
  [/\b(foot|lead|terminal|contact) length\b/i, 'L'],
];

/**
 * The dimensions that a page's table of a package outline gives, in mm, by their letters or else by what they are called.
 * The page's lines have their cells three blanks apart. A table in millimetres and inches is read in millimetres; one that
 * says only inches is converted. A letter that stands twice with other values is left out: it belongs to two packages.
 */
export function readOutline(page: string): Outline {
  const lines = page.split('\n');
  const inInches = /\binch(es)?\b/i.test(page) && !/\bmm\b|millimet/i.test(page);
  const outline: Outline = {};
  const twice = new Set<Letter>();
  const readings = lines.flatMap((line, i) => lettersAbove(lines, i) ?? lettersBefore(line));
  for (const { letter, values, line } of readings) {
    const dimension = inMm(values, inInches && letter !== 'N', line);
    const before = outline[letter];
    if (before && KEYS.some((key) => before[key] !== dimension[key])) twice.add(letter);
    outline[letter] = before ?? dimension;
  }
  for (const letter of twice) delete outline[letter];
  return outline;
}

const KEYS = ['min', 'nom', 'max'] as const;
type Values = { min?: number; nom?: number; max?: number };

interface Reading {
  letter: Letter;
  values: Values;
  line: string;
}

/** A line with one letter before its values, or several. */
function lettersBefore(line: string): Reading[] {
  const cells = line.split(CELLS).flatMap((c) => withLetterApart(c.trim()));
  const starts = [...cells.keys()].filter((i) => lettersOf(cells[i]!).length > 0);
  const rows = starts.length > 0 ? starts.map((at, i) => cells.slice(at, starts[i + 1])) : [cells];
  return rows.flatMap((row) => {
    const called = starts.length > 0 ? lettersOf(row[0]!) : calledIn(row);
    const values = valuesOf(row.slice(starts.length > 0 ? 1 : 0));
    return values ? called.map((letter) => ({ letter, values, line: row.join('  ') })) : [];
  });
}

/** So many letters in a line are the heads of columns. */
const HEADS = 4;
/** A line of values under heads may begin with its unit or with which limit it gives. */
const LABEL = /^(?:unit|mm|min|nom|typ|max)\b\.?:?\s*/i;

/** A line of letters as heads, with their values in the lines under it: one, or the least and the most. */
function lettersAbove(lines: readonly string[], at: number): Reading[] | undefined {
  const piecesOf = (line: string | undefined): string[] => {
    let rest = line?.trim() ?? '';
    while (LABEL.test(rest)) rest = rest.replace(LABEL, '');
    const plain = rest.split(/\s+/).map((piece) => piece.replace(/\([^)]*\)$/, ''));
    return plain.filter((piece) => piece !== '');
  };
  const heads = piecesOf(lines[at]);
  if (!heads.every((h) => /^[A-Za-zθ]{1,2}\d?$/.test(h)) || heads.filter((h) => letterOf(h)).length < HEADS) return undefined;
  const under: string[][] = [];
  for (const line of lines.slice(at + 1, at + 4)) {
    const pieces = piecesOf(line);
    if (pieces.length !== heads.length || !pieces.every((p) => /^\d*\.?\d+°?$/.test(p))) break;
    under.push(pieces);
  }
  return heads.flatMap((head, i) => {
    const letter = letterOf(head);
    const found = [...new Set(under.map((pieces) => Number(pieces[i])))].sort((a, b) => a - b);
    return letter && found.length > 0 ? [{ letter, values: inOrder(found), line: `${head}  ${found.join('  ')}` }] : [];
  });
}

/** Letters that other outlines have for the same. */
const ALSO: Readonly<Record<string, Letter>> = { HE: 'H', B: 'b', bp: 'b' };

/** Letters as outlines write them: `e` and `b` are small, the others large. */
function letterOf(cell: string): Letter | undefined {
  const [head = ''] = cell.split(/[([]/);
  const plain = head.trim().replace(/[\u2080-\u2089]/g, (c) => String(c.charCodeAt(0) - 0x2080));
  return ALSO[plain] ?? LETTERS.find((l) => l === plain);
}

/** `D/E`: a square package has one line for both. */
function lettersOf(cell: string): Letter[] {
  const letters = cell.split(/[/,]/).map(letterOf);
  return letters.some((l) => l === undefined) ? [] : (letters as Letter[]);
}

/** `D 6.85 7.00`: a letter whose values stand near it. */
function withLetterApart(cell: string): string[] {
  const [, letter, values] = /^([A-Za-z]{1,2}\d?(?:[/,] ?[A-Za-z]\d?)?)\s+([\d.].*)$/.exec(cell) ?? [];
  return letter !== undefined && lettersOf(letter).length > 0 ? [letter, values!] : [cell];
}

function calledIn(cells: readonly string[]): Letter[] {
  const words = cells.filter((c) => /[a-z]{3}/i.test(c)).join(' ');
  const called = CALLED.find(([form]) => form.test(words))?.[1];
  if (called === undefined) return [];
  return [called === 'D2' && /width/i.test(words) ? 'E2' : called];
}

/** One to three values in a row, or twice as many where a second unit stands beside the first. */
function valuesOf(cells: readonly string[]): Values | undefined {
  const found: (number | undefined)[] = [];
  for (const cell of cells) {
    const range = BETWEEN.exec(cell);
    const about = ABOUT.exec(cell);
    // Narrow columns stand no farther apart than words do.
    const pieces = cell.split(/\s+/).filter((piece) => !REMARK.test(piece));
    if (range) found.push(Number(range[1]), undefined, Number(range[2]));
    else if (about) found.push(Number(about[1]) - Number(about[2]), Number(about[1]), Number(about[1]) + Number(about[2]));
    else if (pieces.every((piece) => VALUE.test(piece) || BLANK.test(piece)))
      found.push(...pieces.map((piece) => (BLANK.test(piece) ? undefined : Number(piece))));
    else if (found.length > 0) break;
  }
  const half = found.length / 2;
  const [left, right] = [found.slice(0, half), found.slice(half)];
  const isPair =
    found.length >= 2 && found.length % 2 === 0 && left.every((v, i) => isTwice(v, right[i])) && left.some((v) => v !== undefined);
  const own = isPair ? (left.find((v) => v !== undefined)! > right.find((v) => v !== undefined)! ? left : right) : found;
  if (own.length > 3 || own.every((v) => v === undefined)) return undefined;
  return inOrder(own);
}

/** One to three values in their order: the nominal one, the limits, or all. */
function inOrder(values: readonly (number | undefined)[]): Values {
  const keys = values.length === 1 ? (['nom'] as const) : values.length === 2 ? (['min', 'max'] as const) : KEYS;
  return Object.assign({}, ...keys.map((key, i) => named(key, values[i]))) as Values;
}

const named = (key: keyof Values, value: number | undefined): Values => (value === undefined ? {} : { [key]: value });

/** True where two values say the same length in millimetres and in inches, either way, or both are left out. */
function isTwice(a: number | undefined, b: number | undefined): boolean {
  if (a === undefined || b === undefined) return a === b;
  const [less, more] = [Math.min(a, b), Math.max(a, b)];
  // Inches are printed to three places, rounded or cut off: the last is this many millimetres.
  return Math.abs(less * MM_PER_INCH - more) <= 0.001 * MM_PER_INCH + 0.005;
}

function inMm(values: Values, isInches: boolean, line: string): Dimension {
  const mm = (v: number | undefined): number | undefined =>
    v === undefined ? undefined : Math.round(v * (isInches ? MM_PER_INCH : 1) * 1e3) / 1e3;
  return { ...named('min', mm(values.min)), ...named('nom', mm(values.nom)), ...named('max', mm(values.max)), line };
}

/** The value to draw by: the nominal one, else the middle of the limits, else the one limit that is given. */
export function nominal({ nom, min, max }: Dimension): number {
  if (nom !== undefined) return nom;
  if (min !== undefined && max !== undefined) return Math.round(((min + max) / 2) * 1e3) / 1e3;
  return (max ?? min)!;
}
