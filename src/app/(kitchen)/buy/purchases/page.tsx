import { z } from 'zod';
import { Day } from '@/core/written';
import { PurchaseListView } from '@/features/buy/purchases/components/purchase-list-view';
import { purchaseList } from '@/features/buy/purchases/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.purchases };

const Asked = z.object({
  supplier: z.uuid().optional().catch(undefined),
  on: Day.optional().catch(undefined),
  id: z.uuid().optional().catch(undefined),
});

export default async function Purchases({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const { supplier, on, id } = Asked.parse(await searchParams);
  const list = await purchaseList(await requireWorker(), {
    supplier,
    before: on && id ? { on, id } : undefined,
  });
  return <PurchaseListView list={list} />;
}
