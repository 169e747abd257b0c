import type { Comment } from '../cards';
import { LEAD, pieces, type Found, type Header } from './found';

const USAGE = /^(?:usage|call|syntax|instance|example|use)\b[^:]*:?\s*/i;

/** All nodes named in their order: after a lead, in a sample call, or in a bare line that stands over the card's nodes. */
export function orderLine(header: Header): Found {
  const { nodes, above, between, inside, raw, name } = header;
  const comments = [...above, ...between, ...inside];
  for (let i = comments.length - 1; i >= 0; i--) {
    const comment = comments[i]!;
    const words = afterLead(comments, i, nodes.length) ?? inCall(comment, name, nodes.length);
    const isOver = comment === above.at(-1) && aligned(comment.raw, raw[0]!.text, nodes);
    const named = words ?? (isOver ? pieces(comment.text, nodes.length) : undefined);
    if (named && !named.every((w, k) => w.toLowerCase() === nodes[k]!.toLowerCase()))
      return named.map((doc, k) => [nodes[k]!, { doc, line: comment.line }]);
  }
  return [];
}

/** `* Node order: in, ground, out`, over several lines where the list goes on. */
function afterLead(comments: readonly Comment[], at: number, count: number): string[] | undefined {
  const comment = comments[at]!;
  const lead = LEAD.exec(comment.text);
  if (!lead || !/[\s:=]$|^$/.test(lead[0].slice(-1))) return undefined;
  let body = bare(comment.text.slice(lead[0].length));
  for (let next = at + 1; next <= at + 4; next++) {
    const words = body === '' ? undefined : pieces(body, count);
    if (words) return words;
    const more = comments[next];
    if (!more || more.line !== comment.line + (next - at) || more.text.trim() === '') return undefined;
    body = `${body} ${bare(more.text)}`.trim();
  }
  return undefined;
}

const bare = (text: string): string =>
  text
    .replace(/^[([<]|[)\]>.]+$/g, '')
    .replace(/\s*(?:->|→|=>)\s*/g, ' , ')
    .trim();

/** `* Usage: X1 IN+ IN- OUT AMP`: what stands between the instance's and the model's name. */
function inCall(comment: Comment, name: string, count: number): string[] | undefined {
  const text = comment.text.replace(USAGE, '').trim();
  const words = text.replace(/\s*(params:)?\s*\w+\s*=.*$/i, '').split(/\s+/);
  const isCall = /^x\w*$/i.test(words[0] ?? '') && words.at(-1)?.toLowerCase() === name.toLowerCase();
  return isCall && words.length === count + 2 ? words.slice(1, -1) : undefined;
}

/** True where the words of a comment stand over the nodes of the card, within three columns. */
function aligned(comment: string, card: string, nodes: readonly string[]): boolean {
  const starts = (text: string) => [...text.matchAll(/[^\s*]\S*/g)].map((m) => m.index);
  const at = starts(card).slice(2, 2 + nodes.length);
  const words = starts(comment.replace(/^\s*\*/, ' ')).slice(-nodes.length);
  return at.length === words.length && at.every((x, i) => Math.abs(x - words[i]!) <= 3);
}
