import { useMemo } from 'react';
import { mannerOf, readAmountOf, toGrams } from '@/core/quantity';
import { useFigures } from '@/ui/figures';
import type { IngredientPage } from '../queries';

/** What a typed amount of the ingredient weighs, in words; nothing while it cannot be read. */
export function useWeighed(page: IngredientPage): (text: string) => string | undefined {
  const { kilos } = useFigures();
  const manner = useMemo(() => mannerOf(page.mark, page.measures), [page]);
  return (text) => {
    const amount = readAmountOf(['mass', 'volume', 'count'], text, manner);
    const grams = amount.ok ? toGrams(amount.value, page.thing) : undefined;
    return grams?.ok ? `= ${kilos(grams.value.grams)}` : undefined;
  };
}
