import 'server-only';
import type { PoolConnection } from 'mysql2/promise';
import { afterTheKnife, beforeTheKnife, proposalOf, taught, type Supply } from '@/core/costing';
import type { Season } from '@/core/learning';
import { readPct, readPrice, type TrimSchool } from '@/core/larder';
import { refuse, under } from '@/core/trouble';
import { recordChange } from '@/db/changes';
import { setIngredient, type IngredientSettings } from '@/db/larder-edits';
import { leaveOut } from '@/db/yield-tests';
import { now } from '@/server/clock';
import { costedKitchen, type CostedKitchen } from '@/server/kitchen';
import type { Worker } from '@/server/session';
import { edit, mustBeFresh, Refused, type Edited } from '@/server/write';
import { waitingFor, writeProposal } from '../accept';
import { TERMS, testsOf } from '../read';

const gone = (): Refused =>
  new Refused(refuse('gone', '', 'This ingredient is no longer in the larder.').trouble);

interface Asked {
  readonly kitchen: CostedKitchen;
  readonly supply: Supply;
  readonly at: Date;
}

/** Something of an ingredient changed as a manager, at the version seen. */
function change(
  id: string,
  seen: number,
  work: (sql: PoolConnection, who: Worker, asked: Asked) => Promise<void>,
): Promise<Edited<number>> {
  return edit('manager', async (sql, who) => {
    const kitchen = await costedKitchen(who.kitchenId);
    const supply = kitchen.costing.supplies.get(id);
    if (!supply) throw gone();
    await mustBeFresh(sql, who, 'ingredient', id, seen, () => Promise.resolve(undefined));
    await work(sql, who, { kitchen, supply, at: now() });
    return seen + 1;
  });
}

/** Accepts what the tests say, if it is still what was looked at. */
export function acceptLearned(id: string, seen: number, proposed: string): Promise<Edited<number>> {
  return change(id, seen, async (sql, who, { kitchen, at }) => {
    const proposal = await waitingFor(sql, who, kitchen.costing, id);
    if (!proposal || JSON.stringify(proposal) !== proposed)
      throw new Refused(
        refuse(
          'other-proposal',
          '',
          'The tests say something else than when you looked: somebody has finished one, or left one out. Look again.',
        ).trouble,
      );
    await writeProposal(sql, who, kitchen.costing, id, proposal, at);
  });
}

/** The setting written, and its before and after in the log. */
async function set(
  sql: PoolConnection,
  who: Worker,
  { supply, at }: Asked,
  what: string,
  setting: IngredientSettings,
): Promise<void> {
  const { trim, comesOff, learnFrom, id } = supply.ingredient;
  await setIngredient(sql, who.kitchenId, id, setting);
  await recordChange(sql, {
    kitchenId: who.kitchenId,
    personId: who.person.id,
    at,
    what,
    subjectId: id,
    before: { trim, comesOff, learnFrom },
    after: setting,
  });
}

/** Which own tests an ingredient learns from; where it learns at once, what they say counts from now on. */
export function setLearnFrom(
  id: string,
  seen: number,
  learnFrom: { readonly season: Season | 'now' | null; readonly supplier: string | null },
): Promise<Edited<number>> {
  return change(id, seen, async (sql, who, asked) => {
    const { costing } = asked.kitchen;
    if (learnFrom.supplier && !costing.file.suppliers.some((s) => s.id === learnFrom.supplier))
      throw new Refused(refuse('gone', 'supplier', 'This supplier is no longer there.').trouble);
    await set(sql, who, asked, 'learn from', { learnFrom });
    if (costing.file.kitchen.learning === 'ask') return;
    const { tests } = await testsOf(who.kitchenId, costing, sql);
    const ingredient = {
      ...asked.supply.ingredient,
      learnFrom: { season: learnFrom.season ?? undefined, supplier: learnFrom.supplier ?? undefined },
    };
    const proposal = proposalOf(taught(costing.file, ingredient, tests, costing.day, TERMS));
    if (proposal) await writeProposal(sql, who, costing, id, proposal, asked.at);
  });
}

/** Who pays for its trim, as typed: null goes back to the kitchen's school or set value. */
export interface TrimWanted {
  readonly school: TrimSchool | null;
  readonly setValue: string | null;
  readonly takenPct: string | null;
}

/** Sets an ingredient's own school, set value and how much of its trim is taken. */
export function setTrim(id: string, seen: number, wanted: TrimWanted): Promise<Edited<number>> {
  return change(id, seen, async (sql, who, asked) => {
    const { supply, kitchen } = asked;
    const { kitchen: k } = kitchen.costing.file;
    const setValue = wanted.setValue === null ? null : readPrice(wanted.setValue, k.decimalMark);
    if (setValue && !setValue.ok) throw new Refused(under('setValue', setValue.trouble));
    const taken = wanted.takenPct === null ? null : readPct(wanted.takenPct, k.decimalMark);
    if (taken && !taken.ok) throw new Refused(under('taken', taken.trouble));
    if (taken && !(taken.value >= 0 && taken.value <= 100))
      throw new Refused(
        refuse('taken-out-of-range', 'taken', `${taken.value} % taken cannot be: between 0 and 100 %.`, {
          value: taken.value,
          limit: 100,
        }).trouble,
      );
    const value = Number(setValue ? setValue.value : k.trim.setValuePerKg);
    mustBear(supply, {
      school: wanted.school ?? k.trim.school,
      setValuePerKg: value,
      trimTaken: supply.knife.trimTaken > 0 && taken ? taken.value / 100 : supply.knife.trimTaken,
    });
    const paid = beforeTheKnife(supply);
    if (setValue && paid !== undefined && value > paid)
      throw new Refused(
        refuse(
          'set-value-over-price',
          'setValue',
          `Stock trim at ${value.toFixed(2)} a kilo would be dearer than ${supply.ingredient.name} as bought, at ${paid.toFixed(2)}: at most that.`,
          { value, limit: paid },
        ).trouble,
      );
    await set(sql, who, asked, 'trim school', {
      trim: {
        school: wanted.school,
        setValuePerKg: setValue ? setValue.value.toFixed(Math.max(2, setValue.value.decimalPlaces())) : null,
        takenPct: taken ? taken.value : null,
      },
    });
  });
}

/** Refuses what would credit more than the whole cost. */
function mustBear(supply: Supply, terms: Partial<Supply['knife']>): void {
  const { trouble } = afterTheKnife(
    { ...supply.knife, ...terms },
    beforeTheKnife(supply),
    supply.usable,
    supply.stockTrim,
  );
  if (trouble) throw new Refused(trouble);
}

/** Sets what a by-product is charged at, and whether it has a buyer. */
export function setComesOff(
  id: string,
  seen: number,
  wanted: { readonly setValue: string | null; readonly sold: boolean },
): Promise<Edited<number>> {
  return change(id, seen, async (sql, who, asked) => {
    const { supply, kitchen } = asked;
    const { costing } = kitchen;
    const { kitchen: k } = costing.file;
    const mother = costing.supplies.get(supply.ingredient.comesOff?.ingredient ?? '');
    if (!mother) throw gone();
    const setValue = wanted.setValue === null ? null : readPrice(wanted.setValue, k.decimalMark);
    if (setValue && !setValue.ok) throw new Refused(under('setValue', setValue.trouble));
    const value = Number(setValue ? setValue.value : k.trim.setValuePerKg);
    mustBear(mother, {
      byProducts: mother.knife.byProducts.map((b) =>
        b.knife.id === id
          ? { ...b, setValuePerKg: value, sold: wanted.sold, taken: wanted.sold ? 1 : b.taken }
          : b,
      ),
    });
    await set(sql, who, asked, 'by-product', {
      comesOff: {
        setValuePerKg: setValue ? setValue.value.toFixed(Math.max(2, setValue.value.decimalPlaces())) : null,
        sold: wanted.sold,
      },
    });
  });
}

/** A person says that a test does not count, and why; or that it does again (`why` null). */
export function setLeftOut(testId: string, why: string | null): Promise<Edited> {
  return edit('manager', async (sql, who) => {
    const { costing } = await costedKitchen(who.kitchenId);
    const { tests } = await testsOf(who.kitchenId, costing, sql);
    const test = tests.find((t) => t.id === testId && t.state === 'kept');
    if (!test) throw new Refused(refuse('gone', '', 'This test is no longer there.').trouble);
    const reason = why?.trim() ?? null;
    if (reason === '')
      throw new Refused(
        refuse('no-reason', 'why', 'Why does it not count? Whoever comes next will ask.').trouble,
      );
    if (reason !== null && reason.length > 200)
      throw new Refused(
        refuse('reason-too-long', 'why', `A reason has at most 200 characters; this has ${reason.length}.`, {
          value: reason.length,
          limit: 200,
        }).trouble,
      );
    const at = now();
    await leaveOut(
      sql,
      who.kitchenId,
      testId,
      reason === null ? null : { at, by: who.person.id, why: reason },
    );
    await recordChange(sql, {
      kitchenId: who.kitchenId,
      personId: who.person.id,
      at,
      what: reason === null ? 'test counts again' : 'test left out',
      subjectId: testId,
      before: test.leftOut ?? null,
      after: reason,
    });
    if (costing.file.kitchen.learning === 'at once') {
      const proposal = await waitingFor(sql, who, costing, test.ingredient);
      if (proposal) await writeProposal(sql, who, costing, test.ingredient, proposal, at);
    }
    return null;
  });
}
