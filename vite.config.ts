import { readdirSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import tailwind from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';

const folder = dirname(createRequire(import.meta.url).resolve('pdfjs-dist/package.json'));
const FOLDERS = ['cmaps', 'standard_fonts'];

/** The PDF library's own data, character maps and standard fonts, under /pdf/ in the development server and the build. */
const pdfData = (): Plugin => ({
  name: 'pdf-data',
  generateBundle() {
    for (const name of FOLDERS)
      for (const file of readdirSync(join(folder, name)))
        this.emitFile({ type: 'asset', fileName: `pdf/${name}/${file}`, source: readFileSync(join(folder, name, file)) });
  },
  configureServer(server) {
    server.middlewares.use('/pdf/', (request, response, next) => {
      const [, name, file] = /^\/(cmaps|standard_fonts)\/([\w.-]+)$/.exec(request.url ?? '') ?? [];
      if (!name || !file || !readdirSync(join(folder, name)).includes(file)) return next();
      response.end(readFileSync(join(folder, name, file)));
    });
  },
});

export default defineConfig({
  root: 'web',
  plugins: [react(), tailwind(), pdfData()],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2022',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
  },
  // The core and the demo library stand beside `web`.
  server: { fs: { allow: ['..'] } },
  worker: { format: 'es' },
});
