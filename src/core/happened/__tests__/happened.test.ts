import fc from 'fast-check';
import { costFile, costKitchen, costOfPlate } from '../../costing';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { CONSTANTS } from '../../reference';
import { cases } from '../../testing/cases';
import { demoKitchen } from '../../testing/demo';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import { finish } from '../../work';
import { costedBetween, HAPPENED, livesFrom, movedPlates, pricesMoved, type Standing } from '..';

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
const standing = (day: string, more: Partial<Standing> = {}): Standing => ({
  day,
  recipes: state.recipes,
  plates: state.plates,
  trim: state.kitchen.trim,
  priceBasis: state.kitchen.priceBasis,
  history: historyFrom(file, day),
  ...more,
});
const between = (a: Standing, b: Standing) => finish(costedBetween(state, a, b, CONSTANTS));
const cost = (day: string): number => costOfPlate(costFile(file, day, CONSTANTS), SMALL.plate).cost ?? NaN;

test('prices and tests each did what they did, and add up to what the two days cost by themselves', () => {
  const [plate] = movedPlates(between(standing('2026-03-01'), standing('2026-03-14')));
  expect(plate?.was).toBeCloseTo(cost('2026-03-01'), 12);
  expect(plate?.is).toBeCloseTo(cost('2026-03-14'), 12);
  // By hand: a hundred grams of leek at 3.00 shared by weight over 80 % instead of 90 %, in the plate and in what the stock takes.
  expect(plate?.by?.prices).toBeGreaterThan(0);
  expect(plate?.by?.tests).toBeGreaterThan(0);
  expect(plate?.by).toMatchObject({ pots: 0, plates: 0, reckoning: 0 });
  const sum = HAPPENED.reduce((n, k) => n + (plate?.by?.[k] ?? NaN), 0);
  expect(sum).toBeCloseTo((plate?.is ?? NaN) - (plate?.was ?? NaN), 12);
});

test('as known then, a test that was written down later has not happened yet', () => {
  const then = { knownBy: at('2026-03-14', '23') };
  const [plate] = movedPlates(between(standing('2026-03-01', then), standing('2026-03-14', then)));
  expect(plate?.by?.tests).toBe(0);
  expect(plate?.by?.prices).toBeGreaterThan(0);
});

test('what moves only one kind is told of that kind alone', () => {
  const day = '2026-03-14';
  const plates = state.plates.map((p) => ({
    ...p,
    lines: p.lines.map((l) => ({ ...l, amount: '50 g' })),
  }));
  const less = movedPlates(between(standing(day, { plates }), standing(day)))[0];
  expect(less?.by?.plates).toBeCloseTo(less?.was ?? NaN, 9);
  const free = { school: 'free' as const, setValuePerKg: '0' };
  const trim = movedPlates(between(standing(day, { trim: free }), standing(day)))[0];
  expect(trim?.by?.reckoning).toBeCloseTo((trim?.is ?? NaN) - (trim?.was ?? NaN), 12);
  expect(trim?.by?.reckoning).not.toBeCloseTo(0, 6);
});

test('a plate that was not there yet is not known then, and not called free', () => {
  const [plate] = movedPlates(between(standing('2026-03-01', { plates: [] }), standing('2026-03-14')));
  expect(plate).toMatchObject({ was: null, by: null });
  expect(plate?.is).toBeCloseTo(cost('2026-03-14'), 12);
});

test('a pot that came with the plate that takes it is told with the plate, and all adds up', () => {
  const [stock, sauce] = state.recipes;
  // The sauce stood in for by the stock before: it came, and the plate took it.
  const plates = state.plates.map((p) => ({
    ...p,
    lines: p.lines.map((l) => ('product' in l.of ? { ...l, of: { product: SMALL.stock } } : l)),
  }));
  const [plate] = movedPlates(
    between(standing('2026-03-01', { recipes: stock ? [stock] : [], plates }), standing('2026-03-14')),
  );
  expect(sauce?.id).toBe(SMALL.sauce);
  const sum = HAPPENED.reduce((n, k) => n + (plate?.by?.[k] ?? NaN), 0);
  expect(sum).toBeCloseTo((plate?.is ?? NaN) - (plate?.was ?? NaN), 12);
});

test('in the demo, between any two days: everything adds up, and the prices of a plate to what prices did', () => {
  const demo = demoKitchen();
  const here = stateFrom(demo);
  const days = [...new Set(demo.purchases.map((p) => p.on))].sort();
  const past = (day: string): Standing => ({
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
      const costings = finish(costedBetween(here, past(from), past(to), CONSTANTS, now.workings));
      for (const p of movedPlates(costings)) {
        if (!p.by) continue;
        const by = p.by;
        expect(HAPPENED.reduce((n, k) => n + by[k], 0)).toBeCloseTo((p.is ?? NaN) - (p.was ?? NaN), 9);
        const prices = pricesMoved(costings, p.id).reduce((n, m) => n + m.by, 0);
        expect(prices).toBeCloseTo(by.prices, 7);
      }
    }),
    { numRuns: cases(6) },
  );
});

test('a plate lives from its ingredients and pots through all generations', () => {
  const from = livesFrom(costFile(file, '2026-03-14', CONSTANTS), SMALL.plate);
  expect([...from].sort()).toEqual([SMALL.bones, SMALL.leek, SMALL.salt, SMALL.sauce, SMALL.stock].sort());
});
