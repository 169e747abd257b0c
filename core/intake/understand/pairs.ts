import { isSignal, saysLow } from '../../part';
import { giveType, isTypeAsked, isTypeTold, type Terminal } from '../proposal';

/** The words that tell the halves of a pair apart, the positive half's first. Either case, alike in both halves. */
const SIGNS: ReadonlyMap<string, string> = new Map([
  ['+', '-'],
  ['P', 'N'],
  ['DP', 'DM'],
  ['POS', 'NEG'],
  ['PLUS', 'MINUS'],
]);

/** A sign of the positive half: behind a stem, before nothing but digits and what is set off (`TXP0_A`, `RX+[3]`). */
const POSITIVE = /(?<=.)(?:\+|PLUS|POS|D?P)(?=\d*(?:$|[_/[(.]))|(?<=.)\+(?=[A-Za-z]+$)/gi;

/** Memories and clocks write true and complement: `DQS0_t`, `CKT`. Elsewhere a T is too much of a letter to say it. */
const TRUE = /(?<=_)T(?=\d*$)|(?<=CK|CLK|DQS)T(?=\d*$)/i;

/** A clock or a strobe whose true half bears no sign: its other half is the one with a sign of negation. */
const CLOCK = /^(?:.*_)?[LUW]?(?:\w*CLK|CK|DQS[LU]?)(?:IN|OUT)?\d*$/i;
/** Signs of negation, by what stands before and behind the name. */
const NEGATED = [['', '#'], ['', '*'], ['', '_N'], ['', '_B'], ['', 'N'], ['', 'B'], ['/', ''], ['n', '']] as const; // prettier-ignore

/** Most names are no half of any pair, and need no closer look. */
const MAY_BE_HALF = /\+|P(?:LUS|OS)?\d*(?:$|[_/[(.])|P[A-HLR]$|T\d*$|CK|CLK|DQS/i;

/** A sign before the letter of a channel, `OUTPL`; words have to say it, as a P stands there in many a name. */
const BEFORE_CHANNEL = /(?<=^[A-Z]{2,})P(?=[A-HLR]$)/;
const SAYS_POSITIVE = /\b(positive|plus|non-?inverting)\b/i;
const SAYS_NEGATIVE = /\b(negative|minus|inverting)\b/i;

const plain = (name: string): string => (/[−–]/.test(name) ? name.replace(/[−–]/g, '-') : name);

const inCaseOf = (sign: string, other: string): string => (sign === sign.toLowerCase() ? other.toLowerCase() : other);

/** What the other half of a pair would be called, were `name` the positive one; the likeliest first. */
function* otherHalves(name: string, names: ReadonlyMap<string, unknown>): Generator<string> {
  for (const { 0: sign, index } of name.matchAll(POSITIVE)) {
    const [before, after] = [name.slice(0, index), name.slice(index + sign.length)];
    yield before + inCaseOf(sign, SIGNS.get(sign.toUpperCase())!) + after;
    if (sign.length === 2) yield before + sign[0] + inCaseOf(sign[1]!, 'N') + after;
    else if (/p/i.test(sign)) yield before + inCaseOf(sign, 'M') + after;
  }
  const inner = BEFORE_CHANNEL.exec(name);
  if (inner) yield `${name.slice(0, inner.index)}N${name.slice(inner.index + 1)}`;
  const said = TRUE.exec(name);
  if (said) yield name.slice(0, said.index) + inCaseOf(said[0], 'C') + name.slice(said.index + 1);
  // Clocks A, B and C are three; so B is a complement only where no clock is called A.
  if (CLOCK.test(name)) for (const [before, behind] of NEGATED) if (!behind.endsWith('B') || !names.has(`${name}A`)) yield before + name + behind; // prettier-ignore
}

/** A name as a pair is told by: one under an overbar as if it bore a sign of negation, in the drawing it does. */
const signed = ({ name, activeLow }: Named): string => plain(activeLow && !saysLow(name) ? `${name}#` : name);

interface Named {
  name: string;
  activeLow?: boolean | undefined;
  description?: string | undefined;
}

/** Whether words bear out a sign that stands before a channel's letter; any other sign needs none. */
const isBorneOut = (positive: Named, negative: Named): boolean =>
  !BEFORE_CHANNEL.test(positive.name) || (SAYS_POSITIVE.test(positive.description ?? '') && SAYS_NEGATIVE.test(negative.description ?? ''));

/**
 * Differential pairs by name: `AIN1+`/`AIN1−`, `TX_P`/`TX_N`, `D0p`/`D0n`, `USB_DP`/`USB_DM`, `RXP`/`RXM`, `DQS_t`/`DQS_c`, `CK`/`CK#`.
 * Supplies such as `V+`/`V−` are none; the caller leaves them out by type. Gives the terminals with the positive half
 * first; of several with one name the first.
 */
export function findPairs<T extends Named>(terminals: readonly T[]): [T, T][] {
  const bySigned = new Map<string, T>();
  for (const t of terminals) if (!bySigned.has(signed(t))) bySigned.set(signed(t), t);
  const paired = new Set<T>();
  const pairs: [T, T][] = [];
  for (const [name, terminal] of bySigned) {
    if (!MAY_BE_HALF.test(name) || paired.has(terminal)) continue;
    for (const other of otherHalves(name, bySigned)) {
      const partner = bySigned.get(other);
      if (partner === undefined || paired.has(partner) || partner === terminal || !isBorneOut(terminal, partner)) continue;
      pairs.push([terminal, partner]);
      paired.add(terminal).add(partner);
      break;
    }
  }
  return pairs;
}

/** What the names of a pair's halves have in common, for each half: `TX_0` of `TXP_0` and `TXN_0`. Others have their own. */
export function pairNames(pairs: readonly (readonly [Named, Named])[]): (terminal: Named) => string {
  const shared = new Map<string, string>();
  for (const [{ name: p }, { name: n }] of pairs) {
    let before = 0;
    while (before < p.length && p[before] === n[before]) before++;
    let behind = 0;
    while (behind < Math.min(p.length, n.length) - before && p.at(-1 - behind) === n.at(-1 - behind)) behind++;
    // `MGTTX0` of `MGTTX0_P`: the sign before the half's letter is no part of it.
    for (const name of [p, n]) shared.set(name, (p.slice(0, before) + p.slice(p.length - behind)).replace(/_$/, ''));
  }
  return ({ name }) => shared.get(name) ?? name;
}

/** Both halves of a pair go the same way: a half that is asked is taken for what the other is, and asked all the same. */
export function agreeInPairs(pairs: readonly (readonly [Terminal, Terminal])[]): void {
  for (const pair of pairs) {
    if (!pair.every((t) => isSignal(t.type))) continue;
    const [sure, asked] = isTypeAsked(pair[0]) && !isTypeAsked(pair[1]) ? [pair[1], pair[0]] : pair;
    if (sure.type === asked.type || sure.type === 'unspecified' || !isTypeAsked(asked) || isTypeTold(asked)) continue;
    giveType(asked, sure.type, `its other half ${sure.name}`, `Taken for ${sure.type}, as its other half ${sure.name} is.`);
  }
}
