import { z } from 'zod';
import { sender, wire } from '@/wire';
import { ID, TYPED } from '@/wire/fields';
import type { PriceRow } from './queries';
import * as texts from './texts';

/** A pack price typed over; `row` is the ingredient whose row it stands in. */
export const PRICE = wire<null, PriceRow>()({
  kind: 'article.price',
  version: 1,
  body: z.object({ article: ID, row: ID, typed: TYPED }),
  waits: ({ article, typed }) => ({ thing: article, whole: true, words: texts.packPrice(typed) }),
});
/** A usable yield typed over. */
export const YIELD = wire<null, PriceRow>()({
  kind: 'ingredient.yield',
  version: 1,
  body: z.object({ ingredient: ID, typed: TYPED }),
  waits: ({ ingredient, typed }) => ({ thing: ingredient, whole: true, words: texts.usable(typed) }),
});

export const editPrice = sender(PRICE);
export const editYield = sender(YIELD);
