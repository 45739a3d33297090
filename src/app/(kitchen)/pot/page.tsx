import { PotList } from '@/features/pot/components/pot-list';
import { pots } from '@/features/pot/queries';
import { mustWork } from '@/server/session';

export const metadata = { title: 'Pots' };

export default async function Pots({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const { order } = await searchParams;
  return <PotList pots={await pots(await mustWork(), '', order)} order={order} />;
}
