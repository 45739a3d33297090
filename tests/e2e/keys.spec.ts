import { expect, figure, keeps, open, openPot, tabTo, test } from './kitchen';
import type { Page } from '@playwright/test';

/** Counts every key that is pressed. */
function counting(page: Page) {
  let keys = 0;
  return {
    type: async (text: string): Promise<void> => {
      keys += text.length;
      await page.keyboard.type(text);
    },
    press: async (key: string): Promise<void> => {
      keys += 1;
      await page.keyboard.press(key);
    },
    count: () => keys,
  };
}

const focused = (page: Page): Promise<string | null> =>
  page.evaluate(() => document.activeElement?.getAttribute('aria-label') ?? null);

/** Twelve lines as they stand on a greengrocer's paper: a few letters, packs, net price. */
const PAPER: readonly (readonly [string, string, string, string])[] = [
  ['leek', 'Leeks', '3', '14.20'],
  ['carr', 'Carrots, washed', '2', '11.10'],
  ['celeri', 'Celeriac, case of 12', '1', '13'],
  ['thym', 'Thyme, bunches', '1', '9'],
  ['onio', 'Onions, brown, net', '2', '10.20'],
  ['char', 'Chard, crate', '1', '13.50'],
];

test('by keys alone a twelve-line invoice is written in under 170 strokes', async ({ page }) => {
  await open(page, '/buy/purchases/new');
  await tabTo(page, 'Supplier');
  const keys = counting(page);
  await keys.type('low');
  await keys.press('Enter');
  await expect(page.getByLabel('Supplier', { exact: true })).toHaveValue('Low Meadow Growers');
  await keys.press('Tab');
  await keys.type('LMG 77');
  // Past the day, which is today, and its calendar.
  for (let i = 0; i < 3; i += 1) await keys.press('Tab');
  for (let n = 0; n < 12; n += 1) {
    const [letters, name, packs, price] = PAPER[n % PAPER.length] as (typeof PAPER)[number];
    await expect.poll(() => focused(page)).toBe(`Line ${n + 1}, article`);
    await keys.type(letters);
    await keys.press('Enter');
    await expect(page.getByLabel(`Line ${n + 1}, article`)).toHaveValue(name);
    await expect.poll(() => focused(page)).toBe(`Line ${n + 1}, packs`);
    await keys.type(packs);
    await keys.press('Tab');
    await keys.type(price);
    if (n < 11) await keys.press('Enter');
  }
  expect(keys.count()).toBeLessThan(170);
  await tabTo(page, 'Save');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Invoice LMG 77' })).toBeVisible();
  await expect(page.getByRole('row')).toHaveCount(14);
});

test('by keys alone a test is weighed and finished', async ({ page }) => {
  await open(page, '/trim');
  await tabTo(page, 'Put Fennel on the bench');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Fennel', level: 1 })).toBeVisible();
  await page.waitForLoadState('networkidle');
  await tabTo(page, 'Start weight');
  await page.keyboard.type('2 kg');
  for (const [label, weight] of [
    ['Part 1, weight', '1.6 kg'],
    ['Part 2, weight', '250 g'],
    ['Part 3, weight', '150 g'],
  ] as const) {
    await tabTo(page, label);
    await page.keyboard.type(weight);
  }
  await tabTo(page, 'Finish the test');
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/\/trim\/[^/]+\?after=/);
  await expect(page.getByRole('heading', { name: /^The tests say/ })).toBeVisible();
});

test('by keys alone a sheet gets a step, and a dish another portion', async ({ page }) => {
  await openPot(page, 'White roux');
  await tabTo(page, 'Starts in');
  await page.evaluate(() => document.getElementById('next-step')?.focus());
  await page.keyboard.type('simmer 4 min');
  await keeps(page, 'recipe.sheet', () => page.keyboard.press('Enter'));
  await expect(page.getByLabel('Step 4', { exact: true })).toHaveValue('simmer 4 min');

  await open(page, '/pour');
  await tabTo(page, 'Venison loin, juniper sauce, celeriac');
  await page.keyboard.press('Enter');
  const cost = page.getByRole('button', { name: 'Venison loin, juniper sauce, celeriac, per dish: why?' });
  const before = await figure(cost);
  await tabTo(page, 'Venison loin, portion');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('200 g');
  await keeps(page, 'plate.amounts', () => page.keyboard.press('Enter'));
  expect(await figure(cost)).toBeGreaterThan(before);
});
