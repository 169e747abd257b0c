import { groupBy, ok, problem, refuse, type Problem, type Result } from '../part';
import { readCards, type Card, type Cards, type Comment } from './cards';
import { deviceByBody, deviceOf, type Device } from './device';
import { constructsOf, type Construct } from './dialect';
import { readSubcktHeader, type SubcktHeader } from './header';
import { derivedCard, deviceOfCard, readModelCard, type ModelCard } from './model-card';
import { mineNodeDocs } from './node-docs';

export interface ModelNode {
  name: string;
  /** What the file's comments say of it; empty where they say nothing. */
  doc: string;
  /** The line that says it. */
  docLine?: number;
  /** Set where an instance may leave the node out (`OPTIONAL:`): the node that it is then, as `$G_DPWR`. */
  otherwise?: string;
}

export interface SpiceModel {
  name: string;
  kind: 'subckt' | 'model';
  device: Device;
  /** The one kind of transistors that its body is made of, where it has no others. */
  transistor?: Device;
  /** Element letter of an instance: X for a subcircuit. */
  letter: string;
  /** In the order of an instance; those that it may leave out stand last. */
  nodes: ModelNode[];
  params: { name: string; value: string }[];
  line: number;
  /** Names of the subcircuits it is nested in, outermost first. */
  inside: string[];
  /** The `.lib` section that it stands in. */
  section?: string;
  /** True for resistors, capacitors and inductors between two ends: it is the same from both. */
  endsAlike?: boolean;
  /** True where its body is encrypted: name and nodes are all that can be read. */
  sealed?: boolean;
}

export interface ModelList {
  models: SpiceModel[];
  problems: Problem[];
  /** What the Berkeley form does not have, in the order of lines. */
  dialect: Construct[];
}

interface Open {
  card: Card;
  header: SubcktHeader;
  /** Comments before the first element of the body, and those after it. */
  comments: Comment[];
  later: Comment[];
  /** True until the first element of the body. */
  atTop: boolean;
  /** False once its body has anything but resistors, capacitors and inductors, or the simulator's ground. */
  isReciprocal: boolean;
  /** Cards of transistors in the body, and the models that it defines for itself. */
  transistors: Card[];
  local: Map<string, Device>;
}

/** Of so many transistors a body is told by its first ones. */
const MOST_TRANSISTORS = 60;

/**
 * Lists the `.subckt` and `.model` cards of a SPICE source with their nodes and what comments say of them. Refuses what
 * is no SPICE text or has no model; single bad cards are problems. Time grows with the length of the text.
 */
export function readModels(source: string, file?: string): Result<ModelList> {
  const cards = readCards(source, file);
  if (!cards.ok) return cards;
  const list = new ModelReader(cards.value, file).read();
  return list.models.length > 0 ? ok(list) : refuse(...(list.problems.length > 0 ? list.problems : [problem('spice-none', {}, { file })]));
}

/** Walks through the cards once, with the subcircuits that are open and what has been found so far. */
class ModelReader {
  private readonly models: SpiceModel[] = [];
  private readonly problems: Problem[] = [];
  private readonly open: Open[] = [];
  /** `.model` cards by their name, for those that derive from them. */
  private readonly byName = new Map<string, ModelCard>();
  /** Subcircuits with transistors: what those are can stand further down. */
  private readonly bodies: { model: SpiceModel; top: Open }[] = [];
  private section: string | undefined;
  private inControl = false;

  /** Names of all subcircuits, in lower case: comments that name another one are not taken. */
  private readonly names: ReadonlySet<string>;
  private readonly headerLines: number[];
  /** Comments that begin with a subcircuit's name and a colon, by that name, without it. */
  private readonly labelled = new Map<string, Comment[]>();

  constructor(
    private readonly cards: Cards,
    private readonly file: string | undefined,
  ) {
    this.names = new Set(cards.cards.flatMap((c) => /^\.(?:subckt|macro)\s+(\S+)/i.exec(c.text)?.[1]?.toLowerCase() ?? []));
    for (const comment of cards.cards.flatMap((c) => c.above)) {
      const [, name = '', text = ''] = /^\s*([\w.+-]{3,})\s*:\s+(.+)$/.exec(comment.text) ?? [];
      const key = name.toLowerCase();
      if (this.names.has(key)) this.labelled.set(key, [...(this.labelled.get(key) ?? []), { ...comment, text }]);
    }
    this.headerLines = cards.sealed.length === 0 ? [] : cards.cards.filter((c) => /^\.(subckt|macro)\b/i.test(c.text)).map((c) => c.line);
  }

  read(): ModelList {
    for (const card of this.cards.cards) this.take(card);
    this.finish();
    const dialect = constructsOf(this.cards.cards);
    return { models: this.models.sort((a, b) => a.line - b.line), problems: this.problems, dialect };
  }

  private say(code: Parameters<typeof problem>[0], line: number, params: Problem['params'] = {}): void {
    this.problems.push(problem(code, params, { file: this.file, line }));
  }

  private take(card: Card): void {
    const word = /^\.?\S+/.exec(card.text)![0].toLowerCase();
    const top = this.open.at(-1);
    if (top) (top.atTop ? top.comments : top.later).push(...card.above);
    if (this.inControl) this.inControl = word !== '.endc';
    else if (word === '.subckt' || word === '.macro') this.openSubckt(card);
    else if (word === '.ends' || word === '.eom') this.close(card);
    else if (word === '.model') this.modelCard(card);
    else if (word === '.endl') this.section = undefined;
    else if (/^\.(control|shell|exec|csparam)$|^(shell|source)$/.test(word)) {
      this.say('spice-unsafe', card.line, { card: word });
      this.inControl = word === '.control';
    } else if (/^\.(include|inc|lib)$/.test(word)) this.reference(card, word);
    if (top && /^[a-z]/i.test(word)) {
      top.atTop = false;
      top.isReciprocal &&= isReciprocal(card);
    }
    if (top && /^[mqj]/.test(word) && top.transistors.length < MOST_TRANSISTORS) top.transistors.push(card);
  }

  /** `.lib NAME` opens a section; with a file in it, and `.include`, it points elsewhere, which is never followed. */
  private reference(card: Card, word: string): void {
    const rest = card.text.slice(word.length).trim();
    const isSection = word === '.lib' && /^\w+$/.test(rest);
    if (isSection) this.section = rest;
    else if (/(^|["'\s])([/\\]|[a-z]:[\\/]|\.\.|~|\w+:\/\/)/i.test(rest)) this.say('spice-unsafe', card.line, { card: card.text });
    else this.say('spice-elsewhere', card.line, { card: card.text });
  }

  private openSubckt(card: Card): void {
    const header = readSubcktHeader(card);
    if (header.name === '') this.say('spice-card', card.line, { text: card.text, why: 'it has no name' });
    const all = [...header.nodes, ...header.optional.map((o) => o.name)];
    const plain = all.map((n) => n.toLowerCase());
    const twice = all.find((_, i) => plain.indexOf(plain[i]!) !== i);
    if (twice !== undefined) this.say('spice-card', card.line, { text: card.text, why: `node ${twice} stands twice` });
    this.open.push({ card, header, comments: [], later: [], atTop: true, isReciprocal: true, transistors: [], local: new Map() });
  }

  private close(card: Card): void {
    const top = this.open.pop();
    if (!top) return this.say('spice-stray-ends', card.line);
    const named = /^\.\w+\s+(\S+)/.exec(card.text)?.[1];
    if (named !== undefined && top.header.name !== '' && named.toLowerCase() !== top.header.name.toLowerCase())
      this.say('spice-ends-name', card.line, { name: named, open: top.header.name });
    const model = this.subcktOf(top);
    this.models.push(model);
    if (top.transistors.length > 0) this.bodies.push({ model, top });
  }

  private subcktOf({ card, header, comments: inside, later, atTop, isReciprocal }: Open, sealed = this.isSealed(card.line)): SpiceModel {
    const { name, nodes: names, optional, params } = header;
    const joinable = [...names, ...optional.map((o) => o.name)];
    const own = { name, nodes: joinable, above: card.above, between: card.between ?? [], inside, later, raw: card.raw };
    const near = mineNodeDocs(own, this.names);
    // A line at the top of the file that begins with the model's name, `TF12: 1 = IN, 2 = OUT`, is as good.
    const docs =
      near.size > 0
        ? near
        : mineNodeDocs({ ...own, above: this.labelled.get(name.toLowerCase()) ?? [], between: [], inside: [], later: [] });
    const nodes = joinable.map((n, i): ModelNode => {
      const found = docs.get(n);
      const node: ModelNode = found ? { name: n, doc: found.doc, docLine: found.line } : { name: n, doc: '' };
      return i < names.length ? node : { ...node, otherwise: optional[i - names.length]!.value };
    });
    // `1 = anode of the input diode` says what a node is, and not what the model is.
    const told = new Set(nodes.flatMap((n) => (n.doc === '' ? [] : [n.name.toLowerCase()])));
    const isOfNode = ({ text }: Pick<Comment, 'text'>) => told.has(/^\W{0,16}([^\s=]{1,60})\s{0,24}=/.exec(text)?.[1]?.toLowerCase() ?? '');
    // Nor do the words of a list of all nodes.
    const toldAt = groupBy(nodes, (n) => n.docLine);
    const plain = new Set(joinable.map((n) => n.toLowerCase()));
    const beside = ({ line, text }: Pick<Comment, 'line' | 'text'>) => {
      const listed = toldAt.get(line) ?? [];
      const withoutDocs = listed.reduce((rest, n) => rest.replace(n.doc, ''), text);
      return listed.length < 3 ? text : withoutDocs.replace(/\S+/g, (word) => (plain.has(word.toLowerCase()) ? '' : word));
    };
    const isOfOne = (line: number) => toldAt.has(line) && toldAt.get(line)!.length < 3;
    const onCard = card.raw.flatMap(({ comment, line }) => (comment === '' || isOfOne(line) ? [] : [{ line, text: comment }]));
    const said = [...card.above, ...(card.between ?? []), ...onCard, ...inside].filter((c) => !isOfNode(c)).map(beside);
    const docTexts = nodes.slice(0, names.length).map((n) => n.doc);
    return {
      name,
      kind: 'subckt',
      device: deviceOf(name, names, docTexts, said),
      letter: 'X',
      nodes,
      params,
      line: card.line,
      inside: this.open.map((o) => o.header.name),
      ...(this.section === undefined ? {} : { section: this.section }),
      ...(joinable.length === 2 && isReciprocal && !atTop && !sealed ? { endsAlike: true } : {}),
      ...(sealed ? { sealed } : {}),
    };
  }

  /** True where encrypted text stands between a line and the next header. */
  private isSealed(from: number): boolean {
    const next = firstOver(this.cards.sealed, from);
    return next !== undefined && next < (firstOver(this.headerLines, from) ?? Infinity);
  }

  private modelCard(card: Card): void {
    const read = readModelCard(card);
    if (!read) return this.say('spice-card', card.line, { text: card.text, why: 'it has no name or no type' });
    if (count(card.text, '(') > count(card.text, ')')) this.say('spice-cut', card.line, { name: read.name });
    const base = read.base === undefined ? undefined : this.byName.get(read.base.toLowerCase());
    if (read.base !== undefined && !base) this.say('spice-base', card.line, { name: read.name, base: read.base });
    const full = base ? derivedCard(read, base) : read;
    this.byName.set(read.name.toLowerCase(), full);
    const { device, letter, nodes } = deviceOfCard(full);
    this.open.at(-1)?.local.set(read.name.toLowerCase(), device);
    this.models.push({
      name: read.name,
      kind: 'model',
      device,
      letter,
      nodes: nodes.map((n) => ({ name: n, doc: '' })),
      params: full.params,
      line: card.line,
      inside: this.open.map((o) => o.header.name),
      ...(/^[RCL]$/.test(letter) ? { endsAlike: true } : {}),
      ...(this.section === undefined ? {} : { section: this.section }),
    });
  }

  /** The kind of a transistor by the model that its card names; the body's own models come before those of the file. */
  private kindOf(card: Card, local: ReadonlyMap<string, Device>): Device | undefined {
    const names = card.text.toLowerCase().split(/\s+/).slice(4);
    const own = names.find((name) => local.has(name));
    if (own !== undefined) return local.get(own);
    const found = names.find((name) => this.byName.has(name));
    return found === undefined ? undefined : deviceOfCard(this.byName.get(found)!).device;
  }

  /** A sealed body hides its own `.ends`: what stands before it is still good. Anything else without an end is cut off. */
  private finish(): void {
    for (let top = this.open.pop(); top; top = this.open.pop())
      if (this.isSealed(top.card.line)) this.models.push(this.subcktOf(top, true));
      else this.say('spice-unterminated', top.card.line, { name: top.header.name });
    for (const { model, top } of this.bodies) {
      const [only, ...others] = new Set(top.transistors.flatMap((card) => this.kindOf(card, top.local) ?? []));
      if (only === undefined || others.length > 0) continue;
      model.transistor = only;
      model.device = deviceByBody(model.device, only);
    }
    const first = this.cards.sealed[0];
    if (first !== undefined) this.say('spice-sealed', first);
  }
}

/** An R, C, L or K card that names no ground: a network of these alone is the same from both of its ends (reciprocity of one-ports). */
const isReciprocal = ({ text }: Card): boolean => /^[rcl]\S*\s+(?!0\s)\S+\s+(?!0\s)\S+\s|^k/i.test(text);

const count = (text: string, sign: string): number => text.split(sign).length - 1;
/** The first of rising numbers that is over a number, by halving. */
function firstOver(rising: readonly number[], over: number): number | undefined {
  let [low, high] = [0, rising.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (rising[middle]! > over) high = middle;
    else low = middle + 1;
  }
  return rising[low];
}
