import type { Word } from './words';

/** Words on one baseline, from left to right. */
export interface Line {
  words: Word[];
  base: number;
  size: number;
}

/** How near, in font sizes, lines stand that are less than a line's height apart: their cells are centred in one row. */
const IN_ROW = 0.8;

export const areInOneRow = (a: { base: number }, { base, size }: { base: number; size: number }): boolean =>
  Math.abs(a.base - base) < IN_ROW * size;

/** A stretch of a line without a wide gap. */
export interface Segment {
  text: string;
  x0: number;
  x1: number;
  words: Word[];
}

/** Puts words into lines. Baselines nearer than a quarter of the font size are one line. */
export function linesOf(words: readonly Word[]): Line[] {
  const lines: Line[] = [];
  for (const word of [...words].filter((w) => !w.sideways).sort((a, b) => a.base - b.base || a.x0 - b.x0)) {
    const last = lines.at(-1);
    if (last && word.base - last.base < 0.25 * Math.min(word.size, last.size)) {
      last.words.push(word);
      last.size = Math.max(last.size, word.size);
    } else lines.push({ words: [word], base: word.base, size: word.size });
  }
  for (const line of lines) line.words.sort((a, b) => a.x0 - b.x0);
  return lines;
}

/** Cuts a line where the gap between words is over `wide` font sizes; `blank` is how much wider typewritten blanks are. */
export function segmentsOf(line: Line, wide = 0.55, blank = 0.2): Segment[] {
  const segments: Segment[] = [];
  for (const word of line.words) {
    const last = segments.at(-1);
    const most = word.mono && last?.words.at(-1)!.mono ? wide + blank : wide;
    if (last && word.x0 - last.x1 <= most * Math.max(word.size, line.size * 0.8)) {
      last.text += ` ${word.text}`;
      last.x1 = Math.max(last.x1, word.x1);
      last.words.push(word);
    } else segments.push(segmentFrom([word]));
  }
  return segments;
}

/** Words of a line as one segment. */
export const segmentFrom = (words: Word[]): Segment => ({
  text: words.map((w) => w.text).join(' '),
  words,
  x0: words[0]!.x0,
  x1: words.at(-1)!.x1,
});

export const textOf = (line: Line): string => line.words.map((w) => w.text).join(' ');

/** A line as text whose cells stand apart by blanks, for legends and notes. */
export const spacedText = (line: Line): string =>
  segmentsOf(line, 0.9)
    .map((s) => s.text)
    .join('   ');

/** The median distance of neighbouring baselines; 12 points where there is one line. */
export function usualGap(lines: readonly { base: number }[]): number {
  const gaps = lines
    .slice(1)
    .map((l, i) => l.base - lines[i]!.base)
    .sort((a, b) => a - b);
  return gaps[Math.floor(gaps.length / 2)] ?? 12;
}
