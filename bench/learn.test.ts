import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';

const root = resolve(__dirname, '..');
const rows = (file: string) => new Map(Object.entries(JSON.parse(readFileSync(file, 'utf8')) as Record<string, string>));

it('what the reader learnt is what the labelled terminals teach', () => {
  const made = join(mkdtempSync(join(tmpdir(), 'learn-')), 'weights.json');
  const run = spawnSync('node', ['tools/bench.mjs', 'learn', made], { cwd: root, encoding: 'utf8', timeout: 110_000 });
  expect(run.stderr).not.toMatch(/Error/);
  const [fresh, kept] = [rows(made), rows(resolve(root, 'core/intake/understand/precedents.json'))];
  expect([...fresh.keys()]).toEqual([...kept.keys()]);
  // Other machines round a little otherwise: a step of a weight is nothing.
  const isNear = ([trait, row]: [string, string]) =>
    [...row].every((c, k) => Math.abs(c.charCodeAt(0) - kept.get(trait)!.charCodeAt(k)) <= 1);
  expect([...fresh].filter((entry) => !isNear(entry)).map(([trait]) => trait)).toEqual([]);
}, 120_000);
