import equal from 'fast-deep-equal/es6/index.js';
import { z } from 'zod';
import { readBatches } from '../cooking/batches';
import { readMenus } from '../recipes/menus';
import { readQuestions } from '../recipes/questions';
import { readTrays } from '../recipes/trays';
import { FORMAT, FORMAT_VERSION, KitchenFile, withoutArchived, SERVICES } from '@/core/kitchen-file';
import type { History, KitchenState } from '@/core/kitchen-state';
import { FUELS } from '@/core/pot';
import { SHOWN_IN, type ShownIn } from '@/core/quantity';
import { reuseIfEqual } from '@/core/shelf';
import {
  BOILS,
  CHOICES,
  LABOUR_COLUMN,
  HOUSE_RULES,
  FOLLOWS,
  LIST_COLUMNS,
  PRICE_BASIS,
  STEP,
} from '../mapping/json-columns';
import { readLarder } from '../buying/read-larder';
import { readHistory, readPast } from './read-past';
import {
  changedIdsSince,
  isSameRevision,
  currentRevision,
  type ChangedIds,
  type RevisionMark,
} from '../revisions';
import {
  among,
  figure,
  groupBy,
  id,
  nullable,
  nullableFigure,
  money,
  readerOf,
  versionsOf,
  type Reader,
} from '../mapping/rows';
import { many, one, type Sql } from '../sql';
import { readWastes } from '../cooking/wastes';
import { HistoryError, readTables } from './history-rows';
import { readTests } from '../cooking/yield-tests';

/** Versions of the aggregates people edit, as they were when the kitchen was read. */
export interface Versions {
  readonly ingredients: ReadonlyMap<string, number>;
  readonly articles: ReadonlyMap<string, number>;
  readonly recipes: ReadonlyMap<string, number>;
  readonly plates: ReadonlyMap<string, number>;
}

export async function kitchenZone(sql: Sql, kitchenId: string): Promise<string> {
  return (
    await one(sql, z.object({ zone: z.string() }), 'SELECT zone FROM kitchen WHERE id = ?', [kitchenId])
  ).zone;
}

/** What a kitchen is called, and how its figures are written: enough for the frame of every page. */
export const kitchenWords = (
  sql: Sql,
  kitchenId: string,
): Promise<{ name: string; locale: string; currency: string; shownIn: ShownIn }> =>
  one(
    sql,
    z.object({ name: z.string(), locale: z.string(), currency: z.string(), shownIn: z.enum(SHOWN_IN) }),
    'SELECT name, locale, currency, shown_in AS shownIn FROM kitchen WHERE id = ?',
    [kitchenId],
  );

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
  const { state, versions } = await readKitchenState(sql, kitchenId);
  const past = await readPast(of);
  const { tests } = await readTests(of);
  const file = {
    format: FORMAT,
    version: FORMAT_VERSION,
    referenceDay: await referenceDay(sql, kitchenId),
    ...state,
    people: await peopleIn(of),
    articles: state.articles.map((a) => ({ ...a, quotes: past.quotesOf.get(a.id) ?? [] })),
    purchases: past.purchases,
    counts: past.counts,
    tests,
    wastes: await readWastes(of),
    trays: await readTrays(sql, kitchenId),
    questions: await readQuestions(sql, kitchenId),
    batches: await readBatches(sql, kitchenId, { are: 'all' }),
  };
  const whole = withoutArchived(KitchenFile.parse(withoutUndefined(file)));
  return { file: KitchenFile.parse(withoutUndefined(whole)), versions };
}

/**
 * Checks that a kitchen brought in with its history says what its file says stands.
 * @throws HistoryError where the two are not of one kitchen
 */
export async function mustSay(sql: Sql, { history: _h, ...plain }: KitchenFile): Promise<void> {
  const { file } = await readKitchenFrom(sql, plain.kitchen.id);
  if (!equal(file, plain)) throw new HistoryError('Its history is not of the kitchen that stands in it.');
}

/** The same with all that has happened to it, for a house that moves with its history. */
export async function readWithHistory(sql: Sql, kitchenId: string, schema: number): Promise<KitchenFile> {
  const { file } = await readKitchenFrom(sql, kitchenId);
  return { ...file, history: await readTables(sql, kitchenId, schema) };
}

/** A kitchen with as much of its past as the prices of one day need. */
export interface KitchenForDay {
  readonly state: KitchenState;
  readonly history: History;
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
  const { state, versions } = await readKitchenState(sql, kitchenId);
  return { state, versions, history: (await readHistory(sql, kitchenId, state, day, knownBy)).history };
}

const referenceDay = async (sql: Sql, kitchenId: string): Promise<string> =>
  (
    await one(sql, z.object({ day: z.string() }), 'SELECT reference_day AS day FROM kitchen WHERE id = ?', [
      kitchenId,
    ])
  ).day;

const peopleIn = (of: Reader) =>
  of(
    z.object({ id, name: z.string(), role: z.enum(['manager', 'cook', 'reader']) }),
    'SELECT id, name, role FROM person WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY id',
  );

/** What stands in a kitchen, and where it stood when that was read. */
export interface KitchenRead {
  readonly stood: RevisionMark;
  readonly state: KitchenState;
  readonly versions: Versions;
}

/**
 * What stands in a kitchen now, each row checked as it comes in: what any day's costing starts from. Of one that has been read
 * before only what has moved is read, and the rest stays the very same objects.
 */
export async function readKitchenState(
  sql: Sql,
  kitchenId: string,
  before?: KitchenRead,
): Promise<KitchenRead> {
  const { zone: _z, ...stood } = await currentRevision(sql, kitchenId);
  if (before && isSameRevision(before.stood, stood)) return before;
  const of = readerOf(sql, kitchenId);
  const moved = before && (await changedIdsSince(sql, kitchenId, before.stood, stood));
  const larder = await readLarder(of, moved);
  const cooking = await readCooking(of, moved);
  const place = { ...(await readPlace(of)), menus: await readMenus(sql, kitchenId) };
  const kitchen = await readSettings(sql, kitchenId);
  const lists = { ...larder.lists, ...cooking.lists };
  const versions = { ...larder.versions, ...cooking.versions };
  if (!before || !moved) return { stood, state: { kitchen, ...place, ...lists }, versions };
  return { stood, ...(await patched(of, before, moved, { kitchen, ...place }, lists, versions)) };
}

const LISTS = {
  ingredients: 'ingredient',
  articles: 'supplier_article',
  recipes: 'recipe',
  plates: 'plate',
} as const;
type List = keyof typeof LISTS;

/** What was read before with what has moved since put in its place; what came or went puts its list in order again. */
async function patched(
  of: Reader,
  before: KitchenRead,
  moved: ChangedIds,
  place: Omit<KitchenState, List>,
  lists: Pick<KitchenState, List>,
  versions: Versions,
): Promise<Omit<KitchenRead, 'stood'>> {
  const put = async <T extends { readonly id: string }>(
    list: List,
    was: readonly T[],
    now: readonly T[],
  ): Promise<T[]> => {
    const fresh = new Map(now.map((x) => [x.id, x]));
    const known = new Set(was.map((x) => x.id));
    if (moved[list].every((id) => fresh.has(id) === known.has(id)))
      return fresh.size === 0 ? (was as T[]) : was.map((x) => fresh.get(x.id) ?? x);
    const all = new Map([...was, ...now].map((x) => [x.id, x]));
    const order = await of(
      z.object({ id }),
      `SELECT id FROM ${LISTS[list]} WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id`,
    );
    return order.flatMap((row) => all.get(row.id) ?? []);
  };
  const state = before.state;
  const version = (list: List): ReadonlyMap<string, number> =>
    moved[list].length === 0 ? before.versions[list] : new Map([...before.versions[list], ...versions[list]]);
  return {
    state: {
      ...samePlace(place, state),
      ingredients: await put('ingredients', state.ingredients, lists.ingredients),
      articles: await put('articles', state.articles, lists.articles),
      recipes: await put('recipes', state.recipes, lists.recipes),
      plates: await put('plates', state.plates, lists.plates),
    },
    versions: {
      ingredients: version('ingredients'),
      articles: version('articles'),
      recipes: version('recipes'),
      plates: version('plates'),
    },
  };
}

/** The little that is read again each time: what says the same as before is the same object. */
const samePlace = (now: Omit<KitchenState, List>, before: KitchenState): Omit<KitchenState, List> => ({
  kitchen: reuseIfEqual(now.kitchen, before.kitchen),
  measures: reuseIfEqual(now.measures, before.measures),
  suppliers: reuseIfEqual(now.suppliers, before.suppliers),
  vessels: reuseIfEqual(now.vessels, before.vessels),
  hobs: reuseIfEqual(now.hobs, before.hobs),
  menus: reuseIfEqual(now.menus, before.menus),
});

/** The kitchen's own row. */
async function readSettings(sql: Sql, kitchenId: string): Promise<KitchenState['kitchen']> {
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
      price_basis: PRICE_BASIS.read,
      learning: z.enum(['ask', 'at once']),
      wagePerHour: nullable(money),
      electricity: nullable(money),
      gas: nullable(money),
      usualTaxPct: nullableFigure,
      usualTargetPct: nullableFigure,
      cooksMayChange: z.number().transform((x) => (x === 1 ? true : undefined)),
      scale: nullable(z.string()),
      hands: nullable(LABOUR_COLUMN.read),
      shownIn: z.enum(SHOWN_IN).transform((x) => (x === 'metric' ? undefined : x)),
      rules: nullable(HOUSE_RULES.read),
    }),
    'SELECT id, name, currency, locale, zone, decimal_mark, trim_school, trim_set_value, price_basis, learning, wage_per_hour AS wagePerHour, electricity_per_kwh AS electricity, gas_per_kwh AS gas, usual_tax_pct AS usualTaxPct, usual_target_pct AS usualTargetPct, cooks_may_change AS cooksMayChange, scale_address AS scale, hands, shown_in AS shownIn, house_rules AS rules FROM kitchen WHERE id = ?',
    [kitchenId],
  );
  return {
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
    usualTaxPct: k.usualTaxPct,
    usualTargetPct: k.usualTargetPct,
    cooksMayChange: k.cooksMayChange,
    scale: k.scale,
    ...(k.shownIn === undefined ? {} : { shownIn: k.shownIn }),
    ...(k.rules === undefined ? {} : { rules: k.rules }),
    ...(k.hands?.kinds === undefined ? {} : { hands: k.hands.kinds }),
    ...(k.hands?.shared === undefined ? {} : { sharedHands: k.hands.shared }),
  };
}

/** Who sells to it, what it cooks in and measures with. */
async function readPlace(
  of: Reader,
): Promise<Pick<KitchenState, 'suppliers' | 'vessels' | 'hobs' | 'measures'>> {
  const suppliers = await of(
    z.object({ id, name: z.string(), priceList: nullable(z.string()), columns: nullable(LIST_COLUMNS.read) }),
    'SELECT id, name, price_list AS priceList, list_columns AS columns FROM supplier WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY id',
  );
  const vessels = await of(
    z.discriminatedUnion('shape', [
      z.object({ ...VESSEL, shape: z.literal('round'), baseCm: figure, topCm: figure }),
      z.object({ ...VESSEL, shape: z.literal('box'), lengthCm: figure, widthCm: figure }),
    ]),
    'SELECT id, name, shape, base_cm AS baseCm, top_cm AS topCm, length_cm AS lengthCm, width_cm AS widthCm, height_cm AS heightCm, max_fill_pct AS maxFillPct, empty_g AS emptyG, boils FROM vessel WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const hobs = await of(
    z.object({
      id,
      name: z.string(),
      netKw: z.union([z.string(), z.null()]).transform((x) => (x === null ? null : Number(x))),
      fuel: z.enum(FUELS),
      efficiencyPct: nullableFigure,
      draught: z.number().transform((x) => (x === 1 ? true : undefined)),
    }),
    'SELECT id, name, net_kw AS netKw, fuel, efficiency_pct AS efficiencyPct, draught FROM hob WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
  );
  const measures = await of(
    z.object({ id, name: z.string(), amount: z.string() }),
    'SELECT id, name, amount_typed AS amount FROM house_measure WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY id',
  );
  return { suppliers, vessels, hobs, measures };
}

const VESSEL = {
  id,
  name: z.string(),
  heightCm: figure,
  maxFillPct: figure,
  emptyG: nullableFigure,
  boils: nullable(BOILS.read),
};

async function readCooking(of: Reader, only?: Pick<ChangedIds, 'recipes' | 'plates'>) {
  const recipes = await readRecipes(of, only?.recipes);
  const plates = await readPlates(of, only?.plates);
  return {
    lists: { recipes: recipes.list, plates: plates.list },
    versions: { recipes: recipes.versions, plates: plates.versions },
  };
}

async function readRecipes(of: Reader, ids: readonly string[] | undefined) {
  const recipes = await of(
    z.object({
      id,
      name: z.string(),
      vessel: id,
      hob: id,
      note: nullable(z.string()),
      serveCelsius: nullableFigure,
      batchesAWeek: figure,
      choices: nullable(CHOICES.read),
      version: figure,
    }),
    'SELECT id, name, vessel_id AS vessel, hob_id AS hob, note, choices, serve_celsius AS serveCelsius, batches_a_week AS batchesAWeek, version FROM recipe WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
    among('id', ids),
  );
  const steps = await of(
    z.object({ id, recipe_id: id, body: STEP.read }),
    'SELECT id, recipe_id, body FROM recipe_step WHERE kitchen_id = ? ORDER BY recipe_id, position',
    among('recipe_id', ids),
  );
  const stepsOf = groupBy(steps, (s) => s.recipe_id);
  const list = recipes.map(({ version: _v, ...r }): KitchenState['recipes'][number] => ({
    ...r,
    steps: (stepsOf.get(r.id) ?? []).map((s) => ({ ...s.body, id: s.id })),
  }));
  return { list, versions: versionsOf(recipes) };
}

async function readPlates(of: Reader, ids: readonly string[] | undefined) {
  const plates = await of(
    z.object({
      id,
      name: z.string(),
      menuPrice: nullable(money),
      taxPct: figure,
      targetFoodCostPct: nullableFigure,
      service: nullable(z.enum(SERVICES)),
      serviceLossPct: nullableFigure,
      follows: nullable(FOLLOWS.read),
      handsMinutes: nullableFigure,
      handsPlates: nullableFigure,
      version: figure,
    }),
    'SELECT id, name, menu_price AS menuPrice, tax_pct AS taxPct, target_food_cost_pct AS targetFoodCostPct, service, service_loss_pct AS serviceLossPct, follows, hands_minutes AS handsMinutes, hands_plates AS handsPlates, version FROM plate WHERE kitchen_id = ? AND archived_at IS NULL ORDER BY position, id',
    among('id', ids),
  );
  const lines = await of(
    z.object({
      id,
      plate_id: id,
      part: z.enum(['usable', 'stock trim', 'product']),
      ingredient_id: nullable(id),
      product_id: nullable(id),
      product_part: nullable(z.string()),
      counted: nullable(z.literal('trimmed')),
      amount: z.string(),
      overfillPct: nullableFigure,
      takenPct: nullableFigure,
      packaging: figure,
    }),
    'SELECT id, plate_id, part, ingredient_id, product_id, product_part, counted, amount_typed AS amount, overfill_pct AS overfillPct, taken_pct AS takenPct, packaging FROM plate_line WHERE kitchen_id = ? ORDER BY plate_id, position',
    among('plate_id', ids),
  );
  const linesOf = groupBy(lines, (l) => l.plate_id);
  const list = plates.map(
    ({ version: _v, handsMinutes, handsPlates, ...p }): KitchenState['plates'][number] => ({
      ...p,
      hands: handsMinutes === undefined ? undefined : { minutes: handsMinutes, plates: handsPlates ?? 1 },
      lines: (linesOf.get(p.id) ?? []).map((l) => ({
        id: l.id,
        of: ofLine(l),
        amount: l.amount,
        overfillPct: l.overfillPct,
        takenPct: l.takenPct,
        packaging: l.packaging ? (true as const) : undefined,
      })),
    }),
  );
  return { list, versions: versionsOf(plates) };
}

interface PlateLineRow {
  readonly part: 'usable' | 'stock trim' | 'product';
  readonly ingredient_id: string | undefined;
  readonly product_id: string | undefined;
  readonly product_part: string | undefined;
  readonly counted: 'trimmed' | undefined;
}

/** What a line takes; the table's own CHECK sees to it that the one that is wanted is there. */
function ofLine(l: PlateLineRow): KitchenState['plates'][number]['lines'][number]['of'] {
  if (l.part === 'product') return { product: l.product_id ?? '', part: l.product_part };
  if (l.part !== 'usable') return { stockTrimOf: l.ingredient_id ?? '' };
  return { ingredient: l.ingredient_id ?? '', ...(l.counted ? { counted: l.counted } : {}) };
}

/** Fields that are not there rather than there and undefined, as the strict schema wants them. */
function withoutUndefined(value: unknown): unknown {
  return JSON.parse(JSON.stringify(value)) as unknown;
}
