import { sayBound } from '../part';
import { assign } from './assign';
import { byChannels } from './channel-index';
import { namedOtherwise, otherNamesOf } from './kinds';
import { alike, contradicts, isPad, isSupply, withoutIndex, type Likeness, type MatchPin } from './likeness';
import type { ModelNode } from './read-models';
import { keyOf, plainName, rolesOf } from './roles';
import { countedOtherwise } from './series';

export type { MatchPin } from './likeness';

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
 * once. It asks wherever two answers are about as good or none is good; it never fills up by elimination. `endsAlike` is
 * true for a model whose two ends may be exchanged: there the question says that either is right.
 */
export function matchPins(pins: readonly MatchPin[], nodes: readonly ModelNode[], endsAlike = false): Matching {
  const out: Matching = { pairs: [], asks: [], left: [] };
  const live = withContacts(pins, nodes).filter((pin) => {
    const reason = noNodeReason(pin, nodes);
    if (reason) out.left.push({ pin: pin.number, reason });
    return reason === undefined;
  });
  const units = [...new Set(live.map((p) => p.unit).filter((u) => u !== null))];
  // A model with fewer nodes than the part has signals is of one channel.
  const perUnit = units.length > 1 && nodes.length < new Set(live.map((p) => p.name)).size;
  const only = units.length === 1 ? units[0]! : null;
  if (!perUnit) {
    const named = ofChannels(live, units);
    matchOne(named, nodes, only, false, out);
    if (out.asks.length > 0) addByChannels(named, nodes, only, out);
  } else {
    const supplies = suppliesOf(live, units);
    for (const unit of units)
      matchOne(
        live.filter((p) => p.unit === unit || p.unit === null || (isSupply(p) && !isOfOther(p, unit, supplies))),
        nodes,
        unit,
        true,
        out,
      );
    out.pairs.push(...sharedAlike(live, units, supplies, out.pairs));
  }
  const found = merged(out);
  return endsAlike ? { ...found, asks: found.asks.map(sayAlike) } : found;
}

/** Of what is the same from both ends either answer is right; which it was to be only a person can say. */
const sayAlike = ({ reason, ...ask }: Matching['asks'][number]) => ({
  ...ask,
  reason: reason.replace(/^.*?(?=( Free: .*)?$)/, 'The model is the same from both ends: either is right.'),
});

/** The ends of a contact by the second figure of its terminals (EN 50005): common, break and make. */
const ENDS: Readonly<Record<string, string>> = { '1': 'COM', '2': 'NC', '4': 'NO' };

/**
 * The terminals of changeover contacts, 11, 12 and 14, by what they are, where a coil's A1 and A2 tell a relay and the model does
 * not call its nodes so too.
 */
function withContacts(pins: readonly MatchPin[], nodes: readonly ModelNode[]): readonly MatchPin[] {
  if (nodes.some((n) => /^[1-4][124]$/.test(n.name))) return pins;
  const names = new Set(pins.map((p) => p.name));
  const contacts = ['1', '2', '3', '4'].filter((n) => Object.keys(ENDS).every((end) => names.has(n + end)));
  if (!names.has('A1') || !names.has('A2') || contacts.length === 0) return pins;
  const nameOf = (name: string): string => {
    const [, contact = '', end = ''] = /^(\d)([124])$/.exec(name) ?? [];
    return contacts.includes(contact) ? `${ENDS[end]}${contacts.length > 1 ? contact : ''}` : name;
  };
  return pins.map((p) => ({ ...p, name: nameOf(p.name) }));
}

/** A supply's name without the letter or figure of its channel. */
const stemOf = (name: string): string => name.replace(/(?<=\w)[A-H\d]$/i, '');

/** The stems of the supplies that each unit has of its own. */
const suppliesOf = (pins: readonly MatchPin[], units: readonly string[]): ReadonlyMap<string, ReadonlySet<string>> =>
  new Map(units.map((unit) => [unit, new Set(pins.filter((p) => p.unit === unit && isSupply(p)).map((p) => stemOf(p.name)))]));

/** True for a supply of another unit of which this one has its own: VBBA beside VBBB. */
const isOfOther = ({ unit: own, name }: MatchPin, unit: string, supplies: ReadonlyMap<string, ReadonlySet<string>>): boolean =>
  own !== null && own !== unit && supplies.get(unit)!.has(stemOf(name));

/** A supply that all units share is the same node of each of their models: where one unit tells it, it is told. */
function sharedAlike(
  pins: readonly MatchPin[],
  units: readonly string[],
  supplies: ReadonlyMap<string, ReadonlySet<string>>,
  pairs: readonly Pair[],
): Pair[] {
  return pins.filter(isSupply).flatMap((pin) => {
    const told = pairs.filter((p) => p.pin === pin.number);
    const isOne = told.length > 0 && told.every((p) => p.node === told[0]!.node);
    const open = units.filter(
      (unit) =>
        !isOfOther(pin, unit, supplies) && !pairs.some((p) => p.unit === unit && (p.pin === pin.number || p.node === told[0]?.node)),
    );
    return isOne ? open.map((unit) => ({ ...told[0]!, unit, because: `as in ${sayBound(told[0]!.unit!)}: ${told[0]!.because}` })) : [];
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

function noNodeReason(pin: MatchPin, nodes: readonly ModelNode[]): string | undefined {
  if (pin.type === 'no-connect') return 'it is not connected inside';
  if (pin.type === 'reserved') return 'it is reserved';
  if (pin.bits !== undefined) return `it is a bus of ${pin.bits}: split it to tie its bits`;
  if (isPad(pin.name) && pin.name.toLowerCase() !== 'tab' && !nodes.some((n) => isPad(n.name) || isPad(n.doc)))
    return 'a thermal pad carries no signal';
  if (/^mp\d*$|^mounting/i.test(pin.number) || /mechanical|mounting/i.test(pin.name)) return 'a mechanical pad carries no signal';
  return undefined;
}

/**
 * What is asked is matched once more, each channel by itself, and taken where nothing that is matched already says otherwise:
 * beside all of them C2 may be a cathode and a collector, and in its channel is the collector.
 */
function addByChannels(pins: readonly MatchPin[], nodes: readonly ModelNode[], unit: string | null, out: Matching): void {
  const found: Matching = { pairs: [], asks: [], left: [] };
  for (const { pins: own, nodes: there, read } of byChannels(pins, nodes) ?? []) {
    const channel: Matching = { pairs: [], asks: [], left: [] };
    matchOne(own, there, unit, false, channel, read);
    // A channel of which one terminal is open may be another one.
    if (channel.asks.length === 0) found.pairs.push(...channel.pairs);
  }
  const known = new Map(out.pairs.map((pair) => [pair.pin, pair.node]));
  if (found.pairs.some(({ pin, node }) => (known.get(pin) ?? node) !== node)) return;
  const taken = new Set(out.pairs.map(({ node }) => node));
  const more = found.pairs.filter(({ pin, node }) => !known.has(pin) && !taken.has(node));
  out.pairs.push(...more);
  out.asks = out.asks.filter(({ pin }) => !more.some((pair) => pair.pin === pin));
}

function matchOne(
  pins: readonly MatchPin[],
  nodes: readonly ModelNode[],
  unit: string | null,
  channel: boolean,
  out: Matching,
  read = nodes,
): void {
  // Pins of one name and kind are one signal: they share a node.
  const signals = new Map<string, MatchPin[]>();
  for (const pin of pins) signals.set(`${pin.name} ${pin.type}`, [...(signals.get(`${pin.name} ${pin.type}`) ?? []), pin]);
  const rows = [...signals.values()];
  const isOne = channel || haveOneIndex(pins);
  const named = withNames(read);
  // A node by a bare number is called what a comment of one word calls it.
  const called = named.map((n) => ({ name: /^\d+$/.test(n.name) && /^\S+$/.test(n.doc) ? n.doc : n.name }));
  // One gate of six, told by the names of the first: 1A and 1Y are A and Y of each.
  // A part of one gate has no figures at all.
  const isFirst = (channel || pins.every((p) => withoutIndex(p.name) === p.name)) && haveOneIndex(called);
  // IN1A, OUT1A and VBBA are those of each channel, as IN1B, OUT1B and VBBB are.
  const [ownEnd, end] = channel ? [lastLetterOf(pins.filter((p) => p.unit === unit)), lastLetterOf(called)] : [];
  const isLettered = ownEnd !== undefined && end !== undefined;
  const readAs = named.map((n) =>
    isFirst ? { ...n, name: withoutIndex(n.name), doc: withoutIndex(n.doc) } : isLettered ? { ...n, name: withoutEnd(n.name, end) } : n,
  );
  const otherNames = otherNamesOf(pins, called);
  const counted = countedOtherwise(pins, called);
  const others = namedOtherwise(pins, called);
  /** Why a pin's name says nothing here; undefined where it may. */
  const unsaid = (pin: MatchPin): string | undefined => {
    if (counted.has(keyOf(pin)) && counted.get(keyOf(pin)) === undefined)
      return `${pin.name}: its pins begin with another figure than the nodes, and are not as many.`;
    return others.has(pin.name) ? `${pin.name}: the model has nodes of that name that may be something else.` : undefined;
  };
  // Letters in a row, `a b c d`, are as bare as numbers.
  const isRow = nodes.length > 2 && nodes.every((n, i) => n.doc === '' && n.name.toLowerCase() === String.fromCharCode(97 + i));
  const likeness = rows.map(([first]) => {
    const isBare = isRow && !nodes.some((n) => plainName(n.name) === plainName(first!.name));
    if (isBare || unsaid(first!) !== undefined) return nodes.map(() => ({ score: 0, because: '' }));
    const own = counted.get(keyOf(first!)) ?? first!.name;
    const pin = { ...first!, name: isLettered && first!.unit === unit ? withoutEnd(own, ownEnd) : own };
    const also = [pin.name, ...(isOne ? [withoutIndex(pin.name)] : [])].flatMap((name) => otherNames.get(keyOf({ name })) ?? []);
    const known = { all: also.flatMap((o) => o.all), plain: also.flatMap((o) => o.plain) };
    return readAs.map((node, i) => {
      const { score, because } = alike(pin, node, isOne, known);
      const isCounted = own !== first!.name && score > 0;
      return {
        score,
        because: isCounted
          ? `node ${nodes[i]!.name} is ${first!.name}: the model counts from another figure`
          : because.replace(`node ${node.name} `, `node ${nodes[i]!.name} `).replace(`“${node.doc}”`, `“${nodes[i]!.doc}”`),
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
    const other = otherOutput(members, nodes, chosen);
    if (other !== undefined) {
      open.push({
        members,
        reason: `${members.length} outputs are called ${members[0]!.name}, and one of them may be ${other}.`,
      });
      return;
    }
    const rival = at < 0 ? undefined : rivalOf(likeness, r, at, score, nodes);
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

/** A name alone, or before the words of a comment, `VB  supply of the upper side`; where all is in capitals, its first word is none. */
const NAMED = /^(?:[A-Z][A-Z\d_/+-]+#?(?=$|\s.*[a-z]{2})|[A-Z]$)/;

/** Nodes by bare numbers as the names that their comments begin with, where nearly all of them have one of their own. */
function withNames(nodes: readonly ModelNode[]): readonly ModelNode[] {
  if (!nodes.every((n) => /^\d+$/.test(n.name))) return nodes;
  const read = nodes.map((node) => {
    const name = NAMED.exec(node.doc)?.[0];
    return name === undefined ? node : { ...node, name };
  });
  const names = read.flatMap((n, i) => (n === nodes[i] ? [] : [n.name.toUpperCase()]));
  const isColumn = names.length >= Math.max(2, nodes.length * 0.7) && new Set(names).size === names.length;
  return isColumn && read.some((n) => n.doc !== n.name) ? read : nodes;
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
  const isSaidOne = alikes.every((i) => nodes[i]!.doc !== '' && plainName(nodes[i]!.doc) === plainName(nodes[alikes[0]!]!.doc));
  const isOneNet = isSaidOne || alikes.every((i) => keyOf(nodes[i]!).slice(0, -1) === keyOf(members[0]!));
  if (alikes.length !== members.length || !isOneNet) return [];
  if (likeness.some((other, r) => r !== row && alikes.some((i) => other[i]!.score > score - MARGIN))) return [];
  const byNumber = members.map((p) => alikes.find((i) => nodes[i]!.name === p.number) ?? -1);
  return byNumber.includes(-1) ? alikes : byNumber;
}

/** The free node that is an inverted output, where several outputs have one name: the bar over one of them may be lost. */
function otherOutput(members: readonly MatchPin[], nodes: readonly ModelNode[], chosen: readonly number[]): string | undefined {
  if (members.length < 2 || !/^(output|three-state)$/.test(members[0]!.type)) return undefined;
  const isInverted = (text: string) => ['complement', 'out-'].some((role) => rolesOf(text).has(role));
  return nodes.find((n, i) => !chosen.includes(i) && (isInverted(n.doc) || isInverted(n.name)))?.name;
}

/** True where all names that begin with a channel's figure have the same: 1A, 1B and 1Y of a single gate. */
function haveOneIndex(terminals: readonly { name: string }[]): boolean {
  const indices = terminals.flatMap((p) => /^\d{1,2}(?=[~/!]?[A-Z])/i.exec(p.name)?.[0] ?? []);
  return indices.length > 1 && new Set(indices).size === 1;
}

/** The letter that most of a channel's terminals end with: A of IN1A, OUT1A and VBBA. */
function lastLetterOf(terminals: readonly { name: string }[]): string | undefined {
  const ends = terminals.flatMap(({ name }) => /(?<=[A-Z\d]{2})[A-D]$/i.exec(name)?.[0].toUpperCase() ?? []);
  return ends.find((end) => ends.filter((other) => other === end).length > Math.max(2, 0.6 * terminals.length));
}

const withoutEnd = (name: string, end: string): string => (name.length > 2 && name.toUpperCase().endsWith(end) ? name.slice(0, -1) : name);

/**
 * Another node for this pin, or another pin for this node, that is about as good, where the whole would be about as good
 * with it: K and C both read as a cathode, but only C is a collector too, so that nothing is open.
 */
function rivalOf(likeness: { score: number }[][], row: number, at: number, score: number, nodes: readonly ModelNode[]): string | undefined {
  const otherNode = likeness[row]!.findIndex((l, i) => i !== at && l.score > score - MARGIN);
  const otherPin = likeness.findIndex((l, i) => i !== row && l[at]!.score > score - MARGIN);
  if (otherNode < 0 && otherPin < 0) return undefined;
  // Only pins that have any likeness compete; beyond so many the question is asked rather than worked out.
  const rows = likeness.flatMap((r, i) => (i === row || r.some((l) => l.score > 0) ? [i] : []));
  const says = otherNode >= 0 ? `node ${nodes[otherNode]!.name} fits as well` : 'another pin fits the node as well';
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

/** A pin that one unit settled is no question in another; the same pair is said once per unit. */
function merged(m: Matching): Matching {
  const paired = new Set(m.pairs.map((p) => p.pin));
  const seen = new Set<string>();
  const once = (list: { pin: string; reason: string }[]) => list.filter((e) => !paired.has(e.pin) && !seen.has(e.pin) && !!seen.add(e.pin));
  return { pairs: m.pairs, asks: once(m.asks), left: once(m.left) };
}
