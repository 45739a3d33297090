import type { DayManner } from '@/core/day';
import type { Layer } from '@/core/layers';
import { shownAs, type ShownIn } from '@/core/quantity';
import * as texts from './texts';

/** What a kitchen's figures are written with. */
export interface MoneyWords {
  readonly locale: string;
  readonly currency: string;
  /** The business day in the kitchen: a day of the same year is written without it. */
  readonly today?: string;
  /** Layers that are counted in costs; the ingredients where it is not said. */
  readonly counted?: readonly Layer[];
  /** What amounts are read in; kilos and litres where it is not said. */
  readonly shownIn?: ShownIn;
}

export interface Formatters {
  /** Money with its sign, rounded to the cent for showing; a dash where it is not known. */
  readonly money: (value: number | null | undefined) => string;
  /** The same for small money (a ladle, a knob of butter): to the tenth of a cent below 10 cents. */
  readonly small: (value: number | null | undefined) => string;
  readonly bare: (value: number | null | undefined, digits?: number) => string;
  readonly litres: (ml: number) => string;
  readonly kilos: (g: number) => string;
  readonly hours: (h: number) => string;
  /** Layers that stand in a cost; anyone who shows one says so. */
  readonly counted: readonly Layer[];
  readonly currencySign: string;
  /** A day as the kitchen's locale writes it in words: “14 Mar”, with its year where that is another one. */
  readonly day: (iso: string) => string;
  /** A sentence with every day in it, and every day and time, written so. */
  readonly said: (text: string) => string;
  /** How a day is typed here. */
  readonly dayManner: DayManner;
  readonly locale: string;
}

const DASH = '–';

/** Days in a sentence, as data have them. */
const ISO_DAY = /\b\d{4}-\d{2}-\d{2}\b/g;

const dayWriter = (locale: string, today: string): ((iso: string) => string) => {
  const of = (year: boolean) =>
    new Intl.DateTimeFormat(locale, {
      day: 'numeric',
      month: 'short',
      ...(year ? { year: 'numeric' as const } : {}),
      timeZone: 'UTC',
    });
  const [short, long] = [of(false), of(true)];
  return (iso) => {
    const at = Date.parse(`${iso}T00:00:00Z`);
    return Number.isNaN(at) ? iso : (iso.slice(0, 4) === today.slice(0, 4) ? short : long).format(at);
  };
};

/** How the locale writes days, so that what it writes can be read. */
function dayMannerOf(locale: string, today: string): DayManner {
  const sample = new Intl.DateTimeFormat(locale, { timeZone: 'UTC' }).formatToParts(0);
  const order = sample
    .flatMap(({ type }) => ({ day: 'd', month: 'm', year: 'y' })[type as string] ?? [])
    .join('');
  const named = (['long', 'short'] as const).flatMap((month) =>
    // A month alone is called otherwise than beside a day in some languages.
    [{ month }, { month, day: 'numeric' as const }].map(
      (how) => new Intl.DateTimeFormat(locale, { ...how, timeZone: 'UTC' }),
    ),
  );
  const months = Array.from({ length: 12 }, (_, i) =>
    named.map(
      (f) =>
        f
          .formatToParts(Date.UTC(2001, i, 1))
          .find((p) => p.type === 'month')
          ?.value.toLowerCase()
          .replace('.', '') ?? '',
    ),
  );
  return { order: order === 'mdy' || order === 'ymd' ? order : 'dmy', months, today };
}

export function formattersFor({
  locale,
  currency,
  today = '',
  shownIn = 'metric',
  counted = ['ingredients'],
}: MoneyWords): Formatters {
  const format = (digits: number, style: 'currency' | 'decimal') =>
    new Intl.NumberFormat(
      locale,
      style === 'currency'
        ? { style, currency, minimumFractionDigits: digits, maximumFractionDigits: digits }
        : { minimumFractionDigits: digits, maximumFractionDigits: digits },
    );
  const money = format(2, 'currency');
  const finer = format(3, 'currency');
  const bares = [0, 1, 2, 3].map((digits) => format(digits, 'decimal'));
  const bare = (value: number | null | undefined, digits = 2): string =>
    value === null || value === undefined || !Number.isFinite(value)
      ? DASH
      : (bares[digits] as Intl.NumberFormat).format(value);
  const amount = (kind: 'mass' | 'volume', of: number): string => {
    const { value, says, digits } = shownAs(kind, of, shownIn);
    return `${bare(value, digits)} ${says}`;
  };
  const day = dayWriter(locale, today);
  let dayManner: DayManner | undefined;
  return {
    locale,
    // Asked for only where somebody types a day.
    get dayManner() {
      return (dayManner ??= dayMannerOf(locale, today));
    },
    day,
    said: (text) => text.replaceAll(ISO_DAY, day),
    money: (value) => (value === null || value === undefined ? DASH : money.format(value)),
    small: (value) =>
      value === null || value === undefined
        ? DASH
        : (Math.abs(value) < 0.1 && value !== 0 ? finer : money).format(value),
    bare,
    litres: (ml) => amount('volume', ml),
    kilos: (g) => amount('mass', g),
    hours: (h) => {
      const minutes = Math.round(h * 60);
      if (minutes < 60) return texts.min(minutes);
      return `${Math.floor(minutes / 60)} h${minutes % 60 === 0 ? '' : ` ${String(minutes % 60).padStart(2, '0')}`}`;
    },
    counted,
    currencySign: money.formatToParts(0).find((p) => p.type === 'currency')?.value ?? currency,
  };
}
