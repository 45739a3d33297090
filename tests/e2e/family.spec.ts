import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { TextItem } from 'pdfjs-dist/types/src/display/api';
import { expect, keeps, open, tabTo, takes, test } from './kitchen';

test('by keyboard alone: one of the family is found, its kin is shown, and a litre of it is followed', async ({
  page,
}) => {
  await open(page, '/pour/family');
  await tabTo(page, 'Find a recipe or a dish');
  await takes(page.getByLabel('Find a recipe or a dish'), 'fumet', 'Trout-frame fumet');
  await expect(page.getByRole('heading', { name: 'What uses Trout-frame fumet', level: 1 })).toBeVisible();
  const map = page.getByRole('group', { name: /^Family tree/ });
  await expect(map.getByRole('link', { name: 'Sorrel sauce', exact: true })).toBeVisible();
  await expect(map.getByRole('link', { name: 'Venison bone stock' })).toHaveCount(0);
  await expect(page.getByText(/In a usual week .* into Trout velouté/)).toBeVisible();
  // Its address is its own: a reload shows the same.
  await page.reload();
  await expect(map.getByRole('link', { name: 'Sorrel sauce', exact: true })).toBeVisible();
  await page.getByText('The same as an outline').press('Enter');
  const outline = page.getByRole('list', { name: 'The family as an outline' });
  await expect(outline.getByRole('link', { name: 'River trout, sorrel sauce' })).toBeVisible();
  // Through the sauce two thirds of whose cost is something else, less of the plate is fumet than of the sauce.
  await outline.getByRole('link', { name: 'Trout velouté' }).first().press('Enter');
  await expect(page.getByRole('heading', { name: 'What uses Trout velouté', level: 1 })).toBeVisible();
});

test('by pointer: daughters are folded away, dishes left out, and one in the map is looked at', async ({
  page,
}) => {
  await open(page, '/pour/family');
  const map = page.getByRole('group', { name: /^Family tree/ });
  await map.getByRole('button', { name: 'Hide what uses Juniper sauce' }).click();
  await expect(map.getByRole('link', { name: /^Venison loin/ })).toHaveCount(0);
  await map.getByRole('button', { name: 'Show what uses Juniper sauce' }).click();
  await expect(map.getByRole('link', { name: /^Venison loin/ })).toBeVisible();
  await page.getByLabel('dishes', { exact: true }).uncheck();
  await expect(map.getByRole('link', { name: /^Venison loin/ })).toHaveCount(0);
  await page.getByLabel('dishes', { exact: true }).check();
  await map.getByRole('link', { name: /^Venison loin/ }).click();
  await expect(page.getByRole('heading', { name: /^What uses Venison loin/, level: 1 })).toBeVisible();
  await expect(map.getByRole('link', { name: 'Reduced game base' })).toBeVisible();
  await expect(map.getByRole('link', { name: 'Crab bisque', exact: true })).toHaveCount(0);
  await page.goto('/pour/family?of=plate%3Anobody');
  await expect(page.getByText('This is no longer here.')).toBeVisible();
});

test('a label that nobody has read makes a dish “not known”; read, it does not; and paper and table say the same', async ({
  page,
}) => {
  await open(page, '/pour/allergens');
  const loin = page.getByRole('row', { name: /^Venison loin/ });
  await expect(loin.getByText('not known')).toHaveCount(4);
  await expect(loin.getByText('Celeriac', { exact: true })).toBeVisible();
  const csv = async (): Promise<string> => (await page.context().request.get('/pour/allergens.csv')).text();
  expect(await csv()).toMatch(/^"Venison loin.*not known.*label not checked: Redcurrant jelly$/m);
  await page.getByRole('link', { name: 'Redcurrant jelly' }).first().click();
  await page.getByRole('button', { name: 'Check its label' }).click();
  await page.getByRole('dialog').getByLabel('mustard').check();
  await keeps(page, 'ingredient.allergens', () =>
    page.getByRole('button', { name: 'Save', exact: true }).click(),
  );
  await expect(page.getByText('mustard').first()).toBeVisible();
  await page.goto('/pour/allergens');
  await expect(loin.getByText('not known')).toHaveCount(0);
  await expect(loin).toContainText('Redcurrant jelly');
  const answer = await page.context().request.get('/pour/allergens.pdf');
  const pdf = await getDocument({ data: new Uint8Array(await answer.body()), verbosity: 0 }).promise;
  const words = (await (await pdf.getPage(1)).getTextContent()).items
    .map((item) => (item as TextItem).str)
    .join(' ');
  expect(words).toContain('mustard');
  expect(words).not.toContain('not known');
  // Taken back, it is not known again.
  await page.getByRole('heading', { level: 1 }).click();
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await expect(loin.getByText('not known')).toHaveCount(4);
  await page.getByRole('link', { name: 'Pots instead of dishes' }).click();
  await expect(page.getByRole('row', { name: /^Trout-frame fumet/ })).toContainText('Trout frames');
});

test('where something is used: an ingredient from its page, a supplier and a vessel by what they are called', async ({
  page,
}) => {
  await open(page, '/pour/used');
  await takes(page.getByLabel('Find what is used'), 'venison bones', 'Venison bones');
  await expect(page.getByRole('heading', { name: 'Where Venison bones is used', level: 1 })).toBeVisible();
  const takers = page.getByRole('region', { name: 'Who takes it' });
  await expect(takers.getByRole('row', { name: /^Venison bone stock/ })).toContainText('8.00 kg');
  const plates = page.getByRole('region', { name: 'Dishes it ends up in' });
  await expect(plates.getByRole('link', { name: /^Venison loin/ })).toBeVisible();
  await page.goto('/buy/suppliers');
  const supplier = page.getByRole('table').getByRole('link').first();
  const name = await supplier.innerText();
  await supplier.click();
  await expect(page.getByRole('heading', { name: `Where ${name} is used`, level: 1 })).toBeVisible();
  await page.goto('/house/stove');
  await page.getByRole('link', { name: /^What is cooked in the Stockpot 36 l in a week/ }).click();
  await expect(page.getByText(/are cooked in it in a usual week/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'Who takes it' })).toContainText('Venison bone stock');
});
