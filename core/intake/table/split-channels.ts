import type { RowsInColumns } from './grid';
import { readNumberCell } from './numbers';

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
        const { place } = row;
        return {
          ...row,
          cells: row.cells.map((c, i) => (i === first ? row.cells[channel]! : i === name ? called : c)),
          doubt: { field: 'name' as const, reason, candidates: [called, printed] },
          ...(place?.boxes ? { place: { ...place, boxes: place.boxes.map((b, i) => (i === first ? place.boxes![channel] : b)) } } : {}),
        };
      });
    }),
  };
}

/** `OUT` of A is OUTA, `IN-` of A is INA-. */
const inChannel = (name: string, channel: string): string => name.replace(/[+\-−–]?$/, (sign) => `${channel}${sign}`);
