import { WeighView } from '@/features/weigh/components/weigh-view';
import { weighPage } from '@/features/weigh/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly searchParams: Promise<{ of?: string; line?: string }>;
}

export const metadata = { title: texts.weighUp };

export default async function WeighUp({ searchParams }: Props) {
  const { of, line } = await searchParams;
  return <WeighView page={await weighPage(await requireWorker(), of, line)} />;
}
