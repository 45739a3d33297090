import { LarderView } from '@/features/buy/larder/components/larder-view';
import { larderPage } from '@/features/buy/larder/queries';
import { requireWorker } from '@/server/session';

export const metadata = { title: 'Larder' };

export default async function Larder() {
  return <LarderView page={await larderPage(await requireWorker())} />;
}
