import type { Manner } from '@/core/quantity';
import { amountOfStep, ofStep, type WrittenStep } from '@/core/verbs';
import { newId } from '../mapping/ids';
import { STEP } from '../mapping/json-columns';
import { insertAll, run, type Sql } from '../sql';
import { normalizedAmount, pointerColumns } from '../mapping/columns';

const COLUMNS = [
  'kitchen_id',
  'id',
  'recipe_id',
  'position',
  'verb',
  'body',
  'ingredient_id',
  'product_id',
  'amount_typed',
  'amount',
  'amount_kind',
  'amount_unit',
] as const;

/** Steps that all have an id: their own, or a new one. */
export const withIds = <T extends { readonly id?: string | undefined }>(
  lines: readonly T[],
): (T & { readonly id: string })[] => lines.map((line) => ({ ...line, id: line.id ?? newId() }));

const rowsOf = (
  kitchenId: string,
  recipeId: string,
  steps: readonly WrittenStep[],
  manner: Manner,
): (string | number | null)[][] =>
  withIds(steps).map(({ id: own, ...step }, i) => {
    const typed = amountOfStep(step);
    const { amount, kind, unit } = normalizedAmount(typed, manner);
    const to = pointerColumns(ofStep(step));
    return [
      kitchenId,
      own,
      recipeId,
      i,
      step.do,
      STEP.write(step),
      to.ingredient,
      to.product,
      typed,
      amount,
      kind,
      unit,
    ];
  });

/** Writes a recipe's steps in their order. */
export const insertSteps = (
  sql: Sql,
  kitchenId: string,
  recipeId: string,
  steps: readonly WrittenStep[],
  manner: Manner,
): Promise<void> => insertAll(sql, 'recipe_step', COLUMNS, rowsOf(kitchenId, recipeId, steps, manner));

/** Makes a recipe's steps these: rows stay with their ids, whatever is changed or moved about them. */
export async function replaceSteps(
  sql: Sql,
  kitchenId: string,
  recipeId: string,
  steps: readonly WrittenStep[],
  manner: Manner,
): Promise<void> {
  const rows = rowsOf(kitchenId, recipeId, steps, manner);
  const ids = rows.map((row) => String(row[1]));
  await run(
    sql,
    `DELETE FROM recipe_step WHERE kitchen_id = ? AND recipe_id = ?${ids.length > 0 ? ` AND id NOT IN (${ids.map(() => '?').join(',')})` : ''}`,
    [kitchenId, recipeId, ...ids],
  );
  await insertAll(sql, 'recipe_step', COLUMNS, rows, COLUMNS.slice(3));
}
