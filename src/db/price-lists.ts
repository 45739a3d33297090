import { z } from 'zod';
import { Decimal } from 'decimal.js';
import type { ListColumns, Verdict } from '@/core/price-list';
import { VERDICTS } from '@/core/price-list';
import { newId } from './ids';
import { figure, id, instant, json, maybe, money } from './rows';
import { insertAll, many, maybeOne, one, run, type Sql } from './sql';

export const IMPORT_STATES = ['columns', 'preview', 'accepted', 'undone', 'dropped'] as const;
export type ImportState = (typeof IMPORT_STATES)[number];

export interface PriceImport {
  readonly id: string;
  readonly supplier: string;
  readonly supplierName: string;
  readonly fileName: string;
  readonly startedAt: string;
  readonly state: ImportState;
  readonly on: string | undefined;
  readonly columns: ListColumns | undefined;
  readonly oddShare: number;
  readonly acceptedAt: string | undefined;
  readonly version: number;
}

const HEAD = `i.id, i.supplier_id AS supplier, s.name AS supplierName, i.file_name AS fileName, i.started_at AS startedAt,
  i.state, i.effective_on AS \`on\`, i.list_columns AS columns, i.odd_share AS oddShare, i.accepted_at AS acceptedAt, i.version`;
const head = z.object({
  id,
  supplier: id,
  supplierName: z.string(),
  fileName: z.string(),
  startedAt: instant,
  state: z.enum(IMPORT_STATES),
  on: maybe(z.string()),
  columns: maybe(json).transform((c) => c as ListColumns | undefined),
  oddShare: figure,
  acceptedAt: maybe(instant),
  version: figure,
});
const FROM = 'price_import i JOIN supplier s ON s.kitchen_id = i.kitchen_id AND s.id = i.supplier_id';

export const importsOf = (sql: Sql, kitchenId: string): Promise<PriceImport[]> =>
  many(
    sql,
    head,
    `SELECT ${HEAD} FROM ${FROM} WHERE i.kitchen_id = ? AND i.state <> 'dropped' ORDER BY i.started_at DESC, i.id DESC LIMIT 30`,
    [kitchenId],
  );

export const importById = (sql: Sql, kitchenId: string, importId: string): Promise<PriceImport | undefined> =>
  maybeOne(sql, head, `SELECT ${HEAD} FROM ${FROM} WHERE i.kitchen_id = ? AND i.id = ?`, [
    kitchenId,
    importId,
  ]);

export async function importBody(sql: Sql, kitchenId: string, importId: string): Promise<Buffer> {
  const row = await one(
    sql,
    z.object({ body: z.instanceof(Buffer) }),
    'SELECT body FROM price_import WHERE kitchen_id = ? AND id = ?',
    [kitchenId, importId],
  );
  return row.body;
}

/** Keeps a list's file, so that its columns can be chosen and chosen again. */
export async function insertImport(
  sql: Sql,
  kitchenId: string,
  i: {
    id: string;
    supplier: string;
    fileName: string;
    sha256: string;
    body: Buffer;
    at: Date;
    personId: string;
    oddShare: number;
  },
): Promise<void> {
  await sql.query(
    "INSERT INTO price_import (kitchen_id, id, supplier_id, file_name, file_sha256, body, started_at, person_id, state, odd_share) VALUES (?,?,?,?,?,?,?,?,'columns',?)",
    [kitchenId, i.id, i.supplier, i.fileName, i.sha256, i.body, i.at, i.personId, i.oddShare],
  );
}

/** A list with the very same content that was accepted and still stands. */
export const acceptedTwin = (
  sql: Sql,
  kitchenId: string,
  supplier: string,
  sha256: string,
): Promise<{ id: string; acceptedAt: string } | undefined> =>
  maybeOne(
    sql,
    z.object({ id, acceptedAt: instant }),
    "SELECT id, accepted_at AS acceptedAt FROM price_import WHERE kitchen_id = ? AND supplier_id = ? AND file_sha256 = ? AND state = 'accepted' ORDER BY accepted_at DESC LIMIT 1",
    [kitchenId, supplier, sha256],
  );

export async function setImport(
  sql: Sql,
  kitchenId: string,
  importId: string,
  part: {
    state?: ImportState;
    on?: string;
    columns?: ListColumns;
    oddShare?: number;
    acceptedAt?: Date;
    undoneAt?: Date;
  },
): Promise<void> {
  const sets: [string, string | number | Date][] = [];
  if (part.state) sets.push(['state = ?', part.state]);
  if (part.on) sets.push(['effective_on = ?', part.on]);
  if (part.columns) sets.push(['list_columns = ?', JSON.stringify(part.columns)]);
  if (part.oddShare !== undefined) sets.push(['odd_share = ?', part.oddShare]);
  if (part.acceptedAt) sets.push(['accepted_at = ?', part.acceptedAt]);
  if (part.undoneAt) sets.push(['undone_at = ?', part.undoneAt]);
  await run(
    sql,
    `UPDATE price_import SET version = version + 1${sets.map(([set]) => `, ${set}`).join('')} WHERE kitchen_id = ? AND id = ?`,
    [...sets.map(([, v]) => v), kitchenId, importId],
  );
}

export async function rememberColumns(
  sql: Sql,
  kitchenId: string,
  supplier: string,
  columns: ListColumns,
): Promise<void> {
  await run(
    sql,
    'UPDATE supplier SET list_columns = ?, version = version + 1 WHERE kitchen_id = ? AND id = ?',
    [JSON.stringify(columns), kitchenId, supplier],
  );
}

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

export async function insertRows(
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
  code: maybe(z.string()),
  name: maybe(z.string()),
  pack: maybe(z.string()),
  priceTyped: maybe(z.string()),
  price: maybe(money),
  verdict: z.enum(VERDICTS),
  reason: maybe(z.string()),
  article: maybe(id),
  priceBefore: maybe(money),
  packBefore: maybe(z.string()),
  wanted: z
    .number()
    .nullable()
    .transform((w) => (w === null ? undefined : w === 1)),
  ingredient: maybe(id),
});
const ROW =
  'line, code, name, pack_typed AS pack, price_typed AS priceTyped, price, verdict, reason, article_id AS article, price_before AS priceBefore, pack_before AS packBefore, wanted, ingredient_id AS ingredient';

export const rowsOf = (
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

/** Puts a row that has been decided anew in the place of the old one. */
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
  await insertRows(sql, kitchenId, importId, [next]);
}

/** Dated prices that came with an import. */
export async function insertImportQuotes(
  sql: Sql,
  kitchenId: string,
  importId: string,
  on: string,
  at: Date,
  quotes: readonly { article: string; typed: string; price: string }[],
): Promise<void> {
  await insertAll(
    sql,
    'price_quote',
    ['kitchen_id', 'id', 'article_id', 'effective_on', 'recorded_at', 'price_typed', 'price', 'import_id'],
    quotes.map((q) => [kitchenId, newId(), q.article, on, at, q.typed.slice(0, 80), q.price, importId]),
  );
}

/** Archives articles, or takes them out of the archive. */
export async function archiveArticles(
  sql: Sql,
  kitchenId: string,
  ids: readonly string[],
  at: Date | null,
): Promise<void> {
  for (let i = 0; i < ids.length; i += 400) {
    const part = ids.slice(i, i + 400);
    await run(
      sql,
      `UPDATE supplier_article SET archived_at = ?, version = version + 1 WHERE kitchen_id = ? AND id IN (${part.map(() => '?').join(',')})`,
      [at, kitchenId, ...part],
    );
  }
}

/** Articles of an import that somebody has given another price since, with that price. */
export const editedSince = (
  sql: Sql,
  kitchenId: string,
  importId: string,
): Promise<{ article: string; name: string; price: string }[]> =>
  many(
    sql,
    z.object({ article: id, name: z.string(), price: money }),
    `SELECT DISTINCT a.id AS article, a.name,
            (SELECT n.price FROM price_quote n WHERE n.kitchen_id = q.kitchen_id AND n.article_id = q.article_id AND n.withdrawn_at IS NULL
              ORDER BY n.recorded_at DESC, n.id DESC LIMIT 1) AS price
       FROM price_quote q
       JOIN supplier_article a ON a.kitchen_id = q.kitchen_id AND a.id = q.article_id
      WHERE q.kitchen_id = ? AND q.import_id = ? AND q.withdrawn_at IS NULL
        AND EXISTS (SELECT 1 FROM price_quote l WHERE l.kitchen_id = q.kitchen_id AND l.article_id = q.article_id
                     AND l.withdrawn_at IS NULL AND (l.import_id IS NULL OR l.import_id <> q.import_id) AND (l.recorded_at > q.recorded_at OR (l.recorded_at = q.recorded_at AND l.id > q.id)))
      ORDER BY a.name`,
    [kitchenId, importId],
  );

/** Withdraws an import's quotes, those of some articles left standing. Returns the articles withdrawn. */
export async function withdrawQuotes(
  sql: Sql,
  kitchenId: string,
  importId: string,
  keep: readonly string[],
  at: Date,
): Promise<string[]> {
  const stay = keep.length > 0 ? `AND article_id NOT IN (${keep.map(() => '?').join(',')})` : '';
  const rows = await many(
    sql,
    z.object({ article: id }),
    `SELECT DISTINCT article_id AS article FROM price_quote WHERE kitchen_id = ? AND import_id = ? AND withdrawn_at IS NULL ${stay}`,
    [kitchenId, importId, ...keep],
  );
  await run(
    sql,
    `UPDATE price_quote SET withdrawn_at = ? WHERE kitchen_id = ? AND import_id = ? AND withdrawn_at IS NULL ${stay}`,
    [at, kitchenId, importId, ...keep],
  );
  return rows.map((r) => r.article);
}

/** A price in force as the preview saw it: for telling whether somebody changed it meanwhile. */
export const samePrice = (a: string | undefined, b: Decimal | undefined): boolean =>
  a === undefined ? b === undefined : b !== undefined && new Decimal(a).eq(b);

const pack = z.object({ id, supplier: id, ingredient: id, name: z.string() });

/** Of some articles those that have no price left: they came with a list that was taken back. */
export async function articlesWithoutPrice(
  sql: Sql,
  kitchenId: string,
  articles: readonly string[],
): Promise<z.infer<typeof pack>[]> {
  if (articles.length === 0) return [];
  return many(
    sql,
    pack,
    `SELECT a.id, a.supplier_id AS supplier, a.ingredient_id AS ingredient, a.name FROM supplier_article a
      WHERE a.kitchen_id = ? AND a.id IN (${articles.map(() => '?').join(',')})
        AND NOT EXISTS (SELECT 1 FROM price_quote q WHERE q.kitchen_id = a.kitchen_id AND q.article_id = a.id AND q.withdrawn_at IS NULL)`,
    [kitchenId, ...articles],
  );
}

/** Articles put away at one instant: those a list replaced. */
export const archivedAt = (sql: Sql, kitchenId: string, at: Date): Promise<z.infer<typeof pack>[]> =>
  many(
    sql,
    pack,
    'SELECT id, supplier_id AS supplier, ingredient_id AS ingredient, name FROM supplier_article WHERE kitchen_id = ? AND archived_at = ?',
    [kitchenId, at],
  );
