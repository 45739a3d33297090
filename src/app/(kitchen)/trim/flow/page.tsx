import { FlowView } from '@/features/trim/flow/components/flow-view';
import { flowPage } from '@/features/trim/flow/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly searchParams: Promise<{ weeks?: string; all?: string }>;
}

export const metadata = { title: texts.whereTrimGoes };

export default async function Flow({ searchParams }: Props) {
  const { weeks, all } = await searchParams;
  return <FlowView page={await flowPage(await requireWorker(), weeks === '1' ? 1 : 4, all === '1')} />;
}
