import { Decimal } from 'decimal.js';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { partsOf, type KitchenFile } from '../../kitchen-file';
import {
  costFile,
  costOfPlate,
  costOfProduct,
  gapsOf,
  inputCosts,
  wentInCents,
  whereTheMoneyWent,
  type KitchenCosting,
} from '..';
import { sourcePrices } from '../../knife';
import { rowCosts } from '../../layers';
import { whyCost, type Why } from '../../why';

const DAY = '2026-03-14';
const cost = (change: (file: KitchenFile) => void = () => undefined, day = DAY): KitchenCosting => {
  const file = demoKitchen();
  change(file);
  return costFile(file, day, CONSTANTS);
};
const recipe = (k: KitchenCosting, name: string): string =>
  k.state.recipes.find((r) => r.name === name)?.id ?? '';
const ingredient = (
  file: Pick<KitchenFile, 'ingredients'>,
  name: string,
): KitchenFile['ingredients'][number] =>
  file.ingredients.find((i) => i.name === name) as KitchenFile['ingredients'][number];
const perL = (k: KitchenCosting, name: string): number => costOfProduct(k, recipe(k, name)).perL ?? NaN;
const priceOf = (file: KitchenFile, name: string, price: string): void => {
  const article = file.articles.find((a) => a.ingredient === ingredient(file, name).id);
  article?.quotes.push({ on: DAY, recordedAt: '2026-03-14T10:00:00.000Z', price });
};

describe('a kitchen costed', () => {
  const k = cost();

  test('every product and dish of the demo has a cost, and none has a gap', () => {
    for (const r of k.state.recipes) {
      expect(gapsOf(k, `product:${r.id}`)).toEqual([]);
      expect(costOfProduct(k, r.id).perL).toBeGreaterThan(0);
    }
    for (const p of k.state.plates) expect(costOfPlate(k, p.id).cost).toBeGreaterThan(0);
  });

  test('money in is money in the product and in what parts from it: the graph says what the inputs add up to', () => {
    for (const r of k.state.recipes) {
      const spent = inputCosts(k, r.id).reduce<number>((sum, c) => sum + (c ?? NaN), 0);
      const away = partsOf(r).reduce((sum, p) => sum + (costOfProduct(k, r.id, p).total ?? NaN), 0);
      expect((costOfProduct(k, r.id).total ?? NaN) + away).toBeCloseTo(spent, 9);
      const run = k.recipes.get(r.id)?.run;
      const rows = rowCosts(run?.rows ?? [], inputCosts(k, r.id), []);
      expect((rows[rows.length - 1]?.inPot ?? NaN) + away).toBeCloseTo(spent, 9);
    }
  });

  test('where the money went adds up to the cent in every pot', () => {
    for (const r of k.state.recipes) {
      const went = whereTheMoneyWent(k, r.id);
      expect(went).not.toBeNull();
      const cents = wentInCents(went as NonNullable<typeof went>);
      const sum = [
        cents.trimmed,
        cents.left,
        ...Object.values(cents.lost),
        ...Object.values(cents.parted),
      ].reduce((a, b) => a.plus(b), new Decimal(0));
      expect(sum.toString()).toBe(cents.spent.toString());
    }
  });

  test('a purchase sets the price, a later quote replaces it, an earlier day does not know it', () => {
    const frames = (day: string) =>
      cost(() => undefined, day).supplies.get(ingredient(k.state, 'Trout frames').id)?.price;
    expect(frames(DAY)).toMatchObject({ on: '2026-03-11', invoice: 'TH/1107' });
    expect(frames(DAY)?.perKg.toNumber()).toBe(1.44);
    expect(frames('2026-03-05')).toMatchObject({ on: '2026-03-04' });
    expect(frames('2026-03-05')?.perKg.toNumber()).toBe(1.43);
    expect(frames('2025-01-01')).toBeUndefined();
  });

  test('bones up: every dish that is made from them moves, the others do not', () => {
    const dearer = cost((f) => priceOf(f, 'Venison bones', '48.00'));
    for (const name of ['Venison bone stock', 'Reduced game base', 'Juniper sauce'])
      expect(perL(dearer, name)).toBeGreaterThan(perL(k, name));
    for (const name of ['White roux', 'Trout velouté', 'Sorrel sauce'])
      expect(perL(dearer, name)).toBe(perL(k, name));
    const [venison, trout] = k.state.plates.map((p) => [
      costOfPlate(k, p.id).cost,
      costOfPlate(dearer, p.id).cost,
    ]);
    expect(venison?.[1]).toBeGreaterThan(venison?.[0] as number);
    expect(trout?.[1]).toBe(trout?.[0]);
  });

  test('the graph alone says the same as costing the whole kitchen rebuilt', () => {
    const here = cost();
    const bones = here.supplies.get(ingredient(here.state, 'Venison bones').id);
    here.graph.set(
      sourcePrices([{ ingredient: { id: bones?.ingredient.id ?? '' }, usablePerKg: 4.8, trimPerKg: 0 }]),
    );
    const rebuilt = cost((f) => priceOf(f, 'Venison bones', '48.00'));
    for (const node of rebuilt.graph.nodes)
      if (!node.key.startsWith('trim:'))
        expect(here.graph.cost(node.key)).toBeCloseTo(rebuilt.graph.cost(node.key) as number, 12);
  });

  test('a lower usable yield never lowers any cost', () => {
    for (const name of ['Onion', 'Leek', 'Celeriac', 'Venison loin']) {
      const worse = cost((f) => {
        const last = ingredient(f, name).yields[0];
        if (last) last.usablePct *= 0.8;
      });
      for (const node of k.graph.nodes)
        expect(worse.graph.cost(node.key) as number).toBeGreaterThanOrEqual(
          (k.graph.cost(node.key) as number) - 1e-12,
        );
    }
  });

  test('trim that a pot takes is charged there and relieves the usable part', () => {
    const { id } = ingredient(k.state, 'Leek');
    const leek = k.supplies.get(id);
    expect(leek?.knife.trimTaken).toBe(1);
    expect(leek?.trimPerKg).toBe(0.6);
    // A box of 5 kg that held 4.86 kg when somebody weighed it.
    const bought = leek?.price?.perKg.toNumber() ?? 0;
    expect(bought).toBeCloseTo(14 / 4.86, 10);
    expect(leek?.usablePerKg).toBeCloseTo((bought - 0.6 * 0.28) / 0.62, 10);
    const untaken = cost((f) =>
      f.recipes.forEach((r) => (r.steps = r.steps.filter((s) => !('of' in s && 'stockTrimOf' in s.of)))),
    );
    expect(untaken.supplies.get(id)?.usablePerKg).toBeCloseTo(bought / 0.62, 10);
  });
});

describe('a cost that is not whole is never a lower cost', () => {
  const stockStep = (
    f: KitchenFile,
    i: number,
    step: KitchenFile['recipes'][number]['steps'][number],
  ): void => {
    (f.recipes[0] as KitchenFile['recipes'][number]).steps[i] = step;
  };
  test.each<[string, (f: KitchenFile) => void, RegExp]>([
    [
      'a line nobody can read',
      (f) => stockStep(f, 1, { do: 'unread', said: '1.2 kgg trimmngs' }),
      /Venison bone stock, step 2: “1\.2 kgg trimmngs” could not be read/,
    ],
    [
      'an amount nobody can read',
      (f) =>
        stockStep(f, 1, {
          do: 'add',
          of: { ingredient: ingredient(f, 'Venison trimmings').id },
          amount: '1.2 kgg',
        }),
      /step 2: “kgg” is not a unit/,
    ],
    [
      'a pot that runs over',
      (f) => stockStep(f, 3, { do: 'water', amount: '60 l' }),
      /step 4: The pot would run over/,
    ],
    [
      'a missing price',
      (f) =>
        (f.articles = f.articles.filter((a) => a.ingredient !== ingredient(f, 'Venison bones').id)) &&
        (f.purchases = []),
      /Venison bones has no price/,
    ],
    ['an empty recipe', (f) => ((f.recipes[0] as KitchenFile['recipes'][number]).steps = []), /no steps yet/],
  ])('%s', (_, spoil, words) => {
    const k = cost(spoil);
    for (const name of ['Venison bone stock', 'Reduced game base', 'Juniper sauce']) {
      expect(costOfProduct(k, recipe(k, name))).toMatchObject({ total: null, perL: null, perPortion: null });
      expect(
        gapsOf(k, `product:${recipe(k, name)}`)
          .map((t) => t.message)
          .join(' '),
      ).toMatch(words);
    }
    expect(costOfPlate(k, k.state.plates[0]?.id ?? '')).toMatchObject({ cost: null, foodCostPct: null });
    expect(perL(k, 'Sorrel sauce')).toBeGreaterThan(0);
  });
});

describe('why', () => {
  const k = cost();
  const flat = (why: Why): Why[] => [why, ...why.rows.flatMap(flat)];
  const said = (why: Why): string =>
    flat(why)
      .map((w) => `${w.title} ${w.detail ?? ''}`)
      .join('\n');

  test('a dish’s cost opens down to the purchase, the yield test and the strainer', () => {
    const words = said(whyCost(k, `plate:${k.state.plates[0]?.id}`, (n) => n.toFixed(2)));
    expect(words).toMatch(/Invoice WG-20418 Venison bones, chopped, 10 kg from Weirside Game, 2026-03-09/);
    expect(words).toMatch(
      /Usable yield 71 %, stock trim 16 % measured, likely 69.1 to 72.9 %, since 2026-03-05 · 2 own tests/,
    );
    expect(words).toMatch(/held in solids/);
  });

  test('every figure of the answer is the sum of the rows that say it is made of them', () => {
    for (const r of k.state.recipes) {
      const why = whyCost(k, `product:${r.id}`, (n) => n.toFixed(2));
      const went = why.rows.find((row) => row.title === 'What went in') as Why;
      expect(went.rows.reduce((sum, row) => sum + (row.money ?? NaN), 0)).toBeCloseTo(
        went.money as number,
        9,
      );
    }
    for (const p of k.state.plates) {
      const why = whyCost(k, `plate:${p.id}`, (n) => n.toFixed(2));
      expect(why.rows.reduce((sum, row) => sum + (row.money ?? NaN), 0)).toBeCloseTo(why.money as number, 9);
    }
  });

  test('the three schools are told in words', () => {
    for (const [school, words] of [
      ['free', /bought ÷ 62 % usable/],
      ['value', /0\.60 × 28 % stock trim\) ÷ 62 %/],
      ['weight', /÷ \(62 % usable \+ 28 % stock trim\)/],
    ] as const) {
      const other = cost((f) => (f.kitchen.trim.school = school));
      expect(
        whyCost(other, `usable:${ingredient(other.state, 'Leek').id}`, (n) => n.toFixed(2)).detail,
      ).toMatch(words);
    }
  });
});

describe('prices with a past', () => {
  const k = cost();
  const bought = (of: KitchenCosting, name: string) => of.supplies.get(ingredient(of.state, name).id)?.price;
  test('each basis says where its price comes from', () => {
    expect(bought(k, 'Onion')?.basis).toEqual({ by: 'average', days: 28 });
    expect(bought(k, 'Onion')?.layers.length).toBeGreaterThan(2);
    expect(bought(k, 'Butter')?.basis.by).toBe('stock');
    expect(bought(k, 'Salt')?.perKg.toNumber()).toBe(0.6);
    expect(bought(k, 'Carrot')?.basis.by).toBe('latest');
    const uncounted = cost((f) => (f.counts = []));
    expect(bought(uncounted, 'Butter')).toMatchObject({
      basis: { by: 'latest' },
      note: 'Nobody has counted it yet: the latest price counts.',
    });
  });

  test('an article that is chosen stays, however newly another was priced', () => {
    const chosen = cost((f) => {
      const onion = ingredient(f, 'Onion');
      onion.boughtAs = f.articles.find((a) => a.code === 'OP')?.id;
      onion.priceBasis = { by: 'latest' };
    });
    expect(bought(chosen, 'Onion')?.article.code).toBe('OP');
  });

  test('a bottle charged whole costs the sauce the whole bottle, and every account of it agrees', () => {
    const part = cost((f) => (ingredient(f, 'Fortified red wine').partPack = 'part'));
    expect(perL(k, 'Juniper sauce')).toBeGreaterThan(perL(part, 'Juniper sauce'));
    const sauce = k.state.recipes.find((r) => r.name === 'Juniper sauce')?.id ?? '';
    const paid = inputCosts(k, sauce).reduce<number>((sum, c) => sum + (c ?? 0), 0);
    expect(paid).toBeCloseTo(costOfProduct(k, sauce).total ?? 0, 9);
    const went = whereTheMoneyWent(k, sauce);
    expect(went?.spent).toBeCloseTo(paid, 9);
  });

  test('a merged spelling brings its articles, prices and uses along, and nothing is left of it', () => {
    const whole = cost((f) => {
      const other = ingredient(f, 'Shallots, banana');
      const line = f.recipes.find((r) => r.name === 'Juniper sauce')?.steps[1];
      if (line && 'of' in line) Object.assign(line, { of: { ingredient: other.id } });
      other.mergedInto = ingredient(f, 'Shallot').id;
    });
    expect(whole.state.ingredients.some((i) => i.name === 'Shallots, banana')).toBe(false);
    expect(perL(whole, 'Juniper sauce')).toBeCloseTo(perL(k, 'Juniper sauce'), 9);
    const shallot = ingredient(whole.state, 'Shallot').id;
    expect(whole.state.articles.filter((a) => a.ingredient === shallot)).toHaveLength(2);
  });
});
