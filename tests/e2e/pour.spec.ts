import { expect, figure, keeps, open, test } from './kitchen';

test('a larger portion costs more at once and is kept; a price in words is refused', async ({ page }) => {
  await open(page, '/pour');
  await page.getByRole('link', { name: 'River trout, sorrel sauce' }).click();
  const cost = page.getByRole('button', { name: 'River trout, sorrel sauce, a plate: why?' });
  const before = await figure(cost);
  await page.getByLabel('Trout fillet, portion').fill('2 each');
  await expect.poll(() => figure(cost)).toBeGreaterThan(before * 1.5);
  await expect(page.getByText('▲ over 30 %')).toBeVisible();
  await page.getByLabel('Trout fillet, portion').press('Enter');
  await expect(page.getByText('✓ kept')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Trout fillet, portion')).toHaveValue('2 each');
  await page.getByLabel('Trout fillet, portion').fill('150 g');
  await page.getByLabel('Trout fillet, portion').press('Enter');
  await expect(page.getByText('✓ kept')).toBeVisible();

  await page.getByLabel('Price on the menu').fill('a lot');
  await page.getByLabel('Price on the menu').press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: '“a lot” is not a price' })).toBeVisible();
  await expect(page.getByLabel('Price on the menu')).toHaveValue('a lot');
  await page.getByLabel('Butter, portion').fill('a knob');
  await expect(page.getByRole('alert').filter({ hasText: 'a knob' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Price on the menu')).toHaveValue('24.50');
});

test('why a plate costs what it costs: opened down to the invoice, the yield test and the strainer', async ({
  page,
}) => {
  await open(page, '/pour');
  await page.getByRole('button', { name: 'Venison loin, juniper sauce, celeriac, a plate: why?' }).click();
  const panel = page.getByRole('dialog');
  await expect(panel.getByText(/^Why €/)).toBeVisible();
  await expect(panel.getByText('Invoice WG-20418').first()).toBeVisible();
  await expect(panel.getByText('silverskin and chain off').first()).toBeVisible();
  for (const words of [/^Juniper sauce/, /^A litre/, /^What became of the litres/]) {
    const row = panel.locator('summary:visible').filter({ hasText: words }).first();
    // What stands first is open already.
    if ((await row.locator('..').getAttribute('open')) === null) await row.click();
  }
  await expect(
    panel
      .getByText(/held in solids/)
      .filter({ visible: true })
      .first(),
  ).toBeVisible();
  await panel.getByRole('link', { name: 'Open the pot sheet' }).first().click();
  await expect(page.getByRole('heading', { name: 'Juniper sauce', level: 1 })).toBeVisible();
});

test('a plate over its target is given the price that the target asks for, by a click, and it is kept', async ({
  page,
}) => {
  await open(page, '/pour');
  await page.getByRole('link', { name: 'Venison loin, juniper sauce, celeriac' }).click();
  await expect(page.getByText('▲ over 32 %')).toBeVisible();
  await keeps(page, 'plate.amounts', () => page.getByRole('button', { name: 'Take it' }).click());
  await expect(page.getByLabel('Price on the menu')).toHaveValue('29.50');
  await expect(page.getByText('keeps 32 %')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it' })).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel('Price on the menu')).toHaveValue('29.50');
});
