import fc from 'fast-check';
import { Decimal } from 'decimal.js';
import { DENSITY, PARTS, noParts, partsG, partsMl, shareOut, toCents, waterDensity } from '..';

describe('parts, their grams and their millilitres', () => {
  test.each(PARTS)('a gram of %s alone weighs a gram and fills what its density says', (part) => {
    const only = { ...noParts(), [part]: 1 };
    expect(partsG(only)).toBe(1);
    expect(partsMl(only)).toBeCloseTo(1 / DENSITY[part], 12);
  });
  test('together they are the sum of each', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 5000, noNaN: true }), { minLength: 8, maxLength: 8 }),
        (masses) => {
          const parts = noParts();
          PARTS.forEach((part, i) => (parts[part] = masses[i] ?? 0));
          const ml = PARTS.reduce((sum, part) => sum + parts[part] / DENSITY[part], 0);
          expect(partsMl(parts)).toBeCloseTo(ml, 6);
          expect(partsG(parts)).toBeCloseTo(
            masses.reduce((a, b) => a + b, 0),
            6,
          );
        },
      ),
    );
  });
});

test('water stands on every point of its table, and on the line between them', () => {
  expect([4, 20, 40, 60, 80, 90, 95, 100].map(waterDensity)).toEqual([
    1, 0.9982, 0.9922, 0.9832, 0.9718, 0.9653, 0.9619, 0.9584,
  ]);
  expect(waterDensity(12)).toBeCloseTo(0.9991, 10);
  expect(waterDensity(97.5)).toBeCloseTo(0.96015, 10);
  expect(waterDensity(-5)).toBe(1);
});

describe('money at its edges', () => {
  const shared = (total: string, weights: number[]) => shareOut(new Decimal(total), weights).map(String);
  test('a cent left over goes to the largest remainder, of two alike to the earlier', () => {
    expect(shared('0.01', [1, 2])).toEqual(['0', '0.01']);
    expect(shared('0.01', [1, 1])).toEqual(['0.01', '0']);
    expect(shared('0.05', [1, 1, 1])).toEqual(['0.02', '0.02', '0.01']);
    expect(shared('1', [1, 0, 2])).toEqual(['0.33', '0', '0.67']);
  });
  test('half a cent is rounded away from zero before it is shared', () => {
    expect(shared('0.125', [1])).toEqual(['0.13']);
    expect(shared('-0.125', [1])).toEqual(['-0.13']);
    expect([toCents(0.125), toCents(-0.125), toCents('2.344' as never)].map(String)).toEqual([
      '0.13',
      '-0.13',
      '2.34',
    ]);
  });
  test('weights that are no weights are told apart from none', () => {
    expect(() => shared('5', [NaN, 1])).toThrow('a weight is negative or not a number');
    expect(() => shared('5', [Infinity, 1])).toThrow('a weight is negative or not a number');
    expect(() => shared('5', [0])).toThrow('nothing to share the money by');
  });
});
