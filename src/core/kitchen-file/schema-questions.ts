import { z } from 'zod';
import { TRIM_SCHOOLS } from '../larder';
import { WrittenStep } from '../verbs';
import { Day, Id, Name, Of, PlateOf } from '../written';

/** Ways compared: more than these nobody can hold beside each other. */
export const MOST_LAID = 6;

/** Something that takes the place of a line: itself, or so much of it stirred into water where it is a concentrate. */
const Base = z.strictObject({
  of: Of,
  gPerL: z
    .number()
    .positive()
    .max(1000)
    .optional()
    .describe(
      'g of it in a litre of water, where it is a paste or powder; left out, it is taken as it comes',
    ),
});

const lined = { recipe: Id, line: Id.describe('the line of the sheet that it is about') };

/** What is asked of a pot: which of several ways. */
export const Asks = z.discriminatedUnion('of', [
  z
    .strictObject({
      of: z.literal('base'),
      ...lined,
      bases: z
        .array(Base)
        .min(1)
        .max(MOST_LAID - 1),
      body: z.number().min(0.02).max(12).describe('least body of what is finished'),
      saltPct: z.number().min(0).max(5).describe('most salt of what is finished, %'),
      mend: PlateOf.optional().describe('what thickens it where salt stops the reduction first'),
    })
    .describe('what another base would make of the finished thing, at as much body and no more salt'),
  z
    .strictObject({
      of: z.literal('thicken'),
      ...lined,
      with: z
        .array(PlateOf)
        .min(1)
        .max(MOST_LAID - 2),
    })
    .describe('reduce all the way, or stop at three quarters of it and thicken'),
  z.strictObject({ of: z.literal('press'), ...lined }),
  z.strictObject({ of: z.literal('second pass'), ...lined }),
  z.strictObject({ of: z.literal('second wash'), ...lined }),
  z.strictObject({ of: z.literal('salt'), ...lined }).describe('early or late'),
  z.strictObject({ of: z.literal('lid'), ...lined }),
  z.strictObject({ of: z.literal('pot'), recipe: Id, vessels: z.array(Id).min(2).max(MOST_LAID) }),
  z
    .strictObject({
      of: z.literal('instead'),
      ...lined,
      with: z
        .array(Base)
        .min(1)
        .max(MOST_LAID - 1),
      benchMinPerKg: z
        .number()
        .min(0)
        .max(120)
        .optional()
        .describe('minutes at the bench that a kilo of what stands there now takes, and the others do not'),
    })
    .describe('one thing in the place of another, as much of it'),
  z
    .strictObject({
      of: z.literal('article'),
      recipe: Id,
      ingredient: Id,
      articles: z.array(Id).min(2).max(MOST_LAID),
    })
    .describe('the same thing bought in another pack or elsewhere'),
  z.strictObject({ of: z.literal('school'), recipe: Id, schools: z.array(z.enum(TRIM_SCHOOLS)).min(2) }),
  z.strictObject({
    of: z.literal('sheets'),
    recipe: Id,
    with: z
      .array(Id)
      .min(1)
      .max(MOST_LAID - 1),
  }),
  z
    .strictObject({
      of: z.literal('versions'),
      recipe: Id,
      with: z
        .array(
          z.strictObject({ name: Name, vessel: Id, hob: Id, steps: z.array(WrittenStep).min(1).max(200) }),
        )
        .min(1)
        .max(3),
    })
    .describe('the sheet as it stands beside itself as it was written before: the lines that were done'),
]);
export type WrittenAsks = z.infer<typeof Asks>;

/** What a question came to when somebody last looked. */
export const Told = z.strictObject({
  on: Day,
  winner: z.number().int().min(0).max(MOST_LAID).describe('place of the cheapest way'),
  perL: z
    .array(z.number().nullable())
    .max(MOST_LAID)
    .describe('currency a litre of each way, layers counted; null where it was not known'),
  sure: z.number().min(0).max(1).optional().describe('share of trials in which it was the cheapest'),
  prices: z
    .array(z.strictObject({ ingredient: Id, perKg: z.number() }))
    .max(200)
    .default([])
    .describe('what a usable kilo of everything they are made from cost'),
  sheets: z
    .string()
    .max(20)
    .optional()
    .describe('told from others: how the sheets they are made from were written'),
});
export type WrittenTold = z.infer<typeof Told>;

export const Question = z
  .strictObject({
    id: Id,
    name: Name,
    beside: z
      .array(z.enum(['energy', 'hands', 'packaging']))
      .default([])
      .describe('layers counted beside the ingredients'),
    asks: Asks,
    told: Told.optional().describe('what it came to when somebody last looked'),
  })
  .describe('a question that is asked again as prices move');
