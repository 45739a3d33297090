import type { Decimal } from 'decimal.js';
import { calculate, type DecimalMark } from '../quantity';
import { fine, refuse, type Outcome } from '../trouble';
import * as texts from './texts';

/** The dearest pack anybody has to write down; beyond it a mark has slipped. */
export const HIGHEST_PRICE = 1_000_000;

/**
 * Reads the price of a pack as typed, currency sign allowed: exact, not negative, at most four decimals.
 * @returns trouble `no-price-typed`, `negative-price`, `price-too-high`, `too-many-decimals`, or what `readNumber` returns
 */
export function readPrice(typed: string, mark: DecimalMark): Outcome<Decimal> {
  const bare = typed.trim().replace(/^[€$£]\s*|\s*[€$£]$|^(?:EUR|USD|GBP)\s*|\s*(?:EUR|USD|GBP)$/gi, '');
  if (bare === '') return refuse('no-price-typed', 'price', texts.priceMissingWriteNumber);
  const read = calculate(bare, mark);
  if (!read.ok)
    return refuse(
      read.trouble.code,
      'price',
      read.trouble.code === 'not-a-number' ? texts.notPriceWriteNumber(typed.trim()) : read.trouble.message,
    );
  const price = read.value;
  if (price.isNegative() && !price.isZero())
    return refuse('negative-price', 'price', texts.priceBelow0(price.toString()), {
      value: price.toNumber(),
      limit: 0,
    });
  if (price.gt(HIGHEST_PRICE))
    return refuse('price-too-high', 'price', texts.priceAboveDecimalMark(price.toString(), HIGHEST_PRICE), {
      value: price.toNumber(),
      limit: HIGHEST_PRICE,
    });
  if (price.decimalPlaces() > 4)
    return refuse(
      'too-many-decimals',
      'price',
      texts.decimalsPriceMost4(price.toString(), price.decimalPlaces()),
      { value: price.decimalPlaces(), limit: 4 },
    );
  return fine(price);
}

/**
 * Reads a share in per cent as typed, sign allowed, to at most five decimals. Its range is checked where it is used.
 *
 * @param what it is called in the sentence where it cannot be read
 */
export function readPct(
  typed: string,
  mark: DecimalMark,
  what: 'yield' | 'share' = 'yield',
): Outcome<number> {
  const bare = typed.trim().replace(/\s*%$/, '');
  if (bare === '') return refuse('no-share-typed', 'usable', texts.missingWriteNumberSuch(what));
  const read = calculate(bare, mark);
  if (!read.ok)
    return refuse(
      read.trouble.code,
      'usable',
      read.trouble.code === 'not-a-number'
        ? texts.notWriteNumberSuch(typed.trim(), what)
        : read.trouble.message,
    );
  return fine(read.value.toDecimalPlaces(5).toNumber());
}

/** The longest stretch an average price is taken over: two years. */
const MOST_DAYS = 730;

/**
 * Reads how many days a price is averaged over.
 * @returns trouble `days-out-of-range` for anything but a whole number from 1 to 730
 */
export function readDays(typed: string): Outcome<number> {
  const days = Number(typed.trim());
  if (Number.isInteger(days) && days >= 1 && days <= MOST_DAYS) return fine(days);
  return refuse('days-out-of-range', 'days', texts.averageOverDaysCannot(typed.trim(), MOST_DAYS), {
    value: days,
    limit: MOST_DAYS,
  });
}
