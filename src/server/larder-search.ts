import 'server-only';
import { LRUCache } from 'lru-cache';
import type { KitchenCosting } from '@/core/costing';
import type { KitchenState } from '@/core/kitchen-state';
import { byName, searcher } from '@/search';

/** Something of the larder by name, and what its articles are called, by which it is found too. */
export interface LarderItem {
  readonly id: string;
  readonly name: string;
  readonly words: string;
}

interface Made {
  readonly of: Pick<KitchenState, 'ingredients' | 'articles'>;
  readonly things: readonly LarderItem[];
}
const made = new LRUCache<string, Made>({ max: 4 });
const searches = new WeakMap<readonly LarderItem[], (wanted: string) => LarderItem[]>();

/** A kitchen's ingredients by name; the very same list until something in it is called otherwise. */
export function larderItems({ state }: KitchenCosting): readonly LarderItem[] {
  const was = made.get(state.kitchen.id);
  if (was && sameNames(was.of, state)) return was.things;
  const words = new Map<string, string[]>();
  for (const a of state.articles) {
    const known = words.get(a.ingredient);
    if (known) known.push(a.name);
    else words.set(a.ingredient, [a.name]);
  }
  const things = state.ingredients
    .map(({ id, name }): LarderItem => ({ id, name, words: (words.get(id) ?? []).join(' ') }))
    .sort(byName);
  made.set(state.kitchen.id, { of: state, things });
  return things;
}

const sameNames = (was: Made['of'], now: Made['of']): boolean =>
  (was.ingredients === now.ingredients ||
    (was.ingredients.length === now.ingredients.length &&
      was.ingredients.every(
        (x, i) => x.id === now.ingredients[i]?.id && x.name === now.ingredients[i].name,
      ))) &&
  was.articles.length === now.articles.length &&
  was.articles.every(
    (a, i) => a.name === now.articles[i]?.name && a.ingredient === now.articles[i].ingredient,
  );

/** A kitchen's ingredients that fit some words, best first. */
export function searchLarder(costing: KitchenCosting, wanted: string): LarderItem[] {
  const things = larderItems(costing);
  const search = searches.get(things) ?? searcher(things);
  searches.set(things, search);
  return search(wanted);
}
