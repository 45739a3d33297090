import 'server-only';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { invoicesLike } from '@/db/buying/purchases-read';
import { database } from '@/server/database';
import type { KitchenState } from '@/core/kitchen-state';
import { searcher } from '@/search';

/** Somewhere to go: a thing of the kitchen, or a screen. */
export interface SearchResult {
  /** Where it is. */
  readonly id: string;
  readonly name: string;
  /** What it is, in a word or two. */
  readonly says: string;
}

const SCREENS: readonly (SearchResult & { readonly words: string })[] = [
  ['/buy', 'Price book', 'prices yields'],
  ['/buy/purchases', 'Purchases', 'invoices credit notes deliveries'],
  ['/buy/purchases/new', 'New invoice', 'purchase new delivery'],
  ['/buy/lists', 'Price lists', 'supplier list import'],
  ['/buy/larder', 'Larder', 'ingredients starting points measures'],
  ['/buy/suppliers', 'Suppliers', 'who sells'],
  ['/trim', 'Yield tests', 'yield tests weigh'],
  ['/trim/flow', 'Where trim goes', 'waste recorded'],
  ['/trim/schools', 'How trim is costed', 'schools set value wage energy'],
  ['/pot', 'Pots', 'recipes sheets'],
  ['/pot/new', 'New recipe', 'recipe sheet write paste'],
  ['/pour', 'Dishes', 'dishes menu'],
  ['/house', 'This kitchen', 'settings currency tax target hands cups backup file export'],
  ['/house/stove', 'Vessels and hobs', 'pans burners'],
  ['/people', 'People', 'password pin role devices sign in dark light'],
  ['/house/changes', 'What was changed', 'history undo log'],
].map(([id = '', name = '', words = '']) => ({ id, name, words, says: 'screen' }));

type Search = (wanted: string) => readonly SearchResult[];
type Lists = Pick<KitchenState, 'ingredients' | 'recipes' | 'plates' | 'suppliers' | 'vessels'>;
const made = new WeakMap<object, { readonly of: Lists; readonly search: Search }>();

/** The search over what stands in a kitchen, made anew only when one of its lists is another. */
function searchOf(state: KitchenState): Search {
  const was = made.get(state.recipes);
  const { ingredients, recipes, plates, suppliers, vessels } = state;
  if (was && was.of.ingredients === ingredients && was.of.plates === plates && was.of.suppliers === suppliers)
    return was.search;
  const listed = (
    list: readonly { readonly id: string; readonly name: string }[],
    at: (id: string) => string,
    says: string,
  ) => list.map((x) => ({ id: at(x.id), name: x.name, says, words: says }));
  const search: Search = searcher([
    ...listed(recipes, (id) => `/pot/${id}`, 'pot'),
    ...listed(plates, (id) => `/pour/${id}`, 'dish'),
    ...listed(ingredients, (id) => `/buy/${id}`, 'ingredient'),
    ...listed(ingredients, (id) => `/trim/${id}`, 'its tests'),
    ...listed(suppliers, (id) => `/buy/suppliers#${id}`, 'supplier'),
    ...listed(vessels, (id) => `/house/stove#${id}`, 'vessel'),
    ...SCREENS,
  ]);
  made.set(state.recipes, { of: { ingredients, recipes, plates, suppliers, vessels }, search });
  return search;
}

/** As many as anybody looks through before typing another letter. */
const MOST = 12;
const MOST_INVOICES = 4;

/** Whatever in the kitchen fits some words, forgiving spelling; with nothing typed, the screens. */
export async function searchEverything(who: Worker, wanted: string): Promise<SearchResult[]> {
  if (wanted.trim() === '') return SCREENS.map(({ id, name, says }) => ({ id, name, says }));
  const { costing } = await costedKitchen(who.kitchenId);
  const found = searchOf(costing.state)(wanted).slice(0, MOST);
  const invoices = await invoicesLike(database(), who.kitchenId, wanted.trim(), MOST_INVOICES);
  const known = found
    .filter((p) => p.id !== '/pot/new' || may(who.role, 'changer'))
    .map(({ id, name, says }) => ({ id, name, says }));
  return [
    ...known,
    ...invoices.map((i) => ({
      id: `/buy/purchases/${i.id}`,
      name: i.number,
      says: `${i.kind} of ${i.supplier}`,
    })),
  ].slice(0, MOST + MOST_INVOICES);
}
