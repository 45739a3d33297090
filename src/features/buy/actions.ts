'use server';

import { z } from 'zod';
import { Day } from '@/core/written';
import { serverQuery } from '@/server/server-query';
import { ORDERS, priceIndex, priceRows, type PriceIndex } from './queries';

const Book = z.object({
  on: Day.optional(),
  known: z.enum(['since', 'then']).optional(),
  since: Day.optional(),
  order: z.enum(ORDERS).optional(),
});
const Ids = z.array(z.uuid()).max(200);
const InView = z.array(z.uuid()).max(20_000);

/** Rows of a price book that did not come with the page. */
export const moreRows = serverQuery(
  { role: 'reader', of: z.tuple([Ids, InView, Book]), otherwise: undefined },
  (who, ids, inView, book): Promise<Awaited<ReturnType<typeof priceRows>> | undefined> =>
    priceRows(who, ids, inView, book),
);

/** Everything in a price book, by name and article: what is searched. */
export const wholeIndex = serverQuery(
  { role: 'reader', of: z.tuple([Book]), otherwise: [] },
  (who, book): Promise<PriceIndex[]> => priceIndex(who, book),
);
