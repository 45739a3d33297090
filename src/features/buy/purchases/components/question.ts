import { outlierQuestion } from '@/core/larder';
import type { Manner } from '@/core/quantity';
import type { ArticleChoice, IngredientChoice } from '../queries';
import { understandGoods, type ArticleFacts } from '../understand';
import { factsOf } from './article-facts';
import type { DraftGoods } from './use-draft';

/** What is known while an invoice is written. */
export interface KnownFacts {
  readonly articles: ReadonlyMap<string, ArticleChoice>;
  readonly ingredients: ReadonlyMap<string, IngredientChoice>;
  readonly manner: Manner;
}

/** What is known of a line's goods, as far as it says. */
export function factsAbout(
  line: DraftGoods,
  { articles, ingredients, manner }: KnownFacts,
): ArticleFacts | undefined {
  if (line.newArticle) return factsOf(line.newArticle, ingredients, manner);
  const article = articles.get(line.article);
  return article && { packG: article.packG, thing: article.thing };
}

/** What a pack cost last; of something new, what its weight of the ingredient costs now. */
function lastPrice(
  line: DraftGoods,
  { articles, ingredients }: KnownFacts,
  packG: number,
): number | undefined {
  const article = articles.get(line.article);
  if (article) return article.lastPackPrice === undefined ? undefined : Number(article.lastPackPrice);
  const perKg = ingredients.get(line.newArticle?.ingredient ?? '')?.perKg;
  return perKg === undefined ? undefined : (perKg * packG) / 1000;
}

/** A question about an invoiced price that is far from the last, or 0. */
export function questionAbout(
  line: DraftGoods,
  known: KnownFacts,
  money: (value: number) => string,
): string | undefined {
  const facts = factsAbout(line, known);
  const read = facts && understandGoods(line, facts, known.manner, 'invoice');
  if (!read?.ok) return undefined;
  const before = lastPrice(line, known, facts?.packG ?? 0);
  return outlierQuestion({ what: 'price', before, after: Number(read.value.packPrice), words: money });
}

/** A line's price, for remembering that it was said to be meant. */
export const priceOf = (line: DraftGoods): string =>
  `${line.article || (line.newArticle?.name ?? '')} ${line.packPrice.trim()}`;
