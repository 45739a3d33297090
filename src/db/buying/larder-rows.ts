import type { KitchenFile, Pack } from '@/core/kitchen-file';
import type { StateArticle } from '@/core/kitchen-state';
import { newId } from '../mapping/ids';
import { run, type Sql, insertRows } from '../sql';
import { LABEL, PHYSICS, PRICE_BASIS } from '../mapping/json-columns';
import { nullableJson } from '../mapping/columns';

/** Writes ingredients with their yields; also for those taken from the reference later. The article one is costed from is set when that is there. */
export async function insertIngredients(
  sql: Sql,
  kitchenId: string,
  ingredients: KitchenFile['ingredients'],
  firstPosition = 0,
): Promise<void> {
  await insertOwn(sql, kitchenId, ingredients, firstPosition);
  for (const { id, mergedInto, comesOff } of ingredients)
    if (mergedInto !== undefined || comesOff !== undefined)
      await run(
        sql,
        'UPDATE ingredient SET merged_into = ?, comes_off_id = ? WHERE kitchen_id = ? AND id = ?',
        [mergedInto ?? null, comesOff?.ingredient ?? null, kitchenId, id],
      );
  await insertYields(sql, kitchenId, ingredients);
  for (const i of ingredients) await insertCooked(sql, kitchenId, i.id, i.cooked);
}

/** What an ingredient says of itself: no other ingredient need be there yet. */
const insertOwn = (
  sql: Sql,
  kitchenId: string,
  ingredients: KitchenFile['ingredients'],
  firstPosition: number,
): Promise<void> =>
  insertRows(
    sql,
    'ingredient',
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
          boughtAs: _b,
          partPack,
          ...physics
        },
        i,
      ) => ({
        kitchen_id: kitchenId,
        id,
        name,
        role,
        physics: PHYSICS.write(physics),
        trim_school: trim?.school ?? null,
        trim_set_value: trim?.setValuePerKg ?? null,
        trim_taken_pct: trim?.takenPct ?? null,
        reference_id: reference ?? null,
        price_basis: nullableJson(PRICE_BASIS, priceBasis),
        part_pack: partPack,
        comes_off_value: comesOff?.setValuePerKg ?? null,
        comes_off_sold: comesOff?.sold ? 1 : 0,
        comes_off_taken_pct: comesOff?.takenPct ?? null,
        learn_season: learnFrom?.season ?? null,
        learn_supplier_id: learnFrom?.supplier ?? null,
        position: firstPosition + i,
      }),
    ),
  );

async function insertYields(
  sql: Sql,
  kitchenId: string,
  ingredients: KitchenFile['ingredients'],
): Promise<void> {
  const yields = ingredients.flatMap((i) => i.yields.map((y) => ({ ...y, id: newId(), of: i.id })));
  await insertRows(
    sql,
    'ingredient_yield',
    yields.map((y) => ({
      kitchen_id: kitchenId,
      id: y.id,
      ingredient_id: y.of,
      effective_on: y.on,
      recorded_at: new Date(y.recordedAt),
      usable_pct: y.usablePct,
      stock_trim_pct: y.stockTrimPct,
      source: y.source,
      low_pct: y.low ?? null,
      high_pct: y.high ?? null,
      basis: y.basis ?? null,
    })),
  );
  for (const y of yields) await insertByProducts(sql, kitchenId, y.id, y.byProducts);
}

/** What else comes off, of a yield that has just been written. */
export const insertByProducts = (
  sql: Sql,
  kitchenId: string,
  yieldId: string,
  byProducts: KitchenFile['ingredients'][number]['yields'][number]['byProducts'],
): Promise<void> =>
  insertRows(
    sql,
    'yield_by_product',
    byProducts.map((b, i) => ({
      kitchen_id: kitchenId,
      yield_id: yieldId,
      position: i,
      ingredient_id: b.ingredient,
      pct: b.pct,
    })),
  );

/** Adds accepted figures of cooking tests; earlier ones stay. */
export const insertCooked = (
  sql: Sql,
  kitchenId: string,
  ingredientId: string,
  cooked: KitchenFile['ingredients'][number]['cooked'],
): Promise<void> =>
  insertRows(
    sql,
    'cooked_figure',
    cooked.map((c) => ({
      kitchen_id: kitchenId,
      id: newId(),
      ingredient_id: ingredientId,
      figure: c.figure,
      effective_on: c.on,
      recorded_at: new Date(c.recordedAt),
      value: c.value,
      low: c.low ?? null,
      high: c.high ?? null,
      source: c.source,
      basis: c.basis ?? null,
    })),
  );

/** An article with what its pack came to. */
export interface ArticleRow {
  readonly article: StateArticle;
  readonly pack: Pack;
}

/** Writes articles; their quotes and weighings are written apart. */
export async function insertArticles(
  sql: Sql,
  kitchenId: string,
  rows: readonly ArticleRow[],
  firstPosition = 0,
): Promise<void> {
  await insertRows(
    sql,
    'supplier_article',
    rows.map(({ article: a, pack }, i) => ({
      kitchen_id: kitchenId,
      id: a.id,
      supplier_id: a.supplier,
      ingredient_id: a.ingredient,
      name: a.name,
      code: a.code ?? null,
      pack_typed: a.pack,
      pack_amount: pack.amount.toFixed(6),
      pack_kind: pack.kind,
      pack_g: pack.nominalG.toFixed(6),
      pack_via: pack.via,
      label: nullableJson(LABEL, a.label),
      position: firstPosition + i,
    })),
  );
}
