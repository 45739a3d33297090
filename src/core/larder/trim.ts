import { fine, refuse, type Outcome, type Trouble } from '../trouble';
import * as texts from './texts';

/**
 * Who pays for what came off (docs/model.md, "Trim"):
 * `free`: the usable part carries all; `value`: what comes off is charged at a set value per kilo;
 * `weight`: usable part and what comes off share the price by weight.
 */
export const TRIM_SCHOOLS = ['free', 'value', 'weight'] as const;
export type TrimSchool = (typeof TRIM_SCHOOLS)[number];

export interface TrimShares {
  /** Usable yield, share of the as-purchased mass, above 0 and at most 1. */
  readonly usable: number;
  /** Stock-worthy trim, share of the as-purchased mass, 0 to 1 − usable. */
  readonly stockTrim: number;
}

/** Something of use that comes off beside the usable part: stock trim, or a by-product. */
export interface ComesOff {
  /** In a sentence: `Stock trim`, `Trout frames`. */
  readonly name: string;
  /** Share of the as-purchased mass. */
  readonly share: number;
  /** Per kilo, same unit as the price; what a buyer pays where it is sold. */
  readonly setValue: number;
  /** How much of it is taken, 0 to 1: what nobody takes carries no money away. */
  readonly taken: number;
  /** Has a buyer: what he pays is money back, whatever the school. */
  readonly sold?: boolean | undefined;
}

export interface KnifePrices {
  readonly usable: number;
  /** Of each thing that comes off, in order. */
  readonly others: readonly number[];
}

/**
 * Shares a purchase price out over the usable part and what comes off:
 * Σ share × taken × price = price, exactly the money that was paid.
 *
 * What is sold brings its set value first. Of the remainder P: *free* P/y and 0; *value* (P − Σ vᵢ·qᵢ)/y and vᵢ;
 * *weight* P/(y + Σ qᵢ) for all, each qᵢ counted by what is taken of it.
 *
 * @param price as-purchased
 * @returns trouble `yield-out-of-range`, `trim-out-of-range`, `trim-over-whole`, `set-value-too-high`
 * @example sharePrice(.62, [{name: 'Stock trim', share: .28, setValue: .9, taken: 1}], 2.8, 'value')
 *   // usable 4.1097, stock trim 0.90
 */
export function sharePrice(
  usable: number,
  others: readonly ComesOff[],
  price: number,
  school: TrimSchool,
): Outcome<KnifePrices> {
  const trouble = checkShares({ usable, stockTrim: others.reduce((sum, o) => sum + o.share, 0) });
  if (trouble) return trouble;
  const charged = others.filter((o) => o.sold || school === 'value');
  const credit = charged.reduce((sum, o) => sum + o.setValue * o.share * o.taken, 0);
  // A few parts in 10^12 over are rounding of the most it can bear, not more than that.
  if (credit > price * (1 + 1e-12)) return tooHigh(charged, credit, price);
  const left = Math.max(0, price - credit);
  const byWeight = others.filter((o) => !o.sold && school === 'weight');
  const kilos = byWeight.reduce((sum, o) => sum + o.share * o.taken, usable);
  const perKilo = left / kilos;
  return fine({
    usable: perKilo,
    others: others.map((o) => {
      if (o.taken <= 0) return 0;
      if (o.sold || school === 'value') return o.setValue;
      return school === 'weight' ? perKilo : 0;
    }),
  });
}

function tooHigh(charged: readonly ComesOff[], credit: number, price: number) {
  const largest = charged.reduce((a, b) =>
    b.setValue * b.share * b.taken > a.setValue * a.share * a.taken ? b : a,
  );
  const rest = credit - largest.setValue * largest.share * largest.taken;
  const most = Math.max(0, price - rest) / (largest.share * largest.taken);
  return refuse(
    'set-value-too-high',
    'setValue',
    texts.perKiloWouldCredited(
      largest.name,
      largest.setValue.toFixed(2),
      credit.toFixed(2),
      price.toFixed(2),
      most.toFixed(2),
    ),
    { value: largest.setValue, limit: most },
  );
}

/** Refuses shares that cannot be: a usable yield of 0 or 130 %, parts that outweigh the whole. */
export function checkShares({ usable, stockTrim }: TrimShares): { ok: false; trouble: Trouble } | undefined {
  const pct = (x: number) => `${Number((x * 100).toFixed(2))} %`;
  if (!(usable > 0 && usable <= 1))
    return refuse('yield-out-of-range', 'usable', texts.usableYieldCannotLies(pct(usable)), {
      value: usable,
      limit: usable > 1 ? 1 : 0,
    });
  if (!(stockTrim >= 0 && stockTrim <= 1))
    return refuse('trim-out-of-range', 'stockTrim', texts.stockTrimCannotLies(pct(stockTrim)), {
      value: stockTrim,
      limit: 1,
    });
  if (usable + stockTrim > 1 + 1e-9)
    return refuse(
      'trim-over-whole',
      'stockTrim',
      texts.usableStockTrimMake(pct(usable), pct(stockTrim), pct(usable + stockTrim)),
      { value: usable + stockTrim, limit: 1 },
    );
  return undefined;
}
