import type { Card } from './cards';

export interface SubcktHeader {
  name: string;
  nodes: string[];
  /** Nodes after `OPTIONAL:`, which an instance may leave out, with the nodes that they then are. */
  optional: { name: string; value: string }[];
  params: { name: string; value: string }[];
}

/**
 * ```
 * .subckt NAME n1 n2 OPTIONAL: n3=$G_DPWR PARAMS: R=1k C={2*R}
 *              ^nodes          ^optional          ^parameters
 * ```
 * Bare words after the first parameter are none of the nodes; brackets around the list are ornament.
 */
export function readSubcktHeader(card: Card): SubcktHeader {
  const text = card.text
    .replace(/\s*=\s*/g, '=')
    .replace(/[()]/g, (c, at: number, all: string) => (all.slice(0, at).includes('=') ? c : ' '))
    .replace(/(params|optional|text)\s*:/gi, ' $1: ');
  const words = text.match(/[^\s={}'"]+=(?:\{[^}]*\}|'[^']*'|"[^"]*"|\S*)|\S+/g) ?? [];
  const header: SubcktHeader = { name: words[1] ?? '', nodes: [], optional: [], params: [] };
  let section = 'nodes';
  for (const word of words.slice(2)) {
    const mark = /^(params|optional|text):$/i.exec(word)?.[1]?.toLowerCase();
    const [, name, value] = /^([^=]+)=(.*)$/.exec(word) ?? [];
    if (mark) section = mark;
    else if (section === 'optional' && name !== undefined) header.optional.push({ name, value: value! });
    else if (name !== undefined) {
      if (section === 'nodes') section = 'params';
      if (section === 'params') header.params.push({ name, value: value! });
    } else if (section === 'nodes' && /^params$/i.test(word)) section = 'params';
    else if (section === 'nodes' && word !== ',') header.nodes.push(word.replace(/,$/, ''));
  }
  return header;
}
