import { z } from 'zod';
import { BatchEvent, LEARNED_TIMES } from '@/core/kitchen-file';
import { HEATS, LIDS } from '@/core/pot';
import { Id } from '@/core/written';
import { sender, wire } from '@/wire';
import { ID } from '@/wire/fields';
import { eventWords } from './words';
import * as texts from './texts';

/** A batch as it is put on: of which sheet, where, how much of it, and since when where it began before anybody told. */
export const Put = z.object({
  id: Id,
  recipe: ID,
  vessel: ID,
  hob: ID,
  times: z.number().min(0.05, texts.batchLeastTwentiethSheet).max(50, texts.batchMostFiftyTimes),
  startedAt: z.iso.datetime().nullable(),
});
export type Put = z.infer<typeof Put>;

/** Puts a pot on: its lines are those of the sheet as it is. */
export const BATCH = wire<{ readonly id: string }>()({ kind: 'batch.start', version: 1, body: Put });

/** Says what happened to a batch. Said twice it is said once: what happened has an id of its own. */
export const TELL = wire<{ readonly stands: number }>()({
  kind: 'batch.tell',
  version: 1,
  body: z.object({ batch: ID, event: BatchEvent }),
  waits: ({ batch, event }) => ({
    thing: batch,
    whole: false,
    remembered: true,
    words: eventWords(event),
  }),
});

/** Takes back what was told of a batch. */
export const UNDO_EVENT = wire<{ readonly stands: number }>()({
  kind: 'batch.take-back',
  version: 1,
  body: z.object({ batch: ID, event: ID }),
  waits: ({ batch }) => ({
    thing: batch,
    whole: false,
    remembered: true,
    words: texts.entryUndone,
  }),
});

/** Puts a batch away, as if it had never been on, or brings it back. */
export const BATCH_AWAY = wire()({
  kind: 'batch.away',
  version: 1,
  body: z.object({ id: ID, away: z.boolean() }),
});

/** Takes what batches have taught of a vessel at a heat into force, or goes back to the table. */
export const LEARN = wire()({
  kind: 'batch.learn',
  version: 1,
  body: z.object({ vessel: ID, heat: z.enum(HEATS), lid: z.enum(LIDS), accept: z.boolean() }),
});

/** Takes into force what batches have taught of a figure as a multiple of the value in use: what an ingredient gives or keeps, what stays behind, how full portions are, minutes of a kind of step. */
export const LEARN_TIMES = wire()({
  kind: 'batch.learn-times',
  version: 1,
  body: z.object({ kind: z.enum(LEARNED_TIMES), of: z.string().min(1).max(60), supplier: ID.optional() }),
});

export const startBatch = sender(BATCH);
export const sendBatchEvent = sender(TELL);
export const undoEvent = sender(UNDO_EVENT);
export const archiveBatch = sender(BATCH_AWAY);
export const learnFrom = sender(LEARN);
export const learnTimesFrom = sender(LEARN_TIMES);
