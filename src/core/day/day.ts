import { TZDate } from '@date-fns/tz';
import { addDays, differenceInCalendarDays, format, isValid, parseISO, startOfDay } from 'date-fns';

/** A business day, `YYYY-MM-DD`, as an instant of a calendar without summer time: whole days are then whole days. */
const plainly = (day: string): TZDate => new TZDate(`${day}T00:00:00Z`, 'UTC');

/** Whether a text of the form `YYYY-MM-DD` is a day of the calendar. */
export const isDay = (day: string): boolean => /^\d{4}-\d{2}-\d{2}$/.test(day) && isValid(parseISO(day));

/** A business day moved by whole days. */
export const shiftDay = (day: string, days: number): string =>
  format(addDays(plainly(day), days), 'yyyy-MM-dd');

/** An instant moved by whole days of 24 hours. */
export const shiftInstant = (instant: string, days: number): string =>
  new Date(addDays(new TZDate(instant, 'UTC'), days).getTime()).toISOString();

/** Days from one business day to another. */
export const daysBetween = (from: string, to: string): number =>
  differenceInCalendarDays(plainly(to), plainly(from));

/** The business day of an instant in a zone (IANA), by the calendar: a kitchen's day ends at its midnight. */
export const dayIn = (zone: string, at: Date): string => format(new TZDate(at.getTime(), zone), 'yyyy-MM-dd');

/** The time on the clock of a zone, `HH:mm`. */
export const clockIn = (zone: string, at: Date): string => format(new TZDate(at.getTime(), zone), 'HH:mm');

/** The instant at which a business day begins in a zone: what was recorded before it was known the day before. */
export const beginOfDay = (day: string, zone: string): Date => {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new Date(startOfDay(new TZDate(year, month - 1, date, 12, zone)).getTime());
};

/** The last thousandth of a second of a day in a zone: what is recorded then is known on that day, what comes after is not. */
export const endOfDay = (day: string, zone: string): Date =>
  new Date(beginOfDay(shiftDay(day, 1), zone).getTime() - 1);

/** Something that counts from a day on, and when it was written down (ISO instant). */
interface Dated {
  readonly on: string;
  readonly recordedAt: string;
}

/** Below 0 where the first is the older: by day, and on one day by what was recorded first. Plain text order, which ISO dates are made for. */
export const olderFirst = (a: Dated, b: Dated): number =>
  textOrder(a.on, b.on) || textOrder(a.recordedAt, b.recordedAt);

const textOrder = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/**
 * When a clock next says a time, by the clock that says it is `clock` now.
 * @param now ms
 * @param clock `HH:mm`
 * @param time `HH:mm`
 */
export function nextAt(now: number, clock: string, time: string): number {
  const minutes = (hhmm: string): number => Number(hhmm.slice(0, 2)) * 60 + Number(hhmm.slice(3, 5));
  return now + ((minutes(time) - minutes(clock) + 24 * 60) % (24 * 60)) * 60_000;
}
