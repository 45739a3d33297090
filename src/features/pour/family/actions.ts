'use server';

import { z } from 'zod';
import { familyOf, type Family, type Relative } from '@/core/costing';
import { searcher } from '@/search';
import { serverQuery } from '@/server/server-query';
import { costedKitchen } from '@/server/kitchen';
import * as texts from './texts';

/** One of the family that fits some words. */
export interface FoundKin {
  readonly id: string;
  readonly name: string;
  readonly says: string;
}

const MOST = 12;
const WORDS: Record<Relative['is'], string> = { pot: texts.pot, plate: texts.dish, bench: texts.fromBench };

const searches = new WeakMap<Family, (wanted: string) => FoundKin[]>();

/** Who of the family fits some words, best first. */
export const findKin = serverQuery(
  { role: 'reader', of: z.tuple([z.string().max(200)]), otherwise: [] },
  async (who, wanted): Promise<FoundKin[]> => {
    const family = familyOf((await costedKitchen(who.kitchenId)).costing);
    const search =
      searches.get(family) ??
      searcher(family.relatives.map(({ id, name, is }): FoundKin => ({ id, name, says: WORDS[is] })));
    searches.set(family, search);
    return search(wanted).slice(0, MOST);
  },
);
