import { costFile } from '..';
import { familyOf, goesTo, kinOf, sharesOf } from '../family';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import { productOf } from '../../supply';

const DAY = '2026-03-14';
const small = () => costFile(smallKitchen(), DAY, CONSTANTS);
const demo = costFile(demoKitchen(), demoKitchen().referenceDay, CONSTANTS);

test('a stock, its sauce and a dish are kin, with the grams that one takes of the other', () => {
  const { relatives, ties } = familyOf(small());
  expect(relatives.map((r) => [r.is, r.name])).toEqual([
    ['bench', 'Leek, stock trim'],
    ['pot', 'Stock'],
    ['pot', 'Sauce'],
    ['plate', 'Dish'],
  ]);
  expect(ties.map((t) => [t.from, t.to, t.g])).toEqual([
    [`off:${SMALL.leek}`, productOf(SMALL.stock), 400],
    [productOf(SMALL.stock), productOf(SMALL.sauce), 2000],
    [productOf(SMALL.sauce), `plate:${SMALL.plate}`, 100],
  ]);
});

test('the kin of one are all it is made from and all that is made from it, and nobody else', () => {
  const family = familyOf(demo);
  const named = (id: string): string[] => kinOf(family, id).relatives.map((r) => r.name);
  const sorrel = family.relatives.find((r) => r.name === 'Sorrel sauce')?.id ?? '';
  const names = named(sorrel);
  expect(names).toEqual(
    expect.arrayContaining(['Trout-frame fumet', 'Trout velouté', 'River trout, sorrel sauce']),
  );
  expect(names).not.toContain('Venison bone stock');
  // Kin is mutual.
  for (const { id } of family.relatives)
    for (const other of kinOf(family, id).relatives)
      expect(kinOf(family, other.id).relatives.some((r) => r.id === id)).toBe(true);
});

test('what a mother is of a dish’s cost is what the dish’s cost moves by when she costs a tenth more', () => {
  const family = familyOf(demo);
  const stock = family.relatives.find((r) => r.name === 'Reduced game base') ?? { id: '' };
  const shares = sharesOf(family, stock.id);
  expect(shares.size).toBeGreaterThan(1);
  // Her own weight in each plate, by the graph: everything she is the sum of, a tenth dearer.
  const { nodes } = demo.graph;
  const weight = new Float64Array(nodes.length);
  const at = demo.graph.placeOf(stock.id);
  weight[at] = 1;
  for (let i = at + 1; i < nodes.length; i += 1)
    for (const [j, w] of nodes[i]?.from ?? []) weight[i] = (weight[i] ?? 0) + w * (weight[j] ?? 0);
  const perG = demo.graph.cost(stock.id) ?? NaN;
  for (const [id, share] of shares)
    if (id.startsWith('plate:')) {
      const cost = demo.graph.cost(id) ?? NaN;
      expect(share).toBeCloseTo(((weight[demo.graph.placeOf(id)] ?? 0) * perG) / cost, 9);
    }
});

test('where a litre goes in a week: what her daughters take in their batches, of what her own give', () => {
  const family = familyOf(small());
  const [sauce] = goesTo(family, productOf(SMALL.stock));
  const stock = family.relatives.find((r) => r.id === productOf(SMALL.stock));
  // Cooked twice a week, and one sauce takes two kilos of it, which is about two litres.
  const gives = 2 * (stock?.ml ?? NaN);
  expect((sauce?.share ?? NaN) * gives).toBeGreaterThan(1900);
  expect((sauce?.share ?? NaN) * gives).toBeLessThan(2000);
});

test('what a last batch left is a tie of its own, and no share follows it round', () => {
  const family = familyOf(demo);
  const last = family.ties.filter((t) => t.last);
  expect(last.length).toBeGreaterThan(0);
  for (const { from } of last)
    for (const share of sharesOf(family, from).values()) expect(share ?? 0).toBeLessThanOrEqual(1 + 1e-9);
});

test('a price that is not known leaves the shares above it unknown, not nothing', () => {
  const costing = costFile(
    smallKitchen((k) => {
      k.articles = k.articles.filter((a) => a.ingredient !== SMALL.salt);
    }),
    DAY,
    CONSTANTS,
  );
  const shares = sharesOf(familyOf(costing), productOf(SMALL.stock));
  expect(shares.get(productOf(SMALL.sauce))).toBeNull();
});
