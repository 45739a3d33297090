'use server';

import { z } from 'zod';
import { Day } from '@/core/kitchen-file';
import type { Trouble } from '@/core/trouble';
import { writePurchase } from './service';

const Typed = z.string().max(80, 'At most 80 characters are kept.');
const Note = z.string().max(200, 'A note has at most 200 characters.');
const Wanted = z.object({
  kind: z.enum(['invoice', 'credit note']),
  corrects: z.uuid().optional(),
  supplier: z.string().max(40),
  on: Day,
  number: z.string().max(60, 'An invoice number has at most 60 characters.'),
  lines: z
    .array(
      z.union([
        z.object({
          is: z.literal('goods'),
          article: z.string().max(40),
          newArticle: z
            .object({
              ingredient: z.string().max(40),
              name: z.string().max(120, 'A name has at most 120 characters.'),
              code: z.string().max(40, 'A code has at most 40 characters.'),
              pack: Typed,
              eachWeighs: Typed,
              litreWeighs: Typed,
            })
            .optional(),
          packs: Typed,
          packPrice: Typed,
          delivered: Typed,
          rejected: Typed,
          inPlaceOf: z.string().max(40),
          note: Note,
        }),
        z.object({ is: z.enum(['deposit', 'tax', 'delivery', 'discount']), amount: Typed, note: Note }),
      ]),
    )
    .max(300, 'An invoice has at most 300 lines.'),
});
export type PurchaseTyped = z.infer<typeof Wanted>;

export type PurchaseAnswer =
  | { readonly ok: true; readonly id: string }
  | { readonly ok: false; readonly mistakes: readonly { readonly path: string; readonly message: string }[] };

export async function keepPurchase(input: PurchaseTyped): Promise<PurchaseAnswer> {
  const asked = Wanted.safeParse(input);
  if (!asked.success)
    return {
      ok: false,
      mistakes: asked.error.issues.map((i) => ({
        path: i.path.reduce<string>(
          (said, key) =>
            typeof key === 'number'
              ? `${said}[${key}]`
              : said === ''
                ? String(key)
                : `${said}.${String(key)}`,
          '',
        ),
        message: i.path[0] === 'on' ? 'Which day is on it? Choose a day of the calendar.' : i.message,
      })),
    };
  const done = await writePurchase(asked.data);
  if (done.ok) return { ok: true, id: done.value.id };
  const all = (done.theirs as readonly Trouble[] | undefined) ?? [done.trouble];
  return { ok: false, mistakes: all.map(({ path, message }) => ({ path, message })) };
}
