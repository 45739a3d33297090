import { Decimal } from 'decimal.js';
import fc from 'fast-check';
import { partsG, partsMl } from '../../quantity';
import { checkShares, checkStuff, composition, quoteOn, readPct, readPrice, trimPrices } from '..';
import { stuff } from '../../testing/stuff';

const shares = fc
  .tuple(fc.double({ min: 0.05, max: 1, noNaN: true }), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([usable, part]) => ({ usable, stockTrim: part < 0.01 ? 0 : (1 - usable) * part }));
const prices = fc.double({ min: 0.01, max: 200, noNaN: true });

describe('trim schools', () => {
  test('each conserves money: usable and trim together cost the purchase', () => {
    fc.assert(
      fc.property(shares, prices, fc.double({ min: 0, max: 0.999, noNaN: true }), (s, price, part) => {
        const setValue = s.stockTrim > 1e-6 ? (price / s.stockTrim) * part : 0;
        for (const school of ['free', 'value', 'weight'] as const) {
          const got = trimPrices(s, price, school, setValue);
          expect(got.ok).toBe(true);
          if (got.ok)
            expect(got.value.usable * s.usable + got.value.stockTrim * s.stockTrim).toBeCloseTo(price, 8);
        }
      }),
    );
  });

  test('a lower usable yield never lowers the cost of a usable kilo', () => {
    fc.assert(
      fc.property(shares, prices, fc.double({ min: 0.3, max: 1, noNaN: true }), (s, price, less) => {
        for (const school of ['free', 'weight'] as const) {
          const [more, fewer] = [
            trimPrices(s, price, school),
            trimPrices({ ...s, usable: s.usable * less }, price, school),
          ];
          if (more.ok && fewer.ok)
            expect(fewer.value.usable).toBeGreaterThanOrEqual(more.value.usable - 1e-9);
        }
      }),
    );
  });

  test('trim no pot takes carries no money away', () => {
    expect(trimPrices({ usable: 0.6, stockTrim: 0.3 }, 2, 'weight', 0, false)).toEqual({
      ok: true,
      value: { usable: 2 / 0.6, stockTrim: 0 },
    });
  });

  test.each([
    [{ usable: 0, stockTrim: 0 }, 'yield-out-of-range', /0 %/],
    [{ usable: 1.3, stockTrim: 0 }, 'yield-out-of-range', /130 %.*100 %/],
    [{ usable: NaN, stockTrim: 0 }, 'yield-out-of-range', /NaN/],
    [{ usable: 0.8, stockTrim: 0.4 }, 'trim-over-whole', /80 %.*40 %.*120 %/],
    [{ usable: 0.8, stockTrim: -0.1 }, 'trim-out-of-range', /-10 %/],
  ] as const)('%j is refused', (s, code, words) => {
    const wrong = checkShares(s);
    expect(wrong?.trouble.code).toBe(code);
    expect(wrong?.trouble.message).toMatch(words);
  });

  test('a set value the purchase cannot bear is refused with the most it can', () => {
    const got = trimPrices({ usable: 0.6, stockTrim: 0.4 }, 1, 'value', 3);
    expect(!got.ok && got.trouble.message).toMatch(/3\.00.*1\.20.*1\.00.*2\.50/);
  });
});

describe('composition', () => {
  test('a wine’s ethanol by volume becomes ethanol by weight, and its volume adds up', () => {
    const wine = composition({ water: 88.5, sugar: 0.3, ethanolVolPct: 12.5 });
    if (!wine.ok) throw new Error(wine.trouble.message);
    expect(partsG(wine.value)).toBeCloseTo(1, 9);
    expect(wine.value.ethanol / 0.7893 / partsMl(wine.value)).toBeCloseTo(0.125, 3);
  });
  test('more than 100 g in 100 g is refused', () => {
    const got = composition({ water: 90, fat: 20 });
    expect(!got.ok && got.trouble.message).toMatch(/110\.0 g in 100 g/);
  });
  test('what a thing cannot give it is told', () => {
    const codes = (s: Parameters<typeof checkStuff>[0]) => checkStuff(s).map((t) => t.code);
    expect(
      codes(
        stuff(
          'x',
          'piece',
          { water: 0.9, fat: 0.01 },
          { gelatinPool: 0.2, renderedFat: 0.1, givesWater: 0.95 },
        ),
      ),
    ).toEqual(['gelatin-over-rest', 'render-over-fat', 'gives-over-water', 'no-half-life']);
    expect(codes(stuff('x', 'piece', { water: 0.8, ethanol: 0.1 }))).toEqual(['ethanol-in-piece']);
    expect(codes(stuff('x', 'liquid', { water: 0.9 }))).toEqual([]);
  });
});

describe('prices', () => {
  const quote = (on: string, recordedAt: string, price: string) => ({
    on,
    recordedAt,
    price: new Decimal(price),
  });
  test('the latest in force on a day, corrections counted, the future not', () => {
    const quotes = [
      quote('2026-01-01', '2026-01-01T08:00:00Z', '1'),
      quote('2026-02-01', '2026-02-01T08:00:00Z', '2'),
      quote('2026-02-01', '2026-02-03T08:00:00Z', '2.5'),
      quote('2026-03-01', '2026-02-20T08:00:00Z', '3'),
    ];
    expect(quoteOn(quotes, '2026-02-15')?.price.toString()).toBe('2.5');
    expect(quoteOn(quotes, '2026-01-31')?.price.toString()).toBe('1');
    expect(quoteOn(quotes, '2025-12-31')).toBeUndefined();
    expect(quoteOn([...quotes].reverse(), '2026-03-01')?.price.toString()).toBe('3');
  });
  test.each([
    ['24.50', '24.5'],
    ['€ 24,50', '24.5'],
    ['24.5 EUR', '24.5'],
    ['0', '0'],
    ['1,234.50', '1234.5'],
    ['', 'no-price-typed'],
    ['twenty', 'not-a-number'],
    ['-3', 'negative-price'],
    ['2000000', 'price-too-high'],
    ['1.23456', 'too-many-decimals'],
    ['1.500', 'two-meanings'],
  ])('price “%s”', (typed, want) => {
    const read = readPrice(typed, '.');
    expect(read.ok ? read.value.toString() : read.trouble.code).toBe(want);
    if (!read.ok) expect(read.trouble.message.length).toBeGreaterThan(15);
  });
  test.each([
    ['88', 88],
    ['88 %', 88],
    ['62,5', 62.5],
    ['', 'no-share-typed'],
    ['most', 'not-a-number'],
  ])('yield “%s”', (typed, want) => {
    const read = readPct(typed, '.');
    expect(read.ok ? read.value : read.trouble.code).toBe(want);
  });
});
