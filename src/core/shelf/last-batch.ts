import { lastBatchesIn, usesOf, type WrittenRecipe } from '../kitchen-file';
import { liquidG, type PotRun, type Product } from '../pot';
import { batchBefore, readSupply } from '../supply';
import type { Trouble } from '../trouble';
import type { Work } from '../work';
import * as texts from './texts';

/**
 * A pot topped up daily, a wash that starts the next stock: what the last batch left goes into this one, and what this one
 * leaves is like it. The book is cooked again and again, each time with what the time before left, until that stays the same.
 */
const MOST_ROUNDS = 400;
/** g per g of product by which two batches may differ and be called the same. */
const SAME = 1e-9;

/** Recipes that change when what a last batch left does: those that take some, and all that are made from them. */
export function madeFromLastBatch(recipes: readonly WrittenRecipe[], order: readonly string[]): string[] {
  const byId = new Map(recipes.map((r) => [r.id, r]));
  const found = new Set<string>();
  for (const id of order) {
    const recipe = byId.get(id);
    if (recipe && (lastBatchesIn(recipe).length > 0 || usesOf(recipe).some((used) => found.has(used))))
      found.add(id);
  }
  return [...found];
}

/** Recipes of which something, or something that is made from them, is taken as a last batch. */
export function feedingALast(recipes: readonly WrittenRecipe[]): Set<string> {
  const byId = new Map(recipes.map((r) => [r.id, r]));
  const found = new Set<string>();
  const queue = recipes.flatMap(lastBatchesIn);
  for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
    if (found.has(at)) continue;
    found.add(at);
    const recipe = byId.get(at);
    if (recipe) queue.push(...usesOf(recipe));
  }
  return found;
}

/** The products of whose last batch a run takes, by key. */
export const takenOfLast = (run: PotRun): string[] => [
  ...new Set(
    run.inputs.flatMap((i) => {
      const from = readSupply(i.supply);
      return from?.is === 'last' ? [batchBefore(from)] : [];
    }),
  ),
];

const contents = (p: Product): number[] => {
  const { sources, curdler: _c, ...liquid } = p.liquid;
  const ethanol = sources.reduce((g, s) => g + s.left, 0);
  return [...Object.values(liquid), ethanol, liquidG(p.liquid)].map((g) => g / p.g);
};

/** Whether two batches are the same thing, gram for gram. */
export function isSameComposition(a: Product | undefined, b: Product | undefined): boolean {
  if (!a || !b) return a === b;
  const [x, y] = [contents(a), contents(b)];
  return (
    x.every((share, i) => Math.abs(share - (y[i] as number)) < SAME) &&
    a.allergens.length === b.allergens.length &&
    Math.abs(a.ml / a.g - b.ml / b.g) < SAME
  );
}

/**
 * Cooks until what the batches leave stays the same.
 * @param cook one round: takes what the round before left, gives what this one leaves, by key
 * @returns whether it came to rest
 */
export function* settleBatches(
  cook: (left: ReadonlyMap<string, Product>, first: boolean) => Work<ReadonlyMap<string, Product>>,
): Work<boolean> {
  let left: ReadonlyMap<string, Product> = new Map();
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const next = yield* cook(left, round === 0);
    const keys = new Set([...next.keys(), ...left.keys()]);
    if (round > 0 && [...keys].every((key) => isSameComposition(left.get(key), next.get(key)))) return true;
    left = next;
  }
  return false;
}

/** Whether a recipe, through all it takes, last batches among it, comes back to itself. */
export function feedsItself(recipes: readonly WrittenRecipe[], taker: string, taken: string): boolean {
  const byId = new Map(recipes.map((r) => [r.id, r]));
  const seen = new Set<string>();
  const queue = [taken];
  for (let at = queue.pop(); at !== undefined; at = queue.pop()) {
    if (at === taker) return true;
    const recipe = byId.get(at);
    if (seen.has(at) || !recipe) continue;
    seen.add(at);
    queue.push(...usesOf(recipe), ...lastBatchesIn(recipe));
  }
  return false;
}

/**
 * A batch that takes as much of the last one as there was, or more, cannot go on.
 * @param made the product that the last batch was some of
 * @param leftG what a batch leaves of it
 */
export function overdrawn(
  run: PotRun,
  made: string,
  leftG: number,
): { readonly step: number; readonly trouble: Trouble } | undefined {
  const lines = run.inputs.filter((i) => {
    const from = readSupply(i.supply);
    return from?.is === 'last' && batchBefore(from) === made;
  });
  const g = lines.reduce((sum, i) => sum + i.g, 0);
  const last = lines[lines.length - 1];
  if (!last || g < leftG) return undefined;
  return {
    step: last.step,
    trouble: {
      code: 'last-batch-too-small',
      path: '',
      message: texts.kgLastBatchTaken((g / 1000).toFixed(2), (leftG / 1000).toFixed(2)),
      numbers: { value: g, limit: leftG },
    },
  };
}
