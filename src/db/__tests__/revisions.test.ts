import fc from 'fast-check';
import type { Pool } from 'mysql2/promise';
import { mannerIn } from '@/core/kitchen-file';
import { cases } from '@/core/testing/cases';
import { demoKitchen } from '@/core/testing/demo';
import { freshDatabase } from '../../../tests/helpers/test-database';
import { addQuote, addYield, setBatchesAWeek, writePlate, writeRecipe } from '../edits';
import { newId } from '../mapping/ids';
import { addCount, addMeasure, addWeighing, setIngredient, setKitchenBasis } from '../buying/larder-edits';
import { bumpRevision, forgetRevisions, changedIdsSince, currentRevision } from '../revisions';
import { readKitchenState, type KitchenRead } from '../kitchen/read-kitchen';
import { readHistory, type ReadPast } from '../kitchen/read-past';
import { inSnapshot, inTransaction, openPool, run, type Sql } from '../sql';
import { withdrawPurchase } from '../buying/purchases';

const file = demoKitchen();
const K = file.kitchen.id;
const DAY = '2026-03-20';
const manner = mannerIn(file);
let pool: Pool;
let drop: () => Promise<void>;

beforeAll(async () => {
  const made = await freshDatabase('demo');
  drop = made.drop;
  pool = openPool(made.url);
});
afterAll(async () => {
  await pool.end();
  await drop();
});

const oneOf = <T>(list: readonly T[], pick: number): T => list[pick % list.length] as T;
/** Random writes end where chance ends them: what they have put away is there again for the next test. */
const allBack = (): Promise<void> =>
  inTransaction(pool, async (sql) => {
    for (const table of ['supplier_article', 'recipe'])
      await run(sql, `UPDATE ${table} SET archived_at = NULL WHERE kitchen_id = ?`, [K]);
    await bumpRevision(sql, K);
  });
beforeEach(allBack);
let clock = Date.parse('2026-03-19T08:00:00.000Z');
const tick = (): Date => new Date((clock += 60_000));

/** Everything that changes a kitchen's costs, as the stations write it. */
const WRITES: Readonly<Record<string, (sql: Sql, pick: number, amount: number) => Promise<unknown>>> = {
  quote: (sql, pick, amount) =>
    addQuote(sql, K, oneOf(file.articles, pick).id, DAY, tick(), String(amount), amount.toFixed(4)),
  yield: (sql, pick, amount) =>
    addYield(sql, K, oneOf(file.ingredients, pick).id, {
      on: DAY,
      recordedAt: tick(),
      usablePct: amount,
      stockTrimPct: 1,
      byProducts: [],
      source: 'measured',
      basis: 'by hand',
    }),
  settings: (sql, pick) =>
    setIngredient(sql, K, oneOf(file.ingredients, pick).id, {
      partPack: pick % 2 === 0 ? 'whole' : 'part',
      priceBasis: pick % 3 === 0 ? { by: 'average', days: 28 } : null,
    }),
  merge: (sql, pick) =>
    setIngredient(sql, K, oneOf(file.ingredients, pick).id, {
      mergedInto: pick % 2 === 0 ? null : oneOf(file.ingredients, 3).id,
    }),
  count: (sql, pick, amount) =>
    addCount(
      sql,
      K,
      oneOf(file.ingredients, pick).id,
      file.people[0]?.id ?? '',
      DAY,
      tick(),
      `${amount} kg`,
      amount * 1000,
    ),
  weighing: (sql, pick, amount) =>
    addWeighing(sql, K, oneOf(file.articles, pick).id, DAY, tick(), `${amount} kg`, amount * 1000),
  basis: (sql, pick) =>
    setKitchenBasis(
      sql,
      K,
      oneOf([{ by: 'latest' }, { by: 'average', days: 60 }, { by: 'stock' }] as const, pick),
    ),
  measure: (sql, pick) => addMeasure(sql, K, newId(), `ladle ${pick} ${newId()}`, '120 ml'),
  sheet: (sql, pick, amount) => {
    const recipe = oneOf(file.recipes, pick);
    const version = (clock += 1);
    return writeRecipe(
      sql,
      K,
      { ...recipe, name: `${recipe.name} ${amount}`, steps: recipe.steps.slice(0, 2) },
      version % 1_000_000_000,
      DAY,
      tick(),
      manner,
    );
  },
  batches: (sql, pick, amount) => setBatchesAWeek(sql, K, oneOf(file.recipes, pick).id, amount),
  plate: (sql, pick, amount) => {
    const plate = oneOf(file.plates, pick);
    return writePlate(
      sql,
      K,
      { ...plate, menuPrice: amount.toFixed(2), lines: plate.lines.slice(0, 1 + (pick % 2)) },
      manner,
    );
  },
  'an article goes': (sql, pick) =>
    run(sql, 'UPDATE supplier_article SET archived_at = ? WHERE kitchen_id = ? AND id = ?', [
      tick(),
      K,
      oneOf(file.articles, pick).id,
    ]),
  'and comes back': (sql) =>
    run(sql, 'UPDATE supplier_article SET archived_at = NULL WHERE kitchen_id = ?', [K]),
  'a recipe goes': (sql, pick) =>
    run(sql, 'UPDATE recipe SET archived_at = ? WHERE kitchen_id = ? AND id = ?', [
      tick(),
      K,
      oneOf(file.recipes, pick).id,
    ]),
  'recipes come back': (sql) => run(sql, 'UPDATE recipe SET archived_at = NULL WHERE kitchen_id = ?', [K]),
  'a quote is withdrawn': (sql, pick) =>
    run(
      sql,
      'UPDATE price_quote SET withdrawn_at = ? WHERE kitchen_id = ? AND article_id = ? AND recorded_at > ? LIMIT 1',
      [tick(), K, oneOf(file.articles, pick).id, new Date('2026-03-19T00:00:00Z')],
    ),
  'an invoice is taken back, or stands again': (sql, pick, amount) =>
    withdrawPurchase(sql, K, oneOf(file.purchases, pick).id, amount > 50, {
      person: file.people[0]?.id ?? '',
      on: DAY,
      at: tick(),
    }),
};

interface Had {
  readonly read: KitchenRead;
  readonly past: ReadPast;
}

/** A kitchen and its past, read again or brought up to now. */
const reading = (before?: Had): Promise<Had> =>
  inSnapshot(pool, async (sql) => {
    const read = await readKitchenState(sql, K, before?.read);
    const moved = before && (await changedIdsSince(sql, K, before.read.stood, read.stood));
    const past = await readHistory(
      sql,
      K,
      read.state,
      DAY,
      undefined,
      before && moved && { read: before.past, moved },
    );
    return { read, past };
  });

/** What a reading says, without what it is held in. */
const said = ({ read, past }: Had) => ({
  stood: read.stood,
  state: read.state,
  versions: Object.fromEntries(
    Object.entries(read.versions).map(([list, of]) => {
      const there = read.state[list as 'recipes'].map((x) => x.id);
      return [list, there.map((id) => [id, (of as ReadonlyMap<string, number>).get(id)])];
    }),
  ),
  past: read.state.articles.map((a) => [a.id, JSON.stringify(past.history.article(a.id))]),
  counted: read.state.ingredients.map((i) => [i.id, past.history.counted(i.id)]),
});

test('after any writes, what is read of what has moved is what a reading of everything says', async () => {
  const write = fc.tuple(
    fc.constantFrom(...Object.keys(WRITES)),
    fc.nat(500),
    fc.integer({ min: 1, max: 90 }),
  );
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.array(write, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 4 }),
      async (rounds) => {
        let had = await reading();
        for (const writes of rounds) {
          await inTransaction(pool, async (sql) => {
            for (const [name, pick, amount] of writes) await WRITES[name]?.(sql, pick, amount);
            await bumpRevision(sql, K);
          });
          had = await reading(had);
        }
        expect(said(had)).toEqual(said(await reading()));
      },
    ),
    { numRuns: cases(40) },
  );
});

test('only what has moved is another object: a price touches one article', async () => {
  const before = await reading();
  const { id } = oneOf(before.read.state.articles, 5);
  await inTransaction(pool, async (sql) => {
    await addQuote(sql, K, id, DAY, tick(), '9.90', '9.9000');
    await bumpRevision(sql, K);
  });
  const after = await reading(before);
  const [was, now] = [before.read.state, after.read.state];
  expect(now.ingredients).toBe(was.ingredients);
  expect(now.recipes).toBe(was.recipes);
  expect(now.kitchen).toBe(was.kitchen);
  expect(now.articles.filter((a, i) => a !== was.articles[i]).map((a) => a.id)).toEqual([id]);
  for (const a of now.articles)
    if (a.id !== id) expect(after.past.history.article(a.id)).toBe(before.past.history.article(a.id));
});

test('a number that comes again under another mark is not believed, nor one of before anybody remembers', async () => {
  const before = await reading();
  const { stood } = before.read;
  // As a backup restored to the revision before, in which something else was done since.
  await run(pool, 'DELETE FROM kitchen_moved WHERE kitchen_id = ? AND revision = ?', [K, stood.revision]);
  await run(pool, 'UPDATE kitchen SET revision = ? WHERE id = ?', [stood.revision - 1, K]);
  const recipe = oneOf(file.recipes, 0).id;
  await inTransaction(pool, async (sql) => {
    await setBatchesAWeek(sql, K, recipe, 77);
    await bumpRevision(sql, K);
  });
  const now = await currentRevision(pool, K);
  expect(now.revision).toBe(stood.revision);
  expect(now.mark).not.toBe(stood.mark);
  expect(await changedIdsSince(pool, K, stood, now)).toBeUndefined();
  const { state } = (await reading(before)).read;
  expect(state.recipes.find((r) => r.id === recipe)?.batchesAWeek).toBe(77);
  // One more on top of it: the number is past, and still it is another past.
  await inTransaction(pool, (sql) => bumpRevision(sql, K));
  expect(await changedIdsSince(pool, K, stood, await currentRevision(pool, K))).toBeUndefined();
  expect(await changedIdsSince(pool, K, { ...now, revision: now.revision + 9 }, now)).toBeUndefined();
});

test('revisions are remembered by the hundred and not for ever', async () => {
  const first = await currentRevision(pool, K);
  await run(pool, 'UPDATE kitchen SET revision = revision + 499 WHERE id = ?', [K]);
  await inTransaction(pool, (sql) => bumpRevision(sql, K));
  await forgetRevisions(pool, K);
  expect(await changedIdsSince(pool, K, first, await currentRevision(pool, K))).toEqual({
    ingredients: [],
    articles: [],
    recipes: [],
    plates: [],
    house: [],
  });
  await inTransaction(pool, (sql) => bumpRevision(sql, K));
  await forgetRevisions(pool, K);
  expect(await changedIdsSince(pool, K, first, await currentRevision(pool, K))).toBeUndefined();
});
