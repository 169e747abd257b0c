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

function rowIndex(letters: string): number {
  for (let i = 0; i < 420; i++) if (rowLetters(i) === letters) return i;
  return -1;
}
