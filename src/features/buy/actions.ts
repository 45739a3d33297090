'use server';

import { z } from 'zod';
import { Day } from '@/core/kitchen-file';
import { refuse } from '@/core/trouble';
import { costedKitchen } from '@/server/kitchen';
import { worker } from '@/server/session';
import type { Edited } from '@/server/write';
import {
  ORDERS,
  priceIndex,
  priceRow,
  priceRows,
  type PriceBookAsked,
  type PriceIndex,
  type PriceRow,
} from './queries';
import { changePrice, changeYield } from './service';

const Edit = z.object({
  row: z.uuid(),
  subject: z.uuid(),
  seen: z.number().int().positive(),
  typed: z.string().max(80),
});
export type PriceEdit = z.infer<typeof Edit>;

/** What comes back to the price book: the row as it now stands, or why not, with theirs if it was stale. */
export type PriceAnswer =
  | { readonly ok: true; readonly row: PriceRow }
  | { readonly ok: false; readonly message: string; readonly theirs?: PriceRow };

async function answer(
  input: PriceEdit,
  change: (subject: string, seen: number, typed: string) => Promise<Edited>,
): Promise<PriceAnswer> {
  const asked = Edit.safeParse(input);
  if (!asked.success)
    return {
      ok: false,
      message: refuse('bad-edit', '', 'This edit could not be read: at most 80 characters are kept.').trouble
        .message,
    };
  const { row, subject, seen, typed } = asked.data;
  const done = await change(subject, seen, typed);
  if (!done.ok)
    return { ok: false, message: done.trouble.message, theirs: done.theirs as PriceRow | undefined };
  const who = await worker();
  if (!who) return { ok: false, message: 'You are signed out.' };
  return { ok: true, row: await freshRow(who.kitchenId, row) };
}

/** The row as the database has it after the write: a request's own copy of the kitchen is from before it. */
async function freshRow(kitchenId: string, rowId: string): Promise<PriceRow> {
  return priceRow(await costedKitchen(kitchenId), rowId);
}

export const editPrice = async (input: PriceEdit): Promise<PriceAnswer> => answer(input, changePrice);
export const editYield = async (input: PriceEdit): Promise<PriceAnswer> => answer(input, changeYield);

const Asked = z.object({
  on: Day.optional(),
  known: z.enum(['since', 'then']).optional(),
  since: Day.optional(),
  order: z.enum(ORDERS).optional(),
});
const Ids = z.array(z.uuid()).max(200);

/** Rows of a price book that did not come with the page. */
export async function moreRows(ids: string[], asked: PriceBookAsked): Promise<PriceRow[]> {
  const who = await worker();
  const wanted = z.tuple([Ids, Asked]).safeParse([ids, asked]);
  return who && wanted.success ? priceRows(who, ...wanted.data) : [];
}

/** Everything in a price book, by name and article: what is searched. */
export async function wholeIndex(asked: PriceBookAsked): Promise<PriceIndex[]> {
  const who = await worker();
  const wanted = Asked.safeParse(asked);
  return who && wanted.success ? priceIndex(who, wanted.data) : [];
}
