'use server';

import { z } from 'zod';
import { keepPlate } from './service';

const Keep = z.object({
  id: z.uuid(),
  seen: z.number().int().positive(),
  amounts: z
    .array(z.string().trim().min(1, 'An amount is missing.').max(80, 'An amount has at most 80 characters.'))
    .max(60),
  menuPrice: z.string().max(80),
});

export type PlateAnswer =
  | { readonly ok: true; readonly version: number }
  | { readonly ok: false; readonly message: string; readonly path: string; readonly stale: boolean };

export async function keepPlateAs(input: z.infer<typeof Keep>): Promise<PlateAnswer> {
  const asked = Keep.safeParse(input);
  if (!asked.success)
    return {
      ok: false,
      path: '',
      stale: false,
      message: asked.error.issues[0]?.message ?? 'This plate could not be read.',
    };
  const { seen, ...wanted } = asked.data;
  const done = await keepPlate(wanted, seen);
  return done.ok
    ? { ok: true, version: done.value }
    : {
        ok: false,
        message: done.trouble.message,
        path: done.trouble.path,
        stale: done.trouble.code === 'stale',
      };
}
