import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';

const root = resolve(__dirname, '..');
const truths = readdirSync(resolve(root, 'bench/corpus/documents'))
  .filter((f) => f.endsWith('.truth.json'))
  .map(
    (f) => JSON.parse(readFileSync(resolve(root, 'bench/corpus/documents', f), 'utf8')) as { file: string; held?: boolean; pins: object[] },
  );

it('the corpus has enough documents, of every format, and nearly a third held back', () => {
  expect(truths.length).toBeGreaterThanOrEqual(40);
  expect(new Set(truths.map((t) => t.file.split('.').pop()))).toEqual(new Set(['pdf', 'xlsx', 'htm', 'txt', 'csv', 'tsv', 'bsd', 'ibs']));
  expect(truths.filter((t) => t.held).length / truths.length).toBeGreaterThan(0.25);
});

/** Reads what the scorer prints: by format the counts of right, flagged, silent and needless cells. */
function scores(): Record<string, { right: number; flagged: number; silent: number; needless: number }> {
  const run = spawnSync('node', ['tools/bench.mjs', 'read'], { cwd: root, encoding: 'utf8', timeout: 290_000 });
  const rows = run.stdout
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => line.split('\t'));
  return Object.fromEntries(
    rows.map(([format, , right, flagged, silent, needless]) => [
      format!,
      { right: +right!, flagged: +flagged!, silent: +silent!, needless: +needless! },
    ]),
  );
}

it('no cell of the corpus is wrong in silence, and few right ones are doubted', () => {
  const { all } = scores();
  expect(all!.silent).toBe(0);
  expect(all!.right / (all!.right + all!.flagged)).toBeGreaterThan(0.995);
  expect(all!.needless / all!.right).toBeLessThan(0.03);
}, 300_000);
