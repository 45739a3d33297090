import { expect, figure, keeps, open, takes, test } from './kitchen';
import type { Page } from '@playwright/test';

const file = (name: string): string => `demo/price-lists/${name}`;
const tab = (page: Page, words: RegExp) =>
  page.getByRole('navigation', { name: 'Rows by status' }).getByRole('link', { name: words });
const write = (page: Page) => page.getByRole('button', { name: /^Apply \d+ prices?$/ });

async function bring(page: Page, supplier: string, name: string): Promise<void> {
  await open(page, '/buy/lists');
  await takes(page.getByLabel('Whose list'), supplier);
  await page.getByLabel('Price list file').setInputFiles(file(name));
}

test('an ugly list is mapped, previewed row by row, written only when accepted, and taken back whole', async ({
  page,
}) => {
  await bring(page, 'Weirside Game', 'weirside-game-latin1.csv');
  // Headings, semicolons, a comma before the cents and Latin-1 are understood; what it guessed is shown.
  await expect(page.getByText('text between semicolons, Latin-1')).toBeVisible();
  await expect(page.getByLabel('Column of the net price')).toHaveValue('Preis netto €');
  await expect(page.getByLabel('Column of what it is')).toHaveValue('Ware');
  await expect(page.getByLabel('Decimal mark')).toHaveValue(',');
  await page.getByRole('button', { name: 'Preview' }).click();
  await expect(write(page)).toBeVisible();
  await expect(tab(page, /moved/)).toHaveAttribute('aria-current', 'page');
  await expect(page.getByRole('row', { name: /Venison bones, chopped/ })).toContainText('6.3 % dearer');

  await tab(page, /unusual/).click();
  await expect(page.getByRole('row', { name: /Duck carcasses/ })).toContainText(
    'Packed as 8 kg, before as 10 kg',
  );
  await expect(page.getByRole('row', { name: /Shallots, long/ })).toContainText(
    '43 % dearer: more than 15 %',
  );
  await tab(page, /cannot be read/).click();
  await expect(page.getByRole('row', { name: /Hare, saddle/ })).toContainText('“on request” is not a price.');
  await tab(page, /not known/).click();
  await expect(page.getByRole('row', { name: /Pheasant/ })).toBeVisible();

  // Nothing is written yet.
  await page.goto('/buy');
  await expect(page.getByLabel('Venison bones, price of a pack')).toHaveValue('24.00');
  const stock = page.getByRole('button', { name: 'Venison bone stock: why?' });
  const before = await figure(stock);

  await page.goto('/buy/lists');
  await page.getByRole('link', { name: 'weirside-game-latin1.csv' }).click();
  await tab(page, /unusual/).click();
  await keeps(page, 'list.want', () => page.getByLabel('Apply Duck carcasses').check());
  await expect(write(page)).toHaveText(/Apply \d+ prices/);
  await write(page).click();
  await expect(page.getByText('Its prices are in the price book.')).toBeVisible();
  await page.goto('/buy');
  await expect(page.getByLabel('Venison bones, price of a pack')).toHaveValue('25.50');
  expect(await figure(stock)).toBeGreaterThan(before);
  await expect(page.getByRole('row', { name: /^Duck carcass/ })).toContainText('8 kg, Weirside Game');

  // Somebody edits one of them; the list is taken back, that one stays.
  await page.getByLabel('Mutton neck, price of a pack').fill('7.99');
  await keeps(page, 'article.price', () => page.getByLabel('Mutton neck, price of a pack').press('Enter'));
  await page.goto('/buy/lists');
  await page.getByRole('link', { name: 'weirside-game-latin1.csv' }).click();
  await expect(page.getByText(/Edited since.*Mutton neck, sliced \(7\.99\)/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo the whole list' }).click();
  await expect(page.getByText('This list was undone')).toBeVisible();
  await page.goto('/buy');
  await expect(page.getByLabel('Venison bones, price of a pack')).toHaveValue('24.00');
  await expect(page.getByLabel('Mutton neck, price of a pack')).toHaveValue('7.99');
  await expect(page.getByRole('row', { name: /^Duck carcass/ })).toContainText('10 kg, Weirside Game');
});

test('columns are remembered: the second list of a supplier is looked through at once', async ({ page }) => {
  await bring(page, 'Low Meadow Growers', 'low-meadow-week-11.xlsx');
  await expect(write(page)).toBeVisible();
  await tab(page, /cannot be read/).click();
  await expect(page.getByRole('row', { name: /Sorrel/ })).toContainText('is a formula');
  await tab(page, /not known/).click();
  const kale = page.getByLabel('What is Kale, crate');
  await keeps(page, 'list.assign', () => takes(kale, 'Chard'));
  await expect(kale).toHaveValue('Chard');
  await write(page).click();
  await expect(page.getByText('Its prices are in the price book.')).toBeVisible();
  await page.goto('/buy');
  await page.getByLabel('Find an ingredient').fill('chard');
  await page.getByRole('link', { name: 'Chard', exact: true }).click();
  await expect(page.getByRole('row', { name: /Kale, crate/ })).toContainText('9.90');

  // The same list again is noticed.
  await bring(page, 'Low Meadow Growers', 'low-meadow-week-11.xlsx');
  await expect(page.getByRole('alert').filter({ hasText: 'This list was accepted on' })).toBeVisible();
});

test('a list is fetched from the supplier’s own computer through the same preview', async ({ page }) => {
  await open(page, '/buy/lists');
  await takes(page.getByLabel('Whose list'), 'Tarn Hatchery');
  await page.getByRole('button', { name: 'Fetch today’s from Tarn Hatchery' }).click();
  await expect(page.getByLabel('Column of the net price')).toHaveValue('Price EUR');
  await page.getByRole('button', { name: 'Preview' }).click();
  await expect(write(page)).toBeVisible();
  await expect(page.getByRole('row', { name: /Trout frames/ })).toContainText(/% (dearer|cheaper)/);
});

test('a long list shows how far it is, can be stopped, and leaves nothing behind', async ({ page }) => {
  await open(page, '/buy/lists');
  await takes(page.getByLabel('Whose list'), 'Tarn Hatchery');
  const rows = Array.from({ length: 60_000 }, (_, i) => `X${i},Thing ${i},5 kg,${(i % 900) / 10 + 1}`);
  await page.getByLabel('Price list file').setInputFiles({
    name: 'long.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(['code,name,pack,price', ...rows].join('\n')),
  });
  await page.getByRole('button', { name: 'Preview' }).click();
  await expect(page.getByRole('progressbar', { name: 'How far it is' })).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Stopped: nothing was written.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Preview' })).toBeVisible();
});
