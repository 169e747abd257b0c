import { saidAt, type CoverText, type Said } from './cover';
import { partNumbersIn } from './part-numbers';

const FORM =
  'Inc|Incorporated|Corp|Corporation|Ltd|Limited|LLC|GmbH|AG|KG|SE|SA|S\\.A|BV|B\\.V|NV|N\\.V|Oy|AB|A/S|ApS|PLC|plc|Pty|Co|Company|K\\.K';
const TRADE =
  'Semiconductors?|Devices|Components|Electronics?|Microelectronics|Microsystems|Technolog(?:y|ies)|Instruments|Circuits|Silicon|Lab(?:s|oratories)|Photonics|Sensors|Microwave|Optoelectronics|Microdevices|Controls|Industries|Works|Magnetics|Connectors|Interconnect|Crystals|Relays';
const WORD = "[A-Z][\\w'’.-]*|&|and|of";

/** A firm's name by itself: capitalised words, of which the last is a trade's or is followed by a form of company. */
const FIRM = new RegExp(`^(?:${WORD})(?: (?:${WORD})){0,4}?(?: (?:${TRADE})|,? (?:${FORM})\\.?)(?:,? (?:${FORM})\\.?){0,3}$`);
/** A company at the beginning of its address, or of what it says: its form must stand behind its name. */
const COMPANY = new RegExp(`^((?:${WORD})(?: (?:${WORD})){0,3},? (?:${FORM})\\b\\.?)(?:,| reserves | makes | cannot | assumes | does )`);
/** Words that begin like a firm and head a chapter: `Typical Circuits`. */
const CHAPTER =
  /^(?:typical|test|application|applications|power|passive|external|evaluation|related|reference|basic|example|recommended|pin|about)\b/i;

const COPYRIGHT =
  /(?:©|\(c\)|\bcopyright\b)[\s©]*(?:\(c\)\s*)?(?:\d{4}(?:\s*[-–,]\s*\d{4})*[\s,.]*)?(?:by\s+)?([A-Z][\w&'’. /-]{2,60}?)(?=[.,;]?\s+(?:all rights|\d{4}\b)|[,;|]|\.\s|\.?$)/i;

/** The maker that a text names: after a sign of copyright, or as a firm's name by itself. */
function makerIn(text: string): string | undefined {
  const owner = COPYRIGHT.exec(text)?.[1]?.trim();
  if (owner && !/^all rights/i.test(owner)) return owner;
  if (CHAPTER.test(text)) return undefined;
  return text.length <= 60 && FIRM.test(text === text.toUpperCase() ? inWords(text) : text) ? text : COMPANY.exec(text)?.[1];
}

const inWords = (capitals: string): string => capitals.replace(/\B[A-Z]+/g, (rest) => rest.toLowerCase());

/** The maker of a part, where the texts of a document name one and no other. */
export function findMaker(texts: readonly CoverText[]): Said | undefined {
  const found = new Map<string, Said>();
  for (const text of texts) {
    for (const piece of piecesOf(text.text)) {
      const maker = makerIn(piece);
      if (maker && !found.has(bare(maker))) found.set(bare(maker), saidAt(maker, text));
    }
  }
  return found.size === 1 ? [...found.values()][0] : undefined;
}

/** A running head names the part beside the maker. */
const piecesOf = (text: string): string[] => {
  const numbers = partNumbersIn(text);
  const parted = numbers.reduce((rest, number) => rest.replace(number, '|'), text);
  return parted.split(/[|·•]/).map((piece) => piece.trim()).filter(Boolean); // prettier-ignore
};

const FORMS_BEHIND = new RegExp(`(?:,? (?:${FORM})\\.?)+$`, 'i');
const bare = (name: string): string =>
  name
    .toLowerCase()
    .replace(FORMS_BEHIND, '')
    .replace(/[^a-z0-9]/g, '');
