const SUFFIXES: [RegExp, number][] = [
  [/^t/i, 1e12],
  [/^g/i, 1e9],
  [/^meg/i, 1e6],
  [/^mil/i, 25.4e-6],
  [/^k/i, 1e3],
  [/^m/i, 1e-3],
  [/^u|^µ/i, 1e-6],
  [/^n/i, 1e-9],
  [/^p/i, 1e-12],
  [/^f/i, 1e-15],
];

/** A SPICE number with its scale factor (3f5 user's manual, 2.1): `4.7k`, `1meg`, `10uF`; undefined for anything else. */
export function spiceNumber(text: string): number | undefined {
  const match = /^([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)([a-zµ]*)$/i.exec(text.trim());
  if (!match) return undefined;
  const factor = match[2] === '' ? 1 : (SUFFIXES.find(([shape]) => shape.test(match[2]!))?.[1] ?? 1);
  return Number(match[1]) * factor;
}

/**
 * The value of an expression of numbers, names of parameters, + − * / ^ ** and brackets. Undefined where it has anything
 * else: functions, voltages, conditions are not constants.
 */
export function constantOf(text: string, names: ReadonlyMap<string, number> = new Map()): number | undefined {
  const tokens = text.replace(/\*\*/g, '^').match(/(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?[a-zµ]*|[a-z_]\w*|[-+*/^()]|\S/gi) ?? [];
  let at = 0;
  const value = (): number => {
    const token = tokens[at++];
    if (token === '(') {
      const inner = sum();
      if (tokens[at++] !== ')') return NaN;
      return inner;
    }
    if (token === '-') return -power();
    if (token === '+') return power();
    if (token === undefined || tokens[at] === '(') return NaN;
    return spiceNumber(token) ?? names.get(token.toLowerCase()) ?? NaN;
  };
  const power = (): number => {
    const base = value();
    if (tokens[at] !== '^') return base;
    at++;
    return base ** power();
  };
  const product = (): number => {
    let left = power();
    while (tokens[at] === '*' || tokens[at] === '/') left = tokens[at++] === '*' ? left * power() : left / power();
    return left;
  };
  const sum = (): number => {
    let left = product();
    while (tokens[at] === '+' || tokens[at] === '-') left = tokens[at++] === '+' ? left + product() : left - product();
    return left;
  };
  const result = sum();
  return at === tokens.length && Number.isFinite(result) ? result : undefined;
}
