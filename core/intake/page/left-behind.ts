import { problem, type Problem } from '../../part';
import { terminalsIn, type Proposal } from '../proposal';
import type { Found } from './find-tables';
import { textOf, type Line } from './lines';
import { inBox, type Ready } from './ready';
import { isLongName } from './words';

/** So many pages after a table its rest is looked for. */
const PAGES = 2;
/** How far, in points, the number may stand from its column. */
const BESIDE = 4;

/**
 * A line outside of the tables that has the number after the last one in the column of the numbers, and a name beside it: the
 * table may go on where the reader saw its end. Only plain numbers have one that is next.
 */
export function leftBehind(ready: readonly Ready[], chosen: readonly Found[], proposal: Proposal, file: string | undefined): Problem[] {
  const numbers = terminalsIn(proposal).flatMap((t) => {
    const number = t.numbers[proposal.package]!;
    return /^\d+$/.test(number) ? [Number(number)] : [];
  });
  const column = columnOf(chosen, proposal.package);
  if (numbers.length === 0 || !column) return [];
  const next = String(Math.max(...numbers) + 1);
  const blocks = chosen.flatMap((f) => f.chain);
  const last = Math.max(...blocks.map((b) => b.page));
  for (const { page, lines } of ready) {
    if (page.number < column.page || page.number > last + PAGES) continue;
    const isTaken = (line: Line) => blocks.some((b) => b.page === page.number && inBox(line.words[0]!, b.box));
    const left = lines.filter((l) => !isTaken(l));
    const line = left.find((l) => hasRow(l, next, column)) ?? inOtherColumn(left, Number(next));
    if (line) return [problem('rows-left', { text: textOf(line).slice(0, 60) }, { file, page: page.number })];
  }
  return [];
}

/** Where the numbers of a package stand in the last part of its table, in points of its upright page. */
function columnOf(chosen: readonly Found[], packageName: string): { page: number; from: number; to: number } | undefined {
  for (const { table, chain } of chosen) {
    const at = table.columns.findIndex((c) => c.role === 'number' && c.packageName === packageName);
    const block = chain.at(-1)!;
    if (at >= 0 && block.edges.length === table.columns.length + 1)
      return { page: block.page, from: block.edges[at]! - BESIDE, to: block.edges[at + 1]! + BESIDE };
  }
  return undefined;
}

function hasRow({ words }: Line, number: string, column: { from: number; to: number }): boolean {
  const at = words.findIndex((w) => w.text === number && (w.x0 + w.x1) / 2 > column.from && (w.x0 + w.x1) / 2 < column.to);
  // A number within a sentence has words before it; another column may stand between the number and the name.
  return at >= 0 && at < 2 && words.slice(Math.max(0, at - 1), at + 3).some((w) => isLongName(w.text));
}

/** In another text column the numbers stand elsewhere: then two that follow each other tell, each behind white. */
function inOtherColumn(lines: readonly Line[], next: number): Line | undefined {
  const begins = ({ words }: Line, number: number) =>
    words.some((w, i) => {
      const before = words[i - 1];
      const isFirst = before === undefined || w.x0 - before.x1 > w.size;
      return isFirst && w.text === String(number) && isLongName(words[i + 1]?.text ?? '');
    });
  const first = lines.findIndex((l) => begins(l, next));
  return first >= 0 && lines.slice(first + 1).some((l) => begins(l, next + 1)) ? lines[first] : undefined;
}
