import { problem, rowLetters, rowNumber, type Problem } from '../../part';
import { countedIn, packageIn } from '../table/headings';
import { terminalsIn, type Proposal, type Terminal } from '../proposal';

/**
 * What the source itself has wrong: a number that stands twice, a gap in the sequence, a count that does not fit the
 * package's name. Numbers that stand twice get a doubt too, so that neither is taken unseen.
 */
export function checkCompleteness(proposal: Proposal, declared?: number): Problem[] {
  return proposal.packages.flatMap(({ name }) => {
    const terminals = terminalsIn(proposal, name);
    const numbers = terminals.map((t) => t.numbers[name]!);
    return [
      ...twice(terminals, name),
      ...gaps(numbers, proposal.packages.length > 1 ? `${name}: the` : 'The'),
      ...firstRows(numbers, proposal.packages.length > 1 ? `${name}: the` : 'The'),
      ...count(numbers, name, declared),
    ];
  });
}

function twice(terminals: Terminal[], packageName: string): Problem[] {
  // Most sources have each number once, which is seen without lists.
  if (new Set(terminals.map((t) => t.numbers[packageName])).size === terminals.length) return [];
  const byNumber = new Map<string, Terminal[]>();
  for (const t of terminals) byNumber.set(t.numbers[packageName]!, [...(byNumber.get(t.numbers[packageName]!) ?? []), t]);
  return [...byNumber]
    .filter(([, same]) => same.length > 1)
    .map(([number, same]) => {
      for (const t of same)
        if (!t.doubts.some((d) => d.field === 'number'))
          t.doubts.push({ field: 'number', reason: `Number ${number} stands ${same.length} times.` });
      return problem('number-twice', { number, names: [...new Set(same.map((t) => t.name))].join(', ') }, { line: same[1]!.origin?.line });
    });
}

/** Gaps between plain numbers that start at 1; `of` says the package. Balls may be depopulated, so they have none. */
function gaps(numbers: string[], of: string): Problem[] {
  // In sequence as they stand, as most sources have them.
  if (numbers.every((n, i) => n === String(i + 1))) return [];
  const plain = [...new Set(numbers.filter((n) => /^\d+$/.test(n)).map(Number))].sort((a, b) => a - b);
  if (plain.length < numbers.length * 0.6) return [];
  const found: Problem[] = [];
  [0, ...plain].forEach((from, i, all) => {
    const to = all[i + 1];
    if (to !== undefined && to - from > 1)
      found.push(
        problem('number-gap', {
          of,
          jump: from === 0 ? `begin at ${to}` : `jump from ${from} to ${to}`,
          missing: to - from === 2 ? `${from + 1} is` : `${from + 1} to ${to - 1} are`,
        }),
      );
  });
  return found.slice(0, 20);
}

/** So many rows show that a grid is one, and no few contacts of several connectors. */
const ROWS_OF_GRID = 3;

/**
 * The rows that a ball grid lacks before its first one: single balls and inner rows may be depopulated, the first row hardly is.
 * Rows are counted by their letters as JEDEC JEP95 has them; `of` says the package.
 */
function firstRows(numbers: readonly string[], of: string): Problem[] {
  const balls = numbers.flatMap((n) => /^([A-Z]{1,2})\d{1,2}$/.exec(n)?.[1] ?? []);
  const rows = [...new Set(balls)].map(rowNumber);
  if (balls.length < 0.8 * numbers.length || rows.length < ROWS_OF_GRID || rows.includes(-1)) return [];
  const first = rows.reduce((least, row) => Math.min(least, row));
  if (first === 0) return [];
  const missing = first === 1 ? 'row A is' : `rows A to ${rowLetters(first - 1)} are`;
  return [problem('rows-first', { of, row: rowLetters(first), missing })];
}

/** The exposed pad and mechanical pads are not counted in a package's name, so one or a few more are right. */
function count(numbers: string[], packageName: string, declared?: number): Problem[] {
  const expected = packageIn(packageName)?.count ?? countedIn(packageName) ?? declared;
  if (expected === undefined) return [];
  const found = new Set(numbers).size;
  const extra = numbers.filter((n) => !/^\d+$/.test(n) || Number(n) > expected).length;
  const isGrid = numbers.some((n) => /^[A-Z]{1,2}\d+$/.test(n));
  if (found === expected || (!isGrid && found - extra === expected)) return [];
  return [problem('count-package', { package: packageName === '' ? 'By its text it' : `Package ${packageName}`, expected, found })];
}
