import { z } from 'zod';
import type { WrittenPlate, WrittenRecipe } from '@/core/kitchen-file';
import type { Manner } from '@/core/quantity';
import { newId } from './ids';
import { RECIPE } from './json-columns';
import { insertByProducts } from './larder-rows';
import { replacePlateLines } from './plate-lines';
import { replaceSteps, withIds } from './recipe-steps';
import { maybeOne, run, type Sql } from './sql';

/** What people edit as one, each with a version of its own. */
export type Aggregate = 'kitchen' | 'ingredient' | 'supplier_article' | 'recipe' | 'plate' | 'yield_test';

/**
 * Takes the next version of an aggregate if it still stands at the one the editor saw.
 * The row stays locked until the transaction ends.
 * @returns false when somebody else was first, or the aggregate is gone
 */
export async function takeVersion(
  sql: Sql,
  table: Aggregate,
  kitchenId: string,
  id: string,
  seen: number,
): Promise<boolean> {
  if (table === 'kitchen')
    return (
      (await run(sql, 'UPDATE kitchen SET version = version + 1 WHERE id = ? AND version = ?', [
        kitchenId,
        seen,
      ])) === 1
    );
  return (
    (await run(
      sql,
      `UPDATE ${table} SET version = version + 1 WHERE kitchen_id = ? AND id = ? AND version = ? AND archived_at IS NULL`,
      [kitchenId, id, seen],
    )) === 1
  );
}

/** Adds a dated quote; earlier ones stay. */
export async function addQuote(
  sql: Sql,
  kitchenId: string,
  articleId: string,
  on: string,
  recordedAt: Date,
  typed: string,
  price: string,
): Promise<void> {
  await run(
    sql,
    'INSERT INTO price_quote (kitchen_id, id, article_id, effective_on, recorded_at, price_typed, price) VALUES (?,?,?,?,?,?,?)',
    [kitchenId, newId(), articleId, on, recordedAt, typed, price],
  );
}

/** Adds a dated yield; earlier ones stay. */
export async function addYield(
  sql: Sql,
  kitchenId: string,
  ingredientId: string,
  y: {
    on: string;
    recordedAt: Date;
    usablePct: number;
    stockTrimPct: number;
    byProducts: Parameters<typeof insertByProducts>[3];
    source: 'estimate' | 'measured';
    low?: number | undefined;
    high?: number | undefined;
    basis: string;
  },
): Promise<void> {
  const id = newId();
  await run(
    sql,
    'INSERT INTO ingredient_yield (kitchen_id, id, ingredient_id, effective_on, recorded_at, usable_pct, stock_trim_pct, source, low_pct, high_pct, basis) VALUES (?,?,?,?,?,?,?,?,?,?,?)',
    [
      kitchenId,
      id,
      ingredientId,
      y.on,
      y.recordedAt,
      y.usablePct,
      y.stockTrimPct,
      y.source,
      y.low ?? null,
      y.high ?? null,
      y.basis,
    ],
  );
  await insertByProducts(sql, kitchenId, id, y.byProducts);
}

/** Writes a recipe whose version has been taken: its head, its steps and the version whole. */
export async function writeRecipe(
  sql: Sql,
  kitchenId: string,
  recipe: WrittenRecipe,
  version: number,
  on: string,
  recordedAt: Date,
  manner: Manner,
): Promise<void> {
  await run(
    sql,
    'UPDATE recipe SET name = ?, vessel_id = ?, hob_id = ?, note = ?, serve_celsius = ? WHERE kitchen_id = ? AND id = ?',
    [
      recipe.name,
      recipe.vessel,
      recipe.hob,
      recipe.note ?? null,
      recipe.serveCelsius ?? null,
      kitchenId,
      recipe.id,
    ],
  );
  const kept = { ...recipe, steps: withIds(recipe.steps) };
  await replaceSteps(sql, kitchenId, recipe.id, kept.steps, manner);
  await run(
    sql,
    'INSERT INTO recipe_version (kitchen_id, recipe_id, version, effective_on, recorded_at, body) VALUES (?,?,?,?,?,?)',
    [kitchenId, recipe.id, version, on, recordedAt, RECIPE.write(kept)],
  );
}

export async function writePlate(
  sql: Sql,
  kitchenId: string,
  plate: WrittenPlate,
  manner: Manner,
): Promise<void> {
  await run(
    sql,
    'UPDATE plate SET name = ?, menu_price = ?, tax_pct = ?, target_food_cost_pct = ? WHERE kitchen_id = ? AND id = ?',
    [plate.name, plate.menuPrice ?? null, plate.taxPct, plate.targetFoodCostPct ?? null, kitchenId, plate.id],
  );
  await replacePlateLines(sql, kitchenId, plate.id, plate.lines, manner);
}

/** The newest change of a thing and who made it: what a refused stale write tells. */
export async function lastChangeOf(
  sql: Sql,
  kitchenId: string,
  subjectId: string,
): Promise<{ at: Date; who: string } | undefined> {
  return maybeOne(
    sql,
    z.object({ at: z.date(), who: z.string() }),
    "SELECT c.at, COALESCE(p.name, 'somebody') AS who FROM change_record c LEFT JOIN person p ON p.kitchen_id = c.kitchen_id AND p.id = c.person_id WHERE c.kitchen_id = ? AND c.subject_id = ? ORDER BY c.at DESC, c.id DESC LIMIT 1",
    [kitchenId, subjectId],
  );
}

/** How often a recipe whose version has been taken is usually cooked in a week. */
export const setBatchesAWeek = (
  sql: Sql,
  kitchenId: string,
  recipeId: string,
  batches: number,
): Promise<number> =>
  run(sql, 'UPDATE recipe SET batches_a_week = ? WHERE kitchen_id = ? AND id = ?', [
    batches.toFixed(3),
    kitchenId,
    recipeId,
  ]);

/** °C at which a recipe is served; null for what is usual. */
export const setServed = (
  sql: Sql,
  kitchenId: string,
  recipeId: string,
  celsius: number | null,
): Promise<number> =>
  run(sql, 'UPDATE recipe SET serve_celsius = ? WHERE kitchen_id = ? AND id = ?', [
    celsius,
    kitchenId,
    recipeId,
  ]);
