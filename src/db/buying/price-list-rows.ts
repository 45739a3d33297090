import { Decimal } from 'decimal.js';
import { z } from 'zod';
import { VERDICTS, type Verdict } from '@/core/price-list';
import { figure, id, nullable, money } from '../mapping/rows';
import { insertAll, many, maybeOne, run, type Sql } from '../sql';

/** One row of a list as it is kept between the preview and the decision. */
export interface ImportRow {
  readonly line: number;
  readonly code?: string | undefined;
  readonly name?: string | undefined;
  readonly pack?: string | undefined;
  readonly priceTyped?: string | undefined;
  readonly price?: string | undefined;
  readonly verdict: Verdict;
  readonly reason?: string | undefined;
  readonly article?: string | undefined;
  readonly priceBefore?: string | undefined;
  /** The pack it was before, where the list has another. */
  readonly packBefore?: string | undefined;
  readonly wanted?: boolean | undefined;
  readonly ingredient?: string | undefined;
}

const ROW_COLUMNS = [
  'kitchen_id',
  'import_id',
  'line',
  'code',
  'name',
  'pack_typed',
  'price_typed',
  'price',
  'verdict',
  'reason',
  'article_id',
  'price_before',
  'pack_before',
  'wanted',
  'ingredient_id',
] as const;

export async function insertListRows(
  sql: Sql,
  kitchenId: string,
  importId: string,
  rows: readonly ImportRow[],
): Promise<void> {
  await insertAll(
    sql,
    'price_import_row',
    ROW_COLUMNS,
    rows.map((r) => [
      kitchenId,
      importId,
      r.line,
      r.code?.slice(0, 40) ?? null,
      r.name?.slice(0, 160) ?? null,
      r.pack?.slice(0, 80) ?? null,
      r.priceTyped?.slice(0, 80) ?? null,
      r.price ?? null,
      r.verdict,
      r.reason?.slice(0, 400) ?? null,
      r.article ?? null,
      r.priceBefore ?? null,
      r.packBefore?.slice(0, 80) ?? null,
      r.wanted === undefined ? null : Number(r.wanted),
      r.ingredient ?? null,
    ]),
  );
}

export const clearRows = (sql: Sql, kitchenId: string, importId: string): Promise<number> =>
  run(sql, 'DELETE FROM price_import_row WHERE kitchen_id = ? AND import_id = ?', [kitchenId, importId]);

const row = z.object({
  line: figure,
  code: nullable(z.string()),
  name: nullable(z.string()),
  pack: nullable(z.string()),
  priceTyped: nullable(z.string()),
  price: nullable(money),
  verdict: z.enum(VERDICTS),
  reason: nullable(z.string()),
  article: nullable(id),
  priceBefore: nullable(money),
  packBefore: nullable(z.string()),
  wanted: z
    .number()
    .nullable()
    .transform((w) => (w === null ? undefined : w === 1)),
  ingredient: nullable(id),
});
const ROW =
  'line, code, name, pack_typed AS pack, price_typed AS priceTyped, price, verdict, reason, article_id AS article, price_before AS priceBefore, pack_before AS packBefore, wanted, ingredient_id AS ingredient';

export const listRowsOf = (
  sql: Sql,
  kitchenId: string,
  importId: string,
  verdict: Verdict,
  from: number,
  most: number,
): Promise<ImportRow[]> =>
  many(
    sql,
    row,
    `SELECT ${ROW} FROM price_import_row WHERE kitchen_id = ? AND import_id = ? AND verdict = ? ORDER BY line LIMIT ${Math.floor(most)} OFFSET ${Math.floor(from)}`,
    [kitchenId, importId, verdict],
  );

export const rowAt = (
  sql: Sql,
  kitchenId: string,
  importId: string,
  line: number,
): Promise<ImportRow | undefined> =>
  maybeOne(
    sql,
    row,
    `SELECT ${ROW} FROM price_import_row WHERE kitchen_id = ? AND import_id = ? AND line = ?`,
    [kitchenId, importId, line],
  );

/** Rows that would be written: moved ones nobody has taken out, and whatever somebody wants. */
export const WANTED = "COALESCE(wanted, verdict = 'moved')";

export const wantedRows = (sql: Sql, kitchenId: string, importId: string): Promise<ImportRow[]> =>
  many(
    sql,
    row,
    `SELECT ${ROW} FROM price_import_row WHERE kitchen_id = ? AND import_id = ? AND ${WANTED} AND price IS NOT NULL AND (article_id IS NOT NULL OR ingredient_id IS NOT NULL) ORDER BY line`,
    [kitchenId, importId],
  );

/** How many rows each verdict has, and how many of them would be written. */
export async function verdictCounts(
  sql: Sql,
  kitchenId: string,
  importId: string,
): Promise<Map<Verdict, { rows: number; wanted: number }>> {
  const counts = await many(
    sql,
    z.object({ verdict: z.enum(VERDICTS), n: figure, wanted: figure }),
    `SELECT verdict, COUNT(*) AS n, SUM(${WANTED}) AS wanted FROM price_import_row WHERE kitchen_id = ? AND import_id = ? GROUP BY verdict`,
    [kitchenId, importId],
  );
  return new Map(counts.map((c) => [c.verdict, { rows: c.n, wanted: c.wanted }]));
}

export const setWanted = (
  sql: Sql,
  kitchenId: string,
  importId: string,
  where: { line: number } | { verdict: Verdict },
  wanted: boolean,
): Promise<number> =>
  'line' in where
    ? run(sql, 'UPDATE price_import_row SET wanted = ? WHERE kitchen_id = ? AND import_id = ? AND line = ?', [
        Number(wanted),
        kitchenId,
        importId,
        where.line,
      ])
    : run(
        sql,
        'UPDATE price_import_row SET wanted = ? WHERE kitchen_id = ? AND import_id = ? AND verdict = ?',
        [Number(wanted), kitchenId, importId, where.verdict],
      );

/** Puts a row that has been decided again in the place of the old one. */
export async function replaceRow(
  sql: Sql,
  kitchenId: string,
  importId: string,
  next: ImportRow,
): Promise<void> {
  await run(sql, 'DELETE FROM price_import_row WHERE kitchen_id = ? AND import_id = ? AND line = ?', [
    kitchenId,
    importId,
    next.line,
  ]);
  await insertListRows(sql, kitchenId, importId, [next]);
}

/** A price in force as the preview saw it: for telling whether somebody changed it meanwhile. */
export const samePrice = (a: string | undefined, b: Decimal | undefined): boolean =>
  a === undefined ? b === undefined : b !== undefined && new Decimal(a).eq(b);
