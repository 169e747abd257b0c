import { mapCells, type GridRow } from '../table/grid';
import { rolesOf } from '../table/roles';
import { tenths, unite, type Box } from '../table/box';
import { listedGrid } from '../text/listed';
import type { Described } from './described';
import { segmentsOf, textOf, type Line } from './lines';
import type { Ready } from './ready';
import { regionsOf } from './regions';
import { boxOf } from './words';

/** A line that begins with a terminal and its number, `Pin 2: RxD, receive data`. */
const BEGINS = /^(?:pin|ball|terminal|lead|contact)s?\s*(?:no\.?|#)?\s*[A-Z]{0,2}\d{1,3}\b[^:=]{0,30}[:=]\s*\S/i;
const BULLET = /^[•▪◦·–—*-]\s*/;
/** Fewer lines than this are remarks on single terminals. */
const LEAST = 3;
/** An entry has no more lines than this. */
const MOST_LINES = 3;

/** True for a page's text that has such lines. */
export const hasListed = (text: string): boolean =>
  (text.match(/\b(?:pin|ball|terminal|lead|contact)s?\s*(?:no\.?\s*|#)?[A-Z]{0,2}\d{1,3}\s*[:=]/gi) ?? []).length >= LEAST;

/** `Pin 2`, by itself left of what it is. */
const ALONE = /^(?:pin|ball|terminal|lead|contact) ?(?:no\.? ?|#)?[A-Z]{0,2}\d{1,3}$/i;

/** The text of a line without its bullet; a terminal and what stands apart from it are parted by a colon. */
function withoutBullet(line: Line): string {
  const [first, ...others] = segmentsOf(line);
  if (others.length > 0 && ALONE.test(first!.text)) return `${first!.text}: ${others.map((s) => s.text).join(' ')}`;
  return textOf(line).replace(BULLET, '');
}

/** The terminals that lines list, a line or a few for each; a list may go on in the next text column or page. Undefined where there are none. */
export function listOnPages(ready: readonly Ready[], page: number | undefined): Described | undefined {
  const own = ready.flatMap((r) =>
    page !== undefined && r.page.number !== page
      ? []
      : regionsOf(r.page, r.lines).flatMap((region) => runsOf(region.lines).flatMap((run) => partOf(run, r) ?? [])),
  );
  const rows = own.flatMap((part) => part.rows).map((row, i) => ({ ...row, line: i + 1 }));
  if (rows.length < LEAST) return undefined;
  const heads = own[0]!.heads;
  // A part whose words begin with types has a column more.
  const fitted = own.every((part) => part.heads.length === heads.length) ? rows : rows.map(inThree);
  const columns = rolesOf(fitted === rows ? heads : ['Pin', 'Name', 'Description'], fitted);
  return {
    table: { columns, rows: fitted, around: [], headerLine: undefined },
    choice: {
      title: 'List of terminals',
      page: own[0]!.page,
      rows: rows.length,
      taken: true,
      columns,
      areas: own.map((part) => ({ page: part.page, box: part.box, columns: [] })),
    },
  };
}

/** A row of four cells with its type before its words. */
const inThree = (row: GridRow): GridRow =>
  row.cells.length < 4
    ? row
    : mapCells({ ...row, cells: [row.cells[0]!, row.cells[1]!, `${row.cells[2]} ${row.cells[3]}`.trim(), ''] }, (of) => of.slice(0, 3));

/** Lines from one that begins an entry to the last, with what goes on below each of them. */
function runsOf(lines: readonly Line[]): Line[][] {
  const begins = lines.flatMap((line, i) => (BEGINS.test(withoutBullet(line)) ? [i] : []));
  const runs: { from: number; last: number; count: number }[] = [];
  for (const at of begins) {
    const run = runs.at(-1);
    if (run && at - run.last <= MOST_LINES) Object.assign(run, { last: at, count: run.count + 1 });
    else runs.push({ from: at, last: at, count: 1 });
  }
  return runs.filter((run) => run.count > 1).map((run) => lines.slice(run.from, run.last + 1));
}

interface ListPart {
  heads: string[];
  rows: GridRow[];
  page: number;
  box: Box;
}

function partOf(lines: readonly Line[], { page, back }: Ready): ListPart | undefined {
  const grid = listedGrid(
    lines.map((line) => {
      const text = withoutBullet(line);
      // What goes on is set in.
      return BEGINS.test(text) ? text : `  ${textOf(line)}`;
    }),
  );
  const [head, ...body] = grid?.rows ?? [];
  if (!head || body.length === 0) return undefined;
  const boxAt = (line: number): Box => tenths(back(unite(lines[line - 1]!.words.map(boxOf))!));
  const rows = body.map((row): GridRow => ({ ...row, place: { page: page.number, boxes: row.cells.map(() => boxAt(row.line)) } }));
  return { heads: head.cells, rows, page: page.number, box: tenths(unite(lines.map((_, i) => boxAt(i + 1)))!) };
}
