import { z } from 'zod';
import { DEFATS, HEATS, LIDS, STRAINERS } from '../pot';
import { TRIM_SCHOOLS } from '../larder';
import { COUNT_UNITS } from '../quantity';

/**
 * The kitchen file, version 1: a whole kitchen as one JSON document. In words: docs/formats.md; as a
 * JSON Schema: docs/kitchen-file.schema.json, generated from here.
 *
 * Amounts are kept as typed (`"8 kg"`, `"1 h 30"`), money and shares as decimal strings.
 */
export const FORMAT = 'half-pot-kitchen';
export const FORMAT_VERSION = 1;

export const Id = z
  .string()
  .regex(
    /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
    'is not an id (a UUIDv7 in lower case)',
  )
  .describe('UUIDv7, the same in database, address and file');
const Name = z.string().trim().min(1, 'a name is missing').max(120, 'a name has at most 120 characters');
export const Day = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/, 'is not a day (YYYY-MM-DD)')
  .refine(
    (day) =>
      !Number.isNaN(Date.parse(`${day}T00:00:00Z`)) &&
      new Date(`${day}T00:00:00Z`).toISOString().startsWith(day),
    'is not a day of the calendar',
  )
  .describe('business day, YYYY-MM-DD');
const Instant = z.iso.datetime({ error: 'is not an instant (ISO 8601 in UTC, ending in Z)' });
const Price = z
  .string()
  .regex(
    /^\d{1,10}(\.\d{1,4})?$/,
    'is not a price: digits with at most four decimals after a point, not negative',
  )
  .describe('net of tax, decimal string');
const Percent = z.number().min(0, 'lies below 0 %').max(100, 'lies above 100 %');
const Typed = z
  .string()
  .trim()
  .min(1, 'an amount is missing')
  .max(80, 'an amount has at most 80 characters')
  .describe('an amount as typed, e.g. "2 lb 4 oz"');

export const Of = z.union([
  z.strictObject({ ingredient: Id }).describe('the usable part of an ingredient'),
  z.strictObject({ stockTrimOf: Id }).describe('the stock trim of an ingredient'),
  z.strictObject({ product: Id }).describe('what another recipe makes'),
]);
export type Of = z.infer<typeof Of>;

const Add = z.strictObject({ do: z.literal('add'), of: Of, amount: Typed });
const Brown = z.strictObject({
  do: z.literal('brown'),
  loss: Typed,
  fatRunOff: Typed.optional(),
  time: Typed.optional(),
});
const WaterAmount = z.strictObject({ do: z.literal('water'), amount: Typed });
const WaterLevel = z.strictObject({ do: z.literal('water'), level: Typed });
const WaterCover = z.strictObject({ do: z.literal('water'), cover: Typed });
const Bring = z.strictObject({ do: z.literal('bring'), to: Typed });
const Cook = z.strictObject({ do: z.literal('cook'), heat: z.enum(HEATS), time: Typed, lid: z.enum(LIDS) });
const Skim = z.strictObject({ do: z.literal('skim'), amount: Typed, from: z.enum(['body', 'surface']) });
const Strain = z.strictObject({ do: z.literal('strain'), pressed: z.boolean(), through: z.enum(STRAINERS) });
const Into = z.strictObject({ do: z.literal('into'), vessel: Id, hob: Id });
const TakeFat = z.strictObject({ do: z.literal('defat'), by: z.enum(DEFATS) });
const Reduce = z.strictObject({
  do: z.literal('reduce'),
  until: z.enum(['share', 'volume', 'dip', 'gelatin', 'salt', 'body', 'time']),
  to: Typed.describe('what is left: "1/4", "3 l", "33 cm" from the rim, "8 %", "1" (body), "20 min"'),
  heat: z.enum(HEATS),
  lid: z.enum(LIDS),
});
const Thicken = z.strictObject({ do: z.literal('thicken'), of: Of, amount: Typed });
const Mount = z.strictObject({ do: z.literal('mount'), of: Of, amount: Typed });
const Season = z.strictObject({ do: z.literal('season'), of: Of, amount: Typed });
const SeasonTo = z.strictObject({ do: z.literal('season to'), of: Of, salt: Typed });
const Portion = z.strictObject({ do: z.literal('portion'), size: Typed, overfill: Typed.optional() });
const Unread = z
  .strictObject({ do: z.literal('unread'), said: z.string().max(200) })
  .describe('a line nobody could read yet: it makes the cost incomplete');

export const WrittenStep = z.union([
  Add,
  Brown,
  WaterAmount,
  WaterLevel,
  WaterCover,
  Bring,
  Cook,
  Skim,
  Strain,
  Into,
  TakeFat,
  Reduce,
  Thicken,
  Mount,
  Season,
  SeasonTo,
  Portion,
  Unread,
]);
export type WrittenStep = z.infer<typeof WrittenStep>;

export const Vessel = z.union([
  z.strictObject({
    id: Id,
    name: Name,
    shape: z.literal('round'),
    baseCm: z.number().positive().max(500),
    topCm: z.number().positive().max(500),
    heightCm: z.number().positive().max(500),
    maxFillPct: z.number().min(1).max(100),
  }),
  z.strictObject({
    id: Id,
    name: Name,
    shape: z.literal('box'),
    lengthCm: z.number().positive().max(500),
    widthCm: z.number().positive().max(500),
    heightCm: z.number().positive().max(500),
    maxFillPct: z.number().min(1).max(100),
  }),
]);

export const Hob = z.strictObject({
  id: Id,
  name: Name,
  netKw: z.number().positive().max(200).nullable().describe('kW that reach the pot; null: no limit'),
});

/** Which price an ingredient is costed at. */
export const Basis = z.union([
  z.strictObject({ by: z.literal('latest') }).describe('the newest quote or invoice in force'),
  z
    .strictObject({ by: z.literal('average'), days: z.number().int().min(1).max(730) })
    .describe('money over kilos of all purchases in so many days'),
  z
    .strictObject({ by: z.literal('stock') })
    .describe('first in, first out: what the newest purchases paid for the quantity last counted'),
  z.strictObject({ by: z.literal('fixed'), price: Price, per: Typed }).describe('a price agreed on'),
]);
export type Basis = z.infer<typeof Basis>;

/** A usable yield as it was on a day: measured by a test, or still an estimate. */
export const Yield = z.strictObject({
  on: Day,
  recordedAt: Instant,
  usablePct: z.number().describe('usable share of the as-purchased weight, %'),
  stockTrimPct: z.number(),
  source: z.enum(['estimate', 'measured']),
  low: z.number().optional().describe('5 % point of an estimate, %'),
  high: z.number().optional().describe('95 % point of an estimate, %'),
  basis: z.string().max(200).optional(),
});

export const Composition = z
  .strictObject({
    water: Percent,
    fat: Percent.optional(),
    salt: Percent.optional(),
    sugar: Percent.optional(),
    starch: Percent.optional(),
    gelatin: Percent.optional(),
    ethanolVolPct: Percent.optional(),
  })
  .describe('g per 100 g of the usable part; the remainder is the rest');

export const Ingredient = z.strictObject({
  id: Id,
  name: Name,
  reference: Id.optional().describe('the reference ingredient it was taken from'),
  mergedInto: Id.optional().describe('another spelling of that ingredient: all its history counts there'),
  role: z.enum(['liquid', 'piece']),
  composition: Composition,
  fat: z.enum(['free', 'bound']).default('free').describe('whether its fat floats'),
  bindingGPerKg: z
    .number()
    .min(0)
    .max(3000)
    .default(0)
    .describe('flour equivalent, g per kg, of a thickener'),
  gelatin: z
    .strictObject({ gPerKg: z.number().min(0).max(300), halfLifeH: z.number().positive().max(48) })
    .optional(),
  renderedFatPct: Percent.default(0),
  takesWaterGPerG: z.number().min(0).max(15).default(0),
  givesWaterGPerG: z.number().min(0).max(1).default(0),
  retentionMlPerKg: z.number().min(0).max(5000).default(0),
  retentionPressedMlPerKg: z.number().min(0).max(5000).default(0),
  packing: z.number().min(0.05).max(1).default(0.6),
  densityGPerMl: z.number().min(0.02).max(3).optional().describe('as measured out by volume'),
  eachG: z.number().positive().max(100000).optional().describe('what one weighs, g'),
  eachUnit: z
    .enum(COUNT_UNITS)
    .optional()
    .describe('one what: a bunch is no single carrot; left out, the weight stands for whatever is counted'),
  pieceG: z
    .partialRecord(z.enum(COUNT_UNITS), z.number().positive().max(100000))
    .optional()
    .describe('what one weighs in other units it is counted in, g'),
  allergens: z.array(z.string().min(1).max(40)).default([]),
  yields: z.array(Yield).min(1, 'at least one yield is needed, be it an estimate'),
  trim: z
    .strictObject({ school: z.enum(TRIM_SCHOOLS), setValuePerKg: Price.optional() })
    .optional()
    .describe("overrides the kitchen's school"),
  priceBasis: Basis.optional().describe("overrides the kitchen's basis"),
  boughtAs: Id.optional().describe('the article it is costed from; else the one with the newest price'),
  partPack: z
    .enum(['part', 'whole'])
    .default('part')
    .describe('an opened pack is charged by the part used, or whole'),
});

export const Quote = z.strictObject({ on: Day, recordedAt: Instant, price: Price });
export const Article = z.strictObject({
  id: Id,
  supplier: Id,
  ingredient: Id,
  name: Name,
  code: z.string().max(40).optional(),
  pack: Typed,
  weighings: z
    .array(z.strictObject({ on: Day, recordedAt: Instant, held: Typed }))
    .default([])
    .describe('what a pack really held when somebody weighed it'),
  label: z
    .strictObject({
      allergens: z.array(z.string().min(1).max(40)).optional(),
      saltPct: Percent.optional(),
      gelatinPct: Percent.optional(),
    })
    .optional()
    .describe("what this supplier's label says, where it differs from the ingredient"),
  quotes: z.array(Quote).default([]),
});

export const PurchaseLine = z.union([
  z.strictObject({
    is: z.literal('goods'),
    article: Id,
    packs: z.number().positive().describe('invoiced; for catch weight the article is a pack of 1 kg'),
    packPrice: Price,
    delivered: Typed.optional().describe(
      'what really came, where it differs from packs × pack; on a credit note: what went back',
    ),
    rejected: Typed.optional().describe('of what came, what was sent back at the door'),
    inPlaceOf: Id.optional().describe('the article that was ordered'),
    note: z.string().max(200).optional(),
  }),
  z.strictObject({
    is: z.enum(['deposit', 'tax', 'delivery', 'discount']),
    amount: Price,
    note: z.string().max(200).optional(),
  }),
]);
export const Purchase = z.strictObject({
  id: Id,
  kind: z.enum(['invoice', 'credit note']).default('invoice'),
  corrects: Id.optional().describe('the invoice a credit note belongs to'),
  supplier: Id,
  on: Day,
  recordedAt: Instant,
  number: z.string().min(1).max(60),
  lines: z.array(PurchaseLine).min(1),
});

export const Count = z
  .strictObject({ ingredient: Id, on: Day, recordedAt: Instant, amount: Typed })
  .describe('how much of an ingredient was there when somebody counted');

/** Where a supplier's list has its columns: the words at their heads. */
export const Columns = z.strictObject({
  code: z.string().max(80).optional(),
  name: z.string().max(80).optional(),
  pack: z.string().max(80).optional(),
  unit: z.string().max(80).optional(),
  price: z.string().max(80),
  mark: z.enum(['.', ',']).optional().describe("the list's decimal mark, where the file does not show it"),
});

export const Supplier = z.strictObject({
  id: Id,
  name: Name,
  priceList: z
    .url({ protocol: /^https?$/ })
    .max(300)
    .optional()
    .describe('where its price list is fetched'),
  columns: Columns.optional(),
});

export const Measure = z.strictObject({ id: Id, name: Name, amount: Typed });

export const Recipe = z.strictObject({
  id: Id,
  name: Name,
  vessel: Id,
  hob: Id,
  note: z.string().max(400).optional(),
  steps: z.array(WrittenStep).max(200),
});

export const Plate = z.strictObject({
  id: Id,
  name: Name,
  menuPrice: Price.describe('as on the menu, tax included').optional(),
  taxPct: Percent.default(0),
  targetFoodCostPct: Percent.optional(),
  lines: z.array(z.strictObject({ of: Of, amount: Typed })).max(60),
});

export const Person = z.strictObject({
  id: Id,
  name: Name,
  role: z.enum(['manager', 'cook', 'reader']),
  firstPassword: z
    .string()
    .min(8)
    .max(200)
    .optional()
    .describe('used once when the file is loaded; never written out'),
  firstPin: z
    .string()
    .regex(/^\d{4,6}$/, 'is not a PIN of four to six digits')
    .optional(),
});

export const KitchenFile = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(FORMAT_VERSION),
  referenceDay: Day.describe('the day the file speaks from; a demo is shifted so that this becomes today'),
  kitchen: z.strictObject({
    id: Id,
    name: Name,
    currency: z.string().regex(/^[A-Z]{3}$/, 'is not a currency code such as EUR'),
    locale: z.string().min(2).max(20),
    zone: z.string().min(3).max(60).describe('IANA time zone'),
    decimalMark: z.enum(['.', ',']).default('.'),
    trim: z.strictObject({ school: z.enum(TRIM_SCHOOLS), setValuePerKg: Price.default('0') }),
    priceBasis: Basis.default({ by: 'latest' }),
  }),
  measures: z.array(Measure).default([]).describe("the house's own measures"),
  people: z.array(Person).default([]),
  suppliers: z.array(Supplier).default([]),
  vessels: z.array(Vessel).min(1, 'a kitchen needs at least one vessel'),
  hobs: z.array(Hob).min(1, 'a kitchen needs at least one hob'),
  ingredients: z.array(Ingredient).default([]),
  articles: z.array(Article).default([]),
  purchases: z.array(Purchase).default([]),
  counts: z.array(Count).default([]),
  recipes: z.array(Recipe).default([]),
  plates: z.array(Plate).default([]),
});
export type KitchenFile = z.infer<typeof KitchenFile>;
export type WrittenIngredient = KitchenFile['ingredients'][number];
export type WrittenRecipe = KitchenFile['recipes'][number];
export type WrittenPlate = KitchenFile['plates'][number];
export type WrittenArticle = KitchenFile['articles'][number];
export type WrittenPurchase = KitchenFile['purchases'][number];
export type WrittenLine = WrittenPurchase['lines'][number];
export type GoodsLine = Extract<WrittenLine, { is: 'goods' }>;
export type WrittenVessel = KitchenFile['vessels'][number];
