// Scores the reader against the corpus: `npm run bench:read [-- FILTER…] [--held] [--tell]`.
// A cell is right, flagged (wrong, but with a doubt or a problem), silent (wrong without one) or needless (right, but doubted).
import { readdirSync, readFileSync } from 'node:fs';
import { extname, join } from 'node:path';
import { readSource } from '../cli/source';
import { sayProblem, type Problem } from '../core/part';
import { terminalsIn, type Terminal } from '../core/intake';

interface Truth {
  file: string;
  package?: string;
  held?: boolean;
  without?: string[];
  pins: { number: string; name: string; type?: string; activeLow?: boolean; group?: string }[];
}

interface Tally {
  documents: number;
  right: number;
  flagged: number;
  silent: number;
  needless: number;
}

const FIELDS = ['name', 'type', 'activeLow', 'group'] as const;
const folder = process.env.STRESS!;
const flags = new Set(process.argv.slice(2).filter((a) => a.startsWith('--')));
const filters = process.argv.slice(2).filter((a) => !a.startsWith('--'));

const plain = (text: string): string => text.replace(/[−–]/g, '-').replace(/\s+/g, ' ').trim();
const value = (t: Terminal | Truth['pins'][number], field: (typeof FIELDS)[number]): string =>
  plain(String(t[field] ?? (field === 'activeLow' ? false : '')));

/** Scores one document; `told` gets a line for each cell that is not right. */
export async function score(truth: Truth, told: string[]): Promise<Tally> {
  const tally: Tally = { documents: 1, right: 0, flagged: 0, silent: 0, needless: 0 };
  const read = await readSource(join(folder, truth.file), truth.package === undefined ? {} : { package: truth.package });
  if (!read.ok) {
    tally.flagged += truth.pins.length * 2;
    told.push(`refused: ${read.problems.map(sayProblem).join(' ')}`);
    return tally;
  }
  const { proposal } = read.value;
  const fields = FIELDS.filter((f) => !truth.without?.includes(f) && (f !== 'group' || truth.pins.some((p) => p.group)));
  const left = new Map<string, Terminal[]>();
  for (const t of terminalsIn(proposal)) left.set(t.numbers[proposal.package]!, [...(left.get(t.numbers[proposal.package]!) ?? []), t]);
  const hasProblem = (p: Problem[]) => p.length > 0;
  for (const pin of truth.pins) {
    const t = left.get(pin.number)?.shift();
    if (!t) {
      const kind = hasProblem(proposal.problems) ? 'flagged' : 'silent';
      tally[kind] += fields.length + 1;
      told.push(`${kind}: ${pin.number} ${pin.name} missed`);
      continue;
    }
    tally.right++;
    for (const field of fields) {
      const doubted = t.doubts.some((d) => d.field === field);
      if (value(t, field) === value(pin, field)) {
        tally.right++;
        if (doubted) tally.needless++;
        if (doubted) told.push(`needless: ${pin.number} ${pin.name} ${field}: ${t.doubts.find((d) => d.field === field)!.reason}`);
      } else {
        const kind = t.doubts.length > 0 ? 'flagged' : 'silent';
        tally[kind]++;
        told.push(`${kind}: ${pin.number} ${field} “${value(t, field)}”, truth “${value(pin, field)}”`);
      }
    }
  }
  for (const t of [...left.values()].flat()) {
    const kind = t.doubts.length > 0 || hasProblem(proposal.problems) ? 'flagged' : 'silent';
    tally[kind]++;
    told.push(`${kind}: ${t.numbers[proposal.package]} ${t.name} invented`);
  }
  if (told.length > 0) told.push(...proposal.problems.slice(0, 6).map((p) => `  problem: ${sayProblem(p)}`));
  return tally;
}

const add = (a: Tally | undefined, b: Tally): Tally =>
  a
    ? {
        documents: a.documents + b.documents,
        right: a.right + b.right,
        flagged: a.flagged + b.flagged,
        silent: a.silent + b.silent,
        needless: a.needless + b.needless,
      }
    : { ...b };

const truths = readdirSync(folder)
  .filter((f) => f.endsWith('.truth.json'))
  .map((f) => JSON.parse(readFileSync(join(folder, f), 'utf8')) as Truth)
  .filter((t) => filters.length === 0 || filters.some((f) => t.file.includes(f)))
  .filter((t) => !flags.has('--tuned') || !t.held);
const byFormat = new Map<string, Tally>();
for (const truth of truths) {
  const told: string[] = [];
  const tally = await score(truth, told);
  const format = `${extname(truth.file).slice(1)}${truth.held ? ' (held back)' : ''}`;
  byFormat.set(format, add(byFormat.get(format), tally));
  if (flags.has('--tell') && told.length > 0)
    console.log(`${truth.file} ${JSON.stringify((truth as any).style)}: right ${tally.right}\n  ${told.slice(0, 8).join('\n  ')}`);
}
console.log(['format', 'documents', 'right', 'flagged', 'silent', 'needless', 'right %', 'needless %'].join('\t'));
for (const [format, t] of [...byFormat, ['all', [...byFormat.values()].reduce<Tally | undefined>(add, undefined)!] as const]) {
  const cells = t.right + t.flagged + t.silent;
  console.log(
    [
      format,
      t.documents,
      t.right,
      t.flagged,
      t.silent,
      t.needless,
      ((100 * t.right) / cells).toFixed(2),
      ((100 * t.needless) / Math.max(1, t.right)).toFixed(2),
    ].join('\t'),
  );
}
