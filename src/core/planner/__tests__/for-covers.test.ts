import { costFile, type KitchenCosting } from '../../costing';
import { maxFillMl } from '../../pot';
import { CONSTANTS } from '../../reference';
import { demoKitchen } from '../../testing/demo';
import { forCovers, type ForCovers } from '..';

let costing: KitchenCosting;
let banquet: ForCovers;
const plate = (name: string): string => costing.state.plates.find((p) => p.name.startsWith(name))?.id ?? '';

beforeAll(() => {
  const file = demoKitchen();
  costing = costFile(file, file.referenceDay, CONSTANTS);
  const found = forCovers(costing, plate('Venison loin'), 120, CONSTANTS);
  if (!found.ok) throw new Error(found.trouble.message);
  banquet = found.value;
});

describe('the venison for a hundred and twenty', () => {
  test('mothers are cooked before their daughters, and nothing is missing', () => {
    expect(banquet.troubles).toEqual([]);
    const names = banquet.makings.map((m) => m.name);
    const stock = names.indexOf('Venison bone stock');
    const base = names.indexOf('Reduced game base');
    const sauce = names.indexOf('Juniper sauce');
    expect(stock).toBeGreaterThanOrEqual(0);
    expect(stock).toBeLessThan(base);
    expect(base).toBeLessThan(sauce);
  });

  test('every making gives the litres that its daughters and the dishes take', () => {
    for (const { recipeId, ml, scaled } of banquet.makings) {
      expect((scaled.run.product?.ml ?? 0) * scaled.batches).toBeCloseTo(ml, -1);
      const taken = banquet.makings.reduce((g, daughter) => {
        const inputs = daughter.scaled.run.inputs.filter((i) => i.supply === `product:${recipeId}`);
        return g + inputs.reduce((sum, i) => sum + i.g, 0) * daughter.scaled.batches;
      }, 0);
      const onPlates = (costing.plates.get(plate('Venison loin'))?.lines ?? []).reduce(
        (g, { resolved }) =>
          g +
          (resolved.ok && resolved.value.what.supply === `product:${recipeId}` ? resolved.value.g * 120 : 0),
        0,
      );
      const product = costing.recipes.get(recipeId)?.run.product;
      expect(((taken + onPlates) * product!.ml) / product!.g / ml).toBeCloseTo(1, 6);
    }
  });

  test('no vessel stands above its maximum fill, and some would take several batches in their own', () => {
    for (const { scaled } of banquet.makings)
      for (const row of scaled.run.rows)
        expect(row.standingMl).toBeLessThanOrEqual(maxFillMl(row.vessel) * (1 + 1e-6));
    expect(banquet.makings.some((m) => (m.own?.batches ?? 0) > 1)).toBe(true);
  });

  test('what is bought is what the makings and the dishes take, and nothing made is bought', () => {
    expect(banquet.buy.every((b) => b.g > 0 && !b.supply.startsWith('product:'))).toBe(true);
    const bones = banquet.buy.find((b) => b.name === 'Venison bones');
    const stock = banquet.makings.find((m) => m.name === 'Venison bone stock')!;
    const inPot = stock.scaled.run.inputs.find((i) => i.name === 'Venison bones')?.g ?? NaN;
    expect(bones?.g).toBeCloseTo(inPot * stock.scaled.batches, 6);
  });

  test('a litre made in another pot costs another price: the sheet is only near', () => {
    for (const m of banquet.makings) {
      expect(m.perL).toBeGreaterThan(0);
      expect(Math.abs((m.perL ?? 0) / (m.sheetPerL ?? 1) - 1)).toBeLessThan(0.5);
    }
    expect(banquet.makings.some((m) => Math.abs((m.perL ?? 0) - (m.sheetPerL ?? 0)) > 0.01)).toBe(true);
  });
});

test('what cannot be is told in words', () => {
  expect(forCovers(costing, 'nowhere', 10, CONSTANTS)).toMatchObject({
    ok: false,
    trouble: { code: 'no-plate' },
  });
  for (const covers of [0, -3, NaN, 1e9])
    expect(forCovers(costing, plate('Venison loin'), covers, CONSTANTS)).toMatchObject({
      ok: false,
      trouble: { code: 'covers-out-of-range' },
    });
});
