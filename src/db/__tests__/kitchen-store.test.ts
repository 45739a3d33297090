import fs from 'node:fs';
import type { Pool } from 'mysql2/promise';
import { z } from 'zod';
import { costFile } from '@/core/costing';
import { historyFrom, stateFrom } from '@/core/kitchen-state';
import { suppliesOn } from '@/core/prices';
import type { KitchenFile } from '@/core/kitchen-file';
import { CONSTANTS } from '@/core/reference';
import { demoKitchen } from '@/core/testing/demo';
import { freshDatabase } from '../../../tests/helpers/test-database';
import { changesIn, recordChange } from '../changes';
import { newId } from '../mapping/ids';
import { addQuote, addYield, takeVersion, writePlate, writeRecipe } from '../edits';
import { loadKitchen } from '../kitchen/load-kitchen';
import { migrate } from '../migrate';
import { peopleOf, secretsOf } from '../people/people';
import { bumpRevision, currentRevision } from '../revisions';
import { firstKitchen, readKitchenForDay, readKitchenFrom } from '../kitchen/read-kitchen';
import { inTransaction, many, one, openPool, RowCountError, run } from '../sql';

const file = demoKitchen();
const withoutSecrets: KitchenFile = {
  ...file,
  people: file.people.map(({ id, name, role }) => ({ id, name, role })),
};
const K = file.kitchen.id;
const AT = new Date('2026-03-14T12:00:00.000Z');
const count = z.object({ n: z.union([z.string(), z.number()]).transform(Number) });
/** However many there are by now. */
const MIGRATIONS = fs.readdirSync('src/db/migrations').length;
let pool: Pool;
let url: string;
let drop: () => Promise<void>;

beforeAll(async () => {
  ({ url, drop } = await freshDatabase('tables'));
  pool = openPool(url);
  await loadKitchen(
    pool,
    file,
    new Map(file.people.map((p) => [p.id, { password: `hash of ${p.name}`, pin: null }])),
  );
});
afterAll(async () => {
  await pool.end();
  await drop();
});

describe('the schema', () => {
  test('is brought up to date once, and again after a migration that was cut off before it was booked', async () => {
    expect(await migrate(url)).toEqual([]);
    await run(pool, `DELETE FROM schema_version WHERE version = ${MIGRATIONS}`);
    expect(await migrate(url)).toHaveLength(1);
    expect(await migrate(url)).toEqual([]);
  });

  test('two starts at once migrate one after the other', async () => {
    const other = await freshDatabase();
    const ran = await Promise.all([migrate(other.url), migrate(other.url)]);
    expect(ran.map((r) => r.length).sort()).toEqual([0, MIGRATIONS]);
    await other.drop();
  });

  test('carries kitchen_id in the primary key of every table', async () => {
    const tables = await many(
      pool,
      z.object({ t: z.string(), first: z.string() }),
      "SELECT k.TABLE_NAME AS t, k.COLUMN_NAME AS first FROM information_schema.KEY_COLUMN_USAGE k WHERE k.TABLE_SCHEMA = DATABASE() AND k.CONSTRAINT_NAME = 'PRIMARY' AND k.ORDINAL_POSITION = 1",
    );
    for (const { t, first } of tables)
      if (!['kitchen', 'schema_version'].includes(t)) expect([t, first]).toEqual([t, 'kitchen_id']);
    expect(tables.length).toBeGreaterThan(15);
  });

  test.each([
    [
      'a yield of 0',
      "INSERT INTO ingredient_yield SELECT kitchen_id, UUID(), ingredient_id, effective_on, recorded_at, 0, 0, 'estimate', NULL, NULL, NULL FROM ingredient_yield LIMIT 1",
    ],
    [
      'a yield and trim above the whole',
      "INSERT INTO ingredient_yield SELECT kitchen_id, UUID(), ingredient_id, effective_on, recorded_at, 80, 30, 'estimate', NULL, NULL, NULL FROM ingredient_yield LIMIT 1",
    ],
    [
      'a negative price',
      "INSERT INTO price_quote SELECT kitchen_id, UUID(), article_id, effective_on, recorded_at, '-1', -1, NULL, NULL, NULL FROM price_quote LIMIT 1",
    ],
    [
      'waste without a reason',
      "INSERT INTO stock_movement (kitchen_id, id, lot_id, kind, effective_on, recorded_at, g, typed, via) SELECT kitchen_id, UUID(), lot_id, 'waste', effective_on, recorded_at, -1, 'x', 'x' FROM stock_movement LIMIT 1",
    ],
  ])('refuses %s even from a program', async (_, statement) => {
    await expect(run(pool, statement)).rejects.toMatchObject({ errno: 4025 });
  });
});

describe('a kitchen in and out', () => {
  test('comes out as it went in, and costs the same', async () => {
    const { file: read } = await readKitchenFrom(pool, K);
    expect(read).toEqual(withoutSecrets);
    const [a, b] = [costFile(file, '2026-03-14', CONSTANTS), costFile(read, '2026-03-14', CONSTANTS)];
    for (const { key } of a.graph.nodes) expect(b.graph.cost(key)).toBe(a.graph.cost(key));
  });

  test('purchases write their receipts, short deliveries as they came', async () => {
    const goods = file.purchases
      .filter((p) => p.kind === 'invoice')
      .flatMap((p) => p.lines.filter((l) => l.is === 'goods'));
    const receipts = await one(
      pool,
      count,
      "SELECT COUNT(*) AS n FROM stock_movement WHERE kitchen_id = ? AND kind = 'receipt'",
      [K],
    );
    expect(receipts.n).toBe(goods.length);
    const loin = await one(
      pool,
      z.object({ g: z.string(), typed: z.string() }),
      "SELECT m.g, m.typed FROM stock_movement m JOIN lot l ON l.kitchen_id = m.kitchen_id AND l.id = m.lot_id JOIN ingredient i ON i.kitchen_id = l.kitchen_id AND i.id = l.ingredient_id WHERE m.kitchen_id = ? AND i.name = 'Venison loin' AND m.effective_on = '2026-03-09'",
      [K],
    );
    expect(loin).toEqual({ g: '7050.000000', typed: '7.05 kg' });
  });

  test('what was typed and what it came to stand side by side', async () => {
    const row = await one(
      pool,
      z.object({ typed: z.string(), amount: z.string(), kind: z.string() }),
      "SELECT s.amount_typed AS typed, s.amount, s.amount_kind AS kind FROM recipe_step s JOIN recipe r ON r.kitchen_id = s.kitchen_id AND r.id = s.recipe_id WHERE s.kitchen_id = ? AND r.name = 'Venison bone stock' AND s.position = 0",
      [K],
    );
    expect(row).toEqual({ typed: '8 kg', amount: '8000.000000', kind: 'mass' });
  });

  test('what one day needs of the past gives the same prices as all of it, on any day, as known then or since', async () => {
    for (const day of ['2025-09-20', '2025-12-01', '2026-03-04', '2026-03-14'])
      for (const knownBy of [undefined, `${day}T00:00:00.000Z`]) {
        const slim = await readKitchenForDay(pool, K, day, knownBy ? new Date(knownBy) : undefined);
        const part = suppliesOn(slim.state, day, slim.history);
        const whole = suppliesOn(stateFrom(file), day, historyFrom(file, day, knownBy));
        for (const [id, s] of whole)
          expect([id, part.get(id)?.price?.perKg.toFixed(8)]).toEqual([id, s.price?.perKg.toFixed(8)]);
      }
  });

  test('as known at the very instant that something was recorded, a thousandth before and after: as the file alone has it', async () => {
    const day = '2026-03-14';
    const recorded = [...file.purchases, ...file.articles.flatMap((a) => a.quotes), ...file.counts]
      .map((x) => Date.parse(x.recordedAt))
      .sort((a, b) => a - b);
    const chosen = [0.2, 0.5, 0.8, 0.97].map((at) => recorded[Math.floor(at * recorded.length)]!);
    let differ = 0;
    for (const instant of chosen) {
      const told: string[] = [];
      for (const by of [-1, 0, 1]) {
        const knownBy = new Date(instant + by);
        const slim = await readKitchenForDay(pool, K, day, knownBy);
        const part = suppliesOn(slim.state, day, slim.history);
        const whole = suppliesOn(stateFrom(file), day, historyFrom(file, day, knownBy.toISOString()));
        for (const [id, s] of whole)
          expect([id, part.get(id)?.price?.perKg.toFixed(8)]).toEqual([id, s.price?.perKg.toFixed(8)]);
        told.push(JSON.stringify([...part].map(([, s]) => s.price?.perKg.toFixed(8))));
      }
      expect(told[2]).toBe(told[1]);
      if (told[0] !== told[1]) differ += 1;
    }
    // At least one of them moved a price at its own instant.
    expect(differ).toBeGreaterThan(0);
  });

  test('is loaded whole or not at all', async () => {
    const other = demoKitchen();
    const spoilt: KitchenFile = {
      ...other,
      kitchen: { ...other.kitchen, id: '019cabd9-0000-7000-8000-000000000001' },
      purchases: [...other.purchases, ...other.purchases],
    };
    await expect(loadKitchen(pool, spoilt, new Map())).rejects.toMatchObject({ errno: 1062 });
    expect(await many(pool, z.object({ id: z.string() }), 'SELECT id FROM kitchen')).toEqual([{ id: K }]);
    expect((await one(pool, count, 'SELECT COUNT(*) AS n FROM ingredient')).n).toBe(file.ingredients.length);
  });

  test('people come by role, their secrets apart', async () => {
    expect((await peopleOf(pool, K)).map((p) => p.role)).toEqual(['manager', 'cook', 'cook', 'reader']);
    expect(await secretsOf(pool, K, file.people[0]?.id ?? '')).toEqual({
      password: 'hash of Maren Holt',
      pin: null,
    });
    expect((await firstKitchen(pool))?.name).toBe('Kestrel Weir');
  });
});

describe('edits', () => {
  const article = file.articles[0] as KitchenFile['articles'][number];
  const manager = file.people[0]?.id ?? '';

  test('the first of two writers wins, the other is told who it was', async () => {
    const write = () =>
      inTransaction(pool, async (sql) => {
        const fresh = await takeVersion(sql, 'supplier_article', K, article.id, 1);
        if (!fresh) return false;
        await addQuote(sql, K, article.id, '2026-03-14', AT, '25', '25.0000');
        await recordChange(sql, {
          seq: 0,
          kitchenId: K,
          personId: manager,
          at: AT,
          what: 'price',
          subjectId: article.id,
          before: { price: '24.00' },
          after: { price: '25.00' },
          act: newId(),
        });
        await bumpRevision(sql, K);
        return true;
      });
    const before = (await currentRevision(pool, K)).revision;
    expect((await Promise.all([write(), write()])).sort()).toEqual([false, true]);
    expect((await currentRevision(pool, K)).revision).toBe(before + 1);
    expect(await changesIn(pool, K, { subject: article.id, most: 1 })).toMatchObject([
      { at: AT, byName: 'Maren Holt', before: { price: '24.00' }, after: { price: '25.00' } },
    ]);
    const { file: read, versions } = await readKitchenFrom(pool, K);
    expect(read.articles[0]?.quotes.at(-1)).toEqual({
      on: '2026-03-14',
      recordedAt: AT.toISOString(),
      price: '25.00',
    });
    expect(versions.articles.get(article.id)).toBe(2);
  });

  test('a write that fails in the middle leaves nothing behind', async () => {
    const before = await readKitchenFrom(pool, K);
    const broken = inTransaction(pool, async (sql) => {
      await addYield(sql, K, file.ingredients[0]?.id ?? '', {
        on: '2026-03-14',
        recordedAt: AT,
        usablePct: 50,
        stockTrimPct: 0,
        byProducts: [],
        source: 'estimate',
        basis: 'x',
      });
      throw new Error('power cut');
    });
    await expect(broken).rejects.toThrow('power cut');
    expect(await readKitchenFrom(pool, K)).toEqual(before);
  });

  test('recipes and dishes are replaced whole, with the version kept whole beside them', async () => {
    const recipe = {
      ...(file.recipes[3] as KitchenFile['recipes'][number]),
      steps: [{ id: newId(), do: 'unread' as const, said: 'half a kilo of btter' }],
    };
    const plate = { ...(file.plates[0] as KitchenFile['plates'][number]), menuPrice: undefined };
    await inTransaction(pool, async (sql) => {
      await writeRecipe(sql, K, recipe, 2, '2026-03-14', AT, { mark: '.' });
      await writePlate(sql, K, plate, { mark: '.' });
    });
    const { file: read } = await readKitchenFrom(pool, K);
    expect(read.recipes[3]).toEqual(recipe);
    expect(read.plates[0]?.menuPrice).toBeUndefined();
    expect(
      (
        await one(
          pool,
          count,
          'SELECT COUNT(*) AS n FROM recipe_version WHERE kitchen_id = ? AND recipe_id = ?',
          [K, recipe.id],
        )
      ).n,
    ).toBe(2);
  });

  test('a query says how many rows it expects', async () => {
    await expect(one(pool, count, 'SELECT 1 AS n FROM kitchen WHERE id = ?', ['x'])).rejects.toThrow(
      RowCountError,
    );
    await expect(one(pool, count, 'SELECT 1 AS n FROM ingredient')).rejects.toThrow(RowCountError);
  });
});
