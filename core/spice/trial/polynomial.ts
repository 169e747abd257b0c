/** The most terms that are written out; a polynomial of more is refused. */
const MOST_TERMS = 400;

/**
 * The expression of a POLY source of SPICE 2 (SPICE 2G.6 user's guide, "Dependent sources"): `n` controls, then the
 * coefficients p0, p1 … pn, p11, p12 … pnn, p111 and so on. One coefficient alone of one control is p1. Controls are
 * pairs of nodes, in brackets or not, or names of voltage sources. Undefined where the numbers do not fit.
 */
export function polynomial(n: number, rest: string, by: 'voltages' | 'currents'): string | undefined {
  const words = rest.replace(/[(),]/g, ' ').trim().split(/\s+/);
  const used = by === 'voltages' ? 2 * n : n;
  const coefficients = words.slice(used);
  if (n < 1 || coefficients.length === 0 || coefficients.length > MOST_TERMS || words[0] === '') return undefined;
  const control = (i: number) => (by === 'voltages' ? `v(${words[2 * i]},${words[2 * i + 1]})` : `i(${words[i]})`);
  const given = n === 1 && coefficients.length === 1 ? ['0', ...coefficients] : coefficients;
  const terms = given.flatMap((value, k) => {
    if (Number(value) === 0) return [];
    const factors = k === 0 ? [] : factorsOf(k, n).map(control);
    return [[value.replace(/^\{|\}$/g, '').replace(/^(.*)$/, '($1)'), ...factors].join('*')];
  });
  return terms.length === 0 ? '0' : terms.join('+');
}

/** Which controls the k-th coefficient multiplies, each with those that are not before it: k from 1. */
function factorsOf(k: number, n: number): number[] {
  let at = 0;
  for (let degree = 1; ; degree++) {
    const factors = Array.from({ length: degree }, () => 0);
    for (;;) {
      if (++at === k) return factors;
      let i = degree - 1;
      while (i >= 0 && factors[i] === n - 1) i--;
      if (i < 0) break;
      const next = factors[i]! + 1;
      factors.fill(next, i);
    }
  }
}
