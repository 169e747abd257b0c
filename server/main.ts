import { createServer } from 'node:net';
import { fileURLToPath } from 'node:url';
import { serve } from '@hono/node-server';
import { Command } from 'commander';
import { pino } from 'pino';
import { makeApp } from './app';

const FIRST_PORT = 4620;
const options = new Command('start')
  .option('--port <n>', 'the port to listen on')
  .option('--host <address>', 'the address to listen on', '127.0.0.1')
  .parse()
  .opts<{ port?: string; host: string }>();

const log = pino({ level: process.env['LOG_LEVEL'] ?? 'warn' }, pino.destination(2));

/** True where nobody listens on the port yet. */
const isFree = (port: number): Promise<boolean> =>
  new Promise((resolve) => {
    const probe = createServer()
      .once('error', () => resolve(false))
      .once('listening', () => probe.close(() => resolve(true)));
    probe.listen(port, options.host);
  });

async function choosePort(): Promise<number> {
  const asked = options.port === undefined ? undefined : Number(options.port);
  if (asked !== undefined && !(Number.isInteger(asked) && asked >= 0 && asked < 65536))
    fail(`--port ${options.port}: give a whole number from 0 to 65535.`);
  for (let port = asked ?? FIRST_PORT; port < (asked ?? FIRST_PORT) + 50; port++) if (port === 0 || (await isFree(port))) return port;
  return fail('No free port was found. Give one with --port.');
}

function fail(message: string): never {
  process.stderr.write(`${message}\n`);
  process.exit(2);
}

const app = makeApp(fileURLToPath(new URL('../web', import.meta.url)), log);
const server = serve({ fetch: app.fetch, port: await choosePort(), hostname: options.host }, ({ port }) => {
  process.stdout.write(`Green Kite is at http://${options.host === '127.0.0.1' ? 'localhost' : options.host}:${port}/ (Ctrl+C stops it)\n`);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const)
  process.on(signal, () => {
    server.close(() => process.exit(0));
    setTimeout(() => process.exit(0), 500).unref();
  });
