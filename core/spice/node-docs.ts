import type { Comment } from './cards';

export interface NodeDoc {
  doc: string;
  /** The line of the comment that says it. */
  line: number;
}

/** What a subcircuit's header offers to mine: its nodes, and the comments that can speak of them. */
export interface Header {
  nodes: string[];
  /** Comments straight above the card, nearest last. */
  above: Comment[];
  /** Comments before the first element of the body. */
  inside: Comment[];
  /** The card's own lines with their inline comments. */
  raw: { line: number; text: string; comment: string }[];
}

/**
 * Finds what comments say of nodes, the way a person reads them: a ladder of bars over the node list, `node = words`
 * lists, one line that names all in order, comments on the card's own lines. The first way that speaks for a node wins.
 */
export function mineNodeDocs(header: Header): Map<string, NodeDoc> {
  const docs = new Map<string, NodeDoc>();
  const comments = [...header.above, ...header.inside];
  for (const found of [inline(header), ladder(header), lists(header, comments), orderLine(header, comments)])
    for (const [node, doc] of found) if (!docs.has(node) && doc.doc !== '') docs.set(node, doc);
  return docs;
}

type Found = [string, NodeDoc][];

const LEAD = /^(connections?|pin connections?|node order|pin order|external nodes?|pinout|pins?|nodes?|order|terminals?)\b[\s:=-]*/i;

/**
 * ```
 * * connections: non-inverting input
 * *              |   inverting input
 * *              |   |   output
 * .subckt AMP    1   2   3
 * ```
 * The number of bars before a label is the place of its node.
 */
function ladder({ nodes, above }: Header): Found {
  const rungs = above.filter((c) => c.text.includes('|'));
  const most = Math.max(0, ...rungs.map((c) => bars(c.text)));
  if (most < nodes.length - 1 || most > nodes.length || rungs.length === 0) return [];
  const first = above.indexOf(rungs[0]!);
  const start = first > 0 && bars(rungs[0]!.text.replace(/\|[^|]*$/, '|')) >= 1 ? first - 1 : first;
  const found: Found = [];
  for (const comment of above.slice(start)) {
    const label = comment.text.replace(/^.*\|/, '').trim();
    const place = bars(comment.text);
    const doc = (place === 0 ? label.replace(LEAD, '') : label).replace(/[\s.]+$/, '');
    if (doc === '' || place >= nodes.length || /^[-_=+*\s]+$/.test(doc)) continue;
    found.push([nodes[place]!, { doc, line: comment.line }]);
  }
  return found;
}

const bars = (text: string): number => text.split('|').length - 1;

/** `1 = IN+`, `IN: input of the regulator`, `node 3 - output`, `1=A 2=K`, and `output = 3`. */
function lists({ nodes }: Header, comments: Comment[]): Found {
  const byName = new Map(nodes.map((n) => [n.toLowerCase(), n]));
  const found: Found = [];
  for (const { text, line } of comments) {
    const several = [...text.matchAll(/(\S+?)\s*=\s*([^\s,;=]+)(?=[\s,;]|$)/g)];
    const known = several.filter((m) => byName.has(m[1]!.toLowerCase()));
    if (known.length > 1) {
      for (const m of known) found.push([byName.get(m[1]!.toLowerCase())!, { doc: m[2]!, line }]);
      continue;
    }
    const body = text.replace(LEAD, '').trim();
    const entry = /^(?:node|pin|terminal)?\s*["'(]?([^\s"'()=:]+)["')]?\s*(?:=|:|->|-{1,2}(?=\s)|–|—|\s{2,}|\t)\s*(.+)$/i.exec(body);
    const node = entry ? byName.get(entry[1]!.toLowerCase()) : undefined;
    if (node !== undefined && entry) {
      found.push([node, { doc: tidy(entry[2]!), line }]);
      continue;
    }
    const reversed = /^(.+?)\s*(?:=|:|->|\s-\s)\s*(?:node|pin)?\s*(\S+)$/i.exec(body);
    const at = reversed ? byName.get(reversed[2]!.toLowerCase()) : undefined;
    if (at !== undefined && reversed && !/[=:]/.test(reversed[1]!)) found.push([at, { doc: tidy(reversed[1]!), line }]);
    else {
      const numbered = /^(?:node |pin )?(\d+)[.)]?\s+(.+)$/i.exec(body);
      const numeric = numbered ? byName.get(numbered[1]!) : undefined;
      if (numeric !== undefined && numbered) found.push([numeric, { doc: tidy(numbered[2]!), line }]);
    }
  }
  return found;
}

const tidy = (text: string): string =>
  text
    .replace(/\s+/g, ' ')
    .replace(/[\s.;,]+$/, '')
    .trim();

/** `* Node order: in, ground, out`, or a bare line of as many words as there are nodes straight above the card. */
function orderLine({ nodes, above, raw }: Header, comments: Comment[]): Found {
  for (const comment of [...comments].reverse()) {
    const lead = LEAD.exec(comment.text);
    const body = (lead ? comment.text.slice(lead[0].length) : comment.text).replace(/^\(|\)$/g, '').trim();
    const words = split(body, nodes.length);
    if (!words) continue;
    const straight = comment === above.at(-1) && aligned(comment.raw, raw[0]!.text, nodes);
    if (lead || straight) return words.map((doc, i) => [nodes[i]!, { doc, line: comment.line }]);
  }
  return [];
}

function split(text: string, count: number): string[] | undefined {
  for (const separator of [/\s*[,;/]\s*/, /\s{2,}/, /\s+/]) {
    const words = text
      .split(separator)
      .map((w) => w.trim())
      .filter((w) => w !== '');
    if (words.length === count && count > 1) return words;
  }
  return undefined;
}

/** True where the words of a comment stand over the nodes of the card, within three columns. */
function aligned(comment: string, card: string, nodes: readonly string[]): boolean {
  const starts = (text: string) => [...text.matchAll(/[^\s*]\S*/g)].map((m) => m.index);
  const at = starts(card).slice(2, 2 + nodes.length);
  const words = starts(comment.replace(/^\s*\*/, ' ')).slice(-nodes.length);
  return at.length === words.length && at.every((x, i) => Math.abs(x - words[i]!) <= 3);
}

/** `+ OUT ; output of the amplifier` says it of the nodes on its line; a comment on the card line names all in order. */
function inline({ nodes, raw }: Header): Found {
  const found: Found = [];
  raw.forEach(({ text, comment, line }, i) => {
    if (comment === '') return;
    const words = text
      .trim()
      .replace(/^\+/, '')
      .split(/\s+/)
      .filter((w) => w !== '')
      .slice(i === 0 ? 2 : 0);
    const own = words.filter((w) => nodes.some((n) => n.toLowerCase() === w.toLowerCase()));
    if (own.length === 1) found.push([nodes.find((n) => n.toLowerCase() === own[0]!.toLowerCase())!, { doc: tidy(comment), line }]);
    const all = own.length > 1 ? split(comment.replace(LEAD, ''), own.length) : undefined;
    all?.forEach((doc, k) => found.push([nodes.find((n) => n.toLowerCase() === own[k]!.toLowerCase())!, { doc, line }]));
  });
  return found;
}
