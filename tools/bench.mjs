// Runs bench/bench.ts (times as ratios against a baseline of the same run) or another file there by its name: `read` scores the reader.
import { existsSync } from 'node:fs';
import { at, nodeBuild } from './node-build.mjs';

const isNamed = /^[a-z]+$/.test(process.argv[2] ?? '') && existsSync(at(`bench/${process.argv[2]}.ts`));
const name = isNamed ? process.argv.splice(2, 1)[0] : 'bench';
await import(await nodeBuild(`bench/${name}.ts`, `dist/bench-${name}`, `${name}.mjs`));
