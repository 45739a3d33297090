import { z } from 'zod';
import type { WrittenRecipe } from '@/core/kitchen-file';
import { RECIPE } from './json-columns';
import { maybeOne, one, type Sql } from './sql';

/** How often a sheet has been kept, and the day since which it stands as it does. */
export interface SheetPast {
  readonly times: number;
  readonly since: string;
}

export const sheetPast = (sql: Sql, kitchenId: string, recipeId: string): Promise<SheetPast> =>
  one(
    sql,
    z.object({ times: z.number(), since: z.string() }),
    'SELECT COUNT(*) AS times, MAX(effective_on) AS since FROM recipe_version WHERE kitchen_id = ? AND recipe_id = ?',
    [kitchenId, recipeId],
  );

/** A sheet as it was kept last, whether it stands in the book or is put away. */
export const latestRecipe = async (
  sql: Sql,
  kitchenId: string,
  recipeId: string,
): Promise<WrittenRecipe | undefined> =>
  (
    await maybeOne(
      sql,
      z.object({ body: RECIPE.read }),
      'SELECT body FROM recipe_version WHERE kitchen_id = ? AND recipe_id = ? ORDER BY version DESC LIMIT 1',
      [kitchenId, recipeId],
    )
  )?.body;
