import type { Pool } from 'mysql2/promise';
import {
  mannerIn,
  mergeTargets,
  packFacts,
  packOn,
  receivedOn,
  weigh,
  type KitchenFile,
  type WrittenArticle,
  type WrittenIngredient,
} from '@/core/kitchen-file';
import type { Outcome } from '@/core/trouble';
import { newId } from './ids';
import { inTransaction, insertAll, run, type Sql } from './sql';
import { insertSteps } from './recipe-steps';
import { jsonOrNull } from './typed';
import { insertPlateLines } from './plate-lines';
import { insertArticles, insertIngredients } from './larder-rows';
import { insertPurchases, type BookedPurchase } from './purchases';
import { bookWaste } from './wastes';
import { insertTests } from './yield-tests';

/** Hashes of what people sign in with, by person; made outside because hashing takes its time. */
export type Secrets = ReadonlyMap<string, { readonly password: string | null; readonly pin: string | null }>;

/** Thrown when a file that was read as sound cannot be stored: a programmer's mistake. */
export class LoadError extends Error {}

const at = (instant: string): Date => new Date(instant);
const must = <T>(outcome: Outcome<T>): T => {
  if (!outcome.ok) throw new LoadError(outcome.trouble.message);
  return outcome.value;
};

/**
 * Writes a whole kitchen, all of it or nothing, through the same door for the demo and for anyone's file.
 * Purchases write their receipts into the stock movements.
 */
export async function loadKitchen(pool: Pool, file: KitchenFile, secrets: Secrets): Promise<void> {
  await inTransaction(pool, async (sql) => {
    const k = file.kitchen;
    await run(
      sql,
      'INSERT INTO kitchen (id, name, currency, locale, zone, decimal_mark, trim_school, trim_set_value, price_basis, learning, wage_per_hour, electricity_per_kwh, gas_per_kwh, scale_address, reference_day) VALUES (?,?,?,?,?,?,?,?,?,?,?,?,?,?,?)',
      [
        k.id,
        k.name,
        k.currency,
        k.locale,
        k.zone,
        k.decimalMark,
        k.trim.school,
        k.trim.setValuePerKg,
        JSON.stringify(k.priceBasis),
        k.learning,
        k.wagePerHour ?? null,
        k.energyPerKwh.electricity ?? null,
        k.energyPerKwh.gas ?? null,
        k.scale ?? null,
        file.referenceDay,
      ],
    );
    await insertAll(
      sql,
      'person',
      ['kitchen_id', 'id', 'name', 'role', 'password_hash', 'pin_hash'],
      file.people.map((p) => [
        k.id,
        p.id,
        p.name,
        p.role,
        secrets.get(p.id)?.password ?? null,
        secrets.get(p.id)?.pin ?? null,
      ]),
    );
    await insertAll(
      sql,
      'supplier',
      ['kitchen_id', 'id', 'name', 'price_list', 'list_columns'],
      file.suppliers.map((s) => [k.id, s.id, s.name, s.priceList ?? null, jsonOrNull(s.columns)]),
    );
    await insertAll(
      sql,
      'house_measure',
      ['kitchen_id', 'id', 'name', 'amount_typed'],
      file.measures.map((m) => [k.id, m.id, m.name, m.amount]),
    );
    await insertAll(
      sql,
      'vessel',
      [
        'kitchen_id',
        'id',
        'name',
        'shape',
        'base_cm',
        'top_cm',
        'length_cm',
        'width_cm',
        'height_cm',
        'max_fill_pct',
        'position',
      ],
      file.vessels.map((v, i) => [
        k.id,
        v.id,
        v.name,
        v.shape,
        v.shape === 'round' ? v.baseCm : null,
        v.shape === 'round' ? v.topCm : null,
        v.shape === 'box' ? v.lengthCm : null,
        v.shape === 'box' ? v.widthCm : null,
        v.heightCm,
        v.maxFillPct,
        i,
      ]),
    );
    await insertAll(
      sql,
      'hob',
      ['kitchen_id', 'id', 'name', 'net_kw', 'fuel', 'efficiency_pct', 'draught', 'position'],
      file.hobs.map((h, i) => [
        k.id,
        h.id,
        h.name,
        h.netKw,
        h.fuel,
        h.efficiencyPct ?? null,
        h.draught ? 1 : 0,
        i,
      ]),
    );
    await loadLarder(sql, file);
    await loadBuying(sql, file);
    await loadCooking(sql, file);
    await loadBench(sql, file);
  });
}

async function loadLarder(sql: Sql, file: KitchenFile): Promise<void> {
  const k = file.kitchen.id;
  const manner = mannerIn(file);
  const ingredients = new Map(file.ingredients.map((i) => [i.id, i]));
  await insertIngredients(sql, k, file.ingredients);
  const rows = file.articles.map((article) => ({
    article,
    ingredient: ingredients.get(article.ingredient) as WrittenIngredient,
  }));
  await insertArticles(
    sql,
    k,
    rows.map(({ article, ingredient }) => ({
      article,
      pack: must(packOn({ ...article, weighings: [] }, ingredient, '', manner)),
    })),
  );
  await insertAll(
    sql,
    'price_quote',
    ['kitchen_id', 'id', 'article_id', 'effective_on', 'recorded_at', 'price_typed', 'price'],
    file.articles.flatMap((a) =>
      a.quotes.map((q) => [k, newId(), a.id, q.on, at(q.recordedAt), q.price, q.price]),
    ),
  );
  await insertAll(
    sql,
    'pack_weighing',
    ['kitchen_id', 'id', 'article_id', 'effective_on', 'recorded_at', 'held_typed', 'held_g'],
    rows.flatMap(({ article, ingredient }) =>
      article.weighings.map((w) => [
        k,
        newId(),
        article.id,
        w.on,
        at(w.recordedAt),
        w.held,
        must(weigh(w.held, ingredient, manner)).toFixed(6),
      ]),
    ),
  );
}

async function loadBuying(sql: Sql, file: KitchenFile): Promise<void> {
  const k = file.kitchen.id;
  const manner = mannerIn(file);
  const ingredients = new Map(file.ingredients.map((i) => [i.id, i]));
  const articles = new Map(file.articles.map((a) => [a.id, a]));
  const into = mergeTargets(file);
  const facts = packFacts(manner);
  const booked = file.purchases.map((purchase): BookedPurchase => ({
    purchase,
    goods: purchase.lines.map((line) => {
      if (line.is !== 'goods') return undefined;
      const article = articles.get(line.article) as WrittenArticle;
      const ingredient = ingredients.get(article.ingredient) as WrittenIngredient;
      const came = must(receivedOn(purchase, line, article, ingredient, manner, facts));
      return {
        line,
        ingredientId: into(ingredient.id),
        pack: article.pack,
        acceptedG: came.acceptedG,
        money: came.money.toFixed(4),
        via: came.via,
      };
    }),
  }));
  // An invoice stands before the credit note that corrects it.
  await insertPurchases(sql, k, booked);
  await insertAll(
    sql,
    'stock_count',
    ['kitchen_id', 'id', 'ingredient_id', 'effective_on', 'recorded_at', 'typed', 'g'],
    file.counts.map((c) => [
      k,
      newId(),
      c.ingredient,
      c.on,
      at(c.recordedAt),
      c.amount,
      must(weigh(c.amount, ingredients.get(c.ingredient) as WrittenIngredient, manner)).toFixed(6),
    ]),
  );
}

async function loadCooking(sql: Sql, file: KitchenFile): Promise<void> {
  const k = file.kitchen;
  await insertAll(
    sql,
    'recipe',
    ['kitchen_id', 'id', 'name', 'vessel_id', 'hob_id', 'note', 'batches_a_week', 'position'],
    file.recipes.map((r, i) => [k.id, r.id, r.name, r.vessel, r.hob, r.note ?? null, r.batchesAWeek, i]),
  );
  for (const r of file.recipes) await insertSteps(sql, k.id, r.id, r.steps, mannerIn(file));
  await insertAll(
    sql,
    'recipe_version',
    ['kitchen_id', 'recipe_id', 'version', 'effective_on', 'recorded_at', 'body'],
    file.recipes.map((r) => [
      k.id,
      r.id,
      1,
      file.referenceDay,
      at(`${file.referenceDay}T00:00:00.000Z`),
      JSON.stringify(r),
    ]),
  );
  await insertAll(
    sql,
    'plate',
    ['kitchen_id', 'id', 'name', 'menu_price', 'tax_pct', 'target_food_cost_pct', 'position'],
    file.plates.map((p, i) => [
      k.id,
      p.id,
      p.name,
      p.menuPrice ?? null,
      p.taxPct,
      p.targetFoodCostPct ?? null,
      i,
    ]),
  );
  for (const p of file.plates) await insertPlateLines(sql, k.id, p.id, p.lines, mannerIn(file));
}

/** Tests, and what was thrown away: after the purchases, whose lots it leaves. */
async function loadBench(sql: Sql, file: KitchenFile): Promise<void> {
  const manner = mannerIn(file);
  const into = mergeTargets(file);
  const ingredients = new Map(file.ingredients.map((i) => [i.id, i]));
  await insertTests(sql, file.kitchen.id, file.tests, manner);
  for (const waste of file.wastes) {
    const g = must(weigh(waste.amount, ingredients.get(waste.ingredient) as WrittenIngredient, manner));
    await bookWaste(sql, file.kitchen.id, { ...waste, ingredient: into(waste.ingredient) }, g, 'as written');
  }
}
