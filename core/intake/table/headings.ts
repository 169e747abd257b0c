import type { ColumnRole } from '../proposal';

/** Words over a column, by role. A heading is compared without case, punctuation and plural marks. */
const WORDINGS: Record<Exclude<ColumnRole, 'ignore'>, RegExp> = {
  number:
    /^((pin|ball|terminal|lead|pad|contact|package|pkg|device)s? )?(no|nos|nr|num|number|numbers|#|id|location|loc|position|pos|coordinate|designator)$|^#$|^(pin|ball|pad|terminal|lead|contact) (no|number|#|s)?$|^balls?$|^leads?$|^pads?$|^contacts?$|^no name$/,
  name: /^((pin|ball|terminal|signal|pad|lead|port|contact|net) )?(name|names|mnemonic|designation|label)$|^symbol$|^mnemonic$|^signal$|^signals$|^(pin|terminal) symbol$|^primary (name|function)$|^main function$|^(pin|signal) id$/,
  type: /^((pin|signal|buffer|electrical|io|i o|port|pad|terminal|lead) )?(type|types|class|kind|dir|direction)$|^io$|^i o$|^in out$|^dir$|^(pin|signal) (io|i o)$|^attribute$|^electrical$/,
  description:
    /^((pin|signal|terminal|functional|short|ball|function|lead|contact) )?(description|descriptions|desc|purpose|explanation|details|remarks|remark|comment|comments|notes|note|meaning|use|usage)$|^function(s)?( and)? description$|^functions?$|^(pin|terminal|signal) function$|^name and function$|^what it does$/,
  group: /^(pin |signal |functional )?(group|category|block|section|bank|interface|port group|domain group)$/,
  alternates:
    /^(alternate|alternative|alt|additional|other|multiplexed|secondary|mux)( pin| signal)?( function| functions| name| names|s)?$|^af$|^altfn$/,
  rail: /^(io |i o |pad |power |supply |voltage )?(rail|domain|supply|power supply|supply domain|power domain|supply rail|vdd|bank supply)$/,
  activeLow: /^(active|polarity|active level|active state|logic level|sense)$/,
};

/** Words that stand over numbers in one datasheet and over names in the next: the cells below decide. */
const AMBIGUOUS = /^(pins?|terminals?|ball|lead|contact|port|function|signal)$/;

const normal = (heading: string): string =>
  heading
    .toLowerCase()
    .replace(/\(s\)/g, 's')
    .replace(/[¹²³⁰-⁹]|\(\d\)|\[\d\]/g, '')
    .replace(/i\s*\/\s*o/g, 'io')
    .replace(/[._:;/()[\]*-]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** What a heading says of its column; `ambiguous` where the cells must decide; undefined where it says nothing. */
export function roleOfHeading(heading: string): ColumnRole | 'ambiguous' | undefined {
  const text = normal(heading);
  if (text === '') return undefined;
  if (AMBIGUOUS.test(text)) return 'ambiguous';
  for (const role of Object.keys(WORDINGS) as (keyof typeof WORDINGS)[]) if (WORDINGS[role].test(text)) return role;
  return undefined;
}

const FAMILY =
  'SOIC|SOP|SSOP|TSSOP|MSOP|VSSOP|HTSSOP|QSOP|SOT|SC|TO|DIP|PDIP|CDIP|SDIP|SIP|SO|LQFP|TQFP|QFP|HQFP|VQFP|PLCC|LCC|QFN|VQFN|WQFN|UQFN|TQFN|DFN|WDFN|SON|WSON|VSON|LGA|BGA|FBGA|TFBGA|UFBGA|LFBGA|VFBGA|CSP|WLCSP|DSBGA|PGA|CBGA|FCBGA|PBGA';
const PACKAGE = new RegExp(`\\b(?:(\\d{1,4})[- ]?(?:pin |ball |lead )?(${FAMILY})|(${FAMILY})[- ]?(\\d{1,4})(?:-(\\d{1,2}))?(?:-?EP)?)\\b`);
const BARE = new RegExp(`^(${FAMILY})$`, 'i');

export interface PackageName {
  name: string;
  /** How many terminals the name says; the exposed pad is not counted in it. */
  count?: number;
}

/** The package that a text names: `LQFP-64`, `48-QFN`, `TSSOP20`. Names of outline families count 3 to 6 leads apart. */
export function packageIn(text: string): PackageName | undefined {
  const match = PACKAGE.exec(text);
  if (!match) return BARE.test(text.trim()) ? { name: text.trim() } : undefined;
  const family = (match[2] ?? match[3])!.toUpperCase();
  const name = match[0].trim();
  // SOT-23-5, TO-220-3, SC-70-6: the first figure is an outline, the second the lead count.
  if (/^(SOT|SC|TO)$/.test(family)) return match[5] ? { name, count: Number(match[5]) } : { name };
  return { name, count: Number(match[1] ?? match[4]) };
}
