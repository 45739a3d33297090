import { CONSTANTS } from '../../reference';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import { costFile, costOfProduct, gapsOf, trimFlow, whereTheMoneyWent } from '..';

const POIREAU = '019cabd9-0000-7000-8000-000000000099';
const cost = (change?: Parameters<typeof smallKitchen>[0]) =>
  costFile(smallKitchen(change), '2026-02-01', CONSTANTS);

test('other spellings are told with what they count as, and nothing else is', () => {
  expect(cost().spellings).toEqual([]);
  const k = cost((w) => {
    const [, , leek] = w.ingredients;
    w.ingredients.push({ ...leek!, id: POIREAU, name: 'Poireau', mergedInto: SMALL.leek } as never);
  });
  expect(k.spellings).toEqual([{ id: SMALL.leek, name: 'Poireau' }]);
  expect([k.countsAs(POIREAU), k.countsAs(SMALL.leek)]).toEqual([SMALL.leek, SMALL.leek]);
});

test('a pack charged whole is all of it in where the money went', () => {
  const k = cost((w) => Object.assign(w.ingredients[3]!, { partPack: 'whole' }));
  const part = whereTheMoneyWent(cost(), SMALL.sauce)!.spent;
  // 20 g of salt out of a kilo at 1.00: 0.98 more.
  expect(whereTheMoneyWent(k, SMALL.sauce)!.spent - part).toBeCloseTo(0.98, 9);
  expect(whereTheMoneyWent(k, SMALL.sauce)!.spent).toBeCloseTo(costOfProduct(k, SMALL.sauce).total!, 9);
});

test('of a pack charged whole what the knife takes is of the whole pack', () => {
  const k = cost((w) => Object.assign(w.ingredients[0]!, { partPack: 'whole' }));
  // 10 kg of bones at 20.00 give 7 kg usable and are charged whole for 2 kg: 30 % of the pack was cut off.
  expect(whereTheMoneyWent(k, SMALL.stock)!.trimmed).toBeCloseTo(6, 9);
});

test('what cannot be made is called by its name, where it is taken and where it is asked', () => {
  const k = cost((w) => void (w.recipes[0]!.steps = []));
  expect(gapsOf(k, `product:${SMALL.sauce}`).map((t) => [t.path, t.message])).toEqual([
    [
      `product:${SMALL.sauce}.steps[0]`,
      'Sauce, step 1: Stock cannot be made yet, so nothing can be taken from it.',
    ],
    [
      `product:${SMALL.sauce}.steps[2]`,
      'Sauce, step 3: A portion of 110 ml: there are only 9 ml in the pot.',
    ],
    [`product:${SMALL.stock}`, 'Stock has no steps yet that make anything.'],
  ]);
});

test('while nothing is bought nobody can say how much of the trim is really taken: it stays as it is counted', () => {
  const k = cost((w) => Object.assign(w.ingredients[2]!, { trim: { takenPct: 50 } }));
  const of = (boughtG: number) => trimFlow(k, () => boughtG).find((f) => f.supply === `trim:${SMALL.leek}`)!;
  expect(of(0).reallyTaken).toBe(0.5);
  // 800 g are asked for a week; 40 % of 4 kg are 1.6 kg.
  expect(of(4000).reallyTaken).toBeCloseTo(0.5, 12);
  expect(of(8000).reallyTaken).toBeCloseTo(0.25, 12);
  expect(of(1000).reallyTaken).toBe(1);
});
