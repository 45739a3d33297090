import { SuppliersView } from '@/features/buy/suppliers/components/suppliers-view';
import { suppliersPage } from '@/features/buy/suppliers/queries';
import { requireWorker } from '@/server/session';

export const metadata = { title: 'Suppliers' };

export default async function Suppliers() {
  return <SuppliersView page={await suppliersPage(await requireWorker())} />;
}
