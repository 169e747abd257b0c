import { execFileSync, spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { createServer, type Server } from 'node:net';
import { join, resolve } from 'node:path';

const root = resolve(__dirname, '..');
const running: ChildProcess[] = [];
const holding: Server[] = [];

beforeAll(() => {
  if (spawnSync('node', ['bin/stale', 'dist/server/server.mjs', 'server'], { cwd: root }).status === 0)
    execFileSync('node', ['tools/build.mjs'], { cwd: root });
}, 120_000);
afterAll(() => {
  for (const child of running) child.kill();
  for (const server of holding) server.close();
});

/** Starts the server and waits for the line that says where it is. */
function start(...args: string[]): Promise<string> {
  const child = spawn('node', [join(root, 'dist/server/server.mjs'), ...args], { cwd: root });
  running.push(child);
  return new Promise((found, failed) => {
    child.stdout.once('data', (data: Buffer) => found(data.toString()));
    child.stderr.once('data', (data: Buffer) => failed(new Error(data.toString())));
  });
}

const hold = (port: number): Promise<void> =>
  new Promise((done) => {
    const server = createServer().listen(port, '127.0.0.1', () => done());
    holding.push(server);
  });

it('says where it is, and is there', async () => {
  const line = await start('--port', '4711');
  expect(line).toMatch(/^Green Kite is at http:\/\/localhost:4711\/ /);
  expect(await (await fetch('http://127.0.0.1:4711/healthz')).json()).toEqual({ ok: true });
});

it('takes the next port where one is taken', async () => {
  await hold(4721);
  expect(await start('--port', '4721')).toMatch(/localhost:4722/);
});

it('listens on this machine only unless told otherwise', async () => {
  await start('--port', '4731');
  const listening = spawnSync('node', [
    '-e',
    `require('node:net').connect(4731, '::1').on('connect', () => process.exit(0)).on('error', () => process.exit(7))`,
  ]);
  expect(listening.status).toBe(7);
});

it.each(['abc', '-1', '70000'])('refuses the port %s with what is wanted', (port) => {
  const r = spawnSync('node', [join(root, 'dist/server/server.mjs'), '--port', port], { encoding: 'utf8', timeout: 10_000 });
  expect([r.status, r.stdout]).toEqual([2, '']);
  expect(r.stderr).toMatch(/whole number from 0 to 65535|argument missing/);
});
