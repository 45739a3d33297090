import type { Basis } from '@/core/kitchen-file';
import type { CountUnit } from '@/core/quantity';
import { newId } from './ids';
import { run, type Sql } from './sql';

/** What of an ingredient can be set apart from its name: null takes an own setting away. */
export interface IngredientSettings {
  readonly priceBasis?: Basis | null | undefined;
  readonly boughtAs?: string | null | undefined;
  readonly partPack?: 'part' | 'whole' | undefined;
  readonly mergedInto?: string | null | undefined;
  /** Weight of one bunch, bottle, piece …, g, and of a measured millilitre, g: what a purchase asked for. */
  readonly piece?: { readonly unit: CountUnit; readonly g: number } | undefined;
  readonly densityGPerMl?: number | undefined;
}

/** Writes settings of an ingredient whose version has been taken. */
export async function setIngredient(
  sql: Sql,
  kitchenId: string,
  id: string,
  s: IngredientSettings,
): Promise<void> {
  const sets: [string, string | number | null][] = [];
  if (s.priceBasis !== undefined)
    sets.push(['price_basis = ?', s.priceBasis === null ? null : JSON.stringify(s.priceBasis)]);
  if (s.boughtAs !== undefined) sets.push(['bought_as = ?', s.boughtAs]);
  if (s.partPack !== undefined) sets.push(['part_pack = ?', s.partPack]);
  if (s.mergedInto !== undefined) sets.push(['merged_into = ?', s.mergedInto]);
  if (s.piece !== undefined)
    sets.push([
      "physics = JSON_MERGE_PATCH(physics, JSON_OBJECT('pieceG', JSON_COMPACT(?)))",
      JSON.stringify({ [s.piece.unit]: s.piece.g }),
    ]);
  if (s.densityGPerMl !== undefined)
    sets.push(["physics = JSON_SET(physics, '$.densityGPerMl', ?)", s.densityGPerMl]);
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
): Promise<void> {
  await run(
    sql,
    'INSERT INTO stock_count (kitchen_id, id, ingredient_id, effective_on, recorded_at, person_id, typed, g) VALUES (?,?,?,?,?,?,?,?)',
    [kitchenId, newId(), ingredientId, on, at, personId, typed, g.toFixed(6)],
  );
}

export async function addWeighing(
  sql: Sql,
  kitchenId: string,
  articleId: string,
  on: string,
  at: Date,
  typed: string,
  g: number,
): Promise<void> {
  await run(
    sql,
    'INSERT INTO pack_weighing (kitchen_id, id, article_id, effective_on, recorded_at, held_typed, held_g) VALUES (?,?,?,?,?,?,?)',
    [kitchenId, newId(), articleId, on, at, typed, g.toFixed(6)],
  );
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

/**
 * Sets the basis that counts where an ingredient has none of its own.
 * @returns false when somebody changed the kitchen since `seen`
 */
export async function setKitchenBasis(
  sql: Sql,
  kitchenId: string,
  basis: Basis,
  seen: number,
): Promise<boolean> {
  return (
    (await run(
      sql,
      'UPDATE kitchen SET price_basis = ?, version = version + 1 WHERE id = ? AND version = ?',
      [JSON.stringify(basis), kitchenId, seen],
    )) === 1
  );
}
