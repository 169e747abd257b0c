import { rowLetters } from '../part';

/** Ball names that a text leaves out: single ones and rectangles, `A1, C3-F6`. Undefined where a piece is no ball. */
export function ballsIn(text: string): Set<string> | undefined {
  const out = new Set<string>();
  for (const piece of text
    .toUpperCase()
    .split(/[\s,;]+/)
    .filter((t) => t !== '')) {
    const match = /^([A-Z]{1,2})(\d{1,2})(?:[-–:]([A-Z]{1,2})(\d{1,2}))?$/.exec(piece);
    if (!match) return undefined;
    const [r1, r2] = [rowIndex(match[1]!), rowIndex(match[3] ?? match[1]!)];
    const [c1, c2] = [Number(match[2]), Number(match[4] ?? match[2])];
    if (r1 < 0 || r2 < 0) return undefined;
    for (let r = Math.min(r1, r2); r <= Math.max(r1, r2); r++)
      for (let c = Math.min(c1, c2); c <= Math.max(c1, c2); c++) out.add(`${rowLetters(r)}${c}`);
  }
  return out;
}

/** Places of a grid as `ballsIn` reads them, in few pieces: runs of a row, and rectangles where rows below say the same. */
export function ballsText(rows: number, columns: number, isOne: (row: number, column: number) => boolean): string {
  const pieces: { from: number; to: number; first: number; last: number }[] = [];
  for (let row = 0; row < rows; row++)
    for (let from = 0; from < columns; from++) {
      if (!isOne(row, from)) continue;
      let to = from;
      while (to + 1 < columns && isOne(row, to + 1)) to++;
      const above = pieces.find((p) => p.from === from && p.to === to && p.last === row - 1);
      if (above) above.last = row;
      else pieces.push({ from, to, first: row, last: row });
      from = to;
    }
  return pieces
    .map(({ from, to, first, last }) => {
      const [a, b] = [`${rowLetters(first)}${from + 1}`, `${rowLetters(last)}${to + 1}`];
      return a === b ? a : `${a}-${b}`;
    })
    .join(', ');
}

/** The place of a row's letters, from 0; -1 where they are none. */
export function rowIndex(letters: string): number {
  for (let i = 0; i < 420; i++) if (rowLetters(i) === letters) return i;
  return -1;
}
