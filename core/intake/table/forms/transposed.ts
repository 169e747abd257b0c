import { filled, type Grid, type GridRow } from '../grid';
import { roleOfHeading } from '../headings';
import { looksLikeTerminal } from '../numbers';

/** Fewer terminals than this in a row are a row of something else. */
const LEAST = 3;
/** How many rows a terminal has across: number, name, direction, words, and one or two more. */
const MOST_ROWS = 8;

/**
 * A pinout that lies on its side: a row of numbers across, the row of names below it, and perhaps others, each with its
 * heading in the first cell. Given as a table with a row for each terminal; the same again under it goes on with it.
 * Undefined where the grid has none.
 */
export function turned(grid: Grid): Grid | undefined {
  const rows: GridRow[] = [];
  let heads: string[] | undefined;
  for (let at = 0; at < grid.rows.length; at++) {
    const band = bandAt(grid.rows, at);
    if (!band) continue;
    const own = band.map((r) => r.cells[0]!.trim());
    if (heads && own.join('|').toLowerCase() !== heads.join('|').toLowerCase()) continue;
    if (!heads) rows.push({ ...band[0]!, cells: (heads = own) });
    rows.push(...upright(band));
    at += band.length - 1;
  }
  // Rows of pages and sheets are told apart by their count, those of texts say their line.
  const counted = (r: GridRow, i: number) => (r.place ? { ...r, line: grid.rows[0]!.line + i } : r);
  return heads ? { layout: 'cells', rows: rows.map(counted) } : undefined;
}

/** The rows from here on that belong together: numbers in one of the first two, and headings before all of them. */
function bandAt(rows: readonly GridRow[], at: number): GridRow[] | undefined {
  // Most rows of most tables begin with a figure, which heads nothing: a thousand of them are passed by without a look.
  const isHead = (r: GridRow | undefined) => r !== undefined && /^\s*\D/.test(r.cells[0] ?? '') && roleOfHeading(r.cells[0]!) !== undefined;
  const band: GridRow[] = [];
  while (band.length < MOST_ROWS && isHead(rows[at + band.length])) band.push(rows[at + band.length]!);
  const numbers = band.slice(0, 2).findIndex(isNumbers);
  // Another row of numbers begins the next band.
  const next = band.findIndex((r, i) => i > Math.max(1, numbers) && isNumbers(r));
  const own = next < 0 ? band : band.slice(0, next - (numbers === 1 ? 1 : 0));
  const hasName = own.some((r, i) => i !== numbers && ['name', 'ambiguous', 'description'].includes(roleOfHeading(r.cells[0]!)!));
  return numbers >= 0 && own.length > 1 && hasName ? own : undefined;
}

const isNumbers = (row: GridRow): boolean => {
  const [head, ...others] = row.cells;
  const numbers = others.filter((c) => c.trim() !== '');
  return (
    ['number', 'ambiguous'].includes(roleOfHeading(head ?? '') ?? '') &&
    numbers.length >= LEAST &&
    numbers.every((c) => looksLikeTerminal(c.trim()))
  );
};

/** A row for each terminal of a band, each cell with its place. */
function upright(band: readonly GridRow[]): GridRow[] {
  const width = Math.max(...band.map((r) => r.cells.length));
  const { place } = band[0]!;
  return Array.from({ length: width - 1 }, (_, k): GridRow => {
    const i = k + 1;
    const pick = <T>(of: (r: GridRow) => readonly T[] | undefined): T[] => band.map((r) => of(r)?.[i] as T);
    return {
      line: band[0]!.line,
      cells: band.map((r) => r.cells[i]?.trim() ?? ''),
      ...(place
        ? {
            place: {
              ...place,
              ...(place.boxes ? { boxes: pick((r) => r.place?.boxes) } : {}),
              ...(place.refs ? { refs: pick((r) => r.place?.refs) } : {}),
            },
          }
        : {}),
    };
  }).filter((r) => filled(r).length > 1);
}
