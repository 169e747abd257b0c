import type { Column } from '../../proposal';
import { isTypeCode, isTypePhrase } from '../../understand/type-codes';
import { mapCells, type GridRow, type RowsInColumns } from '../grid';
import { looksLikeNumbers } from '../numbers';

/** Of so many names each has the same two things in its cell. */
const MOST_NAMES = 0.8;
/** `VDD (P)`: the name with its type behind it. */
const WITH_TYPE = /^(\S+)\s*[([]([A-Z/]{1,5})[)\]]$/i;
/** `VDD Power` under `Signal Dir.`: the same without brackets, where the heading is of both. */
const BEFORE_TYPE = /^(\S+)\s+(\S+(?: \S+){0,2})$/;
const OF_BOTH = /\s(?:dir(?:ection|\.)?|(?:(?:pin|signal|i\/o) )?type|i\/o)\W*$/i;
/** `VIN: input supply`, `GND – ground`: the name, and what it is. */
const WITH_WORDS = /^([A-Z~/+-][\w+\-/#*~.]{0,15})\s*(?::|\s[-–—])\s+(\S[^]*)$/;

/** `VIN (1)`, `GND (2, 5)`: the name with its numbers behind it. */
const WITH_NUMBERS = /^(\S[^()]{0,40}?)\s*[([]\s*(?:pins?\s*)?([^()[\]]{1,60})[)\]]$/i;

/** `1 VOS`, `A1 GND`, under a heading of both: the number with its name behind it. */
const NUMBER_FIRST = /^(\d{1,4}|[A-Z]{1,2}\d{1,2})[.:]?\s+([A-Z+\-−~/][\w+\-−/#.~]{0,23})$/;

const namesIn = (rows: readonly GridRow[], at: number): string[] =>
  rows.map((r) => r.cells[at]?.trim() ?? '').filter((name) => name !== '');

const most = (names: readonly string[], test: (name: string) => boolean): boolean =>
  names.length > 1 && names.filter(test).length >= MOST_NAMES * names.length;

/** Tables whose name cells hold the numbers too, with the two apart. Other tables are given back as they are. */
export function splitNumbers({ columns, rows }: RowsInColumns): RowsInColumns {
  const at = columns.findIndex((c) => c.role === 'name');
  if (at < 0 || columns.some((c) => c.role === 'number')) return { columns, rows };
  const names = namesIn(rows, at);
  const firsts = names.flatMap((name) => NUMBER_FIRST.exec(name)?.[1] ?? []);
  if (firsts.length > 1 && firsts.length >= 0.9 * names.length && new Set(firsts).size === firsts.length)
    return apart({ columns: columns.map((c, i) => (i === at ? { ...c, role: 'number' } : c)), rows }, at, 'name', NUMBER_FIRST);
  const isNumbered = most(names, (name) => looksLikeNumbers(WITH_NUMBERS.exec(name)?.[2] ?? ''));
  return isNumbered ? apart({ columns, rows }, at, 'number', WITH_NUMBERS) : { columns, rows };
}

/**
 * Tables whose name cells hold the type or the description too, where no column of their own has it, with the two apart.
 * Other tables are given back as they are.
 */
export function splitNames({ columns, rows }: RowsInColumns): RowsInColumns {
  const at = columns.findIndex((c) => c.role === 'name');
  const has = (role: Column['role']) => columns.some((c) => c.role === role);
  if (has('type') && has('description')) return { columns, rows };
  const names = namesIn(rows, at);
  const typeOf = (name: string) => WITH_TYPE.exec(name)?.[2];
  const codes = new Set(names.flatMap((name) => typeOf(name) ?? []));
  if (!has('type') && codes.size > 1 && most(names, (name) => isTypeCode(typeOf(name) ?? '')))
    return apart({ columns, rows }, at, 'type', WITH_TYPE);
  const areTyped = !has('type') && OF_BOTH.test(columns[at]!.heading);
  const isType = (text = '') => isTypeCode(text) || isTypePhrase(text);
  if (areTyped && most(names, (name) => isType(BEFORE_TYPE.exec(name)?.[2]))) return apart({ columns, rows }, at, 'type', BEFORE_TYPE);
  const isWhole = !has('description') && most(names, (name) => WITH_WORDS.test(name));
  return isWhole ? apart({ columns, rows }, at, 'description', WITH_WORDS) : { columns, rows };
}

/** The table with a column more, behind the others, for the second thing in each name's cell; both have the cell's place. */
function apart({ columns, rows }: RowsInColumns, at: number, role: Column['role'], shape: RegExp): RowsInColumns {
  return {
    columns: [...columns, { ...columns[at]!, role }],
    rows: rows.map((row) => {
      const [, name, second = ''] = shape.exec(row.cells[at]?.trim() ?? '') ?? [];
      const cells = row.cells.map((cell, i) => (i === at ? (name ?? cell) : cell));
      return { ...mapCells(row, (of) => [...of, of[at]!]), cells: [...cells, second] };
    }),
  };
}
