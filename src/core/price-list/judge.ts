import type { Decimal } from 'decimal.js';
import { readAmountOf, toGrams, type Manner, type Weighable } from '../quantity';
import type { ListRow } from './rows';

/**
 * What becomes of a row: `same` as before; `moved` and taken unless somebody says otherwise; `odd`, taken only when
 * somebody says so; `ask`, since it fits no article; `refused`, since it cannot be read.
 */
export const VERDICTS = ['moved', 'odd', 'ask', 'refused', 'same'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** An article as it is before the list. */
export interface Current {
  readonly name: string;
  readonly pack: string;
  readonly packG: number;
  readonly thing: Weighable;
  /** Undefined where it never had a price. */
  readonly price?: Decimal | undefined;
}

export interface JudgedRow {
  readonly verdict: Exclude<Verdict, 'ask'>;
  readonly reason?: string | undefined;
  /** The pack the price is for, where it is another than before. */
  readonly newPack?: string | undefined;
}

/** A pack may differ by this share and still be the same: 6 x 0.75 l beside 4.5 l. */
const SAME_PACK = 0.005;

/**
 * Judges a row that has found its article.
 * @param oddShare a price that moves by more than this share is odd
 */
export function judgeRow(row: ListRow, current: Current, manner: Manner, oddShare: number): JudgedRow {
  const odd = (reason: string, newPack?: string): JudgedRow => ({ verdict: 'odd', reason, newPack });
  const pack = row.pack === undefined ? undefined : weighPack(row.pack, current.thing, manner);
  if (typeof pack === 'string') return { verdict: 'refused', reason: pack };
  const changed = pack !== undefined && Math.abs(pack / current.packG - 1) > SAME_PACK ? row.pack : undefined;
  if (row.price.isZero()) return odd('The price is 0.', changed);
  const before = current.price;
  if (before === undefined)
    return changed === undefined
      ? { verdict: 'moved', reason: 'Its first price.' }
      : odd(`Packed as ${changed}, before as ${current.pack}.`, changed);
  if (changed !== undefined) {
    const perKg = (price: Decimal, g: number): Decimal => price.times(1000).div(g);
    const move = share(perKg(row.price, pack as number), perKg(before, current.packG));
    return odd(`Packed as ${changed}, before as ${current.pack}: ${words(move)} per kilo.`, changed);
  }
  if (row.price.eq(before)) return { verdict: 'same' };
  const move = share(row.price, before);
  if (before.isZero() || Math.abs(move) > oddShare)
    return odd(
      before.isZero()
        ? 'It cost nothing before.'
        : `${words(move)}: more than ${Math.round(oddShare * 100)} %.`,
    );
  return { verdict: 'moved', reason: words(move) };
}

const share = (now: Decimal, before: Decimal): number =>
  before.isZero() ? 0 : now.div(before).toNumber() - 1;

const words = (move: number): string =>
  Math.abs(move) < 0.0005
    ? 'the same price'
    : `${(Math.abs(move) * 100).toFixed(Math.abs(move) < 0.1 ? 1 : 0)} % ${move > 0 ? 'dearer' : 'cheaper'}`;

/** Grams of a pack, or a sentence. */
function weighPack(text: string, thing: Weighable, manner: Manner): number | string {
  const amount = readAmountOf(['mass', 'volume', 'count'], text, manner);
  if (!amount.ok)
    return amount.trouble.code === 'no-unit' ? `The pack “${text}” has no unit.` : amount.trouble.message;
  const grams = toGrams(amount.value, thing);
  if (!grams.ok) return grams.trouble.message;
  return grams.value.grams > 0 ? grams.value.grams : `A pack of “${text}” holds nothing.`;
}
