import { carriesPower, goesOut, isSignal } from './electrical-type';
import { groupBy } from './group-by';
import { compareNatural } from './natural';
import type { Pin } from './pin';

/** Equal channels: the same roles (`IN#+`, `IN#-`, `OUT#`) once per index, so that one drawing serves all. */
export interface Channels {
  indices: string[];
  /** Pin by role, one map per index. The roles stand in the same order in all. */
  members: Map<string, Pin>[];
}

/** Ways a name can carry a channel's index: leading, inner or trailing digits, or a letter A to H, which a digit can follow. */
const READINGS: ((name: string) => { index: string; role: string } | undefined)[] = [
  (n) => reading(/^(\d{1,2})([A-Z].*)$/i.exec(n), (m) => [m[1]!, `#${m[2]}`]),
  // OUTA1 and OUTA2 are of channel A: what stands first tells more.
  (n) => reading(/^(.*[A-Z])([A-H])(\d?[+\-−#]?)$/.exec(n), (m) => [m[2]!, `${m[1]}#${m[3]}`]),
  (n) => reading(/^(.*?\D)(\d{1,2})([^\d]*)$/.exec(n), (m) => [m[2]!, `${m[1]}#${m[3]}`]),
  (n) => reading(/^(\D+?)(\d{1,2})(\D.*)$/.exec(n), (m) => [m[2]!, `${m[1]}#${m[3]}`]),
  // Of A to H, or of red, green and blue.
  (n) => reading(/^(.+[+\-−_])([A-HR])(#?)$/.exec(n), (m) => [m[2]!, `${m[1]}#${m[3]}`]),
  // The left and the right port of a memory.
  (n) => reading(/^(.+_)([LR])(#?)$/.exec(n), (m) => [m[2]!, `${m[1]}#${m[3]}`]),
  // The bridges of a motor driver: AIN1 and AOUT1 with PWMA.
  (n) =>
    reading(/^([A-D])((?:IN|OUT|O|I?SEN|EN|PH|VREF)\d?)$/.exec(n), (m) => [m[1]!, `#${m[2]}`]) ??
    reading(/^([A-Z]{2,})([A-D])$/.exec(n), (m) => [m[2]!, `${m[1]}#`]),
];

/** The contacts of a relay as EN 50005 marks them: the first figure is the contact's, the second says which end it is. */
const ofContact: (typeof READINGS)[number] = (n) => reading(/^([1-9])([1-8])$/.exec(n), (m) => [m[1]!, `#${m[2]}`]);

const areContacts = (signals: readonly Pin[]): boolean => {
  const counted = signals.filter((p) => /^[1-9][1-8]$/.test(p.name));
  return counted.length >= signals.length * 0.6 && counted.every((p) => /\bcontact\b/i.test(p.description ?? ''));
};

function reading(match: RegExpExecArray | null, parts: (m: RegExpExecArray) => [string, string]) {
  if (!match) return undefined;
  const [index, role] = parts(match);
  return { index, role };
}

/**
 * Finds equal channels that make up most of a part. Every channel must have the same roles with the same types, at
 * least two of them, and they must be more than a bus: signals go in and out, or all are passive.
 */
export const findChannels = (pins: readonly Pin[]): Channels | undefined => channelsIn(pins, (members) => equal(members));

/**
 * Channels that are equal but for their polarity, the N and the P of a complementary pair, with the word for each; they have a
 * drawing each.
 */
export function findComplements(pins: readonly Pin[]): { word: string; pins: Pin[] }[] | undefined {
  if (!pins.some(polarityOf)) return undefined;
  const found = channelsIn(pins, (members) => equal(members, false));
  const complements = found?.members.map((m) => {
    const own = [...m.values()];
    const [polarity, ...others] = new Set(own.flatMap((p) => polarityOf(p) ?? []));
    const word = own.some((p) => /\b[np][np][np]\b/i.test(p.description ?? ''))
      ? { N: 'NPN', P: 'PNP' }
      : { N: 'N-channel', P: 'P-channel' };
    return { word: others.length === 0 && polarity !== undefined ? word[polarity as 'N' | 'P'] : '', pins: own };
  });
  return complements?.every((c) => c.word !== '') && new Set(complements.map((c) => c.word)).size > 1 ? complements : undefined;
}

/** The shell of a connector by its name; a shield that is driven is none. */
export const isShell = ({ name, type }: Pick<Pin, 'name' | 'type'>): boolean => type === 'passive' && /^(SHELL|SHIELD)_?\d*$/i.test(name);

/** Contacts in one shell are of one plug, however they are counted. */
const areOfConnector = (signals: readonly Pin[]): boolean =>
  signals.some((p) => isShell(p) || (p.type === 'passive' && /^(shell|shield)\b/i.test(p.description ?? '')));

type Equal = (members: Map<string, Pin>[]) => boolean;

function channelsIn(pins: readonly Pin[], areEqual: Equal): Channels | undefined {
  const signals = pins.filter((p) => isSignal(p.type) && !COUPLED.test(p.description ?? ''));
  if (areOfConnector(signals)) return undefined;
  const isFed = pins.some((p) => carriesPower(p.type));
  const found = (areContacts(signals) ? [ofContact] : READINGS).flatMap((read) => {
    const { channels, isPort } = byReading(signals, read, isFed, areEqual) ?? {};
    return channels && !makeRails(channels, pins, read)
      ? [{ channels, read, size: channels.indices.length * channels.members[0]!.size, isPort }]
      : [];
  });
  // Where all ends carry two figures, R1.2 is an end of R1; where ports are told by letters, bits are of theirs.
  const best = found.sort(
    (a, b) => b.size - a.size || Number(b.isPort) - Number(a.isPort) || a.channels.members[0]!.size - b.channels.members[0]!.size,
  )[0];
  if (!best || best.size < signals.length * 0.6) return undefined;
  if (areOfOthers(best.channels) || areSwitchedTogether(best.channels, signals)) return undefined;
  const whole = withOwnRails(best.channels, pins, best.read);
  return areBits(whole, signals) ? undefined : whole;
}

/** The pins of all channels. */
const pinsOf = (members: Channels['members']): ReadonlySet<Pin> => new Set(members.flatMap((m) => [...m.values()]));

/** The channel that words name, by its letter or figure. */
const NAMED_CHANNEL = /\bchannel ([A-H]|\d{1,2})\b/i;

/** Lanes of a bus are counted too: words that name channels name others. `INA` of channel 1 is of its own. */
function areOfOthers({ indices, members }: Channels): boolean {
  const placeOf = (index: string) => (/^\d/.test(index) ? Number(index) : index.toUpperCase().charCodeAt(0) - 64);
  const told = members.flatMap((m, i) =>
    [...m.values()].flatMap((pin) => {
      const named = NAMED_CHANNEL.exec(pin.description ?? '')?.[1];
      return named === undefined ? [] : [placeOf(named) === placeOf(indices[i]!)];
    }),
  );
  return told.filter((isOwn) => !isOwn).length > told.length / 2;
}

/** What several lines control together is chosen from, as the ends of an antenna switch are, and is no channel. */
const areSwitchedTogether = ({ members }: Channels, signals: readonly Pin[]): boolean => {
  const own = pinsOf(members);
  return signals.filter((p) => !own.has(p) && p.type === 'input' && OF_SWITCH.test(p.name)).length > 1;
};
const OF_SWITCH = /^(?:VC?|CTRL|CTL|CT|SEL)_?[1-4A-D]$/i;

/** Two sides of a barrier are no channels, whatever figures their rails have. */
const OF_SIDES = /\bisolat|\bgalvanic|\bside\b/i;

/** The rails and grounds that each channel has of its own, where words tell them by the channel's index: VIN1, `Input 1`. */
function withOwnRails(channels: Channels, pins: readonly Pin[], read: (typeof READINGS)[number]): Channels {
  const areApart = pins.some((p) => OF_SIDES.test(p.description ?? ''));
  const told = pins.flatMap((pin) => {
    const r = pin.type === 'supply-in' || pin.type === 'ground' ? read(pin.name) : undefined;
    // Beside a barrier only what is said of a channel is of one.
    return r && new RegExp(`\\b${areApart ? '[Cc]hannel ' : ''}${r.index}\\b`).test(pin.description ?? '') ? [{ ...r, pin }] : [];
  });
  const rails = [...groupBy(told, (t) => t.role)].filter(
    ([, of]) => of.length === channels.indices.length && channels.indices.every((index) => of.some((t) => t.index === index)),
  );
  const members = channels.members.map(
    (m, i) => new Map([...m, ...rails.map(([role, of]): [string, Pin] => [role, of.find((t) => t.index === channels.indices[i])!.pin])]),
  );
  return { ...channels, members };
}

function areBits({ indices, members }: Channels, signals: readonly Pin[]): boolean {
  const own = pinsOf(members);
  const shared = signals.filter((p) => p.type === 'input' && !own.has(p));
  // The bits of two words that are added, compared or chosen from.
  if (shared.some((p) => OF_WORDS.test(p.description ?? ''))) return members[0]!.size <= 4;
  return indices.length >= BITS && members[0]!.size <= 2 && shared.length > 0;
}

/** What goes into all bits of a word at once. */
const OF_WORDS =
  /\bcarry\b|\bborrow\b|\bcascad|\b(less|greater) than\b|\b(common|data|input|word|source) select\b|\bselect(s|ion)?( of)?( the)? (data|input|word|source)\b/i;

/** The ends of windings on one core, of the coil that moves all contacts, and of a pump's capacitors are counted but no channels. */
const COUPLED = /\b(winding|primary|secondary|coil|choke|core|transformer)s?\b|\b(pump|flying|doubler|inverter)\b[^.;]{0,30}\bcapacitor\b/i;

/** So many channels of no more than two pins, under one control, are the bits of a register. */
const BITS = 4;

function byReading(
  signals: readonly Pin[],
  read: (typeof READINGS)[number],
  isFed: boolean,
  areEqual: Equal,
): { channels: Channels; isPort: boolean } | undefined {
  const roles = new Map<string, Map<string, Pin>>();
  for (const pin of signals) {
    const r = read(pin.name);
    if (!r) continue;
    // A drain on two pins has its role twice.
    let [role, nth] = [r.role, 1];
    while (roles.get(role)?.has(r.index)) {
      if (roles.get(role)!.get(r.index)!.name !== pin.name) return undefined;
      role = `${r.role} ${++nth}`;
    }
    roles.set(role, (roles.get(role) ?? new Map<string, Pin>()).set(r.index, pin));
  }
  // The index set that most roles have; roles with another set are no part of the channels.
  const sets = new Map<string, string[]>();
  for (const [role, members] of roles) {
    const key = [...members.keys()].sort(compareNatural).join(' ');
    sets.set(key, [...(sets.get(key) ?? []), role]);
  }
  const [key, names] = [...sets].sort((a, b) => b[1].length * b[0].split(' ').length - a[1].length * a[0].split(' ').length)[0] ?? [];
  if (!key || !names || names.length < 2) return undefined;
  const indices = key.split(' ');
  if (indices.length < 2 || indices.length > 16) return undefined;
  // Where groups name the channels, `Half-bridge 1`, the ends of a capacitor that are only counted are of none.
  const told = names.filter((role) => [...roles.get(role)!].every(([index, pin]) => pin.group?.endsWith(` ${index}`)));
  const own = told.length > 1 ? told : names;
  const members = indices.map((index) => new Map(own.map((role) => [role, roles.get(role)!.get(index)!])));
  const channels = { indices, members };
  const isPort = arePorts(channels);
  // Left and right of a stereo part are few lines, and stay together.
  const areChannels = isPort || (!indices.includes('L') && isMoreThanBus([...members[0]!.values()], isFed));
  return areChannels && areEqual(members) ? { channels, isPort } : undefined;
}

/** Each has a rail of its own that it makes, VOUT1 and VOUT2: they are converters, which read best with their rails beside them. */
function makeRails({ indices }: Channels, pins: readonly Pin[], read: (typeof READINGS)[number]): boolean {
  const rails = pins.filter((p) => p.type === 'supply-out').map((p) => read(p.name));
  return indices.every((index) => rails.some((r) => r?.index === index));
}

/** The polarity of a transistor that a description tells: N and P are no equal channels. */
const polarityOf = ({ description }: Pin): string | undefined =>
  /\b([np])(?:[- ]?ch(?:annel)?\b|mos|np\b|pn\b)/i.exec(description ?? '')?.[1]?.toUpperCase();

const equal = (members: Map<string, Pin>[], inPolarity = true): boolean =>
  members.every((m) =>
    [...m].every(([role, pin]) => {
      const first = members[0]!.get(role)!;
      return pin.type === first.type && pin.activeLow === first.activeLow && (!inPolarity || polarityOf(pin) === polarityOf(first));
    }),
  );

/**
 * The two sides of a switch, where what controls it is beside them and nothing else: its ends, or the common one and those that it
 * chooses from, which are alike but for their last letter.
 */
export function throughPins(pins: readonly Pin[]): [Pin[], Pin[]] | undefined {
  const through = pins.filter((p) => p.type === 'bidirectional');
  if (through.length < 2 || pins.length === through.length || !pins.every((p) => p.type === 'input' || through.includes(p)))
    return undefined;
  if (through.length === 2) return [[through[0]!], [through[1]!]];
  const likes = [...groupBy(through, (p) => p.name.slice(0, -1)).values()].sort((a, b) => a.length - b.length);
  return likes.length === 2 && likes[0]!.length === 1 ? [likes[0]!, likes[1]!] : undefined;
}

/** The ports of a memory that has several, by letters: the data of each go both ways, and all that they are written with comes in. */
function arePorts({ indices, members }: Channels): boolean {
  const pins = [...members[0]!.values()];
  const areBoth = pins.some((p) => p.type === 'bidirectional') && pins.some((p) => p.type === 'input');
  return indices.every((i) => /^[A-Z]$/.test(i)) && pins.length >= LARGE && areBoth;
}
/** So many signals are no bus, and no pair of lines. */
const LARGE = 12;

/** Signals go in and out, through a switch, or are passive; in a part that nothing feeds what controls them, a gate, may be among them. */
function isMoreThanBus(pins: Pin[], isFed: boolean): boolean {
  const inOut = pins.some((p) => p.type === 'input') && pins.some((p) => goesOut(p.type));
  const arePassive = pins.every((p) => p.type === 'passive' || (!isFed && p.type === 'input')) && pins.some((p) => p.type === 'passive');
  // Two pins of one contact are the same metal.
  const isOneContact = pins.every((p) => /\bcontact\b/i.test(p.description ?? '') && p.description === pins[0]!.description);
  // Gates with the ends that only sense belong to transistors whose own ends are joined inside.
  const ends = pins.filter((p) => p.type === 'passive');
  const isSensed = ends.every((p) => /\b(sense|kelvin|auxiliary)\b/i.test(p.description ?? ''));
  return inOut || throughPins(pins) !== undefined || (arePassive && !isOneContact && !isSensed);
}
