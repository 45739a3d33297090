import { z } from 'zod';
import { HEATS, LIDS } from '../pot';
import { WrittenStep } from '../verbs';
import { Id, Instant, Name } from '../written';

/** How thick and how salty it tastes: what a spoon says without a figure. */
export const TASTES = { thick: ['thin', 'right', 'thick'], salt: ['flat', 'right', 'salty'] } as const;

/** What a reading that could not be turns out to have been. */
export const ANSWERS = ['lost', 'water', 'read', 'misread'] as const;

/** What goes wrong with a pot that something can be done about. */
export const PROBLEMS = ['too thick', 'too thin', 'too salty', 'too little'] as const;
/** What came into a pot that was not meant to: told with what it was. */
export const CAME_IN = ['wrong thing in', 'into the wrong pot'] as const;
/** How a spoonful sets that was chilled. */
export const GELS = ['stays liquid', 'wobbles', 'cuts'] as const;
/** Why a part of a pot is gone, with its share of everything. */
export const GONE = ['scorched', 'boiled over', 'spilled', 'drawn off'] as const;
/** What batches teach as a multiple of the value in use. */
export const LEARNED_TIMES = ['gives', 'keeps', 'clings', 'loses', 'pours', 'hands'] as const;
/** Where a pot cools. */
export const PLACES = ['kitchen', 'cold room', 'ice bath', 'blast chiller'] as const;

const stamp = {
  id: Id,
  at: Instant.describe('when it happened, which may be before it was told'),
  recordedAt: Instant,
  by: Name.optional().describe('who told it'),
  said: z
    .literal('unverified')
    .optional()
    .describe('the name was said without the network, and no PIN with it'),
};

/** Something that happened to a batch, told by a person or a probe. */
export const BatchEvent = z.discriminatedUnion('is', [
  z
    .strictObject({
      ...stamp,
      is: z.literal('done'),
      step: Id,
      handsMin: z.number().min(0).max(600).optional().describe('labour minutes; left out, as usual'),
    })
    .describe('a line is done: what comes after it begins then'),
  z.strictObject({
    ...stamp,
    is: z.literal('dip'),
    cm: z.number().min(0).max(300).describe('cm from the rim down to the surface'),
    with: z.enum(['ruler', 'spoon']).describe('a ruler is read to 2 mm, a spoon’s handle to 5'),
    celsius: z
      .number()
      .min(-5)
      .max(120)
      .optional()
      .describe(
        '°C it stood at when it was dipped: hot it stands higher; left out, as it should be on its fire',
      ),
  }),
  z.strictObject({ ...stamp, is: z.literal('litres'), l: z.number().positive().max(2000) }),
  z.strictObject({
    ...stamp,
    is: z.literal('kilos'),
    kg: z.number().positive().max(3000).describe('kg of what is in the pot, without the pot'),
  }),
  z.strictObject({
    ...stamp,
    is: z.literal('salt'),
    pct: z.number().min(0).max(40).describe('% of the liquid, by a meter'),
  }),
  z.strictObject({ ...stamp, is: z.literal('degrees'), celsius: z.number().min(-30).max(300) }),
  z
    .strictObject({ ...stamp, is: z.literal('off') })
    .describe('the heat goes off for good: the clock of cooling starts here'),
  z.strictObject({
    ...stamp,
    is: z.literal('taste'),
    thick: z.enum(TASTES.thick).optional(),
    salt: z.enum(TASTES.salt).optional(),
  }),
  z.strictObject({ ...stamp, is: z.literal('note'), text: z.string().trim().min(1).max(400) }),
  z
    .strictObject({
      ...stamp,
      is: z.literal('answered'),
      reading: Id.describe('the reading that was asked about'),
      as: z.enum(ANSWERS),
    })
    .describe(
      'what a reading that could not be meant: lost takes a share of everything, water was topped up, read is taken at its word, misread counts for nothing',
    ),
  z
    .strictObject({
      ...stamp,
      is: z.literal('rescue'),
      problem: z.enum([...PROBLEMS, ...CAME_IN]),
      steps: z.array(WrittenStep).min(1).max(5),
    })
    .describe('lines of this batch alone, done at once while the line at hand goes on'),
  z
    .strictObject({
      ...stamp,
      is: z.literal('left'),
      l: z.number().min(0).max(2000).describe('litres that are left'),
      why: z.enum(GONE),
    })
    .describe('a part is gone, and its share of everything with it'),
  z
    .strictObject({
      ...stamp,
      is: z.literal('moved'),
      to: z.enum(PLACES),
      depthCm: z.number().positive().max(100).describe('how deep it stands there'),
    })
    .describe('it cools on in another place'),
  z.strictObject({ ...stamp, is: z.literal('reheating') }).describe('it is brought to heat again'),
  z.strictObject({ ...stamp, is: z.literal('holding') }).describe('it is held hot from here on'),
  z
    .strictObject({
      ...stamp,
      is: z.literal('night'),
      until: z.iso.datetime().describe('when somebody is there again'),
      heat: z
        .enum(HEATS)
        .optional()
        .describe('what it is turned down to till then, or till anything is told; left out, as it stands'),
    })
    .describe('it is left alone'),
  z.strictObject({
    ...stamp,
    is: z.literal('brix'),
    bx: z.number().min(0).max(85).describe('°Bx of what was strained, by a refractometer'),
  }),
  z
    .strictObject({ ...stamp, is: z.literal('sets'), how: z.enum(GELS) })
    .describe('how a spoonful sets that was chilled: it says roughly how much gelatin there is'),
  z
    .strictObject({ ...stamp, is: z.literal('left out'), heat: z.enum(HEATS), lid: z.enum(LIDS) })
    .describe('what this batch says of how fast it boils away so is not learned from: a lid was forgotten'),
  z
    .strictObject({
      ...stamp,
      is: z.literal('not learned'),
      kind: z.enum(LEARNED_TIMES),
      of: z.string().min(1).max(60),
    })
    .describe('what this batch says of an ingredient, a strainer or a kind of step is not learned from'),
  z
    .strictObject({
      ...stamp,
      is: z.literal('otherwise'),
      step: Id.describe('the line'),
      as: WrittenStep.describe('what was done in its place'),
    })
    .describe(
      'a line was done differently in this batch: another article, another weight, to taste by so much',
    ),
  z
    .strictObject({
      ...stamp,
      is: z.literal('ended'),
      l: z.number().min(0).max(2000).optional().describe('litres got; left out, what the pot should hold'),
      portions: z
        .number()
        .int()
        .min(1)
        .max(100_000)
        .optional()
        .describe('whole portions that went out of it, where its sheet portions it'),
    })
    .describe('the batch is over'),
]);
export type WrittenBatchEvent = z.infer<typeof BatchEvent>;

/** What four out of five would lie between, and the middle. */
const Foretold = z.strictObject({ low: z.number(), middle: z.number(), high: z.number() });

export const Batch = z
  .strictObject({
    id: Id,
    recipe: Id.describe('the sheet it was begun from'),
    name: Name.describe('what the sheet was called then'),
    startedAt: Instant,
    vessel: Id,
    hob: Id,
    steps: z
      .array(WrittenStep)
      .min(1)
      .max(200)
      .refine(
        (steps) => steps.every((s) => s.id !== undefined),
        'each line of a batch has an id: what happened names it',
      )
      .describe('the lines as they were to be done, each with its id'),
    foretold: z
      .strictObject({
        l: Foretold.optional().describe('litres in the end'),
        lines: z
          .array(z.strictObject({ step: Id, hours: Foretold }))
          .max(200)
          .describe('h of the lines that end when enough has gone'),
      })
      .optional()
      .describe('the forecast made before it began; left out where it was entered afterwards'),
    events: z.array(BatchEvent).max(2000).default([]),
  })
  .describe('a pot that was really cooked');
