import { remember, type ElectricalType } from '../part';

/**
 * What a name or a comment says a terminal is, in one vocabulary for pins and nodes. Two texts with the same role mean
 * the same terminal: IN+, INP and "non-inverting input" are all `in+`.
 */
const ROLES: [role: string, words: RegExp][] = [
  [
    'in-',
    /^(-|in-|inn|-in|vin-|v-in|inm|in_n|in_neg|inneg|inminus|ain-|minus|vinn|vn_in|vim)$|^in(\d*)-$|(?<!non[- ]?)\binverting\b|\bnegative (signal |analog )?input\b|^input ?-$|^- ?input\b/,
  ],
  [
    'in+',
    /^(\+|in\+|inp|\+in|vin\+|in_p|in_pos|inpos|inplus|ain\+|plus|ni|vinp|vp_in|vip)$|^in(\d*)\+$|\bnon-?\s?inverting\b|\bpositive (signal |analog )?input\b|^input ?\+$|^\+ ?input\b/,
  ],
  [
    'out-',
    /^(out-|outn|-out|vout-|voutn|outm|out_n|outneg|on|vo-|von|dout-|doutn|don|do-)$|^(?:inverted|inverting|negative|complementary) (?:signal |differential )?output\b/,
  ],
  [
    'out+',
    /^(out\+|outp|\+out|vout\+|voutp|out_p|outpos|op|vo\+|vop|dout\+|doutp|dop|do\+)$|^(?:non-?\s?inverting|positive|true) (?:signal |differential )?output\b/,
  ],
  [
    'supply+',
    /^(vcc|vdd|v\+|vs\+|vcc\+|vdd\+|\+vcc|\+vdd|supply ?\+|\+ ?supply|vp|vplus|v_plus|v_?pos|avdd|dvdd|vsup|vsupply|vs|\+vs|vc|vp\+|vccp|vddp|pvdd|pvcc|vps|vsp|[ad]?pwr|vpwr)$|\bpositive (power )?supply\b|\bpositive rail\b|^(power )?supply( (voltage|pin|rail|terminal|node))?$|\bvcc\b|\bvdd\b|^(supply|power) input$|^v?\+ supply|^\+v( supply)?$|^\+\d{1,2}(\.\d+)? ?v( supply)?$|^input (supply|power)$|^power supply$|^power$/,
  ],
  [
    'supply-',
    /^(vee|v-|vs-|v_?neg|vminus|v_minus|-vs|vn|vcc-|vdd-|-vcc|-vdd|vccn|vddn|veen|vsn|vss|supply ?-|- ?supply)$|^v?- supply|^-v( supply)?$|^-\d{1,2}(\.\d+)? ?v( supply)?$|\bnegative (power )?supply\b|\bnegative rail\b|\bvee\b/,
  ],
  [
    'ground',
    /^(gnd|vss|agnd|dgnd|pgnd|sgnd|0|com|common|ground|0v|gnda)$|^(power |signal |analog |digital |supply )?ground$|^ground\b|\bground (pin|terminal|return)\b|^(power|supply|signal) return$/,
  ],
  ['normally open', /^n\.?o\.?\d?$|\bnormally[- ]open\b/],
  ['normally closed', /^n\.?c\.?\d?$|\bnormally[- ]closed\b/],
  ['common', /^(com|common)\d?$|\bcommon (contact|terminal|pole|node)\b/],
  ['main 1', /^(mt1|a1)$|\bmain terminal 1\b/],
  ['main 2', /^(mt2|a2)$|\bmain terminal 2\b/],
  ['anode', /^(a|an|anode|ano|led ?\+)$|\banode\b/],
  ['cathode', /^(k|c|ca|ka|cath|cathode|kat|led ?-)$|\bcathode\b/],
  ['drain', /^(d|drain)$|\bdrain\b/],
  ['gate', /^(g|gate)$|\bgate\b(?! driv)/],
  ['source', /^(s|source|src)$|^source\b/],
  ['collector', /^(c|col|collector)$|\bcollector\b/],
  ['base', /^(b|ba|base)$|^base\b/],
  ['emitter', /^(e|em|emitter|emit)$|\bemitter\b/],
  ['bulk', /^(bulk|sub|substrate|body)$|\b(bulk|substrate)\b/],
  ['enable', /^(en|enable|ena|on|on\/off|ce|shdn|nshdn|shutdown|sd|pd)$|\benable\b|\bshut-?down\b|^control,? active[- ](high|low)\b/],
  ['feedback', /^(fb|vfb|feedback|v?adj|sense|vsense|adjust)$|\bfeedback\b|\badjust\b|\boutput (voltage )?sens(e|ing)\b/],
  ['bypass', /^(byp|bypass|nr|noise)$|\b(noise )?bypass\b|\bnoise reduction\b/],
  ['soft start', /^(ss|ss\/tr|track|sst|soft_?start)$|\bsoft[- ]start\b/],
  ['power good', /^(pg|pgood|pok|pwr_?gd|pwrok|power_?good)$|\bpower[- ]?(good|ok)\b/],
  ['compensation', /^(comp|ith|eaout)$|\bcompensation\b|\berror amp(lifier)? output\b/],
  ['bootstrap', /^(boot|bst|vb|hb|cb|cboot|vbst)$|\bboot(strap)?\b|\b(high[- ]side|hs)( driver| floating)? supply\b|\bfloating supply\b/],
  [
    'switch',
    /^(sw|swn|lx|vs_?out|hs|phase|ph|switch)$|\bswitch(ing)? node\b|\bswitch output\b|\b(half[- ])?bridge (node|output)\b|\binductor connection\b|\b(high[- ]side|hs)( floating)? return\b|\bfloating (ground|return)\b/,
  ],
  [
    'high-side input',
    /^(hin|hi|inh|pwmh)$|^(logic )?input,? high[- ]side$|\b(high[- ]side|hs)( logic)? (input|control)\b|\binput for (the )?high[- ]side\b/,
  ],
  [
    'low-side input',
    /^(lin|li|inl|pwml)$|^(logic )?input,? low[- ]side$|\b(low[- ]side|ls)( logic)? (input|control)\b|\binput for (the )?low[- ]side\b/,
  ],
  ['high-side output', /^(ho|hdrv|gh|hg|ugate|drvh)$|\b(high[- ]side|hs|upper)( gate| driver)* (drive|driver|output|gate)\b/],
  ['low-side output', /^(lo|ldrv|gl|lg|lgate|drvl)$|\b(low[- ]side|ls|lower)( gate| driver)* (drive|driver|output|gate)\b/],
  ['sourcing output', /^(outh|out_?src|oh|voh)$|\b(sourc(e|ing)|pull-?up|turn-?on|high|source current) output\b|^output high$/],
  ['sinking output', /^(outl|out_?snk|ol|vol)$|\b(sink(ing)?|pull-?down|turn-?off|low|sink current) output\b|^output low$/],
  ['trigger', /^(trig|trg|tr|trigger)$|^trigger\b/],
  ['threshold', /^(thres|thr|th|threshold)$|^threshold\b/],
  ['discharge', /^(disch|disc|dch|discharge)$|^discharge\b/],
  ['control voltage', /^(cv|cont|control)$|\bcontrol voltage\b/],
  ['clock', /^(clk|clock|ck|cp)$|^clock\b/],
  ['reference', /^(ref|vref|refin|reference)$|\breference (voltage )?input\b/],
  [
    'input',
    /^(in|\+?vin|vi|pvin|vddin|input|i|a|din|inp?ut|ain)$|^(signal |line |logic |data |voltage |regulator |unregulated |control )?input\b|\binput (terminal|pin|voltage|of)\b/,
  ],
  [
    'output',
    /^(out|vout|vo|aout|vreg|output|o|y|q|dout|z)$|^(signal |line |logic |data |regulated |regulator |amplifier |comparator |switch )?output\b|\boutput (terminal|pin|voltage|of)\b/,
  ],
];

/** Words tied together by their hyphens, `positive-supply`. */
const TIED = /(?<=[A-Za-z]{4}\.?)-(?=[A-Za-z]{5})/g;

const normal = remember((text: string): string =>
  (/\s/.test(text) ? text : text.replace(TIED, ' '))
    .toLowerCase()
    .replace(/[−–]/g, '-')
    .replace(/\(([+-])\)/g, '$1')
    .replace(/\bnon-?\s?inv\b\.?/g, 'non-inverting')
    .replace(/\binv\b\.?(?= )|^inv$/g, 'inverting')
    .replace(/\b(pos|neg)(?:\.|(?= ))/g, (_, sign: string) => (sign === 'pos' ? 'positive' : 'negative'))
    // Words tied together, `inverting_input`; short names keep their underscore.
    .replace(/(?<=[a-z]{4})_|_(?=[a-z]{5})/g, ' ')
    .replace(/\s+/g, ' ')
    .trim(),
);

/** The roles that a text can have; single letters have several (C is a cathode or a collector). */
export const rolesOf = remember((text: string): ReadonlySet<string> => {
  // An open collector is a kind of output, no collector.
  const plain = normal(text).replace(/open[- ](collector|drain|source|emitter)\s*/g, '');
  const found = ROLES.filter(([, words]) => words.test(plain)).map(([role]) => role);
  const out = new Set(found);
  // "inverting input" is no plain input, a "gate drive output" no gate; the more special role stands alone.
  if (out.has('in+') || out.has('in-')) out.delete('input');
  if (out.has('in+') && out.has('in-')) out.delete('in-');
  if (out.has('out+') || out.has('out-')) ['in+', 'in-', 'output'].forEach((role) => out.delete(role));
  if (plain.length > 3 && out.size > 1) {
    // The output of a switch is either its node or what it passes on.
    if (!/\bswitch output\b/.test(plain)) out.delete('output');
    out.delete('input');
  }
  return out;
});

/** True where two texts have a role in common. */
export const shares = (a: ReadonlySet<string>, b: ReadonlySet<string>): boolean => [...a].some((role) => b.has(role));

/** The roles of a pin by its name; VIN and IN that are a supply are the power input too. */
export function rolesOfPin({ name, type }: { name: string; type: ElectricalType }): ReadonlySet<string> {
  const own = rolesOf(name);
  // A of a switch that goes both ways is no input.
  if (/^[AI]$/i.test(name) && (type === 'bidirectional' || type === 'passive')) return new Set([...own].filter((role) => role !== 'input'));
  return type === 'supply-in' && own.size === 1 && own.has('input') ? new Set([...own, 'supply+']) : own;
}

/** The letter that tells one of several inputs or outputs: B of `B`, `Input B`, `B input`, `IN_B`. */
export const letterOf = (text: string): string | undefined =>
  /^(?:(?:logic |data )?(?:input|output|in|out|end|terminal|side)[ _]([a-z])(?: of .*)?|([a-z])[ _](?:input|output|in|out)|([a-z]))$/
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

/** An active-low mark in a name: Q# is no Q where both are there. */
export const isLowMarked = (name: string): boolean => /^\d{0,2}[~/!]|[#*]$|_(n|b)$/i.test(name.trim());

/** A name without the signs that mark it active low, which may stand behind a channel: `1~CLR`. */
export const withoutMark = (name: string): string => name.replace(/^(\d{0,2})[~/!]/, '$1').replace(/[#*]$/, '');

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
