import 'server-only';
import type { KitchenCosting } from '@/core/costing';
import { namesIn } from '@/core/kitchen-file';
import type { Names } from '@/core/said';
import type { Named } from './reach';

const named = (list: readonly { readonly id: string; readonly name: string }[]) =>
  list.map(({ id, name }) => ({ id, name }));

/** Every name that a line may say. An old spelling is still understood; what is written back is the one it counts as. */
export const namesToRead = ({ state, spellings }: KitchenCosting): Names => ({
  ingredients: [...named(state.ingredients), ...spellings],
  recipes: named(state.recipes),
  parts: namesIn(state).parts,
  vessels: named(state.vessels),
  hobs: named(state.hobs),
  measures: state.measures.map(({ name }) => ({ name })),
  strainers: state.kitchen.rules?.strainers?.map((s) => s.name),
});

/** The names that the lines of a sheet say already: enough to write them out, not to read what is typed. */
export const namesToWrite = (costing: KitchenCosting, of: Named): Names => {
  const all = namesToRead(costing);
  const [ingredients, recipes] = [new Set(of.ingredients), new Set(of.recipes)];
  return {
    ...all,
    ingredients: all.ingredients.filter((i) => ingredients.has(i.id)),
    recipes: all.recipes.filter((r) => recipes.has(r.id)),
    parts: all.parts?.filter((p) => recipes.has(p.id)),
  };
};
