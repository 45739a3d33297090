import { here } from '../helpers/here';
import { expect, keeps, open, test } from './kitchen';
import type { Page } from '@playwright/test';

// The clock of a window is held for all of its browser.
test.use({ ownBrowser: true });

const HELD = Date.parse('2026-03-14T12:00:00.000Z');
const atHand = (page: Page) => page.getByRole('region', { name: 'At hand' });
const told = (page: Page) => page.getByRole('region', { name: 'Log', exact: true });
const panel = (page: Page) => page.getByRole('dialog');

/** Puts a sheet on that has been on for a while, in a vessel that is free. */
async function putOn(page: Page, words: string, name: string): Promise<void> {
  await page.clock.setFixedTime(HELD);
  await open(page, '/stove');
  await page.getByRole('button', { name: 'Start a batch' }).click();
  await page.getByLabel('Which sheet').fill(words);
  await page.getByRole('option', { name, exact: true }).click();
  await page.getByLabel('In which vessel').selectOption({ label: 'Stockpot 50 l' });
  await page.getByLabel('Since when').selectOption({ label: '30 min ago' });
  await keeps(page, 'batch.start', () => page.getByRole('button', { name: 'Start', exact: true }).click());
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

test('what the pots teach is held back, an outlier left out, accepted, seen after a reload, and undone', async ({
  page,
}) => {
  await page.clock.setFixedTime(HELD);
  await open(page, '/stove');
  await page.getByRole('link', { name: 'Learned from batches' }).click();
  await expect(page.getByRole('region', { name: 'How often the forecast was right' })).toContainText(
    /was inside it in \d+ of 16, the final litres in \d+ of 30/,
  );
  const stock = page.getByRole('region', { name: 'Stockpot 36 l, bare simmer, no lid' });
  await expect(page.getByText('Nothing changes until you accept it.')).toBeVisible();
  await expect(stock).toContainText('In use: the standard value.');
  await expect(stock.locator('summary')).toContainText('one is far off: was it left to boil?');
  await stock.locator('summary').click();
  const far = stock.getByRole('row').filter({ hasText: 'far from the others' });
  await expect(far).toContainText('Duck broth');
  await keeps(page, 'batch.tell', () => far.getByRole('button', { name: 'Leave out' }).click());
  await expect(stock.getByRole('img')).toHaveAttribute('aria-label', /does not count: left out/);
  const moved = stock.getByRole('row').filter({ hasText: 'Venison bone stock' }).first();
  await expect(moved).toContainText(/10\.39 → 1\d\.\d\d/);
  await keeps(page, 'batch.learn', () => stock.getByRole('button', { name: /^Use 0\.\d\d$/ }).click());
  await expect(stock).toContainText(/In use: 0\.\d\d\./);
  await page.reload();
  await expect(stock).toContainText(/In use: 0\.\d\d\./);
  await keeps(page, 'change.undo', () => page.getByRole('button', { name: 'Undo my last change' }).click());
  await expect(stock).toContainText('In use: the standard value.');
  await stock.locator('summary').click();
  await keeps(page, 'batch.take-back', () => stock.getByRole('button', { name: 'Count it again' }).click());
  await expect(stock.getByRole('row').filter({ hasText: 'far from the others' })).toContainText('Duck broth');
});

test('done differently, boiled over, and the wrong thing in: each a line of this batch alone, and taken back', async ({
  page,
}) => {
  await putOn(page, 'reduced game base', 'Reduced game base');
  await page.getByRole('button', { name: 'Done differently' }).click();
  const line = page.getByLabel('The line as it was done');
  await expect(line).toHaveValue(/10 l/);
  await line.fill('9 l of something else');
  await expect(panel(page)).toContainText('There is no ingredient or recipe');
  await line.fill('8 l venison bone stock');
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Save', exact: true }).click());
  await expect(atHand(page)).toContainText('8 l venison bone stock');
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Done', exact: true }).click());
  await expect(page.getByRole('figure')).toContainText(/now 8\.\d+ l|now 7\.9\d* l/);

  await page.getByRole('button', { name: 'Report a problem' }).click();
  await panel(page).getByRole('button', { name: 'boiled over' }).click();
  await page.getByLabel('Litres that are left').fill('90');
  await expect(panel(page)).toContainText('90 l is more than there was');
  await page.getByLabel('Litres that are left').fill('6');
  await expect(panel(page)).toContainText(/2\.\d+ l are gone, 2\d % of all that went in/);
  await keeps(page, 'batch.tell', () => panel(page).getByRole('button', { name: 'Save' }).click());
  await expect(page.getByRole('figure')).toContainText('now 6');

  await page.getByRole('button', { name: 'Report a problem' }).click();
  await panel(page).getByRole('button', { name: 'the wrong thing went in' }).click();
  await page.getByLabel('What went in, and how much').fill('500 ml whipping cream');
  await expect(panel(page)).toContainText(/It now contains .*milk/);
  await keeps(page, 'batch.tell', () => panel(page).getByRole('button', { name: 'Save' }).click());
  await expect(told(page)).toContainText('wrong thing in');
  await page.reload();
  await expect(told(page)).toContainText('boiled over: 6 l are left');
  await keeps(page, 'batch.take-back', () =>
    told(page)
      .getByRole('button', { name: /^Undo: boiled over/ })
      .click(),
  );
  await expect(page.getByRole('figure')).toContainText('now 8');
});

test('degrees are taken from a probe that follows the pot; pulled out, it says so and nothing is lost', async ({
  page,
}) => {
  const probe = `http://127.0.0.1:${here().probePort}`;
  await open(page, '/house');
  const field = page.getByLabel('The probe of the stove answers at');
  await field.fill(probe);
  await keeps(page, 'kitchen.settings', () =>
    page.locator('form').filter({ has: field }).getByRole('button', { name: 'Save', exact: true }).click(),
  );
  await putOn(page, 'reduced game base', 'Reduced game base');
  await page.getByLabel('When it happened').selectOption({ label: 'it was 30 min ago' });
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Done', exact: true }).click());
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  // What the stand-in follows is what the database says: nobody tells it how the kitchen calculates.
  await expect
    .poll(async () => (await page.request.post(`${probe}/follow?id=${id}&times=1.3`)).ok())
    .toBe(true);
  const { truth } = (await (await page.request.get(`${probe}/pots`)).json()) as {
    truth: { dipCm: number; celsius: number };
  };
  expect(truth.celsius).toBeGreaterThan(90);
  const keys = page.getByRole('region', { name: 'A reading' });
  await keys.getByRole('button', { name: 'Degrees', exact: true }).click();
  await keys.getByRole('button', { name: 'Use probe' }).click();
  await expect(keys.getByLabel('Typed so far')).toContainText(/9\d\.?\d?|100\.?\d?/);
  await keeps(page, 'batch.tell', () => keys.getByRole('button', { name: 'Save reading' }).click());
  await expect(told(page)).toContainText(/(9\d|100)(\.\d)? °C/);
  await page.request.post(`${probe}/as?manner=unplugged`);
  await keys.getByRole('button', { name: 'Use probe' }).click();
  await expect(keys).toContainText('The probe does not answer: is it plugged in?');
  await page.request.post(`${probe}/as?manner=steady`);
  await page.request.post(`${probe}/put?c=20`);
});

test('a batch is as large as what came in: its kilos typed, or taken from the scale', async ({ page }) => {
  await page.clock.setFixedTime(HELD);
  await open(page, '/stove');
  await page.getByRole('button', { name: 'Start a batch' }).click();
  await page.getByLabel('Which sheet').fill('duck broth');
  await page.getByRole('option', { name: 'Duck broth', exact: true }).click();
  const litres = page.getByLabel('Litres to be made');
  const before = Number(await litres.inputValue());
  const kilos = page.getByLabel(/that came in, kg$/);
  const bySheet = Number(((await kilos.getAttribute('placeholder')) ?? '').split(' ')[0]);
  await kilos.fill(String(bySheet * 2));
  expect(Number(await litres.inputValue()) / before).toBeCloseTo(2, 2);
  await page.request.post(`http://127.0.0.1:${here().scalePort}/put?g=3000`);
  await expect
    .poll(async () => {
      await page.getByRole('button', { name: 'Use scale' }).click();
      return kilos.inputValue();
    })
    .toMatch(/^(3|3\.00)$/);
  await expect.poll(async () => Number(await litres.inputValue()) / before).toBeCloseTo(3 / bySheet, 1);
  await expect(page.getByRole('button', { name: 'Start', exact: true })).toBeEnabled();
  await page.request.post(`http://127.0.0.1:${here().scalePort}/put?g=0`);
});

test('what stays in the sieve is learned of its sheet: it stands in its line, moves its litre, and is taken back', async ({
  page,
}) => {
  await page.clock.setFixedTime(HELD);
  await open(page, '/stove/learned');
  const sieve = page.getByRole('region', { name: 'Pepper passata: what stays in the sieve' });
  await expect(sieve).toContainText('In use: 16.0 %.');
  await sieve.locator('summary').click();
  await expect(sieve.getByRole('row').filter({ hasText: 'Pepper passata' }).first()).toContainText(
    /5\.55 → 5\.\d\d.*€\d\.\d\d → €\d\.\d\d/,
  );
  await keeps(page, 'batch.learn-times', () =>
    sieve.getByRole('button', { name: /^Use 2\d\.\d %$/ }).click(),
  );
  await expect(sieve).toContainText(/In use: 2\d\.\d %\./);
  await sieve.getByRole('link', { name: 'Pepper passata' }).first().click();
  await page.getByRole('link', { name: 'its sheet' }).click();
  await expect(page.getByRole('combobox', { name: /^Step \d+$/ }).nth(3)).toBeVisible();
  await expect
    .poll(() =>
      page
        .getByRole('combobox', { name: /^Step \d+$/ })
        .evaluateAll((all) =>
          all.map((x) => (x as HTMLInputElement).value).find((x) => x.startsWith('sieve')),
        ),
    )
    .toMatch(/^sieve, 2\d(\.\d)? % lost$/);
  await keeps(page, 'change.undo', () => page.getByRole('button', { name: 'Undo my last change' }).click());
  await open(page, '/stove/learned');
  await expect(sieve).toContainText('In use: 16.0 %.');
});

test('portions are counted as a batch ends: what each was is said, none that cannot be is taken, and it teaches', async ({
  page,
}) => {
  await page.clock.setFixedTime(HELD);
  await open(page, '/stove');
  await page
    .getByRole('link', { name: /Leek and oat soup/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Leek and oat soup', level: 1 })).toBeVisible();
  const counted = page.getByLabel(/^Portions served/);
  for (let left = 12; left > 0 && (await counted.count()) === 0; left -= 1)
    await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Done', exact: true }).click());
  await expect(atHand(page)).toContainText(/At the planned size: \d\d of 309 ml/);
  await counted.fill('2.5');
  await expect(atHand(page)).toContainText('2.5 portions cannot be: whole ones, from 1 to 100000.');
  await expect(page.getByRole('button', { name: 'Finish batch' })).toBeDisabled();
  await counted.fill('4');
  await expect(atHand(page)).toContainText(/ml each: was it counted right\?/);
  await counted.fill('20');
  await expect(atHand(page)).toContainText(/that is 3\d\d ml each\./);
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Finish batch' }).click());
  await expect(told(page)).toContainText('20 portions');
  await open(page, '/stove/learned');
  const full = page.getByRole('region', { name: 'Leek and oat soup: how full its portions are' });
  await expect(full.getByText('4 batches')).toBeVisible();
  await expect(full).toContainText('In use: 3.0 % over.');
});
