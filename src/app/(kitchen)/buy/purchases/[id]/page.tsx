import { PurchasePage } from '@/features/buy/purchases/components/purchase-page';
import { purchaseView } from '@/features/buy/purchases/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.purchase };

export default async function Purchase({ params }: { params: Promise<{ id: string }> }) {
  return <PurchasePage view={await purchaseView(await requireWorker(), (await params).id)} />;
}
