/** How a function of the common dialects is said in the engine's own; undefined where it has none. */
type Say = (args: readonly string[]) => string | undefined;

const sure = (args: readonly string[], n: number, say: (...a: string[]) => string): string | undefined =>
  args.length === n ? say(...args) : undefined;

/**
 * The engine's B source (its manual, 5.1.1.1) has conditions as `c ? a : b`, `pwl` for tables, and `pwr` with the sign of
 * its base, which the dialects call PWRS; their PWR is without it.
 */
const FUNCTIONS: Record<string, Say> = {
  if: (args) => sure(args, 3, (c, a, b) => `((${c}) ? (${a}) : (${b}))`),
  limit: (args) => sure(args, 3, (x, low, high) => `min(max((${x}),(${low})),(${high}))`),
  pwr: (args) => sure(args, 2, (x, y) => `pow(abs(${x}),(${y}))`),
  pwrs: (args) => sure(args, 2, (x, y) => `pwr((${x}),(${y}))`),
  stp: (args) => sure(args, 1, (x) => `u(${x})`),
  buf: (args) => sure(args, 1, (x) => `u((${x})-0.5)`),
  inv: (args) => sure(args, 1, (x) => `u(0.5-(${x}))`),
  arctan: (args) => sure(args, 1, (x) => `atan(${x})`),
  table: (args) => (args.length >= 5 && args.length % 2 === 1 ? tableOf(args[0]!, args.slice(1)) : undefined),
  tbl: (args) => FUNCTIONS['table']!(args),
};

/** Values between the points by straight lines; before the first and behind the last the value stays. */
export function tableOf(x: string, points: readonly string[]): string {
  // Beyond its ends the engine's pwl goes on with the slope of the last step, a dialect's table stays.
  const [first, last] = [points[0]!, points.at(-2)!];
  return `pwl(min(max((${x}),(${first})),(${last})), ${points.join(', ')})`;
}

/** The place of the bracket that closes the one at `open`; the length of the text where none does. */
function closing(text: string, open: number): number {
  let depth = 0;
  for (let i = open; i < text.length; i++) {
    if (text[i] === '(') depth++;
    if (text[i] === ')' && --depth === 0) return i;
  }
  return text.length;
}

/** The arguments between commas that stand in no further bracket. */
function argumentsOf(text: string): string[] {
  const out: string[] = [];
  let [depth, from] = [0, 0];
  [...text].forEach((c, i) => {
    if (c === '(') depth++;
    if (c === ')') depth--;
    if (c === ',' && depth === 0) {
      out.push(text.slice(from, i).trim());
      from = i + 1;
    }
  });
  return [...out, text.slice(from).trim()];
}

/** An expression with the dialects' functions and single logical signs in the engine's words; V() and I() stay. */
export function engineExpression(text: string): string {
  const signs = text
    .replace(/(?<![&|])([&|])(?![&|])/g, '$1$1')
    .replace(/~/g, '!')
    .replace(/\*\*/g, '^')
    .replace(/\b[vi]\s*\([^)]*\)|(?<![\w.])temp(?![\w(])/gi, (word) => (word.includes('(') ? word : 'temper'));
  let out = '';
  let rest = signs;
  for (;;) {
    const call = /(?<![\w.])([a-z_]\w*)\s*\(/i.exec(rest);
    if (!call) return out + rest;
    const open = call.index + call[0].length - 1;
    const end = closing(rest, open);
    const name = call[1]!.toLowerCase();
    const inside = rest.slice(open + 1, end);
    const args = /^[vi]$/.test(name) ? undefined : argumentsOf(inside).map(engineExpression);
    const said = args && FUNCTIONS[name]?.(args);
    out += rest.slice(0, call.index) + (said ?? `${call[1]}(${args ? args.join(', ') : inside})`);
    rest = rest.slice(end + 1);
  }
}
