import { z } from 'zod';
import { newId } from '../mapping/ids';
import { id, money } from '../mapping/rows';
import { many, run, type Sql, insertRows } from '../sql';

/** Dated prices that came with an import. */
export async function insertImportQuotes(
  sql: Sql,
  kitchenId: string,
  importId: string,
  on: string,
  at: Date,
  quotes: readonly { article: string; typed: string; price: string }[],
): Promise<void> {
  await insertRows(
    sql,
    'price_quote',
    quotes.map((q) => ({
      kitchen_id: kitchenId,
      id: newId(),
      article_id: q.article,
      effective_on: on,
      recorded_at: at,
      price_typed: q.typed.slice(0, 80),
      price: q.price,
      import_id: importId,
    })),
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
