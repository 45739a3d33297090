import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { TextItem } from 'pdfjs-dist/types/src/display/api';
import type { Page } from '@playwright/test';
import { expect, figure, keeps, more, open, openPot, test } from './kitchen';

const step = (page: Page, n: number) => page.getByLabel(`Step ${n}`, { exact: true });
const cost = (page: Page) => page.getByRole('button', { name: /, per litre: why\?$/ });

/** What a PDF says, its spaces as one. */
async function wordsOf(page: Page, path: string): Promise<string> {
  const answer = await page.context().request.get(path);
  expect(answer.status()).toBe(200);
  const pdf = await getDocument({ data: new Uint8Array(await answer.body()), verbosity: 0 }).promise;
  let words = '';
  for (let i = 1; i <= pdf.numPages; i += 1)
    words += (await (await pdf.getPage(i)).getTextContent()).items
      .map((item) => (item as TextItem).str)
      .join(' ');
  return words.replace(/\s+/g, ' ');
}

test('a version is named, laid beside the one that stands, and put back', async ({ page }) => {
  await openPot(page, 'Trout velouté');
  const price = await figure(cost(page));
  await step(page, 2).fill('reduce by half');
  await keeps(page, 'recipe.sheet', () => step(page, 2).press('Enter'));
  await more(page, 'Versions');
  const name = page.getByLabel('Version 1 is called');
  await name.fill('as my mother made it');
  await keeps(page, 'recipe.version.name', () => name.press('Enter'));
  await page.getByLabel(/^\d.*/, { exact: false }).first().check();
  const beside = page.getByRole('table').filter({ hasText: 'per litre, ingredients' });
  await expect(beside).toContainText('as my mother made it');
  // The figures are those of the sheet as it stood.
  const then = beside
    .getByRole('row', { name: /^per litre, ingredients/ })
    .getByRole('cell')
    .nth(1);
  expect(await figure(then)).toBe(price);
  const was = page.getByRole('region', { name: 'as my mother made it' });
  await expect(was).toContainText('then “reduce to 0.6 of it”, now “reduce by half”');
  await expect(was).toContainText('Sorrel sauce');
  await keeps(page, 'recipe.sheet', () => was.getByRole('button', { name: /^Restore this version/ }).click());
  await expect(was.getByText('✓ restored')).toBeVisible();
  await page.reload();
  await expect(name).toHaveValue('as my mother made it');
  await page.getByRole('link', { name: 'Back to the sheet' }).click();
  await expect(step(page, 2)).toHaveValue('reduce to 0.6 of it');
  expect(await figure(cost(page))).toBe(price);
});

test('two ways of one line stand in the sheet, cost beside each other, and one is this house’s', async ({
  page,
}) => {
  await openPot(page, 'Trout velouté');
  const price = await figure(cost(page));
  await step(page, 2).click();
  await page.getByRole('button', { name: 'More for step 2' }).click();
  await page.getByRole('button', { name: 'Another way of doing this' }).click();
  await page.getByLabel('What it is about').fill('the reduction');
  await page.getByLabel('This line is the way called').fill('now');
  await page.getByLabel('The other way is called').fill('all the way');
  await keeps(page, 'recipe.sheet', () =>
    page.getByRole('button', { name: 'Add the other way below' }).click(),
  );
  await expect(step(page, 3)).toBeFocused();
  await step(page, 3).fill('reduce to a quarter');
  await keeps(page, 'recipe.sheet', () => step(page, 3).press('Enter'));
  // The house's way is what it was; the other is dearer, and stands beside it.
  expect(await figure(cost(page))).toBe(price);
  const ways = page.getByRole('region', { name: 'Variants' });
  const other = ways.getByRole('row', { name: /^all the way/ });
  // It follows when the fingers rest.
  await expect.poll(() => figure(other.getByRole('cell').last())).toBeGreaterThan(price * 1.5);
  const dearer = await figure(other.getByRole('cell').last());
  await keeps(page, 'recipe.sheet', () => ways.getByLabel('all the way').check());
  await expect.poll(() => figure(cost(page))).toBe(dearer);
  await page.reload();
  await expect(ways.getByLabel('all the way')).toBeChecked();
  expect(await figure(cost(page))).toBe(dearer);
  // The price book and every plate are made from the way that is taken.
  await keeps(page, 'recipe.sheet', () =>
    ways.getByRole('button', { name: 'Keep only our own way' }).click(),
  );
  await expect(ways).toHaveCount(0);
  await expect(step(page, 2)).toHaveValue('reduce to a quarter');
  await page.getByRole('heading', { level: 1 }).click();
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await expect(ways.getByLabel('all the way')).toBeChecked();
});

test('a sheet is scaled to litres, to what came in and to covers, kept at that size, and cannot be to nonsense', async ({
  page,
}) => {
  await openPot(page, 'Juniper sauce');
  await page.getByRole('button', { name: 'Scale', exact: true }).click();
  const panel = page.getByRole('dialog');
  const much = panel.getByLabel('How much');
  await much.fill('0 l');
  await expect(panel.getByText(/more than 0 l is made/)).toBeVisible();
  await much.fill('a lot');
  await expect(panel.getByText(/“a lot l?” is not|a lot/)).toBeVisible();
  await panel.getByLabel('Scale to').selectOption('portions');
  await much.fill('0');
  await expect(panel.getByText('0 portions: from 1 to 100000.')).toBeVisible();
  await panel.getByLabel('Scale to').selectOption('covers');
  await much.fill('120');
  await expect(panel.getByText(/in the .*, the list times \d/)).toBeVisible();
  await expect(panel.getByText(/^Multiplying the list/)).toBeVisible();
  await panel.getByLabel('Scale to').selectOption('what came in');
  await panel.getByLabel('What came in').selectOption({ label: 'Shallot' });
  await panel.getByLabel('In which vessel').selectOption({ label: 'in the Stockpot 20 l' });
  await much.fill('900 g');
  await expect(panel.getByText(/in the Stockpot 20 l, the list times [23]\.\d+/)).toBeVisible();
  const perL = await figure(
    panel
      .getByRole('row', { name: /^per litre, ingredients/ })
      .getByRole('cell')
      .last(),
  );
  await keeps(page, 'recipe.sheet', () =>
    panel.getByRole('button', { name: 'Save the sheet at this size' }).click(),
  );
  await expect(page.getByLabel('Starts in')).toHaveValue('Stockpot 20 l');
  await expect(page.getByRole('combobox', { name: /^Step \d+$/ }).nth(1)).toHaveValue(/shallot/);
  // What was said it would cost is what it costs, to what figures on a scale allow.
  expect(Math.abs((await figure(cost(page))) / perL - 1)).toBeLessThan(0.01);
});

test('the sheet goes on the wall at a size, with dips, notes, cautions and allergens; and a cost card', async ({
  page,
}) => {
  await openPot(page, 'Juniper sauce');
  await step(page, 2).click();
  await page.getByRole('button', { name: 'More for step 2' }).click();
  await page.getByRole('button', { name: 'A note for the cook' }).click();
  await page.getByLabel('Note on step 2').fill('finely, Žofie');
  await keeps(page, 'recipe.sheet', () => page.keyboard.press('Enter'));
  await page.getByRole('button', { name: 'Scale', exact: true }).click();
  await page.getByLabel('How much').fill('5 l');
  await page.getByRole('link', { name: 'Cook or print' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Juniper sauce' })).toBeVisible();
  await expect(page.getByText('5.0 l in the', { exact: false })).toBeVisible();
  await page.getByLabel('Step 1 is done').check();
  const href = await page.getByRole('link', { name: 'PDF for the wall' }).getAttribute('href');
  const wall = (await wordsOf(page, href ?? '')).replace('Ž ofie', 'Žofie');
  for (const said of [
    'Juniper sauce',
    '5.0 l in the',
    'finely, Žofie',
    'cm',
    'dip read',
    'celery, milk, sulphites',
    'version 2',
    'Maren Holt',
  ])
    expect(wall).toContain(said);
  // The list is grown: three hundred grams of shallot are no more three hundred.
  expect(wall).not.toContain('300 g shallot');
  const card = await page.getByRole('link', { name: 'Cost card (PDF)' }).getAttribute('href');
  await page.getByRole('link', { name: 'Back to the sheet' }).click();
  const perL = await cost(page).innerText();
  const said = await wordsOf(page, card ?? '');
  for (const words of [
    'Juniper sauce',
    `${perL} per litre, ingredients`,
    'evaporated',
    'Venison loin, juniper sauce, celeriac',
  ])
    expect(said).toContain(words);
});

test('a line is filled in as a form, told what it comes to, and changed in it again', async ({ page }) => {
  await openPot(page, 'Trout velouté');
  await page.getByRole('button', { name: 'Use a form' }).click();
  const form = page.getByRole('dialog');
  await form.getByLabel('What is done').selectOption('reduce');
  await form.getByLabel('To', { exact: true }).fill('1/3');
  await expect(form.getByText('“reduce by two thirds”')).toBeVisible();
  await keeps(page, 'recipe.sheet', () => form.getByRole('button', { name: 'Add step' }).click());
  const last = page.getByRole('combobox', { name: /^Step \d+$/ }).last();
  await expect(last).toHaveValue('reduce by two thirds');
  await last.click();
  await page.getByRole('button', { name: /^More for step/ }).click();
  await page.getByRole('button', { name: 'Edit in a form' }).click();
  await form.getByLabel('Heat').selectOption('simmer');
  await keeps(page, 'recipe.sheet', () => form.getByRole('button', { name: 'Save step' }).click());
  await expect(last).toHaveValue('reduce by two thirds at a simmer');
});

test('columns follow what one wants to see, the chart has the steps on it, and a typed dip sets the reduction', async ({
  page,
}) => {
  await openPot(page, 'Trout velouté');
  await page.getByLabel('What the columns show').selectOption('time');
  await expect(page.getByRole('columnheader', { name: 'since the start' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('columnheader', { name: 'since the start' })).toBeVisible();
  await page.getByLabel('What the columns show').selectOption('usual');
  await page.getByRole('button', { name: 'Litres and cost along the time' }).click();
  await expect(page.locator('.apexcharts-svg')).toBeVisible();
  // The litre in any layer: each adds up to what the layer says beside it.
  const jug = page.getByRole('region', { name: 'One litre' });
  for (const [layer, name] of [
    ['energy', 'energy'],
    ['hands', 'labour'],
  ] as const) {
    await jug.getByLabel('What the litre shows').selectOption(layer);
    const said = page.getByRole('region', { name: 'Cost per litre' });
    const beside = await figure(
      said.locator('dt', { hasText: name }).locator('xpath=following-sibling::dd[1]'),
    );
    expect(await figure(jug.locator('b').first())).toBeCloseTo(beside, 2);
  }
  await step(page, 2).click();
  const dip = page.getByLabel('Stop at a dip of, cm');
  await dip.fill('11.1');
  await keeps(page, 'recipe.sheet', () => dip.press('Enter'));
  await expect(step(page, 2)).toHaveValue('reduce to a dip of 11.1 cm');
  await expect(page.getByText('11.1 cm').first()).toBeVisible();
});

test('the network goes while one writes: it is kept here and said so, and is there when it is back', async ({
  browser,
}) => {
  const page = await (await browser.newContext()).newPage();
  await openPot(page, 'Trout velouté');
  await step(page, 2).click();
  await page.waitForLoadState('networkidle');
  await page.context().setOffline(true);
  await step(page, 2).fill('reduce by half');
  await step(page, 2).press('Enter');
  await expect(
    page.getByText('no connection: saved on this device, sent when it is back').first(),
  ).toBeVisible();
  // Meanwhile somebody else changes another line.
  const other = await (await browser.newContext()).newPage();
  await openPot(other, 'Trout velouté');
  await step(other, 4).fill('bare simmer 25 min');
  await keeps(other, 'recipe.sheet', () => step(other, 4).press('Enter'));
  await page.context().setOffline(false);
  await expect(step(page, 4)).toHaveValue('bare simmer 25 min');
  await expect(step(other, 2)).toHaveValue('reduce by half');
  await other.reload();
  await expect(step(other, 2)).toHaveValue('reduce by half');
  await expect(step(other, 4)).toHaveValue('bare simmer 25 min');
});

test('a sheet is read on a phone and written on a tablet', async ({ browser }) => {
  for (const [width, height] of [
    [390, 844],
    [1024, 768],
  ] as const) {
    const page = await (await browser.newContext({ viewport: { width, height }, hasTouch: true })).newPage();
    await openPot(page, 'Juniper sauce');
    await step(page, 3).tap();
    const menu = page.getByRole('button', { name: 'More for step 3' });
    await expect(menu).toBeVisible();
    const box = await menu.boundingBox();
    expect(Math.min(box?.width ?? 0, box?.height ?? 0)).toBeGreaterThanOrEqual(44);
    await open(page, `${page.url()}/wall`);
    await expect(page.getByRole('checkbox', { name: 'Step 1 is done' })).toBeVisible();
  }
});

test('a key in one line changes the figures of others and draws none of their words again', async ({
  page,
}) => {
  await openPot(page, 'Smoked trout and spelt soup');
  const last = page.locator('.ledger tbody').last().locator('td.strong').first();
  const before = await last.innerText();
  const line = step(page, 1);
  await line.click();
  // What is asked when somebody begins to write has come, and what is said under the line in hand.
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => {
    const redrawn: string[] = [];
    Object.assign(window, { redrawn });
    new MutationObserver((all) => {
      for (const { target } of all)
        if (
          target instanceof HTMLInputElement &&
          target.matches('.ledger input') &&
          target !== document.activeElement
        )
          redrawn.push(target.getAttribute('aria-label') ?? '');
    }).observe(document, { subtree: true, attributes: true, childList: true });
  });
  await page.keyboard.press('Home');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type('1');
  await expect(last).not.toHaveText(before);
  expect(await page.evaluate(() => (window as unknown as { redrawn: string[] }).redrawn)).toEqual([]);
  // Out of sight too it follows, and anyone who scrolls there finds it as it is.
  const now = await last.innerText();
  await page.keyboard.press('Backspace');
  await expect(last).toHaveText(before);
  expect(now).not.toBe(before);
});
