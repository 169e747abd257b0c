/** What the positive half of a pair ends with, by a sign that it must have, and the name of the other half. */
const HALVES: [sign: string, shape: RegExp, other: (stem: RegExpExecArray) => string][] = [
  ['+', /^(.+)([+])$/, (m) => `${m[1]}-`],
  ['_P', /^(.+)_P(\d*)$/, (m) => `${m[1]}_N${m[2]}`],
  ['P', /^(.+)P(\d*)$/, (m) => `${m[1]}N${m[2]}`],
  ['_D', /^(.*[a-z0-9])_DP$/i, (m) => `${m[1]}_DM`],
  ['_d', /^(.*[a-z0-9])_DP$/i, (m) => `${m[1]}_DM`],
  ['+', /^(.+?)\+(_?\w+)$/, (m) => `${m[1]}-${m[2]}`],
];

const plain = (name: string): string => (/[−–]/.test(name) ? name.replace(/[−–]/g, '-') : name);

/**
 * Differential pairs by name: `AIN1+`/`AIN1−`, `TX_P`/`TX_N`, `INP`/`INN`. Supplies such as `V+`/`V−` are none;
 * the caller leaves them out by type. Gives the names with the positive half first.
 */
export function findPairs(names: readonly string[]): [string, string][] {
  const byPlain = new Map<string, string>();
  for (const n of names) byPlain.set(plain(n), n);
  const paired = new Set<string>();
  const pairs: [string, string][] = [];
  for (const name of names) {
    if (paired.has(name) || !/[+Pp]/.test(name)) continue;
    const own = plain(name);
    for (const [sign, shape, other] of HALVES) {
      const match = own.includes(sign) ? shape.exec(own) : null;
      const partner = match ? byPlain.get(other(match)) : undefined;
      if (partner === undefined || paired.has(partner) || partner === name) continue;
      pairs.push([name, partner]);
      paired.add(name).add(partner);
      break;
    }
  }
  return pairs;
}
