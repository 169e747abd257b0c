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
    withoutNames(all ?? [], own).forEach((doc, k) => {
      if (doc !== '') found.push([own[k]!, { doc: tidy(doc), line }]);
    });
  });
  return found;
}

/** `regulator: IN raw supply, OUT 5 V`: where most pieces begin with the names of their nodes, these and a title are no words of theirs. */
function withoutNames(pieces: readonly string[], nodes: readonly string[]): readonly string[] {
  const words = pieces.map((piece, k) => {
    const [, name = '', rest = ''] = /^(\S+)\s*(.*)$/.exec(k === 0 ? piece.replace(/^[^:]{3,}:\s+/, '') : piece) ?? [];
    return name.toLowerCase() === nodes[k]!.toLowerCase() ? rest : undefined;
  });
  const isNamed = words.filter((rest) => rest).length > 1 && words.filter((rest) => rest !== undefined).length >= pieces.length * 0.6;
  return isNamed ? pieces.map((piece, k) => words[k] ?? piece) : pieces;
}
