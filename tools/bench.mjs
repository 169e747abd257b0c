// Runs bench/bench.ts: times as ratios against a baseline of the same run. Nothing is asserted about time.
import { fileURLToPath } from 'node:url';
import { build } from 'vite';

const at = (path) => fileURLToPath(new URL(`../${path}`, import.meta.url));
await build({
  root: at('.'),
  configFile: false,
  logLevel: 'warn',
  publicDir: false,
  build: {
    ssr: at('bench/bench.ts'),
    outDir: at('dist/bench'),
    rollupOptions: { output: { entryFileNames: 'bench.mjs', codeSplitting: false } },
  },
  ssr: { noExternal: true, target: 'node' },
});
await import(at('dist/bench/bench.mjs'));
