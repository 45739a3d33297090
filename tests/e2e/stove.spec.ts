import type { Page } from '@playwright/test';
import { expect, figure, keeps, open, openPot, test } from './kitchen';

// The clock of a window is held for all of its browser.
test.use({ ownBrowser: true });

const atHand = (page: Page) => page.getByRole('region', { name: 'At hand' });
const keys = (page: Page) => page.getByRole('region', { name: 'A reading' });

/** Reads a figure by the large keys. */
async function read(page: Page, what: string, figures: string): Promise<void> {
  await keys(page).getByRole('button', { name: what, exact: true }).click();
  for (const key of figures) await keys(page).getByRole('button', { name: key, exact: true }).click();
  await expect(keys(page).getByLabel('Typed so far')).toContainText(figures);
  await keys(page).getByRole('button', { name: 'Save reading' }).click();
}

/** The instant the kitchen’s clock is held at. */
const HELD = Date.parse('2026-03-14T12:00:00.000Z');

/** The kitchen’s clock is held; a tablet’s is set by it, and goes on when a test says so. */
const at = (page: Page, minutes = 0): Promise<void> => page.clock.setFixedTime(HELD + minutes * 60_000);

/** Puts a sheet on that has been on for a while, and opens it. */
async function putOn(page: Page, words: string, name: string, vessel: string): Promise<void> {
  await at(page);
  await open(page, '/stove');
  await page.getByRole('button', { name: 'Start a batch' }).click();
  await page.getByLabel('Which sheet').fill(words);
  await page.getByRole('option', { name, exact: true }).click();
  await page.getByLabel('In which vessel').selectOption({ label: vessel });
  await page.getByLabel('Since when').selectOption({ label: '30 min ago' });
  await keeps(page, 'batch.start', () => page.getByRole('button', { name: 'Start', exact: true }).click());
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

test('the board shows every pot that is on with what it needs next, drawn to one scale', async ({ page }) => {
  await at(page);
  await open(page, '/stove');
  const pots = page.getByRole('list', { name: 'Batches on' });
  const base = pots.getByRole('link', { name: /^Reduced game base/ });
  await expect(base).toContainText(/left|now|over its time/);
  await expect(base).toContainText('reduce by two thirds');
  await expect(base.getByRole('img', { name: /^Rondeau 40 cm: \d.* l$/ })).toBeVisible();
});

test('a pot is put on from nothing, told of by touch alone, asked about what cannot be, ended, and all of it taken back', async ({
  page,
}) => {
  await putOn(page, 'reduced game base', 'Reduced game base', 'Stockpot 50 l');
  await expect(atHand(page)).toContainText('10 l venison bone stock');
  // Nobody told the tablet when it was poured.
  await page.getByLabel('When it happened').selectOption({ label: 'it was 20 min ago' });
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Done', exact: true }).click());
  await expect(page.getByLabel('When it happened')).toHaveValue('0');
  await expect(page.getByRole('region', { name: 'Log', exact: true })).toContainText('11:40');
  await expect(atHand(page)).toContainText('reduce by two thirds');
  await expect(atHand(page).getByRole('status')).toContainText(/left/);
  // 10 l in it: a dip that says more than ever went in is asked about, and counts for nothing till then.
  await keeps(page, 'batch.tell', () => read(page, 'Dip', '20.5'));
  const asked = page.getByRole('alert', { name: 'This reading is not possible' });
  await expect(asked).toContainText(/20\.5 cm below the rim is 2\d\.\d+ l.*at most 1\d\.\d+ l/);
  await page.reload();
  await expect(asked).toBeVisible();
  await keeps(page, 'batch.tell', () => asked.getByRole('button', { name: 'Misread' }).click());
  await expect(asked).toHaveCount(0);
  await keeps(page, 'batch.tell', () => read(page, 'Dip', '32.1'));
  await expect(page.getByRole('img', { name: /^Readings: .*9\.\d l/ })).toBeVisible();
  await page.getByLabel('A note').fill('the lid stays off');
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Save note' }).click());
  await keeps(page, 'change.undo', () => page.getByRole('button', { name: 'Undo my last change' }).click());
  await expect(page.getByText('the lid stays off')).toHaveCount(0);
  // Taken back by the key, and told again.
  await page.getByRole('heading', { level: 1 }).click();
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await expect(page.getByText('32.1 cm below the rim')).toHaveCount(0);
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+Shift+z'));
  await expect(page.getByText('32.1 cm below the rim')).toBeVisible();
  // Too much has gone: stock is poured to it, as a line of this batch alone.
  await page.getByRole('button', { name: 'Report a problem' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'too little', exact: true }).click();
  await page.getByLabel('Target litres').fill('11');
  const water = page.getByRole('region', { name: /^water 1\.\d+ l$/ });
  await expect(water).toContainText(/11\.0\d* l.*tastes (a little )?thinner.*costs €0\.00/);
  await keeps(page, 'batch.tell', () => water.getByRole('button', { name: 'Do this' }).click());
  await expect(page.getByText('too little: put right')).toBeVisible();
  await expect(page.getByRole('figure')).toContainText(/now 11\.0\d* l/);
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Done', exact: true }).click());
  await expect(atHand(page)).toContainText('How much is there?');
  await page.getByLabel(/^Litres made/).fill('3.3');
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Finish batch' }).click());
  await expect(page.getByRole('region', { name: 'How it ended' })).toContainText('3.30 l');
  await page.getByRole('link', { name: 'all batches' }).click();
  const row = page.getByRole('row', { name: /^Reduced game base .*3\.30/ });
  await expect(row).toContainText('3.30');
  await row.getByRole('link').click();
  await page.getByRole('button', { name: 'Delete batch (started by mistake)' }).click();
  await expect(page.getByRole('heading', { name: 'Stove', level: 1 })).toBeVisible();
  await expect(row).toHaveCount(0);
});

test('with the network gone readings are answered at once, kept in the browser and sent in order when it is back', async ({
  browser,
}) => {
  // A window of its own: that nobody answers is said on the console of the other.
  const page = await (await browser.newContext()).newPage();
  const context = page.context();
  await putOn(page, 'duck broth', 'Duck broth', 'Stockpot 50 l');
  await expect(atHand(page)).toContainText('1 of');
  await page.waitForLoadState('networkidle');
  await context.setOffline(true);
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(atHand(page)).toContainText('2 of');
  await read(page, 'Degrees', '24');
  await expect(page.getByText('24 °C').first()).toBeVisible();
  await expect(page.getByRole('status').filter({ hasText: 'saved on this device' })).toContainText(
    '2 saved on this device',
  );
  await context.setOffline(false);
  await expect(page.getByRole('status').filter({ hasText: 'saved on this device' })).toHaveCount(0, {
    timeout: 30_000,
  });
  await page.reload();
  await expect(atHand(page)).toContainText('2 of');
  const told = page.getByRole('region', { name: 'Log', exact: true }).getByRole('listitem');
  await expect(told).toHaveCount(2);
  await expect(told.first()).toContainText('24 °C');
  expect(await figure(page.getByText(/^\d+ of \d+$/))).toBe(2);
  await page.getByRole('button', { name: 'Delete batch (started by mistake)' }).click();
});

test('from its sheet a pot is put on as it is written there', async ({ page }) => {
  await at(page);
  await openPot(page, 'Duck broth');
  await page.getByRole('link', { name: 'Start a batch' }).click();
  await expect(page.getByLabel('Which sheet')).toHaveValue('Duck broth');
  await page.getByLabel('In which vessel').selectOption({ label: 'Stockpot 50 l' });
  await keeps(page, 'batch.start', () => page.getByRole('button', { name: 'Start', exact: true }).click());
  await expect(page.getByRole('heading', { name: 'Duck broth', level: 1 })).toBeVisible();
  await page.getByRole('heading', { level: 1 }).click();
  await keeps(page, 'change.undo', () => page.keyboard.press('Control+z'));
  await page.goto('/stove');
  await expect(page.getByRole('list', { name: 'Batches on' })).not.toContainText('Duck broth');
});

test('the clock of cooling starts when the heat goes off: by the limits of the house, with readings, and a record', async ({
  page,
}) => {
  await at(page);
  await open(page, '/house');
  await page.getByLabel('A pot is cooled to').fill('60 °C in 0.2 h; 21 °C in 2 h; 5 °C in 6 h');
  await keeps(page, 'kitchen.settings', () =>
    page
      .locator('form')
      .filter({ has: page.getByLabel('A pot is cooled to') })
      .getByRole('button', { name: 'Save', exact: true })
      .click(),
  );
  await putOn(page, 'reduced game base', 'Reduced game base', 'Stockpot 50 l');
  await page.getByLabel('When it happened').selectOption({ label: 'it was 20 min ago' });
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Done', exact: true }).click());
  await page.getByLabel('When it happened').selectOption({ label: 'it was 15 min ago' });
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Heat off' }).click());
  const cooling = page.getByRole('region', { name: 'Cooling' });
  await expect(cooling).toContainText('heat off since 11:45');
  await keeps(page, 'batch.tell', () => read(page, 'Degrees', '80'));
  // A large pot that nobody helps: it is said before it is late, with what people usually do.
  await expect(cooling.getByRole('alert').filter({ hasText: '21 °C' })).toContainText(
    /21 °C by 13:45: in .* too late/,
  );
  // Past a limit of the house nothing is put right any more: only its own plan has a word.
  await expect(cooling.getByRole('alert').filter({ hasText: '60 °C' })).toContainText(
    '60 °C by 11:57: past the limit of this house, and not measured there',
  );
  await expect(page.getByRole('button', { name: 'Report a problem' })).toHaveCount(0);
  await expect(cooling).toContainText('trays no deeper than 5 cm');
  await page.reload();
  await expect(cooling).toContainText('too late');
  await page.getByRole('link', { name: 'Record to print' }).click();
  await expect(page.getByRole('row', { name: /12:00.*15 min.*80/ })).toBeVisible();
  await expect(page.getByText('21 °C within 2 h, by 13:45: not read there')).toBeVisible();
});

test('a pot whose line is at its end rings until somebody has heard it, on the board and at the pot', async ({
  page,
}) => {
  // What a browser sounds is not heard here: that it was asked to is counted.
  await page.addInitScript(() => {
    const real = OscillatorNode.prototype.start;
    Object.assign(window, { rung: 0 });
    OscillatorNode.prototype.start = function start(this: OscillatorNode, when?: number) {
      Object.assign(window, { rung: (window as unknown as { rung: number }).rung + 1 });
      return real.call(this, when);
    };
  });
  const rung = () => page.evaluate(() => (window as unknown as { rung: number }).rung);
  await page.clock.setFixedTime(HELD);
  await open(page, '/stove');
  const alarm = page.getByRole('alert', { name: 'Alarms' });
  await expect(page.getByText('10 min left')).toBeVisible();
  await expect(alarm).toHaveCount(0);
  expect(await rung()).toBe(0);
  await page.clock.setFixedTime(HELD + 12 * 60_000);
  await page.reload();
  await expect(alarm).toContainText(/Leek and oat soup: simmer 30 min lid ajar: its time is over/);
  await expect.poll(rung).toBeGreaterThan(0);
  await alarm.getByRole('button', { name: 'Mute here' }).click();
  await page.reload();
  await expect(alarm).toBeVisible();
  await expect(alarm.getByRole('button', { name: 'Sound on' })).toBeVisible();
  expect(await rung()).toBe(0);
  await alarm.getByRole('button', { name: 'Sound on' }).click();
  await expect.poll(rung).toBeGreaterThan(0);
  await alarm.getByRole('link', { name: 'Leek and oat soup' }).click();
  await expect(page.getByRole('heading', { name: 'Leek and oat soup', level: 1 })).toBeVisible();
  await expect(alarm).toBeVisible();
  await alarm.getByRole('button', { name: 'Heard' }).click();
  await expect(alarm).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Leek and oat soup', level: 1 })).toBeVisible();
  await expect(page.getByText(/over its time/)).toBeVisible();
  await expect(alarm).toHaveCount(0);
});

test('a pot is left for the night by the rule of the house: how it will stand, the water it wants, told and taken back', async ({
  page,
}) => {
  await at(page);
  await open(page, '/stove');
  await page
    .getByRole('link', { name: /Venison bone stock/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Venison bone stock', level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Leave overnight' }).click();
  const panel = page.getByRole('dialog', { name: 'Left overnight' });
  await expect(panel.getByLabel('Staff back at')).toHaveValue('06:00');
  await expect(panel.getByText(/At 06:00 it should stand at/)).toBeVisible();
  await expect(panel.getByRole('alert')).toContainText('does not allow this overnight');
  const night = await panel.locator('b.fig').first().innerText();
  await panel.getByLabel('Staff back at').fill('15:00');
  await expect(panel.getByText(/At 15:00 it should stand at/)).toBeVisible();
  await expect(panel.locator('b.fig').first()).not.toHaveText(night);
  await keeps(page, 'batch.tell', () => panel.getByRole('button', { name: 'Leave it anyway' }).click());
  await expect(page.getByText('Left overnight, until 15:00.')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Left overnight, until 15:00.')).toBeVisible();
  await keeps(page, 'batch.take-back', () =>
    page.getByRole('button', { name: 'Undo: left overnight' }).click(),
  );
  await expect(page.getByText('Left overnight, until 15:00.')).toHaveCount(0);
});

test('a pot that may stand lower is turned down for the night, by what the house lets stand, and is more in the morning for it', async ({
  page,
}) => {
  await at(page);
  await open(page, '/stove');
  await page
    .getByRole('link', { name: /Reduced game base/ })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: 'Reduced game base', level: 1 })).toBeVisible();
  await page.getByRole('button', { name: 'Leave overnight' }).click();
  const panel = page.getByRole('dialog', { name: 'Left overnight' });
  const flame = panel.getByRole('group', { name: 'The flame' });
  await expect(flame.getByRole('button', { name: 'Turn it down to bare simmer' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await panel.getByLabel('Staff back at').fill('12:40');
  const stands = panel.locator('b.fig').first();
  await expect(panel.getByText(/At 12:40 it should stand at/)).toBeVisible();
  await expect(panel.getByRole('alert')).toHaveCount(0);
  const down = await figure(stands);
  await flame.getByRole('button', { name: 'As it stands' }).click();
  await expect(panel.getByRole('alert')).toContainText('does not allow this overnight');
  await expect.poll(() => figure(stands)).toBeLessThan(down);
  await flame.getByRole('button', { name: 'Turn it down to bare simmer' }).click();
  await keeps(page, 'batch.tell', () =>
    panel.getByRole('button', { name: 'Turned down to bare simmer and left' }).click(),
  );
  const what = page.getByRole('region', { name: 'Log', exact: true });
  await expect(what).toContainText('left overnight, turned down to bare simmer');
  await page.reload();
  await expect(what).toContainText('left overnight, turned down to bare simmer');
  await keeps(page, 'batch.take-back', () =>
    page.getByRole('button', { name: /^Undo: left overnight/ }).click(),
  );
  await expect(what).not.toContainText('left overnight');
});

test('a dip of a pot that is cold is read as it stands then, and a chilled spoonful says how it sets', async ({
  page,
}) => {
  await putOn(page, 'reduced game base', 'Reduced game base', 'Stockpot 50 l');
  await page.getByLabel('When it happened').selectOption({ label: 'it was 20 min ago' });
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Done', exact: true }).click());
  await expect(page.getByRole('figure')).toContainText(/now \d+\.\d+ l/);
  const what = page.getByRole('region', { name: 'Log', exact: true });
  const cold = keys(page).getByRole('button', { name: 'it is cold' });
  await expect(cold).toHaveAttribute('aria-pressed', 'false');
  await cold.click();
  await expect(cold).toHaveAttribute('aria-pressed', 'true');
  await keeps(page, 'batch.tell', () => read(page, 'Dip', '32.1'));
  await expect(what).toContainText('32.1 cm below the rim, at 20 °C');
  // Off the heat it cools: what it has cooled to is what a dip is read at, unless somebody says otherwise.
  await keeps(page, 'batch.tell', () => page.getByRole('button', { name: 'Heat off' }).first().click());
  await expect(keys(page).getByRole('button', { name: /^cooled to \d+ °C$/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await keys(page).getByRole('button', { name: '°Bx', exact: true }).click();
  await keeps(page, 'batch.tell', () => keys(page).getByRole('button', { name: 'wobbles' }).click());
  await expect(what).toContainText('a chilled spoonful wobbles');
  await page.reload();
  await expect(what).toContainText('a chilled spoonful wobbles');
  await expect(what).toContainText('32.1 cm below the rim, at 20 °C');
});
