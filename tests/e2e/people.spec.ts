import { expect, keeps, open, openPot, test } from './kitchen';
import type { Page } from '@playwright/test';

/** Makes the page's browser the demo's own tablet, which is let in, with nobody signed in on it. */
async function onTheTablet(page: Page): Promise<void> {
  await page.context().request.get('/sign-in/demo', { maxRedirects: 0 });
}

/** Whether a browser's cookies open nothing any more: any page sends it to the door. */
async function expectOut(page: Page): Promise<void> {
  const answer = await page.context().request.get('/pour', { maxRedirects: 0 });
  expect([answer.status(), answer.headers().location]).toEqual([307, '/sign-in']);
}

async function signIn(page: Page, name: string, secret: string): Promise<void> {
  await page.goto('/sign-in?out');
  await page.getByRole('radio', { name: new RegExp(name) }).check({ force: true });
  await page.getByLabel('Password, or PIN on the shared tablet').fill(secret);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

test('the demo opens as its manager; whoever signs out stands at the door', async ({ page }) => {
  await open(page, '/buy');
  await expect(page.getByText('Maren Holt, manager')).toBeVisible();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
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
  await onTheTablet(page);
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
      .filter({ hasText: 'Ruth Alder is signed in here by now, and this was typed by somebody else' }),
  ).toBeVisible();
  await page.context().clearCookies();
  await page.getByLabel('Step 1', { exact: true }).fill('400 g butter');
  await page.getByLabel('Step 1', { exact: true }).press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'signed out' })).toBeVisible();
  await openPot(page, 'White roux');
  await expect(page.getByLabel(/^Step \d/)).toHaveCount(3);
});

test('a PIN opens nowhere but on a device that a manager has let in, and no longer once that is ended', async ({
  page,
  browser,
}) => {
  const elsewhere = await (await browser.newContext()).newPage();
  await signIn(elsewhere, 'Ilse Brook', '1470');
  await expect(
    elsewhere
      .getByRole('alert')
      .filter({ hasText: 'A PIN works only on a device that a manager has allowed' }),
  ).toBeVisible();
  // A manager lets that device in, sitting at it.
  await signIn(elsewhere, 'Maren Holt', 'kestrel-weir');
  await elsewhere.getByRole('link', { name: 'Maren Holt, manager' }).click();
  await expect(elsewhere.getByRole('heading', { level: 1, name: 'People' })).toBeVisible();
  await expect(elsewhere.getByRole('cell', { name: 'a PIN on a device that is not allowed' })).toBeVisible();
  await elsewhere.getByRole('button', { name: 'Allow PIN on this device' }).click();
  await expect(elsewhere.getByRole('alert').filter({ hasText: 'Give the device a name' })).toBeVisible();
  await elsewhere.getByLabel('What this device is called').fill('Tablet at the pass');
  await elsewhere.getByRole('button', { name: 'Allow PIN on this device' }).click();
  await expect(elsewhere.getByText('Tablet at the pass (this one)')).toBeVisible();
  await elsewhere.getByRole('button', { name: 'Sign out', exact: true }).click();
  await signIn(elsewhere, 'Ilse Brook', '1470');
  await expect(elsewhere.getByText('Ilse Brook, cook')).toBeVisible();
  // Removed from the office: people signed in on it by PIN are signed out, and the PIN opens there no more.
  await open(page, '/people');
  await keeps(page, 'device.end', () =>
    page.getByRole('button', { name: 'Remove Tablet at the pass' }).click(),
  );
  await expect(page.getByText('Tablet at the pass')).toHaveCount(0);
  await expectOut(elsewhere);
  await signIn(elsewhere, 'Ilse Brook', '1470');
  await expect(elsewhere.getByRole('alert').filter({ hasText: 'A PIN works only' })).toBeVisible();
});

test('signing out ends it on the server; another password ends every other place, and a manager may end one', async ({
  page,
  browser,
}) => {
  await open(page, '/people');
  const stolen = await (await browser.newContext()).newPage();
  await stolen.context().addCookies(await page.context().cookies());
  await stolen.goto('/people');
  await expect(stolen.getByText('Maren Holt, manager')).toBeVisible();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByText('Who is at work')).toBeVisible();
  // The cookie that somebody has kept is worth nothing.
  await expectOut(stolen);
  await open(stolen, '/people');
  await expect(stolen.getByText('this device', { exact: true })).toBeVisible();

  const reader = await (await browser.newContext()).newPage();
  await signIn(reader, 'Ruth Alder', 'kestrel-weir');
  await expect(reader.getByText('Ruth Alder, reader')).toBeVisible();
  const hers = await (await browser.newContext()).newPage();
  await signIn(hers, 'Ruth Alder', 'kestrel-weir');
  await expect(hers.getByText('Ruth Alder, reader')).toBeVisible();
  await hers.goto('/people');
  await expect(hers.getByRole('row')).toHaveCount(3);
  await hers.getByLabel('Current password').fill('not-hers-at-all');
  await hers.getByLabel('New password').fill('12345678');
  await hers.getByRole('button', { name: 'Change password' }).click();
  await expect(hers.getByRole('alert').filter({ hasText: 'not made of digits alone' })).toBeVisible();
  await hers.getByLabel('New password').fill('a-better-one-for-weirs');
  await hers.getByRole('button', { name: 'Change password' }).click();
  await expect(
    hers.getByRole('alert').filter({ hasText: 'That is not your current password.' }),
  ).toBeVisible();
  await hers.getByLabel('Current password').fill('kestrel-weir');
  await keeps(hers, 'person.password', () => hers.getByRole('button', { name: 'Change password' }).click());
  await expect(hers.getByText('✓ changed; ended one other place where you were signed in')).toBeVisible();
  await expect(hers.getByRole('row')).toHaveCount(2);
  await expectOut(reader);

  await stolen.goto('/people');
  await keeps(stolen, 'signed-in.end', () =>
    stolen.getByRole('button', { name: /^Sign out Ruth Alder/ }).click(),
  );
  await expectOut(hers);
});
