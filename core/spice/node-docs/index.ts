import type { NodeDoc, Header } from './found';
import { inline } from './inline';
import { ladder } from './ladder';
import { lists } from './lists';
import { orderLine } from './order';
import { ownComments } from './own';

export type { Header, NodeDoc } from './found';

/**
 * Finds what comments say of nodes, the way a person reads them: comments on the card's own lines, a ladder of bars over
 * the node list, `node = words` lists, one line that names all in order. The first way that speaks for a node wins;
 * comments that name one of the `others` in the file are not taken.
 */
export function mineNodeDocs(header: Header, others: ReadonlySet<string> = new Set()): Map<string, NodeDoc> {
  const own = ownComments(header, others);
  const docs = new Map<string, NodeDoc>();
  for (const found of [inline(own), ladder(own), lists(own), orderLine(own)])
    for (const [node, doc] of found) if (!docs.has(node) && doc.doc !== '') docs.set(node, doc);
  return docs;
}
