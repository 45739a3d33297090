import { readAmount } from '../../../core/quantity';
import { CUPS_OF } from '../cups';

/* ml of each by law: NIST Handbook 44 appendix C; Weights and Measures Act 1985, schedule 1; Australian and European use. */
const BY_LAW: Readonly<Record<keyof typeof CUPS_OF, Readonly<Record<string, number>>>> = {
  us: { cup: 236.59, tbsp: 14.79, tsp: 4.93, pint: 473.18, quart: 946.35, gallon: 3785.41 },
  imperial: { cup: 284.13, tbsp: 15, tsp: 5, pint: 568.26, quart: 1136.52, gallon: 4546.09 },
  metric: { cup: 250, tbsp: 15, tsp: 5 },
};
const SAME_AS = { tablespoon: 'tbsp', teaspoon: 'tsp', pt: 'pint', qt: 'quart', gal: 'gallon' } as const;

test.each(Object.keys(CUPS_OF) as (keyof typeof CUPS_OF)[])(
  'cups of %s hold what the law says',
  (country) => {
    for (const [name, holds] of Object.entries(CUPS_OF[country])) {
      const read = readAmount(holds, { mark: '.' });
      if (!read.ok) throw new Error(read.trouble.message);
      const law = BY_LAW[country][SAME_AS[name as keyof typeof SAME_AS] ?? name];
      expect([name, read.value.kind]).toEqual([name, 'volume']);
      expect(Math.abs(read.value.value - (law ?? NaN))).toBeLessThan(0.5);
    }
  },
);
