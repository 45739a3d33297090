import { Decimal } from 'decimal.js';
import fc from 'fast-check';
import {
  averagePrice,
  deliveryWords,
  differences,
  packsOpened,
  readDays,
  received,
  stockPrice,
  type Comparable,
  type Receipt,
} from '..';

const receipt = (on: string, g: number, money: number | string): Receipt => ({
  on,
  recordedAt: `${on}T08:00:00.000Z`,
  invoice: `of ${on}`,
  g,
  money: new Decimal(money),
});
const day = fc.integer({ min: 1, max: 28 }).map((d) => `2026-02-${String(d).padStart(2, '0')}`);
const receipts = fc.array(
  fc
    .tuple(day, fc.integer({ min: 1, max: 50_000 }), fc.integer({ min: 0, max: 100_000 }))
    .map(([on, g, cents]) => receipt(on, g, new Decimal(cents).div(100).toString())),
  { minLength: 1, maxLength: 30 },
);

describe('the average of some days', () => {
  test('is money over kilos, credits counted', () => {
    const price = averagePrice(
      [receipt('2026-02-01', 10_000, 20), receipt('2026-02-10', 5_000, 15), receipt('2026-02-12', 0, '-5')],
      '2026-02-14',
      28,
    );
    expect(price?.perKg.toNumber()).toBe(2);
  });
  test('lies between the dearest and the cheapest of its days, and knows only those', () => {
    fc.assert(
      fc.property(receipts, day, fc.integer({ min: 1, max: 28 }), (all, on, days) => {
        const price = averagePrice(all, on, days);
        const first = new Date(Date.parse(`${on}T00:00:00Z`) - (days - 1) * 86_400_000)
          .toISOString()
          .slice(0, 10);
        const there = all.filter((r) => r.on >= first && r.on <= on);
        expect(price === undefined).toBe(there.length === 0);
        if (!price) return;
        const each = there.map((r) => (r.money.toNumber() / r.g) * 1000);
        expect(price.perKg.toNumber()).toBeGreaterThanOrEqual(Math.min(...each) - 1e-9);
        expect(price.perKg.toNumber()).toBeLessThanOrEqual(Math.max(...each) + 1e-9);
      }),
    );
  });
});

describe('first in, first out over the quantity last counted', () => {
  test('what is there is the newest of what came', () => {
    const price = stockPrice(
      [
        receipt('2026-02-01', 10_000, 10),
        receipt('2026-02-08', 10_000, 20),
        receipt('2026-02-15', 10_000, 40),
      ],
      { on: '2026-02-16', g: 15_000 },
      '2026-02-20',
    );
    // 10 kg at 4.00 and 5 kg at 2.00.
    expect(price?.perKg.toFixed(6)).toBe('3.333333');
    expect(price?.layers.map((l) => l.g)).toEqual([10_000, 5_000]);
  });
  test('what came after the count lies on top of it', () => {
    const price = stockPrice(
      [receipt('2026-02-01', 10_000, 10), receipt('2026-02-18', 5_000, 20)],
      { on: '2026-02-16', g: 5_000 },
      '2026-02-20',
    );
    expect(price?.perKg.toNumber()).toBe(2.5);
  });
  test('never invents quantity: no more than was counted and came since, no more than ever came', () => {
    fc.assert(
      fc.property(receipts, day, day, fc.integer({ min: 0, max: 400_000 }), (all, on, today, g) => {
        const price = stockPrice(all, { on, g }, today);
        const upTo = (to: string, from = ''): number =>
          all.filter((r) => r.on <= to && r.on > from).reduce((sum, r) => sum + r.g, 0);
        const used = price?.layers.reduce((sum, l) => sum + l.g, 0) ?? 0;
        expect(used).toBeLessThanOrEqual(upTo(today) + 1e-6);
        expect(used).toBeLessThanOrEqual(g + upTo(today, on) + 1e-6);
        if (!price) return;
        for (const l of price.layers) expect(l.g).toBeLessThanOrEqual(l.receipt.g);
        expect(price.unexplainedG).toBeCloseTo(Math.max(0, g - upTo(on < today ? on : today)), 6);
      }),
    );
  });
});

describe('what a line of an invoice brought', () => {
  const thing = { name: 'Leek', eachG: 200, eachUnit: 'each' as const };
  const of = (part: object, kind: 'invoice' | 'credit note' = 'invoice') =>
    received({ packs: 2, packPrice: '14.00', ...part }, 5000, thing, { mark: '.' }, kind);
  test('as invoiced, short, over and returned', () => {
    const plain = of({});
    expect(
      plain.ok && [plain.value.acceptedG, plain.value.money.toNumber(), deliveryWords(plain.value)],
    ).toEqual([10_000, 28, []]);
    const short = of({ delivered: '9 kg' });
    expect(short.ok && deliveryWords(short.value)).toEqual([
      '1.00 kg short of the 10.00 kg invoiced: paid for until it is credited.',
    ]);
    const over = of({ delivered: '11 kg' });
    expect(over.ok && deliveryWords(over.value)).toEqual(['1.00 kg more than the 10.00 kg invoiced.']);
    const back = of({ rejected: '5 each' });
    expect(back.ok && [back.value.acceptedG, deliveryWords(back.value)]).toEqual([
      9_000,
      ['1.00 kg returned: paid for until it is credited.'],
    ]);
  });
  test('a credit note brings money back, and takes goods only where some went', () => {
    const money = of({}, 'credit note');
    expect(money.ok && [money.value.acceptedG, money.value.money.toNumber()]).toEqual([0, -28]);
    const goods = of({ delivered: '3 kg' }, 'credit note');
    expect(goods.ok && goods.value.acceptedG).toBe(-3000);
  });
  test.each([
    [{ rejected: '11 kg' }, 'rejected-over-delivered'],
    [{ delivered: 'most of it' }, 'not-an-amount'],
    [{ delivered: '2 bunches' }, 'piece-weight-unknown'],
    [{ rejected: '2 l' }, 'density-unknown'],
  ])('%j is refused', (part, code) => {
    const wrong = of(part);
    expect(!wrong.ok && wrong.trouble.code).toBe(code);
  });
});

describe('opened packs', () => {
  test('by the part used, or whole', () => {
    expect(packsOpened(500, { g: 750, usable: 1, charged: 'whole' })).toEqual({
      packs: 1,
      leftG: 250,
      factor: 1.5,
    });
    expect(packsOpened(500, { g: 750, usable: 1, charged: 'part' })).toEqual({
      packs: 1,
      leftG: 250,
      factor: 1,
    });
    // Two bottles that weigh a gram more than two packs of 750 ml.
    expect(packsOpened(1487, { g: 743, usable: 1, charged: 'part' })).toEqual({
      packs: 2,
      leftG: 0,
      factor: 1,
    });
    expect(packsOpened(0, { g: 750, usable: 1, charged: 'whole' }).packs).toBe(0);
  });
  test('what is opened is what is used and what is left; whole packs are never cheaper than the part', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1e5, noNaN: true }),
        fc.double({ min: 10, max: 1e4, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        (g, pack, usable) => {
          const { packs, leftG, factor } = packsOpened(g, { g: pack, usable, charged: 'whole' });
          // Up to a hundredth of a pack over does not open another.
          const over = Math.max(0, g / usable - packs * pack);
          expect(over).toBeLessThanOrEqual(pack * 0.0100001);
          expect(packs * pack + over).toBeCloseTo(g / usable + leftG, 3);
          expect(leftG).toBeLessThan(pack);
          expect(factor).toBeGreaterThanOrEqual(1);
          expect(factor * (g / usable)).toBeCloseTo(packs * pack + over, 3);
        },
      ),
    );
  });
});

describe('another in its place', () => {
  const stock: Comparable = {
    name: 'Veal stock',
    allergens: ['celery'],
    saltPct: 0.4,
    gelatinPct: 3.5,
    usablePerKg: 6,
  };
  const money = (x: number): string => x.toFixed(2);
  const say = (part: Partial<Comparable>): string[] =>
    differences(stock, { ...stock, name: 'Other', ...part }, money).map((d) => d.message);
  test('nothing where nothing changes', () => expect(say({})).toEqual([]));
  test('allergens that come in are grave, those that go are not promised', () => {
    const found = differences(stock, { ...stock, allergens: ['gluten'] }, money);
    expect(found.map((d) => [d.grave, d.message])).toEqual([
      [true, 'Brings gluten, which Veal stock does not carry.'],
      [false, 'Does not carry celery: the label decides before anybody is told so.'],
    ]);
  });
  test('salt, gelatin and cost in figures', () => {
    expect(say({ saltPct: 1.2 })).toEqual(['Saltier: 1.2 % instead of 0.4 %.']);
    expect(say({ gelatinPct: 0.3 })).toEqual(['Less gelatin: 0.3 % instead of 3.5 %.']);
    expect(say({ usablePerKg: 4.5 })).toEqual(['Cheaper by 1.50 a usable kilo: 4.50 instead of 6.00.']);
    expect(say({ usablePerKg: undefined })).toEqual([
      'What it costs beside the other is not known: Other has no price.',
    ]);
  });
});

test.each(['0', '731', '2.5', '-1', 'many', ''])(
  'an average over “%s” days is refused, one of 28 is not',
  (typed) => {
    const wrong = readDays(typed);
    expect(!wrong.ok && wrong.trouble.message).toContain('a whole number from 1 to 730');
    expect(readDays(' 28 ')).toEqual({ ok: true, value: 28 });
  },
);
