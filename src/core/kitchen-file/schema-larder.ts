import { z } from 'zod';
import { TRIM_SCHOOLS } from '../larder';
import { COOKED, SEASONS } from '../learning';
import { COUNT_UNITS } from '../quantity';
import { Day, Id, Instant, Name, Percent, Price, Typed } from '../written';

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
  byProducts: z
    .array(z.strictObject({ ingredient: Id, pct: Percent }))
    .default([])
    .describe(
      'what else of use comes off: an ingredient of its own, and its share of the as-purchased weight',
    ),
  source: z.enum(['estimate', 'measured']),
  low: z.number().optional().describe('5 % point of the usable share, %'),
  high: z.number().optional().describe('95 % point of the usable share, %'),
  basis: z.string().max(200).optional(),
});

/** What own cooking tests have taught, as it was accepted on a day. */
export const CookedFigure = z.strictObject({
  figure: z.enum(COOKED),
  on: Day,
  recordedAt: Instant,
  value: z.number().min(0).max(5000).describe('% of the raw weight; of retention ml per kg raw'),
  source: z.enum(['estimate', 'measured']).default('measured'),
  low: z.number().optional(),
  high: z.number().optional(),
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
  givesHalfLifeH: z
    .number()
    .positive()
    .max(48)
    .optional()
    .describe('h in which half of that water has come out; left out, the usual time'),
  juice: z
    .strictObject({ pct: z.number().min(0).max(90), halfLifeH: z.number().positive().max(48) })
    .optional()
    .describe(
      'what heat presses out of meat, fish and shellfish: % of the raw weight, and the h in which half of it has',
    ),
  curdlesAtC: z
    .number()
    .min(30)
    .max(110)
    .optional()
    .describe('°C above which it curdles in a pot that no starch guards'),
  pulpPct: z
    .number()
    .min(0)
    .max(40)
    .default(0)
    .describe('insoluble solids that thicken once it is blended or milled, % of the usable part'),
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
  allergensRead: z
    .boolean()
    .optional()
    .describe(
      'whether somebody has read from its label that these are all; left out, an ingredient that names none and is no starting point counts as not known',
    ),
  yields: z.array(Yield).min(1, 'at least one yield is needed, be it an estimate'),
  cooked: z.array(CookedFigure).default([]),
  trim: z
    .strictObject({
      school: z.enum(TRIM_SCHOOLS).optional(),
      setValuePerKg: Price.optional(),
      takenPct: Percent.optional().describe('how much of the trim the pots take; left out, all of it'),
    })
    .optional()
    .describe("overrides the kitchen's school and set value"),
  comesOff: z
    .strictObject({
      ingredient: Id,
      setValuePerKg: Price.optional().describe("where it differs from the kitchen's set value"),
      sold: z
        .boolean()
        .default(false)
        .describe('has a buyer: what he pays is money back, whatever the school'),
      takenPct: Percent.optional().describe('how much of it the pots take; left out, all of it'),
    })
    .optional()
    .describe('a by-product: it is not bought but comes off another ingredient'),
  learnFrom: z
    .strictObject({ season: z.enum([...SEASONS, 'now']).optional(), supplier: Id.optional() })
    .optional()
    .describe('which own tests count; left out, all of them'),
  priceBasis: Basis.optional().describe("overrides the kitchen's basis"),
  boughtAs: Id.optional().describe('the article it is costed from; else the one with the newest price'),
  partPack: z
    .enum(['part', 'whole'])
    .default('part')
    .describe('an opened pack is charged by the part used, or whole'),
});
