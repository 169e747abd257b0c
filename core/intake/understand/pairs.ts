const HALVES: [RegExp, (stem: RegExpExecArray) => string][] = [
  [/^(.+?)([+])$/, (m) => `${m[1]}-`],
  [/^(.+?)_P(\d*)$/, (m) => `${m[1]}_N${m[2]}`],
  [/^(.+?)P(\d*)$/, (m) => `${m[1]}N${m[2]}`],
  [/^(.*[a-z0-9])_DP$/i, (m) => `${m[1]}_DM`],
  [/^(.+?)\+(_?\w+)$/, (m) => `${m[1]}-${m[2]}`],
];

const plain = (name: string): string => name.replace(/[−–]/g, '-');

/**
 * Differential pairs by name: `AIN1+`/`AIN1−`, `TX_P`/`TX_N`, `INP`/`INN`. Supplies such as `V+`/`V−` are none;
 * the caller leaves them out by type. Gives the names with the positive half first.
 */
export function findPairs(names: readonly string[]): [string, string][] {
  const byPlain = new Map(names.map((n) => [plain(n), n]));
  const paired = new Set<string>();
  const pairs: [string, string][] = [];
  for (const name of names) {
    if (paired.has(name) || !/[+Pp]/.test(name)) continue;
    for (const [shape, other] of HALVES) {
      const match = shape.exec(plain(name));
      const partner = match ? byPlain.get(other(match)) : undefined;
      if (partner === undefined || paired.has(partner) || partner === name) continue;
      pairs.push([name, partner]);
      paired.add(name).add(partner);
      break;
    }
  }
  return pairs;
}
