import type { ColumnRole } from '../proposal';
import { remember } from '../../part';
import { headingInEnglish } from '../understand/other-languages';
import { typeUnder } from './forms/ticks';

/** Words over a column, by role. A heading is compared without case, punctuation and plural marks. */
const WORDINGS: Record<Exclude<ColumnRole, 'ignore'>, RegExp> = {
  number:
    /^((pin|ball|terminal|lead|pad|contact|package|pkg|device)s? )?(no|nos|nr|num|number|numbers|#|id|location|loc|position|pos|coordinate|designator)$|^#$|^(pin|ball|pad|terminal|lead|contact) (no|number|#|s|ref|reference)?$|^balls?$|^leads?$|^pads?$|^contacts?$|^no name$|^(bank|bga|package|pkg|module|board|bond|bonding|die|chip|mcu|cpu|soc|ic|header|connector|jack|plug|socket|edge) (pin|ball|pad|contact)s?( (no|nos|number|numbers|#))?$|^(row|side) [a-d]$|^(odd|even)( pins?)?$/,
  name: /^((pin|ball|terminal|signal|pad|lead|port|contact|net|short|pin function) )?(name|names|name s|mnemonic|designation|label)$|^symbol$|^markings?$|^connections?$|^windings?$|^mnemonic$|^abbreviation$|^identifier$|^net$|^signal$|^signals$|^(pin|terminal) symbol$|^(primary|function) name$|^primary function$|^(pin|ball|terminal) signal$|^names? of (the )?(pin|ball|terminal|signal|pad)s?$|^(main|1st|first) function$|^(pin|signal) id$|^(pin|ball|terminal|signal) names? (and |or )?(description|function)s?$|^row [a-e] (signals?|names?|mnemonics?|signal (name|mnemonic)s?)$/,
  type: /^e [as]$|^((pin|signal|buffer|electrical|e|io|i o|port|pad|terminal|lead|input|cell|function) )?(type|types|class|kind|dir|direction)$|^io$|^i o$|^i o( [apgs]){1,3}$|^(p )?io( [pgs]{1,2}| pwr| power| gnd)+$|^in out$|^dir$|^dir(ection)? (at|of|on) (the )?(device|module|board|unit|part|chip|ic|sensor)$|^(pin|signal) (io|i o)$|^attribute$|^electrical$/,
  description:
    /^((pin|signal|terminal|functional|short|ball|function|lead|contact) )?(description|descriptions|desc|definition|definitions|purpose|explanation|details|remarks|remark|comment|comments|parameter|notes|note|meaning|use|usage)$|^function(s)?( and)? description$|^functions?$|^(pin|terminal|signal) function$|^name and function$|^(mode|option) \w{1,8} (pin )?functions?$|^(pin )?functions?( in)? mode \w{1,8}$|^(spi|i2c|uart|serial|parallel|master|slave|normal|program(ming)?|test|boot)( mode)? (pin )?functions?$|^full name$|^what (it|they) (does|do|is for|are for)$|^functions? (in|of|for) /,
  group: /^(pin |signal |function |functional )?(group|category|block|section|bank|interface|port group|domain group)$/,
  alternates:
    /^(function )?(alternate|alternative|alt|additional|other|multiplexed|secondary|mux)( pin| signal)?( function| functions| name| names|s)?( \d{1,2}| [a-h])?$|^(af|alt|mux)( ?\d{1,2})$|^(af|altfn)$|^(optional|configuration|special|shared|peripheral) (pin |signal )?functions?$|^(pin )?multiplex(ed|ing)?$|^(pin )?mux(ed|ing)?( functions?)?$|^(2nd|3rd|[4-9]th|second|third|fourth|fifth) (pin |signal )?(functions?|names?|signals?)$|^(dedicated|emulated) (.{1,30} )?(channel|input|output)s?$/,
  rail: /^(io |i o |pad |power |supply |voltage )?(rail|domain|supply|power supply|supply domain|power domain|supply rail|vdd|bank supply)$/,
  activeLow: /^(active|pol|polarity|active level|active state|logic level|sense)$/,
};

/** Words that stand over numbers in one datasheet and over names in the next: the cells below decide. */
const AMBIGUOUS = /^((component|part|symbol|schematic) pins?|pins?|pin ball|ball pin|terminals?|ball|lead|contact|port|function|signal)$/;

const normal = (heading: string): string =>
  heading
    // `pinNumber`, as programs write it.
    .replace(/^([a-z]{2,})(?=[A-Z][a-z]+$)/, '$1 ')
    .toLowerCase()
    .replace(/\(s\)/g, 's')
    .replace(/[¹²³⁰-⁹⁽⁾ᵃ-ᶠ﹡]|\(\d\)|\[\d\]/g, '')
    .replace(/i\s*\/\s*o|in(put)?\s*\/\s*out(put)?/g, 'io')
    .replace(/\bn[°º]|№/g, 'no')
    .replace(/(?<=[a-z])#/g, ' #')
    .replace(/[.,_:;/()[\]*-]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** The first package that titles name; names of one or two letters are no name. */
export const packageNamed = (titles: readonly string[]): string =>
  titles.map(packageIn).find((p) => p !== undefined && p.name.length > 2)?.name ?? '';

/** `Pin No. 64-pin`, `Ball BGA64`: a heading for numbers with the package after it. */
const NUMBER_OF = /^(?:(?:pin|ball|terminal|pad|lead|contact)s?(?: (?:no|nos|number|numbers|#))?|nos?|numbers?) (.{2,24})$/;

/** `14-Pin`: a package by its count alone. In the words of a page it stands before a package's name as often. */
export const countedIn = (heading: string): number | undefined => {
  const count = /^(\d{1,4})[- ](?:pin|ball|lead|terminal)s?$/i.exec(heading.trim())?.[1];
  return count === undefined ? undefined : Number(count);
};

/** True where nothing but a package stands over a column: its terminals' numbers are under it. */
export const isOfPackage = (heading: string): boolean =>
  (packageIn(heading) !== undefined && heading.length < 24) || countedIn(heading) !== undefined;

/** The package that a heading over numbers names; empty where it names none. */
export function packageOfHeading(given: string): string {
  // A name that a narrow column breaks goes on where it was broken.
  const heading = given
    .replace(/-\s*\n\s*/g, '-')
    .replace(/\s*\n\s*/g, ' ')
    .replace(/[¹²³⁰-⁹⁽⁾﹡]+$/, '');
  const known = packageIn(heading)?.name;
  if (known !== undefined) return known;
  if (countedIn(heading) !== undefined) return heading.trim();
  if (NUMBER_OF.exec(normal(heading)) === null || WORDINGS.number.test(normal(heading))) return '';
  const rest = heading
    .trim()
    .replace(/^(?:(?:pin|ball|terminal|pad|lead|contact)s?\b(?:\s*(?:nos?|numbers?)\b|\s*#)?|nos?\b|numbers?\b)[\s.:,([-]*/i, '');
  return rest.includes('(') ? rest : rest.replace(/[)\]]+$/, '').trim();
}

/**
 * How many cells of a row are headings; 0 where it cannot be one: no number or name column, a number in it, or words
 * that stand over limits, registers or orders and never over pins.
 */
export function headingWorth(cells: readonly string[]): number {
  if (cells.some((c) => c.length > 60 || /^[\s\d]*\d\s*$/.test(c) || NUMBERED.test(c))) return 0;
  const roles = cells.map((c) => roleOfHeading(c) ?? (isOfPackage(c) ? 'number' : undefined));
  const keys = roles.filter((r) => r === 'number' || r === 'name' || r === 'ambiguous').length;
  // `Pad | VSUB | Supply` is the terminal below the part.
  if (keys === 1 && PAD.test(cells[roles.indexOf('number')] ?? '') && !roles.includes('description')) return 0;
  // `Input | Output`, to be ticked, beside a number and a name.
  const ticks =
    keys > 1 && new Set(roles).size > 2 ? cells.filter((c, i) => roles[i] === undefined && typeUnder(c) !== undefined).length : 0;
  const saysTerminals = cells.some((c, i) => (roles[i] === 'number' || roles[i] === 'ambiguous') && OF_TERMINALS.test(normal(c)));
  // `Pin | Port | Analog | Timer | UART`: the functions of a programmable part, a column for each kind.
  const kinds = keys > 1 && saysTerminals ? cells.filter((c, i) => roles[i] === undefined && isPeripheral(c)).length : 0;
  const known = roles.filter((r) => r !== undefined).length + (ticks > 1 ? ticks : 0) + (kinds > 1 ? kinds : 0);
  if (keys === 0) return 0;
  const beside = keys < 2 ? undefined : known >= 3 ? BESIDE_PINS : saysTerminals ? BESIDE_TERMINALS : undefined;
  if (headsOtherTable(beside ? cells.filter((c) => !beside.test(normal(c))) : cells, 1)) return 0;
  // What stands over a number and a name beyond doubt heads a pin table, however many others nobody knows.
  const isNamed = roles.includes('name') || (saysTerminals && cells.some((c) => /^\W*signals?\W*$/i.test(c)));
  const least = (roles.includes('number') || saysTerminals) && isNamed ? 3 : 2;
  return known >= 2 && known * least >= cells.filter((c) => c.trim() !== '' && !isOfColours(c)).length ? known : 0;
}

/** What stands over the colours of wires. */
export const isOfColours = (heading: string): boolean => /\b(?:colou?rs?|farben?|couleurs?)\b/i.test(heading);

/** `Row A`: one of the rows of a connector's contacts. */
export const isRowOfContacts = (heading: string): boolean => /^row [a-e]$/i.test(heading.trim());

/** What a part has inside, over the names that its terminals have there. */
export const isPeripheral = (heading: string): boolean =>
  /^\W*(?:analog(?:ue)?|adc|dac|timers?|tim|pwm|us?art|spi|i2c|twi|i2s|can|usb|lin|serial|clocks?|debug|jtag|swd|interrupts?|touch|comparators?|oscillators?|gpio|digital|power|ethernet|sdio|lcd)(?:[ _-]?\d{1,2})?\W*$/i.test(
    heading,
  );

const CODE = /^([A-Z]{1,5}|[A-Z]{2,5}\d{1,5}[A-Z]{0,2})(?:-\d{1,3}| ?\(\d{1,3}\))?(?:[¹²³⁰-⁹⁽⁾﹡*]| ?\(\d\))*$/;

/** The letters of what makers call their packages: `PW`, `RGE`, `DGK (8)`, `PW-20`, `D, DGK`, or a part whose numbers are its own, with signs of notes; undefined for other texts. */
export function packageCodes(text: string): string[] | undefined {
  const letters = text
    .replace(/\s+/g, ' ')
    .split(/, ?|\//)
    .map((part) => CODE.exec(part)?.[1]);
  return letters.every((l) => l !== undefined && roleOfText(l.toLowerCase()) === undefined && !headsOtherTable([l], 1))
    ? (letters as string[])
    : undefined;
}

const BEHIND_NUMBER = /^(?:pin|ball|terminal|lead|contact)s? ?(?:nos?\b\.?|numbers?|#) (?=[A-Z])/i;

/** `PIN NO. PW`, `Pin no. DGK (8)`: the numbers of a package that has only its maker's code. */
const isOverCode = (heading: string): boolean =>
  BEHIND_NUMBER.test(heading) && packageCodes(heading.replace(BEHIND_NUMBER, '')) !== undefined;

/** `pins 5, 11` and `pins 1..4` are numbers of a row. */
const NUMBERED = /^\s*(?:pin|ball|pad|terminal|lead|contact)s?\s+\d{1,4}\s*(?:,|&|and|to|\.\.|[-–])\s*\d/i;

/** A heading over the numbers of pads, and as often the number of the pad below a part. */
const PAD = /^\W*pads?\W*$/i;

/** What stands over the columns of ratings, characteristics, registers and ordering tables. */
const OTHER_TABLE =
  /^(min|max|typ|minimum|maximum|typical|min max|unit|units|value|values|limit|limits|rating|ratings|parameter|parameters|condition|conditions|test conditions?|bits?|bit (no|name|number|position|field)|field|address|addr|offset|reset( value)?|register( name)?|access|r w|order code|order(ing|able)?( part)?( no| number| code)?|part number|device|marking|quantity|qty|packing|dimension|inches|mm|millimeters|millimetres|symbol min|coverage|theta ja|status|lead finish|temp range|temperature range|step|byte|opcode|command|instruction)$/;

/**
 * What lists of pins have beside their numbers, names and types too: how many there are, and in which unit they are drawn. The
 * second is for those that say no more than that these are terminals, and what they are called.
 */
const BESIDE_PINS = /^(parameter|markings?|qty|quantity|unit|device|status|bit|reset( (value|state))?)$/;

const BESIDE_TERMINALS = /^(markings?|qty|quantity|status|value|reset( (value|state))?)$/;
const OF_TERMINALS = /^(pin|ball|terminal|lead|contact)s?\b/;

/** True for what can stand over the numbers of terminals, `Pin` and `Ball no.`, and over no function of them. */
export function isOverNumbers(heading: string): boolean {
  const role = roleOfHeading(heading);
  return role === 'number' || (role === 'ambiguous' && OF_TERMINALS.test(normal(heading)));
}

/** True where words stand over limits, registers or orders: the heading of a table that is no pinout. */
export const headsOtherTable = (cells: readonly string[], least = 2): boolean =>
  cells.filter((c) => OTHER_TABLE.test(headingInEnglish(c) ?? normal(c))).length >= least;

/** What stands beside such words, and over nothing of a pin. */
const OTHER_TOO = /^(revision|rev|date|version|changes?|component|packages?|test|result|range)$/;

/**
 * True for a line of headings, each of them known, at least one of which stands over limits, registers, orders or revisions:
 * `Address | Name | Type | Description`, `Revision | Date | Description`.
 */
export function headsOnlyOther(cells: readonly string[]): boolean {
  if (cells.length < 3 || headingWorth(cells) > 0) return false;
  const isOther = (c: string) => headsOtherTable([c], 1);
  const isKnown = (c: string) => isOther(c) || OTHER_TOO.test(normal(c)) || roleOfHeading(c) !== undefined;
  return cells.every(isKnown) && (cells.some(isOther) || /^(rev|revision|version|date)$/.test(normal(cells[0]!)));
}

/** A column of banks: where terminals stand on the die, which groups them only where nothing else does. */
export const isBankHeading = (heading: string): boolean => /^\s*(?:i\/?o )?bank\s*$/i.test(heading);

/** What a heading says of its column; `ambiguous` where the cells must decide; undefined where it says nothing. */
export const roleOfHeading = remember((heading: string): ColumnRole | 'ambiguous' | undefined => {
  if (heading.length > 60 || NUMBERED.test(heading)) return undefined;
  if (isOverCode(heading)) return 'number';
  const bare = heading.replace(/\([^)]*\)?/g, ' ');
  const known = roleOfText(normal(heading)) ?? (bare === heading ? undefined : roleOfText(normal(bare)));
  return known ?? roleOfText(headingInEnglish(heading) ?? headingInEnglish(bare) ?? '');
});

function roleOfText(text: string): ColumnRole | 'ambiguous' | undefined {
  if (text === '') return undefined;
  if (AMBIGUOUS.test(text)) return 'ambiguous';
  const numbered = NUMBER_OF.exec(text)?.[1];
  // `Pin 12` and `Ball B7` are terminals, and no heading over any.
  if (
    numbered &&
    !/^[a-z]{0,2}\d{1,4}$/.test(numbered) &&
    /^(?:[a-z]*\d[a-z0-9 ]*|[a-z]{0,5}(?:qfn|qfp|bga|sop|soic|csp|son|lga|dip|plcc)(?: \d{1,4})?)(?: package)?$/.test(numbered)
  )
    return 'number';
  for (const role of Object.keys(WORDINGS) as (keyof typeof WORDINGS)[]) if (WORDINGS[role].test(text)) return role;
  return undefined;
}

/** Families of packages; most carry letters for their height, pitch and material before the family's own. */
const FAMILY = '[A-Z]{0,5}(?:QFPN|QFP|QFN|BGA|CSP|SSOP|SOP|SOIC|SON|DFN|LGA|DIP|LCC|PGA)|PSO|SOT|SOJ|SIP|SC|TO|SO';
const PACKAGE = new RegExp(`\\b(?:(\\d{1,4})[- ]?(?:pin |ball |lead )?(${FAMILY})|(${FAMILY})[- ]?(\\d{1,4})(?:-(\\d{1,2}))?(?:-?EP)?)\\b`);
/** `QFN (20)`; a smaller figure in brackets is the sign of a note. */
const COUNTED = new RegExp(`\\b(?:${FAMILY}) ?\\((\\d{1,4})\\)`);
const FEWEST = 5;
const BARE = new RegExp(`^(${FAMILY})$`, 'i');

export interface PackageName {
  name: string;
  /** How many terminals the name says; the exposed pad is not counted in it. */
  count?: number;
}

/** The package that a text names: `LQFP-64`, `48-QFN`, `TSSOP20`. Names of outline families count 3 to 6 leads apart. */
export const packageIn = remember((text: string): PackageName | undefined => {
  const match = PACKAGE.exec(text);
  if (!match) {
    const counted = COUNTED.exec(text);
    if (counted && Number(counted[1]) >= FEWEST) return { name: counted[0], count: Number(counted[1]) };
    return BARE.test(text.trim()) ? { name: text.trim() } : undefined;
  }
  const family = (match[2] ?? match[3])!.toUpperCase();
  const name = match[0].trim();
  // SOT-23-5, TO-220-3, SC-70-6: the first figure is an outline, the second the lead count.
  if (/^(SOT|SC|TO)$/.test(family)) return match[5] ? { name, count: Number(match[5]) } : { name };
  return { name, count: Number(match[1] ?? match[4]) };
});

/** True where a text is a package's name and nothing else. */
export const isPackageName = (text: string): boolean => packageIn(text)?.name === text;

/** True for what stands over a column of a pin table: a heading that is known, or a package over its numbers. */
export const isHeading = (text: string): boolean => roleOfHeading(text) !== undefined || isPackageName(text);
