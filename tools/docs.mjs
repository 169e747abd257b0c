// Writes docs/checks.md from the registry of rules: `npm run docs`.
import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';
import { build } from 'vite';

const at = (path) => fileURLToPath(new URL(`../${path}`, import.meta.url));
await build({
  root: at('.'),
  configFile: false,
  logLevel: 'warn',
  publicDir: false,
  build: {
    ssr: at('docs/checks-page.ts'),
    outDir: at('dist/docs'),
    rollupOptions: { output: { entryFileNames: 'checks-page.mjs', codeSplitting: false } },
  },
  ssr: { noExternal: true, target: 'node' },
});
process.exit(
  spawnSync(
    'node',
    [
      '-e',
      `import(${JSON.stringify(at('dist/docs/checks-page.mjs'))}).then((m) => require('node:fs').writeFileSync(${JSON.stringify(at('docs/checks.md'))}, m.checksPage()))`,
    ],
    { stdio: 'inherit' },
  ).status ?? 1,
);
