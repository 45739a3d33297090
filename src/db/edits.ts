import { z } from 'zod';
import type { WrittenPlate, WrittenRecipe } from '@/core/kitchen-file';
import type { Manner } from '@/core/quantity';
import { newId } from './mapping/ids';
import { CHOICES, FOLLOWS, RECIPE } from './mapping/json-columns';
import { insertByProducts } from './buying/larder-rows';
import { replacePlateLines } from './recipes/plate-lines';
import { replaceSteps, withIds } from './recipes/recipe-steps';
import { many, maybeOne, run, type Sql } from './sql';
import { nullableJson } from './mapping/columns';

/** What people edit as one, each with a version of its own. */
export type Aggregate =
  | 'kitchen'
  | 'ingredient'
  | 'supplier_article'
  | 'recipe'
  | 'plate'
  | 'menu'
  | 'tray'
  | 'question'
  | 'batch'
  | 'yield_test'
  | 'vessel'
  | 'hob'
  | 'supplier'
  | 'house_measure'
  | 'person';

/** Where a thing is found: the kitchen itself is its own. */
const whereIs = (
  table: Aggregate,
  kitchenId: string,
  id: string,
): readonly [where: string, values: string[]] =>
  table === 'kitchen' ? ['id = ?', [kitchenId]] : ['kitchen_id = ? AND id = ?', [kitchenId, id]];

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
  const [where, values] = whereIs(table, kitchenId, id);
  const there = table === 'kitchen' ? '' : ' AND archived_at IS NULL';
  return (
    (await run(sql, `UPDATE ${table} SET version = version + 1 WHERE ${where} AND version = ?${there}`, [
      ...values,
      seen,
    ])) === 1
  );
}

const Version = z.object({ version: z.number() });

/** The version a thing stands at; undefined where it never was. */
export async function versionOf(
  sql: Sql,
  table: Aggregate,
  kitchenId: string,
  id: string,
): Promise<number | undefined> {
  const [where, values] = whereIs(table, kitchenId, id);
  return (await maybeOne(sql, Version, `SELECT version FROM ${table} WHERE ${where}`, values))?.version;
}

/** The versions of all things of a kind. */
export async function versionsOf(
  sql: Sql,
  table: Exclude<Aggregate, 'kitchen'>,
  kitchenId: string,
): Promise<ReadonlyMap<string, number>> {
  const rows = await many(
    sql,
    Version.extend({ id: z.string() }),
    `SELECT id, version FROM ${table} WHERE kitchen_id = ?`,
    [kitchenId],
  );
  return new Map(rows.map((r) => [r.id, r.version]));
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
    'UPDATE recipe SET name = ?, vessel_id = ?, hob_id = ?, note = ?, serve_celsius = ?, choices = ? WHERE kitchen_id = ? AND id = ?',
    [
      recipe.name,
      recipe.vessel,
      recipe.hob,
      recipe.note ?? null,
      recipe.serveCelsius ?? null,
      recipe.choices?.length ? CHOICES.write(recipe.choices) : null,
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
    'UPDATE plate SET name = ?, menu_price = ?, tax_pct = ?, target_food_cost_pct = ?, service = ?, service_loss_pct = ?, follows_id = ?, follows = ?, hands_minutes = ?, hands_plates = ? WHERE kitchen_id = ? AND id = ?',
    [
      plate.name,
      plate.menuPrice ?? null,
      plate.taxPct,
      plate.targetFoodCostPct ?? null,
      plate.service ?? null,
      plate.serviceLossPct ?? null,
      plate.follows?.plate ?? null,
      nullableJson(FOLLOWS, plate.follows),
      plate.hands?.minutes ?? null,
      plate.hands?.plates ?? null,
      kitchenId,
      plate.id,
    ],
  );
  await replacePlateLines(sql, kitchenId, plate.id, plate.lines, manner);
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
