import type { Comment } from '../cards';
import { rolesOf } from '../roles';
import { LEAD, pieces, withoutFigures } from './found';

/** A lead with the first node's words behind it, and then a line for each of the others, in their order, set in columns. */
export function afterLeadByLines(comments: readonly Comment[], count: number): Comment[] | undefined {
  const at = comments.findIndex((c) => /\S+\s{2,}\S/.test(leadIn(c.text) ?? ''));
  const block = at < 0 ? [] : comments.slice(at, at + count);
  const next = comments[at + count];
  const isBlock =
    block.length === count &&
    count > 1 &&
    block.every((c, k) => c.line === block[0]!.line + k && (k === 0 || /^\s{2,}\S+\s{2,}\S/.test(c.text)));
  return isBlock && (next === undefined || !/^\s{2,}\S+\s{2,}\S/.test(next.text)) ? block : undefined;
}

/** `drain, gate and source`: the last of a list behind its `and`. */
function spoken(text: string, count: number): string[] | undefined {
  if (count === 2) {
    const ends = text.split(/\s+and\s+(?:the )?/);
    return ends.length === 2 && ends.every((word) => rolesOf(word).size > 0) ? ends : undefined;
  }
  if (text.split(/[,;]/).length === count) return undefined;
  const words = pieces(text.replace(/,? and (?:the )?(?=\S+(?: \S+){0,6}$)/, ', '), count);
  return words && !hasTorn(words) && !words.some((word) => /^\S+\s?[=:]/.test(word)) ? words : undefined;
}

/** `drain-gate-source` */
function dashed(text: string, count: number): string[] | undefined {
  const words = /^[A-Za-z+]\w*(?:-[A-Za-z]\w*)+$/.test(text) ? text.split('-') : [];
  return words.length === count && words.every((w) => rolesOf(w).size > 0) ? words : undefined;
}

/** What stands for a node in lines of one each: its place, its name in brackets, or one that a sign ties to the next word. */
const isMarked = (word: string): boolean => /^\d{1,2}$|^\[\w+\]$|\w[,=:]\w|\w:$/.test(word);

/** True where lines below each other each begin with a node's name, or end with one behind a sign: each says something of its own. */
const eachNamesOne = (lines: readonly Comment[], nodes: readonly string[]): boolean => {
  const isNode = (name: string | undefined) => nodes.some((n) => n.toLowerCase() === name?.toLowerCase());
  const names = ({ text }: Comment) => isNode(/[\w+~-]+/.exec(text)?.[0]) || isNode(/(?:->|[=:])\s*([\w+~-]+)\s*$/.exec(text)?.[1]);
  return lines.length > 1 && lines.every(names);
};

/** `* Node order: in, ground, out`, over several lines where the list goes on. */
export function afterLead(comments: readonly Comment[], at: number, nodes: readonly string[]): string[] | undefined {
  const [comment, count] = [comments[at]!, nodes.length];
  const found = leadIn(comment.text);
  if (found === undefined) return undefined;
  // What is added in brackets behind the list, `OUT GND IN (package order IN OUT GND)`, is not of it.
  const listed = /^[^()]*\S(?=\s+\([^()]*\)\s*$)/.exec(found)?.[0];
  const own = listed === undefined ? undefined : pieces(bare(listed), count);
  if (own && !hasTorn(own)) return own;
  let body = bare(found);
  const whole = (/ and \S/.test(found) ? spoken(body, count) : undefined) ?? dashed(body, count);
  if (whole) return whole;
  const first = at + (body === '' ? 1 : 0);
  for (let next = at + 1; next <= at + 4; next++) {
    // A list that ends with its separator goes on in the next line.
    const words = body === '' || /[,;|/]$/.test(body) ? undefined : pieces(body, count);
    const isByLines = next > first + 1 || /^\s*2[.)]?\s/.test(comments[next]?.text ?? '');
    // Lines of several words each that happen to have as many words as there are nodes.
    const isList = (isByLines && words?.some(isMarked)) || eachNamesOne(comments.slice(first, first + 2), nodes);
    if (words) return hasTorn(words) || isList ? undefined : words;
    const more = comments[next];
    if (!more || more.line !== comment.line + (next - at) || !/\w/.test(more.text)) return undefined;
    if (eachNamesOne(comments.slice(at + 1, next + 1), nodes)) return undefined;
    body = `${body} ${bare(more.text)}`.trim();
  }
  return undefined;
}

const ADJECTIVE = /^(non-?)?inverting$|^(positive|negative|analog|digital|power|signal|latch|chip|output|noise)$/i;
const NOUN = /^(inputs?|outputs?|supply|rail|ground|enable|select|terminal)$/i;

/** True where words that belong together were taken for two terminals, more than once; or a place in the order for one. */
export const hasTorn = (words: readonly string[]): boolean =>
  // `source = last, gate = middle`: the places are told, and not by the order of the words.
  words.filter((w) => /[=:]\s*(?:the )?(?:first|second|third|middle|last|\d(?:st|nd|rd|th))\b/i.test(w)).length > 1 ||
  words.some((w) => /\S[,;]$/.test(w) || withoutFigures(w.replace(/\([^()]*\)/g, '')).split(/\s+/).length > 6) ||
  words.some((w) => /^(\d{1,2}(st|nd|rd|th)|node|pin|terminal|\d+:|\([^)]*\))$/i.test(w)) ||
  words.filter((w, k) => ADJECTIVE.test(w) && NOUN.test(words[k + 1] ?? '')).length > 1;

/** What follows the lead, which may stand after a sentence of its own: `LVDS receiver; node list: RIN+ RIN-`. */
export function leadIn(given: string): string | undefined {
  const text = given.trim();
  const starts = [0, ...[...text.matchAll(/[.;:,]\s+/g)].map((m) => m.index + m[0].length)];
  for (const start of starts) {
    const rest = text.slice(start);
    const lead = LEAD.exec(rest);
    // Behind a comma, `Photodiode, nodes: anode`, only a colon makes it a lead.
    if (lead && text[start - 2] === ',' && !lead[0].trim().endsWith(':')) continue;
    if (lead && /[\s:=]$|^$/.test(lead[0].slice(-1)))
      return (
        rest
          .slice(lead[0].length)
          // `order as in the symbol: IN+, IN-`
          .replace(/^(?:as|of|for|like) [\w ]{1,30}:\s+/i, '')
          .replace(/,?\s+in (?:that|this) order\.?$/i, '')
      );
  }
  return undefined;
}

export const bare = (text: string): string =>
  text
    .replace(/^\.+\s+/, '')
    .replace(/^[([<](.*?)[)\]>.]*$/, '$1')
    .replace(/[\]>.]+$/, '')
    .replace(/\s*(?:->|→|=>)\s*/g, ' , ')
    .trim();
