import { expect, figure, keeps, openPot, takes, test } from './kitchen';
import type { Page } from '@playwright/test';

const cost = (page: Page) => page.getByRole('button', { name: /, per litre: why\?$/ });
const step = (page: Page, n: number) => page.getByLabel(`Step ${n}`, { exact: true });
const kept = (page: Page) => page.getByText('✓ saved');

test('a longer reduction gives fewer litres at more per litre, and is kept for everybody', async ({
  page,
  browser,
}) => {
  await openPot(page, 'Trout velouté');
  const before = await figure(cost(page));
  await step(page, 2).fill('reduce by half');
  await expect.poll(() => figure(cost(page))).toBeGreaterThan(before * 1.1);
  await expect(
    page
      .getByRole('row')
      .filter({ has: step(page, 2) })
      .getByRole('cell')
      .nth(1),
  ).toHaveText('2.0');
  await keeps(page, 'recipe.sheet', () => step(page, 2).press('Enter'));
  await expect(kept(page)).toBeVisible();

  const other = await browser.newContext();
  const elsewhere = await other.newPage();
  await openPot(elsewhere, 'Trout velouté');
  await expect(step(elsewhere, 2)).toHaveValue('reduce by half');
  expect(await figure(cost(elsewhere))).toBe(await figure(cost(page)));

  // Both say the same line otherwise: both stand there, and one is chosen.
  await step(page, 2).fill('reduce to 2.2 l');
  await step(elsewhere, 2).fill('reduce to 2.4 l');
  await keeps(elsewhere, 'recipe.sheet', () => step(elsewhere, 2).press('Enter'));
  const both = page.getByRole('alert').filter({ hasText: 'Changed here and by Maren Holt' });
  await expect(both).toContainText('Theirs: “reduce to 2.4 l”. Yours: “reduce to 2.2 l”.');
  await expect(step(page, 2)).toHaveValue('reduce to 2.2 l');
  // What else is changed meanwhile waits for that: it would write mine over theirs.
  await step(page, 4).fill('bare simmer 25 min');
  await step(page, 4).press('Enter');
  await expect(page.getByText('not saved: choose which version to keep')).toBeVisible();
  // It asks again how the sheet stands, and is told nothing new.
  for (let twice = 0; twice < 2; twice += 1) await elsewhere.waitForResponse(/\/now\?seen=/);
  await expect(step(elsewhere, 2)).toHaveValue('reduce to 2.4 l');
  await page.getByRole('button', { name: 'Take theirs' }).click();
  await expect(step(page, 2)).toHaveValue('reduce to 2.4 l');
  await expect(both).toHaveCount(0);
  await expect(step(elsewhere, 4)).toHaveValue('bare simmer 25 min');
  await other.close();
});

test('a change that leaves a daughter undone says which and why', async ({ page }) => {
  await openPot(page, 'Reduced game base');
  await step(page, 2).fill('reduce to 2 l');
  await step(page, 2).press('Enter');
  await expect(
    page.getByRole('alert').filter({
      hasText:
        /This leaves Juniper sauce undone. Juniper sauce, step 12: Reduce to body 0.65: the pot already stands at body \d/,
    }),
  ).toBeVisible();
  await step(page, 2).fill('reduce by two thirds');
  await step(page, 2).press('Enter');
  await expect(page.getByText('This leaves Juniper sauce undone')).toBeHidden();
});

test('what a pot cannot do is refused beside the step, stays typed and changes nothing', async ({ page }) => {
  await openPot(page, 'Trout velouté');
  const before = await step(page, 2).inputValue();
  await step(page, 2).fill('reduce to 9 l');
  await step(page, 2).press('Enter');
  const words = 'Reduce to 9.0 l: there are only 4.0 l in the pot.';
  await expect(page.getByRole('alert').filter({ hasText: words })).toBeVisible();
  await expect(step(page, 2)).toHaveValue('reduce to 9 l');
  await expect(page.getByText('not saved: fix the line marked above first')).toBeVisible();
  await page.reload();
  await expect(step(page, 2)).toHaveValue(before);
});

test('a mistyped line is flagged and the cost is incomplete, never lower, down to the dish', async ({
  page,
}) => {
  await openPot(page, 'Sorrel sauce');
  const before = await step(page, 2).inputValue();
  await step(page, 2).fill('400 mll whipping cream');
  await step(page, 2).press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: '“mll whipping cream”' })).toBeVisible();
  await expect(page.locator('.page-head').getByText('incomplete')).toBeVisible();
  await expect(kept(page)).toBeVisible();
  await page.goto('/pour');
  await expect(page.getByRole('row', { name: /^River trout/ })).toContainText('incomplete');
  await openPot(page, 'Sorrel sauce');
  await expect(step(page, 2)).toHaveValue('400 mll whipping cream');
  await step(page, 2).fill(before);
  await keeps(page, 'recipe.sheet', () => step(page, 2).press('Enter'));
  await expect(kept(page)).toBeVisible();
  await expect(cost(page)).toBeVisible();
});

test('the drawing follows the chosen step; the copper line is dragged down and litres, salt and cost answer', async ({
  page,
}) => {
  await openPot(page, 'Juniper sauce');
  await step(page, 5).click();
  await expect(page.getByText('After step 5 in the Sloping saucepan 28 cm')).toBeVisible();
  await step(page, 12).click();
  const before = await figure(cost(page));
  const handle = page.getByRole('slider');
  const dip = Number(await handle.getAttribute('aria-valuenow'));
  const box = await handle.locator('circle').boundingBox();
  if (!box) throw new Error('the handle is not there');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 + 4, { steps: 4 });
  await expect.poll(() => figure(cost(page))).toBeGreaterThan(before);
  await page.mouse.up();
  await expect(step(page, 12)).toHaveValue(/^reduce to a dip of \d+\.\d cm$/);
  expect(Number(await handle.getAttribute('aria-valuenow'))).toBeGreaterThan(dip);
  await expect(kept(page)).toBeVisible();
  const lower = await figure(cost(page));
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await expect.poll(() => figure(cost(page))).toBeLessThan(lower);
});

test('lines as people say them: understood, asked with lines to click, and never another thing', async ({
  page,
}) => {
  await openPot(page, 'White roux');
  const next = page.getByLabel('Next step');
  const say = async (line: string): Promise<void> => {
    await next.fill(line);
    await keeps(page, 'recipe.sheet', () => next.press('Enter'));
  };
  // Water is water, whatever else has water in its name.
  await say('2 l cold water');
  await expect(step(page, 4)).toHaveValue('2 l cold water');
  await expect(page.locator('.trouble')).toHaveCount(0);
  // A slip of the finger is offered as it was meant; a name that fits only roughly is asked.
  await say('simer 4 min');
  await expect(page.getByRole('alert').filter({ hasText: '“simer 4 min” is not understood' })).toBeVisible();
  await keeps(page, 'recipe.sheet', () => page.getByRole('button', { name: 'simmer 4 min' }).click());
  await expect(step(page, 5)).toHaveValue('simmer 4 min');
  await say('200 g mushrooms');
  await keeps(page, 'recipe.sheet', () =>
    page.getByRole('button', { name: '200 g Chestnut mushroom' }).click(),
  );
  await expect(page.locator('.trouble')).toHaveCount(0);
  await page.reload();
  await expect(step(page, 4)).toHaveValue('water 2 l');
  await expect(step(page, 5)).toHaveValue('simmer 4 min');
  await expect(step(page, 6)).toHaveValue('200 g chestnut mushroom');
});

test('a count is of the thing as bought; an older one says how it was meant, and is taken as bought by a click', async ({
  page,
}) => {
  await openPot(page, 'White roux');
  const next = page.getByLabel('Next step');
  await next.fill('3 bunches sorrel');
  await keeps(page, 'recipe.sheet', () => next.press('Enter'));
  await expect(page.getByText('usable 187 g of 240 g as bought')).toBeVisible();
  await step(page, 4).fill('3 bunches sorrel, counted trimmed');
  await keeps(page, 'recipe.sheet', () => step(page, 4).press('Enter'));
  await expect(page.getByText(/Counted as trimmed pieces.*240 g go in/)).toBeVisible();
  await page.reload();
  await keeps(page, 'recipe.sheet', () => page.getByRole('button', { name: 'Count as bought' }).click());
  await page.reload();
  await expect(step(page, 4)).toHaveValue('3 bunches sorrel');
});

test('what is typed stays while the help for an unknown name is still being fetched', async ({ page }) => {
  await openPot(page, 'White roux');
  let fetched = (): void => undefined;
  const held = new Promise<void>((resolve) => (fetched = resolve));
  await page.route(/_next\/static\/.*\.js/, async (route) => {
    await held;
    await route.continue();
  });
  const next = page.getByLabel('Next step');
  await next.fill('40 g house mustard');
  await next.press('Enter');
  await expect(page.getByText(/no ingredient or recipe called “house mustard”/)).toBeVisible();
  await next.click();
  await page.keyboard.type('simmer 4 min');
  await expect(next).toHaveValue('simmer 4 min');
  fetched();
  await expect(page.getByRole('button', { name: 'New ingredient …' })).toBeVisible();
  await expect(next).toHaveValue('simmer 4 min');
  await expect(next).toBeFocused();
});

test('a step is added, moved and taken out', async ({ page }) => {
  await openPot(page, 'White roux');
  await page.getByLabel('Next step').fill('simmer 4 min');
  await keeps(page, 'recipe.sheet', () => page.getByLabel('Next step').press('Enter'));
  await expect(step(page, 4)).toHaveValue('simmer 4 min');
  await step(page, 4).click();
  await expect(kept(page)).toBeVisible();
  // By keys alone: taken in hand, moved, put down.
  await page.getByRole('button', { name: 'Move step 4', exact: true }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Over place 4 of 4.')).toBeAttached();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText('Over place 3 of 4.')).toBeAttached();
  await keeps(page, 'recipe.sheet', () => page.keyboard.press('Space'));
  await expect(step(page, 3)).toHaveValue('simmer 4 min');
  await keeps(page, 'recipe.sheet', () => page.getByRole('button', { name: 'Remove step 3' }).click());
  await expect(page.getByLabel(/^Step \d/)).toHaveCount(3);
  await keeps(page, 'recipe.sheet', () => page.getByRole('button', { name: 'Undo', exact: true }).click());
  await expect(step(page, 3)).toHaveValue('simmer 4 min');
  await page.reload();
  await expect(page.getByLabel(/^Step \d/)).toHaveCount(4);
});

test('another vessel changes what boils away', async ({ page }) => {
  await openPot(page, 'Trout-frame fumet');
  const before = await figure(cost(page));
  await takes(page.getByLabel('Starts in'), 'Stockpot 36 l');
  await expect.poll(() => figure(cost(page))).not.toBe(before);
  await expect(page.locator('.verb-unread')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(() => figure(cost(page))).toBe(before);
});

test('a stock takes what its own last batch left: no loop, and its cost is asked at that sheet', async ({
  page,
}) => {
  await openPot(page, 'Trim broth');
  const before = await figure(cost(page));
  const next = page.getByLabel('Next step');
  await next.fill('1 l last batch of trim broth, at 9 a litre');
  await next.press('Enter');
  await expect.poll(() => figure(cost(page))).toBeGreaterThan(before + 0.5);
  await expect(kept(page)).toBeVisible();
  await page.reload();
  await cost(page).click();
  const why = page.getByRole('dialog');
  await expect(why).toContainText('at a fixed value of €9.00 per litre');
  // More than a batch leaves is refused beside the line, and what was typed stands.
  await openPot(page, 'Trim broth');
  await next.fill('draw off 6 l as sold');
  await next.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: 'it would eat itself up' })).toBeVisible();
  await expect(page.getByText('incomplete').first()).toBeVisible();
});

test('one pot in two vessels: split, turned to and combined, and the drawing says what stands beside', async ({
  page,
}) => {
  await openPot(page, 'Smoked trout and spelt soup');
  await step(page, 10).focus();
  await expect(
    page.getByText(/After step 10 in the Saucepan 24 cm.*Beside it, 5\.\d l in the Stockpot 20 l/),
  ).toBeVisible();
  // Left out, the grain stays in its saucepan: that cannot be portioned, and nothing is kept.
  await step(page, 12).focus();
  await page.getByRole('button', { name: 'Remove step 12' }).click();
  await expect(
    page.getByRole('alert').filter({ hasText: /stand in the Saucepan 24 cm: combine them first/ }),
  ).toBeVisible();
  await expect(page.getByText('not saved: fix the line marked above first')).toBeVisible();
  // Without the portioning it can be kept: counted with the soup, and told with what cures it.
  await step(page, 16).focus();
  await page.getByRole('button', { name: 'Remove step 16' }).click();
  await expect(
    page.getByText(/1\.\d l still stand in the Saucepan 24 cm.*Combine with the Saucepan 24 cm\./),
  ).toBeVisible();
  await expect(kept(page)).toBeVisible();
});
