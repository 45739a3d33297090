import { chromium, type Browser } from '@playwright/test';
import { build } from './app';
import { CHROMIUM, chromiumPath } from './chromium';
import { HELD_CLOCK, HELD_DAY } from './test/held';
import { ensure, NEEDS } from './debian';
import { startInstance } from './instance';
import { startDatabase } from './mariadb';
import { placeOf } from './place';
import { freePort, takePlace } from './processes';

/** Starts the demo as loaded with its clock held, for pictures and for what is measured in a browser, and ends it afterwards. */
export async function withDemo(
  work: (browser: Browser, address: string, port: number) => Promise<void>,
): Promise<void> {
  const place = placeOf('pictures');
  takePlace(place, 'pictures');
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
    const debugging = await freePort();
    const browser = await chromium.launch({
      executablePath: chromiumPath(),
      args: [...CHROMIUM, `--remote-debugging-port=${debugging}`],
    });
    try {
      await work(browser, instance.address, debugging);
    } finally {
      await browser.close();
      await instance.stop();
    }
  } finally {
    await own.stop();
  }
}
