import { groupBy } from '../../part';
import type { Comment } from '../cards';
import { isStep, linesOfElse } from './about-else';
import { entriesOf } from './entries';
import { commentsAt, countOf, isRemark, LEAD, OUTSIDE_BRACKETS, tidy, type Found, type Header, type Names } from './found';
import { allNodes, calledBesides, nodesListed, startsWithNode, startsWithOther } from './named';
import { packageDrawing } from './package-drawing';
import { linesOfRivals } from './rivals';

/**
 * Lists of nodes with words, in the forms that makers write; one alone is taken for a remark unless the model has one node.
 * `rivals` are the lines of those that are left since they contradict each other.
 */
export function lists(header: Header): { found: Found; rivals: ReadonlySet<number> } {
  const { nodes, later } = header;
  const all = commentsAt(header);
  const byName: Names = new Map([...calledBesides(nodes), ...nodes.map((n) => [n.toLowerCase(), n] as const)]);
  const drawn = packageDrawing(all, byName);
  if (drawn.length > 0) return { found: drawn, rivals: new Set() };
  const every = all.map((comment) => ({ comment, found: entriesOf(comment, byName) }));
  const inWords = spaced(all, byName, new Set());
  const other = linesOfElse(all, [...every.flatMap(({ found }) => found), ...inWords]);
  const ofNodes = every.filter(({ comment }) => !other.has(comment.line));
  const wordsAt = groupBy(inWords, ([, { line }]) => line);
  const withWords = ofNodes.map(({ comment, found }) => ({
    comment,
    found: found.length > 0 ? found : (wordsAt.get(comment.line) ?? []),
  }));
  const textAt = new Map([...header.above, ...header.between, ...header.inside].map((c) => [c.line, c.text]));
  const rivals = linesOfRivals(withWords, nodes, textAt);
  const listed = ofNodes.filter(({ comment }) => !rivals.has(comment.line));
  const comments = listed.map(({ comment }) => comment);
  const entries = withTitles(listed.flatMap(({ found }) => found), comments).flatMap((entry) => ofOneNode(entry, byName)); // prettier-ignore
  const isSaid = ([, { doc, line }]: Found[number]) => doc !== '' && !isRemark(doc) && !isStep(textAt.get(line) ?? '', doc);
  const near = pinTable(comments, byName) ?? countedNodes(comments, nodes) ?? entries.filter(isSaid);
  const isWeak = ([, { line }]: Found[number]) => /^\s*\d+\s+[A-Z]/.test(textAt.get(line) ?? '');
  near.sort((a, b) => Number(isWeak(a)) - Number(isWeak(b)));
  const known = new Set(near.map(([node]) => node));
  const found = [
    ...withoutColumns([...near, ...spaced(comments, byName, known)]),
    ...bracketed(comments, byName, known),
    ...countedRows(comments, nodes, byName),
    ...comments.flatMap((c) => [...inBrackets(c, byName), ...sideBySide(c, byName)]),
    ...comments.flatMap((c) => grouped(c, byName)),
  ];
  const named = new Set(found.map(([node]) => node));
  if (named.size >= Math.min(2, nodes.length)) return { found, rivals };
  // Further down in the body words beside a node's number are mostly about an element: only a whole list counts.
  const far = later.flatMap((c) => entriesOf(c, byName)).filter(([, { doc }]) => doc !== '' && !isRemark(doc));
  return { found: new Set(far.map(([node]) => node)).size >= Math.max(2, nodes.length / 2) ? far : [], rivals };
}

/** `primary: P1 (start)` and `secondary: S1 (start)`: where the same is said of nodes under several titles, with its title. */
function withTitles(found: Found, comments: readonly Comment[]): Found {
  const titles = new Map(
    comments.flatMap(({ text, line }) => {
      const title = /^\s*([a-z]{3,12}):\s+\S/i.exec(text)?.[1];
      return title === undefined ? [] : [[line, title] as const];
    }),
  );
  if (titles.size < 2) return found;
  const isTwice = ({ doc, line }: Found[number][1]) =>
    found.some(([, other]) => other.doc === doc && other.line !== line && titles.has(other.line));
  return found.map(([node, said]) => {
    const title = titles.get(said.line);
    return title !== undefined && isTwice(said) ? [node, { ...said, doc: `${title} ${said.doc}` }] : [node, said];
  });
}

/**
 * `pin 2 (2) output` names its node twice; `pin 1 (2) output` names two, and which of them it means it does not say;
 * `Vcc- (vee)` says of vee that it is Vcc-, and nothing of a node vcc.
 */
function ofOneNode([node, said]: Found[number], byName: Names): Found {
  const [, alone] = /^\(([^()\s]+)\)$/.exec(said.doc) ?? [];
  if (alone !== undefined && byName.has(alone.toLowerCase())) return [];
  const [lead = '', name = ''] = /^\(([^()\s]+)\)\s/.exec(said.doc) ?? [];
  const other = byName.get(name.toLowerCase());
  if (other === undefined) return [[node, said]];
  return other === node ? [[node, { ...said, doc: said.doc.slice(lead.length) }]] : [];
}

/** A table whose heading names a column of the package's pins and one of the model's nodes, in either order. */
function pinTable(comments: readonly Comment[], byName: Names): Found | undefined {
  for (const [i, { text }] of comments.entries()) {
    const heads = text
      .trim()
      .split(/\s+/)
      .map((w) =>
        w
          .toLowerCase()
          .replace(/[^a-z]/g, '')
          .replace(/s$/, ''),
      );
    const [pin, node] = [heads.indexOf('pin'), heads.indexOf('node')];
    if (pin < 0 || node < 0 || pin > 1 || node > 1 || heads.length < 3 || heads.length > 5) continue;
    const rows = comments.slice(i + 1).map((c) => ({ line: c.line, cells: /^\s*(\S+)\s+(\S+)\s+(\S.*)$/.exec(c.text)?.slice(1) ?? [] }));
    const found = rows.flatMap(({ line, cells }): Found => {
      const name = byName.get((cells[node] ?? '').toLowerCase());
      return name === undefined || !/^[A-Z]{0,2}\d{1,2}$/i.test(cells[pin]!) ? [] : [[name, { doc: tidy(cells[2]!), line }]];
    });
    if (found.length > 1 && new Set(found.map(([n]) => n)).size === found.length) return found;
  }
  return undefined;
}

/** As many rows as nodes, each with its place, a name and words; none where they are not counted up. */
function rowsCounted(comments: readonly Comment[], nodes: readonly string[]): { name: string; doc: string; line: number }[] {
  const rows = comments.flatMap(({ text, line }) => {
    const [, place = '', name = '', doc = ''] = /^[\s*]*(\d{1,2})[.)]?\s+(\S+?)(?:\s*[:=]|\s+-)?\s+(\S.*)$/.exec(text) ?? [];
    return place === '' ? [] : [{ place: Number(place), name, doc, line }];
  });
  return nodes.length > 2 && rows.length === nodes.length && rows.every((row, k) => row.place === k + 1) ? rows : [];
}

/** `2  7  input` and `7  2  output`: rows that are counted up and name the nodes in their order, some of which are called by a figure as well. */
function countedNodes(comments: readonly Comment[], nodes: readonly string[]): Found | undefined {
  const rows = rowsCounted(comments, nodes);
  const isNamed = rows.length > 0 && rows.every(({ name }, k) => name.toLowerCase() === nodes[k]!.toLowerCase());
  return isNamed ? rows.map(({ doc, line }, k) => [nodes[k]!, { doc: tidy(doc), line }]) : undefined;
}

/**
 * Rows that are counted up as the nodes are, `8  V+ : supply`, and name most of them as the card does: so the others, which
 * they call by another name, are in their places.
 */
function countedRows(comments: readonly Comment[], nodes: readonly string[], byName: Names): Found {
  const rows = rowsCounted(comments, nodes);
  if (rows.length === 0 || nodes.some((n) => /^\d+$/.test(n))) return [];
  const named = rows.map((row, k) => ({ ...row, own: nodes[k]!, is: byName.get(row.name.toLowerCase()) }));
  const isSame = named.every(({ own, is }) => is === undefined || is === own);
  const said = named.filter(({ is }) => is !== undefined);
  if (!isSame || said.length < nodes.length * 0.6) return [];
  return named.filter(({ is }) => is === undefined).map(({ own, doc, line }) => [own, { doc: tidy(doc), line }]);
}

/** A class of terminals as a column of its own, `INP  I  non-inverting input`. */
const CLASS = /^(?:I|O|IO|I\/O|B|P|G|PWR|GND)\s+(?=\S)/;

/** A table of nodes with the package's pins or their classes beside them: where all words begin with one, it is no word of theirs. */
function withoutColumns(found: Found): Found {
  const docs = found.map(([, { doc }]) => doc);
  const numbers = docs.map((doc) => /^(\d+)\s+\S/.exec(doc)?.[1]);
  const isPins = !numbers.includes(undefined) && new Set(numbers).size === numbers.length;
  const isClass = docs.every((doc) => CLASS.test(doc)) && new Set(docs.map((doc) => CLASS.exec(doc)![0])).size > 1;
  const column = found.length < 3 ? undefined : isPins ? /^\d+\s+/ : isClass ? CLASS : undefined;
  return column ? found.map(([node, said]) => [node, { ...said, doc: said.doc.replace(column, '') }]) : found;
}

/** `VCC supply` with one blank only, or `VCC,supply`, where most of the nodes have such a line: alone it could be any sentence. */
function spaced(comments: readonly Comment[], byName: Names, known: ReadonlySet<string>): Found {
  const found = comments.flatMap(({ text, line }): Found => {
    const [, word = '', rest = ''] = /^\s*(?:(?:pin|node|terminal)\s+)?([^\s,]+)(?:\s+|,\s*)(\S.*)$/i.exec(text) ?? [];
    // `IN1 IN2 inputs` is of both.
    const [, second = '', words = ''] = /^(\S+)\s+([a-z].*)$/.exec(rest) ?? [];
    const pair = words === '' || byName.get(second.toLowerCase()) !== second ? [] : allNodes([word, second], byName);
    if (new Set(pair).size > 1 && !pair.some((n) => known.has(n)) && !startsWithNode(words, byName) && !isRemark(words))
      return pair.map((n) => [n, { doc: tidy(words), line }]);
    // `IN. signal` ends its name as a sentence.
    const node = byName.get(word.toLowerCase()) ?? byName.get(word.toLowerCase().replace(/\.$/, ''));
    return node === undefined || known.has(node) || startsWithOther(rest, node, byName) || isRemark(rest) || rest.startsWith('(')
      ? []
      : [[node, { doc: tidy(rest), line }]];
  });
  const all = new Set([...known, ...found.map(([node]) => node)]);
  return all.size >= Math.max(2, countOf(byName) * 0.6) ? found : [];
}

/** `non-inverting input (3)`: the node behind its words, where most of the nodes have such a line. */
function bracketed(comments: readonly Comment[], byName: Names, known: ReadonlySet<string>): Found {
  const found = comments.flatMap(({ text, line }): Found => {
    const [, words = '', name = ''] =
      /^\s*([A-Za-z+-][^()]{0,60}(?:\([^()]{1,30}\))?)\s*\(\s*(?:(?:node|pin)\s+)?([^()\s]+)\s*\)[.,;]?\s*$/i.exec(text) ?? [];
    const node = byName.get(name.toLowerCase());
    return node === undefined || known.has(node) ? [] : [[node, { doc: tidy(words), line }]];
  });
  const all = new Set(found.map(([node]) => node));
  return all.size === found.length && all.size >= Math.max(2, countOf(byName) * 0.6) ? found : [];
}

/** `(1 A) (2 K) (3 GND)`: each node with its name in brackets of their own. */
function inBrackets({ text, line }: Comment, byName: Names): Found {
  if (!text.includes('(')) return [];
  const found = [...text.matchAll(/\((\w{1,8}) ([A-Za-z+-][\w+/-]{0,15})\)/g)].flatMap(([, name = '', doc = '']): Found => {
    const node = byName.get(name.toLowerCase());
    return node === undefined ? [] : [[node, { doc, line }]];
  });
  return new Set(found.map(([node]) => node)).size >= Math.max(2, countOf(byName) * 0.6) ? found : [];
}

/** `Q1: 1 2 3 = C B E; Q2: 6 5 4 = C B E`: several nodes and as many words. */
function sideBySide({ text, line }: Comment, byName: Names): Found {
  if (!text.includes('=')) return [];
  return text.split(OUTSIDE_BRACKETS).flatMap((item): Found => {
    const [left = '', right = '', ...more] = item.split('=').map((side) => side.replace(/^.*:\s/, '').trim());
    const [names, words] = [left.split(/\s+/), right.split(/\s+/)];
    const nodes = names.flatMap((name) => byName.get(name.toLowerCase()) ?? []);
    const isSaid =
      words.length === names.length && !words.some((w) => /^(the|an?|of|for|to|and|or|its?|first|second|[^(]*\)|\([^)]*)$/i.test(w));
    const isList = more.length === 0 && names.length > 1 && nodes.length === names.length && isSaid;
    return isList ? nodes.map((node, k) => [node, { doc: words[k]!, line }]) : [];
  });
}

/** `Inputs: A, B`: what several nodes are, where nothing nearer says it. A side of the part is nothing that a node is. */
function grouped({ text, line }: Comment, byName: Names): Found {
  const [, said = '', list = ''] = /^\s*([A-Za-z][\w -]*?)\s*:\s*([^=:]+?)\.?\s*$/.exec(text) ?? [];
  const nodes = nodesListed(list, byName);
  const saysNothing =
    byName.has(said.toLowerCase()) ||
    LEAD.test(said) ||
    /^side\b|\bside$|^(?:external|internal|electrical|thermal)\b/i.test(said) ||
    (nodes.length > 0 && nodes.length === countOf(byName));
  return saysNothing ? [] : nodes.map((n) => [n, { doc: tidy(said), line }]);
}
