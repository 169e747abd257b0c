import { roleOfHeading, packageIn } from '../table/headings';
import { looksLikeNumbers } from '../table/numbers';
import { hasDescribed } from './described';
import { saysDrawing } from './drawing';
import { hasListed } from './listed';
import type { DocumentPage } from './page';
import { spacedWords } from './words';

/**
 * The pages that can hold a pin table or a ball map, by their text alone: only their ruled lines are worth fetching. A
 * page after such a page counts too while its lines begin with terminal numbers, as a table without repeated heads does.
 */
export function pagesWorthRuling(pages: readonly DocumentPage[]): number[] {
  let [before, wasDrawn] = [false, false];
  return pages.flatMap((page) => {
    const all = page.runs.map((r) => r.text.trim()).filter((t) => t !== '');
    const texts = [...all.filter((t) => t.length < LONG), ...all.flatMap(tightHeadings), ...spacedWords(page.runs)];
    const isDrawn = saysDrawing(all);
    const text = page.runs.map((r) => r.text).join(' ');
    const worth =
      hasHeadings(texts) || hasMap(texts) || isDrawn || hasDescribed(text) || hasListed(text) || (before && numbersIn(texts) >= 3);
    // The last row or two of a table can stand on a page of their own, and a list of names beside a drawing goes on there.
    const isLast = !worth && before && (numbersIn(texts) >= 1 || wasDrawn || texts.some((t) => PAD.test(t)));
    wasDrawn = isDrawn;
    before = worth;
    return worth || isLast ? [page.number] : [];
  });
}

/** The last row of many a table, which has no number. */
const PAD = /\b(exposed|thermal|ground|die) (pad|paddle)\b/i;

/** A run longer than this is prose, or headings that are set without a gap. */
const LONG = 40;

/** What stands over a column of numbers, or names, somewhere in a run of three words and more; any other run begins with a heading. */
const TIGHT = /^(?=\S+ \S+ \S).*\b(?:pin|ball|terminal|no\.?|number|name|symbol)s?\b/i;

/**
 * The headings in a run of words, `Pin Pin name Alternate function 1 Alternate function 2`; none in a sentence. In a short run
 * most words are headings, or it is a piece of one.
 */
function tightHeadings(text: string): string[] {
  if (text.length > 140 || !text.includes(' ')) return [];
  const words = text.split(/\s+/);
  if (text.length < LONG && !TIGHT.test(text) && [1, 2].every((n) => roleOfHeading(words.slice(0, n).join(' ')) === undefined)) return [];
  if (words.length > 18 || /[;,:]|(?<!\bn[or])\./i.test(text) || words.some((w) => w.length > 16)) return [];
  const parts = words.flatMap((_, i) => [1, 2, 3].map((n) => words.slice(i, i + n).join(' ')));
  const heads = parts.filter((p) => roleOfHeading(p) !== undefined);
  const covered = new Set(heads.flatMap((p) => p.split(' ')));
  return text.length < LONG && words.filter((w) => covered.has(w)).length < 0.6 * words.length ? [] : heads;
}

function hasHeadings(texts: readonly string[]): boolean {
  let [number, name, other] = [false, false, false];
  for (const text of texts) {
    const isSingle = /^(pin|ball|terminal|lead|pad|no\.?|number|name|symbol|signal|mnemonic|function)s?$/i.test(text);
    const role = roleOfHeading(text);
    if (
      role === 'number' ||
      role === 'ambiguous' ||
      /^(pin|ball|terminal|lead|contact)/i.test(text) ||
      (packageIn(text) && text.length < 20)
    )
      number = true;
    if (role === 'name' || (role === 'ambiguous' && number) || (isSingle && role !== 'number')) name = true;
    if (role !== undefined && role !== 'number') other = true;
  }
  return number && (name || other);
}

/** Single numbers in sequence and single letters: the edges of a ball map. */
function hasMap(texts: readonly string[]): boolean {
  const all = new Set(texts.flatMap((t) => t.split(/\s+/)));
  return ['A', 'B', 'C', '1', '2', '3'].every((t) => all.has(t));
}

/** Texts with a terminal's number among their first words; names can stand before it, `LDQS, LDQS# F3, G3`. */
const numbersIn = (texts: readonly string[]): number =>
  texts.filter((t) => t === 'EP' || t.split(/\s+/, 5).some((word) => looksLikeNumbers(word.replace(/,$/, '')))).length;
