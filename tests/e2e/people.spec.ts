import { expect, open, openPot, test } from './kitchen';
import type { Page } from '@playwright/test';

async function signIn(page: Page, name: string, secret: string): Promise<void> {
  await page.goto('/sign-in?out');
  await page.getByRole('radio', { name: new RegExp(name) }).check({ force: true });
  await page.getByLabel('Password, or PIN on the shared tablet').fill(secret);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

test('the demo opens as its manager; whoever signs out stands at the door', async ({ page }) => {
  await open(page, '/buy');
  await expect(page.getByText('Maren Holt, manager')).toBeVisible();
  await page.getByRole('button', { name: 'Sign out' }).click();
  for (const name of ['Maren Holt', 'Ilse Brook', 'Tobin Fenn', 'Ruth Alder'])
    await expect(page.getByText(name)).toBeVisible();
  await page.goto('/sign-in?out');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
});

test('a wrong password is refused in a sentence, the right one opens', async ({ page }) => {
  await signIn(page, 'Ruth Alder', 'not-hers-at-all');
  await expect(
    page.getByRole('alert').filter({ hasText: 'That is not the password of this name.' }),
  ).toBeVisible();
  await signIn(page, 'Ruth Alder', 'kestrel-weir');
  await expect(page.getByText('Ruth Alder, reader')).toBeVisible();
  await expect(page.getByLabel('Onion, price of a pack')).toBeDisabled();
});

test('a cook by PIN may look, not change; a manager by PIN has a cook’s rights', async ({ page }) => {
  await signIn(page, 'Ilse Brook', '1470');
  await expect(page.getByText('Ilse Brook, cook')).toBeVisible();
  await page.goto('/pot');
  await page.getByRole('link', { name: 'Juniper sauce', exact: true }).click();
  await expect(page.getByLabel('Step 1', { exact: true })).toHaveAttribute('readonly', '');
  await expect(page.getByLabel('Next step')).toHaveCount(0);
  await expect(page.getByRole('slider')).toHaveCount(0);
  await signIn(page, 'Maren Holt', '2580');
  await expect(page.getByText('Maren Holt, cook')).toBeVisible();
});

test('the service refuses what the screen would not offer', async ({ page, browser }) => {
  // A manager's open sheet, whose cookie becomes a reader's under it.
  await openPot(page, 'White roux');
  const door = await (await browser.newContext()).newPage();
  await signIn(door, 'Ruth Alder', 'kestrel-weir');
  await expect(door.getByText('Ruth Alder, reader')).toBeVisible();
  await page.context().clearCookies();
  await page.context().addCookies(await door.context().cookies());
  await page.getByLabel('Next step').fill('simmer 9 min');
  await page.getByLabel('Next step').press('Enter');
  await expect(
    page
      .getByRole('alert')
      .filter({ hasText: 'A reader may look at this but not change it; a manager may.' }),
  ).toBeVisible();
  await page.context().clearCookies();
  await page.getByLabel('Step 1', { exact: true }).fill('400 g butter');
  await page.getByLabel('Step 1', { exact: true }).press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'signed out' })).toBeVisible();
  await openPot(page, 'White roux');
  await expect(page.getByLabel(/^Step \d/)).toHaveCount(3);
});
