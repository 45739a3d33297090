import { Decimal } from 'decimal.js';
import { LOSSES, type Loss } from '../pot';
import { shareOut, toCents, type Money } from '../quantity';
import type { MoneyWent } from '../layers';

/** Where the money went, to the cent: trimmed + lost + left is spent exactly. */
export interface WentCents {
  readonly spent: Money;
  readonly trimmed: Money;
  readonly lost: Readonly<Partial<Record<Loss, Money>>>;
  readonly parted: Readonly<Record<string, Money>>;
  readonly left: Money;
}

/**
 * Rounds the running book so that it still adds up. Where stock trim was credited with more than
 * the waste cost, `trimmed` is negative; it then stands as it is and the rest makes up for it.
 */
export function wentInCents(went: MoneyWent): WentCents {
  const spent = toCents(went.spent);
  const credit = went.trimmed < 0 ? toCents(went.trimmed) : new Decimal(0);
  const losses = LOSSES.filter((loss) => went.lost[loss] !== undefined);
  const names = Object.keys(went.parted);
  const weights = [
    Math.max(0, went.trimmed),
    ...losses.map((loss) => went.lost[loss] as number),
    ...names.map((name) => went.parted[name] as number),
    went.left,
  ];
  const cents = shareOut(spent.minus(credit), weights);
  return {
    spent,
    trimmed: went.trimmed < 0 ? credit : (cents[0] as Money),
    lost: Object.fromEntries(losses.map((loss, i) => [loss, cents[i + 1] as Money])),
    parted: Object.fromEntries(names.map((name, i) => [name, cents[losses.length + i + 1] as Money])),
    left: cents[cents.length - 1] as Money,
  };
}
