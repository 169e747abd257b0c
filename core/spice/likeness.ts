import type { ElectricalType } from '../part';
import type { OtherNames } from './kinds';
import { besidesOfPin, rolesOfPin } from './pin-roles';
import { untied } from './plain-words';
import type { ModelNode } from './read-models';
import { isLowMarked, letterOf, plainName, rolesOf, shares, shortens, wordsOf } from './roles';
import { countsAlike, indexed, isColour, senseOf } from './sense';

/** A pin as matching sees it. `unit` is null for pins that belong to every unit, such as shared supplies. */
export interface MatchPin {
  number: string;
  name: string;
  type: ElectricalType;
  unit: string | null;
  description?: string;
  /** How many nets it stands for where it is a bus. */
  bits?: number;
}

export const isSupply = (p: MatchPin): boolean => p.type === 'supply-in' || p.type === 'ground';

export const isPad = (name: string): boolean =>
  /^(ep|epad|e?_?pad(dle)?|tpad|dap|(exposed|thermal|power)[ _-]?pad(dle)?|tab)\d?$/i.test(name);

/** How alike a pin and a node are, 0 to 1, and what says so. */
export interface Likeness {
  score: number;
  because: string;
}

/** A node that is called as the pin is, or, as a person should see, only by what such a part calls the pin as well. */
const hasItsName = (own: readonly string[], node: ModelNode, pin: MatchPin): string =>
  own.includes(plainName(node.name)) ? `node ${node.name} has its name` : `node ${node.name} is what such parts also call ${pin.name}`;

const asSaid = (node: ModelNode): string => `line ${node.docLine}: “${node.doc}”`;

/** So much less alike is what a pin is only where nothing else is: VIN is a VCC where no node is an input. */
const BESIDE = 0.12;

/** How alike a pin and a node are, by names first, then by what comments say, then by shared words. */
export function alike(pin: MatchPin, node: ModelNode, channel: boolean, also: OtherNames): Likeness {
  const names = [...(channel ? [pin.name, withoutIndex(pin.name)] : [pin.name]), ...also.all];
  const plain = names.map(plainName);
  if (contradicts(pin, node)) return { score: 0, because: '' };
  const isOtherSense = isLowMarked(pin.name) !== isLowMarked(node.name);
  // A node's bare number is no name: pin 1 is node 1 as often as not.
  // The contacts of a relay are called by two figures (EN 50005).
  const isContact = /^[1-9][1-8]$/.test(node.name) && pin.name === node.name && pin.number !== node.name;
  if (plain.includes(plainName(node.name)) && (isContact || !/^\d+$/.test(node.name)) && !isUnsaid(pin, node))
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
  const [first = ''] = untied(node.doc)
    // `excitation, positive` is the positive one.
    .replace(/^([a-z]{3,}), (positive|negative|plus|minus)$/i, '$2 $1')
    // `gain resistor, second end` is the second of it.
    .replace(/^([a-z ]{3,30}), (first|second) end$/i, '$1 $2')
    .split(/[,;(]/);
  const [word = '', ...more] = first.trim().split(/\s+/);
  if (word.length > 1 && more.length > 0 && plain.includes(plainName(word)) && goesOnAbout(word, more.join(' ')))
    return { score: 0.88, because: asSaid(node) };
  if (first.length > 2 && plain.includes(plainName(first))) return { score: 0.9, because: asSaid(node) };
  if (isPad(pin.name) && (isPad(node.name) || isPad(node.doc))) return { score: 0.88, because: `node ${node.name} is the pad as well` };
  // The phases of a motor or a mains.
  const [, phase] = /^(?:phase|ph|winding|line)[ _]?([uvwrst]|l[123])$/i.exec(pin.name) ?? [];
  if (node.doc === '' && phase !== undefined && phase.toLowerCase() === node.name.toLowerCase())
    return { score: 0.86, because: `node ${node.name} is the phase of that letter` };
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
  // Terminals by figures alone.
  const [, figure = ''] = /^(?:terminal|end|lead|side|pin) (\d{1,2})$/i.exec(first.trim()) ?? [];
  if (figure !== '' && names.includes(figure)) return { score: 0.86, because: asSaid(node) };
  const [, numbered = ''] = node.doc === '' ? (/^(?:pin|term|terminal|lead)_?(\d{1,2})$/i.exec(node.name) ?? []) : [];
  if (numbered !== '' && names.includes(numbered)) return { score: 0.86, because: `node ${node.name} is terminal ${numbered}` };
  // `X input 1` is X1.
  const [, spelt = '', count = ''] = /^([a-z]) (?:input|output) (\d)$/i.exec(first.trim()) ?? [];
  if (count !== '' && plain.includes(plainName(spelt + count))) return { score: 0.9, because: asSaid(node) };
  // What is known by another name there has the roles of that one.
  const ofAll = (roles: typeof rolesOfPin, list: readonly string[]) => list.flatMap((name) => [...roles({ name, type: pin.type })]);
  const there = ofAll(rolesOfPin, also.plain);
  const own = new Set(there.length > 0 ? there : ofAll(rolesOfPin, names));
  const besides = () => new Set(ofAll(besidesOfPin, there.length > 0 ? also.plain : names));
  // COM of a switch is its common contact; a ground only where the pin is one.
  if (own.has('common') && pin.type !== 'unspecified') own.delete(isSupply(pin) ? 'common' : 'ground');
  // Whether a ground is the model's negative supply, a person says.
  if (pin.type === 'ground' && own.delete('supply-') && own.size === 0) own.add('ground');
  if (own.size === 0 && pin.description) for (const role of rolesOf(pin.description)) own.add(role);
  for (const role of rolesByType(pin)) own.add(role);
  const [, inBrackets = ''] = /\(([^()]+)\)/.exec(node.doc) ?? [];
  const plainly = new Set([...rolesOf(node.doc), ...rolesOf(first.trim())]);
  // `drain (common)` is a drain and no ground.
  const said = new Set([...plainly, ...[...rolesOf(inBrackets)].filter((role) => plainly.size === 0 || !isPowerRole(role))]);
  // `IN regulator input`: a name, and what it is in words.
  const rest = rolesOf(more.join(' '));
  if (shares(rolesOf(word), rest)) for (const role of rest) said.add(role);
  // A letter or two say nothing beside a comment: node a that is “OUT (power)” is no input A.
  const isMute = /^\d+$/.test(node.name) || (node.doc !== '' && node.name.length < 3);
  const named = isMute ? new Set<string>() : rolesOf(node.name);
  if (shares(own, said)) return { score: 0.86, because: asSaid(node) };
  // ANODE that is “common” still is an anode.
  const isCommon = said.has('common') && [...said].every((role) => role === 'common' || role === 'ground');
  if (said.size > 0 && !(isCommon && shares(own, named)))
    return shares(besides(), said) ? { score: 0.86 - BESIDE, because: asSaid(node) } : { score: 0.1, because: '' };
  const isShort = own.size === 0 && more.length <= 2 && shortens(names.at(-1)!, word);
  if (isShort) return { score: 0.84, because: asSaid(node) };
  const same = (roles: ReadonlySet<string>) => `node ${node.name} reads as ${[...roles].find((r) => named.has(r))}`;
  if (shares(own, named)) return { score: 0.82, because: same(own) };
  const wider = besides();
  // ON beside OUT turns it on.
  if (named.has('enable')) wider.delete('out-');
  if (shares(wider, named)) return { score: 0.82 - BESIDE, because: same(wider) };
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
    // The sign of a signal makes no supply of it.
    if (isSupply(pin) && /\bsignal\b/i.test(text)) continue;
    const said = senseOf(text);
    for (const name of [...names, ...names.flatMap((n) => (/\w\/\w/.test(n) ? n.split('/') : []))]) {
      const own = senseOf(name) ?? ofGate(pin, name);
      if (own && said && isOpposite(own.words, said.words)) return { score: 0, because: '' };
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
  // T1 that is a “thermistor” is the first end of it; N1 is only a number.
  const counted = indexed(node.name);
  const isSaid = indexed(first) === undefined && first.trim()[0]?.toLowerCase() === counted?.stem[0]?.toLowerCase();
  const isItsEnd = (name: string) => {
    const part = indexed(name);
    return part !== undefined && part.index === counted?.index && shares(rolesOf(part.stem), rolesOf(first));
  };
  if (counted && isSaid && names.some(isItsEnd)) return { score: 0.84, because: because.comment };
  if (names.some((n) => isBarred(n, node.name))) return { score: 0.81, because: `node ${node.name} is its active-low name` };
  // OUTB is the second of two, and OUT no shorter word for it.
  const isCounted = (text: string) => withoutIndex(text) !== text && withoutIndex(text).toLowerCase() === names.at(-1)!.toLowerCase();
  const isCut = texts.some(({ text }) => !isCounted(text) && (shortens(names.at(-1)!, text) || shortens(text, names.at(-1)!)));
  return isCut && rolesOf(pin.name).size === 0 ? { score: 0.8, because: because.name } : undefined;
}

const OPPOSITES = [['nchan', 'pchan'], ['primary', 'secondary']] as const; // prettier-ignore

/** One side of what has two, in the words of one and the other: a gate of the N-channel transistor is none of the P-channel one. */
const isOpposite = (own: string, said: string): boolean => {
  const [a, b] = [own.split(' '), said.split(' ')];
  return OPPOSITES.some(([one, other]) => (a.includes(one) && b.includes(other)) || (a.includes(other) && b.includes(one)));
};

/** Words that a comment adds to what a name says; others make it something else. */
const ADDED = new Set(
  'analog serial external main buffered lead port connection flag set resistor load request protected bridge half motor speaker digital remote'.split(
    ' ',
  ),
);

/** True where a comment says what a name does, with words that only go into more of it: CURRENT LIMIT of `current limit resistor`. */
function saysMore(name: string, comment: string): boolean {
  const [own, said] = [name.split(' '), new Set(comment.split(' '))];
  // RED of a lamp of three is the end that the others do not share.
  if (own.length === 1 && isColour(name) && said.size === 2 && said.has(name)) return said.has('anode') || said.has('cathode');
  const isWay = (word: string) => /^(in|out)$/.test(word);
  const more = [...said].filter((word) => !own.includes(word));
  return (
    own.every((word) => said.has(word)) && more.every((word) => ADDED.has(word) || (isWay(word) && own.length > 1 && !own.some(isWay)))
  );
}

/** What is mostly active low, and may be called so by an N before it. */
const ACTS_LOW = /^(wake(up)?|reset|rst|fault|flt|shdn|alert|alarm|sleep|stby|standby|busy|ready|drdy|error|irq|int|pgood|flag)$/;

/** CSB and QN beside CS and Q#: the letter is the bar. INN is no IN with a bar, and Q without a mark is no QN. */
function isBarred(pin: string, node: string): boolean {
  const [own, there] = [plainName(pin), plainName(node)];
  // NWAKE of WAKE; NGATE is another thing's gate.
  if (there === `n${own}` && ACTS_LOW.test(own)) return true;
  if (own.length === 0 || !there.startsWith(own) || /^[vard]?(in|out)/.test(own)) return false;
  const rest = there.slice(own.length);
  return isLowMarked(pin) ? /^(n|b|z|bar|not)$/.test(rest) : own.length > 1 && /^(b|z|bar)$/.test(rest);
}

/** A one-letter node whose comment says something else: node C that is “emitter” is no collector pin C. */
function isUnsaid(pin: MatchPin, node: ModelNode): boolean {
  const [own, said] = [rolesOf(pin.name), new Set(rolesOf(node.doc))];
  // The sign of a line of a bus is none of an input.
  if (pin.type === 'bidirectional') for (const role of ['in+', 'in-', 'out+', 'out-']) said.delete(role);
  // G that is one of the “cathodes of red, green, blue” is the green one.
  const isItsColour = [...wordsOf(node.doc)].some((word) => isColour(word) && word[0] === node.name.toLowerCase());
  return node.name.length < 3 && !isItsColour && own.size > 0 && !said.has('common') && said.size > 0 && !shares(own, said);
}

const isPowerRole = (role: string): boolean => ['supply+', 'supply-', 'ground'].includes(role);

/** A supply is no signal and a ground no supply, whatever words they share. */
export function contradicts(pin: MatchPin, node: ModelNode): boolean {
  const roles = new Set([...rolesOf(node.doc), ...(/^\d+$/.test(node.name) ? [] : rolesOf(node.name))]);
  // VS of a driver has a node of its name, and its comment says that it is no supply.
  const isItsOwn = node.doc !== '' && plainName(node.name) === plainName(pin.name) && ![...rolesOf(node.doc)].some(isPowerRole);
  const power = !isItsOwn && [...roles].some(isPowerRole);
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
export function withoutIndex(name: string): string {
  // The third input of half A of a double multiplexer.
  const ofHalf = /^([SXY]\d)_?[A-D]$/i.exec(name)?.[1];
  if (ofHalf) return ofHalf;
  const uncounted = name.replace(/^([~/!]?)\d{1,2}(?=[~/!+−-]?[A-Z])/i, '$1');
  // What has its channel before it has no second one behind: 1SD is the SD of channel 1.
  if (uncounted !== name && /^\W?[A-Z]{2}$/i.test(uncounted)) return uncounted;
  return uncounted
    .replace(/(?<=\w[+\-−]?)[ _]([A-H]|\d{1,2})$/i, '')
    .replace(
      /^(IN|OUT|INP|INN|INM|IN_P|IN_N|VINP|VINN|OUTP|OUTN|OUTPUT|INPUT|VIN|VOUT|VI|VO|DIN|DOUT|RIN|ROUT|[+-]IN|A|K|Y|Q|D|G|S|C|B|E|EN|DRAIN|GATE|SOURCE|ANODE|CATHODE|COLLECTOR|BASE|EMITTER|CLK|FB|SW|LX|SNS|SENSE|CS|REF|DIS|SHDN|LED)_?(?:\d{1,2}|[A-H])(?=[+\-−]?$)/i,
      '$1',
    )
    .replace(/([+\-−])_?[A-H\d]$/i, '$1');
}
