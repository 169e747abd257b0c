import { problem, type Problem } from '../../part';
import type { Terminal } from '../proposal';
import { readNumberCell } from '../table/numbers';

/** Numbers of terminals in a sentence: `pins 5 and 8`, `pin 9`, `pins 12 to 16`. */
const IN_WORDS =
  /\b(?:pin|terminal|lead|contact)s?(?: nos?\.?| numbers?)? (\d{1,3}(?: ?(?:,|and|&|, and|to|through|[-–]) ?\d{1,3}){0,24})\b(?! ?(?:mm|V|mA|%|Ω|°))/gi;
/** What a sentence says of terminals. */
const SAYS = /\b(?:is|are|on|at|have|connect\w*|tied|unused|leave|left|used?)\b/i;
/** A longer line is a paragraph, and a part of it is no help. */
const LONGEST = 400;

/**
 * Terminals after the last of a table that a sentence tells of, `VDD is on pins 5 and 8`: no row has them. Nothing is made of
 * words alone.
 */
export function toldInWords(terminals: readonly Terminal[], lines: readonly string[], file: string | undefined): Problem[] {
  const known = new Set(terminals.flatMap((t) => Object.values(t.numbers)));
  const last = [...known].reduce((most, n) => (/^\d{1,3}$/.test(n) ? Math.max(most, Number(n)) : most), 0);
  if (last < 2) return [];
  for (const line of lines) {
    if (line.length > LONGEST || !SAYS.test(line)) continue;
    const told = [...line.matchAll(IN_WORDS)].map((m) => readNumberCell(m[1]!));
    if (told.some((cell) => cell.kind === 'list' && cell.numbers.includes(String(last + 1))))
      return [problem('pins-in-words', { text: line.trim().slice(0, 90), number: last + 1 }, { file })];
  }
  return [];
}
