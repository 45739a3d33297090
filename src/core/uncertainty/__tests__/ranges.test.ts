import { snapshotOf, type Way } from '../../compare';
import { costKitchen } from '../../costing';
import { historyFrom, stateFrom, type PricePoint } from '../../kitchen-state';
import { CONSTANTS, LEARNING, REFERENCE, referenceLarder } from '../../reference';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';
import { rangesOf, type Uncertain } from '..';

/*
 * What is drawn, and between which points, of a kitchen that is changed one figure at a time. Where the range of each kind comes
 * from is in docs/model.md, “How sure”.
 */

const DAY = '2026-03-14';
type Written = Parameters<NonNullable<Parameters<typeof smallKitchen>[0]>>[0];

/** Everything that is not known for sure of the sauce (or of another pot) in the small kitchen, changed. */
function ranges(change: (k: Written) => void, product: string = SMALL.sauce): Uncertain[] {
  const file = smallKitchen(change);
  const past = historyFrom(file, DAY);
  const costing = costKitchen(stateFrom(file), DAY, CONSTANTS, past);
  const way: Way = { name: 'as it stands', recipes: [], product, prices: 0 };
  const points = (article: string): readonly PricePoint[] => past.article(article).points;
  return rangesOf(costing, points, snapshotOf([costing], [way]), [way], CONSTANTS);
}

/** The one range of a kind, or what there is of it. */
function only(kind: Uncertain['kind'], found: Uncertain[]): Partial<Uncertain> | undefined {
  const of = found.filter((u) => u.kind === kind);
  expect(of.length).toBeLessThan(2);
  return of[0];
}

const bare = LEARNING.bareRange;

describe('yields', () => {
  const yieldOf = (usablePct: number, more: object) =>
    only(
      'yield',
      ranges((k) =>
        Object.assign(k.ingredients[2]!, {
          yields: [
            {
              on: '2026-01-01',
              recordedAt: '2026-01-01T08:00:00.000Z',
              usablePct,
              stockTrimPct: 0,
              source: 'estimate',
              ...more,
            },
          ],
        }),
      ),
    );

  test('between their own 5 and 95 % points; of tests, if they were measured', () => {
    expect(yieldOf(60, { low: 50, high: 66 })).toEqual({
      kind: 'yield',
      id: SMALL.leek,
      name: 'Leek',
      unit: '%',
      value: 60,
      low: 50,
      high: 66,
      from: 'starting value',
    });
    expect(yieldOf(60, { low: 50, high: 66, source: 'measured' })).toMatchObject({ from: 'tests' });
  });

  test('never more than the whole, nor than what comes off beside it leaves', () => {
    expect(yieldOf(97, { low: 90, high: 104 })).toMatchObject({ low: 90, high: 100 });
    expect(yieldOf(60, { low: 50, high: 75, stockTrimPct: 30 })).toMatchObject({ low: 50, high: 70 });
    // Of bones a tenth is stock trim and a fifth fat.
    const bones = ranges((k) => Object.assign(k.ingredients[0]!.yields![0]!, { low: 60, high: 80 }));
    expect(only('yield', bones)).toMatchObject({ id: SMALL.bones, value: 70, low: 60, high: 70 });
    expect(yieldOf(70, { low: 50, high: 75, stockTrimPct: 30 })).toMatchObject({ value: 70, high: 70 });
  });

  test.each([
    ['no points at all', {}],
    ['only a low one', { low: 50 }],
    ['only a high one', { high: 70 }],
    ['points that are one', { low: 60, high: 60 }],
    ['points the wrong way round', { low: 66, high: 50 }],
    ['a value below its low', { low: 61, high: 70 }],
    ['a value above its high', { low: 50, high: 59 }],
  ])('with %s are taken as they are', (_, more) => {
    expect(yieldOf(60, more)).toBeUndefined();
  });

  test('at their own edge they are drawn', () => {
    expect(yieldOf(60, { low: 60, high: 70 })).toMatchObject({ value: 60, low: 60, high: 70 });
    expect(yieldOf(60, { low: 50, high: 60 })).toMatchObject({ value: 60, low: 50, high: 60 });
  });
});

describe('gelatin', () => {
  const ROW = [...referenceLarder().values()].find((r) => r.gelatinRange && r.gelatin)!;
  const BARE = [...referenceLarder().values()].find((r) => !r.gelatinRange)!;
  const gelatin = (gPerKg: number, reference?: string) =>
    only(
      'gelatin',
      ranges((k) =>
        Object.assign(k.ingredients[0]!, {
          gelatin: { gPerKg, halfLifeH: 3 },
          ...(reference === undefined ? {} : { reference }),
        }),
      ),
    );

  test('as far around its own value as the starting value’s range reaches around it', () => {
    const [low, high] = ROW.gelatinRange!;
    const usual = ROW.gelatin!.gPerKg;
    expect(gelatin(30, ROW.id)).toMatchObject({
      id: SMALL.bones,
      unit: 'g/kg',
      value: 30,
      low: expect.closeTo((30 * low) / usual, 9) as number,
      high: expect.closeTo((30 * high) / usual, 9) as number,
      from: 'starting value',
    });
  });

  test('a judgement where nothing is known of its range', () => {
    const judged = {
      value: 30,
      low: expect.closeTo(30 * (1 - bare), 9) as number,
      high: expect.closeTo(30 * (1 + bare), 9) as number,
      from: 'judgement',
    };
    expect(gelatin(30)).toMatchObject(judged);
    expect(gelatin(30, BARE.id)).toMatchObject(judged);
  });

  test('of what gives none nothing is drawn', () => {
    expect(ranges(() => undefined).filter((u) => u.kind === 'gelatin' || u.kind === 'dissolved')).toEqual([]);
  });

  test('dissolved in a liquid it is a judgement; a piece has none dissolved', () => {
    const dissolved = (role: string) =>
      only(
        'dissolved',
        ranges((k) => Object.assign(k.ingredients[3]!, { role, composition: { water: 90, gelatin: 4 } })),
      );
    expect(dissolved('liquid')).toMatchObject({
      id: SMALL.salt,
      unit: '%',
      value: 4,
      low: expect.closeTo(4 * (1 - bare), 9) as number,
      high: expect.closeTo(4 * (1 + bare), 9) as number,
      from: 'judgement',
    });
    expect(dissolved('piece')).toBeUndefined();
  });
});

describe('what pieces keep', () => {
  const kept = (more: object, ...cooked: object[]) =>
    ranges((k) =>
      Object.assign(k.ingredients[0]!, {
        retentionMlPerKg: 120,
        retentionPressedMlPerKg: 60,
        cooked: cooked.map((c) => ({
          on: '2026-02-01',
          recordedAt: '2026-02-01T08:00:00.000Z',
          figure: 'retention',
          ...c,
        })),
        ...more,
      }),
    ).filter((u) => u.kind.startsWith('retention') && u.id === SMALL.bones);

  test('a judgement around the estimate, and pressed goes with it', () => {
    expect(kept({})).toMatchObject([
      {
        kind: 'retention',
        unit: 'ml/kg',
        value: 120,
        low: expect.closeTo(120 * (1 - bare), 9) as number,
        high: expect.closeTo(120 * (1 + bare), 9) as number,
        from: 'judgement',
        pressedToo: true,
      },
    ]);
  });

  test('between the points of own tests, where the value lies between them', () => {
    const test = { value: 100, low: 90, high: 115 };
    expect(kept({}, test)).toMatchObject([{ ...test, from: 'tests', pressedToo: true }]);
    expect(kept({}, { value: 100, low: 100, high: 115 })).toMatchObject([{ low: 100, from: 'tests' }]);
    expect(kept({}, { value: 100, low: 90, high: 100 })).toMatchObject([{ high: 100, from: 'tests' }]);
  });

  test.each([
    ['no points', { value: 100 }],
    ['a low one alone', { value: 100, low: 90 }],
    ['a high one alone', { value: 100, high: 115 }],
    ['both above it', { value: 100, low: 101, high: 115 }],
    ['both below it', { value: 100, low: 80, high: 99 }],
  ])('a test with %s is a value with a judgement around it', (_, test) => {
    expect(kept({}, test)).toMatchObject([
      {
        value: 100,
        low: expect.closeTo(100 * (1 - bare), 9) as number,
        high: expect.closeTo(100 * (1 + bare), 9) as number,
        from: 'judgement',
      },
    ]);
  });

  test('tests of pressing tell it apart: each is drawn by itself', () => {
    const found = kept({}, { figure: 'retention pressed', value: 50, low: 45, high: 58 });
    expect(found).toMatchObject([
      { kind: 'retention', value: 120, from: 'judgement' },
      { kind: 'retention pressed', value: 50, low: 45, high: 58, from: 'tests' },
    ]);
    for (const u of found) expect(u.pressedToo).toBeUndefined();
  });

  test('of what keeps nothing, and of what is no piece, nothing is drawn', () => {
    expect(kept({ retentionMlPerKg: 0, retentionPressedMlPerKg: 0 })).toEqual([]);
    expect(kept({ role: 'liquid' })).toEqual([]);
  });
});

describe('prices', () => {
  const quote = (on: string, price: string) => ({ on, recordedAt: `${on}T08:00:00.000Z`, price });
  const leek = (quotes: object[], more: (k: Written) => void = () => undefined) =>
    ranges((k) => {
      Object.assign(k.articles[1]!, { quotes });
      more(k);
    }).find((u) => u.kind === 'price' && u.id === SMALL.leek);

  test('between the least and the most paid in a year, in times what is paid now', () => {
    const quotes = [quote('2025-06-01', '12.00'), quote('2025-09-01', '18.00'), quote('2026-02-01', '15.00')];
    expect(leek(quotes)).toMatchObject({
      unit: '× now',
      value: 1,
      low: expect.closeTo(0.8, 9) as number,
      high: expect.closeTo(1.2, 9) as number,
      from: 'prices paid',
    });
  });

  test('now is in it, also where it is the dearest or the cheapest of all', () => {
    expect(leek([quote('2025-06-01', '12.00'), quote('2026-02-01', '15.00')])).toMatchObject({
      low: 0.8,
      high: 1,
    });
    expect(leek([quote('2025-06-01', '18.00'), quote('2026-02-01', '15.00')])).toMatchObject({
      low: 1,
      high: 1.2,
    });
  });

  test('a year back to the day, and nothing of what is still to come', () => {
    const now = quote('2026-02-01', '15.00');
    // 365 days before the 14th of March.
    expect(leek([quote('2025-03-14', '12.00'), now])).toBeUndefined();
    expect(leek([quote('2025-03-15', '12.00'), now])).toMatchObject({ low: 0.8 });
    expect(leek([now, quote('2026-03-15', '18.00')])).toBeUndefined();
    expect(leek([quote('2026-01-01', '12.00'), { ...now, on: DAY }])).toMatchObject({ low: 0.8, high: 1 });
  });

  test('paid but once, or always the same, or agreed on, it is taken as it is; so is what has no price', () => {
    expect(leek([quote('2026-02-01', '15.00')])).toBeUndefined();
    expect(leek([quote('2026-01-01', '15.00'), quote('2026-02-01', '15.00')])).toBeUndefined();
    const moving = [quote('2025-06-01', '12.00'), quote('2026-02-01', '15.00')];
    const fixed = { by: 'fixed', price: '3.00', per: '1 kg' };
    expect(leek(moving, (k) => Object.assign(k.ingredients[2]!, { priceBasis: fixed }))).toBeUndefined();
    expect(leek(moving, (k) => k.articles.splice(1, 1))).toBeUndefined();
    expect(leek([quote('2025-06-01', '12.00'), quote('2026-02-01', '0.00')])).toBeUndefined();
  });
});

describe('hobs', () => {
  const hobs = (change: (k: Written) => void) => ranges(change).filter((u) => u.kind === 'power');
  test('a judgement around what has been measured, of those that are cooked on', () => {
    const other = {
      id: '019cabd9-0000-7000-8000-000000000077',
      name: 'Another',
      netKw: 3,
      fuel: 'gas' as const,
    };
    const found = hobs((k) => {
      Object.assign(k.hobs[0]!, { netKw: 4 });
      k.hobs.push(other as never);
    });
    expect(found).toMatchObject([
      {
        id: SMALL.hob,
        unit: 'kW',
        value: 4,
        low: expect.closeTo(4 * (1 - bare), 9) as number,
        high: expect.closeTo(4 * (1 + bare), 9) as number,
        from: 'judgement',
      },
    ]);
    expect(hobs(() => undefined)).toEqual([]);
  });
});

test('a row of the constants is drawn where it is cooked with, also one whose value is its own most', () => {
  const row = REFERENCE.get('temp_hard_boil')!;
  expect(row.value).toBe(row.high);
  const drawn = (heat: string): string[] =>
    ranges(
      (k) => k.recipes[0]!.steps.push({ do: 'cook', time: '1 h', heat, lid: 'off' }),
      SMALL.stock,
    ).flatMap((u) => (u.kind === 'constant' ? [u.id] : []));
  expect(drawn('hard boil')).toEqual(expect.arrayContaining(['temp_hard_boil', 'evap_hard_boil']));
  expect(drawn('bare simmer')).not.toContain('temp_hard_boil');
  expect(drawn('bare simmer')).toContain('evap_bare_simmer');
});

test('only what the pots asked about are made of is drawn', () => {
  const spread = (k: Written) => {
    for (const i of k.ingredients)
      for (const y of i.yields) Object.assign(y, { low: y.usablePct - 5, high: y.usablePct + 0.5 });
  };
  const named = (product: string) =>
    ranges(spread, product)
      .filter((u) => u.kind === 'yield')
      .map((u) => u.name);
  expect(named(SMALL.stock)).toEqual(['Bones', 'Leek']);
  expect(named(SMALL.sauce)).toEqual(['Bones', 'Leek', 'Salt']);
});
