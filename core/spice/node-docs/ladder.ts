import type { Comment } from '../cards';
import { LEAD, tidy, type Found, type Header } from './found';

interface Rung {
  comment: Comment;
  bars: number;
  label: string;
  /** True where the label's own bar is drawn into it: `+---- label`, `|---- label`. */
  isElbow: boolean;
}

const BARS = /[|!¦]/g;

/**
 * ```
 * * connections: non-inverting input        * +---------- non-inverting input
 * *              |   inverting input        * |   +------ inverting input
 * *              |   |   output             * |   |   +-- output
 * .subckt AMP    1   2   3                  .subckt AMP    1   2   3
 * ```
 * The number of bars before a label is the place of its node; where every label stands behind a bar of its own, or at
 * an elbow, that bar does not count. The ladder may stand above the card or hang below it.
 */
export function ladder(header: Header): Found {
  const over = overBars(header);
  if (over.length > 0) return over;
  const left = leftLabels(header);
  if (left.length > 0) return left;
  const above = climb(header, header.above);
  return above.length > 0 ? above : climb(header, [...header.between, ...header.inside]);
}

/**
 * ```
 * * in+  in-  vcc  gnd  out
 * *  |    |    |    |    |
 * ```
 * Words in a row over a row of bars, or in two rows where a label is broken: each word belongs to the bar under it.
 */
function overBars({ nodes, above }: Header): Found {
  const at = above.findIndex((c) => /^[\s|!¦]+$/.test(c.text) && (c.text.match(BARS) ?? []).length === nodes.length);
  if (at < 1 || nodes.length < 2 || rungOf(above[at - 1]!)) return [];
  const bars = [...above[at]!.raw.matchAll(BARS)].map((m) => m.index);
  const rows: string[][] = [];
  for (let i = at - 1; i >= 0 && i >= at - 3 && above[i]!.line === above[at]!.line - (at - i); i--) {
    const text = above[i]!.raw.replace(/^\s*\*/, (s) => ' '.repeat(s.length));
    const groups = [...text.matchAll(/\S+(?: \S+)*/g)];
    const words = groups.length === nodes.length ? groups : [...text.matchAll(/\S+/g)];
    const places = words.map((w) => nearest(bars, w.index + w[0].length / 2));
    if (words.length !== nodes.length || new Set(places).size !== nodes.length) break;
    rows.unshift(nodes.map((_, k) => words[places.indexOf(k)]![0]));
  }
  const { line } = above[at - 1]!;
  return rows.length === 0 ? [] : nodes.map((n, k) => [n, { doc: tidy(rows.map((r) => r[k]).join(' ')), line }]);
}

const nearest = (bars: readonly number[], x: number): number =>
  bars.reduce((best, bar, i) => (Math.abs(bar - x) < Math.abs(bars[best]! - x) ? i : best), 0);

/**
 * ```
 * * anode   ---+
 * * cathode ---|--+     or, from the right, ---. |
 * ```
 * Labels at the left whose lines run to their bars: the columns where they end, in their order, are the nodes.
 */
function leftLabels({ nodes, above, inside }: Header): Found {
  const ends = [...above, ...inside].flatMap((comment) => {
    const text = comment.text.trim();
    const [, label, behind = ''] = CORNER.exec(text) ?? (RUNS_DOWN.test(text) ? LEFT.exec(text) : null) ?? [];
    return label === undefined ? [] : [{ label, line: comment.line, at: comment.raw.trimEnd().length - behind.length }];
  });
  if (ends.length !== nodes.length || new Set(ends.map((e) => e.at)).size !== nodes.length) return [];
  return ends.sort((a, b) => a.at - b.at).map((e, k) => [nodes[k]!, { doc: tidy(e.label), line: e.line }]);
}

/** A line from a label at the left to the bar it ends in. Looked for only where it does, so that no rule of dashes is searched. */
const LEFT = /^(\w.*?)\s*(?:(?<![-=.])[-=.]{2}[-=.>|!+\s]*[+|\\'`.]|(?<=\s)-\+)$/;
const RUNS_DOWN = /(?:[+|\\'`]|-\.)$/;

/** A line that turns down at its corner, before the bars of the lines over it: `cathode ---. |`. */
const CORNER = /^(\w.*?)\s*(?:(?<![-=_])[-=_]{2,}>?[.,+'`\\]|(?<=\s)-\+)((?:\s+[|!¦])+)$/;

function climb({ nodes }: Header, comments: readonly Comment[]): Found {
  const at = comments.findIndex((c) => rungOf(c) !== undefined);
  const end = comments.findLastIndex((c) => rungOf(c) !== undefined);
  if (at < 0) return [];
  const rungs = comments.slice(at, end + 1).map(rungOf);
  const whole = rungs.filter((r) => r !== undefined);
  const most = Math.max(...whole.map((r) => r.bars + (r.isElbow ? 1 : 0)));
  if (most < nodes.length - 1 || most > nodes.length) return [];
  const labelled = whole.filter((r) => r.label !== '' && !r.isElbow);
  // Every label behind a bar of its own: then the last one has as many bars as there are nodes.
  const hasOwnBar = labelled.length > 0 && Math.max(...labelled.map((r) => r.bars)) === nodes.length;
  const found: Found = [];
  for (const rung of whole) {
    const place = rung.isElbow || !hasOwnBar ? rung.bars : rung.bars - 1;
    const doc = tidy(rung.label);
    if (doc === '' || place < 0 || place >= nodes.length || !/[a-z0-9+-]/i.test(doc)) continue;
    found.push([nodes[place]!, { doc, line: rung.comment.line }]);
  }
  return hasOwnBar ? found : [...found, ...bare(nodes[0]!, found, comments, at, end)];
}

/** The first node's label has no bar before it: it stands on the line before the ladder, or after it where it hangs. */
function bare(first: string, found: Found, comments: readonly Comment[], at: number, end: number): Found {
  if (found.some(([node]) => node === first)) return [];
  const isRising = found.length > 1 && found[0]![1].line < found.at(-1)![1].line && placeRises(comments, at, end);
  for (const comment of isRising ? [comments[at - 1]] : [comments[end + 1], comments[at - 1]]) {
    const doc = comment ? tidy(comment.text.replace(LEAD, '')) : '';
    if (comment && doc !== '' && (/^[+-]$/.test(doc) || !/^[-_=+*|!¦\s]+$/.test(doc)) && doc.length < 60)
      return [[first, { doc, line: comment.line }]];
  }
  return [];
}

function placeRises(comments: readonly Comment[], at: number, end: number): boolean {
  return (rungOf(comments[at]!)?.bars ?? 0) < (rungOf(comments[end]!)?.bars ?? 0);
}

/** A rung has bars before its label, or an elbow. */
function rungOf(comment: Comment): Rung | undefined {
  const { text } = comment;
  // The rule of a table, `+-----+------+`, is no rung.
  if (/^\s*\+[-=+]{2,}\+\s*$/.test(text)) return undefined;
  const elbow = /^([^a-z0-9]*?)([+|!`'\\/](?=[-_=])|)(?:(?<=[+`\\])[-_=]+|[-_=.]{2,})>?(?:\s*(?=[^\s\-_=.|!])|\s+(?=-[A-Z]))(\S.*)$/i.exec(
    text,
  );
  if (elbow && (elbow[2] !== '' || /[|!¦]/.test(elbow[1]!))) {
    const bars = (elbow[1]!.match(BARS) ?? []).length;
    return { comment, bars, label: elbow[3]!.replace(/[|!¦\s]+$/, ''), isElbow: true };
  }
  const lead = LEAD.exec(text)?.[0] ?? '';
  const plain = /^([\s|!¦]*[|!¦])([^|!¦]*)$/.exec(text.slice(lead.length));
  if (!plain || (lead !== '' && !/^\s*[|!¦]/.test(text.slice(lead.length)))) return undefined;
  return { comment, bars: (plain[1]!.match(BARS) ?? []).length, label: plain[2]!.trim(), isElbow: false };
}
