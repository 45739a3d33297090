import { LarderView } from '@/features/buy/larder/components/larder-view';
import { larderPage } from '@/features/buy/larder/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.larder };

export default async function Larder() {
  return <LarderView page={await larderPage(await requireWorker())} />;
}
