import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { safeParsePart } from '../core/part';
import { good } from '../core/test/samples';
import { checksPage } from './checks-page';

const root = resolve(__dirname, '..');
const text = (path: string) => readFileSync(join(root, path), 'utf8');
const PAGES = ['README.md', 'docs/architecture.md', 'docs/part-file.md', 'docs/checks.md'];

it('the page of checks is what the registry says', () => expect(text('docs/checks.md')).toBe(checksPage()));

it.each(PAGES)('every link and picture of %s leads somewhere', (page) => {
  const links = [...text(page).matchAll(/\]\(([^)#]+)(?:#[^)]*)?\)/g)].map((m) => m[1]!).filter((l) => !/^https?:/.test(l));
  for (const link of links) expect([link, existsSync(join(root, dirname(page), link))]).toEqual([link, true]);
});

it('shows each picture that is kept, and keeps fewer than twenty', () => {
  const pictures = readdirSync(join(root, 'docs/screenshots')).filter((f) => f.endsWith('.png'));
  expect(pictures.length).toBeLessThan(20);
  for (const picture of pictures) expect(text('README.md')).toContain(`docs/screenshots/${picture}`);
});

it('opens with the two commands', () => expect(text('README.md').slice(0, 900)).toMatch(/bin\/start[\s\S]*bin\/test/));

describe('the commands of README', () => {
  const blocks = [...text('README.md').matchAll(/```sh\n([\s\S]*?)```/g)].map((m) => m[1]!);
  const commands = blocks.flatMap((b) => b.split('\n')).filter((l) => l.startsWith('bin/green-kite '));
  const folder = mkdtempSync(join(tmpdir(), 'green-kite-docs-'));
  beforeAll(() => {
    if (spawnSync('node', ['bin/stale', 'dist/cli/green-kite.mjs', 'core', 'cli'], { cwd: root }).status === 0)
      execFileSync('node', ['tools/build.mjs', '--cli'], { cwd: root });
  }, 60_000);
  it('are there', () => expect(commands.length).toBeGreaterThan(5));
  it.each(commands)('%s', (command) => {
    const words = command
      .replace(/\s+#.*$/, '')
      .match(/"[^"]*"|\S+/g)!
      .slice(1)
      .map((w) => w.replace(/^"|"$/g, '').replace(/^\/tmp\/kite/, folder));
    const r = spawnSync('node', [join(root, 'dist/cli/green-kite.mjs'), ...words], { cwd: root, encoding: 'utf8' });
    // `check` of the demo library finds what was left in it on purpose.
    expect([0, words[0] === 'check' ? 1 : 0]).toContain(r.status);
    expect(r.stderr).not.toMatch(/Error|\n\s+at /);
  });
});

it('the part of docs/part-file.md is a part', () => {
  const example = /```json\n([\s\S]*?)```/.exec(text('docs/part-file.md'))![1]!;
  expect(good(safeParsePart(example)).pins).toHaveLength(2);
});

it('every folder of the core says what it is', () => {
  const folders = readdirSync(join(root, 'core')).filter((f) => statSync(join(root, 'core', f)).isDirectory() && f !== 'test');
  for (const f of folders) expect(text(`core/${f}/README.md`)).toMatch(new RegExp(`^# ${f}\n`));
});
