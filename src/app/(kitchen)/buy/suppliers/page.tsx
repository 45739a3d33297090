import { SuppliersView } from '@/features/buy/suppliers/components/suppliers-view';
import { suppliersPage } from '@/features/buy/suppliers/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.suppliers };

export default async function Suppliers() {
  return <SuppliersView page={await suppliersPage(await requireWorker())} />;
}
