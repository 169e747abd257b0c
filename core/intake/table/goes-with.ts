import { problem, type Problem } from '../../part';
import type { Scored } from './found-table';
import { readNumberCell } from './numbers';
import { whereOf } from './places';

/** What scores less is no part of a pinout. */
export const LEAST_SCORE = 0.5;

/**
 * What goes with the best table of a document: another of the same kind, a part of the pinout or the same pinout in another
 * package. A table with other columns beside number and name, supplies without a type column, goes with it where it says
 * that its numbers are terminals and has only such as are open in the best one.
 */
export function goesWith(best: Scored): (f: Scored) => boolean {
  const there = numbersIn(best);
  const [taken, hasBalls] = [new Set(there), areBalls(there)];
  return (f) => {
    if (f === best) return true;
    if (f.score < LEAST_SCORE) return false;
    const isAlike = key(f) === key(best);
    const own = numbersIn(f);
    if (areBalls(own) !== hasBalls) return isAlike && packagesOf(f).length > 1;
    if (isAlike) return true;
    const isOpen = own.length > 0 && !own.some((n) => taken.has(n));
    return saysTerminals(f, best) && isOpen && packagesOf(f).join('|') === packagesOf(best).join('|');
  };
}

/**
 * Tables that were not taken with the best one although they say that their numbers are terminals, and have some that are
 * open there beside some that are not: a person has to see what they are.
 */
export function leftBeside(best: Scored, found: readonly Scored[], chosen: readonly Scored[], file: string | undefined): Problem[] {
  const there = new Set(numbersIn(best));
  return found.flatMap((f) => {
    const own = chosen.includes(f) || !saysTerminals(f, best) ? [] : numbersIn(f);
    const again = own.filter((n) => there.has(n)).length;
    const isPart = again > 0 && again < own.length && areBalls(own) === areBalls([...there]);
    const known = { table: f.table.columns.map((c) => c.heading).join(' | '), again, terminals: own.length };
    return isPart ? [problem('table-overlaps', known, { file, ...whereOf(f.table.rows[0]!) })] : [];
  });
}

const saysTerminals = (f: Scored, best: Scored): boolean =>
  /\b(pin|ball|terminal|lead|pad)s?\b/i.test(headingOf(f)) || headingOf(f) === headingOf(best);

const headingOf = ({ table }: Scored): string => (table.columns.find((c) => c.role === 'number')?.heading ?? '').toLowerCase();

const key = (f: Scored): string =>
  f.table.columns
    .filter((c) => c.role !== 'ignore')
    .map((c) => `${c.role} ${c.packageName}`)
    .sort()
    .join('|');

const numbersIn = ({ table }: Scored): string[] => {
  const at = table.columns.findIndex((c) => c.role === 'number');
  return table.rows.flatMap((r) => {
    const read = readNumberCell(r.cells[at] ?? '');
    return read.kind === 'list' ? read.numbers : [];
  });
};

/** Balls `A1` or figures; a part has one or the other, so a list of test points is no part of a ball grid. */
const areBalls = (numbers: readonly string[]): boolean => numbers.filter((n) => /^[A-Z]/.test(n)).length * 2 > numbers.length;

/** The packages of its number columns, sorted. */
const packagesOf = (f: Scored): string[] =>
  key(f)
    .split('|')
    .filter((k) => k.startsWith('number '));
