import { ok, problem, refuse, type Result } from '../../part';

/** A word, a number, a sign or a string of BSDL (IEEE 1149.1-2013, B.5) with the line it stands on. */
export interface Token {
  kind: 'word' | 'sign' | 'string';
  text: string;
  line: number;
}

const WORD = /[A-Za-z0-9_.*]+(?:[+-][0-9]+(?=\b))?/y;

/** Cuts a text into tokens; comments run from `--` to the line's end. Refused where a string is not closed on its line. */
export function tokensOf(text: string, file?: string, firstLine = 1): Result<Token[]> {
  const tokens: Token[] = [];
  let line = firstLine;
  for (let at = 0; at < text.length;) {
    const c = text[at]!;
    let end = at + 1;
    if (c === '\n') line++;
    else if (c === '-' && text[end] === '-') end = endOf(text, '\n', end);
    else if (c === '"') {
      end = endOf(text, '"', end);
      const inner = text.slice(at + 1, end);
      if (end === text.length || inner.includes('\n')) return refuse(problem('bsdl-string', {}, { file, line }));
      tokens.push({ kind: 'string', text: inner, line });
      end++;
    } else if (c.trim() !== '') {
      WORD.lastIndex = at;
      if (WORD.test(text)) tokens.push({ kind: 'word', text: text.slice(at, (end = WORD.lastIndex)), line });
      else {
        if ((c === ':' || c === '<') && text[end] === '=') end++;
        tokens.push({ kind: 'sign', text: text.slice(at, end), line });
      }
    }
    at = end;
  }
  return ok(tokens);
}

/** Where a sign stands next, or the text's end. */
function endOf(text: string, sign: string, from: number): number {
  const at = text.indexOf(sign, from);
  return at < 0 ? text.length : at;
}
