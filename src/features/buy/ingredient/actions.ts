'use server';

import { z } from 'zod';
import { kept } from '@/server/kept';
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

export const keepBasis = async (input: z.infer<typeof BasisInput>): Promise<KeptAnswer> =>
  kept(BasisInput, input, ({ id, seen, ...wanted }) => setBasis(id, seen, wanted));
export const keepSetting = async (input: z.infer<typeof SettingInput>): Promise<KeptAnswer> =>
  kept(SettingInput, input, ({ id, seen, ...setting }) => setSetting(id, seen, setting));
export const keepCount = async (input: z.infer<typeof CountInput>): Promise<KeptAnswer> =>
  kept(CountInput, input, ({ id, seen, typed }) => countIngredient(id, seen, typed));
export const keepWeighing = async (input: z.infer<typeof WeighInput>): Promise<KeptAnswer> =>
  kept(WeighInput, input, ({ id, seen, article, typed }) => weighPack(id, seen, article, typed));

/** What changes when another ingredient is used in this one's place. */
export async function askInstead(id: string, other: string): Promise<Instead | null> {
  const who = await worker();
  const asked = z.tuple([z.uuid(), z.uuid()]).safeParse([id, other]);
  return who && asked.success ? insteadOf(who, ...asked.data) : null;
}
