import { readFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { strFromU8, unzipSync } from 'fflate';
import { parsePart } from '../core/part';
import { partDigest } from '../core/release/digest';
import { dropFile, MODEL_33, next, paste, saved, startPart, TABLE_33 } from './app';

/** The whole line, by mouse: a pasted pin table becomes a released part. */
test('from a pasted pin table to a released part', async ({ page }) => {
  test.setTimeout(120_000);
  const faults: string[] = [];
  page.on('pageerror', (e) => faults.push(e.message));
  page.on('console', (m) => m.type() === 'error' && faults.push(m.text()));

  await test.step('Read: paste, look, take', async () => {
    await startPart(page);
    await paste(page, '#paste-box', TABLE_33);
    await expect(page.getByRole('table')).toContainText('Sensor 1 input, positive');
    await expect(page.getByLabel('Role of column Name')).toHaveValue('name');
    await page.getByRole('button', { name: /Take 33 terminals/ }).click();
    await expect(page.getByRole('heading', { name: 'Ledger' }).locator('..')).toContainText('33 pins');
    await expect(page.getByRole('banner')).toContainText('TF4033');
  });

  await test.step('Read: settle the doubt', async () => {
    await expect(next(page)).toHaveText('Next: 1 doubt. Press N');
    await page.keyboard.press('n');
    await expect(page.getByRole('region', { name: 'Doubt' })).toContainText('type of GAIN');
    await expect(page.locator('button.bg-green-wash')).toContainText('Gain strap; see Table 4');
    await page
      .getByRole('region', { name: 'Doubt' })
      .getByRole('button', { name: /keep input/ })
      .click();
    await expect(page.getByRole('region', { name: 'Doubt' })).toHaveCount(0);
  });

  await test.step('Arrange: plan, move by mouse, undo, tidy', async () => {
    await page.getByRole('link', { name: /Arrange/ }).click();
    await page.getByRole('button', { name: /Plan units/ }).click();
    await expect(page.locator('[data-port]')).toHaveCount(33);
    const sync = page.locator('[data-port]', { hasText: 'SYNC' });
    const from = (await sync.locator('.tip').boundingBox())!;
    const other = (await page.locator('[data-port]', { hasText: 'SDO' }).locator('.tip').boundingBox())!;
    await page.mouse.move(from.x + 4, from.y + 4);
    await page.mouse.down();
    await page.mouse.move(from.x + 60, from.y + 30, { steps: 4 });
    await page.mouse.move(other.x + 4, other.y + 4, { steps: 6 });
    await page.mouse.up();
    await expect(page.getByRole('row', { name: /SYNC/ })).toContainText(/A (left|right)/);
    const moved = (await page.locator('[data-port]', { hasText: 'SYNC' }).locator('.tip').boundingBox())!;
    expect(Math.abs(moved.x - other.x)).toBeLessThan(3);
    await page.getByRole('button', { name: /^Undo: move/ }).click();
    const back = (await page.locator('[data-port]', { hasText: 'SYNC' }).locator('.tip').boundingBox())!;
    expect(Math.round(back.x)).toBe(Math.round(from.x));
    await page.getByRole('button', { name: /Tidy A/ }).click();
    await expect(page.getByRole('region', { name: 'Proposal' })).toContainText('Tidying unit A would change');
    await page.getByRole('region', { name: 'Proposal' }).getByRole('button', { name: 'Leave' }).click();
  });

  await test.step('Join: a land by its short name', async () => {
    await page.getByRole('link', { name: /Join/ }).click();
    await page.getByRole('button', { name: /Make the land/ }).click();
    await page.getByLabel('Package, or IPC-7351 name').fill('QFN-32');
    await page.getByRole('button', { name: /Use for QFN-32/ }).click();
    await expect(page.getByRole('link', { name: /Join/ })).toContainText('33/33 pads');
    await expect(page.getByLabel('Pad 33: AGND')).toBeVisible();
  });

  await test.step('Join: a model by drop, its suggestions taken', async () => {
    await page.getByRole('button', { name: /Add a SPICE model/ }).click();
    await dropFile(page, 'section[aria-label="Drop the model file"]', 'TF4033.lib', MODEL_33);
    await page.getByRole('button', { name: /TF4033_AFE/ }).click();
    const suggested = page.getByRole('region', { name: 'Suggested ties' });
    await expect(suggested).toContainText('S1P → p');
    await suggested.getByRole('button', { name: /Take all/ }).click();
    await expect(page.locator('#stage-note')).toHaveText('33 of 33 pads joined, 5 of 5 nodes tied');
    await expect(page.getByRole('region', { name: 'Model nodes' })).toContainText('S1N');
  });

  await test.step('Join: the joined model is tried, and what the trial gave is kept', async () => {
    await page.keyboard.press('t');
    const card = page.getByRole('region', { name: 'Trial' });
    await card.getByRole('button', { name: 'Run the trial' }).click();
    await expect(card.getByRole('list', { name: 'Trials' })).toContainText('pass', { timeout: 60_000 });
    await expect(card.getByRole('button', { name: 'Try again' })).toBeVisible({ timeout: 60_000 });
  });

  await test.step('Prove: fields are missing; mend them', async () => {
    await page.getByRole('link', { name: /Prove/ }).click();
    await expect(page.getByRole('heading', { level: 1 })).toContainText('findings');
    await page.getByRole('button', { name: 'TF4033', exact: true }).click();
    const card = page.getByRole('dialog', { name: 'Particulars' });
    await card.getByLabel('Maker').fill('Tarnfield Devices');
    await card.getByLabel('Category').selectOption('integrated circuit');
    await card.getByLabel('Datasheet (title, revision)').fill('TF4033 datasheet, revision A');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Escape');
    await expect(page.getByRole('link', { name: /Prove/ })).toContainText('proven');
    await expect(page.getByRole('banner')).toContainText('proven');
  });

  await test.step('Release: version, note, bundle', async () => {
    await page.getByRole('link', { name: /Release/ }).click();
    await expect(page.getByLabel('Version')).toHaveValue('1.0');
    await page.getByLabel('What this release is').fill('First release, for the wind sensor.');
    await page.getByRole('button', { name: /Release 1\.0/ }).click();
    await expect(page.getByRole('banner')).toContainText('released v1.0');
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Download the bundle' }).click();
    const file = await waiting;
    expect(file.suggestedFilename()).toBe('TF4033-1.0.zip');
    const entries = unzipSync(readFileSync(await file.path()));
    const manifest = JSON.parse(strFromU8(entries['manifest.json']!)) as {
      digest: string;
      version: string;
      files: { path: string; sha256: string }[];
    };
    expect(Object.keys(entries).sort()).toEqual([
      'TF4033-check.html',
      'TF4033-pins.csv',
      'TF4033.kite.json',
      'land/TF4033-QFN-32.csv',
      'land/TF4033-QFN-32.svg',
      'land/TF4033.xml',
      'manifest.json',
      'spice/TF4033.lib',
      'symbol/TF4033-A.svg',
      'symbol/TF4033.edf',
    ]);
    for (const f of manifest.files) expect(createHash('sha256').update(entries[f.path]!).digest('hex')).toBe(f.sha256);
    const part = parsePart(strFromU8(entries['TF4033.kite.json']!));
    expect(partDigest(part)).toBe(manifest.digest);
    expect(part.pins).toHaveLength(33);
    expect(strFromU8(entries['spice/TF4033.lib']!)).toMatch(/^X1 S1P S1N AVDD_9 AGND_10 REFOUT TF4033_AFE$/m);
    expect(strFromU8(entries['symbol/TF4033-A.svg']!)).toContain('HTR1');
  });

  await test.step('A reload keeps it all', async () => {
    await saved(page);
    await page.reload();
    await expect(page.getByRole('banner')).toContainText('released v1.0');
  });
  expect(faults).toEqual([]);
});
