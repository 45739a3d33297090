import { z } from 'zod';
import { wire } from '@/wire';
import { ID, TYPED } from '@/wire/fields';

/** Minutes as typed; empty for what is usual. */
const Minutes = z.strictObject({ fixed: TYPED, perKg: TYPED, perL: TYPED });

/** Minutes of hands of the kitchen's own, by kind of step; and of setting up and washing up. */
export const LabourTyped = z.object({
  kinds: z.record(z.string().max(40), Minutes),
  sharedBatch: TYPED,
  sharedPerL: TYPED,
});
export type LabourTyped = z.infer<typeof LabourTyped>;
export const OWN_LABOUR = wire<null, LabourTyped>()({ kind: 'kitchen.hands', version: 1, body: LabourTyped });

/** Which cups, spoons, pints and gallons this kitchen means: said once. */
export const CUPS = wire<{ readonly added: readonly string[] }>()({
  kind: 'kitchen.cups',
  version: 1,
  body: z.object({ of: z.enum(['us', 'imperial', 'metric']) }),
});

/** Keeps what something costs today, as it is worked out now. */
export const KEEP_COSTING = wire<{ readonly id: string }>()({
  kind: 'costing.keep',
  version: 1,
  body: z.object({ what: z.enum(['product', 'plate']), subject: ID }),
});
/** Puts a kept costing away, or takes it up again. */
export const COSTING_AWAY = wire()({
  kind: 'costing.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean() }),
});

/** A manager has seen what a model moved. */
export const MODEL_SEEN = wire()({ kind: 'model.seen', version: 1, body: z.object({ id: ID }) });

/** Takes what later starting values know of ingredients; or gives back what stood there. */
export const STARTING_VALUES = wire<{ readonly moved: number }>()({
  kind: 'starting-values.take',
  version: 1,
  body: z.object({ ids: z.array(ID).min(1).max(2000) }),
});
export const STARTING_VALUES_BACK = wire()({
  kind: 'starting-values.back',
  version: 1,
  body: z.object({ change: ID }),
});
