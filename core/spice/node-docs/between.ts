import { rolesOf } from '../roles';
import { isKnownWord } from '../sense';
import { isRemark, tidy, type Found, type Header } from './found';

/**
 * A comment over each continuation of the card, or under each, says what the node on it is:
 * ```
 * .subckt REG
 * * input voltage
 * + IN
 * * ground
 * + GND
 * ```
 * Only where each continuation has one node and one comment, and most of these are words for terminals.
 */
export function betweenLines({ nodes, raw, between, inside }: Header): Found {
  const rows = raw.slice(1).filter(({ text }) => /^\s*\+\s*[^\s=]+\s*$/.test(text));
  const own = rows.map(({ text }) => text.replace(/^\s*\+\s*/, '').trim());
  const isCard = rows.length === nodes.length && nodes.length > 1 && own.every((name, k) => name.toLowerCase() === nodes[k]!.toLowerCase());
  if (!isCard) return [];
  const at = new Map([...between, ...inside].map((c) => [c.line, c]));
  const beside = (step: number) => rows.flatMap(({ line }) => at.get(line + step) ?? []);
  const [above, below] = [beside(-1), beside(1)];
  // Over the first and under the last as well: which of two neighbours one is about it does not say.
  if (above.length === below.length) return [];
  const comments = above.length > below.length ? above : below;
  const said = comments.map(({ text }, k) => tidy(withoutName(text, nodes[k]!)));
  const isWord = (word: string, k: number) =>
    isKnownWord(word) || /^(?:\w|of|channel)$/i.test(word) || word.toLowerCase() === nodes[k]!.toLowerCase();
  const isTold = (doc: string, k: number) => rolesOf(doc).size > 0 || doc.split(/\s+/).every((word) => isWord(word, k));
  const told = said.filter(isTold);
  if (
    comments.length !== rows.length ||
    said.some((doc) => isRemark(doc) || GOES_ON.test(doc)) ||
    told.length < Math.max(2, said.length * 0.6)
  )
    return [];
  return comments.map((c, k): Found[number] => [nodes[k]!, { doc: said[k]!, line: c.line }]);
}

/** `and the source`: a sentence over several lines, and no list. */
const GOES_ON = /^(?:and|then|or|but|with|of|to|for)\b/i;

/** `IN: input voltage` over the node IN says its name and then what it is. */
const withoutName = (text: string, node: string): string => {
  const [, name = '', said = ''] = /^\s*(\S+?)(?:\s*[:=]\s*|\s+-+\s+|\s{2,})(\S.*)$/.exec(text) ?? [];
  return name.toLowerCase() === node.toLowerCase() ? said : text;
};
