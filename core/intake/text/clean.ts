import { narrow } from './narrow';
import { ok, problem, refuse, type Problem, type Result } from '../../part';

/** The largest text that is read, in characters; a pin table of 3,000 rows is under a tenth of it. */
export const TEXT_LIMIT = 4_000_000;

export interface CleanText {
  lines: string[];
  problems: Problem[];
}

/** Whatever is taken out or made plain below. */
const UNCLEAN = /[\u0000-\u0008\u000b-\u001f\u007f\u00a0\u00ad\u2007\u200b\u2028\u2029\u202f\u3000\uff01-\uff5e\uFEFF]/;

/** Makes plain lines of a source's text: no byte order mark, one kind of line end, no control characters but the tab. */
export function cleanText(text: string, file?: string): Result<CleanText> {
  if (text.length > TEXT_LIMIT)
    return refuse(problem('input-large', { size: megabytes(text.length), limit: megabytes(TEXT_LIMIT) }, { file }));
  // Most texts have nothing to clean, which one look tells.
  if (!UNCLEAN.test(text))
    return text.trim() === ''
      ? refuse(problem('input-empty', {}, { file }))
      : ok({ lines: uncounted(unquoted(text.split('\n'))), problems: [] });
  const controls = text.match(/[\u0000-\u0008\u000e-\u001f]/g)?.length ?? 0;
  if (text.includes('\u0000') || controls > text.length / 50) return refuse(problem('input-binary', {}, { file }));

  const plain = narrow(text)
    .replace(/^\uFEFF/, '')
    .replace(/[\u0001-\u0008\u000e-\u001f\u007f\u200b\u00ad]/g, '');
  if (plain.trim() === '') return refuse(problem('input-empty', {}, { file }));
  const lines = plain
    .replace(/\r\n?|\u2028|\u2029|\f|\v/g, '\n')
    .replace(/\u00a0|\u2007|\u202f/g, ' ')
    .split('\n');
  return ok({ lines: uncounted(unquoted(lines)), problems: controls > 0 ? [problem('text-control', {}, { file })] : [] });
}

/** The lines of a letter that was quoted in another, `> 1  VDD`, without the marks; others as they are. */
function unquoted(lines: string[]): string[] {
  const areQuoted = lines.every((l) => /^\s*(?:>|$)/.test(l));
  return areQuoted ? lines.map((l) => l.replace(/^(?:\s*>)+ ?/, '')) : lines;
}

/** The number of a line in its text, before a terminal's: `12: 1  VDD`. */
const COUNTED = /^\s*(\d{1,5}): ?(?=(\s*(\d{1,4})\s+\S)?)/;

/** Lines without their own numbers, where these count up by one and those of terminals do behind them; others as they are. */
function uncounted(lines: string[]): string[] {
  if (!COUNTED.test(lines[0] ?? '')) return lines;
  const read = lines.map((l) => (l.trim() === '' ? undefined : COUNTED.exec(l)));
  const own = read.flatMap((m) => (m ? [Number(m[1])] : m === null ? [NaN] : []));
  const terminals = read.flatMap((m) => (m?.[3] === undefined ? [] : [Number(m[3])]));
  const countUp = (of: readonly number[]) => of.every((n, i) => i === 0 || n === of[i - 1]! + 1);
  const areCounted = own.length > 2 && countUp(own) && terminals.length >= 0.6 * own.length && countUp(terminals);
  return areCounted ? lines.map((l) => l.replace(COUNTED, '')) : lines;
}

const megabytes = (characters: number): number => Math.round(characters / 100_000) / 10;
