import { problem, type Problem } from '../../part';
import { looksLikeNumbers } from '../table/numbers';
import { terminalsIn, type Proposal } from '../proposal';
import type { Found } from './find-tables';
import { textOf, type Line } from './lines';
import { inBox, type Ready } from './ready';
import { isLongName, type Word } from './words';

/** So many pages after a table its rest is looked for. */
const PAGES = 2;
/** How far, in points, the number may stand from its column. */
const BESIDE = 4;

/**
 * A line outside of the tables that has the number after the last one in the column of the numbers, and a name beside it: the
 * table may go on where the reader saw its end. Of balls none is next: there two that no row has tell.
 */
export function leftBehind(ready: readonly Ready[], chosen: readonly Found[], proposal: Proposal, file: string | undefined): Problem[] {
  const all = terminalsIn(proposal).map((t) => t.numbers[proposal.package]!);
  const runsOver = chosen.some(({ table }) => table.rows.some((r) => r.crossed));
  const last = all.reduce((most, n) => (/^\d+$/.test(n) ? Math.max(most, Number(n)) : most), 0);
  const column = columnOf(chosen, proposal.package);
  if (all.length === 0 || !column) return [];
  const find = last > 0 ? numberedRow(last + 1, column) : ballRow(new Set(all), column);
  const blocks = chosen.flatMap((f) => f.chain);
  const lastPage = Math.max(...blocks.map((b) => b.page));
  for (const { page, lines } of ready) {
    if (page.number < column.page || page.number > lastPage + PAGES) continue;
    const isTaken = (word: Word) => blocks.some((b) => b.page === page.number && inBox(word, b.box));
    const beside = () =>
      last > 0
        ? countedOn(
            lines.map((l) => ({ ...l, words: l.words.filter((w) => !isTaken(w)) })),
            last + 1,
          )
        : undefined;
    const within = () => (runsOver && last > 0 && page.number === column.page ? besideColumn(lines, last + 1, column) : undefined);
    const line = find(lines.filter((l) => !isTaken(l.words[0]!))) ?? beside() ?? within();
    if (line) return [problem('rows-left', { text: textOf(line).slice(0, 60) }, { file, page: page.number })];
  }
  return [];
}

/** What finds a row among lines that no table took. */
type Find = (lines: readonly Line[]) => Line | undefined;

const numberedRow =
  (next: number, column: ColumnOfNumbers): Find =>
  (lines) =>
    lines.find((l) => hasRow(l, (t) => t === String(next), column)) ?? inOtherColumn(lines, next);

const BALL = /^[A-HJ-NPRT-WY]{1,2}[1-9]\d?$/;

function ballRow(known: ReadonlySet<string>, column: ColumnOfNumbers): Find {
  const isOther = (t: string) => BALL.test(t) && !known.has(t);
  return (lines) => {
    const rows = lines.filter((l) => hasRow(l, isOther, column));
    return rows.length > 1 ? rows[0] : alignedRows(lines, isOther);
  };
}

/** How many names with a ball behind each, the balls under each other, are rows wherever they stand. */
const ALIGNED = 3;

/** Rows of another table of the same pinout, whose columns are as wide as its own cells need. */
function alignedRows(lines: readonly Line[], isOther: (text: string) => boolean): Line | undefined {
  const rows = lines.filter(({ words: [name, ball] }) => name && ball && isLongName(name.text) && isOther(ball.text));
  return rows.find((l) => rows.filter((r) => Math.abs(r.words[1]!.x0 - l.words[1]!.x0) < BESIDE).length >= ALIGNED);
}

/** The page of a table's last part, and from where to where its numbers stand. */
interface ColumnOfNumbers {
  page: number;
  from: number;
  to: number;
}

/** Where the numbers of a package stand in the last part of its table, in points of its upright page. */
function columnOf(chosen: readonly Found[], packageName: string): ColumnOfNumbers | undefined {
  for (const { table, chain } of chosen) {
    const at = table.columns.findIndex((c) => c.role === 'number' && c.packageName === packageName);
    const block = chain.at(-1)!;
    if (at >= 0 && block.edges.length === table.columns.length + 1)
      return { page: block.page, from: block.edges[at]! - BESIDE, to: block.edges[at + 1]! + BESIDE };
  }
  return undefined;
}

function hasRow({ words }: Line, isNumber: (text: string) => boolean, column: ColumnOfNumbers): boolean {
  const at = words.findIndex((w) => isNumber(w.text) && (w.x0 + w.x1) / 2 > column.from && (w.x0 + w.x1) / 2 < column.to);
  // A number within a sentence has words before it; another column may stand between the number and the name.
  const behind = words.slice(at + 1).filter((w) => !looksLikeNumbers(w.text));
  // Where the numbers stand last, the name is the first word, with white behind it.
  const [name, next] = words;
  if (at > 1 && at === words.length - 1 && isLongName(name!.text) && next!.x0 - name!.x1 > name!.size) return true;
  return at >= 0 && at < 2 && [...words.slice(Math.max(0, at - 1), at), ...behind.slice(0, 2)].some((w) => isLongName(w.text));
}

/** So many numbers that count on, under each other and with white around, are rows whatever stands beside them: a table in the next text column. */
const COUNTED_ON = 3;

function countedOn(lines: readonly Line[], next: number): Line | undefined {
  const standsAlone = ({ words }: Line, number: number) =>
    words.find((w, i) => {
      const [before, behind] = [words[i - 1], words[i + 1]];
      const isFree = (!before || w.x0 - before.x1 > w.size) && (!behind || behind.x0 - w.x1 > w.size / 2);
      return isFree && w.text === String(number);
    });
  const middle = (w: Word) => (w.x0 + w.x1) / 2;
  return lines.find((first, i) => {
    const word = standsAlone(first, next);
    const isUnder = (number: number) => {
      const below = lines.slice(i + 1).find((l) => standsAlone(l, number));
      return below !== undefined && Math.abs(middle(standsAlone(below, number)!) - middle(word!)) < BESIDE;
    };
    return word !== undefined && Array.from({ length: COUNTED_ON - 1 }, (_, k) => next + k + 1).every(isUnder);
  });
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

/** In a second column of the page beside a short table, in its own lines: the next number and the one after it, under each other, each behind wide white. */
function besideColumn(lines: readonly Line[], next: number, { to }: ColumnOfNumbers): Line | undefined {
  const startOf = ({ words }: Line, number: number) =>
    words.find((w, i) => w.text === String(number) && w.x0 > to && (i === 0 || w.x0 - words[i - 1]!.x1 > 2 * w.size))?.x0;
  return lines.find((l, i) => {
    const at = startOf(l, next);
    return at !== undefined && lines.slice(i + 1).some((below) => Math.abs((startOf(below, next + 1) ?? Infinity) - at) < BESIDE);
  });
}
