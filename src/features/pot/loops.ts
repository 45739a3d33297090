import { inOrder, loopSentence, type WrittenRecipe } from '@/core/kitchen-file';
import { refused } from '@/server/door';

/** Refuses recipes that are made from each other in a circle, and says which. */
export function refuseLoops(recipes: readonly WrittenRecipe[]): void {
  const loop = inOrder(recipes).loops[0];
  if (!loop) return;
  const names = new Map(recipes.map((r) => [r.id, r.name]));
  throw refused('recipe-loop', '', loopSentence(loop.map((id) => names.get(id) ?? id)));
}
