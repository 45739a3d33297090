import type { WrittenPlate } from '@/core/kitchen-file';
import type { Manner } from '@/core/quantity';
import { insertAll, run, type Sql } from './sql';
import { normalised, pointers } from './typed';

/** Writes what stands on a plate, in its order. */
export async function insertPlateLines(
  sql: Sql,
  kitchenId: string,
  plateId: string,
  lines: WrittenPlate['lines'],
  manner: Manner,
): Promise<void> {
  await insertAll(
    sql,
    'plate_line',
    [
      'kitchen_id',
      'plate_id',
      'position',
      'part',
      'ingredient_id',
      'product_id',
      'product_part',
      'amount_typed',
      'amount',
      'amount_kind',
      'amount_unit',
    ],
    lines.map((line, i) => {
      const { amount, kind, unit } = normalised(line.amount, manner);
      const to = pointers(line.of);
      const part = 'product' in line.of ? 'product' : 'stockTrimOf' in line.of ? 'stock trim' : 'usable';
      const joint = 'product' in line.of ? (line.of.part ?? null) : null;
      return [kitchenId, plateId, i, part, to.ingredient, to.product, joint, line.amount, amount, kind, unit];
    }),
  );
}

export async function replacePlateLines(
  sql: Sql,
  kitchenId: string,
  plateId: string,
  lines: WrittenPlate['lines'],
  manner: Manner,
): Promise<void> {
  await run(sql, 'DELETE FROM plate_line WHERE kitchen_id = ? AND plate_id = ?', [kitchenId, plateId]);
  await insertPlateLines(sql, kitchenId, plateId, lines, manner);
}
