import { Decimal } from 'decimal.js';
import { packFacts, mannerIn, receivedOn, type KitchenFile } from '../kitchen-file';
import type { Quote, Receipt } from '../larder';

/** A dated price of a pack; where it stands on an invoice, its number. */
export interface PricePoint extends Quote {
  readonly invoice?: string | undefined;
}

/** What the past says of one article. */
export interface ArticleHistory {
  readonly points: readonly PricePoint[];
  readonly receipts: readonly Receipt[];
}

/** How much of an ingredient was there when somebody last counted, as typed. */
export interface Counted {
  readonly on: string;
  readonly recordedAt: string;
  readonly amount: string;
}

/** What the past says of prices on a day, asked article by article. */
export interface History {
  readonly article: (id: string) => ArticleHistory;
  readonly counted: (ingredientId: string) => Counted | undefined;
  /** So many times what it says is to be paid for an ingredient, where that is tried out. */
  readonly times?: ((ingredientId: string) => number) | undefined;
}

const NOTHING: ArticleHistory = { points: [], receipts: [] };

/** Of counts the one in force: the latest day, and of two on one day the one recorded last. */
export const laterCount = (a: Counted | undefined, b: Counted | undefined): Counted | undefined =>
  !a || (b && (b.on > a.on || (b.on === a.on && b.recordedAt >= a.recordedAt))) ? b : a;

/**
 * The past as a whole kitchen file tells it.
 * @param day counts after it do not count yet
 * @param knownBy leaves out what was recorded later
 */
export function historyFrom(file: KitchenFile, day: string, knownBy?: string): History {
  const manner = mannerIn(file);
  const facts = packFacts(manner);
  const ingredients = new Map(file.ingredients.map((i) => [i.id, i]));
  const articles = new Map(file.articles.map((a) => [a.id, a]));
  const known = (at: string): boolean => knownBy === undefined || at <= knownBy;
  const past = new Map(
    file.articles.map((a) => [
      a.id,
      {
        points: a.quotes
          .filter((q) => known(q.recordedAt))
          .map((q): PricePoint => ({ ...q, price: new Decimal(q.price) })),
        receipts: [] as Receipt[],
      },
    ]),
  );
  for (const purchase of file.purchases) {
    if (!known(purchase.recordedAt)) continue;
    for (const line of purchase.lines) {
      const article = line.is === 'goods' ? articles.get(line.article) : undefined;
      const ingredient = article && ingredients.get(article.ingredient);
      if (line.is !== 'goods' || !article || !ingredient) continue;
      const at = { on: purchase.on, recordedAt: purchase.recordedAt, invoice: purchase.number };
      const own = past.get(article.id);
      if (purchase.kind === 'invoice') own?.points.push({ ...at, price: new Decimal(line.packPrice) });
      const came = receivedOn(purchase, line, article, ingredient, manner, facts);
      if (came.ok) own?.receipts.push({ ...at, g: came.value.acceptedG, money: came.value.money });
    }
  }
  const counts = new Map<string, Counted>();
  for (const { ingredient, ...count } of file.counts) {
    if (count.on > day || !known(count.recordedAt)) continue;
    const last = laterCount(counts.get(ingredient), count);
    if (last) counts.set(ingredient, last);
  }
  return { article: (id) => past.get(id) ?? NOTHING, counted: (id) => counts.get(id) };
}
