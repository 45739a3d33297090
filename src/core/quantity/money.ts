import { Decimal } from 'decimal.js';

/** Exact money, in the kitchen's currency. Never a double once it is entered, stored or shown. */
export type Money = Decimal;

/** Thrown where a program, not a person, hands in an impossible share-out. */
export class MoneyError extends Error {}

/**
 * Shares an amount of money so that no cent is lost: each part rounded down to the cent, the
 * cents left over given to the largest remainders (the earlier one on a tie).
 *
 * @param total any money; rounded to the cent first, half away from zero
 * @param weights non-negative, at least one above 0 unless the total is 0
 * @example shareOut(new Decimal('10'), [1, 1, 1]) // 3.34 3.33 3.33
 */
export function shareOut(total: Money, weights: readonly number[]): Money[] {
  if (weights.some((w) => !(w >= 0) || !Number.isFinite(w)))
    throw new MoneyError('a weight is negative or not a number');
  const sum = weights.reduce((all, w) => all.plus(w), new Decimal(0));
  const cents = total.times(100).toDecimalPlaces(0, Decimal.ROUND_HALF_UP);
  if (sum.isZero()) {
    if (!cents.isZero()) throw new MoneyError('nothing to share the money by');
    return weights.map(() => new Decimal(0));
  }
  const parts = weights.map((w) => {
    const exact = cents.abs().times(w).div(sum);
    return { whole: exact.floor(), remainder: exact.minus(exact.floor()) };
  });
  let left = cents
    .abs()
    .minus(parts.reduce((all, p) => all.plus(p.whole), new Decimal(0)))
    .toNumber();
  const byRemainder = [...parts].sort((a, b) => b.remainder.cmp(a.remainder));
  for (const part of byRemainder) {
    if (left <= 0) break;
    part.whole = part.whole.plus(1);
    left -= 1;
  }
  // A division rounded up to a whole cent can have given one too many: the smallest remainder gives it back.
  for (const part of byRemainder.reverse()) {
    if (left >= 0) break;
    if (part.whole.isZero()) continue;
    part.whole = part.whole.minus(1);
    left += 1;
  }
  return parts.map((p) => p.whole.times(cents.isNegative() ? -1 : 1).div(100));
}

/** A figure in currency units rounded to the cent for showing: half away from zero, at the edge only. */
export const toCents = (value: number | Money): Money =>
  new Decimal(value).toDecimalPlaces(2, Decimal.ROUND_HALF_UP);
