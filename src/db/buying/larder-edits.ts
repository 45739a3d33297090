import type { Basis } from '@/core/kitchen-file';
import type { TrimSchool } from '@/core/larder';
import type { CountUnit } from '@/core/quantity';
import { newId } from '../mapping/ids';
import { PHYSICS, PRICE_BASIS } from '../mapping/json-columns';
import { run, type Sql } from '../sql';
import { nullableJson } from '../mapping/columns';

/** The physics as it is stored now; what stands bare from before versions were written down gets its own. */
const VERSIONED = `IF(JSON_EXISTS(physics, '$.v'), physics, JSON_OBJECT('v', ${PHYSICS.version}, 'is', JSON_COMPACT(physics)))`;

/** What of an ingredient can be set apart from its name: null takes an own setting away. */
export interface IngredientSettings {
  readonly priceBasis?: Basis | null | undefined;
  readonly boughtAs?: string | null | undefined;
  readonly partPack?: 'part' | 'whole' | undefined;
  readonly mergedInto?: string | null | undefined;
  /** Weight of one bunch, bottle, piece …, g, and of a measured millilitre, g: what a purchase asked for. */
  readonly piece?: { readonly unit: CountUnit; readonly g: number } | undefined;
  readonly densityGPerMl?: number | undefined;
  /** Who pays for its trim; null goes back to the kitchen's. */
  readonly trim?:
    | {
        readonly school: TrimSchool | null;
        readonly setValuePerKg: string | null;
        readonly takenPct: number | null;
      }
    | undefined;
  /** What a by-product is charged at; null for the kitchen's set value. */
  readonly comesOff?: { readonly setValuePerKg: string | null; readonly sold: boolean } | undefined;
  /** How much of a by-product is taken, %; null for all of it. */
  readonly comesOffTakenPct?: number | null | undefined;
  readonly learnFrom?: { readonly season: string | null; readonly supplier: string | null } | undefined;
}

/** Writes settings of an ingredient whose version has been taken. */
export async function setIngredient(
  sql: Sql,
  kitchenId: string,
  id: string,
  s: IngredientSettings,
): Promise<void> {
  const sets: [string, string | number | null][] = [];
  if (s.priceBasis !== undefined) sets.push(['price_basis = ?', nullableJson(PRICE_BASIS, s.priceBasis)]);
  if (s.boughtAs !== undefined) sets.push(['bought_as = ?', s.boughtAs]);
  if (s.partPack !== undefined) sets.push(['part_pack = ?', s.partPack]);
  if (s.mergedInto !== undefined) sets.push(['merged_into = ?', s.mergedInto]);
  if (s.piece !== undefined)
    sets.push([
      `physics = JSON_MERGE_PATCH(${VERSIONED}, JSON_OBJECT('is', JSON_OBJECT('pieceG', JSON_COMPACT(?))))`,
      JSON.stringify({ [s.piece.unit]: s.piece.g }),
    ]);
  if (s.densityGPerMl !== undefined)
    sets.push([`physics = JSON_SET(${VERSIONED}, '$.is.densityGPerMl', ?)`, s.densityGPerMl]);
  if (s.trim !== undefined)
    sets.push(
      ['trim_school = ?', s.trim.school],
      ['trim_set_value = ?', s.trim.setValuePerKg],
      ['trim_taken_pct = ?', s.trim.takenPct],
    );
  if (s.comesOff !== undefined)
    sets.push(
      ['comes_off_value = ?', s.comesOff.setValuePerKg],
      ['comes_off_sold = ?', s.comesOff.sold ? 1 : 0],
    );
  if (s.comesOffTakenPct !== undefined) sets.push(['comes_off_taken_pct = ?', s.comesOffTakenPct]);
  if (s.learnFrom !== undefined)
    sets.push(['learn_season = ?', s.learnFrom.season], ['learn_supplier_id = ?', s.learnFrom.supplier]);
  if (sets.length === 0) return;
  await run(
    sql,
    `UPDATE ingredient SET ${sets.map(([set]) => set).join(', ')} WHERE kitchen_id = ? AND id = ?`,
    [...sets.map(([, value]) => value), kitchenId, id],
  );
}

export async function addCount(
  sql: Sql,
  kitchenId: string,
  ingredientId: string,
  personId: string,
  on: string,
  at: Date,
  typed: string,
  g: number,
): Promise<string> {
  const id = newId();
  await run(
    sql,
    'INSERT INTO stock_count (kitchen_id, id, ingredient_id, effective_on, recorded_at, person_id, typed, g) VALUES (?,?,?,?,?,?,?,?)',
    [kitchenId, id, ingredientId, on, at, personId, typed, g.toFixed(6)],
  );
  return id;
}

/** Takes back what was counted or weighed (`at`), or lets it count again (null). */
export const withdraw = (
  sql: Sql,
  table: 'stock_count' | 'pack_weighing',
  kitchenId: string,
  id: string,
  at: Date | null,
): Promise<number> =>
  run(sql, `UPDATE ${table} SET withdrawn_at = ? WHERE kitchen_id = ? AND id = ?`, [at, kitchenId, id]);

export async function addWeighing(
  sql: Sql,
  kitchenId: string,
  articleId: string,
  on: string,
  at: Date,
  typed: string,
  g: number,
): Promise<string> {
  const id = newId();
  await run(
    sql,
    'INSERT INTO pack_weighing (kitchen_id, id, article_id, effective_on, recorded_at, held_typed, held_g) VALUES (?,?,?,?,?,?,?)',
    [kitchenId, id, articleId, on, at, typed, g.toFixed(6)],
  );
  return id;
}

export async function addMeasure(
  sql: Sql,
  kitchenId: string,
  id: string,
  name: string,
  amount: string,
): Promise<void> {
  await run(sql, 'INSERT INTO house_measure (kitchen_id, id, name, amount_typed) VALUES (?,?,?,?)', [
    kitchenId,
    id,
    name,
    amount,
  ]);
}

/** @returns false when it is gone already */
export async function archiveMeasure(sql: Sql, kitchenId: string, id: string, at: Date): Promise<boolean> {
  return (
    (await run(
      sql,
      'UPDATE house_measure SET archived_at = ? WHERE kitchen_id = ? AND id = ? AND archived_at IS NULL',
      [at, kitchenId, id],
    )) === 1
  );
}

/** Sets the basis that counts where an ingredient has none of its own, of a kitchen whose version has been taken. */
export const setKitchenBasis = (sql: Sql, kitchenId: string, basis: Basis): Promise<number> =>
  run(sql, 'UPDATE kitchen SET price_basis = ? WHERE id = ?', [PRICE_BASIS.write(basis), kitchenId]);

/** Sets how a kitchen trims and learns, and what hands and energy cost it; its version has been taken. */
export const setKitchenTrim = (
  sql: Sql,
  kitchenId: string,
  t: {
    readonly school: TrimSchool;
    readonly setValuePerKg: string;
    readonly wagePerHour: string | null;
    readonly electricityPerKwh: string | null;
    readonly gasPerKwh: string | null;
    readonly learning: 'ask' | 'at once';
    readonly scale: string | null;
  },
): Promise<number> =>
  run(
    sql,
    'UPDATE kitchen SET trim_school = ?, trim_set_value = ?, wage_per_hour = ?, electricity_per_kwh = ?, gas_per_kwh = ?, learning = ?, scale_address = ? WHERE id = ?',
    [
      t.school,
      t.setValuePerKg,
      t.wagePerHour,
      t.electricityPerKwh,
      t.gasPerKwh,
      t.learning,
      t.scale,
      kitchenId,
    ],
  );

/**
 * Fields of an ingredient's physics written over; null takes one away.
 * @param taken whether its version has been taken already
 */
export const patchPhysics = (
  sql: Sql,
  kitchenId: string,
  id: string,
  fields: Readonly<Record<string, unknown>>,
  { taken = false } = {},
): Promise<number> =>
  run(
    sql,
    `UPDATE ingredient SET physics = JSON_MERGE_PATCH(${VERSIONED}, JSON_OBJECT('is', JSON_COMPACT(?)))${taken ? '' : ', version = version + 1'} WHERE kitchen_id = ? AND id = ?`,
    [JSON.stringify(fields), kitchenId, id],
  );

/** The hands of a kitchen's own; null for the usual ones. Its version has been taken. */
export const setHands = (sql: Sql, kitchenId: string, hands: string | null): Promise<number> =>
  run(sql, 'UPDATE kitchen SET hands = ? WHERE id = ?', [hands, kitchenId]);
