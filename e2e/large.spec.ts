import { expect, test, type Page } from '@playwright/test';
import { openPart } from './app';

/** Counts the elements of pins that change while something is done. */
const watch = `(() => {
  const seen = new Set();
  window.__seen = seen;
  new MutationObserver((list) => {
    for (const m of list) {
      const port = (m.target.nodeType === 1 ? m.target : m.target.parentElement)?.closest?.('[data-pin]');
      if (port) seen.add(port.dataset.pin);
    }
  }).observe(document.querySelector('svg.drawing'), { subtree: true, childList: true, attributes: true, characterData: true });
})()`;
const touched = (page: Page) => page.evaluate(() => (window as unknown as { __seen: Set<string> }).__seen.size);

test('the 484-ball part pans, zooms, selects and moves without drawing untouched pins again', async ({ page }) => {
  await openPart(page, 'TF8484', 'arrange');
  await expect(page.locator('[data-unit]')).toHaveCount(8);
  await page.getByRole('button', { name: /^C / }).click();
  // The units are drawn for the new view one after the other.
  await page.waitForTimeout(1000);
  await page.evaluate(watch);

  await page.mouse.move(800, 400);
  for (let i = 0; i < 5; i++) await page.mouse.wheel(0, 20);
  expect(await touched(page)).toBe(0);

  const pin = page.locator('[data-unit="u3"] [data-pin]').first();
  await pin.click();
  await expect(page.locator('footer')).toContainText('selected');
  await page.waitForTimeout(200);
  expect(await touched(page)).toBeLessThanOrEqual(2);

  await page.keyboard.press('Shift+ArrowRight');
  await page.waitForTimeout(400);
  expect(await touched(page)).toBeLessThan(60);
});

test('only units in view are drawn', async ({ page }) => {
  await openPart(page, 'TF8484', 'arrange');
  await page.getByRole('button', { name: /^A / }).click();
  await page.waitForTimeout(400);
  expect(await page.locator('[data-unit]').count()).toBeLessThan(8);
});

test('the ledger draws only the rows in view, and follows the selection', async ({ page }) => {
  await openPart(page, 'TF8484', 'join');
  expect(await page.getByRole('row').count()).toBeLessThan(80);
  // The package is shown near the group in view; the last ball is seen when it is shown whole.
  await expect(page.getByLabel(/^Pad A2:/)).toBeInViewport();
  await expect(page.getByLabel(/^Pad AB22:/)).not.toBeInViewport();
  await page.getByRole('button', { name: 'Whole', exact: true }).click();
  await page.getByLabel(/^Pad AB22:/).click();
  await expect(page.getByRole('row', { selected: true })).toBeInViewport({ ratio: 0.9 });
});
