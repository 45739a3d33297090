import { z } from 'zod';
import { Day } from '@/core/written';
import { PriceBook } from '@/features/buy/components/price-book';
import { ORDERS, priceBook } from '@/features/buy/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.priceBook };

/** What the address asks for; what it cannot mean is passed over. */
const Asked = z.object({
  on: Day.optional().catch(undefined),
  known: z.enum(['since', 'then']).optional().catch(undefined),
  since: Day.optional().catch(undefined),
  order: z.enum(ORDERS).optional().catch(undefined),
});

export default async function Buy({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const asked = Asked.parse(await searchParams);
  const data = await priceBook(await requireWorker(), asked);
  return <PriceBook key={`${data.day} ${data.known} ${data.since} ${data.order}`} data={data} />;
}
