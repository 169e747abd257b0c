import type { Comment } from '../cards';

export interface NodeDoc {
  doc: string;
  /** The line of the comment that says it. */
  line: number;
}

/** What a subcircuit's header offers to mine: its nodes, and the comments that can speak of them. */
export interface Header {
  name: string;
  nodes: string[];
  /** Comments straight above the card, nearest last. */
  above: Comment[];
  /** Comments between the card and its continuations. */
  between: Comment[];
  /** Comments before the first element of the body. */
  inside: Comment[];
  /** Comments further down in the body. */
  later: Comment[];
  /** The card's own lines with their inline comments. */
  raw: { line: number; text: string; comment: string }[];
}

/** The comments that stand at the header. */
export const commentsAt = ({ above, between, inside }: Header): Comment[] => [...above, ...between, ...inside];

/** Which node is what, by the name of the node as the card has it. */
export type Found = [string, NodeDoc][];

/** Words that lead a list of nodes in. */
export const LEAD =
  /^(?:the )?(?:\w+ )?(?:model terminals?|connections?|pin connections?|node (?:order|assignments?|list|names?)|pin (?:order|out|assignments?|list|names?)|order of (?:the )?(?:nodes|pins|terminals)|(?:nodes|pins|terminals) in order|(?:external )?(?:nodes?|pins?|terminals?|ports?) (?:in )?order|external nodes?|pinout|pins?|nodes?|order|terminals?|ports?|interface)\b(?: (?:is|are))?(?: \((?:in|by) [\w ]+\))?[\s:=-]*/i;

export const tidy = (text: string): string =>
  text
    .replace(/\s+/g, ' ')
    .trim()
    // `-IN` is a name with its sign; `- input` and `--input` are words behind a dash.
    .replace(/^(?![-−][A-Za-z])[\s\-–—:=>.,|]+(?=[A-Za-z(+−-])/, '')
    .replace(/\s\*+$/, '')
    .replace(/[\s.;,|]+$/, '')
    .trim();

/** Sentences of a history or a licence that begin like an entry of a list. */
export const isRemark = (doc: string): boolean =>
  /\b(rev(ision)?|version|release[ds]?|added|fixed|changed|updated|corrected|copyright|licen[cs]e|simulat\w+|modell?(ed|s|ing)|warranty|created|initial)\b/i.test(
    doc,
  ) ||
  // `in 1A..6A` counts pins of the part; it says nothing of the node.
  /\w\.\.+\w/.test(doc) ||
  doc.length > 90;

const withoutCount = (word: string, place: number): string => {
  const counted = /^(\d+)[.)]\s+/.exec(word);
  return counted && Number(counted[1]) === place ? word.slice(counted[0].length) : word;
};

/** Cuts a text into as many pieces as there are nodes, by the first separator that gives so many. */
export function pieces(text: string, count: number): string[] | undefined {
  for (const separator of [/\s*[,;]\s*/, /\s*[,;/]\s*/, /\s+\|\s+|\s*\|\s*/, /\s{2,}/, /\s+/]) {
    const words = text
      .split(separator)
      // Counted up, `1. IN   2. OUT`, the number is the place.
      .map((w, i) => withoutCount(w.trim(), i + 1))
      .filter((w) => w !== '');
    // Words of a sentence can be as many as the nodes; names are no articles and prepositions.
    if (words.length === count && count > 1 && !words.some((w) => /^(of|the|and|for|to|is|are|with|by|from|this|that|a|an)$/.test(w)))
      return words;
  }
  return undefined;
}
