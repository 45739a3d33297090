import { z } from 'zod';
import type {
  WrittenMenu,
  WrittenPlate,
  WrittenRecipe,
  WrittenQuestion,
  WrittenTray,
  WrittenVessel,
} from '@/core/kitchen-file';
import type { Manner } from '@/core/quantity';
import { writePlate, writeRecipe } from './edits';
import { ASKS, LIST_COLUMNS, ANSWER_COLUMN, TRIALS } from './mapping/json-columns';
import { writeMenuPlates } from './recipes/menus';
import { many, maybeOne, one, run, type Sql } from './sql';
import { hobRow, vesselRow, type WrittenHob, type WrittenSupplier } from './cooking/stove';
import { nullableJson } from './mapping/columns';

/** What can be made, put away and brought back; the row stays, with all that happened to it. */
export type Archivable =
  | 'vessel'
  | 'hob'
  | 'supplier'
  | 'house_measure'
  | 'recipe'
  | 'plate'
  | 'menu'
  | 'tray'
  | 'question'
  | 'batch'
  | 'ingredient'
  | 'supplier_article';

/** Puts a thing away (`at`), or brings it back (null). @returns false where it stands so already */
export const setArchived = async (
  sql: Sql,
  table: Archivable,
  kitchenId: string,
  id: string,
  at: Date | null,
): Promise<boolean> =>
  (await run(
    sql,
    `UPDATE ${table} SET archived_at = ?, version = version + 1 WHERE kitchen_id = ? AND id = ? AND archived_at IS ${at ? 'NULL' : 'NOT NULL'}`,
    [at, kitchenId, id],
  )) > 0;

/** Something put away: what it was called, and since when. */
export interface ArchivedEntry {
  readonly id: string;
  readonly name: string;
  readonly at: Date;
}

/** The most that is offered to be brought back: the newest first. */
const MOST_AWAY = 200;

export const archivedOf = (sql: Sql, table: Archivable, kitchenId: string): Promise<ArchivedEntry[]> =>
  many(
    sql,
    z.object({ id: z.string(), name: z.string(), at: z.date() }),
    `SELECT id, name, archived_at AS at FROM ${table} WHERE kitchen_id = ? AND archived_at IS NOT NULL ORDER BY archived_at DESC, id LIMIT ${MOST_AWAY}`,
    [kitchenId],
  );

/** Articles of one ingredient that are put away, the newest first. */
export const archivedArticlesOf = (
  sql: Sql,
  kitchenId: string,
  ingredientId: string,
): Promise<ArchivedEntry[]> =>
  many(
    sql,
    z.object({ id: z.string(), name: z.string(), at: z.date() }),
    `SELECT id, CONCAT(name, ', ', pack_typed) AS name, archived_at AS at FROM supplier_article WHERE kitchen_id = ? AND ingredient_id = ? AND archived_at IS NOT NULL ORDER BY archived_at DESC, id LIMIT 50`,
    [kitchenId, ingredientId],
  );

/** What a supplier calls an article. */
export const articleCalled = (
  sql: Sql,
  kitchenId: string,
  id: string,
  name: string,
  code: string | null,
): Promise<number> =>
  run(sql, 'UPDATE supplier_article SET name = ?, code = ? WHERE kitchen_id = ? AND id = ?', [
    name,
    code,
    kitchenId,
    id,
  ]);

/** A thing's name, whether it is put away, and its version; undefined where there never was one. */
export const nowOf = (
  sql: Sql,
  table: Archivable,
  kitchenId: string,
  id: string,
): Promise<{ name: string; away: boolean; version: number } | undefined> =>
  maybeOne(
    sql,
    z.object({ name: z.string(), away: z.coerce.boolean(), version: z.number() }),
    `SELECT name, archived_at IS NOT NULL AS away, version FROM ${table} WHERE kitchen_id = ? AND id = ?`,
    [kitchenId, id],
  );

type Values = Readonly<Record<string, string | number | null>>;

/** How a thing is written: `listed` where its list has an order; `taken` where its version has been taken already. */
interface How {
  readonly listed?: boolean;
  readonly taken?: boolean;
}

/** Writes a thing's own columns: a new row at the end of its list, or the one that is there, which comes back if it was away. */
async function put(
  sql: Sql,
  table: Archivable,
  kitchenId: string,
  id: string,
  values: Values,
  { listed = true, taken = false }: How = {},
): Promise<boolean> {
  const columns = Object.keys(values);
  const there = await run(
    sql,
    `UPDATE ${table} SET ${columns.map((c) => `${c} = ?`).join(', ')}, archived_at = NULL, version = version + ${taken ? 0 : 1} WHERE kitchen_id = ? AND id = ?`,
    [...Object.values(values), kitchenId, id],
  );
  if (there > 0) return false;
  const all = listed ? [...columns, 'position'] : columns;
  const last = listed ? [await endOf(sql, table, kitchenId)] : [];
  await run(
    sql,
    `INSERT INTO ${table} (kitchen_id, id, ${all.join(', ')}) VALUES (?,?,${all.map(() => '?').join(',')})`,
    [kitchenId, id, ...Object.values(values), ...last],
  );
  return true;
}

/** The place after the last one of a list. */
export const endOf = async (sql: Sql, table: Archivable, kitchenId: string): Promise<number> =>
  (
    await one(
      sql,
      z.object({ next: z.coerce.number() }),
      `SELECT COALESCE(MAX(position), -1) + 1 AS next FROM ${table} WHERE kitchen_id = ?`,
      [kitchenId],
    )
  ).next;

export const putVessel = (sql: Sql, kitchenId: string, v: WrittenVessel, how: How = {}): Promise<boolean> =>
  put(sql, 'vessel', kitchenId, v.id, vesselRow(v), how);

export const putHob = (sql: Sql, kitchenId: string, h: WrittenHob, how: How = {}): Promise<boolean> =>
  put(sql, 'hob', kitchenId, h.id, hobRow(h), how);

export const putSupplier = (
  sql: Sql,
  kitchenId: string,
  s: WrittenSupplier,
  how: How = {},
): Promise<boolean> =>
  put(
    sql,
    'supplier',
    kitchenId,
    s.id,
    { name: s.name, price_list: s.priceList ?? null, list_columns: nullableJson(LIST_COLUMNS, s.columns) },
    { ...how, listed: false },
  );

const versionNow = async (sql: Sql, table: Archivable, kitchenId: string, id: string): Promise<number> =>
  (await nowOf(sql, table, kitchenId, id))?.version ?? 1;

/** A pot sheet whole: a new one, or the one that is there as another version of itself. */
export async function putRecipe(
  sql: Sql,
  kitchenId: string,
  recipe: WrittenRecipe,
  on: string,
  at: Date,
  manner: Manner,
  how: How = {},
): Promise<void> {
  const { name, vessel, hob, batchesAWeek } = recipe;
  const own = { name, vessel_id: vessel, hob_id: hob, batches_a_week: batchesAWeek };
  await put(sql, 'recipe', kitchenId, recipe.id, own, how);
  const version = await versionNow(sql, 'recipe', kitchenId, recipe.id);
  await writeRecipe(sql, kitchenId, recipe, version, on, at, manner);
}

/** A plate whole: a new one, or the one that is there. */
export async function putPlate(
  sql: Sql,
  kitchenId: string,
  plate: WrittenPlate,
  manner: Manner,
  how: How = {},
): Promise<void> {
  await put(sql, 'plate', kitchenId, plate.id, { name: plate.name, tax_pct: plate.taxPct }, how);
  await writePlate(sql, kitchenId, plate, manner);
}

/** A menu whole, with what is sold of each of its plates. */
export async function putMenu(sql: Sql, kitchenId: string, menu: WrittenMenu, how: How = {}): Promise<void> {
  await put(sql, 'menu', kitchenId, menu.id, { name: menu.name, mix_in: menu.mixIn }, how);
  await writeMenuPlates(sql, kitchenId, menu);
}

/** A kept question whole. */
export const putQuestion = (
  sql: Sql,
  kitchenId: string,
  { id, name, asks, beside, told }: WrittenQuestion,
  how: How = {},
): Promise<boolean> =>
  put(
    sql,
    'question',
    kitchenId,
    id,
    { name, asks: ASKS.write({ asks, beside }), told: told ? ANSWER_COLUMN.write(told) : null },
    how,
  );

/** A tray whole, with its trials. */
export const putTray = (sql: Sql, kitchenId: string, tray: WrittenTray, how: How = {}): Promise<boolean> =>
  put(sql, 'tray', kitchenId, tray.id, { name: tray.name, changes: TRIALS.write(tray.trials) }, how);

/** Calls a thing otherwise; its version has been taken. */
export const recordName = (
  sql: Sql,
  table: 'ingredient' | 'supplier_article',
  kitchenId: string,
  id: string,
  name: string,
): Promise<number> =>
  run(sql, `UPDATE ${table} SET name = ? WHERE kitchen_id = ? AND id = ?`, [name, kitchenId, id]);

/** An ingredient with what it is bought as: put away at one instant, and brought back are those that went with it. */
export async function archivedWithIngredient(
  sql: Sql,
  kitchenId: string,
  id: string,
  at: Date | null,
): Promise<void> {
  if (at)
    await run(
      sql,
      'UPDATE supplier_article SET archived_at = ?, version = version + 1 WHERE kitchen_id = ? AND ingredient_id = ? AND archived_at IS NULL',
      [at, kitchenId, id],
    );
  else
    await run(
      sql,
      'UPDATE supplier_article a JOIN ingredient i ON i.kitchen_id = a.kitchen_id AND i.id = a.ingredient_id AND i.archived_at = a.archived_at SET a.archived_at = NULL, a.version = a.version + 1 WHERE a.kitchen_id = ? AND a.ingredient_id = ?',
      [kitchenId, id],
    );
  await setArchived(sql, 'ingredient', kitchenId, id, at);
}

/** Takes the next version of something that is written without anybody having seen the one before. */
export const bumpVersion = (
  sql: Sql,
  table: Archivable | 'kitchen' | 'yield_test',
  kitchenId: string,
  id: string,
): Promise<number> =>
  table === 'kitchen'
    ? run(sql, 'UPDATE kitchen SET version = version + 1 WHERE id = ?', [kitchenId])
    : run(sql, `UPDATE ${table} SET version = version + 1 WHERE kitchen_id = ? AND id = ?`, [kitchenId, id]);
