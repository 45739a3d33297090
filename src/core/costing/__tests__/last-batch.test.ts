import fc from 'fast-check';
import { readKitchen, type KitchenFile } from '../../kitchen-file';
import { LAYERS } from '../../layers';
import type { WrittenStep } from '../../verbs';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { costByLayer, costFile, costOfProduct, gapsOf } from '..';
import { CostGraph } from '../../graph';

const cost = (file: KitchenFile) => costFile(file, file.referenceDay, CONSTANTS);
const named = (file: KitchenFile, name: string) => {
  const recipe = file.recipes.find((r) => r.name === name);
  if (!recipe) throw new Error(`no ${name}`);
  return recipe;
};

/** The demo with a pot that is topped up: so many litres of the last batch go into the next. */
function toppedUp(litres: number, perLitre?: string): { file: KitchenFile; id: string } {
  const file = demoKitchen();
  const fumet = named(file, 'Trout-frame fumet');
  const first: WrittenStep = {
    do: 'add',
    of: { lastBatchOf: fumet.id, ...(perLitre === undefined ? {} : { perLitre }) },
    amount: `${litres} l`,
  };
  const strain = fumet.steps.findIndex((s) => s.do === 'strain');
  fumet.steps = [...fumet.steps.slice(0, strain + 1), first, ...fumet.steps.slice(strain + 1)];
  return { file, id: fumet.id };
}

describe('what the last batch left', () => {
  test('is no loop, though a recipe names itself', () => {
    const { file } = toppedUp(2);
    expect(readKitchen(JSON.parse(JSON.stringify(file))).ok).toBe(true);
  });

  test('at last cost: batch after batch costs the same, a = c·(1 − k)', () => {
    const alone = cost(demoKitchen());
    const { file, id } = toppedUp(2);
    const costing = cost(file);
    const { run } = costing.recipes.get(id)!;
    const own = costOfProduct(alone, id);
    const now = costOfProduct(costing, id);
    const taken = run.inputs.find((i) => i.supply === `last:${id}`);
    const k = (taken?.g ?? 0) / now.g;
    expect(k).toBeGreaterThan(0.1);
    // What went in again is what it cost without; the rest is its own cost again.
    expect(now.total! * (1 - k)).toBeCloseTo(own.total!, 6);
    expect(now.perL).toBeCloseTo(own.perL!, 1);
  });

  test('at a fixed value it costs that, and no price of it moves', () => {
    const { file, id } = toppedUp(2, '1.50');
    const costing = cost(file);
    const alone = costOfProduct(cost(demoKitchen()), id);
    const now = costOfProduct(costing, id);
    // The value is for a litre of it as it is.
    expect(now.total! - alone.total!).toBeCloseTo(2 * 1.5, 6);
    expect(gapsOf(costing, `product:${id}`)).toEqual([]);
  });

  test('what it is made of comes to rest: the batch made is the batch taken', () => {
    const { file, id } = toppedUp(3);
    const costing = cost(file);
    const { run } = costing.recipes.get(id)!;
    const taken = costing.shelf.lastBatch(id);
    if (!taken.ok) throw new Error(taken.trouble.message);
    const share = (p: { liquid: { gelatin: number; salt: number }; g: number }) => [
      p.liquid.gelatin / p.g,
      p.liquid.salt / p.g,
    ];
    const [gelatin = 0, salt = 0] = share(run.product!);
    expect(share(taken.value.product)[0]).toBeCloseTo(gelatin, 8);
    expect(share(taken.value.product)[1]).toBeCloseTo(salt, 8);
    expect(taken.value.product.allergens).toEqual(run.product?.allergens);
  });

  test('a batch that takes all the last one left is refused with both figures', () => {
    const { file: more, id: same } = toppedUp(4);
    named(more, 'Trout-frame fumet').steps.push({
      do: 'draw off',
      amount: '8 l',
      as: 'gone',
      liquidOnly: true,
      cost: { by: 'weight' },
    });
    const eaten = cost(more);
    expect(gapsOf(eaten, `product:${same}`)[0]?.message).toMatch(
      /4\.\d\d kg of the last batch are taken, and a batch leaves \d\.\d\d kg: it would eat itself up/,
    );
  });

  test('two recipes that feed each other come to rest together, in every layer', () => {
    const file = demoKitchen();
    const first = named(file, 'Venison bone stock');
    const second = named(file, 'Second venison stock');
    expect(first.steps).toContainEqual(
      expect.objectContaining({ do: 'add', of: { lastBatchOf: second.id }, amount: '1.8 l' }),
    );
    file.kitchen.energyPerKwh = { electricity: '0.30', gas: '0.12' };
    file.kitchen.wagePerHour = '18.00';
    const costing = cost(file);
    const total = (id: string) => costOfProduct(costing, id);
    expect(total(first.id).perL).toBeGreaterThan(0);
    for (const layer of LAYERS) {
      const per = costByLayer(costing, `last:${second.id}`)[layer];
      expect(per).toBeCloseTo(costByLayer(costing, `product:${second.id}`)[layer] ?? NaN, 10);
    }
    // A litre of the first has become stronger: what it takes is stock, not water.
    first.steps = first.steps.map((s) =>
      'of' in s && 'lastBatchOf' in s.of ? { do: 'water', amount: '1.8 l' } : s,
    );
    const alone = cost(file).recipes.get(first.id)?.run.rows.at(-1)?.gelatinPct ?? NaN;
    expect(costing.recipes.get(first.id)?.run.rows.at(-1)?.gelatinPct).toBeGreaterThan(alone);
  });

  test('a last batch of something that cannot be made is told', () => {
    const { file, id } = toppedUp(2);
    named(file, 'Trout-frame fumet').steps.push({
      do: 'reduce',
      until: 'volume',
      to: '90 l',
      heat: 'simmer',
      lid: 'off',
    });
    expect(
      gapsOf(cost(file), `product:${id}`)
        .map((t) => t.message)
        .join(' '),
    ).toMatch(/90\.0 l/);
  });
});

describe('a graph with nodes that follow others', () => {
  // stock = 0.6 bones + k × last stock; soup is made from it.
  const graph = (k: number) =>
    new CostGraph([
      { key: 'bones', from: [], gaps: 0 },
      { key: 'last', from: [], gaps: 0, follows: 'stock' },
      {
        key: 'stock',
        from: [
          [0, 0.6],
          [1, k],
        ],
        gaps: 0,
      },
      { key: 'soup', from: [[2, 0.5]], gaps: 0 },
    ]);

  test('comes to rest at a ÷ (1 − k), from wherever it was before', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.95, noNaN: true }),
        fc.array(fc.double({ min: 0, max: 50, noNaN: true }), { minLength: 1, maxLength: 6 }),
        (k, prices) => {
          const g = graph(k);
          for (const price of prices) g.set([['bones', price]]);
          const want = (0.6 * prices[prices.length - 1]!) / (1 - k);
          expect(g.cost('stock')).toBeCloseTo(want, 8);
          expect(g.cost('last')).toBeCloseTo(want, 8);
          expect(g.cost('soup')).toBeCloseTo(want / 2, 8);
        },
      ),
    );
  });

  test('an unknown price makes all of it unknown, and a known one all of it known again', () => {
    const g = graph(0.5);
    expect(g.set([['bones', 3]])).toEqual(['bones', 'last', 'stock', 'soup']);
    expect(g.set([['bones', null]])).toEqual(['bones', 'last', 'stock', 'soup']);
    expect(g.cost('stock')).toBeNull();
    g.set([['bones', 4]]);
    expect(g.cost('stock')).toBeCloseTo(4.8, 9);
    expect(g.set([['bones', 4]])).toEqual([]);
  });

  test('what takes as much of the last as it makes has no cost', () => {
    const g = graph(1);
    g.set([['bones', 3]]);
    expect(g.cost('stock')).toBeNull();
    expect(g.cost('soup')).toBeNull();
  });

  test('no price is set from outside on what follows another', () => {
    expect(() => graph(0.5).set([['last', 2]])).toThrow(/no price of its own/);
  });
});
