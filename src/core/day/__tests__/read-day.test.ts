import fc from 'fast-check';
import { readDay, shiftDay, type DayManner } from '..';

const MONTHS = 'january february march april may june july august september october november december'.split(
  ' ',
);
const manner = (order: DayManner['order'], today = '2026-03-14'): DayManner => ({
  order,
  months: MONTHS.map((m) => [m, m.slice(0, 3)]),
  today,
});

test.each([
  ['14 Mar', '2026-03-14'],
  ['Mar 14', '2026-03-14'],
  ['3 November 2025', '2025-11-03'],
  ['3. nov. 25', '2025-11-03'],
  ['14.3.', '2026-03-14'],
  ['14.3.2026', '2026-03-14'],
  ['2026-03-14', '2026-03-14'],
  ['today', '2026-03-14'],
  ['yesterday', '2026-03-13'],
  ['9', '2026-03-09'],
  // The last December there was, not the one nine months ahead.
  ['28 Dec', '2025-12-28'],
  ['1 Apr', '2026-04-01'],
])('“%s” is %s where the day is written first', (text, day) => {
  expect(readDay(text, manner('dmy'))).toBe(day);
});

test('figures are read in the order the locale writes them in', () => {
  expect(readDay('3/4/26', manner('mdy'))).toBe('2026-03-04');
  expect(readDay('3/4/26', manner('dmy'))).toBe('2026-04-03');
  expect(readDay('2025/3/4', manner('mdy'))).toBe('2025-03-04');
});

test.each(['', 'soon', '31 Feb', '32', '14 Mar 2026 9', '14 Marvellous', '0', '2026-13-01'])(
  '“%s” is not a date',
  (text) => {
    expect(readDay(text, manner('dmy'))).toBeUndefined();
  },
);

test('a day written in any of its forms is read as that day', () => {
  fc.assert(
    fc.property(fc.integer({ min: -3000, max: 170 }), fc.constantFrom('dmy', 'mdy', 'ymd'), (away, order) => {
      const day = shiftDay('2026-03-14', away);
      const [y = '', m = '', d = ''] = day.split('-');
      const named = MONTHS[Number(m) - 1] ?? '';
      const figures = { dmy: `${d}.${m}.${y}`, mdy: `${m}/${d}/${y}`, ymd: `${y}-${m}-${d}` }[order];
      for (const text of [day, `${Number(d)} ${named} ${y}`, `${named.slice(0, 3)} ${d}, ${y}`, figures])
        expect([text, readDay(text, manner(order))]).toEqual([text, day]);
    }),
  );
});
