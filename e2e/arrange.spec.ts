import { expect, test, type Page } from '@playwright/test';
import { openPart, paste, startPart } from './app';

const row = (page: Page, name: RegExp | string) => page.getByRole('row', { name });

test('the board: a group is dragged to another unit, a unit is split, merged and renamed, and the score follows', async ({ page }) => {
  await openPart(page, 'TF3064', 'arrange');
  await page.keyboard.press('b');
  const board = page.getByRole('region', { name: 'Plan of the units' });
  const score = page.getByLabel('Score of the plan');
  await expect(score).toContainText('100 of 100');
  await board.getByRole('button', { name: 'Clock 2' }).dragTo(board.getByRole('region', { name: 'Unit C' }));
  await expect(row(page, /OSC_IN/)).toContainText('C left');
  await board.getByRole('button', { name: 'Open Port A' }).click();
  await board.getByRole('button', { name: 'PA3/TIM1_CH3' }).dragTo(board.getByRole('region', { name: 'New unit' }));
  await expect(score).toContainText('Port A stands in A, D');
  await expect(score).toContainText('unit D has one pin');
  await board.getByLabel('Merge unit D with').selectOption({ index: 1 });
  await expect(score).toContainText('100 of 100');
  await board.getByLabel('Split unit B').selectOption('by its groups');
  await expect(board.getByRole('region', { name: /^Unit / })).toHaveCount(4);
  await board.getByLabel('Title of unit B').fill('Port C alone');
  await page.keyboard.press('Enter');
  await board.getByRole('button', { name: 'Port D 5' }).click();
  await board.getByLabel('Move the selection to').selectOption({ label: 'unit B, Port C alone' });
  await expect(board.getByRole('region', { name: /^Unit / })).toHaveCount(3);
  for (let i = 0; i < 6; i++) await page.keyboard.press('Control+z');
  await expect(board.getByRole('region', { name: 'Unit A' }).getByRole('button', { name: 'Clock 2' })).toBeVisible();
  await expect(board.getByRole('region', { name: /^Unit / })).toHaveCount(3);
  // The chips and the score keep clear of each other in a small window, whatever the units are called.
  await page.setViewportSize({ width: 1024, height: 700 });
  await board.getByLabel('Title of unit A').fill('Everything that has to do with ports A and B');
  await page.keyboard.press('Enter');
  await score.click({ trial: true, position: { x: 20, y: 8 } });
});

test('a body shape is proposed with its doubts, taken, and given up for the block again', async ({ page }) => {
  await openPart(page, 'TF7311', 'arrange');
  await page.getByRole('button', { name: /^A / }).click();
  await page.getByRole('button', { name: 'Body shape…' }).click();
  await page.getByRole('button', { name: 'Connector contacts' }).click();
  const proposal = page.getByRole('region', { name: 'Proposal' });
  await expect(proposal).toContainText('in the order of their numbers');
  await proposal.getByRole('button', { name: /Take/ }).click();
  await expect(row(page, /AIN1\+/)).toContainText('A left');
  await page.getByRole('button', { name: 'Body shape…' }).click();
  await page.getByRole('button', { name: 'Back to the block' }).click();
  await expect(page.locator('svg.drawing').first()).toContainText('24-bit bridge converter');
});

test('a small part is drawn as what it is at once, and given up for the block from the palette', async ({ page }) => {
  await startPart(page);
  await paste(page, '#paste-box', 'TF9990 N-channel MOSFET\n\nPin,Name,Description\n"1, 2, 3",S,source\n4,G,gate\n"5, 6",D,drain\n');
  await page.getByRole('button', { name: /Take 6 terminals/ }).click();
  await page.getByRole('link', { name: 'Arrange' }).click();
  await page.getByRole('button', { name: /Plan units/ }).click();
  await expect(row(page, /^4 G/)).toContainText('A left');
  await expect(row(page, /^6 D/)).toContainText('A top');
  await expect(row(page, /^3 S/)).toContainText('A base');
  await page.keyboard.press('Control+k');
  await page.keyboard.type('body shape');
  await page.keyboard.press('Enter');
  await page.getByRole('region', { name: 'Body shapes' }).getByRole('button', { name: 'Back to the block' }).click();
  await expect(row(page, /^6 D/)).toContainText('A left');
});

test('artwork is drawn by clicks, put right by numbers, and removed', async ({ page }) => {
  await openPart(page, 'TF1502', 'arrange');
  await page.getByRole('button', { name: /^A / }).click();
  await page.waitForTimeout(300);
  await page.getByRole('button', { name: 'Artwork…' }).click();
  const card = page.getByRole('region', { name: 'Artwork' });
  await card.getByRole('button', { name: 'polyline' }).click();
  for (const [x, y] of [
    [560, 380],
    [640, 420],
    [700, 360],
  ] as const)
    await page.mouse.click(x, y);
  await page.keyboard.press('Enter');
  // A bend that was chosen for lines leaves the corners of a rectangle where they were clicked.
  await card.getByLabel('Bends').selectOption('square');
  await card.getByRole('button', { name: 'rectangle' }).click();
  await page.mouse.click(560, 460);
  await page.mouse.click(700, 500);
  await card.getByRole('button', { name: 'select', exact: true }).click();
  await page.mouse.click(630, 500);
  const corners = (await card.getByLabel(/^Points of the rectangle/).inputValue()).split(' ').map((p) => p.split(',').map(Number));
  expect(Math.abs(corners[1]![1]! - corners[0]![1]!)).toBeGreaterThan(1);
  await card.getByRole('button', { name: /Remove/ }).click();
  await card.getByRole('button', { name: 'text', exact: true }).click();
  await page.mouse.click(620, 520);
  await card.getByLabel('Text', { exact: true }).fill('heater');
  await page.keyboard.press('Enter');
  await expect(page.locator('svg.drawing')).toContainText('heater');
  await expect(card).toContainText('2 strokes');
  await card.getByLabel(/^Points of the text/).fill('1,1');
  await page.keyboard.press('Enter');
  await expect(card.getByLabel(/^Points of the text/)).toHaveValue('1,1');
  await card.getByRole('button', { name: /Remove/ }).click();
  await expect(card).toContainText('1 strokes');
});

test('the body is resized by its edge, a text is moved, pins are selected by name, and the sheet is previewed', async ({ page }) => {
  await openPart(page, 'TF7311', 'arrange');
  await page.getByRole('button', { name: /^A / }).click();
  await page.waitForTimeout(300);
  const card = page.getByRole('region', { name: 'Unit', exact: true });
  const width = Number(await card.getByLabel('Width, steps').inputValue());
  const edge = (await page.locator('[data-edge="right"]').boundingBox())!;
  await page.mouse.move(edge.x + 3, edge.y + 10);
  await page.mouse.down();
  await page.mouse.move(edge.x + 70, edge.y + 10, { steps: 5 });
  await page.mouse.up();
  await expect.poll(async () => Number(await card.getByLabel('Width, steps').inputValue())).toBeGreaterThan(width);
  const label = (await page.locator('[data-label="1"]').boundingBox())!;
  await page.mouse.move(label.x + 5, label.y + 5);
  await page.mouse.down();
  await page.mouse.move(label.x + 5, label.y - 35, { steps: 5 });
  await page.mouse.up();
  expect((await page.locator('[data-label="1"]').boundingBox())!.y).toBeLessThan(label.y - 20);
  await page.keyboard.press('s');
  await page.getByLabel('Select pins by name').fill('AIN?+');
  await page.keyboard.press('Enter');
  await expect(page.locator('footer')).toContainText('2 pins selected');
  await page.getByRole('region', { name: 'Selection' }).getByRole('button', { name: 'swap' }).click();
  await page.keyboard.press('Control+a');
  await expect(page.locator('footer')).toContainText('20 pins selected');
  await page.getByRole('button', { name: /Preview/ }).click();
  await expect(page.getByRole('img', { name: 'Sheet 1: unit A' })).toContainText('U1');
});

test('the drawing of another part is taken with what is doubtful', async ({ page }) => {
  await openPart(page, 'TF6120', 'arrange');
  await page.getByRole('button', { name: /^A / }).click();
  await page.getByRole('button', { name: 'Take a drawing…' }).click();
  await page.getByLabel('Unit of another part').selectOption({ label: 'TF2204 A, Channel 1' });
  await expect(page.getByRole('region', { name: 'Take a drawing' })).toContainText('2 of 2 ports find their pin');
  await page.getByRole('button', { name: 'Propose it' }).click();
  await page.getByRole('region', { name: 'Proposal' }).getByRole('button', { name: /Take/ }).click();
  await expect(page.getByRole('button', { name: /^Undo: arrange/ })).toBeVisible();
});
