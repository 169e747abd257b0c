import { unite, type Box } from '../table/box';
import { looksLikeNumbers } from '../table/numbers';
import type { Block, PageRowAt } from './block';
import type { Chain } from './chains';
import { labelled, type Label } from './labels';
import { isTitle } from './titles';
import { turnedIn, type Word } from './words';

/** How far left of its table such a label may stand, in points. */
const NEAR = 60;

/**
 * A table on whose left the titles of its groups are set sideways, each in the middle of its rows, with a column of them; any
 * other as it is. Where they do not come out even, all of its rows are in doubt.
 */
export function withSideLabels(chain: Chain, turned: (page: number) => readonly Word[]): Chain {
  const words = chain.map((block) => wordsBeside(block, turned(block.page)));
  const labels = words.map((own) => joined(own).filter((l) => isTitle(l.text)));
  // One alone is as likely a note in the margin.
  if (labels.flat().length < 2) return chain;
  const outermost = labels.flat().reduce((least, l) => Math.min(least, l.box[0]), Infinity);
  return chain.map((block, i) => {
    const left = Math.min(block.edges[0]!, outermost) - 2;
    const rows = block.rows.map((r) => withColumn(r));
    const own = labels[i]!;
    const isUneven = (row: PageRowAt): PageRowAt => (row.cells.some(looksLikeNumbers) ? { ...row, isUneven: true } : row);
    // Two titles may stand as near to each other as the words of one.
    const apart = words[i]!.every((w) => isTitle(w.text)) ? words[i]!.map(labelOf) : [];
    const tries = [apart, own].filter((l) => l.length > 0);
    const even = tries.map((l) => labelled(rows, l, 0, l[0]!.box[2])).find((told) => told !== undefined);
    const told = own.length === 0 ? rows : (even ?? rows.map(isUneven));
    const [x, y, width, height] = block.box;
    return { ...block, rows: told, edges: [left, ...block.edges], box: [left, y, x + width - left, height] };
  });
}

/** The words that stand sideways left of a block, from top to bottom. */
function wordsBeside({ rows, box }: Block, turned: readonly Word[]): Word[] {
  const left = rows.flatMap((r) => r.boxes).reduce((least, b) => Math.min(least, b?.[0] ?? Infinity), Infinity);
  const isBeside = (w: Word) => w.x1 <= left + 1 && w.x1 > left - NEAR && w.top > box[1] - w.size && w.base < box[1] + box[3] + w.size;
  return turned.filter(isBeside).sort((a, b) => a.top - b.top);
}

/** Words that were set one by one, from the bottom to the top, put together. */
function joined(words: readonly Word[]): Label[] {
  const labels: Label[] = [];
  for (const w of turnedIn(words)) {
    const last = labels.at(-1);
    const goesOn = last && Math.abs(last.box[0] - w.x0) < 1 && w.base <= last.box[1] + 1 && w.base > last.box[1] - 0.75 * w.size;
    if (goesOn) labels[labels.length - 1] = { text: `${last.text} ${w.text}`, box: unite([last.box, boxOf(w)])! };
    else labels.push(labelOf(w));
  }
  return labels.sort((a, b) => a.box[1] - b.box[1]);
}

const labelOf = (w: Word): Label => ({ text: w.text, box: boxOf(w) });
/** A turned word has nothing below its line at its ends, as an upright one has at its foot. */
const boxOf = (w: Word): Box => [w.x0, w.top, w.x1 - w.x0, w.base - w.top];

const withColumn = (row: PageRowAt): PageRowAt => ({
  ...row,
  cells: ['', ...row.cells],
  boxes: [undefined, ...row.boxes],
  ...(row.same ? { same: [false, ...row.same] } : {}),
});
