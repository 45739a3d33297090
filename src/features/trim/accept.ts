import 'server-only';

import type { KitchenCosting } from '@/core/costing';
import { cookedOn, yieldOn, type WrittenIngredient } from '@/core/kitchen-file';
import type { WrittenTest } from '@/core/bench';
import { proposalOf, taught, type Proposal } from '@/core/taught';
import { addYield } from '@/db/edits';
import { insertCooked } from '@/db/buying/larder-rows';
import type { Connection } from '@/db/sql';
import type { Wrote } from '@/server/door';
import { TERMS } from './test-results';

/** What tests say of an ingredient and is not in use yet. */
export const proposalFrom = (
  costing: KitchenCosting,
  ingredient: WrittenIngredient,
  tests: readonly WrittenTest[],
): Proposal | undefined => proposalOf(taught(costing.state, ingredient, tests, costing.day, TERMS));

/** The same where the kitchen learns at once; nothing where a manager is to accept it. */
export const learnedAtOnce = (
  costing: KitchenCosting,
  ingredient: WrittenIngredient | undefined,
  tests: readonly WrittenTest[],
): Proposal | undefined =>
  ingredient && costing.state.kitchen.learning === 'at once'
    ? proposalFrom(costing, ingredient, tests)
    : undefined;

type Also = NonNullable<Wrote<null>['also']>[number];

/**
 * Writes what tests have taught as the yield and the cooked figures in force from a day; earlier ones stay.
 * @returns what the change log says of it
 */
export async function writeProposal(
  sql: Connection,
  kitchenId: string,
  costing: KitchenCosting,
  ingredientId: string,
  { yields, cooked }: Proposal,
  at: Date,
): Promise<Also> {
  const on = costing.day;
  if (yields)
    await addYield(sql, kitchenId, ingredientId, {
      ...yields,
      basis: yields.basis ?? '',
      on,
      recordedAt: at,
    });
  const dated = { on, recordedAt: at.toISOString() };
  const figures = cooked.map((c) => ({ ...c, ...dated }));
  await insertCooked(sql, kitchenId, ingredientId, figures);
  const own = costing.supplies.get(ingredientId)?.ingredient;
  return {
    what: 'learned yield',
    subject: ingredientId,
    // What held until now of what is another from now on: enough to have it hold again.
    before: own && {
      yields: yields && yieldOn(own, on),
      cooked: cooked.flatMap((c) => cookedOn(own, c.figure, on) ?? []),
    },
    after: { yields: yields && { ...yields, ...dated }, cooked: figures },
  };
}
