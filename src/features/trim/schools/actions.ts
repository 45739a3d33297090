'use server';

import { z } from 'zod';
import { TRIM_SCHOOLS } from '@/core/larder';
import { kept } from '@/server/kept';
import type { KeptAnswer } from '@/ui/use-kept';
import { setTrimming } from './service';

const Typed = z.string().max(80, 'At most 80 characters are kept.');
const Wanted = z.object({
  seen: z.number().int().positive(),
  school: z.enum(TRIM_SCHOOLS),
  setValue: Typed,
  wage: Typed,
  electricity: Typed,
  gas: Typed,
  learning: z.enum(['ask', 'at once']),
  scale: z.string().max(400),
});

export const keepTrimming = async (input: z.infer<typeof Wanted>): Promise<KeptAnswer> =>
  kept(Wanted, input, ({ seen, ...wanted }) => setTrimming(seen, wanted));
