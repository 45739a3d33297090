import { fine, refuse, type Outcome, type Trouble } from '../trouble';

/**
 * Who pays for what came off (docs/model.md, "Trim"):
 * `free`: the usable part carries all; `value`: stock trim is charged at a set value per kilo;
 * `weight`: usable part and stock trim share the price by weight.
 */
export const TRIM_SCHOOLS = ['free', 'value', 'weight'] as const;
export type TrimSchool = (typeof TRIM_SCHOOLS)[number];

export interface TrimShares {
  /** Usable yield, share of the as-purchased mass, above 0 and at most 1. */
  readonly usable: number;
  /** Stock-worthy trim, share of the as-purchased mass, 0 to 1 − usable. */
  readonly stockTrim: number;
}

export interface TrimPrices {
  readonly usable: number;
  readonly stockTrim: number;
}

/**
 * Price of the usable part and of the stock trim, in the unit `price` is in (per kg, per g).
 *
 * @param price as-purchased
 * @param setValue what a kilo of stock trim is charged under school `value`, same unit as `price`
 * @param taken whether any pot takes the trim; trim nobody takes carries no money away
 * @returns trouble `yield-out-of-range`, `trim-over-whole`, `set-value-too-high`
 * @example trimPrices({usable: .62, stockTrim: .28}, 2.8, 'value', .9) // usable 4.1097, stock trim 0.90
 */
export function trimPrices(
  shares: TrimShares,
  price: number,
  school: TrimSchool,
  setValue = 0,
  taken = true,
): Outcome<TrimPrices> {
  const trouble = checkShares(shares);
  if (trouble) return trouble;
  const { usable: y, stockTrim: q } = shares;
  if (!taken || school === 'free') return fine({ usable: price / y, stockTrim: 0 });
  if (school === 'weight') return fine({ usable: price / (y + q), stockTrim: price / (y + q) });
  if (setValue * q > price)
    return refuse(
      'set-value-too-high',
      'setValue',
      `Stock trim at ${setValue.toFixed(2)} a kilo would be credited with more (${(setValue * q).toFixed(2)}) than the whole cost (${price.toFixed(2)}): the most it can bear is ${(price / q).toFixed(2)}.`,
      { value: setValue, limit: price / q },
    );
  return fine({ usable: (price - setValue * q) / y, stockTrim: setValue });
}

/** Refuses shares that cannot be: a usable yield of 0 or 130 %, parts that outweigh the whole. */
export function checkShares({ usable, stockTrim }: TrimShares): { ok: false; trouble: Trouble } | undefined {
  const pct = (x: number) => `${Number((x * 100).toFixed(2))} %`;
  if (!(usable > 0 && usable <= 1))
    return refuse(
      'yield-out-of-range',
      'usable',
      `A usable yield of ${pct(usable)} cannot be: it lies above 0 and at most at 100 %.`,
      {
        value: usable,
        limit: usable > 1 ? 1 : 0,
      },
    );
  if (!(stockTrim >= 0 && stockTrim <= 1))
    return refuse(
      'trim-out-of-range',
      'stockTrim',
      `Stock trim of ${pct(stockTrim)} cannot be: it lies between 0 and 100 %.`,
      { value: stockTrim, limit: 1 },
    );
  if (usable + stockTrim > 1 + 1e-9)
    return refuse(
      'trim-over-whole',
      'stockTrim',
      `Usable ${pct(usable)} and stock trim ${pct(stockTrim)} make ${pct(usable + stockTrim)}: together they cannot be more than 100 %.`,
      { value: usable + stockTrim, limit: 1 },
    );
  return undefined;
}
