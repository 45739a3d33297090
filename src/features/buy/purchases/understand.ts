import { readPrice, received, type Received } from '@/core/larder';
import { calculate, type Manner, type Weighable } from '@/core/quantity';
import { fine, refuse, under, type Outcome } from '@/core/trouble';
import * as texts from './texts';

/** A goods line as it is typed. */
export interface TypedGoods {
  readonly packs: string;
  readonly packPrice: string;
  readonly delivered: string;
  readonly rejected: string;
}

/** What has to be known of an article to understand a line of it. */
export interface ArticleFacts {
  readonly packG: number;
  readonly thing: Weighable;
}

export interface UnderstoodGoods {
  readonly packs: number;
  /** Net, exact, with two to four decimals. */
  readonly packPrice: string;
  readonly received: Received;
}

const MOST_PACKS = 100_000;

/**
 * Understands a typed goods line, in the form and on the server alike.
 * @returns trouble whose path names the field: `packs`, `packPrice`, `delivered` or `rejected`
 */
export function understandGoods(
  typed: TypedGoods,
  article: ArticleFacts,
  manner: Manner,
  kind: 'invoice' | 'credit note',
): Outcome<UnderstoodGoods> {
  if (typed.packs.trim() === '') return refuse('no-packs', 'packs', texts.howManyPacksInvoice);
  const packs = calculate(typed.packs, manner.mark);
  if (!packs.ok) return { ok: false, trouble: under('packs', packs.trouble) };
  if (!packs.value.gt(0) || packs.value.gt(MOST_PACKS))
    return refuse('packs-out-of-range', 'packs', texts.packsOutOfRange(packs.value.toString(), MOST_PACKS), {
      value: packs.value.toNumber(),
      limit: packs.value.gt(0) ? MOST_PACKS : 0,
    });
  const price = readPrice(typed.packPrice, manner.mark);
  if (!price.ok) return { ok: false, trouble: { ...price.trouble, path: 'packPrice' } };
  const line = {
    packs: packs.value.toDecimalPlaces(6).toNumber(),
    packPrice: price.value.toFixed(Math.max(2, price.value.decimalPlaces())),
    delivered: typed.delivered.trim() || undefined,
    rejected: typed.rejected.trim() || undefined,
  };
  const came = received(line, article.packG, article.thing, manner, kind);
  return came.ok ? fine({ packs: line.packs, packPrice: line.packPrice, received: came.value }) : came;
}
