import fc from 'fast-check';
import { costKitchen, costOfPlate, type KitchenCosting } from '../../costing';
import { mannerIn, type KitchenFile, type WrittenTrial } from '../../kitchen-file';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { CostGraph } from '../../graph';
import { CONSTANTS, groupOf } from '../../reference';
import { cases } from '../../testing/cases';
import { demoKitchen } from '../../testing/demo';
import { isSlider, slidersOf, sliderPlates, applyTrials } from '..';

const file: KitchenFile = demoKitchen();
const DAY = file.referenceDay;
const base = costKitchen(stateFrom(file), DAY, CONSTANTS, historyFrom(file, DAY));

/** The kitchen costed with all of some trials done to it: what the whole calculation says. */
function costedWith(trials: readonly WrittenTrial[]): KitchenCosting {
  const { state, times } = applyTrials(base, trials);
  const past = { ...historyFrom(file, DAY), times: (id: string) => times.get(id) ?? 1 };
  return costKitchen(state, DAY, CONSTANTS, past, base.workings);
}
const named = <T extends { readonly id: string; readonly name: string }>(
  list: readonly T[],
  name: string,
): T => {
  const found = list.find((x) => x.name === name);
  if (!found) throw new Error(`the demo has no ${name}`);
  return found;
};
const ingredient = (name: string): string => named(file.ingredients, name).id;
const plateCosts = (costing: KitchenCosting): Map<string, number | null> =>
  new Map([...costing.plates.keys()].map((id) => [id, costOfPlate(costing, id).cost]));

const bought = [...base.supplies.values()].filter((s) => s.price).map((s) => s.ingredient.id);
const lines = [...base.plates.values()].flatMap(({ plate }) =>
  plate.lines.map((l) => ({ plate: plate.id, line: l.id ?? '' })),
);
const times = fc.double({ min: 0.3, max: 3, noNaN: true });
const slidTrial: fc.Arbitrary<WrittenTrial> = fc.oneof(
  fc.record({ of: fc.constant('price' as const), ingredient: fc.constantFrom(...bought), times }),
  fc.record({
    of: fc.constant('group' as const),
    group: fc.constantFrom(...new Set(file.ingredients.map(groupOf))),
    times,
  }),
  fc.record({
    of: fc.constant('supplier' as const),
    supplier: fc.constantFrom(...file.suppliers.map((s) => s.id)),
    times,
  }),
  fc.record({
    of: fc.constant('yield' as const),
    ingredient: fc.constantFrom(...bought),
    usablePct: fc.integer({ min: 5, max: 100 }),
  }),
  fc
    .record({ at: fc.constantFrom(...lines), amount: fc.constantFrom('10 g', '75 g', '0.2 kg', '1/2 kg') })
    .map(({ at, amount }): WrittenTrial => ({ of: 'portion', ...at, amount })),
  fc.record({
    of: fc.constant('menu price' as const),
    plate: fc.constantFrom(...file.plates.map((p) => p.id)),
    price: fc.constantFrom('9.50', '24.00'),
  }),
);

test('what a slider answers is what the whole kitchen costed anew would say, whatever is on the what-if', () => {
  fc.assert(
    fc.property(fc.array(slidTrial, { maxLength: 6 }), (any) => {
      const trials = any.filter((t) => isSlider(base, t));
      const slid = slidersOf(base, trials);
      const graph = new CostGraph(slid.graph);
      graph.set(slid.prices);
      const before = [...base.plates.values()].map(({ plate }) => ({
        id: plate.id,
        cost: costOfPlate(base, plate.id).cost,
        menuPrice: plate.menuPrice === undefined ? undefined : Number(plate.menuPrice),
      }));
      const after = costedWith(trials);
      for (const p of sliderPlates(before, slid, graph, trials, mannerIn(base.state))) {
        const cost = costOfPlate(after, p.id).cost;
        const price = after.plates.get(p.id)?.plate.menuPrice;
        expect(p.priceThen).toBe(price === undefined ? undefined : Number(price));
        if (cost === null) expect(p.then).toBeNull();
        else expect(Math.abs((p.then ?? NaN) - cost)).toBeLessThan(1e-8 * Math.max(1, cost));
      }
    }),
    { numRuns: cases(25) },
  );
});

test('trials leave the kitchen as it is, and none at all changes nothing', () => {
  const before = JSON.stringify(base.state);
  const costs = plateCosts(base);
  costedWith([
    { of: 'price', ingredient: bought[0] ?? '', times: 2 },
    { of: 'school', school: base.state.kitchen.trim.school === 'free' ? 'weight' : 'free' },
  ]);
  expect(JSON.stringify(base.state)).toBe(before);
  expect(plateCosts(base)).toEqual(costs);
  expect(plateCosts(costedWith([]))).toEqual(costs);
});

test('one dearer and the same the other way round is where it began', () => {
  const [id = ''] = bought;
  const there = costedWith([
    { of: 'price', ingredient: id, times: 1.25 },
    { of: 'price', ingredient: id, times: 0.8 },
  ]);
  for (const [plate, cost] of plateCosts(base))
    if (cost !== null) expect(plateCosts(there).get(plate)).toBeCloseTo(cost, 9);
});

test('a line of a pot that reads otherwise is run otherwise; one that nobody understands does nothing and says so', () => {
  const recipe = file.recipes.find((r) => r.steps.some((s) => s.do === 'reduce'));
  const step = recipe?.steps.find((s) => s.do === 'reduce');
  const of = {
    of: 'line' as const,
    recipe: recipe?.id ?? '',
    step:
      step?.id ??
      base.state.recipes.find((r) => r.id === recipe?.id)?.steps.find((s) => s.do === 'reduce')?.id ??
      '',
  };
  const [less, mad] = [
    applyTrials(base, [{ ...of, says: 'reduce to 80 %' }]),
    applyTrials(base, [{ ...of, says: 'sing to it' }]),
  ];
  expect(of.step).not.toBe('');
  expect(less.flaws).toEqual([undefined]);
  expect(mad.flaws[0]?.message).toBeTruthy();
  expect(mad.state).toBe(base.state);
  expect(less.state.recipes.find((r) => r.id === of.recipe)?.steps).not.toEqual(recipe?.steps);
});

test('what has been archived does nothing, and is told of', () => {
  const nobody = '019cabd9-ffff-7000-8000-000000000000';
  const trials: WrittenTrial[] = [
    { of: 'price', ingredient: nobody, times: 2 },
    { of: 'supplier', supplier: nobody, times: 2 },
    { of: 'yield', ingredient: nobody, usablePct: 50 },
    { of: 'line', recipe: nobody, step: nobody, says: 'x' },
    { of: 'portion', plate: nobody, line: nobody, amount: '1 g' },
    { of: 'menu price', plate: nobody, price: '1.00' },
    { of: 'instead', kind: 'recipe', from: nobody, to: nobody },
  ];
  const { flaws, state } = applyTrials(base, trials);
  expect(flaws.map((f) => f?.code)).toEqual(trials.map(() => 'gone'));
  expect(state).toBe(base.state);
});

test('one thing in place of another: a pot in place of one that it is made from is refused by name', () => {
  // The sauce is made from the reduced base: with the sauce in the stock's place the base would be made from the sauce.
  const recipe = (name: string): string => named(file.recipes, name).id;
  const other = {
    of: 'instead' as const,
    kind: 'recipe' as const,
    from: recipe('Venison bone stock'),
    to: recipe('Juniper sauce'),
  };
  const { flaws } = applyTrials(base, [other]);
  expect(flaws[0]?.code).toBe('recipe-loop');
  const salt = ingredient('Salt');
  const { flaws: none, state } = applyTrials(base, [
    { of: 'instead', kind: 'ingredient', from: salt, to: bought.find((b) => b !== salt) ?? '' },
  ]);
  expect(none).toEqual([undefined]);
  expect(JSON.stringify(state.recipes)).not.toContain(salt);
});

test('only what runs no pot slides', () => {
  expect(isSlider(base, { of: 'school', school: 'free' })).toBe(false);
  expect(isSlider(base, { of: 'price', ingredient: '', times: 1 })).toBe(true);
  // Onions are counted: with another yield a pot of five of them takes another weight.
  expect(isSlider(base, { of: 'yield', ingredient: ingredient('Onion'), usablePct: 80 })).toBe(false);
});
