import { z } from 'zod';
import type { WrittenRecipe } from '@/core/kitchen-file';
import { RECIPE } from '../mapping/json-columns';
import { many, maybeOne, one, run, type Sql } from '../sql';

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

/** One version of a sheet: when it was kept, by whom, and what it is called where somebody has named it. */
export interface VersionRow {
  readonly version: number;
  readonly on: string;
  readonly recordedAt: Date;
  readonly by: string | null;
  readonly name: string | null;
}

/** The versions of a sheet, newest first: those with a name, and the latest of the others. */
export const versionRows = (
  sql: Sql,
  kitchenId: string,
  recipeId: string,
  most: number,
): Promise<VersionRow[]> =>
  many(
    sql,
    z.object({
      version: z.number(),
      on: z.string(),
      recordedAt: z.date(),
      by: z.string().nullable(),
      name: z.string().nullable(),
    }),
    `SELECT v.version, v.effective_on AS \`on\`, v.recorded_at AS recordedAt, n.name,
       (SELECT p.name FROM change_record c JOIN person p ON p.kitchen_id = c.kitchen_id AND p.id = c.person_id
         WHERE c.kitchen_id = v.kitchen_id AND c.subject_id = v.recipe_id AND c.at = v.recorded_at LIMIT 1) AS \`by\`
     FROM recipe_version v
     LEFT JOIN version_name n ON n.kitchen_id = v.kitchen_id AND n.recipe_id = v.recipe_id AND n.version = v.version
     WHERE v.kitchen_id = ? AND v.recipe_id = ?
     ORDER BY n.name IS NULL, v.version DESC LIMIT ?`,
    [kitchenId, recipeId, most],
  );

/** A sheet as it stood at a version; undefined where there is none of that number. */
export const recipeAt = async (
  sql: Sql,
  kitchenId: string,
  recipeId: string,
  version: number,
): Promise<WrittenRecipe | undefined> =>
  (
    await maybeOne(
      sql,
      z.object({ body: RECIPE.read }),
      'SELECT body FROM recipe_version WHERE kitchen_id = ? AND recipe_id = ? AND version = ?',
      [kitchenId, recipeId, version],
    )
  )?.body;

/** What a version is called; null where nobody has named it. */
export const versionName = async (
  sql: Sql,
  kitchenId: string,
  recipeId: string,
  version: number,
): Promise<string | null> =>
  (
    await maybeOne(
      sql,
      z.object({ name: z.string().nullable() }),
      'SELECT name FROM version_name WHERE kitchen_id = ? AND recipe_id = ? AND version = ?',
      [kitchenId, recipeId, version],
    )
  )?.name ?? null;

/** Names a version; null takes its name away. */
export const nameVersion = (
  sql: Sql,
  { kitchenId, at, by }: { readonly kitchenId: string; readonly at: Date; readonly by: string },
  recipeId: string,
  version: number,
  name: string | null,
): Promise<number> =>
  run(
    sql,
    'INSERT INTO version_name (kitchen_id, recipe_id, version, name, named_at, named_by) VALUES (?,?,?,?,?,?) ON DUPLICATE KEY UPDATE name = VALUES(name), named_at = VALUES(named_at), named_by = VALUES(named_by)',
    [kitchenId, recipeId, version, name, at, by],
  );
