'use server';

import { z } from 'zod';
import type { KitchenCosting } from '@/core/costing';
import { searcher } from '@/search';
import { serverQuery } from '@/server/server-query';
import { costedKitchen } from '@/server/kitchen';
import * as texts from './texts';

/** Something whose uses can be asked for. */
export interface FoundThing {
  readonly id: string;
  readonly name: string;
  readonly says: string;
}

const MOST = 12;
const searches = new WeakMap<KitchenCosting['state'], (wanted: string) => FoundThing[]>();

/** Everything that is used somewhere: what is bought, from whom, what is cooked and in what. */
function thingsOf({ state }: KitchenCosting): FoundThing[] {
  const suppliers = new Map(state.suppliers.map((s) => [s.id, s.name]));
  const told = (kind: string, list: readonly { id: string; name: string }[], says: string): FoundThing[] =>
    list.map(({ id, name }) => ({ id: `${kind}:${id}`, name, says }));
  return [
    ...told('ingredient', state.ingredients, texts.larder),
    ...told('recipe', state.recipes, texts.fromPot),
    ...told('supplier', state.suppliers, texts.supplier),
    ...told('vessel', state.vessels, texts.vessel),
    ...state.articles.map((a) => ({
      id: `article:${a.id}`,
      name: a.name,
      says: texts.boughtFrom(suppliers.get(a.supplier) ?? '', a.pack),
    })),
  ];
}

/** What fits some words, best first. */
export const findUsed = serverQuery(
  { role: 'reader', of: z.tuple([z.string().max(200)]), otherwise: [] },
  async (who, wanted): Promise<FoundThing[]> => {
    const { costing } = await costedKitchen(who.kitchenId);
    const search = searches.get(costing.state) ?? searcher(thingsOf(costing));
    searches.set(costing.state, search);
    return search(wanted).slice(0, MOST);
  },
);
