import type { Evidence } from './evidence';

/** What is looked at in a terminal, each with the text that a person would be shown for it. */
export type Traits = Map<string, string>;

/** So many clauses of a description are looked at, and so many parts of a name. */
const CLAUSES = 4;
const NAME_PARTS = 4;
/** What stands further behind in a long text says little of the terminal. */
const LONGEST = 400;
const CLAUSE_END = /[.;](?:\s|$)/;
const WORD = /[A-Za-zµμΩ][A-Za-z0-9²Ω]*|\d[\d.]*/g;
const ENDINGS = ['ing', 'ed', 'es', 's'];

/** A word without its figures and its ending, so that `selects` and `selecting` are one. */
function stem(word: string): string {
  const plain = word
    .toLowerCase()
    .replace('μ', 'µ')
    .replace(/\d[\d.,]*/g, '#');
  const ending = ENDINGS.find((e) => plain.length > e.length + 3 && plain.endsWith(e));
  return ending ? plain.slice(0, -ending.length) : plain;
}

/**
 * The traits of a terminal that `precedents` weighs: its name's shape and parts, what the type column says, and the words of
 * its description, alone and in pairs, those of the first clause apart and together with the column. Independent of the
 * wordings that `type-words` knows, so that it can contradict them.
 */
export function traitsOf(name: string, told: readonly Evidence[], hasCode: boolean, description: string): Traits {
  const traits: Traits = new Map([['every', '']]);
  const column = told.length > 0 ? [...new Set(told.map((e) => e.type))].sort().join('+') : hasCode ? 'odd' : 'none';
  traits.set(`column ${column}`, '');
  const shape = name.trim().toUpperCase().replace(/\d+/g, '#');
  const shown = `name ${name}`;
  for (const [kind, part] of [
    ['name', shape],
    ['starts', shape.slice(0, 2)],
    ['starts', shape.slice(0, 3)],
    ['ends', shape.slice(-2)],
    ['ends', shape.slice(-3)],
  ])
    traits.set(`${kind} ${part}`, shown);
  for (const part of shape
    .split(/[_/\s.()-]+/)
    .filter((p) => p !== '')
    .slice(0, NAME_PARTS))
    traits.set(`part ${part}`, shown);
  if (description.trim() === '') traits.set('no words', '');
  description
    .slice(0, LONGEST)
    .split(CLAUSE_END)
    .slice(0, CLAUSES)
    .forEach((clause, i) => addWords(traits, clause, i === 0 ? column : undefined));
  return traits;
}

/** The words of a clause; `column` is given for the first, which most often says what the terminal is. */
function addWords(traits: Traits, clause: string, column: string | undefined): void {
  const words = clause.match(WORD) ?? [];
  const stems = words.map(stem);
  const set = (trait: string, from: number, to: number) => traits.set(trait, words.slice(from, to + 1).join(' '));
  stems.forEach((word, i) => {
    const pair = i + 1 < stems.length ? `${word} ${stems[i + 1]}` : undefined;
    set(`word ${word}`, i, i);
    if (pair) set(`pair ${pair}`, i, i + 1);
    if (column === undefined) return set(`later ${word}`, i, i);
    set(`first ${word}`, i, i);
    set(`${column} & ${word}`, i, i);
  });
  const last = stems.length - 1;
  if (column === undefined || last < 0) return;
  set(`begins ${stems[0]}`, 0, 0);
  set(`${column} & begins ${stems[0]}`, 0, 0);
  set(`closes ${stems[last]}`, last, last);
  if (last === 0) return;
  set(`begins ${stems[0]} ${stems[1]}`, 0, 1);
  set(`closes ${stems[last - 1]} ${stems[last]}`, last - 1, last);
}
