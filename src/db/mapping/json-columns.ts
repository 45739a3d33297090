import { z } from 'zod';
import {
  Batch,
  BatchEvent,
  Article,
  Basis,
  Choice,
  Columns,
  Follows,
  HouseRules,
  Ingredient,
  upgradeLine,
  upgradeLines,
  OwnHands,
  Recipe,
  SharedHands,
  TaughtBoils,
  Question,
  Told,
  Tray,
  type WrittenRecipe,
} from '@/core/kitchen-file';
import { WrittenStep } from '@/core/verbs';

/** Thrown when a column holds a version that this program is too old to read. */
export class NewerJsonError extends Error {
  constructor(column: string, found: number, known: number) {
    super(`${column} holds version ${found}; this program reads up to ${known}: update it`);
    this.name = 'NewerJsonError';
  }
}

/**
 * A JSON column: what it holds, in which version, and how older ones are brought up to it. Stored as `{v, is}`; what stands there
 * bare is from before versions were written down, and counts as version 0.
 */
export interface JsonColumn<T> {
  /** The version that is written. */
  readonly version: number;
  readonly write: (value: T) => string;
  readonly read: z.ZodType<T>;
}

const Stored = z.strictObject({ v: z.number().int().positive(), is: z.unknown() });

/**
 * @param upgrades one for each version from 0 on: makes of it what the next one holds
 */
export function jsonColumn<T>(
  name: string,
  schema: z.ZodType<T>,
  upgrades: readonly ((older: unknown) => unknown)[],
): JsonColumn<T> {
  const version = upgrades.length;
  const current = (stored: unknown): unknown => {
    // Some servers hand JSON over as text.
    const value: unknown = typeof stored === 'string' ? JSON.parse(stored) : stored;
    const known = Stored.safeParse(value);
    const found = known.success ? known.data.v : 0;
    if (found > version) throw new NewerJsonError(name, found, version);
    return upgrades
      .slice(found)
      .reduce<unknown>((older, up) => up(older), known.success ? known.data.is : value);
  };
  return {
    version,
    write: (value) => JSON.stringify({ v: version, is: value }),
    read: z.unknown().transform(current).pipe(schema) as unknown as z.ZodType<T>,
  };
}

const asItWas = (older: unknown): unknown => older;

export const PRICE_BASIS = jsonColumn('a price basis', Basis, [asItWas]);
export const LIST_COLUMNS = jsonColumn('the columns of a list', Columns, [asItWas]);
export const FOLLOWS = jsonColumn('what a dish follows', Follows, [asItWas]);
export const TRIALS = jsonColumn('the trials of a tray', Tray.shape.trials, [asItWas]);
export const ASKS = jsonColumn('what a question asks', Question.pick({ asks: true, beside: true }), [
  asItWas,
]);
export const BATCH_STEPS = jsonColumn('the lines of a batch', Batch.shape.steps, [asItWas]);
export const FORETOLD = jsonColumn('the forecast of a batch', Batch.shape.foretold.unwrap(), [asItWas]);
export const BOILS = jsonColumn('what a vessel has taught', z.array(TaughtBoils), [asItWas]);
export const BATCH_EVENT = jsonColumn('what happened to a batch', BatchEvent, [asItWas]);
export const ANSWER_COLUMN = jsonColumn('what a question came to', Told, [asItWas]);
export const LABEL = jsonColumn('a label', Article.shape.label.unwrap(), [asItWas]);

/** Of an ingredient what no column of its own holds. */
const Physics = Ingredient.pick({
  composition: true,
  fat: true,
  bindingGPerKg: true,
  gelatin: true,
  renderedFatPct: true,
  takesWaterGPerG: true,
  givesWaterGPerG: true,
  givesHalfLifeH: true,
  juice: true,
  pulpPct: true,
  curdlesAtC: true,
  retentionMlPerKg: true,
  retentionPressedMlPerKg: true,
  packing: true,
  densityGPerMl: true,
  eachG: true,
  eachUnit: true,
  pieceG: true,
  allergens: true,
  allergensRead: true,
});
export type Physics = z.infer<typeof Physics>;
export const PHYSICS = jsonColumn('the physics of an ingredient', Physics, [asItWas]);

/** A step as written, its id apart: that has a column of its own. */
export const STEP = jsonColumn<WrittenStep>('a step', WrittenStep, [asItWas, upgradeLine]);

/** A recipe whole, as it stood at a version. */
export const RECIPE = jsonColumn<WrittenRecipe>('a version of a recipe', Recipe, [
  asItWas,
  (older) => upgradeLines(older, 'steps'),
]);

/** Ways a recipe can be done in. */
export const CHOICES = jsonColumn('the choices of a recipe', z.array(Choice), [asItWas]);

/** Minutes of hands of a kitchen's own. */
const Hands = z.strictObject({ kinds: OwnHands.optional(), shared: SharedHands.optional() });
export const LABOUR_COLUMN = jsonColumn('the hands of a kitchen', Hands, [asItWas]);
export const HOUSE_RULES = jsonColumn('the rules of a kitchen', HouseRules, [asItWas]);

const Cost = z.number().nullable();
/** A costing as it was kept: money in the kitchen's currency. */
const KeptCosting = z.strictObject({
  /** Of a litre, or of a plate, by layer. */
  layers: z.record(z.string(), Cost),
  /** What it was made of, with what each came to. */
  lines: z.array(
    z.strictObject({
      said: z.string(),
      /** As typed on a plate; of a pot, g. */
      amount: z.string().optional(),
      g: z.number().optional(),
      cost: Cost,
      perKg: Cost,
    }),
  ),
  currency: z.string(),
  /** ml a batch gives; net price and target of a plate. */
  ml: z.number().optional(),
  perKg: Cost.optional(),
  netPrice: Cost.optional(),
});
export type KeptCosting = z.infer<typeof KeptCosting>;
export const KEPT_COSTING = jsonColumn('a kept costing', KeptCosting, [asItWas]);

/** What everything cost: `[key, name, cost]` of each product (a litre) and plate. */
const Costs = z.array(z.tuple([z.string(), z.string(), Cost]));
export type Costs = z.infer<typeof Costs>;
export const COSTS = jsonColumn('the costs last worked out', Costs, [asItWas]);

/** What a model moved: `[key, name, before, after]`. */
const Moves = z.array(z.tuple([z.string(), z.string(), Cost, Cost]));
export type CostChanges = z.infer<typeof Moves>;
export const COST_CHANGES = jsonColumn('what a model moved', Moves, [asItWas]);
