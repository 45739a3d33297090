import 'server-only';
import type { KitchenCosting } from '@/core/costing';
import type { TaughtTerms } from '@/core/taught';
import type { WrittenIngredient } from '@/core/kitchen-file';
import type { WrittenTest } from '@/core/bench';
import { CONSTANTS, LEARNING, referenceLarder } from '@/core/reference';
import { readerOf } from '@/db/mapping/rows';
import { readTests } from '@/db/cooking/yield-tests';
import type { Sql } from '@/db/sql';
import { database } from '@/server/database';

/** What learning takes as given: the pot's constants, and what the shipped larder says of an ingredient. */
export const TERMS: TaughtTerms = {
  pot: CONSTANTS,
  learning: LEARNING,
  referenceOf(ingredient: WrittenIngredient) {
    const row = ingredient.reference === undefined ? undefined : referenceLarder().get(ingredient.reference);
    return row && { group: row.group, usable: row.usable, cookYieldPct: row.cook?.yieldPct };
  },
};

export interface TestResults {
  readonly tests: readonly WrittenTest[];
  readonly versions: ReadonlyMap<string, number>;
}

/**
 * Every test of a kitchen, open ones too. Read again each time: one being weighed changes with every part and moves no cost,
 * so the kitchen's revision says nothing of it.
 */
export const testResults = async (
  kitchenId: string,
  costing: KitchenCosting,
  sql: Sql = database(),
): Promise<TestResults> => counted(await readTests(readerOf(sql, kitchenId)), costing);

/** Tests of another spelling count for the ingredient it was merged into. */
const counted = ({ tests, versions }: TestResults, { countsAs }: KitchenCosting): TestResults => ({
  tests: tests.map((t) => ({ ...t, ingredient: countsAs(t.ingredient) })),
  versions,
});
