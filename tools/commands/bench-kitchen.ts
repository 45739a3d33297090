import fs from 'node:fs';
import path from 'node:path';
import type { KitchenFile } from '@/core/kitchen-file';
import { SIXTY, THOUSANDS, largeKitchen, type Size } from '@/core/testing/large-kitchen';
import { loadKitchen } from '@/db/kitchen/load-kitchen';
import { migrate } from '@/db/migrate';
import { openPool } from '@/db/sql';
import { build } from '../app';
import { ensure, NEEDS } from '../debian';
import { startInstance } from '../instance';
import { startDatabase } from '../mariadb';
import { person } from '../person';
import { placeOf, ROOT } from '../place';
import { freePort, sleep, takePlace } from '../processes';
import { say } from '../stop';
import { slidAt, sliderWords } from './bench-slider';
import { HELD_CLOCK, HELD_DAY } from '../test/held';
import type { Line } from './bench-pot';

const ms = async (work: () => Promise<unknown>): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};

async function median(runs: number, work: () => Promise<number>): Promise<number> {
  const times: number[] = [];
  for (let i = 0; i < runs; i += 1) times.push(await work());
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)] as number;
}

/** Edits that can be sent again and again: each is another than the one before. */
function edits(file: KitchenFile, who: Awaited<ReturnType<typeof person>>) {
  const article = file.articles[file.articles.length - 7] as KitchenFile['articles'][number];
  const recipe = file.recipes.find((r) => r.name.startsWith('Sauce')) as KitchenFile['recipes'][number];
  const seen = { article: 1, recipe: 1 };
  let turn = 0;
  return {
    async price(): Promise<void> {
      turn += 1;
      const body = {
        row: article.ingredient,
        article: article.id,
        typed: `${10 + (turn % 50)}.${10 + (turn % 80)}`,
      };
      await who.send('article.price', seen.article, body);
      seen.article += 1;
    },
    async sheet(): Promise<void> {
      turn += 1;
      const steps = recipe.steps.map((s, i) =>
        i === 1 && s.do === 'add' ? { ...s, amount: `${60 + (turn % 40)} g` } : s,
      );
      await who.send('recipe.sheet', seen.recipe, {
        id: recipe.id,
        vessel: recipe.vessel,
        hob: recipe.hob,
        steps,
      });
      seen.recipe += 1;
    },
    recipe: recipe.id,
    ingredient: article.ingredient,
    plate: file.plates[file.plates.length - 1]?.id ?? '',
  };
}

async function measured(name: string, size: Size, url: string, line: Line): Promise<void> {
  await migrate(url);
  const pool = openPool(url);
  const file = largeKitchen(size);
  say(`Loading ${name}: ${size.recipes} recipes, ${size.ingredients} ingredients, ${size.plates} dishes …`);
  await loadKitchen(pool, file, new Map());
  await pool.end();
  const place = placeOf('bench');
  const lateness = path.join(place.folder, 'loop-delay.json');
  const instance = await startInstance(place, {
    port: await freePort(),
    env: {
      HALFPOT_LOOP_DELAY: lateness,
      NODE_OPTIONS: `--import=${path.join(ROOT, 'tools/loop-delay.mjs')}`,
    },
    today: HELD_DAY,
    clock: HELD_CLOCK,
    databaseUrl: url,
  });
  try {
    await pagesAndEdits(name, file, { ...instance, lateness }, line);
    say(`${name}: the application holds ${heldMb(instance.pid)} MB after all of that.`);
  } finally {
    await instance.stop();
  }
}

/** MB of memory that a process holds now. */
const heldMb = (pid: number): number =>
  Math.round(
    Number(/^VmRSS:\s+(\d+)/m.exec(fs.readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024,
  );

/** The application under measurement, and the file in which it says how late its event loop ran. */
interface App {
  readonly address: string;
  readonly pid: number;
  readonly lateness: string;
}

/** Pages that are asked for, some of something of the kitchen’s. */
const pagesOf = (edit: ReturnType<typeof edits>): string[] => [
  '/buy',
  '/pot',
  `/pot/${edit.recipe}`,
  '/pour',
  '/pour/menus',
  '/pour/what-if',
  '/pour/happened',
  '/weigh',
  `/weigh?of=${edit.recipe}`,
  '/weigh/rules',
  '/pour/family',
  '/pour/allergens',
  `/pour/${edit.plate}`,
  `/buy/${edit.ingredient}`,
  '/buy/larder',
  '/trim',
  '/trim/flow',
  '/trim/schools',
];

/** Every page, an edit of each kind, and pages after somebody else's edit. */
async function pagesAndEdits(name: string, file: KitchenFile, app: App, line: Line): Promise<void> {
  const [one, other] = [await person(app.address), await person(app.address)];
  const edit = edits(file, one);
  const pages = pagesOf(edit);
  line(
    `${name}: first page after a start, to its last figure`,
    await ms(() => one.get('/buy')),
    'after 700 ms it says how many pots are done',
  );
  say(`${name}: the application holds ${heldMb(app.pid)} MB with one page shown.`);
  for (const page of pages) {
    const bytes = await one.get(page);
    const shown = page.replace(/[0-9a-f-]{36}/, '…');
    line(
      `${name}: ${shown}, nothing changed`,
      await median(7, () => ms(() => one.get(page))),
      `${Math.round(bytes / 1000)} kB; aim: under 100 ms`,
    );
  }
  let month = 0;
  line(
    `${name}: what happened since a day that nobody asked about yet`,
    await median(3, () => ms(() => one.get(`/pour/happened?from=2026-0${(month += 1)}-01`))),
  );
  say(`${name}: a slider’s handler, ${sliderWords(await slidAt(app.address), 30)}`);
  line(
    `${name}: a price edit to its answer`,
    await median(9, () => ms(() => edit.price())),
    'aim: under 150 ms',
  );
  line(
    `${name}: a recipe edit to its answer`,
    await median(9, () => ms(() => edit.sheet())),
    'aim: under 300 ms',
  );
  for (const page of ['/buy', `/pot/${edit.recipe}`, '/pour', '/trim/flow'])
    line(
      `${name}: ${page.replace(/[0-9a-f-]{36}/, '…')} after somebody else’s price`,
      await median(7, async () => {
        await edit.price();
        return ms(() => other.get(page));
      }),
      'aim: under 250 ms',
    );
  for (const [what, work] of Object.entries({ recipes: edit.sheet, prices: edit.price })) {
    const late = await loopDelay(app.pid, app.lateness, work);
    line(
      `${name}: event loop while ${what} are edited, 99th of 100`,
      late.p99,
      `latest ${Math.round(late.max)} ms; aim: under 50 ms`,
    );
  }
}

/** How late the server's event loop runs while some work is done again and again: what somebody else waits at most, all but once in a hundred. */
async function loopDelay(pid: number, file: string, work: () => Promise<void>): Promise<LoopDelay> {
  const asked = async (): Promise<LoopDelay> => {
    fs.rmSync(file, { force: true });
    process.kill(pid, 'SIGUSR2');
    while (!fs.existsSync(file) || fs.statSync(file).size === 0) await sleep(20);
    return JSON.parse(fs.readFileSync(file, 'utf8')) as LoopDelay;
  };
  await asked();
  for (let i = 0; i < 40; i += 1) await work();
  return asked();
}

interface LoopDelay {
  readonly p99: number;
  readonly max: number;
}

/** `halfpot bench kitchen`: pages and edits in a house of sixty plates and in one of thousands, on a database of its own. */
export async function benchKitchen(line: Line): Promise<void> {
  const place = placeOf('bench');
  takePlace(place, 'bench');
  ensure(NEEDS.browser);
  build();
  const own = await startDatabase(place);
  try {
    await measured('sixty dishes', SIXTY, own.fresh('halfpot_bench_sixty'), line);
    await measured('thousands', THOUSANDS, own.fresh('halfpot_bench_thousands'), line);
  } finally {
    await own.stop();
  }
}
