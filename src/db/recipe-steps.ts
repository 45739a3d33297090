import { ofStep, type WrittenStep } from '@/core/kitchen-file';
import type { Manner } from '@/core/quantity';
import { insertAll, run, type Sql } from './sql';
import { normalised, pointers, typedAmount } from './typed';

/** Writes a recipe's steps in their order. */
export async function insertSteps(
  sql: Sql,
  kitchenId: string,
  recipeId: string,
  steps: readonly WrittenStep[],
  manner: Manner,
): Promise<void> {
  await insertAll(
    sql,
    'recipe_step',
    [
      'kitchen_id',
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
    ],
    steps.map((step, i) => {
      const typed = typedAmount(step);
      const { amount, kind, unit } = normalised(typed, manner);
      const to = pointers(ofStep(step));
      return [
        kitchenId,
        recipeId,
        i,
        step.do,
        JSON.stringify(step),
        to.ingredient,
        to.product,
        typed,
        amount,
        kind,
        unit,
      ];
    }),
  );
}

/** Puts other steps in the place of a recipe's steps. */
export async function replaceSteps(
  sql: Sql,
  kitchenId: string,
  recipeId: string,
  steps: readonly WrittenStep[],
  manner: Manner,
): Promise<void> {
  await run(sql, 'DELETE FROM recipe_step WHERE kitchen_id = ? AND recipe_id = ?', [kitchenId, recipeId]);
  await insertSteps(sql, kitchenId, recipeId, steps, manner);
}
