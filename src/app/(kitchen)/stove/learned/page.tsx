import { LearnedView } from '@/features/stove/components/learned-view';
import { learnedPage } from '@/features/stove/learned';
import { requireWorker } from '@/server/session';
import * as texts from '@/app/texts';

export const metadata = { title: texts.learnedFromBatches };

export default async function Learned() {
  return <LearnedView page={await learnedPage(await requireWorker())} />;
}
