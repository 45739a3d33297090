'use server';

import { z } from 'zod';
import { partsOf } from '@/core/kitchen-file';
import type { Of } from '@/core/written';
import { searcher } from '@/search';
import { serverQuery } from '@/server/server-query';
import { costedKitchen } from '@/server/kitchen';
import { searchLarder } from '@/server/larder-search';
import * as texts from './texts';

/** Something that may stand on a plate. */
export interface Platable {
  readonly id: string;
  readonly name: string;
  readonly says?: string | undefined;
  readonly of: Exclude<Of, { lastBatchOf: string }>;
}

const MOST = 12;

/** What may stand on a plate and fits some words: what is cooked here first, then ingredients and their trim. */
export const findForPlate = serverQuery(
  { role: 'changer', of: z.tuple([z.string().max(200)]), otherwise: [] },
  async (who, wanted): Promise<Platable[]> => {
    const { costing } = await costedKitchen(who.kitchenId);
    const cooked = costing.state.recipes.flatMap((r): Platable[] => [
      { id: r.id, name: r.name, says: texts.fromPot, of: { product: r.id } },
      ...partsOf(r).map((part) => ({
        id: `${r.id}#${part}`,
        name: texts.partOf(part, r.name),
        says: texts.fromPot,
        of: { product: r.id, part },
      })),
    ]);
    const made = searcher(cooked)(wanted).slice(0, MOST);
    const things = searchLarder(costing, wanted)
      .slice(0, MOST)
      .flatMap(({ id, name }): Platable[] => [
        { id, name, of: { ingredient: id } },
        ...((costing.supplies.get(id)?.stockTrim ?? 0) > 0
          ? [{ id: `${id}#trim`, name: texts.stockTrim(name), of: { stockTrimOf: id } }]
          : []),
      ]);
    return [...made, ...things].slice(0, MOST);
  },
);
