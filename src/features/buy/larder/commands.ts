import 'server-only';
import type { Basis } from '@/core/kitchen-file';
import { readDays } from '@/core/larder';
import { isSameName } from '@/core/name';
import { measureUnit } from '@/core/quantity';
import { adopted, referenceLarder } from '@/core/reference';
import { amountOfStep } from '@/core/verbs';
import { newId } from '@/db/mapping/ids';
import { mergesOf } from '@/db/buying/larder';
import { addMeasure, archiveMeasure, setIngredient, setKitchenBasis } from '@/db/buying/larder-edits';
import { insertIngredients } from '@/db/buying/larder-rows';
import { database } from '@/server/database';
import { Refused, declare, refused } from '@/server/door';
import { newLarderName } from '@/server/unique-name';
import { APART, MEASURE, MERGE, NO_MEASURE, TAKE, USUAL_BASIS } from './wire';
import * as texts from './texts';

const ONE_INGREDIENT = {
  table: 'ingredient' as const,
  id: (body: { readonly id: string }) => body.id,
  theirs: () => Promise.resolve(undefined),
};

/** Takes a reference ingredient into the kitchen under a name: a copy of the kitchen's own from then on. */
const take = declare({
  wire: TAKE,
  role: 'changer',
  moves: 'costs',
  async look({ reference, name }, { state, today, at }) {
    const here = await state();
    const row = referenceLarder().get(reference);
    if (!row) throw refused('gone', '', texts.startingPointNotLarder);
    const called = newLarderName(here, name, {
      none: texts.whatCalledKitchen,
      twice: (twin) => texts.kitchenAlreadyRecipeLines(twin),
    });
    const own = { ...adopted(row, newId(), today, at.toISOString()), name: called };
    return { own, place: here.ingredients.length };
  },
  async write({ sql, kitchenId }, _body, { own, place }) {
    await insertIngredients(sql, kitchenId, [own], place);
    return { value: { id: own.id }, what: 'ingredient taken', subject: own.id, before: null, after: own };
  },
});

/**
 * Merges one spelling into another: purchases, prices, counts, recipes and plates of the first count for
 * the second. Nothing is rewritten, so it can be taken apart again.
 */
const merge = declare({
  wire: MERGE,
  role: 'changer',
  moves: 'costs',
  changes: ONE_INGREDIENT,
  async look({ id, into }, { state }) {
    const { ingredients } = await state();
    const [a, b] = [ingredients.find((i) => i.id === id), ingredients.find((i) => i.id === into)];
    if (!a || !b) throw refused('gone', '', texts.oneTwoNoLonger);
    if (id === into) throw refused('same', 'into', texts.cannotMergedIntoItself(a.name));
    if (a.role !== b.role)
      throw refused('other-role', 'into', texts.potTheyNotSame(a.name, a.role, b.name, b.role));
  },
  async write({ sql, kitchenId }, { id, into }) {
    await setIngredient(sql, kitchenId, id, { mergedInto: into });
    return { value: null, what: 'merge', subject: id, before: null, after: { into } };
  },
});

/** Takes a merge apart again. */
const apart = declare({
  wire: APART,
  role: 'changer',
  moves: 'costs',
  changes: ONE_INGREDIENT,
  async look({ id }, { who }) {
    const found = (await mergesOf(database(), who.kitchenId)).find((m) => m.id === id);
    if (!found) throw refused('gone', '', texts.theseAlreadySeparated);
    return found;
  },
  async write({ sql, kitchenId }, { id }, { into }) {
    await setIngredient(sql, kitchenId, id, { mergedInto: null });
    return { value: null, what: 'merge taken apart', subject: id, before: { into }, after: null };
  },
});

/** Defines a measure of the house's own. */
const defineMeasure = declare({
  wire: MEASURE,
  role: 'changer',
  moves: 'costs',
  async look({ name, amount }, { state }) {
    const here = await state();
    const unit = measureUnit({ name, amount }, here.kitchen.decimalMark);
    if (!unit.ok) throw new Refused(unit.trouble);
    const twin = here.measures.find((m) => isSameName(m.name, name));
    if (twin) throw refused('name-twice', 'name', texts.hereAlready(twin.name, twin.amount));
    return { id: newId(), name: name.trim().toLowerCase(), amount: amount.trim() };
  },
  async write({ sql, kitchenId }, _body, { id, name, amount }) {
    await addMeasure(sql, kitchenId, id, name, amount);
    return { value: { id }, what: 'measure', subject: id, before: null, after: { name, amount } };
  },
});

/** Puts a measure away, unless an amount somewhere is written in it. */
const dropMeasure = declare({
  wire: NO_MEASURE,
  role: 'changer',
  moves: 'costs',
  async look({ id }, { state }) {
    const here = await state();
    const measure = here.measures.find((m) => m.id === id);
    if (!measure) throw refused('gone', '', texts.measureArchivedAlready);
    const word = new RegExp(`(^|[\\s\\d])${measure.name}s?\\b`, 'i');
    const user =
      here.recipes.find((r) => r.steps.some((s) => word.test(amountOfStep(s) ?? ''))) ??
      here.plates.find((p) => p.lines.some((l) => word.test(l.amount))) ??
      here.articles.find((a) => word.test(a.pack));
    if (user) throw refused('in-use', '', texts.writtenSChangeFirst(user.name, measure.name));
    return measure;
  },
  async write({ sql, kitchenId, at }, { id }, { name, amount }) {
    await archiveMeasure(sql, kitchenId, id, at);
    return { value: null, what: 'measure', subject: id, before: { name, amount }, after: null };
  },
});

/** Sets which price counts for every ingredient that does not say otherwise. */
const setUsualBasis = declare({
  wire: USUAL_BASIS,
  role: 'manager',
  moves: 'costs',
  changes: {
    table: 'kitchen',
    id: (_body, who) => who.kitchenId,
    theirs: () => Promise.resolve(undefined),
  },
  async look({ by, days }, { state }) {
    const before = (await state()).kitchen.priceBasis;
    if (by !== 'average') return { before, basis: { by } satisfies Basis as Basis };
    const n = readDays(days);
    if (!n.ok) throw new Refused(n.trouble);
    return { before, basis: { by, days: n.value } satisfies Basis as Basis };
  },
  async write({ sql, kitchenId }, _body, { before, basis }) {
    await setKitchenBasis(sql, kitchenId, basis);
    return { value: null, what: 'usual price basis', subject: kitchenId, before, after: basis };
  },
});

export const commands = [take, merge, apart, defineMeasure, dropMeasure, setUsualBasis];
