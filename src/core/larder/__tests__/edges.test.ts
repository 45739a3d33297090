import { Decimal } from 'decimal.js';
import { DENSITY, partsG, partsMl } from '../../quantity';
import { stuff } from '../../testing/stuff';
import {
  averagePrice,
  checkShares,
  checkStuff,
  composition,
  deliveryWords,
  differences,
  packsOpened,
  priceText,
  quoteOn,
  readDays,
  readPct,
  readPrice,
  received,
  sharePrice,
  stockPrice,
  type Comparable,
  type ComesOff,
  type Receipt,
} from '..';

/** What was refused, whole: code, field, sentence, number and limit. */
const refused = (read: { ok: boolean; trouble?: unknown } | undefined): unknown => read?.trouble;

describe('a price as typed', () => {
  const price = (typed: string) => {
    const read = readPrice(typed, '.');
    return read.ok ? read.value.toString() : refused(read);
  };
  test.each([
    ['€ 24.50', '24.5'],
    ['€  24.50', '24.5'],
    ['€24.50', '24.5'],
    ['24.50€', '24.5'],
    ['24.50  €', '24.5'],
    ['$3', '3'],
    ['£3', '3'],
    ['EUR24.50', '24.5'],
    ['EUR  24.50', '24.5'],
    ['eur 24.50', '24.5'],
    ['24.50 usd', '24.5'],
    ['24.50GBP', '24.5'],
    [' 3*12.50 ', '37.5'],
    ['1.2345', '1.2345'],
    ['1000000', '1000000'],
    ['-0', '-0'],
  ])('“%s” is %s', (typed, want) => expect(price(typed)).toBe(want === '-0' ? '0' : want));
  test.each([
    ['', 'no-price-typed', 'A price is missing: write a number such as 24.50.', undefined],
    [' € ', 'no-price-typed', 'A price is missing: write a number such as 24.50.', undefined],
    [' twenty ', 'not-a-number', '“twenty” is not a price: write a number such as 24.50.', undefined],
    ['24 EUR 5', 'not-a-number', '“24 EUR 5” is not a price: write a number such as 24.50.', undefined],
    ['1.500', 'two-meanings', '“1.500” can mean 1.5 or 1500: write one of these.', undefined],
    ['-3', 'negative-price', 'A price of -3 is below 0.', { value: -3, limit: 0 }],
    [
      '1000001',
      'price-too-high',
      'A price of 1000001 is above 1000000: has a decimal mark slipped?',
      { value: 1_000_001, limit: 1_000_000 },
    ],
    [
      '1.23456',
      'too-many-decimals',
      '1.23456 has 5 decimals; a price has at most 4.',
      { value: 5, limit: 4 },
    ],
  ])('“%s” is refused', (typed, code, message, numbers) =>
    expect(price(typed)).toEqual({ code, path: 'price', message, ...(numbers && { numbers }) }),
  );
  test.each([
    ['5', '5.00'],
    ['5.5', '5.50'],
    ['5.1234', '5.1234'],
  ])('%s is written %s', (price, text) => expect(priceText(new Decimal(price))).toBe(text));
});

describe('a share and days as typed', () => {
  const pct = (typed: string) => {
    const read = readPct(typed, '.');
    return read.ok ? read.value : refused(read);
  };
  test('a share is read with its sign, to five decimals', () => {
    expect([' 88 ', '88%', '88  %', '100/3', '-5'].map(pct)).toEqual([88, 88, 88, 33.33333, -5]);
  });
  test.each([
    ['', 'no-share-typed', 'A yield is missing: write a number such as 88.'],
    [' % ', 'no-share-typed', 'A yield is missing: write a number such as 88.'],
    [' most ', 'not-a-number', '“most” is not a yield: write a number such as 88.'],
    ['1.500', 'two-meanings', '“1.500” can mean 1.5 or 1500: write one of these.'],
  ])('“%s” is refused', (typed, code, message) =>
    expect(pct(typed)).toEqual({ code, path: 'usable', message }),
  );
  test('days', () => {
    expect(['1', '730', ' 28 '].map(readDays)).toEqual([1, 730, 28].map((value) => ({ ok: true, value })));
    expect(refused(readDays(' 731 '))).toEqual({
      code: 'days-out-of-range',
      path: 'days',
      message: 'An average over “731” days cannot be: a whole number from 1 to 730.',
      numbers: { value: 731, limit: 730 },
    });
  });
});

describe('shares that cannot be', () => {
  test.each([
    [
      0,
      0,
      'yield-out-of-range',
      'usable',
      'A usable yield of 0 % cannot be: it lies above 0 and at most at 100 %.',
      0,
      0,
    ],
    [
      1.3,
      0,
      'yield-out-of-range',
      'usable',
      'A usable yield of 130 % cannot be: it lies above 0 and at most at 100 %.',
      1.3,
      1,
    ],
    [
      0.5,
      -0.1,
      'trim-out-of-range',
      'stockTrim',
      'Stock trim of -10 % cannot be: it lies between 0 and 100 %.',
      -0.1,
      1,
    ],
    [
      0.5,
      1.1,
      'trim-out-of-range',
      'stockTrim',
      'Stock trim of 110 % cannot be: it lies between 0 and 100 %.',
      1.1,
      1,
    ],
    [
      0.75,
      0.5,
      'trim-over-whole',
      'stockTrim',
      'Usable 75 % and stock trim 50 % make 125 %: together they cannot be more than 100 %.',
      1.25,
      1,
    ],
  ])('%d usable and %d trim', (usable, stockTrim, code, path, message, value, limit) =>
    expect(refused(checkShares({ usable, stockTrim }))).toEqual({
      code,
      path,
      message,
      numbers: { value, limit },
    }),
  );
  test.each([
    [1, 0],
    [0.001, 0.999],
    [0.5, 0],
    [0.7, 0.30000000000000004],
  ])('%d usable and %d trim can be', (usable, stockTrim) =>
    expect(checkShares({ usable, stockTrim })).toBeUndefined(),
  );
});

describe('what comes off, by each school', () => {
  const off = (name: string, share: number, setValue: number, taken = 1, sold = false): ComesOff => ({
    name,
    share,
    setValue,
    taken,
    sold,
  });
  const others = [off('Trim', 0.2, 1), off('Fat', 0.1, 2, 0.5), off('Roe', 0.1, 3, 1, true)];
  const shared = (school: 'free' | 'value' | 'weight') => {
    const got = sharePrice(0.5, others, 4, school);
    if (!got.ok) throw new Error(got.trouble.message);
    return [got.value.usable, ...got.value.others].map((x) => Number(x.toFixed(9)));
  };
  test('free: the usable part carries all that no buyer pays', () => {
    expect(shared('free')).toEqual([7.4, 0, 0, 3]);
  });
  test('value: each at its set value, by what is taken of it', () => {
    expect(shared('value')).toEqual([6.8, 1, 2, 3]);
  });
  test('weight: all that is taken at one price', () => {
    const each = Number((3.7 / 0.75).toFixed(9));
    expect(shared('weight')).toEqual([each, each, each, 3]);
  });
  test('where it cannot bear them, the one that brings most is named with the most it can bear', () => {
    // .2·9 = 1.8 for Trim, .4·2·½ = .4 for Fat: 2.2 of 1.5.
    const got = sharePrice(0.4, [off('Fat', 0.4, 2, 0.5), off('Trim', 0.2, 9)], 1.5, 'value');
    expect(refused(got)).toEqual({
      code: 'set-value-too-high',
      path: 'setValue',
      message:
        'Trim at 9.00 per kilo would be credited with more (2.20) than the whole cost (1.50): the most it can bear is 5.50.',
      numbers: { value: 9, limit: (1.5 - (0.2 * 9 + 0.4 - 0.2 * 9)) / 0.2 },
    });
    // Half of it taken: it may bear twice as much; and a small share at a high value is not the largest.
    const half = sharePrice(0.4, [off('Fat', 0.4, 9, 0.5), off('Cheek', 0.01, 20)], 1.5, 'value');
    expect(!half.ok && half.trouble.message).toContain('Fat at 9.00');
    expect(!half.ok && half.trouble.message).toContain('is 6.50.');
    const few = sharePrice(0.4, [off('Fat', 0.5, 9, 0.1), off('Trim', 0.1, 20)], 1.5, 'value');
    expect(!few.ok && few.trouble.message).toContain('Trim at 20.00');
  });
  test('exactly what was paid can be borne', () => {
    const got = sharePrice(0.5, [off('Trim', 0.5, 2)], 1, 'value');
    expect(got.ok && got.value).toEqual({ usable: 0, others: [2] });
  });
});

describe('goods that came', () => {
  const line = (part: object) =>
    received({ packs: 2, packPrice: '14.00', ...part }, 5000, { name: 'Leek' }, { mark: '.' });
  test('more returned than came is refused with both', () => {
    expect(refused(line({ delivered: '9 kg', rejected: '9.5 kg' }))).toEqual({
      code: 'rejected-over-delivered',
      path: 'rejected',
      message: '9.50 kg of Leek returned, but only 9.00 kg came.',
      numbers: { value: 9500, limit: 9000 },
    });
    expect(line({ rejected: '10.001 kg' }).ok).toBe(false);
    const all = line({ rejected: '10 kg' });
    expect(all.ok && [all.value.acceptedG, all.value.rejectedG]).toEqual([0, 10_000]);
  });
  test('what cannot be weighed is told in its own field', () => {
    expect(refused(line({ delivered: '2 l' }))).toMatchObject({ code: 'density-unknown', path: 'delivered' });
    expect(refused(line({ rejected: 'ham' }))).toMatchObject({ code: 'not-an-amount', path: 'rejected' });
    expect(refused(line({ rejected: '2 cm' }))).toMatchObject({ code: 'wrong-kind', path: 'rejected' });
  });
  test('half a per cent is the scale’s, more is said', () => {
    const words = (invoicedG: number, deliveredG: number, rejectedG = 0) =>
      deliveryWords({
        invoicedG,
        deliveredG,
        rejectedG,
        acceptedG: deliveredG - rejectedG,
        money: new Decimal(1),
      });
    expect(words(10_000, 9950)).toEqual([]);
    expect(words(10_000, 9940)).toEqual([
      '0.06 kg short of the 10.00 kg invoiced: paid for until it is credited.',
    ]);
    expect(words(10_000, 10_050)).toEqual([]);
    expect(words(10_000, 10_060)).toEqual(['0.06 kg more than the 10.00 kg invoiced.']);
    expect(words(10_000, 9000, 500)).toEqual([
      '1.00 kg short of the 10.00 kg invoiced: paid for until it is credited.',
      '0.50 kg returned: paid for until it is credited.',
    ]);
    // A credit note brings nothing and is short of nothing.
    expect(words(10_000, 0)).toEqual([]);
  });
});

describe('the price of what is there', () => {
  const receipt = (on: string, g: number, money: number, recordedAt = `${on}T08:00:00.000Z`): Receipt => ({
    on,
    recordedAt,
    invoice: `${on} ${g}`,
    g,
    money: new Decimal(money),
  });
  test('stands on its receipts, newest first, of one day the last recorded', () => {
    const all = [
      receipt('2026-02-01', 1000, 1),
      receipt('2026-02-03', 2000, 2, '2026-02-03T09:00:00.000Z'),
      receipt('2026-02-03', 3000, 3, '2026-02-03T11:00:00.000Z'),
      receipt('2026-02-02', 4000, 4),
    ];
    const g = [3000, 2000, 4000, 1000];
    const average = averagePrice(all, '2026-02-03', 28);
    expect(average?.layers.map((l) => l.g)).toEqual(g);
    expect(average?.unexplainedG).toBe(0);
    expect(stockPrice(all, { on: '2026-02-03', g: 9500 }, '2026-02-03')?.layers.map((l) => l.g)).toEqual([
      3000, 2000, 4000, 500,
    ]);
    // They stay as they were handed in.
    expect(all.map((r) => r.g)).toEqual([1000, 2000, 3000, 4000]);
  });
  test('of a part of a receipt, its part of the money', () => {
    const price = stockPrice([receipt('2026-02-01', 4000, 8)], { on: '2026-02-01', g: 1000 }, '2026-02-02');
    expect(price?.layers[0]?.money.toNumber()).toBe(2);
    expect(price?.perKg.toNumber()).toBe(2);
  });
  test('credits above what was paid, or nothing kept, are no price; free goods are', () => {
    const credited = [receipt('2026-02-01', 1000, 1), receipt('2026-02-01', 0, -2)];
    expect(averagePrice(credited, '2026-02-01', 1)).toBeUndefined();
    expect(averagePrice([receipt('2026-02-01', 0, 1)], '2026-02-01', 1)).toBeUndefined();
    expect(averagePrice([receipt('2026-02-01', 1000, 0)], '2026-02-01', 1)?.perKg.toNumber()).toBe(0);
  });
  test('a day’s average knows that day alone', () => {
    const two = [receipt('2026-02-01', 1000, 1), receipt('2026-02-02', 1000, 3)];
    expect(averagePrice(two, '2026-02-02', 1)?.perKg.toNumber()).toBe(3);
    expect(averagePrice(two, '2026-02-02', 2)?.perKg.toNumber()).toBe(2);
    expect(averagePrice(two, '2026-02-01', 2)?.perKg.toNumber()).toBe(1);
  });
  test('a count that nothing explains says by how much', () => {
    const price = stockPrice([receipt('2026-02-01', 1000, 1)], { on: '2026-02-02', g: 1500 }, '2026-02-03');
    expect([price?.unexplainedG, price?.perKg.toNumber()]).toEqual([500, 1]);
  });
  test('of two quotes for a day the one recorded last, of two recorded at once the later in the list', () => {
    const quote = (on: string, recordedAt: string, price: number) => ({
      on,
      recordedAt,
      price: new Decimal(price),
    });
    const noon = '2026-02-01T12:00:00Z';
    const [one, two, old] = [
      quote('2026-02-01', noon, 1),
      quote('2026-02-01', noon, 2),
      quote('2026-01-01', '2026-03-01T12:00:00Z', 3),
    ];
    expect(quoteOn([one, two, old], '2026-02-05')).toBe(two);
    expect(quoteOn([two, one, old], '2026-02-05')).toBe(one);
    const early = quote('2026-02-01', '2026-02-01T08:00:00Z', 4);
    expect(quoteOn([one, early], '2026-02-01')).toBe(one);
    expect(quoteOn([one, early], '2026-01-31')).toBeUndefined();
  });
});

describe('what a thing cannot give', () => {
  const told = (...args: Parameters<typeof stuff>) => checkStuff(stuff(...args));
  test('each is a sentence with the number, the limit and the field', () => {
    expect(
      told(
        'Bone',
        'piece',
        { water: 0.9, fat: 0.01 },
        { gelatinPool: 0.2, renderedFat: 0.1, givesWater: 0.95 },
      ),
    ).toEqual([
      {
        code: 'gelatin-over-rest',
        path: 'gelatin',
        message: 'Bone can give 20 g gelatin per 100 g but has only 9 g of protein and the like.',
        numbers: { value: 0.2, limit: expect.closeTo(0.09, 12) as number },
      },
      {
        code: 'render-over-fat',
        path: 'renderedFat',
        message: 'Bone renders 10 g fat per 100 g but has only 1 g.',
        numbers: { value: 0.1, limit: 0.01 },
      },
      {
        code: 'gives-over-water',
        path: 'givesWater',
        message: 'Bone gives up 95 g water per 100 g but has only 90 g.',
        numbers: { value: 0.95, limit: 0.9 },
      },
      {
        code: 'no-half-life',
        path: 'gelatin.halfLifeH',
        message: 'Bone gives gelatin, so it needs the hours in which half of it has come out.',
        numbers: { value: 0, limit: 0 },
      },
    ]);
    expect(told('Plum in brandy', 'piece', { water: 0.8, ethanol: 0.1 })).toEqual([
      {
        code: 'ethanol-in-piece',
        path: 'composition.ethanolVolPct',
        message: 'Plum in brandy is a piece: alcohol is followed in liquids only.',
        numbers: { value: 10, limit: 0 },
      },
    ]);
  });
  test('all that it has it can give', () => {
    expect(
      told(
        'x',
        'piece',
        { water: 0.5, fat: 0.2, rest: 0.3 },
        { gelatinPool: 0.3, gelatinHalfLifeH: 4, renderedFat: 0.2, givesWater: 0.5 },
      ),
    ).toEqual([]);
    expect(told('Wine', 'liquid', { water: 0.8, ethanol: 0.1 })).toEqual([]);
    expect(told('Leek', 'piece', { water: 0.9 })).toEqual([]);
  });
  test('every part that is written down is taken over, and what is left is the rest', () => {
    const read = composition({ water: 50, fat: 10, salt: 2, sugar: 8, starch: 5, gelatin: 3 });
    const parts =
      read.ok && Object.fromEntries(Object.entries(read.value).map(([k, v]) => [k, +v.toFixed(9)]));
    expect(parts).toEqual({
      water: 0.5,
      ethanol: 0,
      fat: 0.1,
      salt: 0.02,
      sugar: 0.08,
      starch: 0.05,
      gelatin: 0.03,
      rest: 0.22,
    });
    expect(composition({ water: 100 }).ok).toBe(true);
    expect(refused(composition({ water: 100.1 }))).toEqual({
      code: 'composition-over-whole',
      path: 'composition',
      message: 'The parts make 100.1 g in 100 g: at most 100.',
      numbers: { value: expect.closeTo(100.1, 9) as number, limit: 100 },
    });
  });
  test('a spirit of 40 % by volume holds four litres of alcohol in ten', () => {
    const read = composition({ water: 60, ethanolVolPct: 40 });
    const share = read.ok ? read.value.ethanol / DENSITY.ethanol / partsMl(read.value) : NaN;
    // Three rounds leave a spirit two thousandths short.
    expect(Math.abs(share - 0.4)).toBeLessThan(0.002);
    expect(read.ok && partsG(read.value)).toBeCloseTo(1, 9);
  });
});

describe('opened packs at their edges', () => {
  test('a hundredth of a pack over does not open another, more does', () => {
    const packs = (g: number) => packsOpened(g, { g: 1000, usable: 1, charged: 'whole' }).packs;
    expect([1, 999, 1009, 1011, 2009, 2011].map(packs)).toEqual([1, 1, 1, 2, 2, 3]);
  });
  test('what is used is reckoned as purchased', () => {
    expect(packsOpened(600, { g: 500, usable: 0.5, charged: 'whole' })).toEqual({
      packs: 3,
      leftG: 300,
      factor: 1.25,
    });
    expect(packsOpened(-1, { g: 500, usable: 0.5, charged: 'whole' })).toEqual({
      packs: 0,
      leftG: 0,
      factor: 1,
    });
    expect(packsOpened(1005, { g: 1000, usable: 1, charged: 'whole' })).toEqual({
      packs: 1,
      leftG: 0,
      factor: 1,
    });
  });
});

describe('another in its place, at the edge of what is worth a word', () => {
  const usual: Comparable = { name: 'Usual', allergens: [], saltPct: 1, gelatinPct: 2, usablePerKg: 10 };
  const said = (part: Partial<Comparable>, of: Partial<Comparable> = {}) =>
    differences({ ...usual, ...of }, { ...usual, name: 'Other', ...part }, (x) => x.toFixed(2));
  test('each difference says what it is about, and only an allergen that comes in is grave', () => {
    expect(
      said(
        { allergens: ['egg', 'milk'], saltPct: 0.5, gelatinPct: 3, usablePerKg: 12 },
        { allergens: ['nuts', 'fish'] },
      ),
    ).toEqual([
      { what: 'allergen', grave: true, message: 'Brings egg, milk, which Usual does not carry.' },
      {
        what: 'allergen',
        grave: false,
        message: 'Does not carry nuts, fish: the label decides before anybody is told so.',
      },
      { what: 'salt', grave: false, message: 'Less salty: 0.5 % instead of 1 %.' },
      { what: 'gelatin', grave: false, message: 'More gelatin: 3 % instead of 2 %.' },
      { what: 'cost', grave: false, message: 'Dearer by 2.00 a usable kilo: 12.00 instead of 10.00.' },
    ]);
  });
  test('five hundredths of a point of salt, two per cent of the rest', () => {
    expect(said({ saltPct: 1.0625 }, { saltPct: 1 }).map((d) => d.what)).toEqual(['salt']);
    expect(said({ saltPct: 0.05 }, { saltPct: 0 }).map((d) => d.what)).toEqual(['salt']);
    expect(said({ saltPct: 0.04 }, { saltPct: 0 })).toEqual([]);
    expect(said({ gelatinPct: 2.03 })).toEqual([]);
    expect(said({ gelatinPct: 1.97 })).toEqual([]);
    expect(said({ gelatinPct: 2.05 }).map((d) => d.what)).toEqual(['gelatin']);
    expect(said({ gelatinPct: 0 }, { gelatinPct: 0 })).toEqual([]);
    expect(said({ usablePerKg: 10.2 })).toEqual([]);
    expect(said({ usablePerKg: 9.79 }).map((d) => d.what)).toEqual(['cost']);
  });
  test('without a price on either side it is said which lacks one', () => {
    const none = (name: string) => [
      {
        what: 'cost',
        grave: false,
        message: `What it costs beside the other is not known: ${name} has no price.`,
      },
    ];
    expect(said({ usablePerKg: undefined })).toEqual(none('Other'));
    expect(said({}, { usablePerKg: undefined })).toEqual(none('Usual'));
  });
});
