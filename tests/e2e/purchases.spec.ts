import { expect, figure, keeps, open, tabTo, takes, test, chooseFrom } from './kitchen';
import type { Page } from '@playwright/test';

const line = (page: Page, n: number, field: string) => page.getByLabel(`Line ${n}, ${field}`);
const write = (page: Page) => page.getByRole('button', { name: 'Save', exact: true });

async function begin(page: Page, supplier: string, number: string): Promise<void> {
  await open(page, '/buy/purchases');
  await page.getByRole('link', { name: 'New invoice' }).click();
  await takes(page.getByLabel('Supplier', { exact: true }), supplier);
  await page.getByLabel('Invoice number').fill(number);
}

test('an invoice is written down with arithmetic, a short delivery and a deposit; price, store and book follow', async ({
  page,
}) => {
  await begin(page, 'Low Meadow Growers', 'LMG 9001');
  await takes(line(page, 1, 'article'), 'Leeks');
  await line(page, 1, 'packs').fill('2+1');
  await line(page, 1, 'net price of a pack').fill('3*5.10');
  // A pack of these leeks held 4.86 kg when it was weighed: three of them are 14.58 kg.
  await expect(page.getByText('14.58 kg for €45.90, €3.15 per kilo')).toBeVisible();
  await line(page, 1, 'what came').fill('12 kg');
  await expect(
    page.getByText('2.58 kg short of the 14.58 kg invoiced: paid for until it is credited.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Deposit' }).click();
  await line(page, 2, 'Deposit').fill('4.50');
  await expect(page.locator('.invoice-total')).toContainText('€50.40');
  await write(page).click();
  await expect(page.getByRole('heading', { name: 'Invoice LMG 9001' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Leeks/ })).toContainText('12.00 kg');
  await page.goto('/buy');
  await expect(page.getByLabel('Leek, price of a pack')).toHaveValue('15.30');

  // Corrected only by a credit note.
  await page.goto('/buy/purchases');
  await page.getByRole('link', { name: 'LMG 9001' }).click();
  await page.getByRole('link', { name: 'New credit note' }).click();
  await page.getByLabel('Credit note number').fill('CN 9001');
  await line(page, 1, 'packs').fill('0.5');
  await expect(page.getByText('-€7.65 back')).toBeVisible();
  await write(page).click();
  await expect(page.getByRole('heading', { name: 'Credit note CN 9001' })).toBeVisible();
  await page.getByRole('link', { name: 'LMG 9001' }).click();
  await expect(page.getByText('credited by')).toBeVisible();
});

test('something never bought before is asked for what it weighs, and is then in the book', async ({
  page,
}) => {
  await begin(page, 'Low Meadow Growers', 'LMG 9002');
  await line(page, 1, 'article').click();
  await page.getByRole('option', { name: 'New item …' }).click();
  await takes(line(page, 1, 'ingredient'), 'Carrot');
  await line(page, 1, 'called on the invoice').fill('Carrots with their green');
  await line(page, 1, 'packed as').fill('crate 12 bunches');
  await expect(
    page.getByText('Carrot is asked for by the bunch, but what a bunch of it weighs is not known.'),
  ).toBeVisible();
  await line(page, 1, 'one of them weighs').fill('500 g');
  await expect(page.getByText('one pack is 6.00 kg (500 g a bunch)')).toBeVisible();
  await line(page, 1, 'packs').fill('1');
  await line(page, 1, 'net price of a pack').fill('9.60');
  await expect(page.getByText('6.00 kg for €9.60, €1.60 per kilo')).toBeVisible();
  await write(page).click();
  await expect(page.getByRole('heading', { name: 'Invoice LMG 9002' })).toBeVisible();
  await page.getByRole('link', { name: 'Carrots with their green' }).click();
  await expect(page.getByRole('row', { name: /Carrots with their green/ })).toContainText('1.60');
  await expect(page.getByRole('row', { name: /Carrots, washed/ })).toContainText('cheapest');
});

test('every mistake is marked where it stands, what was typed stays, and nothing is written', async ({
  page,
}) => {
  await begin(page, 'Low Meadow Growers', 'LMG 9003');
  await page.getByLabel('Day on it', { exact: true }).fill('1 Apr');
  await takes(line(page, 1, 'article'), 'Leeks');
  await line(page, 1, 'packs').fill('0');
  await line(page, 1, 'net price of a pack').fill('14');
  await expect(page.getByText('0 packs cannot be: above 0 and at most 100000.')).toBeVisible();
  await page.getByRole('button', { name: 'Add line' }).click();
  await takes(line(page, 2, 'article'), 'Carrots, washed');
  await line(page, 2, 'packs').fill('1');
  await line(page, 2, 'net price of a pack').fill('eleven');
  await page.getByRole('button', { name: 'Add line' }).click();
  await takes(line(page, 3, 'article'), 'Thyme, bunches');
  await line(page, 3, 'packs').fill('1');
  await line(page, 3, 'net price of a pack').fill('9');
  await line(page, 3, 'what was returned at the door').fill('40 bunches');
  await write(page).click();
  for (const words of [
    '1 Apr has not come yet: an invoice is of today, 14 Mar, or before.',
    '0 packs cannot be',
    '“eleven” is not a price',
    /returned, but only .* came/,
  ])
    await expect(page.getByRole('alert').filter({ hasText: words }).first()).toBeVisible();
  await expect(page.getByText('Not saved yet: 4 things are marked above.')).toBeVisible();
  await expect(line(page, 2, 'net price of a pack')).toHaveValue('eleven');

  // A dead battery loses nothing: it is offered again.
  await page.reload();
  await page.getByRole('button', { name: 'Go on with it' }).click();
  await expect(line(page, 2, 'net price of a pack')).toHaveValue('eleven');
  await expect(page.getByLabel('Invoice number')).toHaveValue('LMG 9003');
  await page.goto('/buy/purchases');
  await expect(page.getByRole('link', { name: 'LMG 9003' })).toHaveCount(0);
});

test('the same invoice twice is noticed', async ({ page }) => {
  await begin(page, 'Weirside Game', 'WG-20418');
  await takes(line(page, 1, 'article'), 'Venison bones, chopped');
  await line(page, 1, 'packs').fill('1');
  await line(page, 1, 'net price of a pack').fill('24');
  await write(page).click();
  await expect(
    page.getByRole('alert').filter({ hasText: 'WG-20418 of Weirside Game is already entered, for 9 Mar.' }),
  ).toBeVisible();
});

test('a delivery in place of another says what that changes', async ({ page }) => {
  await open(page, '/buy/purchases');
  await takes(page.getByLabel('From which supplier'), 'Brackwater Dry Goods');
  await expect(page.getByRole('row', { name: /Weirside/ })).toHaveCount(0);
  await page
    .getByRole('row', { name: /1 line/ })
    .getByRole('link')
    .first()
    .click();
  await expect(page.getByText('Came in place of Veal stock, gelatinous, chilled.')).toBeVisible();
  await expect(page.getByText(/^Less gelatin: .* instead of 3\.5 %\.$/)).toBeVisible();
});

test('by keyboard alone: an invoice is written down and its price asked why', async ({ page }) => {
  await open(page, '/pot');
  await page.keyboard.press('b');
  await expect(page.getByRole('heading', { name: 'Price book' })).toBeVisible();
  await tabTo(page, 'Purchases');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Purchases' })).toBeVisible();
  await tabTo(page, 'New invoice');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'New invoice' })).toBeVisible();
  await tabTo(page, 'Supplier');
  await page.keyboard.type('Tarn');
  await page.keyboard.press('Tab');
  await page.keyboard.type('TH/9100');
  await tabTo(page, 'Line 1, article');
  await page.keyboard.type('Trout frames');
  await page.keyboard.press('Tab');
  await page.keyboard.type('2');
  await page.keyboard.press('Tab');
  await page.keyboard.type('7.10');
  await tabTo(page, 'Save');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Invoice TH/9100' })).toBeVisible();
  await tabTo(page, 'Trout frames');
  await page.keyboard.press('Enter');
  await tabTo(page, 'Trout frames, a usable kilo: why?');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('Invoice TH/9100');
});

test('one ingredient: which price counts, a pack weighed, a count, an opened pack, another in its place', async ({
  page,
}) => {
  await open(page, '/buy');
  await page.getByRole('link', { name: 'Leek', exact: true }).click();
  const cost = page.getByRole('button', { name: 'Leek, a usable kilo: why?' });
  const latest = await figure(cost);
  await page.getByLabel('Price basis').selectOption('fixed');
  await page.getByLabel('Fixed price', { exact: true }).fill('4/2');
  await page.getByLabel('Fixed price', { exact: true }).press('Enter');
  await expect.poll(() => figure(cost)).toBeLessThan(latest);
  await page.getByLabel('Price basis').selectOption('average');
  await expect(page.getByText('Costed at the average of 28 days, by weight')).toBeVisible();
  await page.getByLabel('Days of the average').fill('0');
  await page.getByLabel('Days of the average').press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'a whole number from 1 to 730' })).toBeVisible();
  await expect(page.getByLabel('Days of the average')).toHaveValue('0');
  await page.getByLabel('Price basis').selectOption('latest');
  await expect(page.getByText('Costed at the latest price')).toBeVisible();

  await page.getByRole('button', { name: 'Weigh a pack of Leeks' }).click();
  await page.getByLabel('What a pack of Leeks held').fill('50 kg');
  await page.getByLabel('What a pack of Leeks held').press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'between a third and three times' })).toBeVisible();
  await page.getByLabel('What a pack of Leeks held').fill('4.5 kg');
  await page.getByLabel('What a pack of Leeks held').press('Enter');
  await expect(page.getByText('held 4.50 kg on 14 Mar')).toBeVisible();

  await page.getByLabel('Counted on hand').fill('2*5kg');
  await keeps(page, 'ingredient.count', () => page.getByLabel('Counted on hand').press('Enter'));
  await expect(page.getByText('counted 14 Mar')).toBeVisible();

  // Misspelled, and found all the same.
  await chooseFrom(page.getByLabel('Use in place of Leek'), 'cellery', 'Celery');
  await expect(page.getByText('Brings celery, which Leek does not carry.')).toBeVisible();
});

test('an opened bottle is charged whole or by the part, and the sauce answers', async ({ page }) => {
  await open(page, '/buy');
  const sauce = page.getByRole('button', { name: 'Juniper sauce: why?' });
  const whole = await figure(sauce);
  await page.getByRole('link', { name: 'Fortified red wine' }).click();
  await keeps(page, 'ingredient.buying', () =>
    page.getByLabel('by the part used, the rest back in store').check(),
  );
  await expect(page.getByLabel('by the part used, the rest back in store')).toBeChecked();
  await page.goto('/buy');
  await expect.poll(() => figure(sauce)).toBeLessThan(whole);
});

test('costs as of a day, as corrected since or as known then, and what moved most', async ({ page }) => {
  await open(page, '/buy');
  const today = await figure(page.getByRole('button', { name: 'Venison bone stock: why?' }));
  // A date put in before the page has come alive would be nobody's.
  await page.waitForLoadState('networkidle');
  await page.getByLabel('Costs as of', { exact: true }).fill('3 Nov 2025');
  await page.getByLabel('Costs as of', { exact: true }).press('Enter');
  await expect(
    page.getByText(/Prices and yields of 3 Nov 2025, as corrected since; recipes as they are today/),
  ).toBeVisible();
  await expect
    .poll(() => figure(page.getByRole('button', { name: 'Venison bone stock: why?' })))
    .toBeLessThan(today);
  await expect(page.getByLabel('Onion, price of a pack')).toBeDisabled();
  await page.getByRole('button', { name: 'As known then' }).click();
  await expect(page.getByText(/as they were known then/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to today' }).click();
  await expect(page.getByLabel('Onion, price of a pack')).toBeEnabled();
  await page.getByLabel('Order of the rows').selectOption('moved');
  await expect(page).toHaveURL(/order=moved/);
  const moved = await page.locator('td.moved').allInnerTexts();
  const shares = moved.flatMap((t) => t.match(/\d+/)?.map(Number) ?? []);
  expect(shares[0]).toBe(Math.max(...shares));
});

test('the larder: found misspelt, taken under a name, merged with all its history and taken apart again', async ({
  page,
}) => {
  await open(page, '/buy/larder');
  await page.getByLabel('Find in the larder').fill('jeruslem artichoke');
  await page.getByRole('button', { name: 'Add Jerusalem artichoke to my ingredients' }).click();
  await page.getByLabel('Name of Jerusalem artichoke in this kitchen').fill('Onion');
  await page.getByRole('button', { name: 'Add to my ingredients' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: '“Onion” is in the kitchen already' }),
  ).toBeVisible();
  await page.getByLabel('Name of Jerusalem artichoke in this kitchen').fill('Sunroot');
  await keeps(page, 'ingredient.take', () =>
    page.getByRole('button', { name: 'Add to my ingredients' }).click(),
  );
  await page.getByLabel('Find in the larder').fill('sunroot');
  await expect(page.getByRole('link', { name: 'Sunroot' })).toBeVisible();

  await takes(page.getByLabel('Merge which ingredient'), 'Shallots, banana');
  await takes(page.getByLabel('into which ingredient'), 'Shallot');
  await keeps(page, 'ingredient.merge', () =>
    page.getByRole('button', { name: 'Merge, with history' }).click(),
  );
  await expect(page.getByText('Shallots, banana counts as Shallot')).toBeVisible();
  await page.goto('/buy');
  await expect(page.getByRole('link', { name: 'Shallots, banana' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Shallot', exact: true }).click();
  await expect(page.getByRole('row', { name: /Shallots, long, sack/ })).toBeVisible();
  await page.goto('/buy/larder');
  await keeps(page, 'ingredient.apart', () =>
    page.getByRole('button', { name: 'Separate Shallots, banana from Shallot' }).click(),
  );
  await page.goto('/buy');
  await expect(page.getByRole('link', { name: 'Shallots, banana' })).toBeVisible();
});

test('a house measure is defined once and then understood anywhere', async ({ page }) => {
  await open(page, '/buy/larder');
  await page.getByLabel('Name of the measure').fill('kg');
  await page.getByLabel('What the measure holds').fill('1.5 l');
  await page.getByRole('button', { name: 'Define' }).click();
  await expect(page.getByRole('alert').filter({ hasText: '“kg” is a unit already.' })).toBeVisible();
  await page.getByLabel('Name of the measure').fill('jug');
  await keeps(page, 'measure.define', () => page.getByRole('button', { name: 'Define' }).click());
  await expect(page.getByText('a jug is')).toBeVisible();
  await page.goto('/pot');
  await page.getByRole('link', { name: 'Trout velouté', exact: true }).click();
  await page.getByLabel('Step 1', { exact: true }).fill('2 jugs trout-frame fumet');
  await expect(
    page
      .getByRole('row')
      .filter({ has: page.getByLabel('Step 1', { exact: true }) })
      .getByRole('cell')
      .nth(1),
  ).toHaveText('3.0');
});

test('an invoice entered wrong is taken back after saying what that moves, and stands again by an undo', async ({
  page,
}) => {
  await open(page, '/buy/purchases');
  const first = page.getByRole('table').getByRole('link').first();
  const number = await first.innerText();
  await first.click();
  await expect(page.getByRole('heading', { level: 1, name: `Invoice ${number}` })).toBeVisible();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  const panel = page.getByRole('dialog', { name: `Undo Invoice ${number}?` });
  await expect(panel.getByRole('row').first()).toContainText('→');
  await keeps(page, 'purchase.back', () => panel.getByRole('button', { name: 'Undo', exact: true }).click());
  await expect(page.getByText(/^Undone /)).toBeVisible();
  await page.reload();
  await expect(page.getByText(/^Undone /)).toBeVisible();
  await page.getByRole('link', { name: 'Purchases' }).click();
  await expect(page.getByRole('row', { name: new RegExp(number) })).toContainText('undone');
  await keeps(page, 'change.undo', () => page.getByRole('button', { name: 'Undo my last change' }).click());
  await expect(page.getByRole('row', { name: new RegExp(number) })).not.toContainText('undone');
});
