import type { ElectricalType } from '../../part';
import { COVERS, evidence, oneOfEach, type Evidence } from './evidence';
import { inEnglish } from './other-languages';
import { wordsOfType } from './type-words';

/** A code that names a class of types and not one: the name and the description decide within it. */
const POWER: ElectricalType[] = ['supply-in', 'ground', 'supply-out'];

/** Kinds of output that a word alone, `Out`, does not tell from a plain one. */
const NARROW: ReadonlySet<ElectricalType> = new Set(['open-drain', 'open-source', 'three-state']);

type Meaning = ElectricalType | 'power' | 'analog' | 'digital' | 'unsaid';

/** Type codes of many datasheets, without blanks, dots, dashes and case. */
const CODES: Record<string, Meaning> = Object.fromEntries(
  (
    [
      ['input', 'I IN INP AI AIN DI DIN I/P IPU IPD IPUPD IS IST ISMT IA ID ICMOS ITTL ST CI CLK RFI RFIN HI LI IC IL AIDI EIN'],
      ['output', 'O OUT AO AOUT DO DOUT O/P OA OPP OCMOS OTTL CO RFO RFOUT HO LO OPU AUS'],
      [
        'bidirectional',
        'I/O IO B BI BD BIDI BIDIR IO/PU INOUT IN/OUT AIO AI/O AI/AO AIAO DIO DI/O DI/DO DIDO I/O/PU E/A E/S RFIO RFI/O O/I IOPU IOPD TTLIO FT TC TT I/OFT IOZ I/OZ PIO GPIO PIO/CK EIN/AUS ↔ ⇔ ⟷ <-> <=>',
      ],
      ['three-state', 'OZ O/Z Z T TS O/T OT 3S 3ST TRI O3 OTS DOZ O/TS'],
      ['open-drain', 'OD O/D OC O/OD ODO DOD OODR OOD OOC O/OC OD/O OPD'],
      ['open-source', 'OS OE O/OS OOE'],
      ['passive', 'PAS PASS PASSIVE X XTAL OSC'],
      ['power', 'P PWR POW POWER S SUP SUPPLY PS AP DP PI PIN V P/G PG PWR/GND VS'],
      ['supply-out', 'PO PWRO PWROUT POUT VO SO'],
      ['ground', 'G GND GROUND DGND AGND VSS DG AG'],
      ['no-connect', 'NC N/C'],
      ['reserved', 'DNC DNU RSVD RES RESERVED RFU RSV TEST'],
      ['analog', 'A ANA ANALOG ANALOGUE RF'],
      ['digital', 'D DIG DIGITAL'],
      ['unsaid', '- – — N/A NA'],
    ] as [Meaning, string][]
  ).flatMap(([meaning, codes]) => codes.split(' ').map((code) => [code, meaning])),
);

const shape = (code: string): string =>
  code
    .toUpperCase()
    .replace(/[¹²³⁰-⁹*†‡.\s_]|\(\d\)/g, '')
    .replace(/^(.+)-(.+)$/, '$1$2');

/** True where a cell is one of the known codes; used to recognise a type column without a heading. */
export const isTypeCode = (text: string): boolean => text.trim() !== '' && shape(text) in CODES && shape(text) !== '';

/** Words that cells of a type column are made of, where they are written out. */
const SPOKEN_WORD =
  '(?:i/o|analogu?e?|digital|logic|power|suppl(?:y|ies)|ground|signal|clock|inputs?|outputs?|bi-?directional|in|out|open|drain|collector|three|tri|state|no|not|connect(?:ed|ion)?|passive|reserved|and|or|ttl|l?v?cmos|pull|up|down)';
const SPOKEN = new RegExp(`^${SPOKEN_WORD}(?:[\\s/,()-]+${SPOKEN_WORD})*[\\s)]*$`, 'i');

/** True where a cell says a type in words and nothing else: `Analog input`, `Digital input/output`, `Supply`. */
export const isTypePhrase = (text: string): boolean => text.length <= 40 && SPOKEN.test(text.trim());

/** The text of a type's cell in one line; a word that a narrow column broke, `inpu` over `t/output`, is one again. */
export function typeInOneLine(text: string): string {
  if (!text.includes('\n')) return text;
  const lines = text.replace(/\s*\n\s*/g, ' ');
  const joined = text.replace(/\s*\n\s*/g, '');
  return !isTypePhrase(lines) && isTypePhrase(joined) ? joined : lines;
}

/** A longer cell is a story, and no type. */
const LONGEST = 400;

/**
 * Evidence from a type column's cell. The document's own legend comes first, then the codes in common use, then
 * whole words. Several codes in a cell (`I, AO`) are evidence for each, which makes a conflict that a person settles.
 */
export function evidenceOfCode(cell: string, legend: ReadonlyMap<string, string>): Evidence[] {
  // What the level at reset is read for is no direction of its own.
  const text = spaced(cell.trim()).replace(/^strap(?:ping|ped)?\s*[,/;+&]\s*(?=\w)|(?<=\w)\s*[,/;+&]\s*strap(?:ping|ped)?$/i, '').replace(/\b(power|supply)[ _-](in|out)\b/i, '$1 $2put'); // prettier-ignore
  if (text === '' || text.length > LONGEST) return [];
  const code = shape(text);
  const because = `type column “${text}”`;
  const told = legend.get(code);
  if (told !== undefined) {
    const found = phrase(told, `code ${text} = “${told}”`);
    if (found.length > 0) return found;
  }
  // `Analog in`, `Digital out`: the direction is what counts.
  const directed = /^(?:analog(?:ue)?|digital|logic|clock|rf)[ -](in|out)\.?$/i.exec(text)?.[1];
  if (directed) return meant(directed.toLowerCase() === 'in' ? 'input' : 'output', because);
  const meaning = CODES[code];
  if (meaning) return meant(meaning, because);
  const built = builtCode(code, because);
  if (built) return [built];
  const said = phrase(inEnglish(text), because);
  // `Bidirectional (open-drain)`: how it drives is no other type beside that.
  const both = said.find((e) => e.type === 'bidirectional');
  const spoken = both ? said.filter((e) => e === both || !COVERS.bidirectional!.concat('open-drain').includes(e.type)) : said;
  const parts = text
    .split(/[,;()]|\bor\b|\s+/)
    .map(shape)
    .filter((p) => p in CODES)
    .flatMap((p) => meant(CODES[p]!, because));
  if (spoken.length === 0) return ofBuffers(parts);
  // `OD Out`: the code beside the word says which kind of output it is.
  const [only, ...more] = spoken;
  const narrower = more.length === 0 ? parts.find((p) => COVERS[p.type]?.includes(only!.type) && NARROW.has(p.type)) : undefined;
  return narrower ? [narrower] : spoken;
}

/** `OpenCollector`, `PowerIn`: words as programs write them. */
const spaced = (text: string): string => (/^[A-Z][a-z]+(?:[A-Z][a-z]+)+$/.test(text) ? text.replace(/(?<=[a-z])(?=[A-Z])/g, ' ') : text);

/** Codes that makers build of a direction and a buffer's own letters, strength in mA or pull: `I/O12`, `O8`, `I/OSD12`, `IPU/O`. */
function builtCode(code: string, because: string): Evidence | undefined {
  if (/^I\/O[A-Z]{0,3}\d{0,2}$/.test(code)) return evidence('bidirectional', 6, because);
  if (/^IO[A-Z]{1,2}$/.test(code)) return evidence('bidirectional', 6, because);
  if (/^OD\d{1,2}$/.test(code)) return evidence('open-drain', 6, because);
  if (/^O\d{1,2}$/.test(code)) return evidence('output', 6, because);
  if (/^I[SC]?\d{1,2}$/.test(code)) return evidence('input', 6, because);
  // A direction and its buffer: Schmitt trigger, pull, tri-state, open drain, push-pull.
  if (/^[AD]?I(ST|SMT|PU|PD)$/.test(code)) return evidence('input', 6, because);
  if (/^[AD]?O\/?(T|TS|Z)$/.test(code)) return evidence('three-state', 6, because);
  if (/^[AD]O\/?OD$/.test(code)) return evidence('open-drain', 6, because);
  if (/^O\/PP$/.test(code)) return evidence('output', 6, because);
  if (/^I\/O\/(PP|OD|PP\/OD|OD\/PP)$/.test(code)) return evidence('bidirectional', 6, because);
  // How it drives, and not whether it only does.
  if (code === 'PP') return evidence('output', 2.9, because);
  // An input at reset with a pull, an output after it: the words say what it is for.
  return /^I(PU|PD)\/O(PU|PD)?$/.test(code) ? evidence('output', 3, because) : undefined;
}

/** `I/O, I`: what the broader code says holds the narrower. `O (OD)` names the output's buffer, and `I (OD)` that of a bus. */
function ofBuffers(parts: Evidence[]): Evidence[] {
  const both = parts.find((p) => p.type === 'bidirectional');
  const kept = both ? parts.filter((p) => p.type !== 'open-drain' && !COVERS[both.type]!.includes(p.type)) : parts;
  const narrow = kept.find((p) => NARROW.has(p.type));
  return narrow ? kept.filter((p) => p === narrow || !COVERS[narrow.type]?.includes(p.type)) : kept;
}

function phrase(text: string, because: string): Evidence[] {
  if (/^\s*(analog(ue)?|digital)( signal)?\s*$/i.test(text)) return meant('analog', because);
  if (
    /^\s*(power|supply|(analog(ue)?|digital|i\/?o|core) (supply|power)|power supply|power pins?|supply pins?|(power|supply)\s*(\/|and|or)\s*ground|ground\s*(\/|and|or)\s*(power|supply)|supply voltage)\s*$/i.test(
      text,
    )
  )
    return meant('power', because);
  // Several words for one type are one thing said.
  const found = oneOfEach(wordsOfType(text));
  const covered = (e: Evidence) => found.some((other) => COVERS[other.type]?.includes(e.type));
  return found.filter((e) => !covered(e)).map((e) => ({ ...e, weight: Math.max(e.weight, 6), because }));
}

function meant(meaning: Meaning, because: string): Evidence[] {
  switch (meaning) {
    case 'power':
      return [evidence('supply-in', 3.2, because), ...POWER.slice(1).map((t) => evidence(t, 2.4, because))];
    case 'analog':
    case 'digital':
      return (['input', 'output', 'bidirectional', 'passive'] as const).map((t) => evidence(t, 1, because));
    case 'unsaid':
      return [];
    default:
      return [evidence(meaning, 6, because)];
  }
}
