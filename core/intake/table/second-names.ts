import type { Terminal } from '../proposal';
import type { Entry } from './entries';

/** Fewer numbers than this with several names each are slips. */
const OFTEN = 2;

/**
 * Terminals that stand again under the next number with another name, as pins of several functions do in some tables: the
 * first is the terminal, the others are its other names, and it is asked. A number that stands twice once only is a slip.
 */
export function withoutSecondNames(terminals: Terminal[]): Terminal[] {
  const isAgain = (t: Terminal, i: number) => {
    const before = terminals[i - 1];
    return before !== undefined && before.name !== t.name && before.row !== t.row && haveSameNumbers(before, t);
  };
  const firsts = new Set(terminals.flatMap((t, i) => (isAgain(t, i) ? [Object.values(t.numbers)[0]] : [])));
  if (firsts.size < OFTEN) return terminals;
  const kept: Terminal[] = [];
  terminals.forEach((t, i) => {
    const owner = kept.at(-1);
    if (!owner || !isAgain(t, i)) return void kept.push(t);
    owner.alternates = [...(owner.alternates ?? []), t.name];
    const names = [owner.name, ...owner.alternates];
    const reason = `${names.join(', ')} stand under one number; the first is taken.`;
    owner.doubts = [...owner.doubts.filter((d) => d.field !== 'name'), { field: 'name', reason, candidates: names }];
  });
  return kept;
}

function haveSameNumbers(a: Terminal, b: Terminal): boolean {
  const packages = Object.keys(a.numbers);
  return packages.length === Object.keys(b.numbers).length && packages.every((name) => a.numbers[name] === b.numbers[name] && a.numbers[name] !== 'EP'); // prettier-ignore
}

/** A function of a terminal told further up: `10 | | I | RxD (P3.0): serial input`, under a port that has 10. */
const SECOND_FUNCTION = /^([A-Za-z][\w/#]{0,15})\s*(?:\([^()]{1,30}\)\s*)?[:–-]/;

/** Adds what a row without a name says to the terminal that has its numbers; false where that is none. */
export function addSecondFunction(entry: Entry, terminals: readonly Terminal[]): boolean {
  const [, signal] = SECOND_FUNCTION.exec(entry.description) ?? [];
  const lists = entry.numbers.filter((n) => n.cell.kind === 'list');
  const isOf = (t: Terminal) => lists.every((n) => n.cell.kind === 'list' && n.cell.numbers[0] === t.numbers[n.packageName]);
  const owner = lists.length > 0 && signal !== undefined ? terminals.find(isOf) : undefined;
  if (!owner || !signal) return false;
  owner.alternates = [...(owner.alternates ?? []), signal];
  return true;
}
