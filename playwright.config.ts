import { execFileSync } from 'node:child_process';
import { defineConfig } from '@playwright/test';

/** Chosen once and handed on to the workers by the environment, so that two runs on a machine do not meet. */
const PORT = (process.env['KITE_TEST_PORT'] ??= String(4800 + (process.pid % 900)));

/** Drives Debian's Chromium against the built application. */
export default defineConfig({
  testDir: 'e2e',
  fullyParallel: true,
  workers: 2,
  timeout: 90_000,
  // A shared machine may stall once; the list still names a test that needed its second try.
  retries: process.env['CI'] ? 1 : 0,
  expect: { timeout: 20_000 },
  reporter: 'list',
  use: {
    baseURL: `http://localhost:${PORT}`,
    viewport: { width: 1280, height: 800 },
    permissions: ['clipboard-read', 'clipboard-write'],
    launchOptions: {
      executablePath: execFileSync('which', ['chromium'], { encoding: 'utf8' }).trim(),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  webServer: { command: `node dist/server/server.mjs --port ${PORT}`, url: `http://localhost:${PORT}/healthz`, reuseExistingServer: false },
});
