import { z } from 'zod';
import { TRIM_SCHOOLS } from '@/core/larder';
import { wire } from '@/wire';
import { TYPED } from '@/wire/fields';
import * as texts from './texts';

/** How the kitchen trims and learns, and what hands and energy cost it, as typed; empty where one is not counted. */
export const Trimmed = z.object({
  school: z.enum(TRIM_SCHOOLS),
  setValue: TYPED,
  /** An hour of hands. */
  wage: TYPED,
  /** A kWh of each fuel. */
  electricity: TYPED,
  gas: TYPED,
  learning: z.enum(['ask', 'at once']),
  /** Where the bench scale answers. */
  scale: z.string().max(400, texts.addressMost400Characters),
});
export type Trimmed = z.infer<typeof Trimmed>;
export const TRIMMING = wire<null, Trimmed>()({ kind: 'kitchen.trimming', version: 1, body: Trimmed });
