import lighthouse, { desktopConfig } from 'lighthouse';
import { withDemo } from '../pictured';
import { addressOf, PAGES } from './bench-pages';

const SIX = ['/buy', '/buy/purchases/new', '/trim/flow', '/pot', '/pot Juniper', '/pour'];
const nameOf = ([path, follow]: (typeof PAGES)[number]): string =>
  follow ? `${path} ${follow.source.replace(/[\^$]/g, '').split(' ')[0] ?? ''}` : path;

/** `halfpot bench lighthouse`: how six pages are judged, on a desk and on a phone: performance, accessibility, best practices. */
export async function benchLighthouse(): Promise<number> {
  await withDemo(async (browser, base, port) => {
    const context = await browser.newContext();
    const page = await context.newPage();
    await page.goto(base);
    for (const one of PAGES.filter((p) => SIX.includes(nameOf(p)))) {
      const address = await addressOf(page, base, one);
      const Cookie = (await context.cookies()).map((c) => `${c.name}=${c.value}`).join('; ');
      for (const size of ['desk', 'phone'] as const) {
        const judged = await lighthouse(
          address,
          {
            port,
            logLevel: 'error',
            extraHeaders: { Cookie },
            onlyCategories: ['performance', 'accessibility', 'best-practices'],
          },
          size === 'desk' ? desktopConfig : undefined,
        );
        const of = (id: string): string =>
          String(Math.round((judged?.lhr.categories[id]?.score ?? 0) * 100)).padStart(4);
        process.stdout.write(
          `${nameOf(one).padEnd(24)}${size.padEnd(7)}${of('performance')}${of('accessibility')}${of('best-practices')}\n`,
        );
      }
    }
  });
  return 0;
}
