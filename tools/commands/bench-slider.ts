import { chromium, type Browser } from '@playwright/test';
import { CHROMIUM, chromiumPath } from '../chromium';

const MOVES = 160;
/** ms between moves of a slider: a drag brings one a frame, or less. */
const BETWEEN = 30;

const quantile = (times: readonly number[], share: number): number =>
  [...times].sort((a, b) => a - b)[Math.min(times.length - 1, Math.floor(times.length * share))] ?? NaN;

export interface SliderTimes {
  /** ms of a move's handler with all that it works out and draws at once: median and 95th of 100. */
  readonly handler: readonly [number, number];
  /** ms until it has been painted. */
  readonly painted: readonly [number, number];
}

/** Moves the first slider of the first tray with the arrow keys, and times what each move takes. */
export async function slideTimes(browser: Browser, address: string): Promise<SliderTimes> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  try {
    const page = await context.newPage();
    await page.goto(`${address}/sign-in/demo`);
    await page.goto(`${address}/pour/what-if`);
    const slider = page.getByRole('slider').first();
    await slider.focus();
    await page.waitForTimeout(1500);
    await page.evaluate(() => {
      const times: { handler: number; painted: number }[] = [];
      Object.assign(window, { slideTimes: times });
      addEventListener(
        'input',
        () => {
          const from = performance.now();
          const time = { handler: 0, painted: 0 };
          times.push(time);
          // React answers a move at the end of its event: a microtask that is asked for after it comes after that.
          addEventListener(
            'input',
            () => queueMicrotask(() => queueMicrotask(() => (time.handler = performance.now() - from))),
            { once: true },
          );
          requestAnimationFrame(() => {
            const { port1, port2 } = new MessageChannel();
            port1.onmessage = () => (time.painted = performance.now() - from);
            port2.postMessage(0);
          });
        },
        true,
      );
    });
    for (let i = 0; i < MOVES; i += 1) {
      await page.keyboard.press(Math.floor(i / 20) % 2 === 0 ? 'ArrowRight' : 'ArrowLeft');
      await page.waitForTimeout(BETWEEN);
    }
    const times = await page.evaluate(
      () => (window as unknown as { slideTimes: { handler: number; painted: number }[] }).slideTimes,
    );
    const of = (what: 'handler' | 'painted'): readonly [number, number] => {
      const all = times.map((t) => t[what]);
      return [quantile(all, 0.5), quantile(all, 0.95)];
    };
    return { handler: of('handler'), painted: of('painted') };
  } finally {
    await context.close();
  }
}

export const sliderWords = ({ handler, painted }: SliderTimes, aim: number): string =>
  `${handler[0].toFixed(1)} ms median ${handler[1].toFixed(1)} ms at the 95th (aim: under ${aim}); painted ${painted[0].toFixed(0)} and ${painted[1].toFixed(0)} ms`;

/** The same at an address, in a browser of its own. */
export async function slidAt(address: string): Promise<SliderTimes> {
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM });
  try {
    return await slideTimes(browser, address);
  } finally {
    await browser.close();
  }
}
