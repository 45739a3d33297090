import { PotList } from '@/features/pot/components/pot-list';
import { awayPots, pots } from '@/features/pot/queries';
import { may, requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.pots };

export default async function Pots({ searchParams }: { searchParams: Promise<Record<string, string>> }) {
  const { order } = await searchParams;
  const who = await requireWorker();
  const [found, away] = await Promise.all([pots(who, '', order), awayPots(who)]);
  return <PotList pots={found} order={order} away={away} mayEdit={may(who.role, 'changer')} />;
}
