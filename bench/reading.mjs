import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import PDFDocument from 'pdfkit';

/**
 * What reading costs the main thread: every task over 50 ms (the browser's own long-task entries) while a long document
 * is read, looked over and taken, and while a library of 4,000 models is listed. Prints; asserts nothing.
 */
const PORT = 4794;

/** A hundred pages of which one has the pin table. */
async function longPdf() {
  const doc = new PDFDocument({ size: 'A4', margin: 50 });
  const chunks = [];
  doc.on('data', (chunk) => chunks.push(chunk));
  const done = new Promise((resolve) => doc.on('end', resolve));
  const row = (cells, y) => cells.forEach((c, k) => doc.text(String(c), 50 + k * 90, y, { lineBreak: false }));
  for (let page = 1; page <= 100; page++) {
    if (page > 1) doc.addPage();
    doc.fontSize(9);
    if (page === 61)
      ['Pin', ...Array.from({ length: 48 }, (_, i) => i + 1)].forEach((n, i) =>
        row([n, i ? `SIG${i}` : 'Name', i ? 'I' : 'Type', i ? 'Input' : 'Description'], 60 + i * 14),
      );
    else Array.from({ length: 40 }, (_, i) => row([`Figure ${i}`, 'at 3 V', i, i + 2, 'mV'], 60 + i * 14));
  }
  doc.end();
  await done;
  return Buffer.concat(chunks);
}

// Files on disk: handing bytes to the page would itself be a task of the page.
const folder = mkdtempSync(join(tmpdir(), 'reading-'));
const kept = (name, data) => {
  writeFileSync(join(folder, name), data);
  return join(folder, name);
};

const csv = `Pin,Name,Type,Description\n${Array.from({ length: 1200 }, (_, i) => `${i + 1},IO${i},I/O,Input and output ${i}`).join('\n')}\n`;
const library = Array.from(
  { length: 4000 },
  (_, i) => `* 1 = in\n* 2 = out\n.subckt M${i} 1 2 3\nR1 1 2 1k\n${'* a remark that fills the file\n'.repeat(14)}.ends\n`,
).join('');

const server = spawn('node', ['dist/server/server.mjs', '--port', String(PORT)], { stdio: 'ignore' });
const browser = await chromium.launch({ executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: ['--no-sandbox'] });
try {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  await page.addInitScript(() => {
    globalThis.__long = [];
    new PerformanceObserver((list) => globalThis.__long.push(...list.getEntries().map((e) => Math.round(e.duration)))).observe({
      type: 'longtask',
    });
  });
  for (let i = 0; i < 60 && !(await page.goto(`http://localhost:${PORT}/`).catch(() => undefined)); i++) await page.waitForTimeout(250);
  const measured = async (what, work) => {
    await page.evaluate(() => (globalThis.__long.length = 0));
    await work();
    await page.waitForTimeout(600);
    const tasks = (await page.evaluate(() => globalThis.__long)).sort((a, b) => b - a);
    console.log(
      `${what}: ${tasks.length === 0 ? 'no task over 50 ms' : `${tasks.length} over 50 ms, the longest ${tasks.slice(0, 6).join(', ')} ms`}`,
    );
  };
  const choose = async (button, file) => {
    const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByRole('button', { name: button }).click()]);
    await chooser.setFiles(file);
  };
  const start = async () => {
    await page.goto(`http://localhost:${PORT}/`);
    await page
      .getByRole('button', { name: /Start a part/ })
      .first()
      .click();
    await page.getByRole('complementary', { name: 'Ledger' }).waitFor();
    await page.waitForTimeout(800);
  };
  const take = () => page.getByRole('button', { name: /^Take \d+ terminals/ });
  for (const [what, file] of [
    ['a 100-page PDF', kept('long.pdf', await longPdf())],
    ['a CSV of 1,200 pins', kept('long.csv', csv)],
    ['a BSDL file of 484 balls', 'demo/sources/TF8484.bsd'],
  ]) {
    await start();
    await measured(`reading ${what}`, async () => {
      await choose(/Choose a file|Read a file/, file);
      await take().waitFor({ timeout: 60_000 });
    });
    await measured('  taking it', async () => {
      await take().click();
      await page.getByRole('row').nth(5).waitFor();
    });
  }
  await page.getByRole('link', { name: /Join/ }).click();
  await page.getByRole('button', { name: /Add a SPICE model/ }).click();
  await measured('listing 4,000 models', async () => {
    await choose(/Choose a file/, kept('long.lib', library));
    await page.getByRole('button', { name: /M0 / }).first().waitFor({ timeout: 30_000 });
  });
} finally {
  await browser.close();
  server.kill();
  rmSync(folder, { recursive: true });
}
