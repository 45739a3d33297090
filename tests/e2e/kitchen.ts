import { expect, test as base, type BrowserContext, type Locator, type Page } from '@playwright/test';
import fs from 'node:fs';
import { cpuSeconds } from '../../tools/test/cpu';
import { AS_HERE, here } from '../helpers/here';
import { CPU } from '../helpers/ledger-reporter';
import { resetKitchen } from '../helpers/reset';

/** CPU seconds of this worker, the browsers it has started and the application it drives. */
const cpuHere = (): number => cpuSeconds([process.pid, Number(fs.readFileSync(here().pidFile, 'utf8'))]);

const closePages = (context: BrowserContext): Promise<unknown> =>
  Promise.all(context.pages().map((page) => page.close()));

/** What a browser keeps of an address besides the files it has been sent. */
const KEPT = 'cookies,local_storage,indexeddb,service_workers,cache_storage';

/** Leaves in a browser nothing of the test before but the scripts it has read: reading them again takes longer than most tests. */
async function forget(context: BrowserContext, page: Page): Promise<void> {
  await context.clearCookies();
  await context.setOffline(false);
  const session = await context.newCDPSession(page);
  await session.send('Storage.clearDataForOrigin', { origin: here().address, storageTypes: KEPT });
  await session.detach();
}

interface Fixtures {
  page: Page;
  kitchen: void;
  /** A browser of its own: for tests that hold its clock, which would go on being held. */
  ownBrowser: boolean;
}

/** Every test begins in the demo kitchen as loaded, and fails on an error in the browser's console or in a page's own code. */
export const test = base.extend<Fixtures, { readonly shared: BrowserContext }>({
  ownBrowser: [false, { option: true }],
  shared: [
    async ({ browser }, provide) => {
      const context = await browser.newContext({ ...AS_HERE, baseURL: here().address });
      await provide(context);
      await context.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ browser, shared, ownBrowser }, provide) => {
    if (ownBrowser) {
      const own = await browser.newContext();
      await provide(own);
      return own.close();
    }
    await provide(shared);
  },
  kitchen: [
    async ({ browser, shared }, provide, info) => {
      await resetKitchen(here());
      const before = cpuHere();
      await provide();
      // Windows of other people that a test has opened go on asking, of the next test's kitchen.
      await Promise.all(browser.contexts().map((c) => (c === shared ? closePages(c) : c.close())));
      info.annotations.push({ type: CPU, description: Math.max(0, cpuHere() - before).toFixed(2) });
    },
    { auto: true },
  ],
  baseURL: async ({}, provide) => {
    await provide(here().address);
  },
  page: async ({ context, ownBrowser }, provide) => {
    const page = await context.newPage();
    if (!ownBrowser) await forget(context, page);
    const errors: string[] = [];
    page.on('pageerror', (error) => errors.push(error.message));
    page.on('console', (message) => {
      // A page that is meant not to exist says so; anything else that is missing is a mistake.
      const { url } = message.location();
      // A sheet that stands open asks on while its person is being signed out, and is told so.
      const signedOut = /\/now\?seen=/.test(url) && message.text().includes('401');
      if (message.type() === 'error' && !url.endsWith('/nowhere') && !signedOut)
        errors.push(`${message.text()} ${url}`);
    });
    await provide(page);
    expect(errors).toEqual([]);
  },
});
export { expect };

/** Opens the demo as its manager, at a station. */
export async function open(page: Page, path: string): Promise<void> {
  // Signed in without a page of its own: the cookie is all that is wanted.
  await page.context().request.get('/sign-in/demo', {
    maxRedirects: 0,
    // A connection that is kept may be closed by the server just as it is used again.
    headers: { connection: 'close' },
  });
  await page.goto(path);
}

export async function openPot(page: Page, name: string): Promise<void> {
  await open(page, '/pot');
  await page.getByRole('link', { name, exact: true }).click();
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

/** Clicks an item of the page's *More* menu. */
export async function more(page: Page, item: string): Promise<void> {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.locator('.dropdown-menu.show').getByText(item, { exact: true }).click();
}

/** Does something that is kept, and waits until the door has answered that kind of write; a refusal fails with its own sentence. */
export async function keeps(page: Page, kind: string, act: () => Promise<unknown>): Promise<void> {
  const answered = page.waitForResponse((r) => {
    const asked = r.request();
    return (
      new URL(r.url()).pathname === '/command' &&
      asked.method() === 'POST' &&
      (asked.postDataJSON() as { kind?: string }).kind === kind
    );
  });
  await act();
  const reply = (await (await answered).json()) as { ok: boolean; message?: string };
  if (!reply.ok) throw new Error(`${kind} was refused: ${reply.message ?? 'without a word'}`);
}

/** Chooses one of many by some of its words, from what is offered. */
export async function chooseFrom(field: Locator, words: string, name: string): Promise<void> {
  await field.fill(words);
  await field.page().getByRole('option', { name, exact: true }).click();
  await expect(field).toHaveValue(name);
}

/** Takes what some words mean out of many, with the Enter key. */
export async function takes(field: Locator, words: string, name = words): Promise<void> {
  await field.fill(words);
  // A list that is offered, not one that is always there to choose from.
  await expect(field.page().locator('[role="option"]').first()).toContainText(name);
  await field.press('Enter');
  await expect(field).toHaveValue(name);
}

/** A figure on the screen as a number: “€16.48” is 16.48, “2.2 l” is 2.2. */
export const figure = async (of: Locator): Promise<number> =>
  Number(((await of.innerText()).match(/\d[\d,]*(?:\.\d+)?/)?.[0] ?? 'NaN').replaceAll(',', ''));

/** What a product or plate costs, as the price book's answers have it. */
export const answer = (page: Page, name: string): Locator =>
  page
    .getByRole('complementary', { name: 'What these prices change' })
    .getByRole('button', { name: `${name}: why?` });

/** Presses Tab until the thing of that name has the focus. */
export async function tabTo(page: Page, label: string): Promise<void> {
  for (let i = 0; i < 260; i += 1) {
    await page.keyboard.press('Tab');
    const name = await page.evaluate(
      () => document.activeElement?.getAttribute('aria-label') ?? document.activeElement?.textContent ?? '',
    );
    if (name === label) return;
  }
  throw new Error(`${label} was never reached`);
}
