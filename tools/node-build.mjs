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
    ssr: { noExternal: true, target: 'node' },
  });
  return at(`${outDir}/${name}`);
}
