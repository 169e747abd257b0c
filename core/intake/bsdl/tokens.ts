import { ok, problem, refuse, type Result } from '../../part';

/** A word, a number, a sign or a string of BSDL (IEEE 1149.1-2013, B.5) with the line it stands on. */
export interface Token {
  kind: 'word' | 'sign' | 'string';
  text: string;
  line: number;
}

const TOKEN = /[ \t\r]+|(\n)|(--[^\n]*)|"([^"\n]*)("?)|([A-Za-z0-9_.*]+(?:[+-][0-9]+(?=\b))?)|(:=|<=|[^\s])/y;

/** Cuts a text into tokens; comments run from `--` to the line's end. Refused where a string is not closed on its line. */
export function tokensOf(text: string, file?: string, firstLine = 1): Result<Token[]> {
  const tokens: Token[] = [];
  let line = firstLine;
  TOKEN.lastIndex = 0;
  for (let m = TOKEN.exec(text); m; m = TOKEN.exec(text)) {
    if (m[1]) line++;
    else if (m[3] !== undefined) {
      if (m[4] === '') return refuse(problem('bsdl-string', {}, { file, line }));
      tokens.push({ kind: 'string', text: m[3], line });
    } else if (m[5] !== undefined) tokens.push({ kind: 'word', text: m[5], line });
    else if (m[6] !== undefined) tokens.push({ kind: 'sign', text: m[6], line });
  }
  return ok(tokens);
}
