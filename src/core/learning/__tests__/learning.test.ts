import fc from 'fast-check';
import { cases } from '../../testing/cases';
import examples from '../../testing/worked-examples.json';
import { FATES, learn, outliers, seasonOf, typicalSd, weighTest, worthOf, type TestPart } from '..';

const share = fc.double({ min: 0.3, max: 0.95, noNaN: true });
const prior = fc
  .tuple(share, fc.double({ min: 0.01, max: 0.2, noNaN: true }))
  .map(([value, half]) => ({ value, low: value - half, high: value + half }));
const fresh = (value: number) => ({ value, weight: 1 });
const sample = fc.record({ value: share, weight: fc.double({ min: 0.05, max: 1, noNaN: true }) });

describe('learning a yield', () => {
  test('the worked example', () => {
    const found = examples.cases.find((c) => c.id === 'learning-a-yield');
    const given = found?.given as { reference: number; low: number; high: number; tests: number[] };
    const expected = found?.expect as unknown as Record<'none' | 'three', { mean: number; sd: number }>;
    const before = { value: given.reference, low: given.low, high: given.high };
    for (const [tests, want] of [
      [[], expected.none],
      [given.tests, expected.three],
    ] as const) {
      const { mean, sd } = learn(before, tests.map(fresh), 0.03);
      expect(mean).toBeCloseTo(want.mean, 6);
      expect(sd).toBeCloseTo(want.sd, 6);
    }
  });

  test('no tests say what the reference says, with its own range', () => {
    fc.assert(
      fc.property(prior, (p) => {
        const said = learn(p, [], 0.03);
        expect([said.mean, said.low, said.high]).toEqual([p.value, p.low, p.high]);
      }),
    );
    expect(learn(undefined, [], 0.03)).toBeUndefined();
  });

  test('many tests say their own mean, whatever the reference said', () => {
    fc.assert(
      fc.property(prior, share, (p, value) => {
        const tests = Array.from({ length: 4000 }, (_, i) => fresh(value + (i % 2 === 0 ? 0.005 : -0.005)));
        expect(Math.abs(learn(p, tests, 0.03).mean - value)).toBeLessThan(0.002);
      }),
      { numRuns: cases(40) },
    );
  });

  test('without a reference the tests alone are heard', () => {
    expect(learn(undefined, [fresh(0.6), fresh(0.7)], 0.03)?.mean).toBeCloseTo(0.65, 12);
    expect(learn({ value: 1, low: 1, high: 1 }, [fresh(0.9)], 0.03).mean).toBe(0.9);
  });

  test('what is learned lies between reference and tests, and is never less sure than the reference', () => {
    fc.assert(
      fc.property(prior, fc.array(sample, { minLength: 1, maxLength: 12 }), (p, tests) => {
        const said = learn(p, tests, 0.03);
        const sum = tests.reduce((a, t) => a + t.weight, 0);
        const mean = tests.reduce((a, t) => a + t.weight * t.value, 0) / sum;
        expect(said.mean).toBeGreaterThanOrEqual(Math.min(p.value, mean) - 1e-12);
        expect(said.mean).toBeLessThanOrEqual(Math.max(p.value, mean) + 1e-12);
        expect(said.sd).toBeLessThanOrEqual((p.high - p.low) / 3.29 + 1e-12);
      }),
    );
  });

  test('tests that have faded alike are heard less, and what they say together stays the same', () => {
    fc.assert(
      fc.property(fc.array(share, { minLength: 2, maxLength: 8 }), (values) => {
        const p = { value: 0.6, low: 0.5, high: 0.7 };
        const said = (weight: number, with_ = p) =>
          learn(
            with_,
            values.map((value) => ({ value, weight })),
            0.03,
          );
        expect(said(0.5).sd).toBeGreaterThanOrEqual(said(1).sd);
        expect(
          learn(
            undefined,
            values.map((value) => ({ value, weight: 0.5 })),
            0.03,
          )?.mean,
        ).toBeCloseTo(learn(undefined, values.map(fresh), 0.03)?.mean ?? NaN, 12);
        // The reference pulls more at what has faded.
        expect(Math.abs(said(0.5).mean - p.value)).toBeLessThanOrEqual(
          Math.abs(said(1).mean - p.value) + 1e-12,
        );
      }),
    );
  });

  test('the order of tests does not matter', () => {
    fc.assert(
      fc.property(prior, fc.array(sample, { minLength: 2, maxLength: 8 }), (p, tests) => {
        expect(learn(p, [...tests].reverse(), 0.03).mean).toBeCloseTo(learn(p, tests, 0.03).mean, 12);
      }),
    );
  });

  test('a test far from the others is flagged, one of theirs is not', () => {
    const p = { value: 0.62, low: 0.5, high: 0.72 };
    const flagged = (...values: number[]) => outliers(p, values.map(fresh), 0.03);
    expect(flagged(0.66, 0.67, 0.65, 0.41)).toEqual([3]);
    expect(flagged(0.66, 0.67, 0.65, 0.64)).toEqual([]);
    expect(flagged()).toEqual([]);
    expect(flagged(0.3)).toEqual([0]);
    expect(outliers(undefined, [fresh(0.3)], 0.03)).toEqual([]);
  });

  test('the typical spread is pooled over what has been tested more than once', () => {
    expect(
      typicalSd([
        [0.6, 0.64],
        [0.71, 0.73, 0.72],
      ]),
    ).toBeCloseTo(Math.sqrt(0.001 / 3), 12);
    expect(typicalSd([[0.6], []])).toBeUndefined();
  });
});

describe('a yield test', () => {
  const parts = (usable: number, trim: number, waste: number): TestPart[] => [
    { fate: 'usable', g: usable },
    { fate: 'stock trim', g: trim },
    { fate: 'waste', g: waste },
  ];
  test('gives shares of what was start weight, and says what is unaccounted for', () => {
    const test = weighTest({ startG: 10_000, parts: parts(6200, 2800, 900) });
    expect(test).toMatchObject({ ok: true, value: { usable: 0.62, stockTrim: 0.28, unaccountedG: 100 } });
  });
  test('weight is never lost: parts and what is unaccounted for are the start, and no share goes above the whole', () => {
    const part = fc.record({
      fate: fc.constantFrom(...FATES),
      g: fc.double({ min: 0, max: 4000, noNaN: true }),
      product: fc.constantFrom('a', 'b'),
    });
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 20_000, noNaN: true }),
        fc.array(part, { minLength: 1, maxLength: 8 }),
        (startG, all) => {
          const test = weighTest({ startG, parts: all });
          const sum = all.reduce((a, p) => a + p.g, 0);
          expect(test.ok).toBe(sum <= startG * 1.01);
          if (!test.ok) return;
          const found = FATES.reduce((a, fate) => a + test.value.g[fate], 0) + test.value.unaccountedG;
          expect(found).toBeCloseTo(startG, 6);
          const shares = [...test.value.byProducts.values()].reduce((a, b) => a + b, 0);
          expect(shares + test.value.usable + test.value.stockTrim).toBeLessThanOrEqual(1 + 1e-12);
        },
      ),
    );
  });
  test('a second pass wins more of the same kilos and never more than the first left', () => {
    const first = { startG: 10_000, parts: parts(7600, 0, 2300) };
    const once = weighTest(first);
    const twice = weighTest(first, { startG: 2300, parts: parts(800, 0, 1450) });
    expect(once.ok && once.value.usable).toBe(0.76);
    expect(twice.ok && [twice.value.usable, twice.value.g.waste, twice.value.unaccountedG]).toEqual([
      0.84, 1450, 150,
    ]);
  });
  test.each([
    [{ startG: 0, parts: [] }, undefined, 'no-weight', 'start', 'more than 0 g'],
    [{ startG: 1000, parts: [] }, undefined, 'nothing-weighed', 'parts', 'at least one part'],
    [
      { startG: 1000, parts: [{ fate: 'waste', g: -5 }] },
      undefined,
      'negative-part',
      'parts[0]',
      'A part of -5 g cannot be: 0 g or more',
    ],
    [
      { startG: 1000, parts: parts(700, 300, 50) },
      undefined,
      'parts-over-start',
      'parts',
      'The parts weigh 1.05 kg, 5.0 % more than the start of 1.00 kg: at most 1 %',
    ],
    [
      { startG: 1000, parts: parts(700, 0, 200) },
      { startG: 400, parts: [] },
      'second-pass-over-waste',
      'second.start',
      '400 g went through again, but the first pass left only 200 g',
    ],
    [
      { startG: 1000, parts: parts(700, 0, 200) },
      { startG: 200, parts: parts(300, 0, 0) },
      'parts-over-start',
      'second.parts',
      'more than what went through again',
    ],
    [
      { startG: 1000, parts: parts(700, 0, 200) },
      { startG: 0, parts: parts(10, 0, 0) },
      'no-weight',
      'second.start',
      'A second pass needs the weight',
    ],
  ] as const)('%j is refused with number and limit', (first, second, code, path, words) => {
    const test = weighTest(first, second);
    if (test.ok) throw new Error('it was not refused');
    expect([test.trouble.code, test.trouble.path]).toEqual([code, path]);
    expect(test.trouble.message).toContain(words);
    expect(test.trouble.numbers).toBeDefined();
  });
});

describe('a second pass judged', () => {
  test('saves what its kilos would have cost, and says what an hour of hands may cost', () => {
    const worth = worthOf(800, 3.6, 0.2, 18);
    expect(worth.saved).toBeCloseTo(2.88, 10);
    expect(worth.savedPerHour).toBeCloseTo(14.4, 10);
    expect(worth.hands).toBeCloseTo(3.6, 10);
    expect(worth.handsPerKg).toBeCloseTo(4.5, 10);
    expect(worthOf(800, 3.6, 0)).toEqual({ extraG: 800, saved: worth.saved });
    expect(worthOf(0, 3.6, 0.2, 18).handsPerKg).toBeUndefined();
  });
});

test('a season by months', () => {
  expect(
    ['2026-01-31', '2026-02-28', '2026-03-01', '2026-06-01', '2026-09-01', '2026-12-01'].map(seasonOf),
  ).toEqual(['winter', 'winter', 'spring', 'summer', 'autumn', 'winter']);
});
