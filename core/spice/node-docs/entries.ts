import type { Comment } from '../cards';
import { rolesOf } from '../roles';
import { isKnownWord } from '../sense';
import { withBrackets } from './brackets';
import { countOf, LEAD, OUTSIDE_BRACKETS, tidy, type Found, type Names } from './found';
import { isNode, nodeNamed, nodesListed, nodesOf, startsWithOther } from './named';

/** `1 and 2 are the ac terminals, 3 is plus`: a sentence for each of the nodes is a list of them. */
const sentences = (text: string, byName: Names): string =>
  !/\b(is|are)\b/.test(text) || /^\s*\S+\s{2,}\S/.test(text)
    ? text
    : text.replace(
        /(^|[,;]\s*(?:and )?)([\w+.-]+(?:(?:, | and | & )[\w+.-]+)*) (?:is|are) (?:the |an? )?(?=\S)/g,
        (whole, lead: string, list: string) =>
          nodesListed(list, byName).length > 0 ? `${lead.trim()}${lead === '' ? '' : ' '}${list.replace(/, | and | & /g, '/')} = ` : whole,
      );

/** A row of a ruled table, `| 1 | power input |`, as a line of columns, and one behind a rule, `| RO  receiver output`, without it. */
const withoutRules = (text: string): string =>
  /^\|\s+[^\s|]+\s{2,}[^|]+$/.test(text.trim())
    ? text.trim().slice(1).trim()
    : /^\|(?:[^|]+\|){1,4}[^|]*$/.test(text.trim())
      ? text
          .trim()
          .replace(/^\|\s*|\s*\|$/g, '')
          .replace(/\s*\|\s*/g, '   ')
      : text;

/** `I1..I4` and `QA to QH` as the names that they stand for, where each is a node; `1 to 5 V` and `1 to 5.5` are how much. */
const withRanges = (text: string, byName: Names): string =>
  withFigures(text, byName).replace(
    /\b([A-Za-z]{0,3})([A-H])\s?(?:\.{2,3}|to|thru|through)\s?([A-Za-z]{0,3})([A-H])\b/g,
    (whole, a: string, from: string, b: string, to: string) =>
      rangeOf(a, b, from.charCodeAt(0), to.charCodeAt(0), byName, (at) => String.fromCharCode(at)) ?? whole,
  );

const withFigures = (text: string, byName: Names): string =>
  !/\d\s?(?:\.\.|-|–|to|thru|through)\s?[A-Za-z]{0,8}\d/i.test(text)
    ? text
    : text.replace(
        /\b([A-Za-z]{0,8})(\d{1,3})\s?(?:\.{2,3}|-|–|to|thru|through)\s?([A-Za-z]{0,8})(\d{1,3})\b(?!\.\d)(?! ?(?:[mkµu]?[VAWΩ]|[kMG]?Hz|ohms?|dB|%|degC|°)(?![a-z]))/gi,
        (whole, a: string, from: string, b: string, to: string) => rangeOf(a, b, Number(from), Number(to), byName, String) ?? whole,
      );

/** The nodes from one to another of a stem, as `I1/I2/I3`; undefined where one of them is none. */
function rangeOf(a: string, b: string, from: number, to: number, byName: Names, say: (at: number) => string): string | undefined {
  const count = to - from + 1;
  if ((b !== '' && b.toLowerCase() !== a.toLowerCase()) || count < 3 || count > 64) return undefined;
  const names = Array.from({ length: count }, (_, k) => `${a}${say(from + k)}`);
  return names.every((n) => byName.has(n.toLowerCase())) ? names.join('/') : undefined;
}

/** `P: + bus | N: - bus` between rules, and `1 = input, low side; 2 = output` between semicolons: there a comma parts no entries. */
function parted(unled: string, line: number, raw: string, byName: Names): Found | undefined {
  const text = unled.replace(/^\s*(?:nodes?|pins?|terminals?|ports?):\s+(?=\S+ [-–=:] )/i, '');
  const cut = [/\s\|\s/, /;\s+/].map((separator) => text.split(separator)).find((pieces) => pieces.length > 1);
  if (!cut) return undefined;
  // What has no words of its own only has its place in the list.
  const worded = cut.filter((piece) => nodesListed(piece.trim(), byName).length === 0);
  if (worded.length < 2 || !worded.every((piece) => /^\s*\w[^|:=]*(?:\s?[:=]|\s[-–])\s*[^\s:=][^:=]*$/.test(piece))) return undefined;
  const found = worded.map((piece) => single(piece.trim(), line, byName) ?? entriesOf({ text: piece, line, raw }, byName));
  return found.every((entries) => entries.length > 0) ? found.flat() : undefined;
}

/** Sentences that say of several nodes what they are, `drain is node 1 and gate is node 2`, `Pin 1 is the drain. Pin 2 is the gate.`, with the signs of a list. */
function inSigns(text: string, byName: Names): string {
  const said = [...text.matchAll(/\bis (?:the )?(?:node|pin|terminal) (\w{1,8})\b/gi)];
  if (said.length > 1 && said.every((m) => byName.has(m[1]!.toLowerCase())))
    return text.replace(/,? and (?=[a-z])/gi, ', ').replace(/\s+is (?:the )?(?:node|pin|terminal) (?=\w)/gi, ' = ');
  const named = [...text.matchAll(/(?:^|[.;,]\s+|\s(?=and\s))(?:and )?(?:node|pin|terminal) (\w{1,8}) is (?:the |an? )?/gi)];
  if (named.length > 1 && named.every((m) => byName.has(m[1]!.toLowerCase())))
    return text.replace(/(^\s*|[.;,]\s+|\s(?=and\s))(?:and )?(?:node|pin|terminal) (\w{1,8}) is (?:the |an? )?/gi, (_, lead: string, node: string) => `${lead === '' ? '' : ', '}${node} = `); // prettier-ignore
  // `drain[1], gate[2]`
  return text.replace(/(?<=\w)\[(\w{1,8})\](?=[\s,;]|$)/g, (whole, node: string) => (byName.has(node.toLowerCase()) ? `(${node})` : whole));
}

/** `1 drain 2 gate 3 source` and `1) drain 2) gate 3) source`: all nodes by their numbers, each with its words behind it. */
function alternating(text: string, line: number, byName: Names): Found | undefined {
  const items = [...text.matchAll(/(?:^|\s)#?(\d{1,3})[).]?\s+([A-Za-z+-][^\d,;=:()]{0,40}?)(?=\s+#?\d{1,3}[).]?\s|\s*$)/g)];
  const found = items.flatMap((m): Found => {
    const node = byName.get(m[1]!);
    return node === undefined ? [] : [[node, { doc: tidy(m[2]!), line }]];
  });
  const isAll = found.length > 1 && found.length === countOf(byName) && new Set(found.map(([node]) => node)).size === found.length;
  const isWhole = items.map((m) => m[0].trim()).join(' ') === text.trim().replace(/\s+/g, ' ');
  // Amperes and channels are counted too: most of the words have to say what a terminal is.
  const told = found.filter(([, { doc }]) => rolesOf(doc).size > 0 || doc.split(/\s+/).every(isKnownWord));
  return isAll && isWhole && told.length >= Math.max(2, found.length * 0.6) ? found : undefined;
}

/** What a single comment says of nodes: one entry, several between signs, commas, columns or rules, or items that name theirs. */
export function entriesOf({ text: unread, line, raw }: Comment, byName: Names): Found {
  const apart = parted(unread, line, raw, byName);
  if (apart) return apart;
  const given = withRanges(inSigns(unread, byName), byName)
    .replace(/^\s*@(?=\w)/, '')
    .replace(/(^|\s)#(?=\d{1,2}\s.*\s#\d)|(?<=\s)#(?=\d{1,2}\s)/g, '$1')
    .replace(/(^|\s)\[(\w{1,8})\](?=\s)/g, (whole, lead: string, name: string) =>
      byName.has(name.toLowerCase()) ? `${lead}(${name})` : whole,
    );
  const hidden = masked(given);
  const dotted = sentences(withoutLabels(ofNode(hidden)), byName)
    .replace(/\{([^{}]*)\}(?=\s*\{)/g, '$1,')
    .replace(/\{([^{}]*)\}/g, '$1')
    .replace(/(?:\s\.){2,}\s+/g, ' ... ')
    .replace(/^(\s*[\w+-]+)\.{3,}(?=\S)/, '$1 ... ')
    .replace(/^\s*\.\s+/, '');
  const text = withoutRules(dotted)
    // `Pin OUT is the output` is of OUT.
    .replace(LEAD, (lead) => (lead.endsWith('\n') || byName.has(/^pin\s+(\w+)/i.exec(lead)?.[1]?.toLowerCase() ?? '') ? lead : ''))
    // `plus: node 3`: the word says nothing that the sign before it does not.
    .replace(/([:=]\s*)(?:nodes?|pins?)\s+(?=\S)/gi, '$1')
    // Behind `inm :` a dash is no second separator but the sign of the input.
    .replace(/([:=]\s*)[-−]\s+(?=(?:input|output|supply|terminal|rail|bus)\b)/gi, '$1-');
  // `Hall switch: 1 supply, 2 output`: what stands before the colon is about the model.
  const afterTitle = /^[^:=]{3,}?:\s+(.*)$/.exec(text)?.[1];
  const behindNumber = /^\s*(\d+)[.)]?\s+((\S+?):?\s+.*)$/.exec(text);
  // A row of the package's pin, the node's name and words, `1  BOOT  bootstrap`: the number is no node.
  const row = behindNumber && !byName.has(behindNumber[1]!) && byName.has(behindNumber[3]!.toLowerCase()) ? behindNumber[2] : undefined;
  const body = row ?? text;
  const found =
    withBrackets(body, line, byName) ??
    shared(body, line, byName) ??
    several(body, line, byName) ??
    items(body, line, byName) ??
    alternating(body, line, byName) ??
    single(body, line, byName) ??
    (row === undefined ? undefined : spacedRow(row, line, byName)) ??
    (afterTitle ? (shared(afterTitle, line, byName) ?? several(afterTitle, line, byName)) : undefined) ??
    (afterTitle ? items(afterTitle, line, byName) : undefined) ??
    [];
  return hidden === given ? found : found.map(([node, said]) => [node, { ...said, doc: unmasked(said.doc) }]);
}

/** What separates entries, and what stands for it in the brackets of one: `4:P (pressure, 1 V = 1 Pa)`. */
const MASKS: readonly [mark: string, mask: string][] = [
  ['=', '\uE000'],
  [',', '\uE001'],
  [':', '\uE002'],
  [';', '\uE003'],
];

const masked = (text: string): string =>
  text.includes('(') ? text.replace(/\([^()]*\)/g, (inside) => (inside.includes('=') ? inMasks(inside) : inside)) : text;
const inMasks = (text: string): string => MASKS.reduce((t, [mark, mask]) => t.replaceAll(mark, mask), text);
const unmasked = (text: string): string => MASKS.reduce((t, [mark, mask]) => t.replaceAll(mask, mark), text);

/** `Pin 1 (node 3): +IN` and `node 3 (pin 1): +IN` are of node 3. */
const ofNode = (text: string): string =>
  text
    .replace(/^\s*(?:pin|terminal|lead)\s+\S{1,4}\s*\(\s*node\s+(\S{1,24}?)\s*\)/i, 'node $1')
    .replace(/^(\s*node\s+\S{1,24})\s*\(\s*(?:pin|terminal|lead)\s+\S{1,4}\s*\)/i, '$1')
    // `node 4 and node 6 load`: both of them.
    .replace(/\bnode (\w{1,8}) (?:and|&) node (?=\w)/gi, 'node $1/');

/** `Node 1: RG-  Node 2: IN`: where each entry of a line has the word before it, it is a label. */
const withoutLabels = (text: string): string =>
  /^\s*node\s+\S+\s*[:=].*\snode\s+\S+\s*[:=]/i.test(text)
    ? text.replace(/^\s*node\s+/i, '').replace(/\s+node\s+(?=\S+\s*[:=])/gi, ', ')
    : text;

const spacedRow = (text: string, line: number, byName: Names): Found | undefined => {
  const [, word = '', rest = ''] = /^(\S+)\s+(\S.*)$/.exec(text) ?? [];
  return rest === '' ? undefined : [[byName.get(word.toLowerCase())!, { doc: tidy(rest), line }]];
};

/**
 * A list of items that each name their nodes before or behind their words: `IN1/IN2 inputs, VM supply`, `Terminal 1 +In,
 * Terminal 2 -In`, `coil 1-2, common 3`, `1 in / 2 out`, and in columns `1 drain  2 source  3 gate`. Only whole: every item has its nodes.
 */
function items(text: string, line: number, byName: Names): Found | undefined {
  // Where the windings of a transformer begin is said of nodes that the list has already.
  const listed = text.trim().replace(/[,;]\s*dots? (?:at|on) [\w\s,&]{1,60}$/i, '');
  for (const separator of [/\s*[,;]\s*/, /\s+\/\s+/, /\s{2,}/]) {
    const parts = listed.split(separator);
    if (parts.length < 2) continue;
    // Nodes without words of their own may end the list; before words they share them.
    const lastWorded = parts.findLastIndex((part) => !isNode(part, byName));
    if (parts.slice(0, lastWorded).some((part) => isNode(part, byName))) continue;
    const found = [true, false]
      .map((before) => parts.map((part) => itemOf(part, before, byName)))
      .concat([parts.map((part) => wordsFirst(part, byName))])
      .find((all) => all.every((i) => i !== undefined));
    const entries = found?.flatMap((item) => item!.nodes.map((node): Found[number] => [node, { doc: tidy(item!.doc), line }]));
    if (entries && entries.length > 0 && new Set(entries.map(([node]) => node)).size === entries.length) return entries;
  }
  return undefined;
}

const COUNTED = /^(?:\w+ )?(?:inputs|outputs|channels|supplies|switches|gates|amplifiers|transistors|diodes|stages|poles|units|bits)$/i;
/** `2 inputs` counts what the part has, and says nothing of a node 2. */
const isCount = (name: string, words: string): boolean => /^\d+$/.test(name) && COUNTED.test(words);

/** `5 V tolerant` counts volts, and says nothing of a node 5. */
const isQuantity = (name: string, words: string): boolean =>
  /^\d+$/.test(name) && /^(?:[munpk]?[AVWFH]|[kM]?Hz|[kM]?ohms?)\s|^(?:[mk]?V|m[AW]|[kM]?Hz)$/.test(words);

/** An item's nodes and words; the nodes stand before the words, or as bare numbers behind them. */
function itemOf(item: string, before: boolean, byName: Names): { nodes: string[]; doc: string } | undefined {
  // `…, vcc, gnd`: nodes whose names say it all.
  if (before && item.length > 1 && isNode(item, byName)) return { nodes: [], doc: '' };
  const shape = before ? /^(?:(?:node|pin|terminal)\s+)?(\S+)\s+(\S.*)$/i : /^(\S.*?)\s+(?:(?:node|pin|terminal)s?\s+)?([\d/&-]+)$/i;
  const [, first = '', last = ''] = shape.exec(item.trim()) ?? [];
  const several = before ? severalFirst(item.trim(), byName) : undefined;
  const [name, doc] = several ?? (before ? [first, last] : [last, first]);
  if (before && (isCount(name, doc) || isQuantity(name, doc))) return undefined;
  const nodes = nodesOf(name, byName);
  // What names other nodes than its own, goes on about a wiring or belongs to a bracket is a sentence.
  const isSentence =
    /[:=()]/.test(doc.replace(/ \([^():=]{1,40}\)$/, '')) ||
    /^(to|of|for|and|or|is|are|with|in|on|at|from)\b(?![+\-/])/.test(doc) ||
    doc.split(/[\s/]+/).some((w) => byName.has(w.toLowerCase()) && !nodes.includes(byName.get(w.toLowerCase())!));
  return nodes.length === 0 || !/[A-Za-z]/.test(doc) || isSentence ? undefined : { nodes, doc };
}

/** `A+ A- B+ B- coil ends` as the nodes, between slashes, and the words that are of them all. */
function severalFirst(item: string, byName: Names): [names: string, words: string] | undefined {
  const words = item.split(/\s+/);
  const count = words.findIndex((word) => byName.get(word.toLowerCase()) !== word);
  // `C1 B1 E1 first transistor` says of none what it is; `coil ends` are what each of them is.
  const isOfEach = count > 1 && /[a-z]{3}s$/.test(words.at(-1)!);
  return isOfEach ? [words.slice(0, count).join('/'), words.slice(count).join(' ')] : undefined;
}

/** `inputs A B`: words in small letters, and behind them nodes as the card writes them. */
function wordsFirst(item: string, byName: Names): { nodes: string[]; doc: string } | undefined {
  const [, doc = '', list = ''] = /^([a-z][a-z ]*?)\s+([A-Z]\S*(?:\s+[A-Z]\S*)*)$/.exec(item.trim()) ?? [];
  const names = list.split(/\s+/);
  const areNodes = list !== '' && names.every((name) => byName.get(name.toLowerCase()) === name);
  return areNodes ? { nodes: names, doc } : undefined;
}

/** `1, 2 = element, T = temperature`: nodes without words of their own have those of the next one. */
function gatheredNodes(text: string, line: number, byName: Names): Found | undefined {
  const found: Found = [];
  let waiting: string[] = [];
  let isShared = false;
  for (const item of text.split(/\s*[,;]\s*/)) {
    const [, name = item, doc] = /^(\S+(?: \S+){0,5}?)\s*(?:=|:)\s*(\S.*)$/.exec(item) ?? [];
    const tied = name.includes(' ') ? nodesListed(name, byName) : nodesOf(name, byName);
    // GND by itself says what it is: the next one's words are not of it.
    if (tied.length === 0 || (doc === undefined && tied.some((n) => n.length > 1 && rolesOf(n).size > 0))) return undefined;
    waiting.push(...tied);
    if (doc === undefined) continue;
    isShared ||= waiting.length > 1;
    for (const n of waiting) found.push([n, { doc: tidy(doc), line }]);
    waiting = [];
  }
  return isShared && waiting.length === 0 ? found : undefined;
}

/** `A1 A2 = coil, 11 12 14 = contact (common, open)`: each item has its nodes before the sign, and some of them several. */
function severalTimes(text: string, line: number, byName: Names): Found | undefined {
  if (!/[=:]/.test(text)) return undefined;
  // What has no sign is more words of the one before: `B: cathodes of red, blue`.
  const pieces = text
    .split(OUTSIDE_BRACKETS)
    .map((piece) => piece.trim())
    .reduce<string[]>((all, piece) => {
      if (all.length === 0 || /[=:]/.test(piece) || nodesListed(piece, byName).length > 0) return [...all, piece];
      return [...all.slice(0, -1), `${all.at(-1)}, ${piece}`];
    }, []);
  const items = pieces.map((item) => /^(\S+(?: \S+)*?)\s*[=:]\s*([^=:]+)$/.exec(item));
  const lists = items.map((item) => (item ? nodesListed(item[1]!, byName) : []));
  if (items.length < 2 || lists.some((nodes) => nodes.length === 0) || lists.every((nodes) => nodes.length === 1)) return undefined;
  return lists.flatMap((nodes, i) => nodes.map((node): Found[number] => [node, { doc: tidy(items[i]![2]!), line }]));
}

/** Some words for several nodes: `S1=1, D1=7 8`, and `5, 6 = drain`. */
function shared(text: string, line: number, byName: Names): Found | undefined {
  const left = /^(?:nodes?|pins?)?\s*((?:[\w+.-]+(?:\s*[,/&]\s*|\s+and\s+|\s+))+[\w+.-]+)\s*(?:=|:|->|\s-+\s|\.{2,})\s*([^=:]+)$/i.exec(
    text.trim(),
  );
  const many = left ? nodesListed(left[1]!.replace(/[\s.]+$/, ''), byName) : [];
  if (left && many.length > 1) return many.map((n) => [n, { doc: tidy(left[2]!), line }]);
  const gathered = gatheredNodes(text, line, byName) ?? severalTimes(text, line, byName);
  if (gathered) return gathered;
  const entries = withCommas(text)
    .split(/\s*[,;]\s*/)
    .map((e) => /^\s*([^=:]+?)\s*(?:=|:)\s*(.+?)\s*$/.exec(e))
    // Before the first comma a title may stand.
    .filter((e, i) => e !== null || i > 0);
  const lists = entries.map((e) => (e ? nodesListed(e[2]!.replace(/^(\w+)-(\w+)$/, '$1 $2'), byName) : []));
  if (entries.length < 2 || lists.some((l) => l.length === 0) || lists.every((l) => l.length === 1)) return undefined;
  return lists.flatMap((list, i) => list.map((n): Found[number] => [n, { doc: tidy(entries[i]![1]!), line }]));
}

/** Several entries in one line: `1=IN+ 2=IN-`, `1: IN+, 2: IN-`, `IN+ = 1, IN- = 2`, `IN+(1) IN-(2)`, `1 (IN+), 2 (IN-)`. */
const SEVERAL: { shape: RegExp; node: 1 | 2; words?: true }[] = [
  { shape: /(?:^|[\s,;(])([^\s,;=:()]+)\s*(?:=|->)\s*([^\s,;=]+(?:\s(?![^\s,;]+\s*(?:=|->))[^\s,;=]+)*)(?=[\s,;)]|$)/g, node: 1 },
  { shape: /(?:^|[\s,;])([^\s,;=:()]+)\s*:\s*([^,;:]+?)(?=\s*[,;]|\s+[^\s,;:]+\s*:|$)/g, node: 1 },
  { shape: /(?:^|[,;])\s*([^,;=:]+?)\s*(?:=|:|->)\s*([^\s,;=]+)(?=\s*(?:[,;]|$))/g, node: 2 },
  { shape: /(?:^|[\s,;=])([^\s,;=()]+)=([^\s,;=]+)(?=[\s,;]|$)/g, node: 2 },
  { shape: /(?:^|[\s,;])([^\s,;:()]+):([^\s,;:]+)(?=[\s,;]|$)/g, node: 2 },
  { shape: /(?:^|[\s,;])\(\s*([^\s,;()]+)\s*\)\s*([^()]*[^\s,;()])(?=[\s,;]*(?:\(|$))/g, node: 1 },
  { shape: /(?:^|[\s,;])([^\s,;()]+)\s*\(\s*(?:node |pin )?([^\s,;()]+)\s*\)/g, node: 2, words: true },
  { shape: /(?:^|[\s,;])([^\s,;()]+)\s*\(\s*([^,;()]+)\s*\)/g, node: 1 },
  { shape: /(?:^|[,;])\s*(?:node |pin )?([^\s,;]+)\s+([^,;]+?)(?=\s*[,;]|$)/g, node: 1 },
  { shape: /(?:^|\s)([^\s,;=-]+)-([^\s,;=]+)(?=[\s,;]|$)/g, node: 1 },
];

/** Entries that stand in columns: the gaps before them, by the sign that they have more than once. */
const COLUMNS = [
  { sign: '=', gap: /\s{2,}(?=[^\s=]+\s*=)/g },
  { sign: ':', gap: /\s{2,}(?=[^\s:]+\s*:)/g },
];

/** Columns of entries, `RFIN = 1    RFOUT = 2`, are as good as commas between them. */
function withCommas(given: string): string {
  const columns = COLUMNS.find(({ sign }) => given.indexOf(sign) !== given.lastIndexOf(sign));
  return columns ? given.replace(columns.gap, ', ').replace(/^, /, '') : given;
}

/** `SRC=source, tab  IN=logic input`: between entries in columns, a comma is of the words. */
function inColumns(text: string, line: number, byName: Names): Found | undefined {
  const columns = text.trim().split(/\s{2,}/);
  const found = columns.flatMap((column): Found => {
    const [, name = '', doc = ''] = /^([^\s=:]+)\s?[=:]\s?(\S.*)$/.exec(column) ?? [];
    const node = nodeNamed(name, byName);
    return node === undefined || /[=:]/.test(doc) ? [] : [[node, { doc: tidy(doc), line }]];
  });
  return found.length > 1 && found.length === columns.length && found.some(([, { doc }]) => doc.includes(',')) ? found : undefined;
}

function several(given: string, line: number, byName: Names): Found | undefined {
  const columns = inColumns(given, line, byName);
  if (columns) return columns;
  const text = withCommas(given);
  for (const { shape, node, words } of SEVERAL) {
    const all = [...text.matchAll(shape)];
    const own = all.flatMap((m, k): Found => {
      const name = nodeNamed(m[node]!, byName);
      // `source(3) kelvin source(4)`: what stands between belongs to the next.
      const between = k === 0 || !words ? '' : text.slice(all[k - 1]!.index + all[k - 1]![0].length, m.index).replace(/[\s,;]+/g, ' ');
      const isOther = [...between.matchAll(/\(\s*([^\s()]+)\s*\)/g)].some((inside) => byName.has(inside[1]!.toLowerCase()));
      return name === undefined || isOther ? [] : [[name, { doc: tidy(`${between} ${m[3 - node]!}`), line }]];
    });
    if (all.length > 0 && !isWhole(text, all, byName)) continue;
    // `1 and 2 are the inputs` goes on, and says nothing of 1 alone.
    if (own.some(([name, { doc }]) => isCount(name, doc) || isQuantity(name, doc))) continue;
    if (own.some(([name, { doc }]) => (/\s/.test(doc) && startsWithOther(doc, name, byName)) || /^(?:and|or|&|to(?= \d)) /i.test(doc)))
      continue;
    if (own.length > 1 && own.length === all.length && new Set(own.map(([n]) => n)).size === own.length) return own;
  }
  return undefined;
}

/**
 * True where nothing is left that belongs to the list: `(1) IN (2) OUT` read as `IN (2)` would leave (1) before and OUT
 * behind, and name every node by its neighbour.
 */
function isWhole(text: string, all: readonly RegExpExecArray[], byName: Names): boolean {
  const last = all.at(-1)!;
  const before = text.slice(0, all[0]!.index).match(/[\w+.-]+/g) ?? [];
  const behind = text.slice(last.index + last[0].length);
  return !/\w/.test(behind) && !before.some((word) => byName.has(word.toLowerCase()));
}

/** `1 = IN+`, `IN: input of the regulator`, `node 3 - output`, `pin 1 is the input`, `2) output`, and `output = 3`. */
function single(text: string, line: number, byName: Names): Found | undefined {
  const body = text.replace(/^(?:[*•#\s]|-(?![A-Za-z]))+/, '').trim();
  const entry =
    /^(?:(?:node|pin|terminal)\b)?\s*["'(<[]?([^\s"'()=:<>[\]]+)["')>\]]?\s*(?:=+>?|:|->|-{1,4}(?=\s)|–|—|\.{2,}|\s{2,}|\t|\s(?:is|are)\s(?:the\s|an?\s)?)\s*(.+)$/i.exec(
      body,
    );
  const node = entry ? byName.get(entry[1]!.toLowerCase()) : undefined;
  // `VP VM   supplies` is of both.
  const [, several = '', words = ''] = /^(\S+(?: \S+){1,3})\s{2,}(\S.*)$/.exec(body) ?? [];
  const gathered = several === '' ? [] : nodesListed(several, byName);
  if (gathered.length > 1) return gathered.map((name) => [name, { doc: tidy(words), line }]);
  // `inp/inn  thermocouple` is of both.
  const both = entry && node === undefined && entry[1]!.includes('/') ? nodesOf(entry[1]!, byName) : [];
  if (both.length > 1) return both.map((name) => [name, { doc: tidy(entry![2]!), line }]);
  // A number behind a gap is a column of its own: the package's pin.
  if (node !== undefined) {
    const said = entry![2]!.replace(/\s\s\d{1,3}$/, '');
    return [[node, { doc: tidy(/[A-Za-z]/.test(said) ? said : entry![2]!), line }]];
  }
  // `(1) IN  regulator input`: what stands in brackets before the words is the node.
  const [, inBrackets = '', said = ''] = /^[([<]\s*([^\s()[\]<>]{1,24})\s*[)\]>]\s+(\S.*)$/.exec(body) ?? [];
  const bracketed = byName.get(inBrackets.toLowerCase());
  if (bracketed !== undefined) return [[bracketed, { doc: tidy(said), line }]];
  // `Output: OUT(5)`: what stands before the colon is a title.
  const called = /^[A-Za-z][\w /-]*:\s+([^\s,;()]+)\s*\(\s*(?:node |pin )?([^\s,;()]+)\s*\)$/i.exec(body);
  const titled = called ? byName.get(called[2]!.toLowerCase()) : undefined;
  if (titled !== undefined && !byName.has(called![1]!.toLowerCase())) return [[titled, { doc: tidy(called![1]!), line }]];
  const reversed = /^(.+?)\s*(?:=+>?|:|->|\s-+\s|\.{2,}|\s{2,}|\t|\son\s|\sat\s|\sis\s)\s*(?:node|pin)?\s*#?\s*(\S+?)[.,;]?$/i.exec(body);
  const at = reversed ? byName.get(reversed[2]!.toLowerCase()) : undefined;
  // `Coupled inductors 1:1` tells a ratio.
  // `gate 1    6      5` is a row of a winding's two nodes.
  const isRow = byName.has((/\s{2,}(\S+)$/.exec(reversed?.[1] ?? '')?.[1] ?? '').toLowerCase());
  if (at !== undefined && !isRow && !/[=:]/.test(reversed![1]!) && !/\d:\d+$/.test(body)) return [[at, { doc: tidy(reversed![1]!), line }]];
  const numbered = /^(?:node |pin )?(\d+)[.)]?\s+(.+)$/i.exec(body);
  // `2 A converter` counts amperes and no terminals.
  if (numbered && /^(?:[munpk]?[AVWFH]|[kM]?Hz|M?Ohms?|dB|bits?|channels?)\b/.test(numbered[2]!)) return undefined;
  const numeric = numbered ? byName.get(numbered[1]!) : undefined;
  return numeric === undefined ? undefined : [[numeric, { doc: tidy(numbered![2]!), line }]];
}
