const CHUNK = /\d+|\D+/g;

/**
 * Compares two strings so that runs of digits count as numbers: `D2` before `D10`, ball `B1` after `A12`.
 * Ties are broken by plain code unit order, so the order is total and the same on every machine.
 */
export function compareNatural(a: string, b: string): number {
  const left = a.match(CHUNK) ?? [];
  const right = b.match(CHUNK) ?? [];
  for (let i = 0; i < Math.min(left.length, right.length); i++) {
    const difference = compareChunk(left[i]!, right[i]!);
    if (difference !== 0) return difference;
  }
  return left.length - right.length || (a < b ? -1 : a > b ? 1 : 0);
}

function compareChunk(a: string, b: string): number {
  const bothDigits = /^\d/.test(a) && /^\d/.test(b);
  if (bothDigits) return Number(a) - Number(b);
  return a < b ? -1 : a > b ? 1 : 0;
}

/** Orders terminal numbers: plain numbers first, then ball rows by length (A…Y before AA), then the rest. */
export function compareTerminals(a: string, b: string): number {
  const rank = (n: string) => (/^\d+$/.test(n) ? 0 : /^[A-Z]{1,2}\d+$/.test(n) ? 1 : 2);
  const rowLength = (n: string) => /^[A-Z]*/.exec(n)![0].length;
  return rank(a) - rank(b) || (rank(a) === 1 ? rowLength(a) - rowLength(b) : 0) || compareNatural(a, b);
}
