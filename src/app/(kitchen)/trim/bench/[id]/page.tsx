import { TestView } from '@/features/trim/bench/components/test-view';
import { testPage } from '@/features/trim/bench/queries';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

interface Props {
  readonly params: Promise<{ id: string }>;
}

export const metadata = { title: texts.yieldTest };

export default async function OneTest({ params }: Props) {
  const page = await testPage(await requireWorker(), (await params).id);
  return <TestView key={page.test.id} page={page} />;
}
