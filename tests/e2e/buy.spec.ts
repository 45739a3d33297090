import { answer, expect, figure, keeps, open, openPot, test } from './kitchen';

const bones = 'Venison bones, price of a pack';

test('a dearer bone moves every dish at once, is kept, and is there in another browser', async ({
  page,
  browser,
}) => {
  await open(page, '/buy');
  const plate = answer(page, 'Venison loin, juniper sauce, celeriac');
  const [before, soup] = [await figure(plate), await figure(answer(page, 'Trout-frame fumet'))];
  const stock = await figure(answer(page, 'Venison bone stock'));
  await page.getByLabel(bones).fill('48');
  // Still only typed: everything has answered already.
  await expect.poll(() => figure(plate)).toBeGreaterThan(before);
  expect(await figure(answer(page, 'Venison bone stock'))).toBeGreaterThan(stock * 1.5);
  expect(await figure(answer(page, 'Trout-frame fumet'))).toBe(soup);
  await expect(page.getByRole('row', { name: /^Juniper sauce/ })).toContainText('dearer by');
  await keeps(page, 'article.price', () => page.getByLabel(bones).press('Enter'));
  await expect(page.getByLabel(bones)).toHaveValue('48.00');
  const now = await figure(plate);

  const other = await browser.newContext();
  const elsewhere = await other.newPage();
  await open(elsewhere, '/buy');
  await expect(elsewhere.getByLabel(bones)).toHaveValue('48.00');
  expect(await figure(answer(elsewhere, 'Venison loin, juniper sauce, celeriac'))).toBe(now);
  await other.close();
});

test('a worse yield makes the usable kilo dearer and stays an estimate', async ({ page }) => {
  await open(page, '/buy');
  const row = page
    .getByRole('row')
    .filter({ has: page.getByLabel('Shallot, price of a pack', { exact: true }) });
  const before = await figure(row.getByRole('button', { name: /usable kilo/ }));
  await page.getByLabel(/^Shallot, usable per cent/).fill('68');
  await keeps(page, 'ingredient.yield', () => page.keyboard.press('Tab'));
  await expect
    .poll(() => figure(row.getByRole('button', { name: /usable kilo/ })))
    .toBeCloseTo((before * 85) / 68, 1);
  await page.reload();
  await expect(page.getByLabel('Shallot, usable per cent, an estimate')).toHaveValue('68');
});

test('a stale edit is refused with both sides; theirs can be taken, mine can be kept', async ({
  page,
  browser,
}) => {
  const field = 'Cream, price of a pack'.replace('Cream', 'Whipping cream');
  await open(page, '/buy');
  const other = await browser.newContext();
  const elsewhere = await other.newPage();
  await open(elsewhere, '/buy');
  await elsewhere.getByLabel(field).fill('30');
  await elsewhere.getByLabel(field).press('Enter');
  await expect(elsewhere.getByLabel(field)).toHaveValue('30.00');

  await page.getByLabel(field).fill('29');
  await page.getByLabel(field).press('Enter');
  const alert = page.getByRole('alert').filter({ hasText: 'Maren Holt changed this' });
  await expect(alert).toBeVisible();
  await expect(page.getByLabel(field)).toHaveValue('29');
  await expect(page.getByRole('button', { name: /Take theirs \(30\.00/ })).toBeVisible();
  await keeps(page, 'article.price', () => page.getByRole('button', { name: 'Keep mine' }).click());
  await expect(alert).toBeHidden();
  await page.reload();
  await expect(page.getByLabel(field)).toHaveValue('29.00');

  await elsewhere.getByLabel(field).fill('31');
  await elsewhere.getByLabel(field).press('Enter');
  await elsewhere.getByRole('button', { name: /Take theirs/ }).click();
  await expect(elsewhere.getByLabel(field)).toHaveValue('29.00');
  await other.close();
});

test('an ingredient is found by any of its words, or it is said that none fits', async ({ page }) => {
  await open(page, '/buy');
  await page.getByLabel('Find an ingredient').fill('wine xylophone');
  await expect(page.getByText('Nothing in the price book fits “wine xylophone”.')).toBeVisible();
  await page.getByLabel('Find an ingredient').fill('brack wine');
  await expect(page.getByLabel('Red wine, price of a pack', { exact: true })).toBeVisible();
  await expect(page.getByLabel('Leek, price of a pack')).toHaveCount(0);
  await page.getByLabel('Find an ingredient').fill('celriac');
  await expect(page.getByLabel('Celeriac, price of a pack')).toBeVisible();
});

test('a price ten times what it was, or 0, is asked about before it is kept; it may be meant all the same', async ({
  page,
}) => {
  await open(page, '/buy');
  const price = page.getByLabel('Butter, price of a pack');
  const was = await price.inputValue();
  await price.fill(String(Number(was) * 10));
  await price.press('Enter');
  const asks = page.getByRole('alert').filter({ hasText: 'is 10 times the' });
  await expect(asks).toBeVisible();
  await asks.getByRole('button', { name: `Put back ${was}` }).click();
  await expect(price).toHaveValue(was);
  await expect(asks).toBeHidden();
  await price.fill('0');
  await price.press('Enter');
  const zero = page.getByRole('alert').filter({ hasText: 'A price of 0: is that meant?' });
  await expect(zero).toBeVisible();
  await page.reload();
  await expect(price).toHaveValue(was);
  await price.fill(String(Number(was) * 10));
  await price.press('Enter');
  await keeps(page, 'article.price', () => asks.getByRole('button', { name: 'Save', exact: true }).click());
  await page.reload();
  await expect(price).toHaveValue((Number(was) * 10).toFixed(2));
});

test('a dish that costs more than its target lets it says so beside the prices, and which price breaks it', async ({
  page,
}) => {
  await open(page, '/buy');
  const answers = page.getByRole('complementary', { name: 'What these prices change' });
  const loin = answers.getByRole('row', { name: /^Venison loin/ });
  await expect(loin).toContainText(/over its target, €\d+\.\d\d at most/);
  const trout = answers.getByRole('row', { name: /^River trout/ });
  await expect(trout).not.toContainText('target');
  const price = page.getByLabel('Trout fillet, price of a pack');
  await price.fill(String(Number(await price.inputValue()) * 2.4));
  await expect(trout).toContainText(/breaks its target, €\d+\.\d\d at most/);
});

test('why ends at the invoice, two clicks from a litre', async ({ page }) => {
  // The number of this one has a stroke in it.
  await openPot(page, 'Trout-frame fumet');
  await page.getByRole('button', { name: 'Trout-frame fumet, per litre: why?' }).click();
  await page.getByRole('dialog').getByRole('link', { name: 'Open the invoice' }).first().click();
  await expect(page).toHaveURL(/\/buy\/purchases\/0/);
  await expect(page.getByRole('row', { name: /[Tt]rout frames/ }).first()).toBeVisible();
});

test('an article is called otherwise, packed otherwise, archived and restored; another seller is added', async ({
  page,
}) => {
  await open(page, '/buy');
  await page.getByRole('link', { name: 'Carrot', exact: true }).click();
  const sellers = page.getByRole('table', { name: 'Suppliers' });
  await expect(sellers.getByRole('button', { name: /^Change / }).first()).toBeVisible();
  const before = await sellers.getByRole('row').count();
  await sellers
    .getByRole('button', { name: /^Change / })
    .first()
    .click();
  const panel = page.getByRole('dialog');
  await panel.getByLabel(/calls it$/).fill('Carrots, washed');
  await panel.getByLabel('A pack is').fill('25 kg');
  await panel.getByLabel('A pack of 25 kg costs').fill('21.50');
  await keeps(page, 'article.keep', () => panel.getByRole('button', { name: 'Save', exact: true }).click());
  await expect(sellers.getByRole('row', { name: /Carrots, washed.*25 kg.*21\.50/ })).toBeVisible();
  await expect(sellers.getByRole('row')).toHaveCount(before);

  await sellers.getByRole('button', { name: 'Change Carrots, washed' }).click();
  await keeps(page, 'article.away', () =>
    panel.getByRole('button', { name: 'Archive', exact: true }).click(),
  );
  await expect(page.getByRole('row', { name: /Carrots, washed/ })).toHaveCount(0);
  await page.getByText(/^Archived: \d/).click();
  await keeps(page, 'article.away', () =>
    page.getByRole('button', { name: 'Restore Carrots, washed, 25 kg' }).click(),
  );
  await expect(sellers.getByRole('row', { name: /Carrots, washed/ })).toBeVisible();

  await page.getByRole('button', { name: 'Another pack or supplier' }).click();
  await page.getByLabel('Carrot, a pack holds').fill('5 kg');
  await page.getByLabel('Carrot, price of a pack').fill('6.20');
  await page.getByLabel('Carrot, who sells it').fill('Roadside');
  await keeps(page, 'article.first', () => page.getByRole('button', { name: 'Keep the price' }).click());
  await expect(sellers.getByRole('row', { name: /Roadside/ })).toBeVisible();
});
