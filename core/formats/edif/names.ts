/**
 * Names and strings of EDIF 2 0 0 (EIA-548-1988, part 2: lexical conventions): an identifier is a letter, or `&`, and then
 * letters, figures and underscores, at most 255, whatever their case; anything else is named by `(rename ID "text")`.
 */
const MOST = 200;

/** Gives out identifiers that are unique whatever their case. */
export class Identifiers {
  private readonly taken = new Set<string>();

  /** An identifier as near to the text as EDIF allows. */
  of(text: string): string {
    const plain = text.replace(/[^A-Za-z0-9_]+/g, '_').slice(0, MOST);
    const base = /^[A-Za-z]/.test(plain) ? plain : `&${plain}`;
    let id = base;
    for (let n = 2; this.taken.has(id.toLowerCase()); n++) id = `${base}_${n}`;
    this.taken.add(id.toLowerCase());
    return id;
  }
}

/** A string: quotes, percent signs and all beyond printable ASCII by their numbers between percent signs. */
export const edifString = (text: string): string => `"${[...text].map(escaped).join('').replace(/%%/g, ' ')}"`;

const escaped = (character: string): string =>
  /^[ -~]$/.test(character) && character !== '"' && character !== '%' ? character : `%${character.codePointAt(0)}%`;

/** A text of a file's string, its escapes resolved; numbers of several characters stand between one pair of percent signs. */
export const plainString = (raw: string): string =>
  raw.replace(/%([\d\s+-]*)%/g, (_, numbers: string) =>
    numbers
      .trim()
      .split(/\s+/)
      .filter((n) => n !== '')
      .map((n) => characterOf(Number(n)))
      .join(''),
  );

const characterOf = (code: number): string =>
  Number.isInteger(code) && code >= 0 && code <= 0x10ffff && !(code >= 0xd800 && code < 0xe000) ? String.fromCodePoint(code) : '\uFFFD';
