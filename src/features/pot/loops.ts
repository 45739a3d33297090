import { inOrder, loopSentence, type WrittenRecipe } from '@/core/kitchen-file';
import { idsIn, refused } from '@/server/door';

/** Ids of all that a sheet is made from, through every generation, with its own. */
export function dependencyIds(recipe: WrittenRecipe, recipes: readonly WrittenRecipe[]): Set<string> {
  const byId = new Map(recipes.map((r) => [r.id, r]));
  const found = idsIn(recipe);
  // A set is walked to its end, also where that moves on meanwhile.
  for (const id of found) for (const inner of idsIn(byId.get(id) ?? [])) found.add(inner);
  return found;
}

/** Refuses recipes that are made from each other in a circle, and says which. */
export function refuseLoops(recipes: readonly WrittenRecipe[]): void {
  const loop = inOrder(recipes).loops[0];
  if (!loop) return;
  const names = new Map(recipes.map((r) => [r.id, r.name]));
  throw refused('recipe-loop', '', loopSentence(loop.map((id) => names.get(id) ?? id)));
}
