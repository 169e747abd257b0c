import type { Comment } from '../cards';
import type { Header } from './found';
import { COUNTED } from './rivals';

/** The comments as a person reads them: without lines that are too long, without what only frames them, whole where words go on in the next line. */
export function asRead(header: Header): Header {
  const { above, between, inside, later } = header;
  const plain = (comments: Comment[]) =>
    comments.filter((c) => c.text.length <= LONGEST).map((c) => withSecondDash(withoutMark(withShortArrow(withoutEdge(drawnPlainly(c))))));
  const known = new Set(header.nodes.map((n) => n.toLowerCase()));
  const read = (comments: Comment[]) => withSigns(withoutBullets(wholeWords(withoutPackage(plain(comments)), known), known));
  return { ...header, above: read(above), between: withSigns(plain(between)), inside: read(inside), later: plain(later) };
}

/** Longer lines than this are no comments that a person reads: some forms are looked for in the square of the time. */
const LONGEST = 4000;

/** Lines of a box drawn with its own characters are those that keyboards have. */
const BOX: readonly [RegExp, string][] = [
  [/[│┃║]/g, '|'],
  [/[─━═]/g, '-'],
  [/[\u250c-\u254b\u2550-\u256c\u256d-\u2570]/g, '+'],
];
const inAscii = (text: string): string => BOX.reduce((t, [line, mark]) => t.replace(line, mark), text);
const drawnPlainly = (c: Comment): Comment => (/[\u2500-\u2570]/.test(c.text) ? { ...c, text: inAscii(c.text), raw: inAscii(c.raw) } : c);
/** The right edge of a box of asterisks is no word of its line. */
const withoutEdge = (c: Comment): Comment => (/\s\*+$/.test(c.text) ? { ...c, text: c.text.replace(/\s+\*+$/, '') } : c);
/** `1 --> gate` and `1 ==> gate` are `1 -> gate`. */
const withShortArrow = (c: Comment): Comment =>
  /\s(?:-{2,3}|==)>\s/.test(c.text) ? { ...c, text: c.text.replace(/\s(?:-{2,3}|==)>(?=\s)/g, ' ->') } : c;
/** `@node IN input` marks its entries for a program. */
const withoutMark = (c: Comment): Comment => (/^\s*@\w/.test(c.text) ? { ...c, text: c.text.replace('@', '') } : c);
/** `node 3 - - input`: behind one dash the other is the sign of the input. */
const withSecondDash = (c: Comment): Comment => (SECOND_DASH.test(c.text) ? { ...c, text: c.text.replace(SECOND_DASH, '$1-') } : c);

/** What counts the leads of a package, and says nothing of the model's nodes. */
const COUNTS_LEADS = /^(?!.*\b(?:model|nodes?|subckt|spice)\b)[^:=]*\bpackage(?:'s|s)?\b[^:=]*(?::|$)/i;
const isTitle = (text: string): boolean => /:\s*$/.test(text) || (!text.includes(':') && text.trim().split(/\s+/).length <= 7);

/** `Leads of the package:` and the rows below it that are counted up; one line that says it all goes as well. */
function withoutPackage(comments: Comment[]): Comment[] {
  let next = 0;
  return comments.filter(({ text }) => {
    const isRow = next > 0 && Number(COUNTED.exec(text)?.[1]) === next;
    if (isRow) {
      next++;
      return false;
    }
    next = COUNTS_LEADS.test(text) && isTitle(text) ? 1 : 0;
    return !COUNTS_LEADS.test(text);
  });
}

const BULLET = /^\s*(?:[>o•·»]|#\d{1,2}[.):]?)\s+(?=["'[(<]?([^\s:=,;"'\])>]+))/;

/** `o IN: input` and `#1 IN: input`: what marks the lines of a list, where several have it and go on with nodes, is no word of theirs. */
function withoutBullets(comments: Comment[], nodes: ReadonlySet<string>): Comment[] {
  const marked = new Set(comments.filter((c) => nodes.has(BULLET.exec(c.text)?.[1]?.toLowerCase() ?? '')));
  return marked.size < 2 || nodes.has('o')
    ? comments
    : comments.map((c) => (marked.has(c) ? { ...c, text: c.text.replace(BULLET, '') } : c));
}

const NOUN = '(?:input|output|supply|terminal|rail|bus|sense)';
const DASHED = new RegExp(`(?<=^|[\\s|:=,(])[-−] (?=${NOUN}\\b)`, 'i');
const SECOND_DASH = new RegExp(`(\\s[-−–:=]\\s+)[-−] (?=${NOUN}\\b)`, 'i');
const MATE = new RegExp(`(?:\\+ ?|\\b(?:non-?inverting|positive|plus) (?:\\w+ )?)${NOUN}\\b`, 'i');
/** A dash that only parts a name from its words, `INP - non-inverting input`. */
const PARTS = /\s[-−–] (?=[A-Za-z])/;

/** `3  - input` beside `4  non-inverting input`: where no other line parts its words with a dash, it is the sign of the input. */
function withSigns(comments: Comment[]): Comment[] {
  const dashed = comments.filter((c) => DASHED.test(c.text));
  const others = comments.filter((c) => !DASHED.test(c.text));
  const isSign = dashed.length === 1 && comments.some((c) => MATE.test(c.text)) && !others.some((c) => PARTS.test(c.text));
  return isSign ? comments.map((c) => (c === dashed[0] ? { ...c, text: c.text.replace(DASHED, '-') } : c)) : comments;
}

/** Words that are said to be an entry's stay words of one line up to this length: longer ones are told in prose. */
const LONGEST_ENTRY = 90;

/**
 * Words that go on under themselves:
 * ```
 * * IN    input, not to be
 * *       left open
 * ```
 */
function wholeWords(comments: Comment[], nodes: ReadonlySet<string>): Comment[] {
  const whole: Comment[] = [];
  let [last, column] = [-1, -1];
  for (const c of comments) {
    const indent = startOf(c) + /^\s*/.exec(c.text)![0].length;
    const before = whole.at(-1);
    const goesOn =
      before !== undefined &&
      c.line === last + 1 &&
      indent === column &&
      (/^[a-z(]/.test(c.text.trim()) || /\([^()]*$/.test(before.text)) &&
      !/[=:]/.test(c.text);
    const isNode = nodes.has((/^\S+/.exec(c.text.trim())?.[0] ?? '').toLowerCase());
    last = c.line;
    if (goesOn && !isNode && before.text.length + c.text.trim().length < LONGEST_ENTRY)
      whole[whole.length - 1] = { ...before, text: `${before.text} ${c.text.trim()}` };
    else {
      const at = columnOfWords(c.text, nodes);
      column = at < 0 ? -1 : startOf(c) + at;
      whole.push(c);
    }
  }
  return whole;
}

/** The column of the line in which its text begins, behind what marks it as a comment. */
const startOf = (c: Comment): number => c.raw.trimEnd().length - c.text.trimEnd().length;

/** Where the words of an entry begin that its node's name opens; -1 where the line is none. */
function columnOfWords(text: string, nodes: ReadonlySet<string>): number {
  const [lead = '', name = ''] = /^\s*(?:(?:node|pin|terminal)\s+)?(\S+?)(?:\s{2,}|\s*[:=]\s+|\s+-\s+)(?=\S)/i.exec(text) ?? [];
  return lead !== '' && lead.length > 3 && nodes.has(name.toLowerCase()) ? lead.length : -1;
}
