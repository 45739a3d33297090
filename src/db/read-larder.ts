import { z } from 'zod';
import {
  figure,
  groupBy,
  id,
  instant,
  json,
  maybe,
  maybeFigure,
  money,
  versionsOf,
  type Reader,
} from './rows';

/** Ingredients and articles as the kitchen file has them. */
export async function readLarder(of: Reader, quotesOf: (article: string) => unknown[]) {
  const ingredients = await of(
    z.object({
      id,
      name: z.string(),
      role: z.string(),
      physics: json,
      trim_school: maybe(z.string()),
      trim_set_value: maybe(money),
      reference: maybe(id),
      mergedInto: maybe(id),
      priceBasis: maybe(json),
      boughtAs: maybe(id),
      partPack: z.string(),
      version: figure,
    }),
    'SELECT id, name, role, physics, trim_school, trim_set_value, reference_id AS reference, merged_into AS mergedInto, price_basis AS priceBasis, bought_as AS boughtAs, part_pack AS partPack, version FROM ingredient WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const yields = await of(
    z.object({
      ingredient_id: id,
      on: z.string(),
      recordedAt: instant,
      usablePct: figure,
      stockTrimPct: figure,
      source: z.string(),
      low: maybeFigure,
      high: maybeFigure,
      basis: maybe(z.string()),
    }),
    'SELECT ingredient_id, effective_on AS `on`, recorded_at AS recordedAt, usable_pct AS usablePct, stock_trim_pct AS stockTrimPct, source, low_pct AS low, high_pct AS high, basis FROM ingredient_yield WHERE kitchen_id = ? ORDER BY effective_on, recorded_at, id',
  );
  const articles = await of(
    z.object({
      id,
      supplier: id,
      ingredient: id,
      name: z.string(),
      code: maybe(z.string()),
      pack: z.string(),
      label: maybe(json),
      version: figure,
    }),
    'SELECT id, supplier_id AS supplier, ingredient_id AS ingredient, name, code, pack_typed AS pack, label, version FROM supplier_article WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const weighings = await of(
    z.object({ article_id: id, on: z.string(), recordedAt: instant, held: z.string() }),
    'SELECT article_id, effective_on AS `on`, recorded_at AS recordedAt, held_typed AS held FROM pack_weighing WHERE kitchen_id = ? ORDER BY effective_on, recorded_at, id',
  );
  const counts = await of(
    z.object({ ingredient: id, on: z.string(), recordedAt: instant, amount: z.string() }),
    'SELECT ingredient_id AS ingredient, effective_on AS `on`, recorded_at AS recordedAt, typed AS amount FROM stock_count WHERE kitchen_id = ? ORDER BY effective_on, recorded_at, id',
  );
  const yieldsOf = groupBy(yields, (y) => y.ingredient_id);
  const weighingsOf = groupBy(weighings, (w) => w.article_id);
  return {
    lists: {
      ingredients: ingredients.map(({ physics, trim_school, trim_set_value, version: _v, ...i }) => ({
        ...i,
        ...(physics as object),
        yields: (yieldsOf.get(i.id) ?? []).map(({ ingredient_id: _i, ...y }) => y),
        trim: trim_school === undefined ? undefined : { school: trim_school, setValuePerKg: trim_set_value },
      })),
      articles: articles.map(({ version: _v, ...a }) => ({
        ...a,
        weighings: (weighingsOf.get(a.id) ?? []).map(({ article_id: _a, ...w }) => w),
        quotes: quotesOf(a.id),
      })),
      counts,
    },
    versions: { ingredients: versionsOf(ingredients), articles: versionsOf(articles) },
  };
}
