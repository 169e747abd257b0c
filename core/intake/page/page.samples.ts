import { good } from '../../test/samples';
import { readPages, terminalsIn, type ReadOptions } from '..';
import type { DocumentPage, Rule, Run } from './page';

/** Relative widths are not needed here: a character takes half of the font size. */
const ADVANCE = 0.5;

/** Text at a place, on its baseline. */
export const text = (x: number, y: number, value: string, size = 9): Run => ({
  text: value,
  x,
  y,
  width: value.length * size * ADVANCE,
  size,
  turns: 0,
});

export const across = (x1: number, x2: number, y: number): Rule => ({ x1, x2, y1: y, y2: y });
export const down = (x: number, y1: number, y2: number): Rule => ({ x1: x, x2: x, y1, y2 });

export const page = (runs: Run[], rules: Rule[] = [], number = 1): DocumentPage => ({ number, width: 595, height: 842, runs, rules });

interface Layout {
  x?: number[];
  y?: number;
  pitch?: number;
  lead?: number;
  /** Ruled lines around every cell, between rows, or none. */
  rules?: 'all' | 'rows' | 'none';
  right?: number;
}

/** A table as runs and rules: cells with line breaks take several lines. Gives where it ended too. */
export function table(
  rows: string[][],
  { x = [50, 100, 180, 230], y = 100, pitch = 18, lead = 11, rules = 'none', right = 540 }: Layout = {},
) {
  const runs: Run[] = [];
  const lines: Rule[] = [];
  let top = y;
  for (const row of rows) {
    const high = Math.max(1, ...row.map((c) => c.split('\n').length));
    row.forEach((cell, i) => cell.split('\n').forEach((line, k) => line !== '' && runs.push(text(x[i]! + 3, top + 11 + k * lead, line))));
    const bottom = top + pitch + (high - 1) * lead;
    if (rules !== 'none') lines.push(across(x[0]!, right, top), across(x[0]!, right, bottom));
    if (rules === 'all') for (const edge of [...x.slice(0, row.length), right]) lines.push(down(edge, top, bottom));
    top = bottom;
  }
  return { runs, rules: lines, end: top };
}

export const read = (pages: DocumentPage[], options: ReadOptions = {}) => good(readPages(pages, options));

/** The terminals that are read, each as its number and its name. */
export const list = (pages: DocumentPage[], options: ReadOptions = {}): string[] => {
  const proposal = read(pages, options);
  return terminalsIn(proposal).map((t) => `${t.numbers[proposal.package]} ${t.name}`);
};
