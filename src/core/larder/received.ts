import { Decimal } from 'decimal.js';
import { toGrams, readAmountOf, type Manner, type Weighable } from '../quantity';
import { fine, refuse, under, type Outcome } from '../trouble';
import * as texts from './texts';

/** A goods line as it is written on an invoice or a credit note. */
export interface GoodsWritten {
  readonly packs: number;
  readonly packPrice: string;
  readonly delivered?: string | undefined;
  readonly rejected?: string | undefined;
}

/** What a goods line came to. */
export interface Received {
  readonly invoicedG: number;
  readonly deliveredG: number;
  readonly rejectedG: number;
  /** Delivered less rejected: what went on the shelf; below 0 for goods that went back on a credit note. */
  readonly acceptedG: number;
  /** packs × price, negative on a credit note. */
  readonly money: Decimal;
}

/** Delivered weight may differ from the invoiced by this share before it is worth a word. */
const SCALE_NOISE = 0.005;

/**
 * What a goods line brought and cost.
 *
 * On a credit note money comes back; goods only where `delivered` says what went back.
 * @param packG what one pack holds
 * @returns trouble where an amount cannot be weighed, or more was rejected than came
 */
export function received(
  line: GoodsWritten,
  packG: number,
  thing: Weighable,
  manner: Manner,
  kind: 'invoice' | 'credit note' = 'invoice',
): Outcome<Received> {
  const grams = (typed: string | undefined, field: string): Outcome<number | undefined> => {
    if (typed === undefined) return fine(undefined);
    const amount = readAmountOf(['mass', 'volume', 'count'], typed, manner);
    if (!amount.ok) return { ok: false, trouble: under(field, amount.trouble) };
    const weight = toGrams(amount.value, thing);
    return weight.ok ? fine(weight.value.grams) : { ok: false, trouble: under(field, weight.trouble) };
  };
  const invoicedG = line.packs * packG;
  const came = grams(line.delivered, 'delivered');
  if (!came.ok) return came;
  const sentBack = grams(line.rejected, 'rejected');
  if (!sentBack.ok) return sentBack;
  const money = new Decimal(line.packPrice).times(line.packs);
  if (kind === 'credit note')
    return fine({
      invoicedG,
      deliveredG: 0,
      rejectedG: 0,
      acceptedG: came.value === undefined ? 0 : -came.value,
      money: money.negated(),
    });
  const deliveredG = came.value ?? invoicedG;
  const rejectedG = sentBack.value ?? 0;
  if (rejectedG > deliveredG * (1 + 1e-9))
    return refuse(
      'rejected-over-delivered',
      'rejected',
      texts.kgReturnedButOnly((rejectedG / 1000).toFixed(2), thing.name, (deliveredG / 1000).toFixed(2)),
      { value: rejectedG, limit: deliveredG },
    );
  return fine({ invoicedG, deliveredG, rejectedG, acceptedG: deliveredG - rejectedG, money });
}

/** What is odd about a delivery, in a sentence each: short, over, sent back; empty when it is as invoiced. */
export function deliveryWords(r: Received): string[] {
  const kg = (g: number): string => `${(g / 1000).toFixed(2)} kg`;
  const words: string[] = [];
  const short = r.invoicedG - r.deliveredG;
  if (r.deliveredG > 0 && short > r.invoicedG * SCALE_NOISE)
    words.push(`${kg(short)} short of the ${kg(r.invoicedG)} invoiced: paid for until it is credited.`);
  if (-short > r.invoicedG * SCALE_NOISE)
    words.push(`${kg(-short)} more than the ${kg(r.invoicedG)} invoiced.`);
  if (r.rejectedG > 0) words.push(`${kg(r.rejectedG)} returned: paid for until it is credited.`);
  return words;
}
