import type { Page } from '@playwright/test';
import { expect, figure, keeps, more, open, test } from './kitchen';

/** Holds back whatever the page asks again of itself until it is let go, and then waits until it has come. */
async function holdReading(page: Page): Promise<{ letGo: () => Promise<void> }> {
  let release = (): void => undefined;
  const free = new Promise<void>((resolve) => (release = resolve));
  const asked = page.waitForRequest((r) => r.headers()['rsc'] === '1');
  await page.route('**/pour/menus**', async (route) => {
    if (route.request().headers()['rsc'] === '1') await free;
    await route.continue();
  });
  return {
    letGo: async () => {
      const reading = await asked;
      release();
      await reading.response();
      // Drawn with what has come.
      for (let twice = 0; twice < 2; twice += 1)
        await page.evaluate(() => new Promise((done) => requestIdleCallback(done)));
    },
  };
}

test('a larger portion costs more at once and is kept; a price in words is refused', async ({ page }) => {
  await open(page, '/pour');
  await page.getByRole('link', { name: 'River trout, sorrel sauce' }).click();
  const cost = page.getByRole('button', { name: 'River trout, sorrel sauce, per dish: why?' });
  const before = await figure(cost);
  await page.getByLabel('Trout fillet, portion').fill('2 each');
  await expect.poll(() => figure(cost)).toBeGreaterThan(before * 1.5);
  await expect(page.getByText('▲ over 30 %')).toBeVisible();
  await page.getByLabel('Trout fillet, portion').press('Enter');
  await expect(page.getByText('✓ saved')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Trout fillet, portion')).toHaveValue('2 each');
  await page.getByLabel('Trout fillet, portion').fill('150 g');
  await page.getByLabel('Trout fillet, portion').press('Enter');
  await expect(page.getByText('✓ saved')).toBeVisible();

  await page.getByLabel('Price on the menu').fill('a lot');
  await page.getByLabel('Price on the menu').press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: '“a lot” is not a price' })).toBeVisible();
  await expect(page.getByLabel('Price on the menu')).toHaveValue('a lot');
  await page.getByLabel('Butter, portion').fill('a knob');
  await expect(page.getByRole('alert').filter({ hasText: 'a knob' })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Price on the menu')).toHaveValue('24.50');
});

test('why a dish costs what it costs: opened down to the invoice, the yield test and the strainer', async ({
  page,
}) => {
  await open(page, '/pour');
  await page.getByRole('button', { name: 'Venison loin, juniper sauce, celeriac, per dish: why?' }).click();
  const panel = page.getByRole('dialog');
  await expect(panel.getByText(/^Why €/)).toBeVisible();
  await expect(panel.getByText('Invoice WG-20418').first()).toBeVisible();
  await expect(panel.getByText('silverskin and chain off').first()).toBeVisible();
  for (const words of [/^Juniper sauce/, /^Per litre/, /^What became of the litres/]) {
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

test('a dish over its target is given the price that the target asks for, by a click, and it is kept', async ({
  page,
}) => {
  await open(page, '/pour');
  await page.getByRole('link', { name: 'Venison loin, juniper sauce, celeriac' }).click();
  await expect(page.getByRole('heading', { level: 1, name: /^Venison loin/ })).toBeVisible();
  await expect(page.getByText('▲ over 32 %')).toBeVisible();
  await keeps(page, 'plate.amounts', () => page.getByRole('button', { name: 'Use this price' }).click());
  await expect(page.getByLabel('Price on the menu')).toHaveValue('29.50');
  await expect(page.getByText('keeps 32 %')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Use this price' })).toHaveCount(0);
  await page.reload();
  await expect(page.getByLabel('Price on the menu')).toHaveValue('29.50');
});

test('a sauce on the side that guests leave half of, and a banquet that loses some: the dish costs what it costs', async ({
  page,
}) => {
  await open(page, '/pour');
  await page.getByRole('link', { name: 'River trout, sorrel sauce' }).click();
  const cost = page.getByRole('button', { name: 'River trout, sorrel sauce, per dish: why?' });
  const before = await figure(cost);
  await page.getByRole('button', { name: 'How Sorrel sauce is served' }).click();
  const panel = page.getByRole('dialog');
  await panel.getByLabel('Overfilled, %').fill('120');
  await panel.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(panel.getByText('120 % cannot be: from 0 to 100 %.')).toBeVisible();
  await panel.getByLabel('Overfilled, %').fill('');
  await panel.getByLabel(/^On the side/).fill('50');
  await keeps(page, 'plate.line-served', () =>
    panel.getByRole('button', { name: 'Save', exact: true }).click(),
  );
  await expect(page.getByText('on the side, 50 % of it taken')).toBeVisible();
  await expect.poll(() => figure(cost)).toBeLessThan(before);
  const aside = await figure(cost);
  await page.getByRole('button', { name: 'Name, tax and target' }).click();
  await panel.getByLabel('How it is served').selectOption('banquet');
  await panel.getByLabel(/^Lost in service/).fill('10');
  await keeps(page, 'plate.head', () => panel.getByRole('button', { name: 'Save', exact: true }).click());
  await expect(page.getByText('per dish, ingredients, banquet, 10.0 % lost in service')).toBeVisible();
  await expect.poll(() => figure(cost)).toBeCloseTo(aside / 0.9, 1);
  await page.reload();
  await expect(page.getByText('on the side, 50 % of it taken')).toBeVisible();
  // Another portion leaves how it is served as it is; undone twice it is served as before.
  await page.getByLabel('Butter, portion').fill('16 g');
  await keeps(page, 'plate.amounts', () => page.getByLabel('Butter, portion').press('Enter'));
  await expect(page.getByText('on the side, 50 % of it taken')).toBeVisible();
  await page.getByRole('heading', { level: 1 }).click();
  for (let i = 0; i < 3; i += 1) await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await expect(page.getByText('on the side, 50 % of it taken')).toHaveCount(0);
  await expect.poll(() => figure(cost)).toBe(before);
});

test('from nothing: a menu is made, dishes put on it, what is sold said, and the dish that breaks it found', async ({
  page,
}) => {
  await open(page, '/pour/menus');
  await page.getByRole('button', { name: 'New menu' }).click();
  const panel = page.getByRole('dialog');
  await panel.getByLabel('What the menu is called').fill('Banquet in May');
  await keeps(page, 'menu.keep', () => panel.getByRole('button', { name: 'Save', exact: true }).click());
  await expect(page.getByRole('heading', { name: 'Banquet in May', level: 1 })).toBeVisible();
  for (const name of ['Duck broth with noodles', 'Venison loin, juniper sauce, celeriac']) {
    await page.getByLabel('Add a dish').fill(name);
    await keeps(page, 'menu.keep', () => page.getByRole('option', { name, exact: true }).click());
    await expect(page.getByRole('row', { name: new RegExp(`^${name}`) })).toBeVisible();
  }
  const answer = page.getByRole('complementary', { name: 'The menu’s food cost' });
  await expect(answer).toContainText('No sales are entered for Duck broth with noodles, Venison loin');
  const sold = (name: RegExp) => page.getByRole('textbox', { name });
  await sold(/^Duck broth/).fill('60');
  await keeps(page, 'menu.keep', () => sold(/^Duck broth/).press('Enter'));
  await sold(/^Venison loin/).fill('34');
  await keeps(page, 'menu.keep', () => sold(/^Venison loin/).press('Enter'));
  await expect(page.getByRole('row', { name: /^Venison loin/ })).toContainText('▲');
  const pct = answer.locator('.fig-large');
  await expect(pct).toContainText('%');
  const portions = await pct.innerText();
  // The page is read again while somebody types already: what is typed stays, and so does what is wrong with it.
  const held = await holdReading(page);
  await keeps(page, 'menu.keep', () => answer.getByLabel('Sales entered as').selectOption('%'));
  await expect(answer).toContainText('The shares make 94 %: 6 % are missing.');
  await expect(pct).toHaveText('incomplete');
  await sold(/^Duck broth/).fill('many');
  await sold(/^Duck broth/).press('Enter');
  await expect(page.getByText(/“many” is not a number/).first()).toBeVisible();
  await held.letGo();
  await expect(page.getByText(/“many” is not a number/).first()).toBeVisible();
  await expect(sold(/^Duck broth/)).toHaveValue('many');
  await sold(/^Duck broth/).fill('66');
  await keeps(page, 'menu.keep', () => sold(/^Duck broth/).press('Enter'));
  await expect(pct).toContainText('%');
  await page.reload();
  await expect(sold(/^Duck broth/)).toHaveValue('66');
  expect(await pct.innerText()).not.toBe(portions);
  // A plate off, and the menu away: each is taken back.
  await keeps(page, 'menu.keep', () =>
    page.getByRole('button', { name: 'Remove Duck broth with noodles from the menu' }).click(),
  );
  await expect(sold(/^Duck broth/)).toHaveCount(0);
  await page.getByRole('heading', { level: 1 }).click();
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await expect(sold(/^Duck broth/)).toHaveValue('66');
  await keeps(page, 'menu.away', () => more(page, 'Archive'));
  await expect(page.getByRole('heading', { name: 'Evening menu', level: 1 })).toBeVisible();
});
