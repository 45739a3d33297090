import { z } from 'zod';

/** A write as it travels. `seen` is the version of the thing that its writer was looking at. */
export const Envelope = z.strictObject({
  commandId: z.uuid(),
  kind: z.string().min(1).max(40),
  kindVersion: z.number().int().positive(),
  seen: z.number().int().positive().nullable(),
  body: z.unknown(),
  /** Who typed it: in anybody else's hands it is refused. Not said by what nobody at a screen typed. */
  person: z.uuid().optional(),
});
export type Envelope = z.infer<typeof Envelope>;
