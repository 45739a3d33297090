import { monitorEventLoopDelay } from 'node:perf_hooks';
import { v7 } from 'uuid';
import type { KitchenFile } from '@/core/kitchen-file';
import { SIXTY, THOUSANDS, largeKitchen, type Size } from '@/core/testing/large-kitchen';
import { loadKitchen } from '@/db/load-kitchen';
import { migrate } from '@/db/migrate';
import { openPool } from '@/db/sql';
import { build } from '../app';
import { ensure, NEEDS } from '../debian';
import { startInstance } from '../instance';
import { startDatabase } from '../mariadb';
import { placeOf } from '../place';
import { freePort, takePlace } from '../processes';
import { say } from '../stop';
import { HELD_CLOCK, HELD_DAY } from './test';
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

/** A person at the application: signed in, reading pages and sending commands. */
async function person(address: string) {
  const signedIn = await fetch(`${address}/sign-in/demo`, { redirect: 'manual' });
  const cookie = signedIn.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
  return {
    /** Bytes of a page. */
    async get(path: string): Promise<number> {
      const answer = await fetch(address + path, { headers: { cookie } });
      const bytes = (await answer.arrayBuffer()).byteLength;
      if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
      return bytes;
    },
    async send(kind: string, seen: number, body: object): Promise<void> {
      const answer = await fetch(`${address}/command`, {
        method: 'POST',
        headers: { cookie, 'content-type': 'application/json', origin: address },
        body: JSON.stringify({ commandId: v7(), kind, kindVersion: 1, seen, body }),
      });
      const reply = (await answer.json()) as { ok: boolean; message?: string };
      if (!reply.ok) throw new Error(`${kind} was refused: ${reply.message ?? ''}`);
    },
  };
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
  say(`Loading ${name}: ${size.recipes} recipes, ${size.ingredients} ingredients, ${size.plates} plates …`);
  await loadKitchen(pool, file, new Map());
  await pool.end();
  const place = placeOf('bench');
  const instance = await startInstance(place, {
    port: await freePort(),
    today: HELD_DAY,
    clock: HELD_CLOCK,
    databaseUrl: url,
  });
  try {
    await pagesAndEdits(name, file, instance.address, line);
  } finally {
    await instance.stop();
  }
}

/** Every page, an edit of each kind, and pages after somebody else's edit. */
async function pagesAndEdits(name: string, file: KitchenFile, address: string, line: Line): Promise<void> {
  const [one, other] = [await person(address), await person(address)];
  const edit = edits(file, one);
  const pages = [
    '/buy',
    '/pot',
    `/pot/${edit.recipe}`,
    '/pour',
    `/pour/${edit.plate}`,
    `/buy/${edit.ingredient}`,
    '/buy/larder',
    '/trim',
    '/trim/flow',
    '/trim/schools',
  ];
  line(`${name}: first page after a start`, await ms(() => one.get('/buy')));
  for (const page of pages) {
    const bytes = await one.get(page);
    const shown = page.replace(/[0-9a-f-]{36}/, '…');
    line(
      `${name}: ${shown}, nothing changed`,
      await median(7, () => ms(() => one.get(page))),
      `${Math.round(bytes / 1000)} kB; aim: under 100 ms`,
    );
  }
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
  line(
    `${name}: /health while somebody edits recipes, slowest of 100`,
    await slowest(address, edit.sheet),
    'aim: near 50 ms',
  );
}

/** The slowest of many small questions asked while something else goes on: what a busy event loop makes others wait. */
async function slowest(address: string, work: () => Promise<void>): Promise<number> {
  let busy = true;
  const working = (async () => {
    while (busy) await work();
  })();
  // Only the server's waiting counts, not this process's own.
  const own = monitorEventLoopDelay();
  own.enable();
  const times: number[] = [];
  for (let i = 0; i < 100; i += 1) {
    times.push(await ms(() => fetch(`${address}/health`).then((r) => r.text())));
    await new Promise((done) => setTimeout(done, 20));
  }
  busy = false;
  await working;
  own.disable();
  return Math.max(...times) - own.max / 1e6;
}

/** `halfpot bench kitchen`: pages and edits in a house of sixty plates and in one of thousands, on a database of its own. */
export async function benchKitchen(line: Line): Promise<void> {
  const place = placeOf('bench');
  takePlace(place, 'bench');
  ensure(NEEDS.browser);
  build();
  const own = await startDatabase(place);
  try {
    await measured('sixty plates', SIXTY, own.fresh('halfpot_bench_sixty'), line);
    await measured('thousands', THOUSANDS, own.fresh('halfpot_bench_thousands'), line);
  } finally {
    await own.stop();
  }
}
