import type { Doubt } from '../../../part';
import { mapCells, type GridRow, type RowsInColumns } from '../grid';
import { readNumberCell } from '../numbers';

/** A heading over the numbers of one of several equal channels: `Channel A`, `Amplifier 2`. */
const CHANNEL = /^(?:channel|ch|section|gate|amp|amplifier|comparator|driver|switch|half)\.?\s*#?\s*([A-H]|[1-9])$/i;

const channelOf = (heading: string): string | undefined => CHANNEL.exec(heading.trim())?.[1]?.toUpperCase();

/**
 * Tables that list a function once with its number in each channel, as a row for each: the terminal is called by both, and
 * a person is asked, since no cell has that name. Other tables are given back as they are.
 */
export function splitChannels({ columns, rows }: RowsInColumns): RowsInColumns {
  const all = columns.flatMap((c, i) => (c.role === 'number' && channelOf(c.heading) !== undefined ? [i] : []));
  const name = columns.findIndex((c) => c.role === 'name');
  const [first] = all;
  if (first === undefined || all.length < 2 || name < 0) return { columns, rows };
  const isFilled = (cell: string | undefined) => readNumberCell(cell?.trim() ?? '').kind === 'list';
  return {
    columns: columns.map((c, i) => (i === first ? { ...c, heading: '', packageName: '' } : all.includes(i) ? { ...c, role: 'ignore' } : c)),
    rows: rows.flatMap((row) => {
      const own = all.filter((i) => isFilled(row.cells[i]));
      if (own.length < 2) return [{ ...row, cells: row.cells.map((c, i) => (i === first ? (row.cells[own[0] ?? first] ?? '') : c)) }];
      return own.map((channel) => {
        const printed = row.cells[name]!.trim();
        const called = inChannel(printed, channelOf(columns[channel]!.heading)!);
        const reason = `“${printed}” stands under “${columns[channel]!.heading}”; the name is put together of both.`;
        return withCells(row, [[first, row.cells[channel]!], [name, called]], [first, channel], { field: 'name', reason, candidates: [called, printed] }); // prettier-ignore
      });
    }),
  };
}

/** A heading over the names of one row of a connector's contacts: `Row A`, `Row B signal`. */
const ROW = /^row ([a-e])\b/i;

/**
 * Connectors listed with a column for each of their rows of contacts, as a row for each contact: 1 in row A is A1, which no
 * cell says, so that a person is asked. Other tables are given back as they are.
 */
export function splitContacts({ columns, rows }: RowsInColumns): RowsInColumns {
  const letterOf = (i: number) => ROW.exec(columns[i]!.heading.trim())?.[1]?.toUpperCase();
  const number = columns.findIndex((c) => c.role === 'number' && !ROW.test(c.heading.trim()));
  const all = columns.flatMap((c, i) => (c.role !== 'number' && letterOf(i) !== undefined ? [i] : []));
  const [first] = all;
  if (first === undefined || all.length < 2 || number < 0) return { columns, rows };
  return {
    columns: columns.map((c, i) => ({ ...c, role: i === first ? 'name' : all.includes(i) ? 'ignore' : c.role })),
    rows: rows.flatMap((row) => {
      const printed = row.cells[number]?.trim() ?? '';
      // Headings of groups and what goes on stay as they are.
      if (!/^\d{1,4}$/.test(printed)) return [row];
      const own = all.filter((contact) => (row.cells[contact]?.trim() ?? '') !== '');
      return own.map((contact) => {
        const called = `${letterOf(contact)}${printed}`;
        const reason = `${printed} stands beside “${columns[contact]!.heading}”; the number is put together of both.`;
        return withCells(row, [[number, called], [first, row.cells[contact]!]], [first, contact], { field: 'number', reason, candidates: [called, printed] }); // prettier-ignore
      });
    }),
  };
}

/** A row with other texts in some of its cells, the place of one of them taken from another. */
function withCells(row: GridRow, texts: [at: number, text: string][], [to, from]: [number, number], doubt: Doubt): GridRow {
  const out = mapCells(row, (of) => of.map((v, i) => (i === to ? of[from]! : v)));
  for (const [at, text] of texts) out.cells[at] = text;
  return { ...out, doubt };
}

/** `OUT` of A is OUTA, `IN-` of A is INA-. */
const inChannel = (name: string, channel: string): string => name.replace(/[+\-−–]?$/, (sign) => `${channel}${sign}`);
