import fc from 'fast-check';
import { costKitchen, costOfPlate, type KitchenCosting } from '../../costing';
import { mannerIn, type KitchenFile, type WrittenTrial } from '../../kitchen-file';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { CostGraph } from '../../graph';
import { CONSTANTS, groupOf } from '../../reference';
import { cases } from '../../testing/cases';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import { isSlider, ingredientsPriced, slidersOf, sliderPlates, applyTrials } from '..';

/*
 * Trials in a kitchen of one plate with two sizes: everything that a portion, a price or a yield can reach is in it, and it is
 * costed quickly enough to try hundreds of trays.
 */

const DAY = '2026-03-14';
const id = (n: number): string => `019cabd9-0000-7000-8000-0000000009${String(n).padStart(2, '0')}`;
const [OTHER_SUPPLIER, HALF, BANQUET, UNPRICED, LEEK_LINE, SAUCE_LINE, JAR_LINE, FAT_LINE, OWN_LINE] = [
  id(1),
  id(2),
  id(3),
  id(4),
  id(11),
  id(12),
  id(13),
  id(14),
  id(15),
] as const;

/** @param sauceOnHalf what the half says of its sauce; @param priced whether what only the banquet takes has a price */
function kitchen(sauceOnHalf: object | undefined, priced: boolean): KitchenFile {
  return smallKitchen((k) => {
    k.suppliers.push({ id: OTHER_SUPPLIER, name: 'Somebody else' });
    Object.assign(k.articles[1]!, { supplier: OTHER_SUPPLIER });
    k.ingredients.push({
      ...k.ingredients[2]!,
      id: UNPRICED,
      name: 'Rare leek',
    });
    if (priced) k.articles.push({ ...k.articles[1]!, id: id(21), ingredient: UNPRICED, name: 'Rare leek' });
    Object.assign(k.plates[0]!, {
      serviceLossPct: 10,
      lines: [
        { id: LEEK_LINE, of: { ingredient: SMALL.leek }, amount: '100 g', overfillPct: 20 },
        { id: SAUCE_LINE, of: { product: SMALL.sauce }, amount: '100 g', takenPct: 60 },
        { id: JAR_LINE, of: { ingredient: SMALL.salt }, amount: '8 g', packaging: true },
        { id: FAT_LINE, of: { ingredient: SMALL.fat }, amount: '15 g' },
      ],
    });
    const size = (of: string, name: string, size: number, but: object[], lines: object[]) => ({
      ...k.plates[0]!,
      id: of,
      name,
      menuPrice: '6.00',
      targetFoodCostPct: undefined,
      follows: { plate: SMALL.plate, size, but },
      lines,
    });
    k.plates.push(
      size(HALF, 'Half', 0.5, sauceOnHalf ? [{ line: SAUCE_LINE, ...sauceOnHalf }] : [], []),
      size(BANQUET, 'Banquet', 10, [], [{ id: OWN_LINE, of: { ingredient: UNPRICED }, amount: '300 g' }]),
    );
  });
}

const KITCHENS = [
  kitchen(undefined, true),
  kitchen({ out: true }, true),
  kitchen({ amount: '70 g' }, true),
  kitchen({ takenPct: 30 }, false),
].map((file) => ({
  file,
  base: costKitchen(stateFrom(file), DAY, CONSTANTS, historyFrom(file, DAY)),
}));

function costedWith(
  file: KitchenFile,
  base: KitchenCosting,
  trials: readonly WrittenTrial[],
): KitchenCosting {
  const { state, times } = applyTrials(base, trials);
  const past = { ...historyFrom(file, DAY), times: (of: string) => times.get(of) ?? 1 };
  return costKitchen(state, DAY, CONSTANTS, past, base.workings);
}

const times = fc.constantFrom(0.5, 0.9, 1.1, 2.5);
const plate = fc.constantFrom(SMALL.plate, HALF, BANQUET);
const trial: fc.Arbitrary<WrittenTrial> = fc.oneof(
  fc.record({
    of: fc.constant('price' as const),
    ingredient: fc.constantFrom(SMALL.bones, SMALL.leek, SMALL.salt, UNPRICED),
    times,
  }),
  fc.record({
    of: fc.constant('group' as const),
    group: fc.constantFrom(...new Set(KITCHENS[0]!.file.ingredients.map(groupOf))),
    times,
  }),
  fc.record({
    of: fc.constant('supplier' as const),
    supplier: fc.constantFrom(SMALL.supplier, OTHER_SUPPLIER),
    times,
  }),
  fc.record({
    of: fc.constant('yield' as const),
    ingredient: fc.constantFrom(SMALL.bones, SMALL.leek, UNPRICED),
    usablePct: fc.constantFrom(30, 55, 69.5, 90),
  }),
  fc.record({
    of: fc.constant('portion' as const),
    plate,
    line: fc.constantFrom(LEEK_LINE, SAUCE_LINE, JAR_LINE, FAT_LINE, OWN_LINE),
    amount: fc.constantFrom('10 g', '175 g', '0.2 kg', '120 g', 'a bit'),
  }),
  fc.record({ of: fc.constant('menu price' as const), plate, price: fc.constantFrom('9.50', '24.00') }),
);

/** Plates while some trials slide, as a browser answers it. */
function slidIn(base: KitchenCosting, trials: readonly WrittenTrial[]) {
  const slid = slidersOf(base, trials);
  const graph = new CostGraph(slid.graph);
  graph.set(slid.prices);
  const before = [...base.plates.values()].map(({ plate: p }) => ({
    id: p.id,
    cost: costOfPlate(base, p.id).cost,
    menuPrice: p.menuPrice === undefined ? undefined : Number(p.menuPrice),
  }));
  return sliderPlates(before, slid, graph, trials, mannerIn(base.state));
}

test('what slides answers as the whole kitchen costed with it, dishes and their sizes, whatever is tried together', () => {
  fc.assert(
    fc.property(fc.nat(KITCHENS.length - 1), fc.array(trial, { maxLength: 5 }), (n, any) => {
      const { file, base } = KITCHENS[n]!;
      const trials = any.filter((t) => isSlider(base, t));
      const found = slidIn(base, trials);
      const after = costedWith(file, base, trials);
      expect(found.map((p) => p.id)).toEqual([SMALL.plate, HALF, BANQUET]);
      for (const p of found) {
        const cost = costOfPlate(after, p.id).cost;
        expect([p.id, p.priceThen]).toEqual([p.id, Number(after.plates.get(p.id)?.plate.menuPrice)]);
        if (cost === null) expect([p.id, p.then]).toEqual([p.id, null]);
        else expect(Math.abs((p.then ?? NaN) / cost - 1)).toBeLessThan(1e-9);
      }
      // Of a kitchen in which a price is not known something is not known, and it is not all of it.
      expect(found.map((p) => p.cost === null)).toEqual([false, false, n === 3]);
    }),
    { numRuns: cases(600) },
  );
});

const slidCosts = (base: KitchenCosting, trials: readonly WrittenTrial[]): (number | null)[] =>
  slidIn(base, trials).map((p) => p.then);

test('a size whose own portion is tried goes by that, in whichever order the two stand; the others go by their dish', () => {
  const portion = (plate: string, amount: string) =>
    ({ of: 'portion', plate, line: LEEK_LINE, amount }) as const;
  const [parent, own] = [portion(SMALL.plate, '200 g'), portion(HALF, '10 g')];
  const both = slidCosts(KITCHENS[0]!.base, [parent, own]);
  expect(both).toEqual(slidCosts(KITCHENS[0]!.base, [own, parent]));
  const [, half] = slidCosts(KITCHENS[0]!.base, [own]);
  const [plate, , banquet] = slidCosts(KITCHENS[0]!.base, [parent]);
  expect(both).toEqual([plate, half, banquet]);
  expect(half).toBeLessThan(slidCosts(KITCHENS[0]!.base, [])[1]!);
});

test('a line of a dish that is of nothing that is there any more is tried without a fall', () => {
  const { file } = KITCHENS[0]!;
  const state = stateFrom(file);
  const plates = state.plates.map((p) =>
    p.id === SMALL.plate
      ? { ...p, lines: p.lines.map((l) => (l.id === FAT_LINE ? { ...l, of: { product: id(98) } } : l)) }
      : p,
  );
  const base = costKitchen({ ...state, plates }, DAY, CONSTANTS, historyFrom(file, DAY));
  const trial = { of: 'portion', plate: SMALL.plate, line: FAT_LINE, amount: '40 g' } as const;
  expect(slidCosts(base, [trial])[0]).toBeNull();
});

test('a line that is tried stays in the way it belongs to, and switched off if it was', () => {
  const choice = {
    id: id(31),
    name: 'salt',
    ways: [
      { id: id(32), name: 'early' },
      { id: id(33), name: 'late' },
    ],
    house: id(32),
  };
  const lines = [
    { id: id(41), do: 'add', of: { ingredient: SMALL.salt }, amount: '20 g', way: id(32) },
    { id: id(42), do: 'add', of: { ingredient: SMALL.salt }, amount: '30 g', way: id(33), off: true },
    { id: id(43), do: 'add', of: { product: SMALL.stock }, amount: '2 kg' },
  ];
  const file = smallKitchen((k) => Object.assign(k.recipes[1]!, { choices: [choice], steps: lines }));
  const base = costKitchen(stateFrom(file), DAY, CONSTANTS, historyFrom(file, DAY));
  const tried = (step: string) =>
    applyTrials(base, [
      { of: 'line', recipe: SMALL.sauce, step, says: '25 g salt' },
    ]).state.recipes[1]!.steps.find((s) => s.id === step);
  expect(tried(id(41))).toMatchObject({ do: 'add', amount: '25 g', way: id(32) });
  expect(tried(id(41))).not.toHaveProperty('off');
  expect(tried(id(42))).toMatchObject({ amount: '25 g', way: id(33), off: true });
  expect(tried(id(43))).not.toHaveProperty('way');
});

describe('each kind of trial does what it says and nothing else', () => {
  const { file, base } = KITCHENS[0]!;
  const only = (t: WrittenTrial) => applyTrials(base, [t]);
  const differing = (a: object, b: object): string[] =>
    Object.keys({ ...a, ...b }).filter(
      (k) => JSON.stringify((a as never)[k]) !== JSON.stringify((b as never)[k]),
    );

  test('a price moves the thing itself, a group what belongs to it, a supplier what is bought there', () => {
    const group = groupOf(file.ingredients[0]!);
    expect(ingredientsPriced(base, { of: 'price', ingredient: SMALL.bones, times: 2 })).toEqual([
      SMALL.bones,
    ]);
    expect(ingredientsPriced(base, { of: 'price', ingredient: SMALL.fat, times: 2 })).toEqual([]);
    expect(ingredientsPriced(base, { of: 'supplier', supplier: OTHER_SUPPLIER, times: 2 })).toEqual([
      SMALL.leek,
      UNPRICED,
    ]);
    expect(ingredientsPriced(base, { of: 'supplier', supplier: SMALL.supplier, times: 2 })).toEqual([
      SMALL.bones,
      SMALL.salt,
    ]);
    expect(ingredientsPriced(base, { of: 'group', group, times: 2 })).toEqual(
      file.ingredients.filter((i) => groupOf(i) === group && i.id !== SMALL.fat).map((i) => i.id),
    );
    expect(ingredientsPriced(base, { of: 'yield', ingredient: SMALL.bones, usablePct: 50 })).toEqual([]);
    expect(ingredientsPriced(base, { of: 'layer', layer: 'hands', times: 2 })).toEqual([]);
  });

  test('what each of them leaves otherwise', () => {
    const priced = only({ of: 'price', ingredient: SMALL.bones, times: 2 });
    expect([priced.state, [...priced.times], priced.flaws]).toEqual([
      base.state,
      [[SMALL.bones, 2]],
      [undefined],
    ]);
    const menu = only({ of: 'menu price', plate: HALF, price: '7.25' }).state;
    expect(differing(base.state, menu)).toEqual(['plates']);
    expect(menu.plates.map((p) => p.menuPrice)).toEqual(['11.00', '7.25', '6.00']);
    const school = only({ of: 'school', school: 'free' }).state;
    expect(school.kitchen.trim).toEqual({ school: 'free', setValuePerKg: '0.50' });
    expect(only({ of: 'school', school: 'value', setValuePerKg: '0.80' }).state.kitchen.trim).toEqual({
      school: 'value',
      setValuePerKg: '0.80',
    });
    const swapped = only({ of: 'instead', kind: 'ingredient', from: SMALL.leek, to: UNPRICED }).state;
    expect(differing(base.state, swapped)).toEqual(['recipes', 'plates']);
    const yielded = only({ of: 'yield', ingredient: SMALL.leek, usablePct: 55 }).state;
    expect(differing(base.state, yielded)).toEqual(['ingredients']);
    expect(yielded.ingredients.find((i) => i.id === SMALL.leek)?.yields.at(-1)).toMatchObject({
      usablePct: 55,
      stockTrimPct: 40,
      on: DAY,
    });
  });

  test('an hour of hands and a kilowatt hour become so much dearer, each by itself', () => {
    const paid = smallKitchen((k) => {
      k.kitchen.wagePerHour = '18.00';
      k.kitchen.energyPerKwh = { electricity: '0.30' };
    });
    const costed = costKitchen(stateFrom(paid), DAY, CONSTANTS, historyFrom(paid, DAY));
    const hands = applyTrials(costed, [{ of: 'layer', layer: 'hands', times: 1.5 }]).state.kitchen;
    expect([hands.wagePerHour, hands.energyPerKwh]).toEqual(['27', { electricity: '0.30' }]);
    const energy = applyTrials(costed, [{ of: 'layer', layer: 'energy', times: 2 }]).state.kitchen;
    expect([energy.wagePerHour, energy.energyPerKwh]).toEqual(['18.00', { electricity: '0.6' }]);
  });

  test('a trouble of a whole trial points at no part of it', () => {
    const GONE = id(99);
    for (const t of [
      { of: 'price', ingredient: GONE, times: 2 },
      { of: 'supplier', supplier: GONE, times: 2 },
      { of: 'supplier', supplier: OTHER_SUPPLIER, times: 2 },
      { of: 'group', group: 'nobody’s', times: 2 },
      { of: 'menu price', plate: GONE, price: '9.00' },
      { of: 'layer', layer: 'hands', times: 2 },
      { of: 'layer', layer: 'energy', times: 2 },
    ] as const satisfies readonly WrittenTrial[]) {
      const [flaw] = only(t).flaws;
      if (t.of === 'supplier' && t.supplier === OTHER_SUPPLIER) expect(flaw).toBeUndefined();
      else expect(flaw?.path).toBe('');
    }
    const idle = smallKitchen((k) => k.suppliers.push({ id: OTHER_SUPPLIER, name: 'Somebody else' }));
    const costed = costKitchen(stateFrom(idle), DAY, CONSTANTS, historyFrom(idle, DAY));
    expect(
      applyTrials(costed, [{ of: 'supplier', supplier: OTHER_SUPPLIER, times: 2 }]).flaws[0],
    ).toMatchObject({
      code: 'no-price',
      path: '',
    });
  });
});
