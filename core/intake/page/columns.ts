import { segmentsOf, type Line } from './lines';
import type { PageHeader } from './headers';

/**
 * Where the columns under a heading part: for each two neighbouring headings the stretch between them that the fewest
 * lines run through, and of those the widest. Gives the edges from `left` to `right`, in points.
 */
export function edgesUnder(header: PageHeader, body: readonly Line[], left: number, right: number): number[] {
  const width = Math.ceil(right - left) + 2;
  const through = new Uint16Array(width);
  for (const line of body)
    for (const s of segmentsOf(line, 0.5)) {
      const from = Math.max(0, Math.floor(s.x0 - left));
      const to = Math.min(width - 1, Math.ceil(s.x1 - left));
      for (let x = from; x <= to; x++) through[x]!++;
    }
  for (const h of header.heads) {
    // A heading itself is a line that no edge should cut.
    for (let x = Math.max(0, Math.floor(h.x0 - left)); x <= Math.min(width - 1, Math.ceil(h.x1 - left)); x++) through[x]!++;
  }
  const edges = header.heads.slice(1).map((next, i) => {
    // A column holds its heading, so that edges stand between headings; their places are off by a little where they are estimates.
    const { x0, x1 } = header.heads[i]!;
    const slack = 0.35 * (body[0]?.size ?? 9);
    const from = Math.max(0, Math.floor(Math.max(x0 + 1, x1 - slack) - left));
    const to = Math.min(width - 1, Math.ceil(Math.min(next.x1 - 1, next.x0 + slack) - left));
    // Headings with hardly a gap between them: lines run through there too, and cells begin under their heading.
    if (next.x0 - header.heads[i]!.x1 < 0.45 * (body[0]?.size ?? 9)) return clearOfWords(body, header.heads[i]!.x0, next) ?? next.x0 - 1;
    return left + clearest(through, from, to);
  });
  return [left, ...edges, right];
}

/** The place near a heading's left end that the fewest words run through. */
function clearOfWords(body: readonly Line[], from: number, next: { x0: number; x1: number }): number | undefined {
  const words = body.flatMap((l) => l.words.filter((w) => w.x1 > from && w.x0 < next.x1));
  let best: { x: number; cut: number } | undefined;
  for (let x = next.x0 + 4; x > Math.max(from + 2, next.x0 - 12); x -= 0.5) {
    const cut = words.filter((w) => w.x0 < x - 0.2 && w.x1 > x + 0.2).length;
    const away = Math.abs(x - (next.x0 - 1)) / 50;
    if (!best || cut + away < best.cut) best = { x, cut: cut + away };
  }
  return best?.x;
}

/** The middle of the clearest stretch; the widest of equally clear ones. */
function clearest(through: Uint16Array, from: number, to: number): number {
  let least = Infinity;
  for (let x = from; x <= to; x++) least = Math.min(least, through[x]!);
  let best = { from, length: 0 };
  for (let x = from; x <= to;) {
    if (through[x]! > least) {
      x++;
      continue;
    }
    let end = x;
    while (end <= to && through[end]! === least) end++;
    if (end - x > best.length) best = { from: x, length: end - x };
    x = end;
  }
  // A little left of the next column: cells are ragged on the right and even on the left.
  return best.from + best.length * 0.6;
}
