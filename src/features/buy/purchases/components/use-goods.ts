import { useCallback, useRef, useState } from 'react';
import { findBuyable, findGoods, namedInDraft } from '../actions';
import type { ArticleChoice, IngredientChoice, PurchaseForm } from '../queries';
import type { PurchaseTyped } from '../wire';

/** Articles and ingredients that somebody has come across while writing: found by their words, and remembered. */
export function useGoods(page: PurchaseForm) {
  const [articles, setArticles] = useState(() => new Map(page.articles.map((a) => [a.id, a])));
  const [ingredients, setIngredients] = useState(() => new Map<string, IngredientChoice>());
  const learn = useCallback((found: readonly ArticleChoice[]): readonly ArticleChoice[] => {
    setArticles((all) => new Map([...all, ...found.map((a) => [a.id, a] as const)]));
    return found;
  }, []);
  const learnThings = useCallback((found: readonly IngredientChoice[]): readonly IngredientChoice[] => {
    setIngredients((all) => new Map([...all, ...found.map((i) => [i.id, i] as const)]));
    return found;
  }, []);
  const find = useCallback(async (wanted: string) => learnThings(await findBuyable(wanted)), [learnThings]);
  const finders = useRef(new Map<string, (wanted: string) => Promise<readonly ArticleChoice[]>>());
  /** A search over a supplier's articles; the same function each time. */
  const sold = (supplier: string): ((wanted: string) => Promise<readonly ArticleChoice[]>) => {
    const known = finders.current.get(supplier);
    if (known) return known;
    const made = async (wanted: string) => learn(await findGoods(supplier, wanted));
    finders.current.set(supplier, made);
    return made;
  };
  /** Asks what a draft from earlier names. */
  const recall = async (draft: PurchaseTyped): Promise<void> => {
    const goods = draft.lines.flatMap((l) => (l.is === 'goods' ? [l] : []));
    const named = await namedInDraft(
      goods.flatMap((l) => [l.article, l.inPlaceOf]).filter(Boolean),
      goods.flatMap((l) => l.newArticle?.ingredient ?? []).filter(Boolean),
    );
    learn(named.articles);
    learnThings(named.ingredients);
  };
  return { articles, ingredients, sold, find, recall };
}
export type Goods = ReturnType<typeof useGoods>;
