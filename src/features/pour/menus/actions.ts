'use server';

import { z } from 'zod';
import { searcher } from '@/search';
import { serverQuery } from '@/server/server-query';
import { costedKitchen } from '@/server/kitchen';

const MOST = 12;

/** Plates by any of their words, for a menu. */
export const findMenuPlates = serverQuery(
  { role: 'reader', of: z.tuple([z.string().max(200)]), otherwise: [] },
  async (who, wanted): Promise<{ readonly id: string; readonly name: string }[]> => {
    const { state } = (await costedKitchen(who.kitchenId)).costing;
    return searcher(state.plates.map(({ id, name }) => ({ id, name })))(wanted).slice(0, MOST);
  },
);
