import type { Page } from '@playwright/test';
import fs from 'node:fs';
import path from 'node:path';
import { withDemo } from '../pictured';
import { ROOT } from '../place';
import { HELD_CLOCK } from '../test/held';

const FOLDER = path.join(ROOT, 'docs/screenshots');
/** One picture: where it is taken, and what is done before it. */
interface Shot {
  readonly name: string;
  readonly path: string;
  readonly before?: (page: Page) => Promise<void>;
  /** The whole page, however long it is. */
  readonly whole?: boolean;
}

const follow = (name: string | RegExp) => (page: Page) =>
  page
    .getByRole('link', { name, exact: typeof name === 'string' })
    .first()
    .click();

/** A tablet’s clock is set by the kitchen’s, which is held. */
async function atTheStove(page: Page): Promise<void> {
  await page.clock.setFixedTime(HELD_CLOCK);
  await page.reload();
  await page.waitForTimeout(2500);
}

/** Takes one of many by its words. */
async function take(page: Page, label: string, words: string): Promise<void> {
  const field = page.getByLabel(label, { exact: true });
  await field.fill(words);
  await page.getByRole('option').first().waitFor();
  await field.press('Enter');
}

const SHOTS: readonly Shot[] = [
  { name: 'components', path: '/components', whole: true },
  {
    name: 'price-book',
    path: '/buy',
    before: async (page) => {
      await page.getByLabel('Venison bones, price of a pack').fill('31');
      await page.getByLabel('Leek, price of a pack').scrollIntoViewIfNeeded();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  {
    name: 'price-list',
    path: '/buy/lists',
    before: async (page) => {
      await take(page, 'Whose list', 'Weirside Game');
      await page
        .getByLabel('Price list file')
        .setInputFiles(path.join(ROOT, 'demo/price-lists/weirside-game-latin1.csv'));
      await page.getByRole('button', { name: 'Preview' }).click();
      await page.getByRole('link', { name: /unusual: check/ }).click();
      await page.getByText('Packed as 8 kg').waitFor();
    },
  },
  {
    name: 'yield-test',
    path: '/trim',
    before: async (page) => {
      await page.getByRole('button', { name: 'Put River trout, whole on the bench' }).click();
      await page.getByRole('heading', { name: 'River trout, whole', level: 1 }).waitFor();
      await page.waitForLoadState('networkidle');
      const write = async (what: string, text: string): Promise<void> => {
        await page.getByLabel(what, { exact: true }).fill(text);
        await page.getByLabel(what, { exact: true }).blur();
      };
      await write('Start weight', '5.24 kg');
      await write('Part 1, what it is', 'fillets');
      await write('Part 1, weight', '3.14 kg');
      await write('Part 3, what it is', 'guts, fins');
      await write('Part 3, weight', '380 g');
      await write('Part 4, weight', '1.66 kg');
      await page.getByRole('button', { name: 'Remove part 2' }).click();
      await page.getByText('✓ every weight saved').waitFor();
    },
  },
  { name: 'trim-flow', path: '/trim/flow' },
  { name: 'pots', path: '/pot' },
  { name: 'pot-sheet-stock', path: '/pot', before: follow('Venison bone stock') },
  {
    name: 'pot-sheet-sauce',
    path: '/pot',
    before: async (page) => {
      await follow('Juniper sauce')(page);
      await page.getByLabel('Step 12', { exact: true }).click();
      await page.getByLabel('Step 12', { exact: true }).blur();
    },
  },
  {
    name: 'sheet-ways',
    path: '/pot',
    before: async (page) => {
      await follow('Brown-roux game gravy')(page);
      await page.getByLabel('Step 6', { exact: true }).click();
      await page.getByLabel('Step 6', { exact: true }).blur();
      await page.getByText('what the others would cost').waitFor();
      await page.getByRole('button', { name: /^Keep only/ }).scrollIntoViewIfNeeded();
    },
  },
  { name: 'house', path: '/house' },
  {
    name: 'family',
    path: '/pour/family',
    before: async (page) => {
      await page.getByRole('link', { name: 'Juniper sauce', exact: true }).waitFor();
    },
  },
  { name: 'menu', path: '/pour/menus' },
  {
    name: 'what-if',
    path: '/pour/what-if',
    before: async (page) => {
      await page.getByRole('img', { name: /^Biggest changes/ }).waitFor();
      await page.waitForTimeout(600);
    },
  },
  { name: 'happened', path: '/pour/happened' },
  {
    name: 'weigh-up',
    path: '/weigh',
    before: async (page) => {
      await follow('Game base, or one that is bought')(page);
      await page.getByText(/simulations of \d+ figures/).waitFor();
      await page.waitForTimeout(600);
    },
  },
  { name: 'stove', path: '/stove', before: atTheStove },
  {
    name: 'batch',
    path: '/stove',
    before: async (page) => {
      await follow(/^Reduced game base/)(page);
      await page.waitForURL(/\/stove\/[0-9a-f-]{36}$/);
      await atTheStove(page);
      await page.getByRole('img', { name: /^Readings/ }).waitFor();
    },
  },
  { name: 'plate', path: '/pour', before: follow(/^Venison loin/) },
  {
    name: 'why',
    path: '/pour',
    before: async (page) => {
      await page.getByRole('button', { name: /^Venison loin.*why/ }).click();
      await page.getByText('A usable kilo').first().waitFor();
    },
  },
];

/** `halfpot screenshots`: the pictures of the main views, from the demo as loaded, with the clock held. */
export async function screenshots(): Promise<number> {
  fs.mkdirSync(FOLDER, { recursive: true });
  await withDemo(async (browser, address) => {
    for (const shot of SHOTS) {
      const context = await browser.newContext({
        viewport: { width: 1280, height: 800 },
        locale: 'en-IE',
        timezoneId: 'Europe/Dublin',
      });
      const page = await context.newPage();
      if (!shot.path.startsWith('/sign-in')) await page.goto(address);
      await page.goto(address + shot.path);
      await shot.before?.(page);
      await page.evaluate(() => document.fonts.ready);
      await page.waitForTimeout(600);
      await page.screenshot({
        path: path.join(FOLDER, `${shot.name}.png`),
        fullPage: shot.whole ?? false,
      });
      await context.close();
    }
  });
  return 0;
}
