import type { Column } from '../proposal';
import { isTypeCode } from '../understand/type-codes';
import type { GridRow } from './grid';

interface Table {
  columns: Column[];
  rows: readonly GridRow[];
}

/** Of so many names each has the same two things in its cell. */
const MOST_NAMES = 0.8;
/** `VDD (P)`: the name with its type behind it. */
const WITH_TYPE = /^(\S+)\s*[([]([A-Z/]{1,5})[)\]]$/i;
/** `VIN: input supply`, `GND – ground`: the name, and what it is. */
const WITH_WORDS = /^([A-Z~/+-][\w+\-/#*~.]{0,15})\s*(?::|\s[-–—])\s+(\S[^]*)$/;

/**
 * Tables whose name cells hold the type or the description too, where no column of their own has it, with the two apart.
 * Other tables are given back as they are.
 */
export function splitNames({ columns, rows }: Table): Table {
  const at = columns.findIndex((c) => c.role === 'name');
  const has = (role: Column['role']) => columns.some((c) => c.role === role);
  const names = rows.map((r) => r.cells[at]?.trim() ?? '').filter((name) => name !== '');
  const most = (test: (name: string) => boolean) => names.length > 1 && names.filter(test).length >= MOST_NAMES * names.length;
  const typeOf = (name: string) => WITH_TYPE.exec(name)?.[2];
  const codes = new Set(names.flatMap((name) => typeOf(name) ?? []));
  if (!has('type') && codes.size > 1 && most((name) => isTypeCode(typeOf(name) ?? '')))
    return apart({ columns, rows }, at, 'type', WITH_TYPE);
  const isWhole = !has('description') && most((name) => WITH_WORDS.test(name));
  return isWhole ? apart({ columns, rows }, at, 'description', WITH_WORDS) : { columns, rows };
}

/** The table with a column more, behind the others, for the second thing in each name's cell; both have the cell's place. */
function apart({ columns, rows }: Table, at: number, role: Column['role'], shape: RegExp): Table {
  const again = <T>(of: readonly T[]): T[] => [...of, of[at]!];
  return {
    columns: [...columns, { ...columns[at]!, role }],
    rows: rows.map((row) => {
      const [, name, second] = shape.exec(row.cells[at]?.trim() ?? '') ?? [];
      const cells = row.cells.map((cell, i) => (i === at ? (name ?? cell) : cell));
      const { place } = row;
      return {
        ...row,
        cells: [...cells, second ?? ''],
        ...(row.starts ? { starts: again(row.starts) } : {}),
        ...(row.same ? { same: again(row.same) } : {}),
        ...(place
          ? {
              place: {
                ...place,
                ...(place.boxes ? { boxes: again(place.boxes) } : {}),
                ...(place.refs ? { refs: again(place.refs) } : {}),
              },
            }
          : {}),
      };
    }),
  };
}
