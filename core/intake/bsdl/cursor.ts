import { problem, type Problem } from '../../part';
import type { Token } from './tokens';

/** What the parser throws at itself when a token is not what must stand there; it never leaves the reader. */
export class Unexpected extends Error {
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}

/** Walks over tokens. Words are compared without case, as VHDL does. */
export class Cursor {
  private at = 0;

  constructor(
    private readonly tokens: readonly Token[],
    private readonly file: string | undefined,
    private readonly lastLine: number,
  ) {}

  get done(): boolean {
    return this.at >= this.tokens.length;
  }

  peek(ahead = 0): Token | undefined {
    return this.tokens[this.at + ahead];
  }

  next(): Token | undefined {
    return this.tokens[this.at++];
  }

  is(text: string, ahead = 0): boolean {
    const token = this.peek(ahead);
    return token?.text.length === text.length && token.kind !== 'string' && token.text.toLowerCase() === text;
  }

  accept(text: string): boolean {
    if (!this.is(text)) return false;
    this.at++;
    return true;
  }

  expect(text: string, what = `“${text}”`): Token {
    if (!this.is(text)) this.fail(what);
    return this.next()!;
  }

  word(what: string): Token {
    if (this.peek()?.kind !== 'word') this.fail(what);
    return this.next()!;
  }

  fail(expected: string): never {
    const token = this.peek();
    const found = token ? `“${token.text.slice(0, 30)}”` : 'the end';
    throw new Unexpected(problem('bsdl-syntax', { expected, found }, { file: this.file, line: token?.line ?? this.lastLine }));
  }

  /** Goes past the next semicolon. */
  skipStatement(): void {
    while (!this.done && !this.is(';')) this.at++;
    this.at++;
  }
}
