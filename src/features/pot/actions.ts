'use server';

import { z } from 'zod';
import { WrittenStep } from '@/core/kitchen-file';
import { keepRecipe, type KeptRecipe } from './service';

const Keep = z.object({
  id: z.uuid(),
  seen: z.number().int().positive(),
  vessel: z.uuid(),
  hob: z.uuid(),
  steps: z.array(WrittenStep).max(200, 'A pot sheet has at most 200 steps.'),
});

export type KeepAnswer =
  | ({ readonly ok: true } & KeptRecipe)
  | { readonly ok: false; readonly message: string; readonly path: string; readonly stale: boolean };

export async function keepPotSheet(input: z.infer<typeof Keep>): Promise<KeepAnswer> {
  const asked = Keep.safeParse(input);
  if (!asked.success)
    return {
      ok: false,
      path: '',
      stale: false,
      message: asked.error.issues[0]?.message ?? 'This pot sheet could not be read.',
    };
  const { seen, ...recipe } = asked.data;
  const done = await keepRecipe(recipe, seen);
  return done.ok
    ? { ok: true, ...done.value }
    : {
        ok: false,
        message: done.trouble.message,
        path: done.trouble.path,
        stale: done.trouble.code === 'stale',
      };
}
