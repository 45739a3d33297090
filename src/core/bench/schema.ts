import { z } from 'zod';
import { FATES, SEASONS, TEST_KINDS } from '../learning';
import { Day, Id, Instant } from '../written';

/** A weight or time of a test as typed; empty while a test is open. */
const Weighed = z.string().trim().max(80, 'an amount has at most 80 characters');

export const TestPart = z.strictObject({
  name: z.string().trim().max(80).default('').describe('such as peel, greens, fillets'),
  fate: z.enum(FATES),
  amount: Weighed,
  product: Id.optional().describe('the ingredient a by-product is'),
});

/** A yield or cooking test. */
export const Test = z.strictObject({
  id: Id,
  ingredient: Id,
  kind: z.enum(TEST_KINDS).default('trim'),
  state: z.enum(['open', 'kept']).default('kept').describe('open: still being weighed, taught nothing yet'),
  on: Day,
  recordedAt: Instant,
  by: Id.optional().describe('who made it'),
  purchase: Id.optional().describe('the invoice it came with'),
  supplier: Id.optional(),
  season: z.enum(SEASONS),
  note: z.string().max(400).optional(),
  start: Weighed,
  intoWater: Weighed.optional().describe(
    'of spent solids: the weight that went into the water, if it was browned',
  ),
  time: Weighed.optional().describe('of spent solids: how long they cooked'),
  parts: z.array(TestPart).max(40),
  second: z
    .strictObject({
      how: z.string().trim().max(40).describe('such as mill, press'),
      start: Weighed,
      time: Weighed.optional().describe('the labour it took'),
      parts: z.array(TestPart).max(40),
    })
    .optional()
    .describe("a second pass of the first one's waste"),
  leftOut: z
    .strictObject({ at: Instant, by: Id.optional(), why: z.string().min(1).max(200) })
    .optional()
    .describe('a person said that it does not count'),
});

export type WrittenTest = z.infer<typeof Test>;
