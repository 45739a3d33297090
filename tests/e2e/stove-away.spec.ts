import fs from 'node:fs';
import { createHash } from 'node:crypto';
import tls from 'node:tls';
import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { CHROMIUM, chromiumPath } from '../../tools/chromium';
import { here } from '../helpers/here';
import { expect, test } from './kitchen';

// The clock of a window is held for all of its browser.
test.use({ ownBrowser: true });

/** What the certificate of the tests’ https is known by: the browser takes it as a tablet takes its house’s. */
const keyOf = (address: URL): Promise<string> =>
  new Promise((done, failed) => {
    const socket = tls.connect(
      {
        host: '127.0.0.1',
        port: Number(address.port),
        servername: address.hostname,
        rejectUnauthorized: false,
      },
      () => {
        const key = socket.getPeerX509Certificate()?.publicKey.export({ type: 'spki', format: 'der' });
        socket.end();
        if (key) done(createHash('sha256').update(key).digest('base64'));
      },
    );
    socket.once('error', failed);
  });

let browser: Browser;
let context: BrowserContext;
let page: Page;
/** What the browser complained of: read where a test has failed. */
let complaints: string[] = [];
const secure = () => new URL(here().secure);
test.beforeEach(async () => {
  browser = await chromium.launch({
    executablePath: chromiumPath(),
    args: [
      ...CHROMIUM,
      `--host-resolver-rules=MAP ${secure().hostname} 127.0.0.1`,
      `--ignore-certificate-errors-spki-list=${await keyOf(secure())}`,
    ],
  });
  context = await browser.newContext({
    baseURL: secure().origin,
    viewport: { width: 1024, height: 768 },
    hasTouch: true,
    locale: 'en-IE',
    timezoneId: 'Europe/Dublin',
  });
  page = await context.newPage();
  page.setDefaultTimeout(30_000);
  complaints = [];
  page.on('console', (said) => {
    if (said.type() === 'error' && !said.text().startsWith('Failed to load resource'))
      complaints.push(said.text());
  });
  page.on('pageerror', (error) => complaints.push(error.stack ?? error.message));
  await page.clock.setFixedTime(Date.parse('2026-03-14T12:00:00.000Z'));
  await page.goto('/sign-in/demo');
});
test.afterEach(async ({ browserName: _ }, info) => {
  if (info.status !== info.expectedStatus)
    await info.attach('complaints', { body: complaints.join('\n'), contentType: 'text/plain' });
  await browser.close();
});

const atHand = () => page.getByRole('region', { name: 'At hand' });
const told = () => page.getByRole('region', { name: 'Log', exact: true }).getByRole('listitem');

/** Taps the large key for a line that is done, and waits until the next is at hand. */
async function done(next: number): Promise<void> {
  await page.getByRole('button', { name: 'Done', exact: true }).tap();
  await expect(atHand().getByText(/^\d+ of \d+$/)).toContainText(`${next} of`);
}

async function read(what: string, figures: string): Promise<void> {
  const keys = page.getByRole('region', { name: 'A reading' });
  await keys.getByRole('button', { name: what, exact: true }).tap();
  for (const key of figures) await keys.getByRole('button', { name: key, exact: true }).tap();
  await keys.getByRole('button', { name: 'Save reading' }).tap();
}

/** Waits until the browser has kept the page as it is now. */
const kept = (path: string, words: string): Promise<void> =>
  expect
    .poll(
      () =>
        page.evaluate(async (at) => {
          const cache = await caches.open('half-pot-stove');
          return (await cache.match(at, { ignoreVary: true }))?.text() ?? '';
        }, path),
      { timeout: 30_000 },
    )
    .toContain(words);

const killServer = (): void => {
  process.kill(Number(fs.readFileSync(here().pidFile, 'utf8').trim()), 'SIGKILL');
};

test('a whole stock by touch, over https: put on, the network gone for half of it, reloaded twice, the server killed, cooling read', async () => {
  test.setTimeout(180_000);
  await page.goto('/stove');
  await page.getByRole('button', { name: 'Start a batch' }).tap();
  await page.getByLabel('Which sheet').fill('trout-frame');
  await page.getByRole('option', { name: 'Trout-frame fumet', exact: true }).tap();
  await page.getByLabel('In which vessel').selectOption({ label: 'Stockpot 50 l' });
  await page.getByLabel('Since when').selectOption({ label: '30 min ago' });
  await page.getByRole('button', { name: 'Start', exact: true }).tap();
  await expect(page.getByRole('heading', { name: 'Trout-frame fumet', level: 1 })).toBeVisible();
  const path = new URL(page.url()).pathname;
  const lines = await page.getByRole('region', { name: 'Steps', exact: true }).getByRole('listitem').count();
  for (let next = 2; next <= 5; next += 1) await done(next);
  await expect(told()).toHaveCount(4);
  const at = await told().first().innerText();
  await kept(path, at.slice(7, 20));

  await context.setOffline(true);
  for (let next = 6; next <= 8; next += 1) await done(next);
  await read('Dip', '27.4');
  await page.reload();
  // The page is the browser’s own, and what was told waits in it.
  await expect(told()).toHaveCount(8);
  await expect(atHand().getByText(/^\d+ of \d+$/)).toContainText('8 of');
  await page.getByLabel('Who saw it').selectOption({ label: 'by Tobin Fenn' });
  await done(9);
  await page.reload();
  await expect(told()).toHaveCount(9);
  await expect(told().filter({ hasText: 'Tobin Fenn (not verified)' })).toHaveCount(1);

  // The server dies, too, and nobody notices at the stove; then both are back.
  killServer();
  await done(10);
  await context.setOffline(false);
  await expect(page.getByRole('status').filter({ hasText: 'saved on this device' })).toHaveCount(0, {
    timeout: 60_000,
  });
  await page.reload();
  await expect(told()).toHaveCount(10);
  await expect(told().filter({ hasText: 'Tobin Fenn (not verified)' })).toHaveCount(1);

  // Dead again while the network is there: something stands before it that says so, and is not taken for the page.
  await kept(path, 'Tobin Fenn');
  killServer();
  await page.reload();
  await expect(told()).toHaveCount(10);
  for (let next = 11; next <= lines; next += 1) await done(next);
  await page.getByRole('button', { name: 'Done', exact: true }).tap();
  await page.getByRole('button', { name: 'Heat off' }).tap();
  const cooling = page.getByRole('region', { name: 'Cooling' });
  await cooling.getByRole('button', { name: 'ice bath' }).tap();
  await read('Degrees', '62');
  await expect(cooling).toContainText('In the ice bath');
  await page.getByRole('button', { name: 'Finish batch' }).tap();
  await expect(page.getByRole('region', { name: 'How it ended' })).toContainText(/planned/);
  await page.reload();
  // Each was told once, whatever was sent how often.
  await expect(told()).toHaveCount(lines + 5);
});

test('a pot is put right with nobody answering: the first page a tablet opens is enough for it', async () => {
  await page.goto('/stove');
  const path = await page
    .getByRole('list', { name: 'Batches on' })
    .getByRole('link', { name: /Reduced game base/ })
    .getAttribute('href');
  // A tablet that has never been here, at the pot at once.
  const cookies = await context.cookies();
  await context.close();
  context = await browser.newContext({
    baseURL: secure().origin,
    viewport: { width: 1024, height: 768 },
    hasTouch: true,
  });
  await context.addCookies(cookies);
  page = await context.newPage();
  await page.clock.setFixedTime(Date.parse('2026-03-14T12:00:00.000Z'));
  await page.goto(path ?? '');
  await kept(path ?? '', 'Log');
  await kept('/stove/pantry', 'thickeners');
  await context.setOffline(true);
  await page.reload();
  const before = await told().count();
  await page.getByRole('button', { name: 'Report a problem' }).tap();
  const panel = page.getByRole('dialog', { name: 'What is wrong?' });
  await panel.getByRole('button', { name: 'too little' }).tap();
  const way = panel.getByRole('region').first();
  await expect(way).toContainText(/costs|is not known/);
  await way.getByRole('button', { name: 'Do this' }).tap();
  await expect(told()).toHaveCount(before + 1);
  await page.getByRole('button', { name: 'Report a problem' }).tap();
  await panel.getByRole('button', { name: 'the wrong thing went in' }).tap();
  await panel.getByLabel('What went in, and how much').fill('1 l trout-frame fumet');
  await expect(panel).toContainText('It now contains fish');
  await panel.getByRole('button', { name: 'Save' }).tap();
  await expect(told()).toHaveCount(before + 2);
  await page.getByRole('button', { name: 'Done differently' }).tap();
  await expect(
    page.getByRole('dialog', { name: 'Done differently' }).getByLabel('The line as it was done'),
  ).not.toHaveValue('');
  await page.getByRole('button', { name: 'Close' }).tap();
  // A slip is taken back with nobody answering, too.
  await read('Salt', '0.9');
  await expect(told()).toHaveCount(before + 3);
  await page.getByRole('button', { name: 'Undo: 0.9 % salt by the meter' }).tap();
  await expect(told()).toHaveCount(before + 2);
  const litres = await page
    .locator('figure.section')
    .getByText(/now [\d.]+ l/)
    .textContent();
  await page.reload();
  await expect(told()).toHaveCount(before + 2);
  await expect(page.locator('figure.section').getByText(/now [\d.]+ l/)).toHaveText(litres ?? '');
  await context.setOffline(false);
  await expect(page.getByRole('status').filter({ hasText: 'saved on this device' })).toHaveCount(0, {
    timeout: 60_000,
  });
  await page.reload();
  await expect(told()).toHaveCount(before + 2);
  await expect(page.locator('figure.section').getByText(/now [\d.]+ l/)).toHaveText(litres ?? '');
});

test('who signs out leaves none of the stove’s pages behind in this browser', async () => {
  await page.goto('/stove');
  await kept('/stove', 'Stove');
  await page.getByRole('button', { name: 'Sign out', exact: true }).tap();
  await expect(page).toHaveURL(/sign-in/);
  expect(await page.evaluate(() => caches.has('half-pot-stove'))).toBe(false);
  await context.setOffline(true);
  await page.goto('/stove');
  await expect(page.locator('body')).toContainText('this browser has not kept this page');
});

test('a page that was not kept the first time is kept a little later', async () => {
  await page.goto('/stove');
  await kept('/stove', 'Stove');
  await page.evaluate(() => caches.delete('half-pot-stove'));
  await kept('/stove', 'Stove');
});

test('another person at the same browser is shown nobody else’s pages', async () => {
  await page.goto('/stove');
  await kept('/stove', 'Stove');
  await page.evaluate(() => localStorage.setItem('half-pot-pages-of', 'somebody else'));
  await page.goto('/buy');
  await expect.poll(() => page.evaluate(() => caches.has('half-pot-stove'))).toBe(false);
});
