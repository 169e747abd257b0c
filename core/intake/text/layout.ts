import Papa from 'papaparse';
import { problem, type Problem } from '../../part';
import type { Grid, GridRow, Layout } from '../table/grid';
import { alignedRow } from './aligned';
import { fromMarkup, withoutMarks } from './markup';

/** A line of a drawn table that holds no cells: `|---|---|`, `+---+---+`. */
const RULE = /^[\s|+:=-]*$/;

const DELIMITERS: { layout: Layout; delimiter: string }[] = [
  { layout: 'tab', delimiter: '\t' },
  { layout: 'pipe', delimiter: '|' },
  { layout: 'semicolon', delimiter: ';' },
  { layout: 'comma', delimiter: ',' },
];

/** The end of a row of a typeset table's source, whose cells stand between `&`. */
const TYPESET = /\\\\\s*(?:\[[^\]]{0,20}\]\s*)?(?:\\[a-z]+(?:\{[^}]{0,40}\})?\s*){0,4}$/i;
const LONGEST_ROW = 2000;

/** The cells of such a row, as they stand before its end; undefined for any other line. */
function typesetRow(line: string): string | undefined {
  if (line.length > LONGEST_ROW || !line.includes('&')) return undefined;
  const end = TYPESET.exec(line);
  return end === null ? undefined : line.slice(0, end.index);
}

/** A typeset table's source as lines between bars, where the text has one; its marks around words are taken off. */
function fromTypeset(lines: string[]): string[] {
  if (lines.filter((l) => typesetRow(l) !== undefined).length < 2) return lines;
  const plain = (cell: string) =>
    cell
      .replace(/\\(?:text\w*|math\w+|emph|ensuremath)\{([^{}]*)\}/g, '$1')
      .replace(/\\(?:overline|bar)\{([^{}]*)\}/g, (_, barred: string) => [...barred].map((sign) => `${sign}\u0305`).join(''))
      .replace(/(?<!\\)\$([^$]*)(?<!\\)\$/g, '$1')
      .replace(/\\([_&%#$])/g, '$1')
      .trim();
  return lines.map((line) => {
    const row = typesetRow(line);
    if (row === undefined) return /^\s*\\/.test(line) ? '' : line;
    return `| ${row
      .split(/(?<!\\)&/)
      .map(plain)
      .join(' | ')} |`;
  });
}

/** Splits lines into cells. Which delimiter is used is decided by how evenly the lines have it; `least` is how evenly at least. */
export function toGrid(given: string[], problems: Problem[], file?: string, least = 0.5): Grid {
  const lines = fromMarkup(fromTypeset(given));
  const best = DELIMITERS.map((d) => ({ ...d, score: evenness(lines, d.delimiter) })).sort((a, b) => b.score - a.score)[0]!;
  if (best.score < least) return alignedGrid(lines);
  if (best.layout === 'pipe' && !QUOTED_BAR.test(lines.join('\n'))) return { layout: 'pipe', rows: pipeRows(lines) };
  return { layout: best.layout, rows: delimited(lines, best.delimiter, problems, file) };
}

/** Lines as cells by their runs of blanks, whatever commas stand in them. */
export const alignedGrid = (lines: string[]): Grid => ({
  layout: 'aligned',
  rows: lines.map((text, i) => (RULED.test(text) ? { line: i + 1, cells: [], starts: [] } : alignedRow(text, i + 1))),
});

/** A line that only rules the text off, `---  -----`. */
const RULED = /^\s*[-=_]{2}[-=_\s]*$/;

/**
 * The share of filled lines that have the delimiter as often as the most usual line does (or, for commas in prose,
 * nearly so). Quoted text does not count.
 */
function evenness(lines: string[], delimiter: string): number {
  const counts = firstFilled(lines, 150).map((l) => countOf(delimiter, l.includes('"') ? l.replace(/"[^"]*"/g, '') : l));
  const usual = mode(counts.filter((n) => n > 0));
  if (usual === undefined) return 0;
  const even = counts.filter((n) => n === usual).length / counts.length;
  const present = counts.filter((n) => n > 0).length / counts.length;
  // Tabs and bars are hardly ever anything but delimiters; commas and semicolons stand in prose and in number lists.
  const weight = delimiter === '\t' || delimiter === '|' ? Math.max(even, present) : usual >= 2 ? even : even * 0.8;
  return weight;
}

function firstFilled(lines: string[], most: number): string[] {
  const out: string[] = [];
  for (const line of lines) if (!RULE.test(line) && out.push(line) >= most) break;
  return out;
}

function countOf(sign: string, text: string): number {
  let count = 0;
  for (let at = text.indexOf(sign); at >= 0; at = text.indexOf(sign, at + 1)) count++;
  return count;
}

function mode(values: number[]): number | undefined {
  const tally = new Map<number, number>();
  for (const v of values) tally.set(v, (tally.get(v) ?? 0) + 1);
  return [...tally].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0]?.[0];
}

/** Cells in quotes that a bar parts: delimited text, and no drawn table. */
const QUOTED_BAR = /^"[^"\n|]{0,80}"\|"/m;

/** Rows between bars. Where some lines begin with a text, a bar at the start of another ends its first cell, which is empty; rules part nothing. */
function pipeRows(lines: readonly string[]): GridRow[] {
  const bars = lines.map((l) => (RULE.test(l) ? 0 : countOf('|', l)));
  const usual = mode(bars.filter((n) => n > 0));
  const isOpen = lines.some((l, i) => bars[i] === usual && !/^\s*\|/.test(l));
  return lines.flatMap((text, i) => (RULE.test(text) && text.trim() !== '' ? [] : [pipeRow(text, i, isOpen)]));
}

function pipeRow(text: string, index: number, isOpen: boolean): GridRow {
  if (text.trim() === '') return { line: index + 1, cells: [] };
  const inner = isOpen ? text.trim() : text.trim().replace(/^\|/, '').replace(/\|$/, '');
  return { line: index + 1, cells: inner.split(/(?<!\\)\|/).map((c) => withoutMarks(c.trim())) };
}

/** RFC 4180 cells; a quoted cell may run over lines, so lines are counted by their own cells. */
function delimited(lines: string[], delimiter: string, problems: Problem[], file?: string): GridRow[] {
  // Without a quote there is nothing that could hold a delimiter or a line end (RFC 4180, 2.4 to 2.7).
  if (!lines.some((l) => l.includes('"'))) return lines.map((l, i) => ({ line: i + 1, cells: trimmed(l.split(delimiter)) }));
  const { data, errors } = Papa.parse<string[]>(lines.join('\n'), { delimiter, skipEmptyLines: false });
  const unclosed = errors.find((e) => e.code === 'MissingQuotes');
  if (unclosed) problems.push(problem('row-quote', {}, { file, line: lineOfUnclosed(data, unclosed.row) }));
  let line = 1;
  return data.map((cells) => {
    const row = { line, cells: cells.map((c) => (c.includes('\n') ? c.replace(/[^\S\n]*\n\s*/g, '\n').trim() : c.trim())) };
    line += linesOf(cells);
    return row;
  });
}

/** In place: a list of a thousand rows is not copied for its blanks. */
function trimmed(cells: string[]): string[] {
  for (let i = 0; i < cells.length; i++) cells[i] = cells[i]!.trim();
  return cells;
}

/** The lines that a row of delimited text takes; a quoted cell may run over several (RFC 4180, 2.6). */
export const linesOf = (cells: readonly string[]): number => cells.reduce((lines, cell) => lines + countOf('\n', cell), 1);

const lineOfUnclosed = (data: string[][], row = 0): number => data.slice(0, row).reduce((line, cells) => line + linesOf(cells), 1);
