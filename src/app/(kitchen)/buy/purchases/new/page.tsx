import { z } from 'zod';
import { NewPurchase } from '@/features/buy/purchases/components/new-purchase';
import { purchaseForm } from '@/features/buy/purchases/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.newInvoice };

const Asked = z.object({ corrects: z.uuid().optional().catch(undefined) });

export default async function WritePurchase({
  searchParams,
}: {
  searchParams: Promise<Record<string, string>>;
}) {
  const { corrects } = Asked.parse(await searchParams);
  return <NewPurchase key={corrects ?? ''} form={await purchaseForm(await requireWorker(), corrects)} />;
}
