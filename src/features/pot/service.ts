import 'server-only';
import { potOf } from '@/core/costing';
import { inOrder, loopSentence, type WrittenRecipe } from '@/core/kitchen-file';
import { runPot } from '@/core/pot';
import { CONSTANTS } from '@/core/reference';
import { refuse, under } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { writeRecipe } from '@/db/edits';
import { dayIn, now } from '@/server/clock';
import { costedKitchen } from '@/server/kitchen';
import { edit, mustBeFresh, Refused, type Edited } from '@/server/write';

/**
 * Keeps a pot sheet: vessel, hob and steps. Refuses a loop, a vessel or ingredient the kitchen does
 * not have, and a step that cannot be done; a line nobody can read is kept and leaves the cost incomplete.
 * @returns the new version
 */
export function keepRecipe(
  next: Pick<WrittenRecipe, 'id' | 'vessel' | 'hob' | 'steps'>,
  seen: number,
): Promise<Edited<number>> {
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
    await writeRecipe(
      sql,
      who.kitchenId,
      recipe,
      seen + 1,
      dayIn(file.kitchen.zone, at),
      at,
      file.kitchen.decimalMark,
    );
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at,
      what: 'recipe',
      subjectId: recipe.id,
      before,
      after: recipe,
    });
    return seen + 1;
  });
}
