import fc from 'fast-check';
import { beginOfDay, clockIn, dayIn, daysBetween, isDay, shiftDay, shiftInstant } from '..';

const zone = fc.constantFrom(
  'Europe/Dublin',
  'Europe/Vienna',
  'America/St_Johns',
  'Asia/Kathmandu',
  'Pacific/Auckland',
  'UTC',
);
const day = fc
  .date({ min: new Date('2024-01-01'), max: new Date('2028-12-31'), noInvalidDate: true })
  .map((d) => d.toISOString().slice(0, 10));

describe('a kitchen’s day', () => {
  test('begins at its own midnight: a millisecond before is the day before, in any zone, on any day', () => {
    fc.assert(
      fc.property(zone, day, (where, on) => {
        const begin = beginOfDay(on, where);
        expect([dayIn(where, begin), clockIn(where, begin)]).toEqual([on, '00:00']);
        expect(dayIn(where, new Date(begin.getTime() - 1))).toBe(shiftDay(on, -1));
      }),
    );
  });
  test('has 23 hours where the clock goes forward and 25 where it goes back', () => {
    const hours = (on: string) =>
      (beginOfDay(shiftDay(on, 1), 'Europe/Dublin').getTime() - beginOfDay(on, 'Europe/Dublin').getTime()) /
      3_600_000;
    expect(['2026-03-28', '2026-03-29', '2026-10-25'].map(hours)).toEqual([24, 23, 25]);
    expect(beginOfDay('2026-07-01', 'Europe/Dublin').toISOString()).toBe('2026-06-30T23:00:00.000Z');
    expect(clockIn('Asia/Kathmandu', new Date('2026-01-01T00:00:00Z'))).toBe('05:45');
  });
});

describe('days by the calendar', () => {
  test('there and back is where it was, and as far as it was moved', () => {
    fc.assert(
      fc.property(day, fc.integer({ min: -900, max: 900 }), (on, by) => {
        expect(shiftDay(shiftDay(on, by), -by)).toBe(on);
        expect(daysBetween(on, shiftDay(on, by))).toBe(by);
      }),
    );
    expect(shiftDay('2024-02-28', 1)).toBe('2024-02-29');
    expect(shiftInstant('2026-03-28T12:30:00.000Z', 2)).toBe('2026-03-30T12:30:00.000Z');
  });
  test('what is no day is none', () => {
    expect(['2026-02-28', '2024-02-29'].map(isDay)).toEqual([true, true]);
    expect(['2026-02-29', '2026-13-01', '2026-1-1', '', 'today', '2026-03-14T00:00'].map(isDay)).toEqual(
      Array(6).fill(false),
    );
  });
});
