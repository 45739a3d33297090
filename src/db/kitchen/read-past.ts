import { Decimal } from 'decimal.js';
import { z } from 'zod';
import {
  mergeTargets,
  type ArticleHistory,
  type Counted,
  type History,
  type KitchenState,
  type PricePoint,
} from '@/core/kitchen-state';
import type { Receipt } from '@/core/larder';
import type { ChangedIds } from '../revisions';
import { figure, groupBy, id, instant, nullable, nullableFigure, money, type Reader } from '../mapping/rows';
import { many, type Sql } from '../sql';

/** Every quote, purchase and count of a kitchen, as the kitchen file has them. */
export async function readPast(of: Reader) {
  const quotes = await of(
    z.object({ article_id: id, on: z.string(), recordedAt: instant, price: money }),
    'SELECT article_id, effective_on AS `on`, recorded_at AS recordedAt, price FROM price_quote WHERE kitchen_id = ? AND purchase_id IS NULL AND withdrawn_at IS NULL ORDER BY effective_on, recorded_at, id',
  );
  const purchases = await of(
    z.object({
      id,
      kind: z.string(),
      corrects: nullable(id),
      supplier: id,
      on: z.string(),
      recordedAt: instant,
      number: z.string(),
    }),
    'SELECT id, kind, corrects_id AS corrects, supplier_id AS supplier, effective_on AS `on`, recorded_at AS recordedAt, number FROM purchase WHERE kitchen_id = ? AND withdrawn_at IS NULL ORDER BY recorded_at, id',
  );
  const lines = await of(
    z.object({
      id,
      purchase_id: id,
      is: z.string(),
      article: nullable(id),
      packs: nullableFigure,
      packPrice: nullable(money),
      delivered: nullable(z.string()),
      rejected: nullable(z.string()),
      inPlaceOf: nullable(id),
      amount: nullable(money),
      note: nullable(z.string()),
    }),
    'SELECT id, purchase_id, kind AS `is`, article_id AS article, packs, pack_price AS packPrice, delivered_typed AS delivered, rejected_typed AS rejected, in_place_of AS inPlaceOf, amount, note FROM purchase_line WHERE kitchen_id = ? ORDER BY purchase_id, position',
  );
  const counts = await of(
    z.object({ ingredient: id, on: z.string(), recordedAt: instant, amount: z.string() }),
    'SELECT ingredient_id AS ingredient, effective_on AS `on`, recorded_at AS recordedAt, typed AS amount FROM stock_count WHERE kitchen_id = ? AND withdrawn_at IS NULL ORDER BY effective_on, recorded_at, id',
  );
  const linesOf = groupBy(lines, (l) => l.purchase_id);
  const plainQuotes = groupBy(quotes, (q) => q.article_id);
  return {
    counts,
    quotesOf: new Map([...plainQuotes].map(([a, list]) => [a, list.map(({ article_id: _a, ...q }) => q)])),
    purchases: purchases.map((p) => ({
      ...p,
      lines: (linesOf.get(p.id) ?? []).map(({ purchase_id: _p, ...l }) => l),
    })),
  };
}

const point = z.object({
  article_id: id,
  on: z.string(),
  recordedAt: instant,
  price: z.string(),
  invoice: nullable(z.string()),
});

/** The past of a kitchen as it was read for a day. */
export interface ReadPast {
  readonly history: History;
  readonly past: ReadonlyMap<string, ArticleHistory>;
  readonly counts: ReadonlyMap<string, Counted>;
  /** Articles whose price stands on what was bought. */
  readonly byReceipts: ReadonlySet<string>;
}

const NOTHING: ArticleHistory = { points: [], receipts: [] };

/**
 * As much of the past as the prices of one day need: of each article the quote in force, and the
 * receipts of those whose basis is an average or the stock.
 * @param before read for the same day earlier, with what has moved since: only that is read then
 */
export async function readHistory(
  sql: Sql,
  kitchenId: string,
  state: KitchenState,
  day: string,
  knownBy: Date | undefined,
  before?: { readonly read: ReadPast; readonly moved: Pick<ChangedIds, 'articles' | 'ingredients'> },
): Promise<ReadPast> {
  const until = knownBy ?? new Date('9999-12-31T00:00:00Z');
  const byReceipts = new Set(articlesByReceipts(state));
  const only = before && touched(state, before, byReceipts);
  if (before && only?.length === 0 && before.moved.ingredients.length === 0) return before.read;
  const points = await pointsInForce(sql, kitchenId, day, until, only);
  const wanted = only ? only.filter((a) => byReceipts.has(a)) : [...byReceipts];
  const receipts = await receiptsOf(sql, kitchenId, wanted, day, until);
  const fresh = new Map<string, ArticleHistory>(
    points.map(({ article_id, price, ...p }): [string, ArticleHistory] => [
      article_id,
      { points: [{ ...p, price: new Decimal(price) }], receipts: receipts.get(article_id) ?? [] },
    ]),
  );
  const past = before ? new Map(before.read.past) : fresh;
  for (const article of only ?? []) {
    const now = fresh.get(article);
    if (now) past.set(article, now);
    else past.delete(article);
  }
  const counts = await countsOf(sql, kitchenId, day, until, before);
  return {
    past,
    counts,
    byReceipts,
    history: {
      article: (article) => past.get(article) ?? NOTHING,
      counted: (ingredient) => counts.get(ingredient),
    },
  };
}

/** Articles whose past is to be read again: those that moved, of ingredients that did, and whose basis is now another kind. */
function touched(
  state: KitchenState,
  { read, moved }: { readonly read: ReadPast; readonly moved: Pick<ChangedIds, 'articles' | 'ingredients'> },
  byReceipts: ReadonlySet<string>,
): string[] {
  const ingredients = new Set(moved.ingredients);
  const found = new Set(moved.articles);
  for (const a of state.articles)
    if (ingredients.has(a.ingredient) || byReceipts.has(a.id) !== read.byReceipts.has(a.id)) found.add(a.id);
  return [...found];
}

/** Of each article, or of some, the quote in force on a day. */
async function pointsInForce(
  sql: Sql,
  kitchenId: string,
  day: string,
  until: Date,
  only: readonly string[] | undefined,
  without?: string,
) {
  if (only?.length === 0) return [];
  // One dive into the index for each article, whatever its past is long.
  return many(
    sql,
    point,
    `SELECT q.article_id, q.effective_on AS \`on\`, q.recorded_at AS recordedAt, q.price, p.number AS invoice
       FROM supplier_article a
       JOIN price_quote q ON q.kitchen_id = a.kitchen_id AND q.id = (
         SELECT n.id FROM price_quote n
          WHERE n.kitchen_id = a.kitchen_id AND n.article_id = a.id AND n.effective_on <= ?
            AND (n.withdrawn_at IS NULL OR n.withdrawn_at > ?) AND n.recorded_at <= ?${without === undefined ? '' : ' AND NOT n.purchase_id <=> ?'}
          ORDER BY n.effective_on DESC, n.recorded_at DESC, n.id DESC LIMIT 1)
       LEFT JOIN purchase p ON p.kitchen_id = q.kitchen_id AND p.id = q.purchase_id
      WHERE a.kitchen_id = ? AND a.archived_at IS NULL${only ? ` AND a.id IN (${only.map(() => '?').join(',')})` : ''}`,
    [day, until, until, ...(without === undefined ? [] : [without]), kitchenId, ...(only ?? [])],
  );
}

/** What was last counted of each ingredient on or before a day; of what has been read before only what has moved is read. */
async function countsOf(
  sql: Sql,
  kitchenId: string,
  day: string,
  until: Date,
  before: { readonly read: ReadPast; readonly moved: Pick<ChangedIds, 'ingredients'> } | undefined,
): Promise<ReadonlyMap<string, Counted>> {
  const only = before?.moved.ingredients;
  if (only?.length === 0) return before?.read.counts ?? new Map<string, Counted>();
  const rows = await many(
    sql,
    z.object({ ingredient: id, on: z.string(), recordedAt: instant, amount: z.string() }),
    `SELECT c.ingredient_id AS ingredient, c.effective_on AS \`on\`, c.recorded_at AS recordedAt, c.typed AS amount
       FROM ingredient i
       JOIN stock_count c ON c.kitchen_id = i.kitchen_id AND c.id = (
         SELECT n.id FROM stock_count n
          WHERE n.kitchen_id = i.kitchen_id AND n.ingredient_id = i.id AND n.effective_on <= ? AND n.recorded_at <= ? AND (n.withdrawn_at IS NULL OR n.withdrawn_at > ?)
          ORDER BY n.effective_on DESC, n.recorded_at DESC, n.id DESC LIMIT 1)
      WHERE i.kitchen_id = ? AND i.archived_at IS NULL${only ? ` AND i.id IN (${only.map(() => '?').join(',')})` : ''}`,
    [day, until, until, kitchenId, ...(only ?? [])],
  );
  const counts = new Map(before?.read.counts);
  for (const gone of only ?? []) counts.delete(gone);
  for (const { ingredient, ...count } of rows) counts.set(ingredient, count);
  return counts;
}

/** Articles whose price stands on what was bought rather than on the newest quote. */
function articlesByReceipts(state: KitchenState): string[] {
  const into = mergeTargets(state);
  const basis = new Map(state.ingredients.map((i) => [i.id, (i.priceBasis ?? state.kitchen.priceBasis).by]));
  return state.articles
    .filter((a) => ['average', 'stock'].includes(basis.get(into(a.ingredient)) ?? 'latest'))
    .map((a) => a.id);
}

/** What came in of some articles up to a day, by article, oldest first. */
export async function receiptsOf(
  sql: Sql,
  kitchenId: string,
  articles: readonly string[],
  day: string,
  until: Date,
  without?: string,
): Promise<Map<string, Receipt[]>> {
  if (articles.length === 0) return new Map();
  const rows = await many(
    sql,
    z.object({
      article_id: id,
      on: z.string(),
      recordedAt: instant,
      invoice: z.string(),
      g: figure,
      money: z.string(),
    }),
    `SELECT l.article_id, p.effective_on AS \`on\`, p.recorded_at AS recordedAt, p.number AS invoice, l.accepted_g AS g, l.money
       FROM purchase_line l JOIN purchase p ON p.kitchen_id = l.kitchen_id AND p.id = l.purchase_id
      WHERE l.kitchen_id = ? AND l.article_id IN (${articles.map(() => '?').join(',')})
        AND l.kind = 'goods' AND p.effective_on <= ? AND p.recorded_at <= ? AND (p.withdrawn_at IS NULL OR p.withdrawn_at > ?)${without === undefined ? '' : ' AND p.id <> ?'}
      ORDER BY p.effective_on, p.recorded_at, p.id, l.position`,
    [kitchenId, ...articles, day, until, until, ...(without === undefined ? [] : [without])],
  );
  const groups = groupBy(rows, (r) => r.article_id);
  return new Map(
    [...groups].map(([a, list]) => [
      a,
      list.map(({ article_id: _a, money: paid, ...r }): Receipt => ({ ...r, money: new Decimal(paid) })),
    ]),
  );
}

/** What some articles' prices of a day would stand on if an invoice had not been written down. */
export async function pastWithout(
  sql: Sql,
  kitchenId: string,
  purchase: string,
  articles: readonly string[],
  day: string,
): Promise<ReadonlyMap<string, ArticleHistory>> {
  const until = new Date('9999-12-31T00:00:00Z');
  const points = await pointsInForce(sql, kitchenId, day, until, articles, purchase);
  const receipts = await receiptsOf(sql, kitchenId, articles, day, until, purchase);
  const inForce = new Map(
    points.map(({ article_id, price, ...p }) => [article_id, { ...p, price: new Decimal(price) }]),
  );
  return new Map(
    articles.map((a): [string, ArticleHistory] => {
      const now = inForce.get(a);
      return [a, { points: now ? [now] : [], receipts: receipts.get(a) ?? [] }];
    }),
  );
}

/** Every dated price of some articles, oldest first: what a chart of movement draws. */
export async function pointsOf(
  sql: Sql,
  kitchenId: string,
  articles: readonly string[],
): Promise<Map<string, PricePoint[]>> {
  if (articles.length === 0) return new Map();
  const rows = await many(
    sql,
    point,
    `SELECT q.article_id, q.effective_on AS \`on\`, q.recorded_at AS recordedAt, q.price, p.number AS invoice
       FROM price_quote q LEFT JOIN purchase p ON p.kitchen_id = q.kitchen_id AND p.id = q.purchase_id
      WHERE q.kitchen_id = ? AND q.article_id IN (${articles.map(() => '?').join(',')}) AND q.withdrawn_at IS NULL
      ORDER BY q.effective_on, q.recorded_at, q.id`,
    [kitchenId, ...articles],
  );
  const groups = groupBy(rows, (r) => r.article_id);
  return new Map(
    [...groups].map(([a, list]) => [
      a,
      list.map(({ article_id: _a, price, ...p }): PricePoint => ({ ...p, price: new Decimal(price) })),
    ]),
  );
}
