import { costKitchen } from '../../costing';
import { historyFrom, stateFrom } from '../../kitchen-state';
import type { WrittenAsks } from '../../kitchen-file';
import { CONSTANTS } from '../../reference';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import { waysOf, cookWays, flipOf, figuresOfWays, SnapshotPots } from '..';

/** docs/make-or-buy.md, worked with a pencil: nothing fades, so that gelatin and salt only grow closer as water leaves. */
const NOTHING_FADES = { ...CONSTANTS, gelatinFade: { halfLifeH: 1e9, celsius: 95 } };

const RICH = '019cabd9-0000-7000-8000-000000000014';
const THIN = '019cabd9-0000-7000-8000-000000000015';
const FLOUR = '019cabd9-0000-7000-8000-000000000016';
const LINE = '019cabd9-0000-7000-8000-000000000050';
const bought = (id: string, price: string) => ({
  id: id.replace('8000', '9000'),
  supplier: SMALL.supplier,
  ingredient: id,
  name: `1 kg of ${id}`,
  pack: '1 kg',
  quotes: [{ on: '2026-01-01', recordedAt: '2026-01-01T08:00:00.000Z', price }],
});
const liquid = (id: string, name: string, composition: object, more: object = {}) => ({
  id,
  name,
  role: 'liquid',
  composition,
  yields: [
    {
      on: '2026-01-01',
      recordedAt: '2026-01-01T08:00:00.000Z',
      usablePct: 100,
      stockTrimPct: 0,
      source: 'estimate',
    },
  ],
  ...more,
});

const file = smallKitchen((k) => {
  const lists = k as unknown as Record<'ingredients' | 'articles' | 'recipes', object[]>;
  lists.ingredients.push(
    liquid(RICH, 'Rich stock', { water: 95.9, salt: 0.1, gelatin: 4 }),
    liquid(THIN, 'Thin stock', { water: 97.7, salt: 0.3, gelatin: 2 }),
    liquid(FLOUR, 'Flour', { water: 12, starch: 72 }, { bindingGPerKg: 1000 }),
  );
  lists.articles.push(bought(RICH, '4.00'), bought(THIN, '1.50'), bought(FLOUR, '1.00'));
  const sauce = lists.recipes[1] as { steps: object[] };
  sauce.steps = [
    { id: LINE, do: 'add', of: { ingredient: RICH }, amount: '1 kg' },
    { do: 'reduce', until: 'body', to: '1', heat: 'hard boil', lid: 'off' },
  ];
});
const state = stateFrom(file);
const day = '2026-03-14';
const costing = costKitchen(state, day, NOTHING_FADES, historyFrom(file, day));
const ask = (saltPct: number): WrittenAsks => ({
  of: 'base',
  recipe: SMALL.sauce,
  line: LINE,
  bases: [{ of: { ingredient: THIN } }],
  body: 1,
  saltPct,
  mend: { ingredient: FLOUR },
});
const made = (saltPct: number) => {
  const answer = waysOf(costing, [], ask(saltPct), NOTHING_FADES);
  if (!answer.ok) throw new Error(answer.trouble.message);
  return {
    ...answer.value,
    figures: figuresOfWays(new SnapshotPots(answer.value.apart), answer.value.ways, NOTHING_FADES),
  };
};
/** What is found by trying is near enough at a per cent; on paper a litre weighs a kilo, and flour takes no room. */
const near = (found: number, worked: number, by = 0.01): void =>
  expect(Math.abs(found / worked - 1)).toBeLessThan(by);

test('where salt allows it, twice as much of the thin stock is reduced twice as far', () => {
  const { figures, bases } = made(1.5);
  const [rich, thin] = figures;
  // A kilo at 4 % reduced to 8 %: half of it, 500 g, for 4.00.
  near(rich!.gelatinPct, 8);
  near(rich!.saltPct, 0.2);
  // 40 g of gelatin are in 2 kg at 2 %, with 6 g of salt: 1.2 % of 500 g.
  expect(bases?.[1]?.end).toBe('body');
  near(bases![1]!.strength, 2);
  near(thin!.saltPct, 1.2);
  near(thin!.litres, rich!.litres);
  // 2 kg at 1.50 against 4.00.
  near(thin!.perL.ingredients! / rich!.perL.ingredients!, 3 / 4);
});

test('it flips where two kilos cost what the one does: at 2.00', () => {
  const { apart, ways } = made(1.5);
  const pots = new SnapshotPots(apart);
  const cooked = cookWays(pots, ways, NOTHING_FADES);
  const flip = flipOf(pots, [ways[0]!, ways[1]!], [cooked[0]!, cooked[1]!], THIN, ['ingredients']);
  near(flip!.times! * 1.5, 2);
});

test('where salt stops it, flour mends what is lacking', () => {
  const { figures, bases } = made(0.9);
  const thin = figures[1]!;
  expect(bases?.[1]?.end).toBe('salt');
  // 0.9 % of 500 g is 4.5 g of salt: 1.5 kg, and 30 g of gelatin in 500 g are 6 %, a body of 0.75.
  near(bases![1]!.bodyThen, 0.75);
  expect(bases![1]!.strength).toBeGreaterThan(1.4);
  expect(bases![1]!.strength).toBeLessThan(1.52);
  // A quarter of body is a quarter of the flour that coats, a litre.
  const litres = figures[0]!.litres;
  near(bases![1]!.mendG, 0.25 * CONSTANTS.coating.flourGPerL * litres, 0.08);
  expect(Math.abs(thin.body - 1)).toBeLessThan(0.01);
  expect(thin.saltPct).toBeLessThan(0.905);
});
