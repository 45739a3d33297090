import { COOKED, learn, outliers, typicalSd, figureUnit, weighTest, type TestPart } from '..';

const fresh = (value: number) => ({ value, weight: 1 });

describe('what is learned comes with its range', () => {
  test('90 % of it: 1.645 standard deviations to either side', () => {
    const said = learn({ value: 0.62, low: 0.5, high: 0.72 }, [0.66, 0.67, 0.65].map(fresh), 0.03);
    expect(said.mean).toBeCloseTo(0.659487, 6);
    expect(said.low).toBeCloseTo(said.mean - 1.645 * said.sd, 12);
    expect(said.high).toBeCloseTo(said.mean + 1.645 * said.sd, 12);
    expect(said.tests).toBe(3);
  });
  test('of tests alone: their spread over the root of how many they are', () => {
    const said = learn(undefined, [0.6, 0.7].map(fresh), 0.03);
    // s = 0.0707, over √2.
    expect(said?.sd).toBeCloseTo(0.05, 12);
    expect(said?.tests).toBe(2);
  });
  test('of a single test: what one of its kind typically spreads', () => {
    expect(learn(undefined, [fresh(0.6)], 0.03)?.sd).toBeCloseTo(0.03, 12);
    // A typical spread below 2 % of the figure is not believed.
    expect(learn(undefined, [fresh(0.6)], 0.001)?.sd).toBeCloseTo(0.012, 12);
    // Faded to a quarter it spreads twice as far.
    expect(learn(undefined, [{ value: 0.6, weight: 0.25 }], 0.03)?.sd).toBeCloseTo(0.06, 12);
  });
  test('tests that agree to the gram are believed to 2 % of their mean', () => {
    expect(learn(undefined, [0.6, 0.6, 0.6, 0.6].map(fresh), 0.03)?.sd).toBeCloseTo(0.006, 12);
  });
  test('weights that differ are corrected by how far they do', () => {
    // Weights 1 and ½: mean .6333, Σw(x−m)² = .003333 over 1.5 − 1.25/1.5 = .6667, s = .0707; over √1.5.
    const said = learn(
      undefined,
      [
        { value: 0.6, weight: 1 },
        { value: 0.7, weight: 0.5 },
      ],
      0.03,
    );
    expect(said?.mean).toBeCloseTo(0.6 + 0.1 / 3, 12);
    expect(said?.sd).toBeCloseTo(Math.sqrt(0.005) / Math.sqrt(1.5), 12);
  });
  test('tests that have faded to nothing say nothing', () => {
    expect(learn(undefined, [{ value: 0.6, weight: 0 }], 0.03)).toBeUndefined();
    const said = learn({ value: 0.5, low: 0.4, high: 0.6 }, [{ value: 0.9, weight: 0 }], 0.03);
    expect([said.mean, said.tests]).toEqual([0.5, 0]);
    expect(said.sd).toBeCloseTo(0.2 / 3.29, 12);
  });
  test('a prior that claims to know exactly yields to the first weighing', () => {
    expect(learn({ value: 1, low: 1, high: 1 }, [fresh(0.9)], 0.03).sd).toBeCloseTo(0.03, 12);
  });
});

describe('a test that is unusual', () => {
  test('is far by three times what was said and what tests spread, together', () => {
    // Prior .6 ± .0304 (sd), the only test judged by the prior and the typical .03: 3·√(.0304² + .03²) = .128.
    const prior = { value: 0.6, low: 0.55, high: 0.65 };
    const limit = 3 * Math.hypot(0.1 / 3.29, 0.03);
    expect(outliers(prior, [fresh(0.6 + limit - 1e-6)], 0.03)).toEqual([]);
    expect(outliers(prior, [fresh(0.6 + limit + 1e-6)], 0.03)).toEqual([0]);
    expect(outliers(prior, [fresh(0.6 - limit - 1e-6)], 0.03)).toEqual([0]);
  });
  test('of two, each is judged by the other with the typical spread', () => {
    // .5 says .5 ± .03 and spreads .03: three times √2·.03 is .127.
    expect(outliers(undefined, [0.5, 0.62].map(fresh), 0.03)).toEqual([]);
    expect(outliers(undefined, [0.5, 0.64].map(fresh), 0.03)).toEqual([0, 1]);
  });
});

test('groups tested once say nothing of the spread, beside those tested more often', () => {
  expect(typicalSd([[0.6], [0.5, 0.52], [0.9]])).toBeCloseTo(Math.sqrt(0.0002), 12);
  expect(typicalSd([])).toBeUndefined();
});

test('retention is in ml per kg, everything else in %', () => {
  expect(COOKED.map((figure) => [figure, figureUnit(figure)])).toEqual([
    ['browned off', '%'],
    ['fat run off', '%'],
    ['sweated off', '%'],
    ['wilted off', '%'],
    ['clear fat', '%'],
    ['retention', 'ml/kg'],
    ['retention pressed', 'ml/kg'],
  ]);
});

describe('weighing a test up', () => {
  const of = (fate: TestPart['fate'], g: number, product?: string): TestPart => ({ fate, g, product });
  const weighed = (...args: Parameters<typeof weighTest>) => {
    const test = weighTest(...args);
    if (!test.ok) throw new Error(test.trouble.message);
    return test.value;
  };
  test('by-products are told apart by their product, and one weighed twice is added', () => {
    const test = weighed({
      startG: 2000,
      parts: [
        of('usable', 1000),
        of('by-product', 300, 'fat'),
        of('by-product', 200, 'skin'),
        of('by-product', 100, 'fat'),
        // Which product it is has not been said yet; a product behind a part that is none means nothing.
        of('by-product', 50),
        of('waste', 150, 'skin'),
      ],
    });
    expect([...test.byProducts]).toEqual([
      ['fat', 0.2],
      ['skin', 0.1],
    ]);
    expect(test.g).toEqual({ usable: 1000, 'stock trim': 0, 'by-product': 650, waste: 150 });
    expect([test.usable, test.stockTrim, test.unaccountedG, test.startG]).toEqual([0.5, 0, 200, 2000]);
  });
  test('by-products of the second pass are shares of the first start weight', () => {
    const test = weighed(
      { startG: 1000, parts: [of('usable', 600), of('waste', 400)] },
      { startG: 300, parts: [of('by-product', 100, 'fat'), of('waste', 150)] },
    );
    expect([...test.byProducts]).toEqual([['fat', 0.1]]);
    // 100 g of waste stayed behind, 150 g came again, 50 g are not found.
    expect([test.g.waste, test.unaccountedG]).toEqual([250, 50]);
  });
  test('a little more than the start weight is a scale’s error, and no share goes above the whole', () => {
    const test = weighed({ startG: 1000, parts: [of('usable', 1010)] });
    expect([test.usable, test.unaccountedG]).toEqual([1, -10]);
    const half = weighed({ startG: 1000, parts: [of('usable', 505), of('stock trim', 505)] });
    expect([half.usable, half.stockTrim]).toEqual([0.5, 0.5]);
    const second = weighed(
      { startG: 1000, parts: [of('usable', 800), of('waste', 200)] },
      { startG: 202, parts: [of('usable', 100)] },
    );
    expect([second.g.waste, second.g.usable]).toEqual([0, 900]);
  });
  test('a part of nothing is a part', () => {
    expect(weighed({ startG: 1000, parts: [of('waste', 0), of('usable', 900)] }).usable).toBe(0.9);
  });
  test.each([
    [{ startG: 0, parts: [] }, undefined, { value: 0, limit: 0 }],
    [{ startG: 1000, parts: [] }, undefined, { value: 0, limit: 1 }],
    [{ startG: 1000, parts: [of('waste', -5)] }, undefined, { value: -5, limit: 0 }],
    [{ startG: 1000, parts: [of('waste', 1020)] }, undefined, { value: 1020, limit: 1010 }],
    [
      { startG: 1000, parts: [of('waste', 200)] },
      { startG: 0, parts: [] },
      { value: 0, limit: 0 },
    ],
    [
      { startG: 1000, parts: [of('waste', 200)] },
      { startG: 203, parts: [] },
      { value: 203, limit: 200 },
    ],
  ] as const)('%j then %j is refused with what was weighed and what may be', (first, second, numbers) => {
    const test = weighTest(first, second);
    expect(!test.ok && test.trouble.numbers).toEqual(numbers);
  });
  test('kilos are said in kilos, grams in grams', () => {
    const said = (startG: number, g: number) => {
      const test = weighTest({ startG, parts: [of('usable', g)] });
      return !test.ok && test.trouble.message;
    };
    expect(said(999, 1100)).toBe(
      'The parts weigh 1.10 kg, 10.1 % more than the start of 999 g: at most 1 % is a scale’s error.',
    );
    expect(said(1000, 1100)).toContain('10.0 % more than the start of 1.00 kg');
  });
});
