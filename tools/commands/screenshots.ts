import { chromium, type Page } from '@playwright/test';
import fs from 'node:fs';
import path from 'node:path';
import { build } from '../app';
import { CHROMIUM } from '../chromium';
import { ensure, NEEDS } from '../debian';
import { startInstance } from '../instance';
import { startDatabase } from '../mariadb';
import { placeOf, ROOT } from '../place';
import { freePort, takePlace } from '../processes';
import { HELD_CLOCK, HELD_DAY } from './test';

const FOLDER = path.join(ROOT, 'docs/screenshots');
/** One picture: where it is taken, and what is done before it. */
interface Shot {
  readonly name: string;
  readonly path: string;
  readonly before?: (page: Page) => Promise<void>;
}

const follow = (name: string | RegExp) => (page: Page) =>
  page
    .getByRole('link', { name, exact: typeof name === 'string' })
    .first()
    .click();

const SHOTS: readonly Shot[] = [
  { name: 'sign-in', path: '/sign-in?out' },
  {
    name: 'price-book',
    path: '/buy',
    before: async (page) => {
      await page.getByLabel('Venison bones, price of a pack').fill('31');
      await page.getByLabel('Leek, price of a pack').scrollIntoViewIfNeeded();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
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
  { name: 'plates', path: '/pour' },
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
  const place = placeOf('pictures');
  takePlace(place, 'screenshots');
  ensure(NEEDS.browser);
  build();
  const own = await startDatabase(place);
  try {
    const instance = await startInstance(place, {
      port: await freePort(),
      today: HELD_DAY,
      clock: HELD_CLOCK,
      databaseUrl: own.fresh('halfpot_pictures'),
    });
    const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM });
    try {
      fs.mkdirSync(FOLDER, { recursive: true });
      for (const shot of SHOTS) {
        const context = await browser.newContext({
          viewport: { width: 1280, height: 800 },
          locale: 'en-IE',
          timezoneId: 'Europe/Dublin',
        });
        const page = await context.newPage();
        if (shot.path.startsWith('/sign-in')) await page.goto(instance.address + shot.path);
        else {
          await page.goto(instance.address);
          await page.goto(instance.address + shot.path);
        }
        await shot.before?.(page);
        await page.evaluate(() => document.fonts.ready);
        await page.waitForTimeout(600);
        await page.screenshot({ path: path.join(FOLDER, `${shot.name}.png`) });
        await context.close();
      }
    } finally {
      await browser.close();
      await instance.stop();
    }
  } finally {
    await own.stop();
  }
  return 0;
}
