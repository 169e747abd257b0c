import { segmentsOf, type Line, type Segment } from './lines';
import type { PageHeader } from './headers';
import { LEAST_GAP, placeOf, sharedStarts } from './starts';

/**
 * Where the columns under a heading part: for each two neighbouring headings the stretch between them that the fewest
 * lines run through, and of those the widest. Gives the edges from `left` to `right`, in points.
 */
export function edgesUnder(header: PageHeader, body: readonly Line[], left: number, right: number): number[] {
  const width = Math.ceil(right - left) + 2;
  const through = new Uint16Array(width);
  const starts = sharedStarts(body);
  for (const line of body)
    for (const s of segmentsOf(line, 0.5).flatMap((segment) => cutAt(segment, starts))) {
      const from = Math.max(0, Math.floor(s.x0 - left));
      const to = Math.min(width - 1, Math.ceil(s.x1 - left));
      for (let x = from; x <= to; x++) through[x]!++;
    }
  for (const h of header.heads) {
    // A heading itself is a line that no edge should cut.
    for (let x = Math.max(0, Math.floor(h.x0 - left)); x <= Math.min(width - 1, Math.ceil(h.x1 - left)); x++) through[x]!++;
  }
  const edges: number[] = [];
  for (const [i, next] of header.heads.slice(1).entries()) {
    // A column holds its heading, so that edges stand between headings; their places are off by a little where they are estimates.
    const { x0, x1 } = header.heads[i]!;
    const slack = 0.35 * (body[0]?.size ?? 9);
    const from = Math.max(0, Math.floor(Math.max(x0 + 1, x1 - slack) - left));
    const to = Math.min(width - 1, Math.ceil(Math.min(next.x1 - 1, next.x0 + slack) - left));
    // Headings with hardly a gap between them: lines run through there too, and cells begin under their heading.
    if (next.x0 - header.heads[i]!.x1 < 0.45 * (body[0]?.size ?? 9)) {
      edges.push(clearOfWords(body, header.heads[i]!.x0, next) ?? next.x0 - 1);
      continue;
    }
    const isStart = (x: number) => starts.has(placeOf(left + x)) || starts.has(placeOf(left + x + 0.5));
    const before = edges.at(-1) ?? left;
    // Figures set to the right stand behind their heading: an edge before them would leave their column empty.
    const inside = Math.min(...body.flatMap((l) => l.words.flatMap((w) => (w.x0 > before - 1 ? [w.x1] : []))));
    const filled = Math.min(to, Math.max(from, Math.ceil(inside - left)));
    const isCrossed = Math.min(...through.subarray(filled, to + 1)) > CROSSED * body.length;
    // Cells so near to each other that they are one stretch of text: the words part them.
    const parted = isCrossed ? clearOfWords(body, left + filled, next, CROSSED * body.length) : undefined;
    edges.push(parted ?? left + clearest(through, isCrossed ? from : filled, to, isStart));
  }
  return [left, ...edges, right];
}

/** A stretch parted before the words that begin where a column does. */
function cutAt({ words }: Segment, starts: ReadonlySet<number>): { x0: number; x1: number }[] {
  const parts: { x0: number; x1: number }[] = [];
  for (const [i, w] of words.entries()) {
    const last = parts.at(-1);
    const isStart = starts.has(placeOf(w.x0)) && w.x0 - (words[i - 1]?.x1 ?? 0) > LEAST_GAP * w.size;
    if (last && !isStart) last.x1 = Math.max(last.x1, w.x1);
    else parts.push({ x0: w.x0, x1: w.x1 });
  }
  return parts;
}

/** The share of lines that run through every place between two headings where their columns stand too near for gaps. */
const CROSSED = 0.2;

/** The place near a heading's left end that the fewest words run through; undefined where more than `most` do. */
function clearOfWords(body: readonly Line[], from: number, next: { x0: number; x1: number }, most = Infinity): number | undefined {
  const words = body.flatMap((l) => l.words.filter((w) => w.x1 > from && w.x0 < next.x1));
  let best: { x: number; cut: number } | undefined;
  for (let x = next.x0 + 4; x > Math.max(from + 2, next.x0 - 12); x -= 0.5) {
    const cut = words.filter((w) => w.x0 < x - 0.2 && w.x1 > x + 0.2).length;
    const away = Math.abs(x - (next.x0 - 1)) / 50;
    if (!best || cut + away < best.cut) best = { x, cut: cut + away };
  }
  return best && best.cut <= most ? best.x : undefined;
}

/** The middle of the clearest stretch; of equally clear ones one before which cells begin, and of those the widest. */
function clearest(through: Uint16Array, from: number, to: number, isStart: (x: number) => boolean): number {
  let least = Infinity;
  for (let x = from; x <= to; x++) least = Math.min(least, through[x]!);
  let best = { from, length: 0, isBefore: false };
  for (let x = from; x <= to;) {
    if (through[x]! > least) {
      x++;
      continue;
    }
    let end = x;
    while (end <= to && through[end]! === least) end++;
    const isBefore = isStart(end);
    if (isBefore === best.isBefore ? end - x > best.length : isBefore) best = { from: x, length: end - x, isBefore };
    x = end;
  }
  // Cells that reach up to where the next column begins belong left of it; where a line runs through, nearly all do.
  if (best.isBefore) return best.from + Math.max(0.6 * best.length, best.length - (least > 0 ? 1 : 2));
  // A little left of the next column: cells are ragged on the right and even on the left.
  return best.from + best.length * 0.6;
}
