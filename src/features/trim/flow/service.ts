import 'server-only';
import { mannerIn, weigh } from '@/core/kitchen-file';
import { readNumber } from '@/core/quantity';
import { refuse, under } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { setBatchesAWeek } from '@/db/edits';
import { newId } from '@/db/ids';
import { setIngredient } from '@/db/larder-edits';
import { bookWaste } from '@/db/wastes';
import { now } from '@/server/clock';
import { costedKitchen } from '@/server/kitchen';
import { edit, mustBeFresh, Refused, type Edited } from '@/server/write';

const refused = (code: string, path: string, message: string, numbers?: Record<string, number>): Refused =>
  new Refused(refuse(code, path, message, numbers).trouble);

/** A recipe is hardly cooked more often than this in a week; beyond it a figure has slipped. */
const MOST_BATCHES = 500;

/** How often a pot is usually cooked in a week: what it asks for of other pots' trim follows. */
export function setBatches(recipeId: string, seen: number, typed: string): Promise<Edited<number>> {
  return edit('manager', async (sql, who) => {
    const { file } = (await costedKitchen(who.kitchenId)).costing;
    const recipe = file.recipes.find((r) => r.id === recipeId);
    if (!recipe) throw refused('gone', '', 'This pot is no longer in the book.');
    const read = readNumber(typed, file.kitchen.decimalMark);
    if (!read.ok) throw new Refused(under('batches', read.trouble));
    const batches = read.value.toNumber();
    if (!(batches >= 0 && batches <= MOST_BATCHES))
      throw refused(
        'batches-out-of-range',
        'batches',
        `${batches} batches a week cannot be: between 0 and ${MOST_BATCHES}.`,
        { value: batches, limit: MOST_BATCHES },
      );
    await mustBeFresh(sql, who, 'recipe', recipeId, seen, () => Promise.resolve(recipe.batchesAWeek));
    await setBatchesAWeek(sql, who.kitchenId, recipeId, batches);
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at: now(),
      what: 'batches a week',
      subjectId: recipeId,
      before: recipe.batchesAWeek,
      after: batches,
    });
    return seen + 1;
  });
}

/**
 * Lets only a share of what comes off carry money away: the rest returns to the usable part.
 * @param supply `trim:ID` or, of a by-product, `usable:ID`
 * @param pct 0 to 100; 100 takes the setting away
 */
export function setTaken(supply: string, seen: number, pct: number): Promise<Edited<number>> {
  return edit('manager', async (sql, who) => {
    const { costing } = await costedKitchen(who.kitchenId);
    const id = supply.slice(supply.indexOf(':') + 1);
    const found = costing.supplies.get(id);
    if (!found) throw refused('gone', '', 'This ingredient is no longer in the larder.');
    const { trim, comesOff } = found.ingredient;
    const ofTrim = supply.startsWith('trim:');
    await mustBeFresh(sql, who, 'ingredient', id, seen, () => Promise.resolve(undefined));
    const takenPct = pct >= 100 ? null : pct;
    await setIngredient(
      sql,
      who.kitchenId,
      id,
      ofTrim
        ? {
            trim: {
              school: trim?.school ?? null,
              setValuePerKg: trim?.setValuePerKg ?? null,
              takenPct,
            },
          }
        : { comesOffTakenPct: takenPct },
    );
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at: now(),
      what: 'trim taken',
      subjectId: id,
      before: (ofTrim ? trim : comesOff)?.takenPct ?? 100,
      after: pct,
    });
    return seen + 1;
  });
}

/** Something thrown away: a movement of stock with its reason. */
export function throwAway(wanted: {
  readonly ingredient: string;
  readonly part: 'whole' | 'stock trim';
  readonly amount: string;
  readonly reason: string;
}): Promise<Edited<{ g: number }>> {
  return edit('cook', async (sql, who) => {
    const { costing } = await costedKitchen(who.kitchenId);
    const supply = costing.supplies.get(wanted.ingredient);
    if (!supply) throw refused('gone', 'ingredient', 'Choose what was thrown away.');
    const reason = wanted.reason.trim();
    if (reason === '')
      throw refused('no-reason', 'reason', 'Why was it thrown away? Waste is booked with a reason.');
    if (reason.length > 200)
      throw refused(
        'reason-too-long',
        'reason',
        `A reason has at most 200 characters; this has ${reason.length}.`,
        {
          value: reason.length,
          limit: 200,
        },
      );
    const g = weigh(wanted.amount, supply.ingredient, mannerIn(costing.file));
    if (!g.ok) throw new Refused(under('amount', g.trouble));
    if (!(g.value > 0))
      throw refused(
        'nothing-thrown',
        'amount',
        `“${wanted.amount}” is nothing: more than 0 g is thrown away.`,
        {
          value: g.value,
          limit: 0,
        },
      );
    const at = now();
    const waste = {
      id: newId(),
      ingredient: wanted.ingredient,
      part: wanted.part,
      on: costing.day,
      recordedAt: at.toISOString(),
      by: who.person.id,
      amount: wanted.amount.trim(),
      reason,
    };
    await bookWaste(sql, who.kitchenId, waste, g.value, 'as typed');
    await recordChange(
      sql,
      {
        kitchenId: who.kitchenId,
        personId: who.person.id,
        at,
        what: 'waste',
        subjectId: wanted.ingredient,
        before: null,
        after: waste,
      },
      // Thrown away is no price: nothing has to be costed anew.
      false,
    );
    return { g: g.value };
  });
}
