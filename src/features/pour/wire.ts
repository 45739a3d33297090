import { z } from 'zod';
import type { WrittenPlate } from '@/core/kitchen-file';
import { ID, sender, wire } from '@/wire';

/** A plate as somebody else left it. */
export interface TheirPlate {
  readonly version: number;
  readonly plate: WrittenPlate;
}

/** What of a plate can be typed over: how much of each line stands on it, and its price on the menu. */
export const PLATE = wire<null, TheirPlate>()({
  kind: 'plate.amounts',
  version: 1,
  body: z.object({
    id: ID,
    lines: z
      .array(
        z.object({
          id: ID,
          amount: z
            .string()
            .trim()
            .min(1, 'An amount is missing.')
            .max(80, 'An amount has at most 80 characters.'),
          /** Its count stands for things as bought from now on, where it stood for trimmed ones. */
          asBought: z.boolean().optional(),
        }),
      )
      .max(60),
    menuPrice: z.string().max(80),
  }),
});

export const keepPlate = sender(PLATE);
