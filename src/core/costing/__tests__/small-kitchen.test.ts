import { CONSTANTS } from '../../reference';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import {
  costFile,
  costOfPlate,
  costOfProduct,
  gapsOf,
  inputCosts,
  trimFlow,
  wentInCents,
  whereTheMoneyWent,
} from '..';

/** The small kitchen's figures are worked out on paper here, not by the program. */
const cost = (change?: Parameters<typeof smallKitchen>[0]) =>
  costFile(smallKitchen(change), '2026-02-01', CONSTANTS);
type Change = NonNullable<Parameters<typeof smallKitchen>[0]>;
type Written = Parameters<Change>[0];
const stockOf = (w: Written) => w.recipes[0]!;
const sauceOf = (w: Written) => w.recipes[1]!;
const plateOf = (w: Written) => w.plates[0]!;

/** 2 kg of bones at 2.00 / .7 and 400 g of leek trim at 3.00 / .9, in 4991 g of water. */
const STOCK = { total: 4 / 0.7 + 0.4 * (3 / 0.9), g: 7391 };
const SAUCE = { total: (STOCK.total / STOCK.g) * 2000 + 0.02, g: 2020 };

describe('a product', () => {
  const k = cost();
  test('costs what went in, by the litre, the kilo and the portion that leaves the ladle', () => {
    const stock = costOfProduct(k, SMALL.stock);
    expect(stock.total).toBeCloseTo(STOCK.total, 10);
    expect(stock.g).toBeCloseTo(STOCK.g, 6);
    expect(stock.perKg).toBeCloseTo((STOCK.total / STOCK.g) * 1000, 10);
    expect(stock.perL).toBeCloseTo((STOCK.total / stock.ml) * 1000, 10);
    expect([stock.perPortion, stock.portionMl, stock.pouredMl]).toEqual([null, null, null]);
    const sauce = costOfProduct(k, SMALL.sauce);
    expect(sauce.total).toBeCloseTo(SAUCE.total, 10);
    expect(sauce.portionMl).toBe(100);
    expect(sauce.pouredMl).toBeCloseTo(110, 9);
    expect(sauce.perPortion).toBeCloseTo((SAUCE.total / sauce.ml) * 110, 10);
    expect(inputCosts(k, SMALL.stock).map((c) => Number(c?.toFixed(9)))).toEqual([
      0,
      Number((4 / 0.7).toFixed(9)),
      Number((1.2 / 0.9).toFixed(9)),
    ]);
  });
  test('that nobody knows costs nothing known', () => {
    const nothing = { ml: 0, g: 0, total: null, perL: null, perKg: null, inKilos: false };
    const none = { ...nothing, perPortion: null, portionMl: null, pouredMl: null };
    expect(costOfProduct(k, 'nowhere')).toEqual(none);
    expect(costOfProduct(k, SMALL.stock, 'fat')).toEqual(none);
    expect(inputCosts(k, 'nowhere')).toEqual([]);
    expect(whereTheMoneyWent(k, 'nowhere')).toBeNull();
  });
  test('without a price still says how much of it there is, and how much a portion is', () => {
    const free = cost((w) => {
      w.articles[2]!.quotes = [];
    });
    const sauce = costOfProduct(free, SMALL.sauce);
    expect([sauce.total, sauce.perL, sauce.perKg, sauce.perPortion]).toEqual([null, null, null, null]);
    expect([Math.round(sauce.g), sauce.portionMl, Math.round(sauce.pouredMl ?? 0)]).toEqual([2020, 100, 110]);
    expect(inputCosts(free, SMALL.sauce)[1]).toBeNull();
    expect(whereTheMoneyWent(free, SMALL.sauce)).toBeNull();
    expect(whereTheMoneyWent(free, SMALL.stock)).not.toBeNull();
  });
});

describe('where the money went', () => {
  test('is what was paid for, less what the knife took away, and what is left', () => {
    const k = cost();
    const went = whereTheMoneyWent(k, SMALL.stock)!;
    // The bones as purchased are worth 4.00 of the 5.71 their usable part costs: 1.71 went with the knife.
    expect(went.spent).toBeCloseTo(STOCK.total, 9);
    expect(went.trimmed).toBeCloseTo(4 / 0.7 - 4, 9);
    expect(went.trimmed + went.left + Object.values(went.lost).reduce((a, b) => a + b, 0)).toBeCloseTo(
      went.spent,
      9,
    );
    const cents = wentInCents(went);
    expect([cents.spent, cents.trimmed].map(String)).toEqual(['7.05', '1.71']);
    expect(cents.left.plus(cents.trimmed).toString()).toBe('7.05');
  });
  test('in cents: what is trimmed below 0 stands as it is, the rest makes up for it', () => {
    const cents = wentInCents({
      spent: 10,
      trimmed: -1,
      lost: { evaporated: 2 },
      parted: { fat: 3 },
      left: 6,
    } as never);
    expect([cents.spent, cents.trimmed, cents.left].map(String)).toEqual(['10', '-1', '6']);
    const whole = [cents.trimmed, cents.left, ...Object.values(cents.lost), ...Object.values(cents.parted)];
    expect(whole.reduce((a, b) => a.plus(b)).toString()).toBe('10');
    expect(String(cents.parted.fat)).toBe('3');
    const other = wentInCents({ spent: 10, trimmed: 1, lost: {}, parted: {}, left: 9 });
    expect([other.trimmed, other.left].map(String)).toEqual(['1', '9']);
  });
});

describe('per dish', () => {
  const LEEK = 0.1 * (3 / 0.9);
  const perKg = (SAUCE.total / SAUCE.g) * 1000;
  test('costs its lines, and what share of its price net of tax that is', () => {
    const plate = costOfPlate(cost(), SMALL.plate);
    expect(plate.lines[0]).toBeCloseTo(LEEK, 10);
    expect(plate.lines[1]).toBeCloseTo(0.1 * perKg, 10);
    expect(plate.cost).toBeCloseTo(LEEK + 0.1 * perKg, 10);
    expect(plate.netPrice).toBeCloseTo(10, 10);
    expect(plate.foodCostPct).toBeCloseTo((LEEK + 0.1 * perKg) * 10, 9);
    expect(plate.mostAllowed).toBeCloseTo(3, 10);
  });
  test('without a price has no share, without a target nothing it may cost; given away it has no share either', () => {
    const priceless = costOfPlate(
      cost((w) => void (plateOf(w).menuPrice = undefined)),
      SMALL.plate,
    );
    expect([priceless.netPrice, priceless.foodCostPct, priceless.mostAllowed]).toEqual([null, null, null]);
    const free = costOfPlate(
      cost((w) => void (plateOf(w).menuPrice = '0')),
      SMALL.plate,
    );
    expect([free.netPrice, free.foodCostPct, free.mostAllowed]).toEqual([0, null, 0]);
    const aimless = costOfPlate(
      cost((w) => void (plateOf(w).targetFoodCostPct = undefined)),
      SMALL.plate,
    );
    expect(aimless.netPrice).toBeCloseTo(10, 10);
    expect(aimless.mostAllowed).toBeNull();
  });
  test('with a line that cannot be weighed has no cost, and the others keep theirs', () => {
    const plate = costOfPlate(
      cost((w) => void plateOf(w).lines.push({ of: { ingredient: SMALL.leek }, amount: '2 bunches' })),
      SMALL.plate,
    );
    expect([plate.cost, plate.foodCostPct, plate.lines[2]]).toEqual([null, null, null]);
    expect(plate.lines[0]).toBeCloseTo(LEEK, 10);
  });
});

describe('why a cost is not whole', () => {
  const told = (change: Change, key: string) =>
    gapsOf(cost(change), key).map(({ code, path, message }) => [code, path, message]);
  const noBones: Change = (w) => {
    w.articles[0]!.quotes = [];
  };
  const NO_BONES = ['no-price', `usable:${SMALL.bones}`, 'Bones has no price on 2026-02-01.'];

  test('nothing where it is', () => {
    for (const key of [`product:${SMALL.sauce}`, `plate:${SMALL.plate}`, `usable:${SMALL.leek}`, 'free'])
      expect(told(() => undefined, key)).toEqual([]);
  });
  test('a price that is missing is told once, wherever it is inherited', () => {
    for (const key of [
      `usable:${SMALL.bones}`,
      `product:${SMALL.stock}`,
      `product:${SMALL.sauce}`,
      `plate:${SMALL.plate}`,
    ])
      expect(told(noBones, key)).toEqual([NO_BONES]);
    expect(told(noBones, `usable:${SMALL.salt}`)).toEqual([]);
  });
  test('trim and what comes off tell that what they come off has none', () => {
    const noLeek: Change = (w) => {
      w.articles[1]!.quotes = [];
    };
    expect(told(noLeek, `trim:${SMALL.leek}`)).toEqual([
      ['no-price', `trim:${SMALL.leek}`, 'Leek has no price on 2026-02-01.'],
    ]);
    const fried: Change = (w) => {
      noBones(w);
      sauceOf(w).steps.unshift({ do: 'add', of: { ingredient: SMALL.fat }, amount: '100 g' });
    };
    expect(told(fried, `usable:${SMALL.fat}`)).toEqual([
      ['no-price', `usable:${SMALL.fat}`, 'Fat comes off Bones, which has no cost on 2026-02-01.'],
    ]);
  });
  test('a line that cannot be read, a step that cannot be done and a pot with no steps are told at their place', () => {
    const unread: Change = (w) =>
      void stockOf(w).steps.push({ do: 'add', of: { ingredient: SMALL.leek }, amount: '3 bunches' });
    expect(told(unread, `product:${SMALL.sauce}`)).toEqual([
      [
        'piece-weight-unknown',
        `product:${SMALL.stock}.steps[3]`,
        'Stock, step 4: Leek is asked for by the bunch, but what a bunch of it weighs is not known.',
      ],
    ]);
    const refused: Change = (w) => void sauceOf(w).steps.push({ do: 'water', amount: '1 l' });
    expect(told(refused, `product:${SMALL.sauce}`)).toEqual([
      [
        'after-portion',
        `product:${SMALL.sauce}.steps[3]`,
        'Sauce, step 4: Nothing can follow the portioning: it is the last step.',
      ],
    ]);
    const empty: Change = (w) => {
      stockOf(w).steps = [];
    };
    expect(told(empty, `product:${SMALL.stock}`)).toEqual([
      ['no-product', `product:${SMALL.stock}`, 'Stock has no steps yet that make anything.'],
    ]);
  });
  test('a line of a dish is told at the dish, beside what it inherits', () => {
    const both: Change = (w) => {
      noBones(w);
      plateOf(w).lines.push({ of: { ingredient: SMALL.leek }, amount: '2 bunches' });
    };
    expect(told(both, `plate:${SMALL.plate}`)).toEqual([
      NO_BONES,
      [
        'piece-weight-unknown',
        `plate:${SMALL.plate}.lines[2]`,
        'Leek is asked for by the bunch, but what a bunch of it weighs is not known.',
      ],
    ]);
  });
  test('what a last batch left lacks what its pot lacks', () => {
    const old: Change = (w) => {
      noBones(w);
      sauceOf(w).steps[0] = { do: 'add', of: { lastBatchOf: SMALL.stock }, amount: '2 kg' };
    };
    expect(told(old, `last:${SMALL.stock}`)).toEqual([NO_BONES]);
    expect(told(old, `product:${SMALL.sauce}`)).toEqual([NO_BONES]);
  });
});

describe('the flow of trim in a week', () => {
  const flow = (
    change?: Change,
    kg: Readonly<Record<string, number>> = { [SMALL.leek]: 5, [SMALL.bones]: 10 },
  ) => trimFlow(cost(change), (id) => (kg[id] ?? 0) * 1000);
  const of = (flows: ReturnType<typeof flow>, supply: string) => flows.find((f) => f.supply === supply)!;

  test('what comes off is told with what it comes off, whether that is guessed, and who asks for it', () => {
    const flows = flow();
    expect(
      flows.map((f) => [f.supply, f.name, f.of.name, f.boughtG, Number(f.givesG.toFixed(6)), f.guess]),
    ).toEqual([
      [`trim:${SMALL.bones}`, 'Bones, stock trim', 'Bones', 10_000, 1000, true],
      [`usable:${SMALL.fat}`, 'Fat', 'Bones', 10_000, 2000, true],
      [`trim:${SMALL.leek}`, 'Leek, stock trim', 'Leek', 5000, 2000, true],
    ]);
    const leek = of(flows, `trim:${SMALL.leek}`);
    expect(leek.asks).toEqual([{ recipe: SMALL.stock, name: 'Stock', batches: 2, perBatchG: 400 }]);
    expect([leek.asksG, leek.share, leek.taken, leek.sold, leek.plates]).toEqual([800, 0.4, 1, false, []]);
    expect(leek.perKg).toBeCloseTo(3 / 0.9, 10);
    // 800 of 2000 g are really taken: .4 of the trim shares the price.
    expect(leek.reallyTaken).toBeCloseTo(0.4, 12);
    expect(leek.usablePerKg).toBeCloseTo(3 / 0.9, 10);
    expect(leek.usableThen).toBeCloseTo(3 / (0.5 + 0.4 * 0.4), 10);
  });
  test('what nobody takes is taken by nobody; more than there is cannot be taken', () => {
    const fat = of(flow(), `usable:${SMALL.fat}`);
    expect([fat.taken, fat.reallyTaken, fat.asks, fat.asksG]).toEqual([0, 0, [], 0]);
    expect(fat.usableThen).toBeCloseTo(2 / 0.7, 10);
    const little = of(flow(undefined, { [SMALL.leek]: 1 }), `trim:${SMALL.leek}`);
    expect([little.givesG, little.reallyTaken]).toEqual([400, 1]);
  });
  test('where none comes in in a week, it is left as the cost counts it', () => {
    const leek = of(flow(undefined, {}), `trim:${SMALL.leek}`);
    expect([leek.boughtG, leek.givesG, leek.reallyTaken]).toEqual([0, 0, 1]);
  });
  test('a by-product that pots ask for by its usable grams comes off in more of them, and shares the price', () => {
    const flows = flow((w) => {
      w.ingredients[1]!.yields[0]!.usablePct = 80;
      sauceOf(w).steps.unshift({ do: 'add', of: { ingredient: SMALL.fat }, amount: '400 g' });
    });
    const fat = of(flows, `usable:${SMALL.fat}`);
    expect(fat.asks).toEqual([{ recipe: SMALL.sauce, name: 'Sauce', batches: 1, perBatchG: 500 }]);
    // Bones and fat share 2.00 by weight: .7 + .2; a quarter of the 2 kg of fat is really taken.
    expect(fat.perKg).toBeCloseTo(2 / 0.9, 10);
    expect([fat.taken, fat.reallyTaken]).toEqual([1, 0.25]);
    expect(fat.usableThen).toBeCloseTo(2 / (0.7 + 0.05), 10);
    // The trim of the bones beside it stays as it was.
    expect(of(flows, `trim:${SMALL.bones}`).usableThen).toBeCloseTo(2 / 0.9, 10);
  });
  test('what is in a dish or is sold is taken, however little the pots ask for', () => {
    const plated = of(
      flow((w) => void plateOf(w).lines.push({ of: { stockTrimOf: SMALL.leek }, amount: '10 g' })),
      `trim:${SMALL.leek}`,
    );
    expect([plated.plates, plated.reallyTaken]).toEqual([['Dish'], 1]);
    const sold = of(
      flow((w) => {
        (w.ingredients[1] as unknown as { comesOff: { sold: boolean } }).comesOff.sold = true;
      }),
      `usable:${SMALL.fat}`,
    );
    // A buyer pays 1.00 a kilo for all of it, whatever the school.
    expect([sold.sold, sold.taken, sold.reallyTaken, sold.perKg]).toEqual([true, 1, 1, 1]);
    expect(sold.usablePerKg).toBeCloseTo((2 - 0.2) / 0.7, 10);
  });
  test('where nothing comes off nothing flows', () => {
    expect(
      flow((w) => {
        for (const i of w.ingredients)
          for (const y of i.yields) Object.assign(y, { stockTrimPct: 0, byProducts: [] });
      }),
    ).toEqual([]);
  });
});
