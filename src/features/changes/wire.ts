import { z } from 'zod';
import { wire } from '@/wire';
import { ID } from '@/wire/fields';

/** What was taken back, in words, and the change that did it: taken back itself, it is done again. */
export interface TakenBack {
  readonly words: string;
  readonly by: string;
}

/** Takes an act back: one by the id of one of its changes, or one's own last. */
export const UNDO = wire<TakenBack>()({
  kind: 'change.undo',
  version: 1,
  body: z.object({
    change: ID.nullable(),
    /** Of one's own last: does again what was taken back. */
    again: z.boolean().default(false),
  }),
});

/** Puts a sheet or plate back as it stood after one of its changes. */
export const RESTORE = wire<TakenBack>()({
  kind: 'change.restore',
  version: 1,
  body: z.object({ change: ID }),
});
