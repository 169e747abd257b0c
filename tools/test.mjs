// Runs every stage of the tests, goes on after one that fails, and counts: one line `N passed, M failed` at the end.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const scratch = mkdtempSync(join(tmpdir(), 'green-kite-'));
const jestReport = join(scratch, 'jest.json');
const browserReport = join(scratch, 'browser.json');
const count = { passed: 0, failed: 0 };

const run = (command, env = {}) => spawnSync('npx', command, { stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;
const read = (file) => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return undefined;
  }
};

/** A stage that passes or fails as a whole. */
function stage(title, passed) {
  count[passed ? 'passed' : 'failed']++;
  process.stdout.write(`${passed ? 'passed' : 'FAILED'}: ${title}\n`);
}

stage('types of the core', run(['tsc', '-p', 'core/tsconfig.json']));
stage('types', run(['tsc', '-p', 'tsconfig.json']));
stage('lint', run(['eslint', '.', '--max-warnings', '0']));
stage('format', run(['prettier', '--check', '.', '--log-level', 'warn']));
stage('no dead exports', run(['knip']));
const built = spawnSync('node', ['tools/build.mjs'], { stdio: 'inherit' }).status === 0;
stage('build', built);

run(['jest', '--json', `--outputFile=${jestReport}`, '--silent=false']);
const jest = read(jestReport);
count.passed += jest?.numPassedTests ?? 0;
count.failed += jest ? jest.numFailedTests + jest.numRuntimeErrorTestSuites : 1;

if (built) {
  run(['playwright', 'test', '--reporter=list,json'], { PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport });
  const stats = read(browserReport)?.stats;
  count.passed += (stats?.expected ?? 0) + (stats?.flaky ?? 0);
  count.failed += stats ? stats.unexpected : 1;
} else count.failed++;

process.stdout.write(`${count.passed} passed, ${count.failed} failed\n`);
process.exit(count.failed === 0 ? 0 : 1);
