import type { Pool } from 'mysql2/promise';
import { insertBatches } from '../cooking/batches';
import {
  mannerIn,
  packFacts,
  packOn,
  receivedOn,
  weigh,
  type KitchenFile,
  type WrittenArticle,
  type WrittenIngredient,
} from '@/core/kitchen-file';
import { mergeTargets } from '@/core/kitchen-state';
import type { Outcome } from '@/core/trouble';
import { withFreshMark } from '../revisions';
import { newId } from '../mapping/ids';
import { setIngredient } from '../buying/larder-edits';
import { inTransaction, run, type Sql, insertRows } from '../sql';
import { insertSteps, withIds } from '../recipes/recipe-steps';
import {
  BOILS,
  CHOICES,
  FOLLOWS,
  LABOUR_COLUMN,
  HOUSE_RULES,
  LIST_COLUMNS,
  PRICE_BASIS,
  RECIPE,
  ASKS,
  ANSWER_COLUMN,
  TRIALS,
} from '../mapping/json-columns';
import { nullableJson } from '../mapping/columns';
import { writeMenuPlates } from '../recipes/menus';
import { insertPlateLines } from '../recipes/plate-lines';
import { insertArticles, insertIngredients } from '../buying/larder-rows';
import { insertPurchases, type BookedPurchase } from '../buying/purchases';
import { bookWaste } from '../cooking/wastes';
import { hobRow, vesselRow } from '../cooking/stove';
import { insertTests } from '../cooking/yield-tests';

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
    await withFreshMark(sql, file.kitchen.id, async () => {
      await loadOwnRow(sql, file);
      await loadHouse(sql, file, secrets);
      await loadLarder(sql, file);
      await loadBuying(sql, file);
      await loadCooking(sql, file);
      await loadBench(sql, file);
    });
  });
}

async function loadOwnRow(sql: Sql, file: KitchenFile): Promise<void> {
  const k = file.kitchen;
  await run(
    sql,
    'INSERT INTO kitchen (id, name, currency, locale, zone, decimal_mark, trim_school, trim_set_value, price_basis, learning, wage_per_hour, electricity_per_kwh, gas_per_kwh, usual_tax_pct, usual_target_pct, cooks_may_change, scale_address, hands, shown_in, house_rules, reference_day) VALUES (?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?,?)',
    [
      k.id,
      k.name,
      k.currency,
      k.locale,
      k.zone,
      k.decimalMark,
      k.trim.school,
      k.trim.setValuePerKg,
      PRICE_BASIS.write(k.priceBasis),
      k.learning,
      k.wagePerHour ?? null,
      k.energyPerKwh.electricity ?? null,
      k.energyPerKwh.gas ?? null,
      k.usualTaxPct ?? null,
      k.usualTargetPct ?? null,
      k.cooksMayChange ? 1 : 0,
      k.scale ?? null,
      k.hands || k.sharedHands ? LABOUR_COLUMN.write({ kinds: k.hands, shared: k.sharedHands }) : null,
      k.shownIn ?? 'metric',
      nullableJson(HOUSE_RULES, k.rules),
      file.referenceDay,
    ],
  );
}

/** Who works there, who sells to it, its measures; and what stands on the stove. */
async function loadHouse(sql: Sql, file: KitchenFile, secrets: Secrets): Promise<void> {
  const k = file.kitchen;
  await insertRows(
    sql,
    'person',
    file.people.map((p) => ({
      kitchen_id: k.id,
      id: p.id,
      name: p.name,
      role: p.role,
      password_hash: secrets.get(p.id)?.password ?? null,
      pin_hash: secrets.get(p.id)?.pin ?? null,
    })),
  );
  await insertRows(
    sql,
    'supplier',
    file.suppliers.map((s) => ({
      kitchen_id: k.id,
      id: s.id,
      name: s.name,
      price_list: s.priceList ?? null,
      list_columns: nullableJson(LIST_COLUMNS, s.columns),
    })),
  );
  await insertRows(
    sql,
    'house_measure',
    file.measures.map((m) => ({ kitchen_id: k.id, id: m.id, name: m.name, amount_typed: m.amount })),
  );
  await loadStove(sql, file);
}

/** Vessels and hobs. */
async function loadStove(sql: Sql, file: KitchenFile): Promise<void> {
  const k = file.kitchen;
  await insertRows(
    sql,
    'vessel',
    file.vessels.map((v, i) => ({
      kitchen_id: k.id,
      id: v.id,
      ...vesselRow(v),
      boils: nullableJson(BOILS, v.boils ?? null),
      position: i,
    })),
  );
  await insertRows(
    sql,
    'hob',
    file.hobs.map((h, i) => ({ kitchen_id: k.id, id: h.id, ...hobRow(h), position: i })),
  );
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
  for (const { id, boughtAs } of file.ingredients)
    if (boughtAs !== undefined) await setIngredient(sql, k, id, { boughtAs });
  await insertRows(
    sql,
    'price_quote',
    file.articles.flatMap((a) =>
      a.quotes.map((q) => ({
        kitchen_id: k,
        id: newId(),
        article_id: a.id,
        effective_on: q.on,
        recorded_at: at(q.recordedAt),
        price_typed: q.price,
        price: q.price,
      })),
    ),
  );
  await insertRows(
    sql,
    'pack_weighing',
    rows.flatMap(({ article, ingredient }) =>
      article.weighings.map((w) => ({
        kitchen_id: k,
        id: newId(),
        article_id: article.id,
        effective_on: w.on,
        recorded_at: at(w.recordedAt),
        held_typed: w.held,
        held_g: must(weigh(w.held, ingredient, manner)).toFixed(6),
      })),
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
  await insertRows(
    sql,
    'stock_count',
    file.counts.map((c) => ({
      kitchen_id: k,
      id: newId(),
      ingredient_id: c.ingredient,
      effective_on: c.on,
      recorded_at: at(c.recordedAt),
      typed: c.amount,
      g: must(weigh(c.amount, ingredients.get(c.ingredient) as WrittenIngredient, manner)).toFixed(6),
    })),
  );
}

async function loadCooking(sql: Sql, file: KitchenFile): Promise<void> {
  const k = file.kitchen;
  await insertRows(
    sql,
    'recipe',
    file.recipes.map((r, i) => ({
      kitchen_id: k.id,
      id: r.id,
      name: r.name,
      vessel_id: r.vessel,
      hob_id: r.hob,
      note: r.note ?? null,
      serve_celsius: r.serveCelsius ?? null,
      choices: r.choices ? CHOICES.write(r.choices) : null,
      batches_a_week: r.batchesAWeek,
      position: i,
    })),
  );
  const recipes = file.recipes.map((r) => ({ ...r, steps: withIds(r.steps) }));
  for (const r of recipes) await insertSteps(sql, k.id, r.id, r.steps, mannerIn(file));
  await insertRows(
    sql,
    'recipe_version',
    recipes.map((r) => ({
      kitchen_id: k.id,
      recipe_id: r.id,
      version: 1,
      effective_on: file.referenceDay,
      recorded_at: at(`${file.referenceDay}T00:00:00.000Z`),
      body: RECIPE.write(r),
    })),
  );
  await insertRows(
    sql,
    'plate',
    // What is followed stands before what follows it.
    parentsFirst(file.plates).map(([p, i]) => ({
      kitchen_id: k.id,
      id: p.id,
      name: p.name,
      menu_price: p.menuPrice ?? null,
      tax_pct: p.taxPct,
      target_food_cost_pct: p.targetFoodCostPct ?? null,
      service: p.service ?? null,
      service_loss_pct: p.serviceLossPct ?? null,
      follows_id: p.follows?.plate ?? null,
      follows: nullableJson(FOLLOWS, p.follows),
      hands_minutes: p.hands?.minutes ?? null,
      hands_plates: p.hands?.plates ?? null,
      position: i,
    })),
  );
  for (const p of file.plates) await insertPlateLines(sql, k.id, p.id, p.lines, mannerIn(file));
  await loadMenus(sql, file);
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

/** Menus, trays of trials, questions, and batches. */
async function loadMenus(sql: Sql, file: KitchenFile): Promise<void> {
  const k = file.kitchen;
  await insertRows(
    sql,
    'menu',
    file.menus.map((m, i) => ({ kitchen_id: k.id, id: m.id, name: m.name, mix_in: m.mixIn, position: i })),
  );
  for (const m of file.menus) await writeMenuPlates(sql, k.id, m);
  await insertRows(
    sql,
    'tray',
    file.trays.map((t, i) => ({
      kitchen_id: k.id,
      id: t.id,
      name: t.name,
      changes: TRIALS.write(t.trials),
      position: i,
    })),
  );
  await insertRows(
    sql,
    'question',
    file.questions.map(({ id, name, asks, beside, told }, i) => ({
      kitchen_id: k.id,
      id,
      name,
      asks: ASKS.write({ asks, beside }),
      told: told ? ANSWER_COLUMN.write(told) : null,
      position: i,
    })),
  );
  await insertBatches(sql, k.id, file.batches);
}

/** Plates with their places, those that others follow before those. */
const parentsFirst = (plates: KitchenFile['plates']): [KitchenFile['plates'][number], number][] => {
  const placed = plates.map((p, i): [KitchenFile['plates'][number], number] => [p, i]);
  return [...placed.filter(([p]) => !p.follows), ...placed.filter(([p]) => p.follows)];
};
