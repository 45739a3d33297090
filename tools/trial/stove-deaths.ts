import fs from 'node:fs';
import path from 'node:path';
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { z } from 'zod';
import type { KitchenFile } from '@/core/kitchen-file';
import { many, openPool } from '@/db/sql';
import { CHROMIUM, WHOLE_CHROMIUM } from '../chromium';
import type { Instance } from '../instance';
import { placeOf, type Place } from '../place';
import { sleep } from '../processes';
import { say } from '../stop';
import { at, type Row } from './writers';

const VICTIMS = ['the application', 'the database', 'the browser'] as const;

/** A tablet at the stove: a browser with a profile of its own, which outlives it. */
async function tablet(folder: string): Promise<{ context: BrowserContext; pid: number }> {
  const context = await chromium.launchPersistentContext(folder, {
    executablePath: WHOLE_CHROMIUM,
    args: [...CHROMIUM, '--remote-debugging-port=0'],
    viewport: { width: 1024, height: 768 },
  });
  // The browser's own process holds the lock of its profile.
  const lock = fs.readlinkSync(path.join(folder, 'SingletonLock'));
  return { context, pid: Number(lock.split('-').at(-1)) };
}

/** °C of a reading, each another: by it what was promised is found again. */
const degrees = (n: number): string => (20 + n / 100).toFixed(2);

/** Reads degrees by the large keys until told to stop; what the page says is kept, here or there, is promised. */
async function reads(
  page: Page,
  state: { next: number; stop: boolean; readonly kept: string[] },
): Promise<void> {
  const keys = page.getByRole('region', { name: 'A reading' });
  await keys.getByRole('button', { name: 'Degrees', exact: true }).click();
  while (!state.stop) {
    const value = degrees(state.next);
    state.next += 1;
    for (const key of value) await keys.getByRole('button', { name: key, exact: true }).click();
    await keys.getByRole('button', { name: 'Save reading' }).click();
    await page
      .getByText(`${Number(value)} °C`)
      .first()
      .waitFor({ timeout: 8000 });
    await page
      .getByText(/all saved|saved on this device/)
      .first()
      .waitFor({ timeout: 8000 });
    state.kept.push(value);
  }
}

/** Waits until nothing waits on the tablet any more: it says nothing then, or that all is kept. */
async function allTold(page: Page): Promise<void> {
  // What waits is read when the page has begun.
  await sleep(500);
  await page.waitForFunction(
    () => /^(✓ all saved)?$/.test(document.querySelector('.how-kept')?.textContent ?? '?'),
    undefined,
    { timeout: 60_000 },
  );
}

/** A reading as it is in its column: the driver may have read the JSON already. */
const JsonText = z
  .unknown()
  .transform((body) => (typeof body === 'string' ? (JSON.parse(body) as unknown) : body))
  .pipe(z.object({ is: z.object({ is: z.string(), celsius: z.number().optional() }) }));

/** How often each reading stands in the records. */
async function standing(url: string, batch: string): Promise<Map<string, number>> {
  const pool = openPool(url);
  try {
    const rows = await many(
      pool,
      z.object({ body: JsonText }),
      'SELECT body FROM batch_event WHERE batch_id = ? AND withdrawn_at IS NULL',
      [batch],
    );
    const found = new Map<string, number>();
    for (const { body } of rows) {
      const { is } = body;
      if (is.is !== 'degrees' || is.celsius === undefined) continue;
      const value = is.celsius.toFixed(2);
      found.set(value, (found.get(value) ?? 0) + 1);
    }
    return found;
  } finally {
    await pool.end();
  }
}

const databaseIn = (place: Place): number =>
  Number(fs.readFileSync(path.join(place.folder, 'mariadbd.pid'), 'utf8'));

/** What became of what was promised, in words. */
async function toldOf(
  url: string,
  batch: string,
  kept: readonly string[],
  back: readonly number[],
): Promise<string> {
  const found = await standing(url, batch);
  const lost = kept.filter((v) => !found.has(v)).length;
  const twice = [...found.values()].filter((n) => n > 1).length;
  const sorted = [...back].sort((a, b) => a - b);
  return `${kept.length} readings promised, ${lost} lost, ${twice} twice; all told after ${at(sorted, 0.5).toFixed(1)} s, ${at(sorted, 1).toFixed(1)} s at the longest`;
}

/** Kills the application, the database or the browser while somebody reads a pot, and looks for what was promised: once, and nothing twice. */
export async function stoveDeaths(
  rounds: number,
  file: KitchenFile,
  start: () => Promise<Instance>,
  row: Row,
): Promise<void> {
  const place = placeOf('bench');
  const folder = path.join(place.folder, 'tablet');
  fs.rmSync(folder, { recursive: true, force: true });
  const batch = file.batches.find((b) => !b.events.some((e) => e.is === 'ended'));
  if (!batch) return;
  const state = { next: 0, stop: false, kept: [] as string[] };
  const back: number[] = [];
  let app = await start();
  let { context, pid } = await tablet(folder);
  const opened = async (): Promise<Page> => {
    const page = context.pages()[0] ?? (await context.newPage());
    await page.goto(`${app.address}/sign-in/demo`);
    await page.goto(`${app.address}/stove/${batch.id}`);
    await page.getByRole('heading', { name: batch.name, level: 1 }).waitFor();
    return page;
  };
  let page = await opened();
  for (let round = 0; round < rounds; round += 1) {
    const victim = VICTIMS[round % VICTIMS.length];
    state.stop = false;
    const reading = reads(page, state).catch(() => undefined);
    await sleep(600 + ((round * 137) % 1500));
    process.kill(
      victim === 'the browser' ? pid : victim === 'the database' ? databaseIn(place) : app.pid,
      'SIGKILL',
    );
    // What is told while nobody answers is kept in the browser, too.
    await sleep(victim === 'the browser' ? 0 : 1200);
    state.stop = true;
    await reading;
    const began = performance.now();
    if (victim === 'the browser') {
      await context.close().catch(() => undefined);
      ({ context, pid } = await tablet(folder));
    } else {
      await app.stop();
      app = await start();
    }
    page = await opened();
    await allTold(page).catch(() => undefined);
    back.push((performance.now() - began) / 1000);
    if (round % 20 === 19) say(`${round + 1} rounds at the stove …`);
  }
  await sleep(3000);
  const told = await toldOf(app.databaseUrl, batch.id, state.kept, back);
  await context.close();
  await app.stop();
  row(`kill −9 of server, database and browser at a pot, ${rounds} rounds`, told);
}
