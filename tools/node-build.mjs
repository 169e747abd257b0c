// Builds one entry of ours as a single file for Node; what it needs is bundled, so that it starts quickly.
import { fileURLToPath } from 'node:url';
import { build } from 'vite';

export const at = (path) => fileURLToPath(new URL(`../${path}`, import.meta.url));

export async function nodeBuild(entry, outDir, name, options = {}) {
  await build({
    root: at('.'),
    configFile: false,
    logLevel: 'warn',
    publicDir: false,
    build: {
      ssr: at(entry),
      outDir: at(outDir),
      emptyOutDir: true,
      target: 'node20',
      ...options,
      rollupOptions: { output: { entryFileNames: name, codeSplitting: false } },
    },
    // The readers of PDF and workbooks are large and seldom needed: they stay where they are installed and are loaded on demand.
    ssr: { noExternal: true, external: ['pdfjs-dist', '@e965/xlsx', 'pdfkit', 'eecircuit-engine'], target: 'node' },
  });
  return at(`${outDir}/${name}`);
}
