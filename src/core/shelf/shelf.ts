import { hobOf, mannerIn, measuringDensity, stuffOf, vesselOf, type WrittenRecipe } from '../kitchen-file';
import type { KitchenState } from '../kitchen-state';
import type { PotRun, Product } from '../pot';
import { productOf } from '../supply';
import { fine, refuse } from '../trouble';
import { resolveStep, type OnShelf, type Pot, type Shelf } from '../verbs';
import type { RecipeCosting } from './recipe-costing';

/** Thrown for a recipe that stands on a vessel or hob that the kitchen does not have: reading a kitchen refuses those. */
export class NowhereToStand extends Error {}

/** A joint product of a run, by the name it parts under. */
export const jointOf = (run: PotRun | undefined, part: string): Product | undefined =>
  run?.rows.flatMap((row) => row.parted).find((j) => j.name === part)?.product;

/** A recipe as the pot runs it. Also for a recipe being written, on a costed kitchen's shelf. */
export function potOf(recipe: Pick<WrittenRecipe, 'vessel' | 'hob' | 'steps'>, shelf: Shelf): Pot {
  const vessel = shelf.vessel(recipe.vessel);
  const hob = shelf.hob(recipe.hob);
  if (!vessel || !hob)
    throw new NowhereToStand('the recipe stands on a vessel or hob that the kitchen does not have');
  return { vessel, hob, steps: recipe.steps.map((step) => resolveStep(step, shelf)) };
}

/** Where a kitchen's steps look their names up, as they stand on a day; products and last batches as they are cooked. */
export function shelfOf(
  state: KitchenState,
  day: string,
  recipes: ReadonlyMap<string, RecipeCosting>,
  written: ReadonlyMap<string, WrittenRecipe>,
  lefts: ReadonlyMap<string, Product>,
): Shelf {
  const stuffs = new Map<string, OnShelf>();
  for (const ingredient of state.ingredients) {
    const stuff = stuffOf(ingredient, day);
    if (stuff.ok)
      stuffs.set(ingredient.id, {
        stuff: stuff.value,
        densityGPerMl: measuringDensity(ingredient, stuff.value),
        eachG: ingredient.eachG,
        eachUnit: ingredient.eachUnit,
        pieceG: ingredient.pieceG,
      });
  }
  const vessels = new Map(state.vessels.map((v) => [v.id, vesselOf(v)]));
  const hobs = new Map(state.hobs.map((h) => [h.id, hobOf(h)]));
  return {
    manner: mannerIn(state),
    stuff: (id) => stuffs.get(id),
    vessel: (id) => vessels.get(id),
    hob: (id) => hobs.get(id),
    product(id, part) {
      const recipe = written.get(id)?.name ?? 'A recipe';
      const run = recipes.get(id)?.run;
      const name = part === undefined ? recipe : `${part} of ${recipe}`;
      const product = part === undefined ? run?.product : jointOf(run, part);
      return product
        ? fine({ name, product })
        : refuse(
            'no-product',
            'of',
            `${recipe} cannot be made yet, so ${part ?? 'nothing'} ${part === undefined ? 'can' : 'cannot'} be taken from it.`,
          );
    },
    lastBatch(id, part) {
      const recipe = written.get(id)?.name ?? 'a recipe';
      const product = lefts.get(productOf(id, part));
      return product
        ? fine({ name: `last batch of ${part === undefined ? recipe : `${part} of ${recipe}`}`, product })
        : refuse('no-product', 'of', `No batch of ${recipe} can be made yet, so none has left anything.`);
    },
  };
}
