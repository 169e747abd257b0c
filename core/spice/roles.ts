import { remember } from '../part';
import { normal, PLACES } from './plain-words';
import { ROLES } from './role-words';

/** Roles with those that the same words have in general: what enables a driver is no enable of the part. */
const SPECIAL: readonly [role: string, instead: readonly string[]][] = [
  ['in+', ['input']],
  ['in-', ['input']],
  ['out+', ['in+', 'in-', 'output']],
  ['out-', ['in+', 'in-', 'output']],
  ['driver enable', ['enable']],
  ['receiver enable', ['enable']],
  ['output enable', ['enable']],
  ['high-side output', ['gate drive']],
  ['low-side output', ['gate drive']],
  ['manual reset', ['reset']],
  ['kelvin emitter', ['emitter', 'source']],
  ...['lo', 'rf', 'if'].flatMap((port): [string, string[]][] =>
    ['+', '-'].map((sign) => [`${port} ${sign}`, ['local oscillator', 'rf input', 'rf output', 'intermediate frequency']]),
  ),
  ['output discharge', ['discharge']],
  ['serial input', ['serial data']],
  ['serial output', ['serial data']],
  ['bootstrap +', ['bootstrap']],
  ['bootstrap -', ['bootstrap']],
  ['ground of side 1', ['ground']],
  ['ground of side 2', ['ground']],
  ['busy', ['status']],
  ['current sense +', ['current sense']],
  ['current sense -', ['current sense']],
  ['switch', ['drain', 'emitter', 'source']],
  ['thermistor', ['battery', 'temperature']],
];

/** The roles that a text can have; single letters have several (C is a cathode or a collector). */
export const rolesOf = remember((text: string): ReadonlySet<string> => {
  // An open collector is a kind of output, no collector.
  const plain = normal(text)
    .replace(/open[- ](collector|drain|source|emitter)\s*/g, '')
    .replace(/(?<=[a-z]{3} )out$/, 'output')
    // Half of a supply is none; and how high it may be says nothing more of it.
    .replace(/\bv(cc|dd|s)\/2\b/g, 'half')
    .replace(/(?<=[a-z]),? [+-]?\d[\d.]*( ?v)?( ?(\.\.+|-|to) ?[+-]?\d[\d.]*)? ?v$/, '')
    .replace(/^(input|output|supply), ([a-z-]+)$/, '$2 $1')
    // As other languages put it: `alimentation positive`.
    .replace(/^(?:power )?supply (positive|negative)$/, '$1 supply');
  const found = ROLES.filter(([, words]) => words.test(plain)).map(([role]) => role);
  const out = new Set(found);
  // "inverting input" is no plain input, a "gate drive output" no gate; the more special role stands alone.
  if (out.has('in+') && out.has('in-')) out.delete('in-');
  for (const [special, plainer] of SPECIAL) if (out.has(special)) for (const role of plainer) out.delete(role);
  if (plain.length > 3 && out.size > 1) {
    // The output of a switch is either its node or what it passes on.
    if (!/\bswitch output\b/.test(plain)) out.delete('output');
    // What selects by a level is an input for it.
    if (!out.has('selection') && !out.has('data input')) out.delete('input');
  }
  return out;
});

/** True where two texts have a role in common. */
export const shares = (a: ReadonlySet<string>, b: ReadonlySet<string>): boolean => [...a].some((role) => b.has(role));

/** The letter that tells one of several inputs or outputs: B of `B`, `Input B`, `B input`, `IN_B`, and of `second input`. */
export const letterOf = (text: string): string | undefined => {
  const counted = /^(first|second|third|fourth) (?:logic |data )?input$/.exec(normal(text))?.[1];
  return counted === undefined ? letterIn(text) : String.fromCharCode(97 + PLACES.indexOf(counted));
};

const letterIn = (text: string): string | undefined =>
  /^(?:(?:logic |data |bus |end )?(?:input|output|in|out|end|terminal|side|line|pin|data|port|phase|winding)[ _]([a-z])(?: of .*| data| input\/output)?|([a-z])[ _](?:input|output|in|out|port input\/output)(?: voltage)?|in([a-h])|([a-z]))$/
    .exec(normal(text))
    ?.slice(1)
    .find((letter) => letter !== undefined);

/** True where a name is a word cut short: TRIG and TRG of trigger, CTRL of control. */
export function shortens(name: string, word: string): boolean {
  const [short, long] = [name.toLowerCase().replace(/^~/, ''), word.toLowerCase()];
  if (!/^[a-z]{3,}$/.test(short) || long.length <= short.length || long[0] !== short[0]) return false;
  if (long.startsWith(short)) return true;
  let at = 0;
  for (const letter of long) if (letter === short[at]) at++;
  // Letters that are left out are vowels or doubled: CTRL, RST, THRSH.
  return at === short.length && long.length <= 2.4 * short.length && !/[aeiou]/.test(short.slice(1));
}

/** An active-low mark in a name, a bar over its letters with them: Q# is no Q where both are there; the tilde of `~1` is alternating current. */
export const isLowMarked = (name: string): boolean => /^\d{0,2}[~/!]|[#*\u0304\u0305]$|_(n|b)$/i.test(name.trim());

/** A name without the signs that mark it active low, which may stand behind a channel: `1~CLR`. */
export const withoutMark = (name: string): string =>
  name
    .replace(/[\u0304\u0305]/g, '')
    .replace(/^(\d{0,2})[~/!](?=\D)/, '$1')
    .replace(/[#*]$/, '');

/** A pin's name as its other names are kept by: in capitals, without a mark. */
export const keyOf = ({ name }: { name: string }): string => withoutMark(name).toUpperCase();

/** The names of nodes in capitals. */
export const capitalsOf = (nodes: readonly { name: string }[]): ReadonlySet<string> => new Set(nodes.map((n) => n.name.toUpperCase()));

/** A name without its channel: IN+ of 1IN+ and IN1+, A of A2. */
export const withoutChannel = (name: string): string => name.replace(/^\d+(?=\D)/, '').replace(/(?<=\D)\d+(?=[+\-−]?$)/, '');

/** Names without case, separators and marks, for equality: `V+` stays, `IN_A` is `ina`, and `-IN A` is `ina-`. */
export const plainName = remember((text: string): string =>
  withoutMark(normal(text))
    .replace(/[\s_.[\]()<>/]/g, '')
    // `PRE-TERM`; the sign of `IN-A` stays.
    .replace(/(?<=[a-z]{3})-(?=[a-z]{3})/g, '')
    .replace(/^([+-])([^\d+-](?:.*[^+-])?)$/, '$2$1'),
);

/** Words of a text that tell something, for overlap. */
export const wordsOf = remember(
  (text: string): ReadonlySet<string> =>
    new Set(
      normal(text)
        .split(/[^a-z0-9+]+/)
        .filter((w) => w.length > 1 && !/^(the|of|and|for|to|pin|node|terminal|in|channel|signal)$/.test(w)),
    ),
);
