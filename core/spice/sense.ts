import { remember } from '../part';
import { PLACES } from './plain-words';

/**
 * The sense of a short name or a few words, as words of one vocabulary without order: SHDNB, `~SHDN` and "shutdown" are
 * the same, so are FLT_N and FAULT, VGND and "ground", PRI_CT and "primary centre tap", OUT1 and "output 1". Unlike a
 * role it need not be foreseen: words that the vocabulary lacks stand for themselves, so that NRST_SYS still is only
 * what says both.
 */
const FORMS: Record<string, string> = {
  in: 'in input rin',
  'in +': 'inp ainp vinp rinp rsp',
  'in -': 'inn inm ainn ainm vinn vinm rinn rinm rsm rsn',
  out: 'out output',
  'out sense': 'outs vouts',
  'force out': 'outf voutf',
  '+ out': 'outp voutp vop',
  '- out': 'outn outm voutn von',
  'data out': 'dout sdo do',
  'data in': 'din sdi di',
  buffer: 'buffer buf',
  excitation: 'exc exct excitation',
  ground: 'gnd ground grnd',
  io: 'io line',
  reset: 'rst reset rset clr clear',
  shutdown: 'shdn shutdown shut sd sdn shtdn',
  enable: 'en ena enable enbl run',
  fault: 'flt fault fail',
  flag: 'flg flag',
  filter: 'filter filt filtered',
  field: 'field',
  'under voltage': 'uv uvlo undervoltage',
  'over voltage': 'ov ovlo overvoltage',
  trigger: 'trig trg tr trigger',
  threshold: 'thr thres thrs thresh threshold',
  discharge: 'dis disc disch dsch dischg discharge',
  control: 'ctl ctrl cntl cont control cv ctrlv vc',
  sleep: 'slp sleep',
  standby: 'stby stb standby',
  'good power': 'pg pgd pgood pwrgd pwrok powergood',
  'soft start': 'ss softstart sstart',
  bootstrap: 'boot bst bootstrap bs cboot',
  'node switch': 'sw lx phase',
  feedback: 'fb feedback fdbk',
  compensation: 'comp compensation cmp ith eao',
  sense: 'sns sense sen',
  current: 'cur current isense',
  'current monitor': 'imon',
  'current out': 'iout',
  'current reference': 'iref',
  'frequency out': 'fout',
  reference: 'ref reference',
  clock: 'clk ck clock sclk sck',
  data: 'dat data',
  select: 'sel select',
  primary: 'pri prim primary',
  secondary: 'sec secondary',
  'centre tap': 'ct',
  centre: 'centre center',
  tap: 'tap',
  start: 'start dot begin beginning',
  finish: 'finish end',
  high: 'hi high upper',
  low: 'lo low lower',
  'high in': 'hin inh',
  'in low': 'lin inl',
  'high out': 'ho outh',
  'low out': 'outl',
  'drive high': 'hdrv drvh hsdrv drvhi',
  'drive low': 'ldrv drvl lsdrv drvlo',
  'drive supply': 'vdrv vccdr drvcc vdr',
  anode: 'anode',
  cathode: 'cathode kathode',
  'cathode red': 'kr rk',
  'cathode green': 'kg gk',
  'cathode blue': 'kb bk',
  'anode red': 'ar ra',
  'anode green': 'ag ga',
  'anode blue': 'ab ba',
  drain: 'drain',
  gate: 'gate',
  source: 'src source',
  'kelvin source': 'kelvin ks',
  'down power': 'pd pdn pwdn powerdown',
  base: 'base',
  collector: 'coll collector',
  emitter: 'emit emitter',
  wiper: 'wiper wip',
  common: 'com common',
  'common mode out': 'vocm ocm vcmo',
  bias: 'bias ibias',
  bypass: 'byp bp bypass',
  'noise reduction': 'nr',
  adjust: 'adj adjust adjustment',
  offset: 'off offset ofs os null nul',
  trim: 'trim',
  supply: 'supply sup',
  power: 'power pwr pow',
  'motor supply': 'vm vbb',
  pad: 'pad epad paddle',
  frequency: 'freq frequency',
  'analog ground': 'agnd',
  'digital ground': 'dgnd',
  'set frequency': 'rt fset rosc rfreq freqset',
  oscillator: 'osc oscillator',
  temperature: 'temp temperature',
  mode: 'mode mod',
  gain: 'gain gn vgain vg',
  'gain resistor': 'rg',
  rf: 'rf',
  tune: 'tune vtune vt',
  strobe: 'strobe strb',
  'enable latch': 'le',
  latch: 'latch ltch',
  clamp: 'clamp clmp',
  delay: 'delay dly',
  charge: 'chg charge',
  battery: 'bat batt vbat battery',
  interrupt: 'int irq interrupt',
  address: 'addr adr address',
  inhibit: 'inh inhibit',
  ramp: 'ramp rmp',
  timing: 'timing tim timer',
  error: 'err error',
  load: 'load ld',
  monitor: 'mon monitor',
  limit: 'lim limit ilim',
  guard: 'guard grd',
  substrate: 'sub substrate',
  crystal: 'xtal crystal xtl x',
  '+': 'pos positive plus noninverting',
  '-': 'neg negative minus inverting',
};
const CANON = new Map(Object.entries(FORMS).flatMap(([word, forms]) => forms.split(' ').map((form) => [form, word] as const)));
const MUTE = new Set('sig the of pin pins terminal term node lead signal voltage volt side logic active channel ch amplifier comparator device bar not line'.split(' ')); // prettier-ignore

/** A name of two known words, `powerpad`, or one with the letter for a voltage or for active low: `vgnd`, `nsleep`, `rstb`. */
function cut(token: string): string[] | undefined {
  const own = CANON.get(token);
  if (own !== undefined) return own.split(' ');
  const [first, last] = [token[0]!, token.at(-1)!];
  const [behind, before] = [CANON.get(token.slice(1)), CANON.get(token.slice(0, -1))];
  if (before !== undefined && /^(in|out)$/.test(before) && /[pnm]/.test(last)) return [before, last === 'p' ? '+' : '-'];
  if (before !== undefined && /^(in|out|gain resistor|anode|cathode|drain|gate|source)$/.test(before) && /[a-h]/.test(last))
    return [...before.split(' '), `#${last}`];
  if (behind !== undefined && /[vnx]/.test(first) && token.length > 2) return behind.split(' ');
  // VIA and VOB of an isolator are its input A and its output B.
  const [, way, letter] = /^v([io])([a-d])$/.exec(token) ?? [];
  if (way !== undefined) return [way === 'i' ? 'in' : 'out', `#${letter}`];
  // VOUTA is OUTA.
  if (/^v(in|out)[a-h]$/.test(token)) return cut(token.slice(1));
  if (before !== undefined && /[bnx]/.test(last) && token.length > 3) return before.split(' ');
  for (let at = 2; at <= token.length - 2; at++) {
    const [a, b] = [CANON.get(token.slice(0, at)), CANON.get(token.slice(at))];
    if (a !== undefined && b !== undefined) return [...a.split(' '), ...b.split(' ')];
  }
  return undefined;
}

/** True for a single word that the vocabulary has: with others of them it names a terminal. */
export const isKnownWord = (word: string): boolean => {
  const plain = word.toLowerCase().replace(/[^a-z]/g, '');
  return plain.length > 1 && cut(plain) !== undefined;
};

const COLOURS = ['red', 'green', 'blue', 'white', 'amber', 'yellow'];
export const isColour = (word: string): boolean => COLOURS.includes(word);
const ENDS = [
  ['#a', 'anode'],
  ['k', 'cathode'],
] as const;

/** The place that a word counts: 1 of `first`. */
const placeOf = (word: string): number => PLACES.indexOf(word.toLowerCase()) + 1;

/** The words that a text means, sorted, and the index in it (`1` of OUT1, `a` of INA); undefined where it says nothing. */
export const senseOf = remember((text: string): { readonly words: string; readonly index: string } | undefined => {
  const plain = text
    .toLowerCase()
    .replace(/[−–]/g, '-')
    .replace(/\([^)]*\)/g, ' ')
    .replace(/\bnon[- ]?inverting\b/g, ' + ')
    .replace(/(?<=[a-z]{2})-(?=[a-z]{2})/g, ' ')
    .replace(/^rg-(?=\d$)/, 'rg ')
    // The two sides of a shunt are the inputs of what measures it.
    .replace(/^rs(?=[+-]$)/, 'in')
    .replace(/\b([np])[- ]?(?:channel|ch\b|mos\b)/g, '$1chan')
    .replace(/^([ak])_([rgb])$/, '$1$2')
    .replace(/\bprotected /, '')
    // `gain resistor, second end` is its second one.
    .replace(/\b(first|second) end\b|\bend (?=[12]$)/g, (_, place: string | undefined) => place ?? '')
    .replace(/\b(?:first|second|third|fourth)\b/g, (word) => ` ${placeOf(word)} `)
    .replace(/^i\/o(?=\b|[ _]?\d)/, 'io')
    // Which of several it belongs to: `output of gate 2`.
    .replace(/\b(?:of |in )?(?:gate|section|unit) (?=[\da-h]\b)/g, ' ');
  const tokens = plain.match(/[a-z]+|\d+|[+-]/g) ?? [];
  if (tokens.length === 0 || tokens.length > 8) return undefined;
  const words = new Set<string>();
  for (const [i, token] of tokens.entries()) {
    // LINE1 is a line of several that are protected; elsewhere the word says nothing.
    if (MUTE.has(token) && !(token === 'line' && tokens.length === 2 && /^\d+$/.test(tokens[1]!))) continue;
    // P and N behind an underscore, IN_P and RST_N: a sign beside an input or output, else the mark of active low.
    if (/^[pn]$/.test(token) && (words.has('in') || words.has('out'))) words.add(token === 'p' ? '+' : '-');
    else if (
      /^[nb]$/.test(token) &&
      words.size > 0 &&
      !(token === 'b' && /^(\d|v?(in|out)[pnm]?|input|output|channel|section|half|side|port|line)$/.test(tokens[i - 1] ?? ''))
    )
      continue;
    else if (/^[sf]$/.test(token) && words.has('out')) words.add(token === 's' ? 'sense' : 'force');
    else if (/^(\d+|[a-h])$/.test(token)) words.add(`#${token}`);
    else for (const word of cut(token) ?? [token]) words.add(word);
  }
  // The resistor that sets a gain stands at RG1 and RG2; what controls one is the gain.
  if (words.has('gain')) {
    if (words.delete('set') || words.delete('setting')) words.add('resistor');
    for (const word of ['control', 'adjust']) words.delete(word);
  }
  // What trims an offset nulls it.
  if (words.has('offset')) for (const word of ['trim', 'adjust']) words.delete(word);
  // What a source is sensed by is its Kelvin contact.
  if (words.has('source') && words.delete('sense')) words.add('kelvin');
  // RED A and RED K: beside a colour the letter is an end of its diode.
  if (COLOURS.some((c) => words.has(c))) for (const [letter, end] of ENDS) if (words.delete(letter)) words.add(end);
  const index = [...words].filter((w) => w.startsWith('#'));
  const rest = [...words].filter((w) => !w.startsWith('#')).sort();
  if (rest.length === 0 || (rest.length === 1 && rest[0]!.length === 1 && !/[+-]/.test(rest[0]!))) return undefined;
  const places = index.map((w) => w.slice(1)).sort();
  return { words: rest.join(' '), index: places.join(' ') };
});

/** True where a letter counts what a figure counts elsewhere: channel A is channel 1. */
export const countsAlike = (a: string, b: string): boolean => {
  const [letter, figure] = /^\d$/.test(a) ? [b, a] : [a, b];
  return /^[a-h]$/.test(letter) && /^\d$/.test(figure) && letter.charCodeAt(0) - 96 === Number(figure);
};

/** The stem and the index of a name or a comment: `A1` and "anode 1" have one index, `OUT` none. */
export const indexed = remember((text: string): { readonly stem: string; readonly index: string } | undefined => {
  const plain = text
    .trim()
    .replace(/\s+/g, ' ')
    // `channel 1 collector` is the collector of it.
    .replace(/^(?:channel|ch\.?|gate|section|half|amplifier) (\d)[,:]? (.+)$/i, '$2 $1')
    .replace(/^(first|second|third|fourth) (.+)$/i, (_, word: string, stem: string) => `${stem} ${placeOf(word)}`);
  const parts =
    /^([A-Za-z][A-Za-z ]*?[+\-−]?)(?:[ _](?:of |in )?)?(?:diode |fet |transistor |channel |switch |ch |no\.? ?|[QMDU](?=\d))?(\d{1,2})([+\-−]?)$/i.exec(
      plain,
    );
  if (parts) return { stem: `${parts[1]!.trim()}${parts[3]!}`, index: parts[2]! };
  const leading = /^(\d{1,2})[ _]?([A-Za-z]+[+\-−]?)$/.exec(plain);
  return leading ? { stem: leading[2]!, index: leading[1]! } : undefined;
});
