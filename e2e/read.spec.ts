import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { dropFile, dropFiles, openPart, openShelf, paste, startPart } from './app';

const demo = (name: string) => `demo/sources/${name}`;
const corpus = (name: string) => `bench/corpus/documents/${name}`;
const refused = (name: string) => `bench/corpus/refused/${name}`;

/** Chooses a file by the button that asks for one. */
async function choose(page: Page, button: RegExp, path: string): Promise<void> {
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByRole('button', { name: button }).click()]);
  await chooser.setFiles(path);
}
const taking = (page: Page, n: number) => page.getByRole('button', { name: new RegExp(`Take ${n} terminals`) });
const drawn = (page: Page) => page.locator('canvas[data-drawn]').first();
const ledgerPins = (page: Page) => page.getByRole('heading', { name: 'Ledger' }).locator('..');

test('a datasheet dropped on the Shelf, or a table pasted there, starts a part and is read for it', async ({ page }) => {
  await openShelf(page);
  await dropFile(page, 'main', 'TF7311.pdf', [...readFileSync(demo('TF7311.pdf'))]);
  await expect(taking(page, 20)).toBeVisible();
  // What its cover says of the part comes with the pins, but for what is left out.
  const ofPart = page.getByRole('group', { name: 'Of the part' });
  await expect(ofPart).toContainText('Tarnfield Devices');
  await expect(ofPart).toContainText('TF7311 datasheet, revision A');
  await ofPart.getByRole('button', { name: 'Show the order codes on page 1' }).click();
  await ofPart.getByLabel(/Order codes/).uncheck();
  await page.keyboard.press('Alt+Enter');
  await expect(ledgerPins(page)).toContainText('20 pins');
  await page.getByRole('button', { name: 'TF7311' }).click();
  const form = page.getByRole('dialog', { name: 'Particulars' });
  await expect(form.getByLabel('Maker')).toHaveValue('Tarnfield Devices');
  await expect(form.getByLabel('Description')).toHaveValue('24-bit bridge converter');
  await expect(form.getByLabel(/Order codes/)).toHaveValue('');
  await page.keyboard.press('Escape');

  await page.keyboard.press('Alt+0');
  await expect(page.getByRole('link', { name: /TF8484/ })).toBeVisible();
  await paste(page, 'body', 'Pin\tName\tType\n1\tIN\tI\n2\tOUT\tO\n3\tGND\tG\n');
  await expect(taking(page, 3)).toBeVisible();

  await page.keyboard.press('Alt+0');
  await expect(page.getByRole('link', { name: /TF8484/ })).toBeVisible();
  await dropFile(page, 'main', 'picture.png', 'not a part');
  await expect(page.getByText(/picture\.png/)).toBeVisible();
});

test('several datasheets dropped on the Shelf start a part each, and each says the file that it reads when it is opened', async ({
  page,
}) => {
  await openShelf(page);
  await dropFiles(
    page,
    'main',
    ['TF7311.pdf', 'TF2204.pdf'].map((name) => ({ name, content: [...readFileSync(demo(name))] })),
  );
  await expect(page.getByText('Started 2 parts.')).toBeVisible();
  await page.getByRole('link', { name: /TF2204\.pdf, to be read/ }).click();
  await expect(taking(page, 14)).toBeVisible();
  await page.keyboard.press('Alt+Enter');
  await expect(ledgerPins(page)).toContainText('14 pins');
  await page.keyboard.press('Alt+0');
  await expect(page.getByText(/TF7311\.pdf, to be read/)).toBeVisible();
  await expect(page.getByText(/TF2204\.pdf, to be read/)).toHaveCount(0);
  await page.reload();
  await page.getByRole('link', { name: /TF7311\.pdf, to be read/ }).click();
  await expect(taking(page, 20)).toBeVisible();
});

test('a datasheet: the table is outlined on its page, taken, and each cell leads to its pin and back', async ({ page }) => {
  const faults: string[] = [];
  page.on('pageerror', (e) => faults.push(e.message));
  page.on('console', (m) => m.type() === 'error' && faults.push(m.text()));
  await startPart(page);
  await choose(page, /Choose a file/, demo('TF7311.pdf'));
  await expect(taking(page, 20)).toBeVisible();
  await expect(drawn(page)).toBeVisible();
  await expect(page.locator('footer')).toContainText('page 4 of 6');
  await expect(page.getByLabel('Role of column Name')).toHaveValue('name');
  // The picture is as large as the page whose boxes are laid over it, to the last row.
  const off = await drawn(page).first().evaluate((el) => Math.abs(el.clientHeight - parseFloat(el.parentElement!.style.height))); // prettier-ignore
  expect(off).toBeLessThan(1);

  await test.step('a changed role and a left-out row are followed at once, and taken back', async () => {
    await page.keyboard.press('Alt+r');
    const rows = page.getByRole('table');
    await expect(rows).toContainText('code AI = “analog input”');
    await page.getByLabel('Role of column Type').selectOption('ignore');
    await expect(rows).not.toContainText('code AI');
    await page.getByLabel('Role of column Type').selectOption('type');
    await expect(rows).toContainText('code AI');
    await page.keyboard.press('Alt+r');
    await expect(page.locator('footer')).toContainText('1 in doubt');
    await page.getByRole('button', { name: /Leave out the row 8 \| AVDD/ }).click();
    await expect(taking(page, 19)).toBeVisible();
    await page.getByRole('button', { name: /Take the row 8 \| AVDD/ }).click();
    await expect(taking(page, 20)).toBeVisible();
  });
  await test.step('the rows as read', async () => {
    await page.keyboard.press('Alt+r');
    await expect(page.getByRole('table')).toContainText('2.5 V reference output');
    await page.keyboard.press('Alt+r');
  });
  await page.keyboard.press('Alt+Enter');
  await expect(ledgerPins(page)).toContainText('20 pins');
  await expect(page.getByRole('banner')).toContainText('TF7311');

  await test.step('the doubt is asked beside its cell, and settled by one key', async () => {
    await expect(drawn(page)).toBeVisible();
    const card = page.getByRole('region', { name: 'Doubt' });
    // The station draws itself anew after taking: a key that comes before it is ready is pressed again.
    await expect(async () => {
      await page.keyboard.press('n');
      await expect(page.getByRole('button', { name: 'type of GAIN' })).toBeVisible({ timeout: 1500 });
    }).toPass();
    await expect(card).toContainText('type of GAIN');
    const cell = (await page.getByRole('button', { name: 'type of GAIN' }).boundingBox())!;
    const asked = (await card.boundingBox())!;
    expect(asked.y).toBeGreaterThan(cell.y);
    expect(asked.y - cell.y).toBeLessThan(60);
    await page.keyboard.press('1');
    await expect(card).toHaveCount(0);
  });
  await test.step('a cell on the page leads to the pin; a pin leads to its cell', async () => {
    await page.getByRole('button', { name: 'name of DOUT' }).click();
    await expect(page.getByRole('row', { selected: true })).toContainText('DOUT');
    await page.getByRole('gridcell', { name: 'AGND', exact: true }).click();
    await expect(page.getByRole('button', { name: 'name of AGND' })).toBeInViewport();
    await expect(page.getByRole('button', { name: 'name of AGND' })).toHaveClass(/border-green/);
  });
  expect(faults).toEqual([]);
});

test('words and pages of a datasheet are found by a key', async ({ page }) => {
  await openPart(page, 'TF7311', 'read');
  await expect(page.locator('footer')).toContainText('page 4 of 6');
  await page.keyboard.press('f');
  await page.keyboard.type('ordering INFORMATION');
  await expect(page.locator('footer')).toContainText('page 1 of 6');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('6');
  await expect(page.locator('footer')).toContainText('page 6 of 6');
  await page.keyboard.press('Control+a');
  await page.keyboard.type('walrus');
  await expect(page.getByText('on no page')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('on no page')).toHaveCount(0);
});

test('a box drawn around a table reads that table', async ({ page }) => {
  await startPart(page);
  await choose(page, /Choose a file/, corpus('chromium-two-columns.pdf'));
  await expect(taking(page, 8)).toBeVisible();
  await page.keyboard.press('Alt+b');
  const pen = page.getByTestId('region-pen').first();
  const area = (await pen.boundingBox())!;
  const first = (await page.getByRole('button', { name: /the row 1 \|/ }).boundingBox())!;
  const third = (await page.getByRole('button', { name: /the row 3 \|/ }).boundingBox())!;
  await page.mouse.move(area.x + 20, first.y - 26);
  await page.mouse.down();
  await page.mouse.move(area.x + area.width / 2, third.y + third.height + 2, { steps: 6 });
  await page.mouse.up();
  await expect(taking(page, 3)).toBeVisible();
});

test('of several tables each is taken or left, on the page and in a list, and its columns have their roles', async ({ page }) => {
  await startPart(page);
  await choose(page, /Choose a file/, corpus('blind-two-tables.pdf'));
  await expect(taking(page, 10)).toBeVisible();
  await page.getByRole('button', { name: 'Leave this table out' }).first().click();
  await expect(taking(page, 6)).toBeVisible();
  await expect(page.getByText('1 of 3 tables taken')).toBeVisible();
  await page.getByRole('button', { name: /Take this table, 4 rows/ }).click();
  await expect(taking(page, 10)).toBeVisible();
  await page.getByText('2 of 3 tables taken').click();
  await page.getByLabel(/Table 2. Signal pins/).click();
  await expect(taking(page, 4)).toBeVisible();
  await expect(page.getByLabel(/Table 1. Power pins/)).toBeDisabled();
  await page.getByRole('button', { name: 'Leave it' }).click();

  await page
    .getByRole('textbox', { name: 'Pin table' })
    .fill('Pin\tName\tType\n1\tRX\tI\n2\tTX\tO\n\nSupplies\nPin\tNet\tRemarks\n3\tVDD\tMain\n4\tGND\tReturn\n');
  await page.getByRole('button', { name: 'Read the table' }).click();
  await expect(taking(page, 4)).toBeVisible();
  await page.getByLabel('Role of column Remarks of').selectOption('ignore');
  await expect(page.getByRole('row').filter({ hasText: 'GND' })).not.toContainText('Return');
});

test('a new revision is taken change by change, and what was set by hand stays', async ({ page }) => {
  await openPart(page, 'TF7311', 'read');
  await page.getByRole('gridcell', { name: 'REFOUT', exact: true }).click();
  await choose(page, /Compare with/, demo('TF2204.pdf'));
  await expect(page.getByText('By its title the document is of TF2204, and this part is called TF7311.')).toBeVisible();
  await page.getByRole('button', { name: /^Leave/ }).click();
  await choose(page, /Compare with/, demo('TF7311-B.pdf'));
  const list = page.getByRole('region', { name: 'Changes' });
  await expect(list.getByRole('row')).toHaveCount(5);
  await expect(list).toContainText('GAIN0');
  await list.getByLabel('Take: renamed GAIN').uncheck();
  // The choice stays while a pin is edited, and over a look at another station.
  await page.getByRole('gridcell', { name: 'SCLK', exact: true }).click();
  await page.keyboard.type('SCK');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('gridcell', { name: 'SCK', exact: true })).toBeVisible();
  await page.keyboard.press('Alt+2');
  await expect(page.getByRole('region', { name: 'Changes' })).toHaveCount(0);
  await page.keyboard.press('Alt+1');
  await expect(list.getByLabel('Take: renamed GAIN')).not.toBeChecked();
  await list.getByLabel('Take: renamed SCK').uncheck();
  await page.getByRole('button', { name: 'Take 3 changes' }).click();
  await expect(page.getByRole('gridcell', { name: /^SLEEP/ })).toBeVisible();
  await expect(page.getByText('the datasheet is now “TF7311 datasheet, revision B”')).toBeVisible();
  await expect(page.getByRole('gridcell', { name: 'GAIN', exact: true })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('gridcell', { name: /^PWDN/ })).toBeVisible();
});

test('a source that is read for a part with pins says what it would replace, and is compared instead', async ({ page }) => {
  await openPart(page, 'TF7311', 'read');
  await page.getByRole('gridcell', { name: 'GAIN', exact: true }).click();
  await page.keyboard.press('Alt+a');
  await expect(page.getByText('21 pins').first()).toBeVisible();
  await choose(page, /Read a file/, demo('TF7311-B.pdf'));
  await expect(taking(page, 20)).toBeVisible();
  const note = page.getByRole('note', { name: 'What taking it changes' });
  await expect(note).toContainText('1 pin of the part would go: (no name).');
  await note.getByRole('button', { name: 'Compare instead' }).click();
  await expect(page.getByRole('region', { name: 'Changes' })).toContainText('GAIN0');
  await expect(page.getByRole('button', { name: /Take 4 changes/ })).toBeVisible();
});

test('doubts of one bus are answered by one key, and taken back by one', async ({ page }) => {
  await startPart(page);
  await paste(page, 'body', `Pin\tName\n${[0, 1, 2, 3].map((i) => `${i + 1}\tLANE${i}\n`).join('')}5\tGND\n6\tVDD\n`);
  await expect(taking(page, 6)).toBeVisible();
  await page.keyboard.press('Alt+Enter');
  await expect(page.locator('footer')).toContainText('4 doubts');
  await page.keyboard.press('n');
  await expect(page.getByLabel('and 3 more of LANE with the same doubt')).toBeVisible();
  await page.keyboard.press('a');
  await page.keyboard.press('0');
  await page.keyboard.type('output');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('gridcell', { name: 'output' })).toHaveCount(4);
  await expect(page.locator('footer')).not.toContainText('doubt');
  await page.keyboard.press('Control+z');
  await expect(page.locator('footer')).toContainText('4 doubts');
});

test('a second source raises a doubt where it says otherwise', async ({ page }) => {
  await openPart(page, 'TF6120', 'read');
  const other = readFileSync(demo('TF6120.ibs'), 'utf8').replace('VDD2         POWER', 'VDDB         POWER');
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByRole('button', { name: /Compare with/ }).click()]);
  await chooser.setFiles({ name: 'other.ibs', mimeType: 'text/plain', buffer: Buffer.from(other) });
  await page.getByRole('radio', { name: 'a second source' }).check();
  await expect(page.getByText('other.ibs agrees with 15 of 16 pins')).toBeVisible();
  await page.getByRole('button', { name: 'Raise 1 doubt' }).click();
  await page.keyboard.press('n');
  await expect(page.getByRole('region', { name: 'Doubt' })).toContainText('other.ibs says “VDDB” at 16; the part says “VDD2”.');
});

test('a workbook, a boundary-scan file and copied cells are read too', async ({ page }) => {
  await startPart(page);
  await choose(page, /Choose a file/, demo('TF3064.xlsx'));
  await expect(taking(page, 64)).toBeVisible();
  await page.getByRole('radio', { name: /QFN-48/ }).check();
  await expect(taking(page, 48)).toBeVisible();
  await page.getByRole('radio', { name: /LQFP-64/ }).check();
  await taking(page, 64).click();
  await page.getByRole('gridcell', { name: /^NRST/ }).click();
  await expect(page.getByRole('region', { name: 'Source' }).getByRole('button', { name: 'NRST' })).toHaveClass(/outline-green/);

  await choose(page, /Read a file/, demo('TF8484.bsd'));
  await expect(taking(page, 484)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Terminals as read' })).toContainText('port direction inout');
  await page.getByRole('button', { name: 'Leave it' }).click();

  await page.keyboard.press('Alt+v');
  const html =
    '<table><tr><th>Pin<th>Name<th>Type</tr><tr><td>1<td rowspan=2>VSS<td>G</tr><tr><td>2<td>G</tr><tr><td>3<td>CLK<td>I</tr></table>';
  await page.locator('#paste-box').evaluate((box, text) => {
    const data = new DataTransfer();
    data.setData('text/html', text);
    data.setData('text/plain', 'Pin Name');
    box.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  }, html);
  await expect(taking(page, 3)).toBeVisible();
});

test.describe('what cannot be read', () => {
  for (const [file, says] of [
    ['locked.pdf', 'locked.pdf: It is locked with a password.'],
    ['pictures.pdf', 'pictures.pdf: Its pages are pictures without text.'],
    ['prose.pdf', 'prose.pdf: No pin table was found on its 1 page(s).'],
  ] as const)
    test(file, async ({ page }) => {
      await startPart(page);
      await choose(page, /Choose a file/, refused(file));
      await expect(page.getByRole('alert')).toContainText(says);
    });
});

test('a long document says how far it is, can be cancelled, and leaves the page free', async ({ page }) => {
  await startPart(page);
  await page.evaluate(() => {
    const seen: number[] = ((window as unknown as { __long: number[] }).__long = []);
    new PerformanceObserver((list) => seen.push(...list.getEntries().map((e) => e.duration))).observe({ entryTypes: ['longtask'] });
  });
  const start = Date.now();
  await choose(page, /Choose a file/, corpus('drawn-long.pdf'));
  await expect(taking(page, 29)).toBeVisible();
  await expect(page.locator('footer')).toContainText('page 23 of 40');
  const took = Date.now() - start;
  // How long a task is depends on the machine; reading on the page's own thread would fill most of the time with long ones.
  const long = await page.evaluate(() => (window as unknown as { __long: number[] }).__long);
  const held = long.reduce((sum, ms) => sum + ms, 0);
  expect(held / took).toBeLessThan(0.2);
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByRole('textbox', { name: 'Pin table' })).toBeVisible();
});
