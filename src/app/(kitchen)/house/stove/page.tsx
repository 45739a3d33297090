import { StoveView } from '@/features/house/stove/components/stove-view';
import { stovePage } from '@/features/house/stove/queries';
import { requireWorker } from '@/server/session';

export const metadata = { title: 'Vessels and hobs' };

export default async function Stove() {
  return <StoveView page={await stovePage(await requireWorker())} />;
}
