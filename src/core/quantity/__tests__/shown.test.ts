import fc from 'fast-check';
import { readAmount, SHOWN_IN, shownAs } from '..';

test('by hand: a gallon of stock and three ounces of salt, in each house', () => {
  const words = (kind: 'mass' | 'volume', amount: number) =>
    SHOWN_IN.map((house) => {
      const { value, says, digits } = shownAs(kind, amount, house);
      return `${value.toFixed(digits)} ${says}`;
    });
  expect(words('volume', 3785.411784)).toEqual(['3.8 l', '4.0 US qt', '6.7 imp pt']);
  expect(words('volume', 60)).toEqual(['60 ml', '2.0 US fl oz', '2.1 imp fl oz']);
  expect(words('mass', 85)).toEqual(['85 g', '3.0 oz', '3.0 oz']);
  expect(words('mass', 1000)).toEqual(['1.00 kg', '2.20 lb', '2.20 lb']);
});

test('what is shown, typed again, is what it was to the last digit shown; and nothing is shown below one of its unit but the smallest', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('mass' as const, 'volume' as const),
      fc.constantFrom(...SHOWN_IN),
      fc.double({ min: 0.5, max: 200_000, noNaN: true }),
      (kind, house, amount) => {
        const { value, says, digits } = shownAs(kind, amount, house);
        const read = readAmount(`${value.toFixed(6)} ${says}`);
        expect(read.ok && read.value.kind === kind && Math.abs(read.value.value - amount) < 0.01).toBe(true);
        if (value < 0.99) expect(digits === 0 || ['oz', 'US fl oz', 'imp fl oz'].includes(says)).toBe(true);
      },
    ),
  );
});
