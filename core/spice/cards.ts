import { ok, problem, refuse, type Result } from '../part';
import { sealReader } from './sealed';

/** A comment with its text (marks taken off), its raw line and where it stands. */
export interface Comment {
  line: number;
  text: string;
  raw: string;
}

/** A logical card: its first line with all continuations joined, and the comments that stand on those lines. */
export interface Card {
  line: number;
  text: string;
  /** The physical lines of the card, for evidence that is told by columns. */
  raw: { line: number; text: string; comment: string }[];
  /** Full-line comments since the card before. */
  above: Comment[];
  /** Comments between the card and its continuations: they speak of the card itself. */
  between?: Comment[];
}

export interface Cards {
  cards: Card[];
  /** Comments after the last card. */
  trailing: Comment[];
  /** Lines of encrypted text, which are no cards. */
  sealed: number[];
}

const LIMIT = 32_000_000;

/**
 * Splits a SPICE source into cards as Berkeley SPICE 3 reads it: `+` continues the card above (comments may stand
 * between), `*` starts a comment line, `;` and a free-standing `$` an inline comment.
 */
export function readCards(source: string, file?: string): Result<Cards> {
  if (source.length > LIMIT) return refuse(problem('input-large', { size: Math.round(source.length / 1e6), limit: LIMIT / 1e6 }, { file }));
  if (source.trim() === '') return refuse(problem('input-empty', {}, { file }));
  if (isWebPage(source)) return refuse(problem('spice-web-page', {}, { file }));
  if (source.includes('\u0000')) return refuse(problem('input-binary', {}, { file }));
  const cards: Card[] = [];
  const sealed: number[] = [];
  const isSealed = sealReader();
  let above: Comment[] = [];
  source
    .replace(/^\uFEFF/, '')
    .split(/\r\n?|\n/)
    .forEach((raw, i) => {
      const line = i + 1;
      const text = raw.trim();
      if (text === '') return;
      if (isSealed(raw)) return void sealed.push(line);
      if (text.startsWith('*')) {
        above.push({ line, text: text.replace(/^\*+#*\s?/, '').trimEnd(), raw });
        return;
      }
      const { code, comment } = splitComment(raw);
      const last = cards.at(-1);
      if (code.trim().startsWith('+') && last) {
        // Appended only: to trim the whole card for each of its lines would cost the square of them.
        const more = code.trim().slice(1).trim();
        if (more !== '') last.text += ` ${more}`;
        last.raw.push({ line, text: code, comment });
        (last.between ??= []).push(...above);
        above = [];
        return;
      }
      if (code.trim() === '') {
        if (comment !== '') above.push({ line, text: comment, raw });
        return;
      }
      cards.push({ line, text: code.trim(), raw: [{ line, text: code, comment }], above });
      above = [];
    });
  return ok({ cards, trailing: above, sealed });
}

/** A page saved instead of the file on it: its tags stand near the top, outside of comments. */
const isWebPage = (source: string): boolean =>
  /^\s*<(!doctype|html|head|body|\?xml)/i.test(source) || /^(?!\s*\*).*<(html|head|body|meta)\b[^>]*>/im.test(source.slice(0, 4000));

/**
 * `;` always starts a comment, `$` only with a blank before it, since it stands inside names too; `$G_DPWR` and `$D_HI`
 * are global nodes of a dialect.
 */
export function splitComment(raw: string): { code: string; comment: string } {
  const match = /;|(?:^|\s)\$(?![DG]_)/i.exec(raw);
  if (!match) return { code: raw, comment: '' };
  return {
    code: raw.slice(0, match.index),
    comment: raw
      .slice(match.index)
      .replace(/^[\s;$]+/, '')
      .trim(),
  };
}
