'use server';

import { z } from 'zod';
import { Day } from '@/core/written';
import { worker } from '@/server/session';
import { ORDERS, priceIndex, priceRows, type PriceBookAsked, type PriceIndex } from './queries';

const Asked = z.object({
  on: Day.optional(),
  known: z.enum(['since', 'then']).optional(),
  since: Day.optional(),
  order: z.enum(ORDERS).optional(),
});
const Ids = z.array(z.uuid()).max(200);
const InView = z.array(z.uuid()).max(20_000);

/** Rows of a price book that did not come with the page. */
export async function moreRows(
  ids: string[],
  inView: string[],
  asked: PriceBookAsked,
): Promise<Awaited<ReturnType<typeof priceRows>> | undefined> {
  const who = await worker();
  const wanted = z.tuple([Ids, InView, Asked]).safeParse([ids, inView, asked]);
  return who && wanted.success ? priceRows(who, ...wanted.data) : undefined;
}

/** Everything in a price book, by name and article: what is searched. */
export async function wholeIndex(asked: PriceBookAsked): Promise<PriceIndex[]> {
  const who = await worker();
  const wanted = Asked.safeParse(asked);
  return who && wanted.success ? priceIndex(who, wanted.data) : [];
}
