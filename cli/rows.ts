import Papa from 'papaparse';
import { linesOf } from '../core/intake';
import { problem, type ProblemCode } from '../core/part';
import { readTextFile } from './files';
import { refusalOf } from './refusal';

/** A row of a CSV under its headings, each cell trimmed and empty where the row ends before it; `line` counts from 1. */
export interface CsvRow {
  cell: (heading: string) => string;
  line: number;
}

/** The rows of a CSV (RFC 4180) by `heading` of each of its columns; refused with `without` where one of `needed` is missing. */
export function readCsvRows(file: string, needed: readonly string[], without: ProblemCode, heading = (h: string) => h): CsvRow[] {
  const { data } = Papa.parse<string[]>(readTextFile(file).replace(/^\uFEFF/, ''));
  let next = 1;
  const numbered = data.map((cells) => {
    const line = next;
    next += linesOf(cells);
    return { cells: cells.map((c) => c.trim()), line };
  });
  const [head, ...rows] = numbered.filter(({ cells }) => cells.some((c) => c !== ''));
  const heads = head?.cells.map((h) => heading(h.toLowerCase())) ?? [];
  if (rows.length === 0 || !needed.every((n) => heads.includes(n))) throw refusalOf([problem(without, {}, { file })]);
  return rows.map(({ cells, line }) => ({ line, cell: (name) => cells[heads.indexOf(name)] ?? '' }));
}
