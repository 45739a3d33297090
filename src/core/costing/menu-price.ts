import { fine, refuse, type Outcome } from '../trouble';
import * as texts from './texts';

/** How a house writes its prices, in cents: every so many, counted from an ending such as 95. */
export interface MenuSteps {
  readonly step: number;
  readonly ending: number;
}

/** Endings just below a whole unit that some menus give nearly every price. */
const ENDINGS = [99, 95, 90];
/** Steps of prices, largest first. */
const STEPS = [100, 50, 25, 10, 5];
/** Where a house has no prices yet. */
const USUAL: MenuSteps = { step: 50, ending: 0 };
/** Share of prices that keep to a habit for it to be one. */
const MOSTLY = 0.8;

/** The habit that the prices of a menu keep to: the widest step, or the ending, of four out of five. */
export function menuSteps(prices: readonly number[]): MenuSteps {
  const cents = prices.filter((p) => p > 0).map((p) => Math.round(p * 100));
  if (cents.length < 3) return USUAL;
  const keeps = (of: (c: number) => boolean): boolean => cents.filter(of).length >= cents.length * MOSTLY;
  const ending = ENDINGS.find((e) => keeps((c) => c % 100 === e));
  if (ending !== undefined) return { step: 100, ending };
  return { step: STEPS.find((s) => keeps((c) => c % s === 0)) ?? 1, ending: 0 };
}

/** A price that a target asks for. Currency, tax included. */
export interface AskedPrice {
  readonly exact: number;
  /** The next price upwards that the house would write. */
  readonly onMenu: number;
}

/**
 * The menu price at which a plate's ingredients are its target share of the price net of tax.
 * @returns refused for a target of 0 or less, which no price keeps
 */
export function priceFor(
  cost: number,
  targetPct: number,
  taxPct: number,
  { step, ending }: MenuSteps,
): Outcome<AskedPrice> {
  if (!(targetPct > 0))
    return refuse('target-zero', 'target', texts.noPriceKeepsTarget(targetPct), {
      value: targetPct,
      limit: 0,
    });
  const exact = (cost / targetPct) * 100 * (1 + taxPct / 100);
  // A hair over a price is rounding, and keeps the target.
  const cents = Math.max(0, Math.ceil((exact * 100 - ending - 1e-6) / step)) * step + ending;
  return fine({ exact, onMenu: cents / 100 });
}
