import { looksLikeNumbers } from '../table/numbers';
import { unite, type Box } from '../table/box';
import { filledIn, type CellLine, type PageRow } from './cells';
import { areInOneRow } from './lines';

/** A text that stands once for several rows beside it, in the middle of them or on the last one's line. */
export interface Label {
  text: string;
  box: Box;
}

/** Labels are short; so many of them beside fewer rows are names. */
const [LONGEST, MOST] = [32, 0.75];
/** How far a label may stand off the middle of its rows, in font sizes. */
export const OFF = 0.75;

/**
 * The one of the columns whose cells were merged over several rows and do not stand beside the first of them: few of the rows
 * have a text there, and one stands beside no number, or the first row has none. `anchors` are the lines with a number.
 */
export function labelColumn(lines: readonly CellLine[], columns: readonly number[], anchors: ReadonlySet<CellLine>): number | undefined {
  const first = lines.find((l) => anchors.has(l));
  if (!first) return undefined;
  // Of few rows a label is one only where it stands less than a line's height from a number: its row has centred cells.
  const isInRow = (l: CellLine) => [...anchors].some((a) => areInOneRow(a, l));
  const isAlone = (l: CellLine) => !anchors.has(l) && filledIn(l) === 1 && (anchors.size > 3 || isInRow(l));
  return columns.find((k) => {
    const own = lines.filter((l) => l.cells[k] !== '');
    const beside = own.filter((l) => anchors.has(l)).length;
    const isShort = own.every((l) => l.cells[k]!.length <= LONGEST && !looksLikeNumbers(l.cells[k]!));
    const isMerged = own.some(isAlone) || (anchors.size > 3 && first.cells[k] === '');
    return own.length > 0 && isShort && beside < MOST * anchors.size && isMerged;
  });
}

/** The labels of a column: lines of one stand near each other, and not both beside a number. */
export function labelsIn(lines: readonly CellLine[], column: number, anchors: ReadonlySet<CellLine>): Label[] {
  const labels: Label[] = [];
  let before: CellLine | undefined;
  for (const line of lines) {
    const [text, box] = [line.cells[column]!, line.boxes[column]];
    if (text === '' || !box) continue;
    const last = labels.at(-1);
    const goesOn = last && before && line.base - before.base < 1.4 * line.size && !(anchors.has(before) && anchors.has(line));
    if (goesOn) labels[labels.length - 1] = { text: `${last.text} ${text}`, box: unite([last.box, box])! };
    else labels.push({ text, box });
    before = line;
  }
  return labels;
}

/**
 * The rows with each label in the first of those that it stands for; undefined where the labels are neither in the middle of
 * rows that follow each other without a gap, nor all beside the last of them, nor, with `onTop`, all on the first one's line.
 */
export function labelled(
  rows: readonly PageRow[],
  labels: readonly Label[],
  column: number,
  size: number,
  onTop = false,
): PageRow[] | undefined {
  const numbered = rows.flatMap((row, at) =>
    row.cells.some(looksLikeNumbers) ? [{ at, box: unite(row.boxes.flatMap((b) => (b ? [b] : [])))! }] : [],
  );
  const boxes = numbered.map((r) => r.box);
  // Labels of every row, in two lines each, run into one.
  if (labels.some((l) => l.text.length > 2 * LONGEST)) return undefined;
  const starts =
    startsOf(boxes, labels, size, 'middle') ??
    startsOf(boxes, labels, size, 'bottom') ??
    (onTop ? startsOnTop(boxes, labels, size) : undefined);
  if (!starts) return undefined;
  const of = new Map(starts.map((start, i) => [numbered[start]!.at, labels[i]!]));
  return rows.map((row, at) => {
    const label = of.get(at);
    if (!label) return row;
    const put = <T>(list: readonly T[], value: T): T[] => list.map((own, k) => (k === column ? value : own));
    return { ...row, cells: put(row.cells, label.text), boxes: put<Box | undefined>(row.boxes, label.box) };
  });
}

/** The first row of each label; undefined where they do not come out even. */
function startsOf(rows: readonly Box[], labels: readonly Label[], size: number, place: 'middle' | 'bottom'): number[] | undefined {
  const bottoms = rows.map(([, y, , height]) => y + height);
  const starts: number[] = [];
  let from = 0;
  for (const { box } of labels) {
    if (from >= rows.length) return undefined;
    const bottom = box[1] + box[3];
    const wanted = place === 'bottom' ? bottom : box[1] + bottom - rows[from]![1];
    const off = bottoms.map((y, i) => (i < from ? Infinity : Math.abs(y - wanted)));
    const last = off.indexOf(Math.min(...off));
    if (off[last]! > OFF * size) return undefined;
    starts.push(from);
    from = last + 1;
  }
  return from === rows.length ? starts : undefined;
}

/** How far the upper edges of words in one line may be apart, in font sizes. */
const SAME_TOP = 0.35;

/** The first row of each label where all begin on their first row's line, and the first row has one. */
function startsOnTop(rows: readonly Box[], labels: readonly Label[], size: number): number[] | undefined {
  const starts = labels.map(({ box }) => rows.findIndex(([, y]) => Math.abs(y - box[1]) < SAME_TOP * size));
  return starts[0] === 0 && starts.every((start, i) => i === 0 || start > starts[i - 1]!) ? starts : undefined;
}
