// Makes the demo sources and drafts the demo library from them: `npm run demo`.
import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { build } from 'vite';

const at = (path) => fileURLToPath(new URL(`../${path}`, import.meta.url));
spawnSync('node', [at('demo/make-sources')], { stdio: 'inherit' });
await build({
  root: at('.'),
  configFile: false,
  logLevel: 'warn',
  publicDir: false,
  build: {
    ssr: at('demo/make-library.ts'),
    outDir: at('dist/demo'),
    rollupOptions: { output: { entryFileNames: 'make-library.mjs', codeSplitting: false } },
  },
  ssr: { noExternal: true, target: 'node' },
});
process.exit(spawnSync('node', [at('dist/demo/make-library.mjs'), at('demo')], { stdio: 'inherit' }).status ?? 1);
