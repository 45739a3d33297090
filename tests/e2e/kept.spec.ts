import type { Browser, Page } from '@playwright/test';
import { expect, keeps, open, test } from './kitchen';

/** A window of its own: with its own network, which may go away, and somebody of its own in it. */
async function windowAt(browser: Browser, path: string): Promise<Page> {
  const page = await (await browser.newContext()).newPage();
  await open(page, path);
  return page;
}

const inSight = (page: Page) => page.getByRole('banner').getByRole('status');

test('a price typed without a connection is kept on the device, said so, and sent when it is back', async ({
  browser,
}) => {
  const page = await windowAt(browser, '/buy');
  const field = page.getByLabel('Whipping cream, price of a pack');
  await field.fill('29.00');
  await page.context().setOffline(true);
  await field.press('Enter');
  await expect(
    page.getByText('No connection: saved on this device, and sent when it is back.'),
  ).toBeVisible();
  await expect(inSight(page)).toHaveText('no connection: 1 saved on this device');
  await page.getByRole('button', { name: 'no connection: 1 saved on this device' }).click();
  await expect(page.getByRole('dialog')).toContainText('a pack price of 29.00, typed on Price book');
  await page.getByRole('button', { name: 'Close' }).click();

  await keeps(page, 'article.price', () => page.context().setOffline(false));
  await expect(inSight(page)).toHaveText('✓ all saved');
  await page.reload();
  await expect(field).toHaveValue('29.00');
});

test('what was typed without a connection meets what somebody else kept: both stand there, and one is kept', async ({
  page,
  browser,
}) => {
  const away = await windowAt(browser, '/buy');
  const label = 'Whipping cream, price of a pack';
  await away.getByLabel(label).fill('29.00');
  await away.context().setOffline(true);
  await away.getByLabel(label).press('Enter');
  await expect(inSight(away)).toHaveText('no connection: 1 saved on this device');
  await open(page, '/buy');
  await page.getByLabel(label).fill('30.00');
  await keeps(page, 'article.price', () => page.getByLabel(label).press('Enter'));

  await away.context().setOffline(false);
  await expect(away.getByRole('button', { name: /Take theirs \(30.00/ })).toBeVisible();
  await expect(away.getByLabel(label)).toHaveValue('29.00');
  await keeps(away, 'article.price', () => away.getByRole('button', { name: 'Keep mine' }).click());
  await page.reload();
  await expect(page.getByLabel(label)).toHaveValue('29.00');
});

test('two managers at one form: theirs stands beside mine field by field, and nothing typed is lost', async ({
  page,
  browser,
}) => {
  const other = await windowAt(browser, '/house');
  await open(page, '/house');
  await page.getByLabel('Tax on a new dish, %').fill('7');
  await other.getByLabel('What the kitchen is called').fill('The Far Weir');
  await other.getByLabel('Tax on a new dish, %').fill('19');
  const keepIt = (at: Page) =>
    at
      .getByRole('region', { name: 'Name, money, figures' })
      .getByRole('button', { name: 'Save', exact: true });
  await keeps(other, 'kitchen.settings', () => keepIt(other).click());

  await keepIt(page).click();
  await expect(page.getByText(/changed this at .* while you were editing/)).toBeVisible();
  await expect(page.getByText('theirs: 19')).toBeVisible();
  await expect(page.getByText('theirs: The Far Weir')).toBeVisible();
  await expect(page.getByLabel('Tax on a new dish, %')).toHaveValue('7');
  await page.getByRole('button', { name: 'Take theirs' }).click();
  await expect(page.getByLabel('What the kitchen is called')).toHaveValue('The Far Weir');

  // What they change beside mine is no conflict: the minutes of hands and the settings are kept at one version.
  await page.getByLabel('Tax on a new dish, %').fill('7');
  await other.getByLabel('blanch, minutes for each kilo').fill('3');
  await keeps(other, 'kitchen.hands', () =>
    other.getByRole('button', { name: 'Save these minutes' }).click(),
  );
  await keepIt(page).click();
  await expect(page.getByRole('region', { name: 'Name, money, figures' }).getByText('✓ saved')).toBeVisible();
});

test('whoever leaves with something typed and not kept is asked first', async ({ page }) => {
  await open(page, '/house/stove');
  await page.getByRole('button', { name: 'New vessel' }).click();
  await page.getByLabel('What it is called').fill('Blue marmite');
  await expect(inSight(page)).toHaveText('not saved yet');
  await page.getByRole('button', { name: 'Close' }).click();
  await open(page, '/house');
  await page.getByLabel('Tax on a new dish, %').fill('7');
  await page.getByRole('link', { name: 'Buy' }).click();
  await expect(page.getByRole('dialog')).toContainText('Unsaved changes');
  await page.getByRole('button', { name: 'Stay here' }).click();
  await expect(page.getByLabel('Tax on a new dish, %')).toHaveValue('7');
  await page.getByRole('link', { name: 'Buy' }).click();
  await page.getByRole('button', { name: 'Leave without saving' }).click();
  await expect(page).toHaveURL(/\/buy$/);
});
