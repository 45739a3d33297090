import 'server-only';
import { costedKitchen } from '@/server/kitchen';
import { may, type Worker } from '@/server/session';
import { invoicesLike } from '@/db/buying/purchases-read';
import { database } from '@/server/database';
import type { KitchenState } from '@/core/kitchen-state';
import { searcher } from '@/search';
import * as texts from './texts';

/** Somewhere to go: a thing of the kitchen, or a screen. */
export interface SearchResult {
  /** Where it is. */
  readonly id: string;
  readonly name: string;
  /** What it is, in a word or two. */
  readonly says: string;
}

const SCREENS: readonly (SearchResult & { readonly words: string })[] = [
  ['/buy', texts.priceBook, texts.pricesYields],
  ['/buy/purchases', 'Purchases', texts.invoicesCreditNotesDeliveries],
  ['/buy/purchases/new', texts.newInvoice, texts.purchaseNewDelivery],
  ['/buy/lists', texts.priceLists, texts.supplierListImport],
  ['/buy/larder', 'Larder', texts.ingredientsStartingPointsMeasures],
  ['/buy/suppliers', 'Suppliers', texts.whoSells],
  ['/trim', texts.yieldTests, texts.yieldTestsWeigh],
  ['/trim/flow', texts.whereTrimGoes, texts.wasteRecorded],
  ['/trim/schools', texts.howTrimCosted, texts.schoolsSetValueWage],
  ['/pot', 'Pots', texts.recipesSheets],
  ['/pot/new', texts.newRecipe, texts.recipeSheetWritePaste],
  ['/pour', 'Dishes', texts.dishesMenu],
  ['/house', texts.kitchen, texts.settingsCurrencyTaxTarget],
  ['/house/stove', texts.vesselsHobs, texts.pansBurners],
  ['/people', 'People', texts.passwordPinRoleDevices],
  ['/house/changes', texts.history, texts.historyUndoLog],
].map(([id = '', name = '', words = '']) => ({ id, name, words, says: texts.screen }));

type Search = (wanted: string) => readonly SearchResult[];
type Lists = Pick<KitchenState, 'ingredients' | 'recipes' | 'plates' | 'suppliers' | 'vessels'>;
const made = new WeakMap<object, { readonly of: Lists; readonly search: Search }>();

/** The search over what stands in a kitchen, made again only when one of its lists is another. */
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
    ...listed(ingredients, (id) => `/trim/${id}`, texts.tests),
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
      says: texts.partOf(i.kind, i.supplier),
    })),
  ].slice(0, MOST + MOST_INVOICES);
}
