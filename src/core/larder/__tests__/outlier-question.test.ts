import fc from 'fast-check';
import { outlierQuestion } from '..';

const words = (x: number): string => x.toFixed(2);
const ask = (before: number | undefined, after: number) =>
  outlierQuestion({ what: 'price', before, after, words });

test('a slip of a finger is asked about with both figures', () => {
  expect(ask(24, 240)).toBe('240.00 is 10 times the 24.00 it was. Save it?');
  expect(ask(24, 60)).toBe('60.00 is 2.5 times the 24.00 it was. Save it?');
  expect(ask(24, 2.4)).toBe('2.40 is only 10 % of the 24.00 it was. Save it?');
  expect(ask(24, 0)).toBe('A price of 0: is that meant?');
});

test('what figures usually do is not asked about, nor what nothing stood before', () => {
  expect(ask(24, 47)).toBeUndefined();
  expect(ask(24, 12)).toBeUndefined();
  expect(ask(undefined, 1_000_000)).toBeUndefined();
  fc.assert(
    fc.property(
      fc.double({ min: 0.01, max: 1e4, noNaN: true }),
      fc.double({ min: 0.41, max: 2.49, noNaN: true }),
      (x, k) => {
        expect(ask(x, x * k)).toBeUndefined();
      },
    ),
  );
});
