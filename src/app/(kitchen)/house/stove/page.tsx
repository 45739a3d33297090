import { StoveView } from '@/features/house/stove/components/stove-view';
import { stovePage } from '@/features/house/stove/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.vesselsHobs };

export default async function Stove() {
  return <StoveView page={await stovePage(await requireWorker())} />;
}
