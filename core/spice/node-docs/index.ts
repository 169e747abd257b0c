import type { Comment } from '../cards';
import { asRead } from './as-read';
import { betweenLines } from './between';
import { commentsAt, contradict, tellsOf, type Found, type Header, type NodeDoc } from './found';
import { inline } from './inline';
import { ladder } from './ladder';
import { lists } from './lists';
import { byPlaces, orderLine } from './order';
import { ownComments } from './own';

export type { Header, NodeDoc } from './found';

/**
 * Finds what comments say of nodes, the way a person reads them: comments on the card's own lines or between them, a ladder of bars over
 * the node list, `node = words` lists, one line that names all in order. The first way that speaks for a node wins;
 * comments that name one of the `others` in the file are not taken. Where a list and an order line contradict each other,
 * one of them is about the package: the one that says so is left, and both are where none does.
 */
export function mineNodeDocs(header: Header, others: ReadonlySet<string> = new Set()): Map<string, NodeDoc> {
  const own = ownComments(asRead(header), others);
  const docs = new Map<string, NodeDoc>();
  const { found, rivals } = lists(own);
  const agreed = without(own, rivals);
  const placed = byPlaces(agreed);
  const [listed, ordered] = placed ? [[], placed] : withoutContradiction(own, found, orderLine(agreed));
  for (const found of [inline(own), ladder(own), betweenLines(own), listed, ordered])
    for (const [node, doc] of found) if (!docs.has(node) && !SAYS_NOTHING.test(doc.doc)) docs.set(node, unnumbered(node, doc));
  return explained(own, docs);
}

/**
 * Numbers that comments give names to, `pins: VB HO VS`, and a list further on of what is behind the names, `VB  supply of
 * the upper side`: both are said of the node.
 */
function explained(header: Header, docs: Map<string, NodeDoc>): Map<string, NodeDoc> {
  const names = header.nodes.map((node) => docs.get(node)?.doc ?? '');
  const areNames = names.length > 1 && names.every((name) => /^[A-Za-z+-][\w+/-]*$/.test(name)) && new Set(names).size === names.length;
  if (!areNames || !header.nodes.every((node) => /^\d+$/.test(node))) return docs;
  const said = new Map(lists({ ...header, nodes: names }).found);
  const isList = said.size >= names.length * 0.6;
  return new Map(
    [...docs].map(([node, name]) => {
      const more = isList ? said.get(name.doc) : undefined;
      const isNew = more !== undefined && more.line !== name.line && !SAYS_NOTHING.test(more.doc) && /\w\s+\w|\w{4}/.test(more.doc);
      return [node, isNew ? { doc: `${name.doc} ${more.doc}`, line: more.line } : name];
    }),
  );
}

function without(header: Header, lines: ReadonlySet<number>): Header {
  const left = (comments: Comment[]) => comments.filter((c) => !lines.has(c.line));
  return lines.size === 0 ? header : { ...header, above: left(header.above), between: left(header.between), inside: left(header.inside) };
}

/** The package's number beside a node, `G = 1`, does not say what it is. */
const SAYS_NOTHING = /^(?:(?:pins?|leads?)\b[\s.:#]*)?(?:\d+[-/&](?=\d)|[\d\s.,;])*$/i;

/** `Pin 2: OUT` for the node OUT: the number of the package's pin is no word of it. */
function unnumbered(node: string, doc: NodeDoc): NodeDoc {
  const [, name = ''] = /^(?:pin\s+)?\d+\s*:\s+(\S+)$/i.exec(doc.doc) ?? [];
  return name.toLowerCase() === node.toLowerCase() ? { ...doc, doc: name } : doc;
}

function withoutContradiction(header: Header, listed: Found, ordered: Found): [Found, Found] {
  if (!contradict(listed, ordered)) return [listed, ordered];
  const said = (found: Found) => {
    const lines = new Set(found.map(([, { line }]) => line));
    const first = found.reduce((least, [, { line }]) => Math.min(least, line), Infinity);
    // The title over a list tells as well as its own words.
    const text = commentsAt(header)
      .filter((c) => lines.has(c.line) || (c.line === first - 1 && c.text.trim().endsWith(':')))
      .map((c) => c.text)
      .join(' ');
    return tellsOf(text);
  };
  const [a, b] = [said(listed), said(ordered)];
  const surer = { model: 2, either: 1, package: 0 };
  if (surer[b] > surer[a]) return [[], ordered];
  if (surer[a] > surer[b]) return [listed, []];
  return [[], []];
}
