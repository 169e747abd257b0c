import { unite } from '../table/box';
import { packageIn } from '../table/headings';
import { saidAt, type CoverText, type Said } from './cover';
import { partNumbersIn } from './part-numbers';

/** What a title block ends at: the first heading of the document's text. */
const HEADING =
  /^(?:\d+(?:\.\d+)*\.?\s+)?(?:(?:key |main |product )?features?|general description|description|applications?|overview|benefits|(?:table of )?contents|absolute maximum ratings|(?:electrical|typical|thermal) [a-z]+|summary|introduction|order(?:ing)? (?:information|codes?)|(?:pin|terminal|signal|ball|lead)s?(?:outs?| (?:and signal )?(?:no\b\.?|names?|numbers?|configurations?|descriptions?|functions?|assignments?|definitions?|diagrams?|lists?|tables?|maps?))|(?:table|figure|fig\.?) \d.*)\s*:?$|\btop view\b/i;
/** `1 Registers`; but `4 Channel driver` and `16 Bit converter` are titles. */
const CHAPTER =
  /^\d+(?:\.\d+)*\.?\s+(?!(?:[Cc]hannel|[Bb]it|[Pp]hase|[Pp]ort|[Ll]ine|[Ww]ire|[Aa]mp|[Vv]olt|[Ww]att|[Oo]utput|[Ii]nput|[Ww]ay|[Pp]ole|[Cc]ell|[Aa]xis|[Ll]ane|[Ss]egment|[Dd]igit|[Kk]ey|[Pp]osition|[Cc]ontact|[Ss]tage|[Pp]in)s?\b)[A-Z][a-z]/;
/** Lines of a title block that name neither the part nor what it is. */
const NOISE =
  /^(?:(?:preliminary|advance[d]?|objective|target|product|final|production|short|full|technical)\s+)*(?:data ?sheet|datenblatt|data|specifications?|information|brief)\b|^(?:www\.|https?:)|\bpage \d|^(?:document|doc|rev|revision|version|issue|date|released?|status)\b|confidential|copyright|©|all rights|^\W*\d{1,4}[-/. ]\d{1,2}[-/. ]\d{1,4}\W*$|^(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)\w*\.? \d|@|\.com\b/i;
/** Lines at the top of a page that are looked at. */
const MOST = 24;
/** A title has no more words. */
const MOST_WORDS = 16;

/** The texts at the head of the first page, down to its first heading or sentence. */
export function titleBlock(first: readonly CoverText[]): CoverText[] {
  const end = first.findIndex((t) => HEADING.test(t.text.trim()) || isSentence(t.text));
  return first.slice(0, Math.min(MOST, end < 0 ? first.length : end));
}

const words = (text: string): string[] => text.split(/\s+/).filter(Boolean);
const PREDICATE =
  /^(?:the|this|it|these|each)\b.* (?:is|are|has|have|can|keeps?|works?|drives?|reads?|provides?|offers?|consists?|contains?|combines?)\b/i;
const isSentence = (text: string): boolean =>
  words(text).length > MOST_WORDS ||
  PREDICATE.test(text) ||
  (/[.:]$/.test(text.trim()) && words(text).length > 5) ||
  /[a-z]{2}\. [A-Z][a-z]* [a-z]/.test(text);

/** The part's numbers in the title block: the one first that the document names most often, then the largest, then the first. */
export function findNumbers(block: readonly CoverText[], later: readonly string[], file: string): Said[] {
  const known = new Map<string, { said: Said; size: number; score: number }>();
  const text = later.join('\n');
  for (const t of block)
    for (const number of partNumbersIn(t.text)) {
      if (NOISE.test(t.text.trim()) || known.has(number)) continue;
      const named = Math.min(9, text.split(number).length - 1);
      known.set(number, {
        said: saidAt(number, t),
        size: t.size,
        score: named + (file.toUpperCase().split(/[\\/]/).at(-1)!.includes(number) ? 10 : 0),
      });
    }
  return [...known.values()].sort((a, b) => b.score - a.score || b.size - a.size).map(({ said }) => said);
}

/** What the part is, in the words of its title: behind its number, or the line that stands nearest to it. */
export function findDescription(block: readonly CoverText[], number: string | undefined, usual: number): Said | undefined {
  const named = block.filter((t) => number !== undefined && t.text.includes(number) && !NOISE.test(t.text.trim()));
  const at = named.length === 0 ? -1 : block.indexOf(named.reduce((a, b) => (b.size > a.size + 0.5 ? b : a)));
  const own = at < 0 ? undefined : describing(withoutNumbers(block[at]!.text));
  if (own !== undefined) return goOn(block, at, own, usual);
  // Where all is of one size, or nothing is named, only what is larger than text is a title.
  const far = (t: CoverText) => (at < 0 ? Infinity : Math.abs(t.base - block[at]!.base) / block[at]!.size);
  const isTitle = (t: CoverText) =>
    t.size > 1.08 * usual || (far(t) < 3 && (block[at]!.size > 1.25 * usual || t.size > block[at]!.size - 0.5));
  const near = block
    .map((t, i) => ({ t, i, said: describing(withoutNumbers(t.text)) }))
    .filter(({ t, i, said }) => i !== at && said !== undefined && isTitle(t))
    .sort(
      (a, b) =>
        Number(b.said!.includes(' ')) - Number(a.said!.includes(' ')) ||
        (Math.abs(a.t.size - b.t.size) > 1 ? b.t.size - a.t.size : far(a.t) - far(b.t) || a.i - b.i),
    )[0];
  if (!near) return undefined;
  const start = startOf(block, near.i, usual);
  return goOn(block, start, withoutNumbers(block[start]!.text), usual);
}

/** Font sizes between the lines of one title, and where words tie them. */
const [CLOSE, TIED] = [1.6, 2.7];
const TIES = /[,\-–&/]$|\b(?:with|and|for|of|to|in|or)$/i;
const IS_TIED = /^(?:with|and|for|of|to|in|or)\b|^[a-z]/;

/** Whether `next` is the line of a title under `last`: of its size, below it, tied by words or larger than any text. */
function isNextLine(last: CoverText, next: CoverText, usual: number): boolean {
  const down = (next.base - last.base) / last.size;
  if (Math.abs(next.size - last.size) >= 0.5 || down < 0.3 || !overlaps(next, last) || NOISE.test(next.text.trim())) return false;
  const isTied = TIES.test(last.text.trim()) || IS_TIED.test(next.text.trim());
  return isTied
    ? down < TIED
    : down < CLOSE && last.size > 1.25 * usual && describing(next.text) !== undefined && partNumbersIn(next.text).length === 0;
}

/** The font size that most of a page's characters have, in points. */
export function usualSize(texts: readonly CoverText[]): number {
  const letters = new Map<number, number>();
  for (const { text, size } of texts) letters.set(Math.round(size), (letters.get(Math.round(size)) ?? 0) + text.length);
  return [...letters].reduce((a, b) => (b[1] > a[1] ? b : a), [0, 0])[0];
}

/** The first line of the title that a line is of. */
function startOf(block: readonly CoverText[], at: number, usual: number): number {
  const before = block.slice(0, at).findLastIndex((t) => isNextLine(t, block[at]!, usual));
  return before < 0 || describing(withoutNumbers(block[before]!.text)) === undefined ? at : startOf(block, before, usual);
}

/** A title goes on in the lines under it. */
function goOn(block: readonly CoverText[], at: number, start: string, usual: number): Said {
  let [text, last] = [start, block[at]!];
  let { box } = last;
  for (const next of block.slice(at + 1)) {
    if (next.base - last.base < 0.3 * last.size || !overlaps(next, last)) continue;
    if (!isNextLine(last, next, usual)) break;
    text += `${/[a-z]-$/.test(text) && /^[a-z]/.test(next.text) ? '' : ' '}${next.text.trim()}`;
    last = next;
    box = unite([box, next.box].filter((b) => b !== undefined));
  }
  return saidAt(tidied(text), { ...block[at]!, box });
}

const overlaps = (a: CoverText, b: CoverText): boolean => Math.min(a.x1, b.x1) - Math.max(a.x0, b.x0) > 0;

/** A title without the numbers of the part, the list that they stand in, and what parts them from the words. */
function withoutNumbers(text: string): string {
  let rest = text;
  for (const number of partNumbersIn(text)) rest = rest.replace(number, ' ');
  return rest
    .replace(
      /\b(?:product |preliminary )?data ?sheet\b|\bdatenblatt\b|\b(?:series|family)\b(?=\W*$|\W+rev)|\brev(?:ision|\.)?[\s:]+\S+$/gi,
      ' ',
    )
    .replace(/\s+/g, ' ')
    .replace(/^(?:[\s,;:/|–—-]|and )+|[\s,;:/|–—-]+$/g, '')
    .trim();
}

/** A text that can say what a part is; undefined where it is a date, an address, a sentence or too little. */
function describing(whole: string): string | undefined {
  const text = tidied(whole);
  if (NOISE.test(text) || HEADING.test(text) || CHAPTER.test(text) || isSentence(text) || packageIn(text)?.name === text) return undefined;
  const telling = words(text).filter((w) => /[A-Za-z]{3}/.test(w));
  return telling.length >= 2 || telling.some((w) => /^[A-Za-z-]{8,}$/.test(w)) ? whole : undefined;
}

/** `SO-14`, `20-lead`, and a wide body's `SO-16W`. */
const isPackage = (text: string): boolean =>
  packageIn(text.replace(/(?<=\d)[A-Z]$/, '')) !== undefined || /^\d+[- ](?:pin|lead|ball)s?$/i.test(text);

/** Without the package that stands behind it, and what follows a full stop; with a capital. */
export function tidied(text: string): string {
  const parts = text.split(/,\s+/);
  while (parts.length > 1 && isPackage(parts.at(-1)!)) parts.pop();
  const kept = parts
    .join(', ')
    .split(/[;]|\.\s/)[0]!
    .replace(/[\s.]+$/, '');
  return kept.charAt(0).toUpperCase() + kept.slice(1);
}
