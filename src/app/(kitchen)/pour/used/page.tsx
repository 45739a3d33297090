import { UsedView } from '@/features/pour/used/components/used-view';
import { usedPage } from '@/features/pour/used/queries';
import { requireWorker } from '@/server/session';

interface Props {
  readonly searchParams: Promise<{ of?: string }>;
}

export const metadata = { title: 'Where used' };

export default async function WhereUsed({ searchParams }: Props) {
  const { of } = await searchParams;
  return <UsedView page={await usedPage(await requireWorker(), of)} />;
}
