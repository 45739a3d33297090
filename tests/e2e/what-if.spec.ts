import type { Locator, Page } from '@playwright/test';
import { expect, figure, keeps, more, open, tabTo, test } from './kitchen';

/** Makes a tray from nothing, by its name. */
async function newTray(page: Page, name: string): Promise<void> {
  await open(page, '/pour/what-if');
  await page.getByRole('button', { name: 'New what-if' }).click();
  await page.getByLabel('What the what-if is called').fill(name);
  await keeps(page, 'tray.keep', () => page.getByRole('button', { name: 'Save', exact: true }).click());
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

/** Takes what some words mean out of many: the field goes with it, for what was chosen stands on the tray. */
async function choose(field: Locator, words: string, name: string): Promise<void> {
  await field.fill(words);
  await field.page().getByRole('option', { name, exact: true }).first().waitFor();
  await field.page().getByRole('option', { name, exact: true }).first().click();
}

/** Presses Tab until a field has the focus. */
async function tabInto(field: Locator): Promise<void> {
  for (let i = 0; i < 60; i += 1) {
    if (await field.evaluate((e) => e === document.activeElement)) return;
    await field.page().keyboard.press('Tab');
  }
  throw new Error('the field was never reached');
}

/** Opens a plate by its name, and says where it is. */
async function openPlate(page: Page, name: string): Promise<string> {
  await open(page, '/pour');
  await page.getByRole('link', { name, exact: true }).click();
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
  return page.url();
}

const answer = (page: Page) => page.getByRole('complementary', { name: 'What it does' });
const rowOf = (page: Page, plate: string) => answer(page).getByRole('row', { name: new RegExp(`^${plate}`) });

test('bones a fifth dearer are followed to the dish that breaks, it is priced again, and all of it applied and taken back', async ({
  page,
}) => {
  await open(page, '/pour');
  await page.getByRole('link', { name: /^Venison loin/ }).click();
  await keeps(page, 'plate.amounts', () => page.getByRole('button', { name: 'Use this price' }).click());
  await expect(page.getByText('keeps 32 %')).toBeVisible();
  await newTray(page, 'Bones up');
  await expect(answer(page)).toContainText('0 dishes would break their target');
  await page.getByLabel('What to try').selectOption('price');
  await keeps(page, 'tray.keep', () =>
    choose(page.getByLabel('of which thing'), 'venison bones', 'Venison bones'),
  );
  const bones = page.getByRole('region', { name: 'Venison bones, price' });
  await bones.getByLabel('Venison bones, price, typed').fill('2000');
  await bones.getByLabel('Venison bones, price, typed').press('Tab');
  await expect(bones.getByText('2000 cannot be tried: from -95 to 1900.')).toBeVisible();
  await keeps(page, 'tray.keep', async () => {
    await bones.getByLabel('Venison bones, price, typed').fill('+20');
    await bones.getByLabel('Venison bones, price, typed').press('Enter');
  });
  await expect(answer(page)).toContainText('1 dish would break its target');
  await expect(answer(page).getByRole('row').nth(1)).toContainText('Venison loin');
  await expect(rowOf(page, 'Venison loin')).toContainText('over 32 %, new');
  await expect(page.getByRole('img', { name: /^Biggest changes: Venison loin/ })).toBeVisible();
  await page.reload();
  await expect(answer(page)).toContainText('1 dish would break its target');
  // Priced again on the same tray.
  await page.getByLabel('What to try').selectOption('menu price');
  await keeps(page, 'tray.keep', () =>
    choose(page.getByLabel('of which dish'), 'venison loin', 'Venison loin, juniper sauce, celeriac'),
  );
  const price = page.getByLabel('Venison loin, juniper sauce, celeriac, on the menu, typed');
  await keeps(page, 'tray.keep', async () => {
    await price.fill('30');
    await price.press('Enter');
  });
  await expect(answer(page)).toContainText('0 dishes would break their target');
  const wouldCost = await figure(rowOf(page, 'Venison loin').getByRole('cell').nth(2));
  await keeps(page, 'tray.apply', () =>
    page.getByRole('button', { name: 'Apply to the price book' }).click(),
  );
  await expect(page.getByRole('heading', { name: 'Dishes', level: 1 })).toBeVisible();
  const loin = page.getByRole('row', { name: /^Venison loin/ });
  await expect(loin).toContainText('€30.00');
  expect(await figure(loin.getByRole('button'))).toBeCloseTo(wouldCost, 2);
  await page.getByRole('heading', { level: 1 }).click();
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await expect(loin).toContainText('€29.50');
  await page.getByRole('link', { name: 'What if', exact: true }).click();
  await page.getByRole('link', { name: 'Bones up' }).click();
  await expect(page.getByRole('heading', { name: 'Bones up', level: 1 })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Venison bones, price' })).toBeVisible();
  await keeps(page, 'tray.away', () => more(page, 'Delete'));
  await expect(page.getByText('Bones up is deleted.')).toBeVisible();
  await keeps(page, 'tray.away', () => page.getByRole('button', { name: 'Undo', exact: true }).click());
});

test('by keyboard alone: a what-if is filled, a slider moved with the arrows, and what it does read', async ({
  page,
}) => {
  await open(page, '/pour/what-if');
  await tabTo(page, 'New what-if');
  await page.keyboard.press('Enter');
  await tabInto(page.getByLabel('What the what-if is called'));
  await page.keyboard.type('Trout');
  await keeps(page, 'tray.keep', () => page.keyboard.press('Enter'));
  await expect(page.getByRole('heading', { name: 'Trout', level: 1 })).toBeVisible();
  await tabTo(page, 'What to try');
  await page.keyboard.type('all prices of a supplier');
  await tabTo(page, 'Which supplier');
  await keeps(page, 'tray.keep', () => page.keyboard.type('Tarn'));
  const slider = page.getByRole('slider', { name: 'All from Tarn Hatchery, prices' });
  await expect(slider).toBeVisible();
  const trout = rowOf(page, 'River trout');
  await expect(trout).toContainText('▲');
  const at10 = await figure(trout.getByRole('cell').nth(2));
  await tabTo(page, 'All from Tarn Hatchery, prices');
  await keeps(page, 'tray.keep', async () => {
    for (let i = 0; i < 10; i += 1) await page.keyboard.press('ArrowRight');
  });
  await expect(page.getByLabel('All from Tarn Hatchery, prices, typed')).toHaveValue('+20.0');
  const now = await figure(trout.getByRole('cell').nth(1));
  await expect.poll(() => figure(trout.getByRole('cell').nth(2))).toBeCloseTo(now + 2 * (at10 - now), 1);
  await tabTo(page, 'Remove All from Tarn Hatchery, prices');
  await keeps(page, 'tray.keep', () => page.keyboard.press('Enter'));
  await expect(page.getByText('Nothing in this what-if yet.')).toBeVisible();
});

test('by keyboard alone: a child’s dish is built and priced, a what-if applied and taken back, and the matrix read', async ({
  page,
}) => {
  await open(page, '/pour');
  await tabTo(page, 'Mutton broth, bread');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Mutton broth, bread', level: 1 })).toBeVisible();
  await tabTo(page, 'New portion size');
  await page.keyboard.press('Enter');
  await tabInto(page.getByLabel('What the dish is called'));
  await page.keyboard.type('Child’s mutton broth');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('How much of each portion')).toBeFocused();
  await keeps(page, 'plate.new', () => page.keyboard.press('Enter'));
  await expect(page.getByRole('heading', { name: 'Child’s mutton broth', level: 1 })).toBeVisible();
  await expect(page.getByLabel('Mutton broth, portion')).toHaveValue('175 ml');
  await tabTo(page, 'Price on the menu');
  await page.keyboard.type('6.50');
  await keeps(page, 'plate.amounts', () => page.keyboard.press('Enter'));
  await tabTo(page, 'What if');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Bones a fifth dearer', level: 1 })).toBeVisible();
  await tabTo(page, 'Apply to the price book');
  await keeps(page, 'tray.apply', () => page.keyboard.press('Enter'));
  const loin = page.getByRole('row', { name: /^Venison loin/ });
  await expect(loin).toContainText('€30.00');
  await tabTo(page, 'Undo my last change');
  await keeps(page, 'change.undo', () => page.keyboard.press('Enter'));
  await expect(loin).toContainText('€29.00');
  await tabTo(page, 'Allergens');
  await page.keyboard.press('Enter');
  // What the plate it follows carries, it carries.
  await expect(page.getByRole('row', { name: /^Child’s mutton broth/ })).toContainText('Celery');
  await page.reload();
  await expect(page.getByRole('row', { name: /^Child’s mutton broth/ })).toContainText('Celery');
});

test('a reduction, a portion, hands and one thing for another are tried, and the book stays as it is', async ({
  page,
}) => {
  await newTray(page, 'Of every kind');
  const kind = page.getByLabel('What to try');
  await kind.selectOption('line');
  await choose(page.getByLabel('of which pot'), 'juniper sauce', 'Juniper sauce');
  const lines = page.getByLabel('Which line');
  const reduce = lines.locator('option', { hasText: /^Reduce to/i }).first();
  await lines.selectOption({ label: (await reduce.textContent()) ?? '' });
  const line = page.getByRole('textbox', { name: 'A line of Juniper sauce', exact: true });
  await expect(line).toBeVisible();
  await line.fill('sing to it');
  await line.press('Enter');
  await expect(
    page.getByRole('region', { name: 'A line of Juniper sauce' }).getByRole('alert'),
  ).toBeVisible();
  await keeps(page, 'tray.keep', async () => {
    await line.fill('reduce by half');
    await line.press('Enter');
  });
  await expect(rowOf(page, 'Venison loin').getByRole('cell').nth(3)).toContainText(/[▲▼]/);
  await kind.selectOption('portion');
  await choose(page.getByLabel('in which dish'), 'river trout', 'River trout, sorrel sauce');
  await page.getByLabel('Which of its portions').selectOption({ label: 'Trout fillet, 150 g' });
  const portion = page.getByRole('textbox', {
    name: 'Trout fillet on River trout, sorrel sauce',
    exact: true,
  });
  await keeps(page, 'tray.keep', async () => {
    await portion.fill('120 g');
    await portion.press('Enter');
  });
  // Its sizes follow it.
  await expect(rowOf(page, 'Child’s trout').getByRole('cell').nth(3)).toContainText('▼');
  await kind.selectOption('hands');
  await keeps(page, 'tray.keep', () => page.getByRole('button', { name: 'Add to the what-if' }).click());
  await expect(answer(page)).toContainText('One of each dish, labour');
  await kind.selectOption('ingredient');
  await choose(page.getByLabel('instead of which ingredient'), 'celeriac', 'Celeriac');
  await keeps(page, 'tray.keep', async () => {
    await page.getByLabel('what in its place').fill('potato');
    await page.getByRole('option', { name: 'Potato', exact: true }).click();
  });
  await expect(page.getByText('Potato in place of Celeriac')).toBeVisible();
  await page.goto('/pour');
  await page.getByRole('link', { name: 'River trout, sorrel sauce' }).click();
  await expect(page.getByLabel('Trout fillet, portion')).toHaveValue('150 g');
});

test('a child’s dish follows the dish it is a size of but for what it says, taken back and after a reload', async ({
  page,
}) => {
  const parent = await openPlate(page, 'Whole trout off the bone, braised leek');
  await page.getByRole('button', { name: 'New portion size' }).click();
  const panel = page.getByRole('dialog');
  await panel.getByLabel('What the dish is called').fill('Small trout');
  await panel.getByLabel('How much of each portion').fill('a lot');
  await panel.getByRole('button', { name: 'Open the dish' }).click();
  await expect(panel.getByText(/“a lot” is not a number/)).toBeVisible();
  await panel.getByLabel('How much of each portion').fill('half');
  await keeps(page, 'plate.new', () => panel.getByRole('button', { name: 'Open the dish' }).click());
  await expect(page.getByRole('heading', { name: 'Small trout', level: 1 })).toBeVisible();
  await expect(page.getByText('Half of each portion of')).toBeVisible();
  await expect(page.getByLabel('Leek, portion')).toHaveValue('70 g');
  await page.getByLabel('Leek, portion').fill('40 g');
  await keeps(page, 'plate.amounts', () => page.getByLabel('Leek, portion').press('Enter'));
  await expect(page.getByText('differs from that dish, 70 g')).toBeVisible();
  await keeps(page, 'plate.lines', () => page.getByRole('button', { name: 'Remove Butter' }).click());
  await expect(page.getByLabel('Butter, portion')).toHaveCount(0);
  const small = page.url();
  await page.goto(parent);
  await expect(page.getByRole('region', { name: 'Sizes of it' })).toContainText('Small trout');
  await page.getByLabel('Potato, portion').fill('200 g');
  await keeps(page, 'plate.amounts', () => page.getByLabel('Potato, portion').press('Enter'));
  await page.getByLabel('Leek, portion').fill('160 g');
  await keeps(page, 'plate.amounts', () => page.getByLabel('Leek, portion').press('Enter'));
  await page.goto(small);
  await expect(page.getByLabel('Potato, portion')).toHaveValue('100 g');
  await expect(page.getByLabel('Leek, portion')).toHaveValue('40 g');
  await keeps(page, 'plate.amounts', () =>
    page.getByRole('button', { name: 'Let Leek follow that dish again' }).click(),
  );
  await expect(page.getByLabel('Leek, portion')).toHaveValue('80 g');
  await page.reload();
  await expect(page.getByLabel('Leek, portion')).toHaveValue('80 g');
  await page.getByRole('heading', { level: 1 }).click();
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await expect(page.getByLabel('Leek, portion')).toHaveValue('40 g');
  await keeps(page, 'plate.by-itself', () => page.getByRole('button', { name: 'Stop following' }).click());
  await expect(page.getByText('Half of each portion of')).toHaveCount(0);
  await expect(page.getByLabel('Leek, portion')).toHaveValue('40 g');
});

test('a sauce is finished in a small pot from its dish: the sheet opens, and the dish takes a batch of it', async ({
  page,
}) => {
  const plate = await openPlate(page, 'River trout, sorrel sauce');
  await page.getByRole('button', { name: 'How Sorrel sauce is served' }).click();
  await page.getByLabel('What the small pot is called').fill('Sorrel sauce, mounted');
  await keeps(page, 'plate.finish', () =>
    page.getByRole('button', { name: 'Finish it in a small pot' }).click(),
  );
  await expect(page.getByRole('heading', { name: 'Sorrel sauce, mounted', level: 1 })).toBeVisible();
  await expect(page.getByLabel('Step 1', { exact: true })).toHaveValue(/70 ml sorrel sauce/i);
  await page.goto(plate);
  await expect(page.getByLabel('Sorrel sauce, mounted, portion')).toHaveValue('1 batch');
  await page.getByLabel('Sorrel sauce, mounted, portion').fill('90 ml');
  await keeps(page, 'plate.amounts', () => page.getByLabel('Sorrel sauce, mounted, portion').press('Enter'));
  await expect(page.getByText(/in one dish is more than a batch makes/)).toBeVisible();
  await page.getByRole('heading', { level: 1 }).click();
  for (let i = 0; i < 2; i += 1) await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await expect(page.getByLabel('Sorrel sauce, portion')).toHaveValue('70 ml');
});

test('what happened is told by its kind and adds up; a dish is looked at closely', async ({ page }) => {
  await open(page, '/pour');
  await page.getByRole('link', { name: /^Venison loin/ }).click();
  await page.getByLabel('Venison loin, portion').fill('200 g');
  await keeps(page, 'plate.amounts', () => page.getByLabel('Venison loin, portion').press('Enter'));
  await more(page, 'Cost over time');
  await expect(page.getByRole('heading', { name: 'What changed', level: 1 })).toBeVisible();
  const loin = page.getByRole('row', { name: /^Venison loin/ });
  const cells = await loin.getByRole('cell').allInnerTexts();
  const money = (text: string): number => Number(text.replace('−', '-').replace(/[^\d.-]/g, ''));
  const [was = NaN, ...rest] = cells.slice(1).map(money);
  const is = rest.pop() ?? NaN;
  expect(was + rest.reduce((a, b) => a + b, 0)).toBeCloseTo(is, 1);
  expect(rest[3]).toBeGreaterThan(0.3);
  const closely = page.getByRole('complementary', { name: /^Venison loin.*closely$/ });
  await expect(closely.getByRole('link', { name: /changed by Maren Holt/ })).toBeVisible();
  await expect(closely.getByRole('img', { name: /^What Venison loin.* cost:/ })).toBeVisible();
  await page.getByLabel('Prices and tests').selectOption('then');
  await expect(page).toHaveURL(/known=then/);
  await page.getByRole('link', { name: 'River trout, sorrel sauce' }).click();
  await expect(page.getByRole('complementary', { name: /^River trout.*closely$/ })).toBeVisible();
  await page.goto('/pour/happened?from=2019-01-01&to=2019-03-01');
  await expect(page.getByText('nothing had been bought yet')).toBeVisible();
});

test('one switch counts hands and packaging in every cost, says so, and is asked why', async ({ page }) => {
  await open(page, '/pour');
  const jar = page.getByRole('row', { name: /^Jar of game gravy/ });
  const before = await figure(jar.getByRole('button'));
  await page.getByRole('button', { name: 'Showing: ingredients only' }).click();
  await page.getByRole('dialog').getByLabel('packaging').check();
  await page.getByRole('dialog').getByLabel('labour').check();
  await page.keyboard.press('Escape');
  await expect(
    page.getByRole('button', { name: 'Showing: ingredients, packaging and labour' }),
  ).toBeVisible();
  await expect.poll(() => figure(jar.getByRole('button'))).toBeGreaterThan(before + 2);
  const whole = await figure(jar.getByRole('button'));
  await jar.getByRole('button').click();
  await expect(page.getByRole('dialog')).toContainText('Packaging');
  await expect(page.getByRole('dialog')).toContainText('Labour');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Jar of game gravy' }).click();
  await expect(page.getByText('per dish, ingredients, packaging and labour')).toBeVisible();
  expect(await figure(page.getByRole('button', { name: 'Jar of game gravy, per dish: why?' }))).toBe(whole);
  await page.goto('/buy');
  await expect(
    page.getByRole('button', { name: 'Showing: ingredients, packaging and labour' }),
  ).toBeVisible();
  expect(await figure(page.getByRole('button', { name: 'Jar of game gravy: why?' }))).toBe(whole);
  await page.goto('/pot');
  await expect(page.getByText('per litre, ingredients, packaging and labour')).toBeVisible();
});
