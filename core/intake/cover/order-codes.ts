import { saidAt, type CoverText, type Said } from './cover';

const HEADING = /\border(?:ing|able)?\b|\bpart numbering\b|\bpackag(?:e|ing) (?:option|information)\b/i;
/** Boards and kits are ordered too, and are not the part. */
const OTHER = /(?:EVM|EVAL|EVB|EVK|KIT|DEMO|DK|BOARD)/;
/** Texts behind a heading that its table is looked for in. */
const REACH = 120;
const MOST = 60;

/** Codes that the part is ordered by: what begins with its number and goes on, behind words of ordering. */
export function findOrderCodes(texts: readonly CoverText[], number: string): Said[] {
  const stem = number.replace(/[^A-Za-z0-9]/g, '').toUpperCase();
  const found = new Map<string, Said>();
  let until = -1;
  texts.forEach((text, i) => {
    if (HEADING.test(text.text)) until = i + REACH;
    if (i > until) return;
    for (const [code] of text.text.matchAll(/[A-Z][A-Z0-9]*(?:[-/.#][A-Z0-9]+)*\b/g)) {
      const plain = code.replace(/[^A-Z0-9]/g, '');
      if (plain.length > stem.length && plain.startsWith(stem) && !OTHER.test(plain) && !found.has(code))
        found.set(code, saidAt(code, text));
    }
  });
  return [...found.values()].slice(0, MOST);
}
