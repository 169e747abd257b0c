import type { ReadOptions, TableChoice } from '../proposal';
import type { Scored } from './found-table';
import { filled } from './grid';
import { rolesSet } from './join-tables';

/**
 * The tables of a text or of sheets that a person can take or leave, in the order of `all`. A table is called by the line
 * that stands right over its heading, by its sheet where that has no other, or by its headings.
 */
export function choicesOf<T extends Scored & { sheet?: { name: string } }>(
  all: readonly T[],
  chosen: readonly T[],
  options: ReadOptions,
): TableChoice[] {
  const first = chosen[0]?.table.columns ?? [];
  return all.map((found, index) => {
    const { columns, rows } = found.table;
    const roles = rolesSet(options, columns, first, index);
    return {
      title: captionOf(found, ofSheet(found, all)) ?? aloneOn(found.sheet, all) ?? columns.flatMap((c) => c.heading || []).join(', '),
      ...(found.sheet ? { sheet: found.sheet.name } : {}),
      rows: rows.length,
      taken: chosen.includes(found),
      columns: columns.map((c, i) => ({ ...c, role: roles?.[i] ?? c.role })),
    };
  });
}

const ofSheet = <T extends { sheet?: object }>(found: T, all: readonly T[]): T[] => all.filter((f) => f.sheet === found.sheet);

const aloneOn = (sheet: { name: string } | undefined, all: readonly { sheet?: object }[]): string | undefined =>
  sheet && all.filter((f) => f.sheet === sheet).length === 1 ? sheet.name : undefined;

/** Lines up to this far over a heading are its caption; there may be a blank one between. */
const NEAR = 2;

/** The one text on the line over a heading, whether it stands alone there or was taken for a last group of the table before. */
function captionOf({ table: { around, headerLine = 0 } }: Scored, all: readonly Scored[]): string | undefined {
  const above = [...around, ...all.flatMap((f) => f.table.rows)].filter((row) => row.line < headerLine && row.line >= headerLine - NEAR);
  const [only, ...others] = above.flatMap(filled);
  return only !== undefined && others.length === 0 && only.length <= 80 ? only.replace(/[:\s]+$/, '') : undefined;
}

/** Tables in the order of the source. */
export const inOrder = <T extends Scored>(found: readonly T[]): T[] => [...found].sort((a, b) => lineOf(a) - lineOf(b));

const lineOf = ({ table }: Scored): number => table.headerLine ?? table.rows[0]?.line ?? 0;
