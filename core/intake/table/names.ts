import type { Doubt } from '../../part';

/** Footnote marks that a document uses, found in its text around the table. */
export interface Notes {
  /** `1` for a line that starts with (1), [1] or ¹; `*` for a line that starts with an asterisk. */
  marks: ReadonlySet<string>;
  /** Stems that have several bracketed indices, `D` of D(0), D(1): there the brackets are no footnotes. */
  vectors: ReadonlySet<string>;
  /** Several names end with the dash of an empty column beside theirs. */
  haveDashes?: boolean;
}

/** The dash of an empty column that was read with a name. */
export const DASH_BEHIND = /\s[–—-]$/;

const BRACKETED = /^(.+?)\s?[([<](\d{1,3})[)\]>]$/;
const SUPERSCRIPTS = /(?:[¹²³⁰-⁹⁽⁾ᵃ-ᶠ†‡§﹡]+|⁽[^⁾]*⁾|⁽[¹²³⁰-⁹]{1,2}\))(?:\s*,\s*[¹²³⁰-⁹⁽⁾ᵃ-ᶠ†‡§﹡]+)*$/;

/** A note's mark that something stands behind. */
const MARK_WITHIN = /[⁰¹²³⁴-⁹⁽⁾]|\(\d\) /;

export function findVectors(names: string[]): Set<string> {
  const indices = new Map<string, Set<string>>();
  for (const name of names) {
    const match = BRACKETED.exec(name.trim());
    if (match) indices.set(match[1]!, (indices.get(match[1]!) ?? new Set()).add(match[2]!));
  }
  return new Set([...indices].filter(([, seen]) => seen.size > 1).map(([stem]) => stem));
}

/** A doubt whether a mark belongs to the name: `name` without it, `printed` with it. */
export const markDoubt = (name: string, printed: string): Doubt => ({
  field: 'name',
  reason: `“${printed}” could carry a footnote mark or an index.`,
  candidates: [name, printed],
});

/** Takes footnote marks off a name and collapses white space. `unsure` where a mark could belong to the name. */
export function cleanName(
  text: string,
  notes: Notes,
): { name: string; overbar: boolean; partly?: boolean; behind?: boolean; unsure?: string } {
  // Most names are plain words, which no note or bar can hide in.
  if (/^[A-Za-z][A-Za-z0-9_]*$/.test(text)) return { name: text, overbar: false };
  const spaced = text.replace(/\s+/g, ' ').trim();
  const { overbar, partly, behind } = readBar(spaced);
  let name = spaced
    .replace(/[\u0305\u0304\u0332]/g, '')
    .replace(SUPERSCRIPTS, '')
    .trim();
  let unsure: string | undefined;
  const bracket = BRACKETED.exec(name);
  if (bracket && !notes.vectors.has(bracket[1]!) && !/[:.]/.test(bracket[2]!)) {
    const known = notes.marks.has(bracket[2]!);
    if (known || name.endsWith(')')) {
      if (!known) unsure = name;
      name = bracket[1]!;
    }
  }
  // Braces are a program's marks around names, and no part of any.
  if (/[{}]/.test(name) || MARK_WITHIN.test(name)) unsure = name;
  if (name.endsWith('*') && notes.marks.has('*')) name = name.slice(0, -1).trim();
  return { name, overbar, ...(partly ? { partly } : {}), ...(behind ? { behind } : {}), ...(unsure === undefined ? {} : { unsure }) };
}

/**
 * Whether a name stands under an overbar. In `PA0/RST` with a bar over RST only, the printed name itself is not low-active;
 * `partly` where a bar covers some of it, as in `R/W` with a bar over W: that says two things; `behind` where one stands over
 * another name only.
 */
function readBar(text: string): { overbar: boolean; partly: boolean; behind?: boolean } {
  const share = (part: string) => {
    const bars = part.match(/[\u0305\u0304\u0332]/g)?.length ?? 0;
    return bars / Math.max(1, part.replace(/[\u0305\u0304\u0332]|[^A-Za-z0-9\u0305]/g, '').length);
  };
  const parts = text.split('/');
  const [main = ''] = parts;
  const isShort = parts.length > 1 && parts.some((p) => p.replace(/\u0305/g, '').trim().length <= 1);
  const shares = parts.map(share);
  if (shares.every((s) => s === 0)) return { overbar: false, partly: false };
  if (isShort) return { overbar: shares.every((s) => s > 0.7), partly: !shares.every((s) => s > 0.7) };
  return { overbar: share(main) > 0.6, partly: share(main) > 0 && share(main) < 0.75, behind: share(main) === 0 };
}

const INDEX_RANGE = /^(.*?)\s?[[(<](\d{1,4})\s*(?::|-|–|—|\.\.+|…|to)\s*(\d{1,4})[\])>](.*)$/;
const NAME_RANGE = /^(.*?)(\d{1,4})([A-Z+\-−_]*)\s*(?:–|—|-|−|to|thru|through|\.\.+|…|~|:)\s*(.*?)(\d{1,4})([A-Z+\-−_]*)$/i;

/** A word in small letters and one thing more. */
const IN_WORDS = /^[A-Z]?[a-z]{3,} (?:[A-Z0-9]|[a-z]+)$/;

/**
 * The names in a name cell: a bus range as its elements in the printed direction, a list as its members.
 * `D0–D7` and `D[7:0]` give eight names; anything else is one name.
 */
export function expandNames(cell: string, numbers: number): string[] {
  if (numbers < 2 && /^\w+$/.test(cell)) return [cell];
  const vector = INDEX_RANGE.exec(cell);
  if (vector) return run(Number(vector[2]), Number(vector[3])).map((i) => `${vector[1]}${i}${vector[4]}`);
  const ranged = namesInRange(cell, numbers) ?? namesByLetters(cell, numbers);
  if (ranged) return ranged;
  // A narrow column may break the second name in two: `TEST1–TE` over `ST2`.
  const unbroken = numbers > 1 && /\s/.test(cell) ? namesInRange(cell.replace(/\s+/g, ''), numbers) : undefined;
  if (unbroken?.length === numbers) return unbroken;
  const listed = cell.split(/\s*[,;]\s*/).filter((n) => n !== '');
  if (listed.length > 1 && (listed.length === numbers || listed.every((n) => /^[^\s]+$/.test(n)))) return listed;
  if (numbers > 1) {
    const split = cell.split(/\s*[/\s]\s*/).filter((n) => n !== '');
    // `Winding A` of two terminals is one name of words.
    if (split.length === numbers && !IN_WORDS.test(cell)) return split;
  }
  return [cell];
}

/** `QD-QF` and `QD to F`: a range by its letters, where there are as many of them as numbers. */
const LETTER_RANGE = /^(\S{0,12}?)([A-Z])\s*(?:–|—|-|−|to|thru|through|\.\.+|…|~)\s*(\S{0,12}?)([A-Z])$/;

function namesByLetters(cell: string, numbers: number): string[] | undefined {
  const [, stem = '', from = '', again = '', to = ''] = LETTER_RANGE.exec(cell) ?? [];
  const codes = run(from.charCodeAt(0), to.charCodeAt(0));
  return from !== '' && from !== to && (again === stem || again === '') && codes.length === numbers
    ? codes.map((code) => `${stem}${String.fromCharCode(code)}`)
    : undefined;
}

function namesInRange(cell: string, numbers: number): string[] | undefined {
  const range = NAME_RANGE.exec(cell);
  if (!range) return undefined;
  const [, stem = '', from, suffix = '', stem2 = '', to, suffix2 = ''] = range;
  const sameStem = stem2 === stem || (stem2 === '' && stem !== '');
  const names = run(Number(from), Number(to)).map((i) => `${stem}${i}${suffix}`);
  // `D0-7` alone could be a name with a dash in it; the count of numbers decides.
  return sameStem && suffix === suffix2 && (stem2 !== '' || names.length === numbers) ? names : undefined;
}

const run = (from: number, to: number): number[] => {
  const step = from <= to ? 1 : -1;
  const length = Math.min(Math.abs(to - from) + 1, 2000);
  return Array.from({ length }, (_, i) => from + i * step);
};

/** Alternate functions printed with a name: `PA0/ADC0/TIM1` has ADC0 and TIM1, and `PA0(ADC0/TIM1)` has. `R/W` and `/CS` have none. */
export function alternatesIn(name: string): string[] {
  if (!name.includes('/')) return [];
  const within = IN_BRACKETS.exec(name)?.[1];
  const parts = (within ?? name).split('/').map((p) => p.trim());
  if (parts.length < 2 || parts.some((p) => p.length < 2)) return [];
  return within === undefined ? parts.slice(1) : parts;
}

/** `PA0(ADC0/TIM1)`: all strokes stand in brackets at the end of a name. */
const IN_BRACKETS = /^[^/()]+\(([^()]{1,80})\)$/;

/** Cells of an alternates column: `ADC0, TIM1_CH1`. */
export const listAlternates = (cell: string): string[] =>
  cell === ''
    ? []
    : cell
        .split(/[,;/\n]+|\s{2,}/)
        .map((p) => p.trim())
        .filter((p) => p !== '' && !LEVEL.test(p));

/** What a terminal is tied to, or a dash: no function of it. */
const LEVEL = /^(?:[-–—]|open|float(?:ing)?|high|low|tied? (?:high|low)|h|l|hi-?z|x|0|1|v(?:dd|cc|ss)|gnd|n\.?c\.?)$/i;

/** The first of several names, `RXD3` of `RXD3/PHYAD0`; a name that begins with a stroke is whole. */
export function firstName(name: string): string {
  const end = name.indexOf('/');
  return end > 0 ? name.slice(0, end).trimEnd() : name;
}
