// Writes docs/checks.md from the registry of rules: `npm run docs`.
import { writeFileSync } from 'node:fs';
import { at, nodeBuild } from './node-build.mjs';

const { checksPage } = await import(await nodeBuild('docs/checks-page.ts', 'dist/docs', 'checks-page.mjs'));
writeFileSync(at('docs/checks.md'), checksPage());
