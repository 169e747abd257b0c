import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { openPart, openShelf, paste, startPart, TABLE_33 } from './app';

const VIEWS: [string, (page: Page) => Promise<void>][] = [
  ['the Shelf', openShelf],
  ['House rules', async (page) => void (await page.goto('/rules'))],
  ['Read, empty', startPart],
  [
    'Read, a table looked over',
    async (page) => {
      await startPart(page);
      await paste(page, '#paste-box', TABLE_33);
      await expect(page.getByRole('table')).toBeVisible();
    },
  ],
  ['Read, a doubt', (page) => openPart(page, 'TF7311', 'read')],
  [
    'Arrange',
    async (page) => {
      await openPart(page, 'TF3064', 'arrange');
      await page.locator('[data-port] .tip').first().click({ force: true });
    },
  ],
  ['Join', (page) => openPart(page, 'TF2204', 'join')],
  [
    'Join, a read-back',
    async (page) => {
      await openPart(page, 'TF5501', 'join');
      await page.getByRole('button', { name: /Read back/ }).click();
      await page.getByRole('button', { name: /As printed/ }).click();
      await page.getByRole('button', { name: 'Nodes', exact: true }).click();
      await expect(page.getByRole('region', { name: 'Model text' })).toBeVisible();
    },
  ],
  [
    'Join, pads by hand and by group',
    async (page) => {
      await openPart(page, 'TF3064', 'join');
      await page.getByRole('button', { name: 'By group' }).click();
      await page.getByRole('button', { name: /Change the land/ }).click();
      await page.getByRole('button', { name: 'pads one by one' }).click();
      await expect(page.getByRole('region', { name: 'Pads of the land' })).toBeVisible();
    },
  ],
  ['Prove', (page) => openPart(page, 'TF2204-X', 'prove')],
  ['Release', (page) => openPart(page, 'TF2204', 'release')],
  [
    'the palette',
    async (page) => {
      await openPart(page, 'TF7311', 'read');
      await page.keyboard.press('Control+k');
      await expect(page.getByRole('dialog')).toBeVisible();
    },
  ],
];

for (const scheme of ['light', 'dark'] as const)
  for (const [name, open] of VIEWS)
    test(`${name} is accessible, ${scheme}`, async ({ page }) => {
      await page.emulateMedia({ colorScheme: scheme, reducedMotion: 'reduce' });
      await open(page);
      await page.waitForTimeout(300);
      const { violations } = await new AxeBuilder({ page }).withTags(['wcag2a', 'wcag2aa', 'wcag21aa']).analyze();
      expect(
        violations.map(
          (v) =>
            `${v.id}: ${v.nodes
              .map((n) => n.target.join(' '))
              .slice(0, 3)
              .join(', ')}`,
        ),
      ).toEqual([]);
    });

for (const [width, height] of [
  [1024, 700],
  [1280, 800],
  [1920, 1080],
] as const)
  test(`nothing is cut off at ${width} x ${height}`, async ({ page }) => {
    await page.setViewportSize({ width, height });
    for (const station of ['read', 'arrange', 'join', 'prove', 'release']) {
      await openPart(page, 'TF3064', station);
      const over = await page.evaluate(() => ({
        x: document.documentElement.scrollWidth - innerWidth,
        y: document.documentElement.scrollHeight - innerHeight,
      }));
      expect(over).toEqual({ x: 0, y: 0 });
    }
  });
