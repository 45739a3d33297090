import { setTimeout as pause } from 'node:timers/promises';
import { z } from 'zod';
import { kitchenAtWork, type AtWork } from '../../../tests/helpers/at-work';
import {
  releaseLease,
  many,
  newId,
  one,
  run,
  acquireLease,
  leaseHolder,
} from '../../../tests/helpers/leases';
import { PRICE } from '../../features/buy/wire';
import { SETTING } from '../../features/buy/ingredient/wire';
import { HOB } from '../../features/house/stove/wire';
import { SERVED } from '../../features/pot/wire';
import { declare } from '../../server/door';
import { wire } from '../../wire';

/** A write that looks for as long as it is told to, and depends on one recipe, or does not say what it depends on. */
const SLOW = wire<{ readonly looks: number }>()({
  kind: 'test.slow',
  version: 1,
  body: z.object({ recipe: z.uuid(), dependsOn: z.boolean() }),
});
let looks = 0;
/** What happens while it looks. */
let meanwhile: () => Promise<unknown> = () => Promise.resolve();

const slowWrite = {
  wire: SLOW,
  role: 'cook',
  moves: 'nothing that is costed',
  async look(_body: unknown, { state }: { state: () => Promise<unknown> }) {
    await state();
    looks += 1;
    await meanwhile();
    return looks;
  },
  write: (_writing: unknown, { recipe }: { recipe: string }, looked: number) =>
    Promise.resolve({ value: { looks: looked }, what: 'slow', subject: recipe, before: null, after: null }),
} as const;
const resting = declare({ ...slowWrite, dependsOn: ({ recipe }: { recipe: string }) => [recipe] });
const ANY = wire<{ readonly looks: number }>()({ ...SLOW, kind: 'test.any', version: 1 });
const any = declare({ ...slowWrite, wire: ANY });

let here: AtWork;
beforeAll(async () => {
  here = await kitchenAtWork([resting, any]);
});
afterAll(() => here.end());
beforeEach(() => {
  looks = 0;
  meanwhile = () => Promise.resolve();
});

const once = (work: () => Promise<unknown>): (() => Promise<unknown>) => {
  let left = 1;
  return () => (left-- > 0 ? work() : Promise.resolve());
};
const first = <T>(of: readonly T[], at = 0): T => of[at] as T;
const changePrice = async (at: number): Promise<unknown> => {
  const article = first(here.file.articles, at);
  return here.send(
    PRICE,
    { row: article.ingredient, article: article.id, typed: `${(10 + Math.random() * 5).toFixed(2)}` },
    await here.seen('supplier_article', article.id),
  );
};
const serve = (at: number, celsius: number): Promise<unknown> =>
  here.send(SERVED, { id: first(here.file.recipes, at).id, at: String(celsius) });

describe('a write looks again only where something has changed that it depends on', () => {
  const send = (at = 0) => here.send(SLOW, { recipe: first(here.file.recipes, at).id, dependsOn: true });

  test.each([
    ['a price', () => changePrice(0)],
    ['another recipe', () => serve(1, 61)],
    ['an ingredient', () => here.send(SETTING, { id: first(here.file.ingredients).id, partPack: 'whole' })],
  ])('%s that it does not depend on: once is enough', async (_, work) => {
    meanwhile = once(work);
    expect(await send()).toMatchObject({ ok: true, value: { looks: 1 } });
  });

  test('its own recipe: it looks again', async () => {
    meanwhile = once(() => serve(0, 62));
    expect(await send()).toMatchObject({ ok: true, value: { looks: 2 } });
  });

  test('a hob, which anything may depend on: it looks again', async () => {
    const hob = first(here.file.hobs);
    meanwhile = once(async () =>
      here.send(HOB, hobTyped(hob), await here.seen('hob', hob.id)).then((a) => {
        expect(a).toMatchObject({ ok: true });
      }),
    );
    expect(await send()).toMatchObject({ ok: true, value: { looks: 2 } });
  });

  test('one that does not say what it depends on looks again after any change', async () => {
    meanwhile = once(() => changePrice(0));
    expect(await here.send(ANY, { recipe: first(here.file.recipes).id, dependsOn: false })).toMatchObject({
      value: { looks: 2 },
    });
  });
});

const hobTyped = (hob: AtWork['file']['hobs'][number]) => ({
  id: hob.id,
  name: `${hob.name} II`,
  fuel: hob.fuel,
  netKw: hob.netKw === null ? '' : String(hob.netKw),
  efficiency: '',
  draught: false,
});

describe('a writer who was overtaken gets a lease', () => {
  test('beside eight who never stop it is done with its fourth look', async () => {
    let going = true;
    let others = 0;
    const writers = Array.from({ length: 8 }, async (_, i) => {
      for (; going; others += 1) await changePrice(i);
    });
    const made = others;
    meanwhile = () => pause(300);
    expect(await here.send(ANY, { recipe: first(here.file.recipes).id, dependsOn: false })).toMatchObject({
      ok: true,
      value: { looks: 4 },
    });
    going = false;
    await Promise.all(writers);
    expect(others).toBeGreaterThan(made);
    expect(await leaseHolder(here.pool, here.kitchenId)).toBeUndefined();
  });

  test('a holder who died holds nobody up for longer than it lasts', async () => {
    const gone = newId();
    expect(await acquireLease(here.pool, here.kitchenId, { holder: gone, dependsOn: null })).toBe(true);
    expect(await acquireLease(here.pool, here.kitchenId, { holder: newId(), dependsOn: null })).toBe(false);
    await run(
      here.pool,
      'UPDATE lease SET until_at = UTC_TIMESTAMP(3) + INTERVAL 400000 MICROSECOND WHERE kitchen_id = ?',
      [here.kitchenId],
    );
    const began = performance.now();
    expect(await serve(2, 64)).toMatchObject({ ok: true });
    expect(performance.now() - began).toBeGreaterThan(300);
    const next = newId();
    expect(await acquireLease(here.pool, here.kitchenId, { holder: next, dependsOn: null })).toBe(true);
    await releaseLease(here.pool, here.kitchenId, gone);
    expect(await leaseHolder(here.pool, here.kitchenId)).toBe(next);
    await releaseLease(here.pool, here.kitchenId, next);
  });
});

describe('a lease on one recipe', () => {
  const holder = newId();
  beforeEach(() =>
    acquireLease(here.pool, here.kitchenId, { holder, dependsOn: [first(here.file.recipes, 6).id] }),
  );
  afterEach(() => releaseLease(here.pool, here.kitchenId, holder));

  test('lets others in', async () => {
    const began = performance.now();
    expect(await serve(7, 64)).toMatchObject({ ok: true });
    await changePrice(1);
    expect(performance.now() - began).toBeLessThan(3000);
    expect(await leaseHolder(here.pool, here.kitchenId)).toBe(holder);
  });

  test('holds back who would change that recipe, and leaves nothing of it meanwhile', async () => {
    const { id } = first(here.file.recipes, 6);
    let done = false;
    const waiting = serve(6, 64).finally(() => (done = true));
    await pause(400);
    expect([done, await here.changes(id)]).toEqual([false, []]);
    await releaseLease(here.pool, here.kitchenId, holder);
    expect(await waiting).toMatchObject({ ok: true });
  });
});

describe('the order of writes', () => {
  const seq = async () =>
    (
      await one(here.pool, z.object({ seq: z.coerce.number() }), 'SELECT seq FROM kitchen WHERE id = ?', [
        here.kitchenId,
      ])
    ).seq;

  test('every write takes the next number, and one that is refused none', async () => {
    const before = await seq();
    const { id } = first(here.file.recipes, 4);
    await serve(4, 61);
    await serve(4, 1000);
    await serve(4, 63);
    await here.send(SLOW, { recipe: id, dependsOn: true });
    expect(await seq()).toBe(before + 3);
    const rows = await many(
      here.pool,
      z.object({ seq: z.coerce.number() }),
      'SELECT seq FROM change_record WHERE kitchen_id = ? AND subject_id = ? ORDER BY seq',
      [here.kitchenId, id],
    );
    expect(rows.map((r) => r.seq)).toEqual([before + 1, before + 2, before + 3]);
  });

  test('the log follows it, also where a clock was set back', async () => {
    await serve(5, 61);
    const { id } = first(here.file.recipes, 5);
    // As a write is kept an hour after the one before, by a clock that has been set back by a year.
    await run(
      here.pool,
      "INSERT INTO change_record (kitchen_id, id, seq, at, what, subject_id, before_value, after_value) VALUES (?, '01800000-0000-7000-8000-000000000001', ?, '2025-03-14 13:00:00', 'served at', ?, '61', '62')",
      [here.kitchenId, (await seq()) + 1, id],
    );
    expect((await here.lately(2)).map((c) => c.after)).toEqual([62, 61]);
    expect((await here.changes(id)).map((c) => c.after)).toEqual([61, 62]);
  });
});
