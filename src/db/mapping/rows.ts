import { z } from 'zod';
import { many, type Sql } from '../sql';

export const id = z.string();
export const figure = z.union([z.string(), z.number()]).transform(Number);
export const nullableFigure = z
  .union([z.string(), z.number(), z.null()])
  .transform((x) => (x === null ? undefined : Number(x)));
/** DECIMAL(14,4) back to the shortest decimal string with at least two places: 24.0000 is 24.00. */
export const money = z.string().transform((x) => x.replace(/(\.\d\d\d*?)0+$/, '$1'));
export const instant = z.date().transform((d) => d.toISOString());
export const nullable = <T>(schema: z.ZodType<T>) => schema.nullable().transform((x) => x ?? undefined);
/** The rows of some things only, by the column that names them. */
export interface Only {
  readonly column: string;
  readonly ids: readonly string[];
}
/** Reads all rows of a statement whose one value is the kitchen (`WHERE kitchen_id = ?`), or those of some things only. */
export type Reader = <T>(row: z.ZodType<T>, statement: string, only?: Only) => Promise<T[]>;

export const readerOf =
  (sql: Sql, kitchenId: string): Reader =>
  async (row, statement, only) => {
    if (!only) return many(sql, row, statement, [kitchenId]);
    if (only.ids.length === 0) return [];
    const among = `WHERE kitchen_id = ? AND ${only.column} IN (${only.ids.map(() => '?').join(',')})`;
    return many(sql, row, statement.replace('WHERE kitchen_id = ?', among), [kitchenId, ...only.ids]);
  };

/** For a reader: all of them, or some. */
export const among = (column: string, ids: readonly string[] | undefined): Only | undefined =>
  ids && { column, ids };

export const versionsOf = (rows: readonly { id: string; version: number }[]): Map<string, number> =>
  new Map(rows.map((r) => [r.id, r.version]));

export function groupBy<T>(rows: readonly T[], key: (row: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const group = groups.get(key(row));
    if (group) group.push(row);
    else groups.set(key(row), [row]);
  }
  return groups;
}
