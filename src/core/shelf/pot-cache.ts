import equal from 'fast-deep-equal/es6/index.js';
import type { WrittenIngredient, WrittenRecipe } from '../kitchen-file';
import type { Hob, LedgerRow, PotRun, ProcessConstants, Product, Vessel } from '../pot';
import type { OnShelf, Shelf } from '../verbs';
import type { RecipeCosting } from './recipe-costing';
import { areDependenciesSame, type Dependency } from './dependencies';

/** A pot's run with what it was looked up from: it holds while all of that is the same. */
export interface CachedRun {
  readonly costing: RecipeCosting;
  readonly looks: readonly Dependency[];
}

/** What a kitchen's ingredients, vessels and hobs are to a pot; the same objects while they are the same things. */
export interface CachedMatter {
  readonly manner: Shelf['manner'];
  readonly stuffs: ReadonlyMap<string, { readonly of: WrittenIngredient; readonly on: OnShelf | undefined }>;
  readonly vessels: ReadonlyMap<string, Vessel>;
  readonly hobs: ReadonlyMap<string, Hob>;
  readonly day: string;
}

/** Every pot of a kitchen as it was cooked, for anyone who cooks the kitchen again with something about it changed. */
export interface CachedPots {
  readonly constants: ProcessConstants;
  readonly manner: Shelf['manner'];
  readonly runs: ReadonlyMap<string, CachedRun>;
  /** Recipes that change with a last batch, and what the batches had left when they came to rest. */
  readonly again: readonly string[];
  readonly lefts: ReadonlyMap<string, Product>;
}

/** The one before where it says the same, so that anyone who holds it need not look twice. */
export const reuseIfEqual = <T>(now: T, before: T | undefined): T =>
  equal(now, before) ? (before as T) : now;

/** Whether a recipe stands where it stood with the same steps: its name and how often it is cooked are nothing to the pot. */
const sameSheet = (a: WrittenRecipe, b: WrittenRecipe): boolean =>
  a === b ||
  (a.vessel === b.vessel && a.hob === b.hob && equal(a.choices, b.choices) && equal(a.steps, b.steps));

/** What became of a recipe before, if nothing that it depends on is another. */
export function isCacheValid(
  kept: CachedRun | undefined,
  recipe: WrittenRecipe,
  shelf: Shelf,
): CachedRun | undefined {
  if (!kept || !sameSheet(kept.costing.recipe, recipe) || !areDependenciesSame(kept.looks, shelf))
    return undefined;
  return kept.costing.recipe === recipe ? kept : { ...kept, costing: { ...kept.costing, recipe } };
}

/**
 * A run with the products it had before wherever they are the same to the last bit: what is made from them need not be cooked
 * again because a step above them was said otherwise.
 */
export function withSameProducts(run: PotRun, before: PotRun | undefined): PotRun {
  if (!before) return run;
  if (equal(run, before)) return before;
  const parted = before.rows.flatMap((row) => row.parted);
  const rows = run.rows.map((row): LedgerRow =>
    row.parted.length === 0
      ? row
      : { ...row, parted: row.parted.map((joint) => parted.find((was) => equal(was, joint)) ?? joint) },
  );
  return run.product === undefined
    ? { ...run, rows }
    : { ...run, rows, product: reuseIfEqual(run.product, before.product) };
}
