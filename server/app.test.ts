import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { pino } from 'pino';
import { makeApp } from './app';

const base = mkdtempSync(join(tmpdir(), 'green-kite-server-'));
const root = join(base, 'web');
const app = makeApp(root, pino({ level: 'silent' }));
const get = (path: string, headers: Record<string, string> = {}) => app.request(path, { headers });

beforeAll(() => {
  mkdirSync(join(root, 'assets'), { recursive: true });
  writeFileSync(join(root, 'index.html'), '<!doctype html><title>page</title>');
  writeFileSync(join(root, 'assets', 'app-1a2b.js'), 'let x = 1;');
  writeFileSync(join(root, 'assets', 'app-1a2b.js.gz'), gzipSync('let x = 1;'));
  writeFileSync(join(base, 'secret.txt'), 'secret');
});
afterAll(() => rmSync(base, { recursive: true }));

it('answers that it is well', async () => expect(await (await get('/healthz')).json()).toEqual({ ok: true }));

it.each(['/', '/rules', '/part/1234/read', '/part/a.b/join'])('gives the page at %s', async (path) => {
  const r = await get(path);
  expect([r.status, r.headers.get('content-type'), r.headers.get('cache-control')]).toEqual([200, 'text/html; charset=utf-8', 'no-cache']);
});

it('keeps hashed files for ever, and sends them compressed', async () => {
  const r = await get('/assets/app-1a2b.js', { 'accept-encoding': 'gzip, br' });
  expect(r.headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
  expect(r.headers.get('content-encoding')).toBe('gzip');
  expect((await get('/assets/app-1a2b.js', { 'accept-encoding': 'gzip;q=0' })).headers.get('content-encoding')).toBeNull();
});

it.each([
  ['content-security-policy', /script-src 'self';/],
  ['content-security-policy', /frame-ancestors 'none'/],
  ['x-content-type-options', /^nosniff$/],
  ['x-frame-options', /^DENY$/],
  ['referrer-policy', /^no-referrer$/],
])('every answer has %s', async (name, value) => {
  for (const path of ['/', '/healthz', '/assets/app-1a2b.js', '/gone.js']) expect((await get(path)).headers.get(name)).toMatch(value);
});

it('lets the simulator alone compile WebAssembly', async () => {
  const policy = async (path: string) => (await get(path)).headers.get('content-security-policy')!;
  expect(await policy('/assets/engine-worker-1a2b.js')).toMatch(/script-src 'self' 'wasm-unsafe-eval';/);
  for (const path of ['/', '/assets/app-1a2b.js', '/engine-worker-1a2b.js', '/assets/x/engine-worker-1.js'])
    expect(await policy(path)).not.toMatch(/wasm|data:;/);
});

it('allows no inline script', async () =>
  expect((await get('/')).headers.get('content-security-policy')).not.toMatch(/script-src[^;]*unsafe/));

it.each([
  '/gone.js',
  '/assets/gone.css',
  '/../secret.txt',
  '/%2e%2e/secret.txt',
  '/..%2fsecret.txt',
  '/assets/..%2f..%2fsecret.txt',
  '/%00',
  '/%zz',
  '/assets/app-1a2b.js.gz',
])('has nothing at %s', async (path) => {
  const r = await get(path);
  expect(await r.text()).not.toMatch(/secret$/);
  expect([404, 400, 200]).toContain(r.status);
  if (r.status === 200) expect(r.headers.get('content-type')).toMatch(/html/);
});
