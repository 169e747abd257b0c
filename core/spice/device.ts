/** What a model describes. */
export type Device =
  | 'opamp'
  | 'comparator'
  | 'nmos'
  | 'pmos'
  | 'npn'
  | 'pnp'
  | 'njf'
  | 'pjf'
  | 'diode'
  | 'zener'
  | 'resistor'
  | 'capacitor'
  | 'inductor'
  | 'switch'
  | 'logic'
  | 'regulator'
  | 'transformer'
  | 'other';

interface CardType {
  device: Device;
  /** Element letter and node order of Berkeley SPICE 3 (3f5 user's manual, section 3). */
  letter: string;
  nodes: string[];
}

const SWITCH: CardType = { device: 'switch', letter: 'S', nodes: ['+', '-', 'control+', 'control-'] };
const CURRENT_SWITCH: CardType = { device: 'switch', letter: 'W', nodes: ['+', '-'] };

const TYPES: Record<string, CardType> = {
  d: { device: 'diode', letter: 'D', nodes: ['anode', 'cathode'] },
  npn: { device: 'npn', letter: 'Q', nodes: ['collector', 'base', 'emitter'] },
  pnp: { device: 'pnp', letter: 'Q', nodes: ['collector', 'base', 'emitter'] },
  nmos: { device: 'nmos', letter: 'M', nodes: ['drain', 'gate', 'source', 'bulk'] },
  pmos: { device: 'pmos', letter: 'M', nodes: ['drain', 'gate', 'source', 'bulk'] },
  njf: { device: 'njf', letter: 'J', nodes: ['drain', 'gate', 'source'] },
  pjf: { device: 'pjf', letter: 'J', nodes: ['drain', 'gate', 'source'] },
  nmf: { device: 'njf', letter: 'Z', nodes: ['drain', 'gate', 'source'] },
  pmf: { device: 'pjf', letter: 'Z', nodes: ['drain', 'gate', 'source'] },
  r: { device: 'resistor', letter: 'R', nodes: ['1', '2'] },
  res: { device: 'resistor', letter: 'R', nodes: ['1', '2'] },
  c: { device: 'capacitor', letter: 'C', nodes: ['1', '2'] },
  cap: { device: 'capacitor', letter: 'C', nodes: ['1', '2'] },
  l: { device: 'inductor', letter: 'L', nodes: ['1', '2'] },
  ind: { device: 'inductor', letter: 'L', nodes: ['1', '2'] },
  sw: SWITCH,
  csw: CURRENT_SWITCH,
  // The same two by the names that a dialect has for them.
  vswitch: SWITCH,
  iswitch: CURRENT_SWITCH,
  vdmos: { device: 'nmos', letter: 'M', nodes: ['drain', 'gate', 'source'] },
};

/** What a `.model` card's type says; a diode with a breakdown voltage under 100 V is taken for a Zener diode. */
export function cardType(type: string, params: ReadonlyMap<string, string>): CardType | undefined {
  const found = TYPES[type.toLowerCase()];
  if (!found) return undefined;
  if (type.toLowerCase() === 'vdmos' && params.has('pchan')) return { ...found, device: 'pmos' };
  const breakdown = Number.parseFloat(params.get('bv') ?? '');
  return found.device === 'diode' && breakdown > 0 && breakdown < 100 && params.has('ibv') ? { ...found, device: 'zener' } : found;
}

/** `three-input AND`, as a pattern: the bare words are in every text. */
export const gateByInputs = (word: string): string => `\\b(?:\\d|two|three|four|eight)[- ]input (?:positive[- ])?${word}\\b`;

const WORDS: [Device, RegExp][] = [
  ['comparator', /\bcomparator\b/i],
  ['opamp', /\b(op-?amp|operational amplifier|instrumentation amplifier|(?<!error[ -])amplifier)\b/i],
  ['regulator', /\b(regulator|ldo|voltage reference|reference(?! input))\b/i],
  [
    'logic',
    new RegExp(
      String.raw`\b(gate|inverter|buffer|flip-?flop|latch|line receiver|schmitt|logic(?![- ]level)|driver|isolator|nand|nor|xor|xnor)\b|${gateByInputs('(?:and|or)')}`,
      'i',
    ),
  ],
  ['switch', /\b(analog(ue)? switch|load switch|switch(?! (?:node|output|current|pin|voltage)\b))\b/i],
  ['transformer', /\btransformer\b/i],
  ['zener', /\bzener\b/i],
  ['diode', /\b(photodiode|(?<!body[- ]|clamp[- ]|wheeling[- ])diode(?! controller)|led|rectifier)\b/i],
  ['nmos', /\bn-?(channel|mos)\b/i],
  ['pmos', /\bp-?(channel|mos)\b/i],
];

/** What a subcircuit models: by its comments and name first, by its nodes where they are plain. `other` where nothing tells. */
export function deviceOf(name: string, nodes: readonly string[], docs: readonly string[], comments: readonly string[]): Device {
  const own = deviceByNodes(nodes, docs);
  const speaks = (words: RegExp) => words.test(comments.join('\n')) || words.test(name.replace(/_/g, ' '));
  // A gate beside a drain is no logic, and a body diode no diode: there only the channel is for the words to say.
  const isTransistor = own === 'nmos' || own === 'npn';
  const said = WORDS.find(([device, words]) => (!isTransistor || device === 'nmos' || device === 'pmos') && speaks(words));
  if (said) return said[0];
  const all = [...nodes, ...docs].map((t) => t.toLowerCase());
  const has = (shape: RegExp) => all.some((t) => shape.test(t));
  if (has(/^(in\+|inp|non-?inverting( input)?|\+in)$/) && has(/^(in-|inn|inverting( input)?|-in)$/) && has(/^(out|output)$/))
    return 'opamp';
  // Three nodes of this name are a filter as often as a regulator, where the comments say so.
  if (own === 'regulator' && /\bfilter\b/i.test([name, ...comments].join(' '))) return 'other';
  return own ?? 'other';
}

const PLAIN: Record<string, Device> = {
  'a k': 'diode',
  'anode cathode': 'diode',
  'd g s': 'nmos',
  'drain gate source': 'nmos',
  'b c e': 'npn',
  'base collector emitter': 'npn',
  'gnd in out': 'regulator',
};

/** The device that nodes are plainly those of, by their names, or by what comments say of bare numbers. */
function deviceByNodes(nodes: readonly string[], docs: readonly string[]): Device | undefined {
  const together = (texts: readonly string[]) =>
    texts
      .map((t) => t.toLowerCase())
      .sort()
      .join(' ');
  const said = together(docs.map((doc) => /^[a-z]+/i.exec(doc)?.[0] ?? ''));
  return PLAIN[together(nodes)] ?? (/^(base|drain) /.test(said) ? PLAIN[said] : undefined);
}

/** Devices that look alike from outside: which one it is, the transistors in the body tell. */
const BY_BODY: Partial<Record<Device, readonly Device[]>> = { nmos: ['pmos', 'njf', 'pjf'], pmos: ['pjf'], npn: ['pnp'] };

/** What the one kind of transistors in a body makes of a device with the leads of one: the channel or junction is theirs. */
export const deviceByBody = (device: Device, transistor: Device | undefined): Device =>
  transistor !== undefined && BY_BODY[device]?.includes(transistor) ? transistor : device;

/** Element letter for a `.model` card, for writers. */
export const letterOf = (type: string): string => TYPES[type.toLowerCase()]?.letter ?? 'X';
