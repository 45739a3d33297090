import type { Decimal } from 'decimal.js';

/** A price for one pack of an article: the day it takes effect and the instant it was recorded. */
export interface Quote {
  /** Business day, YYYY-MM-DD. */
  readonly on: string;
  /** UTC instant, ISO 8601. */
  readonly recordedAt: string;
  /** Net of tax, per pack, in the kitchen's currency. */
  readonly price: Decimal;
}

/**
 * The quote in force on a day: the one that took effect last, and of two for one day the one
 * recorded last (the later in the list, if even the instants agree). Later corrections count (the price *as corrected since*).
 */
export function quoteOn<Q extends Quote>(quotes: readonly Q[], day: string): Q | undefined {
  let best: Q | undefined;
  for (const quote of quotes) {
    if (quote.on > day) continue;
    if (!best || quote.on > best.on || (quote.on === best.on && quote.recordedAt >= best.recordedAt))
      best = quote;
  }
  return best;
}
