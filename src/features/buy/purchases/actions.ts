'use server';

import { z } from 'zod';
import { serverQuery } from '@/server/server-query';
import { CHOSEN } from '@/wire/fields';
import type { ProposalEffect } from '@/core/taught';
import {
  goodsCalled,
  goodsWith,
  ingredientsFor,
  changedWithout,
  type ArticleChoice,
  type IngredientChoice,
} from './queries';

const Words = z.string().max(200);
const Ids = z.array(z.uuid()).max(300);

/** Articles of a supplier that fit some words, or of every supplier where none is named. */
export const findGoods = serverQuery(
  { role: 'reader', of: z.tuple([CHOSEN, Words]), otherwise: [] },
  (who, supplier, wanted): Promise<ArticleChoice[]> => goodsCalled(who, supplier, wanted),
);

/** Ingredients of which something new could be bought, by some words. */
export const findBuyable = serverQuery(
  { role: 'reader', of: z.tuple([Words]), otherwise: [] },
  (who, wanted): Promise<IngredientChoice[]> => ingredientsFor(who, { wanted }),
);

/** What a draft that was begun earlier names. */
export const namedInDraft = serverQuery(
  { role: 'reader', of: z.tuple([Ids, Ids]), otherwise: { articles: [], ingredients: [] } },
  async (
    who,
    articles,
    ingredients,
  ): Promise<{ articles: ArticleChoice[]; ingredients: IngredientChoice[] }> => ({
    articles: await goodsWith(who, articles),
    ingredients: await ingredientsFor(who, { ids: ingredients }),
  }),
);

/** What an invoice moves, by what everything would cost without it. */
export const changesWithout = serverQuery(
  { role: 'changer', of: z.tuple([z.uuid()]), otherwise: [] },
  (who, id): Promise<ProposalEffect[]> => changedWithout(who, id),
);
