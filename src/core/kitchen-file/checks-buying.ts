import type { Manner } from '../quantity';
import { refuse, under, type Trouble } from '../trouble';
import { mannerIn, packFacts, packOn, receivedOn, weigh } from './packs';
import type { WrittenArticle, WrittenIngredient } from './schema';
import {
  isCircular,
  ingredientsById,
  readable,
  missingReferences,
  type Sparse,
  type ReportMissing,
} from './sparse';
import { stuffOf } from './stuff';
import * as texts from './texts';

/** What purchases, articles, merges and counts say that cannot be. */
export function checkBuying(file: Sparse): Trouble[] {
  const found: Trouble[] = [];
  const manner = mannerIn({ kitchen: file.kitchen, measures: file.measures ?? [] });
  const ingredients = ingredientsById(file);
  const want = missingReferences(file, found);
  for (const [i, ingredient] of readable(file.ingredients)) {
    want('ingredient', ingredient.mergedInto, `ingredients[${i}].mergedInto`);
    want('article', ingredient.boughtAs, `ingredients[${i}].boughtAs`);
    if (isCircular(ingredient.id, ingredients, (x) => x?.mergedInto))
      found.push(
        refuse('merge-loop', `ingredients[${i}].mergedInto`, texts.mergedIntoItself(ingredient.name)).trouble,
      );
  }
  for (const [i, article] of readable(file.articles)) {
    const place = `articles[${i}]`;
    want('supplier', article.supplier, `${place}.supplier`);
    want('ingredient', article.ingredient, `${place}.ingredient`);
    found.push(...packsOf(article, ingredients.get(article.ingredient), manner, place));
  }
  found.push(...checkPurchases(file, ingredients, manner, want));
  for (const [i, count] of (file.counts ?? []).entries()) {
    want('ingredient', count.ingredient, `counts[${i}].ingredient`);
    const written = ingredients.get(count.ingredient);
    const amount = written && weigh(count.amount, written, manner);
    if (amount && !amount.ok) found.push(under(`counts[${i}].amount`, amount.trouble));
  }
  return found;
}

/** What of an article's pack and its weighings cannot be weighed. */
function packsOf(
  article: WrittenArticle,
  written: WrittenIngredient | undefined,
  manner: Manner,
  place: string,
): Trouble[] {
  if (!written || !stuffOf(written).ok) return [];
  const weighed = article.weighings.map(
    ({ held }, j) =>
      [`${place}.weighings[${j}].held`, packOn({ pack: held, weighings: [] }, written, '', manner)] as const,
  );
  const pack = packOn(article, written, '9999-12-31', manner);
  return [...weighed, [`${place}.pack`, pack] as const].flatMap(([path, read]) =>
    read.ok ? [] : [under(path, read.trouble)],
  );
}

function checkPurchases(
  file: Sparse,
  ingredients: ReadonlyMap<string, WrittenIngredient>,
  manner: Manner,
  want: ReportMissing,
): Trouble[] {
  const found: Trouble[] = [];
  const facts = packFacts(manner);
  const articles = new Map([...readable(file.articles)].map(([, a]) => [a.id, a]));
  for (const [i, purchase] of readable(file.purchases)) {
    want('supplier', purchase.supplier, `purchases[${i}].supplier`);
    want('invoice', purchase.corrects, `purchases[${i}].corrects`);
    for (const [j, line] of purchase.lines.entries()) {
      if (line.is !== 'goods') continue;
      const place = `purchases[${i}].lines[${j}]`;
      want('article', line.article, `${place}.article`);
      want('article', line.inPlaceOf, `${place}.inPlaceOf`);
      const article = articles.get(line.article);
      const written = article && ingredients.get(article.ingredient);
      if (!article || !written) continue;
      const came = receivedOn(purchase, line, article, written, manner, facts);
      // A pack that cannot be read has been told at its article.
      if (!came.ok && !came.trouble.path.startsWith('pack')) found.push(under(place, came.trouble));
    }
  }
  return found;
}
