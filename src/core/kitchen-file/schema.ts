import { MIXES, MOST_ON_A_MENU, SERVICES } from './services';
import { z } from 'zod';
import { TRIM_SCHOOLS } from '../larder';
import { SHOWN_IN } from '../quantity';
import { FUELS, HEATS, LIDS } from '../pot';
import { Article, Count, Measure, Purchase, Supplier } from './schema-buying';
import { Basis, Ingredient } from './schema-larder';
import { VERBS, WrittenStep } from '../verbs';
import { Day, Id, Name, Percent, PlateOf, Price, Typed } from '../written';
import { Test } from '../bench';
import { Batch } from './schema-batches';
import { Question } from './schema-questions';
import { Tray } from './schema-trays';
import { Waste } from './schema-waste';

/**
 * The kitchen file, version 2: a whole kitchen as one JSON document. In words: docs/formats.md; as a
 * JSON Schema: docs/kitchen-file.schema.json, generated from here.
 *
 * Amounts are kept as typed (`"8 kg"`, `"1 h 30"`), money and shares as decimal strings.
 */
export const FORMAT = 'half-pot-kitchen';
export const FORMAT_VERSION = 2;

const works = (make: () => unknown): boolean => {
  try {
    make();
    return true;
  } catch {
    return false;
  }
};
const isZone = (zone: string): boolean => works(() => new Intl.DateTimeFormat('en', { timeZone: zone }));
const isLocale = (locale: string): boolean => works(() => Intl.getCanonicalLocales(locale));
const CURRENCIES = new Set(Intl.supportedValuesOf('currency'));
const isCurrency = (code: string): boolean => CURRENCIES.has(code);

const Minutes = z.number().min(0).max(600);
/** Of a kind of step, minutes of hands: however little there is, for each kilo, for each litre. */
export const OwnHands = z.record(
  z.string().refine((kind) => kind in VERBS, 'is not a kind of step'),
  z.strictObject({
    fixedMin: Minutes.optional(),
    perKgMin: Minutes.optional(),
    perLMin: Minutes.optional(),
  }),
);

export const SharedHands = z.strictObject({ batchMin: Minutes.optional(), perLMin: Minutes.optional() });

const EmptyG = z
  .number()
  .positive()
  .max(500_000)
  .optional()
  .describe('what it weighs empty, g, so that a pot can be weighed');

/** What a vessel’s own batches have taught, once accepted. */
export const TaughtBoils = z.strictObject({
  heat: z.enum(HEATS),
  lid: z.enum(LIDS),
  times: z.number().min(0.1).max(10).describe('so many times what the table says'),
  sd: z
    .number()
    .min(0.001)
    .max(2)
    .describe('how far one batch scatters from it: standard deviation of the logarithm'),
  batches: z.number().int().min(1).max(10_000).describe('how many batches taught it'),
  on: Day,
});
export type TaughtBoils = z.infer<typeof TaughtBoils>;
const OwnBoils = z.array(TaughtBoils).max(20).optional();

export const Vessel = z.union([
  z.strictObject({
    id: Id,
    name: Name,
    shape: z.literal('round'),
    baseCm: z.number().positive().max(500),
    topCm: z.number().positive().max(500),
    heightCm: z.number().positive().max(500),
    maxFillPct: z.number().min(1).max(100),
    emptyG: EmptyG,
    boils: OwnBoils,
  }),
  z.strictObject({
    id: Id,
    name: Name,
    shape: z.literal('box'),
    lengthCm: z.number().positive().max(500),
    widthCm: z.number().positive().max(500),
    heightCm: z.number().positive().max(500),
    maxFillPct: z.number().min(1).max(100),
    emptyG: EmptyG,
    boils: OwnBoils,
  }),
]);

export const Hob = z.strictObject({
  id: Id,
  name: Name,
  netKw: z.number().positive().max(200).nullable().describe('kW that reach the pot; null: no limit'),
  fuel: z.enum(FUELS).default('electricity'),
  efficiencyPct: z
    .number()
    .min(5)
    .max(100)
    .optional()
    .describe('share of the fuel that reaches the pot; left out, what is usual for the fuel'),
  draught: z.boolean().optional().describe('it stands under a hood that pulls the steam away'),
});

/** Ways of one choice, and choices of one sheet, at most: more nobody can hold beside each other. */
export const MOST_WAYS = 6;
export const MOST_CHOICES = 8;

/** Where kitchens differ, the ways there are, and which one this house takes. */
export const Choice = z
  .strictObject({
    id: Id,
    name: Name.describe('what it is about, such as “salt” or “roux”'),
    ways: z
      .array(z.strictObject({ id: Id, name: Name }))
      .min(2, 'a choice has at least two ways')
      .max(MOST_WAYS, `a choice has at most ${MOST_WAYS} ways`),
    house: Id.describe('the way this house takes'),
  })
  .describe('ways of doing something: lines that belong to a way count where it is taken');

export const Recipe = z.strictObject({
  id: Id,
  name: Name,
  vessel: Id,
  hob: Id,
  note: z.string().max(400).optional(),
  serveCelsius: z.number().min(-5).max(100).optional().describe('°C at the table; left out, 65'),
  batchesAWeek: z.number().min(0).max(500).default(1).describe('how often it is usually cooked'),
  choices: z.array(Choice).max(MOST_CHOICES, `a sheet has at most ${MOST_CHOICES} choices`).optional(),
  steps: z.array(WrittenStep).max(200),
});

/** Least and most that a size of a plate may be of what it follows: a spoonful of it, or a tray. */
export const SIZES = { least: 0.05, most: 50 } as const;

const Served = {
  overfillPct: z
    .number()
    .min(0)
    .max(100)
    .optional()
    .describe('how much more than that goes on as the hand goes, % of it'),
  takenPct: z
    .number()
    .min(0)
    .max(100)
    .optional()
    .describe('put on the side: how much of it guests take; what they leave goes back. Left out, all of it'),
};

/** Another size of a plate: what it says otherwise than the plate it follows. */
export const Follows = z.strictObject({
  plate: Id.describe('the dish it is a size of; one that follows nothing itself'),
  size: z.number().min(SIZES.least).max(SIZES.most).describe('of each portion there: 0.5 is half of it'),
  but: z
    .array(
      z.strictObject({
        line: Id.describe('a line of the dish it follows'),
        out: z.literal(true).optional().describe('it does not stand on this one'),
        amount: Typed.optional(),
        ...Served,
      }),
    )
    .max(60)
    .default([]),
});

export const Plate = z.strictObject({
  id: Id,
  name: Name,
  menuPrice: Price.describe('as on the menu, tax included').optional(),
  taxPct: Percent.default(0),
  targetFoodCostPct: Percent.optional(),
  service: z.enum(SERVICES).optional().describe('how it is served'),
  serviceLossPct: z
    .number()
    .min(0)
    .max(90)
    .optional()
    .describe('of what is made up for it, how much is never sold: dried out, sent back, left over; %'),
  hands: z
    .strictObject({
      minutes: z.number().positive().max(1440),
      plates: z
        .number()
        .int()
        .min(1)
        .max(10_000)
        .describe('put together at once: 1 where each is made to order'),
    })
    .optional()
    .describe('active minutes of putting it together'),
  follows: Follows.optional().describe(
    'it is a size of another dish: the lines below are its own, beside those it follows; its tax is that dish’s',
  ),
  lines: z
    .array(
      z.strictObject({
        id: Id.optional().describe('its own, kept through edits; given when it is loaded where it has none'),
        of: PlateOf,
        amount: Typed,
        ...Served,
        packaging: z.literal(true).optional().describe('a jar, a lid, a box: packaging, not food'),
      }),
    )
    .max(60),
});

export const Menu = z
  .strictObject({
    id: Id,
    name: Name,
    mixIn: z.enum(MIXES).default('portions').describe('what the mix of sales is stated in'),
    plates: z
      .array(
        z.strictObject({
          plate: Id,
          sold: z.number().min(0).max(1_000_000).optional().describe('left out: nobody has said'),
        }),
      )
      .max(MOST_ON_A_MENU, `a menu has at most ${MOST_ON_A_MENU} dishes`),
  })
  .describe('dishes that are sold together, and how many of each');

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

/** What a house looks at and keeps to, where it is another than what is usual. */
export const HouseRules = z.strictObject({
  layers: z
    .array(z.enum(['energy', 'hands', 'packaging']))
    .optional()
    .describe('layers shown beside the ingredients; left out, all that are known'),
  strainers: z
    .array(
      z.strictObject({
        name: z.string().regex(/^\p{L}[\p{L}\p{N} -]{0,39}$/u, 'is not what a strainer is called'),
        clingsMl: z.number().min(0).max(5000).describe('ml of what is strained that stay in it'),
      }),
    )
    .max(20)
    .optional()
    .describe('strainers of the house’s own, or what stays in a usual one here'),
  walls: z
    .number()
    .min(0)
    .max(10)
    .optional()
    .describe('what stays on the walls of a pot that is poured out, in times of what is usual'),
  cooling: z
    .array(z.strictObject({ toC: z.number().min(0).max(60), withinH: z.number().positive().max(24) }))
    .min(1)
    .max(4)
    .optional()
    .describe('°C that a pot is to be cooled to, and h within which, from when it leaves the heat'),
  reheat: z
    .strictObject({ toC: z.number().min(40).max(100), withinH: z.number().positive().max(24) })
    .optional()
    .describe('°C that what is reheated is to come to, and h within which'),
  probe: z
    .url({ protocol: /^https?$/ })
    .max(300)
    .optional()
    .describe('where the probe of the stove answers'),
  holdAtC: z.number().min(40).max(100).optional().describe('°C that what is held hot does not fall below'),
  night: z
    .strictObject({
      fuels: z
        .array(z.enum(FUELS))
        .max(2)
        .describe('what it may be heated with; none, where nothing stands on the heat'),
      heat: z.enum(HEATS).describe('the most that it may be heated'),
      back: z
        .string()
        .regex(/^([01]\d|2[0-3]):[0-5]\d$/)
        .describe('when somebody is there again'),
    })
    .optional()
    .describe('what may stand on the heat for the night, while nobody is there'),
  serviceLoss: z
    .partialRecord(z.enum(SERVICES), z.number().min(0).max(90))
    .optional()
    .describe(
      'what is usually lost in each way of serving, % of what is made up; of a dish that says nothing itself',
    ),
  closed: z
    .strictObject({
      weekdays: z.array(z.number().int().min(1).max(7)).max(6).describe('1 is Monday'),
      days: z.array(Day).max(400),
    })
    .optional(),
});
export type HouseRules = z.infer<typeof HouseRules>;

export const KitchenFile = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(FORMAT_VERSION),
  referenceDay: Day.describe('the day the file speaks from; a demo is shifted so that this becomes today'),
  kitchen: z.strictObject({
    id: Id,
    name: Name,
    currency: z
      .string()
      .regex(/^[A-Z]{3}$/, 'is not a currency code such as EUR')
      .refine(isCurrency, 'is not the code of any currency'),
    locale: z.string().min(2).max(20).refine(isLocale, 'is not a locale such as en-IE'),
    zone: z
      .string()
      .min(3)
      .max(60)
      .refine(isZone, 'is not a time zone such as Europe/Dublin')
      .describe('IANA time zone'),
    decimalMark: z.enum(['.', ',']).default('.'),
    trim: z.strictObject({ school: z.enum(TRIM_SCHOOLS), setValuePerKg: Price.default('0') }),
    priceBasis: Basis.default({ by: 'latest' }),
    learning: z
      .enum(['ask', 'at once'])
      .default('ask')
      .describe('whether figures learned from yield tests wait until a manager accepts them'),
    wagePerHour: Price.optional().describe('an hour of labour'),
    energyPerKwh: z
      .partialRecord(z.enum(FUELS), Price)
      .default({})
      .describe('what a kilowatt hour of a fuel costs'),
    hands: OwnHands.optional().describe('labour minutes by kind of step, where this kitchen has its own'),
    sharedHands: SharedHands.optional().describe(
      'minutes of setting up and washing up: of a batch at most, and for each litre where there is little',
    ),
    usualTaxPct: Percent.optional().describe('tax in the menu price that a new dish begins with'),
    usualTargetPct: Percent.optional().describe('target food cost that a new dish begins with'),
    cooksMayChange: z
      .boolean()
      .optional()
      .describe('whether cooks change recipes, dishes and prices here, or managers alone'),
    shownIn: z.enum(SHOWN_IN).optional().describe('what amounts are read in; left out, kilos and litres'),
    rules: HouseRules.optional(),
    scale: z
      .url({ protocol: /^https?$/ })
      .max(300)
      .optional()
      .describe('where the bench scale answers'),
  }),
  measures: z.array(Measure).default([]).describe("the house's own measures"),
  people: z.array(Person).default([]),
  suppliers: z.array(Supplier).default([]),
  vessels: z.array(Vessel).default([]),
  hobs: z.array(Hob).default([]),
  ingredients: z.array(Ingredient).default([]),
  articles: z.array(Article).default([]),
  purchases: z.array(Purchase).default([]),
  counts: z.array(Count).default([]),
  tests: z.array(Test).default([]),
  wastes: z.array(Waste).default([]),
  recipes: z.array(Recipe).default([]),
  plates: z.array(Plate).default([]),
  menus: z.array(Menu).default([]),
  trays: z.array(Tray).default([]),
  questions: z.array(Question).default([]),
  batches: z.array(Batch).default([]),
  history: z
    .strictObject({
      schema: z.number().int().positive().max(9999).describe('the step of the database it was written at'),
      tables: z.record(
        z.string().regex(/^[a-z_]{1,64}$/),
        z.array(z.record(z.string().regex(/^[a-z0-9_]{1,64}$/), z.union([z.string(), z.number(), z.null()]))),
      ),
    })
    .optional()
    .describe(
      'how everything came to stand so: change log, versions, lists as they came, lots, what is archived; as a database of that step keeps it, without secrets. Only where a house moves with its history',
    ),
});
export type KitchenFile = z.infer<typeof KitchenFile>;
export type WrittenIngredient = KitchenFile['ingredients'][number];
export type WrittenRecipe = KitchenFile['recipes'][number];
export type WrittenChoice = NonNullable<WrittenRecipe['choices']>[number];
export type WrittenFollows = NonNullable<KitchenFile['plates'][number]['follows']>;
export type WrittenTray = KitchenFile['trays'][number];
export type WrittenTrial = WrittenTray['trials'][number];
export type WrittenBatch = KitchenFile['batches'][number];
export type WrittenQuestion = KitchenFile['questions'][number];
export type WrittenMenu = KitchenFile['menus'][number];
export type WrittenPlate = KitchenFile['plates'][number];
export type WrittenArticle = KitchenFile['articles'][number];
export type WrittenPurchase = KitchenFile['purchases'][number];
export type WrittenLine = WrittenPurchase['lines'][number];
export type GoodsLine = Extract<WrittenLine, { is: 'goods' }>;
export type WrittenWaste = KitchenFile['wastes'][number];
export type WrittenVessel = KitchenFile['vessels'][number];
