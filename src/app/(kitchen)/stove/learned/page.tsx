import { LearnedView } from '@/features/stove/components/learned-view';
import { learnedPage } from '@/features/stove/learned';
import { requireWorker } from '@/server/session';

export const metadata = { title: 'Learned from batches' };

export default async function Learned() {
  return <LearnedView page={await learnedPage(await requireWorker())} />;
}
