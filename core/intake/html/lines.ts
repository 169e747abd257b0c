import { Parser } from 'htmlparser2';
import { narrow } from '../text/narrow';

/** What a page begins with that has no table: its declaration, or any element that text stands in. */
const PAGE = /^\s*(?:<!doctype html|<!--|<(?:html|head|body|main|article|section|div|h[1-6]|p|pre|ul|ol|dl|li|dt)[\s>])/i;
const LIST = /<(?:li|dt|pre|p|br)[\s/>]/i;

/** True for text that is HTML whose words stand in lists, paragraphs or as they are typed; tables are read as such. */
export const isHtmlOfLines = (text: string): boolean => PAGE.test(text) && LIST.test(text) && !/<table[\s>]/i.test(text);

/** Elements that begin a line of their own (HTML, 15.3.3). */
export const BLOCK = /^(?:p|div|h[1-6]|li|ul|ol|dl|dt|pre|section|article|main|header|footer|figure|figcaption|blockquote|br|hr)$/;
/** Elements whose text is never shown. */
export const UNSHOWN = new Set(['script', 'style', 'noscript', 'template', 'title']);

/** Signs that a term of a list ends with, before what is said of it. */
const ENDED = /[:=–—-]\s*$/;

/** The number of a list's item before the item's own, `1. Pin 4: VDD`. */
const COUNTED_TWICE = /^-?\d+\. (?=(?:pin|ball|terminal|lead|contact|pad)s?\b[^:]{0,6}\d|\d{1,4}\b)/i;

/** The lines of a page as they are shown: an item of a numbered list with its number, a term and what is said of it in one line. */
export function linesOfHtml(html: string): string {
  const lines: string[] = [];
  let line = '';
  let [skipped, typed] = [0, 0];
  const counts: number[] = [];
  const end = () => {
    if (line.trim() !== '') lines.push(line.trimEnd().replace(COUNTED_TWICE, ''));
    line = '';
  };
  const parser = new Parser(
    {
      onopentag(name, { start, value }) {
        if (UNSHOWN.has(name)) skipped++;
        if (BLOCK.test(name)) end();
        if (name === 'pre') typed++;
        if (name === 'ol') counts.push(wholeNumber(start) ?? 1);
        else if (name === 'ul') counts.push(NaN);
        else if (name === 'li') {
          const own = wholeNumber(value) ?? counts.at(-1) ?? NaN;
          if (!Number.isNaN(own)) line = `${own}. `;
          if (counts.length > 0) counts[counts.length - 1] = own + 1;
        } else if (name === 'dd') line = line.trim() === '' ? '' : ENDED.test(line) ? `${line.trim()} ` : `${line.trim()}: `;
      },
      ontext(text) {
        if (skipped > 0) return;
        const shown = narrow(text);
        if (typed > 0) {
          const [first = '', ...others] = shown.split('\n');
          line += first;
          for (const other of others) {
            end();
            line = other;
          }
        } else {
          const flowing = shown.replace(/\s+/g, ' ');
          line += line === '' ? flowing.trimStart() : flowing;
        }
      },
      onclosetag(name) {
        if (UNSHOWN.has(name)) skipped--;
        // Behind a term its words go on in the same line.
        if (name === 'dd' || (BLOCK.test(name) && name !== 'dt')) end();
        if (name === 'pre') typed = Math.max(0, typed - 1);
        if (name === 'ol' || name === 'ul') counts.pop();
      },
    },
    { decodeEntities: true, lowerCaseTags: true },
  );
  parser.end(html);
  end();
  return lines.join('\n');
}

const wholeNumber = (text: string | undefined): number | undefined =>
  text !== undefined && /^\s*-?\d{1,6}\s*$/.test(text) ? Number(text) : undefined;
