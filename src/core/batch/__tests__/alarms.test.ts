import fc from 'fast-check';
import type { WrittenBatchEvent } from '../../kitchen-file';
import { alarmsOf } from '../alarms';
import { coolingOf } from '../cooling';
import { cases } from '../../testing/cases';
import { warmHolding } from '../warm-holding';

const OFF = Date.parse('2026-03-14T12:00:00.000Z');
const LIMITS = [
  { toC: 21, withinH: 2 },
  { toC: 5, withinH: 6 },
];
const event = (h: number, of: object, i = 0) =>
  ({
    id: `e ${h} ${i}`,
    at: new Date(OFF + h * 3_600_000).toISOString(),
    recordedAt: new Date(OFF + h * 3_600_000).toISOString(),
    ...of,
  }) as WrittenBatchEvent;
type Looked = Parameters<typeof alarmsOf>[0];
const figures = (of: Partial<Looked>): Looked => ({
  at: 3,
  left: undefined,
  cooling: undefined,
  warm: undefined,
  leftUntil: undefined,
  ...of,
});
const cooling = (now: number, ...reads: (readonly [h: number, c: number])[]) =>
  coolingOf(
    [event(0, { is: 'off' }), ...reads.map(([h, celsius], i) => event(h, { is: 'degrees', celsius }, i))],
    LIMITS,
    OFF + now * 3_600_000,
  );

test('a line calls at its end and not before; the same call keeps its key', () => {
  const left = (middle: number) =>
    alarmsOf(figures({ left: { low: middle - 0.1, middle, high: middle + 0.1 } }));
  expect(left(0.2)).toEqual([]);
  expect(left(0)).toEqual([{ is: 'due', key: 'due 3' }]);
  expect(left(-2)).toEqual(left(0));
  // Off the heat nobody is called for that.
  const off = { left: { low: 0, middle: 0, high: 0 }, cooling: cooling(0.1) };
  expect(alarmsOf(figures(off)).filter((x) => x.is === 'due')).toEqual([]);
  // Left for the night, it is known to be.
  expect(alarmsOf(figures({ left: { low: 0, middle: 0, high: 0 }, leftUntil: 1 }))).toEqual([]);
});

test('a pot that cools too slowly calls before it is too late, and again when it is', () => {
  // 60 °C after an hour and a half of two: it will not be at 21.
  const before = alarmsOf(figures({ cooling: cooling(1.5, [0.2, 90], [0.8, 75], [1.4, 60]) }));
  expect(before).toContainEqual({ is: 'too late', key: 'too late 21', toC: 21 });
  const after = alarmsOf(figures({ cooling: cooling(2.2, [0.2, 90], [0.8, 75], [1.4, 60]) }));
  expect(after[0]).toEqual({ is: 'past', key: 'past 21', toC: 21 });
});

test('a pot that nobody reads calls from three quarters of a limit’s time on, and not before', () => {
  // Shown as one that cools as pots do, so that nothing but silence calls.
  const limits = [{ toC: 21, read: undefined, missed: false, passed: false, withinH: 2 }];
  const calls = (since: number) =>
    alarmsOf(figures({ cooling: { since, reads: [], limits } as unknown as Looked['cooling'] }));
  expect(calls(1.49)).toEqual([]);
  expect(calls(1.51)).toEqual([{ is: 'unread', key: 'unread 21', toC: 21 }]);
});

test('a pot that nobody reads calls while there is time; one that was read cold does not', () => {
  const unread = alarmsOf(figures({ cooling: cooling(1.6) }));
  expect(unread.some((c) => c.toC === 21)).toBe(true);
  expect(
    alarmsOf(figures({ cooling: cooling(1.9, [0.5, 40], [1, 20]) })).filter((c) => c.toC === 21),
  ).toEqual([]);
});

test('what is held hot calls on its way down, what is reheated when it comes too late', () => {
  const rules = { reheat: { toC: 75, withinH: 1 }, holdAtC: 63 };
  const warm = (is: string, now: number, ...reads: (readonly [number, number])[]) =>
    warmHolding(
      [event(0, { is }), ...reads.map(([h, celsius], i) => event(h, { is: 'degrees', celsius }, i))],
      rules,
      OFF + now * 3_600_000,
    );
  const calls = (of: ReturnType<typeof warm>) => alarmsOf(figures({ warm: of })).map((c) => c.is);
  expect(calls(warm('holding', 1, [0.1, 80], [0.9, 70]))).toEqual(['too late']);
  expect(calls(warm('holding', 1, [0.1, 70], [0.9, 70.5]))).toEqual([]);
  expect(calls(warm('holding', 1, [0.1, 70], [0.9, 60]))).toEqual(['past']);
  expect(calls(warm('reheating', 0.5, [0.1, 10], [0.5, 20]))).toEqual(['too late']);
  expect(calls(warm('reheating', 0.5, [0.1, 20], [0.5, 60]))).toEqual([]);
});

test('whatever was read, nothing that was read to be there calls, and every key is there once', () => {
  fc.assert(
    fc.property(
      fc.array(
        fc.tuple(fc.double({ min: 0, max: 6, noNaN: true }), fc.double({ min: 1, max: 95, noNaN: true })),
        {
          maxLength: 8,
        },
      ),
      fc.double({ min: 0.1, max: 10, noNaN: true }),
      (reads, now) => {
        const it = cooling(now, ...reads.filter(([h]) => h <= now));
        const calls = alarmsOf(figures({ cooling: it }));
        expect(new Set(calls.map((c) => c.key)).size).toBe(calls.length);
        for (const limit of it?.limits ?? [])
          if (limit.read !== undefined) expect(calls.some((c) => c.toC === limit.toC)).toBe(false);
          else if (limit.passed)
            expect(calls).toContainEqual({ is: 'past', key: `past ${limit.toC}`, toC: limit.toC });
      },
    ),
    { numRuns: cases(25) },
  );
});
