import type { Pool } from 'mysql2/promise';
import { measuringDensity, stuffOf, type KitchenFile } from '@/core/kitchen-file';
import { readAmount, toGrams, type Amount } from '@/core/quantity';
import { fine, type Outcome } from '@/core/trouble';
import { newId } from './ids';
import { inTransaction, insertAll, run, type Sql } from './sql';
import { insertSteps } from './recipe-steps';
import { insertPlateLines } from './plate-lines';

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
      'INSERT INTO kitchen (id, name, currency, locale, zone, decimal_mark, trim_school, trim_set_value, reference_day) VALUES (?,?,?,?,?,?,?,?,?)',
      [
        k.id,
        k.name,
        k.currency,
        k.locale,
        k.zone,
        k.decimalMark,
        k.trim.school,
        k.trim.setValuePerKg,
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
      ['kitchen_id', 'id', 'name'],
      file.suppliers.map((s) => [k.id, s.id, s.name]),
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
      ['kitchen_id', 'id', 'name', 'net_kw', 'position'],
      file.hobs.map((h, i) => [k.id, h.id, h.name, h.netKw, i]),
    );
    await loadLarder(sql, file);
    await loadBuying(sql, file);
    await loadCooking(sql, file);
  });
}

async function loadLarder(sql: Sql, file: KitchenFile): Promise<void> {
  const k = file.kitchen.id;
  await insertAll(
    sql,
    'ingredient',
    ['kitchen_id', 'id', 'name', 'role', 'physics', 'trim_school', 'trim_set_value', 'position'],
    file.ingredients.map(({ id, name, role, yields: _yields, trim, ...physics }, i) => [
      k,
      id,
      name,
      role,
      JSON.stringify(physics),
      trim?.school ?? null,
      trim?.setValuePerKg ?? null,
      i,
    ]),
  );
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
      'basis',
    ],
    file.ingredients.flatMap((i) =>
      i.yields.map((y) => [
        k,
        newId(),
        i.id,
        y.on,
        at(y.recordedAt),
        y.usablePct,
        y.stockTrimPct,
        y.source,
        y.basis ?? null,
      ]),
    ),
  );
  const packs = new Map(file.articles.map((a) => [a.id, must(packOf(file, a))]));
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
      'position',
    ],
    file.articles.map((a, i) => {
      const { amount, grams, via } = packs.get(a.id) as { amount: Amount; grams: number; via: string };
      return [
        k,
        a.id,
        a.supplier,
        a.ingredient,
        a.name,
        a.code ?? null,
        a.pack,
        amount.value.toFixed(6),
        amount.kind,
        grams.toFixed(6),
        via,
        i,
      ];
    }),
  );
  await insertAll(
    sql,
    'price_quote',
    ['kitchen_id', 'id', 'article_id', 'effective_on', 'recorded_at', 'price_typed', 'price'],
    file.articles.flatMap((a) =>
      a.quotes.map((q) => [k, newId(), a.id, q.on, at(q.recordedAt), q.price, q.price]),
    ),
  );
}

/** What a pack, or any typed amount of an article, weighs. */
export function packOf(
  file: Pick<KitchenFile, 'ingredients' | 'kitchen'>,
  article: { ingredient: string; pack: string },
): Outcome<{ amount: Amount; grams: number; via: string }> {
  const ingredient = file.ingredients.find((i) => i.id === article.ingredient);
  if (!ingredient) throw new LoadError(`the ingredient ${article.ingredient} is not in the file`);
  const stuff = stuffOf(ingredient);
  if (!stuff.ok) return stuff;
  const amount = readAmount(article.pack, file.kitchen.decimalMark);
  if (!amount.ok) return amount;
  const grams = toGrams(amount.value, {
    name: ingredient.name,
    densityGPerMl: measuringDensity(ingredient, stuff.value),
    eachG: ingredient.eachG,
  });
  return grams.ok ? fine({ amount: amount.value, ...grams.value }) : grams;
}

async function loadBuying(sql: Sql, file: KitchenFile): Promise<void> {
  const k = file.kitchen.id;
  await insertAll(
    sql,
    'purchase',
    ['kitchen_id', 'id', 'supplier_id', 'effective_on', 'recorded_at', 'number'],
    file.purchases.map((p) => [k, p.id, p.supplier, p.on, at(p.recordedAt), p.number]),
  );
  await insertAll(
    sql,
    'purchase_line',
    [
      'kitchen_id',
      'purchase_id',
      'position',
      'kind',
      'article_id',
      'packs',
      'pack_price',
      'delivered_typed',
      'amount',
      'note',
    ],
    file.purchases.flatMap((p) =>
      p.lines.map((l, i) =>
        l.is === 'goods'
          ? [k, p.id, i, l.is, l.article, l.packs, l.packPrice, l.delivered ?? null, null, l.note ?? null]
          : [k, p.id, i, l.is, null, null, null, null, l.amount, l.note ?? null],
      ),
    ),
  );
  const articles = new Map(file.articles.map((a) => [a.id, a]));
  const receipts = file.purchases.flatMap((p) =>
    p.lines.flatMap((l) => {
      const article = l.is === 'goods' ? articles.get(l.article) : undefined;
      if (l.is !== 'goods' || !article) return [];
      const typed = l.delivered ?? `${l.packs} x ${article.pack}`;
      const { grams, via } = must(packOf(file, { ...article, pack: l.delivered ?? article.pack }));
      return [
        {
          purchase: p,
          lot: newId(),
          ingredient: article.ingredient,
          typed: typed.slice(0, 80),
          via,
          g: l.delivered ? grams : grams * l.packs,
        },
      ];
    }),
  );
  await insertAll(
    sql,
    'lot',
    ['kitchen_id', 'id', 'ingredient_id', 'made_on'],
    receipts.map((r) => [k, r.lot, r.ingredient, r.purchase.on]),
  );
  await insertAll(
    sql,
    'stock_movement',
    ['kitchen_id', 'id', 'lot_id', 'kind', 'effective_on', 'recorded_at', 'g', 'typed', 'via', 'purchase_id'],
    receipts.map((r) => [
      k,
      newId(),
      r.lot,
      'receipt',
      r.purchase.on,
      at(r.purchase.recordedAt),
      r.g.toFixed(6),
      r.typed,
      r.via,
      r.purchase.id,
    ]),
  );
}

async function loadCooking(sql: Sql, file: KitchenFile): Promise<void> {
  const k = file.kitchen;
  await insertAll(
    sql,
    'recipe',
    ['kitchen_id', 'id', 'name', 'vessel_id', 'hob_id', 'note', 'position'],
    file.recipes.map((r, i) => [k.id, r.id, r.name, r.vessel, r.hob, r.note ?? null, i]),
  );
  for (const r of file.recipes) await insertSteps(sql, k.id, r.id, r.steps, k.decimalMark);
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
  for (const p of file.plates) await insertPlateLines(sql, k.id, p.id, p.lines, k.decimalMark);
}
