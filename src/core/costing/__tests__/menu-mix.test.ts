import fc from 'fast-check';
import { menuMix, type Sold } from '../menu-mix';

const plate = (id: string, sold: number | undefined, net: number | null, cost: number | null): Sold => ({
  id,
  name: id,
  sold,
  net,
  cost,
});

test('by hand: three at 10 of which 2 are food, one at 20 of which 9 are: 30 %, and the dear one breaks it', () => {
  const mix = menuMix('portions', [plate('soup', 3, 10, 2), plate('loin', 1, 20, 9)]);
  expect(mix.foodCostPct).toBeCloseTo((15 / 50) * 100, 9);
  expect(mix.net).toBeCloseTo(12.5, 9);
  expect(mix.left).toBeCloseTo(35 / 4, 9);
  expect(mix.plates[0]).toMatchObject({ share: 0.75, foodCostPct: 20 });
  // Without the loin the menu would cost 20 %: it moves it by ten points.
  expect(mix.plates[1]?.moves).toBeCloseTo(10, 9);
  expect(mix.plates[0]?.moves).toBeCloseTo(30 - 45, 9);
  expect(mix.plates[0]?.ofWhatIsLeft).toBeCloseTo(24 / 35, 9);
  expect(mix.troubles).toEqual([]);
});

test('shares that do not make a hundred, dishes without a price or without a cost, nothing said: each in its sentence', () => {
  const words = (...of: Parameters<typeof menuMix>) => {
    const { foodCostPct, troubles } = menuMix(...of);
    return [foodCostPct === null ? null : +foodCostPct.toFixed(2), ...troubles.map((t) => t.message)];
  };
  expect(words('%', [plate('soup', 60, 10, 2), plate('loin', 34, 20, 9)])).toEqual([
    null,
    'The shares make 94 %: 6 % are missing.',
  ]);
  expect(words('%', [plate('soup', 66.7, 10, 2), plate('loin', 33.4, 20, 9)])[0]).not.toBeNull();
  expect(words('portions', [plate('soup', 6, 10, 2), plate('bread', 9, null, 1)])).toEqual([
    20,
    'Without a price on the menu, and so left out: bread.',
  ]);
  expect(words('portions', [plate('soup', 6, 10, null), plate('loin', undefined, 20, 9)])).toEqual([
    null,
    'No sales are entered for loin.',
    'The cost is not known for soup.',
  ]);
  expect(words('portions', [])).toEqual([null]);
});

test('whatever is sold: the menu lies between its dishes, shares make all, and per cent says what portions say', () => {
  const sold = fc.record({
    sold: fc.integer({ min: 1, max: 500 }),
    net: fc.double({ min: 1, max: 60, noNaN: true }),
    part: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(sold, { minLength: 1, maxLength: 12 }), (all) => {
      const plates = all.map((p, i) => plate(String(i), p.sold, p.net, p.net * p.part));
      const mix = menuMix('portions', plates);
      const pcts = mix.plates.map((p) => p.foodCostPct ?? NaN);
      expect(mix.foodCostPct).toBeGreaterThanOrEqual(Math.min(...pcts) - 1e-9);
      expect(mix.foodCostPct).toBeLessThanOrEqual(Math.max(...pcts) + 1e-9);
      expect(mix.plates.reduce((n, p) => n + p.share, 0)).toBeCloseTo(1, 9);
      expect(mix.plates.reduce((n, p) => n + (p.ofWhatIsLeft ?? 0), 0)).toBeCloseTo(1, 9);
      const total = all.reduce((n, p) => n + p.sold, 0);
      const inPct = menuMix(
        '%',
        plates.map((p) => ({ ...p, sold: ((p.sold ?? 0) / total) * 100 })),
      );
      expect(inPct.foodCostPct).toBeCloseTo(mix.foodCostPct ?? NaN, 9);
      // Who is above the menu's food cost raises it, who is below lowers it.
      for (const p of mix.plates)
        if (p.moves !== null)
          expect(p.moves * ((p.foodCostPct ?? 0) - (mix.foodCostPct ?? 0))).toBeGreaterThan(-1e-9);
    }),
  );
});
