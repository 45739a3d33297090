import { useMemo } from 'react';
import { outlierQuestion } from '@/core/larder';
import { mannerOf, readAmountOf, toGrams } from '@/core/quantity';
import { useFormatters } from '@/ui/formatters-context';
import type { IngredientPage } from '../queries';

/** What typed amounts of the ingredient weigh: in words, and whether that is far from what it was. */
export function useWeighed(page: IngredientPage) {
  const { kilos } = useFormatters();
  const manner = useMemo(() => mannerOf(page.mark, page.measures), [page]);
  const gramsIn = (text: string): number | undefined => {
    const amount = readAmountOf(['mass', 'volume', 'count'], text, manner);
    const grams = amount.ok ? toGrams(amount.value, page.thing) : undefined;
    return grams?.ok ? grams.value.grams : undefined;
  };
  return {
    gramsIn,
    /** Nothing while it cannot be read. */
    words: (text: string): string | undefined => {
      const g = gramsIn(text);
      return g === undefined ? undefined : `= ${kilos(g)}`;
    },
    asks: (text: string, before: number | undefined): string | undefined => {
      const g = gramsIn(text);
      return g === undefined
        ? undefined
        : outlierQuestion({ what: 'weight', before, after: g, words: kilos });
    },
  };
}
