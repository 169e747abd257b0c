import { remember } from '../../part';

/** What a number cell says. `none` is a terminal that is not bonded out; `pad` is an exposed pad without a number. */
export type NumberCell = { kind: 'list'; numbers: string[] } | { kind: 'none' } | { kind: 'pad' } | { kind: 'unread' };

const NONE = /^(|-+|–|—|−|n\.?\/?a\.?|none|x|×|\.+|…)$/i;
const EXPOSED =
  /^(ep|epad|e-pad|dap|pad|power pad|thermal pad|exp(?:osed|\.)? ?(thermal |die |metal )?(pad|paddle)|exposed|die pad|thermal|heat ?slug|center pad|centre pad|paddle)$/i;
const TOKEN = /^(?:[A-Z]{1,3}\d{1,4}|\d{1,4}|[A-Z]{1,2}\d{1,3}[A-Z]|TAB\d?|EP\d?|[A-Z]{2}|[A-Z]\d?)$/i;
/** What a transistor stands on, in the place of a number: its tab, its mounting base, its case; a connector's shell and screen. */
const MOUNT = /^(?:tab|mb|case|base|flange|shell|shield|screen|housing|shroud|chassis|backshell)$/i;
/** `9 (EP)`, `6(tab)`: what the number stands at. */
const MOUNTED =
  /^([A-Z]{0,2}\d{1,4})\s*\(\s*(?:(?:e-?p(?:ad)?|dap|p-?pad|tab|(?:(?:exposed|thermal|power|die|bottom|cent(?:er|re))[- ]?)?(?:pad|paddle)|heat ?(?:slug|sink))\s*)\)$/i;
/** `1 (square)`: how the first pad is marked. */
const MARKED = /^(\d{1,4})\s*\(\s*(?:square|dot|marked|notch|key|first|arrow|triangle|red)(?: (?:pad|pin|wire|stripe))?\s*\)$/i;
/** A pad in a list of numbers, and what stands between it and its own number. */
const PAD_AMONG = /\b(?:exposed|thermal|power|die) (?:pad|paddle)\b(\s+(?:pin\s*)?(?=#?\d))?/gi;
const RANGE = /^([A-Z]{0,3})(\d{1,4})(?:-|–|—|−|\.\.+|…|~|:)([A-Z]{0,3})(\d{1,4})$/i;
/** What connectors are called on drawings, before their number. */
const CONNECTOR = 'J|P|X|CN|TB|XS|XP';
/** Contact 3 of connector X1, `X1-3` or `X1:3`, is no range; with a dot it is one of any part that a board has. */
const CONTACT = new RegExp(`^(?:(?:${CONNECTOR})\\d{1,2}[-:]|(?:${CONNECTOR}|U|IC)\\d{1,3}\\.)\\d{1,3}$`);
/** What stands before such a contact; `P` alone is a package's code. */
const OF_CONTACT = new RegExp(`^\\s*(?:${CONNECTOR})\\d{1,2}:`);
const MOST = 2000;

/** Reads one number, a list (`5, 12, 31`, `A1 A2`), a range (`10–17`, `A1 to A4`), or the mark for none. */
export const readNumberCell = (text: string): NumberCell =>
  // Nearly all number cells are one plain number, which is sooner read than looked up.
  /^\d{1,4}$/.test(text) ? { kind: 'list', numbers: [text] } : readOther(text);

/** The same for a cell of a column of numbers, where `1.` and `(1)` count up. */
export const readCountedCell = (text: string): NumberCell =>
  readNumberCell(/[.)]$/.test(text) ? text.replace(/^\(?([A-Z]{0,2}\d{1,4})[.)]$/, '$1') : text);

const readOther = remember((text: string): NumberCell => {
  // `Pin 1` in every cell: the word is none of the number.
  const cell = stripNotes(text)
    .trim()
    .replace(/\s+/g, ' ')
    .replace(/^(?:(?:pin|ball|terminal|lead|contact)s?\.?\s*(?:no\.?\s*)?|no\.\s*)(?=[A-Z]{0,2}\d)/i, '');
  if (NONE.test(cell)) return { kind: 'none' };
  const numbered = /^(?:EP|PAD|exposed pad|thermal pad)\s*[(,=]?\s*(\d{1,4})\)?$/i.exec(cell);
  if (numbered && /[\s(,=]/.test(cell)) return { kind: 'list', numbers: [numbered[1]!] };
  if (EXPOSED.test(cell)) return { kind: 'pad' };
  const mounted = MOUNTED.exec(cell) ?? MARKED.exec(cell);
  if (mounted) return { kind: 'list', numbers: [mounted[1]!] };
  // `6, exposed pad pin 11`: what the number stands at, or the pad itself.
  const padded = /\bpad/i.test(cell) ? cell.replace(PAD_AMONG, (_, own?: string) => (own === undefined ? 'EPAD' : '')) : cell;
  const joined = padded.replace(/\s+(?:to|thru|through)\s+/gi, '–').replace(/\s*([-–—−~…]|\.\.+)\s*/g, '$1');
  const numbers: string[] = [];
  for (const token of joined.split(/[\s,;&/+]+|\band\b/i).filter((t) => t !== '')) {
    const range = CONTACT.test(token) ? null : RANGE.exec(token);
    if (range) {
      const run = expand(range);
      if (!run) return { kind: 'unread' };
      numbers.push(...run);
    } else if (/^(?:PAD|E-?PAD|DAP|PPAD|paddle)$/i.test(token)) numbers.push('EP');
    else if (
      MOUNT.test(token) ||
      ((TOKEN.test(token) || CONTACT.test(token)) &&
        !/^[A-Z]?[a-z]+$/.test(token) &&
        (/\d/.test(token) || joined === token || token.toUpperCase() === 'EP'))
    )
      numbers.push(token);
    else return { kind: 'unread' };
    if (numbers.length > MOST) return { kind: 'unread' };
  }
  return numbers.length > 0 ? { kind: 'list', numbers } : { kind: 'unread' };
});

function expand([, prefix = '', from, last = '', to]: RegExpExecArray): string[] | undefined {
  if (last !== '' && last.toUpperCase() !== prefix.toUpperCase()) return undefined;
  const [a, b] = [Number(from), Number(to)];
  if (Math.abs(b - a) > MOST) return undefined;
  const step = a <= b ? 1 : -1;
  return Array.from({ length: Math.abs(b - a) + 1 }, (_, i) => `${prefix}${a + i * step}`);
}

/** Takes footnote marks off a number cell: `5(1)`, `7²`, `12*`. */
const stripNotes = (text: string): string =>
  text.replace(/[¹²³⁰-⁹⁽⁾ᵃ-ᶠ†‡§*﹡]+/g, '').replace(/(\w)\s*(\((?:see )?(?:notes? )?\d\)|\[\d\])/gi, '$1');

/** `SO: 1`, `QFN = 16`: a package before its numbers, in a cell for several packages. */
const LABELLED = /^([A-Za-z][A-Za-z0-9-]{0,15})\s*[:=]\s*(\S[^:=]{0,60})$/;

/** The numbers of a cell by the package that stands before them, `SO: 1` over `QFN: 16`; undefined where any has none. */
export const labelled = (text: string): Map<string, string> | undefined => (/[:=]/.test(text) ? readLabelled(text) : undefined);

const readLabelled = remember((text: string): Map<string, string> | undefined => {
  // `X1:3` is contact 3 of a connector.
  if (OF_CONTACT.test(text)) return undefined;
  const parts = text.split(/[\n;/]+|,(?=\s*[A-Za-z][A-Za-z0-9-]*\s*[:=])/).map((part) => LABELLED.exec(part.trim()));
  const read = parts.flatMap((m): [string, string][] => (m && readNumberCell(m[2]!).kind !== 'unread' ? [[m[1]!, m[2]!]] : []));
  return read.length > 0 && read.length === parts.length ? new Map(read) : undefined;
});

/** True for `1.` and `1)`, where the numbers of a list count up. */
export const isCounted = (text: string): boolean => /^\d{1,4}[.)]$/.test(text);

/** A ball in small letters, `a1`, or several, `a2, c2` and `a6-a20`; a figure 0 is of a name. */
export const isSmallBall = (text: string): boolean => /^[a-z]{1,2}[1-9]\d?(?:(?:, ?| ?[-–] ?)[a-z]{1,2}[1-9]\d?)*$/.test(text);

/** Cells that hold numbers in any of these forms. */
export const looksCounted = (text: string): boolean => looksLikeNumbers(text) || isCounted(text) || isSmallBall(text);

/** True for the number of a terminal, or the letters of an exposed pad in its place. */
export const looksLikeTerminal = (text: string): boolean => looksLikeNumbers(text) || text === 'EP';

/** True for cells that hold terminal numbers beyond doubt: digits, or a ball's row and column. */
export const looksLikeNumbers = (text: string): boolean => {
  if (/^\d{1,4}$/.test(text)) return true;
  const read = readNumberCell(text);
  return read.kind === 'list' && read.numbers.every((n) => /^\d{1,4}$/.test(n) || /^[A-Z]{1,2}\d{1,2}$/.test(n) || CONTACT.test(n));
};
