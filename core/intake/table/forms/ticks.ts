import type { RowsInColumns } from '../grid';

/** A tick, in the signs that are written for one. */
const TICK = /^(?:[✓✔√☑☒✗✘×■●•◆*+]|x|y|yes)$/i;
const EMPTY = /^(?:|[-–—−.☐□○]|no?)$/i;

/** What stands over a column of ticks, and the type's code. */
const SAID: readonly [RegExp, string][] = [
  [/^(?:digital |logic |analogu?e? )?(?:in|inputs?|i)$/i, 'I'],
  [/^(?:digital |logic |analogu?e? )?(?:out|outputs?|o)$/i, 'O'],
  [/^(?:i\s*\/\s*o|in\s*\/\s*out|io|bi-?directional|bidir|inout)$/i, 'I/O'],
  [/^(?:power|supply|pwr|p)$/i, 'P'],
  [/^(?:ground|gnd|g)$/i, 'GND'],
  [/^(?:passive)$/i, 'passive'],
  [/^(?:open[- ]drain|od)$/i, 'OD'],
  [/^(?:tri-?state|three-?state|3-?state)$/i, 'OZ'],
  [/^(?:not connected|no connect|n\.?c\.?)$/i, 'NC'],
];

/** The type that a tick under a heading says; undefined where it says none. */
export const typeUnder = (heading: string): string | undefined => SAID.find(([form]) => form.test(heading.trim()))?.[1];

/** The columns of which each stands for one type and has a tick in the rows that are of it; none where there are not two. */
export function ticked(headings: readonly string[], rows: readonly { cells: readonly string[] }[]): number[] {
  const isTicks = (i: number) => {
    const cells = rows.map((r) => r.cells[i]?.trim() ?? '');
    return cells.some((c) => TICK.test(c)) && cells.every((c) => TICK.test(c) || EMPTY.test(c));
  };
  const all = headings.flatMap((heading, i) => (typeUnder(heading) !== undefined && isTicks(i) ? [i] : []));
  return all.length > 1 ? all : [];
}

/**
 * Tables with a column for each type, `Input | Output`, and a tick in it, as if they had one column of types: its codes stand
 * in the first. Other tables are given back as they are.
 */
export function readTicks({ columns, rows }: RowsInColumns): RowsInColumns {
  const headings = columns.map((c) => (c.role === 'type' ? c.heading : ''));
  const [first, ...others] = ticked(headings, rows);
  if (first === undefined) return { columns, rows };
  const all = [first, ...others];
  return {
    columns: columns.map((c, i) => (others.includes(i) ? { ...c, role: 'ignore' } : c)),
    rows: rows.map((row) => {
      const types = all.filter((i) => TICK.test(row.cells[i]?.trim() ?? '')).map((i) => typeUnder(headings[i]!)!);
      const type = types.includes('I') && types.includes('O') ? 'I/O' : types.join(', ');
      return { ...row, cells: row.cells.map((c, i) => (i === first ? type : others.includes(i) ? '' : c)) };
    }),
  };
}
