import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { resolve } from 'node:path';

const root = resolve(__dirname, '..');
const heldOf = (folder: string): boolean[] =>
  readdirSync(resolve(root, 'bench/corpus', folder))
    .filter((f) => f.endsWith('.truth.json'))
    .map((f) => (JSON.parse(readFileSync(resolve(root, 'bench/corpus', folder, f), 'utf8')) as { held: boolean }).held);

it.each([
  ['models', 60],
  ['trials', 15],
  ['pads', 15],
])('the corpus of %s has %i tasks at least, and nearly a third held back', (folder, least) => {
  const held = heldOf(folder);
  expect(held.length).toBeGreaterThanOrEqual(least);
  expect(held.filter(Boolean).length / held.length).toBeGreaterThan(0.25);
});

it('scores every kind of task, and no proposed pair is wrong', () => {
  const run = spawnSync('node', ['tools/bench.mjs', 'join'], { cwd: root, encoding: 'utf8', timeout: 110_000 });
  const rows = run.stdout
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => line.split('\t'));
  const named = Object.fromEntries(
    rows.map(([what, right, , wrong]) => [what!.replace(' (held back)', '*'), { right: +right!, wrong: +wrong! }]),
  );
  for (const what of ['nodes', 'node comments', 'pairs', 'trials', 'pad lists'])
    for (const held of ['', '*']) {
      expect(named[what + held]!.right).toBeGreaterThan(0);
      expect(named[what + held]!.wrong).toBe(0);
    }
}, 120_000);
