import { z } from 'zod';
import { one, type Sql } from './sql';

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
