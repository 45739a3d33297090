import { Decimal } from 'decimal.js';
import { shiftDay, olderFirst } from '../day';

/** What came in on one line of an invoice: what was kept of it, and what was paid. */
export interface Receipt {
  /** Business day, YYYY-MM-DD. */
  readonly on: string;
  readonly recordedAt: string;
  readonly invoice: string;
  /** g that were delivered and not sent back; 0 on a credit note for goods that never came. */
  readonly g: number;
  /** Net of tax; negative on a credit note. */
  readonly money: Decimal;
}

/** A part of a receipt that a price stands on. */
export interface PriceLayer {
  readonly receipt: Receipt;
  readonly g: number;
  readonly money: Decimal;
}

export interface BasisPrice {
  readonly perKg: Decimal;
  readonly layers: readonly PriceLayer[];
  /** g of the counted quantity that no purchase on record explains. */
  readonly unexplainedG: number;
}

const newestFirst = (a: Receipt, b: Receipt): number => olderFirst(b, a);

function priceOf(layers: readonly PriceLayer[], unexplainedG: number): BasisPrice | undefined {
  const g = layers.reduce((sum, l) => sum.plus(l.g), new Decimal(0));
  const money = layers.reduce((sum, l) => sum.plus(l.money), new Decimal(0));
  // Credits above what was paid, or nothing received: there is no price in that.
  if (!g.gt(0) || money.isNegative()) return undefined;
  return { perKg: money.times(1000).div(g), layers, unexplainedG };
}

/**
 * Money over kilos of everything received in the `days` up to and including `day`, credit notes
 * counted; undefined where nothing was received.
 */
export function averagePrice(
  receipts: readonly Receipt[],
  day: string,
  days: number,
): BasisPrice | undefined {
  const first = shiftDay(day, 1 - days);
  const layers = receipts
    .filter((r) => r.on >= first && r.on <= day)
    .sort(newestFirst)
    .map((receipt) => ({ receipt, g: receipt.g, money: receipt.money }));
  return priceOf(layers, 0);
}

/**
 * First in, first out: what was used is taken to be the oldest, so the quantity last counted is the
 * newest of what had come in by then; what came in since lies on top of it.
 *
 * Never more than was received: a count that no purchases explain says by how much
 * (`unexplainedG`) and is priced by what there is.
 *
 * @param count the last count on or before `day`
 */
export function stockPrice(
  receipts: readonly Receipt[],
  count: { readonly on: string; readonly g: number },
  day: string,
): BasisPrice | undefined {
  const layers: PriceLayer[] = [];
  let wanted = count.g;
  for (const receipt of [...receipts].filter((r) => r.on <= day && r.g > 0).sort(newestFirst)) {
    if (receipt.on > count.on) {
      layers.push({ receipt, g: receipt.g, money: receipt.money });
      continue;
    }
    if (wanted <= 0) break;
    const g = Math.min(wanted, receipt.g);
    layers.push({ receipt, g, money: receipt.money.times(g).div(receipt.g) });
    wanted -= g;
  }
  return priceOf(layers, Math.max(0, wanted));
}
