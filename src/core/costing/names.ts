import { namesIn } from '../kitchen-file';
import type { Names } from '../said';
import type { KitchenCosting } from './kitchen';

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
