import { problem, refuse, type Result } from '../part';
import { readBsdl } from './bsdl';
import { isHtmlOfLines, isHtmlTable, linesOfHtml, readHtml } from './html';
import { readIbis } from './ibis';
import type { Proposal, ReadOptions } from './proposal';
import { readText } from './text';
import { TEXT_LIMIT } from './text/clean';

/** The kinds of text that have a language of their own. */
export type TextKind = 'bsdl' | 'ibis' | 'html' | 'text';

/** What kind of source a text is, by what it says and not by its name. */
export function textKind(text: string): TextKind {
  const start = text.slice(0, 200_000);
  if (/^\s*\[\s*ibis[ _]ver\s*\]/im.test(start)) return 'ibis';
  const code = start.replace(/--[^\n]*/g, '');
  if (/^\s*entity\s+\w+\s+is\b/im.test(code) && /\b(port\s*\(|pin_map)/i.test(code)) return 'bsdl';
  if (isHtmlTable(start) && /^\s*(<|Version:)/i.test(start)) return 'html';
  return 'text';
}

/** A source's text as a person sees it: a web page without tables as the lines it shows, anything else as it is. */
export const shownText = (text: string): string => (isHtmlOfLines(text.slice(0, TEXT_LIMIT)) ? linesOfHtml(text) : text);

/** Reads a source that is text, whichever of the known languages it is in. */
export const readSourceText = (text: string, options: ReadOptions = {}): Result<Proposal> => readShownText(shownText(text), options);

/** The same of a text as it is shown. */
export function readShownText(text: string, options: ReadOptions = {}): Result<Proposal> {
  const plain = text.replace(/^\uFEFF/, '');
  const kind = textKind(plain);
  if (kind !== 'text' && text.length > 5 * TEXT_LIMIT)
    return refuse(problem('input-large', { size: Math.round(text.length / 1e6), limit: (5 * TEXT_LIMIT) / 1e6 }, { file: options.file }));
  switch (kind) {
    case 'bsdl':
      return readBsdl(plain, options);
    case 'ibis':
      return readIbis(plain, options);
    case 'html':
      return readHtml(plain, options);
    default:
      return readText(text, options);
  }
}
