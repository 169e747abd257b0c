import { Parser } from 'htmlparser2';
import { ok, problem, refuse, type Result } from '../../part';
import type { Proposal, ReadOptions } from '../proposal';
import { readBallMaps } from '../table/ball-map';
import { inOrder, readOffered, type Offered } from '../table/choices';
import { findLists } from '../table/find-list';
import { isBlank, type Grid, type GridRow } from '../table/grid';
import { cellRef, type Sheet } from '../sheet/sheet';
import { raise } from '../table/raised';
import { narrow } from '../text/narrow';
import { readSignalLists } from '../table/signal-list';
import { readLegend } from '../understand/legend';
import { BLOCK, UNSHOWN } from './lines';

export { isHtmlOfLines, linesOfHtml } from './lines';

interface Cell {
  text: string;
  cols: number;
  rows: number;
}

interface Table {
  rows: Cell[][];
  /** Its caption, or the heading or the line that it stands under. */
  caption?: string | undefined;
}

interface Page {
  tables: Table[];
  /** Text outside of tables. */
  around: string[];
  /** Its first heading, which most often names the part. */
  title?: string;
}

/** More than this many columns or rows are not spanned by one cell of a pin table. */
const MOST_SPAN = 1000;
/** More tables than this are a site's, not a page's. */
const MOST_TABLES = 1000;
const HEADING = /^h[1-6]$/;
/** A longer title is cut. */
const LONGEST_CAPTION = 80;
/** Elements that are never closed. */
const VOID = new Set(['br', 'img', 'input', 'meta', 'link', 'hr', 'col']);

/** True for text that is HTML with a table in it, as browsers and spreadsheets put it on the clipboard. */
export const isHtmlTable = (text: string): boolean => /<table[\s>]/i.test(text) && /<t[dh][\s>]/i.test(text);

/** Reads a pin table from HTML: spans are honoured, raised digits and overlines are kept, scripts and styles are dropped. */
export function readHtml(html: string, options: ReadOptions = {}): Result<Proposal> {
  const { file } = options;
  const page = tablesOf(html);
  if (page.tables.length > MOST_TABLES) return refuse(problem('html-many', { tables: page.tables.length }, { file }));
  const grids = page.tables.map(({ rows }, i) => gridOf(rows, i));
  const found = grids.flatMap((grid, i): Offered[] =>
    inOrder(findLists(grid)).map((f) => ({ ...f, sheet: { name: nameOf(i) }, caption: page.tables[i]!.caption })),
  );
  if (found.length === 0) {
    const beside = { signals: readSignalLists(grids), legend: readLegend(page.around) };
    const maps = grids.map((grid) => ({ grid, titles: page.around }));
    const map = readBallMaps(maps, [], options, beside);
    if (map) return map;
    return refuse(problem('html-none', {}, { file }));
  }
  const aroundOf = ({ table, caption = '' }: Offered) => {
    const outside = table.around.filter((r) => !isBlank(r)).map((r) => r.cells.join(' '));
    const around = [caption, ...page.around, ...outside].filter((text) => text !== '');
    return { titles: around.slice(0, 14), legend: around, notes: around, signals: () => readSignalLists(grids) };
  };
  const read = readOffered(found, aroundOf, options);
  return read.ok ? ok({ ...read.value, title: page.title ?? page.around[0] ?? '' }) : read;
}

const nameOf = (index: number): string => `table ${index + 1}`;

/** The tables of a page as sheets, to be looked at. */
export const sheetsOfHtml = (html: string): Sheet[] =>
  tablesOf(html).tables.map(({ rows }, index) => {
    const cells = gridOf(rows, index).rows.flatMap((r, row) => r.cells.flatMap((text, col) => (text === '' ? [] : [{ row, col, text }])));
    return { name: nameOf(index), cells, merges: [] };
  });

function tablesOf(html: string): Page {
  const page: Page = { tables: [], around: [] };
  const known = new Set<string>();
  let depth = 0;
  let rows: Cell[][] = [];
  let cell: Cell | undefined;
  /** The text of a caption or a heading as it is read. */
  let title: string | undefined;
  /** The one that the next table has. */
  let caption: string | undefined;
  /** The last line outside of tables: over a table a short one is its title. */
  let line = '';
  let [skipped, raised, barred] = [0, 0, 0];
  const overlines: boolean[] = [];
  const write = (text: string) => {
    if (skipped > 0) return;
    const lifted = raised > 0 ? raise(text) : text;
    const shown = barred > 0 ? lifted.replace(/\S/gu, '$&\u0305') : lifted;
    if (title !== undefined) title += shown;
    if (depth === 0) line += shown;
    if (cell) cell.text += shown;
    else if (depth === 0 && text.trim() !== '') page.around.push(text.trim());
  };
  const span = (value: string | undefined) => Math.min(MOST_SPAN, Math.max(1, parseInt(value ?? '1', 10) || 1));
  const parser = new Parser(
    {
      onopentag(name, attributes) {
        const isBar = /overline/i.test(attributes['style'] ?? '') || /^(overline|bar)$/i.test(attributes['class'] ?? '');
        if (!VOID.has(name)) overlines.push(isBar);
        if (isBar) barred++;
        if (depth === 0 && BLOCK.test(name)) line = '';
        if (UNSHOWN.has(name)) skipped++;
        else if (name === 'table' && depth++ === 0) {
          rows = [];
          if (isTitle(line)) caption = line.trim();
          line = '';
        } else if (depth === 1 && name === 'tr') rows.push([]);
        else if (depth === 1 && (name === 'td' || name === 'th')) {
          if (rows.length === 0) rows.push([]);
          cell = { text: '', cols: span(attributes['colspan']), rows: span(attributes['rowspan']) };
          rows.at(-1)!.push(cell);
        } else if (depth === 0 ? HEADING.test(name) : depth === 1 && name === 'caption') title = '';
        else if (name === 'sup') raised++;
        else if (name === 'br' || name === 'p' || name === 'li') write('\n');
      },
      ontext: (text) => write(narrow(text).replace(/\s+/g, ' ')),
      onclosetag(name) {
        if (!VOID.has(name) && overlines.pop()) barred--;
        if (UNSHOWN.has(name)) skipped--;
        else if (name === 'table' && depth > 0 && --depth === 0) {
          // The same table again, as pages for print have it, says nothing more.
          const text = JSON.stringify(rows);
          if (!known.has(text)) page.tables.push({ rows, caption });
          known.add(text);
          caption = undefined;
        } else if (title !== undefined && (name === 'caption' || HEADING.test(name))) {
          caption = title.trim().slice(0, LONGEST_CAPTION) || undefined;
          if (depth === 0 && caption) page.title ??= caption;
          title = undefined;
        } else if (depth === 1 && (name === 'td' || name === 'th')) cell = undefined;
        else if (name === 'sup') raised = Math.max(0, raised - 1);
      },
    },
    { decodeEntities: true, lowerCaseTags: true },
  );
  parser.end(html);
  return page;
}

/** `Table 5. Serial port` before a table; a sentence is none. */
const isTitle = (line: string): boolean => /^\S.*[^.,;:]$/.test(line.trim()) && line.trim().length <= LONGEST_CAPTION;

/** Puts cells in their columns: a cell over several rows or columns takes their places (HTML, 4.9.12). */
function gridOf(rows: readonly Cell[][], index: number): Grid {
  const out: GridRow[] = rows.map((_, i) => ({ line: index * 100_000 + i + 1, cells: [], same: [] }));
  const taken = rows.map(() => new Set<number>());
  rows.forEach((row, r) => {
    let col = 0;
    for (const cell of row) {
      while (taken[r]!.has(col)) col++;
      const text = cell.text.replace(/[ \t]*\n[ \t]*/g, '\n').trim();
      for (let dr = 0; dr < cell.rows && r + dr < rows.length; dr++)
        for (let dc = 0; dc < cell.cols; dc++) {
          taken[r + dr]!.add(col + dc);
          out[r + dr]!.cells[col + dc] = dr === 0 && dc === 0 ? text : '';
          out[r + dr]!.same![col + dc] = dr > 0;
        }
      col += cell.cols;
    }
  });
  const width = out.reduce((n, r) => Math.max(n, r.cells.length), 0);
  out.forEach((r, row) => {
    r.cells = Array.from({ length: width }, (_, i) => r.cells[i] ?? '');
    r.place = { sheet: nameOf(index), refs: r.cells.map((_, col) => cellRef(row, col)) };
  });
  return { layout: 'cells', rows: out };
}
