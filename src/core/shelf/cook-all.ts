import type { WrittenRecipe } from '../kitchen-file';
import type { KitchenState } from '../kitchen-state';
import { noLiquid, type ProcessConstants, type Product } from '../pot';
import { DENSITY } from '../quantity';
import type { Trouble } from '../trouble';
import { feedsALast, feedsItself, livesFromLast, overdrawn, settleBatches } from './last-batch';
import { productOf, readSupply, type SupplyKey } from '../supply';
import { ofStep, runPot, supplyOf, type Shelf } from '../verbs';
import type { Of } from '../written';
import type { RecipeCosting } from './recipe-costing';
import { jointOf, potOf } from './shelf';

/** What the last batch of a recipe costs: a fixed value per gram, or whatever the batch itself costs. */
export interface LastBatch {
  readonly key: SupplyKey;
  readonly follows: SupplyKey;
  readonly perG?: number | undefined;
}

/** Runs every pot, each after what it lives from, and those that take of a last batch until batch after batch is the same. */
export function cookAll(
  state: Pick<KitchenState, 'recipes'>,
  order: readonly string[],
  constants: ProcessConstants,
  recipes: Map<string, RecipeCosting>,
  shelf: Shelf,
  lefts: Map<string, Product>,
): void {
  const byId = new Map(state.recipes.map((r) => [r.id, r]));
  const cook = (id: string): void => {
    const recipe = byId.get(id) as WrittenRecipe;
    const pot = potOf(recipe, shelf);
    recipes.set(id, { recipe, steps: pot.steps, run: runPot(pot, constants) });
  };
  const again = livesFromLast(state.recipes, order);
  const feeding = again.filter((id) => feedsALast(state.recipes, id));
  const keys = [...new Set(state.recipes.flatMap((r) => r.steps.flatMap((s) => lastKey(ofStep(s)) ?? [])))];
  for (const id of order) if (!again.includes(id)) cook(id);
  if (again.length === 0) return;
  // The first batch of all begins with water in the place of what is not there yet.
  for (const key of keys) lefts.set(key, WATER_INSTEAD);
  const rested = settleBatches((left, first) => {
    if (!first) lefts.clear();
    for (const [key, product] of left) lefts.set(key, product);
    for (const id of feeding) cook(id);
    return new Map(
      keys.flatMap((key) => {
        const { id, part } = madeOf(key);
        const run = recipes.get(id)?.run;
        const product = part === undefined ? run?.product : jointOf(run, part);
        return product ? [[key, product] as const] : [];
      }),
    );
  });
  // Those that only live from them are cooked once, when nothing moves any more.
  for (const id of again) if (!feeding.includes(id)) cook(id);
  for (const id of again) {
    const costing = recipes.get(id) as RecipeCosting;
    const over = keys.flatMap((key) => {
      const left = lefts.get(key);
      const eats = left && overdrawn(costing.run, key, left.g);
      return eats && feedsItself(state.recipes, id, madeOf(key).id) ? [eats] : [];
    });
    const restless = rested ? [] : [{ step: 0, trouble: RESTLESS }];
    if (over.length + restless.length > 0)
      recipes.set(id, {
        ...costing,
        run: { ...costing.run, unread: [...costing.run.unread, ...over, ...restless] },
      });
  }
}

const RESTLESS: Trouble = {
  code: 'does-not-settle',
  path: '',
  message: 'One batch goes into the next, but batch after batch never comes to be the same.',
};

const WATER_INSTEAD: Product = {
  liquid: { ...noLiquid(), water: 1000 },
  pieces: [],
  allergens: [],
  g: 1000,
  ml: 1000 / DENSITY.water,
};

/** The product that a last batch was some of: under that key it is kept what the batches leave. */
const lastKey = (of: Of | undefined): SupplyKey | undefined =>
  of && 'lastBatchOf' in of ? productOf(of.lastBatchOf, of.part) : undefined;

/** The recipe and part of such a key. */
function madeOf(key: string): { id: string; part?: string | undefined } {
  const found = readSupply(key);
  return found?.is === 'product' ? found : { id: '' };
}

/** The last batches that recipes take of, with what each is worth. */
export function lastBatchesOf(
  recipes: ReadonlyMap<string, RecipeCosting>,
  lefts: ReadonlyMap<string, Product>,
): LastBatch[] {
  const found = new Map<string, LastBatch>();
  for (const { recipe } of recipes.values())
    for (const step of recipe.steps) {
      const of = ofStep(step);
      const product = lefts.get(lastKey(of) ?? '');
      // One that cannot be made is an unread line, and asks for no price.
      if (!of || !('lastBatchOf' in of) || !product) continue;
      const key = supplyOf(of);
      found.set(key, {
        key,
        follows: productOf(of.lastBatchOf, of.part),
        perG: of.perLitre === undefined ? undefined : (Number(of.perLitre) / 1000) * (product.ml / product.g),
      });
    }
  return [...found.values()];
}
