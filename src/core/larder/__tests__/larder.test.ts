import { Decimal } from 'decimal.js';
import fc from 'fast-check';
import { partsG, partsMl } from '../../quantity';
import {
  checkShares,
  checkStuff,
  composition,
  quoteOn,
  readPct,
  readPrice,
  sharePrice,
  type TrimSchool,
} from '..';
import { stuff } from '../../testing/stuff';

const prices = fc.double({ min: 0.01, max: 200, noNaN: true });

const trim = (share: number, setValue = 0, taken = 1, sold = false) => ({
  name: 'Stock trim',
  share,
  setValue,
  taken,
  sold,
});
/** Up to three things that come off, beside a usable share, none of them valued above what is paid. */
const whole = fc
  .tuple(
    fc.double({ min: 0.05, max: 1, noNaN: true }),
    prices,
    fc.array(
      fc.tuple(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.constantFrom(0, 0.4, 1),
        fc.boolean(),
      ),
      { maxLength: 3 },
    ),
  )
  .map(([usable, price, raw]) => {
    const n = Math.max(1, raw.length);
    const others = raw.map(([part, value, taken, sold], i) => {
      const share = part < 0.01 ? 0 : ((1 - usable) * part) / n;
      const most = share * taken > 1e-6 ? price / (share * taken) / n : price;
      return { name: `part ${i}`, share, taken, sold, setValue: most * value * 0.999 };
    });
    return { usable, price, others };
  });
const schools = fc.constantFrom<TrimSchool>('free', 'value', 'weight');

describe('trim schools', () => {
  test('each conserves money: usable part and everything taken of what comes off cost the purchase, to a thousandth of a cent', () => {
    fc.assert(
      fc.property(whole, schools, ({ usable, price, others }, school) => {
        const got = sharePrice(usable, others, price, school);
        if (!got.ok) throw new Error(got.trouble.message);
        const back = others.reduce(
          (sum, o, i) => sum + o.share * o.taken * (got.value.others[i] as number),
          got.value.usable * usable,
        );
        expect(back).toBeCloseTo(price, 6);
      }),
    );
  });

  test('a lower usable yield never lowers the cost of a usable kilo', () => {
    fc.assert(
      fc.property(whole, schools, fc.double({ min: 0.3, max: 1, noNaN: true }), (w, school, less) => {
        const [more, fewer] = [
          sharePrice(w.usable, w.others, w.price, school),
          sharePrice(w.usable * less, w.others, w.price, school),
        ];
        if (!more.ok || !fewer.ok) throw new Error('refused');
        expect(fewer.value.usable).toBeGreaterThanOrEqual(more.value.usable - 1e-9);
      }),
    );
  });

  test('what nobody takes carries no money away; what half is taken of carries half', () => {
    expect(sharePrice(0.6, [trim(0.3, 1, 0)], 2, 'weight')).toEqual({
      ok: true,
      value: { usable: 2 / 0.6, others: [0] },
    });
    expect(sharePrice(0.6, [trim(0.3, 1, 0.5)], 2, 'value')).toEqual({
      ok: true,
      value: { usable: (2 - 0.15) / 0.6, others: [1] },
    });
  });

  test('what is sold brings its set value in every school, and only the rest is shared', () => {
    for (const school of ['free', 'value', 'weight'] as const) {
      const got = sharePrice(0.5, [trim(0.2, 0.5), { ...trim(0.1, 3, 1, true), name: 'fat' }], 2, school);
      expect(got.ok && got.value.others[1]).toBe(3);
      const left = { free: 1.7 / 0.5, value: (1.7 - 0.1) / 0.5, weight: 1.7 / 0.7 }[school];
      expect(got.ok && got.value.usable).toBeCloseTo(left, 12);
    }
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
    const got = sharePrice(0.6, [trim(0.4, 3)], 1, 'value');
    expect(!got.ok && got.trouble.message).toMatch(/3\.00.*1\.20.*1\.00.*2\.50/);
    const two = sharePrice(0.5, [trim(0.1, 1), { ...trim(0.2, 6, 1, true), name: 'Roe' }], 1, 'value');
    expect(!two.ok && two.trouble.message).toMatch(/^Roe at 6\.00.*\(1\.30\).*1\.00.*4\.50/);
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
