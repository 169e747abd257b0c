import { readCards, type Card, type Comment } from './cards';
import { constantOf } from './constant';
import { readSubcktHeader } from './header';
import { derivedCard, readModelCard, type ModelCard } from './model-card';

export interface Rewrite {
  line: number;
  what: string;
}

export interface Rewritten {
  text: string;
  /** Every change with the line of the source that it was made in. */
  rewrites: Rewrite[];
}

type Names = Map<string, number>;

/**
 * Says in the Berkeley form what a dialect says otherwise and what has an exact equal: comments on lines of their own,
 * `.macro`, `ako:`, constants in braces or quotes, `VALUE=` sources as B sources, `**`, VSWITCH. Whatever has no equal
 * stays as it is, and then the parameters stay too. `set` are values given for the part to the chosen subcircuit.
 */
export function rewriteForBerkeley(source: string, chosen = '', set: Readonly<Record<string, string>> = {}): Rewritten {
  const read = readCards(source);
  if (!read.ok || read.value.sealed.length > 0) return { text: source, rewrites: [] };
  const { cards, trailing } = read.value;
  // Where an instance passes parameters on, a name has no one value to put in its place.
  const isPassed = cards.some((c) => /^x/i.test(c.text) && c.text.includes('='));
  const writer = new Rewriter(chosen, set, !isPassed);
  const lines = cards.map((card) => ({ card, text: writer.card(card) }));
  const keepsNames = lines.some(({ text }) => /[{']/.test(text.replace(/^\.(param|subckt)\b.*$/i, '')));
  const out = lines.flatMap(({ card, text }) => {
    const final = keepsNames ? text : writer.withoutNames(card, text);
    const changed = final !== card.text;
    const inline = card.raw.flatMap((r) => (r.comment === '' ? [] : [`* ${namedNode(r.text)}${r.comment}`]));
    if (inline.length > 0) writer.rewrites.push({ line: card.line, what: 'a comment has its own line' });
    const above = [...card.above, ...(card.between ?? [])].map(commentLine);
    return [...above, ...inline, ...(final === '' ? [] : changed ? wrap(final) : card.raw.map((r) => r.text.trim()))];
  });
  const rest = trailing.map(commentLine);
  return { text: [...out, ...rest].join('\n'), rewrites: writer.rewrites.sort((a, b) => a.line - b.line) };
}

/** A comment as a line of its own; one that stood behind a sign of a dialect gets the star. */
const commentLine = ({ raw, text }: Comment): string => (raw.trimStart().startsWith('*') ? raw.trim() : `* ${text}`);

/** A comment beside one node of a header keeps its node: `+ OUT ; output` becomes `* OUT = output`. */
const namedNode = (text: string): string => {
  const node = /^\s*\+\s*(\S+)\s*$/.exec(text)?.[1];
  return node === undefined || node.includes('=') ? '' : `${node} = `;
};

class Rewriter {
  readonly rewrites: Rewrite[] = [];
  private readonly scopes: Names[] = [new Map<string, number>()];
  private readonly models = new Map<string, ModelCard>();

  constructor(
    private readonly chosen: string,
    private readonly set: Readonly<Record<string, string>>,
    private readonly canResolve: boolean,
  ) {}

  private get names(): Names {
    return this.scopes.at(-1)!;
  }

  private said(card: Card, what: string, text: string): string {
    this.rewrites.push({ line: card.line, what });
    return text;
  }

  card(card: Card): string {
    const word = /^\.?\S+/.exec(card.text)![0].toLowerCase();
    if (word === '.subckt' || word === '.macro') return this.header(card, word);
    if (word === '.ends' || word === '.eom') {
      if (this.scopes.length > 1) this.scopes.pop();
      return word === '.eom' ? this.said(card, '.eom is .ends', card.text.replace(/^\.eom/i, '.ends')) : card.text;
    }
    if (/^\.params?$/.test(word)) {
      this.learn(card.text.replace(/^\S+/, ''));
      return card.text;
    }
    if (word === '.model') return this.constants(card, this.model(card));
    if (/^[eg]/.test(word)) {
      const behaves = /^([eg])(\S*)\s+(\S+\s+\S+)\s+(?:value|vol|cur)\s*=?\s*([{'])(.*)[}']\s*$/i.exec(card.text);
      const [, letter = '', name = '', nodes = '', , written = ''] = behaves ?? [];
      const expression = this.withoutBraces(written);
      if (behaves && !/[{}']/.test(expression)) {
        const kind = /^e$/i.test(letter) ? 'V' : 'I';
        return this.said(
          card,
          `a VALUE= source is the B source B${letter}${name}`,
          `B${letter}${name} ${nodes} ${kind}=${this.put(expression)}`,
        );
      }
    }
    if (word.startsWith('b') && /[{']|\*\*/.test(card.text))
      return this.said(
        card,
        'an expression without braces',
        card.text.replace(/=.*$/, (value) => this.put(value.replace(/[{}']/g, ''))),
      );
    return this.constants(card, card.text);
  }

  private header(card: Card, word: string): string {
    const { name, params } = readSubcktHeader(card);
    const own: Names = new Map(this.names);
    this.scopes.push(own);
    const given = name.toLowerCase() === this.chosen.toLowerCase() ? lowered(this.set) : new Map<string, string>();
    for (const p of params) this.learn(`${p.name}=${given.get(p.name.toLowerCase()) ?? p.value}`);
    return word === '.macro' ? this.said(card, '.macro is .subckt', card.text.replace(/^\.macro/i, '.subckt')) : card.text;
  }

  private learn(text: string): void {
    for (const [, name, value] of text.matchAll(/(\w+)\s*=\s*(\{[^}]*\}|'[^']*'|\S+)/g)) {
      const constant = this.canResolve ? constantOf(value!.replace(/^[{']|[}']$/g, ''), this.names) : undefined;
      if (constant === undefined) this.names.delete(name!.toLowerCase());
      else this.names.set(name!.toLowerCase(), constant);
    }
  }

  /** Names of parameters in an expression replaced by their values; a node or a source in V() or I() keeps its name. */
  private put(text: string): string {
    const replaced = text.replace(/\b[vi]\s*\([^)]*\)|(?<![\w.])[a-z_]\w*/gi, (word) => {
      const value = word.includes('(') ? undefined : this.names.get(word.toLowerCase());
      return value === undefined ? word : value < 0 ? `(${value})` : String(value);
    });
    return replaced.replace(/\*\*/g, '^');
  }

  /** Braces within an expression, `IF(V(A) > {VTH}, 1, 0)`: the number in them, or brackets in their place. */
  private withoutBraces(expression: string): string {
    return expression.replace(/\{([^{}]*)\}/g, (_, inner: string) => String(constantOf(inner, this.names) ?? `(${inner})`));
  }

  private constants(card: Card, text: string): string {
    const out = text.replace(/\{([^{}]*)\}|'([^']*)'/g, (all, braced?: string, quoted?: string) => {
      const value = constantOf(braced ?? quoted ?? '', this.names);
      return value === undefined ? all : String(Number(value.toPrecision(12)));
    });
    return out === text || /^\.(inc|include|lib)\b/i.test(text) ? text : this.said(card, 'an expression is the number that it gives', out);
  }

  private model(card: Card): string {
    const read = readModelCard(card);
    if (!read) return card.text;
    const base = read.base === undefined ? undefined : this.models.get(read.base.toLowerCase());
    const full = base ? derivedCard(read, base) : read;
    this.models.set(read.name.toLowerCase(), full);
    const text = (type: string, params: ModelCard['params']) =>
      `.model ${read.name} ${type}(${params.map((p) => `${p.name}=${p.value}`).join(' ')})`;
    if (base) return this.said(card, `the model has the parameters of ${read.base} with its own`, text(full.type, full.params));
    if (/^vswitch$/i.test(read.type)) return this.vswitch(card, read, text);
    return card.text;
  }

  /** VON and VOFF become the threshold between them and the hysteresis around it (3f5 user's manual, 3.1.5). */
  private vswitch(card: Card, read: ModelCard, text: (type: string, params: ModelCard['params']) => string): string {
    const value = (name: string, otherwise: number) =>
      constantOf(read.params.find((p) => p.name.toLowerCase() === name)?.value ?? String(otherwise), this.names);
    const [on, off, ron, roff] = [value('von', 1), value('voff', 0), value('ron', 1), value('roff', 1e6)];
    if (on === undefined || off === undefined || ron === undefined || roff === undefined || on <= off) return card.text;
    const params = Object.entries({ vt: (on + off) / 2, vh: (on - off) / 2, ron, roff }).map(([name, v]) => ({ name, value: String(v) }));
    return this.said(card, 'VSWITCH is SW: it switches at once and not over a slope', text('SW', params));
  }

  /** Drops definitions of parameters that nothing names any more. */
  withoutNames(card: Card, text: string): string {
    if (!this.canResolve) return text;
    if (/^\.params?\b/i.test(text)) return this.said(card, 'the parameters stand where they are used', '');
    if (!/^\.subckt\b/i.test(text) || !text.includes('=')) return text;
    const { name, nodes, optional } = readSubcktHeader({ ...card, text });
    return optional.length > 0
      ? text
      : this.said(card, 'the parameters stand where they are used', ['.subckt', name, ...nodes].join(' ').trimEnd());
  }
}

const lowered = (set: Readonly<Record<string, string>>): Map<string, string> =>
  new Map(Object.entries(set).map(([k, v]) => [k.toLowerCase(), v]));

/** A card over several lines of 78 columns at most. */
function wrap(text: string): string[] {
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/)) {
    if (line !== '' && line.length + word.length > 76) {
      lines.push(line);
      line = `+ ${word}`;
    } else line = line === '' ? word : `${line} ${word}`;
  }
  return [...lines, line];
}
