import type { BrowserContext, Page } from '@playwright/test';
import { v7 } from 'uuid';
import { withDemo } from '../pictured';
import { HELD_CLOCK } from '../test/held';

const POTS = 12;
const READINGS = 60;

const at = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))] ?? NaN;

const pots = (page: Page) => page.getByRole('list', { name: 'Batches on' });

/** Writes something as the page itself does. */
const write = (page: Page, kind: string, body: object): Promise<{ ok: boolean; value?: { id: string } }> =>
  page.evaluate(
    async ([what, is, id]) => {
      const answer = await fetch('/command', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ commandId: id, kind: what, kindVersion: 1, seen: null, body: is }),
      });
      return (await answer.json()) as { ok: boolean; value?: { id: string } };
    },
    [kind, body, v7()] as const,
  );

/** Puts pots on until there are twelve, each in a vessel of its own. */
async function twelve(page: Page, base: string): Promise<void> {
  await page.goto(`${base}/stove`);
  await page.getByRole('button', { name: 'Start a batch' }).click();
  await page.getByLabel('Which sheet').fill('duck broth');
  await page.getByRole('option', { name: 'Duck broth', exact: true }).click();
  const on = await pots(page).getByRole('listitem').count();
  const hob = await page.getByLabel('On which hob').locator('option').first().getAttribute('value');
  await page.goto(`${base}/pot`);
  const sheet = await page
    .getByRole('link', { name: /^Duck broth/ })
    .first()
    .getAttribute('href');
  const recipe = sheet?.split('/').at(-1);
  for (let n = on; n < POTS; n += 1) {
    const made = await write(page, 'vessel.keep', {
      id: null,
      name: `Pot ${n + 1}`,
      shape: 'round',
      base: '36',
      top: '36',
      length: '',
      width: '',
      height: '36',
      fill: '85',
      empty: '',
    });
    const startedAt = new Date(Date.parse(HELD_CLOCK) - 30 * 60_000).toISOString();
    const id = v7();
    const put = await write(page, 'batch.start', {
      id,
      recipe,
      vessel: made.value?.id,
      hob,
      times: 1,
      startedAt,
    });
    if (!put.ok) throw new Error(JSON.stringify({ made, put }));
  }
}

/** ms from a touch to its answer: a reading is told, its litres and what is left are worked out, and both are on the screen. */
const touched = (page: Page, n: number): Promise<number> =>
  page.evaluate(async (i) => {
    const keys = [
      ...document.querySelectorAll('section[aria-label="A reading"] button'),
    ] as HTMLButtonElement[];
    const key = (name: string): void => keys.find((b) => b.textContent === name)?.click();
    const told = (): number => document.querySelectorAll('li.told').length;
    const done = (): boolean => document.querySelector<HTMLButtonElement>('button.done')?.disabled === false;
    for (const digit of `${20 + (i % 60)}.${i % 10}`) key(digit);
    await new Promise((soon) => setTimeout(soon, 250));
    const before = told();
    const began = performance.now();
    key('Save reading');
    await new Promise<void>((over, failed) => {
      const look = (): void => {
        if (told() > before && done()) over();
        else if (performance.now() - began > 10_000) failed(new Error('no answer in 10 s'));
        else requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    });
    return performance.now() - began;
  }, n);

/** kB of script that come with a page, and until what it fetches ahead is there. */
async function scripts(page: Page, address: string): Promise<readonly [first: number, ahead: number]> {
  let bytes = 0;
  page.on('requestfinished', (request) => {
    if (request.resourceType() === 'script')
      void request.sizes().then((sizes) => void (bytes += sizes.responseBodySize));
  });
  await page.goto(address);
  await page.waitForLoadState('load');
  await page.waitForTimeout(1000);
  const first = bytes;
  await page.waitForTimeout(5000);
  return [first / 1000, bytes / 1000];
}

type Say = (words: string, figure: string) => void;

/** The kitchen's clock is held: a tablet's goes on from there. */
const byKitchen = (context: BrowserContext): Promise<unknown> =>
  context.addInitScript((held) => {
    const real = Date;
    const shift = held - real.now();
    globalThis.Date = class extends real {
      constructor(...of: readonly unknown[]) {
        if (of.length > 0) super(...(of as [number]));
        else super(real.now() + shift);
      }
      static override now(): number {
        return real.now() + shift;
      }
    } as DateConstructor;
  }, Date.parse(HELD_CLOCK));

async function board(page: Page, base: string, say: Say): Promise<void> {
  const times: number[] = [];
  for (let n = 0; n < 12; n += 1) {
    const began = performance.now();
    await page.request.get(`${base}/stove`);
    times.push(performance.now() - began);
  }
  const [first = NaN, ...later] = times;
  say('the board with twelve pots: the page, first asked', `${first.toFixed(0)} ms`);
  say(
    '  and then, median',
    `${at(
      later.sort((a, b) => a - b),
      0.5,
    ).toFixed(0)} ms`,
  );
  await page.goto(`${base}/stove`);
  const began = performance.now();
  await page.reload();
  await pots(page)
    .getByRole('listitem')
    .nth(POTS - 1)
    .waitFor();
  say('  on the screen, from a reload', `${(performance.now() - began).toFixed(0)} ms`);
}

async function answers(page: Page, address: string, say: Say): Promise<void> {
  await page.goto(address);
  const keys = page.getByRole('region', { name: 'A reading' });
  await keys.getByRole('button', { name: 'Degrees', exact: true }).click();
  await page.waitForTimeout(4000);
  await page.context().setOffline(true);
  const took: number[] = [];
  for (let n = 0; n < READINGS; n += 1) took.push(await touched(page, n));
  await page.context().setOffline(false);
  took.sort((a, b) => a - b);
  say(`a touch and its answer, no network, median of ${READINGS}`, `${at(took, 0.5).toFixed(0)} ms`);
  say('  95th of a hundred (aim: under 100 ms)', `${at(took, 0.95).toFixed(0)} ms`);
}

/** `halfpot bench stove`: the board with twelve pots, a touch and its answer with the network gone, and the script of its pages. */
export async function benchStove(): Promise<number> {
  await withDemo(async (browser, base) => {
    const say: Say = (words, figure) =>
      void process.stdout.write(`${words.padEnd(64)}${figure.padStart(14)}\n`);
    const context = await browser.newContext();
    await byKitchen(context);
    const page = await context.newPage();
    await page.goto(`${base}/sign-in/demo`);
    await twelve(page, base);
    await board(page, base, say);
    const path = await pots(page)
      .getByRole('link', { name: /^Reduced game base/ })
      .getAttribute('href');
    await answers(page, base + (path ?? '/stove'), say);
    const cookies = await context.cookies();
    await context.close();
    for (const [name, address] of [
      ['board', '/stove'],
      ['a pot', path ?? ''],
      ['what the pots teach', '/stove/learned'],
    ] as const) {
      const other = await browser.newContext();
      await other.addCookies(cookies);
      const [first, ahead] = await scripts(await other.newPage(), base + address);
      say(
        `script of ${name}: to begin with, and fetched ahead`,
        `${first.toFixed(0)}, ${ahead.toFixed(0)} kB`,
      );
      await other.close();
    }
  });
  return 0;
}
