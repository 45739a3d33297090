import fc from 'fast-check';
import { composition, fromLabel } from '..';
import type { Outcome } from '../../trouble';

const value = <T>(x: Outcome<T>): T => {
  if (!x.ok) throw new Error(x.trouble.message);
  return x.value;
};
const message = (x: Outcome<unknown>): string => (x.ok ? '' : x.trouble.message);

describe('the table on a packet', () => {
  it('is what it states, the rest of it water', () => {
    // Cream, by hand: 100 − 35 − 3.1 − 2.2 − 0.1 = 59.6 g of water.
    const cream = value(
      fromLabel({
        per: '100 g',
        energyKj: 1390,
        fat: 35,
        carbohydrate: 3.1,
        sugars: 3.1,
        protein: 2.2,
        salt: 0.1,
      }),
    );
    expect(cream.composition).toEqual({ water: 59.6, fat: 35, salt: 0.1, sugar: 3.1 });
    expect(cream.remarks).toEqual([]);
  });

  it('of 100 ml it is filled up by volume, and says what a millilitre weighs', () => {
    // A syrup, by hand: 60 g of sugar fill 37.81 ml, so 62.19 ml · 0.9982 = 62.08 g of water: 122.08 g in 100 ml.
    const syrup = value(
      fromLabel({ per: '100 ml', fat: 0, carbohydrate: 60, sugars: 60, protein: 0, salt: 0 }),
    );
    expect(syrup.densityGPerMl).toBeCloseTo(1.2208, 3);
    expect(syrup.composition.sugar).toBeCloseTo((60 / 122.08) * 100, 1);
    // Wine: alcohol is by volume whatever the table is in.
    const wine = value(fromLabel({ per: '100 ml', alcoholVolPct: 13, carbohydrate: 0.6, sugars: 0.6 }));
    expect(wine.composition.ethanolVolPct).toBe(13);
    expect(wine.densityGPerMl).toBeCloseTo(0.974, 2);
  });

  it('never makes more of a thing than there is', () => {
    const part = fc.double({ min: 0, max: 60, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom('100 g' as const, '100 ml' as const),
        fc.tuple(part, part, part, part, part, fc.double({ min: 0, max: 40, noNaN: true })),
        (per, [fat, carbohydrate, share, protein, salt, alcoholVolPct]) => {
          const made = fromLabel({
            per,
            fat,
            carbohydrate,
            sugars: (carbohydrate * share) / 60,
            protein,
            salt: salt / 4,
            alcoholVolPct: per === '100 ml' ? alcoholVolPct : 0,
          });
          if (made.ok) value(composition(made.value.composition));
          else expect(made.trouble.numbers?.value).toBeGreaterThan(100);
        },
      ),
    );
  });

  it('says what does not add up, with the number and the limit', () => {
    expect(
      message(fromLabel({ per: '100 g', fat: 60, carbohydrate: 50, sugars: 2, protein: 10, salt: 1 })),
    ).toBe('The table adds up to 121 g: at most 100 g are in 100 g.');
    expect(message(fromLabel({ per: '100 g', carbohydrate: 3, sugars: 9 }))).toMatch(
      /9 g are more than .* 3 g/,
    );
    expect(message(fromLabel({ per: '100 g', fat: 350 }))).toMatch(/350 of 100 cannot be/);
    expect(message(fromLabel({ per: '100 ml', fat: 95, carbohydrate: 60, sugars: 60 }))).toMatch(
      /fills \d+ ml of 100/,
    );
    expect(message(fromLabel({ per: '100 g' }))).toMatch(/at least one figure/);
    const odd = value(
      fromLabel({ per: '100 g', energyKj: 1390, fat: 3.5, carbohydrate: 3, protein: 2, salt: 0 }),
    );
    expect(odd.remarks.join(' ')).toMatch(/would have 215 kJ; the label says 1390/);
    expect(odd.remarks.join(' ')).toMatch(/Sugars are not stated/);
  });
});
