'use server';

import { z } from 'zod';
import { serverQuery } from '@/server/server-query';
import { costedKitchen } from '@/server/kitchen';
import { searchLarder } from '@/server/larder-search';
import type { FoundIngredient } from '@/ui/forms/ingredient-search';
import { searchEverything, type SearchResult } from './search-everything';

/** As many as anybody looks through before typing another letter. */
const MOST = 12;

/** Ingredients of the kitchen somebody is at work in that fit some words, best first. */
export const findIngredients = serverQuery(
  { role: 'reader', of: z.tuple([z.string().max(200)]), otherwise: [] },
  async (who, wanted): Promise<FoundIngredient[]> => {
    const { costing } = await costedKitchen(who.kitchenId);
    return searchLarder(costing, wanted)
      .slice(0, MOST)
      .map(({ id, name }) => ({ id, name, trims: (costing.supplies.get(id)?.stockTrim ?? 0) > 0 }));
  },
);

/** Anything of the kitchen that fits some words: things, invoices, screens. */
export const findAnything = serverQuery(
  { role: 'reader', of: z.tuple([z.string().max(200)]), otherwise: [] },
  (who, wanted): Promise<SearchResult[]> => searchEverything(who, wanted),
);
