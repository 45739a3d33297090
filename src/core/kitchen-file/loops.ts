import { ofStep, partOfStep } from '../verbs';
import type { Names } from '../said';
import { stepsInForce } from './in-force';
import type { KitchenFile, WrittenRecipe } from './schema';

/** Lines, and which of them are done. */
type Lined = Pick<WrittenRecipe, 'steps' | 'choices'>;

/** Names of the joint products that part from a recipe. */
export const partsOf = (recipe: Pick<WrittenRecipe, 'steps'>): string[] =>
  recipe.steps.flatMap((s) => partOfStep(s) ?? []);

/** Ids of the recipes whose last batch a recipe takes some of, in the lines that are done. */
export const lastBatchesIn = (recipe: Lined): string[] =>
  stepsInForce(recipe).flatMap((step) => {
    const of = ofStep(step);
    return of && 'lastBatchOf' in of ? [of.lastBatchOf] : [];
  });

/** Ids of the recipes whose products a recipe uses in the lines that are done; a last batch is there already, so it is no such use. */
export function usesOf(recipe: Lined): string[] {
  const ids: string[] = [];
  for (const step of stepsInForce(recipe)) {
    const of = ofStep(step);
    if (of && 'product' in of) ids.push(of.product);
  }
  return ids;
}

/**
 * Recipes in an order in which each comes after everything it uses; those in a loop come out apart,
 * as the loop itself, first recipe repeated at its end.
 */
export function inOrder(recipes: readonly (Lined & Pick<WrittenRecipe, 'id'>)[]): {
  order: string[];
  loops: string[][];
} {
  const byId = new Map(recipes.map((r) => [r.id, r]));
  const state = new Map<string, 'open' | 'done'>();
  const order: string[] = [];
  const loops: string[][] = [];
  const path: string[] = [];
  const visit = (id: string): void => {
    const recipe = byId.get(id);
    if (!recipe || state.get(id) === 'done') return;
    if (state.get(id) === 'open') {
      loops.push([...path.slice(path.indexOf(id)), id]);
      return;
    }
    state.set(id, 'open');
    path.push(id);
    for (const used of usesOf(recipe)) visit(used);
    path.pop();
    state.set(id, 'done');
    order.push(id);
  };
  for (const recipe of recipes) visit(recipe.id);
  return { order, loops };
}

/** The loop in words: "Game base uses Venison stock, which uses Game base". */
export const loopSentence = (names: readonly string[]): string =>
  `A recipe cannot be made from itself: ${names.slice(1).reduce((said, name, i) => `${said}${i === 0 ? ' uses ' : ', which uses '}${name}`, names[0] ?? '')}.`;

/** What lines are read and written with: everything that has a name in a kitchen, parts of recipes among them. */
export const namesIn = (
  file: Pick<KitchenFile, 'ingredients' | 'recipes' | 'vessels' | 'hobs' | 'measures'> & {
    readonly kitchen?: Pick<KitchenFile['kitchen'], 'rules'>;
  },
): Names => ({
  strainers: file.kitchen?.rules?.strainers?.map((s) => s.name),
  ingredients: file.ingredients,
  recipes: file.recipes,
  vessels: file.vessels,
  hobs: file.hobs,
  measures: file.measures,
  parts: file.recipes.flatMap((r) => partsOf(r).map((part) => ({ id: r.id, part }))),
});
