import equal from 'fast-deep-equal/es6/index.js';
import { stepsInForce, type WrittenRecipe } from '../kitchen-file';
import { noLiquid, type ProcessConstants, type Product } from '../pot';
import { DENSITY } from '../quantity';
import type { Trouble } from '../trouble';
import { isCacheValid, withSameProducts, type CachedPots, type CachedRun } from './pot-cache';
import {
  feedingALast,
  feedsItself,
  madeFromLastBatch,
  overdrawn,
  settleBatches,
  takenOfLast,
} from './last-batch';
import { productOf, readSupply, type SupplyKey } from '../supply';
import { ofStep, runPot, supplyOf, type Shelf } from '../verbs';
import type { Work } from '../work';
import type { Of } from '../written';
import type { RecipeCosting } from './recipe-costing';
import { jointOf, potOf } from './shelf';
import { trackDependencies } from './dependencies';
import * as texts from './texts';

/** What the last batch of a recipe costs: a fixed value per gram, or whatever the batch itself costs. */
export interface LastBatch {
  readonly key: SupplyKey;
  readonly follows: SupplyKey;
  readonly perG?: number | undefined;
}

/** What cooking a kitchen needs. */
export interface Cooking {
  readonly recipes: readonly WrittenRecipe[];
  readonly order: readonly string[];
  readonly constants: ProcessConstants;
  readonly shelf: Shelf;
  /** Filled while it is cooked; the shelf looks here. */
  readonly cooked: Map<string, RecipeCosting>;
  readonly lefts: Map<string, Product>;
  /** The kitchen as it was cooked before. */
  readonly before?: CachedPots | undefined;
}

/**
 * Runs every pot, each after what it is made from, and those that take of a last batch until batch after batch is the same. A pot
 * that stands as it stood, of things that are what they were, is not run again. A part of the work is one pot.
 */
export function* cookAll(cooking: Cooking): Work<CachedPots> {
  const { recipes, order, constants, shelf, cooked, lefts } = cooking;
  const before =
    cooking.before?.constants === constants && equal(cooking.before.manner, shelf.manner)
      ? cooking.before
      : undefined;
  const runs = new Map<string, CachedRun>();
  const keep = (id: string, kept: CachedRun): void => {
    runs.set(id, kept);
    cooked.set(id, kept.costing);
  };
  const byId = new Map(recipes.map((r) => [r.id, r]));
  const again = madeFromLastBatch(recipes, order);
  const apart = new Set(again);
  const cook = (id: string): void => {
    const recipe = byId.get(id) as WrittenRecipe;
    const held = apart.has(id) ? undefined : isCacheValid(before?.runs.get(id), recipe, shelf);
    keep(id, held ?? cookedAnew(recipe, shelf, constants, before?.runs.get(id)));
  };
  for (const id of order)
    if (!apart.has(id)) {
      cook(id);
      yield;
    }
  if (!restAsBefore(again, byId, cooking, before, keep))
    yield* cookUntilRest(again, cook, cooking, runs, keep);
  // In the order of the book, however they came to be cooked.
  cooked.clear();
  for (const { id } of recipes) cooked.set(id, (runs.get(id) as CachedRun).costing);
  return { constants, manner: shelf.manner, runs, again, lefts };
}

function cookedAnew(
  recipe: WrittenRecipe,
  on: Shelf,
  constants: ProcessConstants,
  before: CachedRun | undefined,
): CachedRun {
  const { shelf, looks } = trackDependencies(on);
  const pot = potOf(recipe, shelf);
  const run = withSameProducts(runPot(pot, constants), before?.costing.run);
  return { costing: { recipe, steps: pot.steps, run }, looks };
}

/** Takes over the recipes that change with a last batch, if none of them has changed; they came to rest together, so all or none. */
function restAsBefore(
  again: readonly string[],
  byId: ReadonlyMap<string, WrittenRecipe>,
  { shelf, cooked, lefts }: Cooking,
  before: CachedPots | undefined,
  keep: (id: string, kept: CachedRun) => void,
): boolean {
  if (again.length === 0) return true;
  if (!before || !equal(again, before.again)) return false;
  for (const [key, product] of before.lefts) lefts.set(key, product);
  for (const id of again) {
    const held = isCacheValid(before.runs.get(id), byId.get(id) as WrittenRecipe, shelf);
    if (held) keep(id, held);
    else {
      lefts.clear();
      for (const other of again) cooked.delete(other);
      return false;
    }
  }
  return true;
}

function* cookUntilRest(
  again: readonly string[],
  cook: (id: string) => void,
  { recipes, cooked, lefts }: Cooking,
  runs: ReadonlyMap<string, CachedRun>,
  keep: (id: string, kept: CachedRun) => void,
): Work<void> {
  const feeds = feedingALast(recipes);
  const feeding = again.filter((id) => feeds.has(id));
  const keys = [...new Set(recipes.flatMap((r) => stepsInForce(r).flatMap((s) => lastKey(ofStep(s)) ?? [])))];
  // The first batch of all begins with water in the place of what is not there yet.
  for (const key of keys) lefts.set(key, WATER_INSTEAD);
  const rested = yield* settleBatches(function* (left, first) {
    if (!first) lefts.clear();
    for (const [key, product] of left) lefts.set(key, product);
    for (const id of feeding) {
      cook(id);
      yield;
    }
    return new Map(
      keys.flatMap((key) => {
        const { id, part } = madeOf(key);
        const run = cooked.get(id)?.run;
        const product = part === undefined ? run?.product : jointOf(run, part);
        return product ? [[key, product] as const] : [];
      }),
    );
  });
  // Those that are only made from them are cooked once, when nothing changes any more.
  for (const id of again)
    if (!feeds.has(id)) {
      cook(id);
      yield;
    }
  for (const id of again) {
    const kept = runs.get(id) as CachedRun;
    const { costing } = kept;
    const over = takenOfLast(costing.run).flatMap((key) => {
      const left = lefts.get(key);
      const eats = left && overdrawn(costing.run, key, left.g);
      return eats && feedsItself(recipes, id, madeOf(key).id) ? [eats] : [];
    });
    const restless = rested ? [] : [{ step: 0, trouble: RESTLESS }];
    if (over.length + restless.length === 0) continue;
    const run = { ...costing.run, unread: [...costing.run.unread, ...over, ...restless] };
    keep(id, { ...kept, costing: { ...costing, run } });
  }
}

const RESTLESS: Trouble = {
  code: 'does-not-settle',
  path: '',
  message: texts.oneBatchGoesInto,
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
    for (const step of stepsInForce(recipe)) {
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
