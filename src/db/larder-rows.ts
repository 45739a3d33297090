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
      'reference_id',
      'price_basis',
      'bought_as',
      'part_pack',
      'position',
    ],
    ingredients.map(
      (
        {
          id,
          name,
          role,
          yields: _y,
          trim,
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
        reference ?? null,
        jsonOrNull(priceBasis),
        boughtAs ?? null,
        partPack,
        firstPosition + i,
      ],
    ),
  );
  for (const { id, mergedInto } of ingredients)
    if (mergedInto !== undefined)
      await run(sql, 'UPDATE ingredient SET merged_into = ? WHERE kitchen_id = ? AND id = ?', [
        mergedInto,
        kitchenId,
        id,
      ]);
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
    ingredients.flatMap((i) =>
      i.yields.map((y) => [
        kitchenId,
        newId(),
        i.id,
        y.on,
        new Date(y.recordedAt),
        y.usablePct,
        y.stockTrimPct,
        y.source,
        y.low ?? null,
        y.high ?? null,
        y.basis ?? null,
      ]),
    ),
  );
}

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
