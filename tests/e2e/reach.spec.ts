import { expect, figure, more, open, openPot, tabTo, takes, test, chooseFrom, keeps } from './kitchen';
import type { Page } from '@playwright/test';
import { axeFinds, clippedWhenLonger, tooWide } from './measures';

// The clock of a window is held for all of its browser.
test.use({ ownBrowser: true });

test('by keyboard alone: a price is changed, a pot opened, its cost read and asked why', async ({ page }) => {
  await open(page, '/buy');
  await tabTo(page, 'Butter, price of a pack');
  await page.keyboard.press('Control+A');
  await page.keyboard.type('80');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Butter, price of a pack')).toHaveValue('80.00');
  // A station's key is not a key while somebody types: leave the field first.
  await page.keyboard.press('Tab');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('p');
  await expect(page.getByRole('heading', { name: 'Pots' })).toBeVisible();
  await tabTo(page, 'White roux');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'White roux', level: 1 })).toBeVisible();
  const cost = page.getByRole('button', { name: 'White roux, per kilo: why?' });
  expect(await figure(cost)).toBeGreaterThan(4);
  await tabTo(page, 'White roux, per kilo: why?');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('Why €');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toBeHidden();
});

type Screen = readonly [name: string, go: (page: Page) => Promise<void>];

/** What can be open at each station, and how one gets there. Nothing here writes but where it says so. */
const SCREENS: Readonly<Record<string, readonly Screen[]>> = {
  'the doors': [
    ['the door', async (page) => void (await page.goto('/sign-in?out'))],
    ['nowhere', async (page) => void (await page.goto('/nowhere'))],
  ],
  Buy: [
    ['the price book', (page) => open(page, '/buy')],
    [
      'a refused yield',
      async (page) => {
        await open(page, '/buy');
        await page.getByLabel(/^Onion, usable per cent/).fill('130');
        await expect(page.getByRole('alert').filter({ hasText: '130 %' })).toBeVisible();
      },
    ],
    [
      'an ingredient',
      async (page) => {
        await open(page, '/buy');
        await page.getByRole('link', { name: 'Onion', exact: true }).click();
        await page.locator('.movement-chart').hover();
        await expect(page.locator('.apexcharts-svg')).toBeVisible();
        await chooseFrom(page.getByLabel('Use in place of Onion'), 'Celery', 'Celery');
        await expect(page.getByText(/^Brings celery/)).toBeVisible();
      },
    ],
    ['the larder', (page) => open(page, '/buy/larder')],
    ['the suppliers', (page) => open(page, '/buy/suppliers')],
  ],
  'Buy, invoices and lists': [
    ['the purchases', (page) => open(page, '/buy/purchases')],
    [
      'an invoice being written',
      async (page) => {
        await open(page, '/buy/purchases/new');
        await page.getByLabel('Line 1, article').click();
        await page.getByRole('option', { name: 'New item …' }).click();
        await page.getByRole('button', { name: 'Deposit' }).click();
        await page.getByRole('button', { name: 'Save', exact: true }).click();
        await expect(page.getByText(/^Not saved yet/)).toBeVisible();
      },
    ],
    [
      'a list’s columns',
      async (page) => {
        await open(page, '/buy/lists');
        await takes(page.getByLabel('Whose list'), 'Weirside Game');
        await page.getByLabel('Price list file').setInputFiles('demo/price-lists/weirside-game-latin1.csv');
        await expect(page.getByText('Which column is what?')).toBeVisible();
      },
    ],
    [
      'a list’s preview',
      async (page) => {
        await open(page, '/buy/lists');
        await takes(page.getByLabel('Whose list'), 'Weirside Game');
        await page.getByLabel('Price list file').setInputFiles('demo/price-lists/weirside-game-latin1.csv');
        await page.getByRole('button', { name: 'Preview' }).click();
        await page.getByRole('link', { name: /not known/ }).click();
        await expect(page.getByLabel(/^What is Pheasant/)).toBeVisible();
      },
    ],
  ],
  Trim: [
    ['the bench', (page) => open(page, '/trim')],
    [
      'a test being weighed',
      async (page) => {
        await open(page, '/trim');
        await page.getByRole('link', { name: /^Fennel.*Continue weighing/ }).click();
        await page.getByLabel('Part 2, weight', { exact: true }).fill('4 kg');
        await expect(page.getByText(/more than the start of 3\.10 kg/).first()).toBeVisible();
        await page.getByRole('button', { name: 'A second pass of the waste (mill, press)' }).click();
      },
    ],
    [
      'what tests have taught',
      async (page) => {
        await open(page, '/trim');
        await page.getByRole('link', { name: 'Leek', exact: true }).click();
        await page.getByRole('button', { name: 'Leave the test of 12 Mar out' }).click();
        await expect(page.getByLabel('Why it does not count')).toBeVisible();
      },
    ],
    ['where trim goes', (page) => open(page, '/trim/flow')],
    ['who pays', (page) => open(page, '/trim/schools')],
  ],
  Pot: [
    ['the pots', (page) => open(page, '/pot')],
    [
      'a pot sheet',
      async (page) => {
        await openPot(page, 'Juniper sauce');
        await page.getByLabel('Step 12', { exact: true }).click();
      },
    ],
    [
      'an answer to why',
      async (page) => {
        await openPot(page, 'White roux');
        await page.getByRole('button', { name: /, per (litre|kilo): why\?$/ }).click();
        await expect(page.getByRole('dialog')).toContainText('Why €');
      },
    ],
    [
      'lines offered under one being typed',
      async (page) => {
        await openPot(page, 'White roux');
        await page.getByLabel('Next step').click();
        await page.keyboard.type('simm');
        await expect(page.getByRole('listbox', { name: 'Lines it may be' })).toBeVisible();
      },
    ],
    ['a new pot', (page) => open(page, '/pot/new')],
    [
      'what a line misses',
      async (page) => {
        await openPot(page, 'White roux');
        await page.getByLabel('Next step').fill('40 g house mustard');
        await page.getByLabel('Next step').press('Enter');
        await page.getByRole('button', { name: 'New ingredient …' }).click();
        await expect(page.getByLabel('fat, g')).toBeVisible();
      },
    ],
  ],
  'Pot, a sheet': [
    [
      'a sheet at another size',
      async (page) => {
        await openPot(page, 'Venison bone stock');
        await page.getByRole('button', { name: 'Scale', exact: true }).click();
        await page.getByLabel('How much').fill('60 l');
        await expect(page.getByText(/^Multiplying the list/)).toBeVisible();
      },
    ],
    [
      'a line as a form',
      async (page) => {
        await openPot(page, 'White roux');
        await page.getByRole('button', { name: 'Use a form' }).click();
        await page.getByLabel('What is done').selectOption('brown');
      },
    ],
    [
      'versions of a sheet',
      async (page) => {
        await openPot(page, 'White roux');
        await more(page, 'Versions');
        await expect(page.getByLabel('Version 1 is called')).toBeVisible();
      },
    ],
    [
      'a sheet on the wall',
      async (page) => {
        await openPot(page, 'Juniper sauce');
        await page.getByRole('link', { name: 'Print', exact: true }).click();
        await expect(page.getByRole('link', { name: 'PDF for the wall' })).toBeVisible();
      },
    ],
  ],
  Pour: [
    ['the dishes', (page) => open(page, '/pour')],
    [
      'per dish',
      async (page) => {
        await open(page, '/pour');
        await page.getByRole('link', { name: /^Venison loin/ }).click();
        await expect(page.getByRole('heading', { level: 1 })).toContainText('Venison loin');
      },
    ],
    [
      'a size of a dish',
      async (page) => {
        await open(page, '/pour');
        await page.getByRole('link', { name: 'Child’s trout' }).click();
        await page.getByRole('heading', { name: 'Child’s trout', level: 1 }).waitFor();
      },
    ],
    ['a menu', (page) => open(page, '/pour/menus')],
    ['the allergens', (page) => open(page, '/pour/allergens')],
    ['where something is used', (page) => open(page, '/pour/used')],
  ],
  'Pour, maps and trials': [
    [
      'the family',
      async (page) => {
        await open(page, '/pour/family');
        await expect(page.getByRole('link', { name: 'Juniper sauce', exact: true })).toBeVisible();
        await page.getByText('The same as an outline').click();
      },
    ],
    [
      'a what-if',
      async (page) => {
        await open(page, '/pour/what-if');
        await page.getByRole('img', { name: /^Biggest changes/ }).waitFor();
      },
    ],
    ['what happened', (page) => open(page, '/pour/happened')],
  ],
  'Weigh up': [
    ['the questions', (page) => open(page, '/weigh')],
    ['the rules of thumb', (page) => open(page, '/weigh/rules')],
    [
      'a question laid out',
      async (page) => {
        await open(page, '/weigh');
        await page.getByRole('link', { name: 'Onions whole, or ready-cut' }).last().click();
        await page.getByText(/simulations of \d+ figures/).waitFor({ timeout: 60_000 });
      },
    ],
  ],
  Stove: [
    ['the stove', (page) => open(page, '/stove')],
    ['what the pots teach', (page) => open(page, '/stove/learned')],
    [
      'a pot being put on',
      async (page) => {
        await open(page, '/stove');
        await page.getByRole('button', { name: 'Start a batch' }).click();
        await page.getByLabel('Which sheet').fill('duck broth');
        await page.getByRole('option', { name: 'Duck broth' }).click();
        await page.getByLabel('In which vessel').waitFor();
      },
    ],
    [
      'a pot on the hob, with something wrong',
      async (page) => {
        // A pot is followed by the tablet's clock: it is the kitchen's.
        await page.clock.setFixedTime(Date.parse('2026-03-14T12:00:00.000Z'));
        await open(page, '/stove');
        await page.getByRole('link', { name: /^Reduced game base .*(left|now|over its time)/ }).click();
        await page.getByRole('button', { name: 'Report a problem' }).click();
        await page.getByRole('dialog').getByRole('button', { name: 'too salty', exact: true }).click();
        await page.getByRole('button', { name: 'Do this' }).first().waitFor();
      },
    ],
  ],
  'This kitchen': [
    ['who is in', (page) => open(page, '/people')],
    ['this kitchen', (page) => open(page, '/house')],
    [
      'a vessel measured with water',
      async (page) => {
        await open(page, '/house/stove');
        await page.getByRole('button', { name: 'New vessel' }).click();
        await page.getByText('Measure it with water instead').click();
        await expect(page.getByLabel('Reading 3, dip in cm')).toBeVisible();
      },
    ],
    [
      'vessels and hobs, and what was archived',
      async (page) => {
        await open(page, '/house/stove');
        await page
          .getByRole('button', { name: /^Archive / })
          .first()
          .click();
        await expect(page.getByText(/^What takes its place/)).toBeVisible();
      },
    ],
    [
      'what was changed',
      async (page) => {
        await open(page, '/pour');
        await page.getByRole('link', { name: /^Venison loin/ }).click();
        const price = page.getByLabel('Price on the menu');
        await price.fill('31');
        await keeps(page, 'plate.amounts', () => price.press('Enter'));
        await page.goto('/house/changes');
        await expect(page.getByRole('button', { name: /^Undo:/ })).toBeVisible();
      },
    ],
  ],
};
for (const [station, screens] of Object.entries(SCREENS))
  test(`${station}: axe finds nothing at any of its screens, none is wider than its window, and longer words are not clipped`, async ({
    page,
  }) => {
    test.setTimeout(30_000 * screens.length);
    for (const [name, go] of screens)
      await test.step(name, async () => {
        await go(page);
        expect
          .soft([
            name,
            ...(await axeFinds(page)),
            ...(await tooWide(page)),
            ...(await clippedWhenLonger(page)),
          ])
          .toEqual([name]);
      });
  });

test('on a phone the stations open from the bar, and a step is read whole', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await open(page, '/buy');
  const stations = page.getByRole('navigation', { name: 'Stations' });
  const pot = stations.getByRole('link', { name: /^Pot/ });
  await expect(pot).toBeHidden();
  await page.getByRole('button', { name: 'Stations' }).click();
  await pot.click();
  await page.getByRole('link', { name: 'Juniper sauce', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Juniper sauce', level: 1 })).toBeVisible();
  const line = page.getByLabel('Step 10', { exact: true });
  const cut = await line.evaluate((field) => field.scrollWidth - field.clientWidth);
  expect(cut).toBeLessThanOrEqual(0);
});

test('the first thing the Tab key finds goes past the bar to the work', async ({ page }) => {
  await open(page, '/buy');
  await page.keyboard.press('Tab');
  const skip = page.getByRole('link', { name: 'Skip to content' });
  await expect(skip).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('#work')).toBeFocused();
});

test('the main question of each screen is answered at 1280 by 800 without scrolling', async ({ page }) => {
  await openPot(page, 'Venison bone stock');
  await expect(page.getByRole('button', { name: /, per (litre|kilo): why\?$/ })).toBeInViewport({ ratio: 1 });
  await expect(page.getByLabel('Step 13', { exact: true })).toBeInViewport({ ratio: 1 });
  await expect(page.locator('.pot-drawing')).toBeInViewport({ ratio: 1 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth <= window.innerWidth)).toBe(true);
});

test('every answer has a policy, and what no browser sends is refused', async ({ page, request }) => {
  await openPot(page, 'Juniper sauce');
  const script = await page.locator('script[src*="/_next/static/"]').first().getAttribute('src');
  for (const path of ['/ready', '/sw.js', '/icon.svg', '/kitchen-file', script ?? '', '/pot/%00']) {
    const answer = await request.get(path);
    expect([path, answer.headers()['content-security-policy']]).toEqual([
      path,
      expect.stringContaining("frame-ancestors 'none'"),
    ]);
  }
  expect((await request.get('/pot/%00')).status()).toBe(400);
  expect((await request.fetch('/ready', { method: 'DELETE' })).status()).toBe(405);
  expect((await request.post('/sign-in', { form: { person: 'x' } })).status()).toBe(403);
});

test('nothing is asked of anything but this server', async ({ page }) => {
  const elsewhere: string[] = [];
  page.on('request', (r) => {
    if (new URL(r.url()).hostname !== '127.0.0.1' && !r.url().startsWith('data:')) elsewhere.push(r.url());
  });
  await openPot(page, 'Juniper sauce');
  await page.goto('/pour');
  expect(elsewhere).toEqual([]);
});
