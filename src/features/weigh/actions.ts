'use server';

import { z } from 'zod';
import { searcher } from '@/search';
import { serverQuery } from '@/server/server-query';
import { costedKitchen } from '@/server/kitchen';
import * as texts from './texts';

const MOST = 12;

/** Something that can be compared with what stands in a sheet: what is bought, or what another pot makes. */
export interface Other {
  readonly id: string;
  readonly name: string;
  readonly says: string;
  readonly is: 'ingredient' | 'product';
}

/** What could take the place of something, by any of its words; only what is made here where that is wanted. */
export const findOther = serverQuery(
  { role: 'reader', of: z.tuple([z.string().max(200), z.boolean()]), otherwise: [] },
  async (who, wanted, madeHere): Promise<Other[]> => {
    const { state, supplies } = (await costedKitchen(who.kitchenId)).costing;
    const others: Other[] = [
      ...state.recipes.map(({ id, name }) => ({ id, name, says: texts.madeHere, is: 'product' as const })),
      ...state.ingredients
        .filter((i) => !madeHere && supplies.get(i.id)?.price)
        .map(({ id, name }) => ({ id, name, says: texts.bought, is: 'ingredient' as const })),
    ];
    return searcher(others)(wanted).slice(0, MOST);
  },
);
