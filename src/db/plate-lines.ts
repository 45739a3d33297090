import type { WrittenPlate } from '@/core/kitchen-file';
import type { DecimalMark } from '@/core/quantity';
import { insertAll, run, type Sql } from './sql';
import { normalised, pointers } from './typed';

/** Writes what stands on a plate, in its order. */
export async function insertPlateLines(
  sql: Sql,
  kitchenId: string,
  plateId: string,
  lines: WrittenPlate['lines'],
  mark: DecimalMark,
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
      'amount_typed',
      'amount',
      'amount_kind',
    ],
    lines.map((line, i) => {
      const { amount, kind } = normalised(line.amount, mark);
      const to = pointers(line.of);
      const part = 'product' in line.of ? 'product' : 'stockTrimOf' in line.of ? 'stock trim' : 'usable';
      return [kitchenId, plateId, i, part, to.ingredient, to.product, line.amount, amount, kind];
    }),
  );
}

export async function replacePlateLines(
  sql: Sql,
  kitchenId: string,
  plateId: string,
  lines: WrittenPlate['lines'],
  mark: DecimalMark,
): Promise<void> {
  await run(sql, 'DELETE FROM plate_line WHERE kitchen_id = ? AND plate_id = ?', [kitchenId, plateId]);
  await insertPlateLines(sql, kitchenId, plateId, lines, mark);
}
