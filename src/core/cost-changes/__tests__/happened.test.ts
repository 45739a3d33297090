import fc from 'fast-check';
import { costFile, costKitchen, costOfPlate } from '../../costing';
import type { KitchenFile } from '../../kitchen-file';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { CONSTANTS } from '../../reference';
import { cases } from '../../testing/cases';
import { demoKitchen } from '../../testing/demo';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import { runToEnd } from '../../work';
import { costedBetween, CAUSES, madeFrom, plateChanges, priceEffects, type KitchenOnDay } from '..';

const at = (day: string, hour = '09'): string => `${day}T${hour}:00:00.000Z`;
const file = smallKitchen((k) => {
  // Bones go up on the 10th, leek gives less from the 12th on.
  Object.assign(k.articles[0] ?? {}, {
    quotes: [
      { on: '2026-01-01', recordedAt: at('2026-01-01'), price: '20.00' },
      { on: '2026-03-10', recordedAt: at('2026-03-10'), price: '30.00' },
    ],
  });
  const leek = k.ingredients[2];
  leek?.yields.push({
    on: '2026-03-12',
    recordedAt: at('2026-03-20'),
    usablePct: 40,
    stockTrimPct: 40,
    source: 'estimate',
  } as never);
});
const state = stateFrom(file);
const standing = (day: string, more: Partial<KitchenOnDay> = {}): KitchenOnDay => ({
  day,
  recipes: state.recipes,
  plates: state.plates,
  trim: state.kitchen.trim,
  priceBasis: state.kitchen.priceBasis,
  history: historyFrom(file, day),
  ...more,
});
const between = (a: KitchenOnDay, b: KitchenOnDay) => runToEnd(costedBetween(state, a, b, CONSTANTS));
const cost = (day: string): number => costOfPlate(costFile(file, day, CONSTANTS), SMALL.plate).cost ?? NaN;

test('prices and tests each did what they did, and add up to what the two days cost by themselves', () => {
  const [plate] = plateChanges(between(standing('2026-03-01'), standing('2026-03-14')));
  expect(plate?.was).toBeCloseTo(cost('2026-03-01'), 12);
  expect(plate?.is).toBeCloseTo(cost('2026-03-14'), 12);
  // By hand: a hundred grams of leek at 3.00 shared by weight over 80 % instead of 90 %, in the plate and in what the stock takes.
  expect(plate?.by?.prices).toBeGreaterThan(0);
  expect(plate?.by?.tests).toBeGreaterThan(0);
  expect(plate?.by).toMatchObject({ pots: 0, plates: 0, reckoning: 0 });
  const sum = CAUSES.reduce((n, k) => n + (plate?.by?.[k] ?? NaN), 0);
  expect(sum).toBeCloseTo((plate?.is ?? NaN) - (plate?.was ?? NaN), 12);
});

test('as known then, a test that was written down later has not happened yet', () => {
  const then = { knownBy: at('2026-03-14', '23') };
  const [plate] = plateChanges(between(standing('2026-03-01', then), standing('2026-03-14', then)));
  expect(plate?.by?.tests).toBe(0);
  expect(plate?.by?.prices).toBeGreaterThan(0);
});

test('what moves only one kind is told of that kind alone', () => {
  const day = '2026-03-14';
  const plates = state.plates.map((p) => ({
    ...p,
    lines: p.lines.map((l) => ({ ...l, amount: '50 g' })),
  }));
  const less = plateChanges(between(standing(day, { plates }), standing(day)))[0];
  expect(less?.by?.plates).toBeCloseTo(less?.was ?? NaN, 9);
  const free = { school: 'free' as const, setValuePerKg: '0' };
  const trim = plateChanges(between(standing(day, { trim: free }), standing(day)))[0];
  expect(trim?.by?.reckoning).toBeCloseTo((trim?.is ?? NaN) - (trim?.was ?? NaN), 12);
  expect(trim?.by?.reckoning).not.toBeCloseTo(0, 6);
});

test('a dish that was not there yet is not known then, and not called free', () => {
  const [plate] = plateChanges(between(standing('2026-03-01', { plates: [] }), standing('2026-03-14')));
  expect(plate).toMatchObject({ was: null, by: null });
  expect(plate?.is).toBeCloseTo(cost('2026-03-14'), 12);
});

test('a pot that came with the dish that takes it is told with the dish, and all adds up', () => {
  const [stock, sauce] = state.recipes;
  // The sauce stood in for by the stock before: it came, and the plate took it.
  const plates = state.plates.map((p) => ({
    ...p,
    lines: p.lines.map((l) => ('product' in l.of ? { ...l, of: { product: SMALL.stock } } : l)),
  }));
  const [plate] = plateChanges(
    between(standing('2026-03-01', { recipes: stock ? [stock] : [], plates }), standing('2026-03-14')),
  );
  expect(sauce?.id).toBe(SMALL.sauce);
  const sum = CAUSES.reduce((n, k) => n + (plate?.by?.[k] ?? NaN), 0);
  expect(sum).toBeCloseTo((plate?.is ?? NaN) - (plate?.was ?? NaN), 12);
});

test('in the demo, between any two days: everything adds up, and the prices of a dish to what prices did', () => {
  const demo = demoKitchen();
  const here = stateFrom(demo);
  const days = [...new Set(demo.purchases.map((p) => p.on))].sort();
  const past = (day: string): KitchenOnDay => ({
    day,
    recipes: here.recipes,
    plates: here.plates,
    trim: here.kitchen.trim,
    priceBasis: here.kitchen.priceBasis,
    history: historyFrom(demo, day),
  });
  const now = costKitchen(here, demo.referenceDay, CONSTANTS, historyFrom(demo, demo.referenceDay));
  fc.assert(
    fc.property(fc.constantFrom(...days), fc.constantFrom(...days), (x, y) => {
      const [from, to] = x <= y ? [x, y] : [y, x];
      const costings = runToEnd(costedBetween(here, past(from), past(to), CONSTANTS, now.workings));
      for (const p of plateChanges(costings)) {
        if (!p.by) continue;
        const by = p.by;
        expect(CAUSES.reduce((n, k) => n + by[k], 0)).toBeCloseTo((p.is ?? NaN) - (p.was ?? NaN), 9);
        const prices = priceEffects(costings, p.id).reduce((n, m) => n + m.by, 0);
        expect(prices).toBeCloseTo(by.prices, 7);
      }
    }),
    { numRuns: cases(6) },
  );
});

/** What was written down of a kitchen by an instant, as its file alone would have had it. */
function knownFile(of: KitchenFile, by: string | undefined): KitchenFile {
  const known = (x: { readonly recordedAt: string }): boolean => by === undefined || x.recordedAt <= by;
  return {
    ...of,
    purchases: of.purchases.filter(known),
    counts: of.counts.filter(known),
    articles: of.articles.map((a) => ({ ...a, quotes: a.quotes.filter(known) })),
    ingredients: of.ingredients.map((i) => {
      const yields = i.yields.filter(known);
      return {
        ...i,
        cooked: i.cooked.filter(known),
        yields: yields.length > 0 ? yields : i.yields.slice(0, 1),
      };
    }),
  };
}

test('whatever was written down when, both ends are what the file cost that held no more than was known', () => {
  const day = fc.integer({ min: 1, max: 28 }).map((n) => `2026-03-${String(n).padStart(2, '0')}`);
  const dated = fc.record({ on: day, recordedAt: day.map((d) => at(d, '12')) });
  const facts = fc.record({
    quotes: fc.array(fc.tuple(dated, fc.integer({ min: 10, max: 60 })), { maxLength: 4 }),
    yields: fc.array(fc.tuple(dated, fc.integer({ min: 20, max: 59 })), { minLength: 1, maxLength: 4 }),
    cooked: fc.array(fc.tuple(dated, fc.integer({ min: 20, max: 300 })), { maxLength: 4 }),
  });
  fc.assert(
    fc.property(facts, day, day, fc.option(day), ({ quotes, yields, cooked }, x, y, then) => {
      const own = smallKitchen((k) => {
        Object.assign(k.articles[0]!, {
          quotes: [
            { on: '2026-01-01', recordedAt: at('2026-01-01'), price: '20.00' },
            ...quotes.map(([d, price]) => ({ ...d, price: `${price}.00` })),
          ],
        });
        Object.assign(k.ingredients[2]!, {
          // No estimate from long ago: some days lie before the first.
          yields: yields.map(([d, usablePct]) => ({ ...d, usablePct, stockTrimPct: 40, source: 'estimate' })),
        });
        Object.assign(k.ingredients[0]!, {
          cooked: cooked.map(([d, value]) => ({ ...d, figure: 'retention', value })),
        });
        k.recipes[0]!.steps.push({ do: 'strain', pressed: false, through: 'cone sieve' });
      });
      const [from, to] = x <= y ? [x, y] : [y, x];
      const knownBy = then === null ? undefined : at(then, '12');
      const here = stateFrom(own);
      const costings = runToEnd(
        costedBetween(
          here,
          ...([from, to].map((d) => ({
            day: d,
            recipes: here.recipes,
            plates: here.plates,
            trim: here.kitchen.trim,
            priceBasis: here.kitchen.priceBasis,
            history: historyFrom(own, d, knownBy),
            knownBy,
          })) as [KitchenOnDay, KitchenOnDay]),
          CONSTANTS,
        ),
      );
      const [plate] = plateChanges(costings);
      const alone = (d: string) =>
        costOfPlate(costFile(knownFile(own, knownBy), d, CONSTANTS), SMALL.plate).cost;
      expect(plate?.was).toBeCloseTo(alone(from) ?? NaN, 9);
      expect(plate?.is).toBeCloseTo(alone(to) ?? NaN, 9);
      const sum = CAUSES.reduce((n, k) => n + (plate?.by?.[k] ?? NaN), 0);
      expect(sum).toBeCloseTo((plate?.is ?? NaN) - (plate?.was ?? NaN), 9);
    }),
    { numRuns: cases(150) },
  );
});

test('a pot cooked with more bones changes pots alone, another price basis the calculation alone', () => {
  const day = '2026-03-14';
  const recipes = state.recipes.map((r) =>
    r.id === SMALL.stock
      ? {
          ...r,
          steps: r.steps.map((s) => (s.do === 'add' && s.amount === '2 kg' ? { ...s, amount: '3 kg' } : s)),
        }
      : r,
  );
  const [more] = plateChanges(between(standing(day, { recipes }), standing(day)));
  expect(more?.by?.pots).toBeLessThan(-1e-3);
  expect(more?.by).toMatchObject({ prices: 0, tests: 0, plates: 0, reckoning: 0 });
  const [average] = plateChanges(
    between(
      standing(day, {
        priceBasis: { by: 'fixed', price: '9.00', per: '1 kg' } as unknown as KitchenOnDay['priceBasis'],
      }),
      standing(day),
    ),
  );
  expect(average?.by).toMatchObject({ prices: 0, tests: 0, pots: 0, plates: 0 });
});

test('of which nothing happened is not costed again: the very same costing stands for it', () => {
  const today = standing('2026-03-14');
  const [a, ...rest] = between(today, today);
  expect(rest).toHaveLength(CAUSES.length);
  for (const costing of rest) expect(costing).toBe(a);
  // Prices of the 12th alone: everything after them is one and the same.
  const [first, second, ...after] = between(standing('2026-03-13'), standing('2026-03-14'));
  expect(second).not.toBe(first);
  for (const costing of after) expect(costing).toBe(second);
});

describe('which prices moved a dish', () => {
  const quotes = (first: string | undefined, then?: string) => ({
    quotes: [
      ...(first === undefined ? [] : [{ on: '2026-01-01', recordedAt: at('2026-01-01'), price: first }]),
      ...(then === undefined ? [] : [{ on: '2026-03-10', recordedAt: at('2026-03-10'), price: then }]),
    ],
  });
  const movedIn = (bones: object, leek: object, salt: object, plate: string = SMALL.plate) => {
    const own = smallKitchen((k) => [bones, leek, salt].forEach((q, n) => Object.assign(k.articles[n]!, q)));
    const here = stateFrom(own);
    const end = (day: string): KitchenOnDay => ({
      ...standing(day),
      recipes: here.recipes,
      plates: here.plates,
      history: historyFrom(own, day),
    });
    return priceEffects(
      runToEnd(costedBetween(here, end('2026-03-01'), end('2026-03-14'), CONSTANTS)),
      plate,
    );
  };

  test('the largest first, cheaper or dearer; one that is the same again is not told', () => {
    const moved = movedIn(quotes('20.00', '21.00'), quotes('15.00', '5.00'), quotes('1.00', '1.00'));
    expect(moved.map((m) => m.name)).toEqual(['Leek', 'Bones']);
    expect(moved[0]).toMatchObject({ was: 3, is: 1 });
    expect(moved[0]!.by).toBeLessThan(0);
    expect(moved[1]!.by).toBeGreaterThan(0);
    const other = movedIn(quotes('20.00', '200.00'), quotes('15.00', '14.99'), quotes('1.00'));
    expect(other.map((m) => m.name)).toEqual(['Bones', 'Leek']);
  });

  test('one that had no price before moves nothing that was known, and those after it are told all the same', () => {
    const moved = movedIn(quotes(undefined, '21.00'), quotes('15.00', '5.00'), quotes('1.00', '3.00'));
    expect(moved.every((m) => Number.isFinite(m.by))).toBe(true);
    expect(moved.map((m) => m.name)).toEqual(['Leek', 'Salt']);
  });

  test('of a dish that is not there nothing is told', () => {
    expect(movedIn(quotes('20.00', '21.00'), quotes('15.00'), quotes('1.00'), SMALL.kitchen)).toEqual([]);
    expect(priceEffects([], SMALL.plate)).toEqual([]);
  });
});

test('a dish is made from its ingredients and pots through all generations', () => {
  const from = madeFrom(costFile(file, '2026-03-14', CONSTANTS), SMALL.plate);
  expect([...from].sort()).toEqual([SMALL.bones, SMALL.leek, SMALL.salt, SMALL.sauce, SMALL.stock].sort());
  expect(madeFrom(costFile(file, '2026-03-14', CONSTANTS), SMALL.kitchen)).toEqual(new Set());
});
