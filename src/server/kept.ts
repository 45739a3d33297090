import type { z } from 'zod';
import type { Edited } from './write';

/** What a screen is told: kept, or a sentence that says why not. */
type Answer = { readonly ok: true } | { readonly ok: false; readonly message: string };

/** Reads what a screen sends, keeps it, and answers with a sentence where it cannot be kept. */
export async function kept<T>(
  schema: z.ZodType<T>,
  input: unknown,
  change: (asked: T) => Promise<Edited>,
): Promise<Answer> {
  const asked = schema.safeParse(input);
  if (!asked.success)
    return { ok: false, message: asked.error.issues[0]?.message ?? 'This could not be read.' };
  const done = await change(asked.data);
  return done.ok ? { ok: true } : { ok: false, message: done.trouble.message };
}
