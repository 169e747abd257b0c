import type { Comment } from '../cards';
import { PLACES } from '../plain-words';
import { rolesOf, shares } from '../roles';
import { isKnownWord } from '../sense';
import { isListOfElse } from './about-else';
import { astrayIn, isAgainst, isOfElse } from './against';
import { afterLead, afterLeadByLines, bare, hasTorn, leadIn } from './lead';
import { commentsAt, isRemark, pieces, tidy, withoutFigures, type Found, type Header } from './found';

const USAGE = /^(?:usage|call|syntax|instance|example|use)\b[^:]*:?\s*/i;

/** All nodes named in their order: after a lead, in a sample call, or in a bare line that stands over the card's nodes. */
export function orderLine(header: Header): Found {
  const { nodes, above, inside, raw, name } = header;
  const comments = commentsAt(header);
  const block = afterLeadByLines(comments, nodes.length);
  if (block) return block.map((c, k) => [nodes[k]!, { doc: tidy(k === 0 ? (leadIn(c.text) ?? c.text) : c.text), line: c.line }]);
  const lastWorded = above.findLast((c) => /\w/.test(c.text));
  for (let i = comments.length - 1; i >= 0; i--) {
    const comment = comments[i]!;
    const words = withoutPlaces(
      byPins(comment, nodes) ??
        afterLead(comments, i, nodes) ??
        inCall(comment, name, nodes.length) ??
        behindName(comment, name, nodes.length) ??
        inThisOrder(comment, nodes.length) ??
        byOrdinals(comment, nodes.length) ??
        inBrackets(comment, nodes.length),
    );
    // Inside the body a title may stand before the line.
    const isNear = comment === lastWorded || inside.slice(0, 2).includes(comment);
    const straight = words || !isNear ? undefined : straightIn(comment, raw[0]!.text, nodes);
    const named = words ?? (straight && isOfElse(straight, comment.text, nodes) ? undefined : straight);
    if (
      named &&
      !isEntry(named, nodes) &&
      !hasTorn(named) &&
      !isCountedOtherwise(named, nodes) &&
      !isOtherOrder(named, nodes) &&
      astrayIn(named, nodes) < 2 &&
      !named.every((w, k) => w.toLowerCase() === nodes[k]!.toLowerCase())
    )
      return inWords(named, comments).map((doc, k) => [nodes[k]!, { doc: ownWords(doc, nodes[k]!), line: comment.line }]);
  }
  return [];
}

/** `1=BASE 2=C 3=E`: places that are counted up are no words. */
function withoutPlaces(words: string[] | undefined): string[] | undefined {
  const rest = words?.map((word, k) => (word.startsWith(`${k + 1}=`) ? word.replace(/^\d+=/, '') : undefined));
  return rest?.every((word) => word) ? (rest as string[]) : words;
}

/** The nodes' own names in another order, `S G D` over D, G and S: the package's, or another model's. */
function isOtherOrder(words: readonly string[], nodes: readonly string[]): boolean {
  const there = nodes.map((n) => n.toLowerCase());
  const at = words.map((w) => there.indexOf(w.toLowerCase().replace(/\s*\([^()]*\)$/, '')));
  return at.filter((i, k) => i >= 0 && i !== k).length > 1;
}

/** A place in the order at the start of a line: `1st` and `second`; `1.` and `(1)`; or a bullet, or nothing. */
const ORDINAL = new RegExp(
  `^\\s*(?:(\\d{1,2})(?:st|nd|rd|th)|(${PLACES.join('|')}))(?: (?:node|pin|terminal))?\\s*(?:[:=.)-]|is)?\\s+(?=\\S)`,
  'i',
);
const COUNT = /^\s*(?:\((\d{1,2})\)|(\d{1,2})[.):])\s+(?=\S)/;
const BARE_COUNT = /^\s*(\d{1,2})\s+(?=\S)/;
const PIN_ROW = /^\s*pin\s+\w{1,3}\s*[:=]\s*(\S.*)$/i;
const BULLET = /^\s*[-•o]\s+(?=\S)/;

/** The node that each of so many lines is about, by its place among them; undefined where no lines are such a list. */
export function byPlaces(header: Header): Found | undefined {
  const { nodes } = header;
  const comments = commentsAt(header);
  const count = nodes.length;
  if (count < 2) return undefined;
  for (let from = 0; from + count <= comments.length; from++) {
    const block = comments.slice(from, from + count);
    if (block.some((c, k) => c.line !== block[0]!.line + k)) continue;
    const words = wordsByPlace(block, nodes, comments[from - 1], comments[from + count]);
    if (words && !isListOfElse(words, comments[from - 1]?.text))
      return block.map((c, k) => [nodes[k]!, { doc: ownWords(tidy(words[k]!), nodes[k]!), line: c.line }]);
  }
  return undefined;
}

/** What a block of as many lines as nodes says of each, where it is a list in their order; `before` and `behind` are the lines around it. */
function wordsByPlace(block: Comment[], nodes: string[], before: Comment | undefined, behind: Comment | undefined): string[] | undefined {
  const texts = block.map((c) => c.text);
  const rest = (mark: RegExp) => texts.map((t) => t.replace(mark, ''));
  const countedBy = (mark: RegExp) =>
    texts.every((t, k) => {
      const [, figure, other] = mark.exec(t) ?? [];
      return (PLACES.indexOf((other ?? '').toLowerCase()) + 1 || Number(figure ?? other ?? 0)) === k + 1;
    });
  if (countedBy(ORDINAL)) return rest(ORDINAL);
  // The package's pins, `Pin 1: Anode`, in the order of nodes whose names say the same of each.
  const ofPins = texts.map((t) => PIN_ROW.exec(t));
  if (ofPins.every((row, k) => row !== null && shares(rolesOf(row[1]!), rolesOf(nodes[k]!)))) return ofPins.map((row) => row![1]!);
  const isNear = before !== undefined && before.line === block[0]!.line - 1;
  const isOrder = isNear && /\border\b/i.test(before.text) && before.text.trim().split(/\s+/).length <= 8 && !/[:=]\s*\S/.test(before.text);
  // Counted up where no node has the number for its name, or where an order is announced: the number is the place.
  if (countedBy(COUNT)) {
    const words = rest(COUNT);
    const isFree = !nodes.some((n) => /^\d+$/.test(n) && Number(n) <= nodes.length) && !words.some((w, k) => isElsewhere(w, k, nodes));
    return isOrder || isFree ? words : undefined;
  }
  if (isOrder && countedBy(BARE_COUNT)) {
    const words = rest(BARE_COUNT);
    // A name of its own in each line is the next column, and the list one of names.
    const areNamed = words.every((w, k) => /^\S+/.exec(w)![0].toLowerCase() === nodes[k]!.toLowerCase());
    return areNamed || astrayIn(words, nodes) > 1 || words.some((w, k) => namesOther(w, k, nodes)) ? undefined : words;
  }
  const goesOn = behind !== undefined && behind.line === block.at(-1)!.line + 1 && /\w/.test(behind.text);
  const words = rest(BULLET).map((t) => t.trim());
  const isTerminal = (t: string) => [t, t.split(/\s{2,}/)[0]!].some((said) => rolesOf(said).size > 0 || isKnownWord(said));
  // A name in a column of its own says which; the words behind it may be many.
  const isPlain = words.every((t) => /^[A-Za-z+-]/.test(t) && !/[=:]/.test(t) && t.split(/\s{2,}/)[0]!.split(/\s+/).length <= 5);
  return isOrder && !goesOn && isPlain && words.filter(isTerminal).length >= Math.max(2, nodes.length * 0.6) ? words : undefined;
}

/** True where the words in the place of a node begin with the name of another, or say what it cannot be: they count something else. */
const isElsewhere = (word: string, place: number, nodes: readonly string[]): boolean =>
  namesOther(word, place, nodes) || isAgainst(word, nodes[place]!);

const namesOther = (word: string, place: number, nodes: readonly string[]): boolean => {
  const at = nodes.indexOf(/^\S+/.exec(word)![0]);
  return at >= 0 && at !== place;
};

/** What an item of the list says behind its own node's name: `A = input`, `A - input` or `B1 (select low)` in a list that has bare names too. */
function ownWords(doc: string, node: string): string {
  const [, name, said, inBrackets] = /^(\S+?)\s*(?:(?:[=:]|\s[-–])\s*(\S.*)|\(([^()]+)\))$/.exec(doc) ?? [];
  const isOwn = (text: string | undefined) => text?.toLowerCase() === node.toLowerCase();
  // `2=VIN`: the package's pin and the node, which say nothing else.
  if (isOwn(said) && /^\d{1,2}$/.test(name!)) return said!;
  // `gate (high = on)` over GATE is what it says before the bracket.
  return isOwn(name) && !inBrackets?.includes('=') ? (said ?? inBrackets!) : doc;
}

/** Letters in the order of the nodes in the words that a legend has for them: `A = anode  C = collector` over `A K C E`. */
function inWords(named: readonly string[], comments: readonly Comment[]): readonly string[] {
  if (named.some((w) => !/^[A-Za-z]\w{0,2}$/.test(w))) return named;
  const legend = new Map(comments.flatMap((c) => [...c.text.matchAll(LETTER)].map((m) => [m[1]!.toLowerCase(), m[2]!.trim()] as const)));
  const words = named.map((w) => legend.get(w.toLowerCase()));
  return words.every((w) => w !== undefined) ? words : named;
}
const LETTER = /(?:^|\s|[,;])([A-Za-z]\w{0,2}) ?= ?([a-z]{3,15}(?: [a-z]{2,15}){0,3})(?=\s{2}|\s*[,;]|\s*$)/g;

/** Words of one entry, `node 1 = coil plus`, that happen to be as many as the nodes. */
function isEntry(words: readonly string[], nodes: readonly string[]): boolean {
  const bareWords = words.map((w) => w.replace(/[:=.,)]+$/, ''));
  // `Node 4 -> Drain` line by line is a list, wherever its arrows cut it.
  const isList = words.some((w) => /\b(?:node|pin|terminal)\s+[\w+-]+$/i.test(w) && nodes.includes(/\S+$/.exec(w)![0]));
  // `offset null 1` and `offset null 2` are two of a kind.
  const isOfKind = (w: string) => /^[a-z ]{3,}\d$/i.test(w) && words.some((o) => o !== w && o.slice(0, -1) === w.slice(0, -1));
  const holdsNode = (w: string, k: number) =>
    /\W/.test(w) &&
    !isOfKind(w) &&
    ownWords(w, nodes[k] ?? '') === w &&
    withoutFigures(w)
      .split(/[^\w+.-]+/)
      .some((t) => /\d/.test(t) && nodes.includes(t) && t !== nodes[k]);
  return (
    isList ||
    words.filter(holdsNode).length > 1 ||
    // `+ - V+ V- OUT`: beside its plus a minus is an input.
    words.some((w) => /^[=:>-]+$/.test(w) && !(w === '-' && words.some((o) => /^(?:in)?\+(?:in)?$/i.test(o)))) ||
    bareWords.some((w) => /\d/.test(w) && nodes.includes(w))
  );
}

/** A bare list of terminals: the whole line, or what stands in it behind a title, `NMOS typical: D G S` and `SCR  anode gate cathode`. */
function straightIn(comment: Comment, card: string, nodes: readonly string[]): string[] | undefined {
  const text = comment.text.trim();
  // `K common cathode` begins with a node: it is an entry of a list.
  if (nodes.some((n) => text.toLowerCase().startsWith(`${n.toLowerCase()} `))) return undefined;
  // `RGB LED common anode` is a title: its last words belong together.
  if (TOGETHER.test(text)) return undefined;
  const inWhole = pieces(bare(text), nodes.length);
  // `Shunt reference: cathode, anode`: what stands before a colon in the first of them is a title.
  const whole = inWhole && (/^[^:]+(?::| -)\s/.test(inWhole[0]!) || inWhole.some(isRemark)) ? undefined : inWhole;
  const isBarred = whole && text.split('|').length === nodes.length && whole.every((w) => /[A-Za-z]/.test(w) && w.split(/\s+/).length <= 4);
  if (whole && (isBarred || aligned(comment.raw, card, nodes) || areTerminals(whole, text) || agree(whole, nodes))) return whole;
  const tails = [/(?::| -)\s+(.*)$/, /^\S.*?\s{2,}(\S.*)$/, /,\s+([^,]+)$/].map((tail) => tail.exec(text)?.[1]).concat(withoutCounts(text));
  return tails
    .flatMap((tail) => (tail === undefined ? [] : [pieces(bare(tail), nodes.length)]))
    .find((words) => words !== undefined && (areTerminals(words, text) || agree(words, nodes)));
}

const TOGETHER = /\bcommon[- ](?:anode|cathode|source|drain|gate|emitter|collector|base|mode)\b/i;

/** `dual NPN, transistor 1: C1 B1 E1, transistor 2: C2 B2 E2`: the terminals of one after those of the other. */
function withoutCounts(text: string): string | undefined {
  const counts = [...text.matchAll(COUNTED)];
  return counts.length > 1 ? text.slice(counts[0]!.index).replace(COUNTED, ' ').trim() : undefined;
}
const COUNTED = /[\s,;]{0,4}\b(?:transistor|diode|device|channel|half|section|switch|fet|q|d) ?[1-4AB]\s*:\s*/gi;

/** `supply, ground, output, field`: as many words as nodes, and all but one say what the node's own name says. */
function agree(words: readonly string[], nodes: readonly string[]): boolean {
  const own = nodes.map(rolesOf);
  const isSame = (word: string, k: number) => shares(rolesOf(word.replace(/\s*\([^)]*\)$/, '')), own[k]!);
  return (
    words.length > 2 &&
    words.every((w) => w.split(/\s+/).length <= 4 && !/^[^(]*\)|\([^)]*$/.test(w)) &&
    words.filter(isSame).length >= words.length - 1
  );
}

/** `TF4005 (in, out, adj)`: the terminals in brackets behind the model's name. */
function behindName({ text }: Comment, name: string, count: number): string[] | undefined {
  const at = text.toLowerCase().indexOf(name.toLowerCase());
  const behind = at < 0 ? '' : text.slice(at + name.length);
  // `.subckt MUX <sel> <in0> <out>`, as an example of its own card.
  const held = [...behind.matchAll(/<([^<>\s]{1,20})>/g)].map((m) => m[1]!);
  if (held.length === count && count > 1 && behind.replace(/<[^<>]*>/g, '').trim() === '') return held;
  const list = /^\s*\(([^()]+)\)/.exec(behind)?.[1];
  const words = list === undefined ? undefined : pieces(list, count);
  return words && areTerminals(words, list!) ? words : undefined;
}

/** `line a, line b and the centre electrode, in this order`. */
function inThisOrder({ text }: Comment, count: number): string[] | undefined {
  const list = /^(.*\S),? \(?in (?:this|that) order\)?\.?\s*$/i.exec(text)?.[1];
  return list === undefined ? undefined : pieces(list.replace(/^.*[:;]\s/, '').replace(/,? and (?:the )?/g, ', '), count);
}

/** `the first node is the drain, the second the gate, the third the source`: each place is told in words, in their order. */
function byOrdinals({ text }: Comment, count: number): string[] | undefined {
  const items = text.split(/[,;]\s*(?:and )?|\s+and\s+/);
  const shape = /^\s*(?:the )?(\w+)(?: (?:node|pin|terminal))?(?: is| =|:)?(?: the| an?)? ([A-Za-z+-][\w +/-]{0,40}?)\.?\s*$/i;
  const found = items.map((item) => shape.exec(item));
  const isCounted = items.length === count && found.every((m, k) => m !== null && PLACES.indexOf(m[1]!.toLowerCase()) === k);
  return isCounted && count > 1 ? found.map((m) => m![2]!) : undefined;
}

/** `<drain> <gate> <source>` and `(drain) (gate) (source)`: a line of nothing but terminals in brackets. */
function inBrackets({ text }: Comment, count: number): string[] | undefined {
  const words = [...text.matchAll(/[(<[]([A-Za-z+-][\w +/-]{0,30})[)>\]]/g)].map((m) => m[1]!.trim());
  const isWhole = text.replace(/[(<[][^()<>[\]]*[)>\]]/g, '').trim() === '';
  return isWhole && count > 1 && words.length === count && words.every((w) => rolesOf(w).size > 0 || isKnownWord(w)) ? words : undefined;
}

/**
 * `pin 1 DIS, pin 2 -IN, pin 6 OUT`: the package's pins in the order of the nodes, none of which is called by such a number;
 * or, without the word, places that are counted up: `pins: 1 = VIN, 2 = VOUT`.
 */
function byPins({ text }: Comment, nodes: readonly string[]): string[] | undefined {
  const cut = text.split(/[,;]\s*/).map((item) => item.trim());
  if (cut.length !== nodes.length) return undefined;
  const inShape = (shape: RegExp, isPlace: (number: string, k: number) => boolean) => {
    const items = cut.map((item) => shape.exec(item));
    const isList = items.every((item, k) => item !== null && !nodes.includes(item[1]!) && isPlace(item[1]!, k));
    const words = items.map((item) => item?.[2] ?? '');
    return isList && !words.some((word, k) => isAgainst(word, nodes[k]!)) ? words : undefined;
  };
  return (
    inShape(/(?:^|:\s*)pin (\w{1,3})\s*[:=-]?\s+(\S.*)$/i, () => true) ??
    inShape(/(?:^|:\s*)(\d{1,2})\s*[:=]\s*(\S.*)$/, (number, k) => Number(number) === k + 1)
  );
}

/** `1 = GND, 2 = OUT` over a node VIN and a node GND counts the package's pins. */
function isCountedOtherwise(words: readonly string[], nodes: readonly string[]): boolean {
  const behind = words.map((w) => /^(?:pin )?\d{1,2}\s*[:=]?\s+(\S.*)$/i.exec(w)?.[1]);
  return behind.some((word, k) => word !== undefined && isAgainst(word, nodes[k]!));
}

/** `* Usage: X1 IN+ IN- OUT AMP`: what stands between the instance's and the model's name. */
function inCall(comment: Comment, name: string, count: number): string[] | undefined {
  const text = comment.text.replace(USAGE, '').replace(/\s+/g, ' ').trim();
  const words = text.replace(/\s*(params:)?\s*\w+\s*=.*$/i, '').split(/\s+/);
  const isCall = /^x\w*$/i.test(words[0] ?? '') && words.at(-1)?.toLowerCase() === name.toLowerCase();
  return isCall && words.length === count + 2 ? words.slice(1, -1).map((w) => w.replace(/^<(.+)>$/, '$1')) : undefined;
}

/** The ends of a diode, which has no more than two. */
const isEnd = (word: string): boolean => /^(anode|cathode|plus|minus|positive|negative)$/i.test(word);

/** True where words read as names of terminals and not as a sentence, and most of them are known as such. */
function areTerminals(words: readonly string[], text: string): boolean {
  const isName = (w: string) => /^[A-Z0-9+\-_#*/]+$/.test(w) || /^[+-][A-Za-z]\w*$|^[A-Za-z]\w*[+-]$/.test(w);
  const hasRole = (w: string) => rolesOf(w).size > 0 || rolesOf(w.replace(/^[+-]|[+-]$/g, '')).size > 0 || isKnownWord(w);
  // MT1 and MT2 are two of a kind.
  const stem = (w: string) => w.replace(/\d+$/, '');
  // RFIN and RFOUT.
  const isWay = (w: string) => /^[A-Z]{1,3}_?(IN|OUT)$/.test(w);
  const isOfPair = (w: string) => /\D\d+$/.test(w) && words.some((o) => o !== w && stem(o) === stem(w));
  const known = words.filter((w) => hasRole(w) || isWay(w) || isOfPair(w)).length;
  // Two pins of one drain have a node each, where there is no doubt of the others.
  if (new Set(words).size < words.length) return words.length > 5 && words.every(isName) && known === words.length;
  // AC1 is a name by its figure; a title in capitals has longer words without a role.
  const isTitle = words.some((w) => !hasRole(w) && /^[A-Za-z]{4,}$/.test(w));
  if (words.every(isName)) return known >= Math.max(2, words.length * (isTitle ? 0.6 : 0.5));
  // Single words of any case, `Anode Cathode Gate Vcap`: nearly all of them known.
  if (words.every((w) => /^[A-Za-z][\w+-]*$/.test(w))) return known >= Math.max(words.every(isEnd) ? 2 : 3, words.length * 0.8);
  // In columns, `in+  in-  out  diode bias  buffer in`: nearly all of them known, and none a sentence.
  const inColumns =
    words.length > 3 && text.trim().split(/\s{2,}/).length === words.length && words.every((w) => /^[\w +-]{1,20}$/.test(w));
  if (inColumns) return words.filter((w) => hasRole(w) || w.split(/\s+/).every(isKnownWord)).length >= words.length * 0.75;
  // In words every one must say what it is: `(emitter, base, collector)`.
  const isSaid = (w: string) => rolesOf(w).size > 0 || (/^[\w +-]+$/.test(w) && w.split(/\s+/).every(isKnownWord));
  return /[,;|]/.test(text) && words.every((w) => isSaid(w) && w.split(/\s+/).length <= 4);
}

/** True where the words of a comment stand over the nodes of the card, within three columns. */
function aligned(comment: string, card: string, nodes: readonly string[]): boolean {
  const starts = (text: string) => [...text.matchAll(/[^\s*]\S*/g)].map((m) => m.index);
  const at = starts(card).slice(2, 2 + nodes.length);
  const words = starts(comment.replace(/^\s*\*/, ' ')).slice(-nodes.length);
  return at.length === words.length && at.every((x, i) => Math.abs(x - words[i]!) <= 3);
}
