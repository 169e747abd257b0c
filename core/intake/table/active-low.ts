import type { Doubt } from '../../part';
import { firstName } from './names';

/** Stems whose function is low-active wherever a name carries a low-active mark. */
const KNOWN =
  /^(RESET|RST|RSTPD|RES|MR|POR|CS|SS|CE|OE|WE|RD|WR|EN|ENABLE|INT|INTR|IRQ|NMI|SHDN|SD|PD|PWDN|PWRDN|SLEEP|SLP|STBY|ALERT|FAULT|FLT|ERR|BUSY|RDY|DRDY|HOLD|WP|LDAC|CLR|CLEAR|PRE|SET|CONVST|SYNC|LOAD|LD|LATCH|LE|PG|PGOOD|ACK|REQ|BREQ|BACK|WAIT|CTS|RTS|DTR|DSR|DCD|RI|TRST|SRST|CAS|RAS|UB|LB|BHE|BLE|DE|RE|BOOT|WAKE|SEL|MUTE|DISABLE|DIS|SCS|NSS|CSN|ADV|BLS|BE|DQM|KEY|TRIG|STB|STROBE|DACK|DREQ|UVLO|OVT|THERM|ALARM|PROG|PROGRAM|INIT|CONFIG|LOL|LOS|OC|OCS|OVCUR|TRIP|ABORT|STALL|CHG|ACOK|CFG|EA)\d*(O|OUT|IN)?$/i;

const SAYS_LOW =
  /\bactive[- ]low\b|\blow[- ]active\b|\(active low\)|\bactive when low\b|\bwhen (driven |pulled |taken )?low,? .*(reset|select|enable|shut)/i;
/** What is said of a terminal that carries a mark: it acts, or tells, by a low level. */
const ACTS_LOW =
  /\b(logic )?low (level )?(to (enable|disable|reset|activate|select|start|shut)|when|during|in|while|indicates|enables|selects|resets|if)\b|\b(when|while|if) low\b|\bgoes low\b|\b(low|L) ?[=:] ?(enabled?|active|on|reset|selected)\b/i;
/** What is low-active at times only, or in one of two roles, is not so of the terminal. */
const AT_TIMES = /^\s*(open[- ]drain )?(output )?(after|during|while|in [A-Za-z-]+ mode)\b/i;
const SAYS_HIGH = /\bactive[- ]high\b|\bhigh[- ]active\b/i;

/** A doubt whether a terminal is active low. */
export const levelDoubt = (reason: string): Doubt => ({ field: 'activeLow', reason, candidates: ['active low', 'active high'] });

/** A reset that is pulled low to act; an enable that is pulled low is turned off. */
const RESETS = /^(n|SYS_?|HW_?|M)?(RE?SE?T|MR|CLR|POR)(IN)?\d*$/i;
const PULLED_LOW = /\b(pull|drive|take|bring|hold|assert)(ed|en|s)? (this pin |the pin |this input |it )?low\b/i;

export interface ActiveLow {
  activeLow: boolean;
  because?: string;
  /** Set where the name carries a mark that neither description nor function confirms. */
  unsure?: string;
}

/** Names that carry no mark of any kind: capitals and figures that neither begin with N nor end like a marked name. */
const UNMARKED = /^[A-MO-Z](?!.*(?:_[BLN]|N\d*)$)[A-Z0-9_]*$/;
/** Names that end in N and figures, IO3_L7N, without a stem that is low-active everywhere. */
const isPlain = (name: string): boolean => /^[A-MO-Z][A-Z0-9_]*$/.test(name) && !/_[BLN]$/.test(name) && !LOW_STEM.test(name);
/** What N may stand before, and behind, as a low-active mark: stems that are low-active everywhere. */
const [BEHIND_N, BEFORE_N] = [
  'RE?SE?T|RSTPD|TRST|CS|SS|CE|OE|WE|RD|WR|IRQ|INT|MR|SHDN|FAULT|SLEEP',
  'CS|SS|MR|RE?SE?T|TRST|IRQ|INT|SHDN|FAULT|SLEEP',
];
const LOW_STEM = new RegExp(`N(${BEHIND_N})\\d*$|(${BEFORE_N})N\\d*$`);
const MARKED_BEFORE = new RegExp(`^(.*_)?N(${BEHIND_N})\\d*$`);
const MARKED_BEHIND = new RegExp(`^(.*_)?(${BEFORE_N})N\\d*$`);
const NOT_LOW: ActiveLow = { activeLow: false };
/** `PDB = L` as well. */
const TELLS_OF_LOW = /low|= ?L\b|\bL ?[:=]|falling/i;

/** Whether a terminal is active low: by an overbar, by the description, or by a mark on a name whose function agrees. */
export function readActiveLow(name: string, overbar: boolean, description: string, names: ReadonlySet<string>): ActiveLow {
  if (overbar) return { activeLow: true, because: 'overbar' };
  if ((UNMARKED.test(name) || isPlain(name)) && !TELLS_OF_LOW.test(description)) return PERHAPS_BAR.test(name) ? byBarAlone(name, names, description) : NOT_LOW; // prettier-ignore
  const main = firstName(name);
  if (RESETS.test(main) && PULLED_LOW.test(description)) return { activeLow: true, because: `“${PULLED_LOW.exec(description)![0]}”` };
  const mark = markOf(main, names);
  const said = SAYS_LOW.exec(description);
  if (said && !mark)
    // What stands in brackets is said of the terminal: `Chip select (active low)`.
    return (!said[0].startsWith('(') &&
      /\b(selects?|sets?|configur\w+|chooses?|for|(as|if|when)\b[^.;]{1,30})\s+(an?\s+|the\s+|(it )?is\s+)?$/i.test(
        description.slice(0, said.index),
      )) ||
      AT_TIMES.test(description.slice(said.index + said[0].length))
      ? { activeLow: false, unsure: `“${said[0]}” may tell of another signal or time` }
      : { activeLow: true, because: `“${said[0]}”` };
  const other = name
    .split('/')
    .slice(1)
    .find((part) => part !== main && markOf(part, names));
  const bar = /^([A-Z]{2,})B$/.exec(main);
  const acts = ACTS_LOW.exec(description);
  if (!mark && bar && !names.has(`${bar[1]}A`) && acts) return lowByBar(bar[1]!, acts[0]);
  // N for not, behind a function that is low-active as often as not.
  const not = /^([A-Z]{2,})N$/.exec(main)?.[1];
  if (!mark && not !== undefined && !names.has(`${not}P`) && KNOWN.test(not) && /\blow\b|\bfalling\b/i.test(description))
    return perhapsByLetter('N', not);
  if (!mark && other !== undefined && main !== '') return { activeLow: false, unsure: `${other} is marked active low, ${main} is not` };
  if (!mark) return (bar && KNOWN.test(bar[1]!) ? perhapsByWord(bar[1]!, description) : undefined) ?? lowByDeed(main, description);
  if (SAYS_HIGH.test(description))
    return {
      activeLow: false,
      unsure: `the name ends or starts with “${mark.mark}”, the description says active high`,
    };
  if (said) return { activeLow: true, because: `“${said[0]}”` };
  if (acts) return { activeLow: true, because: `“${acts[0]}”` };
  if (mark.sure || KNOWN.test(mark.stem) || isWordAlone(name, mark, names, description))
    return { activeLow: true, because: `“${mark.mark}” on ${mark.stem}` };
  return { activeLow: false, unsure: `“${mark.mark}” on ${mark.stem} can mean active low` };
}

const SELECTED_LOW = /\b(selected|addressed|active|enabled)\b[^.;]{0,30}\b(while|when)\b[^.;]{0,12}\blow\b|\blow (level )?selects (the|this) (device|part|chip|slave)\b|(^|[.;,:(] *)(a |logic )?low (level )?selects( it)?\W*$/i; // prettier-ignore
const RESETS_LOW =
  /^\W*reset low\b|\b(low|L) ?[=:] ?(resets?|active|in reset)\b|\blow (level |state )?(holds|keeps)\b|\blow (level |pulse |signal )?[^.;]{0,24}\b(resets?|clears?)\b/i;
const ENABLES_LOW =
  /\b(low|L) ?[=:] ?(enabled?|enables|active|selected)\b|\b(held|pulled|driven|taken) low to\b|\blow (level |state )?(enables|activates)\b|\blow(-going)? pulse\b/i;
const TURNS_OFF_LOW = /\bmode when low\b|^\W*low keeps only\b|\blow (level )?puts [^.;]{0,24}\b(to sleep|sleep|standby|shutdown|idle)\b|\blow\b[^.;]{0,20}\b(turns? [^.;]{0,24}\boff|shuts? [^.;]{0,24}\bdown|disables?|powers? [^.;]{0,24}\bdown)\b|\blow\b[^.;]{0,20}\b(turn off|shutdown|shut down)\b|\b(low|L) ?[=:] ?((is |it is |the \w+ is )?disabled|off|shut ?down|power[- ]?down|standby|sleep)\b/i; // prettier-ignore

const TELLS_LOW = /\bgoes low\b|\b(is |are )?(pulled|driven|asserted|asserts|pulls|drives) low (when|on|if|by|to|during|while|after|in)\b|^[^.;]{0,40}\blow (on|upon|to (indicate|signal|report)|in case of|when|while|during|if)\b|[.;,] *(logic )?low (on|upon|to (indicate|signal|report)|in case of|when|while|during|if|indicates|signals|reports)\b/i; // prettier-ignore
/** A low level that starts something, where nothing is said of a high one. */
const STARTS_LOW = /\ban? (logic )?low( level| pulse)?( for [^.;,]{1,16}?)? (turns|starts|wakes|activates|enables)\b/i;

/** A flag that is pulled low by a fault, whatever its name. */
const LOW_BY_FAULT =
  /\b(pulled |goes |is )?low (in case of|while|when|during|if|on) [^.;]{0,30}\b(fault|overload|short|over-?\w*temp\w*|over-?current|error|failure|alarm|open load|limit)/i;

/** Flags of new data that fall when it is there: as often of a name without a mark as with one. */
const READY = /^D?RDY\d*$|^(EOC|DAV|READY)\d*$/;
const FALLS = /\bgoes low (when|as soon as|after|once|at)\b/i;

/** What a low level stands for, beside the words for a high one. */
const LOW_IN_BRACKETS = /\b(mute|shut-?down|reset|standby|disabled?|power-?down|sleep)(?: \(low\)|, low\W*$)/i;

/** What a low level does, by what a terminal is for. */
const DEEDS: readonly [RegExp, RegExp][] = [
  [/^S?(CS|SS|CE)\d*$/, SELECTED_LOW],
  [RESETS, RESETS_LOW],
  [/^(SHDN|SHUTDOWN|SD|PD|PDN|PWDN|SLEEP|STBY|STANDBY|IDLE)\d*$/, TURNS_OFF_LOW],
  [
    /^(FAULT|FLT|ALERT|INTR?|IRQ|ERR|ERROR|ALARM|WARN(ING)?|LBO|PFO|OC|OCP|OTW|OTP|OVCUR|THERM|TRIP|PWR_?FAIL|FAIL|RESPWRON|OVERT)\d*$/,
    TELLS_LOW,
  ],
  [KNOWN, ENABLES_LOW],
];

/** A name without a mark whose terminal acts by a low level all the same. */
function lowByDeed(name: string, description: string): ActiveLow {
  // `SHDN A`: the channel behind it is no part of the function.
  const stem = tail(name).replace(/ [A-D1-4]$/, '');
  const by = DEEDS.find(([stems]) => stems.test(stem))?.[1];
  const deed = by?.exec(description)?.[0];
  // Many print SHDN without a bar over it where a low level shuts the part down.
  if (deed !== undefined && by !== TURNS_OFF_LOW) return { activeLow: true, because: `“${deed}”` };
  const saysHigh = /\bhigh\b/i.test(description);
  const perhaps =
    deed ??
    LOW_BY_FAULT.exec(description)?.[0] ??
    LOW_IN_BRACKETS.exec(description)?.[0] ??
    (READY.test(stem) ? FALLS.exec(description)?.[0] : undefined) ??
    (saysHigh ? undefined : STARTS_LOW.exec(description)?.[0]);
  return perhaps === undefined ? NOT_LOW : { activeLow: true, unsure: `“${perhaps}”, but no mark on ${name}` };
}

/** `OEB`, "low enables the outputs": B for bar where the function is one that is low-active everywhere. */
const lowByBar = (stem: string, acts: string): ActiveLow =>
  KNOWN.test(stem) ? { activeLow: true, because: `B on ${stem}, “${acts}”` } : perhapsByBar(stem, acts);

/** Names whose last letter is B for bar more often than not: where nothing is said of a level, it is asked. */
const PERHAPS_BAR = /^(S?CS|RST|RESET|POR|TRST|MR|OE|WE|IRQ|INT|ALERT|SD|PD|SHDN|PWDN|FLT|FAULT)B$/;
/** SDA beside SDB is a bus's data line, and no other channel. */
const byBarAlone = (name: string, names: ReadonlySet<string>, description: string): ActiveLow =>
  (name !== 'SDB' && names.has(name.replace(/B$/, 'A'))) ||
  SAYS_HIGH.test(description) ||
  /\bport b\b|\b(channel|unit|bank|side) b\b/i.test(description)
    ? NOT_LOW
    : perhapsByLetter('B', name.slice(0, -1));

/** A letter behind a name that nothing else speaks for. */
const perhapsByLetter = (letter: 'B' | 'N', stem: string): ActiveLow => ({
  activeLow: true,
  unsure: `${letter} on ${stem} can mean active low`,
});

const perhapsByWord = (stem: string, description: string): ActiveLow | undefined => {
  const word = TELLS_OF_LOW.exec(description)?.[0];
  return word === undefined ? undefined : perhapsByBar(stem, word.toLowerCase());
};

const perhapsByBar = (stem: string, word: string): ActiveLow => ({
  activeLow: true,
  unsure: `B on ${stem} and “${word}” can mean active low`,
});

/** `/USB_DP` beside `/USB_DM`, and `/power/EN`: the path of a board's net, whose sign says nothing of a level. */
function isNetPath(name: string, names: ReadonlySet<string>): boolean {
  if (!name.startsWith('/')) return false;
  const [, stem, half = ''] = /^(.*)([PNM+-])$/.exec(name) ?? [];
  return /^\/\w+\//.test(name) || (stem !== undefined && ['P', 'N', 'M', '+', '-'].some((o) => o !== half && names.has(stem + o)));
}

/** The low-active mark on a name, if it has one. A `_N` beside a `_P` is the negative half of a pair, `_B` beside `_A` a channel. */
function markOf(name: string, names: ReadonlySet<string>): { mark: string; stem: string; sure: boolean } | undefined {
  if (isNetPath(name, names)) return undefined;
  if (/^[/!~\\]\w/.test(name)) return { mark: name[0]!, stem: name.slice(1), sure: true };
  if (/\w#$/.test(name)) return { mark: '#', stem: name.slice(0, -1), sure: true };
  if (/\w\*$/.test(name)) return { mark: '*', stem: name.slice(0, -1), sure: false };
  const leading = /^n_?([A-Z][A-Z0-9_]*)$/.exec(name);
  if (leading) return { mark: 'n', stem: tail(leading[1]!), sure: false };
  // `NRST`, `SPI_CSN`: only for stems that are low-active everywhere, and not for half of a pair such as CSP and CSN.
  const capital = MARKED_BEFORE.exec(name) ?? MARKED_BEHIND.exec(name);
  const isHalf = /N\d*$/.test(name) && names.has(name.replace(/N(\d*)$/, 'P$1'));
  if (capital && !isHalf) return { mark: 'N', stem: capital[2]!, sure: true };
  const trailing = /^(.+?)_(N|B|L)$/.exec(name) ?? /^([A-Z](?:[A-Z]|_[A-Z]{2}).*?)(n)$/.exec(name);
  if (!trailing) return undefined;
  const [, before = '', letter = ''] = trailing;
  const stem = before.replace(/_$/, '');
  const partner = { N: ['_P'], B: ['_A', '_C', '_T'], L: ['_R', '_H'], n: ['p'] }[letter] ?? [];
  if (partner.some((p) => names.has(before + p))) return undefined;
  if (letter !== 'N' && letter !== 'n' && !KNOWN.test(tail(stem))) return undefined;
  return { mark: letter.length === 1 && letter !== 'n' ? `_${letter}` : letter, stem: tail(stem), sure: false };
}

/** Half of a pair, a supply's or a level's other end: what `_N` means as often as not. What is left open has no level. */
const OTHER_END =
  /\b(negative|minus|complement\w*|invert\w*|differential|return|sense)\b|\b(keep|leave|left) (it )?(open|floating|unconnected)\b/i;
/** What comes in pairs, or is a level: signals by themselves, no function that a level sets going. */
const OF_PAIRS =
  /^(V|GND|GROUND)|^(DATA|D(IN|OUT|Q|QS)?|CLK(IN|OUT)?|CLOCK|CK|[TR](X?D?)|(A|RF|LO|MIC|LINE|REF|[TR]X)?(IN|OUT)[A-H]?|REF(CLK)?|SYSREF|SIG|RF|LO|LNA|MIC|LINE|ADC|DAC|XTAL|OSC|ANT|SENSE|[IV]?SNS|FB|CM)\d*$/i;

/** True where `n` or `_N` stands on a word of its own, WDOG_N or nPWRON, and nothing speaks of a pair. */
function isWordAlone(
  name: string,
  { mark, stem }: { mark: string; stem: string },
  names: ReadonlySet<string>,
  description: string,
): boolean {
  const isOf = mark === '_N' ? /^[A-Z]{2,}\d*$/ : mark === 'n' ? /^[A-Z]{3,}\d*$/ : undefined;
  const bare = name.replace(/^n_?|_N$/g, '');
  return isOf !== undefined && isOf.test(stem) && !OF_PAIRS.test(stem) && !names.has(bare) && !OTHER_END.test(description);
}

/** The word of a name that tells its function: SPI1_CS → CS. */
const tail = (stem: string): string => stem.split('_').pop() ?? stem;
