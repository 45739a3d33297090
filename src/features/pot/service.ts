import 'server-only';
import { costKitchen, gapsOf, potOf, type KitchenCosting } from '@/core/costing';
import { inOrder, loopSentence, mannerIn, type WrittenRecipe } from '@/core/kitchen-file';
import { runPot } from '@/core/pot';
import { CONSTANTS } from '@/core/reference';
import { refuse, under } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { writeRecipe } from '@/db/edits';
import { dayIn, now } from '@/server/clock';
import { costedKitchen } from '@/server/kitchen';
import { edit, mustBeFresh, Refused, type Edited } from '@/server/write';

/** A recipe or plate that could be costed before a change and cannot after it, with the reason. */
export interface Broken {
  readonly name: string;
  readonly why: string;
}

export interface KeptRecipe {
  readonly version: number;
  readonly broken: readonly Broken[];
}

/** Who lives from a changed recipe and can no longer be made or costed: the manager is told, not stopped. */
function brokenBy(before: KitchenCosting, recipe: WrittenRecipe): Broken[] {
  const file = { ...before.file, recipes: before.file.recipes.map((r) => (r.id === recipe.id ? recipe : r)) };
  const after = costKitchen(file, before.day, CONSTANTS);
  return file.recipes
    .filter((r) => r.id !== recipe.id)
    .filter(
      (r) => before.graph.cost(`product:${r.id}`) !== null && after.graph.cost(`product:${r.id}`) === null,
    )
    .filter((r) => after.recipes.get(r.id)?.run.refused !== undefined)
    .map((r) => ({ name: r.name, why: gapsOf(after, `product:${r.id}`)[0]?.message ?? '' }));
}

/**
 * Keeps a pot sheet: vessel, hob and steps. Refuses a loop, a vessel or ingredient the kitchen does
 * not have, and a step that cannot be done; a line nobody can read is kept and leaves the cost incomplete.
 * @returns the new version, and what can no longer be made from it
 */
export function keepRecipe(
  next: Pick<WrittenRecipe, 'id' | 'vessel' | 'hob' | 'steps'>,
  seen: number,
): Promise<Edited<KeptRecipe>> {
  return edit('manager', async (sql, who) => {
    const { costing } = await costedKitchen(who.kitchenId);
    const { file } = costing;
    const before = file.recipes.find((r) => r.id === next.id);
    if (!before) throw new Refused(refuse('gone', '', 'This pot sheet is no longer in the book.').trouble);
    if (!costing.shelf.vessel(next.vessel) || !costing.shelf.hob(next.hob))
      throw new Refused(
        refuse('unknown-vessel', 'vessel', 'This kitchen does not have that vessel or hob.').trouble,
      );
    const recipe: WrittenRecipe = { ...before, vessel: next.vessel, hob: next.hob, steps: next.steps };
    const loop = inOrder(file.recipes.map((r) => (r.id === recipe.id ? recipe : r))).loops[0];
    if (loop)
      throw new Refused(
        refuse(
          'recipe-loop',
          '',
          loopSentence(loop.map((id) => file.recipes.find((r) => r.id === id)?.name ?? id)),
        ).trouble,
      );
    const run = runPot(potOf(recipe, costing.shelf), CONSTANTS);
    if (run.refused) throw new Refused(under(`steps[${run.refused.step}]`, run.refused.trouble));
    await mustBeFresh(sql, who, 'recipe', recipe.id, seen, () => Promise.resolve({ steps: before.steps }));
    const at = now();
    await writeRecipe(sql, who.kitchenId, recipe, seen + 1, dayIn(file.kitchen.zone, at), at, mannerIn(file));
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at,
      what: 'recipe',
      subjectId: recipe.id,
      before,
      after: recipe,
    });
    return { version: seen + 1, broken: brokenBy(costing, recipe) };
  });
}
