import 'server-only';
import { mannerIn, weigh } from '@/core/kitchen-file';
import { readNumber } from '@/core/quantity';
import { under } from '@/core/trouble';
import { setBatchesAWeek } from '@/db/edits';
import { newId } from '@/db/mapping/ids';
import { setIngredient } from '@/db/buying/larder-edits';
import { bookWaste } from '@/db/cooking/wastes';
import { idsIn, Refused, declare, refused } from '@/server/door';
import { BATCHES, TAKEN, WASTE } from './wire';
import * as texts from './texts';

/** A recipe is hardly cooked more often than this in a week; beyond it a figure has slipped. */
const MOST_BATCHES = 500;
const LONGEST_REASON = 200;

const ONE = {
  id: (body: { readonly id: string }) => body.id,
  theirs: () => Promise.resolve(undefined),
};

/** How often a pot is usually cooked in a week: what it asks for of other pots' trim follows. */
const setBatches = declare({
  wire: BATCHES,
  role: 'manager',
  moves: 'costs',
  changes: { ...ONE, table: 'recipe' },
  async look({ id, typed }, { state }) {
    const here = await state();
    const recipe = here.recipes.find((r) => r.id === id);
    if (!recipe) throw refused('gone', '', texts.potNoLongerKitchen);
    const read = readNumber(typed, here.kitchen.decimalMark);
    if (!read.ok) throw new Refused(under('batches', read.trouble));
    const batches = read.value.toNumber();
    if (!(batches >= 0 && batches <= MOST_BATCHES))
      throw refused(
        'batches-out-of-range',
        'batches',
        texts.batchesWeekCannotBetween(batches, MOST_BATCHES),
        { value: batches, limit: MOST_BATCHES },
      );
    return { before: recipe.batchesAWeek, batches };
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId }, { id }, { before, batches }) {
    await setBatchesAWeek(sql, kitchenId, id, batches);
    return { value: null, what: 'batches a week', subject: id, before, after: batches };
  },
});

/** Lets only a share of what comes off carry money away: the rest returns to the usable part. */
const setTaken = declare({
  wire: TAKEN,
  role: 'manager',
  moves: 'costs',
  changes: { ...ONE, table: 'ingredient' },
  async look({ id }, { state }) {
    const found = (await state()).ingredients.find((i) => i.id === id);
    if (!found) throw refused('gone', '', texts.ingredientNoLongerLarder);
    return found;
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId }, { id, what, pct }, { trim, comesOff }) {
    const takenPct = pct >= 100 ? null : pct;
    await setIngredient(
      sql,
      kitchenId,
      id,
      what === 'stock trim'
        ? { trim: { school: trim?.school ?? null, setValuePerKg: trim?.setValuePerKg ?? null, takenPct } }
        : { comesOffTakenPct: takenPct },
    );
    const before = (what === 'stock trim' ? trim : comesOff)?.takenPct ?? 100;
    return {
      value: null,
      what: 'trim taken',
      subject: id,
      before: { what, pct: before },
      after: { what, pct },
    };
  },
});

/** Something thrown away: a movement of stock with its reason. */
const throwAway = declare({
  wire: WASTE,
  role: 'cook',
  // Thrown away is no price: nothing has to be costed again.
  moves: 'nothing that is costed',
  async look(wanted, { state, who, at, today }) {
    const here = await state();
    const ingredient = here.ingredients.find((i) => i.id === wanted.ingredient);
    if (!ingredient) throw refused('gone', 'ingredient', texts.chooseWhatWasted);
    const reason = wanted.reason.trim();
    if (reason === '') throw refused('no-reason', 'reason', texts.whyWastedWasteRecorded);
    if (reason.length > LONGEST_REASON)
      throw refused('reason-too-long', 'reason', texts.reasonMostCharacters(LONGEST_REASON, reason.length), {
        value: reason.length,
        limit: LONGEST_REASON,
      });
    const g = weigh(wanted.amount, ingredient, mannerIn(here));
    if (!g.ok) throw new Refused(under('amount', g.trouble));
    if (!(g.value > 0))
      throw refused('nothing-thrown', 'amount', texts.nothingEnterMoreThan(wanted.amount), {
        value: g.value,
        limit: 0,
      });
    const waste = {
      id: newId(),
      ingredient: wanted.ingredient,
      part: wanted.part,
      on: today,
      recordedAt: at.toISOString(),
      by: who.person.id,
      amount: wanted.amount.trim(),
      reason,
    };
    return { waste, g: g.value };
  },
  dependsOn: (body) => idsIn(body),
  async write({ sql, kitchenId }, { ingredient }, { waste, g }) {
    await bookWaste(sql, kitchenId, waste, g, texts.typed);
    return { value: { g }, what: 'waste', subject: ingredient, before: null, after: waste };
  },
});

export const commands = [setBatches, setTaken, throwAway];
