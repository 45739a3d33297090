import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { type KitchenFile } from '@/core/kitchen-file';
import { shiftDay } from '@/core/day';
import { adopted, referenceLarder } from '@/core/reference';
import { loadKitchen } from '@/db/kitchen/load-kitchen';
import { migrate } from '@/db/migrate';
import { newId } from '@/db/mapping/ids';
import { openPool, run } from '@/db/sql';
import { searcher } from '@/search';
import { build } from '../app';
import { CHROMIUM, chromiumPath } from '../chromium';
import { ensure, NEEDS } from '../debian';
import { startInstance } from '../instance';
import { DEMO_FILE, mustRead } from '../kitchens';
import { checkBackup, makeBackup, readInto } from '../backup/backup';
import { startDatabase } from '../mariadb';
import { placeOf } from '../place';
import { freePort, takePlace } from '../processes';
import { say } from '../stop';
import { HELD_CLOCK, HELD_DAY } from '../test/held';

const INGREDIENTS = 5000;
const INVOICES = 10_000;
const LINES = 10;
const LIST_ROWS = 20_000;

/** A large kitchen: the demo's pots over a larder of 5,000 and two years of invoices, 100,000 lines. */
function largeKitchen(): KitchenFile {
  const file = mustRead(DEMO_FILE);
  const rows = [...referenceLarder().values()];
  const at = '2024-03-14T08:00:00.000Z';
  const supplier = file.suppliers[0]?.id ?? '';
  for (let i = file.ingredients.length; i < INGREDIENTS; i += 1) {
    const row = rows[i % rows.length] as (typeof rows)[number];
    const ingredient = {
      ...adopted(row, newId(), '2024-03-14', at),
      name: `${row.name} ${Math.floor(i / rows.length)}-${i}`,
    };
    file.ingredients.push(ingredient);
    file.articles.push({
      id: newId(),
      supplier,
      ingredient: ingredient.id,
      name: ingredient.name,
      code: `B${i}`,
      pack: '5 kg',
      weighings: [],
      quotes: [{ on: '2024-03-14', recordedAt: at, price: (5 + (i % 400) / 10).toFixed(2) }],
    });
  }
  const bought = file.articles.slice(-4800);
  for (let i = 0; i < INVOICES; i += 1) {
    const on = shiftDay('2024-03-15', Math.floor((i * 725) / INVOICES));
    file.purchases.push({
      id: newId(),
      kind: 'invoice',
      supplier,
      on,
      recordedAt: `${on}T09:00:00.000Z`,
      number: `BENCH ${i}`,
      lines: Array.from({ length: LINES }, (_, j) => {
        const n = (i * LINES + j) % bought.length;
        return {
          is: 'goods' as const,
          article: bought[n]?.id ?? '',
          packs: 1 + (i % 4),
          packPrice: (5 + (n % 400) / 10 + (i % 37) / 50).toFixed(2),
        };
      }),
    });
  }
  return file;
}

const ms = async (work: () => Promise<unknown>): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};

async function median(work: () => Promise<unknown>, runs: number): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < runs; i += 1) times.push(await ms(work));
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] as number;
}

type Line = (name: string, ms: number, note?: string) => void;

/** `halfpot bench buy`: the buying station with a large kitchen, on a database of its own. */
export async function benchBuy(line: Line): Promise<void> {
  const place = placeOf('bench');
  takePlace(place, 'bench');
  ensure(NEEDS.browser);
  build();
  const own = await startDatabase(place);
  try {
    const url = own.fresh('halfpot_bench');
    await migrate(url);
    const pool = openPool(url);
    const file = largeKitchen();
    say(`Loading ${INGREDIENTS} ingredients and ${INVOICES * LINES} invoice lines …`);
    line('a kitchen of that size loaded', await ms(() => loadKitchen(pool, file, new Map())));
    search(file, line);
    const instance = await startInstance(place, {
      port: await freePort(),
      today: HELD_DAY,
      clock: HELD_CLOCK,
      databaseUrl: url,
    });
    try {
      await pages(instance.address, () => run(pool, 'UPDATE kitchen SET revision = revision + 1'), line);
      await list(instance.address, file, line);
    } finally {
      await instance.stop();
      await pool.end();
    }
  } finally {
    await own.stop();
  }
}

/** `halfpot bench backup`: a kitchen of that size backed up, read through and read in again, on databases of its own. */
export async function benchBackup(line: Line): Promise<void> {
  const place = placeOf('bench');
  takePlace(place, 'bench');
  const own = await startDatabase(place);
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'halfpot-bench-'));
  try {
    const url = own.fresh('halfpot_bench');
    await migrate(url);
    const pool = openPool(url);
    say(`Loading ${INGREDIENTS} ingredients and ${INVOICES * LINES} invoice lines …`);
    await loadKitchen(pool, largeKitchen(), new Map());
    await pool.end();
    let file = '';
    let bytes = 0;
    const made = await ms(async () => {
      ({ file, bytes } = await makeBackup(url, folder, new Date()));
    });
    line('backed up', made, `${(bytes / 1e6).toFixed(1)} MB`);
    line('read through before it is restored', await ms(() => checkBackup(file)));
    line('read into an empty database', await ms(() => readInto(own.fresh('halfpot_bench_back'), file)));
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
    await own.stop();
  }
}

/** Every keystroke of some words, right and wrong, over the whole larder. */
function search(file: KitchenFile, line: Line): void {
  const find = searcher(file.ingredients.map(({ id, name }) => ({ id, name, words: '' })));
  const typed = ['chestnut mushroom', 'jeruslem artichoke', 'veal stock', 'crme fraiche'].flatMap((words) =>
    Array.from(words, (_, i) => words.slice(0, i + 1)),
  );
  for (const words of typed) find(words);
  const times = typed.map((words) => {
    const start = performance.now();
    find(words);
    return performance.now() - start;
  });
  times.sort((a, b) => a - b);
  line(
    `a keystroke of search over ${INGREDIENTS}, median`,
    times[Math.floor(times.length / 2)] as number,
    'aim: under 16 ms',
  );
  line('the same, slowest', times[times.length - 1] as number);
}

async function pages(address: string, touch: () => Promise<unknown>, line: Line): Promise<void> {
  const signedIn = await fetch(`${address}/sign-in/demo`, { redirect: 'manual' });
  const cookie = signedIn.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
  const get = async (path: string): Promise<void> => {
    const answer = await fetch(address + path, { headers: { cookie } });
    if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
    await answer.text();
  };
  line('price book, first time after a start', await ms(() => get('/buy')));
  line('price book', await median(() => get('/buy'), 15), 'aim: server under 100 ms');
  line(
    'price book, first time after somebody’s write',
    await median(async () => {
      await touch();
      await get('/buy');
    }, 3),
  );
  line('costs as of a day, first time', await ms(() => get('/buy?on=2025-06-02')));
  line('costs as of a day', await median(() => get('/buy?on=2025-06-02'), 15));
  line('purchases, newest page', await median(() => get('/buy/purchases'), 15));
}

/** A long list, from the file chosen to accepted, in the real browser. */
async function list(address: string, file: KitchenFile, line: Line): Promise<void> {
  const browser = await chromium.launch({ executablePath: chromiumPath(), args: CHROMIUM });
  try {
    const page = await browser.newPage();
    await page.goto(address);
    await page.goto(`${address}/buy/lists`);
    const articles = file.articles.filter((a) => /^B\d+$/.test(a.code ?? ''));
    const rows = Array.from({ length: LIST_ROWS }, (_, i) => {
      const a = articles[i];
      return a
        ? `${a.code};${a.name};5 kg;${(6 + (i % 400) / 10).toFixed(2).replace('.', ',')}`
        : `N${i};Something ${i};5 kg;3,20`;
    });
    const bytes = Buffer.from(['code;name;pack;price', ...rows].join('\r\n'));
    line(`a list of ${LIST_ROWS} rows, file to preview`, await ms(() => toPreview(page, bytes)));
    line('the same, odd rows taken, preview to accepted', await ms(() => toAccepted(page)));
  } finally {
    await browser.close();
  }
}

async function toPreview(page: Page, buffer: Buffer): Promise<void> {
  await page.getByLabel('Price list file').setInputFiles({ name: 'bench.csv', mimeType: 'text/csv', buffer });
  await page.getByRole('button', { name: 'Preview' }).click();
  await page.getByRole('button', { name: /into the book$/ }).waitFor({ timeout: 120_000 });
}

async function toAccepted(page: Page): Promise<void> {
  await page.getByRole('button', { name: /odd: look twice/ }).click();
  await page.getByRole('button', { name: 'Take all' }).click();
  await page.waitForLoadState('networkidle');
  await page.getByRole('button', { name: /into the book$/ }).click();
  await page.getByText('Its prices are in the price book.').waitFor({ timeout: 120_000 });
}
