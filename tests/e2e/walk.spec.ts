import { expect, open, openPot, takes, test } from './kitchen';

const price = (n: number) => `Line ${n}, net price of a pack`;

test('salt by the keyboard is salt, however fast it is typed, and nothing is taken that nobody named', async ({
  page,
}) => {
  await open(page, '/buy');
  await page.getByRole('link', { name: 'Onion', exact: true }).click();
  const other = page.getByLabel('Use in place of Onion');
  await other.focus();
  await page.keyboard.type('Salt');
  await page.keyboard.press('Tab');
  await expect(other).toHaveValue('Salt');
  await other.fill('kohlrabi of the moon');
  await other.press('Tab');
  await expect(page.getByText('Nothing here is called “kohlrabi of the moon”.')).toBeVisible();
  await other.fill('');
  await other.press('Tab');
  await expect(other).toHaveValue('');
});

test('another supplier does not take over what the first one sells', async ({ page }) => {
  await open(page, '/buy/purchases/new');
  await takes(page.getByLabel('Supplier', { exact: true }), 'Low Meadow Growers');
  await page.getByLabel('Invoice number').fill('X 1');
  await takes(page.getByLabel('Line 1, article'), 'Leeks');
  await page.getByLabel('Line 1, packs').fill('1');
  await page.getByLabel(price(1)).fill('14');
  await takes(page.getByLabel('Supplier', { exact: true }), 'Weirside Game');
  const says = page.getByRole('alert').filter({
    hasText: 'Leeks is Low Meadow Growers’s: choose what Weirside Game sells.',
  });
  await expect(says).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText(/^✕?\s*Not saved yet/)).toBeVisible();
  await expect(page.getByLabel(price(1))).toHaveValue('14');
  await page.goto('/buy/purchases');
  await expect(page.getByRole('link', { name: 'X 1' })).toHaveCount(0);
});

test('a price of 240 for 24 is asked about, and written down when it is said to be right', async ({
  page,
}) => {
  await open(page, '/buy/purchases/new');
  await takes(page.getByLabel('Supplier', { exact: true }), 'Weirside Game');
  await page.getByLabel('Invoice number').fill('X 2');
  await takes(page.getByLabel('Line 1, article'), 'Venison bones, chopped');
  await page.getByLabel('Line 1, packs').fill('1');
  await page.getByLabel(price(1)).fill('240');
  await expect(page.getByText('€240.00 is 10 times the €24.00 it was. Save it?')).toBeVisible();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Not saved yet: one thing is asked above.')).toBeVisible();
  await page.getByRole('button', { name: 'It is right' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Invoice X 2' })).toBeVisible();
});

test('one line is credited in four clicks: the others are not on the note', async ({ page }) => {
  await open(page, '/buy/purchases');
  await page.getByRole('link', { name: 'WG-20418' }).click();
  let clicks = 0;
  const click = async (name: string, role: 'link' | 'button' | 'textbox'): Promise<void> => {
    clicks += 1;
    await page.getByRole(role, { name }).click();
  };
  await click('New credit note', 'link');
  await expect(page.getByRole('heading', { name: 'Credit note for WG-20418' })).toBeVisible();
  const lines = await page.getByLabel(/, packs$/).count();
  expect(lines).toBeGreaterThan(1);
  await click('Credit note number', 'textbox');
  await page.keyboard.type('CN 5');
  await click('Line 1, packs', 'textbox');
  await page.keyboard.type('1');
  await click('Save', 'button');
  await expect(page.getByRole('heading', { name: 'Credit note CN 5' })).toBeVisible();
  // Its head, one line, and the sum.
  await expect(page.getByRole('row')).toHaveCount(3);
  expect(clicks).toBe(4);
});

test('a line that was taken out comes back, and the focus goes to a line that is added', async ({ page }) => {
  await open(page, '/buy/purchases/new');
  await takes(page.getByLabel('Line 1, article'), 'Leeks');
  await expect(page.getByLabel('Supplier', { exact: true })).toHaveValue('Low Meadow Growers');
  await page.getByRole('button', { name: 'Add line' }).click();
  await expect(page.getByLabel('Line 2, article')).toBeFocused();
  await page.getByRole('button', { name: 'Remove Leeks' }).click();
  await expect(page.getByLabel('Line 1, article')).toHaveValue('');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByLabel('Line 1, article')).toHaveValue('Leeks');
});

test('a letter on the list of vessels moves no pot', async ({ page }) => {
  await openPot(page, 'White roux');
  const vessel = page.getByLabel('Starts in');
  const stands = await vessel.inputValue();
  await vessel.focus();
  await page.keyboard.press('s');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Tab');
  await expect(vessel).toHaveValue(stands);
  await page.reload();
  await expect(vessel).toHaveValue(stands);
});

test('what is looked for, the order and the place stay with back and a reload', async ({ page }) => {
  await open(page, '/pot');
  await page.getByRole('button', { name: '€ per litre' }).click();
  await expect(page).toHaveURL(/order=cost\.down/);
  const first = page.getByRole('row').nth(1);
  await expect(first).toContainText('Juniper sauce');
  await page.reload();
  await expect(first).toContainText('Juniper sauce');
  await page.getByLabel('Find a recipe').fill('juniper');
  await expect(page).toHaveURL(/find=juniper/);
  await page.getByRole('link', { name: 'Juniper sauce', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Juniper sauce', level: 1 })).toBeVisible();
  await page.goBack();
  await expect(page.getByLabel('Find a recipe')).toHaveValue('juniper');
  await expect(page.getByRole('link', { name: 'White roux', exact: true })).toHaveCount(0);
});

test('a day is chosen from a calendar that writes it as the page does', async ({ page }) => {
  await open(page, '/buy');
  await page.getByRole('button', { name: 'Costs as of: calendar' }).click();
  const calendar = page.getByRole('dialog', { name: 'Calendar' });
  await expect(calendar).toContainText('March 2026');
  await calendar.getByRole('button', { name: /Monday,? 9 March 2026/ }).click();
  await expect(page).toHaveURL(/on=2026-03-09/);
  await expect(page.getByLabel('Costs as of', { exact: true })).toHaveValue('9 Mar');
});

test('dark by the device or by choice, kept after a reload', async ({ page }) => {
  const paper = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  await page.emulateMedia({ colorScheme: 'dark' });
  await open(page, '/people');
  await expect.poll(paper).toBe('rgb(22, 27, 31)');
  await page.getByLabel('Light or dark', { exact: true }).selectOption('light');
  await expect.poll(paper).toBe('rgb(248, 245, 237)');
  await page.reload();
  await expect.poll(paper).toBe('rgb(248, 245, 237)');
});

test('who has signed out of the demo is out', async ({ page }) => {
  await open(page, '/buy');
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.goto('/buy');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await page.getByRole('link', { name: 'Open it as the manager' }).click();
  await expect(page.getByRole('heading', { name: 'Price book' })).toBeVisible();
});

test('what was named before the search has answered is what is written down', async ({ page }) => {
  await open(page, '/buy/purchases/new');
  await takes(page.getByLabel('Supplier', { exact: true }), 'Tarn Hatchery');
  await page.getByLabel('Invoice number').fill('X 3');
  // The search answers only after everything else has been typed and sent.
  let release = (): void => undefined;
  const sent = new Promise<void>((resolve) => (release = resolve));
  await page.route('**/buy/purchases/new', async (route) => {
    if (route.request().method() === 'POST') await sent;
    await route.continue();
  });
  await page.getByLabel('Line 1, article').focus();
  await page.keyboard.type('trout fr');
  await page.keyboard.press('Tab');
  await page.keyboard.type('2');
  await page.keyboard.press('Tab');
  await page.keyboard.type('7.10');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  release();
  await expect(page.getByRole('heading', { name: 'Invoice X 3' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Trout frames/ })).toContainText('7.10');
});
