import { execFile } from 'node:child_process';
import { readFile, writeFile } from 'node:fs/promises';
import { promisify } from 'node:util';
import type { Page } from '@playwright/test';
import { parse } from 'csv-parse/sync';
import { bandOf } from '../../src/core/uncertainty/bands';
import { expect, figure, keeps, more, open, openPot, tabTo, test } from './kitchen';

const answer = (page: Page) => page.locator('.fig-large.hot');
const rowOf = (page: Page, way: string) => page.getByRole('row', { name: new RegExp(`^${way}`) });
const drawn = (page: Page) => page.getByText(/^\d+ simulations of \d+ figures/);

test('a question that arises at a line is asked from there, kept, thrown away and restored', async ({
  page,
}) => {
  await openPot(page, 'Crab shell stock');
  await page.getByRole('combobox', { name: 'Step 12', exact: true }).click();
  await page.getByRole('button', { name: 'More for step 12' }).click();
  await page.getByRole('link', { name: 'Weigh up what could be done here' }).click();
  await page.getByRole('link', { name: 'Pressed, or not?' }).click();
  await expect(answer(page)).toHaveText('pressed');
  await expect(page.getByRole('heading', { name: 'Crab shell stock: pressed, or not?' })).toBeVisible();
  // Two litres side by side, the litres each way gives, and how sure that is.
  await expect(page.getByRole('img', { name: /^One litre:/ })).toHaveCount(2);
  await expect(drawn(page)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('is the cheapest of all in')).toContainText('100 of 100 simulations');
  await page.getByRole('button', { name: 'Save the question' }).click();
  await page.getByLabel('What the question is called').fill('Press the shells?');
  await keeps(page, 'question.keep', () => page.getByRole('button', { name: 'Save', exact: true }).click());
  await expect(page.getByRole('heading', { name: 'Press the shells?', level: 1 })).toBeVisible();
  await page.reload();
  await expect(answer(page)).toHaveText('pressed');
  await keeps(page, 'question.away', () => more(page, 'Delete'));
  await expect(page.getByRole('heading', { name: 'Weigh up', level: 1 })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Press the shells?' })).toHaveCount(0);
  await keeps(page, 'change.undo', () => page.getByRole('button', { name: 'Undo my last change' }).click());
  await page.reload();
  await expect(page.getByRole('link', { name: 'Press the shells?' })).toBeVisible();
});

test('a base that is bought is judged on the finished sauce: salt stops it, something mends it, and a price flips it', async ({
  page,
}) => {
  await open(page, '/weigh');
  await page.getByRole('link', { name: 'Game base, or one that is bought' }).first().click();
  await expect(answer(page)).toHaveText('Meat stock paste');
  await expect(rowOf(page, 'Beef stock, low-salt carton')).toContainText(
    /salt stops it at body 0\.1\d; \d+ g of Kneaded butter/,
  );
  await expect(rowOf(page, 'Beef stock, low-salt carton')).toContainText('adds gluten');
  await expect(rowOf(page, 'Second venison stock')).toContainText('10.3');
  await page.getByRole('radio', { name: 'Veal stock, chilled' }).check();
  await expect(page.getByRole('region', { name: 'Break-even price' })).toContainText(
    'per kilo of Veal stock, chilled',
  );
  await expect(drawn(page)).toBeVisible({ timeout: 60_000 });
  const next = page.getByRole('region', { name: 'What to measure next' });
  await expect(next).toContainText('gelatin');
  // Its bones give it: their own pot is put on, and read.
  await expect(next.getByRole('link', { name: 'cook Venison bone stock, and read its °Bx' })).toHaveAttribute(
    'href',
    /^\/stove\?put=[0-9a-f-]{36}$/,
  );
  // Many more draws, stopped half way: what has been drawn is shown as such.
  await page.getByRole('button', { name: 'Run ten thousand simulations' }).click();
  await page.getByRole('button', { name: 'Stop', exact: true }).click();
  await expect(
    page.getByText(/^stopped after \d+ of 10000 simulations: this is what they say/),
  ).toBeVisible();
});

test('a question is asked otherwise: other limits, something else beside it, and what cannot be typed is told', async ({
  page,
}) => {
  await open(page, '/weigh');
  await page.getByRole('link', { name: 'Game base, or one that is bought' }).first().click();
  await page.getByRole('button', { name: 'Edit the question' }).click();
  await page.getByLabel('Body, at least').fill('99');
  await expect(page.getByText('99 cannot be: from 0.02 to 12.')).toBeVisible();
  await page.getByLabel('Body, at least').fill('0.4');
  await page.getByRole('button', { name: 'Leave Second venison stock out' }).click();
  await page.getByLabel('Compare with something else').fill('duck broth');
  await page.getByRole('option', { name: /^Duck broth/ }).click();
  await expect(page.getByRole('button', { name: 'Leave Duck broth out' })).toBeVisible();
  await page.getByRole('button', { name: 'Ask', exact: true }).click();
  await expect(page.getByText('at body 0.4 or more')).toBeVisible();
  await expect(rowOf(page, 'Duck broth')).toBeVisible();
  await expect(rowOf(page, 'Second venison stock')).toHaveCount(0);
  await page.reload();
  await expect(page.getByText('at body 0.4 or more')).toBeVisible();
  // The kept one stands as it was until it is kept so.
  await page.getByRole('button', { name: 'Save this answer' }).click();
  await keeps(page, 'question.keep', () => page.getByRole('button', { name: 'Save', exact: true }).click());
  await expect(page.getByText('at body 0.4 or more')).toBeVisible();
  await page.waitForURL(/\/weigh\/[0-9a-f-]{36}$/);
  await keeps(page, 'change.undo', () => page.getByRole('button', { name: 'Undo my last change' }).click());
  await page.reload();
  await expect(page.getByText('at body 0.64 or more')).toBeVisible();
});

test('the draws of a browser are those of the server, digit for digit, as a table to take along', async ({
  page,
}) => {
  await open(page, '/weigh');
  await page.getByRole('link', { name: 'Onions whole, or ready-cut' }).first().click();
  await expect(drawn(page)).toBeVisible({ timeout: 60_000 });
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'All simulations as a table' }).click(),
  ]);
  const [head, ...rows] = parse(await readFile(await download.path(), 'utf8'), { bom: true }) as string[][];
  expect(head?.slice(0, 3)).toEqual(['draw', 'Onion: litres', 'Onion: salt %']);
  expect(rows).toHaveLength(1000);
  const file = test.info().outputPath('kitchen.json');
  await writeFile(file, await (await page.request.get('/kitchen-file')).text());
  const { stdout } = await promisify(execFile)('./halfpot', [
    ...['compare', file, 'Onions whole', '--draws', '1000', '--json'],
  ]);
  const { ways } = JSON.parse(stdout) as { ways: { name: string; costBand: Record<string, number> }[] };
  expect(ways).toHaveLength(2);
  for (const { name, costBand } of ways) {
    const at = head?.indexOf(`${name}: per litre`) ?? -1;
    const here = bandOf(Float64Array.from(rows, (row) => Number(row[at] || NaN)));
    for (const point of ['low', 'middle', 'high'] as const)
      expect(Math.abs((here?.[point] ?? NaN) / (costBand[point] ?? NaN) - 1)).toBeLessThan(1e-9);
  }
});

test('two versions of a sheet are weighed up and kept; how it was written before stays in the question', async ({
  page,
}) => {
  await openPot(page, 'Duck broth');
  await page.getByRole('combobox', { name: 'Step 7', exact: true }).click();
  await page.getByRole('button', { name: 'More for step 7' }).click();
  await keeps(page, 'recipe.sheet', () => page.getByRole('button', { name: /^Switch it off/ }).click());
  await more(page, 'Versions');
  await page.getByRole('checkbox').first().check();
  await page.getByRole('link', { name: /^Weigh them up/ }).click();
  await expect(page.getByRole('heading', { name: 'Duck broth: as it stands, or as it was?' })).toBeVisible();
  const before = rowOf(page, 'no\\. 1');
  await expect(before).toBeVisible();
  const [now, was] = [await rowOf(page, 'as it stands').innerText(), await before.innerText()];
  // Topped up or not: other litres.
  expect(now.replace('as it stands', '')).not.toBe(was.replace(/^no\. 1[^\t\n]*/, ''));
  await page.getByRole('button', { name: 'Save the question' }).click();
  await keeps(page, 'question.keep', () => page.getByRole('button', { name: 'Save', exact: true }).click());
  await page.waitForURL(/\/weigh\/[0-9a-f-]{36}$/);
  const kept = page.url();
  await openPot(page, 'Duck broth');
  await page.getByRole('combobox', { name: 'Step 7', exact: true }).click();
  await page.getByRole('button', { name: 'More for step 7' }).click();
  await keeps(page, 'recipe.sheet', () => page.getByRole('button', { name: /^Switch it on/ }).click());
  await page.goto(kept);
  const litres = async (way: string) =>
    figure(
      rowOf(page, way)
        .getByRole('cell', { name: /^[\d.]+$/ })
        .first(),
    );
  await expect(before).toBeVisible();
  expect(await litres('no\\. 1')).toBeCloseTo(await litres('as it stands'), 6);
});

test('in which pot: another is added, one left out, and asked again', async ({ page }) => {
  await open(page, '/weigh');
  await page.getByRole('link', { name: 'Bones in the wide pot, or the tall one' }).click();
  await expect(answer(page)).toHaveText('Stockpot 36 l');
  await page.getByRole('button', { name: 'Edit the question' }).click();
  await page.getByRole('button', { name: 'Leave Stockpot 36 l out' }).click();
  await page.getByRole('button', { name: 'Leave Bratt pan 60 l out' }).click();
  await page.getByRole('button', { name: 'Ask', exact: true }).click();
  await expect(page.getByText('Choose two pots to compare.')).toBeVisible();
  await page.getByLabel('Another pot').selectOption('Stockpot 36 l');
  await page.getByRole('button', { name: 'Ask', exact: true }).click();
  await page.waitForURL(/\/weigh\/ask/);
  await expect(rowOf(page, 'Bratt pan 60 l')).toHaveCount(0);
  await expect(answer(page)).toHaveText('Stockpot 36 l');
});

test('the bar says that an answer has changed, the list says what changed it, until somebody has seen it', async ({
  page,
}) => {
  await open(page, '/buy');
  const sign = page.getByRole('link', { name: '1 answer changed' });
  await sign.click();
  await expect(
    page.getByText(/the answer was Onion; now it is Onion, ready-cut\. What changed: Onion, ready-cut/),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Onions whole, or ready-cut' }).first().click();
  await expect(answer(page)).toHaveText('Onion, ready-cut');
  await keeps(page, 'question.seen', () => page.getByRole('button', { name: 'Seen' }).click());
  await page.goto('/buy');
  await expect(page.getByRole('heading', { name: 'Price book' })).toBeVisible();
  await expect(sign).toHaveCount(0);
});

test('by keyboard alone: a pot, one of its questions, the other way beside it', async ({ page }) => {
  await open(page, '/weigh');
  await tabTo(page, 'Which pot');
  await page.keyboard.type('crab bisque');
  await page.getByRole('option', { name: 'Crab bisque' }).waitFor();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'A second pass, or not?' })).toBeVisible();
  await tabTo(page, 'A second pass, or not?');
  await page.keyboard.press('Enter');
  await expect(answer(page)).toHaveText('with one, 35 % back');
  await expect(page.getByRole('region', { name: 'Break-even price' })).toBeVisible();
});

test('what does not arise by itself: something else in the place of a line, and another pot beside it', async ({
  page,
}) => {
  await open(page, '/weigh');
  await page.getByLabel('Which pot').fill('creamed chard');
  await page.getByRole('option', { name: 'Creamed chard' }).click();
  await page.getByLabel('In the place of which line').selectOption({ label: 'in the place of 2.4 kg chard' });
  await page.getByLabel('Replace with').fill('watercress');
  await page.getByRole('option', { name: /^Watercress/ }).click();
  await expect(answer(page)).toHaveText('Chard');
  await expect(rowOf(page, 'Watercress')).toBeVisible();
  await page.goBack();
  await page.getByLabel('Another pot beside it').fill('pale onion');
  await page.getByRole('option', { name: 'Pale onion soup' }).click();
  await expect(answer(page)).toHaveText('Pale onion soup');
  // A sheet that makes no litre with a cost says why, and wins nothing.
  await expect(page.getByRole('heading', { name: 'Creamed chard: which pot sheet?' })).toBeVisible();
});
