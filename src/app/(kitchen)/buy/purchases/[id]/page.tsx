import { PurchasePage } from '@/features/buy/purchases/components/purchase-page';
import { purchaseView } from '@/features/buy/purchases/queries';
import { mustWork } from '@/server/session';

export const metadata = { title: 'Purchase' };

export default async function Purchase({ params }: { params: Promise<{ id: string }> }) {
  return <PurchasePage view={await purchaseView(await mustWork(), (await params).id)} />;
}
