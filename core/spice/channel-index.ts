import { isSupply, type MatchPin } from './likeness';
import { PLACES } from './plain-words';
import type { ModelNode } from './read-models';

/** A text without what tells its channel, and the channel, counted from 1. */
interface InChannel {
  base: string;
  channel: number;
}

const WORD = '(?:channel|ch\\.?|gate|section|half|amplifier|comparator|transistor|switch|driver|side|no\\.?|unit)';
/** What stands for a channel: a figure, a letter or a place. */
const INDEX = `([1-8]|[A-H]|${PLACES.slice(0, 8).join('|')})`;

const counted = (index: string): number =>
  PLACES.indexOf(index.toLowerCase()) + 1 || Number(index) || index.toUpperCase().charCodeAt(0) - 64;

/** Ways to tell a channel in words, each with the words before and behind it. */
const IN_WORDS = [
  new RegExp(`^()${WORD} ${INDEX}[,:]? (.+)$`, 'i'),
  new RegExp(`^(.+?),? (?:of |in )?(?:the )?${WORD} ${INDEX}()$`, 'i'),
  new RegExp(`^()(${PLACES.slice(0, 8).join('|')}) (.+)$`, 'i'),
  /^(.+\S) ([1-8])()$/,
  /^(.+\S) ([A-H])()$/,
];

/** Ways to tell a channel in a name: 2IN+, IN2+, IN+2, IN_B+, IN+_B, +INB. */
const IN_NAMES = [
  /^()([1-8])(\D.*)$/,
  /^(.*[^\d_])_?([1-8])([+\-−–]?)$/,
  /^(.*[+\-−–])_?([1-8])()$/,
  /^(.+)_([A-H])([+\-−–]?)$/i,
  /^(.*[+\-−–])([A-H])()$/i,
  /^(.*[A-Z])([A-H])([+\-−–]?)$/i,
];

/**
 * Texts by their channels, where one way of telling it holds for them: channels from 1 on without a gap, each with the same
 * terminals, two or more. Texts that tell none are of all channels, and undefined.
 */
function inChannels(texts: readonly string[], ways: readonly RegExp[]): (InChannel | undefined)[] | undefined {
  for (const way of ways) {
    const read = texts.map((text): InChannel | undefined => {
      const [whole, before = '', index = '', behind = ''] = way.exec(text.trim()) ?? [];
      return whole === undefined ? undefined : { base: `${before}${behind}`.trim(), channel: counted(index) };
    });
    if (areAlike(read.filter((r) => r !== undefined))) return read;
  }
  return undefined;
}

const countOf = (read: readonly (InChannel | undefined)[]): number => read.reduce((most, r) => Math.max(most, r?.channel ?? 0), 0);

function areAlike(read: readonly InChannel[]): boolean {
  const count = countOf(read);
  const of = Array.from({ length: count }, (_, k) => read.filter((r) => r.channel === k + 1).map((r) => r.base));
  const key = (bases: readonly string[]) => bases.map((b) => b.toUpperCase()).sort().join(' '); // prettier-ignore
  const [first = []] = of;
  return count > 1 && first.length > 1 && new Set(first).size === first.length && of.every((bases) => key(bases) === key(first));
}

export const namesInChannels = (names: readonly string[]): (InChannel | undefined)[] | undefined => inChannels(names, IN_NAMES);
export const wordsInChannels = (words: readonly string[]): (InChannel | undefined)[] | undefined => inChannels(words, IN_WORDS);

export interface Channel {
  pins: MatchPin[];
  nodes: ModelNode[];
  /** The nodes without what tells their channel. */
  read: ModelNode[];
}

/**
 * The channels of a part and of a model of all of it, where both tell them: `channel 2 collector` is C2 or 2C, and no cathode
 * of another channel. What is of no channel comes first. Undefined where one of them does not tell, or has another number.
 */
export function byChannels(pins: readonly MatchPin[], nodes: readonly ModelNode[]): Channel[] | undefined {
  const own = namesInChannels(pins.map((p) => (isSupply(p) ? '' : p.name)));
  const [names, docs] = [namesInChannels(nodes.map((n) => n.name)), wordsInChannels(nodes.map((n) => n.doc))];
  const there = nodes.map((_, i) => docs?.[i] ?? names?.[i]);
  const isOther = nodes.some((_, i) => docs?.[i] && names?.[i] && docs[i].channel !== names[i].channel);
  if (!own || !(names ?? docs) || isOther || countOf(own) !== countOf(there)) return undefined;
  return Array.from({ length: countOf(own) + 1 }, (_, channel): Channel => {
    const at = nodes.flatMap((_, i) => ((there[i]?.channel ?? 0) === channel ? [i] : []));
    return {
      pins: pins.flatMap((p, i) => ((own[i]?.channel ?? 0) !== channel ? [] : own[i] ? { ...p, name: own[i].base } : p)),
      nodes: at.map((i) => nodes[i]!),
      read: at.map((i) => ({ ...nodes[i]!, name: names?.[i]?.base ?? nodes[i]!.name, doc: docs?.[i]?.base ?? nodes[i]!.doc })),
    };
  });
}
