import 'server-only';
import type { Basis } from '@/core/kitchen-file';
import { readDays } from '@/core/larder';
import { measureUnit } from '@/core/quantity';
import { adopted, referenceLarder } from '@/core/reference';
import { refuse } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { newId } from '@/db/ids';
import { mergesOf } from '@/db/larder';
import { addMeasure, archiveMeasure, setIngredient, setKitchenBasis } from '@/db/larder-edits';
import { insertIngredients } from '@/db/larder-rows';
import { dayIn, now } from '@/server/clock';
import { costedKitchen } from '@/server/kitchen';
import { edit, mustBeFresh, Refused, type Edited } from '@/server/write';

const refused = (code: string, path: string, message: string): Refused =>
  new Refused(refuse(code, path, message).trouble);

/** Takes a reference ingredient into the kitchen under a name: a copy of the kitchen's own from then on. */
export function takeIngredient(reference: string, name: string): Promise<Edited<{ id: string }>> {
  return edit('manager', async (sql, who) => {
    const { file } = (await costedKitchen(who.kitchenId)).costing;
    const row = referenceLarder().get(reference);
    if (!row) throw refused('gone', '', 'This starting point is not in the larder.');
    const called = name.trim();
    if (called === '') throw refused('no-name', 'name', 'What is it called in this kitchen?');
    if (called.length > 120)
      throw refused('name-too-long', 'name', `A name has at most 120 characters; this has ${called.length}.`);
    const twin = [...file.ingredients, ...file.recipes].find(
      (x) => x.name.toLowerCase() === called.toLowerCase(),
    );
    if (twin)
      throw refused(
        'name-twice',
        'name',
        `“${twin.name}” is in the kitchen already: recipe lines could mean either. Give this one another name.`,
      );
    const at = now();
    const own = { ...adopted(row, newId(), dayIn(file.kitchen.zone, at), at.toISOString()), name: called };
    await insertIngredients(sql, who.kitchenId, [own], file.ingredients.length);
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at,
      what: 'ingredient taken',
      subjectId: own.id,
      before: null,
      after: own,
    });
    return { id: own.id };
  });
}

/**
 * Merges one spelling into another: purchases, prices, counts, recipes and plates of the first count for
 * the second. Nothing is rewritten, so it can be taken apart again.
 */
export function mergeIngredients(from: string, seen: number, into: string): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const { file } = (await costedKitchen(who.kitchenId)).costing;
    const [a, b] = [file.ingredients.find((i) => i.id === from), file.ingredients.find((i) => i.id === into)];
    if (!a || !b) throw refused('gone', '', 'One of the two is no longer in the larder.');
    if (from === into) throw refused('same', 'into', `${a.name} cannot be merged into itself: choose two.`);
    if (a.role !== b.role)
      throw refused(
        'other-role',
        'into',
        `${a.name} is a ${a.role} in the pot and ${b.name} a ${b.role}: they are not the same thing.`,
      );
    await mustBeFresh(sql, who, 'ingredient', from, seen, () => Promise.resolve(undefined));
    await setIngredient(sql, who.kitchenId, from, { mergedInto: into });
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at: now(),
      what: 'merge',
      subjectId: from,
      before: null,
      after: { into },
    });
  });
}

/** Takes a merge apart again. */
export function takeApart(from: string, seen: number): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const merge = (await mergesOf(sql, who.kitchenId)).find((m) => m.id === from);
    if (!merge) throw refused('gone', '', 'This has been taken apart already.');
    await mustBeFresh(sql, who, 'ingredient', from, seen, () => Promise.resolve(undefined));
    await setIngredient(sql, who.kitchenId, from, { mergedInto: null });
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at: now(),
      what: 'merge taken apart',
      subjectId: from,
      before: { into: merge.into },
      after: null,
    });
  });
}

/** Defines a measure of the house's own. */
export function defineMeasure(name: string, amount: string): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const { file } = (await costedKitchen(who.kitchenId)).costing;
    const unit = measureUnit({ name, amount }, file.kitchen.decimalMark);
    if (!unit.ok) throw new Refused(unit.trouble);
    const called = name.trim().toLowerCase();
    const twin = file.measures.find((m) => m.name.toLowerCase() === called);
    if (twin) throw refused('name-twice', 'name', `A ${twin.name} is ${twin.amount} here already.`);
    const id = newId();
    await addMeasure(sql, who.kitchenId, id, called, amount.trim());
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at: now(),
      what: 'measure',
      subjectId: id,
      before: null,
      after: { name: called, amount },
    });
  });
}

/** Puts a measure away, unless an amount somewhere is written in it. */
export function dropMeasure(id: string): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const { file } = (await costedKitchen(who.kitchenId)).costing;
    const measure = file.measures.find((m) => m.id === id);
    if (!measure) throw refused('gone', '', 'This measure has been put away already.');
    const word = new RegExp(`(^|[\\s\\d])${measure.name}s?\\b`, 'i');
    const user =
      file.recipes.find((r) =>
        r.steps.some((s) => Object.values(s).some((v) => typeof v === 'string' && word.test(v))),
      ) ??
      file.plates.find((p) => p.lines.some((l) => word.test(l.amount))) ??
      file.articles.find((a) => word.test(a.pack));
    if (user)
      throw refused('in-use', '', `${user.name} is written in ${measure.name}s: write it otherwise first.`);
    const at = now();
    await archiveMeasure(sql, who.kitchenId, id, at);
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at,
      what: 'measure',
      subjectId: id,
      before: { name: measure.name, amount: measure.amount },
      after: null,
    });
  });
}

/** Sets which price counts for every ingredient that does not say otherwise. */
export function setUsualBasis(
  by: 'latest' | 'average' | 'stock',
  days: string,
  seen: number,
): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const { file } = (await costedKitchen(who.kitchenId)).costing;
    const n = readDays(days);
    if (by === 'average' && !n.ok) throw new Refused(n.trouble);
    const basis: Basis =
      by === 'average' && n.ok ? { by, days: n.value } : { by: by === 'stock' ? 'stock' : 'latest' };
    if (!(await setKitchenBasis(sql, who.kitchenId, basis, seen)))
      throw refused('stale', '', 'Somebody changed this while you were at it: load the page again.');
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at: now(),
      what: 'usual price basis',
      subjectId: who.kitchenId,
      before: file.kitchen.priceBasis,
      after: basis,
    });
  });
}
