import type { Pool } from 'mysql2/promise';
import { z } from 'zod';
import { mannerIn, type WrittenWaste } from '@/core/kitchen-file';
import type { WrittenTest } from '@/core/bench';
import { demoKitchen } from '@/core/testing/demo';
import { freshDatabase } from '../../../tests/helpers/test-database';
import { addYield, setBatchesAWeek, takeVersion } from '../edits';
import { newId } from '../mapping/ids';
import { setIngredient, setKitchenTrim } from '../buying/larder-edits';
import { insertCooked } from '../buying/larder-rows';
import { readKitchenFrom } from '../kitchen/read-kitchen';
import { readerOf } from '../mapping/rows';
import { many, one, openPool, run } from '../sql';
import { boughtBetween, bookWaste, wastesSince } from '../cooking/wastes';
import {
  testDeliveries,
  dropTest,
  insertTests,
  leaveOut,
  readTests,
  writeTest,
} from '../cooking/yield-tests';

const file = demoKitchen();
const K = file.kitchen.id;
const manner = mannerIn(file);
const AT = new Date('2026-03-14T12:00:00.000Z');
const named = (name: string): string => file.ingredients.find((i) => i.name === name)?.id ?? '';
const person = file.people[0]?.id ?? '';
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

const read = async () => (await readKitchenFrom(pool, K)).file;

describe('tests', () => {
  const begun: WrittenTest = {
    id: newId(),
    ingredient: named('Carrot'),
    kind: 'trim',
    state: 'open',
    on: '2026-03-14',
    recordedAt: AT.toISOString(),
    by: person,
    season: 'spring',
    start: 'about a bucket',
    parts: [{ name: 'peel', fate: 'waste', amount: '' }],
  };

  test('one being weighed keeps whatever is typed; kept, it has its grams beside its words', async () => {
    await insertTests(pool, K, [begun], manner);
    expect((await readTests(readerOf(pool, K))).tests.find((t) => t.id === begun.id)).toMatchObject(begun);
    const kept: WrittenTest = {
      ...begun,
      state: 'kept',
      start: '2 lb',
      note: 'small ones',
      parts: [
        { name: 'sticks', fate: 'usable', amount: '700 g' },
        { name: 'ends', fate: 'stock trim', amount: '100 g' },
        { name: 'pulp', fate: 'waste', amount: '100 g' },
      ],
      second: { how: 'press', start: '90 g', parts: [{ name: 'juice', fate: 'usable', amount: '40 g' }] },
    };
    await writeTest(pool, K, kept, manner);
    expect((await read()).tests.find((t) => t.id === kept.id)).toEqual(kept);
    const row = await one(
      pool,
      z.object({ start_g: z.string(), second_start_g: z.string() }),
      'SELECT start_g, second_start_g FROM yield_test WHERE kitchen_id = ? AND id = ?',
      [K, kept.id],
    );
    expect(Number(row.start_g)).toBeCloseTo(907.18474, 4);
    expect(Number(row.second_start_g)).toBe(90);
  });

  test('none without a weight is ever kept, even by a program', async () => {
    await expect(insertTests(pool, K, [{ ...begun, state: 'kept' }], manner)).rejects.toMatchObject({
      errno: 4025,
    });
  });

  test('one is left out with who and why, counts again, and a dropped one is gone from the file', async () => {
    const leek = file.tests.find((t) => t.ingredient === named('Leek'))?.id ?? '';
    await leaveOut(pool, K, leek, { at: AT, by: person, why: 'frozen' });
    expect((await read()).tests.find((t) => t.id === leek)?.leftOut).toEqual({
      at: AT.toISOString(),
      by: person,
      why: 'frozen',
    });
    await leaveOut(pool, K, leek, null);
    const known = new Set(file.tests.map((t) => t.id));
    expect((await read()).tests.filter((t) => known.has(t.id))).toEqual(file.tests);
    const open = file.tests.find((t) => t.state === 'open')?.id ?? '';
    await dropTest(pool, K, open, AT);
    expect((await read()).tests.map((t) => t.id)).not.toContain(open);
  });

  test('deliveries of an ingredient come newest first, with what a kilo cost, merged spellings too', async () => {
    const [newest, next] = await testDeliveries(pool, K, named('River trout, whole'), 2);
    expect([newest?.number, next?.number]).toEqual(['TH/1107', 'TH/1108']);
    expect((newest?.money ?? 0) / (newest?.g ?? 1)).toBeCloseTo(8.4 / 1000, 9);
    const alone = await testDeliveries(pool, K, named('Shallot'), 200);
    await setIngredient(pool, K, named('Celery'), { mergedInto: named('Shallot') });
    const merged = await testDeliveries(pool, K, named('Shallot'), 200);
    const g = (list: typeof merged): number => list.reduce((sum, d) => sum + d.g, 0);
    expect(g(merged)).toBeCloseTo(g(alone) + g(await testDeliveries(pool, K, named('Celery'), 200)), 3);
    expect(g(merged)).toBeGreaterThan(g(alone));
  });
});

describe('what was learned', () => {
  test('a yield with what else comes off, and a cooked figure, come back as they were accepted', async () => {
    const trout = named('River trout, whole');
    const byProducts = [{ ingredient: named('Frames off whole trout'), pct: 31.5 }];
    const figures = { usablePct: 57.25, stockTrimPct: 1.5, low: 55, high: 59.5, basis: '5 own tests' };
    await addYield(pool, K, trout, {
      on: '2026-03-14',
      recordedAt: AT,
      source: 'measured',
      byProducts,
      ...figures,
    });
    const cooked = {
      figure: 'retention' as const,
      on: '2026-03-14',
      recordedAt: AT.toISOString(),
      value: 61.5,
      low: 50,
      high: 73,
      source: 'measured' as const,
      basis: '1 own test',
    };
    await insertCooked(pool, K, trout, [cooked]);
    const back = (await read()).ingredients.find((i) => i.id === trout);
    expect(back?.yields.at(-1)).toMatchObject({ ...figures, byProducts });
    expect(back?.cooked).toEqual([cooked]);
  });

  test('who pays, what is taken, which tests count, batches and the kitchen’s own ways are kept', async () => {
    const [leek, frames] = [named('Leek'), named('Frames off whole trout')];
    const supplier = file.suppliers[0]?.id ?? '';
    await setIngredient(pool, K, leek, {
      trim: { school: null, setValuePerKg: '0.9000', takenPct: 64 },
      learnFrom: { season: 'now', supplier },
    });
    await setIngredient(pool, K, frames, {
      comesOff: { setValuePerKg: null, sold: true },
      comesOffTakenPct: 50,
    });
    const fumet = file.recipes.find((r) => r.name === 'Trout-frame fumet')?.id ?? '';
    await setBatchesAWeek(pool, K, fumet, 2.5);
    const trimming = {
      school: 'weight' as const,
      setValuePerKg: '0.75',
      wagePerHour: null,
      electricityPerKwh: '0.315',
      gasPerKwh: null,
      learning: 'at once' as const,
      scale: null,
    };
    expect(await takeVersion(pool, 'kitchen', K, K, 1)).toBe(true);
    expect(await takeVersion(pool, 'kitchen', K, K, 1)).toBe(false);
    await setKitchenTrim(pool, K, trimming);
    const back = await read();
    expect(back.ingredients.find((i) => i.id === leek)).toMatchObject({
      trim: { setValuePerKg: '0.90', takenPct: 64 },
      learnFrom: { season: 'now', supplier },
    });
    expect(back.ingredients.find((i) => i.id === frames)?.comesOff).toEqual({
      ingredient: named('River trout, whole'),
      sold: true,
      takenPct: 50,
    });
    expect(back.recipes.find((r) => r.id === fumet)?.batchesAWeek).toBe(2.5);
    expect(back.kitchen).toMatchObject({
      trim: { school: 'weight', setValuePerKg: '0.75' },
      learning: 'at once',
    });
    expect([back.kitchen.scale, back.kitchen.wagePerHour]).toEqual([undefined, undefined]);
    expect(back.kitchen.energyPerKwh).toEqual({ electricity: '0.315' });
  });
});

describe('waste', () => {
  const waste = (over: Partial<WrittenWaste>): WrittenWaste => ({
    id: newId(),
    ingredient: named('Leek'),
    part: 'stock trim',
    on: '2026-03-14',
    recordedAt: AT.toISOString(),
    by: person,
    amount: '800 g',
    reason: 'spoiled',
    ...over,
  });
  const movements = (id: string) =>
    many(
      pool,
      z.object({ kind: z.string(), g: z.string(), lot_id: z.string() }),
      'SELECT kind, g, lot_id FROM stock_movement WHERE kitchen_id = ? AND lot_id = (SELECT lot_id FROM stock_movement WHERE kitchen_id = ? AND id = ?) ORDER BY g DESC',
      [K, K, id],
    );

  test('stock trim comes off the newest lot before it is thrown away: the lot stands at nothing and can be followed', async () => {
    const thrown = waste({});
    await bookWaste(pool, K, thrown, 800, 'as typed');
    const moved = await movements(thrown.id);
    expect(moved.map((m) => [m.kind, Number(m.g)])).toEqual([
      ['produced', 800],
      ['waste', -800],
    ]);
    const source = await one(
      pool,
      z.object({ made_on: z.string() }),
      'SELECT l.made_on FROM lot_source s JOIN lot l ON l.kitchen_id = s.kitchen_id AND l.id = s.source_lot_id WHERE s.kitchen_id = ? AND s.lot_id = ?',
      [K, moved[0]?.lot_id ?? ''],
    );
    expect(source.made_on).toBe('2026-03-09');
    expect((await read()).wastes.at(-1)).toEqual(thrown);
  });

  test('what is thrown away whole leaves the lot it came in with, and stays as it was booked; a reason is wanted even of a program', async () => {
    const thrown = waste({ part: 'whole', amount: '1 kg' });
    await bookWaste(pool, K, thrown, 1000, 'as typed');
    expect((await movements(thrown.id)).map((m) => m.kind)).toEqual(['receipt', 'waste']);
    const rows = await wastesSince(pool, K, '2026-03-14');
    expect(rows.find((r) => r.id === thrown.id)).toMatchObject({
      ingredient: named('Leek'),
      part: 'whole',
      g: 1000,
      who: 'Maren Holt',
    });
    // What has moved stays as it was booked: not even its reason can be taken away, nor the movement itself.
    for (const statement of [
      'UPDATE stock_movement SET reason = NULL WHERE kitchen_id = ? AND id = ?',
      'DELETE FROM stock_movement WHERE kitchen_id = ? AND id = ?',
    ])
      await expect(run(pool, statement, [K, thrown.id])).rejects.toThrow('append-only');
    await expect(
      run(
        pool,
        'INSERT INTO stock_movement (kitchen_id, id, lot_id, kind, effective_on, recorded_at, g, typed, via) SELECT kitchen_id, ?, lot_id, kind, effective_on, recorded_at, g, typed, via FROM stock_movement WHERE kitchen_id = ? AND id = ?',
        [newId(), K, thrown.id],
      ),
    ).rejects.toMatchObject({ errno: 4025 });
  });

  test('something that never came in can be thrown away all the same', async () => {
    const thrown = waste({ ingredient: named('Crab shells, picked'), part: 'whole' });
    await bookWaste(pool, K, thrown, 800, 'as typed');
    expect((await movements(thrown.id)).map((m) => m.kind)).toEqual(['waste']);
  });

  test('what was bought in a week is what was kept of it', async () => {
    const week = await boughtBetween(pool, K, '2026-03-08', '2026-03-14');
    expect(week.get(named('River trout, whole'))).toBeCloseTo(10_600, 6);
    expect(week.get(named('Red pepper'))).toBeUndefined();
  });
});
