import { isDay, shiftDay } from './day';

/** How a locale writes a day. */
export interface DayManner {
  /** Which of a day's parts comes first in figures. */
  readonly order: 'dmy' | 'mdy' | 'ymd';
  /** The twelve months, each by every name it has, in small letters without a full stop. */
  readonly months: readonly (readonly string[])[];
  readonly today: string;
}

const pad = (n: number): string => String(n).padStart(2, '0');
const whole = (text: string): number | undefined => (/^\d{1,4}$/.test(text) ? Number(text) : undefined);

/** The year that makes a day without one the latest that has come, or will within half a year: an invoice is of the past. */
function withYear(month: number, day: number, today: string): string {
  const year = Number(today.slice(0, 4));
  const here = `${year}-${pad(month)}-${pad(day)}`;
  return here > shiftDay(today, 183) ? `${year - 1}${here.slice(4)}` : here;
}

/**
 * A day as somebody writes it: “14 Mar”, “14.3.”, “3/14/26”, “2026-03-14”, “14”, “today”, “yesterday”.
 * @returns the day as `YYYY-MM-DD`, or nothing where it is none
 */
export function readDay(text: string, { order, months, today }: DayManner): string | undefined {
  const plain = text.trim().toLowerCase();
  if (plain === 'today') return today;
  if (plain === 'yesterday') return shiftDay(today, -1);
  const parts = plain.split(/[\s./,-]+/).filter(Boolean);
  const named = parts.findIndex((p) => monthOf(p, months) > 0);
  const figures = parts.filter((_, i) => i !== named).map(whole);
  if (figures.some((f) => f === undefined) || parts.length > 3) return undefined;
  const day = assembled(
    named < 0 ? 0 : monthOf(parts[named] ?? '', months),
    figures as number[],
    order,
    today,
  );
  return day !== undefined && isDay(day) ? day : undefined;
}

const monthOf = (word: string, months: DayManner['months']): number =>
  1 + months.findIndex((names) => names.some((n) => n === word || (word.length > 2 && n.startsWith(word))));

/** Puts a month (0: none by name) and the figures beside it together. */
function assembled(
  month: number,
  figures: readonly number[],
  order: DayManner['order'],
  today: string,
): string | undefined {
  const [a, b, c] = figures;
  if (a === undefined) return undefined;
  const of = (y: number | undefined, m: number, d: number): string =>
    y === undefined ? withYear(m, d, today) : `${y < 100 ? 2000 + y : y}-${pad(m)}-${pad(d)}`;
  if (month > 0) return a > 31 && b !== undefined ? of(a, month, b) : of(b, month, a);
  if (b === undefined) return `${today.slice(0, 8)}${pad(a)}`;
  if (a > 31 || order === 'ymd') return c === undefined ? of(undefined, a, b) : of(a, b, c);
  return order === 'mdy' ? of(c, a, b) : of(c, b, a);
}
