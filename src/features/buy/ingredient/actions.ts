'use server';

import { z } from 'zod';
import type { Edited } from '@/server/write';
import { worker } from '@/server/session';
import type { KeptAnswer } from '@/ui/use-kept';
import { insteadOf, type Instead } from './queries';
import { countIngredient, setBasis, setSetting, weighPack } from './service';

const At = { id: z.uuid(), seen: z.number().int().positive() };
const Typed = z.string().max(80, 'At most 80 characters are kept.');
const BasisInput = z.object({
  ...At,
  by: z.enum(['kitchen', 'latest', 'average', 'stock', 'fixed']),
  days: Typed,
  price: Typed,
  per: Typed,
});
const SettingInput = z.object({
  ...At,
  boughtAs: z.uuid().nullable().optional(),
  partPack: z.enum(['part', 'whole']).optional(),
});
const CountInput = z.object({ ...At, typed: Typed });
const WeighInput = z.object({ ...At, article: z.uuid(), typed: Typed });

async function answer<T>(
  schema: z.ZodType<T>,
  input: unknown,
  change: (asked: T) => Promise<Edited>,
): Promise<KeptAnswer> {
  const asked = schema.safeParse(input);
  if (!asked.success)
    return { ok: false, message: asked.error.issues[0]?.message ?? 'This could not be read.' };
  const done = await change(asked.data);
  return done.ok ? { ok: true } : { ok: false, message: done.trouble.message };
}

export const keepBasis = async (input: z.infer<typeof BasisInput>): Promise<KeptAnswer> =>
  answer(BasisInput, input, ({ id, seen, ...wanted }) => setBasis(id, seen, wanted));
export const keepSetting = async (input: z.infer<typeof SettingInput>): Promise<KeptAnswer> =>
  answer(SettingInput, input, ({ id, seen, ...setting }) => setSetting(id, seen, setting));
export const keepCount = async (input: z.infer<typeof CountInput>): Promise<KeptAnswer> =>
  answer(CountInput, input, ({ id, seen, typed }) => countIngredient(id, seen, typed));
export const keepWeighing = async (input: z.infer<typeof WeighInput>): Promise<KeptAnswer> =>
  answer(WeighInput, input, ({ id, seen, article, typed }) => weighPack(id, seen, article, typed));

/** What changes when another ingredient is used in this one's place. */
export async function askInstead(id: string, other: string): Promise<Instead | null> {
  const who = await worker();
  const asked = z.tuple([z.uuid(), z.uuid()]).safeParse([id, other]);
  return who && asked.success ? insteadOf(who, ...asked.data) : null;
}
