import { z } from 'zod';
import { FORMAT, FORMAT_VERSION, KitchenFile } from '@/core/kitchen-file';
import { many, one, type Sql } from './sql';

/** Versions of the aggregates people edit, as they were when the kitchen was read. */
export interface Versions {
  readonly ingredients: ReadonlyMap<string, number>;
  readonly articles: ReadonlyMap<string, number>;
  readonly recipes: ReadonlyMap<string, number>;
  readonly plates: ReadonlyMap<string, number>;
}

const id = z.string();
const figure = z.union([z.string(), z.number()]).transform(Number);
const maybeFigure = z
  .union([z.string(), z.number(), z.null()])
  .transform((x) => (x === null ? undefined : Number(x)));
/** DECIMAL(14,4) back to the shortest decimal string with at least two places: 24.0000 is 24.00. */
const money = z.string().transform((x) => x.replace(/(\.\d\d\d*?)0+$/, '$1'));
const instant = z.date().transform((d) => d.toISOString());
const maybe = <T>(schema: z.ZodType<T>) => schema.nullable().transform((x) => x ?? undefined);
// Some servers hand JSON over as text.
const json = z.union([
  z.string().transform((text): unknown => JSON.parse(text)),
  z.record(z.string(), z.unknown()),
]);

/** The write counter of a kitchen: what was computed for it holds until it moves. */
export async function kitchenRevision(sql: Sql, kitchenId: string): Promise<number> {
  const row = await one(sql, z.object({ revision: figure }), 'SELECT revision FROM kitchen WHERE id = ?', [
    kitchenId,
  ]);
  return row.revision;
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

/** A whole kitchen as the open format has it, without anybody's secrets, and the versions it was read at. */
export async function readKitchenFrom(
  sql: Sql,
  kitchenId: string,
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
      reference_day: z.string(),
    }),
    'SELECT id, name, currency, locale, zone, decimal_mark, trim_school, trim_set_value, reference_day FROM kitchen WHERE id = ?',
    [kitchenId],
  );
  const of = <T>(row: z.ZodType<T>, statement: string): Promise<T[]> =>
    many(sql, row, statement, [kitchenId]);
  const people = await of(
    z.object({ id, name: z.string(), role: z.enum(['manager', 'cook', 'reader']) }),
    'SELECT id, name, role FROM person WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY id',
  );
  const suppliers = await of(
    z.object({ id, name: z.string() }),
    'SELECT id, name FROM supplier WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY id',
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
    }),
    'SELECT id, name, net_kw AS netKw FROM hob WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const larder = await readLarder(of);
  const cooking = await readCooking(of);
  const file = KitchenFile.parse(
    withoutUndefined({
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
      },
      people,
      suppliers,
      vessels,
      hobs,
      ...larder.lists,
      ...cooking.lists,
    }),
  );
  return { file, versions: { ...larder.versions, ...cooking.versions } };
}

type Reader = <T>(row: z.ZodType<T>, statement: string) => Promise<T[]>;

async function readLarder(of: Reader) {
  const ingredients = await of(
    z.object({
      id,
      name: z.string(),
      role: z.string(),
      physics: json,
      trim_school: maybe(z.string()),
      trim_set_value: maybe(money),
      version: figure,
    }),
    'SELECT id, name, role, physics, trim_school, trim_set_value, version FROM ingredient WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const yields = await of(
    z.object({
      ingredient_id: id,
      on: z.string(),
      recordedAt: instant,
      usablePct: figure,
      stockTrimPct: figure,
      source: z.string(),
      basis: maybe(z.string()),
    }),
    'SELECT ingredient_id, effective_on AS `on`, recorded_at AS recordedAt, usable_pct AS usablePct, stock_trim_pct AS stockTrimPct, source, basis FROM ingredient_yield WHERE kitchen_id = ? ORDER BY effective_on, recorded_at, id',
  );
  const articles = await of(
    z.object({
      id,
      supplier: id,
      ingredient: id,
      name: z.string(),
      code: maybe(z.string()),
      pack: z.string(),
      version: figure,
    }),
    'SELECT id, supplier_id AS supplier, ingredient_id AS ingredient, name, code, pack_typed AS pack, version FROM supplier_article WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const quotes = await of(
    z.object({ article_id: id, on: z.string(), recordedAt: instant, price: money }),
    'SELECT article_id, effective_on AS `on`, recorded_at AS recordedAt, price FROM price_quote WHERE kitchen_id = ? ORDER BY effective_on, recorded_at, id',
  );
  const purchases = await of(
    z.object({ id, supplier: id, on: z.string(), recordedAt: instant, number: z.string() }),
    'SELECT id, supplier_id AS supplier, effective_on AS `on`, recorded_at AS recordedAt, number FROM purchase WHERE kitchen_id = ? ORDER BY id',
  );
  const lines = await of(
    z.object({
      purchase_id: id,
      is: z.string(),
      article: maybe(id),
      packs: maybeFigure,
      packPrice: maybe(money),
      delivered: maybe(z.string()),
      amount: maybe(money),
      note: maybe(z.string()),
    }),
    'SELECT purchase_id, kind AS `is`, article_id AS article, packs, pack_price AS packPrice, delivered_typed AS delivered, amount, note FROM purchase_line WHERE kitchen_id = ? ORDER BY purchase_id, position',
  );
  const yieldsOf = groupBy(yields, (y) => y.ingredient_id);
  const quotesOf = groupBy(quotes, (q) => q.article_id);
  const linesOf = groupBy(lines, (l) => l.purchase_id);
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
        quotes: (quotesOf.get(a.id) ?? []).map(({ article_id: _a, ...q }) => q),
      })),
      purchases: purchases.map((p) => ({
        ...p,
        lines: (linesOf.get(p.id) ?? []).map(({ purchase_id: _p, ...l }) => l),
      })),
    },
    versions: { ingredients: versionsOf(ingredients), articles: versionsOf(articles) },
  };
}

async function readCooking(of: Reader) {
  const recipes = await of(
    z.object({ id, name: z.string(), vessel: id, hob: id, note: maybe(z.string()), version: figure }),
    'SELECT id, name, vessel_id AS vessel, hob_id AS hob, note, version FROM recipe WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
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
      amount: z.string(),
    }),
    'SELECT plate_id, part, ingredient_id, product_id, amount_typed AS amount FROM plate_line WHERE kitchen_id = ? ORDER BY plate_id, position',
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
              ? { product: l.product_id }
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

const versionsOf = (rows: readonly { id: string; version: number }[]): Map<string, number> =>
  new Map(rows.map((r) => [r.id, r.version]));

function groupBy<T>(rows: readonly T[], key: (row: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const group = groups.get(key(row));
    if (group) group.push(row);
    else groups.set(key(row), [row]);
  }
  return groups;
}

/** Fields that are not there rather than there and undefined, as the strict schema wants them. */
function withoutUndefined(value: unknown): unknown {
  return JSON.parse(JSON.stringify(value)) as unknown;
}
