import { spawnSync } from 'node:child_process';
import { expect, test } from '@playwright/test';
import { openPart, openShelf } from './app';

test('the Shelf shows what the command line finds', async ({ page }) => {
  const run = spawnSync('node', ['dist/cli/green-kite.mjs', 'check', 'demo/library', '--json'], { encoding: 'utf8' });
  const { findings, parts } = JSON.parse(run.stdout) as { findings: { part: string; severity: string }[]; parts: number };
  await openShelf(page);
  await expect(page.getByText(`${parts} parts`)).toBeVisible();
  for (const card of await page.getByRole('listitem').all()) {
    const name = (await card.locator('strong').textContent())!;
    const open = findings.filter((f) => f.part === name && f.severity !== 'note').length;
    await expect(card).toContainText(open === 0 ? 'nothing open' : `${open} finding`);
  }
});

test('pins are bundled, split, added and removed', async ({ page }) => {
  await openPart(page, 'TF1502', 'read');
  const pick = async (command: string) => {
    await page.keyboard.press('Control+k');
    await page.keyboard.type(command);
    await page.keyboard.press('Enter');
  };
  const rows = page.locator('[role="row"][aria-selected]');
  await expect(rows).toHaveCount(9);
  await page.getByRole('gridcell', { name: 'GND', exact: true }).first().click();
  await page
    .getByRole('gridcell', { name: 'GND', exact: true })
    .nth(1)
    .click({ modifiers: ['Control'] });
  await pick('bundle');
  await expect(rows).toHaveCount(8);
  await expect(page.getByRole('row', { name: /GND/ })).toContainText('4,9');
  await page.getByRole('gridcell', { name: 'GND', exact: true }).click();
  await pick('split');
  await expect(rows).toHaveCount(9);
  await page.keyboard.press('Alt+a');
  await expect(rows).toHaveCount(10);
  await page.keyboard.press('Alt+Delete');
  await expect(rows).toHaveCount(9);
  for (let i = 0; i < 4; i++) await page.keyboard.press('Control+z');
  await expect(rows).toHaveCount(9);
  await expect(page.getByText('9 pins', { exact: true }).first()).toBeVisible();
});

test('what identifies a part is edited in place and undone', async ({ page }) => {
  await openPart(page, 'TF5501', 'release');
  await page.getByRole('button', { name: 'TF5501', exact: true }).click();
  const card = page.getByRole('dialog', { name: 'Particulars' });
  await card.getByLabel('Description').fill('A quiet regulator');
  await card.getByLabel('Reference letters').fill('r');
  await page.keyboard.press('Enter');
  // A list of choices has no text to undo, so the part's own undo answers there too.
  const was = await card.getByLabel('Category').inputValue();
  await card.getByLabel('Category').focus();
  await card.getByLabel('Category').selectOption('connector');
  await page.keyboard.press('Control+z');
  await expect(card.getByLabel('Category')).toHaveValue(was);
  await card.getByRole('button', { name: 'Supply range' }).click();
  await card.getByLabel('Supply range').fill('2.7 V to 6 V');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('link', { name: /Prove/ })).toContainText('1 finding');
  await page.getByRole('link', { name: /Prove/ }).click();
  await expect(page.getByText('Reference R is unusual')).toBeVisible();
  await page.getByRole('button', { name: 'use U' }).click();
  await expect(page.getByRole('link', { name: /Prove/ })).toContainText('proven');
});

test('a second package starts with the numbers of the first', async ({ page }) => {
  await openPart(page, 'TF2204', 'join');
  await page.getByRole('button', { name: /Change the land/ }).click();
  await page.getByLabel('Package, or IPC-7351 name').fill('TSSOP-14');
  await page.getByRole('button', { name: 'Add as another package' }).click();
  await expect(page.getByRole('button', { name: /TSSOP-14 14 pads/ })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('link', { name: /Join/ })).toContainText('14/14 pads');
  await page
    .getByRole('button', { name: /SO-14 14 pads/ })
    .first()
    .click();
  await expect(page.locator('footer')).toContainText('SO-14');
});

test('the theme follows the system until one is chosen, and is kept', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' });
  await openShelf(page);
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  for (let i = 0; i < 2; i++) {
    await page.keyboard.press('Control+k');
    await page.keyboard.type('theme');
    await page.keyboard.press('Enter');
  }
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
  await page.reload();
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
});

test('the ledger’s edge is moved by the keyboard', async ({ page }) => {
  await openPart(page, 'TF5501', 'read');
  const edge = page.getByRole('separator', { name: 'Width of the ledger' });
  const before = Number(await edge.getAttribute('aria-valuenow'));
  await edge.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(edge).toHaveAttribute('aria-valuenow', String(before + 32));
});

test('a type that is none stays in its cell to be put right, and a pasted block is one step of undo', async ({ page }) => {
  await openPart(page, 'TF1502', 'read');
  const row = page.locator('[role="row"][aria-selected]').first();
  const type = row.getByRole('gridcell').nth(2);
  const before = (await row.innerText()).replace(/\s+/g, ' ');
  await type.dblclick();
  await page.getByLabel('Edit type').fill('sideways');
  await page.keyboard.press('Enter');
  await expect(page.getByText('“sideways” is no electrical type.')).toBeVisible();
  await expect(page.getByLabel('Edit type')).toHaveValue('sideways');
  await page.getByLabel('Edit type').fill('passive');
  await page.keyboard.press('Enter');
  await expect(type).toContainText('passive');
  await page.keyboard.press('Control+z');
  await row.getByRole('gridcell').nth(1).click();
  await page.getByRole('grid').evaluate((grid) => {
    const clipboardData = new DataTransfer();
    clipboardData.setData('text/plain', 'NEW1\tinput\nNEW2\toutput\n');
    grid.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
  });
  await expect(row).toContainText('NEW1');
  await expect(type).toContainText('input');
  await page.keyboard.press('Control+z');
  await expect.poll(async () => (await row.innerText()).replace(/\s+/g, ' ')).toBe(before);
});
