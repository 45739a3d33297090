import { costFile, costOfPlate } from '..';
import { historyFrom, stateFrom } from '../../kitchen-state';
import { cookedOn, yieldOn } from '../../kitchen-file';
import { suppliesOn } from '../../prices';
import { CONSTANTS } from '../../reference';
import { SMALL, smallKitchen } from '../../testing/small-kitchen';

/*
 * A dated fact holds from its day on, that day included. Of two of one day the one recorded last holds, whichever stands first
 * in the file. As known at an instant, what was recorded at that very instant counts, and a thousandth of a second later not.
 */

const DAY = '2026-03-10';
const [BEFORE, AFTER] = ['2026-03-09', '2026-03-11'] as const;
const MORNING = `${DAY}T08:00:00.000Z`;
const JUST_BEFORE = `${DAY}T07:59:59.999Z`;
const NOON = `${DAY}T12:00:00.000Z`;

type Written = Parameters<NonNullable<Parameters<typeof smallKitchen>[0]>>[0];
const kitchenWith = (change: (k: Written) => void) => smallKitchen(change);

const bonesPrice = (file: ReturnType<typeof smallKitchen>, day: string, knownBy?: string) =>
  suppliesOn(stateFrom(file), day, historyFrom(file, day, knownBy))
    .get(SMALL.bones)
    ?.price?.packPrice.toNumber();

describe('quotes', () => {
  const first = { on: '2026-01-01', recordedAt: '2026-01-01T08:00:00.000Z', price: '20.00' };
  const quoted = (...quotes: object[]) =>
    kitchenWith((k) => Object.assign(k.articles[0]!, { quotes: [first, ...quotes] }));
  const dearer = { on: DAY, recordedAt: MORNING, price: '30.00' };

  test('hold from their own day on', () => {
    const file = quoted(dearer);
    expect([BEFORE, DAY, AFTER].map((day) => bonesPrice(file, day))).toEqual([20, 30, 30]);
  });

  test('of one day: the one recorded last, in either order in the file', () => {
    const later = { ...dearer, recordedAt: NOON, price: '31.00' };
    for (const file of [quoted(dearer, later), quoted(later, dearer)]) {
      expect(bonesPrice(file, DAY)).toBe(31);
      expect(bonesPrice(file, DAY, MORNING)).toBe(30);
    }
  });

  test('as known then: recorded at that instant they count, a thousandth of a second later they do not', () => {
    const file = quoted(dearer);
    expect(bonesPrice(file, DAY, MORNING)).toBe(30);
    expect(bonesPrice(file, DAY, JUST_BEFORE)).toBe(20);
  });

  test('a correction that reaches back holds from the day it is of, unless it was not known yet', () => {
    const file = quoted({ on: BEFORE, recordedAt: NOON, price: '25.00' });
    expect(bonesPrice(file, BEFORE)).toBe(25);
    expect(bonesPrice(file, BEFORE, MORNING)).toBe(20);
  });
});

describe('invoices', () => {
  const bought = (on: string, recordedAt: string) =>
    kitchenWith((k) =>
      Object.assign(k, {
        purchases: [
          {
            id: '019cabd9-0000-7000-8000-000000000099',
            kind: 'invoice',
            supplier: SMALL.supplier,
            on,
            recordedAt,
            number: 'A 1',
            lines: [
              {
                id: '019cabd9-0000-7000-8000-000000000098',
                is: 'goods',
                article: SMALL.bonesBought,
                packs: 2,
                packPrice: '34.00',
              },
            ],
          },
        ],
      }),
    );

  test('set a price from their own day on', () => {
    const file = bought(DAY, MORNING);
    expect([BEFORE, DAY].map((day) => bonesPrice(file, day))).toEqual([20, 34]);
  });

  test('as known then: entered at that instant they count, a thousandth of a second later they do not', () => {
    const file = bought(BEFORE, MORNING);
    expect(bonesPrice(file, DAY, MORNING)).toBe(34);
    expect(bonesPrice(file, DAY, JUST_BEFORE)).toBe(20);
  });
});

describe('yields and what tests taught', () => {
  const estimate = {
    on: '2026-01-01',
    recordedAt: '2026-01-01T08:00:00.000Z',
    usablePct: 50,
    stockTrimPct: 40,
  };
  const usable = (day: string, ...more: object[]): number => {
    const file = kitchenWith((k) =>
      Object.assign(k.ingredients[2]!, {
        yields: [estimate, ...more].map((y) => ({ source: 'estimate', ...y })),
      }),
    );
    return yieldOn(
      file.ingredients.find((i) => i.id === SMALL.leek)!,
      day,
    ).usablePct;
  };
  const better = { on: DAY, recordedAt: MORNING, usablePct: 55, stockTrimPct: 40 };

  test('a yield holds from its own day on; before the first of all, the first holds', () => {
    expect([BEFORE, DAY, AFTER].map((day) => usable(day, better))).toEqual([50, 55, 55]);
    expect(usable('2025-12-31', better)).toBe(50);
  });

  test('of two of one day the one recorded last holds; of two recorded at once, the later in the file', () => {
    const noon = { ...better, recordedAt: NOON, usablePct: 57 };
    expect(usable(DAY, better, noon)).toBe(57);
    expect(usable(DAY, noon, better)).toBe(57);
    expect(usable(DAY, better, { ...noon, recordedAt: MORNING })).toBe(57);
    // A later day holds whenever it was recorded.
    expect(
      usable(AFTER, { ...noon, on: AFTER, recordedAt: '2026-02-01T08:00:00.000Z', usablePct: 52 }, better),
    ).toBe(52);
  });

  test('a cooked figure holds from its own day on, of its own kind, the one recorded last', () => {
    const figure = (value: number, more: object = {}) => ({
      figure: 'retention',
      value,
      on: DAY,
      recordedAt: MORNING,
      ...more,
    });
    const on = (day: string, ...cooked: object[]) => {
      const file = kitchenWith((k) => Object.assign(k.ingredients[2]!, { cooked }));
      return cookedOn(
        file.ingredients.find((i) => i.id === SMALL.leek)!,
        'retention',
        day,
      )?.value;
    };
    expect([BEFORE, DAY, AFTER].map((day) => on(day, figure(80)))).toEqual([undefined, 80, 80]);
    expect(on(DAY, figure(80), figure(90, { recordedAt: NOON }))).toBe(90);
    expect(on(DAY, figure(90, { recordedAt: NOON }), figure(80))).toBe(90);
    expect(on(DAY, figure(80), figure(85))).toBe(85);
    expect(on(DAY, figure(80), figure(60, { figure: 'retention pressed', recordedAt: NOON }))).toBe(80);
    expect(on(AFTER, figure(80, { on: AFTER, recordedAt: BEFORE + 'T08:00:00.000Z' }), figure(90))).toBe(80);
  });
});

test('a day at a time, per dish costs what it did until the day a price is of', () => {
  const file = kitchenWith((k) =>
    Object.assign(k.articles[1]!, {
      quotes: [
        { on: '2026-01-01', recordedAt: '2026-01-01T08:00:00.000Z', price: '15.00' },
        { on: DAY, recordedAt: MORNING, price: '16.00' },
      ],
    }),
  );
  const [before, on, after] = [BEFORE, DAY, AFTER].map(
    (day) => costOfPlate(costFile(file, day, CONSTANTS), SMALL.plate).cost,
  );
  expect(on).toBeGreaterThan(before!);
  expect(after).toBe(on);
});

describe('counts', () => {
  const counted = (day: string, knownBy: string | undefined, ...counts: object[]) => {
    const file = kitchenWith((k) =>
      Object.assign(k, {
        counts: counts.map((c) => ({ ingredient: SMALL.leek, ...c })),
      }),
    );
    return historyFrom(file, day, knownBy).counted(SMALL.leek)?.amount;
  };
  const count = { on: DAY, recordedAt: MORNING, amount: '2 kg' };

  test('hold from their day on, the later of two, as known then without what came after', () => {
    expect([BEFORE, DAY, AFTER].map((day) => counted(day, undefined, count))).toEqual([
      undefined,
      '2 kg',
      '2 kg',
    ]);
    const noon = { ...count, recordedAt: NOON, amount: '3 kg' };
    expect(counted(DAY, undefined, count, noon)).toBe('3 kg');
    expect(counted(DAY, undefined, noon, count)).toBe('3 kg');
    expect(counted(DAY, NOON, count, noon)).toBe('3 kg');
    expect(counted(DAY, `${DAY}T11:59:59.999Z`, count, noon)).toBe('2 kg');
    expect(counted(DAY, JUST_BEFORE, count)).toBeUndefined();
  });
});
