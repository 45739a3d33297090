import { PotList } from '@/features/pot/components/pot-list';
import { pots } from '@/features/pot/queries';
import { mustWork } from '@/server/session';

export const metadata = { title: 'Pots' };

export default async function Pots() {
  return <PotList pots={await pots(await mustWork())} />;
}
