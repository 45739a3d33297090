'use server';

import { z } from 'zod';
import { SEASONS } from '@/core/learning';
import { TRIM_SCHOOLS } from '@/core/larder';
import { kept } from '@/server/kept';
import type { KeptAnswer } from '@/ui/use-kept';
import { acceptLearned, setComesOff, setLearnFrom, setLeftOut, setTrim } from './service';

const At = { id: z.uuid(), seen: z.number().int().positive() };
const Typed = z.string().max(80, 'At most 80 characters are kept.').nullable();

const Accept = z.object({ ...At, proposed: z.string().max(8000) });
export const accept = async (input: z.infer<typeof Accept>): Promise<KeptAnswer> =>
  kept(Accept, input, ({ id, seen, proposed }) => acceptLearned(id, seen, proposed));

const LeftOut = z.object({ test: z.uuid(), why: z.string().max(400).nullable() });
export const leaveOutTest = async (input: z.infer<typeof LeftOut>): Promise<KeptAnswer> =>
  kept(LeftOut, input, ({ test, why }) => setLeftOut(test, why));

const From = z.object({
  ...At,
  season: z.enum([...SEASONS, 'now']).nullable(),
  supplier: z.uuid().nullable(),
});
export const learnFrom = async (input: z.infer<typeof From>): Promise<KeptAnswer> =>
  kept(From, input, ({ id, seen, ...from }) => setLearnFrom(id, seen, from));

const Trim = z.object({ ...At, school: z.enum(TRIM_SCHOOLS).nullable(), setValue: Typed, takenPct: Typed });
export const keepTrim = async (input: z.infer<typeof Trim>): Promise<KeptAnswer> =>
  kept(Trim, input, ({ id, seen, ...wanted }) => setTrim(id, seen, wanted));

const Product = z.object({ ...At, setValue: Typed, sold: z.boolean() });
export const keepComesOff = async (input: z.infer<typeof Product>): Promise<KeptAnswer> =>
  kept(Product, input, ({ id, seen, ...wanted }) => setComesOff(id, seen, wanted));
