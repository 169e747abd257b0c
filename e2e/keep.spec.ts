import { expect, test } from '@playwright/test';
import { openPart, openShelf, saved } from './app';

test('a reload and a killed tab lose nothing', async ({ page, context }) => {
  await openPart(page, 'TF5501', 'read');
  const url = page.url();
  await page.getByRole('gridcell', { name: 'EN', exact: true }).click();
  await page.keyboard.type('ENABLE');
  await page.keyboard.press('Enter');
  await saved(page);
  await page.reload();
  await expect(page.getByRole('gridcell', { name: 'ENABLE', exact: true })).toBeVisible();

  await page.getByRole('gridcell', { name: 'NR', exact: true }).click();
  await page.keyboard.type('NOISE');
  await page.keyboard.press('Enter');
  await page.waitForTimeout(1000);
  await page.close({ runBeforeUnload: false });
  const again = await context.newPage();
  await again.goto(url);
  await expect(again.getByRole('gridcell', { name: 'NOISE', exact: true })).toBeVisible();
});

test('a first visit that is cut short is made up for, and the demo library can be brought again', async ({ page }) => {
  let held = 0;
  await page.route(/TF7311.*\.pdf/, (route) => (held++ === 0 ? undefined : route.continue()));
  await page.goto('/');
  await expect.poll(() => held, { timeout: 30_000 }).toBeGreaterThan(0);
  await openShelf(page);
  const parts = await page.locator('li a').count();
  expect(parts).toBeGreaterThan(8);

  for (const pick of await page.getByRole('button', { name: /^Select / }).all()) await pick.click({ force: true });
  await page.getByRole('button', { name: `Delete ${parts}` }).click();
  await page.getByRole('button', { name: 'Bring the demo library' }).click();
  await expect(page.locator('li a')).toHaveCount(parts);
});

test('an edit made in the moment of leaving is kept, and the Shelf shows it', async ({ page }) => {
  await openPart(page, 'TF5501', 'prove');
  await page.getByRole('button', { name: 'TF5501', exact: true }).click();
  await page.getByRole('dialog', { name: 'Particulars' }).getByLabel('Description').fill('Left in a hurry');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Alt+0');
  await expect(page.getByText('Left in a hurry')).toBeVisible();
  await page.goBack();
  await page.getByRole('link', { name: /Read/ }).click();
  await expect(page.getByText('looking only')).toHaveCount(0);
  await page.keyboard.press('Alt+0');
  await page.reload();
  await expect(page.getByText('Left in a hurry')).toBeVisible();
});

test('undo and redo go through everything', async ({ page }) => {
  await openPart(page, 'TF1502', 'arrange');
  const first = page.locator('[data-port]').first();
  const place = async () => Math.round((await first.locator('.tip').boundingBox())!.y);
  await first.locator('.tip').click({ force: true });
  const before = await place();
  await page.keyboard.press('ArrowDown');
  await expect.poll(place).not.toBe(before);
  const after = await place();
  await page.keyboard.press('Control+z');
  await expect.poll(place).toBe(before);
  await page.keyboard.press('Control+y');
  await expect.poll(place).toBe(after);
});

test('a second tab on a part says so and does not overwrite', async ({ page, context }) => {
  await openPart(page, 'TF5501', 'read');
  const second = await context.newPage();
  await second.goto(page.url());
  await expect(second.getByRole('alert')).toContainText('open in another tab');
  await second.getByRole('gridcell', { name: 'EN', exact: true }).dblclick();
  await second.keyboard.type('XX');
  await second.keyboard.press('Enter');
  await expect(second.getByRole('gridcell', { name: 'EN', exact: true })).toBeVisible();
  await expect(second.getByText('looking only')).toBeVisible();
  await page.close();
  await second.getByRole('button', { name: 'Try again' }).click();
  await expect(second.getByRole('alert')).toHaveCount(0);
});

test('deleted parts come back with undo', async ({ page }) => {
  await openShelf(page);
  const card = page.getByRole('listitem').filter({ has: page.locator('strong:text-is("TF0915")') });
  await card.hover();
  await card.getByRole('button', { name: 'Delete TF0915' }).click();
  await expect(card).toHaveCount(0);
  await page.getByRole('status').getByRole('button', { name: 'Undo' }).click();
  await expect(card).toBeVisible();
});

test('a part is copied on the Shelf and from its own page, and the copy is another part', async ({ page }) => {
  await openShelf(page);
  await page.getByRole('button', { name: 'Copy TF7311' }).click();
  await page.getByRole('button', { name: 'Open it' }).click();
  await expect(page.getByText('TF7311 copy', { exact: true })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.keyboard.type('copy the part');
  await page.keyboard.press('Enter');
  await expect(page.getByText('TF7311 copy 2', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByText('13 parts')).toBeVisible();
});

test('search looks through names, words and pins', async ({ page }) => {
  await openShelf(page);
  for (const [query, expected] of [
    ['SYNC_OUT', ['TF9048']],
    ['isolator', ['TF6120']],
    ['proven camera', ['TF8484']],
  ] as const) {
    await page.getByLabel('Search parts').fill(query);
    await expect(page.getByRole('listitem')).toHaveCount(expected.length);
    await expect(page.getByRole('listitem').first()).toContainText(expected[0]!);
  }
  await page.getByLabel('Search parts').fill('zebra');
  await expect(page.getByRole('heading', { name: /No part has/ })).toBeVisible();
});

test('works without a network once it was loaded', async ({ page, context }) => {
  await openShelf(page);
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await expect.poll(() => page.evaluate(async () => (await caches.keys()).length)).toBeGreaterThan(0);
  await page.reload();
  await expect(page.getByRole('link', { name: /TF8484/ })).toBeVisible();
  await context.setOffline(true);
  await page.reload();
  await expect(page.getByRole('link', { name: /TF8484/ })).toBeVisible();
  await page.getByRole('link', { name: /TF5501/ }).click();
  await expect(page.locator('[data-port]')).toHaveCount(5);
});

test('an archive goes out and comes back', async ({ page }) => {
  await openShelf(page);
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export all' }).click();
  const path = await (await waiting).path();
  const archive = (await import('node:fs')).readFileSync(path);
  const bring = async () => {
    const chooser = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: 'Import…' }).click();
    await (await chooser).setFiles({ name: 'library.kite.zip', mimeType: 'application/zip', buffer: archive });
  };
  // What is there as it is in the archive is not added again; what was deleted comes back, and what differs stands beside its old one.
  await bring();
  await expect(page.getByText('Nothing to add. 11 parts are on the Shelf already, the same in everything.')).toBeVisible();
  await page.keyboard.press('Control+a');
  await page.getByRole('button', { name: 'Delete 11' }).click();
  await expect(page.getByText('The Shelf is empty')).toBeVisible();
  await bring();
  await expect(page.getByText('11 parts', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: /TF5501/ }).click();
  await page.getByRole('button', { name: 'TF5501', exact: true }).click();
  await page.getByRole('dialog', { name: 'Particulars' }).getByLabel('Description').fill('Another amplifier');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Shelf' }).click();
  await bring();
  await expect(page.getByText('12 parts', { exact: true })).toBeVisible();
  await expect(page.getByText(/Added TF5501. 10 parts are on the Shelf already/)).toBeVisible();
  await expect(page.getByRole('link', { name: /TF5501.*of \d{4}-\d\d-\d\d/ })).toHaveCount(2);
  await page.getByRole('button', { name: 'Remove the old' }).click();
  await expect(page.getByText('Another amplifier')).toHaveCount(0);
  await expect(page.getByText('11 parts', { exact: true })).toBeVisible();
});
