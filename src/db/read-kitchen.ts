import { FUELS } from '@/core/pot';
import { z } from 'zod';
import type { HistoryOf } from '@/core/costing';
import { FORMAT, FORMAT_VERSION, KitchenFile } from '@/core/kitchen-file';
import { readHistory, readPast } from './read-past';
import { readLarder } from './read-larder';
import { readWastes } from './wastes';
import { readTests } from './yield-tests';
import {
  figure,
  groupBy,
  id,
  json,
  maybe,
  maybeFigure,
  money,
  readerOf,
  versionsOf,
  type Reader,
} from './rows';
import { many, one, type Sql } from './sql';

/** Versions of the aggregates people edit, as they were when the kitchen was read. */
export interface Versions {
  readonly ingredients: ReadonlyMap<string, number>;
  readonly articles: ReadonlyMap<string, number>;
  readonly recipes: ReadonlyMap<string, number>;
  readonly plates: ReadonlyMap<string, number>;
}

/** The write counter of a kitchen: what was computed for it holds until it moves. */
export async function kitchenRevision(sql: Sql, kitchenId: string): Promise<number> {
  const row = await one(sql, z.object({ revision: figure }), 'SELECT revision FROM kitchen WHERE id = ?', [
    kitchenId,
  ]);
  return row.revision;
}

export async function kitchenZone(sql: Sql, kitchenId: string): Promise<string> {
  return (
    await one(sql, z.object({ zone: z.string() }), 'SELECT zone FROM kitchen WHERE id = ?', [kitchenId])
  ).zone;
}

/** The one kitchen of a database that holds only one, or undefined before any is loaded. */
export async function firstKitchen(sql: Sql): Promise<{ id: string; name: string } | undefined> {
  const rows = await many(
    sql,
    z.object({ id, name: z.string() }),
    'SELECT id, name FROM kitchen ORDER BY id LIMIT 1',
  );
  return rows[0];
}

/**
 * A whole kitchen as the open format has it, all its past included, without anybody's secrets; and the
 * versions it was read at. For writing it out; a screen reads `readKitchenForDay`.
 */
export async function readKitchenFrom(
  sql: Sql,
  kitchenId: string,
): Promise<{ file: KitchenFile; versions: Versions }> {
  const of = readerOf(sql, kitchenId);
  const past = await readPast(of);
  const { tests } = await readTests(of);
  const wastes = await readWastes(of);
  const { file, versions } = await readWith(
    sql,
    kitchenId,
    (article) => past.quotesOf.get(article) ?? [],
    past.purchases,
  );
  return { file: KitchenFile.parse(withoutUndefined({ ...file, tests, wastes })), versions };
}

/** A kitchen with as much of its past as the prices of one day need. */
export interface KitchenForDay {
  /** Without quotes and purchases, which are in `history`, and without tests and waste. */
  readonly file: KitchenFile;
  readonly history: HistoryOf;
  readonly versions: Versions;
}

/**
 * A kitchen as a screen needs it on a day.
 * @param knownBy leaves out prices recorded after this instant: as it was known then, not as corrected since
 */
export async function readKitchenForDay(
  sql: Sql,
  kitchenId: string,
  day: string,
  knownBy?: Date,
): Promise<KitchenForDay> {
  const { file, versions } = await readKitchenState(sql, kitchenId);
  return { file, versions, history: await readHistory(sql, kitchenId, file, day, knownBy) };
}

/** What stands in a kitchen now, without quotes, purchases, tests and waste: what any day's costing starts from. */
export const readKitchenState = (
  sql: Sql,
  kitchenId: string,
): Promise<{ file: KitchenFile; versions: Versions }> => readWith(sql, kitchenId, () => [], []);

async function readWith(
  sql: Sql,
  kitchenId: string,
  quotesOf: (article: string) => unknown[],
  purchases: unknown[],
): Promise<{ file: KitchenFile; versions: Versions }> {
  const k = await one(
    sql,
    z.object({
      id,
      name: z.string(),
      currency: z.string(),
      locale: z.string(),
      zone: z.string(),
      decimal_mark: z.enum(['.', ',']),
      trim_school: z.enum(['free', 'value', 'weight']),
      trim_set_value: money,
      price_basis: json,
      learning: z.string(),
      wagePerHour: maybe(money),
      electricity: maybe(money),
      gas: maybe(money),
      scale: maybe(z.string()),
      reference_day: z.string(),
    }),
    'SELECT id, name, currency, locale, zone, decimal_mark, trim_school, trim_set_value, price_basis, learning, wage_per_hour AS wagePerHour, electricity_per_kwh AS electricity, gas_per_kwh AS gas, scale_address AS scale, reference_day FROM kitchen WHERE id = ?',
    [kitchenId],
  );
  const of = readerOf(sql, kitchenId);
  const people = await of(
    z.object({ id, name: z.string(), role: z.enum(['manager', 'cook', 'reader']) }),
    'SELECT id, name, role FROM person WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY id',
  );
  const suppliers = await of(
    z.object({ id, name: z.string(), priceList: maybe(z.string()), columns: maybe(json) }),
    'SELECT id, name, price_list AS priceList, list_columns AS columns FROM supplier WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY id',
  );
  const vessels = await of(
    z.object({
      id,
      name: z.string(),
      shape: z.enum(['round', 'box']),
      baseCm: maybeFigure,
      topCm: maybeFigure,
      lengthCm: maybeFigure,
      widthCm: maybeFigure,
      heightCm: figure,
      maxFillPct: figure,
    }),
    'SELECT id, name, shape, base_cm AS baseCm, top_cm AS topCm, length_cm AS lengthCm, width_cm AS widthCm, height_cm AS heightCm, max_fill_pct AS maxFillPct FROM vessel WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const hobs = await of(
    z.object({
      id,
      name: z.string(),
      netKw: z.union([z.string(), z.null()]).transform((x) => (x === null ? null : Number(x))),
      fuel: z.enum(FUELS),
      efficiencyPct: maybeFigure,
      draught: z.number().transform((x) => (x === 1 ? true : undefined)),
    }),
    'SELECT id, name, net_kw AS netKw, fuel, efficiency_pct AS efficiencyPct, draught FROM hob WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const measures = await of(
    z.object({ id, name: z.string(), amount: z.string() }),
    'SELECT id, name, amount_typed AS amount FROM house_measure WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY id',
  );
  const larder = await readLarder(of, quotesOf);
  const cooking = await readCooking(of);
  // Every row has been parsed on its way in; the whole is checked again where it is written out.
  const file = {
    format: FORMAT,
    version: FORMAT_VERSION,
    referenceDay: k.reference_day,
    kitchen: {
      id: k.id,
      name: k.name,
      currency: k.currency,
      locale: k.locale,
      zone: k.zone,
      decimalMark: k.decimal_mark,
      trim: { school: k.trim_school, setValuePerKg: k.trim_set_value },
      priceBasis: k.price_basis,
      learning: k.learning,
      wagePerHour: k.wagePerHour,
      energyPerKwh: {
        ...(k.electricity === undefined ? {} : { electricity: k.electricity }),
        ...(k.gas === undefined ? {} : { gas: k.gas }),
      },
      scale: k.scale,
    },
    measures,
    people,
    suppliers,
    vessels,
    hobs,
    ...larder.lists,
    purchases,
    tests: [],
    wastes: [],
    ...cooking.lists,
  } as unknown as KitchenFile;
  return { file, versions: { ...larder.versions, ...cooking.versions } };
}

async function readCooking(of: Reader) {
  const recipes = await of(
    z.object({
      id,
      name: z.string(),
      vessel: id,
      hob: id,
      note: maybe(z.string()),
      batchesAWeek: figure,
      version: figure,
    }),
    'SELECT id, name, vessel_id AS vessel, hob_id AS hob, note, batches_a_week AS batchesAWeek, version FROM recipe WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const steps = await of(
    z.object({ recipe_id: id, body: json }),
    'SELECT recipe_id, body FROM recipe_step WHERE kitchen_id = ? ORDER BY recipe_id, position',
  );
  const plates = await of(
    z.object({
      id,
      name: z.string(),
      menuPrice: maybe(money),
      taxPct: figure,
      targetFoodCostPct: maybeFigure,
      version: figure,
    }),
    'SELECT id, name, menu_price AS menuPrice, tax_pct AS taxPct, target_food_cost_pct AS targetFoodCostPct, version FROM plate WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const lines = await of(
    z.object({
      plate_id: id,
      part: z.enum(['usable', 'stock trim', 'product']),
      ingredient_id: maybe(id),
      product_id: maybe(id),
      product_part: maybe(z.string()),
      amount: z.string(),
    }),
    'SELECT plate_id, part, ingredient_id, product_id, product_part, amount_typed AS amount FROM plate_line WHERE kitchen_id = ? ORDER BY plate_id, position',
  );
  const stepsOf = groupBy(steps, (s) => s.recipe_id);
  const linesOf = groupBy(lines, (l) => l.plate_id);
  return {
    lists: {
      recipes: recipes.map(({ version: _v, ...r }) => ({
        ...r,
        steps: (stepsOf.get(r.id) ?? []).map((s) => s.body),
      })),
      plates: plates.map(({ version: _v, ...p }) => ({
        ...p,
        lines: (linesOf.get(p.id) ?? []).map((l) => ({
          of:
            l.part === 'product'
              ? { product: l.product_id, part: l.product_part }
              : l.part === 'usable'
                ? { ingredient: l.ingredient_id }
                : { stockTrimOf: l.ingredient_id },
          amount: l.amount,
        })),
      })),
    },
    versions: { recipes: versionsOf(recipes), plates: versionsOf(plates) },
  };
}

/** Fields that are not there rather than there and undefined, as the strict schema wants them. */
function withoutUndefined(value: unknown): unknown {
  return JSON.parse(JSON.stringify(value)) as unknown;
}
