import type { WrittenPlate } from '@/core/kitchen-file';
import type { Manner } from '@/core/quantity';
import { withIds } from './recipe-steps';
import { insertAll, run, type Sql } from '../sql';
import { normalizedAmount, pointerColumns } from '../mapping/columns';

const COLUMNS = [
  'kitchen_id',
  'id',
  'plate_id',
  'position',
  'part',
  'ingredient_id',
  'product_id',
  'product_part',
  'counted',
  'amount_typed',
  'amount',
  'amount_kind',
  'amount_unit',
  'overfill_pct',
  'taken_pct',
  'packaging',
] as const;

const rowsOf = (
  kitchenId: string,
  plateId: string,
  lines: WrittenPlate['lines'],
  manner: Manner,
): (string | number | null)[][] =>
  withIds(lines).map(({ id, of, amount: typed, overfillPct, takenPct, packaging }, i) => {
    const { amount, kind, unit } = normalizedAmount(typed, manner);
    const to = pointerColumns(of);
    const part = 'product' in of ? 'product' : 'stockTrimOf' in of ? 'stock trim' : 'usable';
    const joint = 'product' in of ? (of.part ?? null) : null;
    const counted = 'ingredient' in of ? (of.counted ?? null) : null;
    const { ingredient, product } = to;
    return [
      ...[kitchenId, id, plateId, i, part, ingredient, product, joint, counted, typed, amount, kind, unit],
      overfillPct ?? null,
      takenPct ?? null,
      packaging ? 1 : 0,
    ];
  });

/** Writes what stands on a plate, in its order. */
export const insertPlateLines = (
  sql: Sql,
  kitchenId: string,
  plateId: string,
  lines: WrittenPlate['lines'],
  manner: Manner,
): Promise<void> => insertAll(sql, 'plate_line', COLUMNS, rowsOf(kitchenId, plateId, lines, manner));

/** Makes a plate's lines these: rows stay with their ids, whatever is changed or moved about them. */
export async function replacePlateLines(
  sql: Sql,
  kitchenId: string,
  plateId: string,
  lines: WrittenPlate['lines'],
  manner: Manner,
): Promise<void> {
  const rows = rowsOf(kitchenId, plateId, lines, manner);
  const ids = rows.map((row) => String(row[1]));
  await run(
    sql,
    `DELETE FROM plate_line WHERE kitchen_id = ? AND plate_id = ?${ids.length > 0 ? ` AND id NOT IN (${ids.map(() => '?').join(',')})` : ''}`,
    [kitchenId, plateId, ...ids],
  );
  await insertAll(sql, 'plate_line', COLUMNS, rows, COLUMNS.slice(3));
}
