import type { Page } from '@playwright/test';
import { expect, figure, keeps, open, openPot, test } from './kitchen';

const step = (page: Page, n: number) => page.getByLabel(`Step ${n}`, { exact: true });
const cost = (page: Page) => page.getByRole('button', { name: /, per litre: why\?$/ });
const more = (page: Page, n: number) => page.getByRole('button', { name: `More for step ${n}` });
const item = (page: Page, name: RegExp) => page.getByRole('button', { name });
const texts = (page: Page): Promise<string[]> =>
  page
    .getByRole('combobox', { name: /^Step \d+$/ })
    .evaluateAll((all) => all.map((x) => (x as HTMLInputElement).value));

async function emptySheet(page: Page, name: string): Promise<void> {
  await open(page, '/pot/new');
  await page.getByLabel('What it is called').fill(name);
  await page.getByRole('button', { name: 'Open the sheet' }).click();
  await expect(page.getByRole('heading', { level: 1, name })).toBeVisible();
  await expect(page.getByLabel('Next step')).toBeVisible();
}

test('a sheet is written from nothing to a portion cost by keyboard alone, out of what is offered', async ({
  page,
}) => {
  await emptySheet(page, 'Quick leek cream');
  await page.getByLabel('Next step').focus();
  // By the first letters of any word, taken with the arrow and Enter, its consequence beside it.
  await page.keyboard.type('500 g lee');
  const offered = page.getByRole('listbox', { name: 'Lines it may be' }).getByRole('option').first();
  await expect(offered).toContainText('500 g leek');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(step(page, 1)).toHaveValue('500 g leek');
  await expect(page.getByLabel('Next step')).toBeFocused();
  await page.keyboard.type('2 l whol');
  await expect(page.getByRole('option').filter({ hasText: '2 l whole milk' })).toContainText(
    /2\.\d l, €\d\.\d\d per litre/,
  );
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(step(page, 2)).toHaveValue('2 l whole milk');
  await page.keyboard.type('simmer 20');
  await expect(page.getByRole('option', { name: /^simmer 20 min/ })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(step(page, 3)).toHaveValue('simmer 20 min');
  for (const line of ['purée', 'season to 0.6 % with salt', 'portion 250 ml'])
    await keeps(page, 'recipe.sheet', async () => {
      await page.keyboard.type(line);
      await page.keyboard.press('Enter');
    });
  await expect(page.getByText(/^a portion of 250 ml/)).toBeVisible();
  // Enter goes down a line, the arrows go about, Shift Enter puts a line in, Alt and an arrow moves it and keeps it in hand.
  await step(page, 1).focus();
  await page.keyboard.press('Enter');
  await expect(step(page, 2)).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await expect(step(page, 3)).toBeFocused();
  await page.keyboard.press('Shift+Enter');
  await expect(step(page, 4)).toBeFocused();
  await page.keyboard.type('200 g butter');
  await page.keyboard.press('Alt+ArrowUp');
  await expect(step(page, 3)).toHaveValue('200 g butter');
  await expect(step(page, 3)).toBeFocused();
  await page.keyboard.press('Alt+Shift+ArrowDown');
  await expect(step(page, 4)).toHaveValue('200 g butter');
  await expect(step(page, 4)).toBeFocused();
  await page.keyboard.press('Control+/');
  await expect(page.getByText('Switched off: it stays here and is not done.')).toBeVisible();
  // Several writes follow each other: it says that it is kept when the last has been answered, and not before.
  await expect(page.getByText('✓ saved', { exact: true })).toBeVisible();
  await page.reload();
  expect(await texts(page)).toEqual([
    '500 g leek',
    '2 l whole milk',
    '200 g butter',
    '200 g butter',
    'simmer 20 min',
    'purée',
    'season to 0.6 % with salt',
    'portion 250 ml',
  ]);
});

test('twelve lines pasted at once stand as twelve, behind the line they were pasted into', async ({
  page,
}) => {
  await emptySheet(page, 'Pasted soup');
  const lines = Array.from({ length: 12 }, (_, i) => (i === 11 ? 'simmer 30 min' : `${i + 1}00 g carrot`));
  await page.getByLabel('Next step').focus();
  await keeps(page, 'recipe.sheet', () =>
    page.evaluate(
      (text) => {
        const data = new DataTransfer();
        data.setData('text', text);
        document.activeElement?.dispatchEvent(
          new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
        );
      },
      `• ${lines.join('\n• ')}\n`,
    ),
  );
  await expect(page.getByRole('combobox', { name: /^Step \d+$/ })).toHaveCount(12);
  expect(await texts(page)).toEqual(lines);
  await page.reload();
  expect(await texts(page)).toEqual(lines);
});

test('a line is switched off to see what it does, noted on, doubled and taken out, each undone by the key', async ({
  page,
}) => {
  await openPot(page, 'Trout velouté');
  const before = await texts(page);
  const price = await figure(cost(page));
  await step(page, 2).click();
  await more(page, 2).click();
  await keeps(page, 'recipe.sheet', () => item(page, /^Switch it off/).click());
  await expect.poll(() => figure(cost(page))).not.toBe(price);
  await expect(page.getByText(/With it: \d.* l, €\d+\.\d\d per litre\./)).toBeVisible();
  await more(page, 2).click();
  await item(page, /^A note for the cook/).click();
  await page.getByLabel('Note on step 2').fill('watch it, it catches');
  await keeps(page, 'recipe.sheet', () => page.keyboard.press('Enter'));
  await page.reload();
  await expect(page.getByText('watch it, it catches')).toBeVisible();
  await page.getByRole('heading', { level: 1 }).click();
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await expect(page.getByText('watch it, it catches')).toHaveCount(0);
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await expect.poll(() => figure(cost(page))).toBe(price);
  expect(await texts(page)).toEqual(before);
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+Shift+z'));
  await expect.poll(() => figure(cost(page))).not.toBe(price);
});

test('two people in one sheet: lines arrive as they are written, and other lines of one’s own stay', async ({
  page,
  browser,
}) => {
  const other = await browser.newContext();
  const elsewhere = await other.newPage();
  await openPot(page, 'Trout velouté');
  await openPot(elsewhere, 'Trout velouté');
  const first = await texts(page);
  // One writes at the end, the other has a line half typed: both stand in both sheets.
  await step(page, 1).fill('3.5 l trout-frame fumet');
  await elsewhere.getByLabel('Next step').click();
  await elsewhere.keyboard.type('chill to 4 °C, takes 2 h');
  await keeps(elsewhere, 'recipe.sheet', () => elsewhere.keyboard.press('Enter'));
  await expect(page.getByRole('combobox', { name: /^Step \d+$/ })).toHaveCount(first.length + 1);
  await expect(page.getByText(/one line has come in from Maren Holt/)).toBeVisible();
  await expect(step(page, 1)).toHaveValue('3.5 l trout-frame fumet');
  await keeps(page, 'recipe.sheet', () => step(page, 1).press('Enter'));
  await expect(step(elsewhere, 1)).toHaveValue('3.5 l trout-frame fumet');
  expect(await texts(elsewhere)).toEqual(await texts(page));
  await other.close();
});

test('what would be too much is put right by a click, where a click can', async ({ page }) => {
  await openPot(page, 'Trout velouté');
  await page.getByLabel('Next step').click();
  await page.keyboard.type('season with 60 g salt');
  await page.keyboard.press('Enter');
  const warning = page.getByText(/above 1\.\d+ % most tasters call it too salty/);
  await expect(warning).toBeVisible();
  await keeps(page, 'recipe.sheet', () => page.getByRole('button', { name: /^Leave .* of it out$/ }).click());
  await expect(warning).toHaveCount(0);
});

test('what is typed on a sheet before its page has woken is not lost', async ({ page }) => {
  await open(page, '/pot');
  const sheet = await page
    .getByRole('link', { name: /^Duck broth/ })
    .first()
    .getAttribute('href');
  let wake: () => void = () => undefined;
  const asleep = new Promise<void>((woken) => {
    wake = woken;
  });
  await page.route('**/_next/static/**/*.js', async (route) => {
    await asleep;
    await route.continue();
  });
  await page.goto(sheet ?? '', { waitUntil: 'commit' });
  await page.getByLabel('Next step').click();
  await page.keyboard.type('500 g le');
  wake();
  await page.keyboard.type('ek', { delay: 300 });
  await expect(page.getByLabel('Next step')).toHaveValue('500 g leek');
  // It is awake when the sheet takes it.
  await expect(async () => {
    await page.keyboard.press('Enter');
    expect(await texts(page)).toContain('500 g leek');
  }).toPass({ timeout: 15_000 });
});
