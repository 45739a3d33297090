'use server';

import { z } from 'zod';
import { findNamed } from '@/core/said';
import { referenceLarder, type ReferenceIngredient } from '@/core/reference';
import { serverQuery } from '@/server/server-query';
import { standingKitchen } from '@/server/kitchen';
import { searcher } from '@/search';
import * as texts from './texts';

/** A starting point that what was said may mean. */
export interface Starting {
  readonly id: string;
  readonly name: string;
  /** What it would be called here, so that the line that said it means it. */
  readonly called: string;
  readonly says: string;
}

const MOST = 4;
let search: ((wanted: string) => { id: string; name: string; words: string }[]) | undefined;

const findStarting = (wanted: string) =>
  (search ??= searcher(
    [...referenceLarder().values()].map((r) => ({
      id: r.id,
      name: r.name,
      words: r.group.replaceAll('-', ' '),
    })),
  ))(wanted);

const wordsOf = (text: string): string[] =>
  (text.toLowerCase().match(/\p{L}{3,}/gu) ?? []).map((w) => w.replace(/(?<=\p{L}{3})s$/u, ''));

/**
 * What has all of the words; where nothing has, what has the last of them whole, which says what it is: a house mustard is a mustard,
 * brown shallots are no brown rice. Better nothing than another thing.
 */
function nearest(said: string): readonly { readonly id: string }[] {
  const all = findStarting(said);
  if (all.length > 0) return all;
  const wanted = wordsOf(said);
  const what = wanted.at(-1) ?? '';
  const shared = (row: ReferenceIngredient): number =>
    wordsOf(row.name).filter((w) => wanted.includes(w)).length;
  return [...referenceLarder().values()]
    .filter((row) => wordsOf(row.name).includes(what))
    .sort((x, y) => shared(y) - shared(x) || x.name.length - y.name.length);
}

const capital = (text: string): string => `${text.charAt(0).toUpperCase()}${text.slice(1)}`;

const saysOf = (row: ReferenceIngredient): string => texts.usable(row.role, row.usable.pct);

/** Starting points that fit a name nothing in the kitchen has, nearest first. */
export const startingLike = serverQuery(
  { role: 'changer', of: z.tuple([z.string().max(200)]), otherwise: [] },
  async (who, said): Promise<Starting[]> => {
    const { state } = await standingKitchen(who.kitchenId);
    const taken = new Set(state.ingredients.flatMap((i) => i.reference ?? []));
    return nearest(said)
      .filter((row) => !taken.has(row.id))
      .slice(0, MOST)
      .flatMap(({ id }) => {
        const row = referenceLarder().get(id);
        if (!row) return [];
        // A line that says it goes on saying it: the starting point's own name where that is heard, else the one that was said.
        const heard = findNamed(said, [{ id, name: row.name }], 'ingredient').ok;
        return [{ id, name: row.name, called: heard ? row.name : capital(said), says: saysOf(row) }];
      });
  },
);

/** Who sells to the kitchen, by name. */
export const suppliersHere = serverQuery(
  { role: 'reader', of: z.tuple([]), otherwise: [] },
  async (who): Promise<{ id: string; name: string }[]> =>
    (await standingKitchen(who.kitchenId)).state.suppliers.map(({ id, name }) => ({ id, name })),
);
