import 'server-only';
import type { PoolConnection } from 'mysql2/promise';
import { proposalOf, taught, type KitchenCosting, type Proposal } from '@/core/costing';
import { recordChange } from '@/db/changes';
import { addYield } from '@/db/edits';
import { insertCooked } from '@/db/larder-rows';
import type { Worker } from '@/server/session';
import { TERMS, testsOf } from './read';

/** What the tests of an ingredient say that is not reckoned with yet, as a transaction sees them. */
export async function waitingFor(
  sql: PoolConnection,
  who: Worker,
  costing: KitchenCosting,
  ingredientId: string,
): Promise<Proposal | undefined> {
  const ingredient = costing.supplies.get(ingredientId)?.ingredient;
  if (!ingredient) return undefined;
  const { tests } = await testsOf(who.kitchenId, costing, sql);
  return proposalOf(taught(costing.file, ingredient, tests, costing.day, TERMS));
}

/** Writes what tests have taught as the yield and the cooked figures in force from today; earlier ones stay. */
export async function writeProposal(
  sql: PoolConnection,
  who: Worker,
  costing: KitchenCosting,
  ingredientId: string,
  { yields, cooked }: Proposal,
  at: Date,
): Promise<void> {
  const on = costing.day;
  if (yields)
    await addYield(sql, who.kitchenId, ingredientId, {
      ...yields,
      basis: yields.basis ?? '',
      on,
      recordedAt: at,
    });
  await insertCooked(
    sql,
    who.kitchenId,
    ingredientId,
    cooked.map((c) => ({ ...c, on, recordedAt: at.toISOString() })),
  );
  const before = costing.supplies.get(ingredientId);
  await recordChange(sql, {
    kitchenId: who.kitchenId,
    personId: who.person.id,
    at,
    what: 'learned yield',
    subjectId: ingredientId,
    before: before && { usablePct: before.usable * 100, stockTrimPct: before.stockTrim * 100 },
    after: { yields, cooked },
  });
}
