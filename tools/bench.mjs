// Runs bench/bench.ts: times as ratios against a baseline of the same run. Nothing is asserted about time.
import { nodeBuild } from './node-build.mjs';

await import(await nodeBuild('bench/bench.ts', 'dist/bench', 'bench.mjs'));
