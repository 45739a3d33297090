import { expect, figure, keeps, open, openPot, test } from './kitchen';
import type { Page } from '@playwright/test';

const step = (page: Page, n: number) => page.getByLabel(`Step ${n}`, { exact: true });
const nextStep = async (page: Page, text: string): Promise<void> => {
  await page.getByLabel('Next step').fill(text);
  await keeps(page, 'recipe.sheet', () => page.getByLabel('Next step').press('Enter'));
};
const layer = (page: Page, name: string) =>
  page
    .getByRole('region', { name: 'Cost per litre' })
    .locator('dd')
    .nth(['ingredients', 'energy', 'hands'].indexOf(name));

test('labour minutes of the kitchen’s own change what labour costs, stay after a reload, and can be emptied again', async ({
  page,
}) => {
  await openPot(page, 'Venison bone stock');
  const before = await figure(layer(page, 'hands'));
  const strain = page.getByLabel('strain, minutes however little there is');
  await open(page, '/house');
  await strain.fill('700');
  await page.getByRole('button', { name: 'Save these minutes' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: '700 minutes cannot be: from 0 to 600.' }),
  ).toBeVisible();
  await strain.fill('45');
  await keeps(page, 'kitchen.hands', () => page.getByRole('button', { name: 'Save these minutes' }).click());
  await page.reload();
  await expect(strain).toHaveValue('45');
  await openPot(page, 'Venison bone stock');
  expect(await figure(layer(page, 'hands'))).toBeGreaterThan(before + 1);
  await open(page, '/house');
  await strain.fill('');
  await keeps(page, 'kitchen.hands', () => page.getByRole('button', { name: 'Save these minutes' }).click());
  await openPot(page, 'Venison bone stock');
  expect(await figure(layer(page, 'hands'))).toBeCloseTo(before, 2);
});

test('a costing that is kept says what it cost then, whatever is done to the sheet', async ({ page }) => {
  await openPot(page, 'Trout velouté');
  const cost = page.getByRole('button', { name: 'Trout velouté, per litre: why?' });
  const then = await figure(cost);
  await keeps(page, 'costing.keep', () => page.getByRole('button', { name: 'Save today’s cost' }).click());
  const row = page.getByRole('row').filter({ hasText: 'What was in it' });
  await expect(row).toContainText('as now');
  await step(page, 2).fill('reduce by two thirds');
  await keeps(page, 'recipe.sheet', () => step(page, 2).press('Enter'));
  await page.reload();
  expect(await figure(cost)).toBeGreaterThan(then * 1.2);
  expect(await figure(row.locator('td').nth(2))).toBeCloseTo(then, 2);
  await expect(row).toContainText(/\+.* now/);
  await row.getByRole('button', { name: 'What was in it' }).click();
  await expect(page.getByRole('cell', { name: 'White roux', exact: true })).toBeVisible();
  await keeps(page, 'costing.away', () =>
    page.getByRole('region', { name: 'Saved costings' }).getByRole('button', { name: 'Archive' }).click(),
  );
  await expect(row).toBeHidden();
  // Put away is not gone, a reload later either.
  await page.reload();
  await page.getByText('One archived').click();
  await keeps(page, 'costing.away', () => page.getByRole('button', { name: 'Restore', exact: true }).click());
  await expect(page.getByRole('row').filter({ hasText: 'What was in it' })).toBeVisible();
});

test('cups are said once, and then a line that says one is read', async ({ page }) => {
  await open(page, '/house');
  await page.getByLabel(/^American: a cup is 237 ml/).check();
  await keeps(page, 'kitchen.cups', () => page.getByRole('button', { name: 'Use these' }).click());
  await expect(page.getByText(/^American: a cup is 237 ml.*They stand among/)).toBeVisible();
  await openPot(page, 'Trout velouté');
  await nextStep(page, '1 cup whipping cream');
  await expect(page.getByText(/differs between countries/)).toBeHidden();
  await expect(
    page
      .getByRole('row')
      .filter({ has: step(page, 6) })
      .getByRole('cell')
      .nth(1),
  ).toHaveText(/\d/);
});
