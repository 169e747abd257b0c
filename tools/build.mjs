// Builds the web application, the server and the command line into dist/. `--cli` builds the command line alone.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { build } from 'vite';
import { nodeBuild } from './node-build.mjs';

const root = fileURLToPath(new URL('..', import.meta.url));
const cliOnly = process.argv.includes('--cli');

await nodeBuild('cli/main.ts', 'dist/cli', 'green-kite.mjs', { minify: true });
if (!cliOnly) {
  await nodeBuild('server/main.ts', 'dist/server', 'server.mjs', { minify: true });
  await build({ root: join(root, 'web'), configFile: join(root, 'vite.config.ts'), logLevel: 'warn' });
  const out = join(root, 'dist/web');
  const files = walk(out).map((f) => relative(out, f).split('\\').join('/'));
  // The service worker keeps exactly these files, but not the simulator: it is large, and loaded only when asked for; a changed one changes the version and with it the cache.
  const version = createHash('sha256');
  for (const f of files) version.update(f).update(readFileSync(join(out, f)));
  const worker = join(out, 'service-worker.js');
  const kept = files.filter(
    (f) =>
      f !== 'service-worker.js' &&
      !f.endsWith('.map') &&
      !f.endsWith('.woff') &&
      !f.startsWith('pdf/cmaps/') &&
      !/eecircuit-engine/.test(f),
  );
  writeFileSync(
    worker,
    fill(readFileSync(worker, 'utf8'), {
      __VERSION__: version.digest('hex').slice(0, 12),
      __FILES__: kept.map((f) => (f === 'index.html' ? '/' : `/${f}`)),
    }),
  );
  for (const f of files.filter((name) => /\.(js|css|html|svg|json|webmanifest)$/.test(name))) {
    const data = readFileSync(join(out, f));
    if (data.length < 1024) continue;
    writeFileSync(join(out, `${f}.gz`), gzipSync(data, { level: 9 }));
    writeFileSync(join(out, `${f}.br`), brotliCompressSync(data, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }));
  }
}

/** Puts values in place of their quoted names; a name that is not there is a fault of the build. */
function fill(text, values) {
  return Object.entries(values).reduce((filled, [name, value]) => {
    const place = Array.isArray(value) ? new RegExp(`\\[['"]${name}['"]\\]`) : new RegExp(`['"]${name}['"]`);
    if (!place.test(filled)) throw new Error(`the service worker has no place for ${name}`);
    return filled.replace(place, () => JSON.stringify(value));
  }, text);
}

function walk(folder) {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? walk(path) : [path];
  });
}
