import { UsedView } from '@/features/pour/used/components/used-view';
import { usedPage } from '@/features/pour/used/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly searchParams: Promise<{ of?: string }>;
}

export const metadata = { title: texts.whereUsed };

export default async function WhereUsed({ searchParams }: Props) {
  const { of } = await searchParams;
  return <UsedView page={await usedPage(await requireWorker(), of)} />;
}
