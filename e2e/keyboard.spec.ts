import { expect, test } from '@playwright/test';
import { next, openPart, openShelf, TABLE_33 } from './app';

/** The same line without a mouse. */
test('from a pasted pin table to a released part by keyboard alone', async ({ page }) => {
  await openShelf(page);
  await page.keyboard.press('Alt+p');
  await expect(page.getByRole('textbox', { name: 'Pin table' })).toBeVisible();
  await page.evaluate((text) => navigator.clipboard.writeText(text), TABLE_33);
  for (let i = 0; i < 40 && !(await page.locator('#paste-box').evaluate((el) => el === document.activeElement)); i++)
    await page.keyboard.press('Tab');
  await page.keyboard.press('Control+v');
  await expect(page.getByRole('button', { name: /Take 33 terminals/ })).toBeVisible();
  await page.keyboard.press('Alt+Enter');
  await expect(next(page)).toHaveText('Next: 1 doubt. Press N');
  await page.keyboard.press('Alt+n');
  await page.keyboard.press('1');
  await expect(next(page)).toHaveText('Next: arrange the pins. Alt+2');

  await page.keyboard.press('Alt+2');
  await expect(next(page)).toHaveText('Next: plan the units. Press P');
  await page.keyboard.press('p');
  await expect(page.locator('[data-port]')).toHaveCount(33);

  // A pin chosen in the ledger is moved in the drawing.
  await page.keyboard.press('Alt+l');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('footer')).toContainText('XIN selected');
  await page.keyboard.press('Tab');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.getByRole('row', { name: /XIN/ })).toContainText('A right');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('row', { name: /XIN/ })).toContainText('A left');

  await page.keyboard.press('Alt+3');
  await expect(page.getByRole('region', { name: 'Package', exact: true })).toBeVisible();
  await page.keyboard.press('l');
  await page.getByLabel('Package, or IPC-7351 name').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('QFN-32');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: /Join/ })).toContainText('33/33 pads');

  await page.keyboard.press('Alt+4');
  await expect(page.getByRole('heading', { level: 1 })).toContainText('findings');
  await page.getByRole('button', { name: 'TF4033', exact: true }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Particulars' })).toBeVisible();
  await page.keyboard.press('Tab');
  await page.keyboard.type('Tarnfield Devices');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.type('integrated');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.type('TF4033 datasheet');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('link', { name: /Prove/ })).toContainText('proven');

  await page.keyboard.press('Alt+5');
  await page.getByLabel('What this release is').focus();
  await page.keyboard.type('First.');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('banner')).toContainText('released v1.0');
});

test('the palette finds and does, and the key sheet shows the keys of the station', async ({ page }) => {
  await openPart(page, 'TF7311', 'arrange');
  await page.keyboard.press('Control+k');
  await page.keyboard.type('join');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/join$/);
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toContainText('Next loose thread');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('the ledger is edited like a spreadsheet', async ({ page }) => {
  await openPart(page, 'TF7311', 'read');
  const grid = page.getByRole('grid', { name: 'Pins' });
  await page.getByRole('gridcell', { name: 'AIN1+', exact: true }).click();
  await page.keyboard.type('SENSE+');
  await page.keyboard.press('Enter');
  await expect(grid).toContainText('SENSE+');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type('passive');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /SENSE\+/ })).toContainText('passive');

  await test.step('a wrong type is said and nothing changes', async () => {
    await page.keyboard.type('magic');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('status')).toContainText('“magic” is no electrical type');
    await expect(page.getByRole('row', { name: /AIN1-/ })).toContainText('input');
  });
  await test.step('a block is pasted over several rows', async () => {
    await page.getByRole('gridcell', { name: 'AIN2+', exact: true }).click();
    await grid.evaluate((el) => {
      const data = new DataTransfer();
      data.setData('text/plain', 'BR2+\tpassive\nBR2-\tpassive\n');
      el.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    });
    await expect(page.getByRole('row', { name: /BR2-/ })).toContainText('passive');
  });
  await test.step('a selection is filled down', async () => {
    await page.getByRole('gridcell', { name: 'DGND', exact: true }).click();
    await page.getByRole('gridcell', { name: 'AGND', exact: true }).click({ modifiers: ['Shift'] });
    await page.keyboard.press('Control+d');
    await expect(page.getByRole('gridcell', { name: 'DGND', exact: true })).toHaveCount(2);
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('gridcell', { name: 'AGND', exact: true })).toHaveCount(1);
  });
  await test.step('rows are filtered and sorted', async () => {
    await page.getByLabel('Filter the ledger').fill('serial');
    await expect(page.getByRole('row', { name: /SCLK/ })).toBeVisible();
    await expect(page.getByRole('row', { name: /AVDD/ })).toHaveCount(0);
    await page.getByLabel('Filter the ledger').fill('');
    await page.getByRole('columnheader', { name: 'Name' }).getByRole('button').click();
    await expect(page.getByRole('columnheader', { name: 'Name' })).toHaveAttribute('aria-sort', 'ascending');
  });
});
