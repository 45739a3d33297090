import type { Page } from '@playwright/test';
import { withDemo } from '../pictured';

/** Pages of the demo, and the link that is followed from there. */
export const PAGES: readonly (readonly [path: string, follow?: RegExp])[] = [
  ['/sign-in?out'],
  ['/buy'],
  ['/buy', /^Onion$/],
  ['/buy/purchases'],
  ['/buy/purchases', /^WG-20418$/],
  ['/buy/purchases/new'],
  ['/buy/lists'],
  ['/buy/larder'],
  ['/trim'],
  ['/trim', /^Leek$/],
  ['/trim', /Go on weighing/],
  ['/trim/flow'],
  ['/trim/schools'],
  ['/pot'],
  ['/pot', /^Juniper sauce$/],
  ['/pour'],
  ['/pour/menus'],
  ['/pour/what-if'],
  ['/pour/happened'],
  ['/pour/family'],
  ['/pour/used'],
  ['/pour/allergens'],
  ['/pour', /^Venison loin/],
  ['/weigh'],
  ['/weigh', /^Game base/],
  ['/weigh/rules'],
  ['/people'],
  ['/house'],
];

/** Where a page is: links are followed once, so that each page is asked for by itself. */
export async function addressOf(
  page: Page,
  base: string,
  [path, follow]: (typeof PAGES)[number],
): Promise<string> {
  if (!follow) return base + path;
  await page.goto(base + path);
  const link = page.getByRole('link', { name: follow }).first();
  return base + ((await link.getAttribute('href')) ?? path);
}

/** `halfpot bench pages`: kB of script and style that each page sends to a browser that has nothing yet, as it travels. */
export async function benchPages(): Promise<number> {
  await withDemo(async (browser, base) => {
    process.stdout.write(`${'page'.padEnd(44)}${'script kB'.padStart(10)}${'style kB'.padStart(10)}\n`);
    for (const one of PAGES) {
      const sent = { script: 0, stylesheet: 0 };
      const finder = await browser.newContext();
      const looking = await finder.newPage();
      if (!one[0].startsWith('/sign-in')) await looking.goto(base);
      const address = await addressOf(looking, base, one);
      const cookies = await finder.cookies();
      await finder.close();
      const context = await browser.newContext();
      await context.addCookies(cookies);
      const page = await context.newPage();
      const counted: Promise<void>[] = [];
      page.on('requestfinished', (request) => {
        const type = request.resourceType();
        if (type !== 'script' && type !== 'stylesheet') return;
        counted.push(request.sizes().then((sizes) => void (sent[type] += sizes.responseBodySize)));
      });
      await page.goto(address);
      await page.waitForLoadState('networkidle');
      await Promise.all(counted);
      const kB = (n: number): string => (n / 1000).toFixed(0).padStart(10);
      const name = `${one[0]}${one[1] ? ` › ${one[1].source.replace(/[\^$]/g, '')}` : ''}`;
      process.stdout.write(`${name.padEnd(44)}${kB(sent.script)}${kB(sent.stylesheet)}\n`);
      await context.close();
    }
  });
  return 0;
}
