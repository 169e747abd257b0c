import { carriesPower, groupBy, isSignal, type ElectricalType } from '../../part';
import type { Terminal } from '../proposal';
import { firstName } from '../table/names';
import { pairNames } from './pairs';
import { bySameWords } from './same-words';

/** Interfaces by the names that their signals have everywhere. */
const WORK = [
  { title: 'Clock', name: /^(XTAL|XIN|XOUT|OSC|CLK|CLKIN|MCLK|REFCLK|X[IO12]$|\w+_(X[IO]|XIN|XOUT|XTAL_?(I|O|IN|OUT))$)/i },
  {
    title: 'Serial port',
    name: /^(n?S?CS|n?SS|SCLK|SCK|SDI|SDO|SDIO|MOSI|MISO|SCL|SDA|SM(?:B|BUS)?_?(?:CLK|DATA?|ALERT)|DIN|DOUT|TXD?|RXD?|n?DRDY)[#_N]*$/i,
  },
  { title: 'Debug', name: /^(TCK|TDI|TDO|TMS|n?TRST|SWDIO|SWCLK|SWO)/i },
  { title: 'Control', name: /^(n?RE?SE?T|EN|n?SHDN|n?PWDN|MODE|SEL|BOOT|n?OE|n?CE)\w*[#]?$/i },
];

/** Interfaces by the words that describe their signals. */
const WORDS = [
  { title: 'Debug', words: /\b(boundary[- ]scan|JTAG|debug|test (clock|data|mode))\b/i },
  { title: 'Clock', words: /\b(crystal|oscillator)\b/i },
  { title: 'Serial port', words: /\bserial (data|clock)\b/i },
];

/** A clock by its name that is told to be of a serial port. */
const SERIAL_CLOCK = /\b(serial|shift|SPI|I2C)([- ](data|interface|port|bus))* clock\b/i;

/** What measures a current, or a voltage, and chooses no chip: CS of `Current sense`, CSN of CSP and CSN. */
const SENSES = /\b(sens(e|es|ing)|shunt)\b/i;

/** The ends of the capacitors that a charge pump moves, whatever they are called. */
const PUMPED = /\b(charge[- ]?pump|flying|doubler|inverter|inverting)\b[^.;]{0,30}\bcap(acitor)?\b/i;

/** One of several windings on a core. */
const WINDING = /\b(primary|secondary|auxiliary|bias|feedback|tertiary) winding(?: ?#?(\d|[A-H])\b)?/i;

/** The management of a transceiver: its names are told apart from those of a serial port by it. */
const MANAGED = [/^MDC$/i, /^MDIO$/i];

/** A memory that is clocked. */
const MEMORY = [/^CKE/i, /^DQ[LU]?0(_|$)/i];

/** The clocks of an audio port, the start of its frames, and its signals: those of its own, and those that a serial port has too. */
const BIT_CLOCK = /^(I2S_)?(BCLK|BCK|BICK)\d?$/i;
const SHIFT_CLOCK = /^(I2S_)?(SCLK|SCK)\d?$/i;
const FRAME = /^(I2S_)?(LRC?LK|LRCK|WCLK|FSYNC|WS|(DAC|ADC)LRC)\d?$/i;
const AUDIO = /^I2S_MCLK$|^(I2S_)?(BCLK|BCK|BICK|LRC?LK|LRCK|(DAC|ADC)LRC|WCLK|FSYNC|WS|I2S\d|SDATA|SDAT[AI]|SDT[IO]|(DAC|ADC)DAT)\d?$/i;
const AUDIO_DATA = /^(I2S_)?(SCLK|SCK|SDIN|SDOUT|SDI|SDO|DIN|DOUT)\d?$/i;

/** Interfaces whose signals are told by each other: the names that have to be there or must not be, and those that then belong to it. */
const TOGETHER: { title: string; has: RegExp[]; no?: RegExp; name: RegExp }[] = [
  {
    title: 'Ethernet',
    has: MANAGED,
    name: /^(MDC|MDIO|[TR]XD\d|[TR]X_?(C|CLK|CTL|ER)|TX_?EN|RX_?DV|CRS(_?DV)?|COL|G?TX_?CLK|REF_?CLK)$/i,
  },
  { title: 'RGMII', has: [/^TX_?CTL\d?$/i, /^RX_?CTL\d?$/i], name: /^[TR]X_?(D\d?_?\d|C\d?|CLK\d?|CTL\d?)$/i },
  { title: 'Line', has: MANAGED, name: /^([TR]X|[TR]D|MDI\d?|TRX?D?\d?)_?[PMN+\-−]\d?$/i },
  { title: 'Data', has: MEMORY, name: /^[LU]?(DQ|DQS|DM|DQM|DMI|DBI)[LUH]?\d*(_?[TCNP]|#)?(_[AB])?$/i },
  { title: 'Address', has: MEMORY, name: /^(A|BA|BG|CA)\d+(_[AB])?$/i },
  { title: 'Command', has: MEMORY, name: /^[~/n]?(RAS|CAS|WE|CS|CKE|ODT|ACT|PAR|ALERT|CK|CLK)\d?(_?[TCN]|#)*(_[AB])?$/i },
  { title: 'Command', has: [/^[~/n]?RAS\b/i, /^[~/n]?CAS\b/i], name: /^[~/n]?(RAS|CAS|WE|CS|CKE|ODT|ACT)\d?(#|_?N)?$/i },
  // Beside a bit clock, SCLK and what is called like it are of the port that controls the part.
  { title: 'Audio port', has: [BIT_CLOCK, FRAME], name: AUDIO },
  { title: 'Audio port', has: [BIT_CLOCK, FRAME], no: SHIFT_CLOCK, name: AUDIO_DATA },
  { title: 'Audio port', has: [SHIFT_CLOCK, FRAME], no: BIT_CLOCK, name: AUDIO },
  { title: 'Audio port', has: [SHIFT_CLOCK, FRAME], no: BIT_CLOCK, name: AUDIO_DATA },
  { title: 'CAN', has: [/^CAN_?H$/i, /^CAN_?L$/i], name: /^([TR]XD?|CAN_?[HL]|SPLIT|STBY?|S)$/i },
  {
    title: 'Control',
    has: [/^[~/n]?WE[#_N]*$/i, /^[~/n]?OE[#_N]*$/i],
    name: /^[~/n]?(C[ES]\d?|OE|WE|LB|UB|BHE|BLE|ADV|ZZ)[#_N]*$/i,
  },
  {
    title: 'Serial port',
    has: [/^S?CLK$|^CLOCK$/i, /^(S?DATA|S?DIN?|SIN|SER)$/i, /^(LE|LOAD|LATCH|STB|STROBE)$/i],
    name: /^(S?CLK|CLOCK|S?DATA|S?D[IO]|S?DIN|S?DOUT|SIN|SOUT|SER|LE|LOAD|LATCH|STB|STROBE)$/i,
  },
  {
    title: 'Serial port',
    has: [/^SCLK$/i, /^(DIN|SDI|SDIN)$/i, /^[~/n]?SYNC[#_N]*$/i],
    name: /^[~/n]?(SCLK|S?DI|S?DO|S?DIN|S?DOUT|SYNC|LDAC|CLR)[#_N]*$/i,
  },
  { title: 'Serial port', has: [/^TXD?$/i, /^RXD?$/i, /^[~/n]?[CR]TS[#_N]*$/i], name: /^[~/n]?([TR]XD?|[CR]TS|D[TS]R|DCD|RI)[#_N]*$/i },
  { title: 'Serial port', has: [/^TXD?0$/i, /^RXD?0$/i], no: /^[TR]XD?[1-3]$/i, name: /^([TR]XD?|[CR]TS|D[TS]R)0?[#_N]*$/i },
  { title: 'Serial port', has: [/^CSB$/i, /^(SCLK|SCK|SCL|SDI|SDO|SDA|MOSI|MISO)\b/i], no: /^CSA/i, name: /^CSB$/i },
  { title: 'USB', has: [/^(USB_?)?D[P+]$/i, /^(USB_?)?D[MN\-−]$/i], name: /^(USB_?)?(D[PMN+\-−]|ID|CC[12]|SBU[12])$/i },
];

/** One of several two-wire ports by what stands before its lines: `DDC` of DDCSDA and DDC_SCL. */
const TWO_WIRE = /^([A-Z]+?|I2C\d?)_?S(?:DA|CL)$/i;

/** A line of a counted port of two wires: data and clock, `SD0` and `SC0`, `SDA_1` and `SCL_1`. */
const COUNTED_LINE = /^S(D|C|DA|CL)_?(\d{1,2})$/;

/** The lines of several counted ports by name, `SD0` and `SC0` to `SD7` and `SC7`, by a key that sorts both of a port beside each other. */
export function countedLines(names: readonly string[]): ReadonlyMap<string, string> {
  const found = names.flatMap((name) => {
    const [, line = '', port] = COUNTED_LINE.exec(name) ?? [];
    return port === undefined ? [] : [{ name, line, port }];
  });
  const ports = [...groupBy(found, (f) => f.port).values()];
  const areWhole = ports.length > 2 && ports.every((of) => of.length === 2 && of[0]!.line[0] !== of[1]!.line[0]);
  return new Map(areWhole ? found.map((f) => [f.name, `${f.port} ${f.line.startsWith('D') ? 0 : 1}`]) : []);
}

/** The interfaces that some terminals have together, by the names of their signals. */
function interfacesOf(names: readonly string[]): (name: string) => string | undefined {
  const first = names.map(firstName);
  const lines = groupBy(first, (name) => TWO_WIRE.exec(name)?.[1]);
  const twoWire = (name: string) => {
    const port = TWO_WIRE.exec(name)?.[1];
    // Of ports I2C0 to I2C3 each is small, and they stand together.
    const isOfFew = OF_FEW.test(name) && first.filter((n) => OF_FEW.exec(n)?.[1] === OF_FEW.exec(name)![1]).length > 2;
    return port !== undefined && !isOfFew && new Set(lines.get(port)).size === 2 ? port : undefined;
  };
  const isThere = (wanted: RegExp) => first.some((name) => wanted.test(name));
  const there = TOGETHER.filter(({ has, no }) => has.every(isThere) && !(no && isThere(no)));
  const counted = countedLines(first);
  return (name) =>
    there.find((t) => t.name.test(firstName(name)))?.title ??
    twoWire(firstName(name)) ??
    (counted.has(firstName(name)) ? 'Channels' : undefined);
}

/** The interface that a terminal's name speaks of, where neither its words nor its type say otherwise. */
export function interfaceOf({
  name,
  description = '',
  type,
}: Pick<Terminal, 'name' | 'type'> & { description?: string | undefined }): string | undefined {
  const title = WORK.find((w) => w.name.test(name))?.title;
  // A contact of a socket takes part in no traffic; BOOT with a capacitor is a bootstrap. A crystal is a clock's all the same.
  if (type === 'passive' && !(title === 'Clock' && /(^|_)(X|OSC)/i.test(name))) return undefined;
  if (title === 'Clock' && SERIAL_CLOCK.test(description)) return 'Serial port';
  return title === 'Serial port' && /^n?S?CS/i.test(name) && SENSES.test(description) ? undefined : title;
}

/** Ports of few signals, of which a part has several: `UART` of UART3_TX, whose own port has but two. */
const OF_FEW = /^((?:LP)?US?ART|I[23]C|TWI|SMBUS|SPI|CAN|LIN|I2S|PDM|PWM|USB)\d+_/i;

/** Words that several names may share, most telling first: `SPI1` of SPI1_CLK, `Port A` of PA3, `DQ` of DQ7, `1A` of 1A3. */
export function stemsOf(name: string): string[] {
  const main = firstName(name);
  // `PC14-OSC32_IN` is of its port as PC13 is.
  const port = /^P([A-K])\d{1,2}(?:-\w+)?$/.exec(main);
  if (port) return [`Port ${port[1]}`];
  const counted = /^P(\d{1,2})[._]\d{1,2}$/.exec(main)?.[1];
  if (counted !== undefined) return [`Port ${counted}`];
  const end = main.lastIndexOf('_');
  const prefix = end < 0 ? [] : [main.slice(0, end), main.slice(0, main.indexOf('_'))];
  const bus = /^n?([A-Z]+?)_?[[(<]?\d+[\])>]?(?:[PN+\-−#]|_[NPB])?$/i.exec(main)?.[1];
  const numbered = /^(\d[A-Z])\d{1,2}$/.exec(main)?.[1];
  const family = OF_FEW.exec(main)?.[1];
  // FAN of FAN2_TACH, where each fan has too few lines for a group of its own.
  const kind = /^(FAN|MOT(?:OR)?|CAM|SENSOR|PHY|LINK|VALVE|COIL|CELL|TEMP)\d{1,2}_[A-Z]/.exec(main)?.[1];
  return [...prefix, ...[bus, numbered, family, kind].filter((stem) => stem !== undefined)];
}

/** How many of the names share each stem. */
export function countStems(names: readonly string[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const name of names) for (const stem of new Set(stemsOf(name))) counts.set(stem, (counts.get(stem) ?? 0) + 1);
  return counts;
}

const BANKED = /^(?:IO|GPIO|P)_?B?(?:ANK)?_?(\d{1,3})_/i;
/** The bank behind the name, `IO_L12P_T1_34`: only where a supply names it, since other names end in figures too. */
const BANKED_BEHIND = /^IO_\w*?_(\d{1,3})$/i;
const BANK_SUPPLY = /^V(?:CC|DD)_?(?:IO|O)_?B?(?:ANK)?_?(\d{1,3})(?:\[\d+\])?$/i;

/**
 * What names and words say of signals that belong together: banks with their supplies, interfaces, buses, rails. A group
 * that the source prints always stands; where the source prints any, no other is made up.
 */
export function recogniseSignals(terminals: readonly Terminal[], pairs: readonly (readonly [Terminal, Terminal])[]): void {
  const banks = new Map<string, string>();
  for (const t of terminals) {
    const bank = carriesPower(t.type) ? BANK_SUPPLY.exec(t.name)?.[1] : undefined;
    if (bank !== undefined) banks.set(bank, t.drawnName ?? t.name);
  }
  const behindIn = (name: string) => {
    const behind = BANKED_BEHIND.exec(name)?.[1];
    return behind !== undefined && banks.has(behind) ? behind : undefined;
  };
  // `IO_0_1` alone can be read both ways; beside `IO_L1P_34` the bank stands behind.
  let areBehind: boolean | undefined;
  const isBehind = () => (areBehind ??= terminals.some((t) => behindIn(t.name) !== undefined && !BANKED.test(t.name)));
  const bankOf = (name: string) => {
    const before = BANKED.exec(name)?.[1];
    return (before === undefined || isBehind() ? behindIn(name) : undefined) ?? before;
  };
  // Only a supply asks, and a large part has many of them.
  let banked: ReadonlySet<string | undefined> | undefined;
  const isBanked = (bank: string) => (banked ??= new Set(terminals.map((t) => bankOf(t.name)))).has(bank);
  const printed = terminals.some((t) => t.group !== undefined);
  const together = interfacesOf(printed ? [] : terminals.map((t) => t.name));
  const signals = printed ? [] : terminals.filter((t) => isSignal(t.type));
  const channels = channelsOf(signals);
  const sameWords = bySameWords(signals);
  // The halves of a pair are of one stem.
  const nameOf = pairNames(pairs);
  const stems = countStems(signals.map(nameOf));
  for (const t of terminals) {
    const bank = banks.size > 0 ? bankOf(t.name) : undefined;
    const own = bank === undefined ? undefined : banks.get(bank);
    if (t.rail === undefined && own !== undefined) t.rail = own;
    if (t.rail === undefined && (t.type === 'supply-in' || t.type === 'supply-out')) t.rail = t.drawnName ?? t.name;
    if (printed || t.group !== undefined) continue;
    const supplied = BANK_SUPPLY.exec(t.name)?.[1];
    if (own !== undefined) note(t, `Bank ${bank}`, `${own} supplies bank ${bank}`);
    // A bank without a supply of its own beside others that have one.
    else if (bank !== undefined && banks.size > 0) note(t, `Bank ${bank}`, `name ${t.name}`);
    else if (supplied !== undefined && isBanked(supplied)) note(t, `Bank ${supplied}`, 'supply of the bank');
    else if (carriesPower(t.type)) note(t, 'Supplies', `type ${t.type}`);
    else if (!isSignal(t.type)) note(t, 'Not used', `type ${t.type}`);
    else if (sameWords.has(t)) note(t, sameWords.get(t)!, `“${t.description}”, said of others too`);
    else groupByWords(t, nameOf(t), stems, channels.get(t), together(t.name));
  }
  if (!printed) withoutLoneSelects(signals);
}

/** What a name says chooses the chip at a port; without any clock or data beside it, it is no port's. */
const SELECT = /^[~/n]?S?(CS|SS)[#_N]*$/i;

function withoutLoneSelects(signals: readonly Terminal[]): void {
  const port = signals.filter((t) => t.group === 'Serial port');
  if (!port.every((t) => SELECT.test(t.name))) return;
  for (const t of port) {
    delete t.group;
    delete t.because['group'];
    if (/CS/i.test(t.name)) note(t, 'Control', `name ${t.name}`);
  }
}

/** The title of one of several of a kind: `Buck 1`, `Secondary winding A`. */
const titled = (kind: string, index = ''): string =>
  `${kind[0]!.toUpperCase()}${kind.slice(1).toLowerCase()} ${index.toUpperCase()}`.trim();

/** One of several equal channels, as words name it: `Buck 1 feedback`, `output of channel A`. */
const OF_CHANNEL =
  /\b(buck|boost|channel|port(?= ?#?\d)|phase|lane|motor|half-bridge|bridge|amplifier|comparator|driver|converter|regulator|switch) ?#?(\d{1,2}|[A-H])\b/i;

interface Channel {
  title: string;
  /** The words that name it. */
  words: string;
}

/** The channels that words tell apart, by terminal: two at least of a kind, and more than the bits of a bus in each. */
function channelsOf(terminals: readonly Terminal[]): ReadonlyMap<Terminal, Channel> {
  const said = terminals.flatMap((t) => {
    const [words, kind = '', index = ''] = OF_CHANNEL.exec(t.description ?? '') ?? [];
    return words === undefined ? [] : [{ t, kind: kind.toLowerCase(), title: titled(kind, index), words }];
  });
  const isWhole = (types: ElectricalType[]) => types.includes('input') && types.some((t) => t !== 'input' && t !== 'bidirectional');
  const whole = [...groupBy(said, (s) => s.title).values()].filter((of) => isWhole(of.map((s) => s.t.type)));
  const kinds = [...groupBy(whole, ([first]) => first!.kind).values()].filter((of) => of.length > 1);
  return new Map(kinds.flat(2).map((s) => [s.t, s]));
}

function groupByWords(
  t: Terminal,
  name: string,
  stems: ReadonlyMap<string, number>,
  channel: Channel | undefined,
  together: string | undefined,
): void {
  if (together !== undefined) return note(t, together, `name ${t.name}, beside others of it`);
  const winding = t.type === 'passive' ? WINDING.exec(t.description ?? '') : null;
  if (winding) return note(t, titled(`${winding[1]} winding`, winding[2]), `“${winding[0]}”`);
  const pumped = t.type === 'passive' ? PUMPED.exec(t.description ?? '') : null;
  if (pumped) return note(t, 'Charge pump', `“${pumped[0]}”`);
  const stem = stemsOf(name).find((s) => (stems.get(s) ?? 0) >= 3);
  // A stem with the channel's own figure is its name: BUCK1 of BUCK1_SW.
  if (channel && !(stem && /\d|_[A-H]$/.test(stem))) return note(t, channel.title, `“${channel.words}”`);
  if (stem !== undefined) return note(t, stem, `${stems.get(stem)} names share “${stem}”`);
  const named = interfaceOf(t);
  if (named !== undefined) return note(t, named, `name ${t.name}`);
  const said = WORDS.find((w) => w.words.test(t.description ?? ''));
  if (said) note(t, said.title, `“${said.words.exec(t.description!)![0]}”`);
}

function note(t: Terminal, group: string, because: string): void {
  t.group = group;
  t.because['group'] = because;
}
