import { FlowView } from '@/features/trim/flow/components/flow-view';
import { flowPage } from '@/features/trim/flow/queries';
import { mustWork } from '@/server/session';

interface Props {
  readonly searchParams: Promise<{ weeks?: string }>;
}

export const metadata = { title: 'Where trim goes' };

export default async function Flow({ searchParams }: Props) {
  return <FlowView page={await flowPage(await mustWork(), (await searchParams).weeks === '1' ? 1 : 4)} />;
}
