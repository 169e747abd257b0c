import { readFile, stat } from 'node:fs/promises';
import { extname, join, normalize, sep } from 'node:path';
import { Hono } from 'hono';
import type { Logger } from 'pino';

const TYPES: Record<string, string> = {
  '.html': 'text/html; charset=utf-8',
  '.js': 'text/javascript; charset=utf-8',
  '.css': 'text/css; charset=utf-8',
  '.json': 'application/json; charset=utf-8',
  '.svg': 'image/svg+xml',
  '.png': 'image/png',
  '.woff2': 'font/woff2',
  '.webmanifest': 'application/manifest+json',
  '.map': 'application/json; charset=utf-8',
  '.txt': 'text/plain; charset=utf-8',
};

/** Nothing from elsewhere, no inline script, no framing. Styles may be inline: the interface library sets some so. */
const POLICY = [
  "default-src 'self'",
  "script-src 'self'",
  "style-src 'self' 'unsafe-inline'",
  "img-src 'self' data: blob:",
  "font-src 'self'",
  "connect-src 'self'",
  "worker-src 'self'",
  "object-src 'none'",
  "base-uri 'none'",
  "form-action 'none'",
  "frame-ancestors 'none'",
].join('; ');

/**
 * A worker has the policy that it is served with. The simulator's alone may compile WebAssembly, which it carries as data;
 * the page and everything else may not.
 */
const SIMULATOR = /^\/assets\/engine-worker-[\w-]+\.js$/;
const SIMULATOR_POLICY = POLICY.replace("script-src 'self'", "script-src 'self' 'wasm-unsafe-eval'").replace(
  "connect-src 'self'",
  "connect-src 'self' data:",
);

const HEADERS: Record<string, string> = {
  'content-security-policy': POLICY,
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'no-referrer',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(), microphone=(), geolocation=(), usb=(), serial=()',
};

/** The application's server: the built files of `root`, precompressed where the build made it, and `/healthz`. */
export function makeApp(root: string, log: Logger): Hono {
  const app = new Hono();
  app.use(async (c, next) => {
    const start = performance.now();
    await next();
    for (const [name, value] of Object.entries(HEADERS)) c.res.headers.set(name, value);
    if (SIMULATOR.test(c.req.path)) c.res.headers.set('content-security-policy', SIMULATOR_POLICY);
    log.debug({
      method: c.req.method,
      path: c.req.path,
      status: c.res.status,
      ms: Math.round(performance.now() - start),
    });
  });
  app.get('/healthz', (c) => c.json({ ok: true }));
  app.get('*', async (c) => {
    const found = await fileFor(root, c.req.path);
    if (!found) return c.text('There is nothing at this address.', 404);
    const encoding = await encodingOf(found, c.req.header('accept-encoding') ?? '');
    const body = await readFile(encoding ? `${found}${encoding.suffix}` : found);
    const hashed = /\/assets\//.test(found.split(sep).join('/'));
    return c.body(new Uint8Array(body), 200, {
      'content-type': TYPES[extname(found)] ?? 'application/octet-stream',
      'cache-control': hashed ? 'public, max-age=31536000, immutable' : 'no-cache',
      vary: 'accept-encoding',
      ...(encoding ? { 'content-encoding': encoding.name } : {}),
    });
  });
  app.onError((error, c) => {
    log.error({ err: error });
    return c.text('The server could not answer. Its log says why.', 500);
  });
  return app;
}

/** The file for a path; addresses of the application itself, which have no ending, get its page. */
async function fileFor(root: string, path: string): Promise<string | undefined> {
  let plain: string;
  try {
    plain = normalize(decodeURIComponent(path));
  } catch {
    return undefined;
  }
  const file = join(root, plain);
  if (!file.startsWith(root + sep) && file !== root && file !== root + sep) return undefined;
  if (plain.includes('\0') || /\.(br|gz)$/.test(plain)) return undefined;
  if (await isFile(file)) return file;
  return extname(plain) === '' || plain.startsWith(`${sep}part${sep}`) ? join(root, 'index.html') : undefined;
}

const isFile = async (path: string): Promise<boolean> => {
  try {
    return (await stat(path)).isFile();
  } catch {
    return false;
  }
};

const ENCODINGS = [
  { name: 'br', suffix: '.br' },
  { name: 'gzip', suffix: '.gz' },
];

async function encodingOf(file: string, accepted: string): Promise<(typeof ENCODINGS)[number] | undefined> {
  for (const encoding of ENCODINGS)
    if (new RegExp(`\\b${encoding.name}\\b(?!;\\s*q=0(?:[,\\s]|$))`).test(accepted) && (await isFile(`${file}${encoding.suffix}`)))
      return encoding;
  return undefined;
}
