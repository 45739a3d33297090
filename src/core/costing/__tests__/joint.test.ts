import examples from '../../testing/worked-examples.json';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { hob, of, round, stuff } from '../../testing/stuff';
import { type JointCost } from '../../pot';
import { runPot, type PotStep, type WrittenStep } from '../../verbs';
import { whyCost, type Why } from '../../why';
import type { KitchenFile } from '../../kitchen-file';
import { costFile, costOfProduct, gapsOf, whereTheMoneyWent } from '..';
import { sharesAt } from '../../layers/parting';
import { partsCost } from '../../layers';

const said = (why: Why): string => [why.title, why.detail ?? '', ...why.rows.map(said)].join('\n');

test('the worked example: one cost shared by credit, by weight and by market value', () => {
  const { given, expect: want } = examples.cases.find((c) => c.id === 'joint-products') as unknown as {
    given: { cost: number; parts: [string, number, number, boolean, number][] };
    expect: Record<'credit' | 'weight' | 'market', Record<string, number>>;
  };
  const main = given.parts.find((p) => p[3]) as (typeof given.parts)[number];
  const others = given.parts.filter((p) => !p[3]);
  const costs = (of_: (p: (typeof others)[number]) => JointCost) => {
    const parts = others.map((p) => ({ g: p[1] * 1000, cost: of_(p) }));
    const credits = parts.map(({ g, cost }) => (cost.by === 'credit' ? cost.perG * g : 0));
    const open = given.cost - credits.reduce((a, b) => a + b, 0);
    const money = sharesAt(parts, main[1] * 1000).map((s, i) => (credits[i] as number) + s * open);
    return {
      ...Object.fromEntries(others.map((p, i) => [p[0], money[i] as number])),
      [main[0]]: given.cost - money.reduce((a, b) => a + b, 0),
    };
  };
  const schools = {
    credit: costs((p) => ({ by: 'credit', perG: p[4] / 1000 })),
    weight: costs(() => ({ by: 'weight' })),
    market: costs((p) => ({ by: 'market', perG: p[2] / 1000, restPerG: main[2] / 1000 })),
  };
  for (const [school, money] of Object.entries(schools))
    for (const [name, value] of Object.entries(money))
      expect(value).toBeCloseTo(want[school as 'credit'][name] as number, 5);
});

const meat = stuff(
  'Neck',
  'piece',
  { water: 0.65, fat: 0.1 },
  { retention: 100, gelatinPool: 0.02, gelatinHalfLifeH: 2 },
);
const barley = stuff('Barley', 'piece', { water: 0.1, starch: 0.6 }, { takesWater: 1.5 });
const water = stuff('Water', 'liquid', { water: 1 });
const run = (...steps: PotStep[]) => runPot({ vessel: round(40, 40, 40), hob: hob(), steps }, CONSTANTS);
const weight: JointCost = { by: 'weight' };
const cooked: PotStep[] = [
  { do: 'add', what: of(meat), g: 3000 },
  { do: 'add', what: of(water), g: 8000 },
  { do: 'cook', heat: 'simmer', hours: 2, lid: 'on' },
];

describe('what parts from a pot', () => {
  test('picked meat goes back, or becomes a product; what nobody picks is thrown away', () => {
    const r = run(
      ...cooked,
      { do: 'strain', pressed: false, through: 'colander' },
      { do: 'pick', share: 0.5, as: 'picked neck', cost: weight },
      { do: 'pick', share: 0.4, cost: weight },
    );
    const thrown = r.rows[3]?.lost['solids discarded'] ?? NaN;
    expect(r.rows[4]?.parted[0]?.product.g).toBeCloseTo(thrown * 0.5, 6);
    expect(r.rows[5]?.piecesG).toBeCloseTo(thrown * 0.5 * 0.4, 6);
    expect(r.rows[5]?.lost['solids discarded']).toBeCloseTo(-thrown * 0.2, 6);
    // Picked meat still has gelatin to give.
    expect(r.rows[4]?.parted[0]?.product.pieces[0]?.gelatinPool).toBeGreaterThan(0);
  });

  test('barley stays where it is told to, the meat is strained out', () => {
    const steps = (keep: string[]): PotStep[] => [
      { do: 'add', what: of(barley), g: 400 },
      ...cooked,
      { do: 'strain', pressed: false, through: 'colander', keep },
    ];
    expect(run(...steps(['Barley'])).rows.at(-1)?.piecesG).toBeGreaterThan(900);
    expect(run(...steps(['Oats'])).refused?.trouble.code).toBe('nothing-to-keep');
  });

  test('a second wash takes the pieces on with the liquid they keep, and starts the next stock', () => {
    const r = run(
      ...cooked,
      { do: 'strain', pressed: false, through: 'colander' },
      { do: 'second wash', as: 'spent neck', cost: { by: 'credit', perG: 0 } },
    );
    const spent = r.rows.at(-1)?.parted[0]?.product;
    if (!spent) throw new Error('nothing parted');
    expect(spent.liquid.water).toBeGreaterThan(200);
    const next = run(
      {
        do: 'add',
        what: { is: 'product', supply: 'product:x#spent neck', name: 'spent', product: spent },
        g: spent.g,
      },
      { do: 'add', what: of(water), g: 4000 },
      { do: 'cook', heat: 'simmer', hours: 2, lid: 'on' },
    );
    // Half of it has come out already; in half the water what is left counts for nearly as much again, not more.
    expect(next.rows.at(-1)?.gelatinPct).toBeGreaterThan(0.05);
    const left = spent.pieces.reduce((g, p) => g + p.gelatinPool, 0);
    expect(left).toBeLessThan(3000 * 0.02 * 0.5 + 1e-6);
  });

  test('drawn off, a litre is like the litre that stays; the liquid alone leaves the pieces', () => {
    const r = run(...cooked, { do: 'draw off', ml: 2000, as: 'some', liquidOnly: false, cost: weight });
    const before = r.rows[2];
    const joint = r.rows[3]?.parted[0]?.product;
    expect(joint?.ml).toBeCloseTo(2000, 6);
    expect(r.rows[3]?.gelatinPct).toBeCloseTo(before?.gelatinPct ?? NaN, 9);
    const all = (before?.g ?? 0) + (before?.piecesG ?? 0);
    expect(partsCost(r.rows, [30, 0])[0]?.money).toBeCloseTo((30 * (joint?.g ?? 0)) / all, 9);
    const alone = run(...cooked, { do: 'draw off', ml: 2000, as: 'some', liquidOnly: true, cost: weight });
    expect(alone.rows[3]?.piecesG).toBe(before?.piecesG);
  });

  const strained: PotStep[] = [...cooked, { do: 'strain', pressed: false, through: 'cloth' }];
  test.each<[string, PotStep[], string, RegExp]>([
    [
      'pick from no strainer',
      [...cooked, { do: 'pick', share: 0.5, cost: weight }],
      'nothing-in-strainer',
      /no strainer/,
    ],
    [
      'pick more than there is',
      [...strained, { do: 'pick', share: 1.5, cost: weight }],
      'share-out-of-range',
      /150\.00 %/,
    ],
    [
      'pick what is not there',
      [...strained, { do: 'pick', share: 0.5, of: 'Barley', cost: weight }],
      'not-in-strainer',
      /neither in the strainer nor set aside/,
    ],
    [
      'wash nothing',
      [...cooked, { do: 'second wash', as: 'x', cost: weight }],
      'nothing-in-strainer',
      /no strainer/,
    ],
    [
      'draw off more than there is',
      [...cooked, { do: 'draw off', ml: 90_000, as: 'x', liquidOnly: false, cost: weight }],
      'draws-too-much',
      /90\.0 l: there are only 1\d\.\d l/,
    ],
    [
      'draw off nothing',
      [...cooked, { do: 'draw off', ml: 0, as: 'x', liquidOnly: false, cost: weight }],
      'nothing-drawn',
      /more than 0 l/,
    ],
  ])('to %s is refused with number and limit', (_, steps, code, words) => {
    const { refused } = run(...steps);
    expect(refused?.trouble.code).toBe(code);
    expect(refused?.trouble.message).toMatch(words);
    expect(refused?.trouble.numbers).toBeDefined();
  });
});

describe('joint products in a kitchen', () => {
  type Cost = Extract<WrittenStep, { do: 'second wash' }>['cost'];
  /** The demo with the bones of its stock washed a second time, and whatever else. */
  const kitchen = (
    cost: Cost | undefined,
    more: (file: KitchenFile, stock: string) => void = () => undefined,
  ) => {
    const file = demoKitchen();
    const stock = file.recipes.find((r) => r.name === 'Venison bone stock');
    if (!stock) throw new Error('no stock');
    // By itself: without the wash that feeds it, and the recipe that washes.
    stock.steps = stock.steps.flatMap((s) =>
      s.do === 'second wash'
        ? []
        : 'of' in s && 'lastBatchOf' in s.of
          ? [{ do: 'water', amount: '1.8 l' }]
          : [s],
    );
    if (cost)
      stock.steps.splice(stock.steps.findIndex((s) => s.do === 'strain') + 1, 0, {
        do: 'second wash',
        as: 'bones to wash',
        cost,
      });
    file.recipes = file.recipes.filter(
      (r) => !r.steps.some((s) => 'of' in s && 'product' in s.of && s.of.part === 'spent venison bones'),
    );
    more(file, stock.id);
    return { k: costFile(file, '2026-03-14', CONSTANTS), id: stock.id };
  };

  test('every cent that went in is in the stock and in what parted, whatever the school', () => {
    const plain = kitchen(undefined);
    const whole = costOfProduct(plain.k, plain.id).total ?? NaN;
    for (const cost of [
      { by: 'weight' as const },
      { by: 'credit' as const, perKg: '0.35' },
      { by: 'market' as const, perKg: '0.50', restPerKg: '2.00' },
    ]) {
      const { k, id } = kitchen(cost);
      const spent = costOfProduct(k, id, 'bones to wash');
      expect((costOfProduct(k, id).total ?? NaN) + (spent.total ?? NaN)).toBeCloseTo(whole, 9);
      if (cost.by === 'credit') expect(spent.perKg).toBeCloseTo(0.35, 12);
      const went = whereTheMoneyWent(k, id);
      const lost = Object.values(went?.lost ?? {}).reduce((a, b) => a + b, 0);
      expect(
        lost + (went?.trimmed ?? 0) + (went?.parted['bones to wash'] ?? 0) + (went?.left ?? 0),
      ).toBeCloseTo(went?.spent ?? NaN, 9);
    }
  });

  test('a pot that starts with them is made from the same bones: dearer bones reach it, but not at a set value', () => {
    const fumet = (cost: Cost, dear: boolean): number => {
      const { k } = kitchen(cost, (file, stock) => {
        file.recipes
          .find((r) => r.name === 'Trout-frame fumet')
          ?.steps.unshift({ do: 'add', of: { product: stock, part: 'bones to wash' }, amount: '2 kg' });
        const bones = file.articles.filter((a) => /Venison bones/.test(a.name)).map((a) => a.id);
        for (const p of dear ? file.purchases : [])
          for (const l of p.lines) if (l.is === 'goods' && bones.includes(l.article)) l.packPrice = '99.00';
      });
      const recipe = k.state.recipes.find((r) => r.name === 'Trout-frame fumet');
      return costOfProduct(k, recipe?.id ?? '').perL ?? NaN;
    };
    const set: Cost = { by: 'credit', perKg: '0.20' };
    expect(fumet({ by: 'weight' }, true)).toBeGreaterThan(fumet({ by: 'weight' }, false) * 1.2);
    expect(fumet(set, true)).toBeCloseTo(fumet(set, false), 12);
  });

  test('credited with more than there is, neither has a cost and it is said why', () => {
    const { k, id } = kitchen({ by: 'credit', perKg: '90.00' });
    expect(costOfProduct(k, id).total).toBeNull();
    const words = gapsOf(k, `product:${id}`)
      .map((t) => t.message)
      .join();
    expect(words).toMatch(/credited with more than it all has cost/);
  });

  test('why tells how a part shares the cost, and what parted from a pot', () => {
    const { k, id } = kitchen({ by: 'credit', perKg: '0.35' });
    const money = (n: number): string => n.toFixed(2);
    expect(said(whyCost(k, `product:${id}#bones to wash`, money))).toMatch(/credited at 0\.35 per kilo/);
    expect(said(whyCost(k, `product:${id}`, money))).toMatch(
      /What parted from it\n\nbones to wash\n[\d.]+ kg at 0\.35 per kilo/,
    );
  });
});
