import { expect, test } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';
import { dropFile, openPart, openShelf, paste, startPart } from './app';

test('markup in names stays text', async ({ page }) => {
  let ran = false;
  await page.exposeFunction('ran', () => (ran = true));
  await startPart(page);
  await paste(
    page,
    '#paste-box',
    'Pin,Name,Type,Description\n1,<img src=x onerror=ran()>,I,<script>ran()</script> input\n2,"""><svg onload=ran()>",O,Output\n3,javascript:ran(),I,Input of something\n',
  );
  await page.getByRole('button', { name: /Take 3 terminals/ }).click();
  await expect(page.getByRole('grid')).toContainText('<img src=x onerror=ran()>');
  for (const station of ['Arrange', 'Join', 'Prove', 'Release']) {
    await page.getByRole('link', { name: station }).click();
    if (station === 'Arrange') await page.getByRole('button', { name: /Plan units/ }).click();
    await page.waitForTimeout(200);
  }
  expect(ran).toBe(false);
  expect(await page.locator('img, main script').count()).toBe(0);
});

test('ten megabytes pasted are refused with the reason, and the page stays alive', async ({ page }) => {
  await startPart(page);
  await paste(page, '#paste-box', 'row,of,text\n'.repeat(850_000));
  await expect(page.getByRole('alert')).toContainText(/10(\.\d)? MB; 4 MB is the most/);
  await page.getByRole('textbox', { name: 'Pin table' }).fill('Pin,Name,Type\n1,A,I\n2,B,O\n');
  await page.getByRole('button', { name: 'Read the table' }).click();
  await expect(page.getByRole('button', { name: /Take 2 terminals/ })).toBeVisible();
});

test('text without a table keeps what was typed and says what is missing', async ({ page }) => {
  await startPart(page);
  await page.getByRole('textbox', { name: 'Pin table' }).fill('Dear librarian,\nthere is no table here.');
  await page.getByRole('button', { name: 'Read the table' }).click();
  await expect(page.getByRole('alert')).toContainText('No pin table was found. A table needs a column of pin numbers and one of names.');
  await expect(page.getByRole('textbox', { name: 'Pin table' })).toHaveValue(/Dear librarian/);
});

const shelf = 'section[aria-label^="Drop a datasheet to start a part"]';
for (const [what, name, content, says] of [
  ['broken JSON', 'x.kite.json', '{"schema":1,', /x\.kite\.json.*not JSON/],
  ['a part of another shape', 'y.kite.json', '{"schema":1,"name":"Y","pins":[{"id":1}]}', /y\.kite\.json: pins\[0\]\.id: expected string/],
  ['a part of the future', 'z.kite.json', '{"schema":99,"name":"Z"}', /schema 99.*newer Green Kite/],
  [
    'a zip that leads out of its folder',
    'evil.zip',
    [...zipSync({ '../../evil.kite.json': strToU8('{}') })],
    /leads out of its folder. Nothing was taken/,
  ],
  ['no zip at all', 'fake.zip', 'hello', /fake\.zip: This is not a zip archive/],
] as const)
  test(`${what} is refused with a clear message`, async ({ page }) => {
    await openShelf(page);
    await dropFile(page, shelf, name, typeof content === 'string' ? content : [...content]);
    await expect(page.getByRole('status')).toContainText(says);
    await expect(page.getByText('11 parts')).toBeVisible();
  });

test('a web page is no model, and the form keeps its text', async ({ page }) => {
  await openPart(page, 'TF7311', 'join');
  await page.getByRole('button', { name: /Add a SPICE model/ }).click();
  await page.getByLabel('Text of the model file').fill('<!DOCTYPE html><html></html>');
  await expect(page.getByRole('alert')).toContainText('This is a web page, not a model file');
  await expect(page.getByLabel('Text of the model file')).toHaveValue(/DOCTYPE/);
});

test('impossible dimensions are refused with the reason', async ({ page }) => {
  await openPart(page, 'TF7311', 'join');
  await page.getByRole('button', { name: /Change the land/ }).click();
  await page.getByLabel('Pad width').fill('3');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('The pad width is 3; it must be under the pitch of 0.65');
  await expect(page.getByRole('button', { name: /Use for/ })).toBeDisabled();
});
