import type { ReadOptions } from '../proposal';
import type { Scored } from './found-table';
import { LEAST_SCORE } from './goes-with';

/** What says that a list is one of terminals, in its headings or over it. */
const OF_TERMINALS =
  /\b(pin(s|out|outs|ning)?|balls?|bumps?|terminals?|leads?|pads?|lands?|contacts?|connectors?|sockets?|headers?|plugs?|signals?|ports?|package)\b/i;
/** Titles of lists that are counted and named as terminals are, and are none. */
const OF_ELSE =
  /\b(ratings|characteristics|error codes|interrupts|vectors?( table)?|commands|power[- ]?(up|on|down) sequence|sequence|indicators|leds|list of (figures|tables)|operating modes|revision history|bill of materials|parts list|steps|dimensions|ordering information|contents|truth table|test points)\b/i;
/** A title is no longer. */
const LONGEST_TITLE = 60;
/** So many lines over a table can be its title. */
const NEAR = 2;

/** True where nothing says that a table is of terminals and the title over it, nearest first, that it is of something else. */
function isOfElse({ table }: Scored, titles: readonly string[]): boolean {
  const headings = table.columns.map((c) => c.heading).join(' ');
  if (OF_TERMINALS.test(headings) || titles.some((title) => OF_TERMINALS.test(title))) return false;
  return titles.slice(0, NEAR).some((title) => title.length <= LONGEST_TITLE && !/[.;]\s*$/.test(title) && OF_ELSE.test(title));
}

/** The score of a table that its title puts aside: it is on offer, and neither taken by itself nor with the best. */
const ASIDE = 0.8 * LEAST_SCORE;

/** Tables with those put aside that are of something else; none where all are, unless a person chose. */
export function withoutElse<T extends Scored>(
  all: readonly T[],
  titlesOf: (found: T, index: number) => readonly string[],
  options: ReadOptions,
): T[] {
  if (options.tables || options.region) return [...all];
  const other = new Set(all.filter((found, i) => isOfElse(found, titlesOf(found, i))));
  return other.size === all.length
    ? []
    : all.map((found) => (other.has(found) ? { ...found, score: Math.min(found.score, ASIDE) } : found));
}
