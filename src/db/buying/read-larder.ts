import { z } from 'zod';
import { COOKED, SEASONS } from '@/core/learning';
import { TRIM_SCHOOLS } from '@/core/larder';
import type { KitchenState } from '@/core/kitchen-state';
import { LABEL, PHYSICS, PRICE_BASIS, type Physics } from '../mapping/json-columns';
import type { ChangedIds } from '../revisions';
import {
  among,
  figure,
  groupBy,
  id,
  instant,
  nullable,
  nullableFigure,
  money,
  versionsOf,
  type Reader,
} from '../mapping/rows';

/** Ids of those that are to be read; all where there are none. */
type Some = readonly string[] | undefined;

const readIngredients = (of: Reader, ids: Some) =>
  of(
    z.object({
      id,
      name: z.string(),
      role: z.enum(['liquid', 'piece']),
      physics: PHYSICS.read,
      trim_school: nullable(z.enum(TRIM_SCHOOLS)),
      trim_set_value: nullable(money),
      trim_taken_pct: nullableFigure,
      comes_off_id: nullable(id),
      comes_off_value: nullable(money),
      comes_off_sold: figure,
      comes_off_taken_pct: nullableFigure,
      learn_season: nullable(z.enum([...SEASONS, 'now'])),
      learn_supplier_id: nullable(id),
      reference: nullable(id),
      mergedInto: nullable(id),
      priceBasis: nullable(PRICE_BASIS.read),
      boughtAs: nullable(id),
      partPack: z.enum(['part', 'whole']),
      version: figure,
    }),
    'SELECT id, name, role, physics, trim_school, trim_set_value, trim_taken_pct, comes_off_id, comes_off_value, comes_off_sold, comes_off_taken_pct, learn_season, learn_supplier_id, reference_id AS reference, merged_into AS mergedInto, price_basis AS priceBasis, bought_as AS boughtAs, part_pack AS partPack, version FROM ingredient WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
    among('id', ids),
  );

const readYields = (of: Reader, ids: Some) =>
  of(
    z.object({
      id,
      ingredient_id: id,
      on: z.string(),
      recordedAt: instant,
      usablePct: figure,
      stockTrimPct: figure,
      source: z.enum(['estimate', 'measured']),
      low: nullableFigure,
      high: nullableFigure,
      basis: nullable(z.string()),
    }),
    'SELECT id, ingredient_id, effective_on AS `on`, recorded_at AS recordedAt, usable_pct AS usablePct, stock_trim_pct AS stockTrimPct, source, low_pct AS low, high_pct AS high, basis FROM ingredient_yield WHERE kitchen_id = ? ORDER BY effective_on, recorded_at, id',
    among('ingredient_id', ids),
  );

const readByProducts = (of: Reader, ids: Some) =>
  of(
    z.object({ yield_id: id, ingredient: id, pct: figure }),
    'SELECT yield_id, ingredient_id AS ingredient, pct FROM yield_by_product WHERE kitchen_id = ? ORDER BY yield_id, position',
    among('yield_id', ids),
  );

const readCooked = (of: Reader, ids: Some) =>
  of(
    z.object({
      ingredient_id: id,
      figure: z.enum(COOKED),
      on: z.string(),
      recordedAt: instant,
      value: figure,
      low: nullableFigure,
      high: nullableFigure,
      source: z.enum(['estimate', 'measured']),
      basis: nullable(z.string()),
    }),
    'SELECT ingredient_id, figure, effective_on AS `on`, recorded_at AS recordedAt, value, low, high, source, basis FROM cooked_figure WHERE kitchen_id = ? ORDER BY effective_on, recorded_at, id',
    among('ingredient_id', ids),
  );

const readArticles = (of: Reader, ids: Some) =>
  of(
    z.object({
      id,
      supplier: id,
      ingredient: id,
      name: z.string(),
      code: nullable(z.string()),
      pack: z.string(),
      label: nullable(LABEL.read),
      version: figure,
    }),
    'SELECT id, supplier_id AS supplier, ingredient_id AS ingredient, name, code, pack_typed AS pack, label, version FROM supplier_article WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
    among('id', ids),
  );

const readWeighings = (of: Reader, ids: Some) =>
  of(
    z.object({ article_id: id, on: z.string(), recordedAt: instant, held: z.string() }),
    'SELECT article_id, effective_on AS `on`, recorded_at AS recordedAt, held_typed AS held FROM pack_weighing WHERE kitchen_id = ? AND withdrawn_at IS NULL ORDER BY effective_on, recorded_at, id',
    among('article_id', ids),
  );

/** Ingredients and articles as they stand now, all of them or some, with the versions they were read at. */
export async function readLarder(of: Reader, only?: Pick<ChangedIds, 'ingredients' | 'articles'>) {
  const ingredients = await readIngredients(of, only?.ingredients);
  const yields = await readYields(of, only?.ingredients);
  const byProducts = await readByProducts(of, only && yields.map((y) => y.id));
  const cooked = await readCooked(of, only?.ingredients);
  const articles = await readArticles(of, only?.articles);
  const weighings = await readWeighings(of, only?.articles);
  const yieldsOf = groupBy(yields, (y) => y.ingredient_id);
  const byProductsOf = groupBy(byProducts, (b) => b.yield_id);
  const cookedOf = groupBy(cooked, (c) => c.ingredient_id);
  const weighingsOf = groupBy(weighings, (w) => w.article_id);
  const lists: Pick<KitchenState, 'ingredients' | 'articles'> = {
    ingredients: ingredients.map((row) => ({
      ...own(row),
      yields: (yieldsOf.get(row.id) ?? []).map(({ ingredient_id: _i, id: yieldId, ...y }) => ({
        ...y,
        byProducts: (byProductsOf.get(yieldId) ?? []).map(({ yield_id: _y, ...b }) => b),
      })),
      cooked: (cookedOf.get(row.id) ?? []).map(({ ingredient_id: _i, ...c }) => c),
    })),
    articles: articles.map(({ version: _v, ...a }) => ({
      ...a,
      weighings: (weighingsOf.get(a.id) ?? []).map(({ article_id: _a, ...w }) => w),
    })),
  };
  return {
    lists,
    versions: { ingredients: versionsOf(ingredients), articles: versionsOf(articles) },
  };
}

interface IngredientRow {
  readonly physics: Physics;
  readonly trim_school: (typeof TRIM_SCHOOLS)[number] | undefined;
  readonly trim_set_value: string | undefined;
  readonly trim_taken_pct: number | undefined;
  readonly comes_off_id: string | undefined;
  readonly comes_off_value: string | undefined;
  readonly comes_off_sold: number;
  readonly comes_off_taken_pct: number | undefined;
  readonly learn_season: (typeof SEASONS)[number] | 'now' | undefined;
  readonly learn_supplier_id: string | undefined;
  readonly version: number;
}

/** An ingredient's own row as the kitchen file has it: columns that belong together, together. */
function own<T extends IngredientRow>(row: T) {
  const {
    physics,
    trim_school: school,
    trim_set_value: setValuePerKg,
    trim_taken_pct: takenPct,
    comes_off_id: comesOff,
    comes_off_value,
    comes_off_sold,
    comes_off_taken_pct,
    learn_season: season,
    learn_supplier_id: supplier,
    version: _v,
    ...i
  } = row;
  const any = (...values: unknown[]): boolean => values.some((v) => v !== undefined);
  return {
    ...i,
    ...physics,
    trim: any(school, setValuePerKg, takenPct) ? { school, setValuePerKg, takenPct } : undefined,
    comesOff:
      comesOff === undefined
        ? undefined
        : {
            ingredient: comesOff,
            setValuePerKg: comes_off_value,
            sold: comes_off_sold === 1,
            takenPct: comes_off_taken_pct,
          },
    learnFrom: any(season, supplier) ? { season, supplier } : undefined,
  };
}
