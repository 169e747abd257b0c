import { LEAD, pieces, tidy, type Found, type Header } from './found';

/** `+ OUT ; output of the amplifier` says it of the nodes on its line; a comment on the card line names all in order. */
export function inline({ nodes, raw }: Header): Found {
  const found: Found = [];
  raw.forEach(({ text, comment, line }, i) => {
    if (comment === '') return;
    const words = text
      .trim()
      .replace(/^\+/, '')
      .split(/\s+/)
      .filter((w) => w !== '')
      .slice(i === 0 ? 2 : 0);
    const own = words.flatMap((w) => nodes.find((n) => n.toLowerCase() === w.toLowerCase()) ?? []);
    if (own.length === 1) found.push([own[0]!, { doc: tidy(comment), line }]);
    const all = own.length > 1 ? pieces(comment.replace(LEAD, ''), own.length) : undefined;
    all?.forEach((doc, k) => found.push([own[k]!, { doc: tidy(doc), line }]));
  });
  return found;
}
