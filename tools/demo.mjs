// Makes the demo sources and drafts the demo library from them: `npm run demo`.
import { spawnSync } from 'node:child_process';
import { at, nodeBuild } from './node-build.mjs';

spawnSync('node', [at('demo/make-sources')], { stdio: 'inherit' });
const built = await nodeBuild('demo/make-library.ts', 'dist/demo', 'make-library.mjs');
process.exit(spawnSync('node', [built, at('demo')], { stdio: 'inherit' }).status ?? 1);
