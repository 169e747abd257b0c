import type { ElectricalType } from '../part';
import { assign } from './assign';
import { namedOtherwise, otherNamesOf, type OtherNames } from './kinds';
import type { ModelNode } from './read-models';
import { rolesOfPin } from './pin-roles';
import { untied } from './plain-words';
import { isLowMarked, keyOf, letterOf, plainName, rolesOf, shares, shortens, wordsOf } from './roles';
import { countedOtherwise } from './series';
import { countsAlike, indexed, senseOf } from './sense';

/** A pin as matching sees it. `unit` is null for pins that belong to every unit, such as shared supplies. */
export interface MatchPin {
  number: string;
  name: string;
  type: ElectricalType;
  unit: string | null;
  description?: string;
}

export interface Pair {
  pin: string;
  node: string;
  unit: string | null;
  /** 0 to 1. */
  confidence: number;
  because: string;
}

export interface Matching {
  pairs: Pair[];
  /** Pins that a person has to decide, with the reason. */
  asks: { pin: string; reason: string }[];
  /** Pins that have no node by their nature, with the reason. */
  left: { pin: string; reason: string }[];
}

/** Below this a likeness is no suggestion; and a rival nearer than this makes it a question. */
const ENOUGH = 0.6;
const MARGIN = 0.08;
/** Two assignments are solved for each pair that has a rival; beyond so many pins or nodes that would be felt. */
const MOST_RIVALS = 48;

/**
 * Proposes which node each pin is, per unit: a one-channel model is matched in every unit, a model of the whole part
 * once. It asks wherever two answers are about as good or none is good; it never fills up by elimination.
 */
export function matchPins(pins: readonly MatchPin[], nodes: readonly ModelNode[]): Matching {
  const out: Matching = { pairs: [], asks: [], left: [] };
  const live = pins.filter((pin) => {
    const reason = noNodeReason(pin, nodes);
    if (reason) out.left.push({ pin: pin.number, reason });
    return reason === undefined;
  });
  const units = [...new Set(live.map((p) => p.unit).filter((u) => u !== null))];
  // A model with fewer nodes than the part has signals is of one channel.
  const perUnit = units.length > 1 && nodes.length < new Set(live.map((p) => p.name)).size;
  if (!perUnit) matchOne(ofChannels(live, units), nodes, units.length === 1 ? units[0]! : null, false, out);
  else {
    for (const unit of units)
      matchOne(
        live.filter((p) => p.unit === unit || p.unit === null || isSupply(p)),
        nodes,
        unit,
        true,
        out,
      );
    out.pairs.push(...sharedAlike(live, units, out.pairs));
  }
  return merged(out);
}

/** A supply that all units share is the same node of each of their models: where one unit tells it, it is told. */
function sharedAlike(pins: readonly MatchPin[], units: readonly string[], pairs: readonly Pair[]): Pair[] {
  return pins.filter(isSupply).flatMap((pin) => {
    const told = pairs.filter((p) => p.pin === pin.number);
    const isOne = told.length > 0 && told.every((p) => p.node === told[0]!.node);
    const open = units.filter((unit) => !pairs.some((p) => p.unit === unit && (p.pin === pin.number || p.node === told[0]?.node)));
    return isOne ? open.map((unit) => ({ ...told[0]!, unit, because: `as in unit ${told[0]!.unit}: ${told[0]!.because}` })) : [];
  });
}

/** In a model of the whole part pins of one name in several units are channels: OUT of the second unit is its OUT2. */
function ofChannels(pins: readonly MatchPin[], units: readonly string[]): readonly MatchPin[] {
  const of = new Map<string, Set<string | null>>();
  for (const p of pins) of.set(p.name, (of.get(p.name) ?? new Set()).add(p.unit));
  return pins.map((p) => {
    const isOfChannel = p.unit !== null && of.get(p.name)!.size > 1 && !isSupply(p) && !/\d/.test(p.name);
    return isOfChannel ? { ...p, name: p.name.replace(/(?=[+\-−]?$)/, String(units.indexOf(p.unit!) + 1)) } : p;
  });
}

const isSupply = (p: MatchPin): boolean => p.type === 'supply-in' || p.type === 'ground';

const isPad = (name: string): boolean => /^(ep|epad|e?_?pad(dle)?|tpad|dap|(exposed|thermal|power)[ _-]?pad(dle)?|tab)\d?$/i.test(name);

function noNodeReason(pin: MatchPin, nodes: readonly ModelNode[]): string | undefined {
  if (pin.type === 'no-connect') return 'it is not connected inside';
  if (pin.type === 'reserved') return 'it is reserved';
  if (isPad(pin.name) && pin.name.toLowerCase() !== 'tab' && !nodes.some((n) => isPad(n.name) || isPad(n.doc)))
    return 'a thermal pad carries no signal';
  if (/^mp\d*$|^mounting/i.test(pin.number) || /mechanical|mounting/i.test(pin.name)) return 'a mechanical pad carries no signal';
  return undefined;
}

function matchOne(pins: readonly MatchPin[], nodes: readonly ModelNode[], unit: string | null, channel: boolean, out: Matching): void {
  // Pins of one name and kind are one signal: they share a node.
  const signals = new Map<string, MatchPin[]>();
  for (const pin of pins) signals.set(`${pin.name} ${pin.type}`, [...(signals.get(`${pin.name} ${pin.type}`) ?? []), pin]);
  const rows = [...signals.values()];
  const isOne = channel || haveOneIndex(pins);
  // A node by a bare number is called what a comment of one word calls it.
  const called = nodes.map((n) => ({ name: /^\d+$/.test(n.name) && /^\S+$/.test(n.doc) ? n.doc : n.name }));
  // One gate of six, told by the names of the first: 1A and 1Y are A and Y of each.
  const isFirst = channel && haveOneIndex(called);
  const readAs = nodes.map((n) => (isFirst ? { ...n, name: withoutIndex(n.name), doc: withoutIndex(n.doc) } : n));
  const otherNames = otherNamesOf(pins, called);
  const counted = countedOtherwise(pins, called);
  const others = namedOtherwise(pins, called);
  /** Why a pin's name says nothing here; undefined where it may. */
  const unsaid = (pin: MatchPin): string | undefined => {
    if (counted.has(keyOf(pin)) && counted.get(keyOf(pin)) === undefined)
      return `${pin.name}: its pins begin with another figure than the nodes, and are not as many.`;
    return others.has(pin.name) ? `${pin.name}: the model has nodes of that name that may be something else.` : undefined;
  };
  const likeness = rows.map(([first]) => {
    if (unsaid(first!) !== undefined) return nodes.map(() => ({ score: 0, because: '' }));
    const pin = { ...first!, name: counted.get(keyOf(first!)) ?? first!.name };
    const also = [pin.name, ...(isOne ? [withoutIndex(pin.name)] : [])].flatMap((name) => otherNames.get(keyOf({ name })) ?? []);
    const known = { all: also.flatMap((o) => o.all), plain: also.flatMap((o) => o.plain) };
    return readAs.map((node, i) => {
      const { score, because } = alike(pin, node, isOne, known);
      const isCounted = pin.name !== first!.name && score > 0;
      return {
        score,
        because: isCounted
          ? `node ${nodes[i]!.name} is ${first!.name}: the model counts from another figure`
          : because.replace(`node ${node.name} `, `node ${nodes[i]!.name} `),
      };
    });
  });
  const chosen = assign(likeness.map((row) => row.map((l) => l.score)));
  const takenNodes = new Set<number>();
  const before = out.pairs.length;
  const open: { members: MatchPin[]; reason: string }[] = [];
  rows.forEach((members, r) => {
    const at = chosen[r]!;
    const score = at < 0 ? 0 : likeness[r]![at]!.score;
    const twins = twinsOf(members, nodes, likeness, r, score);
    // Another pin that is nearest to one of them may be it.
    if (twins.length > 0 && !chosen.some((node, i) => i !== r && twins.includes(node))) {
      twins.forEach((node, k) => {
        takenNodes.add(node);
        out.pairs.push({ pin: members[k]!.number, node: nodes[node]!.name, unit, confidence: 0.85, because: likeness[r]![node]!.because });
      });
      return;
    }
    const rival = at < 0 ? undefined : rivalOf(likeness, r, at, score);
    if (at >= 0 && score >= ENOUGH && rival === undefined) {
      takenNodes.add(at);
      for (const pin of members)
        out.pairs.push({
          pin: pin.number,
          node: nodes[at]!.name,
          unit,
          confidence: Math.round(score * 100) / 100,
          because: likeness[r]![at]!.because,
        });
    } else open.push({ members, reason: unsaid(members[0]!) ?? reasonFor(members[0]!, score, rival, nodes) });
  });
  const done = new Set<MatchPin>();
  if (countsThePins(out.pairs.slice(before), nodes.length))
    for (const pin of open.flatMap(({ members }) => (shareNumbers(members, nodes) ? members : []))) {
      const at = nodes.findIndex((n, i) => n.name === pin.number && !takenNodes.has(i) && !contradicts(pin, n));
      if (at < 0) continue;
      takenNodes.add(at);
      done.add(pin);
      out.pairs.push({ pin: pin.number, node: pin.number, unit, confidence: 0.75, because: "all other nodes carry their pins' numbers" });
    }
  const freeNodes = nodes.filter((_, i) => !takenNodes.has(i)).map((n) => n.name);
  for (const { members, reason } of open)
    for (const pin of members.filter((p) => !done.has(p)))
      if (freeNodes.length === 0) out.left.push({ pin: pin.number, reason: 'every node of the model has its pin already' });
      else out.asks.push({ pin: pin.number, reason: `${reason} Free: ${freeNodes.join(', ')}.` });
}

/** So many pairs at least, and so large a part of the nodes, tell that a model's numbers are those of the pins. */
const [FEWEST_PAIRS, MOST_OF] = [4, 0.6];

/** True where names and comments gave every pin the node of its own number: the nodes are numbered as the package is. */
const countsThePins = (pairs: readonly Pair[], nodes: number): boolean =>
  pairs.length >= Math.max(FEWEST_PAIRS, MOST_OF * nodes) && pairs.every((p) => /^\d+$/.test(p.node) && p.node === p.pin);

/** True where each pin of a signal has a node of its number. */
const shareNumbers = (pins: readonly MatchPin[], nodes: readonly ModelNode[]): boolean =>
  pins.every((p) => nodes.some((n) => n.name === p.number));

/**
 * As many nodes of one comment as the signal has pins, and no other pin near them: D2 on pins 5 and 6, nodes 5 and 6 both
 * "D2". They are one net, so each pin has a node of its own: that of its number, else in their order.
 */
function twinsOf(members: readonly MatchPin[], nodes: readonly ModelNode[], likeness: Likeness[][], row: number, score: number): number[] {
  if (members.length < 2 || score < ENOUGH) return [];
  const alikes = nodes.flatMap((_, i) => (likeness[row]![i]!.score > score - MARGIN ? [i] : []));
  const isOneNet = alikes.every((i) => nodes[i]!.doc !== '' && plainName(nodes[i]!.doc) === plainName(nodes[alikes[0]!]!.doc));
  if (alikes.length !== members.length || !isOneNet) return [];
  if (likeness.some((other, r) => r !== row && alikes.some((i) => other[i]!.score > score - MARGIN))) return [];
  const byNumber = members.map((p) => alikes.find((i) => nodes[i]!.name === p.number) ?? -1);
  return byNumber.includes(-1) ? alikes : byNumber;
}

/** True where all names that begin with a channel's figure have the same: 1A, 1B and 1Y of a single gate. */
function haveOneIndex(terminals: readonly { name: string }[]): boolean {
  const indices = terminals.flatMap((p) => /^\d{1,2}(?=[~/!]?[A-Z])/i.exec(p.name)?.[0] ?? []);
  return indices.length > 1 && new Set(indices).size === 1;
}

/**
 * Another node for this pin, or another pin for this node, that is about as good, where the whole would be about as good
 * with it: K and C both read as a cathode, but only C is a collector too, so that nothing is open.
 */
function rivalOf(likeness: { score: number }[][], row: number, at: number, score: number): string | undefined {
  const otherNode = likeness[row]!.findIndex((l, i) => i !== at && l.score > score - MARGIN);
  const otherPin = likeness.findIndex((l, i) => i !== row && l[at]!.score > score - MARGIN);
  if (otherNode < 0 && otherPin < 0) return undefined;
  // Only pins that have any likeness compete; beyond so many the question is asked rather than worked out.
  const rows = likeness.flatMap((r, i) => (i === row || r.some((l) => l.score > 0) ? [i] : []));
  const says = otherNode >= 0 ? `node ${otherNode + 1} fits as well` : 'another pin fits the node as well';
  if (rows.length > MOST_RIVALS || likeness[row]!.length > MOST_RIVALS) return says;
  const scores = rows.map((i) => likeness[i]!.map((l) => l.score));
  const total = (of: number[][]) => assign(of).reduce((sum, c, r) => sum + (c < 0 ? 0 : of[r]![c]!), 0);
  const without = scores.map((r, k) => (rows[k] === row ? r.map((s, c) => (c === at ? 0 : s)) : r));
  return total(without) < total(scores) - MARGIN ? undefined : says;
}

function reasonFor(pin: MatchPin, score: number, rival: string | undefined, nodes: readonly ModelNode[]): string {
  if (rival !== undefined) return `${pin.name}: ${rival}.`;
  if (nodes.every((n) => n.doc === '' && /^\d+$/.test(n.name)))
    return `The model's nodes are bare numbers and no comment says what they are.`;
  return score > 0 ? `Nothing says for sure which node ${pin.name} is.` : `No node looks like ${pin.name}.`;
}

interface Likeness {
  score: number;
  because: string;
}

/** A node that is called as the pin is, or, as a person should see, only by what such a part calls the pin as well. */
const hasItsName = (own: readonly string[], node: ModelNode, pin: MatchPin): string =>
  own.includes(plainName(node.name)) ? `node ${node.name} has its name` : `node ${node.name} is what such parts also call ${pin.name}`;

const asSaid = (node: ModelNode): string => `line ${node.docLine}: “${node.doc}”`;

/** How alike a pin and a node are, by names first, then by what comments say, then by shared words. */
function alike(pin: MatchPin, node: ModelNode, channel: boolean, also: OtherNames): Likeness {
  const names = [...(channel ? [pin.name, withoutIndex(pin.name)] : [pin.name]), ...also.all];
  const plain = names.map(plainName);
  if (contradicts(pin, node)) return { score: 0, because: '' };
  const isOtherSense = isLowMarked(pin.name) !== isLowMarked(node.name);
  // A node's bare number is no name: pin 1 is node 1 as often as not.
  if (plain.includes(plainName(node.name)) && !/^\d+$/.test(node.name) && !isUnsaid(pin, node))
    return isOtherSense
      ? { score: 0.8, because: `node ${node.name} has its name without the mark` }
      : { score: 1, because: hasItsName(plain.slice(0, names.length - also.all.length), node, pin) };
  if (node.doc !== '' && plain.includes(plainName(node.doc)))
    return { score: isLowMarked(pin.name) === isLowMarked(node.doc) ? 0.97 : 0.8, because: asSaid(node) };
  const signed = SIGNS.get(pin.name.trim().replace(/[−–]/g, '-'));
  if (signed?.test(node.name)) return { score: 0.82, because: `node ${node.name} is the sign in a letter` };
  // W alone can be an output; beside a comment it is the wiper.
  if (plain.includes('w') && /\bwiper\b/i.test(node.doc)) return { score: 0.86, because: asSaid(node) };
  // `ADJ/NC`: a node of two versions of the part.
  if (/^\w+\/\w+$/.test(node.doc) && node.doc.split('/').some((part) => part.length > 1 && plain.includes(plainName(part))))
    return { score: 0.86, because: asSaid(node) };
  const [first = ''] = untied(node.doc).split(/[,;(]/);
  const [word = '', ...more] = first.trim().split(/\s+/);
  if (word.length > 1 && more.length > 0 && plain.includes(plainName(word)) && goesOnAbout(word, more.join(' ')))
    return { score: 0.88, because: asSaid(node) };
  if (first.length > 2 && plain.includes(plainName(first))) return { score: 0.9, because: asSaid(node) };
  if (isPad(pin.name) && (isPad(node.name) || isPad(node.doc))) return { score: 0.88, because: `node ${node.name} is the pad as well` };
  const sense = likeSense(pin, names, node, first, channel);
  if (sense) return sense;
  const lettered = node.doc === '' && node.name.length > 1 ? node.name : first;
  const [letter, saidLetter] = [names.map(letterOf).find((l) => l !== undefined), letterOf(lettered)];
  if (letter !== undefined && saidLetter !== undefined) {
    const isOther = rolesOf(lettered).has(pin.type === 'input' ? 'output' : 'input') && lettered.trim().length > 1;
    if (letter === saidLetter && !isOther)
      return { score: 0.9, because: node.doc === '' ? `node ${node.name} means the same` : asSaid(node) };
    // Bare letters can be other words for one thing: K and C are both a cathode.
    if (lettered.trim().length > 1 || !shares(rolesOf(pin.name), rolesOf(lettered))) return { score: 0.1, because: '' };
  }
  // `X input 1` is X1.
  const [, spelt = '', count = ''] = /^([a-z]) (?:input|output) (\d)$/i.exec(first.trim()) ?? [];
  if (count !== '' && plain.includes(plainName(spelt + count))) return { score: 0.9, because: asSaid(node) };
  // What is known by another name there has the roles of that one.
  const rolesOfAll = (list: readonly string[]) => list.flatMap((n) => [...rolesOfPin({ name: n, type: pin.type })]);
  const there = rolesOfAll(also.plain);
  const own = new Set(there.length > 0 ? there : rolesOfAll(names));
  // COM of a switch is its common contact; a ground only where the pin is one.
  if (own.has('common') && pin.type !== 'unspecified') own.delete(isSupply(pin) ? 'common' : 'ground');
  // Whether a ground is the model's negative supply, a person says.
  if (pin.type === 'ground' && own.delete('supply-') && own.size === 0) own.add('ground');
  if (own.size === 0 && pin.description) for (const role of rolesOf(pin.description)) own.add(role);
  for (const role of rolesByType(pin)) own.add(role);
  const [, inBrackets = ''] = /\(([^()]+)\)/.exec(node.doc) ?? [];
  const said = new Set([...rolesOf(node.doc), ...rolesOf(first.trim()), ...rolesOf(inBrackets)]);
  // `IN regulator input`: a name, and what it is in words.
  const rest = rolesOf(more.join(' '));
  if (shares(rolesOf(word), rest)) for (const role of rest) said.add(role);
  // A letter or two say nothing beside a comment: node a that is “OUT (power)” is no input A.
  const isMute = /^\d+$/.test(node.name) || (node.doc !== '' && node.name.length < 3);
  const named = isMute ? new Set<string>() : rolesOf(node.name);
  if (shares(own, said)) return { score: 0.86, because: asSaid(node) };
  if (said.size > 0) return { score: 0.1, because: '' };
  const isShort = own.size === 0 && more.length <= 2 && shortens(names.at(-1)!, word);
  if (isShort) return { score: 0.84, because: asSaid(node) };
  if (shares(own, named)) return { score: 0.82, because: `node ${node.name} reads as ${[...own].find((r) => named.has(r))}` };
  const overlap = commonWords(`${pin.name} ${pin.description ?? ''}`, `${node.name} ${node.doc}`);
  return overlap.length > 0
    ? { score: Math.min(0.55 + 0.1 * (overlap.length - 1), 0.8), because: `both say ${overlap.join(', ')}` }
    : { score: 0, because: '' };
}

/** Terminals that are called by a sign alone, and how netlists write it. */
const SIGNS = new Map([
  ['+', /^(p|pos|plus|vp|outp)$/i],
  ['-', /^(m|n|neg|minus|vn|vm|outn)$/i],
]);

/** True where the words behind a name in a comment are about the same thing: "OUT analog output", and not "OUT enable". */
function goesOnAbout(word: string, rest: string): boolean {
  const [own, other] = [rolesOf(word), rolesOf(rest)];
  if (own.size > 0 && other.size > 0) return shares(own, other);
  return !/\b(enable|select|sense|return|ground)\b/i.test(rest) && (own.has('supply+') || !/\bsupply\b/i.test(rest));
}

/** `A1` and `1A` of a gate are an input or an output by the pin's type: the input A of gate 1. */
function ofGate(pin: MatchPin, name: string): ReturnType<typeof senseOf> {
  const [, figure = '', letter = ''] = /^(\d)([a-z])$/i.exec(name.replace(/^([a-z])(\d)$/i, '$2$1')) ?? [];
  const words = pin.type === 'input' ? 'in' : pin.type === 'output' ? 'out' : undefined;
  if (!words || !figure) return undefined;
  // Y of several is the output of one of them; A and B are two inputs of it.
  return /[a-h]/i.test(letter) ? { words, index: `${figure} ${letter.toLowerCase()}` } : { words, index: figure };
}

/** Names and comments of one sense: SHDN and SHDNB, "primary centre tap" and PRI_CT; with different indices they are others. */
function likeSense(pin: MatchPin, names: readonly string[], node: ModelNode, first: string, channel: boolean): Likeness | undefined {
  const because = { comment: asSaid(node), name: `node ${node.name} means the same` };
  const texts = [
    ...(/^\d+$/.test(node.name) ? [] : [{ text: node.name, because: because.name }]),
    ...(first.trim() === '' ? [] : [{ text: first, because: because.comment }]),
  ];
  for (const { text, because: why } of texts) {
    const said = senseOf(text);
    for (const name of [...names, ...names.flatMap((n) => (/\w\/\w/.test(n) ? n.split('/') : []))]) {
      const own = senseOf(name) ?? ofGate(pin, name);
      if (own && own.words === said?.words && own.index === said.index) return { score: 0.89, because: why };
      if (own && own.words === said?.words && countsAlike(own.index, said.index)) return { score: 0.81, because: why };
      if (own && said && own.index === said.index && saysMore(own.words, said.words)) return { score: 0.81, because: why };
      if (!channel && own && own.words === said?.words && own.index !== '' && said.index !== '') return { score: 0, because: '' };
      const [ownPart, saidPart] = [indexed(name), indexed(text)];
      if (ownPart && saidPart && shares(rolesOf(ownPart.stem), rolesOf(saidPart.stem)))
        return ownPart.index === saidPart.index ? { score: 0.87, because: why } : { score: 0, because: '' };
    }
    if (pin.description && said && said.words.length > 2 && senseOf(pin.description.split(/[,;.(]/)[0]!)?.words === said.words)
      return { score: 0.83, because: why };
  }
  if (names.some((n) => isBarred(n, node.name))) return { score: 0.81, because: `node ${node.name} is its active-low name` };
  const isCut = texts.some(({ text }) => shortens(names.at(-1)!, text) || shortens(text, names.at(-1)!));
  return isCut && rolesOf(pin.name).size === 0 ? { score: 0.8, because: because.name } : undefined;
}

/** Words that a comment adds to what a name says; others make it something else. */
const ADDED = new Set(
  'analog serial external main buffered lead port connection flag set resistor load request protected bridge half motor speaker digital remote'.split(
    ' ',
  ),
);

/** True where a comment says what a name does, with words that only go into more of it: CURRENT LIMIT of `current limit resistor`. */
function saysMore(name: string, comment: string): boolean {
  const [own, said] = [name.split(' '), new Set(comment.split(' '))];
  const isWay = (word: string) => /^(in|out)$/.test(word);
  const more = [...said].filter((word) => !own.includes(word));
  return (
    own.every((word) => said.has(word)) && more.every((word) => ADDED.has(word) || (isWay(word) && own.length > 1 && !own.some(isWay)))
  );
}

/** CSB and QN beside CS and Q#: the letter is the bar. INN is no IN with a bar, and Q without a mark is no QN. */
function isBarred(pin: string, node: string): boolean {
  const [own, there] = [plainName(pin), plainName(node)];
  if (own.length === 0 || !there.startsWith(own) || /^[vard]?(in|out)/.test(own)) return false;
  const rest = there.slice(own.length);
  return isLowMarked(pin) ? /^(n|b|z|bar|not)$/.test(rest) : own.length > 1 && /^(b|z|bar)$/.test(rest);
}

/** A one-letter node whose comment says something else: node C that is “emitter” is no collector pin C. */
function isUnsaid(pin: MatchPin, node: ModelNode): boolean {
  const [own, said] = [rolesOf(pin.name), rolesOf(node.doc)];
  return node.name.length < 3 && own.size > 0 && !said.has('common') && said.size > 0 && !shares(own, said);
}

/** A supply is no signal and a ground no supply, whatever words they share. */
function contradicts(pin: MatchPin, node: ModelNode): boolean {
  const roles = new Set([...rolesOf(node.doc), ...(/^\d+$/.test(node.name) ? [] : rolesOf(node.name))]);
  const power = ['supply+', 'supply-', 'ground'].some((r) => roles.has(r));
  if (power && roles.size === 1 && !isSupply(pin) && pin.type !== 'supply-out' && pin.type !== 'unspecified' && pin.type !== 'passive')
    return true;
  // What shuts a part down by a high level is no enable.
  if (/^(EN\w{0,5}|ON|RUN|CE)$/i.test(pin.name) && /\b(shut-?down|disable|power-?down)\b.*\bactive[- ]high\b/i.test(node.doc)) return true;
  // A reference that comes out is none that goes in.
  const [, way] = /^(?:v?ref|m?clk|sync|data|sig)_?(in|out)$/i.exec(node.name) ?? [];
  if (way?.toLowerCase() === 'in' && (pin.type === 'output' || pin.type === 'supply-out')) return true;
  if (way?.toLowerCase() === 'out' && pin.type === 'input') return true;
  return pin.type === 'ground' && roles.has('supply+') && !roles.has('ground') && roles.size === 1;
}

const rolesByType = (pin: MatchPin): string[] => (pin.type === 'ground' && rolesOf(pin.name).size === 0 ? ['ground'] : []);

const commonWords = (a: string, b: string): string[] => {
  const other = wordsOf(b);
  return [...wordsOf(a)].filter((w) => other.has(w));
};

/** A channel's name without its index: 2A → A, IN1+ → IN+, OUTB → OUT. */
export const withoutIndex = (name: string): string =>
  // The third input of half A of a double multiplexer.
  /^([SXY]\d)_?[A-D]$/i.exec(name)?.[1] ??
  name
    .replace(/^([~/!]?)\d{1,2}(?=[~/!+−-]?[A-Z])/i, '$1')
    .replace(/(?<=\w[+\-−]?)[ _]([A-H]|\d{1,2})$/i, '')
    .replace(
      /^(IN|OUT|INP|INN|INM|IN_P|IN_N|VINP|VINN|OUTP|OUTN|OUTPUT|INPUT|VIN|VOUT|VI|VO|DIN|DOUT|RIN|ROUT|[+-]IN|A|K|Y|Q|D|G|S|C|B|E|EN|DRAIN|GATE|SOURCE|ANODE|CATHODE|COLLECTOR|BASE|EMITTER|CLK|FB|SW|LX|SNS|SENSE|CS|REF|DIS|SHDN|LED)_?(?:\d{1,2}|[A-H])(?=[+\-−]?$)/i,
      '$1',
    )
    .replace(/([+\-−])_?[A-H\d]$/i, '$1');

/** A pin that one unit settled is no question in another; the same pair is said once per unit. */
function merged(m: Matching): Matching {
  const paired = new Set(m.pairs.map((p) => p.pin));
  const seen = new Set<string>();
  const once = (list: { pin: string; reason: string }[]) => list.filter((e) => !paired.has(e.pin) && !seen.has(e.pin) && !!seen.add(e.pin));
  return { pairs: m.pairs, asks: once(m.asks), left: once(m.left) };
}
