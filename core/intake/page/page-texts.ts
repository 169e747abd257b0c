import type { Box } from '../table/box';
import { linesOf, spacedText, textOf, type Line } from './lines';
import type { DocumentPage } from './page';
import { upright } from './upright';
import { wordsAndRules } from './words';

/** A page as text: its lines from the top, the cells of each three blanks apart. */
export const pageText = (given: DocumentPage): string => linesOn(given).lines.map(spacedText).join('\n');

/** A page's lines as it is read, upright, with its running heads; `back` maps their boxes to the displayed page. */
export function linesOn(given: DocumentPage): { lines: Line[]; back: (box: Box) => Box } {
  const { page, back } = upright(given);
  return { lines: linesOf(wordsAndRules(page).words), back };
}

/** What the pages that show a package say, and how much each says of it. */
const SIGNS: readonly [RegExp, number][] = [
  [/\b(package|mechanical)\s+(outline|drawing|dimensions?|data)\b|\boutline\s+(drawing|dimensions?)\b/i, 4],
  [/\bdimensions?\s+(are\s+|is\s+)?in\s+(mm|millimet)/i, 4],
  [/\b(recommended|example)\s+(land|footprint|pad|board)\b|\bland\s+pattern\b|\bfootprint\b/i, 3],
  [/\bBSC\b/, 3],
  [/\bseating\s+plane\b|\bcoplanarity\b/i, 3],
  [/\b(JEDEC|M[OS]-\d{3})\b/, 2],
  [/\bpin\s*1\s+(index|identifier|corner|mark)/i, 2],
  [/\b(lead|ball|terminal)?\s*pitch\b/i, 1],
];
/** What a page must say at least to be one. */
const ENOUGH = 5;
/** So many dotted leaders make a list of contents, which names the page and is not it. */
const LEADERS = /\.{5,}|(?:\. ){5,}/g;
const CONTENTS = 3;

/**
 * Pages of a datasheet that give the dimensions of its package, by their texts: page numbers from 1, the one that says the
 * most first; those that name the package in view before others that say as much.
 */
export function packagePages(texts: readonly string[], packageName = ''): number[] {
  const name = plain(packageName);
  const scored = texts.map((text, i) => {
    if ((text.match(LEADERS)?.length ?? 0) >= CONTENTS) return { page: i + 1, score: 0 };
    const score = SIGNS.reduce((sum, [sign, worth]) => sum + (sign.test(text) ? worth : 0), 0);
    return { page: i + 1, score: score >= ENOUGH && name.length > 2 && plain(text).includes(name) ? score + 4 : score };
  });
  return scored
    .filter((s) => s.score >= ENOUGH)
    .sort((a, b) => b.score - a.score || a.page - b.page)
    .map((s) => s.page);
}

/** A place in a document where words that were looked for stand: a line, or a page on which they stand apart. */
export interface Hit {
  page: number;
  box?: Box;
}

/** Where all of the words stand on a page, in whatever case and broken however: the boxes of its lines, or else the page. */
export function findOn(given: DocumentPage, words: string): Hit[] {
  const wanted = words.split(/\s+/).map(plain).filter(Boolean);
  if (wanted.length === 0) return [];
  const { lines, back } = linesOn(given);
  const hasAll = (text: string): boolean => wanted.every((w) => text.includes(w));
  const found = lines.filter((line) => hasAll(plain(textOf(line))));
  if (found.length > 0) return found.map((line) => ({ page: given.number, box: back(boxOfLine(line)) }));
  return hasAll(lines.map((line) => plain(textOf(line))).join(' ')) ? [{ page: given.number }] : [];
}

function boxOfLine({ words, base, size }: Line): Box {
  const left = words[0]!.x0;
  return [left, base - size, words.at(-1)!.x1 - left, size * 1.25];
}

const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}+/#]/gu, '');
