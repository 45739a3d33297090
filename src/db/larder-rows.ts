import type { KitchenFile, Pack, WrittenArticle } from '@/core/kitchen-file';
import { newId } from './ids';
import { insertAll, run, type Sql } from './sql';
import { jsonOrNull } from './typed';

/** Writes ingredients with their yields; also for those taken from the reference later. */
export async function insertIngredients(
  sql: Sql,
  kitchenId: string,
  ingredients: KitchenFile['ingredients'],
  firstPosition = 0,
): Promise<void> {
  await insertAll(
    sql,
    'ingredient',
    [
      'kitchen_id',
      'id',
      'name',
      'role',
      'physics',
      'trim_school',
      'trim_set_value',
      'trim_taken_pct',
      'reference_id',
      'price_basis',
      'bought_as',
      'part_pack',
      'comes_off_value',
      'comes_off_sold',
      'comes_off_taken_pct',
      'learn_season',
      'learn_supplier_id',
      'position',
    ],
    ingredients.map(
      (
        {
          id,
          name,
          role,
          yields: _y,
          cooked: _k,
          trim,
          comesOff,
          learnFrom,
          reference,
          mergedInto: _m,
          priceBasis,
          boughtAs,
          partPack,
          ...physics
        },
        i,
      ) => [
        kitchenId,
        id,
        name,
        role,
        JSON.stringify(physics),
        trim?.school ?? null,
        trim?.setValuePerKg ?? null,
        trim?.takenPct ?? null,
        reference ?? null,
        jsonOrNull(priceBasis),
        boughtAs ?? null,
        partPack,
        comesOff?.setValuePerKg ?? null,
        comesOff?.sold ? 1 : 0,
        comesOff?.takenPct ?? null,
        learnFrom?.season ?? null,
        learnFrom?.supplier ?? null,
        firstPosition + i,
      ],
    ),
  );
  for (const { id, mergedInto, comesOff } of ingredients)
    if (mergedInto !== undefined || comesOff !== undefined)
      await run(
        sql,
        'UPDATE ingredient SET merged_into = ?, comes_off_id = ? WHERE kitchen_id = ? AND id = ?',
        [mergedInto ?? null, comesOff?.ingredient ?? null, kitchenId, id],
      );
  const yields = ingredients.flatMap((i) => i.yields.map((y) => ({ ...y, id: newId(), of: i.id })));
  await insertAll(
    sql,
    'ingredient_yield',
    [
      'kitchen_id',
      'id',
      'ingredient_id',
      'effective_on',
      'recorded_at',
      'usable_pct',
      'stock_trim_pct',
      'source',
      'low_pct',
      'high_pct',
      'basis',
    ],
    yields.map((y) => [
      kitchenId,
      y.id,
      y.of,
      y.on,
      new Date(y.recordedAt),
      y.usablePct,
      y.stockTrimPct,
      y.source,
      y.low ?? null,
      y.high ?? null,
      y.basis ?? null,
    ]),
  );
  for (const y of yields) await insertByProducts(sql, kitchenId, y.id, y.byProducts);
  for (const i of ingredients) await insertCooked(sql, kitchenId, i.id, i.cooked);
}

/** What else comes off, of a yield that has just been written. */
export const insertByProducts = (
  sql: Sql,
  kitchenId: string,
  yieldId: string,
  byProducts: KitchenFile['ingredients'][number]['yields'][number]['byProducts'],
): Promise<void> =>
  insertAll(
    sql,
    'yield_by_product',
    ['kitchen_id', 'yield_id', 'position', 'ingredient_id', 'pct'],
    byProducts.map((b, i) => [kitchenId, yieldId, i, b.ingredient, b.pct]),
  );

/** Adds accepted figures of cooking tests; earlier ones stay. */
export const insertCooked = (
  sql: Sql,
  kitchenId: string,
  ingredientId: string,
  cooked: KitchenFile['ingredients'][number]['cooked'],
): Promise<void> =>
  insertAll(
    sql,
    'cooked_figure',
    [
      'kitchen_id',
      'id',
      'ingredient_id',
      'figure',
      'effective_on',
      'recorded_at',
      'value',
      'low',
      'high',
      'source',
      'basis',
    ],
    cooked.map((c) => [
      kitchenId,
      newId(),
      ingredientId,
      c.figure,
      c.on,
      new Date(c.recordedAt),
      c.value,
      c.low ?? null,
      c.high ?? null,
      c.source,
      c.basis ?? null,
    ]),
  );

/** An article with what its pack came to. */
export interface ArticleRow {
  readonly article: WrittenArticle;
  readonly pack: Pack;
}

/** Writes articles; their quotes and weighings are written apart. */
export async function insertArticles(
  sql: Sql,
  kitchenId: string,
  rows: readonly ArticleRow[],
  firstPosition = 0,
): Promise<void> {
  await insertAll(
    sql,
    'supplier_article',
    [
      'kitchen_id',
      'id',
      'supplier_id',
      'ingredient_id',
      'name',
      'code',
      'pack_typed',
      'pack_amount',
      'pack_kind',
      'pack_g',
      'pack_via',
      'label',
      'position',
    ],
    rows.map(({ article: a, pack }, i) => [
      kitchenId,
      a.id,
      a.supplier,
      a.ingredient,
      a.name,
      a.code ?? null,
      a.pack,
      pack.amount.toFixed(6),
      pack.kind,
      pack.nominalG.toFixed(6),
      pack.via,
      jsonOrNull(a.label),
      firstPosition + i,
    ]),
  );
}
