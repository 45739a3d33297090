import fc from 'fast-check';
import { isDue, kept } from '../backup/keep';

const DAY = 86_400_000;
const made = (at: number) => ({ file: new Date(at).toISOString(), at: new Date(at) });
const NOW = Date.UTC(2026, 2, 14, 3);

test('of a year of nights a week of days, four weeks and six months stay, and all of an hour of nervousness', () => {
  const year = Array.from({ length: 365 }, (_, i) => made(NOW - i * DAY));
  const stay = kept(year);
  for (let i = 0; i < 7; i += 1) expect(stay.has(made(NOW - i * DAY).file)).toBe(true);
  expect(stay.has(made(NOW - 9 * DAY).file)).toBe(false);
  // By hand: seven days, three more Sundays (1 Mar, 22 Feb, 15 Feb: the week of 14 Mar and that of 8 Mar are days), five month ends.
  expect([...stay].filter((file) => file < '2026-03-01').sort()).toEqual([
    '2025-10-31T03:00:00.000Z',
    '2025-11-30T03:00:00.000Z',
    '2025-12-31T03:00:00.000Z',
    '2026-01-31T03:00:00.000Z',
    '2026-02-22T03:00:00.000Z',
    '2026-02-28T03:00:00.000Z',
  ]);
  const hour = Array.from({ length: 12 }, (_, i) => made(NOW + i * 300_000));
  expect(kept(hour).size).toBe(12);
  // A day later the newest of them is that day's.
  const later = [...hour, made(NOW + 1.5 * DAY)];
  expect(kept(later)).toEqual(new Set([later.at(-1)?.file, hour.at(-1)?.file]));
});

test('whatever was made when, the newest stays and no more than there is room for', () => {
  fc.assert(
    fc.property(fc.uniqueArray(fc.integer({ min: 0, max: 900 * 24 }), { minLength: 1 }), (hours) => {
      const all = hours.map((h) => made(NOW - h * 3_600_000));
      const stay = kept(all);
      expect(stay.has(made(NOW - Math.min(...hours) * 3_600_000).file)).toBe(true);
      expect(stay.size).toBeLessThanOrEqual(41);
      // What has been thinned out once is not thinned out further by being looked at again.
      expect(kept(all.filter((m) => stay.has(m.file)))).toEqual(stay);
    }),
  );
});

test('a backup is due when there is none, and once after every three in the morning', () => {
  const at = (day: number, hour: number): Date => new Date(2026, 2, day, hour, 30);
  expect(isDue(undefined, at(14, 12))).toBe(true);
  expect(isDue(at(14, 3), at(14, 23))).toBe(false);
  expect(isDue(at(14, 3), at(15, 2))).toBe(false);
  expect(isDue(at(14, 3), at(15, 3))).toBe(true);
  expect(isDue(at(13, 2), at(14, 2))).toBe(true);
});
