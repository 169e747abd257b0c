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

/** The comments that stand at the header and can be about its nodes. */
export const commentsAt = ({ above, between, inside }: Header): Comment[] =>
  [...above, ...between, ...inside].filter((c) => !isOfPackage(c.text) && !RUNS_BACK.test(c.text) && !CONDITIONS.test(c.text));

/** What a part is measured at says nothing of its terminals. */
const CONDITIONS = /^\s*(?:test |bias |typical )?(?:conditions?|settings)\b[^=]*=/i;

/** What is seen on a package from a side, or said of the pins of one by its outline, counts leads, whatever the nodes are called. */
export const isOfPackage = (text: string): boolean => /\b(front|top|bottom|rear) view\b|\((?:the )?package(?: pins)?\)/i.test(text) || (OUTLINE.test(text) && /\b(pins?|pinout|pinning|leads?)\b/i.test(text)); // prettier-ignore
const OUTLINE = /\b(?:SOT|SO|SOIC|SC|TO|P?DIP|[MT]?SS?OP|QFN|DFN|SON|LQFP)-?\d{1,3}\b/;
/** An order that is told from its end could be meant either way. */
const RUNS_BACK = /\b(last to (the )?first|revers(e|ed) order|backwards?|right to left)\b/i;

/** Which node is what, by the name of the node as the card has it. */
export type Found = [string, NodeDoc][];

/** Words that lead a list of nodes in. One pin is a lead only at the start: a `ground pin` is a terminal. */
export const LEAD =
  /^(?:the )?(?:\.?\w+ )?(?:model terminals?|connections?|pin connections?|node (?:order|sequence|assignments?|list|names?)|pin(?:out)? (?:order|sequence|out|assignments?|list|names?)|terminal list|order of (?:the )?(?:nodes|pins|terminals)|(?:\d+ )?(?:nodes|pins|terminals|ports)(?: are)?,? (?:in (?:this |that |the following )?order|left to right)(?: in the [\w. ]{1,30})?|(?:external )?(?:nodes?|pins?|terminals?|ports?) (?:in )?order|external nodes?|pinout|pins|nodes|order|terminals|ports|interface|(?:anschlu(?:ss|ß)|klemmen|knoten|pin)-?(?:reihen)?(?:folge|belegung)|reihenfolge(?: der (?:anschlüsse|knoten|pins))?|ordre des (?:broches|bornes|n(?:œ|oe)uds)|brochage|orden de (?:los )?(?:pines|nodos|terminales)|(?<=^(?:the )?)(?:pin|node|terminal|port)(?=\s*[:=]|\s+\d))\b(?: (?:is|are|follows?))?(?: \((?:(?:in|by|left|from) [\w ]+)\))?(?:[\s:=]|-(?!\w))*/i;

/** Commas and semicolons that stand in no brackets. */
export const OUTSIDE_BRACKETS = /[,;](?![^()]*\))/;

/** Nodes by their names in small letters, and by what comments call them besides. */
export type Names = ReadonlyMap<string, string>;

/** How many nodes there are, by whatever names. */
export const countOf = (byName: Names): number => new Set(byName.values()).size;

export const tidy = (text: string): string =>
  text
    .replace(/\s+/g, ' ')
    .trim()
    // `-IN` is a name with its sign; `- input` and `--input` are words behind a dash.
    .replace(/^(?![-−][A-Za-z])[\s\-–—:=>.,|]+(?=[A-Za-z(+−-])/, '')
    .replace(/\s\*+$/, '')
    .replace(/[\s.;,|]+$/, '')
    .trim();

/** How much something is, `5 V tolerant`, and which of several, `channel 2`, name no node. */
export const withoutFigures = (text: string): string =>
  text
    .replace(/\b\d[\d.]*\s?(?:[munpk]?[VAWFH]|[kM]?Hz|[kM]?ohms?)\b/g, '')
    .replace(/\b(channel|ch|gate|section|half|amplifier) \d\b/gi, '$1');

/** `March 2026`, behind the day of a history. */
const DATED = /^(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*\.?,? (?:19|20)\d\d\b/i;

/** Sentences of a history or a licence that begin like an entry of a list. */
export const isRemark = (doc: string): boolean =>
  /\b(rev(ision)?|version|release[ds]?|added|fixed|changed|updated|corrected|copyright|licen[cs]e|simulat\w+|modell?(ed|s|ing)|warranty|created|initial|redistribut\w+|(source|binary) (code|form)|notice|endorse|liab\w+)\b/i.test(
    doc,
  ) ||
  DATED.test(doc) ||
  // `in 1A..6A` counts pins of the part; it says nothing of the node. `3..36 V` is a range.
  /[A-Z_]\.\.+\w|\w\.\.+[A-Z_]/i.test(doc) ||
  doc.length > 90;

const withoutCount = (word: string, place: number): string => {
  const counted = /^(\d+)[.)]\s+/.exec(word);
  return counted && Number(counted[1]) === place ? word.slice(counted[0].length) : word;
};

/** What is said of a terminal behind a comma: `enable, active high`. */
const ATTRIBUTE = /^(active[- ](low|high)|open[- ](drain|collector|emitter)|(rising|falling)[- ]edge|bypass to ground|push-?pull)$/i;

const withAttributes = (words: readonly string[]): string[] =>
  words.reduce<string[]>((all, word) => {
    if (all.length > 0 && ATTRIBUTE.test(word)) all[all.length - 1] += `, ${word}`;
    else all.push(word);
    return all;
  }, []);

/** Cuts a text into as many pieces as there are nodes, by the first separator that gives so many. */
export function pieces(text: string, count: number): string[] | undefined {
  for (const separator of [/\s*[,;]\s*/, /\s*[,;/]\s*/, /\s+\|\s+|\s*\|\s*/, /\s{2,}/, /\s+(?:[/|;]\s+)?/]) {
    const cut = text
      .split(separator)
      // Counted up, `1. IN   2. OUT`, the number is the place.
      .map((w, i) => withoutCount(w.trim(), i + 1))
      .filter((w) => w !== '');
    const words = cut.length > count && separator.source.includes(',') ? withAttributes(cut) : cut;
    // Words of a sentence can be as many as the nodes; names are no articles and prepositions.
    if (
      words.length === count &&
      count > 1 &&
      !words.some((w) => /^(of|the|and|for|to|is|are|with|by|from|this|that|a|an)$|^(OF|THE|AND|FOR|WITH|FROM)$/.test(w))
    )
      return words;
  }
  return undefined;
}

const OF_MODEL = /\b(model|nodes?|subckt|subcircuit|terminals?|spice)\b/i;
const OF_PACKAGE = /\b(package|pins?(?! order)|leads?|footprint|pinout)\b/i;

/** Whether a list's own words say that it is one of the model's nodes, or of the package's pins. */
export const tellsOf = (text: string): 'model' | 'package' | 'either' =>
  OF_MODEL.test(text) ? 'model' : OF_PACKAGE.test(text) ? 'package' : 'either';

/** True where two lists say unlike things of two nodes or more. */
export function contradict(a: Found, b: Found): boolean {
  const plain = (text: string) => text.toLowerCase().replace(/[^a-z0-9+-]/g, '');
  const first = new Map(a.map(([node, { doc }]) => [node, plain(doc)]));
  const isAgainst = ([node, { doc }]: Found[number]) => {
    const said = first.get(node);
    return said !== undefined && !said.includes(plain(doc)) && !plain(doc).includes(said);
  };
  return b.filter(isAgainst).length >= 2;
}
